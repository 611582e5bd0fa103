"""Evaluates recipes away from the window: the latest request wins, older answers are dropped."""

import logging
import threading
from dataclasses import dataclass

from PySide6.QtCore import QObject, Signal
from PySide6.QtGui import QImage

from sketchloom.app.bench.paint import SourceImage, tint_of
from sketchloom.app.work.paths import SheetPath
from sketchloom.core.base.errors import AppError, Cancelled
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.pipeline import Pipeline, same_regions
from sketchloom.evaluate.work import Work
from sketchloom.files.opening import Pages
from sketchloom.recipe.document import Recipe

COARSE_PX = 160
_log = logging.getLogger(__name__)


@dataclass(frozen=True, slots=True)
class Request:
    """One evaluation wanted; ``image`` shows the picture the work was opened with."""

    number: int
    pages: Pages
    recipe: Recipe
    image: SourceImage


@dataclass(frozen=True, eq=False)
class Shown:
    """A finished work with its paths in mm, layer by layer.

    ``coarse``: from a reduced picture, without ``index``, which tells what lies where. ``source``:
    the prepared picture to show; None for the one shown when the work was opened. ``veil`` lies over
    what it is freed of, None when that is nothing.
    """

    number: int
    work: Work
    paths: tuple[SheetPath, ...]
    coarse: bool
    index: RegionIndex | None
    source: SourceImage | None = None
    veil: QImage | None = None


class Evaluator(QObject):
    """A worker thread with room for one waiting request."""

    ready = Signal(object)
    failed = Signal(int, str)
    progressed = Signal(int, int, str)
    idle = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self._condition = threading.Condition()
        self._waiting: Request | None = None
        self._number = 0
        self._stopped_at = 0
        self._ending = False
        self.cache = Cache()
        self._exact, self._coarse = Pipeline(self.cache), Pipeline(self.cache)
        self._last_settings = self._last_steps = None
        self._thread = threading.Thread(target=self._run, name="evaluator", daemon=True)
        self._thread.start()

    def request(self, pages: Pages, recipe: Recipe, image: SourceImage) -> int:
        """Ask for an evaluation; whatever runs for an older request is stopped."""
        with self._condition:
            self._number += 1
            self._waiting = Request(self._number, pages, recipe, image)
            self._condition.notify()
            return self._number

    def cancel(self) -> None:
        """Stop what runs and forget what waits."""
        with self._condition:
            self._waiting = None
            self._stopped_at = self._number

    def close(self) -> None:
        """End the thread and wait for it."""
        with self._condition:
            self._ending = True
            self._waiting = None
            self._stopped_at = self._number
            self._condition.notify()
        self._thread.join(10)

    def is_current(self, number: int) -> bool:
        return number == self._number

    def _run(self):
        while True:
            with self._condition:
                while self._waiting is None and not self._ending:
                    self._condition.wait()
                if self._ending:
                    return
                request, self._waiting = self._waiting, None
            try:
                self._evaluate(request)
            except Cancelled:
                _log.debug("request %d was overtaken", request.number)
            except AppError as error:
                self.failed.emit(request.number, str(error))
            except MemoryError:
                self.failed.emit(request.number, "There is not enough memory for this picture. Use a smaller copy.")
            except Exception:
                _log.exception("evaluation failed")
                self.failed.emit(request.number, "Something went wrong inside the program; the work itself is safe. "
                                 "Undo the last change and try another setting.")
            with self._condition:
                if self._waiting is None and not self._ending:
                    self.idle.emit()

    def _evaluate(self, request):
        watch = _Watch(self, request.number)
        picture = request.pages.picture(request.recipe)
        last = self._last_settings
        again = last is not None and last[0] is picture and same_regions(last[1], request.recipe)
        large = max(picture.width, picture.height) > COARSE_PX * 1.5
        if large and not again:
            # the key must say that the exact result is still to come, should this be overtaken
            self._last_settings = None
            reduced = self._coarse.keep(("reduced", id(picture)),
                                        lambda: (picture, picture.reduced(COARSE_PX)))[1]
            recipe = self._exact.for_reduced(picture, request.recipe)
            work = self._coarse.evaluate(reduced, recipe, progress=watch, rough=True)
            self._emit(request, picture, work, coarse=True)
        if again:
            # only layers are made anew: they can be seen before their widths are looked for
            work = self._exact.evaluate(picture, request.recipe, progress=watch, measured=False)
            self._emit(request, picture, work, coarse=False)
        work = self._exact.evaluate(picture, request.recipe, progress=watch)
        self._last_settings = (picture, request.recipe)
        self._emit(request, picture, work, coarse=False)

    def _emit(self, request, picture, work, coarse):
        paths = tuple(self._exact.keep(("path", id(layer.outline), work.mm_per_px), lambda: (
            layer.outline, SheetPath(layer.outline, work.mm_per_px)))[1] for layer in work.layers)
        index = None if coarse else self._exact.keep(
            ("index", id(work.traced)), lambda: (work.traced, RegionIndex(work.traced.planar)))[1]
        if self.is_current(request.number):
            veil = None
            if work.picture is not work.whole and work.picture.alpha is not None:
                veil = self._exact.keep(("veil", id(work.picture)), lambda: (work.picture, tint_of(255 - work.picture.alpha)))[1]
            self.ready.emit(Shown(request.number, work, paths, coarse, index, self._source_of(request, picture, work, coarse), veil))

    def _source_of(self, request, picture, work, coarse):
        """The picture to show; None for the one shown already, while a reduced one is all there is."""
        steps = (id(picture), request.recipe.preparation)
        if coarse and steps == self._last_steps:
            return None
        self._last_steps = None if coarse else steps
        if request.image.picture is work.whole:
            return request.image
        return self._exact.keep(("image", id(work.whole)), lambda: (work.whole, SourceImage(work.whole)))[1]


class _Watch:
    """Progress that ends an overtaken evaluation."""

    def __init__(self, evaluator, number):
        self.evaluator, self.number = evaluator, number

    def step(self, done, total, label):
        if self.number != self.evaluator._number or self.number <= self.evaluator._stopped_at:
            raise Cancelled("A newer change replaced this one.")
        self.evaluator.progressed.emit(done, total, label)
