"""Places in a recipe hold when the picture is prepared otherwise."""

import io
import json
import zipfile
from dataclasses import replace

import numpy as np
import pytest
from PIL import Image

import shapes
from sketchloom.core.background.steps import Background, BackgroundStep
from sketchloom.core.picture.preparing.placing import placing
from sketchloom.core.picture.preparing.steps import Preparation
from sketchloom.core.segment.parts import Grown, Patch
from sketchloom.desk import figures
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.opening import open_project
from sketchloom.files.project import Project, from_bytes, to_bytes
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.places import as_came, as_prepared, as_shown

SIZE = 300
CROPPED = Preparation(crop=(0.1, 0.2, 0.9, 1.0))
TURNED = Preparation(turn_deg=90.0)


def spots():
    """Two dark spots of 5 px on light paper and a large disc."""
    pixels = np.full((SIZE, SIZE), 235.0)
    for x, y, r in ((90, 120, 2.5), (200, 240, 2.5), (200, 120, 30)):
        pixels = pixels * (1 - shapes.cover_of(shapes.disc(x, y, r), SIZE)) + 20 * shapes.cover_of(
            shapes.disc(x, y, r), SIZE
        )
    return shapes.picture(np.rint(pixels).astype(np.uint8))


def test_without_preparation_nothing_moves():
    recipe = Recipe(kept=((0.3, 0.4),))
    assert as_prepared(recipe, spots()) is recipe


@pytest.mark.parametrize("steps", [CROPPED, TURNED, Preparation(enlarge=2)])
def test_a_detail_brought_back_stays_back(steps):
    recipe = Recipe(reading="tone", size_mm=100.0, smallest_mm=6.0, preparation=steps)
    lost = figures.details_lost(Pipeline().evaluate(spots(), recipe))
    assert len(lost) == 2
    one = min(lost, key=lambda d: np.hypot(d.x_share - 0.3, d.y_share - 0.4))
    assert (one.x_share, one.y_share) == pytest.approx((0.3, 0.4), abs=0.01)  # of the picture as it came
    back = replace(recipe, kept=((one.x_share, one.y_share),))
    for other in (steps, Preparation(), TURNED):
        work = Pipeline().evaluate(spots(), replace(back, preparation=other))
        assert sum(x.outline.pieces for x in work.layers) == 2


def test_parts_strokes_and_background_move_along():
    picture = spots()
    recipe = Recipe(
        preparation=CROPPED,
        kept=((0.05, 0.5), (0.5, 0.6)),
        strokes_removed=((0.5, 0.6),),
        grown=(Grown(0.5, 0.6, 5.0, "#112233"), Grown(0.5, 0.1, 5.0, "#112233")),
        patches=(Patch(((0.0, 0.2), (0.5, 0.2), (0.5, 1.0)), cut_off=90),),
        background=Background(
            (
                BackgroundStep("colour", points=((0.02, 0.02),)),
                BackgroundStep("paper"),
                BackgroundStep("stroke", True, ((0.5, 0.6), (0.95, 0.6))),
            )
        ),
    )
    local = as_prepared(recipe, picture)
    assert len(local.kept) == 1 and local.kept[0] == pytest.approx((0.5, 0.5))
    assert local.strokes_removed[0] == pytest.approx((0.5, 0.5)) and len(local.grown) == 1
    assert np.array(local.patches[0].points) == pytest.approx(np.array(((0, 0), (0.5, 0), (0.5, 1))), abs=1e-6)
    assert [s.kind for s in local.background.steps] == ["paper", "stroke"]
    assert np.array(local.background.steps[1].points) == pytest.approx(np.array(((0.5, 0.5), (1.0, 0.5))), abs=1e-6)


def test_an_older_projects_places_are_brought_up_to_date():
    buffer = io.BytesIO()
    Image.fromarray(spots().rgb).save(buffer, "PNG")
    old = Recipe(
        preparation=CROPPED,
        kept=((0.25, 0.25),),
        grown=(Grown(0.5, 0.5, 5.0, "#112233"),),
        patches=(Patch(((0.0, 0.0), (0.5, 0.0), (0.5, 1.0))),),
        background=Background((BackgroundStep("stroke", True, ((0.5, 0.5), (1.0, 0.5))),)),
    )
    data = to_bytes(Project(old, buffer.getvalue(), "spots.png"))
    assert open_project(from_bytes(data, "new"), None).project.recipe == old
    before = _with_schema(data, "1.1")
    now = open_project(before, None).project
    assert now.recipe.kept[0] == pytest.approx((0.3, 0.4)) and (
        now.recipe.grown[0].x,
        now.recipe.grown[0].y,
    ) == pytest.approx((0.5, 0.6))
    assert as_prepared(now.recipe, spots()).patches[0].points[1] == pytest.approx((0.5, 0.0), abs=1e-6)
    assert not now.has_prepared_places
    move = placing(SIZE, SIZE, TURNED)
    assert np.array(as_shown(move, as_came(move, ((0.2, 0.7),)))) == pytest.approx(np.array(((0.2, 0.7),)), abs=1e-6)


def _with_schema(data, version):
    """The same project as an older program wrote it."""
    out = io.BytesIO()
    with zipfile.ZipFile(io.BytesIO(data)) as old, zipfile.ZipFile(out, "w") as new:
        for name in old.namelist():
            part = old.read(name)
            if name == "project.json":
                part = json.dumps({**json.loads(part), "schema": version}).encode()
            new.writestr(name, part)
    return from_bytes(out.getvalue(), "old")
