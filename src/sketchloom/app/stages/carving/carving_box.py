"""What a router carves of the work: the operations in their order, and what they take."""

from dataclasses import replace

from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtWidgets import QAbstractItemView, QListWidget, QListWidgetItem, QMenu

from sketchloom.app import theme
from sketchloom.app.parts.sheets_strip import minutes_text
from sketchloom.app.parts.widgets import Figures, button, label
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.carving.operation_box import OperationBox, known_tools
from sketchloom.app.words import named, told
from sketchloom.core.base.setting import settings_of
from sketchloom.core.base.units import format_length
from sketchloom.core.carve import operations as ops
from sketchloom.core.carve.operations import Operation, Target
from sketchloom.evaluate.carving import kept_tools, proposed
from sketchloom.files import user_data

_ROW_PX = 26
_TOOLS = ("tool", "rest_of", "clear_with")
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
    """The list of operations and the chosen one's settings. ``chosen_row``: of the list; ``tools_wanted``: the table
    of them."""

    chosen_row = Signal(int)
    tools_wanted = Signal()

    def __init__(self, pointing):
        super().__init__()
        self.pointing = pointing
        self._kinds = dict(zip(ops.KINDS, next(s for s in settings_of(Operation) if s.name == "kind").names,
                               strict=True))
        self.propose = button(self.tr("Propose what is carved"), "",
                              self.tr("A blank that the work fits on, each layer carved, and all cut out on tabs"))
        self.propose.clicked.connect(self._propose)
        caution = label(self.tr("Feeds, turns and steps are starting values from memory; the manuals of machine and "
                                "tool come first."), "caution")
        self._build_list()
        self.chosen = OperationBox(pointing)
        self.chosen.changed.connect(self._change_chosen)
        self.figures = Figures()
        self.add(self.propose, (self._more, self._less, self._tools), self.list, self.chosen, caution, self.figures)
        self._is_filling = False

    def _build_list(self):
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("Operations, in the order in which they are carved"))
        self.list.setDragDropMode(QAbstractItemView.DragDropMode.InternalMove)
        self.list.setFixedHeight(theme.px(6 * _ROW_PX + 4))
        self.list.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.list.model().rowsMoved.connect(lambda *_: self._reordered())
        self.list.currentRowChanged.connect(self._show_chosen)
        self.list.itemChanged.connect(self._switched)
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

    # -- showing -----------------------------------------------------------------------

    def show_work(self, work) -> None:
        super().show_work(work)
        self._show_recipe()

    def _show_recipe(self):
        recipe = self.recipe
        self._is_filling = True
        row, count = self.list.currentRow(), len(recipe.operations)
        self.list.clear()
        tools = {one.key: one for one in known_tools(recipe)}
        for number, one in enumerate(recipe.operations, 1):
            tool = tools.get(one.tool)
            item = QListWidgetItem(f"{number}  {one.name or told(self._kinds[one.kind])} · "
                                   f"{self.chosen.words(one.of, self.work)} · {named(tool.name) if tool else one.tool}")
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

    def _show_chosen(self, _=None):
        if self._is_filling or self.recipe is None or self.work is None:
            return
        row = self.row
        one = self.recipe.operations[row] if 0 <= row < len(self.recipe.operations) else None
        self._less.setEnabled(one is not None)
        self.chosen.show_one(one, self.work)
        self.chosen_row.emit(row)

    @property
    def row(self) -> int:
        """The number of the chosen operation, -1 where there is none."""
        return self.list.currentRow()

    def choose(self, number: int) -> None:
        """Choose an operation."""
        self.list.setCurrentRow(number)

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

    def _change_chosen(self, name, value):
        row = self.row
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
        if self.recipe is None:
            return
        its, table = self.recipe.operations, user_data.cutters()
        cutters = kept_tools(self.recipe, its, table, {one.key for one in table})
        if cutters != self.recipe.cutters:
            self.emit(self.tr("tools renewed"), cutters=cutters)
        elif self.work is not None:
            self._show_recipe()

    def _add(self, kind):
        its = list(self.recipe.operations)
        at = self.row + 1 if its else 0
        its.insert(at, _START[kind])
        self._emit_operations(its, self.tr("operation added"))
        self.list.setCurrentRow(at)

    def _take_out(self):
        its = list(self.recipe.operations)
        if 0 <= self.row < len(its):
            del its[self.row]
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
