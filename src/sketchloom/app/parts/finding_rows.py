"""Findings in rows, one a kind, each with its place and its mend."""

from html import escape
from itertools import cycle

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QHBoxLayout, QLabel, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, clear, label
from sketchloom.app.words import told
from sketchloom.core.preflight.findings import NOTE, STOP, WARN

ICONS = {
    NOTE: ("info-circle", "WOAD"),
    WARN: ("alert-triangle", "WELD"),
    STOP: ("alert-octagon", "MADDER"),
}


def by_kind(findings) -> list[list]:
    """Findings of one kind together, in the order in which their first ones stand."""
    kinds: dict[str, list] = {}
    for finding in findings:
        kinds.setdefault(finding.code, []).append(finding)
    return list(kinds.values())


class FindingRows(QWidget):
    """A row a kind; ``is_narrow``: what can be done stands below the words. ``grown`` when rows came or went."""

    go_to = Signal(object)
    mend = Signal(object)
    mend_all = Signal(str)
    see = Signal(str)
    grown = Signal()

    def __init__(self, is_narrow: bool = False):
        super().__init__()
        self._is_narrow = is_narrow
        self.rows = QVBoxLayout(self)
        self.rows.setContentsMargins(0, 0, 0, 0)
        self.rows.setSpacing(2)

    def show_findings(self, findings) -> None:
        """Show these, in their order."""
        clear(self.rows)
        for alike in by_kind(findings):
            first = alike[0]
            if len(alike) == 1:
                self.rows.addWidget(self._row(first, self._buttons(first)))
                continue
            places = QWidget()
            column = QVBoxLayout(places)
            column.setContentsMargins(24, 0, 0, 4)
            column.setSpacing(2)
            self.rows.addWidget(self._row(first, self._buttons_of_all(alike, places), len(alike)))
            self.rows.addWidget(places)
            places.hide()
        if not self._is_narrow:
            self.rows.addStretch(1)
        self.grown.emit()

    def _row(self, finding, buttons, count=1):
        holder = QWidget()
        row = QHBoxLayout(holder)
        row.setContentsMargins(0, 2, 6, 2)
        mark = QLabel()
        name, colour = ICONS[finding.severity]
        theme.mark(mark, name, colour)
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
        if not self._is_narrow:
            for part in buttons:
                row.addWidget(part, 0, Qt.AlignmentFlag.AlignTop)
            return holder
        whole = QWidget()
        column = QVBoxLayout(whole)
        column.setContentsMargins(0, 0, 0, 4)
        column.setSpacing(3)
        column.addWidget(holder)
        for part in buttons:
            column.addWidget(part)
        return whole

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
        self.grown.emit()
