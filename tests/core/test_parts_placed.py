"""Parts on carriers: true shapes, never nearer than the gap, the same for the same seed, pieces in windows of
others."""

import itertools

import numpy as np
import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely import Point, Polygon, box

from amounts import examples
from sketchloom.core.base.errors import SettingError
from sketchloom.core.shapes.polygons import areas_of, straight_outline
from sketchloom.core.sheets import choices, plan
from sketchloom.core.sheets.laying_out import Spot, placings
from sketchloom.core.sheets.machine import Carrier, shipped
from sketchloom.core.sheets.part import Part, area_moved, moved
from sketchloom.core.sheets.placing.nofit import NoFits, body_of, grown_body
from sketchloom.core.sheets.placing.search import Bin
from sketchloom.core.sheets.placing.sheets import plans
from sketchloom.core.sheets.placing.strip import shortest_strip
from sketchloom.core.sheets.rests import Rest, area_of, rests_of

BLADE, ROLL = shipped()[:2]


def blob(rng, size):
    turn = np.linspace(0, 2 * np.pi, 24, endpoint=False)
    radius = size * (1 + 0.45 * np.cos(rng.integers(2, 5) * turn + rng.uniform(0, 6)))
    return areas_of(Polygon(np.column_stack([radius * np.cos(turn), radius * np.sin(turn)])).buffer(0))


def ready(area, key, turns=choices.QUARTER, mirrored=False):
    part = Part(key, key, "#204060", None, straight_outline(areas_of(area)))
    return plan.Ready(part, choices.DEGREES[turns], mirrored)


def group_of(areas, **more):
    return plan.Group(None, "blue", "#204060", tuple(ready(a, f"k{n}", **more) for n, a in enumerate(areas)))


@settings(max_examples=examples(40), deadline=None)
@given(st.integers(0, 10_000))
def test_a_no_fit_raster_says_what_a_geometry_library_says(seed):
    """For shapes with windows, at places of the raster (shapely is the oracle)."""
    rng = np.random.default_rng(seed)
    one = areas_of(blob(rng, 20).difference(Point(rng.uniform(-4, 4), 0).buffer(rng.uniform(4, 12))))
    two = blob(rng, rng.uniform(2, 8))
    bodies = [body_of(shape, 0.0, (0.0, 90.0), simpler_mm=0.0) for shape in (one, two)]
    nofits = NoFits(bodies, 1.0)
    for turn_one, turn_two in itertools.product((0, 1), (0, 1)):
        depth, left, top = nofits.between(0, turn_one, 1, turn_two)
        a, b = bodies[0].forms[turn_one].area, bodies[1].forms[turn_two].area
        for y, x in rng.integers((0, 0), depth.shape, (12, 2)).tolist():
            common = a.intersection(shapely.transform(b, lambda xy, by=(left + x, top + y): xy + by)).area
            if depth[y, x] == 0:
                assert common < 1e-3
            elif depth[y, x] > 1.5:
                assert common > 0
        back = nofits.between(1, turn_two, 0, turn_one)
        assert np.array_equal(back[0], depth[::-1, ::-1])


@settings(max_examples=examples(8), deadline=None)
@given(st.integers(0, 10_000), st.sampled_from([0.5, 2.0, 5.0]), st.sampled_from(list(choices.DEGREES)), st.booleans(),
       st.sampled_from([BLADE.carriers[0], ROLL.carriers[0]]))
