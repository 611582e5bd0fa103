"""Frozen data to and from what JSON holds, checked on the way in.

The library finds a wrong kind anywhere in the data and names its place; what is allowed beyond the kind, each class
checks itself (``__post_init__``).
"""

import re
from typing import Any, TypeVar

import msgspec

from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said

T = TypeVar("T")


def to_plain(one) -> Any:
    """Plain data of frozen data: objects, lists, numbers, texts. Figures of arrays are numbers like others."""
    return _lists(msgspec.to_builtins(one, enc_hook=_number))


def _number(value):
    if not hasattr(value, "item"):
        raise TypeError(f"{type(value).__name__} is not plain data")
    return value.item()


def from_plain(data, kind: type[T], where: str = "$") -> T:
    """Frozen data of a kind from plain data of any origin; fields that are not known are passed over.

    Raises
    ------
    SettingError : its ``field`` is the place in the data (``$.layers[2].hex``), after ``where``.
    """
    try:
        return msgspec.convert(data, kind)
    except UnicodeError:
        raise SettingError(where, said("texts of whole letters"), said("half a letter")) from None
    except RecursionError:
        raise SettingError(where, said("not nested so deep"), type(data).__name__) from None
    except msgspec.ValidationError as error:
        why, _, place = str(error).partition(" - at `$")
        place = where + place.rstrip("`")
        cause = error.__cause__
        if isinstance(cause, SettingError):
            name = cause.field.rpartition(".")[2] if cause.field else ""
            raise SettingError(
                f"{place}.{name}" if name and not place.endswith(name) else place, cause.expected, cause.got
            ) from None
        expected, _, got = why.partition(", got ")
        if not got:  # a field is missing
            raise SettingError(place, said("an object with all its fields"), _in_words(why)) from None
        raise SettingError(place, _in_words(expected.removeprefix("Expected ")), _in_words(got)) from None


_WORDS = {"float": said("a number"), "int": said("a whole number"), "str": said("a text"), "array": said("a list"),
          "bool": said("true or false"), "object": said("an object"), "null": said("nothing")}


def _in_words(text: str) -> str:
    """What the library says, without its marks and its names of kinds."""
    return re.sub(r"`([^`]*)`", lambda m: " or ".join(_WORDS.get(kind, kind) for kind in m[1].split(" | ")), text)


def _lists(value):
    """Tuples as lists, all the way down, as a file has them."""
    if isinstance(value, (tuple, list)):
        return [_lists(v) for v in value]
    return {k: _lists(v) for k, v in value.items()} if isinstance(value, dict) else value


def encoded(text: str) -> bytes:
    """JSON text as bytes. A name from a disk may hold halves of letters, which UTF-8 has no bytes for: they are written
    as JSON writes them, and read back as they were."""
    return text.encode("utf-8", "backslashreplace")
