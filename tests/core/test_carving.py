"""Carving: forms of tools, paths, and the height field they leave, against closed forms and a geometry library."""

from dataclasses import replace

import numpy as np
import pytest
import shapely
import trimesh
from gcodeparser import parse_gcode_lines
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import LineString, MultiPolygon, Point, Polygon, box

from amounts import examples
from sketchloom.core.base.errors import ExportError, SettingError
from sketchloom.core.carve import blank as blanks
from sketchloom.core.carve import board as boards
from sketchloom.core.carve import carving_v, field, job, lines, medial, pocketing, profiling, rings, shading, tools
from sketchloom.core.carve.operations import INSIDE, RASTER, WAYS, Operation, Target
from sketchloom.core.carve.sweeping import sweep
from sketchloom.core.formats import carving as code
from sketchloom.core.formats import dialects, solids
from sketchloom.core.preflight.carving import findings_of_job
from sketchloom.core.shapes.moving import rotated, scaled, shifted
from sketchloom.core.shapes.polygons import areas_of
from sketchloom.core.sheets import machine
from sketchloom.core.simulate import router

ROUTER = next(m for m in machine.shipped() if m.key == "router")
T_LETTER = Polygon([(5, 5), (55, 5), (55, 12), (34, 12), (34, 35), (26, 35), (26, 12), (5, 12)])
PLATE = areas_of(Polygon([(0, 0), (200, 0), (200, 90), (120, 90), (100, 40), (80, 90), (0, 90)])
                 .difference(Point(50, 40).buffer(15)))


def tool(key):
    return tools.shipped_one(key)


def ground(strokes, its, depth):
    """What of the ground strokes clear at a depth, by the geometry library: bit by bit, as a long line that crosses
    itself is more than its buffer can take."""
    low = [s for s in strokes if s[:, 2].min() <= -depth + 1e-6]
    bits = [LineString(s[a:a + 40, :2]) for s in low for a in range(0, len(s) - 1, 39) if len(s[a:a + 40]) > 1]
    return shapely.union_all(shapely.buffer(bits, its.radius_mm, quad_segs=64))


def pixels(one):
    """Middles of a field's places: x and y, mm."""
    rows, columns = one.z.shape
    return np.meshgrid((np.arange(columns) + 0.5) * one.mm_per_px, (np.arange(rows) + 0.5) * one.mm_per_px)


# -- tools -----------------------------------------------------------------------------------


@pytest.mark.parametrize(("key", "wide", "deep"), [("vee-90", 6.0, 3.0), ("vee-60", 6.0, 3 * np.sqrt(3))])
def test_a_v_is_as_deep_as_the_textbook_says(key, wide, deep):
    """depth = width / (2 tan(angle / 2)) (textbook)."""
    assert tool(key).depth_for(wide / 2) == pytest.approx(deep)
    assert tool(key).radius_at(deep) == pytest.approx(wide / 2)


def test_a_ball_leaves_the_cusp_of_the_textbook():
    """r - sqrt(r² - s²/4) (textbook), in the formula and in the field that is swept."""
    its, step = tool("ball-6"), 1.5
    wanted = 3 - np.sqrt(9 - step**2 / 4)
    assert pocketing.cusp_mm(its, step) == pytest.approx(wanted)
    one = field.uncut(box(0, 0, 40, 20), 10, 0.05)
    sweep(one, [np.array([[10.0, 5.025 + k * step, -2.0], [30.0, 5.025 + k * step, -2.0]]) for k in range(5)], its)
    inner = one.z[int(6 / 0.05):int(10 / 0.05), int(15 / 0.05):int(25 / 0.05)]
    assert inner.max() + 2.0 == pytest.approx(wanted, abs=0.002) and inner.min() == pytest.approx(-2.0, abs=1e-4)


def test_tools_that_cannot_be_are_refused():
    for wrong in ({"kind": "vee", "angle_deg": 0.0}, {"kind": "vee", "angle_deg": 60.0, "tip_mm": 9.0}, {"key": ""},
                  {"diameter_mm": 0.0}, {"feed": 0.0}, {"over": 2.0}):
        with pytest.raises(SettingError):
            tools.Tool(**{"key": "k", "name": "n", "kind": "end", "diameter_mm": 6.0} | wrong)
    assert tools.from_plain(tools.to_plain(tools.shipped())) == tools.shipped()


