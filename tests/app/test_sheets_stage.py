"""The stage Sheets in the real window: planned, moved by hand, sized, priced; what is said is what is there."""

import json
from dataclasses import replace

import numpy as np
import pytest
from PySide6.QtCore import Qt
from PySide6.QtTest import QTest

from app.driver import pause, wait, written
from app.known import knowing_driver
from app.person import Person
from sketchloom.app.parts.machines_table import MachinesTable
from sketchloom.app.stages.numbers import RELEASE, SHEETS
from sketchloom.app.words import named
from sketchloom.core.sheets.machine import shipped as shipped_machines
from sketchloom.core.sheets.material import shipped
from sketchloom.core.sheets.placing import sheets
from sketchloom.core.sheets.routing import route
from sketchloom.desk.seams import SeamDesk
from sketchloom.files import user_data
from sketchloom.files.demo_works import demo
from sketchloom.files.outgoing import Wanted


@pytest.fixture
def badge(tmp_path, monkeypatch):
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path / "data"))
    monkeypatch.setenv("XDG_CONFIG_HOME", str(tmp_path / "config"))
    # what is looked at here is the window: a short search does (tests/core look at how well it places)
    monkeypatch.setattr(sheets, "_ROUNDS", 4)
    monkeypatch.setattr(sheets, "_TRIES", 2)
    monkeypatch.setattr(route, "_KICKS", ((40, 4), (700, 1)))
    driver = knowing_driver()
    driver.open(demo("lighthouse").picture_path)
    person = Person(driver)
    person.stage("Sheets")
    yield person
    driver.close()


def planned(person):
    """Wait for the plan of the present result."""
    person.settled()
    planning = person.window.planning
    wait(lambda: planning.plan is not None and planning._work is person.driver.work and not planning.planner.lane.busy,
         60, "a plan")
    pause(20)
    return planning.plan


def drag(view, start, by):
    """A drag on the sheet, mm."""
    at = view.place_of(*start).toPoint()
    to = view.place_of(start[0] + by[0], start[1] + by[1]).toPoint()
    QTest.mousePress(view, Qt.MouseButton.LeftButton, pos=at)
    for k in range(1, 6):
        QTest.mouseMove(view, at + (to - at) * k / 5)
        pause(5)
    QTest.mouseRelease(view, Qt.MouseButton.LeftButton, pos=to)


def middle(placed):
    return placed.area.representative_point().coords[0]


def test_a_plan_is_there_at_once_with_its_figures(badge):
    plan = planned(badge)
    strip = badge.window.sheets
    assert badge.window.middle.currentWidget() is badge.window.sheet_view and strip.isVisible()
    assert len(strip.cards) == len(plan.sheets) == len(badge.driver.work.layers)
    assert f"{len(plan.sheets)} sheets" in strip._sums.text()
    assert "min" in strip._sums.text() and "costs" not in strip._sums.text()
    badge.press(strip.cards[2])
    assert badge.window.sheet_view.sheet is plan.sheets[2]
    assert strip.cards[2].taken and not strip.cards[0].taken
    QTest.keyClick(badge.window.sheet_view, Qt.Key.Key_PageUp)
    assert badge.window.sheet_view.sheet is plan.sheets[1]
    badge.stage("Layers")
    assert not strip.isVisible() and badge.window.middle.currentWidget() is badge.window.bench


def test_a_part_is_dragged_turned_nudged_and_let_go_and_each_can_be_undone(badge):
    plan = planned(badge)
    view = badge.window.sheet_view
    (placed,) = plan.sheets[0].placed
    drag(view, middle(placed), (60.0, 90.0))
    moved = planned(badge).sheets[0].placed[0]
    assert moved.by_hand and moved.box[:2] == pytest.approx((placed.box[0] + 60, placed.box[1] + 90), abs=4)
    assert badge.recipe.machine is not None  # a work with places keeps its machine
    badge.click("Turn by 90°", badge.window.panels[SHEETS])
    turned = planned(badge).sheets[0].placed[0]
    assert turned.turn == 90.0
    QTest.keyClick(view, Qt.Key.Key_Right)
    assert planned(badge).sheets[0].placed[0].box[0] == pytest.approx(turned.box[0] + 1.0, abs=0.01)
    QTest.keyClick(view, Qt.Key.Key_Delete)
    assert not planned(badge).sheets[0].placed[0].by_hand and not badge.recipe.spots
    badge.key("Ctrl+Z")
    assert planned(badge).sheets[0].placed[0].by_hand


