"""A record of the logbook as a form: rows of words and fields made from its settings, to be kept or changed."""

from dataclasses import MISSING, fields, replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QDoubleSpinBox, QHBoxLayout, QLineEdit, QSpinBox, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.words import named, told
from sketchloom.core.base import setting as settings
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.setting import settings_of

MM2_PER_M2 = 1e6
_IN_M2 = ("least",)
"""Areas, which people say in square metres."""
_FIELD_PX, _NARROW_PX = 168, 110


def names_of(kind, field):
    return next(one for one in settings_of(kind) if one.name == field).names


def form(parent, *parts):
    """Rows below each other: a widget, words and a widget, or widgets beside each other where text leaves room."""
    column = QVBoxLayout(parent)
    column.setContentsMargins(0, 0, 0, 0)
    column.setSpacing(8)
    for part in parts:
        if isinstance(part, tuple):
            row = QVBoxLayout() if theme.is_large() and not isinstance(part[0], str) else QHBoxLayout()
            if isinstance(part[0], str):
                row.addWidget(label(part[0]), 1)
                part[1].setAccessibleName(part[0])
                part[1].setFixedWidth(theme.px(_FIELD_PX if not theme.is_large() else _NARROW_PX))
                row.addWidget(part[1])
            else:
                for one in part:
                    row.addWidget(one)
            column.addLayout(row)
        else:
            column.addWidget(part)
    column.addStretch(1)


class RecordForm(QWidget):
    """Fields for some settings of a kind. ``kept``: one more of it; ``changed``: the chosen one as the fields say."""

    kept = Signal(object)
    changed = Signal(object)

    def __init__(self, kind, names, title: str, keep: str):
        super().__init__()
        self._kind, self._unit, self._one = kind, "mm", None
        its = {one.name: one for one in settings_of(kind)}
        self._settings = [its[name] for name in names]
        self._mm = {}
        self.fields = {one.name: self._field(one) for one in self._settings}
        self.keep = button(keep, "plus")
        self.keep.clicked.connect(self._take)
        self.change = button(self.tr("Change the chosen one"), "circle-check")
        self.change.clicked.connect(self._change)
        self.change.setEnabled(False)
        self._said = label("", "trouble")
        self._said.hide()
        self.look = self._look()
        form(self, self.look, label(title, "section"),
             *((self._words(one), self.fields[one.name]) for one in self._settings),
             self._said, self.keep, self.change)

    def _look(self) -> QWidget:
        """What shows how the chosen one looks; nothing here."""
        made = QWidget()
        made.hide()
        return made

    @staticmethod
    def _words(one):
        return told(one.label).removesuffix(", mm²")

    def _field(self, one):
        name, value = one.name, one.default
        if one.kind == settings.CHOICE:
            part = QComboBox()
            for choice, words in zip(one.choices, one.names or one.choices, strict=True):
                part.addItem(told(words), choice)
            part.setCurrentIndex(max(part.findData(value), 0))
        elif one.kind == settings.LENGTH:
            part = LengthEdit(told(one.label), one.least, one.most)
            self._mm[name] = value or _USUAL_MM.get(name, one.least)
            part.committed.connect(lambda mm, n=name: self._mm.update({n: mm}))
            part.show_value(self._mm[name], self._unit)
        elif one.kind == settings.WHOLE:
            part = QSpinBox()
            part.setRange(int(one.least), int(min(one.most, 1_000_000)))
            part.setValue(value or 0)
        elif one.kind == settings.NUMBER:
            part = QDoubleSpinBox()
            part.setRange(one.least, one.most)
            part.setDecimals(2)
            part.setValue(value or 0.0)
            part.setSuffix(" m²" if name in _IN_M2 else "")
        else:
            part = QLineEdit()
            part.setMaxLength(int(one.most))
            if name in ("at", "since"):
                part.setPlaceholderText("2026-11-30")
            elif name == "hex":
                part.setPlaceholderText("#9c3a30")
        part.setMinimumHeight(theme.px(28))
        return part

    def show_unit(self, unit: str) -> None:
        """Lengths in another unit."""
        self._unit = unit
        for name, mm in self._mm.items():
            self.fields[name].show_value(mm, unit)

    def show_one(self, one) -> None:
        """What is chosen, to be changed; None leaves the fields as they are."""
        self._one = one
        self.change.setEnabled(one is not None)
        self._said.hide()
        if one is None:
            return
        for its in self._settings:
            part, value = self.fields[its.name], getattr(one, its.name)
            if its.kind == settings.CHOICE:
                part.setCurrentIndex(part.findData(value))
            elif its.kind == settings.LENGTH:
                self._mm[its.name] = value
                part.show_value(value, self._unit)
            elif its.kind in (settings.WHOLE, settings.NUMBER):
                part.setValue(value / MM2_PER_M2 if its.name in _IN_M2 else value)
            else:
                part.setText(named(value) if its.name != "hex" else value)

    def _values(self):
        made = {}
        for its in self._settings:
            part = self.fields[its.name]
            if its.kind == settings.CHOICE:
                made[its.name] = part.currentData()
            elif its.kind == settings.LENGTH:
                made[its.name] = self._mm[its.name]
            elif its.kind in (settings.WHOLE, settings.NUMBER):
                made[its.name] = part.value() * (MM2_PER_M2 if its.name in _IN_M2 else 1)
            else:
                text = part.text().strip()
                # a shipped name is told in the language of the window, and kept as it is
                old = "" if self._one is None else getattr(self._one, its.name)
                made[its.name] = old if old and text == named(old) else text
        return made

    def _made(self, make):
        needed = [f.name for f in fields(self._kind) if f.default is MISSING]
        values = self._values()
        self._said.hide()
        try:
            empty = next((n for n in needed if values.get(n) == ""), None)
            if empty is not None:
                self.fields[empty].setFocus()
                raise SettingError(empty, self.tr("a name"), "")
            return make(values)
        except SettingError as error:
            its = next((one for one in self._settings if one.name == error.field.rpartition(".")[2]), None)
            self._said.setText(self.tr("{0} must be {1}.").format("" if its is None else self._words(its),
                                                                 told(error.expected)))
            self._said.show()
            return None

    def _take(self):
        made = self._made(lambda values: self._kind(**values))
        if made is not None:
            self.kept.emit(made)

    def _change(self):
        made = None if self._one is None else self._made(lambda values: replace(self._one, **values))
        if made is not None:
            self.changed.emit(made)


_USUAL_MM = {"width_mm": 300.0, "height_mm": 500.0}
"""What a field begins with where nothing is chosen."""
