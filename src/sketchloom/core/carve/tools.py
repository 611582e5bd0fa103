"""Tools of a router: what form each leaves, how deep and how fast it may go."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import plain, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all
from sketchloom.core.base.units import MM_PER_IN

END, BALL, VEE, POINT, DRILL = KINDS = ("end", "ball", "vee", "point", "drill")
MAX_TOOLS = 200
"""More than any workshop has; a guard against hostile files."""
_DRILL_DEG = 118.0
"""Angle of a common drill's tip (common practice, no source)."""


@dataclass(frozen=True, slots=True)
class Tool:
    """A tool. ``diameter_mm`` where it is widest; ``angle_deg`` between the two sides of a V, with a flat ``tip_mm``
    wide at its end; ``edge_mm`` how long it cuts, and so how deep it may go. ``feed`` and ``plunge``, mm/s; ``turns`` a
    minute; ``down_mm`` deeper a pass; ``over`` to the next pass, as a share of its diameter."""

    key: str = setting.text(setting.REQUIRED, most=100)
    name: str = setting.text(setting.REQUIRED, said("Name"), most=300)
    kind: str = setting.choice(setting.REQUIRED, KINDS, said("Kind"), names=(
        said("end mill"), said("ball"), said("V"), said("engraving point"), said("drill")))
    diameter_mm: float = setting.length(setting.REQUIRED, 0.05, 200.0, said("Diameter"), said("where it is widest"))
    angle_deg: float = setting.number(0.0, 0.0, 170.0, said("Angle, °"), said("between the two sides of a V"))
    tip_mm: float = setting.length(0.0, 0.0, 50.0, said("Tip"), said("width of the flat at the end of a V"))
    edge_mm: float = setting.length(20.0, 0.1, 500.0, said("Cuts so long"), said("and so goes no deeper"))
    feed: float = setting.number(15.0, 0.1, 1000.0, said("Feed, mm/s"), said("along the work"))
    plunge: float = setting.number(5.0, 0.1, 1000.0, said("Plunge, mm/s"), said("down into the work"))
    turns: float = setting.number(18_000.0, 0.0, 200_000.0, said("Turns a minute"))
    down_mm: float = setting.length(2.0, 0.01, 200.0, said("Deeper a pass"))
    over: float = setting.number(0.4, 0.01, 1.0, said("Step, share"), said("to the next pass, of its diameter"))

    def __post_init__(self):
        check_all(self, "cutters.")
        for name in ("key", "name"):
            if not getattr(self, name):
                raise SettingError(f"cutters.{name}", said("a short text"), getattr(self, name))
        if self.kind in (VEE, POINT) and self.angle_deg < 5.0:
            raise SettingError("cutters.angle_deg", said("between {least} and {most}", least=5, most=170),
                               self.angle_deg)
        if self.tip_mm > self.diameter_mm:
            raise SettingError("cutters.tip_mm", said("no more than the diameter"), self.tip_mm)

    @property
    def radius_mm(self) -> float:
        return self.diameter_mm / 2

    @property
    def slope(self) -> float:
        """How far its side rises a millimetre outwards; 0 for a flat end."""
        if self.kind in (VEE, POINT):
            return 1 / np.tan(np.radians(self.angle_deg) / 2)
        return 1 / np.tan(np.radians(_DRILL_DEG) / 2) if self.kind == DRILL else 0.0

    @property
    def is_pointed(self) -> bool:
        """Whether it cuts wider the deeper it goes."""
        return self.kind in (VEE, POINT)

    @property
    def deepest_mm(self) -> float:
        """How deep it may go: as long as it cuts; a V no deeper than it is wide."""
        if self.is_pointed:
            return min(self.edge_mm, (self.radius_mm - self.tip_mm / 2) * self.slope)
        return self.edge_mm

    def rise(self, distance) -> np.ndarray:
        """How high above its tip it cuts at distances from its axis, mm; infinite beyond its radius."""
        d = np.asarray(distance, float)
        if self.kind == BALL:
            high = self.radius_mm - np.sqrt(np.maximum(self.radius_mm**2 - d * d, 0.0))
        else:
            high = np.maximum(d - self.tip_mm / 2, 0.0) * self.slope
        return np.where(d <= self.radius_mm, high, np.inf)

    def radius_at(self, depth_mm) -> np.ndarray:
        """How far from its axis it cuts the surface where its tip is so deep below it.

        A V cuts w wide at the depth of w / 2 over the tangent of half its angle (textbook).
        """
        depth = np.maximum(np.asarray(depth_mm, float), 0.0)
        if self.kind == BALL:
            short = np.minimum(depth, self.radius_mm)
            return np.sqrt(short * (2 * self.radius_mm - short))
        if self.slope > 0:
            return np.minimum(self.tip_mm / 2 + depth / self.slope, self.radius_mm)
        return np.where(depth > 0, self.radius_mm, 0.0)

    def depth_for(self, radius_mm) -> np.ndarray:
        """How deep its tip is to cut so far from its axis, at most as deep as it may go."""
        return np.minimum(np.maximum(np.asarray(radius_mm, float) - self.tip_mm / 2, 0.0) * self.slope,
                          self.deepest_mm)


