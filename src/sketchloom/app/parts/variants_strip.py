"""Variants side by side under the bench, each with what it costs."""

from PySide6.QtCore import QRectF, QSize, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPen
from PySide6.QtWidgets import (
    QAbstractButton,
    QFrame,
    QHBoxLayout,
    QLabel,
    QScrollArea,
    QToolButton,
    QVBoxLayout,
    QWidget,
)

from sketchloom.app import theme
from sketchloom.app.painted import painted
from sketchloom.app.parts.widgets import button, clear, counted
from sketchloom.app.work.aside import PICTURE, small_picture
from sketchloom.core.base.units import format_length
from sketchloom.desk.variants import figures_of

_CARD = QSize(PICTURE.width() + 16, PICTURE.height() + 86)


class Card(QAbstractButton):
    """One variant: picture, what differs, figures. A click takes it."""

    def __init__(self, title: str, lines, picture, taken: bool):
        super().__init__()
        self._title, self._lines, self._picture, self._taken = title, lines, picture, taken
        self.setFixedSize(_CARD)
        self.setCursor(Qt.CursorShape.ArrowCursor if taken else Qt.CursorShape.PointingHandCursor)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setText(title)
        self.setAccessibleName(", ".join((title, *lines)))
        self.setToolTip(self.tr("The present settings") if taken else self.tr("Take these settings"))

    def sizeHint(self):
        return _CARD

    @painted
    def paintEvent(self, painter):
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        edge = theme.WOAD if self.hasFocus() or self.underMouse() or self._taken else theme.LINE
        painter.setPen(QPen(QColor(edge), 2 if edge == theme.WOAD else 1))
        painter.setBrush(QColor(theme.LINEN_DEEP if self._taken else theme.LINEN_LIGHT))
        painter.drawRoundedRect(QRectF(self.rect()).adjusted(1, 1, -1, -1), 5, 5)
        x, width = 8, self.width() - 16
        area = QRectF(x, 7, PICTURE.width(), PICTURE.height())
        if self._picture is None:
            painter.fillRect(area, QColor(theme.LINEN_DEEP))
            painter.setPen(QColor(theme.INK_SOFT))
            painter.drawText(area, theme.CENTRE, self.tr("…"))
        else:
            painter.drawImage(area, self._picture)
        font = painter.font()
        font.setBold(True)
        font.setPixelSize(theme.text_px(13))
        painter.setFont(font)
        painter.setPen(QColor(theme.INK))
        top = PICTURE.height() + 10
        title = painter.fontMetrics().elidedText(self._title, Qt.TextElideMode.ElideRight, width)
        painter.drawText(QRectF(x, top, width, 18), Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter, title)
        font.setBold(False)
        font.setPixelSize(theme.text_px(12))
        painter.setFont(font)
        painter.setPen(QColor(theme.INK_SOFT))
        for row, line in enumerate(self._lines):
            painter.drawText(
                QRectF(x, top + 18 + 17 * row, width, 17),
                Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter,
                line,
            )


