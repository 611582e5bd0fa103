"""Who gets it: chosen, added under a name, kept with what is chosen now, and taken off the list."""

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QInputDialog, QVBoxLayout, QWidget

from sketchloom.app.parts.widgets import Choice, button, clear, label, rows_of
from sketchloom.app.words import named, told
from sketchloom.core.base.errors import AppError
from sketchloom.files import recipients, user_data


class RecipientsBox(QWidget):
    """``taken``: somebody who was chosen by hand; ``said``: what happened, and whether it went wrong. ``chosen_now``
    gives somebody with what the panel shows now, None where nothing is shown yet."""

    taken = Signal(object)
    said = Signal(str, bool)

    def __init__(self, chosen_now):
        super().__init__()
        self._chosen_now = chosen_now
        self.one = None
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(6)
        holder = QWidget()
        self._place = QVBoxLayout(holder)
        self._place.setContentsMargins(0, 0, 0, 0)
        self._about = label("", "quiet")
        self.add = button(self.tr("Somebody else…"), "plus",
                          self.tr("One more on this list, with the format, files and settings chosen now"))
        self.add.clicked.connect(self._ask)
        self.forget = button("", "", "")
        self.forget.clicked.connect(self._forget)
        for part in (holder, self._about, rows_of(self.add, self.forget)):
            column.addWidget(part)
        self._fill()

    def show_one(self, key: str) -> recipients.Recipient:
        """Show who it is without choosing by hand; the first where the key is not known."""
        every = user_data.recipients()
        self.one = next((one for one in every if one.key == key), every[0])
        self.choice.show_value(self.one.key)
        self._about.setText(named(self.one.about) or self.tr("Kept by you."))
        is_own = self.one.key not in recipients.SHIPPED_KEYS
        self.forget.setText(self.tr("Take off the list") if is_own else self.tr("As it came"))
        self.forget.setToolTip(self.tr("Whoever you added goes; works and files stay") if is_own
                               else self.tr("What you kept for it is forgotten; the choices it came with are back"))
        self.forget.setEnabled(is_own or self.one not in recipients.SHIPPED)
        return self.one

    def keep(self) -> None:
        """Keep what is chosen now for whoever it is."""
        self._keep(self.one)

    def _keep(self, one):
        made = self._chosen_now(one)
        if made is None:
            return
        try:
            user_data.keep_recipient(made)
        except AppError as error:
            self.said.emit(told(error.message), True)
            return
        self._fill()
        self.show_one(made.key)
        self.said.emit(self.tr("Kept for: {0}").format(named(made.name)), False)

    def _fill(self):
        clear(self._place)
        self.choice = Choice(tuple((one.key, named(one.name), named(one.about)) for one in user_data.recipients()),
                             self.tr("Who gets it?"), 2)
        self.choice.chosen.connect(lambda key: self.taken.emit(self.show_one(key)))
        self._place.addWidget(self.choice)

    def _ask(self):
        name, is_so = QInputDialog.getText(self.window(), self.tr("Who gets it?"),
                                           self.tr("Name of whoever gets works, with what is chosen now:"))
        if not is_so:
            return
        try:
            made = recipients.named_anew(name, self.one, [
                replace(one, name=named(one.name)) for one in user_data.recipients()])
        except AppError as error:
            self.said.emit(told(error.message), True)
        else:
            self._keep(made)

    def _forget(self):
        gone = self.one
        try:
            user_data.forget_recipient(gone.key)
        except AppError as error:
            self.said.emit(told(error.message), True)
            return
        self._fill()
        self.taken.emit(self.show_one(gone.key))
        self.said.emit(self.tr("Taken off the list: {0}").format(named(gone.name))
                       if gone.key not in recipients.SHIPPED_KEYS
                       else self.tr("As it came: {0}").format(named(gone.name)), False)
