"""The trainer: an exercise, its answer and the reason, and how far one has come."""

import numpy as np
from PySide6.QtCore import QPointF, Qt, Signal
from PySide6.QtGui import QColor, QIcon, QImage, QPen, QPixmap
from PySide6.QtWidgets import QHBoxLayout, QListWidget, QPushButton, QScrollArea, QVBoxLayout, QWidget

from sketchloom.app import dyes, theme
from sketchloom.app.painted import Picture, painted
from sketchloom.app.parts.widgets import button, label, say_on
from sketchloom.app.words import told
from sketchloom.files.training.exercise import KINDS, TITLES

_LIST_PX, _RING_PX, _STEP_PX = 230, 14.0, 6
_CHOICE_PX = 200


def pixmap(rgb: np.ndarray) -> QPixmap:
    """Of (H, W, 3) uint8."""
    held = np.ascontiguousarray(rgb)
    high, wide = held.shape[:2]
    return QPixmap.fromImage(QImage(held.data, wide, high, 3 * wide, QImage.Format.Format_RGB888).copy())


class Board(Picture):
    """The picture of an exercise, to fit. ``placed``: a click on it, or Return at the cross that the arrows move; px of
    the picture."""

    placed = Signal(float, float)

    def __init__(self):
        super().__init__()
        self.setAccessibleName(self.tr("The picture of the exercise"))
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMinimumSize(theme.px(240), theme.px(200))
        self._pixmap = self._mark = self._cross = None
        self.is_asked = False

    def show_picture(self, rgb, is_asked: bool) -> None:
        """``is_asked``: a place of it is wanted."""
        self._pixmap, self._mark, self._cross = None if rgb is None else pixmap(rgb), None, None
        self.is_asked = is_asked
        self.setCursor(Qt.CursorShape.CrossCursor if is_asked else Qt.CursorShape.ArrowCursor)
        self.setVisible(rgb is not None)
        self.update()

    def show_mark(self, place) -> None:
        """Where the answer is."""
        self._mark = place
        self.is_asked = False
        self.update()

    def _scale(self):
        size = self._pixmap.size()
        scale = min(self.width() / size.width(), self.height() / size.height(), 1.6)
        return scale, (self.width() - scale * size.width()) / 2, (self.height() - scale * size.height()) / 2

    @painted
    def paintEvent(self, painter):
        if self._pixmap is None:
            return
        painter.setRenderHints(painter.RenderHint.SmoothPixmapTransform | painter.RenderHint.Antialiasing)
        scale, left, top = self._scale()
        painter.drawPixmap(round(left), round(top), round(scale * self._pixmap.width()),
                           round(scale * self._pixmap.height()), self._pixmap)
        for place, dye in ((self._cross, dyes.WOAD), (self._mark, dyes.MADDER)):
            if place is not None:
                at = QPointF(left + scale * place[0], top + scale * place[1])
                for width, colour in ((4.0, "#ffffff"), (2.0, dye)):
                    painter.setPen(QPen(QColor(colour), width))
                    painter.drawEllipse(at, _RING_PX, _RING_PX)

    def mousePressEvent(self, event):
        if self.is_asked and self._pixmap is not None and event.button() == Qt.MouseButton.LeftButton:
            scale, left, top = self._scale()
            self._take((event.position().x() - left) / scale, (event.position().y() - top) / scale)

    def keyPressEvent(self, event):
        steps = {Qt.Key.Key_Left: (-1, 0), Qt.Key.Key_Right: (1, 0), Qt.Key.Key_Up: (0, -1), Qt.Key.Key_Down: (0, 1)}
        if not self.is_asked or self._pixmap is None:
            super().keyPressEvent(event)
        elif event.key() in steps:
            x, y = self._cross or (self._pixmap.width() / 2, self._pixmap.height() / 2)
            dx, dy = steps[event.key()]
            self._cross = (min(max(x + _STEP_PX * dx, 0), self._pixmap.width()),
                           min(max(y + _STEP_PX * dy, 0), self._pixmap.height()))
            self.update()
        elif event.key() in (Qt.Key.Key_Return, Qt.Key.Key_Enter, Qt.Key.Key_Space) and self._cross is not None:
            self._take(*self._cross)
        else:
            super().keyPressEvent(event)

    def _take(self, x, y):
        self._cross = x, y
        self.placed.emit(x, y)


