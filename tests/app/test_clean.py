"""The Clean stage in the real window: regions dropped, opened, coloured, swept, chosen by likeness, box and lasso; the
lists."""

from dataclasses import replace

import numpy as np
import pytest
from PIL import Image
from PySide6.QtCore import QByteArray, QMimeData, QPoint, QPointF, Qt
from PySide6.QtGui import QDragEnterEvent, QDropEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication

import shapes
from app.driver import grabbed, pause, wait
from app.test_source_tools import at, click, drag, recipe
from sketchloom.app.bench.paint import COLOUR_MIME
from sketchloom.app.parts.tool_row import SWEEP
from sketchloom.app.stages.numbers import CLEAN, TRACE
from sketchloom.desk import narrow
from sketchloom.desk.regions import RegionDesk

SIZE = 300
STAR, LEFT, RIGHT, NIGHT, PAPER = (150, 80), (60, 170), (240, 170), (150, 220), (8, 8)


@pytest.fixture()
def night_file(tmp_path):
    """A dark disc on white; on it a yellow star, two red moons of one size and a small red one."""
    pixels = np.full((SIZE, SIZE, 3), 255.0)
    parts = [(shapes.disc(150, 150, 130), (30, 53, 87)), (shapes.disc(*STAR, 14), (227, 174, 74)),
             *((shapes.disc(x, y, r), (200, 60, 50)) for x, y, r in ((*LEFT, 20), (*RIGHT, 21), (150, 150, 6)))]
    for shape, colour in parts:
        cover = shapes.cover_of(shape, SIZE)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    path = tmp_path / "night.png"
    Image.fromarray(np.rint(pixels).astype(np.uint8)).save(path)
    return path


@pytest.fixture()
def clean(driver, night_file):
    driver.open(night_file)
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    pause(20)
    return driver.window.panels[CLEAN]


def share(place):
    return place[0] / SIZE, place[1] / SIZE


def seen(driver, place):
    """Colour cut at a place of the picture, None for the ground."""
    work = driver.settled()
    face = work.traced.planar.faces[place[1], place[0]]
    return None if work.ground[face] else work.segmentation.entries[work.edited.label[face]].hex


def test_a_click_drops_a_second_brings_back(driver, clean):
    window = driver.window
    assert window.bench.tool is window.cleaning.tool
    before = grabbed(window.bench).toImage().pixelColor(at(driver, *share(STAR)))
    click(driver, *share(STAR))
    shown = grabbed(window.bench).toImage().pixelColor(at(driver, *share(STAR)))
    assert shown != before  # at once, before the sheets are cut anew
    assert seen(driver, STAR) == "#1e3557"
    pause(30)
    assert clean.edits.list.count() == 1 and "dropped" in clean.edits.list.item(0).text()
    click(driver, *share(STAR))
    assert seen(driver, STAR) == "#e3ae4a" and recipe(driver).edits == ()
    driver.key("Ctrl+Z")
    assert seen(driver, STAR) == "#1e3557"
    driver.key("Ctrl+Z")
    assert seen(driver, STAR) == "#e3ae4a"


def test_a_region_is_opened_and_coloured(driver, clean):
    driver.click("Open", clean)
    click(driver, *share(STAR))
    assert seen(driver, STAR) is None
    row = [
        clean.regions.colours.item(k).data(Qt.ItemDataRole.UserRole) for k in range(clean.regions.colours.count())
    ].index("#c83c32")
    item = clean.regions.colours.item(row)
    QTest.mouseClick(
        clean.regions.colours.viewport(),
        Qt.MouseButton.LeftButton,
        pos=clean.regions.colours.visualItemRect(item).center(),
    )
    assert clean.regions.wanted() == ("colour", "#c83c32")
    click(driver, *share(STAR))
    assert seen(driver, STAR) == "#c83c32"
    assert [e.action for e in recipe(driver).edits] == ["window", "colour"]  # the one before stays beneath
    driver.click("The outside too", clean)
    click(driver, *share(PAPER))
    assert seen(driver, PAPER) == "#c83c32"


def test_a_colour_is_dragged_onto_a_region(driver, clean):
    data = QMimeData()
    data.setData(COLOUR_MIME, QByteArray(b"#e3ae4a"))
    bench, place = driver.window.bench, at(driver, *share(LEFT))
    enter = QDragEnterEvent(
        place, Qt.DropAction.CopyAction, data, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier
    )
    QApplication.sendEvent(bench, enter)
    assert enter.isAccepted()
    QApplication.sendEvent(
        bench,
        QDropEvent(
            QPointF(place), Qt.DropAction.CopyAction, data, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier
        ),
    )
    assert seen(driver, LEFT) == "#e3ae4a"
    assert bytes(clean.regions.colours.mimeData([clean.regions.colours.item(0)]).data(COLOUR_MIME)).startswith(b"#")


