"""The cheapest seam through a field of costs, from its upper edge to its lower one.

A seam never turns back upwards: a tongue between two legs of it would bend and break. It may go straight on, slanting
or level, and pays for its turns by what they cost where they are.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.sheets.dividing.field import Field

TURN_MM, TURN_LEAST = 1.0, 0.02
"""A turn by 45° costs as much as so many mm of seam where it is, and in any case a little (chosen by looking at the
banner: with none the seam is a flight of steps, with 5 it takes no cover that is not in its way)."""
_DIAGONAL = float(np.sqrt(2))
_SLANTS = (-1, 0, 1)
_LEFT, _RIGHT = 3, 4
"""Ways of coming to a pixel: from the upper right, from above, from the upper left, going left and going right."""
_ANGLE = np.array([[0, 1, 2, 1, 3], [1, 0, 1, 2, 2], [2, 1, 0, 3, 1], [1, 2, 3, 0, 4], [3, 2, 1, 4, 0]], float)
"""Turns between them, in eighths."""
_ROUND = 1e-6
_FINE_MM = 0.35
"""Jags of the raster are smaller than this."""
_MOST_JOINTS = 160


@dataclass(frozen=True, slots=True, eq=False)
class Seam:
    """``points`` (K, 2) mm from above downwards; its ``cost``, and the length that is ``seen``, mm."""

    points: np.ndarray
    cost: float
    seen: float


def cheapest(field: Field, low: float, high: float) -> Seam:
    """The cheapest seam whose every place lies between two x, mm; refined to any slant. A straight one is taken where
    no other is cheaper, or the cheaper one is seen more."""
    points = on_raster(field, low, high)
    found = [seam_of(field, p) for p in (_pulled(field, points), points[_joints(points)])]
    plain = straight(field, low, high)
    good = [s for s in found if s.cost < plain.cost - _ROUND and s.seen <= plain.seen + _ROUND]
    return min(good, key=lambda s: s.cost, default=plain)


def on_raster(field: Field, low: float, high: float) -> np.ndarray:
    """The same as pixels' middles (K, 2) mm, unrefined."""
    first, last = _columns_between(field, low, high)
    rows, columns = best_columns(field.cost[:, first:last + 1] * field.step, TURN_MM / field.step, TURN_LEAST)
    return np.column_stack([columns + first, rows]) * field.step + field.origin


def _columns_between(field, low, high):
    """The first and last column of pixels between two x; one at least."""
    most = field.cost.shape[1] - 1
    first = min(max(int(np.ceil((low - field.origin[0]) / field.step - 1e-6)), 0), most)
    last = min(int(np.floor((high - field.origin[0]) / field.step + 1e-6)), most)
    return first, max(last, first)


def straight(field: Field, low: float, high: float) -> Seam:
    """The cheapest upright straight seam between two x."""
    first, last = _columns_between(field, low, high)
    sums = field.cost[:, first:last + 1].sum(0)
    # of many that cost the same the one in the middle: both parts alike
    best = np.flatnonzero(sums <= sums.min() + 1e-6)
    column = first + best[np.abs(best - (last - first) / 2).argmin()]
    x, bottom = field.origin[0] + column * field.step, field.origin[1] + (len(field.cost) - 1) * field.step
    return seam_of(field, np.array([(x, field.origin[1]), (x, bottom)]))


def seam_of(field: Field, points) -> Seam:
    """A seam along points with what it costs."""
    points = np.asarray(points, float)
    return Seam(points, cost_of(field, points), field.along(points, field.seen))


def cost_of(field: Field, points) -> float:
    """Cost of a polyline with its turns."""
    points = np.asarray(points, float)
    steps = np.diff(points, axis=0)
    if len(steps) < 2:
        return field.along(points)
    turn = np.abs(np.arctan2(steps[:-1, 0] * steps[1:, 1] - steps[:-1, 1] * steps[1:, 0],
                             (steps[:-1] * steps[1:]).sum(1))) / (np.pi / 4)
    return field.along(points) + float((turn * (TURN_MM * field.at(points[1:-1]) + TURN_LEAST)).sum())


def best_columns(cost, turn_px: float, turn_least: float) -> tuple[np.ndarray, np.ndarray]:
    """Rows and columns of the cheapest way from the first row to the last, in eight directions but never upwards.

    Parameters
    ----------
    cost : (H, W) of one step to the next pixel, half of it from either. turn_px : a turn by 45° costs so many steps.

    Row by row: what comes from above goes on level by running minima, then down (exact; ``tests`` hold it against a
    search through all states).
    """
    height, width = cost.shape
    cost = np.asarray(cost, float)
    best = np.full((5, width), np.inf)
    best[1] = 0.0  # begun without a turn: it comes from above
    came = np.zeros((height, 5, width), np.int16)  # the way it came to the pixel before
    begun = np.zeros((height, 2, width), np.int16)  # the column at which it began to go level
    for y in range(height):
        turn = turn_px * cost[y] + turn_least
        _go_level(best, cost[y], turn, came[y], begun[y])
        if y == height - 1:
            break
        down = np.full((5, width), np.inf)
        for way, slant in enumerate(_SLANTS):
            options = best + _ANGLE[:, way, None] * turn
            chosen = options.argmin(0)
            value = options[chosen, np.arange(width)]
            here = slice(max(0, -slant), width - max(0, slant))
            there = slice(max(0, slant), width + min(0, slant))
            length = _DIAGONAL if slant else 1.0
            down[way, there] = value[here] + 0.5 * length * (cost[y, here] + cost[y + 1, there])
            came[y + 1, way, there] = chosen[here]
        best = down
    return _traced_back(best, came, begun)


