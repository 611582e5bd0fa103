"""The window in another language: nothing shown is left in English, and the shipped catalogue is whole."""

import re
import subprocess
import sys
from pathlib import Path

import pytest
from PySide6.QtCore import Qt
from PySide6.QtWidgets import (
    QAbstractButton,
    QAbstractItemView,
    QApplication,
    QComboBox,
    QGroupBox,
    QLabel,
    QLineEdit,
    QWidget,
)

from sketchloom.app import languages

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
    app = QApplication.instance()
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
            model = widget.model()
            yield from ((where, str(model.headerData(n, Qt.Orientation.Horizontal) or ""))
                        for n in range(model.columnCount()))
            yield from ((where, str(model.index(y, x).data() or ""))
                        for y in range(model.rowCount()) for x in range(model.columnCount()))
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
