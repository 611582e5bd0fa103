"""What is drawn in the Clean stage, in the real window: shapes, words, split lines, covers, mirror, boundaries, rims,
strokes, stencils, mends."""

import re
from dataclasses import replace

import numpy as np
import pytest
from PIL import Image
from PySide6.QtCore import Qt
from PySide6.QtTest import QTest

import shapes
from app.driver import grabbed, pause, wait
from app.test_source_tools import at, click, drag, recipe
from sketchloom.app.parts.notice import Notice
from sketchloom.app.parts.tool_row import SWEEP
from sketchloom.app.stages.fold import Fold
from sketchloom.app.stages.numbers import CLEAN, LAYERS, TRACE
from sketchloom.core.shapes import polygons
from sketchloom.desk import lines

SIZE = 300


def saved(path, parts, ground=(255, 255, 255)):
    pixels = np.full((SIZE, SIZE, 3), 1.0) * ground
    for shape, colour in parts:
        cover = shapes.cover_of(shape, SIZE)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    Image.fromarray(np.rint(pixels).astype(np.uint8)).save(path)
    return path


@pytest.fixture()
def fish(driver, tmp_path):
    """A red body with a tail on dark blue, and a pale moon."""
    def body(x, y):
        return (
            (np.hypot((x - 130) / 80, (y - 150) / 50) < 1)
            | ((x > 195) & (x < 270) & (np.abs(y - 150) < 14 + 0.5 * (x - 195)))
        )
    driver.open(
        saved(
            tmp_path / "fish.png",
            (
                (shapes.disc(150, 150, 148), (30, 53, 87)),
                (body, (200, 60, 50)),
                (shapes.disc(150, 50, 18), (240, 230, 200)),
            ),
        )
    )
    return in_clean(driver)


@pytest.fixture()
def pen(driver, tmp_path):
    """A ring, a bar across it and a short stroke that ends before another."""
    def ring(x, y):
        return np.abs(np.hypot(x - 150, y - 130) - 80) < 3
    def bar(x, y):
        return (np.abs(y - 130) < 3) & (x > 70) & (x < 230)
    def foot(x, y):
        return (np.abs(x - 150) < 3) & (y > 235) & (y < 275)
    driver.open(saved(tmp_path / "pen.png", ((ring, (20, 20, 20)), (bar, (20, 20, 20)), (foot, (20, 20, 20)))))
    return in_clean(driver)


def in_clean(driver):
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    pause(20)
    return driver.window.panels[CLEAN]


def settled(driver):
    """The exact result, and whatever is looked for beside the window."""
    work = driver.settled()
    wait(lambda: not driver.session.helper.busy, what="what is looked for")
    pause(20)
    return work


def s(x, y):
    return x / SIZE, y / SIZE


def face(work, x, y):
    return int(work.traced.planar.faces[y, x])


def hex_at(work, x, y):
    f = face(work, x, y)
    return None if work.ground[f] else work.segmentation.entries[work.edited.label[f]].hex


