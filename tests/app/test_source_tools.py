"""The Source stage in the real window: pages, preparing, tools on the bench, background, scanner, several files."""

from dataclasses import replace

import numpy as np
import pytest
from PIL import Image
from PySide6.QtCore import QPoint, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QAbstractButton, QComboBox, QLabel, QListWidget, QSpinBox

import shapes
from app.driver import pause, wait
from core.test_documents import RED, SQUARE, pdf
from sketchloom.app.parts.layer_order import LayerOrderDialog
from sketchloom.app.parts.scanner import ScannerDialog
from sketchloom.app.stages.numbers import SOURCE, TRACE
from sketchloom.core.picture.preparing.steps import Preparation
from sketchloom.files.opening import in_name_order

SIZE = 240


@pytest.fixture()
def ring_file(tmp_path):
    cover = shapes.cover_of(lambda x, y: abs(np.hypot(x - 120, y - 120) - 70) < 22, SIZE)
    path = tmp_path / "ring.png"
    Image.fromarray(shapes.colour_of(cover, (200, 60, 50), (250, 248, 240))).save(path)
    return path


def at(driver, x, y) -> QPoint:
    width, height = driver.session.latest.work.size_mm
    return driver.at_mm(x * width, y * height)


def drag(driver, *shares):
    bench = driver.window.bench
    places = [at(driver, *s) for s in shares]
    QTest.mousePress(bench, Qt.MouseButton.LeftButton, pos=places[0])
    for place in places[1:]:
        QTest.mouseMove(bench, place)
        pause(2)
    QTest.mouseRelease(bench, Qt.MouseButton.LeftButton, pos=places[-1])
    pause(5)


def click(driver, x, y, modifier=Qt.KeyboardModifier.NoModifier):
    QTest.mouseMove(driver.window.bench, at(driver, x, y))
    QTest.mouseClick(driver.window.bench, Qt.MouseButton.LeftButton, modifier, at(driver, x, y))
    pause(5)


def cut_the_boat_out(driver):
    """A stroke over the boat and one over what is around it."""
    driver.click("Keep…")
    drag(driver, (0.33, 0.62), (0.5, 0.64), (0.66, 0.6), (0.55, 0.5), (0.5, 0.42))
    driver.settled()
    driver.click("Drop…")
    drag(driver, (0.1, 0.3), (0.3, 0.15), (0.8, 0.2), (0.9, 0.5), (0.9, 0.8), (0.5, 0.9), (0.1, 0.8), (0.1, 0.5))
    return driver.settled()


def recipe(driver):
    return driver.session.document.recipe


def test_the_pages_of_a_document_are_turned_and_drawn_finer(driver, tmp_path):
    (tmp_path / "two.pdf").write_bytes(pdf(RED, SQUARE))
    driver.open(tmp_path / "two.pdf")
    panel = driver.window.panels[SOURCE]
    page = panel.findChild(QSpinBox)
    assert page.isVisible() and page.maximum() == 2
    page.setValue(2)
    driver.settled()
    assert recipe(driver).page == 1 and driver.work.original.rgb.min() == 0
    before = driver.work.original.width
    dpi = next(c for c in panel.findChildren(QComboBox) if c.accessibleName().startswith("Resolution"))
    dpi.setCurrentIndex(dpi.findData(150))
    dpi.activated.emit(dpi.currentIndex())
    driver.settled()
    assert driver.work.original.width == pytest.approx(before / 2, abs=1)
    # the finished size stays that of the page
    assert driver.work.size_mm[0] == pytest.approx(210, abs=0.3)


def test_crop_and_level_are_drawn_on_the_bench_and_taken_back(driver, ring_file):
    driver.open(ring_file)
    driver.click("Crop")
    drag(driver, (0.1, 0.1), (0.5, 0.5), (0.9, 0.8))
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Return)
    driver.settled()
    assert recipe(driver).preparation.crop == pytest.approx((0.1, 0.1, 0.9, 0.8), abs=0.01)
    assert driver.window.bench.tool is None
    driver.click("Level…")
    drag(driver, (0.1, 0.5), (0.5, 0.55), (0.9, 0.6))
    driver.settled()
    assert recipe(driver).preparation.turn_deg < -1
    driver.click("As it came")
    driver.settled()
    assert recipe(driver).preparation.is_plain


def test_esc_puts_a_tool_down(driver, ring_file):
    driver.open(ring_file)
    driver.click("Crop")
    assert driver.window.bench.tool is not None
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Escape)
    assert driver.window.bench.tool is None


