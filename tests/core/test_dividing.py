"""Layers divided along seams: the cheapest of all, shared by both sides, and as few parts as the carriers allow."""

import heapq

import numpy as np
import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely import Point, Polygon, box

from amounts import examples
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.shapes.polygons import area_of_outline, areas_of, outline_of_area, straight_outline
from sketchloom.core.sheets.dividing import division
from sketchloom.core.sheets.dividing import room as room_rules
from sketchloom.core.sheets.dividing.field import field_of
from sketchloom.core.sheets.dividing.parting import parted
from sketchloom.core.sheets.dividing.seam import best_columns, cheapest, cost_of, straight
from sketchloom.core.sheets.part import Part

NOTHING = shapely.MultiPolygon()


def part_of(area, exact=False):
    made = straight_outline(areas_of(area)) if exact else outline_of_area(areas_of(area), 0.03)
    return Part("#203040", "base", "#203040", None, made)


def searched(cost, turn_px, turn_least):
    """The cost of the cheapest way by a search through all states: every pixel with the way it was come to."""
    steps = {0: (1, -1), 1: (1, 0), 2: (1, 1), 3: (0, -1), 4: (0, 1)}
    angle = {0: 45, 1: 0, 2: -45, 3: 90, 4: -90}
    height, width = cost.shape
    queue = [(0.0, 0, x, 1) for x in range(width)]
    done = {}
    while queue:
        total, y, x, way = heapq.heappop(queue)
        if (y, x, way) in done:
            continue
        done[y, x, way] = total
        for onward, (dy, dx) in steps.items():
            turn = abs(angle[way] - angle[onward]) / 45
            v, u = y + dy, x + dx
            if 0 <= u < width and v < height and turn < 4:
                length = np.hypot(dx, dy)
                step = 0.5 * length * (cost[y, x] + cost[v, u]) + turn * (turn_px * cost[y, x] + turn_least)
                heapq.heappush(queue, (total + step, v, u, onward))
    return min(total for (y, _, _), total in done.items() if y == height - 1)


def cost_on_raster(rows, columns, cost, turn_px, turn_least):
    total, before = 0.0, (1, 0)
    for (y, x), (v, u) in zip(zip(rows, columns, strict=True), list(zip(rows, columns, strict=True))[1:], strict=False):
        step = (v - y, u - x)
        turn = abs(np.arctan2(before[0] * step[1] - before[1] * step[0], np.dot(before, step))) / (np.pi / 4)
        total += turn * (turn_px * cost[y, x] + turn_least) + 0.5 * np.hypot(*step) * (cost[y, x] + cost[v, u])
        before = step
    return total


@settings(max_examples=examples(60), deadline=None)
@given(st.integers(0, 10_000), st.integers(2, 7), st.integers(1, 7), st.sampled_from([0.0, 0.4, 2.0]))
def test_the_seam_is_the_cheapest_of_all(seed, height, width, turn):
    """Against a search through every state of a small field (Dijkstra 1959)."""
    cost = np.random.default_rng(seed).choice([0.0, 0.05, 1.0, 4.0], (height, width))
    rows, columns = best_columns(cost, turn, 0.02)
    assert rows[0] == 0 and rows[-1] == height - 1 and (np.diff(rows) >= 0).all()
    assert np.abs(np.diff(columns)).max(initial=0) <= 1
    assert cost_on_raster(rows, columns, cost, turn, 0.02) == pytest.approx(searched(cost, turn, 0.02), abs=1e-9)


def blob(rng, x, y, radius):
    turn = np.linspace(0, 2 * np.pi, 60, endpoint=False)
    size = radius * (1 + 0.3 * np.cos(3 * turn + rng.uniform(0, 6)) + 0.1 * np.cos(7 * turn + rng.uniform(0, 6)))
    return Polygon(np.column_stack([x + size * np.cos(turn), y + size * np.sin(turn)])).buffer(0)


