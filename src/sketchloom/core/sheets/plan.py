"""A plan of what goes into the machine: which parts lie on which sheet, and where."""

from dataclasses import dataclass
from functools import cached_property

import numpy as np
import shapely

from sketchloom.core.sheets.machine import Carrier, Machine
from sketchloom.core.sheets.part import Part, area_moved, moved, turn_of
from sketchloom.core.sheets.prices import Pace
from sketchloom.core.sheets.rests import Rest
from sketchloom.core.sheets.routing.cuts import Cuts, cuts_of
from sketchloom.core.sheets.routing.route import Route, route_of
from sketchloom.core.sheets.routing.run import Run, run_of, seconds_of


@dataclass(frozen=True, eq=False)
class Ready:
    """A part as it is placed: with the ``frame`` (K, 2) mm around it, None for none, ``helpers`` and ``marks`` cut with
    it, in the work's coordinates; the ``turns`` (degrees) it bears; ``mirrored`` on the sheet. ``test``: it is no part
    of the work but a test cut."""

    part: Part
    turns: tuple[float, ...] = (0.0,)
    mirrored: bool = False
    frame: np.ndarray | None = None
    helpers: tuple[np.ndarray, ...] = ()
    test: bool = False

    @cached_property
    def area(self) -> shapely.MultiPolygon:
        """What it takes of a sheet."""
        if self.frame is None:
            return self.part.area
        return shapely.MultiPolygon([shapely.Polygon(self.frame)])

    @property
    def box(self) -> tuple[float, float, float, float]:
        return self.part.box if self.frame is None else (*self.frame.min(0), *self.frame.max(0))


@dataclass(frozen=True, eq=False)
class Placed:
    """A part on a sheet: mirrored if it is to be, then turned by ``turn`` degrees (clockwise), then moved by ``dx`` and
    ``dy``, mm from the left and top of the sheet's carrier. ``by_hand``: somebody put it there."""

    ready: Ready
    turn: float
    dx: float
    dy: float
    by_hand: bool = False

    @property
    def part(self) -> Part:
        return self.ready.part

    @cached_property
    def outline(self):
        return moved(self.part.outline, self.turn, self.ready.mirrored, self.dx, self.dy)

    @cached_property
    def area(self):
        """What it takes of the sheet."""
        return area_moved(self.ready.area, self.turn, self.ready.mirrored, self.dx, self.dy)

    def line(self, points) -> np.ndarray:
        """A polyline of the work's coordinates on the sheet."""
        flip = np.array([-1.0 if self.ready.mirrored else 1.0, 1.0])
        return (np.asarray(points, float) * flip) @ turn_of(self.turn).T + (self.dx, self.dy)

    def way(self, direction) -> tuple[float, float]:
        """A direction of the work's coordinates on the sheet."""
        to, origin = self.line([direction, (0.0, 0.0)])
        dx, dy = to - origin
        return float(dx), float(dy)

    @cached_property
    def box(self) -> tuple[float, float, float, float]:
        left, top, right, bottom = self.area.bounds
        return float(left), float(top), float(right), float(bottom)


@dataclass(frozen=True, eq=False)
class Group:
    """What shares sheets: of one material, None for not said, and of colours that no eye tells apart. ``name`` and
    ``hex`` of its first layer."""

    material: str | None
    name: str
    hex: str
    ready: tuple[Ready, ...]

    @property
    def key(self) -> str:
        return f"{self.material or ''}/{self.hex}"


@dataclass(frozen=True, eq=False)
class Sheet:
    """A sheet on its carrier. ``number`` within its group from 0, rests first, also those
    that are not used; ``length_mm`` of the carrier that is used, which on a
    roll is what is cut off; the ``rest`` of other work it is, None for a new one."""

    group: Group
    number: int
    carrier: Carrier
    placed: tuple[Placed, ...]
    rest: Rest | None = None

    @property
    def is_offcut(self) -> bool:
        return self.rest is not None

    @cached_property
    def missing(self) -> shapely.Geometry:
        """What of its carrier's box is not there: of a rest that is no box."""
        return shapely.Polygon() if self.rest is None else self.rest.missing

    @cached_property
    def length_mm(self) -> float:
        if self.carrier.height_mm > 0:
            return self.carrier.height_mm
        return max((p.box[3] for p in self.placed), default=0.0) + self.carrier.end_mm

    @cached_property
    def usable(self) -> tuple[float, float, float, float]:
        """Left, top, right, bottom mm of what can be cut, as far as it is used on a roll."""
        wide, high = self.carrier.usable_mm
        left, top = self.carrier.side_mm, self.carrier.end_mm
        bottom = top + high if np.isfinite(high) else max(self.length_mm - top, top)
        return left, top, left + wide, bottom

    @cached_property
    def used_share(self) -> float:
        """Share of what can be cut that parts take."""
        left, top, right, bottom = self.usable
        room = max((right - left) * (bottom - top) - self.missing.area, 1e-9)
        return min(sum(p.part.area.area for p in self.placed) / room, 1.0)

    @cached_property
    def cuts(self) -> Cuts:
        lines = [p.line(line) for p in self.placed for line in p.ready.helpers]
        frames = [p.line(p.ready.frame) for p in self.placed if p.ready.frame is not None]
        return cuts_of([p.outline for p in self.placed if not p.ready.test], lines, frames,
                       [p.outline for p in self.placed if p.ready.test])

    def trouble(self, gap_mm: float) -> tuple[set[int], set[int]]:
        """Numbers of the placed parts that lie nearer to another than the gap, and of those over the edge."""
        left, top, right, bottom = self.usable
        if self.carrier.height_mm <= 0:
            bottom = np.inf
        over = {n for n, p in enumerate(self.placed) if p.box[0] < left - ROUND_MM or p.box[1] < top - ROUND_MM
                or p.box[2] > right + ROUND_MM or p.box[3] > bottom + ROUND_MM}
        if not self.missing.is_empty:
            missing = self.missing.buffer(-ROUND_MM)
            over |= {n for n, p in enumerate(self.placed) if p.area.intersects(missing)}
        near = set()
        if len(self.placed) > 1:
            areas = [p.area for p in self.placed]
            one, two = shapely.STRtree(areas).query(areas, predicate="dwithin", distance=max(gap_mm - ROUND_MM, 0.0))
            near = {int(n) for n, m in zip(one, two, strict=True) if n != m}
        return near, over


ROUND_MM = 0.02
"""Less than this is rounding, mm."""


@dataclass(frozen=True, slots=True, eq=False)
class Timed:
    """A sheet's route and its times, s."""

    route: Route
    run: Run
    cut_s: float
    travel_s: float
    lift_s: float

    @property
    def machine_s(self) -> float:
        return self.cut_s + self.travel_s + self.lift_s


def timed(sheet: Sheet, machine: Machine, thorough: bool = True, pace: Pace | None = None) -> Timed:
    """How a machine cuts a sheet, and how long it takes, at its ``pace`` where one was fitted."""
    machine = machine.cutting_it(sheet.group.material)
    route = route_of(sheet.cuts, machine.home_on(sheet.carrier.width_mm, sheet.length_mm), thorough=thorough)
    run = run_of(sheet.cuts, route, machine.overcut_mm)
    cutting = machine.cutting if pace is None else pace.moving(machine.cutting)
    cut, travel, lift = seconds_of(run, route, cutting, machine.travelling, machine.lift_s, machine.passes,
                                   machine.offset_mm)
    if pace is not None:
        travel, lift = travel * pace.travel, lift * pace.lift
    return Timed(route, run, cut, travel, lift)
