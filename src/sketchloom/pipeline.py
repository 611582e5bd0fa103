"""Evaluates a recipe on a picture, stage by stage, and keeps what a change does not touch."""

import time
from collections import OrderedDict
from dataclasses import dataclass, field, fields, replace
from hashlib import blake2b

import numpy as np

from sketchloom.core import parallel
from sketchloom.core.background.mask import freed
from sketchloom.core.background.steps import NOTHING
from sketchloom.core.colour import ciede2000, colour_name, from_hex, srgb_to_lab
from sketchloom.core.curves import trace_arcs
from sketchloom.core.curves.curveset import CurveSet, arc_lengths
from sketchloom.core.curves.selecting import with_other_fit
from sketchloom.core.errors import PictureError
from sketchloom.core.layers import layering, order
from sketchloom.core.layers.layering import Layer, LayerPlan
from sketchloom.core.layers.outline import Outline
from sketchloom.core.picture import faults as fault_finding
from sketchloom.core.picture import fitness
from sketchloom.core.picture.faults import Faults
from sketchloom.core.picture.fitness import Fitness
from sketchloom.core.picture.picture import Picture
from sketchloom.core.picture.preparing.preparation import prepared, prepared_size
from sketchloom.core.planar import junctions, subpixel
from sketchloom.core.planar.planar_map import PlanarMap, build_map
from sketchloom.core.preflight import rules
from sketchloom.core.preflight.findings import Finding
from sketchloom.core.progress import QUIET
from sketchloom.core.reading import proposed_reading
from sketchloom.core.segment import palette as palettes
from sketchloom.core.segment import tone
from sketchloom.core.segment.cut_offs import pieces_and_holes
from sketchloom.core.segment.doubles import Doubles, find_doubles
from sketchloom.core.segment.ladder import ColourLadder, colour_ladder
from sketchloom.core.segment.palette import ColourTree
from sketchloom.core.segment.strong import FacePreview, face_preview
from sketchloom.core.strokes import pens
from sketchloom.core.units import MM_PER_IN
from sketchloom.recipe import MAX_SIZE_MM, MIN_SIZE_MM, Recipe
from sketchloom.segmenting import Segmentation, Segmenter, least_area_px, proposed_entries

DEFAULT_LONG_SIDE_MM = 120.0
_BELIEVED_DPI = 150
_KEPT = 48
_SMOOTHER = 1.6


@dataclass(frozen=True, slots=True, eq=False)
class Traced:
    """The planar map with its curves; ``label_length_px`` per arc."""

    planar: PlanarMap
    curves: CurveSet
    arc_length_px: np.ndarray


@dataclass(frozen=True, slots=True)
class Lost:
    """A detail that went to a neighbour: diameter of a disc of its area, and a place in it."""

    size_mm: float
    x_mm: float
    y_mm: float
    x_share: float
    y_share: float
    hex: str


