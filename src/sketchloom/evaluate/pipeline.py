"""Evaluates a recipe on a picture, stage by stage, and keeps what a change does not touch."""

import time
from dataclasses import dataclass, replace
from typing import Any

from sketchloom.core.background.mask import freed
from sketchloom.core.background.steps import NOTHING
from sketchloom.core.base.errors import PictureError
from sketchloom.core.base.progress import QUIET, Part, watched
from sketchloom.core.base.said import said
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.picture.picture import Picture
from sketchloom.core.picture.preparing.placing import placing
from sketchloom.core.picture.preparing.preparation import prepared, prepared_size
from sketchloom.evaluate import curves, judging
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.checking import findings_of
from sketchloom.evaluate.comparing import unlike_of
from sketchloom.evaluate.drawing import painted_for
from sketchloom.evaluate.keys import Keys
from sketchloom.evaluate.labelling import entries_of
from sketchloom.evaluate.layers import LayerStage
from sketchloom.evaluate.segmenting import segmented
from sketchloom.evaluate.steps import Steps
from sketchloom.evaluate.work import Work
from sketchloom.recipe.document import SETTINGS, Recipe
from sketchloom.recipe.places import as_prepared
from sketchloom.recipe.reads import settings_in
from sketchloom.recipe.settled import as_settled

DEFAULT_LONG_SIDE_MM = 120.0
"""Size of a picture that states none."""
_BELIEVED_DPI = 150
"""A file that states fewer dots says what a screen has, not how large the drawing is (trade: 72 and 96 are for
screens)."""
STAGES = ("prepare", "segment", "planar", "curves", "layers")
_SHARE = {
    "prepare": (0.0, 0.35),
    "segment": (0.35, 0.6),
    "planar": (0.6, 0.7),
    "curves": (0.7, 0.93),
    "layers": (0.93, 1.0),
}
"""Which part of the whole each stage is taken for, where all of it has to be done (photo and ink of 16 megapixels)."""


def mm_per_pixel(recipe: Recipe, picture: Picture) -> float:
    """Scale of the work on a prepared picture: the size asked for, else the file's resolution, else 120 mm."""
    if recipe.size_mm is not None:
        side = picture.width if recipe.size_side == "width" else picture.height
        return recipe.size_mm / side
    if picture.dpi is not None and picture.dpi >= _BELIEVED_DPI:
        return MM_PER_IN / picture.dpi
    return DEFAULT_LONG_SIDE_MM / max(picture.width, picture.height)


class Pipeline:
    """Evaluates recipes; each stage's result is kept by what it depends on, in a ``cache`` that others may share."""

    def __init__(self, cache: Cache | None = None):
        self.cache = Cache() if cache is None else cache

    def evaluate(
        self, picture: Picture, recipe: Recipe, *, progress=QUIET, rough: bool = False, measured: bool = True
    ) -> Work:
        """Run what the recipe needs and was not run before.

        ``rough`` leaves the boundaries as they were found, unfitted. Widths are looked for unless it is
        rough or not to be ``measured``.

        Raises
        ------
        Cancelled : the caller asked to stop between two steps; nothing partial is kept.
        """
        self.cache.begin()
        try:
            with watched(progress) as watch:
                return _Run(self.cache, picture, recipe, watch, rough, measured and not rough).work()
        finally:
            self.cache.settle()

    def for_reduced(self, picture: Picture, recipe: Recipe) -> Recipe:
        """The recipe for a reduced copy of a picture: same size in mm, and the same colours if known."""
        recipe = as_settled(recipe)
        keys = Keys.of(picture, recipe)
        whole = self.cache.get(keys.whole)
        width, height = prepared_size(picture, recipe.preparation)
        if recipe.size_mm is not None:
            scale = recipe.size_mm / (width if recipe.size_side == "width" else height)
        else:
            scale = DEFAULT_LONG_SIDE_MM / max(width, height) if whole is None else mm_per_pixel(recipe, whole)
        same = recipe.with_width(scale * width)
        # a small copy may look like another kind of picture
        reading = self.cache.get(("reading", keys.freed))
        if recipe.reading == "auto" and reading is not None:
            same = replace(same, reading=reading)
        tree = self.cache.get(("colours", keys.freed))
        if tree is None or recipe.palette is not None:
            return same
        return replace(same, palette=entries_of(tree, recipe.colours, recipe.locked))

    def keep(self, key, make):
        """The result kept under a key, made when there is none."""
        return self.cache.keep(key, make)


@dataclass(frozen=True, slots=True, eq=False)
class _Ready:
    """The picture ``whole``, and as it is read under a ``key``: freed of its background, finer where ``thin`` lines ask
    for it; what a drawing ``painted``; what was ``judged``."""

    whole: Picture
    picture: Picture
    key: Any
    painted: Any
    judged: Any
    thin: Any


