"""The Layers stage's ways side by side, the stack pulled apart and its section, in the real window."""

import re
from dataclasses import replace

import numpy as np
import pytest
import shapely
from PIL import Image
from PySide6.QtCore import QPoint, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QFileDialog, QLabel

import svgs
from app.driver import grabbed, pause, wait, written
from app.test_source_tools import at, click, drag, recipe
from sketchloom.app.parts.tool_row import APART, SWEEP
from sketchloom.app.stages.fold import Fold
from sketchloom.app.stages.numbers import CLEAN, LAYERS, RELEASE
from sketchloom.core.layers.laying import laid_pieces
from sketchloom.files import user_data
from sketchloom.files.outgoing import Wanted


@pytest.fixture()
def layers(lighthouse):
    lighthouse.window.show_stage(LAYERS)
    pause(20)
    QTest.mouseClick(lighthouse.window.panels[LAYERS].ways._group.button(0), Qt.MouseButton.LeftButton)
    lighthouse.settled()
    return lighthouse.window.panels[LAYERS]


def test_the_ways_are_compared_and_taken_by_a_click(lighthouse, layers):
    table = layers._compared
    wait(lambda: table.item(3, 3).text() != "…", 30, "the figures of the ways")
    named = {
        table.verticalHeaderItem(row).text(): [table.item(row, way).text() for way in range(5)]
        for row in range(table.rowCount())
    }
    cut = [float(text) for text in named["Cut, m"]]
    assert cut[3] == min(cut) and table.selectedItems()[0].column() == 0
    assert (
        named["May slip, mm"] == ["any", "0.00", "any", "0.00", "0.00"]
        and named["Sheets"] == [str(len(lighthouse.work.layers))] * 5
    )
    assert min(float(text) for text in named["Narrowest, mm"]) > 0
    cell = table.visualItemRect(table.item(3, 3)).center()
    QTest.mouseClick(table.viewport(), Qt.MouseButton.LeftButton, pos=cell)
    work = lighthouse.settled()
    assert recipe(lighthouse).layering == "lean"
    assert sum(x.cut_length_mm for x in work.layers) / 1000 == pytest.approx(cut[3], abs=0.006)
    lighthouse.type_into(layers.way._overlap, "0.5 mm")
    more = lighthouse.settled()
    assert sum(x.area_mm2 for x in more.layers) > sum(x.area_mm2 for x in work.layers)
    layers.select(more.plans[2].key)
    layers.chosen._own.setCurrentIndex(layers.chosen._own.findData("stacked"))
    layers.chosen._own.activated.emit(layers.chosen._own.currentIndex())
    assert recipe(lighthouse).edit_of(more.plans[2].key).layering == "stacked"


def test_the_order_saves_what_it_is_asked_to(lighthouse, layers):
    def pieces():
        return sum(x.outline.pieces for x in lighthouse.settled().layers)
    before = pieces()
    layers.orders._weights[1].slider.setValue(10)
    layers.orders._weights[0].slider.setValue(0)
    assert recipe(lighthouse).order_weights == (0.0, 1.0, 0.0, 0.0, 0.0) and pieces() < before


