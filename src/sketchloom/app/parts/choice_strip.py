"""What can be done to what is chosen: a small strip beside it on the bench, and the same in the panel."""

from PySide6.QtCore import QPoint, QRect, QSize, Qt, Signal
from PySide6.QtGui import QColor, QFontMetrics
from PySide6.QtWidgets import (
    QFrame,
    QGridLayout,
    QHBoxLayout,
    QLabel,
    QSizePolicy,
    QStyle,
    QStyleOptionToolButton,
    QStylePainter,
    QToolButton,
    QVBoxLayout,
    QWidget,
)

from sketchloom.app import theme
from sketchloom.app.parts.acts import Act
from sketchloom.app.parts.widgets import label, swatch
from sketchloom.app.words import colour_word, told

_COLUMNS, _MOST_COLOURS = 4, 9
_APART = 14
_MARGIN, _HIGH, _KEY_PX = 8, 28, 11


class ActButton(QToolButton):
    """The words of an act at the left, its key at the right, smaller."""

    def __init__(self):
        super().__init__()
        self.name = self.words = self.key_text = ""
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setFocusPolicy(Qt.FocusPolicy.TabFocus)  # a click leaves the keys to the bench

    def show_act(self, act: Act) -> None:
        """Be the button of an act."""
        self.name, self.words, self.key_text = act.name, told(act.words), act.key_text
        self.setText(self.words)
        self.setToolTip(_told_of(act))
        self.setAccessibleName(self.words)
        self.setAccessibleDescription(_told_of(act))
        self.updateGeometry()

    def _key_font(self):
        font = self.font()
        font.setPixelSize(theme.text_px(_KEY_PX))
        return font

    def sizeHint(self):
        wide = self.fontMetrics().horizontalAdvance(self.words) + theme.px(_MARGIN) * 2
        if self.key_text:
            wide += QFontMetrics(self._key_font()).horizontalAdvance(self.key_text) + theme.px(_MARGIN)
        return QSize(wide, theme.px(_HIGH))

    minimumSizeHint = sizeHint

    def paintEvent(self, _):
        option = QStyleOptionToolButton()
        self.initStyleOption(option)
        option.text = ""
        painter = QStylePainter(self)
        try:
            painter.drawComplexControl(QStyle.ComplexControl.CC_ToolButton, option)
            self._paint_words(painter)
        finally:
            painter.end()

    def _paint_words(self, painter):
        room = self.rect().adjusted(theme.px(_MARGIN), 0, -theme.px(_MARGIN), 0)
        painter.setPen(QColor(theme.INK if self.isEnabled() else theme.FADED))
        painter.drawText(room, int(Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter), self.words)
        painter.setFont(self._key_font())
        painter.setPen(QColor(theme.INK_SOFT if self.isEnabled() else theme.FADED))
        painter.drawText(room, int(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter), self.key_text)


class ActsGrid(QWidget):
    """A button for each act that can be done, and the colours that can be given."""

    asked = Signal(str)
    coloured = Signal(str)
    other_wanted = Signal()

    def __init__(self, columns: int = _COLUMNS):
        super().__init__()
        self._columns = self._most = columns
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(4)
        self._colours = QHBoxLayout()
        self._colours.setSpacing(3)
        self._grid = QGridLayout()
        self._grid.setSpacing(3)
        column.addLayout(self._colours)
        column.addLayout(self._grid)
        self._shown = None
        self.buttons: dict[str, QToolButton] = {}
        self._made: list[ActButton] = []  # to give a button its look takes longer than to give it other words
        self._swatches: list[QToolButton] = []
        self._other = self._button()
        self._other.setText("…")
        _name(self._other, self.tr("Another colour"))
        self._other.clicked.connect(lambda: self.other_wanted.emit())
        self._colours.addWidget(self._other)
        self._colours.addStretch(1)

    def show_acts(self, acts: tuple[Act, ...], hexes=(), takes_any: bool = True) -> None:
        """Buttons for these acts and colours, ``takes_any`` other one too; those that are there already stay."""
        hexes = tuple(hexes)[:_MOST_COLOURS]
        if (acts, hexes, takes_any) == self._shown:
            return
        self._shown = acts, hexes, takes_any
        for number, one in enumerate(hexes):
            if number == len(self._swatches):
                self._swatches.append(self._button())
                self._swatches[-1].clicked.connect(lambda _=False, n=number: self.coloured.emit(self._shown[1][n]))
                self._colours.insertWidget(number, self._swatches[-1])
            self._swatches[number].setIcon(swatch(one, 20))
            _name(self._swatches[number], self.tr("Give it {0}").format(f"{colour_word(one)} {one}"))
        for number, part in enumerate(self._swatches):
            part.setVisible(number < len(hexes))
        self._other.setVisible(bool(hexes) and takes_any)
        for number, act in enumerate(acts):
            if number == len(self._made):
                self._made.append(ActButton())
                self._made[-1].clicked.connect(lambda _=False, n=number: self.asked.emit(self._made[n].name))
                self._grid.addWidget(self._made[-1], *divmod(number, self._columns))
            self._made[number].show_act(act)
        for number, part in enumerate(self._made):
            part.setVisible(number < len(acts))
        self.buttons = {act.name: part for act, part in zip(acts, self._made, strict=False)}

    def fit_into(self, width: int) -> None:
        """As many columns as there is room for, and no more than are meant."""
        columns = self._most
        while columns > 1 and self._width_with(columns) > width:
            columns -= 1
        if columns != self._columns:
            self._columns = columns
            for number, part in enumerate(self._made):
                self._grid.addWidget(part, *divmod(number, columns))  # moves those that are there

    def _width_with(self, columns):
        shown = [part.sizeHint().width() for part in self.buttons.values()]
        return sum(max(shown[n::columns], default=0) for n in range(columns)) + self._grid.spacing() * (columns - 1)

    @staticmethod
    def _button():
        made = QToolButton()
        made.setMinimumSize(theme.size(26, 26))
        made.setFocusPolicy(Qt.FocusPolicy.TabFocus)  # a click leaves the keys to the bench
        made.setIconSize(theme.size(18, 18))
        return made


