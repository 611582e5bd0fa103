"""``./loom bench sheets``: seams, placing, routes and the whole stage, measured."""

import itertools
import time

import numpy as np
import shapely

from bench.sheets import made, others
from bench.table import Row
from sketchloom.core.shapes.polygons import areas_of, straight_outline
from sketchloom.core.sheets import plan
from sketchloom.core.sheets.choices import DEGREES, QUARTER
from sketchloom.core.sheets.dividing import division
from sketchloom.core.sheets.dividing.room import rooms_of
from sketchloom.core.sheets.laying_out import placings
from sketchloom.core.sheets.machine import shipped
from sketchloom.core.sheets.part import Part
from sketchloom.core.sheets.placing.nofit import body_of
from sketchloom.core.sheets.placing.strip import shortest_strip
from sketchloom.core.sheets.routing.cuts import cuts_of
from sketchloom.core.sheets.routing.route import route_of
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.evaluate.planning import plans_of
from sketchloom.files.demo_works import demo
from sketchloom.files.opening import open_project

_SECONDS, _STEP = 10.0, 1.0
_WORKS, _PLACINGS = 20, 10_000
BLADE = shipped()[0]


def rows() -> list[Row]:
    return [*_seams(), *_placing(), *_gaps(), *_routes(), *_stage()]


def _seams():
    """Against the best straight seam, on works made by rule."""
    room = rooms_of([("12x24in", *BLADE.carrier("12x24in").usable_mm)], 0.0, True)
    cost, seen = [], []
    for number in range(_WORKS):
        part, above = made.divided_work(number)
        got = division.divided(part, above, room)
        assert len(got.parts) > 1
        cost.append(got.cost / got.straight_cost)
        seen.append(got.seen / got.straight_seen if got.straight_seen > 1 else 1.0)
        lost = abs(sum(p.area.area for p in got.parts) / part.area.area - 1)
        assert lost < 1e-6, lost
    note = f"{_WORKS} works made by rule"
    return [Row("cost of seams ÷ best straight ones, worst", max(cost), 1.0, "", note),
            Row("the same, median", float(np.median(cost)), 0.5, "", note),
            Row("seen length of seams ÷ best straight ones, worst", max(seen), 1.0, "", note),
            Row("the same, median", float(np.median(seen)), 0.5, "", note)]


def _placing():
    """A square cut into cells: how much longer than the square, and against a general library."""
    found, against = [], []
    for count in (12, 20, 40):
        cells = made.jigsaw(count, count)
        bodies = [body_of(areas_of(c), 0.0, DEGREES[QUARTER], simpler_mm=0.0) for c in cells]
        length, end = np.inf, time.perf_counter() + _SECONDS
        for search, at in shortest_strip(bodies, 100.0 + 0.01, _STEP):
            length = search.length(at)
            if time.perf_counter() > end:
                break
        found.append(length / 100.0)
        other = others.strip_length(cells, 100.0, DEGREES[QUARTER], _SECONDS)
        if other is not None:
            against.append(length / other)
    note = "12, 20 and 40 cells: " + ", ".join(f"{f:.3f}" for f in found) + f"; {_SECONDS:.0f} s each"
    made_rows = [Row("length of a cut-up square ÷ perfect, median", float(np.median(found)), 1.15, "", note)]
    if against:
        made_rows.append(Row("the same ÷ a general strip-packing library", float(np.median(against)), 1.03, "",
                             ", ".join(f"{a:.3f}" for a in against)))
    return made_rows


def _gaps():
    """Many placements, every pair of parts measured by a geometry library."""
    rng = np.random.default_rng(7)
    placed = bad = 0
    while placed < _PLACINGS:
        gap = float(rng.choice([0.5, 2.0, 4.0]))
        areas = [areas_of(made.blob(rng, 0, 0, rng.uniform(6, 40), int(rng.integers(2, 6))))
                 for _ in range(int(rng.integers(4, 60)))]
        group = plan.Group(None, "n", "#204060", tuple(
            plan.Ready(Part(f"k{n}", "n", "#204060", None, straight_outline(a)), DEGREES[QUARTER],
                       bool(rng.integers(2))) for n, a in enumerate(areas)))
        # of a few also a better plan: of many that takes its time
        plans = placings(group, [BLADE.carriers[0]], gap, {})
        for sheets, _ in itertools.islice(plans, 2 if len(areas) < 8 else 1):
            for sheet in sheets:
                own = [p.area for p in sheet.placed]
                placed += len(own)
                one, two = shapely.STRtree(own).query(own, predicate="dwithin", distance=gap - 1e-6)
                bad += int((one < two).sum())
                left, top, right, bottom = sheet.usable
                bounds = np.array([a.bounds for a in own])
                bad += int(((bounds[:, :2] < (left - 1e-6, top - 1e-6)).any(1)
                            | (bounds[:, 2:] > (right + 1e-6, bottom + 1e-6)).any(1)).sum())
    return [Row("parts nearer than their gap, or over the edge", bad, 0, "", f"of {placed} placements")]


def _routes():
    found = []
    for name, outline in (("panel of 250 windows", made.panel()), ("15 icons", made.icons())):
        cuts = cuts_of([outline])
        began = time.perf_counter()
        kept, free = route_of(cuts), route_of(cuts, with_rules=False)
        seconds = time.perf_counter() - began
        for route, limit, rules in ((kept, 1.10, "with the rules"), (free, 1.03, "without")):
            places = np.concatenate([[route.home], route.places])
            other = others.way_length(places, 10)
            if other is not None:
                note = f"{route.travel_mm:.0f} mm, in the order of the file {route.naive_mm:.0f}; both {seconds:.1f} s"
                found.append(Row(f"travel ÷ a general routing library, {name}, {rules}", route.travel_mm / other,
                                 limit, "", note))
    cuts = cuts_of([made.dots()])
    began = time.perf_counter()
    route = route_of(cuts)
    found.append(Row("route of 2,000 closed cuts", time.perf_counter() - began, 2.0, "s",
                     f"{route.travel_mm:.0f} mm, in the order of the file {route.naive_mm:.0f}"))
    return found


def _stage():
    """A first plan after a change of size, everything else being kept."""
    found = []
    for key, limit in (("lighthouse", 0.3), ("panel", 1.0)):
        one, cache = demo(key), Cache()
        pipeline = Pipeline(cache)
        opened = open_project(one.project(), None)
        work = pipeline.evaluate(opened.picture, opened.project.recipe)
        next(plans_of([work], cache=cache))
        work = pipeline.evaluate(opened.picture, opened.project.recipe.with_width(150.0))
        began = time.perf_counter()
        next(plans_of([work], cache=cache))
        found.append(Row(f"first plan after a change of size, {key}", time.perf_counter() - began, limit, "s",
                         f"{sum(layer.outline.holes + layer.outline.pieces for layer in work.layers)} cuts"))
    return found
