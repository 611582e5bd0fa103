"""Everything is found by its words, and one button says what comes next."""

import json

import pytest
from PySide6.QtCore import Qt
from PySide6.QtGui import QKeySequence
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication

from app.driver import pause, wait
from app.person import Person
from sketchloom.app import actions
from sketchloom.app.parts.keys_table import KeysTable
from sketchloom.app.stages.numbers import CLEAN, LAYERS, RELEASE, SOURCE, TRACE
from sketchloom.desk import next_step as steps
from sketchloom.files import user_data
from sketchloom.recipe.document import SETTINGS


@pytest.fixture
def person(lighthouse):
    return Person(lighthouse)


@pytest.fixture
def shipped_keys():
    yield
    user_data.keep_own_keys({})
    actions.load_keys()


def found(person, text):
    search = person.window.searching.search
    search.field.setText(text)
    return [search.list.item(n).data(Qt.ItemDataRole.UserRole) for n in range(search.list.count())]


def opened(person):
    person.key("Ctrl+K")
    search = person.window.searching.search
    wait(search.isVisible, 5, "the search")
    return search


def test_words_and_their_neighbours_lead_to_actions_settings_and_acts(person):
    search = opened(person)
    assert search.field.hasFocus()
    for text, words, where in (
        ("mirror", "Mirror", "Clean"), ("kerf", "Kerf", "Release"), ("make thicker", "Thicken", "Region"),
        ("overlap", "Overlap under what covers", "Layers"), ("number of colours", "Colours", "Trace"),
        ("undo", "Undo", "everywhere"), ("stencil", "Stencil bridges", "Clean"), ("export svg", "Write cut files", ""),
    ):
        assert any(one.words.startswith(words) and where in one.where for one in found(person, text)[:6]), text
    assert found(person, "qqqq") == [] and "Try another word" in search.said.text()
    # what is a switch shows how it stands, what has a key its key
    curtain = next(one for one in found(person, "curtain") if one.words.startswith("Curtain"))
    assert curtain.value in ("on", "off") and curtain.key == "C"


def test_every_action_of_the_table_can_be_found(person):
    opened(person)
    words = {one.words for one in person.window.searching.entries()}
    assert {row.plain for row in actions.TABLE} <= words
    for row in actions.TABLE:
        assert row.plain in {one.words for one in found(person, row.plain)}
    # and every setting that a panel makes a control for by itself
    from sketchloom.app.words import told
    assert {told(one.label) for one in SETTINGS.values() if one.place} <= words


def test_enter_runs_what_is_found_and_the_focus_comes_back(person):
    bench = person.window.bench
    bench.setFocus()
    was = bench.curtain_on
    search = opened(person)
    QTest.keyClicks(search.field, "curtain")
    QTest.keyClick(search.field, Qt.Key.Key_Return)
    assert bench.curtain_on != was and search.isHidden() and bench.hasFocus()
    opened(person)
    QTest.keyClick(search.field, Qt.Key.Key_Escape)
    assert search.isHidden() and bench.hasFocus()


@pytest.mark.parametrize("stage", ["Clean", "Layers"])
def test_the_row_of_tools_opens_the_search(person, stage):
    person.stage(stage)
    person.press(person.window.settings.currentWidget().tools.search)
    assert person.window.searching.search.isVisible()


def test_a_setting_is_gone_to_with_its_box_opened(person):
    search = opened(person)
    QTest.keyClicks(search.field, "smallest width wanted")
    QTest.keyClick(search.field, Qt.Key.Key_Return)
    panel = person.window.panels[CLEAN]
    wait(lambda: person.window.stage == CLEAN and panel.narrow.isVisible(), 10, "the box")
    wait(lambda: person.window.searching.spot.isVisible(), 10, "a ring around it")
    assert panel.narrow.isAncestorOf(QApplication.focusWidget())
    # the arrows go through what is found while the words are typed
    opened(person)
    QTest.keyClicks(search.field, "stage")
    QTest.keyClick(search.field, Qt.Key.Key_Down)
    assert search.list.currentRow() == 1


