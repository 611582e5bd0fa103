"""What a router carves of the work: the blank, the operations in their order, and what they take."""

from dataclasses import replace

from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtWidgets import QAbstractItemView, QComboBox, QListWidget, QListWidgetItem, QMenu

from sketchloom.app import theme
from sketchloom.app.parts.beside import say_beside
from sketchloom.app.parts.sheets_strip import minutes_text
from sketchloom.app.parts.widgets import Figures, button, counted, label
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.carving.fields import Fields
from sketchloom.app.words import named, told
from sketchloom.core.base.setting import settings_of
from sketchloom.core.base.units import format_length
from sketchloom.core.carve import operations as ops
from sketchloom.core.carve.blank import AREA, OVAL, OWN, Blank
from sketchloom.core.carve.operations import Operation, Target
from sketchloom.evaluate.carving import kept_tools, proposed, tools_of
from sketchloom.evaluate.targets import targets_of
from sketchloom.files import user_data

_ROW_PX = 26
_TOOLS = ("tool", "rest_of", "clear_with")
BLANK_ROWS = ("shape", "width_mm", "height_mm", "thickness_mm", "corner_mm", "rim_mm", "recess_mm", "work_x_mm",
              "work_y_mm", "look")
_NO_CORNERS = (OVAL, OWN, AREA)
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
_START = {
    ops.PROFILE: Operation(ops.PROFILE, Target(ops.BOARD), "end-6", tabs=4, lead_mm=3.0),
    ops.POCKET: Operation(ops.POCKET, Target(ops.FIELD), "end-6"),
    ops.GROOVE: Operation(ops.GROOVE, Target(ops.BOARD), "vee-90", 1.0),
    ops.CARVE: Operation(ops.CARVE, Target(ops.WORK), "vee-60"),
    ops.ENGRAVE: Operation(ops.ENGRAVE, Target(ops.WORK), "point-30", 0.3),
    ops.DRILLING: Operation(ops.DRILLING, Target(ops.WORK), "drill-3", 5.0),
    ops.SURFACE: Operation(ops.SURFACE, Target(ops.BOARD), "end-12", 0.5),
    ops.EDGE: Operation(ops.EDGE, Target(ops.BOARD), "vee-90", 2.0),
}