def test_parts_never_lie_nearer_than_the_gap_nor_over_the_edge(seed, gap, turns, mirrored, carrier):
    rng = np.random.default_rng(seed)
    group = group_of([blob(rng, rng.uniform(10, 50)) for _ in range(int(rng.integers(2, 8)))],
                     turns=turns, mirrored=mirrored)
    for sheets, left_over in itertools.islice(placings(group, [carrier], gap, {}), 4):
        assert not left_over and sum(len(s.placed) for s in sheets) == len(group.ready)
        for sheet in sheets:
            areas = [p.area for p in sheet.placed]
            for one, two in itertools.combinations(areas, 2):
                assert one.distance(two) >= gap - 1e-6
            left, top, right, bottom = sheet.usable
            bounds = np.array([a.bounds for a in areas])
            assert (bounds[:, :2].min(0) >= (left - 1e-6, top - 1e-6)).all()
            assert (bounds[:, 2:].max(0) <= (right + 1e-6, bottom + 1e-6)).all()
            assert sheet.trouble(gap) == (set(), set())


def test_what_is_kept_of_one_plan_serves_the_next_and_changes_none():
    group, kept = group_of([shapely.box(0, 0, 60 + 9 * k, 40 + 7 * k).buffer(3) for k in range(5)]), {}
    def keep(key, make):
        if key not in kept:
            kept[key] = make()
        return kept[key]
    def last(**more):
        *_, (sheets, _) = placings(group, [BLADE.carriers[0]], 2.0, {}, **more)
        return [(p.part.path, p.turn, p.dx, p.dy) for s in sheets for p in s.placed]
    plain = last()
    assert last(keep=keep) == plain
    count = len(kept)
    assert count > 0 and last(keep=keep) == plain and len(kept) == count


def test_the_same_seed_gives_the_same_plans():
    rng = np.random.default_rng(3)
    group = group_of([blob(rng, 30) for _ in range(9)])
    one, two = ([[(p.turn, p.dx, p.dy) for s in sheets for p in s.placed]
                 for sheets, _ in itertools.islice(placings(group, [BLADE.carriers[0]], 2.0, {}), 3)]
                for _ in range(2))
    assert one == two


def test_a_piece_goes_into_the_window_of_another():
    ring = areas_of(box(0, 0, 190, 190).difference(box(20, 20, 170, 170)))
    bodies = [body_of(shape, 2.0) for shape in (ring, areas_of(Point(0, 0).buffer(60)))]
    *_, last = plans(bodies, [], Bin(200.0, 200.0))
    assert len(last.bins) == 1 and len(last.spots) == 2


def test_offcuts_are_used_up_first_and_what_fits_nowhere_is_told():
    small, large = areas_of(box(0, 0, 40, 40)), areas_of(box(0, 0, 900, 900))
    offcut = Carrier("rest", "rest", 60.0, 60.0)
    ((sheets, left_over),) = placings(group_of([small, large]), [BLADE.carriers[0]], 1.0, {}, (Rest(offcut),))
    assert [s.carrier.key for s in sheets] == ["rest"] and sheets[0].is_offcut
    assert [r.part.key for r in left_over] == ["k1"]


L_SHAPE = (((0.0, 0.0), (120.0, 0.0), (120.0, 50.0), (50.0, 50.0), (50.0, 140.0), (0.0, 140.0)),)
WINDOWED = (((0.0, 0.0), (160.0, 0.0), (160.0, 160.0), (0.0, 160.0)),
            ((60.0, 60.0), (100.0, 60.0), (100.0, 100.0), (60.0, 100.0)))


@pytest.mark.parametrize("rings", [L_SHAPE, WINDOWED])
def test_parts_lie_on_what_is_there_of_a_rest(rings):
    """Within its outline and not in its windows, and as many as go by hand: counted."""
    wide, high = area_of(rings).bounds[2:]
    rest = Rest(Carrier("rest", "rest", wide, high), rings, 7)
    group = group_of([areas_of(box(0, 0, 44, 44)) for _ in range(6)])
    *_, (sheets, left_over) = placings(group, [BLADE.carriers[0]], 2.0, {}, (rest,))
    assert not left_over and sheets[0].rest is rest and len(sheets[0].placed) >= 4
    there = area_of(rings).buffer(0.02)
    for placed in sheets[0].placed:
        assert there.covers(placed.area)
    assert all(s.trouble(2.0) == (set(), set()) for s in sheets)


