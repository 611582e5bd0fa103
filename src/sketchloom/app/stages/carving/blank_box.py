"""The blank that is carved: its outline, sizes, rim, and where the work lies on it."""

from dataclasses import replace

from PySide6.QtWidgets import QComboBox

from sketchloom.app.parts.beside import say_beside
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.carving.fields import Fields
from sketchloom.app.words import told
from sketchloom.core.carve.blank import AREA, OVAL, OWN, Blank
from sketchloom.core.carve.operations import BOARD, GROOVE, MIDDLE, PROFILE, REGION, Operation, Target
from sketchloom.core.sheets.machine import ROUTER
from sketchloom.evaluate.carving import kept_tools
from sketchloom.evaluate.planning import machine_of
from sketchloom.files import user_data

ROWS = ("shape", "of", "width_mm", "height_mm", "thickness_mm", "corner_mm", "rim_mm", "recess_mm", "work_x_mm",
        "work_y_mm", "look")
_NO_CORNERS = (OVAL, OWN, AREA)


class BlankBox(Box):
    """Settings of the blank."""

    def __init__(self, pointing):
        super().__init__()
        self.fields = Fields(Blank)
        self.own = QComboBox()
        self.own.setAccessibleName(self.tr("Layer whose outline the blank has"))
        self.own.activated.connect(lambda _: self._change("of", self.own.currentData()))
        for name in ROWS:
            if name == "of":
                self.fields.put(name, self.own, self.tr("Layer"))
            else:
                self.fields.add(name)
        self.fields.changed.connect(self._change)
        self.point = pointing.button(self.tr("Point at the region"), self.tr(
            "Click the region whose outline the blank is to have"), self._take)
        self._asked = label(self.tr("Once something is carved, the region can be pointed at."), "quiet")
        self.groove = button(self.tr("Groove in the middle of the rim"), "plus", self.tr(
            "A line at half the rim as it is, run by a ball cutter"))
        self.groove.clicked.connect(self._add_groove)
        self.add(self.fields, self.point, self._asked, self.groove)

    def show_work(self, work) -> None:
        super().show_work(work)
        if machine_of(work).kind == ROUTER:
            self._show()

    def _show(self):
        blank = self.recipe.blank
        self.own.clear()
        for layer in self.work.layers:
            self.own.addItem(layer.plan.name, layer.plan.key)
        self.fields.show_names([name for name in ROWS if (name != "corner_mm" or blank.shape not in _NO_CORNERS)
                                and (name != "of" or blank.shape == OWN)])
        self.fields.show_values(blank, self.recipe.unit)
        self.point.setVisible(blank.shape == AREA and bool(self.recipe.operations))
        has_groove = any(one.of == Target(MIDDLE) for one in self.recipe.operations)
        self.groove.setVisible(blank.rim_mm > 0 and not has_groove)
        self._asked.setVisible(blank.shape == AREA and not self.recipe.operations)

    def _add_groove(self):
        """Before what cuts the piece out, so that it is still held."""
        its = list(self.recipe.operations)
        at = next((n for n, one in enumerate(its) if one.kind == PROFILE and one.of == Target(BOARD)), len(its))
        its.insert(at, Operation(GROOVE, Target(MIDDLE), "ball-3", 1.0))
        self.emit(self.tr("groove in the rim"), operations=tuple(its),
                  cutters=kept_tools(self.recipe, its, user_data.cutters(), ("ball-3",)))

    def _take(self, target):
        if target.kind == REGION:
            self._change("at_x", target.x, at_y=target.y)

    def _change(self, name, value, **more):
        if name == "shape" and value == OWN and not self.recipe.blank.of and self.own.count():
            more["of"] = self.own.itemData(0)
        try:
            self.emit(self.tr("blank"), f"blank {name}", blank=replace(self.recipe.blank, **{name: value}, **more))
        except ValueError as error:  # what cannot be is said beside it, and what holds is shown again
            say_beside(self.fields.parts[name], told(getattr(error, "message", str(error))))
            self._show()
