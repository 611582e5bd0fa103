"""Parts of a group laid out on carriers and rests: between their places on a sheet and those of bodies in bins."""

from collections.abc import Iterator
from dataclasses import dataclass, replace

import numpy as np
import shapely

from sketchloom.core.sheets.part import area_moved, turn_of
from sketchloom.core.sheets.placing.nofit import SAFE_MM, Keep, body_of, nothing_kept
from sketchloom.core.sheets.placing.search import Bin
from sketchloom.core.sheets.placing.sheets import plans
from sketchloom.core.sheets.plan import ROUND_MM, Group, Placed, Ready, Sheet
from sketchloom.core.sheets.rests import Rest

_BACK = 90.0
"""Bodies are laid along x, which on a roll is the way of its feed: sheets of a roll are turned by so much after it."""
_LEAST_WINDOW_MM = 8.0
"""Nothing is placed in windows that no disc of this width fits into."""


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
        run = _on(group, _Ground(carrier, offcuts, gap_mm, group), by_hand, seed, keep)
        first = next(run)
        cost = (len(first[1]), len(first[0]))
        if best is None or cost < best[0]:
            best = cost, first, run
        if cost == (0, 1):
            break
    assert best is not None  # there are carriers
    yield best[1]
    yield from best[2]


def _lies_on(rest, carrier):
    """Whether a rest lies on a carrier, as it is or turned, over the edges that cannot be cut."""
    sides = sorted((carrier.width_mm, carrier.height_mm or np.inf))
    return all(a <= b + ROUND_MM for a, b in zip(sorted((rest.width_mm, rest.height_mm)), sides, strict=True))


class _Ground:
    """Rests, and any number of one kind of carrier, as bins: sheets by their numbers, rests first."""

    def __init__(self, carrier, rests, gap_mm, group):
        self._carrier, self.gap_mm, self.is_roll = carrier, gap_mm, carrier.height_mm <= 0
        self.rests: list[Rest] = _fed(rests, carrier) if self.is_roll else list(rests)
        wide, high = carrier.usable_mm
        if self.is_roll:  # so long that all parts lie one after the other
            high = sum(max(r.box[2] - r.box[0], r.box[3] - r.box[1]) + gap_mm + 1 for r in group.ready) + 10
        self.more = self._bin(wide, high)
        self.own = [self._bin(*one.carrier.usable_mm) for one in self.rests]

    def _bin(self, wide, high):
        """Bodies are larger by half the gap all round, and may reach so far over the edge."""
        sides = (high, wide) if self.is_roll else (wide, high)
        return Bin(*(side + self.gap_mm + 2 * SAFE_MM for side in sides))

    def rest(self, number):
        """The rest that a sheet is, None for a new one."""
        return self.rests[number] if number < len(self.rests) else None

    def carrier(self, number):
        rest = self.rest(number)
        return self._carrier if rest is None else rest.carrier

    @property
    def back(self):
        """Degrees by which a body is turned before it is laid."""
        return _BACK if self.is_roll else 0.0

    def _frame(self, number):
        """Where the bin of a sheet begins on it, and how wide it is across."""
        carrier = self.carrier(number)
        bin_ = self.own[number] if number < len(self.own) else self.more
        return np.array([carrier.side_mm, carrier.end_mm]) - self.gap_mm / 2 - SAFE_MM, bin_.high

    def in_bin(self, number, xy):
        """(N, 2) places on a sheet as those in its bin."""
        begin, across = self._frame(number)
        xy = np.asarray(xy, float) - begin
        return np.stack([xy[:, 1], across - xy[:, 0]], 1) if self.is_roll else xy

    def on_sheet(self, number, xy):
        """(N, 2) places in a bin as those on its sheet."""
        begin, across = self._frame(number)
        xy = np.asarray(xy, float)
        return (np.stack([across - xy[:, 1], xy[:, 0]], 1) if self.is_roll else xy) + begin

    def missing(self):
        """What of rests is not there, as bodies that stay in their places; parts may come as near to it as to any edge.
        """
        made = []
        for number, rest in enumerate(self.rests):
            gone = rest.missing.buffer(-self.gap_mm / 2 - SAFE_MM, join_style="mitre")
            for piece in getattr(gone, "geoms", [gone]):
                if not piece.is_empty:
                    there = shapely.transform(piece, lambda xy, number=number: self.in_bin(number, xy))
                    body = body_of(shapely.MultiPolygon([there]), 0.0, simpler_mm=0.0)
                    made.append((body, (number, 0, *body.middle)))
        return made


