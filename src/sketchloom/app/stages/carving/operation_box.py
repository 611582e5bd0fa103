"""One operation: on what, with which tool, how deep."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QHBoxLayout, QMenu, QVBoxLayout, QWidget

from sketchloom.app.parts.widgets import button
from sketchloom.app.stages.carving.fields import Fields
from sketchloom.app.words import named
from sketchloom.core.carve import operations as ops
from sketchloom.core.carve.operations import Operation
from sketchloom.evaluate.carving import tools_of
from sketchloom.evaluate.targets import targets_of
from sketchloom.files import user_data

ROWS = {
    ops.PROFILE: ("depth_mm", "side", "tabs", "tab_mm", "lead_mm"),
    ops.POCKET: ("depth_mm", "from_mm", "way", "raised", "rest_of"),
    ops.GROOVE: ("depth_mm", "from_mm"),
    ops.CARVE: ("from_mm", "flat_mm", "raised", "clear_with"),
    ops.ENGRAVE: ("depth_mm", "from_mm"),
    ops.DRILLING: ("depth_mm", "from_mm"),
    ops.SURFACE: ("depth_mm", "raised"),
    ops.EDGE: ("depth_mm",),
}
"""Settings that each kind of operation shows beside its target and its tool."""
_SPEEDS = ("down_mm", "step_mm", "feed", "plunge")


class OperationBox(QWidget):
    """``changed``: the name of a setting and its value."""

    changed = Signal(str, object)

    def __init__(self, pointing):
        super().__init__()
        self._one = self._work = None
        self.fields = Fields(Operation)
        self.target, self.tool, self.rest, self.clear = QComboBox(), QComboBox(), QComboBox(), QComboBox()
        for name, part, text in (("of", self.target, self.tr("On")), ("tool", self.tool, self.tr("Tool")),
                                 ("rest_of", self.rest, self.tr("Only what is left by")),
                                 ("clear_with", self.clear, self.tr("Wide ground cleared by"))):
            part.setAccessibleName(text)
            part.activated.connect(lambda _, n=name, p=part: self.changed.emit(n, p.currentData()))
            self.fields.put(name, part, text)
        for name in ("depth_mm", "from_mm", "side", "tabs", "tab_mm", "lead_mm", "way", "flat_mm"):
            self.fields.add(name)
        self.raised = button("", "", self.tr("What stays standing in it"))
        self.raised.setMenu(QMenu(self.raised))
        self.fields.put("raised", self.raised, self.tr("Stays standing"))
        for name in _SPEEDS:
            self.fields.add(name)
        self.fields.changed.connect(self.changed)
        self.point = pointing.button(self.tr("Point at it"), self.tr(
            "Click on the blank what it is to be carved on; another click there means what lies below"),
            lambda target: self.changed.emit("of", target))
        self.point_raised = pointing.button(self.tr("Point at what stands"), self.tr(
            "Click on the blank what is to stay standing; again, and it does not"), self.toggle_raised)
        self.speeds = button(self.tr("Passes and feed"), "adjustments-horizontal", self.tr(
            "Of this operation alone; 0 for those of its tool"), checkable=True)
        self.speeds.toggled.connect(lambda _: self._show_rows())
        row = QHBoxLayout()
        row.setSpacing(6)
        row.addWidget(self.point)
        row.addWidget(self.point_raised)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(8)
        column.addLayout(row)
        column.addWidget(self.fields)
        column.addWidget(self.speeds)

    def show_one(self, one: Operation | None, work) -> None:
        """An operation of a work; None for none."""
        self._one, self._work = one, work
        self.setVisible(one is not None)
        if one is None:
            return
        targets = targets_of(work)
        fill(self.target, [(self.words(t), t) for t in (*targets, *(() if one.of in targets else (one.of,)))])
        tools = [(named(t.name), t.key) for t in known_tools(work.recipe)]
        fill(self.tool, tools)
        for part in (self.rest, self.clear):
            fill(part, [(self.tr("– all of it –") if part is self.rest else self.tr("– the V itself –"), ""), *tools])
        self._fill_raised(targets)
        self._show_rows()
        self.fields.show_values(one, work.recipe.unit)

    def _show_rows(self):
        rows = ROWS[self._one.kind]
        self.fields.show_names(("of", "tool", *rows, *(_SPEEDS if self.speeds.isChecked() else ())))
        self.point_raised.setVisible("raised" in rows)

    def words(self, target, work=None) -> str:
        """What a target is called."""
        if target.kind == ops.LAYER:
            layers = (work or self._work).layers
            plan = next((layer.plan for layer in layers if layer.plan.key == target.key), None)
            return self.tr("a layer that is gone") if plan is None else plan.name
        if target.kind == ops.SHAPE:
            return target.key or self.tr("a figure")
        return {ops.LINE: self.tr("a line"), ops.BOARD: self.tr("the blank's outline"),
                ops.FIELD: self.tr("the field"), ops.MIDDLE: self.tr("the middle of the rim"),
                ops.REGION: self.tr("a region"), ops.WORK: self.tr("all of the work")}[target.kind]

    def _fill_raised(self, targets):
        menu, raised = self.raised.menu(), self._one.raised
        menu.clear()
        for target in (*targets, *(t for t in raised if t not in targets)):
            if target != self._one.of:
                act = menu.addAction(self.words(target), lambda t=target: self.toggle_raised(t))
                act.setCheckable(True)
                act.setChecked(target in raised)
        self.raised.setText(self.tr("nothing") if not raised else self.words(raised[0]) if len(raised) == 1
                            else self.tr("{0} places").format(len(raised)))

    def toggle_raised(self, target) -> None:
        """What stays standing, or does no longer."""
        if self._one is not None:
            raised = self._one.raised
            self.changed.emit("raised", tuple(t for t in raised if t != target) if target in raised
                              else (*raised, target))


def fill(part, rows) -> None:
    """Rows of words and what they mean."""
    part.clear()
    for text, value in rows:
        part.addItem(text, value)


def known_tools(recipe) -> tuple:
    """The tools that may be chosen: those the work keeps, then the user's own table, then what is named beside."""
    kept = recipe.cutters
    keys = {one.key for one in kept}
    own = [one for one in user_data.cutters() if one.key not in keys]
    keys |= {one.key for one in own}
    wanted = {key for o in recipe.operations for key in (o.tool, o.rest_of, o.clear_with)} - keys
    return (*kept, *own, *(one for one in tools_of(recipe) if one.key in wanted))