@dataclass(frozen=True, eq=False)
class Work:
    """Everything that follows from a picture and a recipe.

    ``original`` is the picture as it came, ``whole`` the prepared one and ``picture`` that freed of its background.
    """

    original: Picture
    whole: Picture
    picture: Picture
    recipe: Recipe
    reading: str
    fitness: Fitness
    tree: ColourTree
    segmentation: Segmentation
    traced: Traced
    ground: np.ndarray
    depth: np.ndarray
    plans: tuple[LayerPlan, ...]
    layers: tuple[Layer, ...]
    proposed_order: order.DepthOrder
    order_length_mm: float
    mm_per_px: float
    findings: tuple[Finding, ...]
    faults: Faults
    rough: bool = False
    timings_s: dict = field(default_factory=dict)

    @property
    def size_mm(self) -> tuple[float, float]:
        return self.picture.width * self.mm_per_px, self.picture.height * self.mm_per_px

    @property
    def draws_with_pens(self) -> bool:
        """Whether the layers are pen lines instead of sheets."""
        return self.segmentation.strokes is not None and self.recipe.pen_mm is None

    @property
    def worst_deviation_mm(self) -> float:
        """Greatest distance of the curves from the boundary points, averaged over seven of them."""
        miss = self.traced.curves.miss_px
        return float(miss.max(initial=0.0)) * self.mm_per_px

    def label_shares(self) -> list[float]:
        """Share of the picture that each palette entry has."""
        planar = self.traced.planar
        area = np.bincount(planar.face_label, planar.face_area_px, len(self.segmentation.entries))
        return (area / planar.faces.size).tolist()

    def details_lost(self) -> tuple[Lost, ...]:
        """Regions under the smallest detail that went to a neighbour, largest first."""
        regions, scale = self.segmentation.regions, self.mm_per_px
        order = np.argsort(-regions.dropped[:, 2], kind="stable")
        entries = self.segmentation.entries
        found = []
        for (x, y, area), label in zip(regions.dropped[order].tolist(), regions.dropped_label[order].tolist()):
            shown = entries[label].hex if label < len(entries) else "#ffffff"
            found.append(Lost(2 * (area / np.pi) ** 0.5 * scale, x * scale, y * scale, x / self.picture.width,
                              y / self.picture.height, shown))
        return tuple(found)

    def face_preview(self, place=None) -> FacePreview:
        """Where strong small details are, or a place, with and without them; in photo reading."""
        colours = np.array([from_hex(e.hex) for e in self.segmentation.entries])
        return face_preview(self.picture.rgb, self.segmentation.details, colours, place)

    def strokes_mm(self) -> list[tuple[float, float]]:
        """Width and length of each stroke of the line reading, longest first."""
        strokes = self.segmentation.strokes
        if strokes is None:
            return []
        order = np.argsort(-strokes.length_px, kind="stable")
        return (np.column_stack([strokes.width_px, strokes.length_px])[order] * self.mm_per_px).tolist()

    def stroke_at(self, x_px: float, y_px: float, reach_px: float) -> int:
        """Number of the stroke at a place, -1 for none."""
        strokes = self.segmentation.strokes
        return -1 if strokes is None else pens.stroke_at(strokes, x_px, y_px, reach_px)

    def stroke_outline(self, number: int) -> Outline:
        """One stroke as an open ring."""
        return pens.pen_outline(self.segmentation.strokes, [number])

    def ladder(self) -> ColourLadder:
        """What every number of colours loses and saves; worked out when asked."""
        return colour_ladder(self.picture, self.tree, least_area_px(self.recipe.smallest_mm, self.mm_per_px))

    def pieces_and_holes(self) -> tuple[np.ndarray, np.ndarray]:
        """Pieces of ink and holes in them at all 256 cut-offs, specks and all; worked out when asked."""
        return pieces_and_holes(self.picture.grey, self.recipe.dark_is_ink, self.segmentation.cut_offs)

    def double_outlines(self) -> Doubles:
        """Cuts nearer to each other than the limit set, or than the smallest width; worked out when asked."""
        return find_doubles(self.segmentation.labels, (self.recipe.double_mm or self.recipe.thin_mm) / self.mm_per_px)

    def tone_bars(self) -> tuple[list[float], int]:
        """Heights of the 256 tones, 0 to 1 on a root scale, and the cut-off."""
        count = np.sqrt(tone.tones(self.picture.grey))
        return (count / max(float(count.max()), 1.0)).tolist(), self.segmentation.cut_off


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

    def evaluate(self, picture: Picture, recipe: Recipe, *, progress=QUIET, rough: bool = False) -> Work:
        """Run what the recipe needs and was not run before.

        ``rough`` leaves the boundaries as they were found, unfitted, and the widths unmeasured.

        Raises
        ------
        Cancelled : the caller asked to stop between two stages.
        """
        return _Run(self, picture, recipe, progress, rough).work()

    def for_reduced(self, picture: Picture, recipe: Recipe) -> Recipe:
        """The recipe for a reduced copy of a picture: same size in mm, and the same colours if known."""
        width, height = prepared_size(picture, recipe.preparation)
        if recipe.size_mm is None:
            whole = self._kept.get(("prepared", _digest(picture), recipe.preparation))
            scale = DEFAULT_LONG_SIDE_MM / max(width, height) if whole is None else mm_per_pixel(recipe, whole)
        else:
            scale = recipe.size_mm / (width if recipe.size_side == "width" else height)
        same = replace(recipe, size_mm=min(max(scale * width, MIN_SIZE_MM), MAX_SIZE_MM), size_side="width")
        whole = self._kept.get(("prepared", _digest(picture), recipe.preparation))
        seen = whole
        if whole is not None and recipe.background != NOTHING:
            seen = self._kept.get(("freed", _digest(whole), recipe.background))
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
        if key in self._kept:
            self._kept.move_to_end(key)
            return self._kept[key]
        value = make()
        self._kept[key] = value
        while len(self._kept) > _KEPT:
            self._kept.popitem(last=False)
        return value


