"""Test cuts: the next try of a material, its verdict, its picture, the piece to cut."""

from dataclasses import replace
from pathlib import Path

from PySide6.QtCore import QObject

from sketchloom.app.words import told
from sketchloom.core.logbook.records import RIGHT, Blade, Piece, Try, now
from sketchloom.files import user_data, workshop

_PIECES = 6
"""Pieces of a material whose stars can be judged: older ones are done with."""


class TryKeeping(QObject):
    """Of a window's logbook."""

    def __init__(self, logging):
        super().__init__(logging)
        self._logging, self._page, self._session = logging, logging.page, logging.session
        tries = self._page.tries
        tries.wanted.connect(self._propose)
        tries.judged.connect(self._judge)
        tries.piece_wanted.connect(self._piece)
        tries.picture_wanted.connect(self._picture)
        self._page.chosen_changed.connect(self._show)
        self._page.asked.connect(lambda kind, _: kind is Try and self._blades())

    def _blades(self):
        document = self._session.document
        usual = "" if document is None or document.recipe.machine is None else document.recipe.machine.name
        self._page.tries.show_machines([one.name for one in user_data.machines()], usual)
        self._logging.with_book(lambda book: [kept.one.name for kept in book.all(Blade)],
                                self._page.tries.show_blades)

    def _propose(self, family, material):
        machine = self._page.tries.machine_name
        self._logging.with_book(lambda book: _next(book, family, material, machine), self._show_next)

    def _show_next(self, made):
        material, proposal, tries, known, pieces = made
        if self._page.tries.asked[1] == material:
            self._page.tries.show_pieces(pieces)
            self._page.tries.show_proposal(proposal, tries, known)

    def _judge(self, force, speed, verdict, piece, number):
        family, material = self._page.tries.asked
        machine = self._page.tries.machine_name
        blade = self._page.tries.blade.currentData() or ""
        one = Try(material, family, force, speed, verdict, machine, blade, ladder=piece, number=number, at=now())

        def keep(book):
            book.add(one)
            return _next(book, family, material, machine)

        def show(made):
            self._page.ask()
            self._show_next(made)
        self._logging.with_book(keep, show)

    def _piece(self):
        family, material = self._page.tries.asked
        machine = self._page.tries.machine_name
        target = self._logging.ask_target(self.tr("Write the test piece"), f"{material}-test.svg",
                                          self.tr("Cut files (*.svg *.plt *.dxf)"))
        if not target:
            return

        def write(book):
            from sketchloom.core.logbook.trials import Guesses, Settings, ladder
            from sketchloom.files.test_piece import piece
            from sketchloom.files.writing import write_whole

            tries = _tries(book, material, machine)
            its = ladder(Guesses(family, tries), Settings())
            write_whole(target, piece(its, target))
            book.add(Piece.of(Path(target).stem[:300], material, family, its, machine))
            return _next(book, family, material, machine)

        def show(made):
            self._logging.say_written(target)
            self._show_next(made)
        self._logging.with_book(write, show)

    def _picture(self):
        chosen = self._page.chosen
        path = self._logging.ask_source(self.tr("Picture of the star"), self.tr("Pictures (*.png *.jpg *.jpeg *.webp)"))
        if not path or chosen is None:
            return

        def keep(book):
            kept = book.one(Try, chosen.number)
            if kept is not None:
                book.change(chosen.number, replace(kept.one, picture=workshop.keep_picture(path)))

        def show(_):
            self._page.choose(chosen.number)
            self._page.ask()
        self._logging.with_book(keep, show, lambda why: self._logging.say("logbook", "trouble", told(why)))

    def _show(self, kept):
        """The picture of the chosen star."""
        if kept is None or not isinstance(kept.one, Try) or not kept.one.picture:
            return

        def read(_):
            path = workshop.path_of(kept.one.picture)
            return None if path is None else path.read_bytes()
        self._logging.with_book(read, self._page.tries.look.show_png)


def _tries(book, material, machine):
    """Of a material on a machine, the oldest first: each has forces of its own."""
    return tuple(k.one for k in book.all(Try, material=material, machine=machine, newest_first=False))


def _next(book, family, material, machine):
    """The next try of a material, how many there were, what is known (what was right last, how likely it is so by all
    verdicts, and since when its tool is new), and the pieces whose stars can be judged."""
    from sketchloom.core.logbook.trials import Guesses, Settings

    tries = _tries(book, material, machine)
    right = [one for one in tries if one.verdict == RIGHT]
    guesses = Guesses(family, tries)
    made = guesses.next(Settings(), [(o.force, o.speed) for o in tries if o.verdict != RIGHT])
    known = None
    if right:
        last = right[-1]
        blades = book.all(Blade, name=last.blade, limit=1) if last.blade else []
        known = last, guesses.right_at(last.force, last.speed), blades[0].one.since if blades else ""
    return material, made, len(tries), known, _pieces(book, material, machine, tries)


def _pieces(book, material, machine, tries):
    """Pieces of a material on a machine, the newest first, with the verdicts on their stars by number."""
    found = []
    for kept in book.all(Piece, material=material, machine=machine, limit=_PIECES):
        its = [one for one in tries if one.ladder == kept.one.name and one.at >= kept.one.at]
        found.append((kept.one, {one.number: one.verdict for one in its}))
    return found
