"""Smallest detail, what it costs, and double outlines."""

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QCheckBox, QComboBox, QListWidget, QListWidgetItem

from sketchloom.app import theme
from sketchloom.app.parts.fields import LengthEdit, NamedSlider
from sketchloom.app.parts.widgets import button, counted, label, swatch
from sketchloom.app.stages.box import Box
from sketchloom.app.words import named
from sketchloom.core.base.units import format_length
from sketchloom.core.sheets.material import SMALLEST_DEFAULT_MM, SMALLEST_FLOOR_MM
from sketchloom.desk import figures
from sketchloom.files import user_data
from sketchloom.recipe.sections import MAX_DETAIL_MM

_DETAILS_MM = (0.0, 0.3, 0.5, 0.8, 1.0, 1.5, 2.0, 3.0, 4.0, 5.0, 8.0, 12.0)
_LISTED = 200


class DetailBox(Box):
    """The smallest detail from a rule or typed, and the list of what it lost."""

    show_small = Signal(bool)
    place_wanted = Signal(float, float)

    def __init__(self):
        super().__init__()
        self._detail = NamedSlider(self.tr("Smallest detail kept"), 0, len(_DETAILS_MM) - 1)
        self._detail.moved.connect(
            lambda i: self.emit(self.tr("smallest detail"), "smallest", smallest_mm=_DETAILS_MM[i])
        )
        self._edit = LengthEdit(self.tr("Smallest detail"), 0.01, MAX_DETAIL_MM)
        self._edit.committed.connect(lambda mm: self.emit(self.tr("smallest detail"), smallest_mm=mm))
        self._detail.put_beside_name(self._edit)
        self._rule = QComboBox()
        self._rule.setAccessibleName(self.tr("Smallest detail by material"))
        self._rule.setToolTip(self.tr("A start, not a promise: a test cut on the very sheet decides."))
        self._fill_rules()
        self._rule.activated.connect(self._take_rule)
        self._rings = button("", "target", self.tr("Ring on the bench what went to a neighbour"), checkable=True)
        self._rings.toggled.connect(self.show_small)
        self._list = QListWidget()
        self._list.setAccessibleName(self.tr("Details lost, largest first"))
        self._list.setFixedHeight(theme.px(112))
        self._list.setSelectionMode(QListWidget.SelectionMode.ExtendedSelection)
        self._list.currentRowChanged.connect(self._go)
        self._list.itemSelectionChanged.connect(self._enable)
        self._back = button(self.tr("Bring back"), "restore", self.tr("Keep the chosen details though they are small"))
        self._back.clicked.connect(self._bring_back)
        self._from = button(
            self.tr("All from its size"), "", self.tr("Keep everything as large as the chosen detail or larger")
        )
        self._from.clicked.connect(self._bring_by_size)
        self._forget = button("", "", self.tr("Let the details that were brought back go again"))
        self._forget.clicked.connect(lambda: self.emit(self.tr("details brought back"), kept=()))
        self.add(self._detail, self._rule, self._rings, self._list, (self._back, self._from), self._forget)
        self._lost = ()

    def ring(self) -> None:
        """Ring what was dropped on the bench."""
        self._rings.setChecked(True)

    def _fill_rules(self):
        """What the materials of the user's table bear, between the floor and the common default of the trade."""
        self._rule.clear()
        self._rule.addItem(self.tr("Take it from a material…"), None)
        bears = [(named(material.name), material.smallest_mm) for material in user_data.materials()]
        for name, mm in ((self.tr("Floor of the trade"), SMALLEST_FLOOR_MM), *bears,
                         (self.tr("Common default of the trade"), SMALLEST_DEFAULT_MM)):
            self._rule.addItem(f"{name}: {format_length(mm, 'mm')}", mm)

    def showEvent(self, event):
        super().showEvent(event)
        self._fill_rules()  # the table may have been changed since

    def _take_rule(self, index):
        mm = self._rule.itemData(index)
        self._rule.setCurrentIndex(0)
        if mm is not None:
            self.emit(self.tr("smallest detail of a material"), smallest_mm=mm)

    def show_work(self, work) -> None:
        super().show_work(work)
        mm = work.recipe.smallest_mm
        nearest = min(range(len(_DETAILS_MM)), key=lambda i: abs(_DETAILS_MM[i] - mm))
        self._detail.show_value(nearest, "")
        self._edit.show_value(max(mm, 0.01), work.recipe.unit)
        self._lost = figures.details_lost(work)
        count = len(self._lost)
        self._rings.setEnabled(count > 0)
        self._rings.setText(counted(count, self.tr("Show the 1 detail lost"), self.tr("Show the {0} details lost"))
                            if count else self.tr("No detail is lost"))
        self._list.blockSignals(True)
        self._list.clear()
        for one in self._lost[:_LISTED]:
            item = QListWidgetItem(swatch(one.hex, 16), self.tr("{0} across at {1}, {2}").format(
                format_length(one.size_mm, work.recipe.unit, 2), format_length(one.x_mm, work.recipe.unit, 0),
                format_length(one.y_mm, work.recipe.unit, 0)))
            item.setData(Qt.ItemDataRole.UserRole, one)
            self._list.addItem(item)
        self._list.blockSignals(False)
        for part in (self._list, self._back, self._from):
            part.setVisible(count > 0)
        kept = len(work.recipe.kept)
        self._forget.setVisible(kept > 0)
        self._forget.setText(
            counted(kept, self.tr("Let the 1 brought back go"), self.tr("Let the {0} brought back go"))
        )
        self._enable()

    def shows_small(self) -> bool:
        return self._rings.isChecked()

    def _chosen(self):
        return [item.data(Qt.ItemDataRole.UserRole) for item in self._list.selectedItems()]

    def _enable(self):
        chosen = self._chosen()
        self._back.setEnabled(bool(chosen))
        self._from.setEnabled(len(chosen) == 1)

    def _go(self, row):
        if 0 <= row < len(self._lost):
            self.place_wanted.emit(self._lost[row].x_mm, self._lost[row].y_mm)

    def _bring_back(self):
        places = tuple((one.x_share, one.y_share) for one in self._chosen())
        self.emit(self.tr("brought details back"), kept=(*self.recipe.kept, *places))

    def _bring_by_size(self):
        smallest = self._chosen()[0].size_mm
        # a hair under it, so that the chosen one itself is kept
        self.emit(self.tr("brought details back by size"), smallest_mm=round(max(smallest * 0.995 - 0.002, 0.0), 4))


