"""The document: every setting and every edit of a work, and nothing derived.

A recipe has seven sections, one for each stage (``sections.py``), and the alternatives kept beside it. A setting is
reached by its own name, which no other section has: ``recipe.tones``, ``replace(recipe, tones=5)``.
"""

import dataclasses
from dataclasses import dataclass
from typing import TYPE_CHECKING, Any, ClassVar

from sketchloom.core.base import plain
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import Setting, settings_of
from sketchloom.core.layers.added import rim_key
from sketchloom.core.sheets.material import Material
from sketchloom.recipe.parts import LayerEdit
from sketchloom.recipe.sections import (
    MAX_SIZE_MM,
    MIN_HELPER_MM,
    MIN_SIZE_MM,
    SECTIONS,
    Clean,
    Outlines,
    Release,
    Sheets,
    Source,
    Stack,
    Trace,
)

MAX_ALTERNATIVES = 40
"""Kept settings of one work."""


@dataclass(frozen=True, slots=True)
class Alternative:
    """The same work done otherwise, kept beside: a name and all its settings (which keep no others in turn)."""

    name: str
    recipe: "Recipe"

    def __post_init__(self):
        if not isinstance(self.name, str) or not 0 < len(self.name) <= 100:
            raise SettingError("alternatives.name", said("a short text"), self.name)
        if not isinstance(self.recipe, Recipe) or self.recipe.alternatives:
            raise SettingError("alternatives.recipe", said("settings without alternatives of their own"),
                               type(self.recipe).__name__)


if TYPE_CHECKING:
    def _document(kind):
        """Changed by settings' own names, too, which a checker of fields does not know."""
        return kind
else:
    _document = dataclass(frozen=True, slots=True, init=False)


@_document
class Recipe:
    """Settings and edits, by section. None means that the program proposes the value.

    Made from sections, or from settings by their own names: ``Recipe(tones=5)``. Places are shares of the width and
    height of the picture as it came. ``unknown`` holds keys that a newer version of the program wrote.

    Raises
    ------
    SettingError : a value is not allowed.
    TypeError : there is no such setting.
    """

    source: Source
    trace: Trace
    clean: Clean
    outlines: Outlines
    stack: Stack
    sheets: Sheets
    release: Release
    alternatives: tuple[Alternative, ...] = ()
    unknown: dict = dataclasses.field(default_factory=dict, hash=False, compare=False)

    def __init__(self, *, alternatives=(), unknown=None, **named):
        sections = {name: named.pop(name, None) or kind() for name, kind in SECTIONS.items()}
        changed: dict[str, dict] = {}
        for name, value in named.items():
            if name not in SECTION_OF:
                raise TypeError(f"there is no setting {name}")
            changed.setdefault(SECTION_OF[name], {})[name] = value
        for name, values in changed.items():
            sections[name] = dataclasses.replace(sections[name], **values)
        for name, section in sections.items():
            object.__setattr__(self, name, section)
        if not isinstance(alternatives, tuple) or len(alternatives) > MAX_ALTERNATIVES:
            raise SettingError("alternatives", said("at most {most}", most=MAX_ALTERNATIVES), len(alternatives))
        object.__setattr__(self, "alternatives", alternatives)
        object.__setattr__(self, "unknown", {} if unknown is None else unknown)

    if TYPE_CHECKING:
        __dataclass_fields__: ClassVar[dict[str, Any]]

        def __getattr__(self, name: str) -> Any:
            """Every setting by its own name."""

    def with_width(self, mm: float) -> "Recipe":
        """A copy of a finished width, as near to it as sizes go."""
        return dataclasses.replace(self, size_mm=min(max(mm, MIN_SIZE_MM), MAX_SIZE_MM), size_side="width")

    def edit_of(self, key: str) -> LayerEdit:
        """The edit made on a layer; an empty one when there is none."""
        return next((edit for edit in self.layers if edit.key == key), LayerEdit(key))

    def material_of(self, key: str) -> Material | None:
        """What a layer's sheet is cut from, if that was said."""
        of_rim = (r.material for n, r in enumerate(self.rims) if rim_key(r, n) == key)
        wanted = next(of_rim, self.edit_of(key).material)
        return next((m for m in self.materials if m.key == wanted), None)

    def with_material(self, key: str, material: Material | None) -> "Recipe":
        """A copy in which a layer is cut from another material; only those that layers name are kept."""
        named_key = None if material is None else material.key
        of_rim = [n for n, r in enumerate(self.rims) if rim_key(r, n) == key]
        if of_rim:
            rims = tuple(
                dataclasses.replace(r, material=named_key) if n in of_rim else r for n, r in enumerate(self.rims)
            )
            made = dataclasses.replace(self, rims=rims)
        else:
            made = self.with_edit(key, material=named_key)
        named = {e.material for e in made.layers} | {r.material for r in made.rims}
        table = [m for m in made.materials if material is None or m.key != material.key]
        table += [material] if material is not None else []
        return dataclasses.replace(made, materials=tuple(m for m in table if m.key in named))

    def kept_as(self, name: str) -> "Recipe":
        """A copy that keeps the present settings as an alternative."""
        alone = dataclasses.replace(self, alternatives=())
        return dataclasses.replace(self, alternatives=(*self.alternatives, Alternative(name, alone)))

    def with_edit(self, key: str, **changes) -> "Recipe":
        """A copy with a layer's edit changed."""
        edit = dataclasses.replace(self.edit_of(key), **changes)
        rest = tuple(e for e in self.layers if e.key != key)
        return dataclasses.replace(self, layers=rest if edit == LayerEdit(key) else (*rest, edit))


