"""Operations: what is carved, with which tool, how deep. An ordered list of them is carved one after the other."""

from dataclasses import dataclass, field

from sketchloom.core.base import setting
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all

PROFILE, POCKET, GROOVE, CARVE, ENGRAVE, DRILLING, SURFACE, EDGE = KINDS = (
    "profile", "pocket", "groove", "carve", "engrave", "drill", "surface", "edge")
BOARD, FIELD, MIDDLE, LAYER, REGION, SHAPE, LINE, WORK = TARGETS = (
    "board", "field", "middle", "layer", "region", "shape", "line", "work")
OUTSIDE, INSIDE, ON = SIDES = ("outside", "inside", "on")
OFFSET, RASTER = WAYS = ("offset", "raster")
MAX_OPERATIONS, MAX_RAISED = 200, 60
"""More than any sign has; a guard against hostile files."""


@dataclass(frozen=True, slots=True)
class Target:
    """What is carved: the ``board``'s outline, the ``field`` within its rim, the ``middle`` line of the rim, a
    ``layer`` by its key, the ``region`` at a place ``x``, ``y`` (shares of the picture as it came), a ``shape`` (a
    word, a figure) by its name and its middle, the split ``line`` with its middle there, or all of the ``work``."""

    kind: str = setting.choice(FIELD, TARGETS)
    key: str = setting.text("", most=300)
    x: float = setting.number(0.0, -10.0, 10.0)
    y: float = setting.number(0.0, -10.0, 10.0)

    def __post_init__(self):
        check_all(self, "operations.of.")


@dataclass(frozen=True, slots=True)
class Operation:
    """One operation on a target with a tool (its key). It begins ``from_mm`` below the upper face and ends
    ``depth_mm`` below that. ``side`` and ``tabs`` of a profile, each ``tab_mm`` long and ``tab_high_mm`` high;
    ``lead_mm``: radius of the bows by which it is entered and left. ``way`` and ``angle_deg`` of a pocket;
    ``raised``: what stays standing in it; ``rest_of``: the tool (its key) that was there before, whose rests alone are
    cleared. ``flat_mm``: no V goes deeper; what is wider is cleared flat, by ``clear_with`` (its key) where that is
    said. ``step_mm`` to the next pass, ``down_mm`` deeper a pass, ``feed`` and ``plunge``: 0 for the tool's own."""

    kind: str = setting.choice(POCKET, KINDS, said("Operation"), said("what is done"), names=(
        said("Cut along an outline"), said("Pocket"), said("Groove along a line"), said("V-carving"),
        said("Engrave along a line"), said("Drill"), said("Level the surface"), said("Break the edge")))
    of: Target = field(default_factory=Target)
    tool: str = setting.text("end-6", most=100)
    depth_mm: float = setting.length(3.0, 0.01, 300.0, said("Depth"), said("below where it begins"))
    from_mm: float = setting.length(0.0, 0.0, 300.0, said("Begins at"), said("so far below the upper face"))
    side: str = setting.choice(OUTSIDE, SIDES, said("Side"), said("where the tool runs"),
                               names=(said("Outside"), said("Inside"), said("On the line")))
    tabs: int = setting.whole(0, 0, 100, said("Tabs"), said("bridges that hold what is cut out"))
    tab_mm: float = setting.length(8.0, 0.5, 200.0, said("Length of a tab"), said("along the cut"))
    tab_high_mm: float = setting.length(2.0, 0.1, 100.0, said("Height of a tab"), said("from the bottom of the cut"))
    lead_mm: float = setting.length(0.0, 0.0, 100.0, said("Lead in and out"), said("radius of the bow; 0 for none"))
    way: str = setting.choice(OFFSET, WAYS, said("Cleared"), said("how the tool goes over it"),
                              names=(said("Along its outline"), said("To and fro")))
    angle_deg: float = setting.number(0.0, -180.0, 180.0, said("Angle"), said("of the passes to and fro"))
    raised: tuple[Target, ...] = setting.parts((), 0, MAX_RAISED, about=said("what stays standing"))
    rest_of: str = setting.text("", most=100, about=said("tool whose rests are cleared"))
    flat_mm: float = setting.length(0.0, 0.0, 300.0, said("Flat bottom at"), said("no V goes deeper; 0 for no limit"))
    clear_with: str = setting.text("", most=100, about=said("tool that clears what is wider than the V"))
    step_mm: float = setting.length(0.0, 0.0, 200.0, said("Step"), said("to the next pass; 0 for the tool's own"))
    down_mm: float = setting.length(0.0, 0.0, 200.0, said("Deeper a pass"), said("0 for the tool's own"))
    feed: float = setting.number(0.0, 0.0, 1000.0, said("Feed"), said("mm/s; 0 for the tool's own"))
    plunge: float = setting.number(0.0, 0.0, 1000.0, said("Plunge"), said("mm/s; 0 for the tool's own"))
    on: bool = setting.switch(True, said("Carved"), said("left out where it is off"))
    name: str = setting.text("", most=200)

    def __post_init__(self):
        check_all(self, "operations.")

    @property
    def bottom_mm(self) -> float:
        """How far below the upper face it ends."""
        return self.from_mm + self.depth_mm