# -- the medial axis and V-carving -----------------------------------------------------------


def test_the_axis_of_a_wedge_reaches_its_corners_and_has_its_incircle():
    """A right triangle: the largest disc has the radius a b / (a + b + c) (textbook)."""
    wedge = Polygon([(0, 0), (100, 0), (0, 20)])
    axis = medial.medial_axis(MultiPolygon([wedge]))
    assert axis.radius.max() == pytest.approx(100 * 20 / (120 + np.hypot(100, 20)), abs=1e-4)
    ends = np.array([chain[[0, -1], :2] for chain in axis.chains]).reshape(-1, 2)
    for corner in wedge.exterior.coords[:3]:
        assert np.hypot(*(ends - corner).T).min() < 1e-6
    # on the bisector between the two long sides a disc's radius is x tan(half the angle)
    x = 100 - axis.xy[:, 0]
    half = np.arctan2(20, 100) / 2
    on = (np.abs(axis.xy[:, 1] - x * np.tan(half)) < 0.01) & (x < 80)
    assert on.sum() > 100 and np.abs(axis.radius[on] - x[on] * np.sin(half) / np.cos(half)).max() < 0.01


def test_the_axis_of_a_ring_and_of_an_ellipse():
    """A ring's axis is the circle between; that of an ellipse the line between the centres of curvature at its ends,
    with the radius b sqrt(1 - x² / (a² - b²)) (textbook)."""
    ring = Point(0, 0).buffer(30, quad_segs=256).difference(Point(0, 0).buffer(20, quad_segs=256))
    axis = medial.medial_axis(MultiPolygon([ring]))
    assert np.abs(axis.radius - 5).max() < 0.002 and np.abs(np.hypot(*axis.xy.T) - 25).max() < 0.002
    ellipse = scaled(Point(0, 0).buffer(1, quad_segs=512), 40, 20)
    axis = medial.medial_axis(MultiPolygon([ellipse]))
    x = axis.xy[:, 0]
    assert np.abs(axis.xy[:, 1]).max() < 1e-6 and np.abs(x).max() == pytest.approx(40 - 20**2 / 40, abs=0.3)
    assert np.abs(axis.radius - 20 * np.sqrt(1 - x**2 / (40**2 - 20**2))).max() < 0.001


def test_v_carving_of_a_letter_is_the_closed_form_everywhere():
    """Every place is as deep as it lies from the outline over the tangent of half the angle; nothing beyond is cut."""
    its, operation = tool("vee-60"), Operation("carve", tool="vee-60")
    one = field.uncut(box(0, 0, 60, 40), 25, 0.1)
    sweep(one, carving_v.carved_v(MultiPolygon([T_LETTER]), operation, its), its)
    x, y = pixels(one)
    inside = shapely.contains_xy(T_LETTER, x, y)
    away = shapely.distance(shapely.points(x, y), T_LETTER.exterior)
    assert np.abs(one.z - np.where(inside, -away * its.slope, 0.0)).max() < 0.01
    assert not one.z[~inside].any()


def test_what_is_wider_than_the_v_goes_deep_has_a_flat_bottom():
    wide = MultiPolygon([box(5, 5, 65, 45)])
    operation = Operation("carve", tool="vee-90", flat_mm=4.0, clear_with="end-6")
    its, flat = tool("vee-90"), tool("end-6")
    one = field.uncut(box(0, 0, 70, 50), 25, 0.2)
    clear = Operation("pocket", tool="end-6", depth_mm=4.0)
    sweep(one, pocketing.pocket(carving_v.floor_of(wide, operation, its), clear, flat), flat)
    sweep(one, carving_v.carved_v(wide, operation, its, flat), its)
    x, y = pixels(one)
    away = shapely.distance(shapely.points(x, y), wide.geoms[0].exterior)
    inside = shapely.contains_xy(wide, x, y)
    wanted = np.where(inside, -np.minimum(away, 4.0), 0.0)
    off = one.z - wanted
    assert off.min() > -0.01, "nothing is cut too deep"
    assert (off > 0.08).mean() < 0.001, "what stays are cusps between passes of the V in the corners"


# -- pockets -----------------------------------------------------------------------------------


