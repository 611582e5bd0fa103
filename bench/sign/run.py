"""V-carving, pockets, the height field and the shaded look, against closed forms and a geometry library.

A sign of 700 × 300 mm with a rim, a recess around a raised ornament, and two words, made by rule.
"""

import time

import numpy as np
import shapely
from shapely.geometry import LineString, MultiPolygon, Point, Polygon

from bench.table import Row
from sketchloom.core.carve import blank as blanks
from sketchloom.core.carve import board as boards
from sketchloom.core.carve import carving_v, field, job, medial, pocketing, shading, tools
from sketchloom.core.carve.operations import Operation, Target
from sketchloom.core.carve.sweeping import sweep
from sketchloom.core.formats import carving as code
from sketchloom.core.formats import dialects
from sketchloom.core.shapes.moving import rotated, scaled, shifted
from sketchloom.core.shapes.polygons import area_of, areas_of
from sketchloom.core.shapes.text import fonts, shaped
from sketchloom.core.sheets import machine
from sketchloom.core.simulate import router

ROUTER = next(m for m in machine.shipped() if m.key == "router")
_LOOKS, _BIT = 8, 40


def wedges():
    """Worst depth of V-carving of triangles against the incircle and the bisector, mm."""
    worst = 0.0
    its = tools.shipped_one("vee-60")
    for high in (5.0, 12.0, 30.0):
        wedge = Polygon([(0, 0), (60, 0), (0, high)])
        axis = medial.medial_axis(MultiPolygon([wedge]))
        exact = its.depth_for(60 * high / (60 + high + np.hypot(60, high)))
        worst = max(worst, abs(float(its.depth_for(axis.radius).max() - exact)))
        half = np.arctan2(high, 60) / 2
        x = 60 - axis.xy[:, 0]
        on = (np.abs(axis.xy[:, 1] - x * np.tan(half)) < 0.01) & (axis.radius < 0.9 * axis.radius.max())
        worst = max(worst, float(np.abs(its.depth_for(axis.radius[on]) - its.depth_for(x[on] * np.tan(half))).max()))
    return worst


def rings():
    """The same of rings between two circles."""
    its, worst = tools.shipped_one("vee-60"), 0.0
    for inner, outer in ((10, 14), (20, 30), (3, 9)):
        ring = Point(0, 0).buffer(outer, quad_segs=512).difference(Point(0, 0).buffer(inner, quad_segs=512))
        axis = medial.medial_axis(MultiPolygon([ring]))
        worst = max(worst, float(np.abs(its.depth_for(axis.radius) - its.depth_for((outer - inner) / 2)).max()))
    return worst


def words(text, size_mm, x, y):
    """Words as an area, mm."""
    word = shaped(text, fonts()[0])
    return shifted(area_of([ring * size_mm for ring in word.rings]), x, y)


def letters():
    """Worst depth of swept letters against the distance to their outline, mm, over all places."""
    area = words("Quay 3", 40.0, 10.0, 45.0)
    its = tools.shipped_one("vee-60")
    left, top, right, bottom = area.bounds
    area = shifted(area, 5 - left, 5 - top)
    one = field.uncut(shapely.box(0, 0, right - left + 10, bottom - top + 10), 25, 0.1)
    sweep(one, carving_v.carved_v(areas_of(area), Operation("carve", tool="vee-60"), its), its)
    rows, columns = one.z.shape
    x, y = np.meshgrid((np.arange(columns) + 0.5) * 0.1, (np.arange(rows) + 0.5) * 0.1)
    shapely.prepare(area)
    inside = shapely.contains_xy(area, x, y)
    away = shapely.distance(shapely.points(x[inside], y[inside]), area.boundary)
    off = np.abs(one.z[inside] + its.depth_for(away))
    return float(off.max()), float(-one.z[~inside].min())


def ground(strokes, its):
    """What strokes clear, by the geometry library: bit by bit, as a long line that crosses itself is more than its
    buffer can take."""
    bits = [LineString(s[a:a + _BIT, :2]) for s in strokes for a in range(0, len(s) - 1, _BIT - 1)
            if len(s[a:a + _BIT]) > 1]
    return shapely.union_all(shapely.buffer(bits, its.radius_mm, quad_segs=64))