SECTION_OF = {f.name: name for name, kind in SECTIONS.items() for f in dataclasses.fields(kind)}
"""The section that each setting belongs to."""
SETTINGS: dict[str, Setting] = {s.name: s for kind in SECTIONS.values() for s in settings_of(kind)}
"""Every described setting by its name."""


def _reached(section, name):
    return property(lambda self: getattr(getattr(self, section), name), doc=f"``{name}`` of the section ``{section}``.")


for _name, _section in SECTION_OF.items():
    setattr(Recipe, _name, _reached(_section, _name))


def to_json(recipe: Recipe) -> dict:
    """Plain data of a recipe, a key a setting; keys it did not know when it was read are kept."""
    made = dict(recipe.unknown)
    for name in SECTIONS:
        made |= plain.to_plain(getattr(recipe, name))
    if made["palette"] is not None:
        made["palette"] = [entry["samples"] for entry in made["palette"]]
    made["alternatives"] = [{"name": a.name, "recipe": to_json(a.recipe)} for a in recipe.alternatives]
    return made


def from_json(data, where: str = "$", nested: bool = False) -> Recipe:
    """A recipe from plain data of any origin.

    Parameters
    ----------
    where : place of the data in its file, for messages. nested : it is kept as an alternative, and has none.

    Raises
    ------
    SettingError : names the place of what is not allowed.
    """
    if not isinstance(data, dict):
        raise SettingError(where, said("an object"), type(data).__name__)
    values = dict(data)
    every = values.get("weeding_every_mm")
    # what was allowed before
    if isinstance(every, (int, float)) and not isinstance(every, bool) and 0 < every < MIN_HELPER_MM:
        values["weeding_every_mm"] = MIN_HELPER_MM
    if isinstance(values.get("palette"), list):
        values["palette"] = [{"samples": entry} for entry in values["palette"]]
    sections: dict[str, Any] = {name: plain.from_plain(values, kind, where) for name, kind in SECTIONS.items()}
    others = () if nested else _alternatives(data.get("alternatives", []), f"{where}.alternatives")
    unknown = {k: v for k, v in data.items() if k not in SECTION_OF and k != "alternatives"}
    return Recipe(**sections, alternatives=others, unknown=unknown)


def _alternatives(value, where):
    if not isinstance(value, list) or len(value) > MAX_ALTERNATIVES:
        raise SettingError(where, said("a list of at most {most}", most=MAX_ALTERNATIVES), type(value).__name__)
    made = []
    for i, part in enumerate(value):
        if not isinstance(part, dict) or not isinstance(part.get("name"), str):
            raise SettingError(f"{where}[{i}]", said("an object with a name and a recipe"), type(part).__name__)
        made.append(Alternative(part["name"], from_json(part.get("recipe"), f"{where}[{i}].recipe", True)))
    return tuple(made)
