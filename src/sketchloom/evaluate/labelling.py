"""Labels of a picture by each of its readings: colour, tone, line, photo."""

from dataclasses import replace

import cv2
import numpy as np

from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab, to_hex
from sketchloom.core.base.errors import GeometryError
from sketchloom.core.base.progress import Part
from sketchloom.core.base.said import said
from sketchloom.core.segment import growing, local_tone, patching, photo, tone
from sketchloom.core.segment import labels as labelling
from sketchloom.core.segment.cut_offs import count_cut_offs
from sketchloom.core.segment.palette import ColourTree
from sketchloom.core.segment.strong import StrongDetails, strong_details
from sketchloom.core.strokes.drawing import drawn
from sketchloom.core.strokes.strokes import find_strokes
from sketchloom.evaluate.segmentation import Detail, Seen, Segmentation
from sketchloom.evaluate.steps import Steps
from sketchloom.evaluate.tidying import clean, cover, ground_label
from sketchloom.recipe.parts import PaletteEntry
from sketchloom.recipe.reads import Reads

_NO_SHIFT = 128
"""The cut-off at which one that follows the light is not shifted."""
_CALM, _GRAIN = 0.3, 0.004
"""Radius of the photo reading's smoothing, as a share of the smallest detail; and at least as one of the longer side,
since less than a few thousandths of a picture is grain, not shape (chosen on photo-like pictures of 1 to 16
megapixels)."""
_CALM_PX = 1.5, 24.0
"""The same radius lies between these: less does nothing, more takes too long for what it gains."""
_NARROWEST, _NARROWEST_MM = 0.55, 0.6
"""What is narrower than this share of the smallest detail, a photo's tones do not have, and what is narrower than this
at most: half a millimetre is what knives and hands still manage (common practice, no source), eyes may be hardly more.
"""
_SAME_DELTA = 4.0
"""Colours nearer than this (CIEDE2000) to a locked one are that one."""
_CLEANS = ("kept", "covers")
"""What cleaning reads beside sizes, which come as ``Detail``."""


# -- colour ------------------------------------------------------------------------------------


def colour(steps: Steps, seen: Seen) -> tuple[Segmentation, tuple]:
    """Flat colours, a label each."""
    picture, tree = seen.picture, seen.tree
    if tree is None:
        raise GeometryError(said("a reading by colours needs the colours of the picture"))
    chosen = _chosen(steps.reads("palette", "colours", "locked"), tree)
    parts = steps.reads("grown", "patches")
    patches = tuple(p for p in parts.patches if p.colours is not None)
    own = [entries_of(tree, p.colours, ()) for p in patches]
    entries = _with_parts(chosen, own, parts.grown)

    def label(r):
        return _colour_labels(steps, seen, chosen, entries, patches, own, r.grown)
    raw, raw_key = steps.later("colour", ("grown", "patches"), (seen.source, entries), label)
    detail = Detail.of(steps, seen.mm_per_px, seen.times)
    (regions, field), key = steps.run("clean", _CLEANS, (raw_key, detail, seen.move.tobytes()),
                                      lambda r: clean(r, seen, detail, raw(), picture.field, entries))
    ground = len(entries) if picture.alpha is not None else ground_label(regions.labels, entries)
    return Segmentation(regions, entries, ground, field, False, seen.noise), key


def _chosen(r: Reads, tree: ColourTree):
    return r.palette if r.palette is not None else entries_of(tree, r.colours, r.locked)


def _with_parts(chosen, own, grown):
    """Entries with those of grown regions and of patches with palettes of their own."""
    hexes = [e.hex for e in chosen]
    for entries in own:
        hexes += [e.hex for e in entries if e.hex not in hexes]
    hexes += [g.hex for g in grown if g.hex not in hexes]
    known = {e.hex for e in chosen}
    return (*chosen, *(PaletteEntry((h,)) for h in dict.fromkeys(hexes) if h not in known))


def _colour_labels(steps, seen, chosen, entries, patches, own, grown):
    number = {e.hex: i for i, e in enumerate(entries)}
    labels = labels_in(steps, seen, chosen, [number[e.hex] for e in chosen], len(entries))
    for patch, its in zip(patches, own, strict=True):
        finer = labels_in(steps, seen, its, [number[e.hex] for e in its], len(entries))
        labels = patching.with_finer(labels, finer, patch.points)
    for part in grown:
        region = growing.grown(seen.picture, part.x, part.y, part.tolerance, part.everywhere)
        labels = np.where(region, number[part.hex], labels).astype(np.uint8)
    return labels


