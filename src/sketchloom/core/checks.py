"""Checks of values that come from outside, each with the name of what it belongs to."""

from sketchloom.core.errors import SettingError


def one_of(name, value, allowed) -> None:
    if value not in allowed:
        raise SettingError(name, "one of " + ", ".join(allowed), value)


def within(name, value, low, high, kind, optional=True) -> None:
    """A number of a kind between two others; None only when ``optional``."""
    if value is None and optional:
        return
    if isinstance(value, bool) or not isinstance(value, kind) or not low <= value <= high:
        raise SettingError(name, f"between {low} and {high}", value)


def true_or_false(name, value) -> None:
    if type(value) is not bool:
        raise SettingError(name, "true or false", value)


def place(name, value) -> None:
    """A place in a picture as two shares of its sides."""
    if not (isinstance(value, tuple) and len(value) == 2 and all(
            isinstance(v, (int, float)) and not isinstance(v, bool) and 0 <= v <= 1 for v in value)):
        raise SettingError(name, "places as two shares between 0 and 1", value)


def places(name, values, least: int, most: int) -> None:
    if not isinstance(values, tuple) or not least <= len(values) <= most:
        raise SettingError(name, f"{least} to {most} places", values)
    for value in values:
        place(name, value)


def points(name, values, least: int, most: int) -> None:
    """Places of a picture that may lie somewhat beyond its edges."""
    if not isinstance(values, tuple) or not least <= len(values) <= most or not all(
            isinstance(p, tuple) and len(p) == 2 and all(
                isinstance(v, (int, float)) and not isinstance(v, bool) and -2 <= v <= 3 for v in p) for p in values):
        raise SettingError(name, f"{least} to {most} places", values)
