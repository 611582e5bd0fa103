"""Small parts that the panels share."""

from functools import lru_cache
from html import escape

from PySide6.QtCore import QEvent, Qt, QTimer, Signal
from PySide6.QtGui import QColor, QIcon, QPainter, QPen, QPixmap
from PySide6.QtWidgets import (
    QButtonGroup,
    QFrame,
    QGridLayout,
    QHBoxLayout,
    QHeaderView,
    QLabel,
    QPushButton,
    QScrollArea,
    QTableWidget,
    QVBoxLayout,
    QWidget,
)

from sketchloom.app import theme


def label(text: str, kind: str = "") -> QLabel:
    made = QLabel(text)
    made.setTextFormat(Qt.TextFormat.PlainText)  # names of layers may hold anything
    made.setWordWrap(True)
    if kind:
        made.setObjectName(kind)
    return made


def button(text: str, icon_name: str = "", tip: str = "", checkable: bool = False) -> QPushButton:
    made = QPushButton(text)
    if icon_name:
        made.setIcon(theme.icon(icon_name, "INK", "ON_WOAD"))
    if tip:
        made.setToolTip(tip)
    made.setCheckable(checkable)
    return made


def plain_tip(text: str) -> str:
    """A tip with names in it that may hold anything: marks of rich text are shown as they are."""
    return f"<qt>{escape(text)}</qt>" if "<" in text else text


def put(column, parts, spacing: int = 8) -> None:
    """Add widgets or layouts to a column; a tuple of widgets stands side by side."""
    for part in parts:
        if isinstance(part, tuple):
            row = QHBoxLayout()
            row.setSpacing(spacing)
            for widget in part:
                row.addWidget(widget)
            column.addLayout(row)
        elif isinstance(part, QWidget):
            column.addWidget(part)
        else:
            column.addLayout(part)


_SOON_MS = 100


class Panel(QScrollArea):
    """A column of settings that scrolls up and down when it must, and ``needs`` a width, so that nothing is cut."""

    needs = Signal(int)

    def __init__(self, title: str, parent=None):
        super().__init__(parent)
        self.setWidgetResizable(True)
        self.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        body = QWidget()
        self.column = QVBoxLayout(body)
        self.column.setContentsMargins(16, 14, 16, 14)
        self.column.setSpacing(8)
        self._heading = label("", "heading")
        self.column.addWidget(self._heading)
        self.head(title)
        self.setWidget(body)
        # what nobody sees is measured once all of it is there, yet before a hand acts: it would move the bench
        self._later = QTimer(self, singleShot=True, interval=_SOON_MS)
        self._later.timeout.connect(self._measure_unseen)
        body.installEventFilter(self)

    def eventFilter(self, watched, event):
        if watched is self.widget() and event.type() == QEvent.Type.LayoutRequest:
            if self.isVisible():
                self.tell_need()
            else:
                self._later.start()
        return super().eventFilter(watched, event)

    def showEvent(self, event):
        super().showEvent(event)
        self.tell_need()

    def _measure_unseen(self):
        self.widget().layout().activate()  # else it would not say when it changes again
        self.tell_need()

    def tell_need(self) -> None:
        """Say what width it needs."""
        self.needs.emit(self.widget().minimumSizeHint().width() + self.verticalScrollBar().sizeHint().width())

    def head(self, title: str) -> None:
        """What stands above all, which is its name, too."""
        self._heading.setText(title)
        self.setAccessibleName(title)

    def add(self, *parts) -> None:
        """Widgets or layouts below each other; a tuple stands side by side."""
        put(self.column, parts)

    def place(self, box) -> None:
        """Controls that are made from descriptions, below all others."""
        self.placed = box
        box.change.connect(self.change)
        self.column.insertWidget(max(self.column.count() - 1, 0), box)

    def purpose(self) -> str:
        """What the stage is for, in a sentence or two."""
        return ""

    def landmarks(self) -> tuple:
        """Its main parts, each with what it is for; from the top."""
        return ()

    def section(self, text: str) -> QLabel:
        """A heading within."""
        made = label(text, "section")
        self.column.addWidget(made)
        return made


class Choice(QWidget):
    """A few options side by side, one of them taken."""

    chosen = Signal(str)

    def __init__(self, options, name: str, columns: int | None = None):
        """``columns`` where they take more than one row."""
        super().__init__()
        self.setAccessibleName(name)
        grid = QGridLayout(self)
        grid.setContentsMargins(0, 0, 0, 0)
        grid.setSpacing(4)
        self._group = QButtonGroup(self)
        self._keys = [key for key, _, _ in options]
        for number, (_, text, tip) in enumerate(options):
            part = button(text, tip=tip, checkable=True)
            part.setAccessibleName(f"{name}: {text}")
            self._group.addButton(part, number)
            grid.addWidget(part, *divmod(number, columns or len(options)))
        self._group.idClicked.connect(lambda number: self.chosen.emit(self._keys[number]))

    def show_value(self, key: str) -> None:
        self._group.button(self._keys.index(key)).setChecked(True)

    def let(self, keys) -> None:
        """Only some of the options are there."""
        for number, key in enumerate(self._keys):
            self._group.button(number).setVisible(key in keys)

    def name_options(self, texts) -> None:
        """Other words on the same options."""
        for number, text in enumerate(texts):
            self._group.button(number).setText(text)
            self._group.button(number).setAccessibleName(f"{self.accessibleName()}: {text}")