def test_a_tail_is_parted_from_a_body_and_coloured(driver, fish):
    driver.click("Likely places", fish.splits)
    settled(driver)
    assert fish.splits.likely.text().endswith("likely place") or "likely places" in fish.splits.likely.text()
    cuts = driver.window.drawing.desk.cuts
    near = int(np.abs((cuts.start + cuts.end)[:, 0] / 2 - 200).argmin())
    click(driver, *(((cuts.start[near] + cuts.end[near]) / 2 / SIZE).tolist()))
    work = settled(driver)
    assert len(recipe(driver).splits) == 1 and face(work, 130, 150) != face(work, 245, 150)
    assert hex_at(work, 130, 150) == hex_at(work, 245, 150)
    # the tail gets a colour that the picture does not have
    fish.regions.bring_colour("#2f8f5f")
    driver.click("Sweep", driver.window.panels[CLEAN].tools)
    assert driver.window.bench.tool is driver.window.cleaning.tool
    click(driver, *s(245, 150))
    work = settled(driver)
    assert hex_at(work, 245, 150) == "#2f8f5f" and hex_at(work, 130, 150) != "#2f8f5f"
    assert "#2f8f5f" in [layer.plan.key for layer in work.layers]
    # another number of colours: both are still there
    driver.session.change(replace(recipe(driver), colours=4), "colours")
    work = settled(driver)
    assert hex_at(work, 245, 150) == "#2f8f5f" and not [f for f in work.findings if f.code.startswith("clean")]
    # a line drawn by hand beside it, and taken back
    driver.click("Draw a split line", fish.splits)
    drag(driver, s(120, 80), s(122, 150), s(120, 225))
    work = settled(driver)
    assert len(recipe(driver).splits) == 2 and face(work, 80, 150) != face(work, 160, 150)
    fish.splits.kept.choose(1)
    driver.click("Take back", fish.splits)
    assert len(recipe(driver).splits) == 1


def test_figures_and_words_are_laid_on_moved_and_cut_out(driver, fish):
    box = fish.shapes
    before = settled(driver)
    driver.click("Circle", box)
    drag(driver, s(60, 120), s(90, 150), s(110, 170))
    work = settled(driver)
    assert [x.name for x in recipe(driver).shapes] == ["circle"]
    assert work.traced.planar.face_count == before.traced.planar.face_count + 1
    box.kept.choose(0)
    driver.click("Move and turn", box)
    drag(driver, s(85, 145), s(120, 145), s(150, 150))
    settled(driver)
    x0, _y0, x1, _y1 = driver.window.drawing.desk.box(recipe(driver).shapes[0])
    assert (x0 + x1) / 2 == pytest.approx(150, abs=3) and x1 - x0 == pytest.approx(50, abs=3)
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Right)
    settled(driver)
    assert driver.window.drawing.desk.box(recipe(driver).shapes[0])[0] == pytest.approx(x0 + 1, abs=0.01)
    driver.key("Ctrl+Z", "Ctrl+Z", "Ctrl+Z")
    assert recipe(driver).shapes == () and np.array_equal(
        settled(driver).traced.curves.controls, before.traced.curves.controls
    )
    # words, a counter of which is dropped as any region is
    box.text.setText("O∰")
    box._colour.setCurrentIndex(box._colour.findData("#f0e6c8") if box._colour.findData("#f0e6c8") >= 0 else 1)
    box.word_mm = 40.0
    driver.click("Place", box)
    click(driver, *s(130, 150))
    work = settled(driver)
    assert recipe(driver).shapes[0].text == "O∰"
    assert any(
        "∰" in n.words.text() for n in driver.window.notices.findChildren(Notice)
    )  # the font lacks it, which is said
    inner, outer = face(work, 130, 150), face(work, 100, 150)
    assert inner != outer
    assert driver.window.bench.tool is driver.window.cleaning.tool  # the region tool is taken up again
    driver.click("Drop", fish.regions)
    click(driver, *s(130, 150))
    work = settled(driver)
    assert len(recipe(driver).edits) == 1 and work.edited.changed[face(work, 130, 150)]


def test_shapes_are_repeated_and_combined(driver, fish):
    box = fish.shapes
    for a, b in (((40, 130), (70, 160)), ((58, 130), (88, 160))):
        driver.click("Circle", box)
        drag(driver, s(*a), s(*b))
        settled(driver)
    box.kept.list.selectAll()
    box.combine_wanted.emit("join")
    settled(driver)
    assert len(recipe(driver).shapes) == 1 and len(recipe(driver).shapes[0].rings) == 1
    box.kept.choose(0)
    box.copies.setValue(4)
    box.around_wanted.emit()
    click(driver, *s(150, 150))
    settled(driver)
    assert len(recipe(driver).shapes[0].rings) == 4
    driver.click("From a region", box)
    click(driver, *s(150, 50))
    settled(driver)
    assert recipe(driver).shapes[-1].name == "outline"