def test_the_page_tool_starts_from_the_corners_found_and_they_can_be_dragged(driver, ring_file):
    driver.open(ring_file)
    driver.click("Page…")
    tool = driver.window.bench.tool
    first = [list(c) for c in tool.corners]
    drag(driver, first[0], (0.2, 0.25))
    assert tool.corners[0] == pytest.approx([0.2, 0.25], abs=0.02) and tool.corners[2] == first[2]
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Return)
    driver.settled()
    assert recipe(driver).preparation.page is not None


def test_a_colour_of_the_background_is_clicked_and_its_reach_changed(driver, ring_file):
    driver.open(ring_file)
    driver.click("Colour…")
    click(driver, 0.03, 0.03)
    driver.settled()
    step = recipe(driver).background.steps[0]
    assert step.kind == "colour" and not step.everywhere
    alpha = driver.work.picture.alpha
    assert alpha[3, 3] == 0 and alpha[120, 120] == 255  # inside the ring nothing hangs together with it
    assert driver.session.latest.veil is not None
    driver.window.bench.put_down()
    driver.click("Everywhere", driver.window.panels[SOURCE])
    driver.settled()
    assert driver.work.picture.alpha[120, 120] == 0
    driver.click("Keep all again")
    driver.settled()
    assert driver.work.picture.alpha is None and driver.session.latest.veil is None


def test_two_strokes_cut_a_boat_out(driver, smaller):
    driver.open(smaller("boat"))
    cut_the_boat_out(driver)
    assert [s.keep for s in recipe(driver).background.steps] == [True, False]
    gone = (driver.work.picture.alpha < 128).mean()
    assert gone == pytest.approx(0.898, abs=0.01)
    driver.key("Ctrl+Z")
    driver.settled()
    assert len(recipe(driver).background.steps) == 1


@pytest.mark.parametrize("words, inside", [("Only this", True), ("Not this", False)])
def test_parts_are_drawn_round(driver, ring_file, words, inside):
    driver.open(ring_file)
    driver.click(words)
    corners = [(0.2, 0.2), (0.6, 0.2), (0.6, 0.6), (0.2, 0.6)]
    for corner in corners:
        click(driver, *corner)
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Return)
    driver.settled()
    kept = driver.work.picture.alpha >= 128
    assert kept[96, 96] == inside and kept[216, 216] != inside


def test_the_line_follows_an_edge_and_goes_straight_when_asked(driver, ring_file):
    driver.open(ring_file)
    driver.click("Follow edge")
    tool = driver.window.bench.tool
    radius = 92 / SIZE
    for angle in (180, 270, 0, 90):
        click(driver, 0.5 + radius * np.cos(np.radians(angle)), 0.5 + radius * np.sin(np.radians(angle)))
    assert len(tool._parts[0]) > 8
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Return)
    driver.settled()
    kept = driver.work.picture.alpha >= 128
    assert kept.mean() == pytest.approx(np.pi * radius**2, rel=0.03)
    driver.click("Keep all again")
    driver.settled()
    driver.click("Follow edge")
    click(driver, 0.1, 0.1)
    click(driver, 0.9, 0.1, Qt.KeyboardModifier.ShiftModifier)
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Backspace)
    assert len(driver.window.bench.tool._anchors) == 1


def test_paper_goes_in_one_step_and_the_edge_moves(driver, ring_file):
    driver.open(ring_file)
    driver.click("Paper and watermark")
    driver.settled()
    before = (driver.work.picture.alpha >= 128).sum()
    box = driver.window.panels[SOURCE].background
    box._move.slider.setValue(30)
    driver.settled()
    # both edges of the ring move 3 px out
    assert (driver.work.picture.alpha >= 128).sum() - before == pytest.approx(3 * 2 * np.pi * (92 + 48), rel=0.1)
    steps = driver.window.panels[SOURCE].background.findChild(QListWidget)
    assert steps.count() == 1


def test_a_mend_button_beside_a_point_of_the_judgement(driver, tmp_path):
    cover = shapes.cover_of(shapes.disc(120, 120, 60), SIZE)
    _y, x = np.mgrid[:SIZE, :SIZE] / SIZE
    pixels = (255 - 215 * cover) * (1 - 0.35 * x)
    Image.fromarray(np.repeat(np.rint(pixels)[..., None], 3, 2).astype(np.uint8)).save(tmp_path / "dim.png")
    driver.open(tmp_path / "dim.png")
    assert any(f.code == "source.light" for f in driver.work.findings)
    points = [
        b
        for b in driver.window.panels[SOURCE].findChildren(QAbstractButton)
        if b.text() == "Level the light" and not b.isCheckable()
    ]
    QTest.mouseClick(points[0], Qt.MouseButton.LeftButton)
    driver.settled()
    assert recipe(driver).preparation.level_light
    assert not any(f.code == "source.light" for f in driver.work.findings)


