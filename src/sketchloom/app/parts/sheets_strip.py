"""All sheets of a plan side by side, each with its figures, and the sums of the plan above them."""

from PySide6.QtCore import QPoint, QRectF, QSize, Qt, Signal
from PySide6.QtGui import QColor, QImage, QPainter, QPen
from PySide6.QtWidgets import QAbstractButton, QFrame, QHBoxLayout, QScrollArea, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.painted import painted
from sketchloom.app.parts.widgets import button, clear, counted, label
from sketchloom.app.words import named
from sketchloom.app.work.paths import missing_path, qt_path
from sketchloom.core.base.units import format_length

_PICTURE = QSize(96, 70)
_CARD = QSize(220, 84)


def minutes_text(seconds: float) -> str:
    """Minutes, or hours and minutes."""
    minutes = round(seconds / 60)
    return f"{minutes} min" if minutes < 60 else f"{minutes // 60} h {minutes % 60:02d}"


class SheetCard(QAbstractButton):
    """One sheet: its picture, its name, how much of it is used, and its time."""

    def __init__(self, number: int, sheet, lines, is_bad: bool):
        super().__init__()
        self._number, self._sheet, self._lines, self._is_bad = number, sheet, lines, is_bad
        self.taken = False
        self.setFixedSize(_CARD)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setText(f"{number + 1}  {sheet.group.name}")
        self.setAccessibleName(", ".join((self.text(), *lines)))
        self._image = picture_of(sheet)

    def sizeHint(self):
        return _CARD

    @painted
    def paintEvent(self, painter):
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        edge = theme.WOAD if self.hasFocus() or self.underMouse() or self.taken else theme.LINE
        painter.setPen(QPen(QColor(edge), 2 if edge == theme.WOAD else 1))
        painter.setBrush(QColor(theme.LINEN_DEEP if self.taken else theme.LINEN_LIGHT))
        painter.drawRoundedRect(QRectF(self.rect()).adjusted(1, 1, -1, -1), 5, 5)
        painter.drawImage(QRectF(7, 7, _PICTURE.width(), _PICTURE.height()), self._image)
        x, width = _PICTURE.width() + 14, self.width() - _PICTURE.width() - 20
        font = painter.font()
        font.setBold(True)
        font.setPixelSize(theme.text_px(13))
        painter.setFont(font)
        painter.setPen(QColor(theme.MADDER if self._is_bad else theme.INK))
        flags = Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter
        title = painter.fontMetrics().elidedText(self.text(), Qt.TextElideMode.ElideRight, width)
        painter.drawText(QRectF(x, 5, width, 18), flags, title)
        font.setBold(False)
        font.setPixelSize(theme.text_px(12))
        painter.setFont(font)
        painter.setPen(QColor(theme.INK_SOFT))
        for row, line in enumerate(self._lines):
            painter.drawText(QRectF(x, 24 + 17 * row, width, 17), flags,
                             painter.fontMetrics().elidedText(line, Qt.TextElideMode.ElideRight, width))


def picture_of(sheet, size: QSize = _PICTURE) -> QImage:
    """A sheet on its carrier, small."""
    image = QImage(size * 2, QImage.Format.Format_ARGB32_Premultiplied)
    image.setDevicePixelRatio(2)
    image.fill(Qt.GlobalColor.transparent)
    wide, high = sheet.carrier.width_mm, max(sheet.length_mm, 1.0)
    scale = 0.96 * min(size.width() / wide, size.height() / high)
    painter = QPainter(image)
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    painter.translate((size.width() - wide * scale) / 2, (size.height() - high * scale) / 2)
    painter.scale(scale, scale)
    pen = QPen(QColor(theme.INK_SOFT), 1)
    pen.setCosmetic(True)
    painter.setPen(pen)
    painter.setBrush(QColor("#f6f3ea"))
    painter.drawRect(QRectF(0, 0, wide, high))
    if not sheet.missing.is_empty:
        painter.fillPath(missing_path(sheet.missing), QColor("#bdb5a4"))
    for placed in sheet.placed:
        path = qt_path(placed.outline, 1.0)
        is_pen = placed.outline.pen_px is not None
        if not is_pen:
            painter.fillPath(path, QColor(placed.part.hex))
        edge = QPen(QColor(placed.part.hex if is_pen else "#6b6358"), 1 if is_pen else 0.5)
        edge.setCosmetic(True)
        painter.strokePath(path, edge)
    painter.end()
    return image


