"""The findings line: one line folded, a list unfolded, each with its place and its mend."""

from collections import Counter
from html import escape

from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtWidgets import QFrame, QHBoxLayout, QLabel, QScrollArea, QSizePolicy, QToolButton, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, clear, label, plain_tip
from sketchloom.app.words import told
from sketchloom.core.preflight.findings import NOTE, STOP, WARN

_ICONS = {
    NOTE: ("info-circle", theme.WOAD),
    WARN: ("alert-triangle", theme.WELD),
    STOP: ("alert-octagon", theme.MADDER),
}
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
        self._area.setFixedHeight(176)
        body = QWidget()
        self._rows = QVBoxLayout(body)
        self._rows.setContentsMargins(0, 0, 0, 0)
        self._rows.setSpacing(2)
        self._area.setWidget(body)
        self._area.hide()
        outer.addWidget(self._area)
        self._findings: tuple = ()
        self.show_findings(())

    def show_findings(self, findings) -> None:
        """Show findings, worst first."""
        ordered = tuple(sorted(findings, key=lambda f: _RANK[f.severity]))
        if ordered == self._findings and self._summary.text():
            return
        self._findings = ordered
        self._summarise()
        if self._area.isVisible():
            self._fill()

    def toggle(self) -> None:
        """Fold or unfold the list."""
        if self._fold.isEnabled():
            self._fold.toggle()

    def _summarise(self):
        if not self._findings:
            self._icon.setPixmap(theme.icon("circle-check", theme.MOSS).pixmap(QSize(18, 18)))
            self._summary.setText(self.tr("Nothing to look at."))
            self._fold.setChecked(False)
            self._fold.setEnabled(False)
            return
        self._fold.setEnabled(True)
        worst = self._findings[0]
        name, colour = _ICONS[worst.severity]
        self._icon.setPixmap(theme.icon(name, colour).pixmap(QSize(18, 18)))
        where = f"{worst.layer}: " if worst.layer else ""
        rest = self.tr("{0} findings").format(len(self._findings)) if len(self._findings) > 1 else self.tr("1 finding")
        self._summary.setText(f"{rest}  ·  {where}{told(worst.message)}")
        self._summary.setToolTip(plain_tip(told(worst.message)))

    def _unfold(self, on):
        self._area.setVisible(on)
        self._fold.setIcon(theme.icon("chevron-down" if on else "chevron-up", theme.INK))
        if on:
            self._fill()

    def _fill(self):
        clear(self._rows)
        count = Counter(finding.code for finding in self._findings)
        offered = set()
        severities = {NOTE: self.tr("note"), WARN: self.tr("warning"), STOP: self.tr("stop")}
        for finding in self._findings:
            row = QHBoxLayout()
            mark = QLabel()
            name, colour = _ICONS[finding.severity]
            mark.setPixmap(theme.icon(name, colour).pixmap(QSize(18, 18)))
            mark.setAccessibleName(severities[finding.severity])
            row.addWidget(mark, 0, Qt.AlignmentFlag.AlignTop)
            where = f"<b>{escape(finding.layer)}</b>: " if finding.layer else ""
            text = label(where + escape(told(finding.message)))
            text.setTextFormat(Qt.TextFormat.RichText)
            text.setToolTip(finding.code)
            row.addWidget(text, 1)
            if finding.x_px is not None:
                go = button(self.tr("Go there"), "target")
                go.clicked.connect(lambda _=False, f=finding: self.go_to.emit(f))
                row.addWidget(go, 0, Qt.AlignmentFlag.AlignTop)
            if finding.rule.mend:
                fix = button(told(finding.rule.mend))
                fix.clicked.connect(lambda _=False, f=finding: self.mend.emit(f))
                row.addWidget(fix, 0, Qt.AlignmentFlag.AlignTop)
                if count[finding.code] > 1 and finding.code not in offered:
                    offered.add(finding.code)
                    every = button(
                        self.tr("All of this kind"),
                        "circle-check",
                        self.tr("Mend every place of this kind; you see it before you keep it"),
                    )
                    every.clicked.connect(lambda _=False, f=finding: self.mend_all.emit(f.code))
                    row.addWidget(every, 0, Qt.AlignmentFlag.AlignTop)
            if finding.code == "trace.small_details":
                see = button(self.tr("See what was dropped"))
                see.clicked.connect(lambda _=False, f=finding: self.see.emit(f.code))
                row.addWidget(see, 0, Qt.AlignmentFlag.AlignTop)
            holder = QWidget()
            holder.setLayout(row)
            row.setContentsMargins(0, 2, 6, 2)
            self._rows.addWidget(holder)
        self._rows.addStretch(1)
