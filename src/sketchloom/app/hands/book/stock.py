"""Rests of the stock are proposed when sheets are planned."""

from PySide6.QtCore import QObject

from sketchloom.app.parts.widgets import counted
from sketchloom.app.stages.numbers import SHEETS
from sketchloom.app.words import told
from sketchloom.files import user_data
from sketchloom.files.user_data import data_folder
from sketchloom.files.workshop import BOOK


class StockKeeping(QObject):
    """Of a window's logbook."""

    def __init__(self, logging, window):
        super().__init__(logging)
        self._logging, self._session, self._planning = logging, window.session, window.planning
        self._box = window.panels[SHEETS].offcuts
        self._box.stock_wanted.connect(self._use)
        self._planning.told.connect(self._look)
        self._found, self._asked = [], None

    def _names(self):
        from sketchloom.desk.shop import Names

        return Names.from_table(user_data.materials(), told)

    def _look(self):
        """What of the stock suits the plan; no logbook is made for it."""
        plan, document = self._planning.plan, self._session.document
        if plan is None or document is None or not (data_folder() / BOOK).exists():
            self._show([])
            return
        given = document.recipe.offcuts

        def read(book):
            from sketchloom.desk import shop

            return shop.proposals(book, plan, given, self._names())
        self._logging.with_book(read, self._show, lambda _: self._show([]))

    def _show(self, found):
        self._found = found
        self._box.show_stock([kept.one for kept in found])
        document = self._session.document
        if found and document is not self._asked:  # once for a work
            self._asked = document
            self._logging.say("rests", "ask", counted(
                len(found), self.tr("A rest in stock suits this plan."),
                self.tr("{0} rests in stock suit this plan.")), (
                    (counted(len(found), self.tr("Use it first"), self.tr("Use them first")), self._use),
                    (self.tr("Not now"), lambda: None)))

    def _use(self):
        from sketchloom.desk.shop import as_offcuts

        self._box.take(as_offcuts(self._found, self._names()))
