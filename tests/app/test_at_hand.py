"""What is at hand everywhere: light and dark, keys for the pointer, readings as tiles, help that shows the way."""

import pytest
from PySide6.QtCore import QSettings, Qt
from PySide6.QtGui import QColor
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QTextBrowser

from app.driver import pause, wait
from app.person import Person
from app.test_clean import LEFT, RIGHT, STAR, night_file, share  # noqa: F401
from sketchloom.app import languages, theme
from sketchloom.app.parts.about import About, libraries
from sketchloom.app.parts.help import HelpDialog
from sketchloom.app.parts.keys_table import KeysTable
from sketchloom.app.parts.preferences import Preferences
from sketchloom.app.parts.tool_row import CHOOSE, SWEEP
from sketchloom.app.stages.numbers import CLEAN, LAYERS, SOURCE, TRACE
from sketchloom.desk.grounds import contrast

TEXT, EDGE = 4.5, 3.0
"""Contrast of text and of what can be used: WCAG 2.2, 1.4.3 and 1.4.11."""


@pytest.mark.parametrize("name", theme.SCHEMES)
def test_text_and_edges_are_seen_by_day_and_by_lamplight(name):
    colour = theme.SCHEMES[name]
    grounds = [colour[one] for one in ("LINEN", "LINEN_DEEP", "LINEN_LIGHT", "FIELD")]
    for ground in (*grounds, *(colour[one] for one in ("TROUBLE", "DONE", "ASK", "CHOSEN"))):
        assert contrast(colour["INK"], ground) >= TEXT
    for ground in grounds:
        assert contrast(colour["INK_SOFT"], ground) >= TEXT
        for dye in ("MADDER", "WOAD", "WELD", "MOSS"):
            assert contrast(colour[dye], ground) >= EDGE, (dye, ground)
        assert contrast(colour["EDGE"], ground) >= EDGE
    assert contrast(colour["WOAD"], colour["LINEN_LIGHT"]) >= TEXT  # links
    for ground in ("WOAD", "WOAD_HOVER"):
        assert contrast(colour["ON_WOAD"], colour[ground]) >= TEXT
    assert set(colour) == set(theme.SCHEMES["light"])


def test_the_window_is_dark_where_that_is_wanted(driver, monkeypatch):
    app = QApplication.instance()
    monkeypatch.setenv(theme.SCHEME_VARIABLE, "dark")
    try:
        theme.apply(app)
        assert theme.scheme == "dark" and theme.SCHEMES["dark"]["INK"] == theme.INK
        pause(50)
        image = driver.window.grab().toImage()
        corner = image.pixelColor(3, image.height() - 3)
        assert corner.lightnessF() < 0.3
        # pictures that the sheet names are there in both
        for name in ("chevron-down", "chevron-up", "tick"):
            assert theme.icon(f"{name}-lamp").availableSizes()
    finally:
        monkeypatch.setenv(theme.SCHEME_VARIABLE, "light")
        theme.apply(app)
    assert theme.scheme == "light"
    monkeypatch.delenv(theme.SCHEME_VARIABLE)
    QSettings().setValue(theme.SCHEME_KEY, "dark")
    assert theme.wanted_scheme(app) == "dark"
    QSettings().setValue(theme.SCHEME_KEY, "plaid")
    assert theme.wanted_scheme(app) in theme.SCHEMES


def test_the_ground_is_that_on_which_the_work_is_seen(driver, smaller):
    driver.open(smaller("kingfisher", 0.4))  # ink alone
    bench = driver.window.bench
    assert bench.ground == "auto" and bench.fitting_ground == "light"
    place = bench.rect().bottomRight() - bench.rect().topLeft()
    seen = bench.grab().toImage().pixelColor(place.x() - 3, place.y() - 3)
    assert seen == QColor(theme.GROUNDS["light"])
    driver.key("B")
    assert bench.ground == "middle"  # a ground that was chosen stays
    assert bench.grab().toImage().pixelColor(place.x() - 3, place.y() - 3) == QColor(theme.GROUNDS["middle"])