def test_orders_are_offered_with_what_they_cost_and_layers_are_pinned(lighthouse, layers):
    next(
        f for f in lighthouse.window.findChildren(Fold) if f.head.text().strip() == "What the order is to save"
    ).head.setChecked(True)
    box = layers.orders
    wait(lambda: box.offers.rowCount() > 1, 30, "orders worth a look")
    cut = [float(box.offers.item(row, 1).text()) for row in range(box.offers.rowCount())]
    few = [int(box.offers.item(row, 2).text()) for row in range(box.offers.rowCount())]
    assert cut[0] == min(cut) and box.offers.currentRow() == 0
    row = int(np.argmin(few))
    assert few[row] < few[0]
    QTest.mouseClick(
        box.offers.viewport(),
        Qt.MouseButton.LeftButton,
        pos=box.offers.visualItemRect(box.offers.item(row, 0)).center(),
    )
    work = lighthouse.settled()
    assert recipe(lighthouse).order == box._orders[row] == tuple(p.key for p in work.plans)
    assert sum(x.outline.pieces for x in work.layers) == few[row]
    assert sum(x.cut_length_mm for x in work.layers) / 1000 == pytest.approx(cut[row], abs=0.006)
    # the uppermost is pinned as the base, and another is always above a third
    top, middle, low = (work.plans[n].key for n in (-1, 3, 1))
    layers.select(top)
    box._pin.setCurrentIndex(1)
    box._pin.activated.emit(1)
    work = lighthouse.settled()
    assert recipe(lighthouse).edit_of(top).pin == "base" and work.plans[0].key == top
    layers.select(low)
    keys = [p.key for p in work.plans]
    next(a for a in box._menu.actions() if a.text() == work.plans[keys.index(middle)].name).trigger()
    work = lighthouse.settled()
    keys = [p.key for p in work.plans]
    assert recipe(lighthouse).above == ((low, middle),) and keys.index(low) > keys.index(middle) and keys[0] == top
    assert "always" in box._said.text()
    wait(lambda: box.offers.rowCount() and all(o[0] == top for o in box._orders), 30, "orders that keep to the rules")
    lighthouse.click("Forget rules", box)
    assert recipe(lighthouse).above == () and recipe(lighthouse).edit_of(top).pin is None


def test_the_stack_is_pulled_apart_and_a_sheet_dragged_elsewhere(lighthouse, layers):
    window = lighthouse.window
    lighthouse.click("Pull apart", layers)
    pause(50)
    view = window.stack_view
    assert view.isVisible() and view._up_to.maximum() == len(lighthouse.work.layers) - 1
    stack = view.stack
    scale, gap, left = stack._geometry()
    top = len(lighthouse.work.layers) - 1
    keys = [x.plan.key for x in lighthouse.work.layers]
    outline = lighthouse.work.layers[top].outline
    ring = shapely.Polygon(outline.controls[outline.starts[0]:outline.starts[1], 0])
    x, y = (np.array(ring.representative_point().coords[0]) * lighthouse.work.mm_per_px).tolist()
    place = stack._transform(top, scale, gap, left).map(QPoint(round(x), round(y)))
    grabbed = stack._level_at(place)
    assert grabbed >= 0
    QTest.mousePress(stack, Qt.MouseButton.LeftButton, pos=place)
    for step in range(1, 5):
        QTest.mouseMove(stack, place + QPoint(0, round(step * 2 * gap / 4)))
    QTest.mouseRelease(stack, Qt.MouseButton.LeftButton, pos=place + QPoint(0, round(2 * gap)))
    work = lighthouse.settled()
    after = [x.plan.key for x in work.layers]
    assert after.index(keys[grabbed]) == grabbed - 2
    view._up_to.setValue(1)
    assert stack.up_to == 1 and view._said.text().startswith("2 of")
    lighthouse.click("Lay together again", view)
    assert window.middle.currentWidget() is window.bench and not layers.tools.buttons[APART].isChecked()


def test_the_section_follows_the_line_and_heights(lighthouse, layers):
    window = lighthouse.window
    lighthouse.click("Section", layers)
    pause(20)
    side = window.section._side
    assert window.section.isVisible() and side.section is not None
    first = side.section
    drag(lighthouse, (0.5, 0.5), (0.5, 0.4), (0.5, 0.3))
    assert side.section is not first and not (
        side.section.at_mm.shape == first.at_mm.shape and (side.section.at_mm == first.at_mm).all()
    )
    lighthouse.type_into(window.section._spacer, "3 mm")
    lighthouse.settled()
    pause(30)
    count = len(lighthouse.work.layers)
    assert recipe(lighthouse).spacer_mm == 3.0
    assert side.section.height_mm <= count * 0.1 + 3.0 * (count - 1) + 1e-6 and side.section.height_mm > 3.0
    window.show_stage(CLEAN)
    window.clean_tools.take(SWEEP)
    assert not window.section.isVisible() and window.bench.tool is window.cleaning.tool


