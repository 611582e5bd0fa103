"""Evaluates a recipe on a picture, stage by stage, and keeps what a change does not touch."""

import time
from collections import OrderedDict
from dataclasses import fields, replace
from hashlib import blake2b

import numpy as np

from sketchloom.core import parallel
from sketchloom.core.background.mask import freed
from sketchloom.core.background.steps import NOTHING
from sketchloom.core.errors import PictureError
from sketchloom.core.picture import faults as fault_finding
from sketchloom.core.picture import fitness
from sketchloom.core.picture.picture import Picture
from sketchloom.core.picture.preparing.placing import moved, placing
from sketchloom.core.picture.preparing.preparation import prepared, prepared_size
from sketchloom.core.layers.width import space_widths
from sketchloom.core.preflight import rules
from sketchloom.core.progress import QUIET
from sketchloom.core.reading import proposed_reading
from sketchloom.core.segment import palette as palettes
from sketchloom.core.sheets.materials import check_materials
from sketchloom.core.units import MM_PER_IN
from sketchloom.curve_stage import CurveStage
from sketchloom.layer_stage import LayerStage
from sketchloom.placed import as_prepared
from sketchloom.recipe import MAX_SIZE_MM, MIN_SIZE_MM, Recipe
from sketchloom.segmenting import Segmenter, proposed_entries
from sketchloom.work import Work, solid_faces, stack_height_mm

DEFAULT_LONG_SIDE_MM = 120.0
_BELIEVED_DPI = 150
_KEPT, _KEPT_SHEETS = 48, 120


def mm_per_pixel(recipe: Recipe, picture: Picture) -> float:
    """Scale of the work on a prepared picture: the size asked for, else the file's resolution, else 120 mm."""
    if recipe.size_mm is not None:
        side = picture.width if recipe.size_side == "width" else picture.height
        return recipe.size_mm / side
    if picture.dpi is not None and picture.dpi >= _BELIEVED_DPI:
        return MM_PER_IN / picture.dpi
    return DEFAULT_LONG_SIDE_MM / max(picture.width, picture.height)


class Pipeline:
    """Evaluates recipes; each stage's result is kept by what it depends on."""

    def __init__(self):
        self._kept: OrderedDict = OrderedDict()
        self._sheets: OrderedDict = OrderedDict()

    def evaluate(self, picture: Picture, recipe: Recipe, *, progress=QUIET, rough: bool = False, measured: bool = True) -> Work:
        """Run what the recipe needs and was not run before.

        ``rough`` leaves the boundaries as they were found, unfitted. Widths are looked for unless it is
        rough or not to be ``measured``.

        Raises
        ------
        Cancelled : the caller asked to stop between two stages.
        """
        return _Run(self, picture, recipe, progress, rough, measured and not rough).work()

    def for_reduced(self, picture: Picture, recipe: Recipe) -> Recipe:
        """The recipe for a reduced copy of a picture: same size in mm, and the same colours if known."""
        width, height = prepared_size(picture, recipe.preparation)
        background = as_prepared(recipe, picture).background
        if recipe.size_mm is None:
            whole = self._kept.get(("prepared", _digest(picture), recipe.preparation))
            scale = DEFAULT_LONG_SIDE_MM / max(width, height) if whole is None else mm_per_pixel(recipe, whole)
        else:
            scale = recipe.size_mm / (width if recipe.size_side == "width" else height)
        same = replace(recipe, size_mm=min(max(scale * width, MIN_SIZE_MM), MAX_SIZE_MM), size_side="width")
        whole = self._kept.get(("prepared", _digest(picture), recipe.preparation))
        seen = whole
        if whole is not None and recipe.background != NOTHING:
            seen = self._kept.get(("freed", _digest(whole), background))
        if seen is None:
            return same
        # a small copy may look like another kind of picture
        reading = self._kept.get(("reading", _digest(seen)))
        if recipe.reading == "auto" and reading is not None:
            same = replace(same, reading=reading)
        tree = self._kept.get(("tree", _digest(seen)))
        if tree is None or recipe.palette is not None:
            return same
        return replace(same, palette=proposed_entries(tree, recipe))

    def keep(self, key, make):
        """The result kept under a key, made when there is none."""
        return _kept(self._kept, key, make, _KEPT)

    def keep_sheet(self, key, make):
        """The same for parts of single sheets, which are small and many."""
        return _kept(self._sheets, key, make, _KEPT_SHEETS)


