"""From a picture to labels, by the reading asked for: colour, tone, line or photo."""

from dataclasses import dataclass, replace

import cv2
import numpy as np

from sketchloom.core.colour import ciede2000, from_hex, srgb_to_lab, to_hex
from sketchloom.core.edits.painting import painted
from sketchloom.core.edits.region_edits import COLOUR, OWN_SHEET
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.picture.preparing.mirroring import BOTH, SECOND, mean_of_halves, mirror_frame
from sketchloom.core.picture.preparing.placing import moved
from sketchloom.core.planar.cracks import face_runs
from sketchloom.core.segment import covering, doubles, growing, local_tone, patching, photo, tone
from sketchloom.core.segment import labels as labelling
from sketchloom.core.segment.cut_offs import CutOffs, count_cut_offs
from sketchloom.core.segment.merging import CRUMB_PX, Cleaned, merge_small
from sketchloom.core.segment.palette import ColourTree
from sketchloom.core.segment.strong import StrongDetails, strong_details
from sketchloom.core.shapes.cutting_in import CutIn, cut_in
from sketchloom.core.shapes.placed import rings_px
from sketchloom.core.strokes.drawing import drawn
from sketchloom.core.strokes.strokes import Strokes, find_strokes
from sketchloom.recipe import PaletteEntry, Recipe

_NO_SHIFT = 128
_CALM, _GRAIN = 0.3, 0.004
"""Radius of the photo reading's smoothing, as a share of the smallest detail."""
_SAME_DELTA = 4.0
BROUGHT_DELTA = 8.0
"""Colours nearer to one of the palette are taken for it."""


@dataclass(frozen=True, slots=True, eq=False)
class Segmentation:
    """Labels of a reading.

    ``regions``: the label image and its faces; ``entries`` the palette, label by label;
    ``ground_label`` or None. ``field`` (H, W, C) uint8 in which boundaries are looked for;
    ``two_tones``: whether they are those of ink and paper. ``noise`` of that field. ``cut_off`` in tone and line
    reading and, unless it follows the light, what all others would give as ``cut_offs``.
    ``strokes`` in line reading, strong small ``details`` in photo reading. ``cut_in``: shapes and split lines of the
    user's among the regions, None without any. ``read_entries``: how many of the entries the reading gave; the
    others are colours that edits and shapes brought.
    """

    regions: Cleaned
    entries: tuple[PaletteEntry, ...]
    ground_label: int | None
    field: np.ndarray
    two_tones: bool
    noise: float
    cut_off: int | None = None
    cut_offs: CutOffs | None = None
    strokes: Strokes | None = None
    details: StrongDetails | None = None
    cut_in: CutIn | None = None
    read_entries: int = 0

    @property
    def own_entries(self) -> tuple[PaletteEntry, ...]:
        return self.entries[:self.read_entries]

    @property
    def labels(self) -> np.ndarray:
        return self.regions.labels

    @property
    def dropped(self) -> np.ndarray:
        """(K, 3) regions under the smallest detail as x, y, area in px."""
        return self.regions.dropped


