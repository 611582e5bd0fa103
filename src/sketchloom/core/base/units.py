"""Lengths as people write them."""

import re

from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said

MM_PER_IN = 25.4
"""CSS Values and Units, W3C: 1 in = 25.4 mm = 96 px."""
_PER_UNIT_MM = {"mm": 1.0, "cm": 10.0, "in": MM_PER_IN, '"': MM_PER_IN, "″": MM_PER_IN}
_LENGTH = re.compile(r"^\s*(\d+(?:[.,]\d+)?|[.,]\d+)\s*(mm|cm|in|\"|″)?\s*$", re.IGNORECASE)


def parse_length_mm(text: str, default_unit: str = "mm", or_zero: bool = False) -> float:
    """Millimetres of a length such as ``120mm``, ``4.7 in`` or ``12,5 cm``.

    A bare number is in ``default_unit``. Raises SettingError when it is not a length above 0, or, with ``or_zero``,
    not one of 0 either.
    """
    match = _LENGTH.match(text)
    value = float(match[1].replace(",", ".")) if match else -1.0
    if match is None or (value == 0 and not or_zero):
        wanted = said('a number of 0 or more with mm, cm or in, such as "120 mm"') if or_zero else said(
            'a number above 0 with mm, cm or in, such as "120 mm"')
        raise SettingError("A length", wanted, text)
    return value * _PER_UNIT_MM[(match[2] or default_unit).lower()]


def format_length(mm: float, unit: str = "mm", digits: int | None = None) -> str:
    """A length in ``mm`` or ``in`` with its unit, to about a tenth of a millimetre."""
    value = mm / _PER_UNIT_MM[unit]
    places = digits if digits is not None else (1 if unit == "mm" else 2)
    return f"{value:,.{places}f} {unit}".replace(",", "\u202f")


def parse_length_or_zero_mm(text: str) -> float:
    """As ``parse_length_mm``; nothing may be written as a plain 0."""
    return 0.0 if text in ("0", "0mm", "0in") else parse_length_mm(text)