def test_an_area_is_covered_and_a_half_mirrored(driver, fish):
    driver.click("Cover an area", fish.covers)
    drag(driver, *[s(150 + 26 * np.cos(a), 50 + 26 * np.sin(a)) for a in np.linspace(0, 6.1, 30)])
    work = settled(driver)
    assert len(recipe(driver).covers) == 1 and hex_at(work, 150, 50) == hex_at(work, 150, 85)
    driver.click("Draw the line", fish.mirror)
    click(driver, *s(150, 20))
    click(driver, *s(150, 280))
    work = settled(driver)
    faces = work.traced.planar.faces
    labels = work.traced.planar.face_label[faces]
    assert (labels == labels[:, ::-1]).all() and work.picture.width == 300
    driver.click("Right stays", fish.mirror)
    assert recipe(driver).preparation.mirror.keep == "second"
    driver.click("Take back", fish.mirror)
    assert recipe(driver).preparation.mirror is None
    settled(driver)
    driver.click("Find the line", fish.mirror)
    settled(driver)
    mirror = recipe(driver).preparation.mirror
    # the disc and the moon have an upright line through the middle, the disc and the fish a level one
    assert min(abs(mirror.y0 - mirror.y1), abs(mirror.x0 - mirror.x1)) < 0.06
    assert (mirror.x0 + mirror.x1) / 2 == pytest.approx(0.5, abs=0.03) and (mirror.y0 + mirror.y1) / 2 == pytest.approx(
        0.5, abs=0.03
    )


def test_a_boundary_is_chosen_made_true_pulled_and_made_regular(driver, fish):
    driver.click("Choose a stretch", fish.curves)
    drag(driver, *[s(150 + 18 * np.cos(a), 50 + 18 * np.sin(a)) for a in np.linspace(3.4, 5.8, 16)])
    assert "stretch" in fish.curves.said.text()
    driver.click("Straighten", fish.curves)
    work = settled(driver)
    assert [c.what for c in recipe(driver).curves] == ["straight"] and work.traced.curves_found.all()
    assert "from where it was" in fish.curves.said.text()
    moon = work.edited.label[face(work, 150, 60)]
    assert work.traced.planar.face_label[face(work, 150, 60)] == moon
    drag(driver, *[s(150 + 18 * np.cos(a), 50 + 18 * np.sin(a)) for a in np.linspace(0.4, 2.7, 16)])
    chain = driver.window.bench.tool.chain
    longest = chain.controls[np.hypot(*(chain.controls[:, 3] - chain.controls[:, 0]).T).argmax()]
    x, y = longest.T @ np.array([1, 3, 3, 1]) / 8  # between two of its nodes
    drag(driver, s(x, y), s(x, y + 6), s(x, y + 12))
    work = settled(driver)
    assert [c.what for c in recipe(driver).curves] == ["straight", "pull"]
    driver.key("Ctrl+Z", "Ctrl+Z")
    settled(driver)
    driver.click("Look for it", fish.regular)
    settled(driver)
    if fish.regular.list.count():
        fish.regular.list.setCurrentRow(0)
        driver.click("Make it so", fish.regular)
        assert settled(driver).traced.curves_found.all() and recipe(driver).curves
    else:
        assert "Nothing" in fish.regular._said.text()