def test_what_hangs_over_the_edge_is_red_found_and_mended(badge):
    plan = planned(badge)
    view = badge.window.sheet_view
    drag(view, middle(plan.sheets[0].placed[0]), (150.0, 0.0))
    plan = planned(badge)
    assert view._trouble[1] == {0}
    assert any(f.code == "sheets.over_edge" for f in badge.window.found())
    assert "hangs over the edge" in view._text()
    badge.driver.session.mend_all("sheets.over_edge")
    planned(badge)
    assert view._trouble == (frozenset(), frozenset()) and not badge.recipe.spots


def test_a_part_goes_to_another_sheet_of_its_colour_alone(badge):
    badge.window.panels[SHEETS].copies.setValue(2)
    plan = planned(badge)
    view, strip = badge.window.sheet_view, badge.window.sheets
    assert len(plan.sheets[0].placed) == 2
    view.choose(1)
    badge.choose(badge.window.panels[SHEETS].part._sheets, "on another")
    plan = planned(badge)
    assert [len(s.placed) for s in plan.sheets[:2]] == [1, 1]
    assert plan.sheets[0].group.key == plan.sheets[1].group.key
    # dragged onto a card of another colour it stays where it is, and why is said
    badge.press(strip.cards[0])
    before = badge.recipe
    view.choose(0)
    card = strip.cards[3]
    view.sent.emit(card.mapToGlobal(card.rect().center()))
    assert badge.recipe == before and "another colour" in badge.window.notices.text_of("sent")
    # onto one of its own colour it goes
    card = strip.cards[1]
    view.sent.emit(card.mapToGlobal(card.rect().center()))
    plan = planned(badge)
    assert sorted(len(s.placed) for s in plan.sheets if s.group.key == plan.sheets[0].group.key) == [2]
    assert all(s.trouble(3.0) == (set(), set()) for s in plan.sheets)


def test_the_badge_is_sized_for_a_board_its_base_divided_its_film_mirrored_once(badge):
    """The job of the stage from end to end, with the file read back."""
    film = next(m for m in shipped() if m.key == "heat-film")
    recipe = badge.recipe
    for layer in badge.driver.work.layers:
        recipe = recipe.with_material(layer.plan.key, film)
    badge.driver.session.change(recipe, "heat film")
    planned(badge)
    panel = badge.window.panels[SHEETS]
    badge.fold("Size")
    badge.choose(panel.sizing.place, "board")
    plan = planned(badge)
    assert badge.recipe.size_mm > 400
    divided = [made for made in plan.divided.values() if len(made.parts) > 1]
    assert divided and divided[0].seen <= divided[0].straight_seen
    assert all(p.ready.mirrored for s in plan.sheets for p in s.placed)
    badge.choose(panel.placed.controls["test_cut"].part, "A star")
    plan = planned(badge)
    star = [p for s in plan.sheets for p in s.placed if p.ready.test]
    assert star and plan.timed[0].route.order[0] == 0  # it is cut first
    texts = [panel.laying.item(n).text() for n in range(panel.laying.count())]
    assert "2 parts" in texts[0] and "press" in texts[0]
    # smaller again: everything follows
    badge.type(panel.sizing.wide, "100 mm")
    plan = planned(badge)
    assert not [made for made in plan.divided.values() if len(made.parts) > 1]


