"""Edits of a palette: merging entries, splitting one, adding one."""

import numpy as np

from sketchloom.core.base.colour import ciede2000, srgb_to_lab, to_hex
from sketchloom.core.picture.picture import Picture
from sketchloom.recipe.parts import PaletteEntry

_SAMPLE = 20_000
"""Pixels looked at when a colour is parted in two."""
_LEAST_DELTA = 1.5
"""Two shades nearer than this (CIEDE2000) are one."""


def merged(entries, hexes) -> tuple[PaletteEntry, ...]:
    """Entries with those named made one, at the place and with the look of the first of them."""
    chosen = [e for e in entries if e.hex in hexes]
    if len(chosen) < 2:
        return tuple(entries)
    one = PaletteEntry(tuple(s for e in chosen for s in e.samples))
    return tuple(one if e is chosen[0] else e for e in entries if e is chosen[0] or e not in chosen)


def same_as(entries, hexes, other: str) -> tuple[PaletteEntry, ...]:
    """Entries with those named given to another one, which keeps its place and its look."""
    given = tuple(s for e in entries if e.hex in hexes and e.hex != other for s in e.samples)
    return tuple(PaletteEntry((*e.samples, *given)) if e.hex == other else e
                 for e in entries if e.hex == other or e.hex not in hexes)


def added(entries, hex_colour: str) -> tuple[PaletteEntry, ...]:
    """Entries with one more colour; a shade that was merged into another becomes a colour again."""
    if hex_colour in {e.hex for e in entries}:
        return tuple(entries)
    rest = (PaletteEntry(tuple(s for s in e.samples if s != hex_colour)) for e in entries)
    return (*rest, PaletteEntry((hex_colour,)))


def split(entries, hex_colour: str, picture: Picture, labels) -> tuple[PaletteEntry, ...] | None:
    """Entries with one made two; None when its pixels are all of one shade.

    An entry that was merged falls apart into its first colour and the rest. Any other is
    divided along the main axis of its flat pixels' colours (two-means from the extremes).
    """
    number = next(i for i, e in enumerate(entries) if e.hex == hex_colour)
    entry = entries[number]
    if len(entry.samples) > 1:
        parts: tuple[PaletteEntry, ...] = (PaletteEntry(entry.samples[:1]), PaletteEntry(entry.samples[1:]))
    else:
        shades = _two_shades(picture, labels == number)
        if shades is None:
            return None
        parts = tuple(PaletteEntry((shade,)) for shade in shades)
    others = {e.hex for e in entries if e is not entry}
    if len({p.hex for p in parts} | others) != len(entries) + 1:
        return None
    return (*entries[:number], *parts, *entries[number + 1:])


def _two_shades(picture, mask):
    flat = mask & (picture.local_range <= 24)
    if flat.sum() < 32:
        flat = mask
    pixels = picture.rgb[flat]
    if len(pixels) < 2:
        return None
    pixels = pixels[:: max(1, len(pixels) // _SAMPLE)].astype(float)
    spread = pixels - pixels.mean(0)
    axis = np.linalg.svd(spread[:4000], full_matrices=False)[2][0]
    along = spread @ axis
    low, high = np.percentile(along, (2, 98))
    centres = np.array([low, high])
    for _ in range(20):
        upper = along > centres.mean()
        if not upper.any() or upper.all():
            return None
        centres = np.array([along[~upper].mean(), along[upper].mean()])
    shades = [np.median(pixels[upper == side], axis=0) for side in (False, True)]
    if ciede2000(srgb_to_lab(shades[0]), srgb_to_lab(shades[1])) < _LEAST_DELTA:
        return None
    return to_hex(shades[0]), to_hex(shades[1])