def test_the_simulated_scanner_scans_the_open_picture(driver, ring_file):
    driver.open(ring_file)
    driver.click("Scan")
    dialog = driver.window.findChild(ScannerDialog)
    assert dialog.isVisible()
    dialog._dpi.slider.setValue(0)
    before = driver.session.document
    driver.click("Scan", dialog)
    wait(lambda: driver.session.document is not before, what="the scan")
    driver.settled()
    assert driver.work.original.dpi is not None and "scan" in driver.work.original.name


def test_several_files_are_asked_about(driver, tmp_path):
    for name, spot in (("a", (80, 80)), ("b", (150, 150))):
        cover = shapes.cover_of(shapes.disc(*spot, 40), SIZE)
        Image.fromarray(np.dstack([np.full((SIZE, SIZE, 3), 90 if name == "a" else 180, np.uint8),
                                   np.rint(255 * cover).astype(np.uint8)])).save(tmp_path / f"{name}.png")
    paths = [tmp_path / "b.png", tmp_path / "a.png"]

    def opened(before_opening=lambda dialog: None):
        driver.window.opening.open_paths(paths)
        before = driver.session.document
        driver.click("Layers of one work")
        dialog = driver.window.findChild(LayerOrderDialog)
        before_opening(dialog)
        driver.click("Open as one work", dialog)
        wait(lambda: driver.session.document is not before, what="the layers")
        pause(20)
        return [x.plan.name for x in driver.settled().layers]
    assert opened() == ["a", "b"]  # by name, the first lowest

    def put_a_on_top(dialog):
        assert [dialog.list.item(row).text() for row in (0, 1)] == ["b.png", "a.png"]
        dialog.list.setCurrentRow(1)
        driver.click("Higher", dialog)
        assert not driver.button("Higher", dialog).isEnabled() and driver.button("Lower", dialog).isEnabled()
    assert opened(put_a_on_top) == ["b", "a"]
    assert opened(lambda dialog: driver.click("Turn all round", dialog)) == ["b", "a"]


def test_layer_files_are_listed_by_the_numbers_in_their_names():
    names = ["x/Layer 10.png", "x/layer 2.png", "y/layer 1.png", "x/backdrop.png"]
    assert in_name_order(names) == ["x/backdrop.png", "y/layer 1.png", "x/layer 2.png", "x/Layer 10.png"]


def test_a_small_picture_needs_no_large_mouse(driver, ring_file):
    """Every tool of the Source stage can be reached by keyboard: it takes the focus and has a name."""
    driver.open(ring_file)
    for part in driver.window.panels[SOURCE].background.findChildren(QAbstractButton):
        if part.isVisible():
            assert part.focusPolicy() != Qt.FocusPolicy.NoFocus and (part.text() or part.accessibleName())
    driver.window.show_stage(TRACE)
    assert driver.window.bench.tool is None


def test_corners_dragged_across_each_other_are_told_and_change_nothing(driver, ring_file):
    driver.open(ring_file)
    before = recipe(driver)
    preparing = driver.window.panels[0].preparing
    preparing.take_page(((0.16, 0.67), (0.92, 0.08), (0.92, 0.92), (0.59, 0.17)))
    said = [one.text() for one in driver.window.findChildren(QLabel, "trouble") if one.isVisible()]
    assert any("go across each other" in text for text in said) and recipe(driver) == before


def test_a_frame_with_next_to_nothing_of_the_picture_is_told_and_changes_nothing(driver, ring_file):
    driver.open(ring_file)
    driver.session.change(replace(recipe(driver), preparation=Preparation(room=(0.0, 0.0, 0.5, 0.0))), "room")
    driver.settled()
    before = recipe(driver)
    # on the room beside the picture; and, after crops, less than a hundredth of the whole
    for crop, frame in ((None, (0.8, 0.0, 1.0, 0.5)), ((0.0, 0.0, 0.02, 0.02), (0.0, 0.0, 0.2, 0.2))):
        driver.session.change(replace(before, preparation=replace(before.preparation, crop=crop)), "crop")
        driver.settled()
        asked = recipe(driver)
        driver.window.panels[0].preparing.take_crop(frame)
        said = [one.text() for one in driver.window.findChildren(QLabel, "trouble") if one.isVisible()]
        assert any("Too little of the picture" in text for text in said) and recipe(driver) == asked