def _fed(rests, carrier):
    """Rests that a roll's feed takes: they keep its margins, by which it holds them."""
    least = 2 * max(carrier.side_mm, carrier.end_mm) + ROUND_MM
    return [replace(one, carrier=replace(one.carrier, side_mm=carrier.side_mm, end_mm=carrier.end_mm))
            for one in rests if min(one.carrier.width_mm, one.carrier.height_mm) > least
            and one.carrier.width_mm <= carrier.width_mm + ROUND_MM]


def _on(group, ground, by_hand, seed, keep):
    """Ever better sheets on a ground."""
    gap_mm = ground.gap_mm
    bodies = [body_of(r.area, gap_mm, tuple((t - ground.back) % 360 for t in r.turns), r.mirrored, _LEAST_WINDOW_MM)
              for r in group.ready]
    put = {n: by_hand[r.part.path] for n, r in enumerate(group.ready) if r.part.path in by_hand}
    found = {n: _fixed(bodies[n], group.ready[n], spot, ground) for n, spot in put.items()}
    fixed = {n: spot for n, spot in found.items() if spot is not None}
    pinned = max((spot[0] for spot in fixed.values()), default=-1) + 1
    first = ground.own + [ground.more] * max(0, pinned - len(ground.own))
    missing = ground.missing()
    absent = {len(bodies) + n: spot for n, (_, spot) in enumerate(missing)}
    for made in plans(bodies + [body for body, _ in missing], first, ground.more, fixed, seed, keep, absent):
        sheets: dict[int, list[Placed]] = {}
        for n, spot in sorted(made.laid.items()):
            ready = group.ready[n]
            placed = _where_put(ready, put[n]) if n in fixed else _where_found(ready, bodies[n], spot, ground)
            sheets.setdefault(spot[0], []).append(placed)
        yield (tuple(Sheet(group, number, ground.carrier(number), tuple(sheets[number]), ground.rest(number))
                     for number in sorted(sheets)), tuple(group.ready[n] for n in made.left_over))


def _where_put(ready, spot):
    """A part where somebody put it."""
    left, top, *_ = area_moved(ready.area, spot.turn, ready.mirrored, 0.0, 0.0).bounds
    return Placed(ready, spot.turn, spot.left - left, spot.top - top, True)


def _where_found(ready, body, spot, ground):
    """A part at a spot of the placing: the middle of the body comes to it."""
    number, turn, x, y = spot
    degrees = (body.turns[turn] + ground.back) % 360
    middle = np.array([body.middle]) * ((-1.0 if ready.mirrored else 1.0), 1.0)
    dx, dy = ground.on_sheet(number, [(x, y)])[0] - (middle @ turn_of(degrees).T)[0]
    return Placed(ready, degrees, float(dx), float(dy))


def _fixed(body, ready, spot, ground):
    """A place set by hand as a spot of the placing; None where its turn is not allowed any more."""
    turn = next((k for k, t in enumerate(body.turns) if abs((t + ground.back - spot.turn + 180) % 360 - 180) < 1e-6),
                None)
    if turn is None:
        return None
    left, top, right, bottom = area_moved(ready.area, spot.turn, ready.mirrored, 0.0, 0.0).bounds
    middle = (spot.left + (right - left) / 2, spot.top + (bottom - top) / 2)
    x, y = ground.in_bin(spot.sheet, [middle])[0]
    return spot.sheet, turn, float(x), float(y)
