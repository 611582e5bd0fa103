"""Lines, bows and areas drawn by hand in the real window: things that are chosen again, copied, thickened, moved."""

import numpy as np
import pytest
from PIL import Image
from PySide6.QtWidgets import QInputDialog

from app.driver import pause
from app.person import Person
from app.test_source_tools import click, drag, recipe
from sketchloom.app.parts.tool_row import SWEEP
from sketchloom.app.stages.numbers import CLEAN
from sketchloom.core.shapes import polygons
from sketchloom.files import user_data
from sketchloom.recipe.document import Recipe

SIZE = 300


def share(x, y):
    return x / SIZE, y / SIZE


@pytest.fixture
def wing(driver, tmp_path):
    """A silhouette, in Clean, with the box of shapes open."""
    y, x = np.mgrid[:SIZE, :SIZE]
    pixels = np.full((SIZE, SIZE, 3), 255, np.uint8)
    pixels[np.hypot((x - 150) / 1.4, y - 150) < 80] = 24
    Image.fromarray(pixels).save(tmp_path / "wing.png")
    driver.open(tmp_path / "wing.png")
    driver.session.change(Recipe(reading="tone", silhouette=True, size_mm=150.0), "")
    driver.settled()
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    pause(30)
    clean = driver.window.panels[CLEAN]
    driver.call(clean.shapes)
    pause(20)
    return driver


def cut_out(driver):
    box = driver.window.panels[CLEAN].shapes
    box._colour.setCurrentIndex(box._colour.findData(None))
    return box


def area(driver):
    return sum(float(layer.outline.area_px.sum()) for layer in driver.settled().layers)


def test_a_line_an_area_and_a_bow_are_cut_out_of_a_silhouette(wing):
    box, before = cut_out(wing), area(wing)
    wing.type_into(box._line, "4 mm")
    wing.click("Line…", box)
    drag(wing, *(share(x, 150 + 10 * np.sin(x / 12)) for x in range(70, 232, 8)))
    line = before - area(wing)
    assert len(recipe(wing).shapes) == 1 and line == pytest.approx(8 * 175, rel=0.15)
    wing.click("Bow…", box)
    for place in ((100, 110), (200, 110), (150, 95)):
        click(wing, *share(*place))
    bow = before - line - area(wing)
    assert len(recipe(wing).shapes) == 2 and bow > 8 * 90
    wing.click("Area…", box)
    turn = np.linspace(0, 2 * np.pi, 40)
    drag(wing, *(share(150 + 20 * np.cos(t), 195 + 15 * np.sin(t)) for t in turn))
    wing.settled()
    assert len(recipe(wing).shapes) == 3
    assert before - line - bow - area(wing) == pytest.approx(np.pi * 300, rel=0.1)
    assert wing.window.bench.tool is wing.window.cleaning.tool


def test_a_chosen_line_is_thickened_copied_laid_lower_scaled_and_turned_over(wing):
    box = cut_out(wing)
    wing.click("Line…", box)
    drag(wing, share(100, 150), share(140, 160), share(200, 150))
    wing.settled()
    pause(20)
    desk = wing.window.drawing.desk

    def area_of(n):
        return polygons.area_of(desk.rings(recipe(wing).shapes[n]))
    plain = area_of(0)
    menu = {action.text(): action for action in box.tools.more.menu().actions()}
    box.kept.choose(0)
    menu["Thicker"].trigger()
    wing.settled()
    assert area_of(0).area > 1.15 * plain.area
    menu["Thinner"].trigger()
    wing.settled()
    assert area_of(0).area == pytest.approx(plain.area, rel=0.01)
    menu["Copy"].trigger()
    wing.settled()
    assert len(recipe(wing).shapes) == 2 and area_of(1).centroid.distance(plain.centroid) > 10
    first, second = recipe(wing).shapes
    box.kept.choose(1)
    menu["Lay lower"].trigger()
    assert recipe(wing).shapes == (second, first)
    wing.settled()
    box.kept.list.selectAll()
    box.tools.percent.setValue(50)
    box.tools.turn.setValue(90)
    wing.click("Scale and turn", box)
    wing.settled()
    halves = [area_of(n) for n in (0, 1)]
    assert [h.area for h in halves] == pytest.approx([plain.area / 4] * 2, rel=0.02)
    x0, y0, x1, y1 = halves[0].bounds
    assert y1 - y0 > 2 * (x1 - x0)
    for _ in range(5):
        wing.key("Ctrl+Z")
    assert len(recipe(wing).shapes) == 1 and area_of(0).equals(plain)


def test_ink_painted_on_a_silhouette_is_a_shape(wing):
    before, lines = area(wing), wing.window.panels[CLEAN].lines
    lines._set_width(3.0)
    lines.brush_wanted.emit(False)
    drag(wing, share(90, 150), share(150, 150), share(210, 150))
    after = area(wing)
    assert recipe(wing).lines == () and recipe(wing).shapes[0].hex is None
    assert before - after == pytest.approx(6 * 120 + np.pi * 9, rel=0.05)


def test_a_shape_is_kept_as_a_figure_and_laid_on_another_work(wing, tmp_path, monkeypatch):
    person, box = Person(wing), wing.window.panels[CLEAN].shapes
    person.click("Star…", box)
    drag(wing, share(100, 100), share(160, 160))
    wing.settled()
    monkeypatch.setattr(QInputDialog, "getText", lambda *_: ("my star", True))
    person.menu(box.own, "Keep the chosen shape")
    assert [one.name for one in user_data.figures()] == ["my star"]
    drawn = recipe(wing).shapes[0]
    person.menu(box.own, "my star")
    drag(wing, share(40, 110), share(240, 140))
    wing.settled()
    desk = wing.window.drawing.desk
    first, again = desk.box(drawn), desk.box(recipe(wing).shapes[1])
    point = SIZE / (150.0 * wing.window.bench.view.scale)  # of the screen, in pixels of the picture: a hand is no finer
    assert recipe(wing).shapes[1].name == "my star" and again[3] - again[1] == pytest.approx(30, abs=1.01 * point)
    assert (again[2] - again[0]) / (again[3] - again[1]) == pytest.approx(
        (first[2] - first[0]) / (first[3] - first[1]), rel=1e-6)
    box._fill_own()
    next(a for a in box._own_menu.actions() if a.menu()).menu().actions()[0].trigger()
    assert user_data.figures() == ()