def test_a_backing_and_a_rim_become_sheets(driver, fish):
    before = settled(driver)
    driver.type_into(fish.rims._distance, "0.05in")
    driver.click("Add it", fish.rims)
    work = settled(driver)
    assert recipe(driver).rims[0].distance_mm == pytest.approx(1.27)
    backing = work.layers[0]
    assert backing.plan.name == "backing" and len(work.layers) == len(before.layers) + 1
    base = before.layers[0]
    # Steiner's formula for the round badge
    assert backing.area_mm2 == pytest.approx(base.area_mm2 + base.cut_length_mm * 1.27 + np.pi * 1.27**2, rel=2e-3)
    edge = grabbed(driver.window.bench).toImage().pixelColor(at(driver, 0.5, (2 - 1.4) / SIZE))
    assert edge.lightness() > 200  # the white backing is seen around the badge
    driver.click("Inner line", fish.rims)
    driver.click("Add it", fish.rims)
    line = settled(driver).layers[-1]
    assert line.plan.name == "inner line" and recipe(driver).rims[-1].width_mm == 1.0
    assert line.area_mm2 == pytest.approx(line.cut_length_mm / 2, rel=0.02)  # a band a mm wide
    before = sum(x.area_mm2 for x in driver.work.layers)
    driver.click("A groove", fish.rims)
    driver.click("Add it", fish.rims)
    assert len(recipe(driver).rims) == 2 and recipe(driver).shapes[-1].hex is None
    assert sum(x.area_mm2 for x in settled(driver).layers) < before
    driver.key("Ctrl+Z")
    settled(driver)
    fish.rims.kept.choose(0)
    driver.click("Take back", fish.rims)
    assert len(recipe(driver).rims) == 1


def test_strokes_are_things(driver, pen):
    driver.click("Choose strokes", pen.strokes)
    settled(driver)
    click(driver, *s(110, 130))
    assert "wide" in pen.strokes.said.text()
    def holes():
        return settled(driver).layers[0].outline.holes
    assert holes() == 2
    driver.click("Thicker", pen.strokes)
    settled(driver)
    assert recipe(driver).lines[0].width * SIZE == pytest.approx(6 * 1.25, abs=1.2)
    driver.click("Take away", pen.strokes)  # it is still the chosen one
    assert holes() == 1
    click(driver, *s(150, 240))
    driver.click("Extend to the next", pen.strokes)
    work = settled(driver)
    assert work.layers[0].outline.pieces == 1  # the foot stands at the ring now


def test_a_bridge_is_drawn_from_end_to_end(driver, pen):
    next(f for f in driver.window.findChildren(Fold) if f.head.text().strip() == "Gaps and ink").head.setChecked(True)
    pause(20)
    driver.click("Draw a bridge", pen.lines)
    settled(driver)
    assert driver.window.bench.tool is driver.window.drawing.table.tool
    click(driver, *s(30, 280))  # no stroke is there
    assert recipe(driver).lines == ()
    drag(driver, s(154, 234), s(160, 228), s(152, 213))  # its upper end, to the ring's side
    work = settled(driver)
    assert len(recipe(driver).lines) == 1 and work.layers[0].outline.pieces == 1
    assert lines.line_widths_mm(work, recipe(driver).lines)[0] / work.mm_per_px == pytest.approx(6, abs=1.5)
    assert pen.lines.own.isChecked()  # and it can go on
    driver.key("Ctrl+Z")
    settled(driver)
    click(driver, *s(151, 236))
    click(driver, *s(71, 140))
    assert len(recipe(driver).lines) == 1


def test_a_stencil_is_held_and_its_bridges_are_moved(driver, pen):
    driver.click("Show loose pieces", pen.stencil)
    settled(driver)
    assert "2 loose pieces" in pen.stencil._said.text()
    driver.click("Hold them", pen.stencil)
    settled(driver)
    count = len(recipe(driver).lines)
    assert count >= 3 and settled(driver).layers[0].outline.holes == 0
    driver.click("Show loose pieces", pen.stencil)
    settled(driver)
    assert "Nothing falls out" in pen.stencil._said.text()
    driver.click("Move bridges", pen.stencil)
    (a, b) = driver.work.as_shown(recipe(driver).lines[0].points)
    middle = ((a[0] + b[0]) / 2, (a[1] + b[1]) / 2)
    drag(driver, middle, (middle[0] + 0.01, middle[1] + 0.02), (middle[0] + 0.02, middle[1] + 0.04))
    settled(driver)
    moved = driver.work.as_shown(recipe(driver).lines[0].points)
    assert moved[0][1] - a[1] == pytest.approx(0.04, abs=0.01)
    assert len(recipe(driver).lines) == count


