"""What is wrong with a picture that preparing can mend: how it lies, its light, its grain, its frame."""

from dataclasses import dataclass, replace

import cv2
import numpy as np

from sketchloom.core.base import parallel
from sketchloom.core.base.progress import QUIET, breathe
from sketchloom.core.base.said import said
from sketchloom.core.judge.paper import page_of
from sketchloom.core.picture.picture import Picture
from sketchloom.core.picture.preparing import finding, grain, light
from sketchloom.core.segment.doubles import find_doubles
from sketchloom.core.segment.palette import noise_level
from sketchloom.core.segment.tone import INK, PAPER, ink_labels, otsu_threshold

_VIEW_PX = 1100
"""Long side of the picture that faults are looked for in."""
_LEAST_SKEW_DEG, _LEAST_SURE = 0.25, 0.45
"""A lean of less is not worth a turn of all pixels, and one less sure than this may be the drawing's own."""
_UNEVEN = 0.07
"""Light that falls off by less of the paper's brightness is no fault worth a step; the faults that
`loom bench choices` makes by rule hold it."""
_BLOCKY = 1.12
"""Steps at block borders are so many times those beside them where compression is seen; the same bench holds it."""
_PALE = 88
"""Ink nearer to its paper than this, of 255, is pale: about a third of the way to black, as pencil is."""
_TEXTURE = 1.8
"""Strength of paper texture, of 255, from which it is told; grain of a scanner stays below (the same bench)."""
_FRAME_SHARE = 0.09
"""Share of a side that a frame around a picture takes at most."""
_LEVEL = 0.012
"""Sides of a page that lean by less than this share of their length (0.7°) are level (a form drawn by a program, of the
clip art of others)."""
_DOUBLE_SHARE, _DOUBLE_INK = 0.009, 0.6
"""Gaps of double outlines are at most such a share of the long side, and so much of the ink lies beside one."""


@dataclass(frozen=True, slots=True, eq=False)
class Faults:
    """Faults of a picture, each None or False when it is not there.

    ``page``: corners of a page seen on a table, as ``Preparation.page``; ``skew_deg`` clockwise;
    ``uneven_light``: share by which paper's brightness differs over the picture; ``screen_px``
    period of a printing screen; ``blocks``: compression blocks; ``pale``: how far ink is from
    paper, of 255, when that is little; ``frame``: the part inside a frame or page border, as
    ``Preparation.crop``; ``texture``: paper texture or a watermark, its strength of 255; ``double_px``:
    most outlines are drawn as two strokes beside each other, with a gap of so many pixels at most.
    """

    page: tuple | None = None
    skew_deg: float | None = None
    uneven_light: float | None = None
    screen_px: float | None = None
    blocks: bool = False
    pale: float | None = None
    frame: tuple | None = None
    texture: float | None = None
    double_px: float | None = None


NONE = Faults()


def find_faults(picture: Picture, *, progress=QUIET) -> Faults:
    """Look for faults. Skew, light, paleness, texture and a frame are faults of ink on paper: what lies at a slant, is
    dark at a side or has a border in a coloured drawing is drawn so. A picture without grain is drawn by a program:
    only a screen and double outlines are looked for.

    Raises Cancelled when asked to stop.
    """
    label = said("Looking for faults")
    progress.step(0, 3, label)
    view = picture.reduced(_VIEW_PX)
    noise = noise_level(picture.local_range[::2, ::2])
    if picture.alpha is not None:
        return NONE
    border = _frame(view.rgb)
    double = _double_gap(view.grey)
    double = None if double is None else double * picture.width / view.width
    if noise <= 0:  # dots of a screen are no grain: they can be all there is
        return Faults(screen_px=grain.screen_period(picture.rgb), double_px=double)
    progress.step(1, 3, label)
    page, skew, screen, lit = parallel.in_threads(lambda work: work(), (
        lambda: finding.find_page(picture) if border is None else None, lambda: finding.find_skew(picture.grey),
        lambda: grain.screen_period(picture.rgb), lambda: light.paper_light(view.rgb)))
    progress.step(2, 3, label)
    if page is not None and not _is_level(page):  # nothing else can be judged with the table in the picture
        return Faults(page=page, screen_px=screen, blocks=_has_blocks(picture.grey))
    found = Faults(screen_px=screen, blocks=_has_blocks(picture.grey))
    if page_of(picture) is None:
        return found
    leans = abs(skew.degrees) >= _LEAST_SKEW_DEG and skew.sure >= _LEAST_SURE
    found = replace(found, skew_deg=skew.degrees if leans else None, uneven_light=_unevenness(lit),
                    pale=_paleness(view, lit), frame=border)
    return found if screen is not None else replace(found, texture=_texture(view, lit), double_px=double)