class SheetsStrip(QFrame):
    """A row of cards under the sums of the plan. ``chosen``: a sheet by its number."""

    chosen = Signal(int)
    stop_wanted = Signal()

    def __init__(self):
        super().__init__()
        self.setObjectName("variants")
        column = QVBoxLayout(self)
        column.setContentsMargins(10, 4, 10, 4)
        column.setSpacing(3)
        head = QHBoxLayout()
        self._sums = label("", "strong")
        self._state = label("", "quiet")
        self._state.setWordWrap(False)
        self._stop = button(self.tr("Good enough"),
                            tip=self.tr("Stop looking for a better plan; the best so far stays"))
        self._stop.clicked.connect(self.stop_wanted)
        head.addWidget(self._sums, 1)
        head.addWidget(self._state)
        head.addWidget(self._stop)
        column.addLayout(head)
        area = QScrollArea()
        area.setAccessibleName(self.tr("Sheets of the plan"))
        area.setWidgetResizable(True)
        area.setFrameShape(QFrame.Shape.NoFrame)
        area.setVerticalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        body = QWidget()
        self._row = QHBoxLayout(body)
        self._row.setContentsMargins(0, 0, 0, 0)
        self._row.setSpacing(6)
        area.setWidget(body)
        area.setFixedHeight(theme.px(_CARD.height() + 28))
        column.addWidget(area)
        self._area = area
        self.cards: list[SheetCard] = []

    def show_plan(self, plan, gap_mm: float, unit: str, number: int) -> None:
        """The sheets of a plan, one of them taken; None for no plan."""
        clear(self._row)
        self.cards = []
        if plan is None:
            self._sums.setText("")
            return
        self._sums.setText(self.sums(plan, unit))
        for n, (sheet, timed) in enumerate(zip(plan.sheets, plan.timed, strict=True)):
            near, over = sheet.trouble(gap_mm)
            lines = (
                named(sheet.carrier.name),
                self.tr("{0}, {1} % used").format(
                    counted(len(sheet.placed), self.tr("1 part"), self.tr("{0} parts")), round(100 * sheet.used_share)),
                self.tr("cut {0}, {1}").format(format_length(timed.run.cut_mm, unit, 0), _time(timed.machine_s)),
            )
            card = SheetCard(n, sheet, lines, bool(near or over))
            card.clicked.connect(lambda _=False, k=n: self.chosen.emit(k))
            self.cards.append(card)
            self._row.addWidget(card)
        self._row.addStretch(1)
        self.take(number)

    def sums(self, plan, unit: str) -> str:
        """What a plan takes, in a line."""
        t = plan.tally
        parts = [
            counted(len(plan.sheets), self.tr("1 sheet"), self.tr("{0} sheets")),
            self.tr("cutting {0}").format(format_length(t.cut_mm, unit, 0)),
            self.tr("{0} to {1} with weeding and laying").format(minutes_text(t.low_s), minutes_text(t.high_s)),
            self.tr("{0} % unused").format(round(100 * t.waste_share)),
        ]
        if t.lines:
            parts.append(self.tr("costs {0}").format(f"{t.cost:.2f}"))
        if plan.left_over:
            parts.append(counted(len(plan.left_over), self.tr("1 part fits nowhere"), self.tr("{0} parts fit nowhere")))
        return "  ·  ".join(parts)

    def show_state(self, is_improving: bool) -> None:
        """Whether a better plan is looked for."""
        self._state.setText(self.tr("Looking for a better plan …") if is_improving else "")
        self._stop.setVisible(is_improving)

    def take(self, number: int) -> None:
        """Mark a sheet as the one that is shown."""
        for n, card in enumerate(self.cards):
            card.taken = n == number
            card.update()
        if 0 <= number < len(self.cards):
            self._area.ensureWidgetVisible(self.cards[number])

    def sheet_at(self, place: QPoint) -> int | None:
        """The sheet whose card lies at a place of the screen."""
        return next((n for n, card in enumerate(self.cards)
                     if card.rect().contains(card.mapFromGlobal(place)) and card.isVisible()), None)


def _time(seconds):
    return f"{round(seconds)} s" if seconds < 100 else minutes_text(seconds)
