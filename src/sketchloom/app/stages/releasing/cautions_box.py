"""The usual cautions, beside what is about to be cut."""

from PySide6.QtWidgets import QVBoxLayout, QWidget

from sketchloom.app.parts.widgets import label


class CautionsBox(QWidget):
    def __init__(self):
        super().__init__()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(8)
        for text, kind in (
            (self.tr("Blade: keep fingers and hair away from the moving head and store blades covered."), "caution"),
            (self.tr("Laser: never cut chlorinated film such as PVC; its fumes are poisonous. Use extraction, "
                     "and never leave a running laser alone: fire."), "caution"),
            (self.tr("Router and hot press: guard eyes, ears and lungs from chips, noise and dust, and skin from "
                     "heat."), "caution"),
            (self.tr("Your machine's manual, local rules and trained people come first."), "quiet"),
        ):
            column.addWidget(label(text, kind))
