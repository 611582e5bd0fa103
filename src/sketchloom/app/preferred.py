"""What a person prefers, as the settings keep it."""

from PySide6.QtCore import QSettings

UNIT_KEY = "unit"
"""Where the settings keep the unit of new works."""


def unit_of_new_works() -> str:
    """``mm``, or ``in`` where that is preferred."""
    return "in" if str(QSettings().value(UNIT_KEY, "mm")) == "in" else "mm"