class Segmenter:
    """Runs one reading of one picture; ``keep(key, make)`` holds what does not change.

    The recipe's lines are painted on the picture; ``move`` and ``came_px`` as of ``painted``. What the
    program proposes still comes from the picture without them, so that a bridge changes nothing else.
    """

    def __init__(self, keep, picture: Picture, source: str, recipe: Recipe, mm_per_px: float, tree: ColourTree, move, came_px):
        self.keep, self.picture, self.source, self.recipe = keep, picture, source, recipe
        self.mm_per_px, self.tree, self.move = mm_per_px, tree, move
        self.unpainted, self.unpainted_source = picture, source
        lines = tuple(line for line in recipe.lines if line.on)
        if lines:
            self.source = (source, lines, recipe.preparation)
            self.picture = keep(("painted", self.source), lambda: painted(picture, lines, move, came_px))

    def run(self, reading: str) -> tuple[Segmentation, tuple]:
        """The segmentation, and the key by which what follows from it can be kept."""
        seen, key = {"tone": self._tone, "line": self._line, "photo": self._photo}.get(reading, self._colour)()
        read = len(seen.entries)
        seen = replace(seen, entries=self._with_brought(seen.entries), read_entries=read)
        if self.recipe.preparation.mirror is not None:
            # ties (which neighbour takes a crumb) may fall out otherwise on the other side
            key = ("mirrored", key)
            regions, field = self.keep(key, lambda: self._mirrored(seen))
            seen = replace(seen, regions=regions, field=field)
        return self._with_shapes(seen, key)

    def _with_brought(self, entries):
        """The palette with the colours of edits and shapes that are like none of it."""
        wanted = [e.hex for e in self.recipe.edits if e.action == COLOUR and e.on] + [
            s.hex for s in self.recipe.shapes if s.on and s.hex is not None]
        entries = list(entries)
        below = [e.hex for e in self.recipe.edits if e.action in OWN_SHEET and e.on]
        entries += [PaletteEntry((h,)) for h in dict.fromkeys(below) if h not in {e.hex for e in entries}]
        for hex_colour in dict.fromkeys(wanted):
            if nearest_entry(entries, hex_colour)[1] > BROUGHT_DELTA:
                entries.append(PaletteEntry((hex_colour,)))
        return tuple(entries)

    def _mirrored(self, seen):
        mirror, regions, field = self.recipe.preparation.mirror, seen.regions, seen.field
        axis = 1 if mirror_frame(100, 100, mirror).is_upright else 0
        labels = regions.labels
        if mirror.keep == BOTH:
            labels, other, away = mean_of_halves(labels, axis)
            values = _field_values(seen.entries, field.shape[-1])
            one, two = (values[np.minimum(v, len(values) - 1)].reshape(field.shape) for v in (labels, other))
            share = np.clip(0.5 + away, 0, 1)[..., None]
            field = frozen_array(np.rint(one * share + two * (1 - share)).astype(np.uint8))
            labels = merge_small(labels, self._least(self.recipe.smallest_mm)).labels
        at = np.arange(labels.shape[axis]) + 0.5
        stays = at >= labels.shape[axis] / 2 if mirror.keep == SECOND else at <= labels.shape[axis] / 2
        labels = np.where(stays[None] if axis else stays[:, None], labels, np.flip(labels, axis))
        runs = face_runs(labels)
        return replace(regions, labels=labels, faces=runs.paint(np.arange(len(runs.face_label), dtype=np.int32)),
                       face_label=runs.face_label, face_area=runs.areas()), field

    def _with_shapes(self, seen, key):
        """Shapes and split lines cut into the regions."""
        recipe = self.recipe
        shapes, splits = tuple(s for s in recipe.shapes if s.on), tuple(s for s in recipe.splits if s.on)
        if not shapes and not splits:
            return seen, key
        labels = tuple(None if s.hex is None else nearest_entry(seen.entries, s.hex)[0] for s in shapes)
        key = ("shapes", key, shapes, splits, labels)
        size = np.array([self.picture.width, self.picture.height])

        def cut():
            ground = len(seen.entries) if seen.ground_label is None else seen.ground_label
            made = cut_in(seen.regions, [(rings_px(s, self.move, size), label) for s, label in zip(shapes, labels)],
                          [moved(self.move, s.points) * size for s in splits], ground)
            values = _field_values(seen.entries, seen.field.shape[-1])
            flat = values[np.minimum(made.regions.labels, len(values) - 1)].reshape(seen.field.shape)
            field = np.where(made.covered[..., None], np.rint(flat), seen.field).astype(np.uint8)
            return made, frozen_array(field)
        made, field = self.keep(key, cut)
        return replace(seen, regions=made.regions, field=field, cut_in=made), key

    # -- colour ----------------------------------------------------------------------

    def _colour(self):
        entries = self._entries()
        recipe, picture = self.recipe, self.picture
        patches = tuple(p for p in recipe.patches if p.colours is not None)
        raw_key = ("colour", self.source, entries, recipe.grown, patches)
        entries, others = self._with_parts(entries, patches)
        key = ("clean", raw_key, *self._detail())
        made = self.keep(key, lambda: self._clean(
            self.keep(raw_key, lambda: self._colour_labels(entries, patches, others)), picture.field, entries))
        regions, field = made
        ground = len(entries) if picture.alpha is not None else _ground_label(regions.labels)
        return Segmentation(regions, entries, ground, field, False, self.tree.noise), key

    def _entries(self):
        if self.recipe.palette is not None:
            return self.recipe.palette
        return proposed_entries(self.tree, self.recipe)

    def _with_parts(self, entries, patches):
        """Entries with those of grown regions and patches; for each patch its own palette."""
        entries = list(entries)
        hexes = [e.hex for e in entries]
        others = []
        for patch in patches:
            own = proposed_entries(self.tree, Recipe(colours=patch.colours))
            others.append(own)
            hexes += [e.hex for e in own if e.hex not in hexes]
        hexes += [g.hex for g in self.recipe.grown if g.hex not in hexes]
        entries += [PaletteEntry((h,)) for h in dict.fromkeys(hexes) if h not in {e.hex for e in entries}]
        return tuple(entries), others

    def _colour_labels(self, entries, patches, others):
        base = [e for e in self._entries()]
        number = {e.hex: i for i, e in enumerate(entries)}
        labels = self._labels_in(base, [number[e.hex] for e in base], len(entries))
        for patch, own in zip(patches, others):
            finer = self._labels_in(own, [number[e.hex] for e in own], len(entries))
            labels = patching.with_finer(labels, finer, patch.points)
        for part in self.recipe.grown:
            region = growing.grown(self.picture, part.x, part.y, part.tolerance, part.everywhere)
            labels = np.where(region, number[part.hex], labels).astype(np.uint8)
        return labels

    def _labels_in(self, entries, numbers, ground):
        """Labels in the colours of some entries, numbered as asked."""
        samples = [from_hex(s) for entry in entries for s in entry.samples]
        owner = [n for n, entry in zip(numbers, entries) for _ in entry.samples] + [ground]
        noise = self.tree.noise
        uncertain = self.keep(("uncertain", self.source), lambda: labelling.uncertain_pixels(self.picture, noise))
        labels = labelling.colour_labels(self.picture, np.array(samples), noise, uncertain)
        return cv2.LUT(labels, np.pad(np.array(owner, np.uint8), (0, 256 - len(owner))))

    # -- tone ------------------------------------------------------------------------

    def _tone(self):
        cut_off, cut_offs = self._cut_off()
        raw_key = self._ink_key(cut_off)
        entries = self._tone_entries(cut_off)
        key = ("clean", raw_key, *self._detail())
        regions, field = self.keep(key, lambda: self._clean(
            self.keep(raw_key, lambda: self._ink(cut_off)), self.picture.grey[..., None], entries))
        return Segmentation(regions, entries, tone.PAPER, field, True, self.tree.noise, cut_off, cut_offs), key

    def _cut_off(self):
        """The cut-off and what all give; one that follows the light has a shift instead, 128 for none."""
        wanted = self.recipe.cut_off
        if self.recipe.local_cut_off:
            return (_NO_SHIFT if wanted is None else wanted), None
        all_of_them = self.keep(("cut-offs", self.unpainted_source), lambda: count_cut_offs(self.unpainted.grey))
        return (all_of_them.proposed if wanted is None else wanted), all_of_them

    def _ink_key(self, cut_off):
        recipe = self.recipe
        patches = tuple(p for p in recipe.patches if p.cut_off is not None)
        return ("tone", self.source, cut_off, recipe.dark_is_ink, recipe.local_cut_off, recipe.silhouette, patches)

    def _ink(self, cut_off):
        grey, recipe = self.picture.grey, self.recipe
        patches = [p for p in recipe.patches if p.cut_off is not None]
        if recipe.local_cut_off:
            labels = local_tone.local_labels(grey, cut_off, recipe.dark_is_ink)
        elif patches:
            level = patching.cut_off_map(grey.shape, cut_off, patches)
            labels = (grey > level if recipe.dark_is_ink else grey <= level).astype(np.uint8)
        else:
            labels = tone.ink_labels(grey, cut_off, recipe.dark_is_ink)
        return local_tone.silhouette(labels) if recipe.silhouette else labels

    def _tone_entries(self, cut_off):
        grey = self.keep(("histogram", self.source), lambda: tone.tones(self.picture.grey))
        level = np.arange(256)
        ink = (level <= cut_off) == self.recipe.dark_is_ink
        shades = []
        for side in (ink, ~ink):
            count = np.where(side, grey, 0)
            half = np.searchsorted(np.cumsum(count), 0.5 * count.sum()) if count.sum() else (0 if side is ink else 255)
            shades.append(to_hex([half] * 3))
        if shades[0] == shades[1]:
            shades[1] = "#ffffff" if shades[0] != "#ffffff" else "#000000"
        return tuple(PaletteEntry((shade,)) for shade in shades)

    # -- line ------------------------------------------------------------------------

    def _line(self):
        seen, key = self._tone()
        recipe = self.recipe
        spur_px = recipe.spur_mm / self.mm_per_px
        stroke_key = ("strokes", key, spur_px, recipe.strokes_removed)
        size = np.array([self.picture.width, self.picture.height])
        removed = [np.array(p) * size for p in recipe.strokes_removed]
        strokes = self.keep(stroke_key, lambda: find_strokes(
            seen.labels == tone.INK, _cover(self.picture.grey, seen.labels), spur_px, removed))
        if recipe.pen_mm is None:
            return replace(seen, strokes=strokes), stroke_key
        width_px = recipe.pen_mm / self.mm_per_px
        shape_key = ("drawn", stroke_key, width_px, *self._detail())

        def draw():
            grey = np.rint(255 * (1 - drawn(strokes, width_px, self.picture.grey.shape))).astype(np.uint8)
            return self._clean(tone.ink_labels(grey, 127), grey[..., None], seen.entries)
        regions, field = self.keep(shape_key, draw)
        return replace(seen, regions=regions, field=field, noise=0.0, strokes=strokes), shape_key

    # -- photo -----------------------------------------------------------------------

    def _photo(self):
        recipe = self.recipe
        # less than a few thousandths of the picture is grain, not shape
        radius = max(_CALM * recipe.smallest_mm / self.mm_per_px, _GRAIN * max(self.picture.width, self.picture.height))
        radius = float(np.clip(radius, 1.5, 24.0))
        steps_key = ("steps", self.source, recipe.tones, recipe.photo_outlines, radius)
        steps = self.keep(steps_key, lambda: photo.tone_steps(self.picture, recipe.tones, radius, recipe.photo_outlines))
        entries = tuple(PaletteEntry((to_hex(c),)) for c in steps.colours)
        raw_key = ("photo", *steps_key)
        key = ("clean", raw_key, *self._detail(), recipe.features)

        def clean():
            flat = steps.picture
            labels = self.keep(raw_key, lambda: labelling.nearest(
                flat.field, labelling.palette_field(steps.colours, flat.alpha is not None)))
            regions, field = self._clean(labels, flat.field, entries)
            places = strong_details(regions.dropped, regions.dropped_label, regions.labels,
                                    self._least(recipe.smallest_mm))
            details = StrongDetails(labels, regions.labels, places)
            if recipe.features and len(places):
                regions, field = self._clean(labels, flat.field, entries, np.floor(places[:, :2]).astype(int).tolist())
            return regions, field, details
        regions, field, details = self.keep(key, clean)
        ground = len(entries) if self.picture.alpha is not None else None
        return Segmentation(regions, entries, ground, field, False, 0.0, details=details), key

    # -- cleaning --------------------------------------------------------------------

    def _least(self, smallest_mm):
        return least_area_px(smallest_mm, self.mm_per_px)

    def _detail(self):
        """What cleaning depends on, for keys."""
        recipe = self.recipe
        patches = tuple(p for p in recipe.patches if p.smallest_mm is not None)
        doubles_at = (recipe.double_mm / self.mm_per_px, recipe.double_to) if recipe.double_mm else None
        return self._least(recipe.smallest_mm), recipe.kept, patches, doubles_at, self._covers()

    def _covers(self):
        return tuple(c for c in self.recipe.covers if c.on)

    def _clean(self, raw, field, entries, more_kept=()):
        recipe = self.recipe
        values = _field_values(entries, field.shape[-1])
        size = np.array([self.picture.width, self.picture.height])
        keep = np.floor(np.array(recipe.kept).reshape(-1, 2) * size).astype(int).tolist() + list(more_kept)
        parts = [(p.points, self._least(p.smallest_mm)) for p in recipe.patches if p.smallest_mm is not None]
        least = self._least(recipe.smallest_mm)
        covers = self._covers()
        if covers:
            raw, inside = covering.covered(raw, [moved(self.move, c.points) * size for c in covers])
            field = _repainted(field, raw, inside, values)
        regions = merge_small(labelling.join_diagonals(raw, field, values), least, keep, parts)
        if not recipe.double_mm:
            return regions, field
        labels = doubles.made_one(regions.labels, recipe.double_mm / self.mm_per_px, recipe.double_to)
        changed = labels != regions.labels
        if not changed.any():
            return regions, field
        again = merge_small(labels, least, keep, parts)
        return (replace(again, dropped=np.concatenate([regions.dropped, again.dropped]),
                        dropped_label=np.concatenate([regions.dropped_label, again.dropped_label])),
                _repainted(field, again.labels, changed, values))