def _name(part, words):
    part.setToolTip(words)
    part.setAccessibleName(words)
    part.setAccessibleDescription(words)


def _told_of(act):
    about = told(act.about)
    return f"{about}  ({act.key_text})" if act.key_text else about


class ChoiceStrip(QFrame):
    """Stands beside what is chosen, on the bench, and never over it where there is room elsewhere."""

    def __init__(self, bench):
        super().__init__(bench)
        self.setObjectName("strip")
        self.setAccessibleName(self.tr("What can be done to what is chosen"))
        column = QVBoxLayout(self)
        column.setContentsMargins(8, 6, 8, 8)
        column.setSpacing(5)
        self.words = QLabel()
        self.words.setTextFormat(Qt.TextFormat.PlainText)
        self.grid = ActsGrid()
        column.addWidget(self.words)
        column.addWidget(self.grid)
        self.setCursor(Qt.CursorShape.ArrowCursor)
        self.hide()

    def show_choice(self, words: str, acts, hexes, box: QRect, takes_any: bool = True) -> None:
        """Say what is chosen, offer what can be done, beside a box of the bench."""
        self.words.setText(words)
        self.setAccessibleDescription(words)
        self.grid.show_acts(tuple(acts), hexes, takes_any)
        room = self.parentWidget().width() - theme.px(64)
        self.grid.fit_into(room)
        is_long = self.words.fontMetrics().horizontalAdvance(words) > room
        self.words.setWordWrap(is_long)
        self.words.setMinimumWidth(room if is_long else 0)  # what wraps says no width of its own
        self.show()
        for part in (self.grid, self):  # what was there before has its room no more
            part.layout().invalidate()
            part.layout().activate()
        self.stand_beside(box)

    def stand_beside(self, box: QRect) -> None:
        """Move beside a box: below it, else above, right, left; else at the foot of the bench."""
        self.resize(self.sizeHint())
        room = self.parentWidget().rect().adjusted(theme.px(30), theme.px(30), -8, -theme.px(44))
        wide, high = self.width(), self.height()
        middle = QPoint(box.center().x() - wide // 2, box.center().y() - high // 2)
        places = (QPoint(middle.x(), box.bottom() + _APART), QPoint(middle.x(), box.top() - high - _APART),
                  QPoint(box.right() + _APART, middle.y()), QPoint(box.left() - wide - _APART, middle.y()))
        for place in places:
            within = QPoint(max(room.left(), min(place.x(), room.right() - wide)),
                            max(room.top(), min(place.y(), room.bottom() - high)))
            if not QRect(within, self.size()).intersects(box):
                break
        else:
            within = QPoint(max(room.left(), min(middle.x(), room.right() - wide)), room.bottom() - high)
        self.move(within)
        self.raise_()


class ChosenWords(QWidget):
    """What is chosen, in the panel: its words, figures and everything that can be done to it."""

    def __init__(self):
        super().__init__()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(6)
        self.words = label("")
        self.grid = ActsGrid(2)
        column.addWidget(self.words)
        column.addWidget(self.grid)

    def show_choice(self, words: str, acts, hexes) -> None:
        self.words.setText(words)
        self.grid.show_acts(acts, hexes)
