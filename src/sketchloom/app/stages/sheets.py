"""Sheets stage: what goes into the machine."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QCheckBox, QSpinBox

from sketchloom.app import theme
from sketchloom.app.parts.sheets_strip import minutes_text
from sketchloom.app.parts.widgets import Figures, Panel, label
from sketchloom.app.stages.carving.blank_box import BlankBox
from sketchloom.app.stages.carving.carving_box import CarvingBox
from sketchloom.app.stages.carving.pointing import Pointing
from sketchloom.app.stages.fold import Fold, one_at_a_time
from sketchloom.app.stages.planning.cost_box import CostBox
from sketchloom.app.stages.planning.laying_list import LayingList
from sketchloom.app.stages.planning.machine_box import MachineBox
from sketchloom.app.stages.planning.offcuts_box import OffcutsBox
from sketchloom.app.stages.planning.part_box import PartBox
from sketchloom.app.stages.planning.size_box import SizeBox
from sketchloom.app.words import named
from sketchloom.core.base.units import format_length
from sketchloom.core.sheets.machine import ROUTER
from sketchloom.evaluate.carving import is_carved
from sketchloom.evaluate.planning import machine_of
from sketchloom.recipe.sections import MAX_COPIES


class SheetsPanel(Panel):
    """Machine, what is chosen, size, how parts are placed, times and cost, the order of laying."""

    change = Signal(object, str, str)
    route_wanted = Signal(bool)

    def __init__(self, parent=None):
        super().__init__("", parent)
        self.head(self.tr("Sheets"))
        self.machine, self.part, self.sizing, self.cost = MachineBox(), PartBox(), SizeBox(), CostBox()
        self.offcuts, self.laying, self.pointing = OffcutsBox(), LayingList(), Pointing(self)
        self.blank, self.carving = BlankBox(self.pointing), CarvingBox(self.pointing)
        self._boxes = (self.machine, self.sizing, self.cost, self.offcuts, self.blank, self.carving)
        self.copies = QSpinBox()
        self.copies.setRange(1, MAX_COPIES)
        self.copies.setAccessibleName(self.tr("Copies"))
        self.copies.setMinimumHeight(theme.px(28))
        self.copies.setKeyboardTracking(False)
        self.copies.valueChanged.connect(lambda n: self.machine.emit(self.tr("copies"), "copies", copies=n))
        self._sheet = Figures()
        self.route = QCheckBox(self.tr("Show the route of the tool"))
        self.route.setChecked(True)
        self.route.toggled.connect(self.route_wanted)
        for box in (self.machine, self.sizing, self.offcuts, self.blank, self.carving):
            box.change.connect(self.change)
        many = label(self.tr("Copies"))
        self.add(self.machine, (many, self.copies))
        here = self.section(self.tr("This sheet"))
        self.add(self._sheet, self.route, self.part)
        self.folds = {
            "carve": Fold(self.tr("Carving"), self.carving),
            "blank": Fold(self.tr("The blank"), self.blank),
            "size": Fold(self.tr("Size"), self.sizing),
            "cost": Fold(self.tr("Time and cost"), self.cost),
            "rests": Fold(self.tr("Rests to use up"), self.offcuts),
            "laying": Fold(self.tr("The order of laying"), self.laying),
        }
        self.offcuts.told.connect(lambda text: self.folds["rests"].head.setText(
            " · ".join(filter(None, (self.tr("Rests to use up"), text)))))
        one_at_a_time(self.folds.values())
        self.add(*self.folds.values())
        placing = self.section(self.tr("How parts are placed"))
        self._of_sheets = (many, self.copies, here, self._sheet, self.route, self.part, self.folds["cost"],
                           self.folds["rests"], self.folds["laying"], placing)
        self.column.addStretch(1)
        self._work = None

    def purpose(self):
        return self.tr("What goes into the machine: parts placed on its carriers, divided where they are too large, "
                       "with the time, film and cost they take.")

    def landmarks(self):
        return (
            (self.machine, self.tr("Which machine cuts, and with what carrier. The table of machines can be changed.")),
            (self.copies, self.tr("How often the work is cut.")),
            (self._sheet, self.tr("The sheet that is seen: how much of it is used, how long it cuts.")),
            (self.part, self.tr("The chosen part can be turned, dragged to another place or sheet, or placed anew.")),
            (self.folds["size"], self.tr("The largest size that fits a place, a carrier, or the smallest detail.")),
            (self.folds["cost"], self.tr("Minutes and prices, from your own rates.")),
        )

    def show_document(self, document) -> None:
        for box in self._boxes:
            box.recipe = document.recipe
        self._show_copies(document.recipe)

    def show_work(self, work) -> None:
        self._work = work
        for box in self._boxes:
            box.show_work(work)
        for name in ("carve", "blank"):
            self.folds[name].setVisible(machine_of(work).kind == ROUTER)
        for part in (*self._of_sheets, self.placed):  # what is carved has no sheets
            part.setVisible(not is_carved(work))
        self._show_copies(work.recipe)

    def _show_copies(self, recipe):
        self.copies.blockSignals(True)
        if not self.copies.hasFocus() or self.copies.value() != recipe.copies:
            self.copies.setValue(recipe.copies)
        self.copies.blockSignals(False)

    def show_plan(self, plan, number: int, n: int) -> None:
        """A plan, the sheet of it that is seen and the part that is chosen; None while none is known."""
        unit = self._work.recipe.unit if self._work is not None else "mm"
        by_hand = bool(self._work is not None and self._work.recipe.spots)
        self.cost.show_plan(plan, unit)
        self.laying.show_plan(self._work, plan)
        self.show_part(plan, number, n)
        if plan is None or not plan.sheets:
            self._sheet.show_values(((self.tr("Carrier"), "…"),))
            self.part.show_part(None, 0, -1, unit, by_hand)
            return
        sheet, timed = plan.sheets[number], plan.timed[number]
        size = " × ".join(format_length(v, unit) for v in (sheet.carrier.width_mm, sheet.length_mm))
        self._sheet.show_values((
            (self.tr("Carrier"), f"{named(sheet.carrier.name)}, {size}"),
            (self.tr("Used"), self.tr("{0} %").format(round(100 * sheet.used_share))),
            (self.tr("Cutting"), format_length(timed.run.cut_mm, unit, 0)),
            (self.tr("Travel"), self.tr("{0}, {1} in the order of the file").format(
                format_length(timed.route.travel_mm, unit, 0), format_length(timed.route.naive_mm, unit, 0))),
            (self.tr("Machine"), minutes_text(timed.machine_s) if timed.machine_s >= 100 else
             self.tr("{0} s").format(round(timed.machine_s))),
        ))

    def show_part(self, plan, number: int, n: int, several: int = 1) -> None:
        """The part that is chosen, the last one of several."""
        unit = self._work.recipe.unit if self._work is not None else "mm"
        by_hand = bool(self._work is not None and self._work.recipe.spots)
        self.part.show_part(plan if plan is not None and plan.sheets else None, number, n, unit, by_hand,
                            several)