def test_all_of_a_kind_are_mended_seen_and_kept(driver, tmp_path):
    def bars(x, y):
        return ((np.abs(x - 80) < 40) | (np.abs(x - 220) < 40)) & (np.abs(y - 150) < 100) | (
            (np.abs(y - 100) < 1.2) | (np.abs(y - 200) < 1.4)) & (x > 60) & (x < 240)
    driver.open(saved(tmp_path / "bars.png", ((bars, (20, 20, 20)),)))
    in_clean(driver)
    driver.session.change(type(recipe(driver))(thin_mm=2.0, smallest_mm=0.2), "widths")
    work = settled(driver)
    assert sum(f.code == "layer.thin" for f in work.findings) >= 2
    driver.window.findings.toggle()
    driver.click("All: Thicken here", driver.window.findings)
    work = settled(driver)
    assert not [f for f in work.findings if f.code == "layer.thin"]
    driver.click("Take back", driver.window.notices)
    assert [f for f in settled(driver).findings if f.code == "layer.thin"]
    assert recipe(driver).lines == ()


def test_what_was_dropped_can_be_opened(driver, tmp_path):
    driver.open(
        saved(
            tmp_path / "specks.png", ((shapes.disc(150, 150, 60), (20, 20, 20)), (shapes.disc(30, 30, 2), (20, 20, 20)))
        )
    )
    driver.window.show_stage(CLEAN)
    driver.window.clean_tools.take(SWEEP)
    driver.session.change(type(recipe(driver))(smallest_mm=4.0), "smallest")
    assert [f.code for f in settled(driver).findings if f.code.startswith("trace")] == ["trace.small_details"]
    driver.window.findings.toggle()
    driver.click("See what was dropped", driver.window.findings)
    assert driver.window.stage == TRACE and driver.window.panels[TRACE].detail._list.count() == 1


def test_alternatives_are_kept_in_the_project_taken_and_let_go(driver, fish, tmp_path):
    driver.window.actions_by_name["variants"].setChecked(True)
    driver.click("Keep the present one", driver.window.variants)
    settled(driver)
    driver.session.change(replace(recipe(driver), colours=2), "colours")
    settled(driver)
    def card():
        return next((c for c in driver.window.variants.cards if c.text() == "Alternative 1"), None)
    wait(lambda: card() is not None, 60, "the card of the alternative")
    assert driver.save(tmp_path / "kept.sloom")
    card().click()
    settled(driver)
    assert recipe(driver).colours is None and [a.name for a in recipe(driver).alternatives] == ["Alternative 1"]
    driver.open(tmp_path / "kept.sloom")
    assert recipe(driver).colours == 2 and recipe(driver).alternatives[0].recipe.colours is None
    driver.window.variants.let_go.emit("Alternative 1")
    assert recipe(driver).alternatives == ()


def test_what_was_drawn_is_switched_off_and_put_in_another_order(driver, fish):
    for a, b in (((60, 120), (100, 160)), ((80, 130), (120, 170))):
        driver.click("Circle", fish.shapes)
        drag(driver, s(*a), s(*b))
        settled(driver)
    listed, first = fish.shapes.kept.list, recipe(driver).shapes[0]
    assert listed.count() == 2 and not listed.item(0).icon().isNull()
    listed.item(1).setCheckState(Qt.CheckState.Unchecked)  # the lowest row was done first
    assert [x.on for x in recipe(driver).shapes] == [False, True]
    work = settled(driver)
    assert len(work.segmentation.cut_in.guides.groups) == 1
    listed.model().moveRow(listed.rootIndex(), 0, listed.rootIndex(), 2)
    assert recipe(driver).shapes[1].rings == first.rings and not recipe(driver).shapes[1].on
    driver.key("Ctrl+Z", "Ctrl+Z")
    assert recipe(driver).shapes[0] == first


