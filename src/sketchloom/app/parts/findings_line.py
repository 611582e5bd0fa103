"""The findings line: one line folded, a list unfolded, each with its place and its mend."""

from PySide6.QtCore import Qt, QTimer, Signal
from PySide6.QtWidgets import QFrame, QHBoxLayout, QLabel, QScrollArea, QSizePolicy, QToolButton, QVBoxLayout

from sketchloom.app import theme
from sketchloom.app.parts.finding_rows import ICONS, FindingRows, by_kind
from sketchloom.app.parts.widgets import counted, plain_tip
from sketchloom.app.words import told
from sketchloom.core.preflight.findings import NOTE, STOP, WARN

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
        self._fold.setIcon(theme.icon("chevron-up", "INK"))
        self._fold.toggled.connect(self._unfold)
        head.addWidget(self._icon)
        head.addWidget(self._summary, 1)
        head.addWidget(self._fold)
        outer.addLayout(head)
        self._area = QScrollArea()
        self._area.setAccessibleName(self.tr("Findings, the worst first"))
        self._area.setWidgetResizable(True)
        self._rows = FindingRows()
        for said in ("go_to", "mend", "mend_all", "see"):
            getattr(self._rows, said).connect(getattr(self, said))
        self._rows.grown.connect(lambda: QTimer.singleShot(0, self, self._fit))  # once the rows have their sizes
        self._area.setWidget(self._rows)
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
        theme.mark(self._icon, "info-circle", "WOAD")
        self._summary.setText(text)
        self._summary.setToolTip("")
        self._fold.setChecked(False)
        self._fold.setEnabled(False)

    def stand_beside(self, troubled: bool) -> None:
        """Whether a message of something that failed stands: then not all is well."""
        self._troubled = troubled
        if self._is_known:
            self._summarise()

    @property
    def is_open(self) -> bool:
        """Whether the list is unfolded."""
        return self._fold.isChecked()

    def toggle(self) -> None:
        """Fold or unfold the list."""
        if self._fold.isEnabled():
            self._fold.toggle()

    def _summarise(self):
        if not self._findings:
            icon, colour = ("info-circle", "WOAD") if self._troubled else ("circle-check", "MOSS")
            theme.mark(self._icon, icon, colour)
            self._summary.setText(self.tr("Nothing to look at in the result; something failed, see its message.")
                                  if self._troubled else self.tr("Nothing to look at."))
            self._summary.setToolTip("")
            self._fold.setChecked(False)
            self._fold.setEnabled(False)
            return
        self._fold.setEnabled(True)
        worst = self._findings[0]
        name, colour = ICONS[worst.severity]
        theme.mark(self._icon, name, colour)
        where = f"{worst.layer}: " if worst.layer else ""
        kinds, places = len(by_kind(self._findings)), len(self._findings)
        rest = counted(places, self.tr("1 finding"), self.tr("{0} findings"))
        if 1 < kinds < places:
            rest = self.tr("{0} of {1} kinds").format(rest, kinds)
        self._summary.setText(f"{rest}  ·  {where}{told(worst.message)}")
        self._summary.setToolTip(plain_tip(told(worst.message)))

    def _unfold(self, on):
        self._area.setVisible(on)
        self._fold.setIcon(theme.icon("chevron-down" if on else "chevron-up", "INK"))
        if on:
            self._fill()

    def _fill(self):
        self._rows.show_findings(self._findings)

    def _fit(self):
        """As high as the rows need, up to about six of them."""
        self._area.widget().ensurePolished()
        self._rows.rows.invalidate()
        wide = max(self._area.viewport().width(), theme.px(_MOST_HEIGHT))
        rows = self._rows.rows
        high = rows.totalHeightForWidth(wide) if rows.hasHeightForWidth() else rows.sizeHint().height()
        self._area.setFixedHeight(min(theme.px(_MOST_HEIGHT), high + theme.px(8)))
