"""Keeps the logbook of a window: opens it when it is looked at, writes what is released, answers what is asked."""

from dataclasses import replace

from PySide6.QtCore import QObject, QTimer
from PySide6.QtWidgets import QFileDialog

from sketchloom.app.hands.book.devices import DeviceKeeping
from sketchloom.app.hands.book.jobs import JobKeeping, Releases
from sketchloom.app.hands.book.rates import RateKeeping
from sketchloom.app.hands.book.stock import StockKeeping
from sketchloom.app.hands.book.training import Training
from sketchloom.app.hands.book.trying import TryKeeping
from sketchloom.app.words import told
from sketchloom.app.work.jobs import Lane
from sketchloom.core.logbook.records import Batch, Blade, Device, Stock, columns, now
from sketchloom.files.user_data import data_folder
from sketchloom.files.workshop import BOOK


class Logging(QObject):
    """Of one window, whose ``page`` is made when it is first looked at; ``say(topic, kind, text)`` is the window's."""

    def __init__(self, window):
        super().__init__(window)
        self.session, self.say = window.session, window.notices.say
        self._window, self._page, self._steps = window, None, self._make_page()
        self.lane = Lane("logbook", newest_wins=False)  # one thread: the file is its own
        self._book = None
        self.releases, self.stock = Releases(self, window.session), StockKeeping(self, window)

    @property
    def page(self):
        """The logbook in the middle of the window."""
        while self._page is None:
            next(self._steps)
        return self._page

    def when_made(self, then) -> None:
        """Call ``then()`` when the page is there: each step of making it has a turn of its own, for all at once are
        long beside a trace."""
        if self._page is not None:
            then()
            return

        def step():
            if self._page is None:
                next(self._steps)
            self.when_made(then)
        QTimer.singleShot(0, self, step)

    @property
    def is_seen(self) -> bool:
        """Whether the logbook is in the middle of the window now."""
        return self._page is not None and self._window.middle.currentWidget() is self._page

    def _make_page(self):
        """Steps of making the page."""
        from sketchloom.app.logbook.page import LogbookPage

        yield
        page = LogbookPage(self._window.middle)
        yield from page.make()
        self._window.middle.addWidget(page)
        yield
        self._page = page
        page.asked.connect(self._list)
        page.entry_wanted.connect(lambda kind, number: self.with_book(lambda book: book.one(kind, number),
                                                                      page.show_entry))
        page.remove_wanted.connect(self._ask_remove)
        page.export_wanted.connect(self._export)
        page.import_wanted.connect(self._import)
        page.save_wanted.connect(self._save)
        for form, kind in ((page.stock, Stock), (page.batches, Batch), (page.devices, Device), (page.blades, Blade)):
            form.kept.connect(lambda one, k=kind: self.do(lambda book: book.add(_dated(one, k))))
            form.changed.connect(self._change)
        self.jobs, self.tries = JobKeeping(self, self._window), TryKeeping(self)
        self.training = Training(page.trainer, self.say)
        self.rates = RateKeeping(self, self._window.planning)
        self.devices = DeviceKeeping(self, self._window.planning)
        yield

    def turn(self) -> None:
        """The page is seen."""
        document = self.session.document
        self.page.show_unit("mm" if document is None else document.recipe.unit)
        self.page.ask()

    def close(self) -> None:
        """The window is closed: what was said to be kept is on the disk."""
        if self._page is not None:
            self.training.close()
        self.lane.close()

    def _open(self):
        from sketchloom.core.logbook.store import Logbook

        if self._book is None:
            self._book = Logbook(data_folder() / BOOK)
        return self._book

    def with_book(self, do, then=lambda _: None, trouble=None) -> None:
        """Do something with the logbook beside the window: ``then(do(book))``, or ``trouble(why)``."""
        def work(_):
            book = self._open()
            return do(book), book.note, book.is_damaged

        def take(answer):
            made, note, is_damaged = answer
            if self._page is not None:
                self._page.say(told(note), is_damaged)
            then(made)

        def tell(why):
            if self._page is not None:
                self._page.say(told(why), self._book is not None and self._book.is_damaged)
        self.lane.run("", work, take, trouble or tell)

    def do(self, do) -> None:
        """A change, and the list as it is then."""
        self.with_book(do, lambda _: self.page.ask())

    def _change(self, one):
        chosen = self.page.chosen
        if chosen is not None:
            self.do(lambda book: book.change(chosen.number, one))

    def _list(self, kind, words):
        from sketchloom.app.logbook.page import SHOWN

        self.with_book(lambda book: (book.all(kind, words, limit=SHOWN), book.count(kind, words)),
                       lambda made: self.page.show_kept(kind, *made))

    def _ask_remove(self, kind, number):
        def remove(book):
            from sketchloom.files import workshop

            workshop.remove(book, kind, number)
        self.say("logbook", "ask", self.tr("Delete entry {0} for good? It cannot be undone.").format(number), (
            (self.tr("Delete"), lambda: self.do(remove)), (self.tr("Leave it"), lambda: None)))

    # -- in and out ----------------------------------------------------------------------

    def ask_target(self, title: str, name: str, kinds: str) -> str:
        """A file to write, empty for none."""
        return QFileDialog.getSaveFileName(self.page, title, name, kinds)[0]

    def ask_source(self, title: str, kinds: str) -> str:
        """A file to read, empty for none."""
        return QFileDialog.getOpenFileName(self.page, title, "", kinds)[0]

    def say_written(self, path) -> None:
        self.say("logbook", "done", self.tr("Written: {0}").format(path))

    def _export(self, kind):
        from sketchloom.core.logbook.records import NAME_OF

        target = self.ask_target(self.tr("Write the table"), f"{NAME_OF[kind]}.csv", self.tr(
            "This table (*.csv);;The whole logbook (*.json)"))
        if target:
            self.with_book(lambda book: _write(book, kind, target), lambda _: self.say_written(target),
                           lambda why: self.say("logbook", "trouble", told(why)))

    def _import(self, kind):
        source = self.ask_source(self.tr("Take in a table"), self.tr(
            "Entries for this table (*.csv);;A whole logbook (*.json)"))
        if not source:
            return

        def take(count):
            self.say("logbook", "done", self.tr("Taken in: {0} entries.").format(count))
            self.page.ask()
        def read(book):
            from sketchloom.core.logbook.moving import taken_in

            return taken_in(book, source, kind)
        self.with_book(read, take, lambda why: self.say(
            "logbook", "trouble", self.tr("Nothing was taken in: {0}").format(told(why))))

    def _save(self):
        target = self.ask_target(self.tr("Save what can be read"), "logbook-saved.db", self.tr("Logbooks (*.db)"))
        if not target:
            return

        def save(book):
            from sketchloom.core.logbook.rescue import save_into

            return save_into(book, target)

        def tell(made):
            self.say("logbook", "done", self.tr(
                "Saved: {0} entries; {1} places could not be read. To go on with it, close the program and put {2} in "
                "the place of {3}.").format(*made, target, data_folder() / BOOK))
        self.with_book(save, tell, lambda why: self.say("logbook", "trouble", told(why)))


def _dated(one, kind):
    """A record with the moment it is kept, where it says none; what was bought says its own."""
    return replace(one, at=now()) if "at" in columns(kind) and kind is not Batch else one


def _write(book, kind, target):
    """A table, or all of them where the file is to be JSON."""
    from sketchloom.core.logbook.exchange import to_csv
    from sketchloom.core.logbook.moving import everything
    from sketchloom.files.writing import write_whole

    write_whole(target, everything(book) if target.lower().endswith(".json") else
                to_csv(kind, book.all(kind, newest_first="at" not in columns(kind))))