def test_a_cross_does_by_keys_what_a_pointer_does(driver, night_file):  # noqa: F811
    driver.open(night_file)
    window, bench = driver.window, driver.window.bench
    window.show_stage(CLEAN)
    pause(20)
    bench.setFocus()

    def go_to(place):
        QTest.keyClick(bench, Qt.Key.Key_Left)  # the cross comes up
        width, height = driver.work.size_mm
        x, y = share(place)
        QTest.keyClick(bench, Qt.Key.Key_2)
        assert bench.cross.field.isVisible()
        bench.cross.field.setText(f"{x * width:.2f}, {y * height:.2f}")
        QTest.keyClick(bench.cross.field, Qt.Key.Key_Return)
        assert bench.hasFocus() and not bench.cross.field.isVisible()
    go_to(STAR)
    QTest.keyClick(bench, Qt.Key.Key_Space)
    assert [one.kind for one in window.choosing.chosen] == ["region"]
    go_to(LEFT)
    QTest.keyClick(bench, Qt.Key.Key_Space, Qt.KeyboardModifier.ShiftModifier)
    assert len(window.choosing.chosen) == 2
    QTest.keyClick(bench, Qt.Key.Key_Delete)
    driver.settled()
    assert len(driver.session.document.recipe.edits) == 2
    # an arrow moves it by 8 px of the screen, with Shift by 1 mm of the work
    before = bench.cross.at
    QTest.keyClick(bench, Qt.Key.Key_Right)
    assert bench.cross.at.x() - before.x() == pytest.approx(8.0)
    before = bench.cross.at
    QTest.keyClick(bench, Qt.Key.Key_Down, Qt.KeyboardModifier.ShiftModifier)
    assert bench.cross.at.y() - before.y() == pytest.approx(bench.view.scale)
    # held down from Ctrl+Space to Space it draws a box
    QTest.keyClick(bench, Qt.Key.Key_Escape)
    assert not window.choosing.chosen
    go_to((30, 120))
    QTest.keyClick(bench, Qt.Key.Key_Space, Qt.KeyboardModifier.ControlModifier)
    go_to((285, 215))
    QTest.keyClick(bench, Qt.Key.Key_Space)
    planar = driver.work.traced.planar
    faces = {planar.faces[y, x] for x, y in (RIGHT, (150, 150))}
    assert faces <= {one.number for one in window.choosing.chosen}
    # what is no place stays in its field; the pointer takes the cross away
    QTest.keyClick(bench, Qt.Key.Key_3)
    bench.cross.field.setText("three, four")
    QTest.keyClick(bench.cross.field, Qt.Key.Key_Return)
    assert bench.cross.field.isVisible()
    QTest.keyClick(bench.cross.field, Qt.Key.Key_Escape)
    QTest.mouseClick(bench, Qt.MouseButton.LeftButton, pos=Person(driver).at(*share(STAR)))
    assert bench.cross.at is None


def test_the_cross_stays_on_the_bench_and_moves_the_work_under_it(lighthouse):
    window, bench = lighthouse.window, lighthouse.window.bench
    window.show_stage(CLEAN)
    window.clean_tools.take(SWEEP)
    bench.setFocus()
    x = bench.view.x
    for _ in range(160):
        QTest.keyClick(bench, Qt.Key.Key_Left)
    assert bench.rect().contains(bench.cross.at.toPoint()) and bench.view.x > x
    # where no tool is held the arrows move the view, as ever
    window.clean_tools.take(CHOOSE)
    window.show_stage(SOURCE)
    before = bench.view.x
    QTest.keyClick(bench, Qt.Key.Key_Left)
    assert bench.view.x != before


def test_readings_are_tiles_with_the_work_read_each_way(lighthouse):
    person, panel = Person(lighthouse), lighthouse.window.panels[TRACE]
    person.stage("Trace")
    tiles = panel.readings.tiles
    wait(lambda: not any(tile.icon().isNull() for tile in tiles.values()), 60, "the pictures")
    assert panel.readings.auto.isChecked() and tiles["colour"].isChecked() and "Colour" in panel.readings.said.text()
    images = {key: tile.icon().pixmap(60, 46).toImage() for key, tile in tiles.items()}
    assert images["colour"] != images["tone"] != images["line"]
    person.press(tiles["tone"])
    work = person.settled()
    assert work.reading == "tone" and not panel.readings.auto.isChecked() and tiles["tone"].isChecked()
    person.press(panel.readings.auto)
    assert person.settled().reading == "colour" and panel.readings.auto.isChecked()


def test_tiles_never_show_another_work_than_the_open_one(lighthouse, night_file):  # noqa: F811
    tiles = lighthouse.window.panels[TRACE].readings.tiles.values()
    Person(lighthouse).stage("Trace")
    wait(lambda: not any(tile.icon().isNull() for tile in tiles), 60, "the pictures")
    before = lighthouse.session.document
    lighthouse.session.aside.request = lambda *_: None  # what is worked out beside it takes its time
    lighthouse.session.open_path(night_file)
    wait(lambda: lighthouse.session.document is not before, what="opening it")
    assert all(tile.icon().isNull() for tile in tiles)


