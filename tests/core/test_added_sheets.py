"""Sheets and cuts that help: an underlay only where the ground would shine through, frames and helper cuts to weed by.
"""

from dataclasses import replace

import numpy as np
import pytest
import shapely

import shapes
import svgs
from core.test_laying import RECIPE, SIZE
from core.test_laying import work as work
from sketchloom.core.layers.added import Rim
from sketchloom.core.layers.weeding import length_mm, weeding_cuts
from sketchloom.core.shapes.polygons import area_of_outline
from sketchloom.core.sheets.material import shipped
from sketchloom.desk.mends import mended
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files import report
from sketchloom.recipe.document import Recipe


def test_an_underlay_lies_only_where_the_ground_would_shine_through(work):
    under = Rim(0.4, "underlay")
    black = Pipeline().evaluate(work.original, replace(RECIPE, laid_on="#141414", rims=(under,)))
    assert black.layers[0].plan.name == "underlay"
    area = area_of_outline(black.layers[0].outline)
    scale = work.picture.width / SIZE
    def seen(x, y):
        return area.contains(shapely.Point(x * scale, y * scale))
    assert seen(90, 90) and seen(150, 220) and not seen(150, 20)  # yellow and pale, and not the dark disc
    light = next(x for x in black.layers if x.plan.hex == "#f0e6c8")
    pale = max(area.geoms, key=lambda p: p.centroid.y)
    # a disc of radius r shrunk by d keeps pi (r - d)^2
    assert pale.area * black.mm_per_px**2 == pytest.approx(
        np.pi * ((light.area_mm2 / np.pi) ** 0.5 - 0.4) ** 2, rel=2e-3
    )
    white = Pipeline().evaluate(work.original, replace(RECIPE, laid_on="#ffffff", rims=(under,)))
    assert "underlay" not in [x.plan.name for x in white.layers]  # nothing is lighter than white


@pytest.mark.parametrize("every", [0.0, 12.0])
def test_a_weeding_frame_goes_around_and_helper_cuts_keep_clear_of_what_stays(work, every):
    for layer in work.layers:
        cuts = weeding_cuts(layer.outline, work.mm_per_px, 5.0, every)
        area = shapely.transform(area_of_outline(layer.outline), lambda xy: xy * work.mm_per_px)
        frame = shapely.LinearRing(cuts[0])
        assert frame.distance(area) == pytest.approx(5.0, abs=0.01) and shapely.Polygon(frame).contains(area)
        assert (len(cuts) == 1) == (every == 0)
        for cut in cuts[1:]:
            line = shapely.LineString(cut)
            assert (
                line.distance(area) > 0.97 and shapely.Polygon(frame).buffer(0.01).contains(line) and line.length >= 2
            )
    assert weeding_cuts(work.layers[0].outline, work.mm_per_px, 0.0)[0].shape == (5, 2)


def test_helper_cuts_are_in_every_file_and_figure(work):
    made = Pipeline().evaluate(work.original, replace(RECIPE, weeding_mm=4.0, weeding_every_mm=15.0))
    assert made.traced.curves.controls.tobytes() == work.traced.curves.controls.tobytes()
    files = svgs.layers(made, "x")
    assert all(text.decode().count('fill="none"') == 1 for text in files.values())
    assert svgs.whole(made).decode().count('fill="none"') == len(made.layers)
    view = svgs.whole(made).decode().split('viewBox="')[1].split('"')[0].split()
    assert float(view[0]) <= -0.0 and float(view[2]) >= made.size_mm[0]
    told = report.report_of(made, "x", {})["layering"]["weeding_cuts_mm"]
    assert told == pytest.approx(sum(length_mm(cuts) for cuts in made.weeding.values()), abs=0.01) and told > 500
    assert report.report_of(work, "x", {})["layering"]["weeding_cuts_mm"] == 0


@pytest.mark.parametrize("kind", ["backing", "rim"])
def test_colours_left_out_do_not_take_a_backing_with_them(work, kind):
    """A cut contour around a picture that is printed is a job of its own."""
    around = replace(RECIPE, rims=(Rim(3.0, kind),))
    whole = Pipeline().evaluate(work.original, around)
    (wanted,) = [x for x in whole.layers if x.plan.key == f"{kind} 1"]
    keys = [plan.key for plan in whole.plans]
    for gone in (keys[:1], keys[1:], keys):
        recipe = around
        for key in gone:
            recipe = recipe.with_edit(key, left_out=True)
        made = Pipeline().evaluate(work.original, recipe)
        (same,) = [x for x in made.layers if x.plan.key == f"{kind} 1"]
        assert same.outline.controls.tobytes() == wanted.outline.controls.tobytes()
        assert len(made.layers) == 1 + len(keys) - len(gone)
    files = svgs.layers(made, "x")
    assert len(files) == 1 and not {"layer.empty"} & {f.code for f in made.findings}


def test_a_colour_left_out_as_ground_has_no_backing():
    """Paper that was not taken for ground by itself and is left out by hand."""
    y, x = np.mgrid[:120, :160]
    disc = np.hypot(x - 80, y - 60) < 30
    pixels = np.where(disc[..., None], (30, 60, 120), (250, 250, 246)).astype(np.uint8)
    recipe = Recipe(reading="colour", ground="keep", size_mm=80.0, rims=(Rim(2.0),))
    work = Pipeline().evaluate(shapes.picture(pixels), recipe)
    paper = max(work.plans, key=lambda plan: int(plan.hex[1:], 16)).key
    made = Pipeline().evaluate(work.original, work.recipe.with_edit(paper, left_out=True))
    assert made.layers[0].area_mm2 == pytest.approx(np.pi * 17**2, rel=0.02)


def test_a_dark_shirt_shines_through_light_film_until_white_lies_under_it(work):
    def asked(recipe):
        made = Pipeline().evaluate(work.original, recipe)
        return made, [f for f in made.findings if f.code == "layer.shines_through"]
    fitted = replace(RECIPE, layering="fitted")
    assert not asked(fitted)[1] and not asked(replace(fitted, laid_on="#ffffff"))[1]
    made, (said,) = asked(replace(fitted, laid_on="#141414"))
    assert "3 lighter sheets" in said.message
    after, none = asked(mended(said, made))
    assert not none and after.layers[0].plan.key.startswith("underlay")
    paper = fitted
    for plan in made.plans:
        paper = paper.with_material(plan.key, next(m for m in shipped() if m.family == "paper"))
    assert not asked(replace(paper, laid_on="#141414"))[1]


def test_a_line_runs_within_a_backing_and_goes_with_it(work):
    """A backing 4 mm larger, a line 1.5 mm within its edge: both are offsets of what is cut."""
    plate, line = Rim(4.0), Rim(1.5, "inner", of="backing 1", width_mm=0.4)
    made = Pipeline().evaluate(work.original, replace(RECIPE, rims=(plate, line)))
    areas = {x.plan.name: area_of_outline(x.outline) for x in made.layers}
    within = areas["backing"].buffer(-1.5 / made.mm_per_px, 48)
    assert areas["inner line"].boundary.hausdorff_distance(within.boundary) * made.mm_per_px < 0.45
    assert areas["backing"].contains(areas["inner line"])
    gone = Pipeline().evaluate(work.original, replace(RECIPE, rims=(replace(plate, on=False), line)))
    assert not {"backing", "inner line"} & {x.plan.name for x in gone.layers}