def test_an_eye_shows_from_a_sheet_below(driver, fish):
    driver.click("Below", fish.regions)
    assert driver.window.bench.tool is driver.window.cleaning.tool
    click(driver, *s(150, 50))
    work = settled(driver)
    assert recipe(driver).edits[0].action == "below" and work.plans[0].name.endswith("below")
    assert work.layers[1].outline.holes >= 1
    assert "below" in fish.edits.list.item(0).text()
    click(driver, *s(150, 50))
    assert recipe(driver).edits == ()


def test_several_regions_are_chosen_joined_cut_out_and_filled(driver, fish):
    box = fish.together
    driver.click("Choose regions", box)
    click(driver, *s(130, 150))
    assert "1 region" in box._said.text() and not driver.button("Join", box).isEnabled()
    click(driver, *s(150, 50))
    assert "2 regions" in box._said.text()
    picture = grabbed(driver.window.bench).toImage()
    assert (
        picture.pixelColor(at(driver, *s(150, 50))).blue() > picture.pixelColor(at(driver, *s(150, 50))).red()
    )  # its number on a blue ground
    driver.click("Join", box)
    work = settled(driver)
    red = hex_at(work, 130, 150)
    assert hex_at(work, 150, 50) == red and len(recipe(driver).edits) == 1
    assert "Done" in box._said.text() and len(box.faces) == 2  # both are found again
    driver.key("Ctrl+Z")
    settled(driver)
    driver.click("Let go", box)
    assert box.faces == ()
    # the ground's disc without the fish in it
    click(driver, *s(150, 270))
    click(driver, *s(130, 150))
    driver.click("Cut out", box)
    work = settled(driver)
    assert hex_at(work, 130, 150) is None and hex_at(work, 245, 150) is None and hex_at(work, 150, 270) is not None
    driver.key("Ctrl+Z")
    settled(driver)
    driver.click("Let go", box)
    click(driver, *s(150, 270))
    assert "2 holes" in box._said.text()
    driver.click("Fill inside", box)
    work = settled(driver)
    assert hex_at(work, 130, 150) == hex_at(work, 150, 50) == hex_at(work, 150, 270)
    driver.key("Ctrl+Z")
    work = settled(driver)
    across = 40.0 * work.mm_per_px  # the moon is 36 px across
    driver.type_into(box._under, f"{across:.3f} mm")
    driver.click("Fill holes under", box)
    work = settled(driver)
    assert hex_at(work, 150, 50) == hex_at(work, 150, 270) and hex_at(work, 130, 150) == red


def test_what_was_chosen_goes_with_its_work(driver, fish, tmp_path):
    driver.click("Choose regions", fish.together)
    click(driver, *s(130, 150))
    assert len(fish.together.faces) == 1
    driver.open(saved(tmp_path / "same.png", ((shapes.disc(130, 150, 70), (200, 60, 50)),)))
    settled(driver)
    assert fish.together.faces == ()


def test_a_figure_is_laid_only_on_the_chosen_regions_or_beside_them(driver, fish):
    driver.click("Choose regions", fish.together)
    click(driver, *s(130, 150))
    area, (sea, red, pale) = {}, (hex_at(driver.work, *p) for p in ((26, 150), (130, 150), (150, 50)))
    fish.shapes._colour.setCurrentIndex(fish.shapes._colour.findData(pale))
    for where in (0, 1, 2):
        fish.shapes._where.setCurrentIndex(where)
        driver.click("Circle", fish.shapes)
        drag(driver, s(20, 120), s(60, 150), s(80, 180))  # half of it lies beyond the body's edge
        work = settled(driver)
        area[where] = sum(
            abs(polygons.area_of(driver.window.drawing.desk.rings(x)).area) for x in recipe(driver).shapes
        )
        assert len(recipe(driver).shapes) == 1 and len(fish.together.faces) == 1
        assert (hex_at(work, 40, 150), hex_at(work, 64, 150)) == ((pale, pale), (sea, pale), (pale, red))[where]
        driver.key("Ctrl+Z")
        settled(driver)
    assert area[0] == pytest.approx(np.pi * 30**2, rel=1e-3)
    assert area[1] + area[2] == pytest.approx(area[0], rel=1e-3) and min(area.values()) > 200


