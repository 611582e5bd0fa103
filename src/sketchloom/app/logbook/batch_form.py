"""A material as it was bought, as a form; its price can be taken by plans."""

from PySide6.QtCore import Signal

from sketchloom.app.logbook.forms import RecordForm
from sketchloom.app.parts.widgets import button
from sketchloom.core.logbook.records import Batch


class BatchForm(RecordForm):
    """``price_wanted``: plans reckon with the price of the chosen one."""

    price_wanted = Signal()

    def __init__(self):
        super().__init__(Batch, ("name", "family", "batch", "price", "per", "at", "note"), self.tr("One more"),
                         self.tr("Keep this material"))

    def _look(self):
        self.into_plans = button(self.tr("Plans take this price"), "circle-check", self.tr(
            "The price table has it from now on, in place of the one it had for this material"))
        self.into_plans.setEnabled(False)
        self.into_plans.clicked.connect(self.price_wanted)
        return self.into_plans

    def show_one(self, one) -> None:
        super().show_one(one)
        self.into_plans.setEnabled(one is not None and one.price > 0)