def test_materials_tool_and_ground_are_said_and_checked(lighthouse, layers):
    work = lighthouse.settled()
    layers.select(work.plans[1].key)
    kinds = layers.chosen._material
    flake = next(n for n in range(kinds.count()) if kinds.itemText(n).startswith("Flake"))
    kinds.setCurrentIndex(flake)
    kinds.activated.emit(flake)
    lighthouse.settled()
    assert (
        recipe(lighthouse).material_of(work.plans[1].key).family == "flake film"
        and "Never on flake film" in layers.chosen._caution.text()
    )
    lighthouse.click("All of its material", layers)
    work = lighthouse.settled()
    assert "material.on_its_like" in [f.code for f in work.findings]
    lighthouse.click("Fitted", layers)
    assert "material.on_its_like" not in [f.code for f in lighthouse.settled().findings]
    lighthouse.click("Laser", layers)
    assert "material.tool" in [f.code for f in lighthouse.settled().findings]
    lighthouse.type_into(layers.every._depth, "0.1 mm")
    assert "material.too_high" in [f.code for f in lighthouse.settled().findings]
    white = layers.every.laid_on.findData("#ffffff")
    layers.every.laid_on.setCurrentIndex(white)
    layers.every.laid_on.activated.emit(white)
    lighthouse.settled()
    assert recipe(lighthouse).laid_on == "#ffffff"
    bench = lighthouse.window.bench
    bench.curtain_on = False
    bench.update()
    pause(20)
    assert grabbed(bench).toImage().pixelColor(bench.place_of(3.0, 3.0).toPoint()).lightness() > 250
    lighthouse.key("Ctrl+Z")
    assert recipe(lighthouse).laid_on is None


def test_marks_are_asked_for_in_release(lighthouse, tmp_path):
    lighthouse.window.show_stage(RELEASE)
    lighthouse.click("Marks on every sheet", lighthouse.window.panels[RELEASE])
    work = lighthouse.settled()
    assert recipe(lighthouse).marks
    (path,) = svgs.write_one(work, tmp_path / "marked.svg")
    assert 'viewBox="-' in path.read_text()


def test_line_art_is_gathered_into_sheets_below_its_frame(driver, smaller):
    driver.open(smaller("panel"))
    driver.window.show_stage(LAYERS)
    panel = driver.window.panels[LAYERS]
    panel.drawers["line_art"].call()
    box = panel.line_art
    box.rule.setCurrentIndex(3)
    box.rule.activated.emit(3)
    wait(lambda: box.ladder.rowCount() == 7, 30, "the ladder of sheets")
    cut = [float(box.ladder.item(row, 2).text()) for row in range(7)]
    QTest.mouseClick(
        box.ladder.viewport(), Qt.MouseButton.LeftButton, pos=box.ladder.visualItemRect(box.ladder.item(3, 0)).center()
    )
    work = driver.settled()
    # gathered sheets are lean, and reach a hair under the frame: hidden edges are a little longer
    assert work.laying.way == "lean" and work.laying.overlap_mm > 0
    assert sum(x.cut_length_mm for x in work.layers) / 1000 == pytest.approx(cut[3], rel=0.03)
    assert len(work.layers) == 6 and work.plans[-1].key == work.segmentation.entries[0].hex
    assert not [f for f in work.findings if f.code == "clean.edit_lost"]
    lean = sum(x.cut_length_mm for x in work.layers)
    driver.click("Stacked", panel)
    assert lean < 0.7 * sum(x.cut_length_mm for x in driver.settled().layers)  # what the frame covers is not cut
    # a region is painted onto another sheet
    box.colours.setCurrentRow(0)
    driver.click("Paint the depth", box)
    wait(
        lambda: driver.window.cleaning.desk is not None and driver.window.cleaning.desk.work is driver.work,
        10,
        "regions to paint",
    )
    desk = driver.window.cleaning.desk
    deepest = work.plans[0].hex
    face = next(f for f in desk.smallest()[::-1] if desk.hex_of(f) not in (deepest, work.plans[-1].hex))
    x, y = desk.inner_place(face)
    click(driver, x / work.picture.width, y / work.picture.height)
    driver.settled()
    assert driver.window.cleaning.desk.hex_of(face) == deepest and box.paint.isChecked()
    driver.key("Ctrl+Z", "Ctrl+Z", "Ctrl+Z")
    assert recipe(driver).edits == ()


