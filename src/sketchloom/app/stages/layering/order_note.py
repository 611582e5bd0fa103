"""What the order of the sheets costs beside the proposed one, and the way back to that."""

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QVBoxLayout, QWidget

from sketchloom.app.parts.widgets import UNKNOWN, button, label
from sketchloom.core.base.units import format_length
from sketchloom.evaluate.sheet_order import order_shares


class OrderNote(QWidget):
    """A button that takes the proposed order, and a sentence about the one that is taken."""

    change = Signal(object, str, str)

    def __init__(self):
        super().__init__()
        self._recipe = self._work = None
        self._take = button(self.tr("Use the proposed order"), "arrow-bar-to-down")
        self._take.clicked.connect(self._take_proposed)
        self.note = label("", "quiet")
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.addWidget(self._take)
        column.addWidget(self.note)

    def show_work(self, work, recipe) -> None:
        """What the order of a work costs; ``recipe`` of the document, which may be ahead of it."""
        self._work, self._recipe, unit = work, recipe, work.recipe.unit
        best = work.proposed_order.length * work.mm_per_px
        more = work.order_length_mm - best
        self._take.setVisible(bool(work.recipe.order) or more > 0.5)
        if work.rough:
            self.note.setText(UNKNOWN)
            return
        if work.laying.way in ("fitted", "based"):
            text = self.tr("With fitted sheets the order hardly changes the cutting.")
        elif work.laying.way != "stacked" or any(order_shares(work.recipe, work.laying.way)[1:]):
            text = self.tr("As a stack, this order cuts {0}; the proposed one {1}.").format(
                format_length(work.order_length_mm, unit, 0), format_length(best, unit, 0))
        elif abs(more) > 0.5:
            text = (self.tr("This order cuts {0} more than the proposed one.") if more > 0 else
                    self.tr("This order cuts {0} less than the proposed one.")).format(
                        format_length(abs(more), unit, 0))
        elif work.proposed_order.exact:
            text = self.tr("The proposed order: of whole sheets, none cuts less.")
        else:
            text = self.tr(
                "A good order, at most {0:.0f} % above the best: with so many colours not all can be looked at."
            ).format(100 * work.proposed_order.gap)
        self.note.setText(text)

    def _take_proposed(self):
        """Leave the order to the program again; where it is, take what would be proposed now."""
        keys = () if self._recipe.order else self._work.proposed_keys
        self.change.emit(replace(self._recipe, order=keys), self.tr("proposed order"), "")