@pytest.mark.parametrize("rings", [L_SHAPE, WINDOWED])
def test_a_rest_is_fed_to_a_roll_cutter_too(rings):
    """In its true shape, with the margins by which the feed holds it; one wider than the roll is left."""
    roll = next(m for m in shipped() if m.key == "roll").carriers[0]
    wide, high = (v * 2 for v in area_of(rings).bounds[2:])
    rings = tuple(tuple((2 * x, 2 * y) for x, y in ring) for ring in rings)
    rests = (Rest(Carrier("wide", "wide", roll.width_mm + 9, 300.0)),
             Rest(Carrier("rest", "rest", wide, high), rings))
    group = group_of([areas_of(box(0, 0, 70, 30)) for _ in range(5)])
    *_, (sheets, left_over) = placings(group, [roll], 2.0, {}, rests)
    assert not left_over and sheets[0].is_offcut and sheets[0].carrier.key == "rest" and len(sheets[0].placed) >= 3
    there = area_of(rings).buffer(0.02)
    for placed in sheets[0].placed:
        assert there.covers(placed.area) and placed.box[0] >= roll.side_mm - 0.02
    assert all(s.trouble(2.0) == (set(), set()) for s in sheets) and sheets[0].length_mm == high


def test_parts_on_a_rest_keep_within_it_though_the_carrier_has_margins():
    """A part as wide as the rest lies on it: it was moved by the margins of the carrier below."""
    rest = Rest(Carrier("rest", "rest", 62.0, 62.0))
    ((sheets, _),) = placings(group_of([areas_of(box(0, 0, 60, 60))]), [BLADE.carriers[0]], 1.0, {}, (rest,))
    assert sheets[0].trouble(1.0) == (set(), set())
    left, top, right, bottom = sheets[0].placed[0].box
    assert left >= -0.01 and top >= -0.01 and right <= 62.01 and bottom <= 62.01


def test_a_rest_that_no_plan_could_take_is_refused_when_it_is_named():
    """One of 7 mm was taken, and then no plan was made at all."""
    for wrong in ((7.0, 50.0), (50.0, 7.0)):
        with pytest.raises(SettingError):
            choices.Offcut(*wrong)
    for rings in (((0.0, 0.0), (9.0, 0.0)), ((0.0, 0.0), (99.0, 0.0), (0.0, 9.0)), "far"):
        with pytest.raises(SettingError):
            choices.Offcut(20.0, 20.0, rings=(rings,))
    Carrier("offcut", "offcut", choices.Offcut(10.0, 10.0).wide, 10.0)


def test_a_place_by_hand_on_a_new_sheet_is_not_taken_for_one_on_a_rest_too_small_to_be_used():
    rest = Rest(Carrier("rest", "rest", 30.0, 30.0))
    group = group_of([areas_of(box(0, 0, 80, 60))])
    ((sheets, _),) = placings(group, [BLADE.carriers[0]], 1.0, {}, (rest,))
    spot = Spot(sheets[0].number, 0.0, 100.0, 50.0)
    *_, (sheets, left_over) = placings(group, [BLADE.carriers[0]], 1.0, {group.ready[0].part.path: spot}, (rest,))
    assert not left_over and not sheets[0].is_offcut and sheets[0].placed[0].box[:2] == pytest.approx((100.0, 50.0))