def test_alternatives_of_a_layering_are_kept_and_compared_in_layers(lighthouse, layers):
    lighthouse.window.actions_by_name["variants"].setChecked(True)
    strip = lighthouse.window.variants
    assert strip.isVisible() and lighthouse.window.stage == LAYERS
    lighthouse.click("Lean", layers)
    lighthouse.settled()
    lighthouse.click("Keep the present one", strip)
    lighthouse.click("Windowed", layers)
    lighthouse.settled()
    def card():
        return next((c for c in strip.cards if c.text() == "Alternative 1"), None)
    wait(lambda: card() is not None, 60, "the card of the alternative")
    card().click()
    lighthouse.settled()
    assert recipe(lighthouse).layering == "lean" and lighthouse.window.stage == LAYERS


def test_pieces_are_numbered_held_and_shown_from_below(lighthouse, layers):
    layers.laying_fold.head.setChecked(True)
    box = layers.laying
    wait(lambda: box.list.count() > 5, 30, "the pieces")
    work = lighthouse.work
    count = sum(x.outline.pieces for x in work.layers)
    assert box.list.count() == count and f"{count} pieces" in box._said.text()
    lighthouse.click("Numbers on the bench", box)
    wait(lambda: len(lighthouse.window.bench._numbers) == count, 10, "numbers on the bench")
    desk = lighthouse.window.stacking._desk
    assert all(desk.faces(p) for p in desk.pieces)  # what shows nowhere is not cut
    alone = next(p.number - 1 for p in desk.pieces if p.alone and desk.faces(p))
    box.list.setCurrentRow(alone)
    assert lighthouse.window.bench.target is not None
    lighthouse.click("From a sheet below", box)
    after = lighthouse.settled()
    assert {e.action for e in recipe(lighthouse).edits} == {"below"} and after.plans[0].name.endswith("below")
    lighthouse.key("Ctrl+Z")
    lighthouse.settled()
    lighthouse.window.show_stage(CLEAN)
    lighthouse.window.clean_tools.take(SWEEP)
    assert lighthouse.window.bench._numbers == ()


def test_the_laying_plan_is_written_beside_the_files(lighthouse, tmp_path):
    lighthouse.window.show_stage(RELEASE)
    lighthouse.session.leaving.write(tmp_path / "badge.svg", Wanted(plan=True))
    wait(lambda: (tmp_path / "badge-plan.svg").exists(), 20, "the plan")
    assert (tmp_path / "badge-plan.svg").read_text().count("<path") > 20 and (tmp_path / "badge.svg").exists()


def test_the_table_of_materials_is_changed_and_kept(lighthouse, layers):
    layers._list.setCurrentRow(0)  # its details stand in its row
    pause(20)
    lighthouse.click("Materials…", layers)
    dialog = lighthouse.window.stacking._materials
    rows, table = dialog.table.rowCount(), dialog.table
    assert rows == len(user_data.materials())
    lighthouse.click("Add", dialog)
    table.item(rows, 0).setText("Lantern paper")
    table.item(rows, 2).setText("thick")
    lighthouse.click("Keep", dialog)
    assert dialog.isVisible() and f"Row {rows + 1}" in dialog._said.text()  # nothing half is kept
    assert len(user_data.materials()) == rows
    table.item(rows, 2).setText("0,2 mm")
    table.item(rows, 8).setCheckState(Qt.CheckState.Checked)
    lighthouse.click("Keep", dialog)
    made = user_data.materials()[-1]
    assert (made.name, made.thickness_mm, "laser" in made.tools) == ("Lantern paper", 0.2, True)
    layers.select(lighthouse.work.plans[0].key)
    assert layers.chosen._material.findText("Lantern paper", Qt.MatchFlag.MatchStartsWith) > 0
    lighthouse.click("Materials…", layers)
    dialog = lighthouse.window.stacking._materials
    lighthouse.click("As shipped", dialog)
    dialog.table.selectRow(0)
    lighthouse.click("Take out", dialog)
    lighthouse.click("Keep", dialog)
    assert len(user_data.materials()) == rows - 1