class DoublesBox(Box):
    """Two cuts that run close beside each other, found and made one."""

    place_wanted = Signal(float, float)

    def __init__(self):
        super().__init__()
        self._said = label("", "quiet")
        self._on = QCheckBox(self.tr("Make cuts nearer than this one"))
        self._on.clicked.connect(lambda on: self.emit(
            self.tr("double outlines"), double_mm=(self.recipe.double_mm or self.recipe.thin_mm or 0.8) if on else 0.0))
        self._limit = LengthEdit(self.tr("Nearest that two cuts may run"), 0.05, MAX_DETAIL_MM)
        self._limit.setFixedWidth(theme.px(104))
        self._limit.committed.connect(lambda mm: self.emit(self.tr("double outlines"), double_mm=mm))
        self._way = self.control("double_to")
        self._next = button(
            self.tr("Show the next"), "target", self.tr("Bring the next place where two cuts run close into view")
        )
        self._next.clicked.connect(self._show_next)
        self.add(self._said, (self._on, self._limit), self._way, self._next)
        self._found, self._at, self._scale, self._found_in = None, 0, 1.0, None
        self._next.hide()

    def show_work(self, work) -> None:
        super().show_work(work)
        if self._found_in is not work.traced:  # what is known is of another drawing; its own comes in a moment
            self._found = None
            self._next.hide()
        recipe = work.recipe
        self._on.setChecked(recipe.double_mm > 0)
        self._limit.show_value(recipe.double_mm or recipe.thin_mm or 0.8, recipe.unit)
        self._way.setEnabled(recipe.double_mm > 0)

    def show_doubles(self, work, found) -> None:
        """What was found beside the trace."""
        self._found, self._at, self._scale, self._found_in = found, 0, work.mm_per_px, work.traced
        count = len(found.places)
        limit = format_length(work.recipe.double_mm or work.recipe.thin_mm, work.recipe.unit, 2)
        if count == 0:
            self._said.setText(self.tr("No two cuts run nearer than {0} beside each other.").format(limit))
        else:
            self._said.setText(self.tr("{0} nearer than {1}, {2} in all.").format(
                counted(count, self.tr("1 pair of cuts runs"), self.tr("{0} pairs of cuts run")), limit,
                format_length(float(found.length_px.sum()) * self._scale, work.recipe.unit, 0)))
        self._next.setVisible(count > 0)

    def _show_next(self):
        if self._found is None or not len(self._found.places):
            return
        x, y = self._found.places[self._at % len(self._found.places)] * self._scale
        self._at += 1
        self.place_wanted.emit(float(x), float(y))
