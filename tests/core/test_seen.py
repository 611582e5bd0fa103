"""What of an outline is seen in a box looks there as the whole outline does."""

import itertools

import numpy as np
import shapely
from hypothesis import example, given, settings
from hypothesis import strategies as st

from amounts import examples
from sketchloom.core.curves.curveset import line_controls
from sketchloom.core.curves.outline import Outline
from sketchloom.core.curves.seen import Bounded, seen_in

STEPS = np.linspace(0, 1, 9)[:, None, None]


def outline_of(seed: int) -> Outline:
    """Closed rings of lines and cubics, small and large, also across each other."""
    rng = np.random.default_rng(seed)
    rings, straight, starts = [], [], [0]
    for _ in range(rng.integers(1, 6)):
        count = int(rng.integers(3, 30))
        turn = np.linspace(0, 2 * np.pi, count, endpoint=False)
        size = rng.choice([0.3, 5.0, 60.0]) * (1 + 0.4 * rng.random(count))
        at = rng.uniform(0, 100, 2) + size[:, None] * np.stack([np.cos(turn), np.sin(turn)], -1)
        ring = line_controls(at, np.roll(at, -1, 0))
        line = rng.random(count) < 0.5
        ring[:, 1:3] += np.where(line, 0, 1)[:, None, None] * rng.normal(0, 0.1 * size.mean(), (count, 2, 2))
        rings.append(ring)
        straight.append(line)
        starts.append(starts[-1] + count)
    count = len(starts) - 1
    return Outline(
        np.concatenate(rings), np.concatenate(straight), np.array(starts), np.ones(count), np.zeros(count, bool)
    )


def area(controls, straight, starts):
    """The even-odd area of rings, by a geometry library, curves as eight lines each."""
    whole = shapely.Polygon()
    for a, b in itertools.pairwise(starts):
        c, t = controls[a:b], STEPS
        points = (1 - t) ** 3 * c[:, 0] + 3 * t * (1 - t) ** 2 * c[:, 1] + 3 * t**2 * (1 - t) * c[:, 2] + t**3 * c[:, 3]
        points = points.transpose(1, 0, 2).reshape(-1, 2)
        if len(points) > 3 and np.ptp(points, axis=0).min() > 0:
            whole = whole.symmetric_difference(even_odd(points))
    return whole


GRID = 1e-6


def even_odd(points):
    # on a grid far finer than what is asked: noding without one fails on rings that run along themselves
    line = shapely.union_all([shapely.LineString(np.concatenate([points, points[:1]]))], grid_size=GRID)
    faces = shapely.get_parts(shapely.polygonize(shapely.get_parts(line)))
    inside = [f for f in faces if crossings(points, f.representative_point()) % 2]
    return shapely.union_all(inside) if inside else shapely.Polygon()


def crossings(points, place):
    a, b = points, np.roll(points, -1, 0)
    over = (a[:, 1] > place.y) != (b[:, 1] > place.y)
    x = a[over, 0] + (place.y - a[over, 1]) * (b[over, 0] - a[over, 0]) / (b[over, 1] - a[over, 1])
    return int((x > place.x).sum())


@given(st.integers(0, 10_000), st.floats(0, 90), st.floats(0, 90), st.sampled_from([4.0, 15.0, 60.0, 200.0]))
@example(2334, 12.4, 0.0, 60.0)  # edges of a ring in one line, on which unaided noding gives up
@settings(max_examples=examples(120), deadline=None)
def test_inside_the_box_nothing_changes(seed, left, top, side):
    outline, pixel = outline_of(seed), side / 256
    box = (left, top, left + side, top + side)
    seen = seen_in(Bounded(outline), box, pixel)
    frame = shapely.box(*box)
    differs = area(outline.controls, outline.straight, outline.starts).symmetric_difference(
        area(seen.controls, seen.straight, seen.starts)).intersection(frame)
    # short nodes that are passed over and flat curves move an edge by a fraction of a pixel
    assert differs.buffer(-0.4 * pixel).area < 2 * pixel**2


def test_what_lies_beside_the_box_costs_next_to_nothing():
    turn = np.linspace(0, 2 * np.pi, 20_000, endpoint=False)
    at = 100 + 80 * np.stack([np.cos(turn), np.sin(turn)], -1)
    ring = line_controls(at, np.roll(at, -1, 0))
    outline = Outline(ring, np.ones(len(ring), bool), np.array([0, len(ring)]), np.ones(1), np.zeros(1, bool))
    seen = seen_in(Bounded(outline), (175.0, 95.0, 185.0, 105.0), 0.04)
    assert len(seen.controls) < 1500 and seen.starts.tolist() == [0, len(seen.controls)]
    assert len(seen_in(Bounded(outline), (99.0, 99.0, 101.0, 101.0), 0.01).controls) < 400
    assert len(seen_in(Bounded(outline), (300.0, 300.0, 310.0, 310.0), 0.1).controls) == 0