class _Run:
    """One evaluation: stages in order, timed."""

    STAGES = ("prepare", "segment", "planar", "curves", "layers")

    def __init__(self, pipeline, picture, recipe, progress, rough):
        self.rough, self.original = rough, picture
        self.keep, self.recipe, self.progress = pipeline.keep, recipe, progress
        self.timings: dict = {}
        with self._stage("prepare", "Preparing the picture"):
            whole = self.keep(("prepared", _digest(picture), recipe.preparation), lambda: prepared(picture, recipe.preparation))
            self.whole = whole
            self.picture = whole if recipe.background == NOTHING else self.keep(
                ("freed", _digest(whole), recipe.background), lambda: freed(whole, recipe.background))
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
            segmentation, key = Segmenter(self.keep, picture, self.source, recipe, self.mm_per_px, tree).run(reading)
        traced = self._trace(segmentation, key, fit.blur_px if segmentation.two_tones else 0.0)
        with self._stage("layers", "Cutting layers"):
            result = self._layers(segmentation, traced, key)
        ground, depth, plans, layers, proposed, length = result
        found = fitness.judge(fit, faults, picture, self.mm_per_px, reading) + rules.check_layers(
            layers, segmentation.dropped, segmentation.entries, np.bincount(
                traced.planar.face_label, minlength=len(segmentation.entries)),
            recipe.smallest_mm, recipe.thin_mm, self.mm_per_px, proposed.exact)
        return Work(self.original, self.whole, picture, recipe, reading, fit, tree, segmentation, traced, ground, depth, plans, layers,
                    proposed, length, self.mm_per_px, found, faults, self.rough, self.timings)

    # -- planar map and curves -------------------------------------------------------

    def _trace(self, segmentation, key, blur):
        recipe = self.recipe
        with self._stage("planar", "Drawing the map"):
            planar, lines = self.keep(("planar", key), lambda: self._map(segmentation))
        with self._stage("curves", "Fitting curves"):
            def fitted(smoothness):
                tolerance = trace_arcs.fitting_tolerance(lines, segmentation.noise > 0) * _SMOOTHER**smoothness
                return trace_arcs.fit_arcs(planar, lines, tolerance, blur_px=blur, recognise=recipe.exact_shapes,
                                           progress=_Within(self.progress, 3, len(self.STAGES)))

            def make():
                if self.rough:
                    curves = trace_arcs.chords(lines)
                else:
                    curves = fitted(recipe.smoothness)
                    size = np.array([self.picture.width, self.picture.height])
                    for patch in smoothed:
                        curves = with_other_fit(curves, fitted(patch.smoothness), lines, np.array(patch.points) * size)
                return Traced(planar, curves, arc_lengths(curves))
            smoothed = tuple(p for p in recipe.patches if p.smoothness not in (None, recipe.smoothness))
            return self.keep(("curves", key, self.rough, recipe.smoothness, recipe.exact_shapes, smoothed), make)

    def _map(self, segmentation):
        regions, field = segmentation.regions, segmentation.field
        planar = build_map(regions.labels, regions.faces, regions.face_label, regions.face_area)
        if segmentation.two_tones:
            levels = subpixel.LocalLevels(planar.face_label, tone.local_levels(field[..., 0], segmentation.labels), tone.LEVEL_STEP)
        else:
            levels = subpixel.FaceLevels(subpixel.face_means(planar, field))
        points = subpixel.boundary_points(planar, field, levels)
        nodes = junctions.place_nodes(planar, points)
        return planar, junctions.join_polylines(planar, points, nodes)

    # -- layers ----------------------------------------------------------------------

    def _layers(self, segmentation, traced, key):
        recipe, planar = self.recipe, traced.planar
        if segmentation.strokes is not None and recipe.pen_mm is None:  # as Work.draws_with_pens
            return self._pen_layers(segmentation, planar)
        ground_label = None if recipe.ground == "keep" and self.picture.alpha is None else segmentation.ground_label
        everywhere = self._everywhere(segmentation)
        ground = layering.ground_faces(planar, ground_label, everywhere)
        groups = self._groups(segmentation, planar, ground)
        group_of_label = np.full(max(len(segmentation.entries), int(planar.face_label.max())) + 1, -1)
        for number, (_, labels) in enumerate(groups):
            group_of_label[list(labels)] = number
        of_face = np.where(ground, -1, group_of_label[planar.face_label])
        left_out = np.array([recipe.edit_of(k).left_out for k, _ in groups] + [True])
        seen = np.where(left_out[of_face], -1, of_face)
        boundary = layering.colour_boundaries(planar, traced.arc_length_px, seen, len(groups))
        area = np.bincount(seen[seen >= 0], planar.face_area_px[seen >= 0], len(groups))
        proposed = order.best_order(boundary, area)
        chosen = self._order(groups, proposed)
        plans = self._plans(groups, chosen)
        depth = layering.face_depths(planar, plans, ground)
        layer_key = ("layers", id(traced), plans, recipe.layering, ground_label, everywhere, self.mm_per_px, self.rough)
        layers = self.keep(layer_key, lambda: (traced, layering.cut_layers(
            planar, traced.curves, plans, depth, recipe.layering, self.mm_per_px, with_widths=not self.rough)))[1]
        length = order.stacked_length(boundary, chosen) * self.mm_per_px
        return ground, depth, plans, layers, proposed, length

    def _pen_layers(self, segmentation, planar):
        """A layer of open paths for each pen in place of sheets, the widest lowest."""
        ink, strokes, recipe = segmentation.entries[tone.INK].hex, segmentation.strokes, self.recipe
        pen = pens.pens_of(strokes.width_px, strokes.length_px, recipe.pens)
        count = int(pen.max(initial=-1)) + 1
        keys = [ink, *(f"{ink} {n}" for n in range(2, count + 1))]
        for number, key in enumerate(keys[:count]):
            into = recipe.edit_of(key).merged_into
            if into in keys[:count]:
                pen[pen == number] = keys.index(into)
        plans, layers = [], []
        for number, key in enumerate(keys):
            mine, edit = pen == number, recipe.edit_of(key)
            if not mine.any() and number:
                continue
            outline = pens.pen_outline(strokes, mine) if mine.any() else None
            name = "pen lines" if count < 2 or outline is None else f"pen {outline.pen_px * self.mm_per_px:.2g} mm"
            plans.append(LayerPlan(key, edit.name or name, edit.hex or ink, (tone.INK,), edit.left_out))
            if outline is not None and not edit.left_out:
                layers.append(layering.pen_layer(plans[-1], outline, self.mm_per_px))
        place = {key: n for n, key in enumerate(recipe.order)}
        plans.sort(key=lambda plan: place.get(plan.key, len(place)))
        layers.sort(key=lambda layer: plans.index(layer.plan))
        ground = planar.face_label == segmentation.ground_label
        length = sum(layer.cut_length_mm for layer in layers)
        proposed = order.DepthOrder(tuple(range(len(plans))), length / self.mm_per_px, True)
        return ground, np.where(ground, -1, 0), tuple(plans), tuple(layers), proposed, length

    def _everywhere(self, segmentation):
        """In a picture of one colour on its ground, enclosed ground is open; otherwise it is a colour."""
        if self.recipe.ground == "auto":
            return self.picture.alpha is not None or len(segmentation.entries) <= 2
        return self.recipe.ground == "everywhere" or self.picture.alpha is not None

    def _groups(self, segmentation, planar, ground):
        """Layer keys with their labels: palette entries that still have faces, merged as asked."""
        alive = np.bincount(planar.face_label[~ground], minlength=len(segmentation.entries) + 1)
        keys = [e.hex for e in segmentation.entries]
        groups = {keys[i]: [i] for i in range(len(keys)) if alive[i]}
        for key in list(groups):
            into, seen = key, {key}
            while (further := self.recipe.edit_of(into).merged_into) in groups and further not in seen:
                seen.add(further)
                into = further
            if into != key:
                groups[into] = groups[into] + groups.pop(key)
        return [(key, tuple(sorted(labels))) for key, labels in groups.items()]

    def _order(self, groups, proposed):
        """The user's order; layers it does not know stand where they were proposed."""
        keys = [key for key, _ in groups]
        if not self.recipe.order:
            return proposed.order
        wanted = _match_keys(self.recipe.order, keys)
        chosen = [keys.index(k) for k in wanted]
        for place, number in enumerate(proposed.order):
            if number not in chosen:
                chosen.insert(min(place, len(chosen)), number)
        return tuple(chosen)

    def _plans(self, groups, chosen):
        plans, used = [], {}
        for number in chosen:
            key, labels = groups[number]
            edit = self.recipe.edit_of(key)
            shown = edit.hex or key
            name = edit.name or colour_name(from_hex(shown))
            used[name] = used.get(name, 0) + 1
            if used[name] > 1 and not edit.name:
                name = f"{name} {used[name]}"
            plans.append(LayerPlan(key, name, shown, labels, edit.left_out))
        return tuple(plans)


def _match_keys(wanted, keys):
    """Keys in the order wanted; a key that is gone stands for the nearest colour still there."""
    left = list(keys)
    found = []
    for key in wanted:
        if key in left:
            left.remove(key)
            found.append(key)
    for place, key in enumerate(wanted):
        if key in found or not left:
            continue
        try:
            lab = srgb_to_lab(from_hex(key))
        except ValueError:
            continue
        gap = [float(ciede2000(lab, srgb_to_lab(from_hex(k)))) for k in left]
        if min(gap) < 10:
            near = left.pop(int(np.argmin(gap)))
            found.insert(min(place, len(found)), near)
    return found


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


_AFTER_CURVES = {"ground", "thin_mm", "pens", "smoothness", "exact_shapes", "layering", "order", "layers", "unit", "unknown"}


def segmentation_settings(recipe: Recipe) -> tuple:
    """The settings that regions depend on; others change only what is made of them."""
    return tuple(getattr(recipe, f.name) for f in fields(recipe) if f.name not in _AFTER_CURVES)