def test_pieces_of_shrinking_film_are_parted_by_the_finding(lighthouse, layers, tmp_path):
    heat = next(m for m in user_data.materials() if m.shrinks)
    red = next(x for x in lighthouse.work.layers if x.outline.pieces > 3)
    lighthouse.session.change(recipe(lighthouse).with_material(red.plan.key, heat), "material")
    work = lighthouse.settled()
    (told,) = [f for f in work.findings if f.code == "material.shrinks"]
    lighthouse.session.mend(told)
    work = lighthouse.settled()
    assert recipe(lighthouse).edit_of(red.plan.key).apart and not [
        f for f in work.findings if f.code == "material.shrinks"
    ]
    files = svgs.layers(work, "badge")
    assert len(files) == len(work.layers) - 1 + red.outline.pieces


def test_the_stack_throws_shadows_where_the_light_does_not_come_from(lighthouse, layers):
    window = lighthouse.window
    window.actions_by_name["curtain"].setChecked(False)
    look = next(f for f in window.findChildren(Fold) if f.head.text().strip() == "How it will look")
    look.head.setChecked(True)
    lighthouse.session.change(replace(recipe(lighthouse), spacer_mm=1.5), "spacers")
    lighthouse.settled()
    pause(30)
    before = grabbed(window.bench).toImage()
    lighthouse.click("Shadows", layers.look)
    pause(30)
    after = grabbed(window.bench).toImage()

    def darker(x, y):
        place = at(lighthouse, x, y)
        return before.pixelColor(place).lightness() - after.pixelColor(place).lightness()
    work = lighthouse.work
    # the moon: dark sky at its lower right when light comes from the upper left, none at its upper left
    moon = max(
        (
            p
            for p in laid_pieces(work.layers)
            if p.layer.plan.hex == "#f3ead7" and p.place[1] < 0.4 * work.picture.height
        ),
        key=lambda p: p.area_px,
    )
    sky = next(p for p in work.plans if p.hex == "#1e3557")
    level = work.plans.index(sky)
    right = (
        (moon.box[2] + 0.9 / work.mm_per_px) / work.picture.width,
        (moon.box[1] + moon.box[3]) / 2 / work.picture.height,
    )
    left = (
        (moon.box[0] - 1.2 / work.mm_per_px) / work.picture.width,
        (moon.box[1] - 0.6 / work.mm_per_px) / work.picture.height,
    )
    def depth(p):
        return work.depth[
            work.traced.planar.faces[int(p[1] * work.picture.height), int(p[0] * work.picture.width)]
        ]
    assert depth(right) == depth(left) == level
    assert darker(*right) > 4 and abs(darker(*left)) <= 2
    layers.look.light.slider.setValue(9)  # from the lower right
    pause(30)
    after = grabbed(window.bench).toImage()
    assert abs(darker(*right)) <= 2
    # the grain of a material shows too, and all of it goes with the stage
    lighthouse.session.change(
        recipe(lighthouse).with_material(sky.key, next(m for m in user_data.materials() if m.family == "flake film")),
        "material",
    )
    lighthouse.settled()
    lighthouse.click("In the look", layers.look)
    pause(30)
    grained = grabbed(window.bench).toImage()
    spots = {grained.pixelColor(at(lighthouse, 0.3 + dx / 300, 0.3)).name() for dx in range(30)}
    assert len(spots) > 3
    window.show_stage(CLEAN)
    window.clean_tools.take(SWEEP)
    assert window.bench._look is None