def _kept(store, key, make, most):
    try:
        store.move_to_end(key)
        return store[key]
    except KeyError:
        value = store[key] = make()
    while len(store) > most:
        store.popitem(last=False)
    return value


class _Run:
    """One evaluation: stages in order, timed."""

    STAGES = ("prepare", "segment", "planar", "curves", "layers")

    def __init__(self, pipeline, picture, recipe, progress, rough, measured):
        self.rough, self.measured, self.original = rough, measured, picture
        self.keep_sheet = pipeline.keep_sheet
        self.keep, self.recipe, self.progress = pipeline.keep, recipe, progress
        self.timings: dict = {}
        with self._stage("prepare", "Preparing the picture"):
            whole = self.keep(("prepared", _digest(picture), recipe.preparation), lambda: prepared(picture, recipe.preparation))
            self.whole = whole
            self.local = as_prepared(recipe, picture)
            background = self.local.background
            self.picture = whole if background == NOTHING else self.keep(
                ("freed", _digest(whole), background), lambda: freed(whole, background))
        self.source = _digest(self.picture)
        self.mm_per_px = mm_per_pixel(recipe, self.picture)

    def _stage(self, name, label):
        self.progress.step(self.STAGES.index(name), len(self.STAGES), label)
        return _Timer(self.timings, name)

    def work(self):
        recipe, picture = self.recipe, self.picture
        with self._stage("prepare", "Judging the picture"):
            picture.local_range  # both need it
            fit, tree, faults = parallel.in_threads(lambda work: work(), (
                lambda: self.keep(("fitness", self.source), lambda: fitness.measure(picture)),
                lambda: self.keep(("tree", self.source), lambda: palettes.find_colours(picture)),
                lambda: fault_finding.NONE if self.rough else self.keep(
                    ("faults", _digest(self.whole)), lambda: fault_finding.find_faults(self.whole))))
        reading = recipe.reading
        if reading == "auto":
            reading = self.keep(("reading", self.source), lambda: proposed_reading(picture, fit, tree))
        with self._stage("segment", "Finding regions"):
            came_px = self.original.width, self.original.height
            move = self.move = placing(*came_px, recipe.preparation)
            segmentation, key = Segmenter(self.keep, picture, self.source, self.local, self.mm_per_px, tree, move, came_px).run(reading)
        traced = self._trace(segmentation, key, fit.blur_px if segmentation.two_tones else 0.0)
        with self._stage("layers", "Cutting layers"):
            done = LayerStage(self.keep_sheet, recipe, self.mm_per_px, picture.alpha is not None, move, self.measured, self.rough).run(
                segmentation, traced)
        found = () if not (self.measured or self.rough) else fitness.judge(fit, faults, picture, self.mm_per_px, reading) + rules.check_layers(
            done.layers, segmentation.dropped, segmentation.own_entries,
            np.bincount(done.edited.label, minlength=len(segmentation.entries)),
            recipe.smallest_mm, recipe.thin_mm, self.mm_per_px, done.proposed.exact)
        if len(done.edited.found):
            places = moved(move, [(e.x, e.y) for e in recipe.edits]) * (picture.width, picture.height)
            found += rules.check_edits(recipe.edits, done.edited.found, places)
        if recipe.curves or segmentation.cut_in is not None:
            splits = () if segmentation.cut_in is None else tuple(s for s in recipe.splits if s.on)
            middles = [part[len(part) // 2] for part in (*(c.stretch for c in recipe.curves), *(s.points for s in splits))]
            found += rules.check_drawn(traced.curves_found, np.ones(0, bool) if segmentation.cut_in is None else segmentation.cut_in.splits_done,
                                       moved(move, middles) * (picture.width, picture.height))
        if recipe.laid_on is not None and (self.measured or self.rough):
            found += rules.check_ground(done.layers, recipe.laid_on)
        if recipe.materials or recipe.frame_depth_mm is not None:
            found += self._check_materials(traced, done)
        work = Work(self.original, self.whole, picture, recipe, reading, fit, tree, segmentation, traced, done.ground, done.depth,
                    done.plans, done.layers, done.proposed, done.length_mm, self.mm_per_px, found, faults, done.edited, move,
                    self.rough, self.measured, self.timings)
        work.sheet_cuts_mm  # helper cuts are worked out here, not where the figures are shown
        return work

    def _check_materials(self, traced, done):
        recipe = self.recipe
        materials = [recipe.material_of(layer.plan.key) for layer in done.layers]
        faces = solid_faces(recipe, traced, done.depth, done.plans, done.layers)
        below = [{materials[j].family for j in range(k) if materials[j] is not None and (faces[j] & faces[k]).any()} for k in range(len(faces))]
        height = stack_height_mm(recipe, traced, done.depth, done.plans, done.layers)
        return check_materials(done.layers, materials, below, recipe.tool, recipe.frame_depth_mm, height, {e.key for e in recipe.layers if e.apart},
                               [self._narrowest_space(layer, m) for layer, m in zip(done.layers, materials)])

    def _narrowest_space(self, layer, material):
        """The narrowest space between the cuts of a sheet, mm, where that is near what its material bears."""
        if material is None or not self.measured or material.gap_mm <= 0 or layer.outline.pen_px is not None or not len(layer.outline.controls):
            return None
        limit = 1.5 * material.gap_mm / self.mm_per_px
        found = self.keep_sheet(("spaces", id(layer.outline), limit), lambda: (layer.outline, space_widths(layer.outline, limit)))[1].narrowest()
        return None if found is None else found * self.mm_per_px

    def _trace(self, segmentation, key, blur):
        stage = CurveStage(self.keep, self.recipe, segmentation, key, self.move, self.local.patches, blur, self.rough,
                           _Within(self.progress, 3, len(self.STAGES)))
        with self._stage("planar", "Drawing the map"):
            stage.map()
        with self._stage("curves", "Fitting curves"):
            return stage.traced()


def _digest(picture):
    """Content key of a picture, worked out once."""
    cached = picture.__dict__.get("_digest")
    if cached is None:
        alpha = b"" if picture.alpha is None else np.ascontiguousarray(picture.alpha)
        state = blake2b(np.ascontiguousarray(picture.rgb), digest_size=16)
        state.update(alpha)
        cached = f"{picture.width}x{picture.height}:{state.hexdigest()}"
        picture.__dict__["_digest"] = cached
    return cached


class _Timer:
    def __init__(self, timings, name):
        self.timings, self.name = timings, name

    def __enter__(self):
        self.begin = time.perf_counter()

    def __exit__(self, *_):
        self.timings[self.name] = self.timings.get(self.name, 0.0) + time.perf_counter() - self.begin


class _Within:
    """Passes steps of an inner loop on as the outer stage, so that cancelling reaches it."""

    def __init__(self, progress, done, total):
        self.progress, self.done, self.total = progress, done, total

    def step(self, done, total, label):
        self.progress.step(self.done, self.total, label)


def require_traceable(work: Work, path) -> None:
    """Raise PictureError when a picture shows nothing that could be cut."""
    if work.fitness.is_noise:
        raise PictureError(path, "looks like noise: neighbouring pixels have nothing in common, so there is no "
                           "area to cut.", "Use a picture with drawn shapes.")
    if work.traced.planar.face_count == 1 and work.recipe.ground != "keep":
        raise PictureError(path, "is one flat colour; there is nothing to trace.",
                           "Use a picture with drawn shapes, or keep the background.")


_AFTER_CURVES = {"ground", "thin_mm", "pens", "smoothness", "exact_shapes", "layering", "overlap_mm", "sheet_mm", "spacer_mm", "marks", "weeding_mm", "weeding_every_mm", "materials", "tool", "frame_depth_mm", "laid_on", "order_weights", "order", "above", "layers", "edits", "all_off", "rims", "alternatives", "unit", "names_in", "unknown"}


def segmentation_settings(recipe: Recipe) -> tuple:
    """The settings that regions depend on; others change only what is made of them."""
    return tuple(getattr(recipe, f.name) for f in fields(recipe) if f.name not in _AFTER_CURVES)
