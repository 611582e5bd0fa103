"""Gestures on regions in the real window do what a person means: no ink along the way, no page beside the drawing,
nothing that is not shown; what is taken back is as it was before."""

import numpy as np
import pytest
from PIL import Image
from PySide6.QtCore import Qt
from PySide6.QtTest import QTest

from app.driver import pause, wait
from app.test_source_tools import at, click, drag, recipe
from sketchloom.app.parts.tool_row import SWEEP
from sketchloom.app.stages.numbers import CLEAN, LAYERS
from sketchloom.app.tools.tool import WaitTool
from sketchloom.desk.regions import RegionDesk

SIZE = 320
CELLS = [(110, 110), (210, 110), (110, 210), (210, 210)]
INK, BESIDE = (160, 110), (20, 20)
RED, BLUE = (200, 60, 50), (40, 70, 150)


def share(place):
    return place[0] / SIZE, place[1] / SIZE


def panes(tmp_path, gap=0):
    """Four cells within lines of ink 8 px wide; ``gap`` px are missing in the outer line of the first."""
    pixels = np.full((SIZE, SIZE, 3), 255, np.uint8)
    for at_ in (56, 156, 256):
        pixels[at_:at_ + 8, 56:264] = 16
        pixels[56:264, at_:at_ + 8] = 16
    if gap:
        pixels[100:100 + gap, 56:64] = 255
    path = tmp_path / "panes.png"
    Image.fromarray(pixels).save(path)
    return path


def discs(tmp_path):
    """Two designs, each a red and a blue disc on a dark plate."""
    pixels = np.full((SIZE, SIZE, 3), 255, np.uint8)
    y, x = np.mgrid[:SIZE, :SIZE]
    for top in (20, 180):
        pixels[top:top + 120, 40:280] = (30, 30, 40)
        for cx, colour in ((90, RED), (160, BLUE), (230, RED)):
            pixels[np.hypot(x - cx, y - top - 60) < 24] = colour
    path = tmp_path / "discs.png"
    Image.fromarray(pixels).save(path)
    return path


@pytest.fixture
def painting(driver, tmp_path):
    """Line art gathered into two sheets, with the depth being painted."""
    driver.open(panes(tmp_path))
    driver.window.show_stage(LAYERS)
    shown = driver.session.latest
    driver.session.change(RegionDesk(shown.work, shown.index).gathered(recipe(driver), "touching", 2), "")
    driver.settled()
    panel = driver.window.panels[LAYERS]
    panel.drawers["line_art"].call()
    pause(20)
    panel.line_art.colours.setCurrentRow(0)
    driver.click("Paint the depth", panel.line_art)
    wait(lambda: driver.window.cleaning.desk.work is driver.work, 10, "regions to paint")
    return driver


def hexes(driver, places=CELLS):
    """What is cut at places, None for the ground."""
    work = driver.settled()
    wait(lambda: driver.window.cleaning.desk.work is driver.work)
    desk = driver.window.cleaning.desk
    faces = [work.traced.planar.faces[y, x] for x, y in places]
    return [None if work.ground[face] else desk.hex_of(face) for face in faces]


def test_a_sweep_from_cell_to_cell_leaves_the_ink_a_frame(painting):
    frame = painting.work.layers[-1]
    drag(painting, *(share(CELLS[n]) for n in (0, 1, 3, 2)))
    deepest = painting.settled().plans[0].hex
    assert hexes(painting) == [deepest] * 4
    after = next(x for x in painting.work.layers if x.plan.key == frame.plan.key)
    assert (after.outline.holes, after.cut_length_mm) == (frame.outline.holes, frame.cut_length_mm)
    click(painting, *share(INK))
    assert hexes(painting, [INK]) == [frame.plan.hex]
    assert "the frame is not painted" in painting.window.cleaning.tool.hint
    painting.click("The frame too", painting.window.panels[LAYERS])
    click(painting, *share(INK))
    assert hexes(painting, [INK]) == [deepest]


def test_painting_the_same_again_changes_nothing(painting):
    before, deepest = recipe(painting), painting.work.plans[0].hex
    same = CELLS[hexes(painting).index(deepest)]
    other = next(c for c, h in zip(CELLS, hexes(painting), strict=True) if h != deepest)
    click(painting, *share(same))
    pause(50)
    assert recipe(painting) is before
    was = hexes(painting)
    click(painting, *share(other))
    assert hexes(painting, [other]) == [deepest]
    click(painting, *share(other))
    assert hexes(painting, [other]) == [deepest]
    painting.key("Ctrl+Z")
    assert hexes(painting) == was and recipe(painting).edits == before.edits


