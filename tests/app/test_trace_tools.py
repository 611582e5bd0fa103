"""The Trace stage in the real window: curve, ladder, palette, line, photo, details, parts, doubles, variants, presets.
"""

import json
from dataclasses import replace

import cv2
import numpy as np
import pytest
from PIL import Image
from PySide6.QtCore import QEvent, QPoint, Qt
from PySide6.QtGui import QImage
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QCheckBox, QLineEdit, QListWidget, QToolButton

import shapes
from app.driver import grabbed, pause, wait
from app.test_source_tools import click, drag, recipe
from sketchloom.app.stages.numbers import LAYERS, TRACE
from sketchloom.desk import figures
from sketchloom.desk.mends import mended
from sketchloom.files import user_data

SIZE = 240


@pytest.fixture()
def trace(driver):
    """Opens a file and turns to the Trace stage."""
    def opened(path):
        driver.open(path)
        driver.window.show_stage(TRACE)
        pause(20)
        return driver.window.panels[TRACE]
    return opened


@pytest.fixture()
def discs_file(tmp_path):
    """Three colours on white, and two specks under a millimetre."""
    pixels = np.full((SIZE, SIZE, 3), 255.0)
    for (x, y, r), colour in zip(
        ((60, 60, 34), (170, 70, 40), (120, 170, 44), (30, 200, 3), (215, 205, 2.2)),
        ((200, 60, 50), (60, 110, 190), (230, 180, 60), (200, 60, 50), (200, 60, 50)),
        strict=False,
    ):
        cover = shapes.cover_of(shapes.disc(x, y, r), SIZE)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    path = tmp_path / "discs.png"
    Image.fromarray(np.rint(pixels).astype(np.uint8)).save(path)
    return path


# -- tone


