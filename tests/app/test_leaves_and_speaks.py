"""What leaves the window for the clipboard and for paper, what is said aloud, fingers on the bench, keys of actions."""

import numpy as np
import pypdfium2
import pytest
from PySide6.QtCore import QMimeData, QPoint, QUrl
from PySide6.QtGui import QGuiApplication, QImage, QPageLayout, QPageSize
from PySide6.QtPrintSupport import QPrinter
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication

from app.driver import pause, wait
from app.person import Person
from sketchloom.app import actions, theme
from sketchloom.app.hands import opening
from sketchloom.app.parts.announce import SPEAKER
from sketchloom.app.parts.help import HelpDialog
from sketchloom.app.stages.numbers import LAYERS
from sketchloom.app.work.printed import CHECK_MM, pages_of
from sketchloom.core.preflight.findings import STAGES

MM_PER_PT = 25.4 / 72


@pytest.fixture
def heard():
    said = []
    SPEAKER.spoken.connect(said.append)
    yield said
    SPEAKER.spoken.disconnect(said.append)


def test_what_is_chosen_done_and_come_out_is_said_aloud(lighthouse, heard):
    person = Person(lighthouse)
    person.stage("Layers")
    person.point(0.5, 0.45)
    assert "layer 3" in heard[-1]
    person.key_on(lighthouse.window.bench, "Delete")
    work = person.settled()
    wait(lambda: any(f"{len(work.layers)} layers" in said for said in heard), what="the result said")
    assert any("left out" in said.lower() for said in heard), "the step that was done"
    before = len(heard)
    lighthouse.window.notices.say("x", "trouble", "It failed.")
    assert heard[before:] == ["It failed."]


def test_the_cross_says_what_it_comes_to(lighthouse, heard):
    person = Person(lighthouse)
    person.stage("Clean")
    bench = lighthouse.window.bench
    bench.setFocus()
    for _ in range(12):
        person.key_on(bench, "Up")
    assert len({said for said in heard if "region" in said}) >= 2


