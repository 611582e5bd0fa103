"""Choosing on the bench in Layers and in Trace: a layer, a piece of it, a colour of the palette."""

import pytest
from PySide6.QtCore import QPointF, Qt
from PySide6.QtTest import QTest

from app.driver import pause
from app.person import Person
from app.test_clean import LEFT, NIGHT, STAR, night_file, seen, share  # noqa: F401
from sketchloom.app.stages.numbers import CLEAN, LAYERS, TRACE
from sketchloom.desk.things import LAYER, REGION, SHADE
from sketchloom.recipe import layer_edits


@pytest.fixture
def person(driver, night_file):  # noqa: F811
    driver.open(night_file)
    return Person(driver)


def choosing(person, stage):
    return person.window.resting[stage]


def names(one):
    return {act.name for act in one.acts()}


def test_a_click_in_layers_takes_the_layer_and_another_its_piece(person):
    person.stage("Layers")
    one = choosing(person, LAYERS)
    assert person.window.bench.tool is None and one.is_held
    person.point(*share(LEFT))
    assert [thing.kind for thing in one.chosen] == [LAYER] and one.strip.isVisible()
    plan = person.driver.work.plans[one.chosen[0].number]
    assert plan.name in one.strip.words.text()
    assert person.window.panels[LAYERS].rows.current_key() == plan.key, "its row shows the same"
    person.point(*share(LEFT))
    assert [thing.kind for thing in one.chosen] == [REGION] and one.strip.isVisible()
    piece = person.window.panels[LAYERS].piece
    assert piece.isVisible() and piece.words.text() == one.strip.words.text(), "the panel says the same"
    assert set(piece.grid.buttons) == names(one), "with all that can be done, the seldom acts too"
    person.key_on(person.window.bench, "Delete")
    assert seen(person.driver, LEFT) == seen(person.driver, NIGHT)
    person.key("Ctrl+Z")
    person.settled()
    person.key("Escape")
    assert not piece.isVisible()


def test_a_drag_pans_and_the_curtain_is_there_all_the_same(person):
    person.stage("Layers")
    bench, one = person.window.bench, choosing(person, LAYERS)
    before = bench.view.x
    person.drag((0.3, 0.3), (0.35, 0.3), (0.4, 0.3))
    assert bench.view.x > before and not one.chosen
    QTest.mousePress(bench, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.ShiftModifier, person.at(0.02, 0.02))
    QTest.mouseMove(bench, person.at(0.5, 0.5))
    QTest.mouseRelease(bench, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.ShiftModifier, person.at(0.98, 0.98))
    assert {thing.kind for thing in one.chosen} == {REGION} and len(one.chosen) > 1, "with Shift a drag is a box"
    person.key("Escape")
    assert not one.chosen and not one.strip.isVisible()


def test_layers_are_moved_locked_hidden_left_out_merged_and_grouped_from_the_strip(person):
    person.stage("Layers")
    bench, one = person.window.bench, choosing(person, LAYERS)
    person.point(*share(LEFT))
    key = person.driver.work.plans[one.chosen[0].number].key
    for name, field, undoing in (("lock", "locked", "unlock"), ("hide", "hidden", "show"), ("out", "left_out", "in")):
        assert name in names(one) and undoing not in names(one)
        one.do(name)
        person.settled()
        assert getattr(person.recipe.edit_of(key), field)
        assert undoing in names(one) and name not in names(one), "the same place says what it does now"
        one.do(undoing)
        person.settled()
        assert not getattr(person.recipe.edit_of(key), field)
    place = [p.key for p in person.driver.work.plans].index(key)
    by = 1 if "higher" in names(one) else -1
    person.key_on(bench, "PageUp" if by > 0 else "PageDown")
    work = person.settled()
    assert [p.key for p in work.plans].index(key) == place + by
    assert person.driver.work.plans[one.chosen[0].number].key == key, "it is found again where it is now"
    person.point(*share(STAR), modifier=Qt.KeyboardModifier.ShiftModifier)
    assert len(one.chosen) == 2 and "2 layers" in one.strip.words.text()
    one.do("group")
    person.settled()
    assert len({person.recipe.edit_of(person.driver.work.plans[t.number].key).group for t in one.chosen}) == 1
    before = len(person.driver.work.plans)
    one.do("merge")
    assert len(person.settled().plans) == before - 1