def pockets():
    """Worst share of an area that stays though the tool reaches it."""
    worst = 0.0
    rng = np.random.default_rng(5)
    for _ in range(12):
        discs = [Point(*rng.uniform(10, 190, 2)).buffer(rng.uniform(8, 50)) for _ in range(7)]
        holes = [Point(*rng.uniform(10, 190, 2)).buffer(rng.uniform(3, 12)) for _ in range(5)]
        area = areas_of(shapely.union_all(discs).difference(shapely.union_all(holes)))
        for key in ("end-6", "end-3"):
            for way in ("offset", "raster"):
                its = tools.shipped_one(key)
                strokes = pocketing.pocket(area, Operation(tool=key, depth_mm=1.0, way=way, angle_deg=20.0), its)
                cut = ground([s for s in strokes if s[:, 2].min() <= -1 + 1e-6], its)
                worst = max(worst, pocketing.reach_of(area, its).difference(cut).area / area.area)
    return worst


def sign():
    """A sign: its job, and how long all paths took, s."""
    blank = blanks.Blank("plaque", 700.0, 300.0, 25.0, corner_mm=40.0, rim_mm=22.0, recess_mm=5.0)
    board = boards.outline(blank)
    inner = boards.field_of(blank, board)
    ornament = shapely.union_all([rotated(shifted(scaled(Point(0, 0).buffer(1), 60, 12), 350, 150), a,
                                          about=(350, 150)) for a in range(0, 180, 30)])
    shapes = {"ornament": ornament, "one": words("Lantern", 60.0, 60.0, 175.0), "two": words("Quay", 80.0, 440.0,
                                                                                            180.0)}

    def area_of(target):
        own = {"board": board, "field": inner, "middle": boards.middle_of_rim(blank, board)}.get(target.kind)
        return own if own is not None else shapes.get(target.key)
    operations = (
        Operation("pocket", Target("field"), "end-12", 5.0, raised=(Target("layer", "ornament"),)),
        Operation("pocket", Target("field"), "end-3", 5.0, raised=(Target("layer", "ornament"),), rest_of="end-12"),
        Operation("carve", Target("layer", "one"), "vee-60", from_mm=5.0),
        Operation("carve", Target("layer", "two"), "vee-60", from_mm=5.0),
        Operation("groove", Target("middle"), "vee-90", 1.0),
        Operation("edge", Target("board"), "vee-90", 3.0),
        Operation("profile", Target("board"), "end-6", 25.2, tabs=6, lead_mm=5.0))
    began = time.perf_counter()
    made = job.job_of(blank, board, operations, tools.shipped(), area_of, ROUTER)
    return made, time.perf_counter() - began


def rows() -> list[Row]:
    """Every limit of carving."""
    made, paths_s = sign()
    began = time.perf_counter()
    own = job.carved(made, 0.25)
    swept_s = time.perf_counter() - began
    coded = code.whole(made, ROUTER, dialects.shipped("knife"), "Sign")
    back = router.carve(coded.data, dict(coded.tools), field.uncut(made.board, 25.0, 0.25)).field
    off = np.abs(np.maximum(back.z, -25) - np.maximum(own.z, -25))[own.board]
    face = shading.lit(own)
    times = []
    for n in range(_LOOKS):
        began = time.perf_counter()
        shading.view(face, (900, 600), 12.0 * n - 40, 50.0, coarse=2)
        times.append(time.perf_counter() - began)
    letter, beyond = letters()
    minutes = sum(step.seconds for step in made.steps) / 60
    return [
        Row("V-carving of wedges against closed form", wedges(), 0.01, "mm"),
        Row("V-carving of rings against closed form", rings(), 0.01, "mm"),
        Row("V-carving of letters, swept, against the distance everywhere", letter, 0.01, "mm", "all places within"),
        Row("cut beyond letters", beyond, 0.01, "mm"),
        Row("pockets: left though the tool reaches it", 100 * pockets(), 0.1, "%", "worst of 48, of the area"),
        Row("carved from the bytes otherwise than planned", 100 * float((off > 0.02).mean()), 0.1, "%",
            "places off by over 0.02 mm"),
        Row("all paths of a sign of 700 x 300 mm", paths_s, 5.0, "s", f"{minutes:.0f} minutes of the machine"),
        Row("its height field at 0.25 mm", swept_s, 30.0, "s"),
        Row("the look while it is turned", 1000 * float(np.median(times)), 40.0, "ms", "900 x 600"),
    ]
