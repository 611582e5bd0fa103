"""Style of the parts of an SVG: attributes, style sheets within the file, and what children inherit.

References
----------
SVG 1.1, chapter 6 (styling); CSS 2.1, chapter 5 (selectors) and 6.4.3 (specificity).
"""

import re

INHERITED = ("fill", "fill-opacity", "fill-rule", "clip-rule", "stroke", "stroke-opacity", "stroke-width",
             "stroke-linecap", "stroke-linejoin", "stroke-miterlimit", "stroke-dasharray", "stroke-dashoffset",
             "color", "visibility", "font-size")
OF_WORDS = ("font", "font-weight", "font-variant", "text-anchor", "text-decoration", "letter-spacing", "word-spacing",
            "font-kerning", "font-feature-settings", "writing-mode", "direction", "baseline-shift", "dominant-baseline",
            "alignment-baseline")
"""How words are set, which children inherit as well (or are left out for, where they do not)."""
OWN = ("opacity", "display", "clip-path", "mask", "filter", "transform", "mix-blend-mode")
_PAINTED = frozenset((*INHERITED, *OWN))
_KNOWN = _PAINTED.union(OF_WORDS)
_RULE = re.compile(r"([^{}]+)\{([^{}]*)\}")
_COMMENT = re.compile(r"/\*.*?\*/", re.DOTALL)
_SIMPLE = re.compile(r"(\*|[\w-]+)?((?:[.#][\w-]+)*)")
_MOST_RULES = 5000


class Sheet:
    """The rules of a file's style elements. ``is_plain``, ``words_are_plain``: whether all selectors of rules for what
    is painted, and for how words are set, are of one part each; others cannot be followed here."""

    def __init__(self, root):
        self.is_plain = self.words_are_plain = True
        self._rules: list[tuple[tuple[int, int], str | None, frozenset, str | None, dict]] = []
        for element in root.iter():
            if isinstance(element.tag, str) and element.tag.rpartition("}")[2] == "style" and element.text:
                self._read(_COMMENT.sub("", element.text))
        self._rules.sort(key=lambda rule: rule[0])

    def _read(self, text):
        for selectors, body in _RULE.findall(text):
            declared = declarations(body)
            for selector in (one.strip() for one in selectors.split(",")):
                found = _SIMPLE.fullmatch(selector)
                if not selector or selector.startswith("@") or len(self._rules) >= _MOST_RULES:
                    continue
                if found is None:
                    self.is_plain = self.is_plain and not declared.keys() & _PAINTED
                    self.words_are_plain = self.words_are_plain and not declared.keys() & frozenset(OF_WORDS)
                    continue
                tag = None if found.group(1) in (None, "*") else found.group(1)
                marks = re.findall(r"([.#])([\w-]+)", found.group(2))
                classes = frozenset(name for kind, name in marks if kind == ".")
                ids = [name for kind, name in marks if kind == "#"]
                weight = (100 * len(ids) + 10 * len(classes) + (tag is not None), len(self._rules))
                self._rules.append((weight, tag, classes, ids[0] if ids else None, declared))

    def of(self, element) -> dict:
        """What an element says of itself: its attributes, then the rules that hold for it, then its own style."""
        made = {name: element.get(name).strip() for name in _KNOWN if element.get(name) is not None}
        kind = element.tag.rpartition("}")[2]
        classes = frozenset((element.get("class") or "").split())
        for _, tag, wanted, identifier, declared in self._rules:
            if (tag is None or tag == kind) and wanted <= classes and identifier in (None, element.get("id")):
                made.update(declared)
        made.update(declarations(element.get("style") or ""))
        return made


def declarations(text: str) -> dict:
    """Properties of a style, by name; later ones hold."""
    made = {}
    for part in _COMMENT.sub("", text).split(";"):
        name, _, value = part.partition(":")
        if value.strip() and name.strip().lower() in _KNOWN:
            made[name.strip().lower()] = value.replace("!important", "").strip()
    return made
