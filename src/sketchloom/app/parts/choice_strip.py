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
from sketchloom.app.hands.choice.acts import Act
from sketchloom.app.parts.widgets import clear, label, swatch
from sketchloom.app.words import colour_word, told

_COLUMNS, _MOST_COLOURS = 4, 9
_APART = 14
_MARGIN, _HIGH, _KEY_PX = 8, 28, 11


class ActButton(QToolButton):
    """The words of an act at the left, its key at the right, smaller."""

    def __init__(self, act: Act):
        super().__init__()
        self.words, self.key_text = told(act.words), act.key_text
        self.setText(self.words)
        self.setToolTip(_told_of(act))
        self.setAccessibleName(self.words)
        self.setAccessibleDescription(_told_of(act))
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setFocusPolicy(Qt.FocusPolicy.TabFocus)  # a click leaves the keys to the bench

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
        painter.drawComplexControl(QStyle.ComplexControl.CC_ToolButton, option)
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
        self._columns = columns
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

    def show_acts(self, acts: tuple[Act, ...], hexes=()) -> None:
        """Buttons for these acts and colours; those that are there already stay."""
        hexes = tuple(hexes)[:_MOST_COLOURS]
        if (acts, hexes) == self._shown:
            return
        self._shown = acts, hexes
        clear(self._colours)
        clear(self._grid)
        self.buttons = {}
        for one in hexes:
            name = colour_word(one)
            self._colours.addWidget(self._button("", self.tr("Give it {0}").format(f"{name} {one}"), swatch(one, 20),
                                                 lambda h=one: self.coloured.emit(h)))
        if hexes:
            self._colours.addWidget(self._button("…", self.tr("Another colour"), None, self.other_wanted.emit))
            self._colours.addStretch(1)
        for number, act in enumerate(acts):
            made = self.buttons[act.name] = ActButton(act)
            made.clicked.connect(lambda _=False, a=act: self.asked.emit(a.name))
            self._grid.addWidget(made, *divmod(number, self._columns))
        for layout in (self._colours, self._grid):  # else they would be seen, and measured, a moment later
            for n in range(layout.count()):
                if layout.itemAt(n).widget() is not None:
                    layout.itemAt(n).widget().show()

    def _button(self, text, tip, icon, act):
        made = QToolButton()
        made.setText(text)
        made.setToolTip(tip)
        made.setAccessibleName(tip)
        made.setAccessibleDescription(tip)
        made.setMinimumSize(theme.size(26, 26))
        made.setFocusPolicy(Qt.FocusPolicy.TabFocus)  # a click leaves the keys to the bench
        if icon is not None:
            made.setIcon(icon)
            made.setIconSize(theme.size(18, 18))
        made.clicked.connect(lambda: act())
        return made


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

    def show_choice(self, words: str, acts, hexes, box: QRect) -> None:
        """Say what is chosen, offer what can be done, beside a box of the bench."""
        self.words.setText(words)
        self.setAccessibleDescription(words)
        self.grid.show_acts(tuple(act for act in acts if not act.is_seldom), hexes)
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
