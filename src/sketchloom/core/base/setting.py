"""Settings described once.

A field of a frozen data class carries its description: kind, least and most, choices, unit, what people call it and
the word of the command for it. Checks, plain data, the command and its help, the tables of ``docs/formats.md`` and
the controls of the window are made from that.
"""

import math
from dataclasses import MISSING, Field, dataclass, field, fields, replace
from typing import Any

from sketchloom.core.base import checks
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said

WHOLE, NUMBER, LENGTH, SWITCH, CHOICE, COLOUR, TEXT, PARTS = KINDS = (
    "whole", "number", "length", "switch", "choice", "colour", "text", "parts")
MAX_TEXT = 200
"""Longest name a person gives; a guard against hostile files."""
_KEY = "setting"


@dataclass(frozen=True, slots=True)
class Word:
    """A word of the command for a setting.

    ``flag`` with its dashes; ``metavar`` for its value in the help; ``about`` there, the setting's own when left out.
    ``sets``: the value that a word without one sets. ``first``: the number that people call 0. ``auto``: the word
    that leaves the choice to the program. ``group`` of the help it stands in.
    """

    flag: str
    metavar: str | None = None
    about: str = ""
    sets: Any = None
    first: int = 0
    auto: str | None = None
    group: str = ""

    @property
    def name(self) -> str:
        """What the parser calls its value."""
        return self.flag.lstrip("-").replace("-", "_")


@dataclass(frozen=True, slots=True)
class Setting:
    """What a setting is. ``about`` says it in a sentence; ``label`` is what people call it on a control.

    ``least`` and ``most`` bound a number, or the count of parts; ``optional``: None leaves it to the program, or to
    nobody. ``choices`` by their values, ``names`` what people call each. ``place``: the panel that makes a control
    for it by itself; empty for one that has its control placed by hand. ``least_if_any``: 0 is none of it, and what is
    above 0 is at least so much. ``late``: it changes no region, only what is
    made of regions. ``by_hand``: it holds decisions about one work, which an untouched copy has not. ``preset``: it
    says how to work, and nothing about one picture, so that it can be kept under a name.
    """

    name: str
    kind: str
    label: str
    about: str
    default: Any = None
    least: float = 0
    most: float = math.inf
    optional: bool = False
    choices: tuple = ()
    names: tuple[str, ...] = ()
    word: Word | None = None
    place: str = ""
    least_if_any: float = 0
    late: bool = False
    by_hand: bool = False
    preset: bool = False

    def check(self, value, where: str = "") -> None:
        """Raise SettingError when a value is not allowed."""
        name = where + self.name
        if value is None and self.optional:
            return
        match self.kind:
            case "whole" | "number" | "length":
                kind = int if self.kind == WHOLE else (int, float)
                if isinstance(value, bool) or not isinstance(value, kind) or not self.least <= value <= self.most:
                    raise SettingError(
                        name, said("between {least} and {most}", least=self.least, most=self.most), value
                    )
                if 0 < value < self.least_if_any:
                    raise SettingError(
                        name, said("0, or between {least} and {most}", least=self.least_if_any, most=self.most), value
                    )
            case "switch":
                if type(value) is not bool:
                    raise SettingError(name, said("true or false"), value)
            case "choice":
                if value not in self.choices:
                    raise SettingError(name, said("one of {choices}", choices=", ".join(self.choices)), value)
            case "colour":
                checks.colour(name, value)
            case "text":
                if not isinstance(value, str) or len(value) > self.most:
                    raise SettingError(name, said("a text of at most {most} letters", most=int(self.most)), value)
            case "parts":
                if not isinstance(value, tuple) or not self.least <= len(value) <= self.most:
                    got = len(value) if isinstance(value, tuple) else value
                    raise SettingError(
                        name, said("{least} to {most} of them", least=int(self.least), most=self.most), got
                    )


def whole(default, least, most, label="", about="", **more) -> Any:
    return _field(default, WHOLE, label, about, least=least, most=most, **more)


def number(default, least, most, label="", about="", **more) -> Any:
    return _field(default, NUMBER, label, about, least=least, most=most, **more)


def length(default, least, most, label="", about="", **more) -> Any:
    """A length in mm."""
    return _field(default, LENGTH, label, about, least=least, most=most, **more)


def switch(default: bool, label="", about="", **more) -> Any:
    return _field(default, SWITCH, label, about, **more)


def choice(default, choices, label="", about="", **more) -> Any:
    return _field(default, CHOICE, label, about, choices=tuple(choices), **more)


def colour(default, label="", about="", **more) -> Any:
    return _field(default, COLOUR, label, about, **more)


def text(default, label="", about="", most: int = MAX_TEXT, **more) -> Any:
    return _field(default, TEXT, label, about, most=most, **more)


def parts(default, least=0, most=math.inf, label="", about="", **more) -> Any:
    """Several things, each of which checks itself."""
    return _field(default, PARTS, label, about, least=least, most=most, **more)


REQUIRED = MISSING
"""The default of a field that has none."""


def _field(default, kind, label, about, optional=None, **more):
    held = Setting("", kind, label, about, None if default is MISSING else default,
                   optional=default is None if optional is None else optional, **more)
    return field(metadata={_KEY: held}) if default is MISSING else field(default=default, metadata={_KEY: held})


_of_class: dict[type, tuple[Setting, ...]] = {}


def settings_of(kind: type) -> tuple[Setting, ...]:
    """The described fields of a data class, in their order."""
    if kind not in _of_class:
        _of_class[kind] = tuple(_named(f) for f in fields(kind) if _KEY in f.metadata)
    return _of_class[kind]


def _named(f: Field) -> Setting:
    return replace(f.metadata[_KEY], name=f.name)


def check_all(one, where: str = "") -> None:
    """Check every described field of a data class; raises SettingError that names the field, after ``where``.

    A figure of an array's kind, which may be given where it was worked out, becomes a plain one: in files and words it
    would be told as what it is.
    """
    for setting in settings_of(type(one)):
        value = getattr(one, setting.name)
        setting.check(value, where)
        if isinstance(value, float) and type(value) is not float:
            object.__setattr__(one, setting.name, float(value))