def test_a_sweep_takes_many_as_one_step(driver, clean):
    driver.click("Open", clean)
    drag(driver, share(LEFT), share((150, 170)), share(RIGHT))
    assert [seen(driver, p) for p in (LEFT, RIGHT, NIGHT)] == [None, None, None] and len(recipe(driver).edits) == 3
    driver.key("Ctrl+Z")
    assert seen(driver, LEFT) == "#c83c32" and recipe(driver).edits == ()


def test_two_clicks_take_all_that_are_alike(driver, clean):
    bench = driver.window.bench

    def twice(place):
        QTest.mouseClick(bench, Qt.MouseButton.LeftButton, pos=at(driver, *share(place)))
        pause(60)
        QTest.mouseDClick(bench, Qt.MouseButton.LeftButton, pos=at(driver, *share(place)))
        driver.settled()
    twice(LEFT)
    assert [seen(driver, p) for p in (LEFT, RIGHT, (150, 150))] == ["#1e3557", "#1e3557", "#c83c32"]
    driver.click("Take all back", clean)
    driver.settled()
    driver.click("Any size", clean)
    twice(LEFT)
    assert seen(driver, (150, 150)) == "#1e3557" and seen(driver, STAR) == "#e3ae4a"
    driver.click("Take all back", clean)
    driver.settled()
    driver.click("Like in shape", clean)
    twice(STAR)
    assert {seen(driver, p) for p in (STAR, LEFT, RIGHT, (150, 150))} == {"#1e3557"}


def test_box_and_lasso(driver, clean):
    driver.click("Box", clean)
    drag(driver, share((30, 140)), share((90, 200)))
    assert seen(driver, LEFT) == "#1e3557" and seen(driver, RIGHT) == "#c83c32"
    assert driver.window.bench.tool is driver.window.cleaning.tool  # taken up again by itself
    driver.click("Lasso", clean)
    for corner in ((120, 50), (180, 50), (180, 110), (120, 110)):
        click(driver, *share(corner))
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Return)
    assert seen(driver, STAR) == "#1e3557"


def test_everything_off_then_chosen(driver, clean):
    driver.click("Everything off", clean)
    assert driver.settled().layers == ()
    click(driver, *share(LEFT))
    click(driver, *share(STAR))
    work = driver.settled()
    assert sorted(x.plan.hex for x in work.layers) == ["#c83c32", "#e3ae4a"] and seen(driver, RIGHT) is None
    click(driver, *share(STAR))
    assert [x.plan.hex for x in driver.settled().layers] == ["#c83c32"]


def test_one_colour_alone_is_shown(driver, clean):
    bench, only = driver.window.bench, clean.regions._only
    plain = grabbed(bench).toImage()
    only.setCurrentIndex(only.findData("#c83c32"))
    only.activated.emit(only.currentIndex())
    shown = grabbed(bench).toImage()
    at_left, at_night = at(driver, *share(LEFT)), at(driver, *share(NIGHT))
    assert shown.pixelColor(at_left) == plain.pixelColor(at_left) and shown.pixelColor(at_night) != plain.pixelColor(
        at_night
    )
    click(driver, *share(LEFT))  # clicks work all the same, and what is shown stays chosen
    assert seen(driver, LEFT) == "#1e3557" and only.currentData() == "#c83c32" and bench._peek is not None
    only.setCurrentIndex(only.findData("changed"))
    only.activated.emit(only.currentIndex())
    mask = driver.window.cleaning.desk.others("changed")
    faces = driver.work.traced.planar.faces
    assert not mask[faces[LEFT[1], LEFT[0]]] and mask[faces[RIGHT[1], RIGHT[0]]]
    driver.window.show_stage(TRACE)
    assert bench._peek is None


def test_the_list_of_decisions(driver, clean):
    click(driver, *share(STAR))
    driver.settled()
    click(driver, *share(LEFT))
    driver.settled()
    pause(30)
    listed = clean.edits.list
    assert listed.count() == 2
    listed.item(1).setCheckState(Qt.CheckState.Unchecked)  # the star, decided first
    assert seen(driver, STAR) == "#e3ae4a" and seen(driver, LEFT) == "#1e3557"
    pause(30)
    listed.setCurrentRow(0)
    driver.click("Take back", clean)
    assert seen(driver, LEFT) == "#c83c32" and len(recipe(driver).edits) == 1
    pause(30)
    # only larger details: there is no star any more, and the decision about it is told to be lost
    listed.item(0).setCheckState(Qt.CheckState.Checked)
    driver.settled()
    driver.session.change(replace(recipe(driver), smallest_mm=14.0), "smallest")
    work = driver.settled()
    assert any(f.code == "clean.edit_lost" for f in work.findings)
    pause(30)
    assert "not found" in clean.edits._said.text()
    driver.click("Clear lost", clean)
    assert recipe(driver).edits == () and not any(f.code == "clean.edit_lost" for f in driver.settled().findings)


