"""New courses for a stretch of boundary: straight, a true arc, a circle, smoother, a corner rounded or made, pulled
aside.

Each takes the stretch as a polyline (N, 2), px, and gives a polyline from the same end to the same end.
"""

import numpy as np
from scipy.linalg import solveh_banded

from sketchloom.core.base.errors import GeometryError
from sketchloom.core.base.late import late
from sketchloom.core.base.said import said
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.curves.trace_arcs import fit_strokes
from sketchloom.core.planar.junctions import Polylines

spatial = late("scipy.spatial")
optimize = late("scipy.optimize")

_STEP_PX = 1.0
"""Spacing of points on a new course."""
_LEAST_PX = 3.0
"""Shorter stretches have no course to change."""
_LEAST_OFF_PX, _MOST_OFF_PX, _NEXT_OFF = 0.1, 60.0, 1.125
"""From where, to where and in what steps the tolerance grows until a course has one node less."""


def even(points, step: float = _STEP_PX) -> np.ndarray:
    """The same line with points evenly spaced."""
    points = np.asarray(points, float)
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    if way[-1] < _LEAST_PX:
        raise GeometryError(said("the stretch is shorter than three pixels"))
    at = np.linspace(0, way[-1], max(round(way[-1] / step), 4) + 1)
    return np.stack([np.interp(at, way, points[:, c]) for c in (0, 1)], -1)


def straight(points) -> np.ndarray:
    return even(np.array([points[0], points[-1]]))


def arc(points) -> np.ndarray:
    """The arc of a circle through both ends that runs nearest to the stretch (least squares over its height)."""
    points = even(points)
    a, b = points[0], points[-1]
    chord = b - a
    length = float(np.hypot(*chord))
    if length < 1e-6:
        raise GeometryError(said("both ends lie in one place; make it a circle"))
    unit = chord / length
    normal = np.array([-unit[1], unit[0]])
    side = (points - a) @ normal
    height = float(side[np.abs(side).argmax()])

    def off(h):
        centre, radius = _circle_of(a, b, normal, length, h)
        return (
            float((np.square(np.hypot(*(points - centre).T) - radius)).sum())
            if np.isfinite(radius)
            else float((side**2).sum())
        )

    best = optimize.minimize_scalar(
        off, bounds=sorted((0.3 * height, 2.0 * height)), method="bounded", options={"xatol": 1e-6}
    ).x
    if abs(best) < 1e-3:
        return straight(points)
    centre, radius = _circle_of(a, b, normal, length, best)
    begin, end = (np.arctan2(*(p - centre)[::-1]) for p in (a, b))
    middle = np.arctan2(*((a + b) / 2 + best * normal - centre)[::-1])
    turn = (end - begin) % (2 * np.pi)
    if (middle - begin) % (2 * np.pi) > turn:
        turn -= 2 * np.pi
    count = max(int(abs(turn) * radius / _STEP_PX), 8)
    angle = begin + np.linspace(0, turn, count + 1)
    made = centre + radius * np.stack([np.cos(angle), np.sin(angle)], -1)
    made[0], made[-1] = a, b
    return made


def _circle_of(a, b, normal, length, height):
    if abs(height) < 1e-9:
        return (a + b) / 2, np.inf
    radius = (length**2 / 4 + height**2) / (2 * abs(height))
    return (a + b) / 2 + normal * (height - np.sign(height) * radius), radius


def fitted_circle(points) -> tuple[np.ndarray, float]:
    """Centre and radius of the circle nearest to points (geometric least squares, from an algebraic start; Kasa 1976).
    """
    points = np.asarray(points, float)
    mean = points.mean(0)
    p = points - mean
    start = np.linalg.lstsq(np.column_stack([2 * p, np.ones(len(p))]), (p * p).sum(1), rcond=None)[0]
    radius = np.sqrt(max(start[2] + start[:2] @ start[:2], 1e-9))
    found = optimize.least_squares(lambda v: np.hypot(*(p - v[:2]).T) - v[2], [*start[:2], radius]).x
    return found[:2] + mean, float(abs(found[2]))


def circle(points, centre=None, radius: float | None = None) -> np.ndarray:
    """A whole circle, fitted or given, that begins near the stretch's begin and runs round the same way."""
    points = np.asarray(points, float)
    own_centre, own_radius = fitted_circle(points)
    centre, radius = (
        own_centre if centre is None else np.asarray(centre, float),
        own_radius if radius is None else radius,
    )
    ahead = np.roll(points, -1, 0)
    turns = np.sign((points[:, 0] * ahead[:, 1] - points[:, 1] * ahead[:, 0]).sum())
    begin = np.arctan2(*(points[0] - centre)[::-1])
    angle = begin + turns * np.linspace(0, 2 * np.pi, max(int(2 * np.pi * radius / _STEP_PX), 24) + 1)
    return centre + radius * np.stack([np.cos(angle), np.sin(angle)], -1)