@settings(max_examples=examples(25), deadline=None)
@given(st.integers(0, 10_000))
def test_both_sides_share_the_seam_bit_for_bit_and_nothing_is_lost(seed):
    rng = np.random.default_rng(seed)
    area = shapely.union_all([blob(rng, *rng.uniform(40, 160, 2), rng.uniform(20, 60)) for _ in range(4)])
    area = areas_of(area.difference(shapely.union_all([blob(rng, *rng.uniform(40, 160, 2), 12) for _ in range(3)])))
    outline = part_of(area).outline
    y = np.sort(rng.uniform(-50, 250, 6))
    seam = np.column_stack([rng.uniform(70, 130, 8), [-100, *y, 300]])
    seam = np.insert(seam, 4, (seam[3, 0] + 20, seam[3, 1]), 0)  # a level stretch
    left, right = parted(outline, seam)
    whole = area_of_outline(outline, 1e-4)
    parts = [area_of_outline(one, 1e-4) for one in (left, right)]
    assert sum(p.area for p in parts) == pytest.approx(whole.area, rel=1e-6)
    assert sum(one.area_px.sum() for one in (left, right)) == pytest.approx(outline.area_px.sum(), rel=1e-9)
    assert parts[0].intersection(parts[1]).area < 1e-6 * whole.area

    def edges(one):
        """Straight edges, each as a pair of places whichever way it runs."""
        return {frozenset(map(tuple, c[[0, 3]].tolist())) for c in one.controls[one.straight]}
    shared = edges(left) & edges(right)
    on_seam = sum(np.hypot(*np.subtract(*map(np.array, e))) for e in shared)
    assert on_seam == pytest.approx(shapely.LineString(seam).intersection(whole).length, rel=2e-3, abs=0.05)


def test_a_seam_that_only_touches_a_corner_or_runs_along_an_edge_still_parts():
    square = part_of(box(0, 0, 100, 100).difference(box(40, 40, 60, 60)), exact=True).outline
    for x in (40.0, 50.0, 100.0):
        left, right = parted(square, np.array([(x, -10.0), (x, 110.0)]))
        assert left.area_px.sum() + right.area_px.sum() == pytest.approx(9600, abs=0.2)
    bent = np.array([(30.0, -10.0), (30.0, 40.0), (70.0, 40.0), (70.0, 110.0)])  # level along an edge of the window
    assert sum(one.area_px.sum() for one in parted(square, bent)) == pytest.approx(9600, abs=0.2)


def test_the_worked_example_of_the_trade():
    """A base of 19 by nearly 22 in on a carrier of 12 × 24 in is divided once, into parts up to 11.5 in across; a
    sister layer of 11.28 × 17 in is not (trade, worked example)."""
    rooms = room_rules.rooms_of([("12x24in", 11.5 * MM_PER_IN, 23.5 * MM_PER_IN)], 0.0, True)
    base = part_of(box(0, 0, 19 * MM_PER_IN, 21.9 * MM_PER_IN), exact=True)
    got = division.divided(base, NOTHING, rooms)
    assert len(got.parts) == 2 and [(p.number, p.count) for p in got.parts] == [(1, 2), (2, 2)]
    for one in got.parts:
        assert room_rules.fitting(one.size, rooms) is not None
        across = min(one.size) / MM_PER_IN
        assert 7.4 < across <= 11.5 and max(one.size) <= 24 * MM_PER_IN
    sister = part_of(box(0, 0, 11.28 * MM_PER_IN, 17 * MM_PER_IN), exact=True)
    assert division.divided(sister, NOTHING, rooms).parts == (sister,)


def test_a_seam_goes_where_an_upper_sheet_covers_it():
    rooms = room_rules.rooms_of([("bed", 270.0, 400.0)], 0.0, False)
    base = part_of(box(0, 0, 400, 300), exact=True)
    above = areas_of(box(150, 20, 180, 150).union(box(150, 140, 260, 160)).union(box(235, 150, 260, 285)))
    got = division.divided(base, above, rooms)
    assert got.seen < 0.35 * got.straight_seen
    inside = shapely.LineString(got.seams[0]).intersection(above).length
    assert inside > 200


@settings(max_examples=examples(15), deadline=None)
@given(st.integers(0, 10_000))
def test_a_found_seam_is_never_worse_than_the_best_straight_one(seed):
    rng = np.random.default_rng(seed)
    area = areas_of(box(0, 0, 200, 150).difference(shapely.union_all(
        [Point(*rng.uniform(20, 130, 2)).buffer(8) for _ in range(4)])))
    above = areas_of(shapely.union_all([blob(rng, *rng.uniform(20, 180, 2), 25) for _ in range(3)]))
    field = field_of(area, above, np.empty((0, 2)))
    low, high = sorted(rng.uniform(60, 140, 2))
    one, plain = cheapest(field, low, high), straight(field, low, high)
    assert one.cost <= plain.cost + 1e-6
    assert one.cost == pytest.approx(cost_of(field, one.points))
    assert one.points[:, 0].min() >= low - 1e-6 and one.points[:, 0].max() <= high + 1e-6


@pytest.mark.parametrize(("wide", "high", "room", "columns"), [(950, 200, 250, 4), (700, 150, 240, 3)])
def test_several_seams_in_bands_of_their_own(wide, high, room, columns):
    rooms = room_rules.rooms_of([("bed", room, 300.0)], 0.0, False)
    got = division.divided(part_of(box(0, 0, wide, high), exact=True), NOTHING, rooms)
    assert len(got.parts) == columns and len(got.seams) == columns - 1
    assert all(one.size[0] <= room for one in got.parts)
    assert sum(p.area.area for p in got.parts) == pytest.approx(wide * high, rel=1e-6)