def test_what_is_taken_back_is_as_it_was_before_that(driver, tmp_path):
    driver.open(discs(tmp_path))
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    pause(20)
    place, clean = (160, 80), driver.window.panels[CLEAN]
    clean.regions.bring_colour("#c83c32")
    click(driver, *share(place))
    assert hexes(driver, [place]) == ["#c83c32"]
    click(driver, *share(place))  # a colour is given, not switched
    assert hexes(driver, [place]) == ["#c83c32"]
    for how in ("Drop", "Open", "On top", "Below"):
        driver.click(how, clean)
        click(driver, *share(place))
        assert hexes(driver, [place]) != ["#c83c32"], how
        click(driver, *share(place))
        assert hexes(driver, [place]) == ["#c83c32"], how


def test_a_click_beside_the_drawing_fills_no_page(driver, tmp_path):
    driver.open(panes(tmp_path))
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    pause(20)
    clean, before = driver.window.panels[CLEAN], recipe(driver)
    for how in ("Drop", "Open", "Colour", "Below", "On top"):
        driver.click(how, clean)
        click(driver, *share(BESIDE))
        drag(driver, share(BESIDE), share((20, 300)), share((300, 300)))
        assert recipe(driver) is before, how
    assert "outside" in driver.window.cleaning.tool.hint and "tick" in driver.window.cleaning.tool.hint
    driver.window.bench.colour_dropped.emit("#c83c32", *map(float, BESIDE))
    assert recipe(driver) is before and "outside" in driver.window.notices.text_of("regions")
    driver.click("Colour", clean)
    driver.click("The outside too", clean)
    click(driver, *share(BESIDE))
    assert hexes(driver, [BESIDE]) != [None]


def test_a_leak_is_told_with_its_place_and_closed(driver, tmp_path):
    driver.open(panes(tmp_path, gap=4))
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    pause(20)
    assert hexes(driver, [CELLS[0], BESIDE])[0] is None
    click(driver, *share(CELLS[0]))
    notices = driver.window.notices
    wait(lambda: notices.text_of("joints") is not None, 10, "the leak to be told")
    work = driver.work
    assert "gap" in notices.text_of("joints") and f"{4 * work.mm_per_px:.1f}" in notices.text_of("joints")
    driver.click("Close it")
    work = driver.settled()
    faces = work.traced.planar.faces
    assert faces[CELLS[0][1], CELLS[0][0]] != faces[BESIDE[1], BESIDE[0]]
    line, = recipe(driver).lines
    assert abs(line.width * SIZE - 8) < 2.5
    assert notices.text_of("joints") is None


def test_regions_joined_by_a_hair_are_told_and_parted(driver, tmp_path):
    pixels = np.full((SIZE, SIZE, 3), 255, np.uint8)
    y, x = np.mgrid[:SIZE, :SIZE]
    pixels[40:280, 20:300] = (240, 210, 180)
    for cx in (95, 225):
        pixels[np.hypot(x - cx, y - 160) < 45] = (220, 120, 120)
    pixels[158:161, 95:225] = (220, 120, 120)
    Image.fromarray(pixels).save(tmp_path / "cheeks.png")
    driver.open(tmp_path / "cheeks.png")
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    driver.click("Open", driver.window.panels[CLEAN])
    click(driver, *share((95, 160)))
    wait(lambda: driver.window.notices.text_of("joints") is not None, 10, "the joint to be told")
    driver.click("Close it")
    faces = driver.settled().traced.planar.faces
    assert faces[160, 95] != faces[160, 225]


def test_a_box_takes_only_what_is_shown(driver, tmp_path):
    driver.open(discs(tmp_path))
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    pause(20)
    box = driver.window.panels[CLEAN].regions
    red = next(e.hex for e in driver.work.segmentation.entries if abs(int(e.hex[1:3], 16) - RED[0]) < 12)
    box._only.setCurrentIndex(box._only.findData(red))
    box.only_wanted.emit()
    driver.click("Open", driver.window.panels[CLEAN])
    driver.click("Box…", driver.window.panels[CLEAN])
    drag(driver, share((30, 10)), share((290, 160)))
    assert hexes(driver, [(90, 80), (160, 80), (230, 80), (50, 30)])[0::2] == [None, None]
    assert None not in hexes(driver, [(160, 80), (50, 30), (90, 240)])


def test_all_of_a_colour_within_this_design(driver, tmp_path):
    driver.open(discs(tmp_path))
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    pause(20)
    clean = driver.window.panels[CLEAN]
    driver.click("In this design", clean)
    driver.click("Open", clean)
    click(driver, *share((90, 80)))
    QTest.mouseDClick(driver.window.bench, Qt.MouseButton.LeftButton, pos=at(driver, *share((90, 80))))
    pause(20)
    assert hexes(driver, [(90, 80), (230, 80)]) == [None, None]
    assert None not in hexes(driver, [(90, 240), (230, 240), (160, 80)])