def test_a_size_is_judged_while_it_is_typed(badge):
    planned(badge)
    panel = badge.window.panels[SHEETS]
    badge.fold("Size")
    before = badge.recipe
    panel.sizing.wide.setFocus()
    panel.sizing.wide.selectAll()
    QTest.keyClicks(panel.sizing.wide, "700")
    assert "divided into" in panel.sizing.list.item(0).text() and badge.recipe == before
    QTest.keyClick(panel.sizing.wide, Qt.Key.Key_Escape)
    assert badge.recipe == before


def test_prices_make_a_quote_and_stay(badge):
    planned(badge)
    panel = badge.window.panels[SHEETS]
    badge.fold("Time and cost")
    badge.type(panel.cost._fields["hand_hour"], "40")
    planned(badge)
    assert "costs" in badge.window.sheets._sums.text()
    assert user_data.prices().hand_hour == 40.0
    badge.type(panel.cost._fields["margin"], "much")
    assert "A price is a number" in badge.window.notices.text_of("prices") and user_data.prices().hand_hour == 40.0


def test_another_machine_and_a_carrier_of_ones_own(badge):
    planned(badge)
    box = badge.window.panels[SHEETS].machine
    badge.choose(box.machine, "Laser bed")
    plan = planned(badge)
    assert plan.machine.key == "laser" and badge.recipe.machine.key == "laser"
    assert "chlorinated" in box._caution.text()
    badge.choose(box.carrier, "A size of my own")
    badge.type(box._own, "250 x 250 mm")
    plan = planned(badge)
    assert {(s.carrier.width_mm, s.carrier.height_mm) for s in plan.sheets} == {(250.0, 250.0)}
    badge.type(box._own, "as you like")
    assert badge.recipe.carrier == "250x250mm"


def test_a_plan_without_a_sheet_says_so_and_takes_every_gesture(badge):
    """Random gestures found it: each look at what is chosen then failed, and the view said that it was planning."""
    planned(badge)
    badge.driver.session.change(replace(badge.recipe, carrier="20x20mm", divide="off"), "carrier")
    plan = planned(badge)
    view = badge.window.sheet_view
    assert not plan.sheets and view.sheet is None and "Nothing fits" in view._empty
    QTest.mouseClick(view, Qt.MouseButton.LeftButton, pos=view.rect().center())
    for key in (Qt.Key.Key_R, Qt.Key.Key_Delete, Qt.Key.Key_Right, Qt.Key.Key_PageDown, Qt.Key.Key_Tab):
        QTest.keyClick(view, key)
    assert any(f.code.startswith(("size.", "sheets.")) for f in plan.findings)
    badge.key("Ctrl+Z")
    assert planned(badge).sheets and view.sheet is not None


def test_the_table_of_machines_is_changed_and_works_keep_theirs(badge):
    planned(badge)
    badge.choose(badge.window.panels[SHEETS].machine.machine, "Laser bed")
    planned(badge)
    table = MachinesTable()
    row = next(r for r in range(table.table.rowCount()) if table._keys[r] == "laser")
    table.table.selectRow(row)
    table.table.item(row, 2).setText("33")
    table.carriers.item(0, 1).setText("800")
    table._take()
    laser = next(m for m in user_data.machines() if m.key == "laser")
    assert laser.speed == 33.0 and laser.carriers[0].width_mm == 800.0
    assert badge.recipe.machine.speed == 20.0
    table.carriers.item(0, 1).setText("wide")
    table._take()
    assert not table._said.isHidden() and user_data.machines()[0].carriers
    table.close()


def test_machines_are_taken_out_at_any_place_and_each_shows_its_own_carriers():
    """Random gestures met it: the table chooses the next row before one is gone, and its list was shorter already."""
    table = MachinesTable()
    known = {m.key: [c.name for c in m.carriers] for m in user_data.machines()}

    def shown():
        return [table.carriers.item(row, 0).text() for row in range(table.carriers.rowCount())]
    while table.table.rowCount():
        row = table.table.rowCount() // 2
        table.table.selectRow(row)
        assert shown() == [named(name) for name in known[table._keys[row]]]
        table._take_out()
        assert len(table._keys) == len(table._carriers) == table.table.rowCount()
        if table._row() >= 0:
            assert shown() == [named(name) for name in known[table._keys[table._row()]]]
    assert shown() == []
    table.close()