def _go_level(best, row, turn, came, begun):
    """Ways that end going left or right within a row, from the ways that came down to it."""
    width = len(row)
    steps = 0.5 * (row[:-1] + row[1:])
    reach = np.concatenate([[0.0], np.cumsum(steps)])
    for way, sign in ((_LEFT, -1), (_RIGHT, 1)):
        options = best[:3] + _ANGLE[:3, way, None] * turn
        chosen = options.argmin(0)
        value = options[chosen, np.arange(width)] - sign * reach
        order = slice(None, None, sign)
        lowest = np.minimum.accumulate(value[order])
        at = np.maximum.accumulate(np.where(value[order] <= lowest, np.arange(width), 0))
        at = at if sign > 0 else width - 1 - at
        # at least one step: what begins here has not gone
        before = np.concatenate([[np.inf], lowest[:-1]])
        start = np.concatenate([at[:1], at[:-1]])
        best[way] = (before[order] + sign * reach) if sign > 0 else (before[::-1] - reach)
        begun[way - _LEFT] = start[order]
        came[way] = chosen[begun[way - _LEFT]]


def _traced_back(best, came, begun):
    height, _, width = came.shape
    way = int(best.min(1).argmin())
    values = best[way]
    near = np.flatnonzero(values <= values.min() + 1e-9)
    x, y = int(near[np.abs(near - (width - 1) / 2).argmin()]), height - 1
    rows, columns = [y], [x]
    while True:
        if way >= _LEFT:
            start, before = int(begun[y, way - _LEFT, x]), int(came[y, way, x])
            step = 1 if start > x else -1
            columns += range(x + step, start + step, step)
            rows += [y] * abs(start - x)
            x, way = start, before
        if y == 0:
            break
        before = int(came[y, way, x])
        x, y, way = x - _SLANTS[way], y - 1, before
        rows.append(y)
        columns.append(x)
    return np.array(rows[::-1]), np.array(columns[::-1])


def _joints(points):
    """Numbers of the points of a polyline where it turns, and of its ends."""
    steps = np.diff(points, axis=0)
    turns = np.abs(steps[:-1, 0] * steps[1:, 1] - steps[:-1, 1] * steps[1:, 0]) > 1e-9
    return np.concatenate([[0], np.flatnonzero(turns) + 1, [len(points) - 1]])


def _pulled(field, points):
    """The cheapest polyline over some of the points: slants that a raster has not."""
    from shapely import LineString  # it is heavy, and a plan that divides nothing needs none

    corners = np.asarray(LineString(points[_joints(points)]).simplify(_FINE_MM).coords)
    length = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(corners, axis=0).T))])
    every = max(length[-1] / _MOST_JOINTS, 4 * field.step)
    at = np.unique(np.concatenate([length, np.arange(0.0, length[-1], every)]))
    places = np.column_stack([np.interp(at, length, corners[:, k]) for k in (0, 1)])
    count = len(places)
    one, two = np.triu_indices(count, 1)
    down = places[two, 1] >= places[one, 1] - 1e-9
    cost = np.full((count, count), np.inf)
    cost[one[down], two[down]] = _costs(field, places[one[down]], places[two[down]])
    turn = TURN_MM * field.at(places) + TURN_LEAST
    total, before = np.full(count, np.inf), np.zeros(count, np.intp)
    total[0] = 0.0
    for n in range(1, count):  # a joint is charged a turn of 45°: what it is in truth is known only after it
        options = total[:n] + cost[:n, n] + np.where(np.arange(n) > 0, 0.5 * turn[:n], 0.0)
        before[n] = options.argmin()
        total[n] = options[before[n]]
    path = [count - 1]
    while path[-1]:
        path.append(int(before[path[-1]]))
    return places[path[::-1]]


def _costs(field, one, two):
    """Costs of many straight lines, by a fixed number of samples each."""
    samples = 48
    share = (np.arange(samples) + 0.5) / samples
    length = np.hypot(*(two - one).T)
    made = np.empty(len(one))
    for part in np.array_split(np.arange(len(one)), len(one) // 20_000 + 1):
        places = one[part, None] + share[:, None] * (two - one)[part, None]
        made[part] = field.at(places.reshape(-1, 2)).reshape(-1, samples).mean(1)
    return made * length