@pytest.mark.parametrize("way", WAYS)
@pytest.mark.parametrize("key", ["end-6", "end-3"])
def test_a_pocket_clears_all_that_its_tool_reaches(way, key):
    """Against the opening by a disc, by the geometry library."""
    its = tool(key)
    strokes = pocketing.pocket(PLATE, Operation(tool=key, depth_mm=5.0, way=way, angle_deg=30.0), its)
    cut, reach = ground(strokes, its, 5.0), pocketing.reach_of(PLATE, its)
    assert reach.difference(cut).area < 1e-3 * PLATE.area * 0.01
    assert cut.difference(PLATE).area < 1e-3 * PLATE.area
    assert min(s[:, 2].min() for s in strokes) == pytest.approx(-5.0)
    steps = np.concatenate([np.diff(s, axis=0) for s in strokes])
    flat = np.hypot(*steps[:, :2].T)
    assert (-steps[:, 2] <= np.tan(np.radians(3.01)) * flat + 1e-9).all(), "it never goes straight down"


def test_a_large_field_leaves_nothing_far_from_its_outline():
    """Moved inward by a large distance at once, the library loses whole places of such a field."""
    blank = blanks.Blank(shape="plaque", width_mm=700.0, height_mm=300.0, corner_mm=40.0, rim_mm=22.0)
    petals = shapely.union_all([rotated(shifted(scaled(Point(0, 0).buffer(1), 60, 14), 350, 150), a,
                                        about=(350, 150)) for a in range(0, 180, 30)])
    area = areas_of(boards.field_of(blank, boards.outline(blank)).difference(petals))
    its = tool("end-12")
    cut = ground(pocketing.pocket(area, Operation(tool="end-12", depth_mm=3.0), its), its, 3.0)
    assert pocketing.reach_of(area, its).difference(cut).area < 1e-3 * area.area


def test_rests_alone_are_cleared_by_the_smaller_tool():
    small, large = tool("end-3"), tool("end-12")
    operation = Operation(tool="end-3", depth_mm=5.0, rest_of="end-12")
    cut = ground(pocketing.pocket(PLATE, operation, small, large), small, 5.0)
    wanted = pocketing.rest_of(PLATE, large).intersection(pocketing.reach_of(PLATE, small))
    assert wanted.area > 20 and wanted.difference(cut).area < 1e-3 * wanted.area
    assert cut.area < 0.2 * PLATE.area and cut.difference(PLATE).area < 1e-3


@settings(max_examples=examples(25), deadline=None)
@given(st.lists(st.tuples(st.floats(10, 50), st.floats(10, 50), st.floats(4, 14)), min_size=1, max_size=5),
       st.sampled_from(WAYS), st.floats(0.2, 1.0))
def test_pockets_stay_within_and_leave_nothing(discs, way, over):
    area = areas_of(shapely.union_all([Point(x, y).buffer(r) for x, y, r in discs]))
    its = tools.Tool("t", "t", "end", 4.0, over=over)
    cut = ground(pocketing.pocket(area, Operation(tool="t", depth_mm=1.0, way=way), its), its, 1.0)
    assert cut.difference(area.buffer(0.02)).area < 1e-6
    assert pocketing.reach_of(area, its).difference(cut.buffer(0.01)).area < 1e-3 * area.area


# -- outlines ------------------------------------------------------------------------------------


def test_a_profile_keeps_its_distance_goes_down_in_passes_and_stands_on_tabs():
    its = tool("end-6")
    operation = Operation("profile", tool="end-6", depth_mm=18.0, tabs=4, tab_mm=8.0, tab_high_mm=2.0, lead_mm=4.0)
    strokes = profiling.profile(PLATE, operation, its)
    for stroke in strokes:
        line = LineString(stroke[:, :2])
        assert line.buffer(its.radius_mm - 0.01).intersection(PLATE).area < 1e-3, "bows in and out touch nothing"
    depths = sorted({round(float(s[:, 2].min()), 6) for s in strokes})
    assert depths == [-18.0, -15.0, -12.0, -9.0, -6.0, -3.0]
    last = next(s for s in reversed(strokes) if s[:, 2].min() < -17.9)
    high = last[:, 2] > -16.0 - 1e-9
    assert (np.diff(high.astype(int)) == 1).sum() == 4, "lifted over four tabs"
    long = rings.lengths_along(last[:, :2])
    lifted = sum(long[n + 1] - long[n] for n in range(len(last) - 1) if high[n] and high[n + 1])
    assert lifted == pytest.approx(4 * (8.0 + 6.0), abs=0.1)
    ring = strokes[-1][:, :2]
    corners = np.array([c for g in PLATE.geoms for c in g.exterior.coords])
    for start, end in profiling.tab_spans(ring, operation, its):
        middle = rings.at_length(ring, rings.lengths_along(ring), [(start + end) / 2])[0]
        assert np.hypot(*(corners - middle).T).min() > 7.0, "away from corners"