def toggles(clean):
    """Buttons that hold a tool of their own on the bench while they are down."""
    return {"strokes": clean.strokes.choose, "own bridge": clean.lines.own, "likely": clean.splits.likely,
            "boundary": clean.curves.choose, "move": clean.shapes.move_one}


@pytest.mark.parametrize("which", ["strokes", "own bridge", "likely", "boundary"])
def test_a_tool_that_is_waited_for_holds_at_once(driver, tmp_path, which):
    """From the press on, the region tool acts no more; the button is down until another tool is held."""
    driver.open(panes(tmp_path))
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    pause(20)
    clean, bench, regions = driver.window.panels[CLEAN], driver.window.bench, driver.window.cleaning.tool
    desk, drawing = driver.window.drawing.desk, driver.window.drawing
    for is_there in (False, True):
        driver.window.cleaning.hold()
        drawing.table.desk = desk if is_there else None  # the result may still be on its way
        button, before = toggles(clean)[which], recipe(driver)
        button.click()
        assert bench.tool is not regions and button.isChecked()
        click(driver, *share(CELLS[0]))
        assert recipe(driver) is before
        if not is_there:
            drawing._of = None
            drawing.refresh()  # it comes
        wait(lambda: not isinstance(bench.tool, WaitTool), 10, "the tool")
        assert bench.tool is not regions and button.isChecked()
        assert [name for name, one in toggles(clean).items() if one.isChecked()] == [which]
    button.click()
    assert bench.tool is regions and not button.isChecked() and clean.tools.buttons[SWEEP].isChecked()


def test_regions_are_held_though_their_result_is_on_its_way(driver, tmp_path):
    driver.open(panes(tmp_path))
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    pause(20)
    cleaning, clean = driver.window.cleaning, driver.window.panels[CLEAN]
    cleaning.desk = None
    cleaning.tool.show_desk(None)
    driver.window.bench.put_down()
    assert not clean.tools.buttons[SWEEP].isChecked()
    clean.tools.buttons[SWEEP].click()
    assert driver.window.bench.tool is cleaning.tool and clean.tools.buttons[SWEEP].isChecked()
    click(driver, *share(CELLS[0]))  # nothing is known yet
    cleaning._of = None
    cleaning.refresh()
    clean.regions._take_way("colour")
    click(driver, *share(CELLS[0]))
    assert hexes(driver, CELLS[:1]) != [None]


def test_a_ring_of_petals_is_painted_by_turns_and_a_motif_as_a_whole(driver, tmp_path):
    """A flower of six petals around a middle, within a frame: one click for the ring, one for all of it."""
    pixels = np.full((SIZE, SIZE, 3), 255, np.uint8)
    y, x = np.mgrid[:SIZE, :SIZE]
    pixels[10:310, 10:310] = 16
    pixels[18:302, 18:302] = 255
    turn = np.arange(6) * np.pi / 3 + 0.2
    petals = [(int(160 + 75 * np.cos(t)), int(160 + 75 * np.sin(t))) for t in turn]
    for cx, cy in [*petals, (160, 160)]:
        away = np.hypot(x - cx, y - cy)
        pixels[away < 32] = 16
        pixels[away < 25] = 255
    Image.fromarray(pixels).save(tmp_path / "flower.png")
    driver.open(tmp_path / "flower.png")
    driver.window.show_stage(LAYERS)
    shown = driver.session.latest
    driver.session.change(RegionDesk(shown.work, shown.index).gathered(recipe(driver), "size", 3), "")
    driver.settled()
    box = driver.window.panels[LAYERS].line_art
    driver.window.panels[LAYERS].drawers["line_art"].call()
    pause(20)
    box.colours.setCurrentRow(0)
    sheets = [box.colours.item(n).data(Qt.ItemDataRole.UserRole) for n in range(3)]
    driver.click("Paint the depth", box)
    wait(lambda: driver.window.cleaning.desk.work is driver.work, 10, "regions to paint")
    box.spread.setCurrentIndex(box.spread.findData(3))
    click(driver, *share(petals[0]))
    order = hexes(driver, petals)
    assert order in (sheets * 2, [sheets[0], *(sheets * 2)[:0:-1]][:6]) and order[0] == sheets[0]
    box.spread.setCurrentIndex(box.spread.findData("motif"))
    tool = driver.window.cleaning.tool
    QTest.mouseMove(driver.window.bench, at(driver, *share((160, 160))))
    wait(lambda: len(tool._along) == 7, 10, "what goes along to be shown")
    click(driver, *share((160, 160)))
    assert hexes(driver, [*petals, (160, 160)]) == [sheets[0]] * 7
    assert hexes(driver, [(30, 160)]) != [None]
    driver.key("Ctrl+Z")
    assert hexes(driver, petals) == order
