"""The checks before a work leaves, each with how it stands, its place and its mend; those wanted are chosen here."""

from itertools import cycle

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QCheckBox, QHBoxLayout, QLabel, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.finding_rows import ICONS
from sketchloom.app.parts.widgets import button, clear, counted, label
from sketchloom.app.words import told
from sketchloom.core.preflight.checklist import CARVED, FILES, OFF, PASSED, PLAN, UNKNOWN
from sketchloom.core.preflight.findings import NOTE, STOP, WARN

_SIGNS = {**ICONS, PASSED: ("circle-check", "MOSS"), UNKNOWN: ("circle", "INK_SOFT"),
          OFF: ("minus", "INK_SOFT")}


class ChecksBox(QWidget):
    """``go_to``, ``mend``: a finding; ``chosen`` when another set of checks is wanted."""

    go_to = Signal(object)
    mend = Signal(object)
    chosen = Signal()

    def __init__(self):
        super().__init__()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(4)
        self._sign, self._summary = QLabel(), label("")
        self.all = button(self.tr("All checks"), tip=self.tr("Every check, and which of them are wanted"),
                          checkable=True)
        self.all.toggled.connect(lambda _: self._fill())
        head = QHBoxLayout()
        head.setSpacing(6)
        head.addWidget(self._sign, 0, Qt.AlignmentFlag.AlignTop)
        head.addWidget(self._summary, 1)
        head.addWidget(self.all, 0, Qt.AlignmentFlag.AlignTop)
        column.addLayout(head)
        body = QWidget()
        self._rows = QVBoxLayout(body)
        self._rows.setContentsMargins(0, 0, 0, 0)
        self._rows.setSpacing(2)
        column.addWidget(body)
        self.unchecked: frozenset[str] = frozenset()
        self._checked: tuple = ()
        self.show_checks(())

    def take(self, unchecked) -> None:
        """Which checks are not wanted."""
        self.unchecked = frozenset(unchecked)

    def show_checks(self, checked, being_made: bool = False) -> None:
        """How each check stands; nothing where it is not known, or ``being_made``."""
        if checked and checked == self._checked:
            return
        self._checked = tuple(checked)
        wanted = [c for c in self._checked if c.state != OFF]
        worst = max((c.state for c in wanted), key=_RANK.index, default=UNKNOWN)
        self._put_sign(self._sign, worst)
        passed = sum(c.state == PASSED for c in wanted)
        if not self._checked:
            text = (self.tr("Being checked …") if being_made
                    else self.tr("Checked once the exact result is there."))
        elif passed == len(wanted):
            text = self.tr("All {0} checks pass.").format(passed)
        else:
            text = self.tr("{0} of {1} checks pass.").format(passed, len(wanted))
            unknown = sum(c.state == UNKNOWN for c in wanted)
            if unknown:
                text += " " + counted(unknown, self.tr("1 is not made yet."), self.tr("{0} are not made yet.")).format(
                    unknown)
        self._summary.setText(text)
        self.all.setEnabled(bool(self._checked))
        self._fill()

    def _put_sign(self, part, state):
        name, colour = _SIGNS[state]
        theme.mark(part, name, colour)
        part.setAccessibleName({NOTE: self.tr("note"), WARN: self.tr("warning"), STOP: self.tr("stop"),
                                PASSED: self.tr("passed"), UNKNOWN: self.tr("not made yet"),
                                OFF: self.tr("not wanted")}[state])

    def _fill(self):
        clear(self._rows)
        for one in self._checked:
            if self.all.isChecked() or one.state in ICONS:
                self._rows.addWidget(self._row(one))

    def _row(self, one):
        holder = QWidget()
        holder.setObjectName(f"check-{one.check.key}")
        row = QHBoxLayout(holder)
        row.setContentsMargins(0, 2, 0, 2)
        row.setSpacing(6)
        sign = QLabel()
        self._put_sign(sign, one.state)
        row.addWidget(sign, 0, Qt.AlignmentFlag.AlignTop)
        text = QVBoxLayout()
        text.setSpacing(2)
        if self.all.isChecked():
            text.addWidget(self._tick(one))
        said = self._said(one)
        if said:
            words = label(said, "" if one.findings else "quiet")
            words.setToolTip("\n".join(sorted({f.code for f in one.findings})))
            text.addWidget(words)
        acts = list(self._acts(one))
        if acts:
            line = QHBoxLayout()
            line.setSpacing(4)
            for act in acts:
                line.addWidget(act)
            line.addStretch(1)
            text.addLayout(line)
        row.addLayout(text, 1)
        return holder

    def _tick(self, one):
        tick = QCheckBox(told(one.check.title))
        tick.setChecked(one.state != OFF)
        tick.setEnabled(not one.check.must)
        tick.setToolTip(self.tr("Somebody may be hurt: it is always made") if one.check.must
                        else self.tr("Whether this is checked for whoever gets it"))
        tick.clicked.connect(lambda on, key=one.check.key: self._choose(key, on))
        return tick

    def _said(self, one):
        if one.findings:
            more = len(one.findings) - 1
            text = told(one.findings[0].message)
            return text + (" " + counted(more, self.tr("And 1 more."), self.tr("And {0} more.")).format(more)
                           if more else "")
        if one.state == UNKNOWN:
            return {CARVED: self.tr("Known once Sheets has carved the blank."),
                    PLAN: self.tr("Known once the sheets are planned."),
                    FILES: self.tr("Known once the files were looked at.")}[one.check.waits_for]
        return ""

    def _acts(self, one):
        placed = [f for f in one.findings if f.x_px is not None]
        if placed:
            turn = cycle(placed)
            go = button(self.tr("Go there") if len(placed) == 1 else self.tr("Go to the next"), "target")
            go.clicked.connect(lambda: self.go_to.emit(next(turn)))
            yield go
        first = next((f for f in one.findings if f.rule.mend), None)
        if first is not None:
            fix = button(told(first.rule.mend))
            fix.clicked.connect(lambda: self.mend.emit(first))
            yield fix

    def _choose(self, key, on):
        self.unchecked = self.unchecked - {key} if on else self.unchecked | {key}
        self.chosen.emit()


_RANK = (OFF, PASSED, UNKNOWN, NOTE, WARN, STOP)