def test_the_smallest_are_listed_and_keys_step_through_them(driver, clean):
    clean.drawers["small"].call()
    listed = clean.small.list
    assert listed.count() == 5 and "red" in listed.item(0).text()
    bench, tool = driver.window.bench, driver.window.cleaning.tool
    small = driver.work.traced.planar.faces[150, 150]
    bench.setFocus()
    QTest.keyClick(bench, Qt.Key.Key_Period)
    assert tool.face == small
    QTest.keyClick(bench, Qt.Key.Key_Period)
    assert tool.face == driver.work.traced.planar.faces[STAR[1], STAR[0]]
    QTest.keyClick(bench, Qt.Key.Key_Comma)
    QTest.keyClick(bench, Qt.Key.Key_Delete)
    assert seen(driver, (150, 150)) == "#1e3557"
    listed.setCurrentRow(0)
    driver.click("Do it to the chosen", clean)
    assert len(recipe(driver).edits) == 2


def test_pictures_are_made_of_the_rows_that_are_seen(driver, clean, monkeypatch):
    made = []
    monkeypatch.setattr(RegionDesk, "picture", lambda self, face: made.append(face) or np.zeros((9, 9, 3), np.uint8))
    clean.drawers["small"].call()
    listed = clean.small.list
    wait(lambda: listed.count() == 5)
    made.clear()
    listed.begin(driver.window.cleaning.desk.picture)
    for face in range(200):
        listed.add(f"region {face}", face)
    assert made == []
    wait(lambda: 0 in made)
    assert len(made) == len(set(made)) < 20
    listed.scrollToBottom()
    wait(lambda: 199 in made)
    assert len(made) == len(set(made)) < 40


def test_the_bench_says_what_a_click_would_do_and_magnifies(driver, clean):
    bench = driver.window.bench
    for step in (12, 0):
        QTest.mouseMove(bench, at(driver, *share(STAR)) + QPoint(step, 0))
        pause(10)
    assert "yellow" in bench.tool.hint and "drops it" in bench.tool.hint
    bench.zoom(0.2)
    for step in (3, 0):
        QTest.mouseMove(bench, at(driver, *share(STAR)) + QPoint(step, 0))
        pause(10)
    with_loupe = grabbed(bench).toImage()
    driver.click("Magnify", clean)
    bench.tool.repaint.emit()
    assert grabbed(bench).toImage() != with_loupe
    QTest.mouseMove(bench, at(driver, 0.02, 0.02))
    pause(10)
    assert "outside" in bench.tool.hint


def test_the_tool_is_put_down_and_taken_up(driver, clean):
    bench = driver.window.bench
    QTest.keyClick(bench, Qt.Key.Key_Escape)
    assert bench.tool is None and not clean.tools.buttons[SWEEP].isChecked()
    before = bench.view
    drag(driver, (0.3, 0.6), (0.4, 0.7))
    assert bench.view != before and recipe(driver).edits == ()
    driver.click("Sweep", clean)
    assert bench.tool is not None
    driver.window.show_stage(TRACE)
    assert bench.tool is None


def test_pen_lines_have_no_regions(driver, smaller):
    driver.open(smaller("pen"))
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    pause(20)
    panel = driver.window.panels[CLEAN]
    assert driver.work.draws_with_pens and panel._pens.isVisible() and not panel.regions.isVisible()
    assert driver.window.bench.tool is None


@pytest.fixture()
def gapped_file(tmp_path):
    """A ring with two gaps, and a bar across it."""
    def inside(x, y):
        ring = np.abs(np.hypot(x - 150, y - 150) - 100) < 5
        gaps = ((x > 150) & (np.abs(y - 150) < 4)) | ((y < 150) & (np.abs(x - 150) < 3))
        return (ring & ~gaps) | ((np.abs(y - 200) < 4) & (np.hypot(x - 150, y - 150) < 100))
    path = tmp_path / "gaps.png"
    Image.fromarray(shapes.grey_of(shapes.cover_of(inside, SIZE))).save(path)
    return path


@pytest.fixture()
def gapped(driver, gapped_file):
    driver.open(gapped_file)
    driver.session.change(replace(recipe(driver), reading="tone"), "reading")
    driver.settled()
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    panel = driver.window.panels[CLEAN]
    panel.lines.parentWidget().head.setChecked(True)
    wait(lambda: panel.lines.gaps is not None, what="the gaps")
    return panel