def test_around_a_part_the_tool_goes_clockwise_and_within_one_the_other_way():
    """Climb milling (common practice, no source); y is down, so that clockwise has a positive area."""
    disc = areas_of(Point(50, 50).buffer(20, quad_segs=64))
    for side, sign in (("outside", 1), (INSIDE, -1)):
        (stroke,) = profiling.profile(disc, Operation("profile", tool="end-6", depth_mm=1.0, side=side), tool("end-6"))
        x, y = stroke[:, 0], stroke[:, 1]
        assert np.sign(x[:-1] @ y[1:] - x[1:] @ y[:-1]) == sign
        radius = np.hypot(x - 50, y - 50)
        assert np.abs(radius - (20 + sign * 3)).max() < 0.02


def test_grooves_and_holes():
    line = LineString([(0, 0), (30, 0), (30, 20)])
    (stroke,) = lines.follow(line, Operation("groove", tool="vee-60", depth_mm=5.0), tool("vee-60"))
    assert sorted(set(stroke[:, 2].round(6))) == [-5.0, -2.5]
    holes = shapely.union_all([Point(10, 10).buffer(2), Point(30, 10).buffer(2)])
    strokes = lines.drill(holes, Operation("drill", tool="drill-3", depth_mm=7.0), tool("drill-3"))
    assert len(strokes) == 2 and strokes[0][0, :2] == pytest.approx((10, 10))
    assert strokes[0][:, 2].tolist() == pytest.approx([-7 / 3, 0, -14 / 3, 0, -7.0])


# -- the blank -------------------------------------------------------------------------------------


@pytest.mark.parametrize("shape", [s for s in blanks.SHAPES if s != blanks.OWN])
def test_blanks_have_their_size_and_rim(shape):
    blank = blanks.Blank(shape=shape, width_mm=600.0, height_mm=400.0, thickness_mm=25.0, rim_mm=22.0, recess_mm=12.5,
                         corner_mm=30.0 if shape in ("rectangle", "plaque") else 0.0)
    board = boards.outline(blank)
    assert board.is_valid and board.bounds == pytest.approx((0, 0, 600, 400), abs=0.05)
    inner = boards.field_of(blank, board)
    low, high = boards.measured_rim(board, inner)
    assert low == pytest.approx(22.0, abs=0.05) and high < 22.5
    middle = boards.middle_of_rim(blank, board)
    away = shapely.distance(shapely.points(np.array(middle.coords)), board.exterior)
    assert np.abs(away - 11.0).max() < 0.05, "a rim of 22 mm has its groove 11 mm within (trade)"


def test_blanks_that_cannot_be_are_refused():
    for wrong in ({"recess_mm": 18.0}, {"rim_mm": 100.0}, {"shape": "heart"}, {"width_mm": 0.0}):
        with pytest.raises(SettingError):
            blanks.Blank(**wrong)


# -- a whole job, its code, and the machine that reads it ------------------------------------------


