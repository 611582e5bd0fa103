"""Machines of the workshop: what each did, and its figures back into the table of machines."""

from PySide6.QtCore import QObject

from sketchloom.app.words import told
from sketchloom.core.base.errors import AppError
from sketchloom.core.logbook.records import Device
from sketchloom.files import user_data, workshop


class DeviceKeeping(QObject):
    """Of a window's logbook; ``planning`` shows the table of machines."""

    def __init__(self, logging, planning):
        super().__init__(logging)
        self._logging, self._planning, self._page = logging, planning, logging.page
        self._page.chosen_changed.connect(self._show)
        self._page.devices.table_wanted.connect(self._into_table)

    def _show(self, kept):
        if kept is None or not isinstance(kept.one, Device):
            return

        def read(book):
            from sketchloom.desk.shop import service_of

            its = _known(kept.one)
            return service_of(book, kept.one.name), its, its in user_data.machines()

        def show(made):
            if self._page.chosen is not None and self._page.chosen.number == kept.number:
                service, its, is_same = made
                self._page.devices.show_service(service, its is not None, is_same)
        self._logging.with_book(read, show)

    def _into_table(self):
        chosen = self._page.chosen
        try:
            its = None if chosen is None else workshop.machine_of(chosen.one)
            if its is None:
                return
            table = user_data.machines()
            there = [one.key for one in table]
            user_data.keep_machines(tuple(its if one.key == its.key else one for one in table)
                                    + (() if its.key in there else (its,)))
        except AppError as error:
            self._logging.say("machines", "trouble", told(error.message))
            return
        self._planning.renew_machines()
        self._show(chosen)


def _known(device):
    """The machine as the logbook has it, None where that is damaged."""
    try:
        return workshop.machine_of(device)
    except AppError:
        return None
