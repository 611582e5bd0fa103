"""The window in another language: nothing shown is left in English, and the shipped catalogue is whole."""

import json
import re
import subprocess
import sys
from pathlib import Path

import pytest
from defusedxml import ElementTree
from PySide6.QtCore import QAbstractListModel, QModelIndex, Qt
from PySide6.QtGui import QFontDatabase
from PySide6.QtWidgets import (
    QAbstractButton,
    QAbstractItemView,
    QComboBox,
    QGroupBox,
    QLabel,
    QLineEdit,
    QWidget,
)

from app.known import knowing_driver
from sketchloom.app import languages, start
from sketchloom.app.parts.help import HelpDialog
from sketchloom.app.parts.materials_table import MaterialsTable
from sketchloom.app.window import Window

ROOT = Path(__file__).resolve().parents[2]
NOT_ENGLISH = [language for language in languages.shipped() if language != languages.ENGLISH]


class Marked(dict):
    """A catalogue that marks each sentence it is asked for."""

    def __bool__(self):
        return True

    def get(self, source, default=None):
        lead = source[: len(source) - len(source.lstrip())]
        return f"{lead}⟦{source.strip()}⟧{source[len(source.rstrip()):]}" if re.search("[A-Za-z]", source) else source


@pytest.fixture
def marked():
    catalogue = languages.Catalogue(Marked())
    app = start.application()
    app.installTranslator(catalogue)
    yield
    app.removeTranslator(catalogue)


def texts_of(root):
    """Every text a widget and those within it show or say, with where it is."""
    for widget in [root, *root.findChildren(QWidget)]:
        where = f"{type(widget).__name__} {widget.objectName()}"
        yield where, widget.toolTip()
        yield where, widget.accessibleName()
        yield where, widget.windowTitle()
        if isinstance(widget, (QLabel, QAbstractButton)):
            yield where, widget.text()
        if isinstance(widget, QGroupBox):
            yield where, widget.title()
        if isinstance(widget, QLineEdit):
            yield where, widget.placeholderText()
        if isinstance(widget, QComboBox):
            yield from ((where, widget.itemText(n)) for n in range(widget.count()))
        if isinstance(widget, QAbstractItemView) and widget.model() is not None:
            model, top = widget.model(), QModelIndex()
            columns = range(1 if isinstance(model, QAbstractListModel) else model.columnCount(top))
            yield from ((where, str(model.headerData(x, Qt.Orientation.Horizontal) or "")) for x in columns)
            cells = (model.index(y, x) for y in range(model.rowCount(top)) for x in columns)
            yield from ((where, str(cell.data() or "")) for cell in cells)
        for action in widget.actions():
            yield where, action.text()
            yield where, action.toolTip()


KEYS = re.compile(r"\b(Ctrl|Shift|Alt|F\d+|Esc|mm|cm|in|px|MP|MB|dpi|SVG|PNG|JPEG|PDF|DXF|ZIP|HEIC|[A-Z])\b")


def left_in_english(root, names=()):
    found = set()
    for where, text in texts_of(root):
        bare = re.sub(r"<[^>]*>", " ", text)
        while "⟦" in bare:
            shorter = re.sub(r"⟦[^⟦⟧]*⟧", " ", bare)
            if shorter == bare:
                break
            bare = shorter
        bare = re.sub(r"&\w+;|#[0-9a-f]{6}", " ", bare)
        for name in names:
            bare = bare.replace(name, " ")
        if re.search(r"[A-Za-z]{3,}", KEYS.sub(" ", bare)):
            found.add((where, text))
    return sorted(found)


def names_in_the_work(driver):
    """What the picture and its sheets are called: data, in whatever language they were named."""
    work = driver.session.work
    data = json.loads((ROOT / "src/sketchloom/data/layer_words.json").read_text(encoding="utf-8"))
    words = {part for line in texts_within(data) for part in line.split()}
    names = {layer.plan.name for layer in work.layers} | {driver.session.document.name, "Sketch Loom"} | words
    return sorted(names | {driver.session.document._source_name}, key=len, reverse=True)