class CarvingBox(Box):
    """The blank, the list of operations, and the chosen one's settings. ``chosen_row``: of the list;
    ``pointing_changed``: whether a click on the blank says what is meant; ``tools_wanted``: the table of them."""

    chosen_row = Signal(int)
    pointing_changed = Signal(bool)
    tools_wanted = Signal()

    def __init__(self):
        super().__init__()
        self._kinds = dict(zip(ops.KINDS, next(s for s in settings_of(Operation) if s.name == "kind").names,
                               strict=True))
        self.propose = button(self.tr("Propose what is carved"), "",
                              self.tr("A blank that the work fits on, each layer carved, and all cut out on tabs"))
        self.propose.clicked.connect(self._propose)
        self._caution = label(self.tr("Feeds, turns and steps are starting values from memory; the manuals of machine "
                                      "and tool come first."), "caution")
        self.blank = Fields(Blank)
        for name in BLANK_ROWS:
            self.blank.add(name)
        self.own = QComboBox()
        self.own.setAccessibleName(self.tr("Layer whose outline the blank has"))
        self.own.activated.connect(lambda _: self._change_blank("of", self.own.currentData()))
        self.blank.put("of", self.own, self.tr("Layer"))
        self.point_blank = self._pointer(self.tr("Point at the region"), self.tr(
            "Click the region whose outline the blank is to have"))
        self.blank.changed.connect(self._change_blank)
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("Operations, in the order in which they are carved"))
        self.list.setDragDropMode(QAbstractItemView.DragDropMode.InternalMove)
        self.list.setFixedHeight(theme.px(6 * _ROW_PX + 4))
        self.list.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.list.model().rowsMoved.connect(lambda *_: self._reordered())
        self.list.currentRowChanged.connect(lambda _: self._show_chosen())
        self.list.currentRowChanged.connect(self._tell_row)
        self.list.itemChanged.connect(self._switched)
        self._build_buttons()
        self._build_chosen()
        self.figures = Figures()
        self.add(self.propose, self._caution, self.blank, self.point_blank, (self._more, self._less, self._tools),
                 self.list, (self.point, self.point_raised), self.chosen, self.figures)
        self._is_filling = False

    def _build_buttons(self):
        self._more = button(self.tr("Add an operation"), "plus")
        menu = QMenu(self._more)
        for kind, words in self._kinds.items():
            menu.addAction(told(words), lambda k=kind: self._add(k))
        self._more.setMenu(menu)
        self._less = button(self.tr("Take it out"), "trash", self.tr("The chosen operation"))
        self._less.clicked.connect(self._take_out)
        self._tools = button(self.tr("Tools…"), "adjustments-horizontal",
                             self.tr("Diameters, angles, feeds of your tools"))
        self._tools.clicked.connect(self.tools_wanted)

    def _pointer(self, text, tip):
        one = button(text, "target", tip, checkable=True)
        one.toggled.connect(lambda on: self._point(one, on))
        return one

    def _build_chosen(self):
        self.chosen = Fields(Operation)
        self.target, self.tool, self.rest, self.clear = QComboBox(), QComboBox(), QComboBox(), QComboBox()
        for name, part, text in (("of", self.target, self.tr("On")), ("tool", self.tool, self.tr("Tool")),
                                 ("rest_of", self.rest, self.tr("Only what is left by")),
                                 ("clear_with", self.clear, self.tr("Wide ground cleared by"))):
            part.setAccessibleName(text)
            part.activated.connect(lambda _, n=name, p=part: self._change_chosen(n, p.currentData()))
            self.chosen.put(name, part, text)
        for name in ("depth_mm", "from_mm", "side", "tabs", "tab_mm", "lead_mm", "way", "flat_mm"):
            self.chosen.add(name)
        self.raised = button("", "", self.tr("What stays standing in it"))
        self.raised.setMenu(QMenu(self.raised))
        self.chosen.put("raised", self.raised, self.tr("Stays standing"))
        self.point = self._pointer(self.tr("Point at it"), self.tr(
            "Click on the blank what it is to be carved on; another click there means what lies below"))
        self.point_raised = self._pointer(self.tr("Point at what stands"), self.tr(
            "Click on the blank what is to stay standing; again, and it does not"))
        self.chosen.changed.connect(self._change_chosen)

    # -- showing -----------------------------------------------------------------------

    def show_work(self, work) -> None:
        super().show_work(work)
        self._show_recipe()

    def _show_recipe(self):
        recipe, unit = self.recipe, self.recipe.unit
        self._is_filling = True
        self._fill(self.own, [(self._words(t), t.key) for t in targets_of(self.work) if t.kind == ops.LAYER])
        self.blank.show_names([name for name in (*BLANK_ROWS, "of") if (
            name != "corner_mm" or recipe.blank.shape not in _NO_CORNERS) and (
                name != "of" or recipe.blank.shape == OWN)])
        self.blank.show_values(recipe.blank, unit)
        self.point_blank.setVisible(recipe.blank.shape == AREA and bool(recipe.operations))
        row, count = self.list.currentRow(), len(recipe.operations)
        self.list.clear()
        tools = {one.key: one for one in self._known()}
        for number, one in enumerate(recipe.operations, 1):
            tool = tools.get(one.tool)
            item = QListWidgetItem(f"{number}  {one.name or told(self._kinds[one.kind])} · {self._words(one.of)} · "
                                   f"{named(tool.name) if tool else one.tool}")
            item.setData(Qt.ItemDataRole.UserRole, number - 1)
            item.setFlags(item.flags() | Qt.ItemFlag.ItemIsUserCheckable)
            item.setCheckState(Qt.CheckState.Checked if one.on else Qt.CheckState.Unchecked)
            item.setToolTip(item.text())
            item.setSizeHint(QSize(0, theme.px(_ROW_PX)))
            self.list.addItem(item)
        self.list.setCurrentRow(min(max(row, 0), count - 1))
        self._is_filling = False
        self.propose.setVisible(not count)
        self.list.setVisible(bool(count))
        self.figures.setVisible(bool(count))
        self._show_chosen()

    def _words(self, target):
        """What a target is called."""
        if target.kind == ops.LAYER:
            plan = next((layer.plan for layer in self.work.layers if layer.plan.key == target.key), None)
            return self.tr("a layer that is gone") if plan is None else plan.name
        if target.kind == ops.SHAPE:
            return target.key or self.tr("a figure")
        return {ops.LINE: self.tr("a line"), ops.BOARD: self.tr("the blank's outline"),
                ops.FIELD: self.tr("the field within the rim"),
                ops.MIDDLE: self.tr("the middle of the rim"), ops.REGION: self.tr("a region"),
                ops.WORK: self.tr("all of the work")}[target.kind]

    def _show_chosen(self):
        if self._is_filling or self.recipe is None or self.work is None:
            return
        row = self.list.currentRow()
        one = self.recipe.operations[row] if 0 <= row < len(self.recipe.operations) else None
        self.chosen.setVisible(one is not None)
        self._less.setEnabled(one is not None)
        self.point.setVisible(one is not None)
        self.point_raised.setVisible(one is not None and "raised" in ROWS[one.kind])
        if one is None:
            return
        targets = targets_of(self.work)
        self._fill(self.target, [(self._words(t), t) for t in (*targets, *(() if one.of in targets else (one.of,)))])
        tools = [(named(t.name), t.key) for t in self._known()]
        self._fill(self.tool, tools)
        for part in (self.rest, self.clear):
            self._fill(part, [(self.tr("– all of it –") if part is self.rest else self.tr("– the V itself –"), ""),
                              *tools])
        self._fill_raised(one, targets)
        self.chosen.show_names(("of", "tool", *ROWS[one.kind]))
        self.chosen.show_values(one, self.recipe.unit)

    def _fill_raised(self, one, targets):
        menu = self.raised.menu()
        menu.clear()
        for target in (*targets, *(t for t in one.raised if t not in targets)):
            if target != one.of:
                act = menu.addAction(self._words(target), lambda t=target: self._toggle_raised(t))
                act.setCheckable(True)
                act.setChecked(target in one.raised)
        self.raised.setText(self._words(one.raised[0]) if len(one.raised) == 1 else
                            counted(len(one.raised), "", self.tr("{0} places")).format(len(one.raised))
                            if one.raised else self.tr("nothing"))

    def _known(self):
        """The tools that may be chosen: those the work keeps, then the user's own table, then what is shipped."""
        kept = self.recipe.cutters
        own = [one for one in user_data.cutters() if all(one.key != k.key for k in kept)]
        known = {one.key for one in (*kept, *own)}
        named_too = {key for o in self.recipe.operations for key in (o.tool, o.rest_of, o.clear_with)}
        return (*kept, *own, *(t for t in tools_of(self.recipe) if t.key in named_too - known))

    @property
    def row(self) -> int:
        """The number of the chosen operation, -1 where there is none."""
        return self.list.currentRow()

    def choose(self, number: int) -> None:
        """Choose an operation."""
        self.list.setCurrentRow(number)

    def _tell_row(self, row):
        if not self._is_filling:
            self.chosen_row.emit(row)

    # -- pointing ----------------------------------------------------------------------

    @property
    def is_pointing(self) -> bool:
        """Whether a click on the blank says what is meant."""
        return any(one.isChecked() for one in (self.point, self.point_raised, self.point_blank))

    def _point(self, one, on):
        for other in (self.point, self.point_raised, self.point_blank):
            if on and other is not one:
                other.setChecked(False)
        self.pointing_changed.emit(self.is_pointing)

    def stop_pointing(self) -> None:
        for one in (self.point, self.point_raised, self.point_blank):
            one.setChecked(False)

    def take_target(self, target: Target) -> None:
        """What was pointed at."""
        if self.point_blank.isChecked() and target.kind == ops.REGION:
            self._change_blank("at_x", target.x, at_y=target.y)
        elif self.point_raised.isChecked():
            self._toggle_raised(target)
        elif self.point.isChecked():
            self._change_chosen("of", target)

    def _toggle_raised(self, target):
        row = self.list.currentRow()
        if 0 <= row < len(self.recipe.operations):
            raised = self.recipe.operations[row].raised
            self._change_chosen("raised", tuple(t for t in raised if t != target) if target in raised
                                else (*raised, target))

    # -- showing what it takes -----------------------------------------------------------

    def _fill(self, part, rows):
        part.clear()
        for text, value in rows:
            part.addItem(text, value)

    def show_carved(self, one) -> None:
        """What the job takes; None while it is not known."""
        if one is None:
            self.figures.show_values(((self.tr("Time of the machine"), "…"),))
            return
        unit, job = self.recipe.unit, one.job
        rim = one.rim_mm
        self.figures.show_values((
            (self.tr("Time of the machine"), minutes_text(one.seconds)),
            *((named(tool.name), minutes_text(job.seconds_of(tool))) for tool in job.tools),
            *(((self.tr("Rim, measured"), " – ".join(dict.fromkeys(format_length(v, unit) for v in rim))),)
              if rim is not None else ()),
            (self.tr("Removed"), self.tr("{0} cm³").format(f"{one.field().removed_mm3 / 1000:.0f}")),
        ))

    # -- changes -----------------------------------------------------------------------

    def _propose(self):
        if self.work is not None:
            blank, its = proposed(self.work)
            self.emit(self.tr("carving proposed"), blank=blank, operations=its,
                      cutters=kept_tools(self.recipe, its, user_data.cutters()))

    def _change_blank(self, name, value, **more):
        if name == "shape" and value == OWN and not self.recipe.blank.of and self.own.count():
            more["of"] = self.own.itemData(0)
        try:
            self.emit(self.tr("blank"), f"blank {name}", blank=replace(self.recipe.blank, **{name: value}, **more))
        except ValueError as error:
            self._refused(error)

    def _refused(self, error):
        """What cannot be is said beside the blank, and what holds is shown again."""
        say_beside(self._caution, told(getattr(error, "message", str(error))))
        self._show_recipe()

    def _change_chosen(self, name, value):
        row = self.list.currentRow()
        if not self._is_filling and 0 <= row < len(self.recipe.operations):
            its = list(self.recipe.operations)
            its[row] = replace(its[row], **{name: value})
            self._emit_operations(its, self.tr("operation"), f"operation {row} {name}",
                                  (value,) if name in _TOOLS else ())

    def _emit_operations(self, its, what, gesture="", chosen=()):
        self.emit(what, gesture, operations=tuple(its),
                  cutters=kept_tools(self.recipe, its, user_data.cutters(), chosen))

    def renew_tools(self) -> None:
        """The table of tools was changed: the work takes what it names from there."""
        its, table = self.recipe.operations, user_data.cutters()
        cutters = kept_tools(self.recipe, its, table, {one.key for one in table})
        if cutters != self.recipe.cutters:
            self.emit(self.tr("tools renewed"), cutters=cutters)
        elif self.work is not None:
            self._show_recipe()

    def _add(self, kind):
        its = list(self.recipe.operations)
        at = self.list.currentRow() + 1 if its else 0
        its.insert(at, _START[kind])
        self._emit_operations(its, self.tr("operation added"))
        self.list.setCurrentRow(at)

    def _take_out(self):
        its = list(self.recipe.operations)
        if 0 <= self.list.currentRow() < len(its):
            del its[self.list.currentRow()]
            self._emit_operations(its, self.tr("operation taken out"))

    def _reordered(self):
        order = [self.list.item(n).data(Qt.ItemDataRole.UserRole) for n in range(self.list.count())]
        if not self._is_filling and sorted(order) == list(range(len(self.recipe.operations))):
            self._emit_operations([self.recipe.operations[n] for n in order], self.tr("order of operations"))

    def _switched(self, item):
        if not self._is_filling:
            its = list(self.recipe.operations)
            n = item.data(Qt.ItemDataRole.UserRole)
            its[n] = replace(its[n], on=item.checkState() == Qt.CheckState.Checked)
            self._emit_operations(its, self.tr("operation"))
