"""Figures as rings of cubics, px: circle, rounded rectangle, star, polygon, a path through points."""

import numpy as np

from sketchloom.core.base.circles import centre_through
from sketchloom.core.curves.curveset import line_controls

QUARTER = 4 / 3 * (2**0.5 - 1)
"""Handle of a quarter circle, of its radius (textbook); off by at most 2.73e-4 of the radius."""


def ellipse(centre, rx: float, ry: float, turn_rad: float = 0.0) -> np.ndarray:
    """(4, 4, 2) cubics of an ellipse."""
    k = QUARTER
    unit = np.array([[[1, 0], [1, k], [k, 1], [0, 1]]], float)
    quarter = np.array([[0, 1], [-1, 0]])
    parts = [unit]
    for _ in range(3):
        parts.append(parts[-1] @ quarter)
    return placed(np.concatenate(parts) * (rx, ry), centre, 1.0, turn_rad)


def polygon(points, radius: float = 0.0) -> np.ndarray:
    """Straight sides through (N, 2) points, the corners rounded where ``radius`` > 0, as far as the sides are long
    enough."""
    points = np.asarray(points, float)
    if radius <= 0:
        return line_controls(points, np.roll(points, -1, 0))
    before, after = np.roll(points, 1, 0) - points, np.roll(points, -1, 0) - points
    la, lb = np.hypot(*before.T), np.hypot(*after.T)
    ua, ub = before / la[:, None], after / lb[:, None]
    half = 0.5 * np.arccos(np.clip((ua * ub).sum(1), -1, 1))
    back = np.minimum(radius / np.maximum(np.tan(half), 1e-9), 0.499 * np.minimum(la, lb))
    r = back * np.tan(half)
    start, end = points + ua * back[:, None], points + ub * back[:, None]
    # a circular arc turning by pi - 2 half: handles of 4/3 tan(turn / 4) radii
    handle = (4 / 3 * np.tan((np.pi - 2 * half) / 4) * r)[:, None]
    corner = np.stack([start, start - ua * handle, end - ub * handle, end], 1)
    side = line_controls(end, np.roll(start, -1, 0))
    return np.stack([corner, side], 1).reshape(-1, 4, 2)


def rectangle(centre, width: float, height: float, radius: float = 0.0, turn_rad: float = 0.0) -> np.ndarray:
    x, y = width / 2, height / 2
    return placed(polygon([(-x, -y), (x, -y), (x, y), (-x, y)], radius), centre, 1.0, turn_rad)


def star(centre, outer: float, inner: float, points: int = 5, turn_rad: float = 0.0) -> np.ndarray:
    """A star with one point up."""
    angle = np.pi * np.arange(2 * points) / points - np.pi / 2 + turn_rad
    reach = np.where(np.arange(2 * points) % 2 == 0, outer, inner)
    return polygon(np.asarray(centre) + reach[:, None] * np.stack([np.cos(angle), np.sin(angle)], -1))


def regular(centre, radius: float, sides: int, turn_rad: float = 0.0) -> np.ndarray:
    """A regular polygon with one corner up."""
    angle = 2 * np.pi * np.arange(sides) / sides - np.pi / 2 + turn_rad
    return polygon(np.asarray(centre) + radius * np.stack([np.cos(angle), np.sin(angle)], -1))


def smooth_ring(points) -> np.ndarray:
    """A closed Catmull-Rom spline by chord lengths through (N, 2) points."""
    points = np.asarray(points, float)
    step = np.roll(points, -1, 0) - points
    length = np.maximum(np.hypot(*step.T), 1e-9)[:, None]
    slope = step / length
    before, long_before = np.roll(slope, 1, 0), np.roll(length, 1, 0)
    tangent = (before * length + slope * long_before) / (length + long_before)
    return np.stack(
        [
            points,
            points + tangent * length / 3,
            np.roll(points, -1, 0) - np.roll(tangent, -1, 0) * length / 3,
            np.roll(points, -1, 0),
        ],
        1,
    )


def bow(start, end, through, step: float = 0.25) -> np.ndarray:
    """(N, 2) points of the arc of a circle from one place to another through a third, ``step`` apart; a line where the
    three lie on one."""
    a, b, c = (np.asarray(place, float) for place in (start, end, through))
    centre = centre_through(a, b, c)
    if centre is None:
        return np.linspace(a, b, max(int(np.hypot(*(b - a)) / step), 1) + 1)
    radius = float(np.hypot(*(a - centre)))
    turn = [float(np.arctan2(*(place - centre)[::-1])) for place in (a, b, c)]
    full = 2 * np.pi
    to_end, to_through = (turn[1] - turn[0]) % full, (turn[2] - turn[0]) % full
    sweep = to_end if to_through <= to_end else to_end - full
    t = turn[0] + np.linspace(0, sweep, max(int(abs(sweep) * radius / step), 8) + 1)
    return centre + radius * np.stack([np.cos(t), np.sin(t)], -1)


def bow_drawn(points) -> tuple[np.ndarray, np.ndarray, np.ndarray]:
    """The two ends of a line drawn by hand (N, 2), N > 2, and the place that a bow between them passes through.

    A circle through both ends has one measure more, its height over the chord. Every point drawn gives it exactly; the
    median of those over the middle half counts, so that a trembling hand or a hook at an end does not.
    """
    points = np.asarray(points, float)
    a, b = points[0], points[-1]
    chord = b - a
    half = max(float(np.hypot(*chord)) / 2, 1e-9)
    middle, along = (a + b) / 2, chord / (2 * half)
    across = np.array([-along[1], along[0]])
    x, y = (points - middle) @ along, (points - middle) @ across
    gone = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    used = (np.abs(gone - gone[-1] / 2) <= gone[-1] / 4) & (np.abs(y) > 1e-6)
    x, y = x[used], y[used]
    if not len(y):
        return a, b, middle
    from_chord = (x * x + y * y - half * half) / (2 * y)  # of the centre, on the side of the point where positive
    height = from_chord + np.sign(y) * np.hypot(half, from_chord)
    return a, b, middle + across * float(np.median(height))


def placed(controls, centre, scale: float = 1.0, turn_rad: float = 0.0) -> np.ndarray:
    """Cubics about the origin turned (clockwise on the screen), scaled and moved."""
    c, s = np.cos(turn_rad), np.sin(turn_rad)
    return np.asarray(controls) * scale @ np.array([[c, s], [-s, c]]) + np.asarray(centre, float)


def around(controls, centre, count: int) -> list[np.ndarray]:
    """A ring repeated around a centre, evenly."""
    return [placed(np.asarray(controls) - centre, centre, 1.0, 2 * np.pi * n / count) for n in range(count)]
