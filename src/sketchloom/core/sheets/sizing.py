"""Which size a work is to have: the largest that fits a place, the least at which its details survive."""

from dataclasses import dataclass

from sketchloom.core.base.said import said
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.sheets.dividing.division import least_parts
from sketchloom.core.sheets.dividing.room import Room, fitting


@dataclass(frozen=True, slots=True)
class Place:
    """Where a work goes: ``wide`` × ``high`` mm of it and the ``margin`` that is kept; ``name`` in words."""

    name: str
    wide: float
    high: float
    margin: float = 0.0


PLACES = (
    Place(said("board 19.5 × 26.5 in"), 19.5 * MM_PER_IN, 26.5 * MM_PER_IN, 0.5 * MM_PER_IN),
    Place(said("shirt, front"), 280.0, 355.0, 0.0),
    Place(said("shirt, chest"), 100.0, 100.0, 0.0),
    Place(said("mug, one side"), 85.0, 80.0, 0.0),
    Place(said("A4 card"), 210.0, 297.0, 10.0),
)
"""Sizes are common practice with no source but the board's, which is the trade's worked example, and A4 (ISO 216)."""


def largest_in(size, place: Place, may_turn: bool = False) -> tuple[float, bool]:
    """The largest factor by which a size fits a place within its margin, and whether it is turned by 90° for it; 0
    where the margin leaves nothing."""
    room = (place.wide - 2 * place.margin, place.high - 2 * place.margin)
    if min(room) <= 0 or min(size) <= 0:
        return 0.0, False
    as_it_is = min(room[0] / size[0], room[1] / size[1])
    turned = min(room[0] / size[1], room[1] / size[0])
    return (turned, True) if may_turn and turned > as_it_is * (1 + 1e-9) else (as_it_is, False)


def least_for(details) -> float:
    """The least factor at which every detail survives: (its width, what its material bears), mm each; 0 without any."""
    return max((bears / width for width, bears in details if width > 0), default=0.0)


@dataclass(frozen=True, slots=True)
class Fit:
    """How a layer of a size goes on a machine: in the smallest ``room``, as it is or turned; None: it is divided, into
    ``parts``, 0 where it cannot be."""

    room: Room | None
    parts: int


def fit_of(size, rooms, may_divide: bool = True) -> Fit:
    """How a size fits rooms of carriers."""
    room = fitting(size, rooms)
    if room is not None:
        return Fit(room, 1)
    return Fit(None, least_parts(size, rooms) if may_divide else 0)
