"""A plan of what goes into the machine: which parts lie on which sheet, and where."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np
import shapely

from sketchloom.core.sheets.machine import Carrier, Machine
from sketchloom.core.sheets.part import Part, area_moved, moved, turn_of
from sketchloom.core.sheets.placing.nofit import SAFE_MM, Keep, body_of, nothing_kept
from sketchloom.core.sheets.placing.search import Bin
from sketchloom.core.sheets.placing.sheets import plans
from sketchloom.core.sheets.prices import Pace
from sketchloom.core.sheets.rests import Rest
from sketchloom.core.sheets.routing.cuts import Cuts, cuts_of
from sketchloom.core.sheets.routing.route import Route, route_of
from sketchloom.core.sheets.routing.run import Run, run_of, seconds_of

_BACK = 90.0
"""Bodies are laid along x, which on a roll is the way of its feed: sheets of a roll are turned by so much after it."""
_LEAST_WINDOW_MM = 8.0
"""Nothing is placed in windows that no disc of this width fits into."""


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
        over = {n for n, p in enumerate(self.placed) if p.box[0] < left - _ROUND or p.box[1] < top - _ROUND
                or p.box[2] > right + _ROUND or p.box[3] > bottom + _ROUND}
        if not self.missing.is_empty:
            missing = self.missing.buffer(-_ROUND)
            over |= {n for n, p in enumerate(self.placed) if p.area.intersects(missing)}
        near = set()
        if len(self.placed) > 1:
            areas = [p.area for p in self.placed]
            one, two = shapely.STRtree(areas).query(areas, predicate="dwithin", distance=max(gap_mm - _ROUND, 0.0))
            near = {int(n) for n, m in zip(one, two, strict=True) if n != m}
        return near, over


_ROUND = 0.02
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

    def at(self, pace: Pace | None) -> "Timed":
        """At the pace of the machine, where one was fitted."""
        if pace is None:
            return self
        return replace(self, cut_s=self.cut_s * pace.cut, travel_s=self.travel_s * pace.travel,
                       lift_s=self.lift_s * pace.lift)


def timed(sheet: Sheet, machine: Machine, thorough: bool = True) -> Timed:
    """How a machine cuts a sheet, and how long it takes."""
    machine = machine.cutting_it(sheet.group.material)
    route = route_of(sheet.cuts, machine.home_on(sheet.carrier.width_mm, sheet.length_mm), thorough=thorough)
    run = run_of(sheet.cuts, route, machine.overcut_mm)
    return Timed(route, run, *seconds_of(run, route, machine.cutting, machine.travelling, machine.lift_s,
                                         machine.passes, machine.offset_mm))


@dataclass(frozen=True, slots=True)
class Spot:
    """Where somebody put a part: number of the sheet of its group, turn in degrees, place of its box's left and top, mm
    from those of the carrier."""

    sheet: int
    turn: float
    left: float
    top: float


def placings(group: Group, carriers, gap_mm: float, by_hand: dict[str, Spot], offcuts=(), seed: int = 1,
             keep: Keep = nothing_kept) -> Iterator[tuple[tuple[Sheet, ...], tuple[Ready, ...]]]:
    """Ever better sheets for a group, the first at once, and what fits on none.

    Parameters
    ----------
    carriers : those that may be used, the smallest that needs the fewest sheets is. offcuts : rests, used first.
    by_hand : by ``Part.path``. keep : as of ``NoFits``.
    """
    if not carriers:
        yield (), group.ready
        return
    best = None
    offcuts = [rest for rest in offcuts if any(_lies_on(rest.carrier, one) for one in carriers)]
    for carrier in sorted(carriers, key=lambda c: (c.width_mm * (c.height_mm or 1e6), c.key)):
        run = _on(group, carrier, gap_mm, by_hand, offcuts, seed, keep)
        first = next(run)
        cost = (len(first[1]), len(first[0]))
        if best is None or cost < best[0]:
            best = cost, first, run
        if cost == (0, 1):
            break
    assert best is not None  # there are carriers
    yield best[1]
    yield from best[2]


def _on(group, carrier, gap_mm, by_hand, offcuts, seed, keep):
    """On one kind of carrier."""
    is_roll = carrier.height_mm <= 0
    back = _BACK if is_roll else 0.0
    bodies = [body_of(r.area, gap_mm, tuple((t - back) % 360 for t in r.turns), r.mirrored, _LEAST_WINDOW_MM)
              for r in group.ready]
    wide, high = carrier.usable_mm
    if is_roll:
        high = sum(max(r.box[2] - r.box[0], r.box[3] - r.box[1]) + gap_mm + 1 for r in group.ready) + 10
    more = _bin(high, wide, gap_mm) if is_roll else _bin(wide, high, gap_mm)
    rests = _fed(offcuts, carrier) if is_roll else list(offcuts)
    own = [_bin(*one.carrier.usable_mm[::-1 if is_roll else 1], gap_mm) for one in rests]
    every = {n: by_hand[r.part.path] for n, r in enumerate(group.ready) if r.part.path in by_hand}
    on = _carriers(rests, carrier)
    found = {n: _fixed(bodies[n], group.ready[n], spot, on(spot.sheet), gap_mm, is_roll) for n, spot in every.items()}
    fixed = {n: spot for n, spot in found.items() if spot is not None}
    first = own + [more] * max(0, max((s[0] for s in fixed.values()), default=-1) + 1 - len(own))
    across = [one.high if is_roll else None for one in (*own, more)]
    missing = _missing(rests, gap_mm, across)
    absent = {len(bodies) + n: spot for n, (_, spot) in enumerate(missing)}
    for made in plans(bodies + [body for body, _ in missing], first, more, fixed, seed, keep, absent):
        sheets: dict[int, list[Placed]] = {}
        for n, spot in sorted(made.spots.items()):
            if n in absent:
                continue
            ready = group.ready[n]
            sheets.setdefault(spot[0], []).append(
                _where_put(ready, every[n]) if n in fixed else
                _where_found(ready, bodies[n], spot, on(spot[0]), gap_mm, across[min(spot[0], len(own))]))
        yield (tuple(Sheet(group, number, on(number), tuple(sheets[number]),
                           rests[number] if number < len(rests) else None) for number in sorted(sheets)),
               tuple(group.ready[n] for n in made.left_over))


def _lies_on(rest, carrier):
    """Whether a rest lies on a carrier, as it is or turned, over the edges that cannot be cut."""
    sides = sorted((carrier.width_mm, carrier.height_mm or np.inf))
    return all(a <= b + _ROUND for a, b in zip(sorted((rest.width_mm, rest.height_mm)), sides, strict=True))


def _fed(rests, carrier):
    """Rests that a roll's feed takes: they keep its margins, by which it holds them."""
    least = 2 * max(carrier.side_mm, carrier.end_mm) + _ROUND
    return [replace(one, carrier=replace(one.carrier, side_mm=carrier.side_mm, end_mm=carrier.end_mm))
            for one in rests if min(one.carrier.width_mm, one.carrier.height_mm) > least
            and one.carrier.width_mm <= carrier.width_mm + _ROUND]