def smooth(points, strength: float = 1.0) -> np.ndarray:
    """The stretch with its bumps taken out, its ends and their directions kept.

    References
    ----------
    Whittaker 1923, "On a new method of graduation": least squares with a penalty on second differences.
    """
    points = even(points)
    n = len(points)
    weight = strength * min(n / 4.0, 60.0) ** 3
    fixed = np.zeros(n)
    fixed[[0, 1, -2, -1]] = 1e9
    # bands of I + weight D'D, D the second differences
    diagonal = np.full(n, 6.0)
    diagonal[[0, -1]], diagonal[[1, -2]] = 1.0, 5.0
    first = np.full(n - 1, -4.0)
    first[[0, -1]] = -2.0
    bands = np.zeros((3, n))
    bands[2] = 1.0 + fixed + weight * diagonal
    bands[1, 1:] = weight * first
    bands[0, 2:] = weight
    return solveh_banded(bands, points * (1.0 + fixed)[:, None])


def simpler(points, tolerance_px: float) -> np.ndarray:
    """The stretch in as few cubics as stay within a distance of it: nodes go where they change least."""
    points = even(points)
    return _drawn(points, _cubics(points, tolerance_px))


def one_node_less(points) -> np.ndarray:
    """The stretch with at least one node less than it has, in the course that is changed least for that (within an
    eighth).

    Raises GeometryError where no node is left to take out.
    """
    points = even(points)
    count = len(_cubics(points, _LEAST_OFF_PX))
    off = _LEAST_OFF_PX
    while count > 1 and off < _MOST_OFF_PX:
        off *= _NEXT_OFF
        controls = _cubics(points, off)
        if len(controls) < count:
            return _drawn(points, controls)
    raise GeometryError(said("there is no node to take out"))


def _cubics(points, tolerance_px):
    return fit_strokes(Polylines(points, np.array([0, len(points)], np.intp), np.zeros(1, bool)), tolerance_px).controls


def _drawn(points, controls):
    t = np.linspace(0, 1, 24, endpoint=False)
    made = evaluate(controls[:, None], t[None]).reshape(-1, 2)
    return even(np.concatenate([points[:1], made[1:], points[-1:]]), 0.75)


def rounded(points, radius: float) -> np.ndarray:
    """The corner of the stretch rounded by an arc that touches both sides."""
    points = even(points)
    at = _corner(points)
    corner = points[at]
    before, after = points[0] - corner, points[-1] - corner
    la, lb = np.hypot(*before), np.hypot(*after)
    if min(la, lb) < 1.0:
        raise GeometryError(said("the stretch has no corner between its ends"))
    ua, ub = before / la, after / lb
    half = 0.5 * np.arccos(np.clip(ua @ ub, -1, 1))
    back = min(radius / max(np.tan(half), 1e-6), 0.98 * min(la, lb))
    r = back * np.tan(half)
    axis = (ua + ub) / max(np.hypot(*(ua + ub)), 1e-9)
    centre = corner + axis * (r / max(np.sin(half), 1e-6))
    begin, end = (np.arctan2(*(corner + u * back - centre)[::-1]) for u in (ua, ub))
    turn = (end - begin + np.pi) % (2 * np.pi) - np.pi
    angle = begin + np.linspace(0, turn, max(int(abs(turn) * r / 0.5), 6) + 1)
    round_ = centre + r * np.stack([np.cos(angle), np.sin(angle)], -1)
    return np.concatenate([points[:1], round_, points[-1:]])


def cornered(points) -> np.ndarray:
    """Both ends run on straight until they meet."""
    points = even(points)
    k = min(4, len(points) // 4)
    a, b = points[0], points[-1]
    u, v = points[k] - a, points[-1 - k] - b
    cross = u[0] * v[1] - u[1] * v[0]
    if abs(cross) < 1e-6 * np.hypot(*u) * np.hypot(*v):
        raise GeometryError(said("both ends run the same way and do not meet"))
    w = b - a
    t, s = (w[0] * v[1] - w[1] * v[0]) / cross, (w[0] * u[1] - w[1] * u[0]) / cross
    if t <= 0 or s <= 0:
        raise GeometryError(said("both ends run away from each other and do not meet"))
    return even(np.array([a, a + t * u, b]))


def pulled(points, at: float, by) -> np.ndarray:
    """The place a share ``at`` along moved by a vector, what lies around it along, the ends and their directions kept.
    """
    points = even(points)
    share = np.linspace(0, 1, len(points))
    side = np.where(share <= at, share / max(at, 1e-6), (1 - share) / max(1 - at, 1e-6))
    return points + np.square(np.sin(0.5 * np.pi * np.clip(side, 0, 1)))[:, None] * np.asarray(by, float)


_MOST_COMPARED = 4000
"""Places on each line that are compared: a longer one held the window up (0.7 s in random gestures)."""


def deviation(points, path) -> float:
    """Greatest distance between a stretch and its new course, either way (Hausdorff)."""
    a, b = (even(line, max(0.5, float(np.hypot(*np.diff(line, axis=0).T).sum()) / _MOST_COMPARED))
            for line in (np.asarray(points, float), np.asarray(path, float)))
    return float(max(spatial.cKDTree(a).query(b)[0].max(), spatial.cKDTree(b).query(a)[0].max()))


def _corner(points):
    """The place of the sharpest turn, looked at over a few points."""
    n = len(points)
    span = max(2, min(6, n // 4))
    inner = np.arange(span, n - span)
    before, after = points[inner] - points[inner - span], points[inner + span] - points[inner]
    turn = np.abs(np.arctan2(before[:, 0] * after[:, 1] - before[:, 1] * after[:, 0], (before * after).sum(1)))
    return int(inner[turn.argmax()])