def test_a_layers_row_unfolds_in_place(lighthouse):
    person, panel = Person(lighthouse), lighthouse.window.panels[LAYERS]
    person.stage("Layers")
    listing = panel._list
    person.row(listing, 1)
    pause(30)
    assert panel.chosen.isVisible() and panel.chosen.parentWidget() is listing.viewport()
    row = listing.visualItemRect(listing.item(1))
    assert row.contains(panel.chosen.geometry().center())
    assert panel.chosen.geometry().bottom() <= row.bottom() and panel.chosen.width() > 200
    # the row after it follows below, and no row is hidden
    assert listing.visualItemRect(listing.item(2)).top() >= panel.chosen.geometry().bottom()
    last = listing.visualItemRect(listing.item(listing.count() - 1))
    assert last.bottom() <= listing.viewport().height()
    person.row(listing, 2)
    pause(30)
    assert listing.visualItemRect(listing.item(2)).contains(panel.chosen.geometry().center())
    name = person.recipe.edit_of(listing.current_key())
    person.press(panel.chosen._lock)
    person.settled()
    assert person.recipe.edit_of(listing.current_key()).locked and not name.locked


def test_the_first_job_is_lit_up_step_by_step(driver):
    person, window = Person(driver), driver.window
    tour = window.touring
    driver.window.actions_by_name["tour"].trigger()
    wait(lambda: tour.at == 0, 60, "the first step")
    person.settled()
    field = window.panels[SOURCE].width_field
    wait(lambda: tour._spot.isVisible(), 10, "the ring")
    assert tour._spot.geometry().contains(field.mapTo(window, field.rect().center()))
    person.type(field, "90 mm")
    wait(lambda: tour.at == 1, 10, "the next step")
    person.settled()
    person.press(window.splitter.next.button)
    wait(lambda: tour.at == 2 and window.stage == TRACE, 10, "the third step")
    for at in (3, 4):
        person.press(tour.card.on)
        wait(lambda at=at: tour.at == at, 10, "a step that is skipped")
    person.settled()
    wait(lambda: window.stage == CLEAN, 10, "Clean")
    person.point(0.5, 0.45)
    wait(lambda: tour.at == 5, 10, "something chosen")
    person.click("Drop", window.choosing.strip)
    wait(lambda: tour.at == 6, 10, "something decided")
    person.press(tour.card.end)
    assert tour.at == -1 and tour.card.isHidden() and tour._spot.isHidden()
    assert len(tour.steps()) == 10


def test_words_are_explained_and_found(lighthouse):
    lighthouse.window.actions_by_name["glossary"].trigger()
    dialog = next(one for one in QApplication.topLevelWidgets() if isinstance(one, HelpDialog))
    page = next(one for one in dialog.findChildren(QTextBrowser) if one.isVisible())
    assert "Kerf" in page.toPlainText() and "Weeding" in page.toPlainText()
    field = next(one for one in dialog.findChildren(type(lighthouse.window.panels[SOURCE].width_field).__base__)
                 if one.isVisible())
    QTest.keyClicks(field, "kerf")
    assert page.toPlainText().startswith("Kerf") and "Weeding" not in page.toPlainText()
    dialog.close()


def test_what_is_preferred_is_kept(lighthouse, monkeypatch):
    monkeypatch.delenv(languages.LANGUAGE, raising=False)
    monkeypatch.delenv(theme.SCHEME_VARIABLE, raising=False)
    dialog = Preferences(lighthouse.window)
    for part, value in ((dialog.look, "dark"), (dialog.language, "de"), (dialog.unit, "in")):
        part.setCurrentIndex(part.findData(value))
        part.activated.emit(part.currentIndex())
    assert "Kept" in dialog.said.text()
    dialog.close()
    assert theme.wanted_scheme(QApplication.instance()) == "dark" and languages.asked()[0] == "de"
    assert Preferences().look.currentData() == "dark"
    before = lighthouse.session.document.recipe
    lighthouse.open(lighthouse.session.origin)
    assert before.unit == "mm" and lighthouse.session.document.recipe.unit == "in"


def test_what_it_stands_on_is_named_with_its_licence():
    found = {name.casefold(): licence for name, _, licence in libraries()}
    assert {"numpy", "scipy", "shapely"} <= set(found)
    assert "BSD" in found["numpy"] and all(len(licence) < 200 for licence in found.values())
    assert sum(licence != "–" for licence in found.values()) >= 0.8 * len(found)
    dialog = About()
    assert dialog.windowTitle()
    dialog.close()


@pytest.mark.parametrize(("name", "kind"), [("preferences", Preferences), ("about", About), ("keys", KeysTable),
                                            ("help", HelpDialog), ("glossary", HelpDialog)])
def test_what_the_menus_open_comes_up(lighthouse, name, kind):
    lighthouse.window.actions_by_name[name].trigger()
    pause(20)
    dialog = next(one for one in QApplication.topLevelWidgets() if isinstance(one, kind) and one.isVisible())
    assert dialog.parentWidget() is lighthouse.window
    dialog.close()
    pause(20)