def test_the_cut_off_is_dragged_along_the_curve(driver, trace, smaller):
    panel = trace(smaller("kingfisher"))
    curve = panel.tone.curve
    assert curve.isVisible() and curve._proposed == driver.work.segmentation.cut_off
    middle = curve.height() // 2
    QTest.mousePress(curve, Qt.MouseButton.LeftButton, pos=QPoint(curve.width() // 4, middle))
    for share in (0.4, 0.5, 0.6):
        QTest.mouseMove(curve, QPoint(round(share * curve.width()), middle))
        pause(5)
    QTest.mouseRelease(curve, Qt.MouseButton.LeftButton, pos=QPoint(round(0.6 * curve.width()), middle))
    work = driver.settled()
    assert work.segmentation.cut_off == pytest.approx(153, abs=2)
    assert len(driver.session.document._history) == 2  # one drag is one step back
    curve.setFocus()
    QTest.keyClick(curve, Qt.Key.Key_Right)
    assert driver.settled().segmentation.cut_off == work.segmentation.cut_off + 1


def test_pieces_and_holes_of_every_cut_off_are_told(driver, trace, smaller):
    panel = trace(smaller("kingfisher"))
    curve = panel.tone.curve
    wait(lambda: curve._pieces, what="the counts")
    cut = driver.work.segmentation.cut_off
    ink = np.pad(driver.work.picture.grey <= cut, 1).astype(np.uint8)
    assert curve._pieces[cut] == cv2.connectedComponents(ink, connectivity=8)[0] - 1
    assert curve._holes[cut] == cv2.connectedComponents(1 - ink, connectivity=4)[0] - 2
    QTest.mouseMove(curve, QPoint(curve.width() // 2, 60))
    pause(5)
    assert curve._pointed == pytest.approx(128, abs=1) and "piece" in curve._said(curve._pointed)
    driver.click("Light is ink", panel)
    driver.settled()
    wait(lambda: curve._pieces and panel.tone._counted[1] is False, what="the counts of light ink")


def test_silhouette_light_and_inner_areas(driver, trace, smaller):
    panel = trace(smaller("kingfisher"))
    holes = driver.work.layers[0].outline.holes
    assert holes > 3 and f"{holes} holes" in panel.tone._said.text()
    driver.click("Silhouette", panel)
    assert driver.settled().layers[0].outline.holes == 0
    driver.click("Silhouette", panel)
    driver.settled()
    driver.click("Keep inner areas", panel)
    assert len(driver.settled().layers) == 2
    driver.click("Cut-off follows the light", panel)
    assert driver.settled().segmentation.cut_offs is None
    assert not panel.tone.curve.isVisible()


# -- colour


def test_the_ladder_comes_and_a_rung_is_taken(driver, trace, smaller):
    panel = trace(smaller("lighthouse"))
    ladder = panel.colour.ladder
    wait(ladder.isVisible, what="the ladder")
    assert ladder.rowCount() == 6 and ladder.item(0, 0).text() == "7" and ladder.item(5, 0).text() == "2"
    assert "goes into" in ladder.item(3, 0).toolTip()
    rect = ladder.visualItemRect(ladder.item(3, 0))
    QTest.mouseClick(ladder.viewport(), Qt.MouseButton.LeftButton, pos=rect.center())
    work = driver.settled()
    assert recipe(driver).colours == 4 and len(work.segmentation.entries) == 4
    assert ladder.selectedItems()[0].text() == "4"


def test_a_rung_pointed_at_is_shown_on_the_bench(driver, trace, smaller):
    panel, bench = trace(smaller("lighthouse")), driver.window.bench
    ladder = panel.colour.ladder
    wait(ladder.isVisible, what="the ladder")
    plain = grabbed(bench).toImage()
    rect = ladder.visualItemRect(ladder.item(4, 1))
    QTest.mouseMove(ladder.viewport(), rect.center() - QPoint(0, 2))
    QTest.mouseMove(ladder.viewport(), rect.center())
    pause(5)
    found = panel.colour._found
    assert len(bench._peek[1]) <= len(found.lost(found.rungs[4])[1]) == found.rungs[4].regions_lost
    assert grabbed(bench).toImage() != plain
    QTest.mouseMove(driver.window.rail, QPoint(5, 5))
    ladder.leaveEvent(QEvent(QEvent.Type.Leave))
    assert bench._peek is None and grabbed(bench).toImage() == plain


def test_a_colour_is_added_by_a_click(driver, trace, discs_file):
    panel = trace(discs_file)
    panel.colour._count.slider.setValue(3)
    work = driver.settled()
    hexes = {e.hex for e in work.segmentation.entries}
    (gone,) = {"#c83c32", "#3c6ebe", "#e6b43c", "#ffffff"} - hexes
    place = {"#c83c32": (60, 60), "#3c6ebe": (170, 70), "#e6b43c": (120, 170)}[gone]
    driver.click("Add", panel.colour)
    assert driver.window.bench.picking
    click(driver, place[0] / SIZE, place[1] / SIZE)
    assert not driver.window.bench.picking
    assert {e.hex for e in driver.settled().segmentation.entries} == {*hexes, gone}


def choose(panel, *hexes):
    found = panel.colour._list
    found.clearSelection()
    for row in range(found.count()):
        if found.item(row).data(Qt.ItemDataRole.UserRole) in hexes:
            found.item(row).setSelected(True)


def test_colours_are_locked_left_out_ordered_and_made_the_same(driver, trace, discs_file):
    panel = trace(discs_file)
    choose(panel, "#e6b43c")
    driver.click("Lock", panel)
    driver.settled()
    assert recipe(driver).locked == ("#e6b43c",)
    panel.colour._count.slider.setValue(2)
    assert "#e6b43c" in [e.hex for e in driver.settled().segmentation.entries]
    driver.key("Ctrl+Z")
    driver.settled()
    choose(panel, "#3c6ebe")
    driver.click("Leave out", panel)
    assert "#3c6ebe" not in [x.plan.key for x in driver.settled().layers]
    driver.click("Bring back", panel)
    driver.settled()
    keys = [p.key for p in driver.work.plans]
    choose(panel, keys[0])
    driver.click("Higher", panel)
    assert [p.key for p in driver.settled().plans][:2] == [keys[1], keys[0]]
    choose(panel, "#c83c32")
    next(b for b in panel.colour.row.findChildren(QToolButton) if "#3c6ebe" in b.accessibleName()).click()
    work = driver.settled()
    assert "#c83c32" not in [e.hex for e in work.segmentation.entries]
    labels = work.segmentation.labels
    assert labels[60, 60] == labels[70, 170] != labels[170, 120]


# -- line and photo


def test_strokes_become_pen_lines_are_removed_and_become_shapes(driver, trace, smaller):
    panel = trace(smaller("kingfisher"))
    panel.readings.tiles["line"].click()
    work = driver.settled()
    count = work.layers[0].outline.pieces
    assert work.layers[0].outline.pen_px is not None and str(count) in panel.line._said.text()
    driver.click("Remove strokes", panel)
    controls = work.segmentation.strokes.controls
    # the middle of the longest stroke on the bench
    strokes = work.segmentation.strokes
    longest = int(np.argmax(strokes.length_px))
    x, y = controls[(strokes.starts[longest] + strokes.starts[longest + 1]) // 2, 0] / SIZE_OF(work)
    click(driver, float(x), float(y))
    assert len(recipe(driver).strokes_removed) == 1
    less = driver.settled()
    assert less.segmentation.strokes.length_px.sum() < strokes.length_px.sum() - 20
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Escape)
    driver.click("Bring 1 back", panel)
    assert driver.settled().layers[0].outline.pieces == count
    driver.click("Shapes to cut", panel)
    shapes_ = driver.settled()
    assert shapes_.layers[0].outline.pen_px is None and shapes_.layers[0].area_mm2 > 0


def SIZE_OF(work):
    return np.array([work.picture.width, work.picture.height], float)


def test_a_stroke_tells_its_width_and_pens_are_parted(driver, trace, smaller):
    panel, bench = trace(smaller("kingfisher")), driver.window.bench
    panel.readings.tiles["line"].click()
    work = driver.settled()
    strokes = work.segmentation.strokes
    longest = int(np.argmax(strokes.length_px))
    x, y = strokes.controls[(strokes.starts[longest] + strokes.starts[longest + 1]) // 2, 0] * work.mm_per_px
    for step in (30, 0):
        QTest.mouseMove(bench, driver.at_mm(x, y) + QPoint(step, 0))
        pause(20)
    assert f"{strokes.width_px[longest] * work.mm_per_px:.2f} mm wide" in bench.accessibleDescription()
    panel.line._pens.slider.setValue(3)
    work = driver.settled()
    widths = [x.outline.pen_px for x in work.layers]
    assert len(widths) == 3 and widths == sorted(widths, reverse=True)
    assert sum(x.outline.pieces for x in work.layers) == len(strokes.closed)


def test_the_close_look_at_a_face(driver, trace, smaller):
    panel, bench = trace(smaller("portrait")), driver.window.bench
    driver.session.change(with_size(recipe(driver), 160.0, 4.0), "size")
    work = driver.settled()
    panel.readings.tiles["photo"].click()
    work = driver.settled()
    count = len(work.segmentation.details.places)
    assert count and "they stay" in panel.photo._said.text() and len(panel.photo.strip._images) == 3
    panel.photo.strip.pointed.emit(True)
    assert bench._peek is not None
    panel.photo.strip.pointed.emit(False)
    assert bench._peek is None
    driver.click("Keep eyes", panel)
    driver.settled()
    assert "they are lost" in panel.photo._said.text()
    before = panel.photo.strip._images[0]
    driver.click("Look elsewhere", panel)
    click(driver, 0.1, 0.9)
    assert (
        bench.tool is None and panel.photo.strip._images[0] != before and "0 of them here" in panel.photo._said.text()
    )


def test_tones_of_a_photo(driver, trace, smaller):
    panel = trace(smaller("boat"))
    assert driver.work.reading == "photo" and panel.photo.isVisible() and not panel.colour.isVisible()
    panel.photo.controls["tones"].part.slider.setValue(6)
    assert len(driver.settled().layers) == 6
    said, apart = panel.photo._chosen, driver.work.segmentation.hues_apart
    assert said.isVisible() and ("of its own" if apart else "one ramp") in said.text()
    driver.session.change(replace(recipe(driver), hues="ramp" if apart else "apart"), "hues")
    assert driver.settled().segmentation.hues_apart != apart and not said.isVisible()
    driver.click("Draw dark outlines", panel)
    assert recipe(driver).photo_outlines and driver.settled() is not None


# -- details


def test_lost_details_are_listed_shown_and_brought_back(driver, trace, discs_file):
    panel = trace(discs_file)
    driver.session.change(with_size(recipe(driver), 60.0, 3.0), "size")
    work = driver.settled()
    listed = panel.detail._list
    assert listed.count() == 2 and "across at" in listed.item(0).text()
    assert figures.details_lost(work)[0].size_mm == pytest.approx(2 * 3 * 60 / SIZE, rel=0.1)
    listed.setCurrentRow(0)
    assert driver.window.bench.target is not None
    before = driver.work.traced.planar.face_count
    driver.click("Bring back", panel)
    work = driver.settled()
    assert len(figures.details_lost(work)) == 1 and work.traced.planar.face_count == before + 1
    driver.click("Let the 1 brought back go", panel)
    driver.settled()
    listed.setCurrentRow(1)
    driver.click("All from its size", panel)
    assert len(figures.details_lost(driver.settled())) == 0
    rule = panel.detail._rule
    rule.setCurrentIndex(rule.count() - 1)
    rule.activated.emit(rule.count() - 1)
    assert driver.settled().recipe.smallest_mm == 5.0


def with_size(old, mm, smallest):
    from dataclasses import replace

    return replace(old, size_mm=mm, smallest_mm=smallest)


# -- parts


def test_a_region_is_grown_with_its_outline_live(driver, trace, discs_file):
    panel = trace(discs_file)
    panel._grow_fold.head.setChecked(True)
    driver.click("Grow a region…", panel)
    click(driver, 60 / SIZE, 60 / SIZE)
    tool = driver.window.bench.tool
    assert tool.share == pytest.approx(np.pi * 34**2 / SIZE**2, rel=0.05) and panel.grow._reach.isVisible()
    panel.grow._reach.slider.setValue(60)
    assert tool.tolerance == 60
    tool.set_tolerance(tool.proposed)
    driver.window.bench.setFocus()
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Return)
    work = driver.settled()
    assert len(recipe(driver).grown) == 1 and len(work.layers) == 4
    driver.click("Take the chosen one back", panel)
    assert len(driver.settled().layers) == 3


def test_a_part_gets_settings_of_its_own(driver, trace, discs_file):
    panel = trace(discs_file)
    panel.patch.parent().head.setChecked(True)
    driver.click("Draw round a part", panel)
    drag(driver, *[(0.05 + 0.3 * np.cos(t) + 0.2, 0.25 + 0.22 * np.sin(t)) for t in np.linspace(0, 2 * np.pi, 40)])
    driver.settled()
    assert len(recipe(driver).patches) == 1 and driver.window.bench.lasso is not None
    panel.patch._smooth.slider.setValue(3)
    driver.settled()
    assert recipe(driver).patches[0].smoothness == 3
    assert "1 own" in panel.patch._list.item(0).text()
    driver.window.show_stage(LAYERS)
    assert driver.window.bench.lasso is None
    driver.window.show_stage(TRACE)
    driver.click("Take this part back", panel)
    assert driver.settled().recipe.patches == ()


def test_double_outlines_are_found_and_made_one(driver, trace, tmp_path):
    def away(x, y):
        return np.hypot(x - 120, y - 120)
    ink = shapes.cover_of(lambda x, y: (away(x, y) > 70) & (away(x, y) < 74), SIZE)[..., None]
    inner = shapes.cover_of(shapes.disc(120, 120, 70), SIZE)[..., None]
    pixels = 255.0 * (1 - ink - inner) + 20 * ink + np.array([220, 150, 60]) * inner
    Image.fromarray(np.rint(pixels).astype(np.uint8)).save(tmp_path / "ring.png")
    panel = trace(tmp_path / "ring.png")
    driver.session.change(with_size(recipe(driver), 30.0, 0.3), "size")
    driver.settled()
    panel.doubles.parent().head.setChecked(True)
    wait(lambda: "1 pair" in panel.doubles._said.text(), what="the doubles")
    driver.click("Show the next", panel)
    assert driver.window.bench.target is not None
    assert len(driver.work.layers) == 2
    driver.click("Make cuts nearer", panel)
    assert len(driver.settled().layers) == 1
    wait(lambda: "No two cuts" in panel.doubles._said.text(), what="none left")


# -- variants and presets


def test_variants_are_shown_taken_and_pinned(driver, trace, smaller):
    trace(smaller("kingfisher"))
    strip = driver.window.variants
    driver.key("V")
    assert strip.isVisible()
    wait(lambda: len(strip.cards) >= 4, 60, "four variants")
    silhouette = next(c for c in strip.cards if c.text() == "Silhouette")
    assert "piece" in silhouette.accessibleName() and "mm" in silhouette.accessibleName()
    pin = silhouette.children()[0]
    QTest.mouseClick(pin, Qt.MouseButton.LeftButton)
    assert driver.window.bench.pinned_title == "Silhouette"
    driver.click("Unpin")
    assert driver.window.bench._pinned is None
    QTest.mouseClick(silhouette, Qt.MouseButton.LeftButton)
    work = driver.settled()
    assert recipe(driver).silhouette and work.layers[0].outline.holes == 0
    driver.key("Alt+4")
    assert strip.isVisible()
    driver.key("Alt+6")
    assert not strip.isVisible()


def test_presets_are_kept_taken_written_and_read(driver, trace, smaller, tmp_path):
    panel = trace(smaller("kingfisher"))
    driver.click("Silhouette", panel)
    driver.settled()
    box = panel.presets
    box.ask_name()
    name = box.findChild(QLineEdit)
    QTest.keyClicks(name, "Solid birds")
    QTest.keyClick(name, Qt.Key.Key_Return)
    assert [p.name for p in user_data.presets()] == ["Solid birds"]
    driver.click("Silhouette", panel)
    driver.settled()
    row = next(i for i in range(box._list.count()) if box._list.itemText(i) == "Solid birds")
    box._list.setCurrentIndex(row)
    box._list.activated.emit(row)
    assert driver.settled().recipe.silhouette
    target = tmp_path / "mine.json"
    box.export(target)
    assert json.loads(target.read_text())["presets"][0]["name"] == "Solid birds"
    user_data.keep_presets(())
    box.take_file(target)
    assert [p.name for p in user_data.presets()] == ["Solid birds"]
    # what was used last is offered by itself
    wait(lambda: {p.name for p in user_data.last_settings()} == {"tone"}, what="the settings used last")
    box._list.showPopup()
    assert "Last used: tone" in [box._list.itemText(i) for i in range(box._list.count())]
    box._list.hidePopup()
    (tmp_path / "bad.json").write_text("[1, 2")
    box.take_file(tmp_path / "bad.json")
    assert "no file of presets" in driver.window.notices.text_of("presets")
    assert [p.name for p in user_data.presets()] == ["Solid birds"]


def test_every_list_and_slider_of_the_stage_has_a_name(driver, trace, smaller):
    panel = trace(smaller("lighthouse"))
    for part in panel.findChildren(QListWidget):
        assert part.accessibleName()


# -- held against the picture


def pixels_of(bench):
    """(H, W, 4) of what the bench shows."""
    image = grabbed(bench).toImage().convertToFormat(QImage.Format.Format_RGBA8888)
    return np.frombuffer(image.constBits(), np.uint8).reshape(image.height(), -1, 4).copy()


def test_what_is_unlike_the_cut_is_hatched_told_and_mended_by_its_button(driver, trace, discs_file):
    panel = trace(discs_file)
    driver.settled()
    bench = driver.window.bench
    whole = recipe(driver)
    assert driver.work.unlike.explained > 0.999
    driver.session.change(replace(whole, palette=driver.work.segmentation.own_entries[:3], colours=None), "fewer")
    work = driver.settled()
    assert work.unlike.explained < 0.95
    plain = pixels_of(bench)
    QTest.keySequence(driver.window, "D")
    pause(50)
    assert bench.difference_on and driver.window.actions_by_name["difference"].isChecked()
    marked = pixels_of(bench)
    assert (np.abs(plain.astype(int) - marked).max(-1) > 20).mean() > 0.005
    assert "hatched" in bench._difference_text()
    QTest.keySequence(driver.window, "D")
    pause(50)
    assert not bench.difference_on and (pixels_of(bench) == plain).mean() > 0.999
    (told,) = [f for f in work.findings if f.code == "trace.unlike"]
    driver.session.change(mended(told, work), "mended")
    again = driver.settled()
    assert again.unlike.explained > 0.999 and not [f for f in again.findings if f.code == "trace.unlike"]
    assert panel.isVisible()


def test_thin_lines_are_told_with_their_width_and_the_picture_as_it_came_is_shown(driver, trace, tmp_path):
    big, f = np.full((2560, 2560, 3), 255, np.uint8), 16
    for x, y, r, colour in ((60, 60, 38, (238, 150, 92)), (105, 95, 40, (70, 140, 190))):
        cv2.circle(big, (x * f, y * f), r * f, colour, -1)
        cv2.circle(big, (x * f, y * f), r * f, (34, 28, 30), 17)
    path = tmp_path / "lines.png"
    Image.fromarray(cv2.resize(big, (160, 160), interpolation=cv2.INTER_AREA)).save(path)
    panel = trace(path)
    work = driver.settled()
    assert work.thin_lines is not None and "Found: lines 1." in panel._thin_note.text()
    assert driver.window.bench._picture.width == 160 and work.picture.width == 160 * work.thin_lines.times
    box = next(box for box in panel.findChildren(QCheckBox) if box.text().startswith("Thin lines"))
    box.click()
    wait(lambda: driver.work is not None and driver.work is not work, what="another result")
    work = driver.settled()
    assert work.thin_lines is None and not panel._thin_note.isVisible()