def _double_gap(grey):
    """Widest gap of a drawing most of whose ink is pairs of strokes with a narrow gap, else None."""
    labels = ink_labels(grey, otsu_threshold(grey))
    ink = labels == INK
    if not 0.005 < ink.mean() < 0.3:
        return None
    limit = max(4.0, _DOUBLE_SHARE * max(grey.shape))
    found = find_doubles(labels, limit)
    x, y = np.floor(found.places).astype(int).T if len(found.places) else (np.empty(0, int),) * 2
    gaps = labels[y, x] == PAPER
    if not gaps.any() or found.length_px[gaps].sum() < 0.5 * max(grey.shape):
        return None
    # ink that lies within reach of a gap, on either side of it
    near = cv2.dilate((found.mask & ~ink).astype(np.uint8), np.ones((3, 3), np.uint8), iterations=round(limit)) > 0
    if (ink & near).sum() < _DOUBLE_INK * ink.sum():
        return None
    return float(found.width_px[gaps].max()) + 1.0


def _is_level(page) -> bool:
    """Whether a page lies as level as one that is drawn: there is nothing to flatten."""
    corners = np.asarray(page, float)
    sides = np.abs(np.roll(corners, -1, 0) - corners)
    return bool((sides.min(1) <= _LEVEL * sides.max(1)).all())


def _unevenness(lit):
    luma = lit[::4, ::4].mean(2)
    low, high = np.percentile(luma, (3, 97))
    share = float((high - low) / max(high, 1.0))
    return share if share > _UNEVEN else None


def _has_blocks(grey) -> bool:
    """Steps at every eighth column and row larger than at the others (JPEG's blocks)."""
    ratio = []
    for values in (grey, grey.T):
        breathe()
        step = np.abs(np.diff(values.astype(np.int16), axis=1))
        # strong edges are drawn; blocks show in the quiet
        step = np.where(step > 24, 0, step)
        width = step.shape[1] // 8 * 8
        if width < 64:
            return False
        of_phase = step[:, :width].mean(0).reshape(-1, 8).mean(0)
        peak = int(of_phase.argmax())
        rest = np.median(np.delete(of_phase, peak))
        ratio.append(float(of_phase[peak] / max(rest, 1e-3)) if of_phase[peak] > 0.02 else 1.0)
    return min(ratio) > _BLOCKY and max(ratio) > _BLOCKY + 0.1


def _paleness(view, lit):
    """Difference between paper and the darker half of what is drawn, when that is small."""
    depth = lit[::2, ::2].mean(2) - view.grey[::2, ::2]
    spread = float(np.median(np.abs(depth - np.median(depth))))
    drawn = depth > max(6 * spread, 18.0)
    if drawn.mean() < 0.001:
        return None
    typical = float(np.percentile(depth[drawn], 75))
    return typical if typical < _PALE else None


def _texture(view, lit):
    """Strength of what varies on bare paper over more than grain does."""
    depth = (lit.mean(2) - view.grey).astype(np.float32)
    smooth = cv2.GaussianBlur(depth, (0, 0), 1.0)
    grain_level = float(np.median(np.abs(depth - smooth)[::3, ::3])) * 1.48
    drawn = cv2.dilate((smooth > max(1.5 * grain_level, 22.0)).astype(np.uint8), np.ones((13, 13), np.uint8)) > 0
    bare = ~drawn
    if bare.mean() < 0.1:
        return None
    half = [
        cv2.resize(v, None, fx=0.5, fy=0.5, interpolation=cv2.INTER_AREA)
        for v in (depth * bare, bare.astype(np.float32))
    ]
    broad = _mean_of(*half, 1.5) - _mean_of(*half, 12.5)
    bare = half[1] > 0.99
    strength = float(broad[bare].std())
    return strength if strength > _TEXTURE else None


def _mean_of(weighted, weight, sigma):
    """Gaussian mean of values that are already weighted."""
    return cv2.GaussianBlur(weighted, (0, 0), sigma) / np.maximum(cv2.GaussianBlur(weight, (0, 0), sigma), 1e-3)


def _frame(rgb):
    """Shares of what lies inside an even frame along all four sides, or None."""
    turned = rgb.transpose(1, 0, 2)
    sides = [_strip(side) for side in (turned, rgb, turned[::-1], rgb[::-1])]
    if any(side is None for side in sides):
        return None
    height, width = rgb.shape[:2]
    left, top, right, bottom = sides
    return left / width, top / height, 1 - right / width, 1 - bottom / height


def _strip(rgb):
    """Rows that a border or a line along the first row takes up, None when there is neither.

    Row by row the picture is even there; the last place where one even row is followed by
    one of plainly another colour ends it.
    """
    most = max(4, round(_FRAME_SHARE * len(rgb)))
    middle = slice(round(0.12 * rgb.shape[1]), round(0.88 * rgb.shape[1]))
    rows = rgb[:most + 6, middle].astype(np.float32)
    tone = np.median(rows, axis=1)
    even = np.flatnonzero(np.percentile(np.abs(rows - tone[:, None]).max(2), 88, axis=1) < 12)
    even = even[: int(np.argmax(np.diff(even, append=len(rgb)) > 4)) + 1] if len(even) else even
    if len(even) < 3 or even[0] > 1:
        return None
    jump = np.abs(tone[even[1:]] - tone[even[:-1]]).max(1) > 40
    # an antialiased step takes two or three rows
    jump |= np.append(np.abs(tone[even[2:]] - tone[even[:-2]]).max(1) > 40, False) if len(even) > 2 else False
    at = np.flatnonzero(jump)
    return int(even[at[-1] + 1]) + 2 if len(at) and even[at[-1] + 1] <= most else None