def test_what_is_left_of_a_sheet_is_kept_in_its_true_shape_and_used_by_the_next():
    """The area of what is kept is that of the sheet less what lies within the gap of a part, but for slivers."""
    group = group_of([areas_of(box(0, 0, 120, 200))])
    *_, (sheets, _) = placings(group, [BLADE.carriers[0]], 2.0, {})
    (wide, high, rings), *_ = rests_of(sheets[0], 2.0)
    assert choices.rings_from_text(choices.rings_as_text(rings)) == rings and rings
    kept, sheet = area_of(rings), sheets[0].carrier
    assert 0.9 * (sheet.width_mm * sheet.height_mm - 124 * 204) < kept.area < sheet.width_mm * sheet.height_mm - 24_000
    rest = Rest(Carrier("rest", "rest", wide, high), rings, 3)
    next_job = group_of([areas_of(box(0, 0, 90, 250))])
    *_, (again, left_over) = placings(next_job, [BLADE.carriers[0]], 2.0, {}, (rest,))
    assert not left_over and again[0].rest is rest and again[0].trouble(2.0) == (set(), set())
    smaller = rests_of(again[0], 2.0)
    assert sum(area_of(r).area if r else w * h for w, h, r in smaller) < kept.area - 90 * 250


def test_what_was_put_somewhere_by_hand_stays_there_and_others_keep_off():
    group = group_of([areas_of(box(0, 0, 80, 60)) for _ in range(4)])
    spot = Spot(1, 90.0, 100.0, 50.0)
    *_, (sheets, _) = placings(group, [BLADE.carriers[0]], 2.0, {group.ready[2].part.path: spot})
    (mine,) = [(s, p) for s in sheets for p in s.placed if p.part.key == "k2"]
    assert mine[1].by_hand and mine[1].box == pytest.approx((100.0, 50.0, 160.0, 130.0))
    assert all(s.trouble(2.0) == (set(), set()) for s in sheets)


def test_parts_put_onto_each_other_by_hand_are_in_trouble_and_so_is_what_hangs_over():
    group = group_of([areas_of(box(0, 0, 80, 60)) for _ in range(3)])
    spots = {r.part.path: Spot(0, 0.0, *at) for r, at in zip(group.ready, [(20, 20), (60, 40), (270, 200)],
                                                                 strict=True)}
    *_, (sheets, _) = placings(group, [BLADE.carriers[0]], 2.0, spots)
    assert sheets[0].trouble(2.0) == ({0, 1}, {2})


def test_strips_get_shorter_and_hold_everything():
    rng = np.random.default_rng(5)
    bodies = [body_of(blob(rng, 12), 0.0, (0.0, 180.0)) for _ in range(8)]
    lengths = []
    for search, at in itertools.islice(shortest_strip(bodies, 70.0, 1.0), 150):
        assert not search.overlaps(at).any()
        lengths.append(search.length(at))
    assert all(b <= a + 1e-9 for a, b in itertools.pairwise(lengths)) and lengths[-1] < lengths[0]
    with pytest.raises(ValueError, match="higher"):
        next(shortest_strip(bodies, 10.0, 1.0))


@settings(max_examples=examples(20), deadline=None)
@given(st.sampled_from([0.0, 90.0, 180.0, 270.0, 45.0]), st.booleans(), st.integers(0, 99))
def test_an_outline_and_its_area_move_alike_and_keep_their_inside(turn, mirrored, seed):
    area = areas_of(blob(np.random.default_rng(seed), 20).difference(Point(2, 1).buffer(5)))
    outline = straight_outline(area)
    there = moved(outline, turn, mirrored, 7.0, -3.0)
    one, two = Part("k", "n", "#000000", None, there).area, area_moved(area, turn, mirrored, 7.0, -3.0)
    assert one.symmetric_difference(two).area < 1e-6 * area.area
    from sketchloom.core.curves.curveset import segment_areas

    signs = np.add.reduceat(segment_areas(there.controls), there.starts[:-1])
    assert (np.sign(signs) == np.where(there.hole, -1, 1)).all()


def test_a_grown_body_keeps_its_place():
    body = body_of(areas_of(box(0, 0, 10, 4)), 0.0)
    more = grown_body(body, 2.0)
    assert more.middle == body.middle and more.forms[0].box == pytest.approx((-7.0, -4.0, 7.0, 4.0), abs=0.01)
