"""Keeps the logbook of a window: opens it when it is looked at, writes what is released, answers what is asked."""

from dataclasses import replace
from pathlib import Path

from PySide6.QtCore import QObject
from PySide6.QtWidgets import QFileDialog

from sketchloom.app.logbook.page import SHOWN
from sketchloom.app.words import told
from sketchloom.app.work.jobs import Lane
from sketchloom.core.logbook.records import DONE, RIGHT, RUNNING, Try, columns, now
from sketchloom.files.user_data import data_folder

_NAME = "logbook.db"


class Logging(QObject):
    """Of one window; ``say(topic, kind, text)`` is the window's."""

    def __init__(self, session, page, say):
        super().__init__(page)
        self._session, self._page, self._say = session, page, say
        self.lane = Lane("logbook", newest_wins=False)  # one thread: the file is its own
        self._book = None
        page.asked.connect(self._list)
        page.remove_wanted.connect(self._ask_remove)
        page.export_wanted.connect(self._export)
        page.jobs.ran.connect(self._ran)
        page.tries.wanted.connect(self._propose)
        page.tries.judged.connect(self._judge)
        page.tries.piece_wanted.connect(self._piece)
        page.stock.kept.connect(lambda one: self._do(lambda book: book.add(replace(one, at=now()))))
        session.leaving.written.connect(self._released)

    def turn(self) -> None:
        """The page is seen."""
        document = self._session.document
        self._page.unit = "mm" if document is None else document.recipe.unit
        self._page.stock.show_unit(self._page.unit)
        self._page.ask()

    def close(self) -> None:
        """The window is closed: what was said to be kept is on the disk."""
        self.lane.close()

    def _open(self):
        from sketchloom.core.logbook.store import Logbook

        if self._book is None:
            self._book = Logbook(data_folder() / _NAME)
        return self._book

    def _with_book(self, do, then=lambda _: None, trouble=None):
        """Do something with the logbook beside the window."""
        def work(_):
            book = self._open()
            return do(book), book.note
        def take(answer):
            made, note = answer
            self._page.say(told(note))
            then(made)
        self.lane.run("", work, take, trouble or (lambda why: self._page.say(told(why))))

    def _do(self, do):
        """A change, and the list as it is then."""
        self._with_book(do, lambda _: self._page.ask())

    def _list(self, kind, words):
        self._with_book(lambda book: (book.all(kind, words, limit=SHOWN), book.count(kind, words)),
                        lambda made: self._page.show_kept(kind, *made))

    def _ask_remove(self, kind, number):
        self._say("logbook", "ask", self.tr("Delete entry {0} for good? It cannot be undone.").format(number), (
            (self.tr("Delete"), lambda: self._do(lambda book: book.remove(kind, number))),
            (self.tr("Leave it"), lambda: None)))

    # -- jobs --------------------------------------------------------------------------

    def _released(self, paths):
        """What was written is a job."""
        work, session = self._session.work, self._session
        if work is None or session.document is None or not paths:
            return
        name, plan, carved = session.document.name, session.plan_of(work), session.carved_of(work)

        def keep(book):
            from sketchloom.files.jobs import job_of

            return book.add(job_of(work, name, [Path(p) for p in paths], plan,
                                   0.0 if carved is None else carved.seconds))
        self._with_book(keep, lambda _: self._page.isVisible() and self._page.ask(),
                        lambda why: self._say("logbook", "trouble", told(why)))

    def _ran(self, state, minutes):
        chosen = self._page.chosen
        if chosen is None:
            return
        job = replace(chosen.one, state=state)
        if state == RUNNING:
            job = replace(job, began=now())
        else:
            job = replace(job, ended=now(), real_s=60 * minutes if state == DONE else job.real_s)
        self._do(lambda book: book.change(chosen.number, job))

    # -- test cuts -----------------------------------------------------------------------

    def _propose(self, family, material):
        self._with_book(lambda book: _next(book, family, material), self._show_next)

    def _show_next(self, made):
        material, proposal, tries, known = made
        if self._page.tries.asked[1] == material:
            self._page.tries.show_proposal(proposal, tries, known)

    def _judge(self, force, speed, verdict):
        family, material = self._page.tries.asked
        document = self._session.document
        machine = "" if document is None or document.recipe.machine is None else document.recipe.machine.name
        one = Try(material, family, force, speed, verdict, machine, at=now())

        def keep(book):
            book.add(one)
            return _next(book, family, material)

        def show(made):
            self._page.ask()
            self._show_next(made)
        self._with_book(keep, show)

    def _piece(self):
        family, material = self._page.tries.asked
        target, _ = QFileDialog.getSaveFileName(self._page, self.tr("Write the test piece"), f"{material}-test.svg",
                                                self.tr("Cut files (*.svg *.plt *.dxf)"))
        if not target:
            return

        def write(book):
            from sketchloom.core.logbook.trials import Guesses, Settings, ladder
            from sketchloom.files.test_piece import piece
            from sketchloom.files.writing import write_whole

            tries = tuple(k.one for k in book.all(Try, material=material, newest_first=False))
            write_whole(target, piece(ladder(Guesses(family, tries), Settings()), target))
            return target
        self._with_book(write, lambda path: self._say("logbook", "done", self.tr("Written: {0}").format(path)))

    def _export(self, kind):
        from sketchloom.core.logbook.records import NAME_OF

        target, _ = QFileDialog.getSaveFileName(self._page, self.tr("Write the table"), f"{NAME_OF[kind]}.csv",
                                                self.tr("Tables (*.csv)"))
        if target:
            self._with_book(lambda book: _write_csv(book, kind, target),
                            lambda _: self._say("logbook", "done", self.tr("Written: {0}").format(target)))


def _write_csv(book, kind, target):
    from sketchloom.core.logbook.exchange import to_csv
    from sketchloom.files.writing import write_whole

    write_whole(target, to_csv(kind, book.all(kind, newest_first="at" not in columns(kind))))


def _next(book, family, material):
    """The next try of a material, how many there were, and what was right last."""
    from sketchloom.core.logbook.trials import Guesses, Settings

    tries = tuple(k.one for k in book.all(Try, material=material, newest_first=False))
    right = [one for one in tries if one.verdict == RIGHT]
    made = Guesses(family, tries).next(Settings(), [(o.force, o.speed) for o in tries if o.verdict != RIGHT])
    return material, made, len(tries), right[-1] if right else None