def test_nothing_is_planned_where_nobody_looks_and_release_writes_as_before(badge):
    planned(badge)
    badge.stage("Trace")
    assert not badge.window.planning.planner.lane.busy
    before = badge.window.planning.plan
    badge.driver.session.evaluate()
    badge.settled()
    assert badge.window.planning.plan is before
    badge.stage("Release")
    assert badge.window.stage == RELEASE and badge.window.panels[RELEASE]._write.isEnabled()


def test_a_plan_and_its_places_are_kept_in_the_project(badge, tmp_path):
    plan = planned(badge)
    drag(badge.window.sheet_view, middle(plan.sheets[0].placed[0]), (40.0, 40.0))
    planned(badge)
    path = tmp_path / "own.sloom"
    assert badge.driver.save(path)
    spots, machine = badge.recipe.spots, badge.recipe.machine
    badge.driver.open(path)
    assert badge.recipe.spots == spots and badge.recipe.machine == machine
    again = planned(badge).sheets[0].placed[0]
    assert again.by_hand and again.box[0] == pytest.approx(spots[0].left, abs=0.01)


def test_a_seam_is_moved_with_its_figures_and_comes_back(badge):
    badge.driver.session.change(badge.recipe.with_width(480.0), "size")
    plan = planned(badge)
    badge.window.sheet_view.choose(0)
    box = badge.window.panels[SHEETS].part.seam
    wait(box.isVisible, 5, "the seam's box")
    (key,) = [k for k, made in plan.divided.items() if k[1] == plan.sheets[0].placed[0].part.key]
    best = plan.divided[key]
    box.slider.slider.setValue(8)
    assert "of the seam are seen" in box._said.text()
    wait(lambda: badge.recipe.seams, 10, "the seam to be taken")
    moved = planned(badge).divided[key]
    assert moved.seams[0][:, 0] == pytest.approx(best.seams[0][:, 0] + 8.0, abs=0.01) or \
        moved.seams[0][:, 1] == pytest.approx(best.seams[0][:, 1] + 8.0, abs=0.01)
    assert len(moved.parts) == len(best.parts)
    badge.window.sheet_view.choose(0)
    badge.click("The best seam again", badge.window.panels[SHEETS])
    again = planned(badge).divided[key]
    assert not badge.recipe.seams and again.cost == pytest.approx(best.cost)


def test_sheets_are_written_from_release_as_they_were_planned(badge, tmp_path):
    plan = planned(badge)
    drag(badge.window.sheet_view, middle(plan.sheets[0].placed[0]), (50.0, 30.0))
    plan = planned(badge)
    badge.stage("Release")
    out = tmp_path / "sheets"
    out.mkdir()
    badge.driver.session.leaving.write(out, Wanted(split="sheet", report=True))
    wait(lambda: len(written(out, "*.svg")) == len(plan.sheets) and written(out, "*.json"), 30, "the files")
    told = json.loads(next(out.glob("*.json")).read_text())
    part = told["sheets"][0]["parts"][0]
    assert (part["x_mm"], part["y_mm"]) == pytest.approx(plan.sheets[0].placed[0].box[:2], abs=0.01)


def test_a_seam_is_dragged_on_the_sheet_and_stays_where_it_fits_alone(badge):
    badge.driver.session.change(badge.recipe.with_width(480.0), "size")
    plan = planned(badge)
    view = badge.window.sheet_view
    number, placed = next((n, p) for n, p in enumerate(plan.sheets[0].placed) if p.part.count > 1)
    view.choose(number)
    (handle,) = view._handles
    key = (0, placed.part.key, placed.part.piece)
    best = plan.divided[key]
    drag(view, handle.knob, tuple(9.0 * v for v in handle.across))
    wait(lambda: badge.recipe.seams, 10, "the seam to be taken")
    moved = planned(badge).divided[key]
    assert moved.seams[0] - best.seams[0] == pytest.approx(
        np.broadcast_to(np.array(badge.window.planning._seam.across(0)) * 9.0, best.seams[0].shape), abs=1.0)
    kept = badge.recipe.seams
    view.choose(number)
    (handle,) = view._handles
    drag(view, handle.knob, tuple(150.0 * v for v in handle.across))
    why = badge.window.notices.text_of("seam")
    assert badge.recipe.seams == kept and ("fits no carrier" in why or "parts nothing" in why)
    badge.key("Ctrl+Z")
    assert not badge.recipe.seams