def from_plain(data, where: str = "cutters") -> tuple[Tool, ...]:
    """Tools from plain data of any origin; raises SettingError."""
    if not isinstance(data, list) or len(data) > MAX_TOOLS:
        raise SettingError(where, said("a list of at most {most}", most=MAX_TOOLS), type(data).__name__)
    made = plain.from_plain(data, tuple[Tool, ...], where)
    keys = [one.key for one in made]
    if len(set(keys)) < len(keys):
        raise SettingError(where, said("tools of different keys"), ", ".join(keys[:5]))
    return made


def to_plain(tools) -> list[dict]:
    return plain.to_plain(tuple(tools))


def shipped() -> tuple[Tool, ...]:
    """The plain generic kinds that come with the program. Feeds, turns and steps are starting values from memory: the
    manuals of machine and tool come first."""
    return _SHIPPED


def shipped_one(key: str) -> Tool:
    """One of them by its key."""
    return next(one for one in _SHIPPED if one.key == key)


def _end(key, name, diameter, **more):
    return Tool(key, str(name), END, diameter, **more)


_QUARTER_IN = MM_PER_IN / 4
_SHIPPED = (
    _end("end-12", said("End mill, 12 mm"), 12.0, edge_mm=40.0, feed=30.0, plunge=8.0, turns=16_000.0, down_mm=4.0),
    _end("end-6", said("End mill, 6 mm"), 6.0, edge_mm=30.0, feed=25.0, plunge=6.0, down_mm=3.0),
    _end("end-1/4in", said("End mill, 1/4 in"), _QUARTER_IN, edge_mm=30.0, feed=25.0, plunge=6.0, down_mm=3.0),
    _end("end-3", said("End mill, 3 mm"), 3.0, edge_mm=15.0, feed=18.0, plunge=4.0, down_mm=1.5),
    _end("end-1/8in", said("End mill, 1/8 in"), MM_PER_IN / 8, edge_mm=15.0, feed=18.0, plunge=4.0, down_mm=1.5),
    _end("end-1", said("End mill, 1 mm"), 1.0, edge_mm=4.0, feed=8.0, plunge=2.0, turns=24_000.0, down_mm=0.4),
    Tool("ball-6", str(said("Ball cutter, 6 mm")), BALL, 6.0, edge_mm=30.0, feed=25.0, plunge=6.0, down_mm=3.0,
         over=0.1),
    Tool("ball-3", str(said("Ball cutter, 3 mm")), BALL, 3.0, edge_mm=15.0, feed=18.0, plunge=4.0, down_mm=1.5,
         over=0.1),
    Tool("vee-90", str(said("V cutter, 90°")), VEE, 25.0, 90.0, edge_mm=12.5, feed=20.0, plunge=5.0, down_mm=4.0),
    Tool("vee-60", str(said("V cutter, 60°")), VEE, 12.0, 60.0, edge_mm=10.0, feed=20.0, plunge=5.0, down_mm=3.0),
    Tool("vee-1/2in-90", str(said("V cutter, 90°, 1/2 in")), VEE, 2 * _QUARTER_IN, 90.0, edge_mm=_QUARTER_IN, feed=20.0,
         plunge=5.0, down_mm=3.0),
    Tool("point-30", str(said("Engraving point, 30°")), POINT, 4.0, 30.0, tip_mm=0.2, edge_mm=7.0, feed=12.0,
         plunge=3.0, down_mm=0.5, over=0.05),
    Tool("drill-3", str(said("Drill, 3 mm")), DRILL, 3.0, edge_mm=30.0, feed=4.0, plunge=4.0, turns=8000.0,
         down_mm=3.0),
    Tool("drill-5", str(said("Drill, 5 mm")), DRILL, 5.0, edge_mm=40.0, feed=4.0, plunge=4.0, turns=6000.0,
         down_mm=4.0),
)


def with_tool(tools, tool: Tool) -> tuple[Tool, ...]:
    """A table with one of it changed, or one more."""
    if any(one.key == tool.key for one in tools):
        return tuple(tool if one.key == tool.key else one for one in tools)
    return (*tools, tool)
