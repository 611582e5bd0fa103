"""Checks of values that come from outside, each with the name of what it belongs to."""

import re

from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said

_HEX = re.compile(r"#[0-9a-fA-F]{6}")


def colour(name, value) -> None:
    """A colour written as ``#rrggbb``."""
    if not isinstance(value, str) or not _HEX.fullmatch(value):
        raise SettingError(name, said("a colour written as #rrggbb"), value)


def text(name, value, most: int = 200, optional: bool = False) -> None:
    if not (value is None and optional) and (not isinstance(value, str) or len(value) > most):
        raise SettingError(name, said("a text of at most {most} letters", most=most), value)


def one_of(name, value, allowed) -> None:
    if value not in allowed:
        raise SettingError(name, said("one of {choices}", choices=", ".join(allowed)), value)


def within(name, value, low, high, kind, optional=True) -> None:
    """A number of a kind between two others; None only when ``optional``."""
    if value is None and optional:
        return
    if isinstance(value, bool) or not isinstance(value, kind) or not low <= value <= high:
        raise SettingError(name, said("between {low} and {high}", low=low, high=high), value)


def true_or_false(name, value) -> None:
    if type(value) is not bool:
        raise SettingError(name, said("true or false"), value)


def are_numbers(value, count: int, low: float, high: float) -> bool:
    """Whether a value is a tuple of so many numbers between two others."""
    return isinstance(value, tuple) and len(value) == count and all(
        isinstance(v, (int, float)) and not isinstance(v, bool) and low <= v <= high for v in value)


def place(name, value) -> None:
    """A place in a picture as two shares of its sides."""
    if not are_numbers(value, 2, 0, 1):
        raise SettingError(name, said("places as two shares between 0 and 1"), value)


def places(name, values, least: int, most: int) -> None:
    if not isinstance(values, tuple) or not least <= len(values) <= most:
        raise SettingError(name, said("{least} to {most} places", least=least, most=most), values)
    for value in values:
        place(name, value)


def points(name, values, least: int, most: int) -> None:
    """Places of a picture that may lie somewhat beyond its edges."""
    if (
        not isinstance(values, tuple)
        or not least <= len(values) <= most
        or not all(are_numbers(p, 2, -2, 3) for p in values)
    ):
        raise SettingError(name, said("{least} to {most} places", least=least, most=most), values)
