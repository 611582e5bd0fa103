"""Keep and drop strokes: what they cross is certain, the rest follows."""

from hashlib import blake2b

import cv2
import numpy as np

from sketchloom.core.background.corrections import corrected
from sketchloom.core.background.finer import MOST_PX, finer
from sketchloom.core.background.first_cut import WORK_PX, first_cut
from sketchloom.core.background.sharpening import sharpened
from sketchloom.core.background.walks import DROP, KEEP

_SPECK = 2e-4
"""Share of the picture under which a part or an opening is a speck."""
_KEPT_CUTS = 16
"""Cuts remembered with a picture, so that a stroke more costs only itself."""


def stroke_mask(steps, shape) -> np.ndarray:
    """(H, W) uint8: ``KEEP`` where a keep stroke runs, ``DROP`` where a drop stroke does, later ones over earlier."""
    height, width = shape
    mask = np.zeros(shape, np.uint8)
    for step in steps:
        value = KEEP if step.keep else DROP
        thick = max(1, round(step.width * max(height, width)))
        at = np.rint(np.array(step.points) * [width, height] - 0.5).astype(np.int32)
        if len(at) == 1:
            cv2.circle(mask, tuple(int(v) for v in at[0]), max(1, thick // 2), value, -1)
        else:
            cv2.polylines(mask, [at], False, value, thick)
    return mask


def kept_by_strokes(picture, steps, before) -> np.ndarray:
    """(H, W) bool: what belongs to the keep strokes rather than to the drop strokes.

    Parameters
    ----------
    picture : Picture. steps : its strokes. before : (H, W) bool, what earlier steps kept; the
        rest is certainly dropped.

    Notes
    -----
    The strokes up to the first of the second kind make the first cut; without a drop stroke the picture's border stands
    for one, and the other way round. Each stroke after that corrects it where it runs; the same again says nothing new.
    """
    steps = [step for step, before_it in zip(steps, (None, *steps), strict=False) if step != before_it]
    kinds = [step.keep for step in steps]
    first = next((n + 1 for n, kind in enumerate(kinds) if kind != kinds[0]), len(steps))
    cuts = picture.__dict__.setdefault("_cuts", {})
    was = blake2b(np.packbits(before).tobytes(), digest_size=16).digest()
    kept = before
    for count in range(first, len(steps) + 1):
        key = (was, tuple(steps[:count]))
        if key in cuts:
            kept = np.unpackbits(cuts[key], count=before.size).reshape(before.shape) > 0
            continue
        kept = (_first(picture, steps[:count], before) if count == first
                else corrected(picture, kept, steps[:count], stroke_mask))
        while len(cuts) >= _KEPT_CUTS:
            cuts.pop(next(iter(cuts)))
        cuts[key] = np.packbits(kept)
    return kept


def _first(picture, steps, before):
    """The first cut, taken to full size by copies twice as large each time."""
    shape = picture.rgb.shape[:2]
    longest = min(max(shape), MOST_PX)
    side, share = min(WORK_PX, longest), None
    while True:
        scale = side / max(shape)
        size = shape[::-1] if scale >= 1 else tuple(max(8, round(n * scale)) for n in shape[::-1])
        rgb = picture.rgb if scale >= 1 else cv2.resize(picture.rgb, size, interpolation=cv2.INTER_AREA)
        if share is None:
            said = _said(steps, before, size)
            if not ((said == KEEP).any() and (said == DROP).any()):
                return np.full(shape, bool((said == KEEP).any()))
            share = first_cut(rgb, said, steps)
        else:
            share = finer(rgb, share)
        if side >= longest:
            break
        side = longest if longest < 2.6 * side else 2 * side
    kept = _without_specks(share >= 0.5, stroke_mask(steps, share.shape))
    return sharpened(picture, kept, scale) if kept.shape != shape else kept


def _without_specks(kept, said):
    """The cut without parts and openings too small to be meant, unless a stroke crosses them."""
    for side, seeds in ((True, said == KEEP), (False, said == DROP)):
        _, part, stats, _ = cv2.connectedComponentsWithStats((kept == side).astype(np.uint8), connectivity=4)
        small = stats[:, cv2.CC_STAT_AREA] < _SPECK * kept.size
        small[np.unique(part[seeds])] = False
        small[0] = False
        kept = np.where(small[part], not side, kept)
    return kept


def _said(steps, before, size):
    """What is certain, at a size: strokes, what was dropped before, and the border for a kind of stroke that is not
    there."""
    said = stroke_mask(steps, size[::-1])
    was = cv2.resize(before.astype(np.uint8), size, interpolation=cv2.INTER_NEAREST) > 0
    said[~was & (said == 0)] = DROP
    for missing in (KEEP, DROP):
        if not (said == missing).any():
            border = np.zeros_like(said)
            border[[0, -1], :] = border[:, [0, -1]] = 1
            said[(border > 0) & (said == 0)] = missing
    return said
