"""Sentences with their figures, put together late, so that a window can show them in another language.

A sentence is an ordinary ``str`` in English. It also remembers the pattern it was made from and the figures in it,
and ``told`` makes it anew from the same pattern in another language. The catalogue's tool finds patterns by the
name ``said``, so a pattern is always written out where it is used.
"""

from typing import Any


class Said(str):
    """A sentence in English, with the ``pattern`` it was made from and its ``figures``."""

    __slots__ = ("figures", "pattern")
    pattern: str
    figures: dict[str, Any]

    def __new__(cls, pattern: str, /, **figures):
        made = super().__new__(cls, pattern.format(**figures) if figures else pattern)
        made.pattern, made.figures = pattern, figures
        return made

    def __reduce__(self):
        return _again, (self.pattern, self.figures)

    def __add__(self, more):
        """The sentence with another text after it; both stay what they are in another language."""
        return Joined((self, more))


class Joined(Said):
    """Texts one after the other."""

    __slots__ = ()

    def __new__(cls, parts):
        made = str.__new__(cls, "".join(parts))
        made.pattern, made.figures = "", {"parts": tuple(parts)}
        return made

    def __reduce__(self):
        return Joined, (self.figures["parts"],)


def _again(pattern, figures):
    return Said(pattern, **figures)


said = Said


def told(text: str, translate) -> str:
    """A sentence in another language; a plain text as it is.

    Parameters
    ----------
    translate : gives the pattern in the other language, or the pattern itself where there is none.
    """
    if isinstance(text, Joined):
        return "".join(told(part, translate) for part in text.figures["parts"])
    if not isinstance(text, Said):
        return text
    pattern = translate(text.pattern)
    if not text.figures:
        return pattern
    figures = {
        name: told(value, translate) if isinstance(value, str) else value for name, value in text.figures.items()
    }
    try:
        return pattern.format(**figures)
    except (KeyError, IndexError, ValueError):  # a translation that does not fit is no reason to say nothing
        return str(text)
