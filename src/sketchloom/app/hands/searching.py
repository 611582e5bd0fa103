"""Gathers all that can be found: actions, what can be done to what is chosen, tools, boxes, and every control."""

from PySide6.QtCore import QObject, Qt, QTimer
from PySide6.QtGui import QKeySequence
from PySide6.QtWidgets import (
    QAbstractButton,
    QAbstractSpinBox,
    QApplication,
    QComboBox,
    QLineEdit,
    QScrollArea,
    QSlider,
    QWidget,
)

from sketchloom.app import actions
from sketchloom.app.parts.acts import ACTS, KINDS_NAMED
from sketchloom.app.parts.choice_strip import ActsGrid
from sketchloom.app.parts.command_search import CommandSearch, Entry
from sketchloom.app.parts.keys_table import KeysTable
from sketchloom.app.parts.spot import Spot
from sketchloom.app.parts.tool_row import ToolRow
from sketchloom.app.stages.drawer import Drawer
from sketchloom.app.stages.fold import Fold
from sketchloom.app.stages.numbers import CLEAN, LAYERS
from sketchloom.app.words import told
from sketchloom.recipe.document import SETTINGS

_CONTROLS = (QAbstractButton, QAbstractSpinBox, QComboBox, QLineEdit, QSlider)
_LONGEST_VALUE = 24


class Searching(QObject):
    """The search of a window; goes to what is found, opening what it lies in, and rings it."""

    def __init__(self, window, panels, stages, show_stage, actions_by_name, choosings):
        """``choosings``: what is chosen on the bench, by the stage in which it is."""
        super().__init__(window)
        self._window, self._panels, self._stages, self._show_stage = window, panels, stages, show_stage
        self._actions, self._choosings = actions_by_name, choosings
        self.spot = Spot(window)
        self.search = CommandSearch(window, self.entries)

    def entries(self) -> list[Entry]:
        """Everything that can be found now: what acts on the choice first."""
        return [*self._acts(), *self._of_actions(), *self._of_panels()]

    def show_keys(self) -> None:
        """The table of keys; what changes holds in every window at once."""
        table = KeysTable(self._window)
        table.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        table.kept.connect(_renew_keys)
        table.show()

    # -- what there is -----------------------------------------------------------------

    def _acts(self):
        can = set()
        for choosing in self._choosings.values():
            for act in choosing.acts():
                can.add((choosing.kind, act.name))
                yield Entry(told(act.words).rstrip("…"), self.tr("what is chosen"),
                            lambda c=choosing, a=act: c.do(a.name), told(act.near), told(act.about), "", act.key_text)
        for kind, acts in ACTS.items():
            stage = next(stage for stage, choosing in self._choosings.items() if kind in choosing.kinds)
            for act in acts:
                if (kind, act.name) not in can:
                    yield self._not_yet(kind, act, stage)

    def _not_yet(self, kind, act, stage):
        """An act on what is not chosen: it leads to where that can be done."""
        words = told(act.words).rstrip("…")
        return Entry(words, self.tr("{0}, in {1}").format(told(KINDS_NAMED[kind]), self._stages[stage]),
                     lambda: self._ask_to_choose(kind, act, stage), told(act.near), told(act.about), "", act.key_text,
                     "" if self._actions["tool_choose"].isEnabled() else self.tr("cannot be done now"))

    def _ask_to_choose(self, kind, act, stage):
        if stage == CLEAN:
            self._actions["tool_choose"].trigger()
        else:
            self._show_stage(stage)
        key = f" ({act.key_text})" if act.key_text else ""
        self._choosings[stage].ask_for(self.tr("Choose it on the bench first ({0}); then: {1}{2}.").format(
            told(KINDS_NAMED[kind]), told(act.words).rstrip("…"), key))

    def _of_actions(self):
        for row in actions.TABLE:
            action = self._actions[row.name]
            keys = actions.keys_of(row.name)
            value = "" if not row.is_switch else self.tr("on") if action.isChecked() else self.tr("off")
            where = (self._stages[CLEAN] if row.name.startswith("tool_") else
                     self._stages[LAYERS] if row.name.startswith("view_") else self.tr("everywhere"))
            yield Entry(
                row.plain, where, action.trigger, told(row.near), "", value,
                QKeySequence(keys[0]).toString(QKeySequence.SequenceFormat.NativeText) if keys else "",
                "" if action.isEnabled() else self.tr("cannot be done now"))

    def _of_panels(self):
        labels = {told(setting.label): setting for setting in SETTINGS.values() if setting.label}
        for number, panel in enumerate(self._panels):
            for fold in panel.findChildren(Fold):
                if not isinstance(fold, Drawer) or fold.is_offered:
                    yield Entry(fold.head.text().strip(), self._stages[number],
                                lambda n=number, f=fold: self._open(n, f))
            seen = set()
            for part in panel.findChildren(QWidget):
                words = _words_of(part) if isinstance(part, _CONTROLS) else ""
                where = self._where(number, panel, part)
                if not words or (words, where) in seen or not _is_reachable(part, panel):
                    continue
                seen.add((words, where))
                setting = labels.get(words)
                near = "" if setting is None or setting.word is None else setting.word.name.replace("_", " ")
                about = told(setting.about) if setting is not None else part.toolTip()
                yield Entry(words, where, lambda n=number, p=part: self.go_to(n, p), near, about, _value_of(part))

    def _where(self, number, panel, part):
        fold = _fold_of(part, panel)
        return self._stages[number] if fold is None else f"{self._stages[number]} · {fold.head.text().strip()}"

    # -- going there -------------------------------------------------------------------

    def _open(self, number, fold):
        self._show_stage(number)
        if isinstance(fold, Drawer):
            fold.call()
        else:
            fold.head.setChecked(True)
            fold.bring_into_view()
        QTimer.singleShot(0, self, lambda: self._ring(fold.head))

    def go_to(self, number: int, part: QWidget) -> None:
        """Show a control in its stage, with the focus on it."""
        self._show_stage(number)
        panel, at = self._panels[number], part
        while at is not None and at is not panel:
            if isinstance(at, Drawer):
                at.call()
            elif isinstance(at, Fold):
                at.head.setChecked(True)
            at = at.parentWidget()
        QTimer.singleShot(0, self, lambda: self._ring(part))

    def _ring(self, part):
        area = part.parentWidget()
        while area is not None and not isinstance(area, QScrollArea):
            area = area.parentWidget()
        if area is not None:
            area.widget().layout().activate()
            area.ensureWidgetVisible(part, 0, 80)
        if part.isVisible():
            part.setFocus()
            self.spot.stand_around(part)