def labels_in(steps: Steps, seen: Seen, entries, numbers, ground: int) -> np.ndarray:
    """(H, W) uint8 labels in the colours of some entries, numbered as asked; ``ground`` where there is nothing."""
    samples = [from_hex(s) for entry in entries for s in entry.samples]
    owner = [n for n, entry in zip(numbers, entries, strict=True) for _ in entry.samples] + [ground]
    uncertain, _ = steps.run("uncertain", (), (seen.source,),
                             lambda r: labelling.uncertain_pixels(seen.picture, seen.noise))
    labels = labelling.colour_labels(
        seen.picture, np.array(samples), seen.noise, uncertain, progress=Part(seen.progress, 0.0, 0.6)
    )
    return cv2.LUT(labels, np.pad(np.array(owner, np.uint8), (0, 256 - len(owner))))


def entries_of(tree: ColourTree, colours: int | None, locked) -> tuple[PaletteEntry, ...]:
    """The palette for the number of colours asked for or found; locked colours are always in it."""
    count = colours or tree.proposed
    if not locked:
        found: dict[str, tuple[str, ...]] = {}
        for group in tree.groups(count):
            found.setdefault(to_hex(group[0]), tuple(dict.fromkeys(to_hex(c) for c in group)))
        return tuple(PaletteEntry(samples) for samples in found.values())
    held = list(dict.fromkeys(locked))[:count]
    lab = srgb_to_lab(np.array([from_hex(h) for h in held]))
    rest: list[str] = []
    # the smallest palette that has as many others beside the locked ones as are wanted
    for more in range(max(count - len(held), 1), len(tree.colours) + 1):
        rest = [to_hex(c) for c in tree.palette(more)
                if ciede2000(srgb_to_lab(c)[None], lab).min() > _SAME_DELTA]
        if len(rest) >= count - len(held):
            break
    return tuple(PaletteEntry((h,)) for h in dict.fromkeys([*held, *rest[:count - len(held)]]))


# -- tone --------------------------------------------------------------------------------------


def tone_reading(steps: Steps, seen: Seen) -> tuple[Segmentation, tuple]:
    """Ink against paper."""
    r = steps.reads("cut_off", "local_cut_off", "dark_is_ink")
    cut_off, cut_offs = _cut_off(steps, seen, r)
    raw, raw_key = steps.later(
        "tone",
        ("dark_is_ink", "local_cut_off", "silhouette", "patches"),
        (seen.source, cut_off),
        lambda r: _ink(r, seen.picture.grey, cut_off),
    )
    entries = _tone_entries(steps, seen, r.dark_is_ink, cut_off)
    detail = Detail.of(steps, seen.mm_per_px)
    (regions, field), key = steps.run("clean", _CLEANS, (raw_key, detail, seen.move.tobytes()),
                                      lambda r: clean(r, seen, detail, raw(), seen.picture.grey[..., None], entries))
    return Segmentation(regions, entries, tone.PAPER, field, True, seen.noise, cut_off, cut_offs), key


def _cut_off(steps, seen, r):
    """The cut-off and what all give; one that follows the light has a shift instead, 128 for none."""
    if r.local_cut_off:
        return (_NO_SHIFT if r.cut_off is None else r.cut_off), None
    every, _ = steps.run("cut-offs", (), (seen.unpainted_source,), lambda _: count_cut_offs(seen.unpainted.grey))
    return (every.proposed(r.dark_is_ink) if r.cut_off is None else r.cut_off), every


def _ink(r: Reads, grey, cut_off):
    patches = [p for p in r.patches if p.cut_off is not None]
    if r.local_cut_off:
        labels = local_tone.local_labels(grey, cut_off, r.dark_is_ink)
    elif patches:
        level = patching.cut_off_map(grey.shape, cut_off, patches)
        labels = (grey > level if r.dark_is_ink else grey <= level).astype(np.uint8)
    else:
        labels = tone.ink_labels(grey, cut_off, r.dark_is_ink)
    return local_tone.silhouette(labels) if r.silhouette else labels


