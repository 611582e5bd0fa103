"""The window on small screens, at small and large text, with its panel folded and drawn wide."""

import pytest
from PySide6.QtCore import QEvent, QObject, QSettings
from PySide6.QtWidgets import QApplication, QPushButton, QToolButton

from app.driver import pause, wait
from app.known import knowing_driver
from sketchloom.app import theme
from sketchloom.app.window import Window

LEAST = (1024, 640)
"""Logical pixels of a small laptop at twice the scale."""


@pytest.fixture(params=[9.0, 16.0])
def at_text_size(request, monkeypatch, smaller):
    app = QApplication.instance()

    def take(points):
        monkeypatch.setenv(theme.FONT_VARIABLE, str(points))
        app.setProperty("themed", None)
        theme.apply(app)
    if app is None:
        pytest.skip("no application yet")
    take(request.param)
    driver = knowing_driver()
    driver.window.resize(*LEAST)
    driver.open(smaller("lighthouse"))
    yield driver
    driver.close()
    take(theme.USUAL_PT)


def test_everything_has_room_at_any_size_of_text(lighthouse, at_text_size):
    window = at_text_size.window
    for stage in range(5):
        window.show_stage(stage)
        pause(30)
        assert (window.width(), window.height()) == LEAST
        assert window.minimumSizeHint().width() <= LEAST[0] and window.minimumSizeHint().height() <= LEAST[1]
        panel = window.panels[stage]
        assert panel.widget().minimumSizeHint().width() <= panel.viewport().width()
        edge = panel.mapTo(window, panel.rect().topRight()).x()
        assert edge <= LEAST[0], "the panel is cut off at the right"
        assert window.bench.width() >= 200
    shown = [b for b in window.bar.findChildren(QToolButton) if b.isVisible()]
    assert shown and all(b.geometry().right() <= window.bar.width() for b in shown)
    assert all(not a.geometry().intersects(b.geometry()) for n, a in enumerate(shown) for b in shown[:n])


def test_the_logbook_has_room_at_any_size_of_text(at_text_size, monkeypatch, tmp_path):
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path / "data"))
    window, page = at_text_size.window, at_text_size.window.logging.page
    window.show_logbook()
    for key in ("jobs", "tests", "stock", "batches", "blades"):
        page.which.chosen.emit(key)
        pause(30)
        assert (window.width(), window.height()) == LEAST
        least = page.layout().minimumSize()
        assert least.width() <= page.width() and least.height() <= page.height(), key
        assert page.side.widget().minimumSizeHint().width() <= page.side.viewport().width(), key


class Shown(QObject):
    """Parts that were shown."""

    def __init__(self):
        super().__init__()
        self.names = []

    def eventFilter(self, watched, event):
        if event.type() == QEvent.Type.Show:
            self.names.append(type(watched).__name__)
        return False


def test_nothing_flashes_up_while_a_window_is_built(lighthouse):
    seen = Shown()
    QApplication.instance().installEventFilter(seen)
    window = Window()
    QApplication.instance().removeEventFilter(seen)
    assert seen.names == []
    window.close()


def test_the_panel_has_room_for_a_stage_before_it_is_seen(lighthouse):
    window = lighthouse.window
    window.show_stage(0)
    wide = window.splitter.panel.minimumWidth()
    window.panels[3].add(QPushButton("A very wide word that nobody has thought of before now. " * 2))
    wait(lambda: window.splitter.panel.minimumWidth() > wide)
    assert window.splitter.panel.minimumWidth() >= window.panels[3].widget().minimumSizeHint().width()


def test_measures_follow_the_text(lighthouse):
    assert theme.px(theme.DESIGN_PX) == theme.DESIGN_PX == QApplication.font().pixelSize()
    assert theme.text_px(1) == 10


def test_the_panel_is_folded_away_and_comes_back_as_wide_as_it_was(lighthouse):
    window = lighthouse.window
    least = window.splitter.panel.minimumWidth()
    window.splitter.setSizes([600, least + 120])
    pause(10)
    wide = window.settings.width()
    assert wide > least
    bench = window.bench.width()
    lighthouse.key("F8")
    assert window.splitter.sizes()[1] == 0 and window.bench.width() > bench
    lighthouse.key("F8")
    pause(10)
    assert window.settings.width() == wide and window.bench.width() == bench
    window.close()
    assert int(QSettings().value("panel")) == wide


def test_a_wide_bar_has_all_its_buttons(lighthouse):
    bar = lighthouse.window.bar
    assert all(b.isVisible() for b in bar.findChildren(QToolButton))
    lighthouse.window.splitter.setSizes([260, 900])
    pause(10)
    hidden = [b for b in bar.findChildren(QToolButton) if not b.isVisible()]
    assert (bar.width() < 400) == bool(hidden)


@pytest.mark.parametrize("turn", [1, 2])
def test_a_window_of_a_test_is_not_that_of_the_one_before(driver, lighthouse, turn):
    """The second of these has the panel as it comes, though the first left it wider."""
    window = driver.window
    usual = window.splitter.sizes()[1]
    assert usual < 400
    window.splitter.setSizes([1280 - 600, 600])
    window.splitter.keep(window)