class VariantsStrip(QFrame):
    """A row of cards: the present settings first, then variants as they are ready."""

    taken = Signal(object)
    pinned = Signal(object)
    closed = Signal()
    keep_wanted = Signal()
    let_go = Signal(str)

    def __init__(self):
        super().__init__()
        self.setObjectName("variants")
        self.setFixedHeight(theme.px(_CARD.height() + 70))
        column = QVBoxLayout(self)
        column.setContentsMargins(10, 6, 10, 6)
        column.setSpacing(4)
        head = QHBoxLayout()
        head.addWidget(
            QLabel(self.tr("<b>Variants</b>  click one to take it, pin one to compare it through the curtain"))
        )
        head.addStretch(1)
        self._unpin = button(self.tr("Unpin"), "pin", self.tr("Show the source behind the curtain again"))
        self._unpin.clicked.connect(lambda: self.pin(None))
        self._unpin.hide()
        close = button(self.tr("Close"), tip=self.tr("Fold the strip away (V)"))
        close.clicked.connect(self.closed)
        keep = button(
            self.tr("Keep the present one"),
            "bookmark",
            self.tr("As an alternative in this project, to come back to or to compare"),
        )
        keep.clicked.connect(self.keep_wanted)
        head.addWidget(keep)
        head.addWidget(self._unpin)
        head.addWidget(close)
        column.addLayout(head)
        area = QScrollArea()
        area.setAccessibleName(self.tr("Variants side by side"))
        area.setWidgetResizable(True)
        area.setFrameShape(QFrame.Shape.NoFrame)
        area.setVerticalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        body = QWidget()
        self._row = QHBoxLayout(body)
        self._row.setContentsMargins(0, 0, 0, 0)
        self._row.setSpacing(8)
        area.setWidget(body)
        column.addWidget(area)
        self._words = {
            "cut-off": self.tr("Cut-off {0}"),
            "silhouette": self.tr("Silhouette"),
            "follows the light": self.tr("Follows the light"),
            "one cut-off": self.tr("One cut-off"),
            "colours": self.tr("{0} colours"),
            "tones": self.tr("{0} tones"),
            "outlines": self.tr("Outlines {0}"),
            "shortest branch": self.tr("Branches from {0}"),
            "as shapes": self.tr("Shapes {0} wide"),
            "kept": "{0}",
            "untouched": self.tr("Untouched"),
            "pen lines": self.tr("Pen lines"),
            "reading": self.tr("Reading: {0}"),
        }
        self._places: dict = {}
        self.cards: list[Card] = []

    def begin(self, work, paths, variants) -> None:
        """Show the present work and room for its variants."""
        clear(self._row)
        self._places, self.cards = {}, []
        figures = figures_of(work)
        self._add(Card(self.tr("Now"), self._lines(figures, work.recipe.unit), small_picture(work, paths), True))
        for one in variants:
            holder = QWidget()
            QVBoxLayout(holder).setContentsMargins(0, 0, 0, 0)
            holder.layout().addWidget(Card(self._title(one), (), None, False))
            holder.layout().addStretch(1)
            self._places[one] = holder
            self._row.addWidget(holder)
        self._row.addStretch(1)

    def fill(self, tried, unit: str) -> None:
        """A variant is ready."""
        holder = self._places.get(tried.variant)
        if holder is None:
            return
        clear(holder.layout())
        card = Card(self._title(tried.variant), self._lines(tried.figures, unit), tried.picture, False)
        card.clicked.connect(lambda: self.taken.emit(tried.variant.recipe))
        pin = QToolButton(card)
        pin.setIcon(theme.icon("pin", "INK"))
        pin.setToolTip(self.tr("Pin: compare this one with the present result through the curtain"))
        pin.setAccessibleName(self.tr("Pin {0}").format(self._title(tried.variant)))
        pin.setFixedSize(theme.size(30, 28))
        pin.move(_CARD.width() - 40, 10)
        pin.clicked.connect(lambda: self.pin(tried))
        if tried.variant.title[0] == "kept":
            gone = QToolButton(card)
            gone.setIcon(theme.icon("x", "INK"))
            gone.setToolTip(self.tr("Let this alternative go"))
            gone.setAccessibleName(self.tr("Let {0} go").format(tried.variant.title[1]))
            gone.setFixedSize(theme.size(30, 28))
            gone.move(10, 10)
            gone.clicked.connect(lambda: self.let_go.emit(tried.variant.title[1]))
        holder.layout().addWidget(card)
        holder.layout().addStretch(1)
        self.cards.append(card)

    def pin(self, tried) -> None:
        """Hold a variant behind the curtain; None lets it go."""
        self._unpin.setVisible(tried is not None)
        self.pinned.emit(tried)

    def title_of(self, tried) -> str:
        return self._title(tried.variant)

    def _add(self, card):
        holder = QWidget()
        QVBoxLayout(holder).setContentsMargins(0, 0, 0, 0)
        holder.layout().addWidget(card)
        holder.layout().addStretch(1)
        self._row.addWidget(holder)

    def _title(self, variant):
        word, value = variant.title
        words = {
            "smoother": self.tr("smoother"),
            "truer": self.tr("truer"),
            "on": self.tr("on"),
            "off": self.tr("off"),
            "tone": self.tr("tone"),
            "colour": self.tr("colour"),
            "photo": self.tr("photo"),
            "line": self.tr("line"),
        }
        return self._words[word].format(words.get(value, value))

    def _lines(self, figures, unit):
        about = "≈ " if figures.about else ""
        narrow = self.tr("nothing narrow") if figures.smallest_mm is None else self.tr("narrowest {0}").format(
            format_length(figures.smallest_mm, unit, 2))
        pieces = counted(figures.pieces, self.tr("1 piece"), self.tr("{0} pieces"))
        sheets = counted(figures.sheets, self.tr("1 sheet"), self.tr("{0} sheets"))
        return (
            f"{about}{pieces} · {sheets}",
            self.tr("{0}{1} nodes · {2}").format(about, figures.nodes, format_length(figures.cut_mm, unit, 0)),
            narrow,
        )