def _tone_entries(steps, seen, dark_is_ink, cut_off):
    grey, _ = steps.run("histogram", (), (seen.source,), lambda _: tone.tones(seen.picture.grey))
    ink = (np.arange(256) <= cut_off) == dark_is_ink
    shades = []
    for side in (ink, ~ink):
        count = np.where(side, grey, 0)
        half = np.searchsorted(np.cumsum(count), 0.5 * count.sum()) if count.sum() else (0 if side is ink else 255)
        shades.append(to_hex([half] * 3))
    if shades[0] == shades[1]:
        shades[1] = "#ffffff" if shades[0] != "#ffffff" else "#000000"
    return tuple(PaletteEntry((shade,)) for shade in shades)


# -- line --------------------------------------------------------------------------------------


def line_reading(steps: Steps, seen: Seen) -> tuple[Segmentation, tuple]:
    """The middle of each stroke; with a width, shapes drawn along them."""
    made, key = tone_reading(steps, seen)
    grey, sizes = seen.picture.grey, steps.reads("spur_mm", "pen_mm")
    spur_px = sizes.spur_mm / seen.mm_per_px

    def find(r):
        removed = [np.array(p) * seen.size_px for p in r.strokes_removed]
        return find_strokes(made.labels == tone.INK, cover(grey, made.labels), spur_px, removed)
    strokes, stroke_key = steps.run("strokes", ("strokes_removed",), (key, spur_px), find)
    if sizes.pen_mm is None:
        return replace(made, strokes=strokes), stroke_key
    width_px, detail = sizes.pen_mm / seen.mm_per_px, Detail.of(steps, seen.mm_per_px)

    def draw(r):
        shade = np.rint(255 * (1 - drawn(strokes, width_px, grey.shape))).astype(np.uint8)
        return clean(r, seen, detail, tone.ink_labels(shade, 127), shade[..., None], made.entries)
    (regions, field), shape_key = steps.run("drawn", _CLEANS, (stroke_key, width_px, detail, seen.move.tobytes()), draw)
    return replace(made, regions=regions, field=field, noise=0.0, strokes=strokes), shape_key


# -- photo -------------------------------------------------------------------------------------


def photo_reading(steps: Steps, seen: Seen) -> tuple[Segmentation, tuple]:
    """Shading as a few flat tones."""
    picture = seen.picture
    small = steps.reads("smallest_mm")
    radius = max(_CALM * small.smallest_mm / seen.mm_per_px, _GRAIN * max(picture.width, picture.height))
    radius = float(np.clip(radius, *_CALM_PX))
    detail = Detail.of(steps, seen.mm_per_px)
    narrowest = min(_NARROWEST * small.smallest_mm, _NARROWEST_MM) / seen.mm_per_px
    stepped, steps_key = steps.run(
        "steps",
        ("tones", "hues", "photo_outlines"),
        (seen.source, radius, narrowest),
        lambda r: photo.tone_steps(picture, r.tones, radius, r.photo_outlines, r.hues, narrowest,
                                   progress=Part(seen.progress, 0.0, 0.5)),
    )
    flat = stepped.picture
    entries = tuple(PaletteEntry((to_hex(c),)) for c in stepped.colours)
    lab = srgb_to_lab(stepped.colours)

    def tidy(r):
        labels = stepped.labels
        regions, field = clean(r, seen, detail, labels, flat.field, entries)
        places = strong_details(regions.dropped, regions.dropped_label, regions.labels, lab, detail.least_px)
        details = StrongDetails(labels, regions.labels, places)
        if r.features and len(places):
            regions, field = clean(
                r, seen, detail, labels, flat.field, entries, np.floor(places[:, :2]).astype(int).tolist()
            )
        return regions, field, details
    (regions, field, details), key = steps.run("clean", ("features", *_CLEANS),
                                               (steps_key, detail, seen.move.tobytes()), tidy)
    ground = len(entries) if picture.alpha is not None else None
    return Segmentation(regions, entries, ground, field, False, 0.0, details=details,
                        hues_apart=stepped.levels is None), key


READINGS = {"colour": colour, "tone": tone_reading, "line": line_reading, "photo": photo_reading}
"""Each reading by its name: settings and a picture to labels, with the key by which they are kept."""


# -- cleaning ----------------------------------------------------------------------------------