def test_gaps_are_told_and_closed_by_clicks(driver, gapped):
    assert "2 gaps" in gapped.lines._said.text()
    def holes():
        return driver.settled().layers[0].outline.holes
    assert holes() == 1  # below the bar
    driver.click("Choose bridges", gapped)
    click(driver, 250 / SIZE, 150 / SIZE)
    assert len(recipe(driver).lines) == 1
    driver.settled()
    wait(lambda: gapped.lines.gaps is not None and len(gapped.lines.gaps) == 1, what="the gap left")
    driver.click("Close all", gapped)
    work = driver.settled()
    assert len(recipe(driver).lines) == 2 and holes() == 2
    wait(lambda: gapped.lines.gaps is not None and len(gapped.lines.gaps) == 0, what="no gap")
    # the two sides of the bar are regions now: one gets a sheet of its own
    upper = work.traced.planar.faces[120, 150]
    assert upper != work.traced.planar.faces[10, 10]
    gapped.lines.kept.list.item(0).setCheckState(Qt.CheckState.Unchecked)
    assert holes() == 1
    gapped.lines.kept.list.setCurrentRow(1)
    driver.click("Take back", gapped.lines)
    assert len(recipe(driver).lines) == 1


def test_ink_is_painted_and_taken_away(driver, gapped):
    driver.type_into(gapped.lines._width, "6 mm")
    driver.click("Add ink", gapped)
    drag(driver, (0.40, 0.40), (0.45, 0.42), (0.55, 0.45))
    work = driver.settled()
    assert len(recipe(driver).lines) == 1 and work.segmentation.labels[int(0.42 * SIZE), int(0.46 * SIZE)] == 0
    assert driver.window.bench.tool is not None  # the brush is still held
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Escape)
    driver.click("Take ink away", gapped)
    click(driver, 0.5, 180 / SIZE)
    click(driver, 0.5, 220 / SIZE)
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Return)
    work = driver.settled()
    assert len(recipe(driver).lines) == 2 and work.segmentation.labels[200, 150] == 1
    driver.key("Ctrl+Z", "Ctrl+Z")
    assert driver.settled() is not None and recipe(driver).lines == ()


def test_regions_colours_and_bridges_outlive_another_cut_off(driver, gapped):
    driver.click("Close all", gapped)
    driver.settled()
    driver.window.cleaning.hold()
    click(driver, 0.5, 0.4)  # the upper part of the ring, paper: it is filled
    work = driver.settled()
    assert not work.ground[work.traced.planar.faces[120, 150]]
    cut = work.segmentation.cut_off
    driver.session.change(replace(recipe(driver), cut_off=cut + 25), "cut-off")
    work = driver.settled()
    assert (work.edited.found >= 0).all() and not work.ground[work.traced.planar.faces[120, 150]]
    assert not any(f.code.startswith("clean.") for f in work.findings)


def test_narrow_places_are_listed_and_drawn(driver, gapped):
    """The ring is 10 px wide and the bar 8, at 120 mm on 300 px: 4 mm and 3.2 mm."""
    fold = gapped.narrow.parentWidget()
    fold.head.setChecked(True)
    driver.type_into(gapped.narrow._least, "3.6 mm")
    work = driver.settled()
    pause(20)
    assert work.recipe.thin_mm == 3.6
    first = gapped.narrow.list.item(0)
    assert "too narrow" in first.text() and narrow.narrow_places(work)[0].width_mm == pytest.approx(3.2, abs=0.1)
    bench = driver.window.bench
    plain = grabbed(bench).toImage()
    driver.click("Show widths", gapped)
    xy, share_ = narrow.width_line(work)
    assert len(xy) and share_.min() == pytest.approx(3.2 / 3.6, abs=0.03) and grabbed(bench).toImage() != plain
    gapped.narrow.list.setCurrentRow(0)
    assert bench.target is not None
    driver.click("Show widths", gapped)
    assert bench._widths is None
    driver.window.show_stage(TRACE)


def test_the_second_of_two_clicks_waits_for_the_first(driver, clean):
    """The result of the first may still be on its way, on a slow machine or a large picture."""
    bench, cleaning = driver.window.bench, driver.window.cleaning
    QTest.mouseClick(bench, Qt.MouseButton.LeftButton, pos=at(driver, *share(LEFT)))
    before, cleaning.desk = cleaning.desk, None
    cleaning.tool.show_desk(None)
    QTest.mouseDClick(bench, Qt.MouseButton.LeftButton, pos=at(driver, *share(LEFT)))
    assert before is not None and len(recipe(driver).edits) == 1
    driver.settled()
    assert [seen(driver, p) for p in (LEFT, RIGHT, (150, 150))] == ["#1e3557", "#1e3557", "#c83c32"]
