"""The reading of a document as a drawing: its areas laid on the pixels, its curves known."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab
from sketchloom.core.picture.painted import Painted, Part
from sketchloom.core.picture.preparing.placing import moved
from sketchloom.core.picture.preparing.steps import PLAIN, Preparation
from sketchloom.core.segment.merging import CRUMB_PX
from sketchloom.core.vectors.laying import Laid, guides_of, laid, owners_after, with_unlike
from sketchloom.evaluate.labelling import entries_of, labels_in
from sketchloom.evaluate.segmentation import Detail, Seen, Segmentation
from sketchloom.evaluate.steps import Steps
from sketchloom.evaluate.tidying import clean, ground_label
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import PaletteEntry
from sketchloom.recipe.sections import MAX_COLOURS

_KNOWN_DELTA = 6.0
"""Colours of what is read by its look that are nearer (CIEDE2000) to one of the file's are that one."""
_FREED = 8
"""So clear a pixel is where a background was taken away, and not where an area ends in it."""
_CLEANS = ("kept", "covers")


def painted_for(recipe: Recipe, painted: Painted | None) -> Painted | None:
    """The areas that a recipe is read by: none where it asks for a picture, or for steps that change one."""
    is_read = recipe.as_drawing and recipe.reading in ("auto", "colour")
    return painted if is_read and _only_places(recipe.preparation) else None


def _only_places(steps: Preparation) -> bool:
    """Whether a preparation moves the picture and does no more."""
    return replace(steps, turn_deg=0.0, crop=None, room=None, enlarge=1) == PLAIN


@dataclass(frozen=True, slots=True, eq=False)
class _Seen:
    """What is laid, and the areas in px of the prepared picture."""

    one: Laid
    painted: Painted
    hexes: tuple[str, ...]


def drawing(steps: Steps, seen: Seen, painted: Painted) -> tuple[Segmentation, tuple]:
    """The colours of the areas, a label each; along their boundaries run the curves of the file."""
    picture = seen.picture
    given, key = steps.run("laid", (), (seen.source, seen.unpainted_source, painted.digest, seen.move.tobytes()),
                           lambda _: _laid(seen, painted))
    entries = _entries(steps.reads("palette", "colours", "locked"), given, seen.tree)
    by_look = bool(given.one.by_look.any())

    def label(_):
        labels = _nearest(given.one.colour, entries)
        if by_look:
            look = labels_in(steps, seen, entries, list(range(len(entries))), len(entries))
            labels = np.where(given.one.by_look, look, labels)
        return labels

    raw, raw_key = steps.later("drawing", (), (key, entries), label)
    detail = Detail.of(steps, seen.mm_per_px, seen.times)

    def tidy(r):
        before = raw()
        regions, field = clean(r, seen, detail, before, picture.field, entries)
        owner = owners_after(given.one.owner, before, regions.labels)
        return regions, field, guides_of(given.painted, owner)

    (regions, field, guides), key = steps.run("clean", _CLEANS, (raw_key, detail, seen.move.tobytes()), tidy)
    ground = len(entries) if picture.alpha is not None else ground_label(regions.labels, entries)
    made = Segmentation(regions, entries, ground, field, False, 0.0, drawn_on=guides, names=_names(given.painted))
    return made, key


def _laid(seen, painted):
    placed = _placed(painted, seen.move, seen.size_px)
    picture = seen.unpainted
    one = laid(placed, (picture.height, picture.width), picture.alpha is None)
    if picture.alpha is not None:
        freed = picture.alpha < _FREED  # of its background; no pixel whose middle an area covers is so clear by itself
        one = replace(one, colour=np.where(freed, -1, one.colour).astype(np.int32),
                      owner=np.where(freed, 0, one.owner).astype(np.int32))
    one = with_unlike(one, picture.rgb)
    if seen.picture is not picture:  # lines that a person drew into it
        one = replace(one, by_look=one.by_look | (seen.picture.rgb != picture.rgb).any(-1))
    flat = one.colour[~one.by_look & (one.colour >= 0)]
    values, counts = np.unique(flat, return_counts=True)
    values = values[counts >= CRUMB_PX][np.argsort(-counts[counts >= CRUMB_PX], kind="stable")]
    return _Seen(one, placed, tuple(f"#{v:06x}" for v in values.tolist()))


def _placed(painted, move, size):
    """The areas where a prepared picture shows them."""
    sides = np.array([painted.width, painted.height], float)

    def part(one):
        return Part(tuple((moved(move, ring.reshape(-1, 2) / sides) * size).reshape(ring.shape)
                          for ring in one.rings), one.even)

    areas = tuple(replace(area, part=part(area.part)) for area in painted.areas)
    clips = tuple(tuple(part(one) for one in clip) for clip in painted.clips)
    return Painted(int(size[0]), int(size[1]), areas, clips)


def _entries(r, given, tree):
    """The palette: the colours of the areas as they are, unless another one or a number of them is asked for."""
    if r.palette is not None:
        return r.palette
    if r.colours is not None and r.colours < len(given.hexes) and tree is not None:
        return entries_of(tree, r.colours, r.locked)
    hexes = list(dict.fromkeys([*r.locked, *given.hexes]))[:MAX_COLOURS]
    if given.one.by_look.any() and tree is not None:
        known = srgb_to_lab(np.array([from_hex(h) for h in hexes] or [(0, 0, 0)]))
        for entry in entries_of(tree, None, ()):
            far = not hexes or ciede2000(srgb_to_lab(np.array(from_hex(entry.hex)))[None], known).min() > _KNOWN_DELTA
            if far and len(hexes) < MAX_COLOURS:
                hexes.append(entry.hex)
    return tuple(PaletteEntry((h,)) for h in hexes or ["#000000"])


def _nearest(colour, entries):
    """(H, W) uint8 labels of colours as numbers, that of the ground where there is none."""
    samples = [(number, from_hex(s)) for number, entry in enumerate(entries) for s in entry.samples]
    lab = srgb_to_lab(np.array([rgb for _, rgb in samples]))
    values, at = np.unique(colour, return_inverse=True)
    known = np.full(len(values), len(entries), np.uint8)
    for n in np.flatnonzero(values >= 0).tolist():
        value = int(values[n])
        own = srgb_to_lab(np.array([[value >> 16 & 255, value >> 8 & 255, value & 255]]))
        known[n] = samples[int(ciede2000(own, lab).argmin())][0]
    return known[at].reshape(colour.shape)


def _names(painted):
    """(hex, name) of colours that one layer of the file has and no other, where it has a name."""
    of_colour: dict[str, set[str]] = {}
    of_name: dict[str, set[str]] = {}
    for area in painted.areas:
        of_colour.setdefault(area.hex, set()).add(area.name)
        of_name.setdefault(area.name, set()).add(area.hex)
    return tuple((h, next(iter(names))) for h, names in of_colour.items()
                 if len(names) == 1 and (name := next(iter(names))) and len(of_name[name]) == 1)
