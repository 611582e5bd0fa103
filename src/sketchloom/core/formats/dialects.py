"""Dialects of machine code: the words for tool on and off, arcs or lines, what stands at the beginning and the end."""

from dataclasses import dataclass

from sketchloom.core.base import plain, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all

MAX_DIALECTS, MAX_LINES = 100, 40
"""More than any workshop has; a guard against hostile files."""
PLACES = ("speed", "plunge", "travel", "power", "depth", "safe", "tool", "force")
"""What a template may name in braces: mm/min, mm/min, mm/min, thousandths, mm, mm, a number, a number."""


@dataclass(frozen=True, slots=True)
class Dialect:
    """``header``, ``footer``, ``on``, ``off`` and ``change`` are lines of templates with places such as ``{speed}``;
    ``arcs``: it knows G2 and G3; ``numbered`` lines; ``decimals`` of a coordinate; ``spindle`` on through all of it or
    only while it cuts is said by the templates."""

    key: str = setting.text(setting.REQUIRED, most=100)
    name: str = setting.text(setting.REQUIRED, most=300)
    header: tuple[str, ...] = ()
    footer: tuple[str, ...] = ()
    on: tuple[str, ...] = ()
    off: tuple[str, ...] = ()
    change: tuple[str, ...] = ()
    arcs: bool = setting.switch(True)
    numbered: bool = setting.switch(False)
    decimals: int = setting.whole(3, 1, 6)

    def __post_init__(self):
        check_all(self, "dialects.")
        for name in ("header", "footer", "on", "off", "change"):
            lines = getattr(self, name)
            if (not isinstance(lines, tuple) or len(lines) > MAX_LINES
                    or not all(isinstance(one, str) and len(one) <= 200 and one.isprintable() for one in lines)):
                raise SettingError(f"dialects.{name}", said("at most {most} lines of text", most=MAX_LINES), str(lines))


def filled(lines, values: dict[str, str]) -> list[str]:
    """Lines of a template with their places filled; what is no place stays as it is."""
    made = []
    for line in lines:
        for place in PLACES:
            line = line.replace("{" + place + "}", values.get(place, "0"))
        made.append(line)
    return made


def from_plain(data, where: str = "dialects") -> tuple[Dialect, ...]:
    """Dialects from plain data of any origin; raises SettingError."""
    if not isinstance(data, list) or len(data) > MAX_DIALECTS:
        raise SettingError(where, said("a list of at most {most}", most=MAX_DIALECTS), type(data).__name__)
    return plain.from_plain(data, tuple[Dialect, ...], where)


def to_plain(some) -> list[dict]:
    return plain.to_plain(tuple(some))


_BEGIN = ("G21", "G90", "G17", "G94")
SHIPPED = (
    Dialect("knife", str(said("Knife or cutter moved up and down")), _BEGIN + ("G0 Z{safe}",),
            ("G0 Z{safe}", "M5", "G0 X0 Y0", "M30"), ("G1 Z-{depth} F{plunge}",), ("G0 Z{safe}",), ("M6 T{tool}",)),
    Dialect("laser", str(said("Laser switched on and off")), _BEGIN, ("M5", "G0 X0 Y0", "M30"), ("M3 S{power}",),
            ("M5",)),
    Dialect("pen", str(said("Pen lifted by a spindle word")), _BEGIN, ("M5", "G0 X0 Y0", "M30"), ("M3 S1000",),
            ("M5",), ("M6 T{tool}",)),
    Dialect("lines", str(said("Without arcs, numbered lines")), _BEGIN + ("G0 Z{safe}",),
            ("G0 Z{safe}", "M5", "G0 X0 Y0", "M30"), ("G1 Z-{depth} F{plunge}",), ("G0 Z{safe}",), ("M6 T{tool}",),
            arcs=False, numbered=True),
)
"""The words are those of NIST RS274/NGC. A machine's own manual comes first."""


def shipped(key: str) -> Dialect:
    """A shipped dialect by its key, the first one where there is none of it."""
    return next((one for one in SHIPPED if one.key == key), SHIPPED[0])
