"""Which machine and which carrier, with the machine's caution beside the choice."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QLineEdit

from sketchloom.app.parts.beside import hush_beside, say_beside
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.stages.box import Box
from sketchloom.app.words import named, told
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.units import format_length
from sketchloom.core.sheets import choices
from sketchloom.evaluate.planning import machine_of
from sketchloom.files import user_data

_OWN = "own"


class MachineBox(Box):
    """The machine a work is planned for; it keeps a copy, so the table can be changed."""

    table_wanted = Signal()

    def __init__(self):
        super().__init__()
        self.machine, self.carrier = QComboBox(), QComboBox()
        self.machine.setAccessibleName(self.tr("Machine"))
        self.carrier.setAccessibleName(self.tr("Carrier"))
        self.machine.activated.connect(self._take_machine)
        self.carrier.activated.connect(self._take_carrier)
        self._own = QLineEdit()
        self._own.setAccessibleName(self.tr("Size of the carrier"))
        self._own.setPlaceholderText(self.tr("300 × 400 mm"))
        self._own.editingFinished.connect(self._take_own)
        self._own.hide()
        table = button(self.tr("Machines…"), "adjustments-horizontal",
                       self.tr("What your machines can cut, how fast they move, and their carriers"))
        table.clicked.connect(self.table_wanted)
        self._caution = label("", "caution")
        self.add((self.machine, table), (self.carrier,), self._own, self._caution)
        self._machines: tuple = ()

    def show_work(self, work) -> None:
        super().show_work(work)
        now = machine_of(work)
        table = user_data.machines()
        self._machines = table if any(m.key == now.key for m in table) else (now, *table)
        self.machine.clear()
        for one in self._machines:
            self.machine.addItem(named(one.name), one.key)
        self.machine.setCurrentIndex(next(n for n, m in enumerate(self._machines) if m.key == now.key))
        self.carrier.clear()
        self.carrier.addItem(self.tr("The smallest carrier that does"), choices.AUTO)
        for one in now.carriers:
            wide, high = one.usable_mm
            text = f"{named(one.name)}, " + (
                self.tr("cuts {0} across").format(format_length(wide, work.recipe.unit)) if one.height_mm <= 0 else
                self.tr("cuts {0} × {1}").format(*(format_length(v, work.recipe.unit) for v in (wide, high))))
            self.carrier.addItem(text, one.key)
        self.carrier.addItem(self.tr("A size of my own"), _OWN)
        at = self.carrier.findData(work.recipe.carrier)
        self.carrier.setCurrentIndex(at if at >= 0 else self.carrier.count() - 1)
        self._own.setVisible(at < 0)
        if at < 0 and not self._own.hasFocus():
            self._own.setText(work.recipe.carrier)
        self._caution.setText(" ".join((named(now.caution), self.tr("The machine's manual comes first."))).strip())

    def _take_machine(self, index):
        one = self._machines[index]
        carrier = self.recipe.carrier
        keeps = carrier == choices.AUTO or one.carrier(carrier) is not None
        self.emit(self.tr("machine"), machine=one, carrier=carrier if keeps else choices.AUTO, spots=())

    def _take_carrier(self, index):
        key = self.carrier.itemData(index)
        self._own.setVisible(key == _OWN)
        if key == _OWN:
            self._own.setFocus()
        else:
            self.emit(self.tr("carrier"), carrier=key, machine=machine_of(self.work), spots=())

    def _take_own(self):
        text = self._own.text().strip()
        if not text or text == self.recipe.carrier or not self._own.isVisible():
            return
        try:
            if choices.own_carrier(text.replace(" ", "")) is None:
                raise SettingError("carrier", "", text)
        except SettingError as error:
            say_beside(self._own, told(error.message) if error.expected else
                       self.tr("Type a size such as 300 × 400 mm or 12 × 20 in."))
            return
        hush_beside(self._own)
        self.emit(self.tr("carrier"), carrier=text.replace(" ", ""), machine=machine_of(self.work), spots=())