def test_spaces_between_cuts_are_shown_as_a_line_too(driver, tmp_path):
    def bars(x, y):
        return ((x > 60) & (x < 140) | (x > 144) & (x < 240)) & (np.abs(y - 150) < 100)
    driver.open(saved(tmp_path / "bars.png", ((bars, (20, 20, 20)),)))
    panel = in_clean(driver)
    next(f for f in driver.window.findChildren(Fold) if f.head.text().strip() == "Narrow places").head.setChecked(True)
    work = settled(driver)
    driver.type_into(panel.narrow._least, f"{8 * work.mm_per_px:.3f} mm")
    work = settled(driver)
    driver.click("Show widths", panel.narrow)
    assert len(driver.window.bench._widths[0]) == 0  # both bars are wide
    driver.click("Spaces", panel.narrow)
    xy, share = driver.window.bench._widths
    assert len(xy) > 100 and share.min() == pytest.approx(0.5, abs=0.05)  # a slit of 4 px, 8 wanted
    assert np.abs(xy[:, 0] / work.mm_per_px - 142).max() < 1
    assert "too narrow" in panel.narrow.list.item(0).text()


def test_a_boundary_says_how_far_it_is_from_the_picture(driver, fish):
    driver.click("Choose a stretch", fish.curves)
    drag(driver, *[s(150 + 18 * np.cos(a), 50 + 18 * np.sin(a)) for a in np.linspace(3.4, 5.8, 16)])
    before = re.search(r"at most ([\d.]+) mm from the picture", fish.curves.said.text())
    assert float(before[1]) < 0.1
    driver.click("Straighten", fish.curves)
    work = settled(driver)
    after = re.search(r"and ([\d.]+) mm from the picture", fish.curves.said.text())
    # the sagitta of an arc of 2.4 rad and 18 px
    assert float(after[1]) == pytest.approx(18 * (1 - np.cos(1.2)) * work.mm_per_px, rel=0.1)


def test_a_region_is_put_on_top_and_its_sheet_at_another_height(driver, fish):
    driver.click("On top", fish.regions)
    click(driver, *s(130, 150))
    work = settled(driver)
    assert recipe(driver).edits[0].action == "above" and work.plans[-1].name.endswith("on top")
    assert work.layers[-1].outline.pieces == 1 and work.layers[-1].plan.key != work.layers[0].plan.key
    driver.window.show_stage(LAYERS)
    panel = driver.window.panels[LAYERS]
    panel.select(work.plans[-1].key)
    panel._list.setFocus()
    QTest.keyClick(panel._list, Qt.Key.Key_Down, Qt.KeyboardModifier.ControlModifier)
    work = settled(driver)
    assert not work.plans[-1].name.endswith("on top") and any(p.name.endswith("on top") for p in work.plans)
    assert hex_at(work, 130, 150) == recipe(driver).edits[0].hex


def test_a_node_is_taken_out_of_a_boundary(driver, fish):
    driver.click("Choose a stretch", fish.curves)
    drag(driver, *[s(130 + 80 * np.cos(a), 150 + 50 * np.sin(a)) for a in np.linspace(3.3, 6.0, 24)])
    driver.click("One node less", fish.curves)
    work = settled(driver)
    assert [c.what for c in recipe(driver).curves] == ["simple"] and work.traced.curves_found.all()
    assert re.search(r"at most 0\.\d+ mm from where it was", fish.curves.said.text())
    assert fish.curves._radius.isVisible()