def _renew_keys():
    for window in QApplication.topLevelWidgets():
        if hasattr(window, "actions_by_name"):
            actions.key_up(window.actions_by_name)


def _fold_of(part, panel):
    at = part.parentWidget()
    while at is not None and at is not panel:
        if isinstance(at, Fold):
            return at
        at = at.parentWidget()
    return None


def _is_reachable(part, panel):
    """Whether it is seen once its fold is opened; rows of tools and acts are listed by themselves."""
    at = part
    while at is not None and at is not panel:
        if isinstance(at, (ToolRow, ActsGrid)) or (isinstance(at, Fold) and part is at.head):
            return False
        if at.isHidden() and not isinstance(at, Fold) and not isinstance(at.parentWidget(), Fold):
            return False
        if isinstance(at, Drawer) and not at.is_offered:
            return False
        at = at.parentWidget()
    return True


def _words_of(part):
    if isinstance(part, QLineEdit) and isinstance(part.parentWidget(), (QAbstractSpinBox, QComboBox)):
        return ""  # the field within another control
    text = part.text() if isinstance(part, QAbstractButton) else ""
    return (part.accessibleName() or text).replace("&", "").rstrip("…").strip()


def _value_of(part):
    if isinstance(part, QAbstractButton):
        return "" if not part.isCheckable() else "✓" if part.isChecked() else ""
    text = part.currentText() if isinstance(part, QComboBox) else (
        str(part.value()) if isinstance(part, QSlider) else part.text())
    return text if len(text) <= _LONGEST_VALUE else text[:_LONGEST_VALUE - 1] + "…"