def say_on(part: QLabel, text: str, kind: str) -> None:
    """Show a text on a label as another kind of it, as of ``label``."""
    part.setObjectName(kind)
    part.style().unpolish(part)
    part.style().polish(part)
    part.setText(text)
    part.show()


def rows_of(*parts) -> QWidget:
    """Parts in a grid two wide, of one width each."""
    whole = QWidget()
    grid = QGridLayout(whole)
    grid.setContentsMargins(0, 0, 0, 0)
    grid.setSpacing(6)
    for n, part in enumerate(parts):
        grid.addWidget(part, n // 2, n % 2)
    return whole


def figures_table(columns: int, name: str, row_px: int) -> QTableWidget:
    """A table of figures whose rows are clicked to take them."""
    table = QTableWidget(0, columns)
    table.setAccessibleName(name)
    table.verticalHeader().hide()
    table.verticalHeader().setDefaultSectionSize(theme.px(row_px))
    table.setEditTriggers(QTableWidget.EditTrigger.NoEditTriggers)
    table.setSelectionBehavior(QTableWidget.SelectionBehavior.SelectRows)
    table.setSelectionMode(QTableWidget.SelectionMode.SingleSelection)
    table.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
    table.setVerticalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
    table.horizontalHeader().setSectionResizeMode(QHeaderView.ResizeMode.Stretch)
    return table


UNKNOWN = "…"


class Figures(QFrame):
    """Names and values in two columns, the consequences of what is set above."""

    def __init__(self):
        super().__init__()
        self._grid = QGridLayout(self)
        self._grid.setContentsMargins(0, 2, 0, 2)
        self._grid.setVerticalSpacing(3)
        self._rows: dict[str, tuple[QLabel, QLabel]] = {}

    def show_values(self, values, known: bool = True) -> None:
        """Show figures; what is not ``known`` yet is shown as that, whatever a preview says."""
        values = tuple((name, text if known else UNKNOWN) for name, text in values)
        if tuple(name for name, _ in values) != tuple(self._rows):
            self._lay_out([name for name, _ in values])
        for name, text in values:
            self._rows[name][1].setText(text)

    def _lay_out(self, names):
        """Rows in this order; those no longer shown go."""
        rows, self._rows = self._rows, {}
        for row, name in enumerate(names):
            named, value = rows.pop(name, None) or self._row(name)
            self._grid.addWidget(named, row, 0)
            self._grid.addWidget(value, row, 1)
            self._rows[name] = named, value
        for pair in rows.values():
            for part in pair:
                self._grid.removeWidget(part)
                part.deleteLater()

    def _row(self, name):
        named, value = label(name, "quiet"), label("")
        named.setAlignment(Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignTop)
        value.setAlignment(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignTop)
        value.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
        return named, value


def nodes_text(work) -> str:
    """Number of nodes; a rough result has none yet."""
    return UNKNOWN if work.rough else str(sum(layer.outline.segments for layer in work.layers))


def counted(number: int, one: str, many: str) -> str:
    """A number with its noun."""
    return one if number == 1 else many.format(number)


def swatch(hex_colour: str, size: int = 22) -> QIcon:
    """A square of a colour with an edge that shows on any ground."""
    return _swatch(hex_colour, size, theme.INK_SOFT)


@lru_cache(maxsize=512)
def _swatch(hex_colour, size, edge):
    pixmap = QPixmap(size * 2, size * 2)
    pixmap.setDevicePixelRatio(2)
    pixmap.fill(Qt.GlobalColor.transparent)
    painter = QPainter(pixmap)
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    painter.setPen(QPen(QColor(edge), 1))
    painter.setBrush(QColor(hex_colour))
    painter.drawRoundedRect(1, 1, size - 2, size - 2, 4, 4)
    painter.end()
    made = QIcon(pixmap)
    made.addPixmap(pixmap, QIcon.Mode.Selected)  # a chosen row must not tint the colour
    return made


def clear(layout) -> None:
    """Take all widgets out of a layout."""
    while layout.count():
        item = layout.takeAt(0)
        if item.widget():
            item.widget().deleteLater()
        elif item.layout():
            clear(item.layout())

