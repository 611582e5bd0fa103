"""Why something is not cut: each of the four decisions is told apart."""

from dataclasses import replace

import numpy as np

import shapes
from sketchloom.core.background.steps import Background, BackgroundStep
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.desk.regions import RegionDesk
from sketchloom.desk.uncut import uncut, why_not_cut
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

PLATE, RED, HOLE, BESIDE = (30, 60), (60, 60), (110, 60), (5, 5)


def picture():
    rgb = np.full((120, 160, 3), 255, np.uint8)
    rgb[20:100, 20:140] = (30, 53, 87)
    for x, colour in ((60, (200, 60, 50)), (110, (255, 255, 255))):
        rgb[45:75, x - 15:x + 15] = colour
    return shapes.picture(rgb)


def reasons(recipe, *places):
    work = Pipeline().evaluate(picture(), recipe)
    return [why_not_cut(work, int(work.traced.planar.faces[y, x])) for x, y in places]


def test_each_decision_is_told():
    plain = Pipeline().evaluate(picture(), Recipe())
    desk = RegionDesk(plain, RegionIndex(plain.traced.planar))
    face = [int(plain.traced.planar.faces[y, x]) for x, y in (PLATE, RED, HOLE)]
    assert reasons(Recipe(), PLATE, RED, BESIDE) == [None, None, "ground"]
    opened = desk.decided(Recipe(), [face[1]], "window")
    assert reasons(opened, RED, PLATE) == ["opened", None]
    dropped = desk.decided(Recipe(ground="everywhere"), [face[0]], "drop")
    assert reasons(dropped, PLATE, HOLE)[0] in ("dropped", None) and reasons(dropped, HOLE) == ["ground"]
    left_out = Recipe().with_edit(desk.hex_of(face[1]), left_out=True)
    assert reasons(left_out, RED, PLATE) == ["left_out", None]
    freed = Recipe(background=Background((BackgroundStep("colour", points=((0.02, 0.02),), tolerance=10.0),)))
    assert reasons(freed, BESIDE, PLATE) == ["background", None]
    assert reasons(replace(Recipe(), all_off=True), PLATE, BESIDE) == ["off", "ground"]


def test_all_are_counted_together():
    plain = Pipeline().evaluate(picture(), Recipe())
    desk = RegionDesk(plain, RegionIndex(plain.traced.planar))
    red = int(plain.traced.planar.faces[RED[1], RED[0]])
    recipe = desk.decided(Recipe().with_edit(desk.hex_of(0), left_out=True), [red], "window")
    found = {one.reason: one for one in uncut(Pipeline().evaluate(picture(), recipe))}
    assert {"ground", "opened"} <= set(found) and found["opened"].count == 1
    assert found["opened"].share == 900 / (120 * 160)