def sign():
    """A small sign with a rim: recessed around a raised ring, a letter carved, a groove in the rim, cut out on tabs."""
    blank = blanks.Blank(width_mm=120.0, height_mm=90.0, thickness_mm=12.0, corner_mm=10.0, rim_mm=10.0, recess_mm=3.0)
    board = boards.outline(blank)
    ring = Point(90, 45).buffer(12).difference(Point(90, 45).buffer(7))
    shapes = {"letter": shifted(T_LETTER, 10, 22), "ring": ring}

    def area_of(target):
        return {"board": board, "field": boards.field_of(blank, board),
                "middle": boards.middle_of_rim(blank, board)}.get(target.kind) or shapes.get(target.key)
    operations = (
        Operation("pocket", Target("field"), "end-6", 3.0, raised=(Target("layer", "ring"),)),
        Operation("pocket", Target("field"), "end-1", 3.0, raised=(Target("layer", "ring"),), rest_of="end-6"),
        Operation("carve", Target("layer", "letter"), "vee-60", from_mm=3.0),
        Operation("groove", Target("middle"), "vee-90", 1.0),
        Operation("profile", Target("board"), "end-6", 12.2, tabs=4, lead_mm=3.0),
        Operation("pocket", Target("layer", "gone"), "end-6", 1.0),
        Operation("pocket", Target("field"), "no-tool", 1.0, on=True),
        Operation("pocket", Target("field"), "end-6", 1.0, on=False),
    )
    return job.job_of(blank, board, operations, tools.shipped(), area_of, ROUTER)


@pytest.fixture(scope="module")
def carved_sign():
    made = sign()
    return made, job.carved(made, 0.2)


def test_what_is_lost_or_has_no_tool_is_told_and_what_is_off_left_out(carved_sign):
    made, _ = carved_sign
    assert made.lost == (5,) and made.toolless == (6,) and {s.number for s in made.steps} == {0, 1, 2, 3, 4}
    assert [t.key for t in made.tools] == ["end-6", "end-1", "vee-60", "vee-90"] and made.changes == 5
    assert all(step.seconds > 0 and step.cut_mm > 0 for step in made.steps)


def test_the_router_reads_the_bytes_and_carves_the_same(carved_sign):
    made, own = carved_sign
    coded = code.whole(made, ROUTER, dialects.shipped("knife"), "Sign")
    before = field.uncut(made.board, 12.0, 0.2)
    back = router.carve(coded.data, dict(coded.tools), before)
    assert not back.troubles and not back.unknown and not before.z.any()
    off = np.abs(back.field.z - own.z)[own.board]
    assert (off < 0.02).mean() > 0.999
    parts = code.by_tool(made, ROUTER, dialects.shipped("knife"), "Sign")
    assert [part.tools[0][1].key for part in parts] == ["end-6", "end-1", "vee-60", "vee-90", "end-6"]
    for part in parts:
        before = router.carve(part.data, dict(part.tools), before).field
    assert (np.abs(before.z - own.z)[own.board] < 0.02).mean() > 0.999


def test_a_shield_is_carved_where_it_is():
    """Its point does not reach the lower edge of the blank, from which the machine counts."""
    blank = blanks.Blank(shape="shield", width_mm=80.0, height_mm=90.0, thickness_mm=10.0, corner_mm=6.0)
    board = boards.outline(blank)
    assert board.bounds[3] < 89.9
    its = job.job_of(blank, board, (Operation("pocket", Target("field"), "end-3", 2.0),), tools.shipped(),
                     lambda t: board.buffer(-12), ROUTER)
    own = job.carved(its, 0.25)
    coded = code.whole(its, ROUTER, dialects.shipped("knife"), "Shield")
    back = router.carve(coded.data, dict(coded.tools), field.uncut(board, 10.0, 0.25, (80.0, 90.0))).field
    assert (np.abs(back.z - own.z)[own.board] < 0.02).mean() > 0.999


def test_the_words_are_those_of_the_standard_to_another_reader(carved_sign):
    """NIST RS274/NGC, read by a parser that is not ours: in mm, absolute, spindle on before the tool goes down."""
    made, _ = carved_sign
    data = code.whole(made, ROUTER, dialects.shipped("knife"), "Sign").data.decode()
    read = [(line.command_str, line.params) for line in parse_gcode_lines(data)]
    words = [command for command, _ in read]
    assert {"G21", "G90", "M30"} <= set(words) and words.count("M6") == 5 and words.count("M3") == 5
    z, on, fed = 5.0, False, False
    for command, values in read:
        on = True if command == "M3" else False if command in ("M5", "M6") else on
        fed = fed or "F" in values
        if command == "G0" and ("X" in values or "Y" in values):
            assert z > 0, "no rapid move within the stuff"
        if command == "G1":
            assert on and fed
        z = values.get("Z", z)
        assert "Z" not in values or values["Z"] >= -12.2 - 1e-9
    shape = [(v["X"], v["Y"]) for c, v in read if c == "G1" and "X" in v]
    assert np.min(shape) >= -6 and np.max(shape) <= 126, "the tool and its bow beside the blank"