class _Run:
    """One evaluation: stages in order, timed."""

    def __init__(self, cache, picture, recipe, progress, rough, measured):
        self.cache, self.asked, self.recipe, self.progress = cache, recipe, as_settled(recipe), progress
        self.rough, self.measured, self.original = rough, measured, picture
        self.timings: dict[str, float] = {}
        self.keys = Keys.of(picture, recipe)

    def _stage(self, name, label):
        return _Stage(self.timings, name, Part(self.progress, *_SHARE[name]), label)

    def work(self) -> Work:
        recipe = self.recipe
        local = as_prepared(recipe, self.original)
        ready = self._prepared(local)
        picture, judged, times = ready.picture, ready.judged, 1 if ready.thin is None else ready.thin.times
        mm_per_px = mm_per_pixel(recipe, picture)
        move = placing(self.original.width, self.original.height, recipe.preparation)
        steps = Steps(self.cache, local)
        with self._stage("segment", said("Finding regions")) as at:
            segmentation, key = segmented(
                steps, picture, ready.key, judged.reading, mm_per_px, judged.tree, judged.noise, move,
                (self.original.width, self.original.height), times=times, areas=ready.painted, progress=at)
        bounds = curves.Bounds(segmentation, key, move, judged.blur_px(segmentation.two_tones), self.rough, times)
        with self._stage("planar", said("Drawing the map")):
            bounds.mapped(steps)
        with self._stage("curves", said("Fitting curves")) as at:
            traced = curves.traced(steps, bounds, at)
        with self._stage("layers", said("Cutting layers")) as at:
            done = LayerStage(
                self.cache.keep, recipe, mm_per_px, picture.alpha is not None, move, self.measured, self.rough,
                judged.reading == "photo",
            ).run(segmentation, traced)
            at.step(1, 2, said("Looking for what may go wrong"))
            work = self._put_together(ready, segmentation, traced, done, mm_per_px, move)
            work = replace(work, unlike=unlike_of(self.cache.keep, work, key))
            work = replace(work, findings=findings_of(self.cache, work))
            work.sheet_cuts_mm  # noqa: B018
        return work

    def _prepared(self, local) -> "_Ready":
        """The picture as its recipe prepares it, and what is judged of it."""
        recipe = self.recipe
        with self._stage("prepare", said("Preparing the picture")) as at:
            at.step(0, 8, said("Preparing the picture"))
            whole = self.original if recipe.preparation.is_plain else self.cache.keep(
                self.keys.whole, lambda: prepared(self.original, recipe.preparation, progress=Part(at, 0.0, 0.2)))
            picture = whole if local.background == NOTHING else self.cache.keep(
                self.keys.freed, lambda: freed(whole, local.background))
            painted = painted_for(recipe, self.original.painted)
            judged = judging.judged(self.cache, self.keys, self.recipe, self.asked, whole, picture, rough=self.rough,
                                    progress=Part(at, 0.25, 0.8), drawn=painted is not None)
            key, thin = self.keys.freed, None
            if recipe.thin_lines and judged.reading == "colour" and not self.rough and painted is None:
                judged, key, thin = judging.finer(self.cache, self.keys, judged, picture, Part(at, 0.8, 1.0))
                picture = picture if thin is None else thin.picture
        return _Ready(whole, picture, key, painted, judged, thin)

    def _put_together(self, ready, segmentation, traced, done, mm_per_px, move) -> Work:
        """What came out, before it is compared with the picture and judged."""
        judged = ready.judged
        return Work(
            self.original, ready.whole, ready.picture, self.asked, judged.reading, judged.fit, judged.tree,
            segmentation, traced, done.ground, done.depth, done.plans, done.layers, done.proposed, done.length_mm,
            mm_per_px, (), judged.faults, done.edited, move, self.rough, self.measured, self.timings,
            laying=done.laying, reading_now=judged.reading_now, proposed_keys=done.proposed_keys,
            thin_lines=ready.thin)


class _Stage:
    """Times a stage, and reports its steps as parts of the whole."""

    def __init__(self, timings, name, part, label):
        self.timings, self.name, self.part, self.label = timings, name, part, label

    def __enter__(self):
        self.part.step(0, 1, self.label)
        self.begin = time.perf_counter()
        return self.part

    def __exit__(self, *_):
        self.timings[self.name] = self.timings.get(self.name, 0.0) + time.perf_counter() - self.begin


def require_traceable(work: Work, path) -> None:
    """Raise PictureError when a picture shows nothing that could be cut."""
    if work.fitness.is_noise:
        raise PictureError(
            path,
            said("looks like noise: neighbouring pixels have nothing in common, so there is no area to cut."),
            said("Use a picture with drawn shapes."),
        )
    if work.traced.planar.face_count == 1 and work.recipe.ground != "keep":
        raise PictureError(path, said("is one flat colour; there is nothing to trace."),
                           said("Use a picture with drawn shapes, or keep the background."))


def same_regions(one: Recipe, other: Recipe) -> bool:
    """Whether two recipes give the same regions, whatever is made of them."""
    return all(getattr(one, name) == getattr(other, name) for section in ("source", "trace", "clean")
               for name in settings_in(section) if name not in SETTINGS or not SETTINGS[name].late)
