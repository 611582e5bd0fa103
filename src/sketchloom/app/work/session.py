"""An open work and all that happens to it: opening, evaluating, saving, writing, recovering."""

from collections.abc import Callable
from concurrent.futures import wait
from dataclasses import dataclass
from pathlib import Path

from PySide6.QtCore import QObject, Signal

from sketchloom.app import languages
from sketchloom.app.bench.paint import SourceImage
from sketchloom.app.preferred import unit_of_new_works
from sketchloom.app.words import told
from sketchloom.app.work import disk
from sketchloom.app.work.aside import Aside
from sketchloom.app.work.busy import BusySign
from sketchloom.app.work.document import Document
from sketchloom.app.work.jobs import CLOSING_S, Lane, close_all
from sketchloom.app.work.leaving import Leaving
from sketchloom.app.work.pictures import preview_png
from sketchloom.app.work.worker import Evaluator, Shown
from sketchloom.desk import mends, proposals
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files import opening, recovery, user_data
from sketchloom.files.project import mark_of


@dataclass(frozen=True, slots=True, eq=False)
class _Ready:
    opened: opening.Opened
    image: SourceImage
    recovered: recovery.Recovered | None
    mark: tuple | None  # tells the state of the file it was read from


class Session(QObject):
    """One work at a time. Says what happened by signals; asks nothing."""

    opened = Signal(object, object)
    changed = Signal()
    shown = Signal(object)
    busy = Signal(str)
    trouble = Signal(str, str)
    changed_elsewhere = Signal(object)
    saved = Signal(object)
    set_aside = Signal(str, object)
    stopped = Signal()
    long_work_ended = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self.document: Document | None = None
        self.origin: Path | None = None  # the file that was opened
        self.latest: Shown | None = None
        self.image: SourceImage | None = None
        self.plan_of: Callable = lambda work: None  # the plan of sheets that is seen of a work, if any
        self.carved_of: Callable = lambda work: None  # the same of a carved blank
        self.cache = Cache()
        self.opening, self.writing = Lane("opening"), Lane("writing", newest_wins=False)
        self.helper = Lane("helper")  # what is looked for on the way; it must not push an opening or a writing aside
        self.tooling = Lane("tooling")  # what a tool waits for; it must not be pushed aside by what is looked for
        # what was drawn, each in its turn; nothing pushes it aside, and no Esc either, which ends only the drawing
        self.drawn = Lane("drawn", newest_wins=False)
        self.saving = Lane("saving", newest_wins=False)  # a project, and the copy of one that is left for another
        self.mending = Lane("mending", newest_wins=False)
        self.aside = Aside(self.cache, self)
        self.leaving = Leaving(self)
        self.evaluator = Evaluator(self.cache, self)
        self.evaluator.ready.connect(self._take)
        self.evaluator.failed.connect(self._evaluation_failed)
        self.evaluator.stopped.connect(self._evaluation_stopped)
        # those a person waits for
        self._lanes = (self.opening, self.writing, self.helper, self.tooling, self.mending, self.drawn,
                       self.saving, self.evaluator.lane)
        self._sign = BusySign(self._lanes, self)
        self._sign.busy.connect(self.busy)
        self._sign.long_work_ended.connect(self.long_work_ended)

    # -- opening -------------------------------------------------------------------------

    def open_path(self, path) -> None:
        """Open a picture or a project; the open work stays until the new one is ready."""
        path = Path(path)
        self._open(self.tr("Opening {0}").format(path.name), lambda _: opening.open_file(path))

    def open_bytes(self, data: bytes, name: str) -> None:
        self._open(self.tr("Opening {0}").format(name), lambda _: opening.open_bytes(data, name))

    def open_as_layers(self, paths) -> None:
        """Open several pictures of one frame as the layers of one work."""
        paths = [Path(p) for p in paths]
        self._open(self.tr("Opening {0} pictures").format(len(paths)), lambda _: opening.open_as_layers(paths))

    def open_made(self, text: str, make) -> None:
        """Open what ``make()``, called elsewhere, gives: the bytes of a picture and its name."""
        self._open(text, lambda _: opening.open_bytes(*make()))

    def open_again(self, name: str, read) -> None:
        """Open the project that ``read()`` gives, as a work that has no file of its own yet."""
        self._open(self.tr("Opening {0}").format(name), lambda _: opening.open_project(read(), None), began=True)

    def open_recovered(self, recovered: recovery.Recovered) -> None:
        """Go on with a work that was left unsaved."""
        self._open(self.tr("Opening {0}").format(recovered.project.source_name),
                   lambda _: opening.open_project(recovered.project, recovered.path), recovered)

    def _open(self, text, read, recovered=None, began=False):
        """``began``: its recipe is as it is to be."""
        def work(progress):
            progress.step(0, 2, text)
            opened = (
                read(progress)
                if recovered or began
                else opening.begun_as(read(progress), next(iter(languages.asked()), languages.ENGLISH),
                                      unit_of_new_works())
            )
            progress.step(1, 2, text)
            return _Ready(opened, SourceImage(opened.picture), recovered, mark_of(opened.path) if opened.path else None)
        self.opening.run(text, work, self._open_ready, lambda why: self.trouble.emit("open", told(why)))

    def _open_ready(self, ready):
        old = self.document
        if old is not None:
            self._leave(old)
        self.evaluator.forget()
        self.cache.clear()  # what belongs to the work before
        one = ready.opened
        # a project as it lies on disk is saved; a recovered one and a new picture are not
        on_disk = one.path is not None and ready.recovered is None
        self.document = Document(one.project, one.pages, one.path, on_disk, ready.mark, self)
        if ready.recovered is not None:
            self.document.adopt(ready.recovered)
        elif one.origin is None:
            self.document.has_no_file = True
        self.origin = None if one.origin is None else Path(one.origin)
        if one.origin is not None:
            disk.quietly(user_data.remember, one.origin)
        self.document.changed.connect(self._document_changed)
        self.document.trouble.connect(lambda why: self.trouble.emit("recovery", why))
        self.latest, self.image = None, ready.image
        self.opened.emit(self.document, ready.image)
        self._document_changed()

    def _leave(self, old):
        """Another work takes its place: what is not saved of it is set aside."""
        if old.is_worth_keeping:
            kept = old.keep_for_next_start()

            def tell(folder):
                self.set_aside.emit(old.name, folder)
                old.deleteLater()
            self.saving.run("", lambda _: kept.result(), tell, lambda _: old.deleteLater())
        else:
            old.drop_recovery()
            old.deleteLater()

    # -- evaluating ----------------------------------------------------------------------

    def change(self, recipe, what: str, gesture: str = "") -> None:
        if self.document is not None:
            self.document.change(recipe, what, gesture or None)

    def draw(self, make, use) -> None:
        """Work out beside the window what was drawn, each in its turn: ``use(make())`` in the document that is open."""
        document = self.document
        self.drawn.run("", lambda _: make(), lambda made: self.document is document and use(made),
                       lambda why: self.trouble.emit("drawing", told(why)))

    def evaluate(self) -> None:
        """Ask for the current recipe's result."""
        if self.document is not None:
            self.evaluator.request(self.document.pages, self.document.recipe, self.image)

    def cancel(self) -> None:
        """Stop what a person waits for; what runs ends at its next step."""
        for lane in self._lanes:
            if lane.busy and lane not in (self.drawn, self.saving):
                lane.cancel()
                break
        self._sign.say_cancelling()

    @property
    def is_busy(self) -> bool:
        """Whether something runs that a person waits for."""
        return self._sign.is_wanted

    def mend(self, finding) -> None:
        """Change the recipe so that a finding goes away, if that can be done."""
        self._mend(lambda work: mends.mended(finding, work), self.tr("mended finding"), lambda: None)

    def mend_all(self, code: str, then=lambda: None) -> None:
        """Mend every finding of a kind; ``then()`` where that changed anything."""
        self._mend(lambda work: mends.mended_all(code, work), self.tr("mended all findings of a kind"), then)

    def _mend(self, make, what, then):
        """Work out beside the window how the exact result is mended, and do it if that result is still shown."""
        work = self.work
        if work is None:
            return

        def made(progress):
            recipe = make(work)
            progress.step(1, 1, "")  # who cancelled meanwhile wants nothing of it
            return recipe

        def take(recipe):
            if recipe is not None and self.work is work:
                self.change(recipe, what)
                then()
        self.mending.run(self.tr("Mending"), made, take,
                         lambda why: self.trouble.emit("evaluate", told(why)))

    @property
    def work(self):
        """The exact result for the present recipe; None while it is not there yet."""
        latest = self.latest
        if latest is None or latest.coarse or not latest.work.measured or not self.evaluator.is_current(latest.number):
            return None
        return latest.work

    def _document_changed(self):
        self.aside.cancel()
        self.changed.emit()
        self.evaluate()

    def _take(self, shown):
        if self.document is not None and self.evaluator.is_current(shown.number):
            self.latest = shown
            if self.work is not None:
                self.document.settle(proposals.chosen_for(self.work))
            self.shown.emit(shown)

    def _evaluation_failed(self, number, text):
        if self.evaluator.is_current(number):
            self.trouble.emit("evaluate", told(text))

    def _evaluation_stopped(self):
        self._sign.rest()
        self.stopped.emit()

    # -- keeping and handing over ----------------------------------------------------------

    def save(self, path, over: bool = False) -> None:
        """Save the project, beside the window; says by a signal whether it was.

        A file that something else has changed meanwhile is written ``over`` only where that was asked for.
        """
        path, document, shown = Path(path), self.document, self.latest
        saving = document.saving(path)
        writing = disk.later(lambda: saving.write(lambda: preview_png(shown), over))

        def take(is_written):
            if not is_written:
                self.changed_elsewhere.emit(path)
                return
            if self.document is document:  # else it was left meanwhile, and looked after then
                document.take_saved(saving)
            disk.quietly(user_data.remember, path)
            self.saved.emit(path)
        self.saving.run(self.tr("Saving {0}").format(path.name), lambda _: writing.result(), take,
                        lambda why: self.trouble.emit("save", told(why)))

    def tried(self, text: str, make, use) -> None:
        """Work out another recipe of the present exact result beside the window: ``make(work, evaluate)``, in which
        ``evaluate(recipe)`` gives the work of a recipe, then ``use(made)`` if that result is still shown."""
        work = self.work
        if work is None:
            return
        pipeline = Pipeline(self.cache)
        self.tooling.run(
            text,
            lambda progress: make(work, lambda recipe: pipeline.evaluate(work.original, recipe, progress=progress)),
            lambda made: self.work is work and use(made),
            lambda why: self.trouble.emit("evaluate", told(why)),
        )

    def close(self) -> None:
        """End; unsaved work is left to the next start, however long its disk takes."""
        if self.document is not None:
            kept = (self.document.keep_for_next_start() if self.document.is_worth_keeping
                    else self.document.drop_recovery())
            wait((kept,), CLOSING_S)
        close_all((*self._lanes, self.aside.lane))