def test_code_without_heights_is_refused(carved_sign):
    made, _ = carved_sign
    with pytest.raises(ExportError, match="up and down"):
        code.whole(made, ROUTER, dialects.shipped("laser"), "Sign")
    with pytest.raises(ExportError, match="nothing"):
        code.whole(job.job_of(made.blank, made.board, (), tools.shipped(), lambda t: None, ROUTER), ROUTER,
                   dialects.shipped("knife"), "Sign")


def test_the_solid_is_closed_and_has_the_volume_that_was_left(carved_sign):
    """Read and measured by another library; the closed form of a plain pocket, too."""
    _, own = carved_sign
    left = own.board.sum() * own.mm_per_px**2 * 12.0 - own.removed_mm3
    import io
    read = trimesh.load(io.BytesIO(solids.stl(own)), file_type="stl")
    assert read.is_watertight and read.volume == pytest.approx(left, rel=2e-3)
    scene = trimesh.load(io.BytesIO(solids.glb(own)), file_type="glb")
    assert scene.extents == pytest.approx((0.12, 0.012, 0.09), abs=3e-4)  # glTF 2.0: metres, y up
    plain = field.uncut(box(0, 0, 40, 30), 10, 0.5)
    sweep(plain, pocketing.pocket(areas_of(box(10, 10, 30, 20)), Operation(tool="end-3", depth_mm=4.0), tool("end-3")),
          tool("end-3"))
    wanted = 4 * (200 - (4 - np.pi) * 1.5**2)
    assert plain.removed_mm3 == pytest.approx(wanted, rel=0.01)


def test_a_look_from_above_shows_every_place_where_it_is(carved_sign):
    _, own = carved_sign
    face = shading.lit(own, "wood")
    flat = shading.view(face, (600, 450))
    assert flat.shape == (450, 600, 3) and (flat[0, 0] == shading._GROUND).all()
    tilted = shading.view(face, (600, 450), 30.0, 55.0)
    assert (tilted != shading._GROUND).any(-1).mean() > 0.15 and (tilted[0, 0] == shading._GROUND).all()
    for look in blanks.LOOKS:
        assert shading.lit(own, look).colour.std() > 5


@pytest.mark.parametrize(("turn", "tilt", "zoom"), [(0, 0, 1), (30, 0, 2), (0, 40, 1), (-25, 52, 1), (140, 70, 0.7)])
def test_a_place_that_is_seen_is_found_under_its_pixel(carved_sign, turn, tilt, zoom):
    _, own = carved_sign
    face = shading.lit(own, "wood")
    camera = shading.Camera.at(face, (640, 480), turn, tilt, zoom)
    high = np.array([[8.0, 20.0], [60.0, 4.0], [112.0, 70.0], [3.0, 86.0]])  # on the rim, which nothing hides
    high = high[[own.z[int(y / own.mm_per_px), int(x / own.mm_per_px)] > -0.01 for x, y in high]]
    assert len(high) >= 3
    a_pixel = 1.0 / (np.linalg.norm(np.linalg.inv(camera.to_field[:, :2]), 2) / camera.mm_per_px)
    off = 3 * a_pixel / np.cos(np.radians(tilt)) + own.mm_per_px
    for place, (x, y) in zip(high, camera.seen(high), strict=True):
        there = camera.place_under(face, x, y)
        if 0 <= x < 640 and 0 <= y < 480:
            assert there is not None and np.hypot(*(place - there)) < off
    assert camera.place_under(face, 0, 0) is None or zoom > 1


def test_a_v_over_a_wide_face_goes_round_no_more_than_a_hand_would_wait_for():
    area = areas_of(box(0, 0, 140, 120))
    operation = Operation("carve", Target("field"), "vee-60", flat_mm=3.0)
    strokes = carving_v.carved_v(area, operation, tool("vee-60"))
    assert 0 < sum(np.hypot(*np.diff(s[:, :2], axis=0).T).sum() for s in strokes) < 25_000
    fine = carving_v.carved_v(areas_of(box(0, 0, 20, 14)), operation, tool("vee-60"))
    long = sum(np.hypot(*np.diff(s[:, :2], axis=0).T).sum() for s in fine)
    assert long > 0.5 * 20 * 14 / carving_v._LEAST_STEP_MM, "a narrow one is cleared finely"
    asked = carving_v.carved_v(area, replace(operation, step_mm=2.0), tool("vee-60"))
    assert 0 < sum(len(s) for s in asked) < sum(len(s) for s in strokes)


