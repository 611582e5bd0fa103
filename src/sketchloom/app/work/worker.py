"""Evaluates recipes away from the window: the latest request wins, older answers are dropped."""

from dataclasses import dataclass

from PySide6.QtCore import QObject, Signal
from PySide6.QtGui import QImage

from sketchloom.app import theme
from sketchloom.app.bench.paint import SourceImage, tint_of
from sketchloom.app.work.jobs import Lane
from sketchloom.app.work.paths import SheetPath
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.desk.ahead import look_ahead
from sketchloom.desk.grounds import best_ground
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.pipeline import Pipeline, same_regions
from sketchloom.evaluate.work import Work
from sketchloom.files.opening import Pages
from sketchloom.recipe.document import Recipe

COARSE_PX = 160


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
    ground: str = ""
    """The ground on which it is seen best."""


class Evaluator(QObject):
    """Evaluates the newest request; whatever runs for an older one is stopped."""

    ready = Signal(object)
    failed = Signal(int, str)
    stopped = Signal()

    def __init__(self, cache: Cache, parent=None):
        super().__init__(parent)
        self.lane = Lane("evaluator")
        self.cache = cache
        self._number = 0
        self._exact, self._coarse = Pipeline(cache), Pipeline(cache)
        self._last_settings = self._last_steps = None

    def request(self, pages: Pages, recipe: Recipe, image: SourceImage) -> int:
        """Ask for an evaluation."""
        self._number += 1
        request = Request(self._number, pages, recipe, image)
        self.lane.run(self.tr("Tracing"), lambda progress: self._evaluate(request, progress), lambda _: None,
                      lambda why: self.failed.emit(request.number, why), self.stopped.emit)
        return self._number

    def cancel(self) -> None:
        """Stop what runs; ``stopped`` says when it has."""
        self.lane.cancel()

    def forget(self) -> None:
        """Another work is opened: nothing of this one is wanted any more."""
        self._number += 1
        self.lane.forget()

    def is_current(self, number: int) -> bool:
        return number == self._number

    def _evaluate(self, request, progress):
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
            work = self._coarse.evaluate(reduced, recipe, progress=progress, rough=True)
            self._emit(request, picture, work, coarse=True)
        if again:
            # only layers are made anew: they can be seen before their widths are looked for
            work = self._exact.evaluate(picture, request.recipe, progress=progress, measured=False)
            self._emit(request, picture, work, coarse=False)
        work = self._exact.evaluate(picture, request.recipe, progress=progress)
        self._last_settings = (picture, request.recipe)
        look_ahead(work)
        self._emit(request, picture, work, coarse=False)

    def _emit(self, request, picture, work, coarse):
        paths = tuple(self._exact.keep(("path", id(layer.outline), work.mm_per_px), lambda: (
            layer.outline, SheetPath(layer.outline, work.mm_per_px)))[1] for layer in work.layers)  # noqa: B023
        index = None if coarse else self._exact.keep(
            ("index", id(work.traced)), lambda: (work.traced, RegionIndex(work.traced.planar)))[1]
        if self.is_current(request.number):
            veil = None
            # a picture that came with transparent ground is shown so; one that was freed has its ground veiled
            if work.picture is not work.whole and work.picture.alpha is not None and (
                    work.thin_lines is None or work.whole.alpha is None):
                veil = self._exact.keep(
                    ("veil", id(work.picture)), lambda: (work.picture, tint_of(255 - work.picture.alpha))
                )[1]
            self.ready.emit(
                Shown(request.number, work, paths, coarse, index, self._source_of(request, picture, work, coarse), veil,
                      best_ground(work, theme.GROUNDS))
            )

    def _source_of(self, request, picture, work, coarse):
        """The picture to show; None for the one shown already, while a reduced one is all there is."""
        steps = (id(picture), request.recipe.preparation)
        if coarse and steps == self._last_steps:
            return None
        self._last_steps = None if coarse else steps
        if request.image.picture is work.whole:
            return request.image
        return self._exact.keep(("image", id(work.whole)), lambda: (work.whole, SourceImage(work.whole)))[1]