def _carriers(rests, carrier):
    """The carrier of each sheet by its number: rests come first."""
    return lambda number: rests[number].carrier if number < len(rests) else carrier


def _missing(rests, gap_mm, across):
    """What of rests is not there, as bodies that stay in their places; parts may come as near to it as to any edge.
    ``across``: the width of each on a roll, along which bodies are laid, else None."""
    made = []
    for number, rest in enumerate(rests):
        # parts are larger by half the gap all round, and may reach so far over an edge
        gone = rest.missing.buffer(-gap_mm / 2 - SAFE_MM, join_style="mitre")
        shift, wide = _shift(rest.carrier, gap_mm), across[number]

        def in_bin(xy, shift=shift, wide=wide):
            xy = xy - shift
            return xy if wide is None else np.stack([xy[:, 1], wide - xy[:, 0]], 1)
        for piece in getattr(gone, "geoms", [gone]):
            if not piece.is_empty:
                body = body_of(shapely.MultiPolygon([shapely.transform(piece, in_bin)]), 0.0, simpler_mm=0.0)
                made.append((body, (number, 0, *body.middle)))
    return made


def _where_put(ready, spot):
    """A part where somebody put it."""
    left, top, *_ = area_moved(ready.area, spot.turn, ready.mirrored, 0.0, 0.0).bounds
    return Placed(ready, spot.turn, spot.left - left, spot.top - top, True)


def _where_found(ready, body, spot, carrier, gap_mm, across):
    """A part at a spot of the placing: the middle of the body comes to it. ``across``: the width of a roll, along which
    bodies were laid, None on a carrier."""
    _, turn, x, y = spot
    degrees = (body.turns[turn] + (0.0 if across is None else _BACK)) % 360
    middle = np.array([body.middle]) * ((-1.0 if ready.mirrored else 1.0), 1.0)
    at = np.array([x, y]) if across is None else np.array([across - y, x])
    dx, dy = at - (middle @ turn_of(degrees).T)[0] + _shift(carrier, gap_mm)
    return Placed(ready, degrees, float(dx), float(dy))


def _bin(wide, high, gap_mm):
    """Bodies are larger by half the gap all round, and may reach so far over the edge."""
    return Bin(wide + gap_mm + 2 * SAFE_MM, high + gap_mm + 2 * SAFE_MM)


def _shift(carrier, gap_mm):
    return np.array([carrier.side_mm, carrier.end_mm]) - gap_mm / 2 - SAFE_MM


def _fixed(body, ready, spot, carrier, gap_mm, is_roll):
    """A place set by hand as a spot of the placing; None where its turn is not allowed any more."""
    back = _BACK if is_roll else 0.0
    turn = next((k for k, t in enumerate(body.turns) if abs((t + back - spot.turn + 180) % 360 - 180) < 1e-6), None)
    if turn is None:
        return None
    left, top, right, bottom = area_moved(ready.area, spot.turn, ready.mirrored, 0.0, 0.0).bounds
    middle = np.array([spot.left + (right - left) / 2, spot.top + (bottom - top) / 2]) - _shift(carrier, gap_mm)
    if is_roll:
        wide = carrier.usable_mm[0] + gap_mm + 2 * SAFE_MM
        middle = np.array([middle[1], wide - middle[0]])
    return spot.sheet, turn, float(middle[0]), float(middle[1])
