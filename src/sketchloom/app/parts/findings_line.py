"""The findings line: one line folded, a list unfolded, each with its place and its mend."""

from html import escape
from itertools import cycle

from PySide6.QtCore import Qt, QTimer, Signal
from PySide6.QtWidgets import QFrame, QHBoxLayout, QLabel, QScrollArea, QSizePolicy, QToolButton, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, clear, counted, label, plain_tip
from sketchloom.app.words import told
from sketchloom.core.preflight.findings import NOTE, STOP, WARN

ICONS = {
    NOTE: ("info-circle", theme.WOAD),
    WARN: ("alert-triangle", theme.WELD),
    STOP: ("alert-octagon", theme.MADDER),
}
_MOST_HEIGHT = 176
_RANK = {STOP: 0, WARN: 1, NOTE: 2}


class FindingsLine(QFrame):
    """Shows findings; asks for a place or a mend."""

    go_to = Signal(object)
    mend = Signal(object)
    mend_all = Signal(str)
    see = Signal(str)

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setObjectName("findings")
        outer = QVBoxLayout(self)
        outer.setContentsMargins(10, 4, 10, 4)
        outer.setSpacing(4)
        head = QHBoxLayout()
        self._icon = QLabel()
        self._summary = QLabel()
        self._summary.setTextFormat(Qt.TextFormat.PlainText)
        self._summary.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Preferred)
        self._fold = QToolButton()
        self._fold.setCheckable(True)
        self._fold.setObjectName("fold")
        self._fold.setAccessibleName(self.tr("Show all findings"))
        self._fold.setToolTip(self.tr("Show all findings (Ctrl+L)"))
        self._fold.setIcon(theme.icon("chevron-up", theme.INK))
        self._fold.toggled.connect(self._unfold)
        head.addWidget(self._icon)
        head.addWidget(self._summary, 1)
        head.addWidget(self._fold)
        outer.addLayout(head)
        self._area = QScrollArea()
        self._area.setWidgetResizable(True)
        body = QWidget()
        self._rows = QVBoxLayout(body)
        self._rows.setContentsMargins(0, 0, 0, 0)
        self._rows.setSpacing(2)
        self._area.setWidget(body)
        self._area.hide()
        outer.addWidget(self._area)
        self._findings: tuple = ()
        self._is_known, self._troubled = True, False
        self.show_findings(())

    def show_findings(self, findings) -> None:
        """Show findings, worst first."""
        ordered = tuple(sorted(findings, key=lambda f: _RANK[f.severity]))
        if ordered and ordered == self._findings:
            return
        self._findings, self._is_known = ordered, True
        self._summarise()
        if self._area.isVisible():
            self._fill()

    def show_unknown(self, text: str) -> None:
        """Say why nothing is known."""
        self._findings, self._is_known = (), False
        self._icon.setPixmap(theme.icon("info-circle", theme.WOAD).pixmap(theme.size(18, 18)))
        self._summary.setText(text)
        self._summary.setToolTip("")
        self._fold.setChecked(False)
        self._fold.setEnabled(False)

    def stand_beside(self, troubled: bool) -> None:
        """Whether a message of something that failed stands: then not all is well."""
        self._troubled = troubled
        if self._is_known:
            self._summarise()

    def toggle(self) -> None:
        """Fold or unfold the list."""
        if self._fold.isEnabled():
            self._fold.toggle()

    def _summarise(self):
        if not self._findings:
            icon, colour = ("info-circle", theme.WOAD) if self._troubled else ("circle-check", theme.MOSS)
            self._icon.setPixmap(theme.icon(icon, colour).pixmap(theme.size(18, 18)))
            self._summary.setText(self.tr("Nothing to look at in the result; something failed, see its message.")
                                  if self._troubled else self.tr("Nothing to look at."))
            self._summary.setToolTip("")
            self._fold.setChecked(False)
            self._fold.setEnabled(False)
            return
        self._fold.setEnabled(True)
        worst = self._findings[0]
        name, colour = ICONS[worst.severity]
        self._icon.setPixmap(theme.icon(name, colour).pixmap(theme.size(18, 18)))
        where = f"{worst.layer}: " if worst.layer else ""
        kinds, places = len(_by_kind(self._findings)), len(self._findings)
        rest = counted(places, self.tr("1 finding"), self.tr("{0} findings"))
        if 1 < kinds < places:
            rest = self.tr("{0} of {1} kinds").format(rest, kinds)
        self._summary.setText(f"{rest}  ·  {where}{told(worst.message)}")
        self._summary.setToolTip(plain_tip(told(worst.message)))

    def _unfold(self, on):
        self._area.setVisible(on)
        self._fold.setIcon(theme.icon("chevron-down" if on else "chevron-up", theme.INK))
        if on:
            self._fill()

    def _fill(self):
        clear(self._rows)
        for alike in _by_kind(self._findings):
            first = alike[0]
            if len(alike) == 1:
                self._rows.addWidget(self._row(first, self._buttons(first)))
                continue
            places = QWidget()
            column = QVBoxLayout(places)
            column.setContentsMargins(24, 0, 0, 4)
            column.setSpacing(2)
            self._rows.addWidget(self._row(first, self._buttons_of_all(alike, places), len(alike)))
            self._rows.addWidget(places)
            places.hide()
        self._rows.addStretch(1)
        QTimer.singleShot(0, self, self._fit)

    def _row(self, finding, buttons, count=1):
        holder = QWidget()
        row = QHBoxLayout(holder)
        row.setContentsMargins(0, 2, 6, 2)
        mark = QLabel()
        name, colour = ICONS[finding.severity]
        mark.setPixmap(theme.icon(name, colour).pixmap(theme.size(18, 18)))
        severities = {NOTE: self.tr("note"), WARN: self.tr("warning"), STOP: self.tr("stop")}
        mark.setAccessibleName(severities[finding.severity])
        row.addWidget(mark, 0, Qt.AlignmentFlag.AlignTop)
        where = f"<b>{escape(finding.layer)}</b>: " if finding.layer else ""
        if count > 1:
            many, worst = self.tr("{0} places").format(count), self.tr("the worst:")
            where = f"<b>{escape(many)}</b>  ·  {escape(worst)} {where}"
        text = label(where + escape(told(finding.message)))
        text.setTextFormat(Qt.TextFormat.RichText)
        text.setToolTip(finding.code)
        row.addWidget(text, 1)
        for part in buttons:
            row.addWidget(part, 0, Qt.AlignmentFlag.AlignTop)
        return holder

    def _buttons(self, finding):
        """What can be done about one finding."""
        if finding.x_px is not None:
            go = button(self.tr("Go there"), "target")
            go.clicked.connect(lambda: self.go_to.emit(finding))
            yield go
        if finding.rule.mend:
            fix = button(told(finding.rule.mend))
            fix.clicked.connect(lambda: self.mend.emit(finding))
            yield fix
        if finding.code == "trace.small_details":
            see = button(self.tr("See what was dropped"))
            see.clicked.connect(lambda: self.see.emit(finding.code))
            yield see

    def _buttons_of_all(self, alike, places):
        """What can be done about all of a kind; ``places`` takes a row for each once it is unfolded."""
        with_place = [finding for finding in alike if finding.x_px is not None]
        if with_place:
            turn = cycle(with_place)
            go = button(self.tr("Go to the next"), "target")
            go.clicked.connect(lambda: self.go_to.emit(next(turn)))
            yield go
        if alike[0].rule.mend:
            every = button(self.tr("All: {0}").format(told(alike[0].rule.mend)), "circle-check",
                           self.tr("Mend every place of this kind; you see it before you keep it"))
            every.clicked.connect(lambda: self.mend_all.emit(alike[0].code))
            yield every
        one_by_one = button(self.tr("One by one"), checkable=True)
        one_by_one.setObjectName("fold")
        one_by_one.toggled.connect(lambda on: self._show_places(places, alike, on))
        yield one_by_one

    def _show_places(self, places, alike, on):
        if on and not places.layout().count():
            for finding in alike:
                places.layout().addWidget(self._row(finding, self._buttons(finding)))
        places.setVisible(on)
        QTimer.singleShot(0, self, self._fit)  # once the rows have their sizes

    def _fit(self):
        """As high as the rows need, up to about six of them."""
        self._area.widget().ensurePolished()
        self._rows.invalidate()
        wide = max(self._area.viewport().width(), theme.px(_MOST_HEIGHT))
        rows = self._rows
        high = rows.totalHeightForWidth(wide) if rows.hasHeightForWidth() else rows.sizeHint().height()
        self._area.setFixedHeight(min(theme.px(_MOST_HEIGHT), high + theme.px(8)))


def _by_kind(findings):
    """Findings of one kind together, in the order in which their first ones stand."""
    kinds: dict[str, list] = {}
    for finding in findings:
        kinds.setdefault(finding.code, []).append(finding)
    return list(kinds.values())