def nearest_entry(entries, hex_colour: str) -> tuple[int, float]:
    """The entry nearest to a colour, and the difference (CIEDE2000)."""
    hexes = [e.hex for e in entries]
    if hex_colour in hexes:
        return hexes.index(hex_colour), 0.0
    apart = ciede2000(srgb_to_lab(from_hex(hex_colour))[None], srgb_to_lab(np.array([from_hex(h) for h in hexes])))
    return int(apart.argmin()), float(apart.min())


def least_area_px(smallest_mm: float, mm_per_px: float) -> float:
    """Area of a disc as wide as the smallest detail, in whole px; a hair's difference in size changes nothing."""
    return max(float(np.floor(np.pi / 4 * (smallest_mm / mm_per_px) ** 2)), CRUMB_PX)


def proposed_entries(tree: ColourTree, recipe: Recipe) -> tuple[PaletteEntry, ...]:
    """The palette for the number of colours asked for or found; locked colours are always in it."""
    count = recipe.colours or tree.proposed
    if not recipe.locked:
        found = {}
        for group in tree.groups(count):
            found.setdefault(to_hex(group[0]), tuple(dict.fromkeys(to_hex(c) for c in group)))
        return tuple(PaletteEntry(samples) for samples in found.values())
    locked = list(dict.fromkeys(recipe.locked))[:count]
    lab = srgb_to_lab(np.array([from_hex(h) for h in locked]))
    rest = []
    # the smallest palette that has as many others beside the locked ones as are wanted
    for more in range(max(count - len(locked), 1), len(tree.colours) + 1):
        rest = [to_hex(c) for c in tree.palette(more)
                if ciede2000(srgb_to_lab(c)[None], lab).min() > _SAME_DELTA]
        if len(rest) >= count - len(locked):
            break
    found = dict.fromkeys([*locked, *rest[:count - len(locked)]])
    return tuple(PaletteEntry((h,)) for h in found)