def test_a_picture_of_the_work_comes_on_the_clipboard_at_its_true_size(lighthouse):
    lighthouse.key("Ctrl+Shift+C")
    wait(lambda: lighthouse.window.notices.text_of("copied"), what="what was copied")
    image = QGuiApplication.clipboard().image()
    width, height = lighthouse.work.size_mm
    assert image.width() == round(width * 300 / 25.4) and image.height() == round(height * 300 / 25.4)
    assert image.pixelColor(2, 2).alpha() == 0, "the ground is transparent"
    middle = image.pixelColor(image.width() // 2, round(image.height() * 0.45))
    assert middle.alpha() == 255 and middle.red() > middle.blue()


def printed(lighthouse, tmp_path, paper):
    path = tmp_path / "printed.pdf"
    printer = QPrinter(QPrinter.PrinterMode.HighResolution)
    printer.setOutputFormat(QPrinter.OutputFormat.PdfFormat)
    printer.setOutputFileName(str(path))
    printer.setPageSize(QPageSize(paper))
    printer.setPageOrientation(QPageLayout.Orientation.Portrait)
    lighthouse.window.keeping.print_on(printer)
    return pypdfium2.PdfDocument(str(path))


def test_it_is_printed_at_true_size(lighthouse, tmp_path):
    """Measured in the page as another library renders it: the work's width, and the line at the foot."""
    document = printed(lighthouse, tmp_path, QPageSize.PageSizeId.A4)
    assert len(document) == 1
    per_mm = 8
    image = document[0].render(scale=per_mm * MM_PER_PT).to_numpy()[..., :3]
    ink = (image < 200).any(axis=2)
    foot = image.shape[0] - 20 * per_mm
    columns = np.flatnonzero(ink[:foot].any(axis=0))
    covered = lighthouse.work.layers
    xs = np.concatenate([x.outline.controls[:, :, 0].ravel() for x in covered]) * lighthouse.work.mm_per_px
    assert (columns[-1] - columns[0] + 1) / per_mm == pytest.approx(xs.max() - xs.min(), abs=0.5)
    line = ink[foot:].sum(axis=1).argmax() + foot
    dark = np.flatnonzero(ink[line])
    # the longest run of ink is the line
    runs = np.split(dark, np.flatnonzero(np.diff(dark) > 1) + 1)
    assert max(len(run) for run in runs) / per_mm == pytest.approx(CHECK_MM, abs=0.5)
    words = document[0].get_textpage().get_text_range()
    assert "page 1 of 1" in words


def test_what_is_larger_than_the_paper_is_parted_and_nothing_is_lost(lighthouse, tmp_path):
    wanted = len(pages_of(lighthouse.work.size_mm, (105.0, 148.0)))
    assert wanted > 1 and len(printed(lighthouse, tmp_path, QPageSize.PageSizeId.A6)) == wanted
    for size, paper in (((300.0, 500.0), (210.0, 297.0)), ((190.0, 268.0), (210.0, 297.0)),
                        ((20.0, 900.0), (210.0, 297.0))):
        parts = pages_of(size, paper)
        seen = np.zeros((int(size[1]), int(size[0])), bool)
        for part in parts:
            assert part.width() <= paper[0] - 20 + 1e-9 and part.height() <= paper[1] - 29 + 1e-9
            seen[int(part.top()):int(np.ceil(part.bottom())), int(part.left()):int(np.ceil(part.right()))] = True
        assert seen.all()
    assert len(pages_of((190.0, 268.0), (210.0, 297.0))) == 1


def touched(part, device, *places):
    sequence = QTest.touchEvent(part, device, False)
    for kind, number, x, y in places:
        getattr(sequence, kind)(number, QPoint(x, y), part)
    sequence.commit()
    pause(10)


def test_two_fingers_zoom_and_pan_and_one_that_rests_asks_for_the_menu(lighthouse):
    person = Person(lighthouse)
    person.stage("Layers")
    bench, device = lighthouse.window.bench, QTest.createTouchDevice()
    scale = bench.view.scale
    touched(bench, device, ("press", 0, 300, 300))
    touched(bench, device, ("move", 0, 301, 300), ("press", 1, 400, 300))
    under = bench.view.to_mm(350, 300)
    for step in range(1, 8):
        touched(bench, device, ("move", 0, 300 - 10 * step, 300), ("move", 1, 400 + 10 * step, 300))
    touched(bench, device, ("release", 0, 230, 300), ("release", 1, 470, 300))
    assert 1.5 < bench.view.scale / scale < 4
    assert bench.view.to_mm(350, 300) == pytest.approx(under, abs=6), "what lay between the fingers stays there"
    assert not lighthouse.window.resting[LAYERS].chosen, "fingers that zoom choose nothing"
    bench.fit()
    x, y = person.at(0.5, 0.45).toTuple()
    touched(bench, device, ("press", 0, x, y))
    wait(lambda: lighthouse.window.menus.menu is not None, 5.0, "the menu")
    touched(bench, device, ("release", 0, x, y))
    lighthouse.window.menus.menu.close()
    assert lighthouse.window.resting[LAYERS].chosen


def test_a_folder_is_opened_as_works_of_their_own_or_one_after_another(driver, smaller, tmp_path):
    folder = tmp_path / "pictures"
    folder.mkdir()
    for name in range(opening._MOST_WINDOWS + 2):
        (folder / f"{name}.png").write_bytes(smaller("lighthouse").read_bytes())
    mime = QMimeData()
    mime.setUrls([QUrl.fromLocalFile(str(folder))])
    window = driver.window
    window.opening.open_offered(mime)
    driver.click("Works of their own")
    driver.settled()
    many = opening._MOST_WINDOWS + 2
    assert window.session.document.name == "0" and f"Work 1 of {many}" in window.notices.text_of("turns")
    driver.click("Next work")
    wait(lambda: window.session.document.name == "1", 20, "the next work")
    driver.settled()
    assert f"Work 2 of {many}" in window.notices.text_of("turns")
    driver.click("Work before")
    wait(lambda: window.session.document.name == "0", 20, "the work before")


def test_the_help_to_each_stage_has_its_panel_numbered(lighthouse):
    window = lighthouse.window
    window.show_stage(LAYERS)
    lighthouse.key("Ctrl+F1")
    dialog = next(one for one in QApplication.topLevelWidgets() if isinstance(one, HelpDialog))
    assert dialog.stages.choice.currentIndex() == LAYERS
    for number, stage in enumerate(STAGES):
        dialog.stages.choice.setCurrentIndex(number)
        text = dialog.stages.page.toPlainText()
        panel = window.panels[number]
        words = [words for part, words in panel.landmarks() if not part.isHidden()]
        assert panel.purpose() in text and len(words) >= 2 and all(one in text for one in words), stage
        found = dialog.stages.page.document().resource(2, QUrl("picture:panel"))
        assert isinstance(found, QImage) and found.width() > 200 and found.height() > 300
    dialog.close()


def test_the_look_changes_while_the_window_stands(lighthouse, monkeypatch):
    app, window = QApplication.instance(), lighthouse.window
    window.show_stage(LAYERS)
    before = window.grab().toImage()
    undo = window.bar.findChildren(type(window.panels[LAYERS].tools.search))[0].icon().pixmap(24, 24).toImage()
    monkeypatch.setenv(theme.SCHEME_VARIABLE, "dark")
    try:
        theme.follow(app)
        pause(60)
        dark = window.grab().toImage()
        corner = QPoint(3, dark.height() - 3)
        assert dark.pixelColor(corner).lightnessF() < 0.3 < before.pixelColor(corner).lightnessF()
        now = window.bar.findChildren(type(window.panels[LAYERS].tools.search))[0].icon().pixmap(24, 24).toImage()
        assert now != undo, "icons are drawn in the other ink"
    finally:
        monkeypatch.setenv(theme.SCHEME_VARIABLE, "light")
        theme.follow(app)
    pause(60)
    after = window.grab().toImage()
    assert after.pixelColor(3, after.height() - 3) == before.pixelColor(3, before.height() - 3)


@pytest.mark.parametrize("stage", range(len(STAGES)))
def test_every_action_is_done_by_its_keys(lighthouse, stage):
    """Each row of the table: by its own key, and all that have none by the letters of the menus."""
    window = lighthouse.window
    window.show_stage(stage)
    in_menus = {action for menu in window.menuBar().actions() for action in menu.menu().actions()}
    done = []
    for row in actions.TABLE:
        action = window.actions_by_name[row.name]
        if not action.isEnabled():
            continue
        keys = actions.keys_of(row.name)
        assert keys or action in in_menus, row.name
        # what it does is tried elsewhere; here it is asked whether the key comes to it
        action.blockSignals(False)
        handlers = action.receivers("2triggered(bool)")
        assert handlers, row.name
        action.triggered.disconnect()
        action.triggered.connect(lambda *_, name=row.name: done.append(name))
        for key in keys:
            done.clear()
            window.setFocus()
            QTest.keySequence(window, key)
            pause()
            assert done == [row.name], (row.name, key, done)
    letters = [menu.text() for menu in window.menuBar().actions()]
    assert all("&" in text for text in letters)
