"""The stage rail: where the work stands, stage by stage, by shape and colour."""

from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPen, QPolygonF
from PySide6.QtWidgets import QButtonGroup, QFrame, QToolButton, QVBoxLayout

from sketchloom.app import theme
from sketchloom.app.painted import painted

UNTOUCHED, FINE, ATTENTION, BLOCKED, UNKNOWN = "untouched", "fine", "attention", "blocked", "unknown"


class StageButton(QToolButton):
    """A stage with its state: a ring, a tick, a counted triangle or a barred square."""

    def __init__(self, title: str, icon_name: str, shortcut: str):
        super().__init__()
        self.title, self.state, self.count = title, UNTOUCHED, 0
        self.setText(title)
        self.setIcon(theme.icon(icon_name, "INK"))
        self.setIconSize(theme.size(26, 26))
        self.setToolButtonStyle(Qt.ToolButtonStyle.ToolButtonTextUnderIcon)
        self.setCheckable(True)
        self.setFixedHeight(theme.px(76))
        self.keys = shortcut
        self.set_state(UNTOUCHED, 0)

    @property
    def words_px(self) -> int:
        """The width that its words want."""
        return self.fontMetrics().horizontalAdvance(self.title) + 12

    def set_state(self, state: str, count: int) -> None:
        self.state, self.count = state, count
        words = {
            UNTOUCHED: self.tr("not looked at yet"), FINE: self.tr("fine"),
            ATTENTION: self.tr("{0} to look at").format(count), BLOCKED: self.tr("blocked"),
            UNKNOWN: self.tr("not known yet"),
        }
        self.setAccessibleName(f"{self.title}: {words[state]}")
        self.setToolTip(f"{self.title} · {words[state]}  ({self.keys})")
        self.update()

    def paintEvent(self, event):
        super().paintEvent(event)
        self._paint_state(event)

    @painted
    def _paint_state(self, painter):
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        box = QRectF(self.width() - 25, 5, 18, 18)
        if self.state == UNTOUCHED:
            painter.setPen(QPen(QColor(theme.INK_SOFT), 1.5))
            painter.drawEllipse(box.center(), 5, 5)
        elif self.state == UNKNOWN:
            painter.setPen(Qt.PenStyle.NoPen)
            painter.setBrush(QColor(theme.INK_SOFT))
            for n in (-1, 0, 1):
                painter.drawEllipse(box.center() + QPointF(6 * n, 0), 1.8, 1.8)
        elif self.state == FINE:
            painter.setPen(QPen(QColor(theme.MOSS), 2.4))
            x, y = box.center().x(), box.center().y()
            painter.drawPolyline(QPolygonF([QPointF(x - 5, y), QPointF(x - 1, y + 4), QPointF(x + 6, y - 5)]))
        elif self.state == ATTENTION:
            self._badge(painter, QPolygonF([box.bottomLeft(), box.bottomRight(), QPointF(box.center().x(), box.top())]),
                        theme.WELD, box.translated(0, 3), str(self.count) if self.count < 10 else "…")
        else:
            self._badge(painter, QPolygonF(box), theme.MADDER, box, "×")

    def _badge(self, painter, shape, colour, box, text):
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(QColor(colour))
        painter.drawPolygon(shape)
        font = painter.font()
        font.setPixelSize(theme.text_px(11))
        font.setBold(True)
        painter.setFont(font)
        painter.setPen(QColor(theme.ON_WOAD))
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, text)


class Rail(QFrame):
    """The stages, visited in any order."""

    chosen = Signal(int)
    logbook_wanted = Signal()

    def __init__(self, stages, parent=None):
        super().__init__(parent)
        self.setObjectName("rail")
        layout = QVBoxLayout(self)
        layout.setContentsMargins(6, 8, 6, 8)
        layout.setSpacing(6)
        self.buttons = [StageButton(title, icon, f"Alt+{i + 1}") for i, (title, icon) in enumerate(stages)]
        group = QButtonGroup(self)
        widest = max(78, *(button.words_px for button in self.buttons))
        for number, button in enumerate(self.buttons):
            button.setFixedWidth(widest)
            group.addButton(button, number)
            layout.addWidget(button)
        layout.addSpacing(4)
        line = QFrame()
        line.setFrameShape(QFrame.Shape.HLine)
        line.setObjectName("line")
        layout.addWidget(line)
        self.logbook = QToolButton()
        self.logbook.setText(self.tr("Logbook"))
        self.logbook.setIcon(theme.icon("bookmark", "INK"))
        self.logbook.setIconSize(theme.size(26, 26))
        self.logbook.setToolButtonStyle(Qt.ToolButtonStyle.ToolButtonTextUnderIcon)
        self.logbook.setToolTip(self.tr("What was made and tried, and what is in stock"))
        self.logbook.setCheckable(True)
        self.logbook.setFixedSize(widest, theme.px(64))
        layout.addWidget(self.logbook)
        layout.addStretch(1)
        group.addButton(self.logbook, len(stages))  # one of them is seen at a time, though it is no stage
        group.idClicked.connect(lambda n: self.logbook_wanted.emit() if n == len(stages) else self.chosen.emit(n))

    @property
    def titles(self) -> tuple[str, ...]:
        return tuple(button.title for button in self.buttons)

    def choose(self, number: int) -> None:
        self.buttons[number].setChecked(True)