def texts_within(data):
    if isinstance(data, str):
        yield data
    elif isinstance(data, (dict, list)):
        for one in [*data, *data.values()] if isinstance(data, dict) else data:
            yield from texts_within(one)


def without_fonts(found):
    families = QFontDatabase.families()
    return [(where, text) for where, text in found if not any(text.startswith(family) for family in families)]


@pytest.mark.parametrize("key", ["lighthouse", "pen"])
def test_nothing_in_the_window_is_left_in_english(marked, driver, smaller, key):
    assert not left_in_english(driver.window, ["Sketch Loom"])
    driver.open(smaller(key))
    for stage in range(1, 6):
        driver.key(f"Alt+{stage}")
        driver.settled()
        assert not without_fonts(left_in_english(driver.window, names_in_the_work(driver))), f"stage {stage}"


def test_dialogs_are_said_in_the_language_of_the_window(marked, driver):
    for dialog in (HelpDialog(driver.window), MaterialsTable(driver.window)):
        assert not left_in_english(dialog, ["Sketch Loom"])
        dialog.close()


def messages(path):
    found = {}
    for message in ElementTree.parse(path).iter("message"):
        found[message.findtext("source")] = message.find("translation")
    return found


@pytest.mark.parametrize("language", NOT_ENGLISH)
def test_each_sentence_of_the_code_is_in_the_catalogue(tmp_path, language):
    """The catalogue's own tool finds in the code what the shipped file has, no more and no less."""
    tool = Path(sys.executable).with_name("pyside6-lupdate")
    sources = [str(path) for path in sorted((ROOT / "src").rglob("*.py"))]
    made = tmp_path / "now.ts"
    subprocess.run([tool, "-tr-function-alias", "tr+=said", *sources, "-ts", made], check=True, capture_output=True)
    shipped = messages(ROOT / f"src/sketchloom/data/languages/sketchloom_{language}.ts")
    assert set(messages(made)) == set(shipped)
    assert all(found.text and found.get("type") is None for found in shipped.values())


@pytest.mark.parametrize("language", NOT_ENGLISH)
def test_a_translation_has_the_figures_and_marks_of_its_sentence(language):
    def parts(text):
        edges = len(text) - len(text.lstrip()), len(text) - len(text.rstrip())
        return sorted(re.findall(r"\{[^{}]*\}", text)), sorted(re.findall(r"</?\w+", text)), edges

    for source, translation in languages.read(language).items():
        assert parts(source) == parts(translation), source


def test_the_language_is_the_systems_or_the_one_asked_for(monkeypatch):
    monkeypatch.setenv(languages.LANGUAGE, "de_AT")
    assert languages.wanted() == "de"
    monkeypatch.setenv(languages.LANGUAGE, "xx")  # not there: the system's, which in tests is none
    assert languages.wanted() in languages.shipped()


def test_the_window_opens_in_german(driver):
    app = start.application()
    catalogue = languages.Catalogue(languages.read("de"))
    app.installTranslator(catalogue)
    try:
        window = Window()
        titles = {action.text().replace("&", "") for action in window.menuBar().actions()}
        assert titles >= {"Datei", "Bearbeiten", "Ansicht", "Hilfe"}
        window.close()
    finally:
        app.removeTranslator(catalogue)


@pytest.mark.parametrize("language", languages.shipped())
def test_nothing_in_a_panel_is_cut_off_at_its_side(language, smaller):
    app = start.application()
    catalogue = languages.Catalogue({} if language == languages.ENGLISH else languages.read(language))
    app.installTranslator(catalogue)
    driver = knowing_driver()
    try:
        for key in ("lighthouse", "pen"):
            driver.open(smaller(key))
            for number, panel in enumerate(driver.window.panels):
                driver.key(f"Alt+{number + 1}")
                driver.settled()
                assert panel.widget().width() <= panel.viewport().width(), (language, key, number)
        for stage in driver.window.rail.buttons:
            assert stage.fontMetrics().horizontalAdvance(stage.text()) + 8 <= stage.width()
    finally:
        driver.close()
        app.removeTranslator(catalogue)