def test_layers_are_locked_hidden_and_grouped(lighthouse, layers):
    window = lighthouse.window
    window.actions_by_name["curtain"].setChecked(False)
    keys = [p.key for p in lighthouse.work.plans]
    for key in keys[-2:]:
        layers.select(key)
        lighthouse.type_into(layers.chosen._group, "sea")
        layers.chosen._group.editingFinished.emit()
        lighthouse.settled()
    assert [recipe(lighthouse).edit_of(k).group for k in keys[-2:]] == ["sea", "sea"]
    piece = next(p for p in laid_pieces(lighthouse.work.layers) if p.layer.plan.key == keys[-1])
    place = piece.place[0] / lighthouse.work.picture.width, piece.place[1] / lighthouse.work.picture.height
    pause(30)
    seen = grabbed(window.bench).toImage().pixelColor(at(lighthouse, *place)).name()
    lighthouse.click("Hide", layers)
    work = lighthouse.settled()
    pause(30)
    assert [p.hidden for p in work.plans] == [k in keys[-2:] for k in keys] and len(work.layers) == len(keys)
    assert grabbed(window.bench).toImage().pixelColor(at(lighthouse, *place)).name() != seen
    layers.look.shadows.click()
    assert window.bench._look.hidden == (len(keys) - 2, len(keys) - 1)  # what is not painted throws no shadow
    layers.look.shadows.click()
    lighthouse.click("Hide", layers)
    lighthouse.click("Lock", layers)
    lighthouse.settled()
    assert not layers.chosen._name.isEnabled() and layers.chosen._lock.isEnabled()
    assert "locked" in layers._list.item(0).text()
    window.show_stage(CLEAN)
    window.clean_tools.take(SWEEP)
    pause(30)
    click(lighthouse, *place)
    assert recipe(lighthouse).edits == () and "locked" in window.cleaning.tool.hint
    window.show_stage(RELEASE)
    assert not window.panels[RELEASE]._hidden.isVisible()


def test_the_untouched_trace_is_there_to_compare_and_return_to(lighthouse, layers):
    base = recipe(lighthouse)
    lighthouse.session.change(
        replace(base, order=tuple(p.key for p in lighthouse.work.plans[::-1]), layering="fitted"), "order"
    )
    lighthouse.settled()
    lighthouse.window.actions_by_name["variants"].setChecked(True)
    def card():
        return next((c for c in lighthouse.window.variants.cards if c.text() == "Untouched"), None)
    wait(lambda: card() is not None and card().isEnabled(), 60, "the untouched trace")
    card().click()
    lighthouse.settled()
    assert recipe(lighthouse) == replace(base, layering="auto")


def test_works_are_laid_on_shared_sheets(lighthouse, smaller, tmp_path, monkeypatch):
    other = smaller("mark")
    monkeypatch.setattr(QFileDialog, "getOpenFileNames", lambda *_: ([str(other)], ""))
    monkeypatch.setattr(QFileDialog, "getExistingDirectory", lambda *_: str(tmp_path))
    lighthouse.window.show_stage(RELEASE)
    lighthouse.click("On shared sheets", lighthouse.window.panels[RELEASE])
    wait(lambda: written(tmp_path, "*-sheet-*.svg"), 60, "the sheets")
    wait(lambda: lighthouse.window.panels[RELEASE]._result.isVisible(), 20, "what was written")
    assert len(written(tmp_path, "*-sheet-*.svg")) >= len(lighthouse.work.layers)


def test_helper_cuts_are_among_the_figures_of_release(lighthouse, layers):
    lighthouse.type_into(layers.every._weeding, "4 mm")
    lighthouse.settled()
    lighthouse.type_into(layers.every._every, "20 mm")
    work = lighthouse.settled()
    assert (recipe(lighthouse).weeding_mm, recipe(lighthouse).weeding_every_mm) == (4.0, 20.0)
    lighthouse.window.show_stage(RELEASE)
    pause(30)
    texts = [w.text() for w in lighthouse.window.panels[RELEASE]._figures.findChildren(QLabel)]
    assert "Weeding cuts" in texts
    # they are cut like everything else: every figure of cutting has them
    plain = sum(layer.cut_length_mm for layer in work.layers)
    assert work.cut_length_mm == pytest.approx(plain + work.weeding_length_mm) and work.weeding_length_mm > 100
    def shown(panel, name):
        return (lambda told: float(re.sub(r"[^\d.]", "", told[told.index(name) + 1])))(
            [w.text() for w in panel._figures.findChildren(QLabel)]
        )
    assert shown(layers, "Cutting") == pytest.approx(work.cut_length_mm, abs=1) and shown(
        layers, "Of it helper cuts"
    ) == pytest.approx(work.weeding_length_mm, abs=1)
    wait(
        lambda: layers._compared.item(3, 0).text() not in ("…", f"{plain / 1000:.2f}"), 30, "the ways with helper cuts"
    )
    assert float(layers._compared.item(3, 0).text()) == pytest.approx(work.cut_length_mm / 1000, abs=0.006)
    told = texts[texts.index("Weeding cuts") + 1]
    assert float(re.sub(r"[^\d.]", "", told)) == pytest.approx(work.weeding_length_mm, abs=1)


