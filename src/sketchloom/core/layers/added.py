"""Sheets made of an outline moved by a distance, as they are kept: a backing, a rim around, a line within."""

from dataclasses import dataclass

from sketchloom.core.base import setting
from sketchloom.core.base.setting import check_all

BACKING, RIM, INNER, UNDERLAY = KINDS = ("backing", "rim", "inner", "underlay")
USUAL_MM = {BACKING: 3.0, RIM: 3.0, INNER: 3.0, UNDERLAY: 0.4}
"""Distances that each begins with (common practice, no source: an underlay keeps back by about what laying is off)."""
LINE_MM = 1.0
"""Width that an inner line begins with (common practice, no source)."""
MAX_DISTANCE_MM = 200.0
"""No rim is wider; a guard against hostile files."""


@dataclass(frozen=True, slots=True)
class Rim:
    """An outline moved by ``distance_mm`` (outwards; for ``inner`` and ``underlay`` inwards).

    ``kind``: a ``backing`` below everything, a ``rim`` around with the work cut out of it, an ``inner`` line
    of ``width_mm`` (None: all that is farther in, as one sheet), or an
    ``underlay`` that much smaller, only under what is lighter than what it is laid on and would let that shine
    through. ``of`` the key of a layer, None for everything together. ``is_round`` or sharp corners. ``islands``:
    holes stay holes; else they are filled. ``material``: key of what its sheet is cut from.
    """

    distance_mm: float = setting.length(setting.REQUIRED, 0.0, MAX_DISTANCE_MM)
    kind: str = setting.choice(BACKING, KINDS)
    of: str | None = setting.text(None)
    is_round: bool = setting.switch(True)
    islands: bool = setting.switch(False)
    hex: str = setting.colour("#ffffff")
    name: str = setting.text("")
    on: bool = setting.switch(True)
    material: str | None = setting.text(None)
    width_mm: float | None = setting.length(None, 0.05, MAX_DISTANCE_MM)

    def __post_init__(self):
        check_all(self, "rims.")


def rim_kind(key: str) -> str | None:
    """The kind of rim that a sheet's key tells of, None for sheets of colours."""
    return next((kind for kind in KINDS if key.startswith(f"{kind} ")), None)


def rim_key(rim: Rim, number: int) -> str:
    """The key of the sheet of a rim, by its place among the rims."""
    return f"{rim.kind} {number + 1}"