def test_crossing_seams_are_moved_each_for_itself(badge):
    blade = next(m for m in shipped_machines() if m.key == "blade")
    badge.driver.session.change(replace(badge.recipe.with_width(600.0), machine=blade, carrier="12x12in"), "size")
    plan = planned(badge)
    key, made = next((k, m) for k, m in plan.divided.items() if len(set(m.columns)) > 1)
    desk = SeamDesk(badge.driver.work, key[1], made)
    number = next(n for n, c in enumerate(made.columns) if c >= 0)
    by = next(by for by in (2.0, -2.0, 1.0, -1.0, 0.5, -0.5)
              if (told := desk.moved(number, by)) is not None and told.fits)
    badge.driver.session.change(replace(badge.recipe, seams=desk.kept(number, by)), "seam")
    again = planned(badge).divided[key]
    assert len(again.parts) == len(made.parts)
    for n, (now, before) in enumerate(zip(again.seams, made.seams, strict=True)):
        assert now - before == pytest.approx(np.broadcast_to((0.0, by if n == number else 0.0), now.shape), abs=0.01)


def test_several_parts_are_moved_sent_and_let_go_together(badge):
    badge.window.panels[SHEETS].copies.setValue(3)
    plan = planned(badge)
    view, its = badge.window.sheet_view, plan.sheets[0].placed
    assert len(its) == 3
    view.choose(0)
    at = view.place_of(*middle(its[1])).toPoint()
    QTest.mouseClick(view, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.ShiftModifier, pos=at)
    assert view.all_chosen == (1, 0) and "2 parts are chosen" in badge.window.panels[SHEETS].part._name.text()
    drag(view, middle(its[1]), (0.0, 25.0))
    moved = planned(badge).sheets[0].placed
    by = {p.part.path: np.subtract(p.box[:2], q.box[:2]) for q in its for p in moved if p.part.path == q.part.path}
    both = [by[its[n].part.path] for n in (0, 1)]
    assert both[0] == pytest.approx(both[1], abs=0.01) and both[0][1] == pytest.approx(25.0, abs=3.0)
    assert len(badge.recipe.spots) == 2
    badge.choose(badge.window.panels[SHEETS].part._sheets, "on another")
    sheets = planned(badge).sheets
    assert sorted(len(s.placed) for s in sheets if s.group.key == sheets[0].group.key) == [1, 2]
    QTest.mouseClick(view, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.ShiftModifier, pos=at)
    badge.key("Ctrl+Z")
    badge.key("Ctrl+Z")
    assert badge.recipe.spots == ()


def test_rests_are_named_in_the_window_and_used_up_first(badge):
    box = badge.window.panels[SHEETS].offcuts
    badge.window.panels[SHEETS].folds["rests"].head.setChecked(True)
    pause(20)
    badge.driver.type_into(box._size, "a rest")
    badge.press(box._put)
    assert badge.recipe.offcuts == ()
    badge.driver.type_into(box._size, "250 × 250 mm")
    badge.press(box._put)
    planned(badge)
    assert [(o.wide, o.high, o.material) for o in badge.recipe.offcuts] == [(250.0, 250.0, None)]
    assert any(s.is_offcut for s in badge.window.planning.plan.sheets) and box.list.count() == 1
    box.list.setCurrentRow(0)
    badge.press(box._drop)
    assert not any(s.is_offcut for s in planned(badge).sheets) and badge.recipe.offcuts == ()
