"""The stars of a test piece by their numbers on the film: one is clicked, then its verdict."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QButtonGroup, QComboBox, QGridLayout, QPushButton, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.widgets import clear, label
from sketchloom.core.logbook.records import LIFTED, NOT_THROUGH, RIGHT, TOO_DEEP, TORN

_SIGNS = {NOT_THROUGH: "↓", RIGHT: "✓", TOO_DEEP: "↑", TORN: "✗", LIFTED: "◿"}


class StarGrid(QWidget):
    """``chosen``: force and speed of the star that is clicked."""

    chosen = Signal(float, float)

    def __init__(self):
        super().__init__()
        self.piece = QComboBox()
        self.piece.setAccessibleName(self.tr("Test piece"))
        self.piece.activated.connect(lambda _: self._fill(None))
        self._grid, self._group, self._pieces = QGridLayout(), QButtonGroup(self), []
        self._group.idClicked.connect(self._take)
        self._grid.setSpacing(4)
        self._said = label(self.tr("Click a star by its number, then say what it is."), "quiet")
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        for part in (self.piece, self._said):
            column.addWidget(part)
        column.addLayout(self._grid)
        self.hide()

    @property
    def taken(self) -> tuple[str, int]:
        """The piece and the number of the star that is clicked; no name where none is."""
        number = self._group.checkedId()
        return ("", 1) if number < 0 or self.isHidden() else (self.piece.currentData(), number)

    def button(self, number: int) -> QPushButton:
        """That of a star."""
        return self._group.button(number)

    def show_pieces(self, pieces) -> None:
        """Pieces, the newest first, each with verdicts by number; the next star without one is taken, if one was."""
        name, number = self.taken
        self._pieces = list(pieces)
        self.piece.clear()
        for one, _ in self._pieces:
            self.piece.addItem(f"{one.name}, {one.at[:10]}", one.name)
        self.piece.setCurrentIndex(max(self.piece.findData(name), 0) if name else 0)
        self.setVisible(bool(self._pieces))
        self._fill(number if name else None)

    def _fill(self, last):
        """Numbers of the stars; after ``last`` the next one without a verdict is taken."""
        for one in self._group.buttons():
            self._group.removeButton(one)
        clear(self._grid)
        if not self._pieces:
            return
        piece, verdicts = self._pieces[max(self.piece.currentIndex(), 0)]
        settings = piece.settings()
        columns = max(sum(1 for _, speed in settings if speed == settings[0][1]), 1)
        for number, (force, speed) in enumerate(settings, 1):
            sign = _SIGNS.get(verdicts.get(number, ""), "")
            part = QPushButton(f"{number} {sign}".strip())
            part.setCheckable(True)
            part.setMinimumHeight(theme.px(28))
            part.setToolTip(self.tr("Force {0}, speed {1} mm/s").format(f"{force:g}", f"{speed:g}"))
            part.setAccessibleName(self.tr("Star {0}: force {1}, speed {2}").format(number, f"{force:g}", f"{speed:g}"))
            self._group.addButton(part, number)
            self._grid.addWidget(part, *divmod(number - 1, columns))
        if last is not None:
            free = [n for n in range(1, len(settings) + 1) if n not in verdicts]
            following = next((n for n in free if n > last), free[0] if free else None)
            if following is not None:
                self._group.button(following).setChecked(True)
                self._take(following)

    def _take(self, number):
        piece, _ = self._pieces[max(self.piece.currentIndex(), 0)]
        self.chosen.emit(*piece.settings()[number - 1])