def test_parts_in_both_directions():
    rooms = room_rules.rooms_of([("bed", 220.0, 220.0)], 0.0, True)
    got = division.divided(part_of(box(0, 0, 400, 400).difference(Point(200, 200).buffer(60))), NOTHING, rooms)
    assert len(got.parts) == 4
    assert sum(p.area.area for p in got.parts) == pytest.approx(400 * 400 - np.pi * 3600, rel=1e-3)
    for one in got.parts:
        assert max(one.size) <= 220.0


@pytest.mark.parametrize("joint", ["overlap", "keyed"])
def test_joints_reach_under_or_hold(joint):
    rooms = room_rules.rooms_of([("bed", 220.0, 400.0)], 0.0, False)
    whole = part_of(box(0, 0, 400, 300), exact=True)
    got = division.divided(whole, NOTHING, rooms, joint=joint, joint_mm=8.0)
    one, two = (p.area for p in got.parts)
    common = one.intersection(two).area
    assert all(room_rules.fitting(p.size, rooms) is not None for p in got.parts)
    if joint == "overlap":
        assert common == pytest.approx(8 * 300, rel=0.02)
    else:
        assert common < 1e-3 and one.union(two).area == pytest.approx(400 * 300, rel=1e-6)
        # a tongue's head is wider than its neck: moved apart they would meet
        assert shapely.transform(two, lambda xy: xy + (4.0, 0.0)).intersection(one).area > 1.0


def cross(seed, columns, rows):
    rng = np.random.default_rng(seed)
    return part_of(shapely.union_all([box(0, 0, 100 * columns - 20, 100 * rows - 20),
                                      *[blob(rng, *rng.uniform(20, 150, 2), 30) for _ in range(4)]]), exact=True)


@pytest.mark.parametrize(("columns", "rows"), [(2, 1), (1, 3), (2, 2), (3, 2)])
def test_marks_cross_each_seam_where_an_upper_sheet_hides_them(columns, rows):
    """Half of each in either part, both halves from one place of the seam, on solid material, under the cover."""
    part = cross(3, columns, rows)
    rooms = room_rules.rooms_of([("a", 100.0, 100.0)], 0.0, False)
    cover = part.area.buffer(-3.0)
    made = division.divided(part, cover, rooms)
    halves = [(n, m) for n, p in enumerate(made.parts) for m in p.matches]
    assert len(made.parts) >= columns * rows and halves
    for n, half in halves:
        assert made.parts[n].area.buffer(0.01).covers(shapely.LineString(half))
        assert cover.covers(shapely.Point(half[0])) and shapely.LineString(half).length == pytest.approx(2.0)
        twins = [k for k, other in halves if k != n and np.array_equal(other[0], half[0])]
        assert len(twins) == 1
    uprights = [s for s, c in zip(made.seams, made.columns, strict=True) if c < 0]
    for number, seam in enumerate(uprights):
        here = [m[0] for _, m in halves if shapely.LineString(seam).distance(shapely.Point(m[0])) < 1e-6]
        assert len(here) >= 2 * (number % 4 + 1)
    assert not any(p.matches for p in division.divided(part, NOTHING, rooms).parts)  # nothing hides them
    assert any(p.matches for p in division.divided(part, NOTHING, rooms, matching="on").parts)
    assert not any(p.matches for p in division.divided(part, cover, rooms, matching="off").parts)


@pytest.mark.parametrize(("columns", "rows"), [(2, 2), (3, 2)])
def test_crossing_seams_put_by_hand_are_taken_in_their_order(columns, rows):
    part = cross(5, columns, rows)
    rooms = room_rules.rooms_of([("a", 100.0, 100.0)], 0.0, False)
    made = division.divided(part, NOTHING, rooms, "straight")
    again = division.divided(part, NOTHING, rooms, "straight", fixed=made.seams)
    assert again.columns == made.columns and set(made.columns) == {-1, *range(columns)}
    assert [p.size for p in again.parts] == [pytest.approx(p.size) for p in made.parts]
    shifted = [s + ((1.5, 0.0) if c < 0 else (0.0, 1.5)) for s, c in zip(made.seams, made.columns, strict=True)]
    moved = division.divided(part, NOTHING, rooms, "straight", fixed=shifted)
    assert [s.tolist() for s in moved.seams] == [pytest.approx(s) for s in shifted]
    assert shapely.union_all([p.area for p in moved.parts]).area == pytest.approx(part.area.area, rel=1e-6)