def test_what_did_not_change_is_not_worked_out_again():
    blank = blanks.Blank(width_mm=80.0, height_mm=60.0, thickness_mm=12.0)
    board, kept, made = boards.outline(blank), {}, []

    def keep(key, make):
        if key not in kept:
            made.append(key[0])
            kept[key] = make()
        return kept[key]

    def carve(*operations):
        made.clear()
        its = job.job_of(blank, board, operations, tools.shipped(), lambda t: board.buffer(-8), ROUTER, keep)
        return job.carved(its, 0.5, keep), its
    pocket = Operation("pocket", Target("field"), "end-6", 3.0)
    groove = Operation("groove", Target("board"), "vee-90", 1.0)
    first, _ = carve(pocket, groove)
    assert sorted(made) == ["step", "step", "swept", "swept"]
    again, its = carve(groove, replace(pocket, name="the field"), replace(pocket, on=False))
    assert not made and [step.number for step in its.steps] == [0, 1]
    assert (again.z == first.z).all() and its.steps[1].operation.name == "the field"
    carve(replace(pocket, depth_mm=4.0), groove)
    assert sorted(made) == ["step", "swept"]
    plain = job.carved(job.job_of(blank, board, (pocket, groove), tools.shipped(), lambda t: board.buffer(-8), ROUTER),
                       0.5)
    assert (plain.z == first.z).all()


def test_a_section_goes_through_what_was_cut(carved_sign):
    _, own = carved_sign
    along, high = own.along((0, 45), (120, 45))
    assert along[-1] == pytest.approx(120) and high[(along > 11) & (along < 14)].max() == pytest.approx(-3.0, abs=1e-4)
    assert high[np.argmin(np.abs(along - 5.0))] < -0.5, "the groove in the middle of the rim"


# -- what may go wrong -----------------------------------------------------------------------------


def found(operations, blank=None, shape=None):
    blank = blank or blanks.Blank(width_mm=120.0, height_mm=90.0, thickness_mm=12.0)
    board = boards.outline(blank)
    its = job.job_of(blank, board, operations, tools.shipped(), lambda t: board if t.kind == "board" else (
        box(20, 20, 100, 70) if shape is None else shape), ROUTER)
    return {f.code: f for f in findings_of_job(its, ROUTER, tools.shipped())}


def test_what_may_go_wrong_is_found_and_nothing_else():
    good = (Operation("pocket", Target("field"), "end-6", 3.0),
            Operation("profile", Target("board"), "end-6", 12.0, tabs=3))
    rests = Operation("pocket", Target("field"), "end-1", 3.0, rest_of="end-6")
    assert found((good[0], rests, good[1])) == {}
    assert set(found((Operation("pocket", Target("field"), "end-12", 3.0),),
                     shape=box(20, 20, 29, 70))) == {"carve.nothing"}
    star = shapely.union_all([rotated(box(20, 40, 100, 50), a, about=(60, 45)) for a in (0, 60, 120)])
    uncut = found((Operation("pocket", Target("field"), "end-6", 3.0),), shape=star.difference(box(58, 0, 61, 90)))
    assert set(uncut) == {"carve.uncut"} and uncut["carve.uncut"].x_px is not None
    both = (Operation("pocket", Target("field"), "end-6", 3.0), rests)
    assert "carve.uncut" not in found(both, shape=star.difference(box(58, 0, 61, 90))), "the next tool clears them"
    shallow = (both[0], replace(rests, depth_mm=1.0))
    assert "carve.uncut" in found(shallow, shape=star.difference(box(58, 0, 61, 90)))
    assert "carve.deep" in found((Operation("pocket", Target("field"), "end-6", 12.0),))
    assert "carve.edge" in found((Operation("pocket", Target("field"), "end-1", 6.0),))
    assert "carve.tabs" in found((Operation("profile", Target("board"), "end-6", 12.0),))
    assert "carve.tabs" in found((Operation("profile", Target("field"), "end-6", 12.0, side=INSIDE),))
    assert "carve.feed" in found((Operation("pocket", Target("field"), "end-6", 3.0, feed=80.0),))
    assert "carve.after" in found((good[1], good[0]))
    assert "carve.air" in found((good[0], Operation("pocket", Target("field"), "end-3", 2.0)))
    assert "carve.before" in found((rests, good[0]))
    assert "carve.floor" in found((Operation("carve", Target("field"), "vee-60"),))
    assert "carve.floor" not in found((Operation("carve", Target("field"), "vee-60", flat_mm=3.0,
                                                 clear_with="end-6"),))
    assert "carve.bed" in found((good[0],), blanks.Blank(width_mm=2000.0, height_mm=90.0, thickness_mm=12.0))