def _cover(grey, labels):
    """(H, W) float32 share of ink of each pixel, between the ink and the paper around it."""
    levels = tone.local_levels(grey, labels)[..., 0]
    ink, paper = (cv2.resize(v, None, fx=tone.LEVEL_STEP, fy=tone.LEVEL_STEP, interpolation=cv2.INTER_LINEAR)
                  [:grey.shape[0], :grey.shape[1]] for v in levels)
    gap = np.where(np.abs(paper - ink) < 1, 1, paper - ink)
    return np.clip((paper - grey) / gap, 0, 1).astype(np.float32)


def _repainted(field, labels, changed, values):
    """The field with what was given away shown in its new colour, edges soft by a pixel."""
    near = cv2.dilate(changed.astype(np.uint8), np.ones((5, 5), np.uint8)) > 0
    flat = values[np.minimum(labels, len(values) - 1)].astype(np.float32)
    soft = cv2.GaussianBlur(flat.reshape(field.shape), (0, 0), 0.6).reshape(field.shape)
    return frozen_array(np.where(near[..., None], np.rint(soft), field).astype(np.uint8))


def _field_values(entries, channels):
    colours = np.array([from_hex(e.hex) for e in entries])
    if channels == 1:
        return colours[:, :1].astype(np.float32)
    return labelling.palette_field(colours, channels == 4)


def _ground_label(labels):
    """The label that most of the picture's border has, if it has at least a third of it."""
    edge = np.concatenate([labels[0], labels[-1], labels[1:-1, 0], labels[1:-1, -1]])
    count = np.bincount(edge)
    return int(count.argmax()) if count.max() >= len(edge) / 3 else None