def test_a_locked_layer_is_not_changed_by_any_act(person):
    person.stage("Layers")
    one = choosing(person, LAYERS)
    person.point(*share(LEFT))
    one.do("lock")
    person.settled()
    assert names(one) == {"unlock", "hide", "pieces"}
    before = person.recipe
    for name in ("out", "merge", "colour", "higher", "base"):
        one.do(name, "#123456")
    assert person.recipe is before


def test_a_colour_is_chosen_in_trace_and_done_to_from_bench_row_or_key(person):
    person.stage("Trace")
    one, panel = choosing(person, TRACE), person.window.panels[TRACE].colour
    person.point(*share(LEFT))
    assert [thing.kind for thing in one.chosen] == [SHADE] and one.strip.isVisible()
    (hex_colour,) = panel.chosen()
    assert hex_colour in one.strip.words.text() and panel.row.isVisible()
    assert set(panel.row.buttons) == names(one), "one description: the row offers what the strip does"
    one.do("lock")
    person.settled()
    assert person.recipe.locked == (hex_colour,) and "unlock" in panel.row.buttons
    other = next(h for h in one.hexes() if h != hex_colour)
    one.do("colour", "#0a0b0c")
    assert person.recipe.palette is None, "a colour that the palette has not is none to be given to"
    one.do("colour", other)
    work = person.settled()
    assert hex_colour not in [e.hex for e in work.segmentation.entries]


def test_two_clicks_in_one_place_go_on_and_beside_the_work_they_fit(person):
    person.stage("Layers")
    bench, one = person.window.bench, choosing(person, LAYERS)
    person.twice(*share(LEFT))
    QTest.mouseRelease(bench, Qt.MouseButton.LeftButton, pos=person.at(*share(LEFT)))
    assert one.kind == REGION
    bench.zoom(1.5)
    scale = bench.view.scale
    QTest.mouseDClick(bench, Qt.MouseButton.LeftButton, pos=QPointF(40, bench.height() - 8).toPoint())
    assert bench.view.scale != scale, "where nothing is, two clicks fit the work"


def test_the_menu_at_the_pointer_has_every_act_with_its_key(person):
    person.stage("Layers")
    window, one = person.window, choosing(person, LAYERS)
    window.bench.menu_wanted.emit(QPointF(person.at(*share(LEFT))), False)
    menu = window.menus.menu
    texts = [action.text() for action in menu.actions()]
    from sketchloom.app.words import told
    assert [told(act.words) for act in one.acts()] == [t for t in texts if t in {told(a.words) for a in one.acts()}]
    before = person.recipe
    next(action for action in menu.actions() if action.text() == "Lock").trigger()
    menu.close()
    person.settled()
    assert person.recipe is not before and any(e.locked for e in person.recipe.layers)
    pause(10)


@pytest.mark.parametrize(("keys", "by", "wanted"), [
    ("b", 1, "acbd"), ("d", 1, "abcd"), ("ab", 1, "cabd"), ("cd", 1, "abcd"), ("c", -1, "acbd"), ("ab", -1, "abcd"),
    ("bd", -1, "badc"), ("abcd", 1, "abcd")])
def test_layers_move_together_and_stay_within_the_stack(keys, by, wanted):
    """By hand on four letters, base first."""
    assert "".join(layer_edits.moved("abcd", keys, by)) == wanted


@pytest.mark.parametrize("width", [1024, 1280])
def test_the_strip_stays_on_the_bench_however_narrow(person, width):
    person.window.resize(width, 640)
    pause(30)
    for stage, number in (("Layers", LAYERS), ("Trace", TRACE)):
        person.stage(stage)
        one = choosing(person, number)
        person.point(*share(LEFT))
        pause(20)
        assert one.strip.isVisible() and person.window.bench.rect().contains(one.strip.geometry())
        for part in one.strip.grid.buttons.values():
            assert part.width() >= part.sizeHint().width() - 1, part.words


def test_tips_of_the_rows_say_the_keys_in_force(person):
    """A key that was changed is said, too: tips are made from the actions."""
    from PySide6.QtGui import QKeySequence
    for stage, kind in ((CLEAN, "tool"), (LAYERS, "view")):
        row = person.window.panels[stage].tools
        for name, part in row.buttons.items():
            action = person.window.actions_by_name.get(f"{kind}_{name}")
            if action is not None:
                assert part.toolTip().endswith(f"({action.shortcut().toString()})") and part.toolTip().count("(") == 1
                action.setShortcut(QKeySequence("Ctrl+Alt+9"))
                assert part.toolTip().endswith("(Ctrl+Alt+9)") and part.accessibleDescription() == part.toolTip()
        assert row.search.toolTip().endswith("(Ctrl+K)")
