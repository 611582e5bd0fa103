"""What can be chosen about sheets, by the words of files and commands; light enough for whoever only reads them."""

from dataclasses import dataclass

from sketchloom.core.base import checks, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all

AUTO = "auto"
STRAIGHT, OFF = "straight", "off"
SEAMS = (AUTO, STRAIGHT, OFF)
BUTT, OVERLAP, KEYED = JOINTS = ("butt", "overlap", "keyed")
FREE, HALF, QUARTER, NONE = ("free", "180", "90", "none")
TURNS = (AUTO, FREE, HALF, QUARTER, NONE)
DEGREES = {NONE: (0.0,), HALF: (0.0, 180.0), QUARTER: (0.0, 90.0, 180.0, 270.0),
           FREE: tuple(float(d) for d in (0, 90, 180, 270, 45, 135, 225, 315))}
"""Degrees that each choice allows, those that are tried first before the others."""
ON = "on"
MIRRORS = (AUTO, ON, OFF)
MATCHES = (AUTO, ON, OFF)
TOGETHER, APART = "together", "apart"
PIECES = (AUTO, TOGETHER, APART)
STAR, DETAIL = "star", "detail"
TESTS = (NONE, STAR, DETAIL)
HEAT_FAMILIES = ("heat film", "flake film", "flocked film")
"""Films that a press bonds face down: cut mirrored."""
GRAINED = ("wood", "fabric")
"""Families whose grain or nap runs one way: turned by 180° only."""
LAID_ALONE = ("paper", "card", "board", "spacer", "acrylic", "wood", "fabric")
"""Families whose pieces are carried one by one: they need not keep their places on the sheet."""
MAX_SEAMS, MAX_SPOTS, MAX_OFFCUTS = 500, 5000, 200
"""Decisions by hand of one work; guards against hostile files."""
_FAR_MM = 1e6
MAX_RINGS, MAX_RING_POINTS = 200, 2000
"""Of one rest; guards against hostile files."""
_ROUND_MM = 0.01


Rings = tuple[tuple[tuple[float, float], ...], ...]
"""The outline of a rest and the windows in it, mm from the left and top of its box; no point twice."""


@dataclass(frozen=True, slots=True)
class SeamByHand:
    """A seam put by hand: of which layer (its key), its ``number`` among the layer's seams, and its ``points`` from
    above downwards, or from the left to the right where it is level; shares of the sides of the picture as it came.
    ``piece``: of which of the layer's pieces where those are free of each other, else 0."""

    key: str = setting.text(setting.REQUIRED)
    number: int = setting.whole(setting.REQUIRED, 0, MAX_SEAMS)
    points: tuple[tuple[float, float], ...] = ()
    piece: int = setting.whole(0, 0, 1_000_000)

    def __post_init__(self):
        check_all(self, "seams.")
        checks.points("seams.points", self.points, 2, 1000)


@dataclass(frozen=True, slots=True)
class SpotByHand:
    """Where a part was put by hand: ``part`` as of ``Part.path``; the number of the ``sheet`` among those of its colour
    and material, its turn and the left and top of its box on the carrier, mm."""

    part: str = setting.text(setting.REQUIRED, most=400)
    sheet: int = setting.whole(setting.REQUIRED, 0, 500)
    turn: float = setting.number(0.0, 0.0, 360.0)
    left: float = setting.number(0.0, -_FAR_MM, _FAR_MM)
    top: float = setting.number(0.0, -_FAR_MM, _FAR_MM)

    def __post_init__(self):
        check_all(self, "spots.")


@dataclass(frozen=True, slots=True)
class Offcut:
    """A rest of a material that is used up first: its key, None for any, its colour, None for any, and its size, mm.
    ``rings``: its outline and the windows in it, none where all of its box is there; ``stock``: which entry of the
    logbook's stock it is, 0 for none."""

    wide: float = setting.length(setting.REQUIRED, 10.0, 100_000.0)
    high: float = setting.length(setting.REQUIRED, 10.0, 100_000.0)
    material: str | None = setting.text(None, most=300)
    hex: str | None = setting.colour(None)
    rings: Rings = ()
    stock: int = setting.whole(0, 0, 2**53)

    def __post_init__(self):
        check_all(self, "offcuts.")
        _check_rings(self.rings, self.wide, self.high)


def _check_rings(rings, wide, high):
    if not isinstance(rings, tuple) or len(rings) > MAX_RINGS or sum(map(len, rings)) > MAX_RING_POINTS:
        raise SettingError("offcuts.rings", said("at most {most} points", most=MAX_RING_POINTS), "…")
    if any(len(ring) < 3 or not all(checks.are_numbers(p, 2, -_ROUND_MM, max(wide, high) + _ROUND_MM) for p in ring)
           for ring in rings):
        raise SettingError("offcuts.rings", said("rings of three points or more within the size"), "…")


def rings_as_text(rings: Rings) -> str:
    """Rings as they are kept in a table: ``x,y`` pairs with blanks between, rings with semicolons."""
    return "; ".join(" ".join(f"{x:g},{y:g}" for x, y in ring) for ring in rings)


def rings_from_text(text: str) -> Rings:
    """Raise SettingError where it holds no rings."""
    try:
        return tuple(tuple((float(x), float(y)) for x, y in (pair.split(",") for pair in ring.split()))
                     for ring in text.split(";") if ring.strip())
    except ValueError:
        raise SettingError("outline", said("pairs such as 0,0 120,0 120,80"), text[:40]) from None


def own_carrier(text: str) -> tuple[float, float] | None:
    """Width and height, mm, of a carrier named by its size, as ``300x400mm`` or ``11.5x20in``; None for another name.

    Raises
    ------
    SettingError : it is a size that no carrier has.
    """
    from sketchloom.core.base.units import parse_length_mm

    first, cross, rest = text.lower().replace("×", "x").partition("x")
    if not cross or not first.strip().replace(".", "").replace(",", "").rstrip("minc\" ").isdigit():
        return None
    unit = "in" if rest.rstrip().endswith(("in", '"')) else "cm" if rest.rstrip().endswith("cm") else "mm"
    try:
        wide, high = parse_length_mm(first, unit), parse_length_mm(rest, unit)
    except SettingError:
        return None
    if not (10 <= wide <= 100_000 and 10 <= high <= 100_000):
        raise SettingError("carrier", said("a size between {least} and {most} mm", least=10, most=100_000), text)
    return wide, high