def test_nothing_can_be_typed_where_nothing_is_a_choice(lighthouse, layers):
    lighthouse.click("Fitted", layers)
    lighthouse.settled()
    lighthouse.type_into(layers.way._overlap, "0.5 mm")
    assert recipe(lighthouse).overlap_mm == 0.5
    lighthouse.settled()
    lighthouse.type_into(layers.way._overlap, "0")
    assert recipe(lighthouse).overlap_mm == 0.0


def test_layers_are_named_in_another_language_and_grouped_by_sheet(lighthouse, layers):
    layers.select(next(plan.key for plan in lighthouse.work.plans if plan.name == "dark blue"))
    lighthouse.type_into(layers.chosen._name, "night sky")
    plain = [plan.name for plan in lighthouse.settled().plans]
    layers.every._names_in.setCurrentIndex(layers.every._names_in.findData("fr"))
    layers.every._names_in.activated.emit(layers.every._names_in.currentIndex())
    work = lighthouse.settled()
    named = [plan.name for plan in work.plans]
    assert (
        recipe(lighthouse).names_in == "fr" and "rouge" in named and "night sky" in named and named != plain
    )  # a name given by hand stays
    reds = next(plan for plan in work.plans if plan.name == "rouge")
    other = next(plan for plan in work.plans if plan.name.startswith("crème"))
    layers.select(other.key)
    lighthouse.window.session.change(
        recipe(lighthouse).with_edit(other.key, hex=reds.hex), "cut colour"
    )  # the colour dialog is the system's
    lighthouse.settled()
    lighthouse.click("Group by sheet", layers)
    lighthouse.settled()
    edits = {edit.key: edit.group for edit in recipe(lighthouse).layers}
    assert edits[reds.key] == edits[other.key] == "rouge" and len([g for g in edits.values() if g]) == 2
    assert sum(" · rouge" in layers._list.item(row).text() for row in range(layers._list.count())) == 2


def test_figures_of_the_ways_are_faint_until_they_are_of_what_is_shown(lighthouse, layers):
    table = layers._compared
    wait(lambda: table.item(3, 3).text() != "…", 30, "the figures of the ways")
    assert not table.item(3, 3).font().italic()
    lighthouse.click("Lean", layers)
    seen = []
    wait(
        lambda: seen.append(table.item(3, 3).font().italic()) or (any(seen) and not seen[-1]),
        30,
        "new figures of the ways",
    )


def test_line_art_is_gathered_by_its_colours_in_the_window(driver, tmp_path):
    page = np.full((200, 300, 3), 255, np.uint8)
    for n, colour in enumerate(((233, 196, 106), (90, 160, 168), (233, 196, 106))):
        page[20:180, 20 + 90 * n:100 + 90 * n] = colour
        for x0, x1, y0, y1 in ((10, 20, 10, 190), (100, 110, 10, 190), (10, 110, 10, 20), (10, 110, 180, 190)):
            page[y0:y1, x0 + 90 * n:x1 + 90 * n] = (20, 18, 24)
    path = tmp_path / "window.png"
    Image.fromarray(page).save(path)
    driver.open(path)
    driver.window.session.change(replace(recipe(driver), reading="tone", cut_off=60), "reading")
    driver.settled()
    driver.window.show_stage(LAYERS)
    box = driver.window.panels[LAYERS].line_art
    next(f for f in driver.window.findChildren(Fold) if f.head.text().strip() == "Line art to sheets").head.setChecked(
        True
    )
    box.rule.setCurrentIndex(box.rule.findData("colours"))
    box.rule.activated.emit(box.rule.currentIndex())
    wait(lambda: box.ladder.rowCount() == 1 and box.ladder.isVisible(), 30, "the ladder by colours")
    assert box.ladder.item(0, 0).text() == "2"
    QTest.mouseClick(
        box.ladder.viewport(), Qt.MouseButton.LeftButton, pos=box.ladder.visualItemRect(box.ladder.item(0, 0)).center()
    )
    work = driver.settled()
    assert len(work.layers) == 3
    assert sorted(plan.hex for plan in work.plans[:-1]) == ["#5aa0a8", "#e9c46a"]