def test_a_surface_is_levelled_to_the_edge():
    blank = blanks.Blank(width_mm=60.0, height_mm=40.0, thickness_mm=12.0)
    board = boards.outline(blank)
    its = job.job_of(blank, board, (Operation("surface", Target("board"), "end-12", 0.5, way=RASTER),),
                     tools.shipped(), lambda t: board, ROUTER)
    assert np.abs(job.carved(its, 0.25).z + 0.5).max() < 1e-6


@pytest.mark.parametrize(("key", "form"), [("vee-90", "chamfer"), ("ball-6", "round"), ("end-6", "step")])
def test_edges_are_broken_as_wide_as_is_said(key, form):
    blank = blanks.Blank(width_mm=60.0, height_mm=40.0, thickness_mm=12.0)
    board = boards.outline(blank)
    its = job.job_of(blank, board, (Operation("edge", Target("board"), key, 3.0),), tools.shipped(), lambda t: board,
                     ROUTER)
    along, high = job.carved(its, 0.1).along((30, 20), (60, 20))
    away = 30 - along
    at = (away > 0.8) & (away < 2.8)  # at a steep place half of a square is much of the height
    wanted = {"chamfer": -(3 - away), "step": np.full(len(away), -3.0),
              "round": -(3 - np.sqrt(np.maximum(9 - (3 - away) ** 2, 0)))}[form]
    assert np.abs(high - wanted)[at].max() < (0.12 if form == "round" else 0.08) and not high[away > 3.1].any()


def test_the_worked_example_of_the_trade_is_carved_without_a_stop():
    # facts of the trade, one worked example: blank 600 mm wide and 25 mm thick, recess 12.5 mm, pocket 2.5 mm, groove
    # 1 mm in the middle of a 22 mm rim; 12 mm end mill to rough, 6 mm ball to finish, 6 mm end mill to cut out
    blank = blanks.Blank(width_mm=600.0, height_mm=780.0, thickness_mm=25.0, rim_mm=22.0, recess_mm=12.5)
    board = boards.outline(blank)
    within = boards.field_of(blank, board)
    shape = Point(300, 390).buffer(120)
    areas = {"board": board, "field": within, "middle": boards.middle_of_rim(blank, board), "layer": shape}
    its = job.job_of(blank, board, (
        Operation("pocket", Target("field"), "end-12", 12.5),
        Operation("pocket", Target("layer"), "ball-6", 2.5, from_mm=12.5),
        Operation("groove", Target("middle"), "ball-6", 1.0),
        Operation("profile", Target("board"), "end-6", 25.2, tabs=6),
    ), tools.shipped(), lambda t: areas[t.kind], ROUTER)
    groove = its.steps[2].strokes[0]
    assert abs(min(groove[:, 0]) - 11.0) < 1e-6, "half of the rim from its edge"
    deep = job.carved(its, 1.5)
    def at(x, y):
        return float(deep.z[int(y / 1.5), int(x / 1.5)])
    assert at(100, 100) == pytest.approx(-12.5) and at(300, 390) == pytest.approx(-15.0, abs=0.06)
    assert at(300, 5) == 0 and at(11, 390) == pytest.approx(-1.0, abs=0.1)
    stops = {f.code for f in findings_of_job(its, ROUTER, tools.shipped()) if f.severity == "stop"}
    assert stops == {"carve.bed"}, "the plain bed that ships is 580 mm wide"
