"""The pieces of all sheets in the order of laying: what each is, and what to do about those that lie alone."""

from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtWidgets import QCheckBox, QListWidget, QListWidgetItem

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, counted, label, plain_tip, swatch
from sketchloom.app.stages.box import Box
from sketchloom.core.base.units import format_length

_NUMBER = Qt.ItemDataRole.UserRole
_LISTED, _ROW, _SEEN = 400, 27, 5


class LayingBox(Box):
    """Numbers on the bench, a list, and ways out for pieces that would be laid alone."""

    shown = Signal(bool)
    pointed = Signal(int)
    hold_wanted = Signal(list)
    below_wanted = Signal(list)

    def __init__(self):
        super().__init__()
        self.numbers = QCheckBox(self.tr("Numbers on the bench"))
        self.numbers.setToolTip(self.tr("In the order of laying: the base first, each sheet from top to bottom"))
        self.numbers.clicked.connect(self.shown)
        self._said = label("", "quiet")
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("Pieces in the order of laying"))
        self.list.setIconSize(theme.size(16, 16))
        self.list.setFixedHeight(theme.px(_SEEN * _ROW + 6))
        self.list.setSelectionMode(QListWidget.SelectionMode.ExtendedSelection)
        self.list.currentItemChanged.connect(lambda item, _: item is not None and self.pointed.emit(item.data(_NUMBER)))
        self.list.itemSelectionChanged.connect(self._enable)
        self._hold = button(
            self.tr("Hold by a bridge"),
            "",
            self.tr("A bridge in its colour to the nearest piece of its sheet: one piece less to lay"),
        )
        self._below = button(
            self.tr("From a sheet below"),
            "",
            self.tr("The sheets get a window there, through which a sheet below all others shows"),
        )
        self._hold.clicked.connect(lambda: self.hold_wanted.emit(self.chosen()))
        self._below.clicked.connect(lambda: self.below_wanted.emit(self.chosen()))
        self.add(
            self.numbers,
            self._said,
            self.list,
            (self._hold, self._below),
            label(
                self.tr(
                    "A piece about which nothing is done stays a piece, with its number in the laying plan (Release)."
                ),
                "quiet",
            ),
        )
        self._alone: set[int] = set()
        self._enable()

    def chosen(self) -> list[int]:
        return [item.data(_NUMBER) for item in self.list.selectedItems()]

    def show_pieces(self, desk) -> None:
        """Pieces of a result; worked out when they are seen."""
        unit = desk.work.recipe.unit
        pieces = desk.pieces
        self._alone = {p.number for p in pieces if p.alone}
        wrong = {"turned": self.tr("nearly fits turned"), "flipped": self.tr("nearly fits turned over")}
        self.list.blockSignals(True)
        self.list.clear()
        for piece in pieces[:_LISTED]:
            text = self.tr("{0}  {1}, {2} across").format(
                piece.number, piece.layer.plan.name, format_length(desk.across_mm(piece), unit)
            )
            item = QListWidgetItem(
                swatch(piece.layer.plan.hex, 16), self.tr("{0} · this way ▲").format(text) if piece.wrong else text
            )
            item.setData(_NUMBER, piece.number)
            item.setSizeHint(QSize(0, theme.px(_ROW)))
            item.setToolTip(plain_tip(self.tr("{0}: {1}").format(text, wrong[piece.wrong]) if piece.wrong else text))
            self.list.addItem(item)
        self.list.blockSignals(False)
        mistaken = sum(p.wrong is not None for p in pieces)
        told = counted(len(pieces), self.tr("1 piece to lay"), self.tr("{0} pieces to lay"))
        told = self.tr("{0}, {1} beside the largest of their sheet.").format(told, len(self._alone))
        if mistaken:
            told += " " + counted(
                mistaken,
                self.tr("1 nearly fits the wrong way round; it is marked."),
                self.tr("{0} nearly fit the wrong way round; they are marked."),
            )
        self._said.setText(told)
        self._enable()

    def say(self, text: str) -> None:
        self._said.setText(text)

    def _enable(self):
        alone = [n for n in self.chosen() if n in self._alone]
        for part in (self._hold, self._below):
            part.setEnabled(bool(alone))
