"""Bodies on as few sheets as they need: a first plan at once, better ones for as long as it is asked."""

from collections.abc import Iterator
from dataclasses import dataclass

from sketchloom.core.sheets.placing.first import Spot, first_places
from sketchloom.core.sheets.placing.nofit import Body, Keep, grown_body, nothing_kept
from sketchloom.core.sheets.placing.search import Bin, Search

_STEPS = 160
"""Places across a sheet on the raster of the first plan."""
_LEAST_STEP_MM = 0.5
MOST_IMPROVED = 70
"""Bodies whose places are bettered: more take longer than anybody waits."""
_BESIDE = 0.7072
_ROUNDS, _TRIES = 60, 12
MOST_SHEETS = 500
"""More than any job has; a guard."""


@dataclass(frozen=True, slots=True, eq=False)
class Plan:
    """``bins`` used, and the place of every body; ``left_over`` numbers of those that no bin takes; ``absent``: those
    that are no bodies but what is not there of a bin."""

    bins: tuple[Bin, ...]
    spots: dict[int, Spot]
    left_over: tuple[int, ...]
    absent: frozenset[int] = frozenset()

    @property
    def laid(self) -> dict[int, Spot]:
        """The place of every real body."""
        return {n: spot for n, spot in self.spots.items() if n not in self.absent}

    def cost(self, bodies) -> tuple:
        """Fewer sheets, then less of the last one, then less that is turned."""
        reach: dict[int, float] = {}
        for n, (number, turn, x, _) in self.laid.items():
            reach[number] = max(reach.get(number, 0.0), x + bodies[n].forms[turn].box[2])
        area = [(b.wide * b.high) for b in self.bins]
        used = sum(reach.get(k, 0.0) / b.wide * area[k] for k, b in enumerate(self.bins))
        return (len(self.left_over), len(reach), round(used, 0), sum(s[1] > 0 for s in self.laid.values()))


def plans(bodies: list[Body], first: list[Bin], more: Bin | None, fixed: dict[int, Spot] | None = None,
          seed: int = 1, keep: Keep = nothing_kept, absent: dict[int, Spot] | None = None) -> Iterator[Plan]:
    """Ever better plans, the first at once; ends when none better is found. The same seed gives the same plans.

    Parameters
    ----------
    first : sheets that are there and are to be used up first, as offcuts. more : any number of these, None for no more.
    fixed : places that stay, by the number of the body, in ``first``. keep : as of ``NoFits``. absent : bodies that are
    what is not there of one of ``first``, and where.
    """
    hollow = frozenset(absent or ())
    fixed = dict(fixed or {}) | (absent or {})
    sizes = [*first, *([more] if more else [])]
    if not bodies or not sizes:
        yield _plan(bodies, (), fixed, hollow)
        return
    step = max(min(min(b.wide, b.high) for b in sizes) / _STEPS, _LEAST_STEP_MM)
    # what stays lies beside the raster: it is taken for so much larger
    bodies = [grown_body(body, _BESIDE * step) if n in fixed else body for n, body in enumerate(bodies)]
    best = min((_at_once(bodies, first, more, fixed, step, turns, hollow) for turns in (1, None)),
               key=lambda plan: plan.cost(bodies))
    yield best
    if len(bodies) <= MOST_IMPROVED and len(best.laid) > 1:
        yield from _bettered(bodies, best, step, fixed, seed, len(first), keep)


def _at_once(bodies, first, more, fixed, step, turns, absent):
    """A plan by masks, each body into the first sheet that has room, the largest first."""
    order = sorted((n for n in range(len(bodies)) if n not in fixed), key=lambda n: (-_size(bodies[n]), n))
    bins = list(first)
    another = None if more is None else lambda: more if len(bins) < MOST_SHEETS else None
    return _plan(bodies, bins, first_places(bodies, order, bins, step, another, fixed, turns), absent)


def _size(body):
    left, top, right, bottom = body.forms[0].box
    return max(right - left, bottom - top) * (1 + body.area_mm2)


def _plan(bodies, bins, spots, absent):
    return Plan(tuple(bins), spots, tuple(n for n in range(len(bodies)) if n not in spots), absent)


def _bettered(bodies, best, step, fixed, seed, kept, keep):
    """Plans with a sheet less, or the last one less used."""
    laid = sorted(best.spots)
    which = [n in fixed for n in laid]
    search = Search([bodies[n] for n in laid], step, seed, which, keep=keep)
    for _ in range(_TRIES):
        for bins in _smaller(best, bodies, kept):
            at = _on_raster(search, best, laid, bins, step)
            if at is None:
                continue
            found = None
            for got in search.separate(at, list(bins), _ROUNDS):
                found = got
            if found is not None:
                spots = {n: (int(found.bin[k]), int(found.turn[k]), float(found.x[k] * step), float(found.y[k] * step))
                         for k, n in enumerate(laid)}
                spots |= fixed
                whole = best.bins[:len(bins)]  # a sheet that was made narrower to find them is as wide as it is
                plan = Plan(tuple(whole), spots, best.left_over, best.absent)
                if plan.cost(bodies) < best.cost(bodies):
                    best = plan
                    yield best
                    break
        else:
            return


def _smaller(plan, bodies, kept):
    """Bins with one less, and with the last one narrower than what it is used."""
    used = sorted({s[0] for s in plan.laid.values()})
    if len(used) > 1 and used[-1] >= kept:
        yield plan.bins[:used[-1]]
    last = used[-1]
    reach = max(x + bodies[n].forms[turn].box[2] for n, (number, turn, x, _) in plan.laid.items() if number == last)
    for share in (0.9, 0.96):
        yield (*plan.bins[:last], Bin(reach * share, plan.bins[last].high))


def _on_raster(search, plan, laid, bins, step):
    """A plan's places on the raster of a search, those out of its bins drawn by lot; None where one fits nowhere."""
    at = search.none()
    for k, n in enumerate(laid):
        number, turn, x, y = plan.spots[n]
        if search.fixed[k] and number >= len(bins):
            return None
        at.bin[k], at.turn[k] = min(number, len(bins) - 1), turn
        at.x[k], at.y[k] = round(x / step), round(y / step)
        if search.fixed[k]:
            continue
        window = search.reach(k, turn, bins[at.bin[k]])
        if number >= len(bins) or not (window[0] <= at.x[k] <= window[1] and window[2] <= at.y[k] <= window[3]):
            options = [(b, t, w) for b in range(len(bins)) for t in range(len(search.bodies[k].forms))
                       if (w := search.reach(k, t, bins[b]))[1] >= w[0] and w[3] >= w[2]]
            if not options:
                return None
            b, t, w = options[search.rng.integers(len(options))]
            at.bin[k], at.turn[k] = b, t
            at.x[k], at.y[k] = search.rng.integers(w[0], w[1] + 1), search.rng.integers(w[2], w[3] + 1)
    return at