def test_what_acts_on_the_choice_comes_first_once_something_is_chosen(person):
    person.stage("Clean")
    opened(person)
    assert "Region" in found(person, "drop")[0].where  # it leads to choosing
    person.window.searching.search.put_away()
    person.point(0.5, 0.45)
    opened(person)
    entry = found(person, "drop")[0]
    assert entry.where == "what is chosen" and entry.key == "Del"
    person.window.searching.search.put_away()
    entry.run()
    person.settled()
    assert [edit.action for edit in person.recipe.edits] == ["drop"]


def test_the_next_step_leads_through_the_stages(person):
    window, bar = person.window, person.window.splitter.next
    window.show_stage(SOURCE)
    places = set()
    for expected in ("Trace", "Clean", "Layers", "Sheets", "Release"):
        assert bar.button.text() == f"Next: {expected}"
        places.add(bar.button.mapTo(window, bar.button.rect().topLeft()).toTuple()[1] > window.height() - 140)
        person.press(bar.button)
        person.settled()
        assert window.rail.titles[window.stage] == expected
    assert places == {True}
    work = person.driver.work
    assert bar.step.kind in (steps.WRITE, steps.FIRST)
    assert steps.next_step(RELEASE, work, ()).kind == steps.WRITE
    assert steps.next_step(TRACE, None, ()).kind == steps.WAIT
    window.show_stage(LAYERS)
    person.key("Ctrl+Return")
    assert window.rail.titles[window.stage] == "Sheets"


def test_what_helps_the_picture_is_done_in_one_go_and_shown_beside_what_it_was(driver, smaller):
    driver.open(smaller("kingfisher", 0.4))
    person, window = Person(driver), driver.window
    person.stage("Source")
    bar = window.splitter.next
    assert bar.step.kind == steps.PREPARE, [f.code for f in driver.work.findings]
    person.press(bar.button)
    wait(lambda: window.notices.text_of("prepared") is not None, 60, "the preparing")
    person.settled()
    assert window.bench.pinned_title == "before" and person.recipe.preparation.level_light
    assert bar.step.kind == steps.GO
    person.click("Take back", window.notices)
    person.settled()
    assert not person.recipe.preparation.level_light and window.bench.pinned_title == ""


def test_keys_can_be_given_and_are_kept(person, shipped_keys):
    window = person.window
    window.searching.show_keys()
    table = next(one for one in QApplication.topLevelWidgets() if isinstance(one, KeysTable))
    table.choose("grid")
    assert table.chosen() == "grid"
    table.field.setKeySequence(QKeySequence("F"))
    assert "Fit to the bench" in table._said.text()  # it belongs to another, and that is said before
    QTest.mouseClick(table.give, Qt.MouseButton.LeftButton)
    assert actions.keys_of("grid") == ("F",) and actions.keys_of("fit") == ()
    assert window.actions_by_name["grid"].shortcut() == QKeySequence("F")
    assert json.loads((user_data.data_folder() / "keys.json").read_text()) == {"grid": ["F"], "fit": []}
    was = window.bench.grid
    person.key("F")
    assert window.bench.grid != was
    # another start knows them; what is no key is left out
    (user_data.data_folder() / "keys.json").write_text('{"grid": ["G"], "nothing": ["X"], "fit": ["not a key at all"]}')
    actions.load_keys()
    assert actions.keys_of("grid") == ("G",) and actions.keys_of("fit") == ("F",)
    (user_data.data_folder() / "keys.json").write_text("[1, 2")
    actions.load_keys()
    assert actions.keys_of("grid") == ("R",)
    table.close()
    pause(20)


def test_no_two_actions_share_a_key_and_every_menu_entry_has_its_letter(person):
    keys = [QKeySequence(key).toString() for row in actions.TABLE for key in row.keys]
    assert len(set(keys)) == len(keys)
    for menu in person.window.menuBar().actions():
        texts = [one.text() for one in menu.menu().actions() if one.text()]
        assert all("&" in text for text in texts)
        letters = [text[text.index("&") + 1].casefold() for text in texts]
        assert len(set(letters)) == len(letters)
    titles = [one.text() for one in person.window.menuBar().actions()]
    assert all("&" in text for text in titles)
    assert actions.with_letters(["Save", "Save as", "", "x", "xx"]) == ["&Save", "Save &as", "", "&x", "xx"]