class Trainer(QWidget):
    """``wanted``: an exercise of a kind; ``answered``: a choice's number, or a place."""

    wanted = Signal(str)
    answered = Signal(object)

    def __init__(self):
        super().__init__()
        self.kind = KINDS[0]
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("Exercises"))
        self.list.setFixedWidth(theme.px(_LIST_PX))
        self.list.setSpacing(theme.px(4))
        for kind in KINDS:
            self.list.addItem(told(TITLES[kind]))
        self.list.currentRowChanged.connect(self._turn_to)
        self.question, self.said = label("", "section"), label("", "quiet")
        self.question.setWordWrap(True)
        self.board = Board()
        self.board.placed.connect(lambda x, y: self.answered.emit((x, y)))
        self._row = QWidget()
        self._choices = QHBoxLayout(self._row)
        self._choices.setContentsMargins(0, 0, 0, 0)
        self.buttons: list[QPushButton] = []
        self.another = button(self.tr("Another one"), "refresh")
        self.another.clicked.connect(lambda: self.wanted.emit(self.kind))
        right, whole = QVBoxLayout(), QHBoxLayout(self)
        foot = QHBoxLayout()
        foot.addWidget(self.said, 1)
        foot.addWidget(self.another)
        right.addWidget(self.question)
        right.addWidget(self.board, 1)
        right.addWidget(self._row)
        right.addLayout(foot)
        area = QScrollArea()
        area.setAccessibleName(self.tr("The exercise"))
        area.setWidgetResizable(True)
        area.setFrameShape(QScrollArea.Shape.NoFrame)
        inner = QWidget()
        inner.setLayout(right)
        area.setWidget(inner)
        whole.setContentsMargins(0, 0, 0, 0)
        whole.setSpacing(16)
        whole.addWidget(self.list)
        whole.addWidget(area, 1)
        self._begun = False

    def turn(self) -> None:
        """It is seen."""
        if not self._begun:
            self._begun = True
            self.list.setCurrentRow(0)

    def _turn_to(self, row):
        if row >= 0:
            self.kind = KINDS[row]
            self.wanted.emit(self.kind)

    def show_progress(self, progress) -> None:
        """How far one has come in each kind."""
        for row, kind in enumerate(KINDS):
            its = progress.get(kind)
            text = told(TITLES[kind])
            if its is not None and its.tried:
                text += "\n" + self.tr("{0} of {1} right").format(its.right, its.tried)
            self.list.item(row).setText(text)

    def show_waiting(self) -> None:
        """An exercise is being made."""
        self.question.setText(self.tr("A moment …"))
        self.said.setText("")
        self.board.show_picture(None, False)
        self._clear()
        self.another.setEnabled(False)

    def show_exercise(self, one) -> None:
        self.question.setText(told(one.question))
        say_on(self.said, self.tr("Click on the place; with keys, the arrows move a ring and Return takes it.")
               if one.place is not None else self.tr("Choose one."), "quiet")
        self.board.show_picture(one.picture, one.place is not None)
        self._clear()
        for number, choice in enumerate(one.choices):
            part = QPushButton(told(choice.text))
            part.setAccessibleName(self.tr("Answer {0}: {1}").format(number + 1, told(choice.text)))
            if choice.picture is not None:
                shown = pixmap(choice.picture).scaled(theme.px(_CHOICE_PX), theme.px(_CHOICE_PX),
                                                      Qt.AspectRatioMode.KeepAspectRatio,
                                                      Qt.TransformationMode.SmoothTransformation)
                icon = QIcon(shown)
                icon.addPixmap(shown, QIcon.Mode.Disabled)  # as it was, when it was answered
                part.setIcon(icon)
                part.setIconSize(shown.size())
                part.setText("")
                part.setToolTip(told(choice.text))
            part.clicked.connect(lambda _=False, n=number: self.answered.emit(n))
            self.buttons.append(part)
            self._choices.addWidget(part)
        self._row.setVisible(bool(one.choices))
        self.another.setEnabled(True)

    def show_answer(self, one, answer, is_right: bool) -> None:
        """Whether an answer is right, the program's own, and why."""
        if one.place is not None:
            self.board.show_mark(one.place)
        for number, part in enumerate(self.buttons):
            part.setEnabled(False)
            text = part.text().removesuffix(" ✓").removesuffix(" ✗")
            part.setText(text + (" ✓" if number == one.best else " ✗" if number == answer else ""))
        first = self.tr("Right.") if is_right else self.tr("Not so; the program's own answer is marked.")
        say_on(self.said, f"{first} {told(one.reason)}", "quiet")

    def show_trouble(self, why: str) -> None:
        self.question.setText(why)
        self.another.setEnabled(True)

    def _clear(self):
        while self._choices.count():
            self._choices.takeAt(0).widget().deleteLater()
        self.buttons = []
