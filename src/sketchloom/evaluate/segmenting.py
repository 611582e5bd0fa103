"""From a picture to labels: a reading, then the colours that edits bring, mirrored halves, shapes and split lines."""

from dataclasses import replace

import numpy as np

from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab
from sketchloom.core.base.progress import QUIET
from sketchloom.core.edits.decisions import COLOUR, OWN_SHEET
from sketchloom.core.edits.painting import painted
from sketchloom.core.picture.painted import Painted
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.picture.preparing.mirroring import Halves, mean_of_halves
from sketchloom.core.picture.preparing.placing import moved
from sketchloom.core.picture.preparing.steps import BOTH, SECOND
from sketchloom.core.planar.cracks import face_runs
from sketchloom.core.segment.merging import merge_small
from sketchloom.core.segment.palette import ColourTree
from sketchloom.core.shapes.cutting_in import cut_in
from sketchloom.core.shapes.placed import rings_px
from sketchloom.evaluate.drawing import drawing
from sketchloom.evaluate.labelling import READINGS
from sketchloom.evaluate.segmentation import Detail, Seen, Segmentation
from sketchloom.evaluate.steps import Steps
from sketchloom.evaluate.tidying import field_values
from sketchloom.recipe.parts import PaletteEntry

BROUGHT_DELTA = 8.0
"""Colours nearer to one of the palette are taken for it (CIEDE2000; chosen on the demo works: two greys of a drawing
are one, two blues of a badge are not)."""


def segmented(steps: Steps, picture: Picture, source, reading: str, mm_per_px: float, tree: ColourTree | None,
              noise: float, move, came_px: tuple[int, int], *, times: int = 1,
              areas: Painted | None = None, progress=QUIET) -> tuple[Segmentation, tuple]:
    """The segmentation of a prepared picture by a reading, and the key by which what follows from it can be kept.

    Parameters
    ----------
    steps : of the recipe with its places moved (``as_prepared``). source : key of the picture. tree, noise : of its
        colours; only the colour reading needs the tree. move : as of ``placing``. came_px : width and height of the
        picture as it came. times : how many times as fine it was drawn. areas : the areas of a document that is read
        as a drawing.
    """
    seen = Seen(picture, source, picture, source, mm_per_px, tree, noise, move, progress, times)
    if any(line.on for line in steps.reads("lines").lines):
        shown, key = steps.run("painted", ("lines",), (source, move.tobytes()), lambda r: painted(
            picture, tuple(line for line in r.lines if line.on), move, came_px))
        seen = replace(seen, picture=shown, source=key)
    made, key = READINGS[reading](steps, seen) if areas is None else drawing(steps, seen, areas)
    made = replace(
        made, entries=_with_brought(steps.reads("edits", "shapes"), made.entries), read_entries=len(made.entries)
    )
    if steps.reads("preparation").preparation.mirror is not None:
        detail = Detail.of(steps, mm_per_px, times)
        # ties (which neighbour takes a crumb) may fall out otherwise on the other side
        (regions, field), key = steps.run("mirrored", ("preparation",), (key, made.entries, detail.least_px),
                                          lambda r: _mirrored(r, detail.least_px, made))
        made = replace(made, regions=regions, field=field)
    return _with_shapes(steps, seen, made, key)


def _with_brought(r, entries):
    """The palette with the colours of edits and shapes that are like none of it."""
    wanted = [e.hex for e in r.edits if e.action == COLOUR and e.on] + [
        s.hex for s in r.shapes if s.on and s.hex is not None]
    entries = list(entries)
    below = [e.hex for e in r.edits if e.action in OWN_SHEET and e.on]
    entries += [PaletteEntry((h,)) for h in dict.fromkeys(below) if h not in {e.hex for e in entries}]
    for hex_colour in dict.fromkeys(wanted):
        if nearest_entry(entries, hex_colour)[1] > BROUGHT_DELTA:
            entries.append(PaletteEntry((hex_colour,)))
    return tuple(entries)


def _mirrored(r, least_px, made):
    mirror, regions, field = r.preparation.mirror, made.regions, made.field
    axis = Halves.of(mirror).axis
    labels = regions.labels
    if mirror.keep == BOTH:
        labels, other, away = mean_of_halves(labels, axis)
        values = field_values(made.entries, field.shape[-1])
        one, two = (values[np.minimum(v, len(values) - 1)].reshape(field.shape) for v in (labels, other))
        share = np.clip(0.5 + away, 0, 1)[..., None]
        field = frozen_array(np.rint(one * share + two * (1 - share)).astype(np.uint8))
        labels = merge_small(labels, least_px).labels
    at = np.arange(labels.shape[axis]) + 0.5
    stays = at >= labels.shape[axis] / 2 if mirror.keep == SECOND else at <= labels.shape[axis] / 2
    labels = np.where(stays[None] if axis else stays[:, None], labels, np.flip(labels, axis))
    runs = face_runs(labels)
    return replace(regions, labels=labels, faces=runs.paint(np.arange(len(runs.face_label), dtype=np.int32)),
                   face_label=runs.face_label, face_area=runs.areas()), field


def _with_shapes(steps, seen, made, key):
    """Shapes and split lines cut into the regions."""
    wanted = steps.reads("shapes", "splits")
    if made.drawn_on is None and not any(one.on for one in (*wanted.shapes, *wanted.splits)):
        return made, key

    mirror = steps.reads("preparation").preparation.mirror

    def cut(r):
        shapes, splits = ([one for one in kept if one.on] for kept in (r.shapes, r.splits))
        lines = [moved(seen.move, s.points) for s in splits]
        images = [] if mirror is None else _images(lines, Halves.of(mirror))
        labels = [None if s.hex is None else nearest_entry(made.entries, s.hex)[0] for s in shapes]
        ground = len(made.entries) if made.ground_label is None else made.ground_label
        done = cut_in(
            made.regions,
            [(rings_px(s, seen.move, seen.size_px), label) for s, label in zip(shapes, labels, strict=True)],
            [line * seen.size_px for line in (*lines, *images)],
            ground,
            made.drawn_on,
        )
        done = replace(done, splits_done=done.splits_done[:len(lines)])
        values = field_values(made.entries, made.field.shape[-1])
        flat = values[np.minimum(done.regions.labels, len(values) - 1)].reshape(made.field.shape)
        field = np.where(done.covered[..., None], np.rint(flat), made.field).astype(np.uint8)
        return done, frozen_array(field)
    (done, field), key = steps.run("shapes", ("shapes", "splits"),
                                   (key, made.entries, seen.move.tobytes(), mirror), cut)
    return replace(made, regions=done.regions, field=field, cut_in=done), key


def _images(lines, halves):
    """The mirror images of lines that lie on the half that stays; those over the middle are drawn for both."""
    return [halves.images(line) for line in lines if halves.stays(line).all()] if halves.keep != BOTH else []


def nearest_entry(entries, hex_colour: str) -> tuple[int, float]:
    """The entry nearest to a colour, and the difference (CIEDE2000)."""
    hexes = [e.hex for e in entries]
    if hex_colour in hexes:
        return hexes.index(hex_colour), 0.0
    apart = ciede2000(srgb_to_lab(from_hex(hex_colour))[None], srgb_to_lab(np.array([from_hex(h) for h in hexes])))
    return int(apart.argmin()), float(apart.min())
