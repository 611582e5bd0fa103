"""Photo reading: a shaded picture as two to eight flat tones.

The shading is smoothed with its edges kept and cut into steps: at levels of tone chosen from the histogram, or, where
hues differ, into steps within each of them. What is too narrow to cut goes to what is beside it, and all is drawn
again as a flat picture whose soft edges lie where the smoothed shading goes over from one step into the next.
Everything after that sees flat clipart.
"""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.colour import to_hex
from sketchloom.core.base.progress import QUIET, Part, breathe
from sketchloom.core.base.raster import strips
from sketchloom.core.base.said import said
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.segment import shades
from sketchloom.core.segment.levels import tone_levels
from sketchloom.core.segment.slivers import without_slivers
from sketchloom.core.segment.tone import tones

_EDGE = 14.0
"""Spread of tone, 0 to 255, above which a change counts as an edge and is kept."""
_LINE_DARKER, _LINE_RAMP = 10.0, 4.0
"""A line is darker than what is around it by so much, of 255, and sets in over so much."""
_VIEW_PX, _CALM_VIEW_PX = 600, 1.0
"""Long side of the copy in which the steps within hues are chosen, and how far it is calmed at least."""
_SCALE = 64.0
"""Whole numbers a tone: 255 tones and a sign fit into two bytes."""
_OPAQUE = 128
_ENOUGH = 0.2
"""Share of what is seen that has to be no edge, else the edges vote as well: a picture that is all edges has tones too.
"""
_FLATTEST = 0.25
"""Tones a pixel: what is flatter has no place where one step goes over into the next."""


@dataclass(frozen=True, slots=True, eq=False)
class Steps:
    """A flat picture of tones. ``colours`` (n, 3) uint8, darkest first; ``labels`` (H, W) uint8, n where there is
    nothing; ``levels`` (n - 1,) tones between them where they are one ramp, None where hues are kept apart."""

    picture: Picture
    colours: np.ndarray
    labels: np.ndarray
    levels: np.ndarray | None


@dataclass(frozen=True, slots=True, eq=False)
class _Told:
    """A calmed picture: ``value`` (H, W, C), times ``scale``; and between each two of its steps p and q the plane
    ``normal`` (n, n, C) · value = ``offset`` (n, n) at which one goes over into the other, normals one long."""

    value: np.ndarray
    scale: float
    normal: np.ndarray
    offset: np.ndarray
    centres: np.ndarray

    def rows(self, rows: slice) -> np.ndarray:
        """float32 values, in tones, of some rows."""
        return self.value[rows].astype(np.float32) / self.scale

    def distance(self, at) -> np.ndarray:
        """(N, n) squared distances of flat pixels (N,) from the steps."""
        its = self.value.reshape(-1, self.value.shape[-1])[at].astype(np.float32) / self.scale
        return ((its[:, None] - self.centres) ** 2).sum(-1)


def smoothed(grey, radius_px: float, *, progress=QUIET) -> np.ndarray:
    """(H, W) float32 tone with edges kept and everything smaller than the radius calmed.

    References
    ----------
    He, Sun, Tang 2013, "Guided image filtering", with the picture as its own guide, run twice.
    """
    made = np.empty(grey.shape, np.float32)
    for inner, outer, part in _calm_strips(grey.shape, radius_px, progress):
        made[inner] = part(grey[outer])
    return made


def _calm_strips(shape, radius_px, progress):
    """Rows of a picture some at a time: what is made, from what, and what makes it of one channel of that."""
    box = 2 * max(1, round(radius_px)) + 1
    sigma = max(0.3 * radius_px, 0.6)
    # two rounds of two means each, and the blur before them, reach so far beyond a strip
    reach = 4 * (box // 2) + round(4 * sigma) + 2
    for inner, outer in strips(shape, reach):
        progress.step(inner.start, shape[0], said("Calming the shading"))
        kept = slice(inner.start - outer.start, inner.stop - outer.start)
        yield inner, outer, lambda channel, kept=kept: _smoothed(channel, box, sigma)[kept]


def _smoothed(grey, side, sigma):
    value = cv2.GaussianBlur(grey.astype(np.float32), (0, 0), sigma)
    def mean_of(v):
        return cv2.boxFilter(v, cv2.CV_32F, (side, side), borderType=cv2.BORDER_REFLECT)
    for _ in range(2):
        mean = mean_of(value)
        spread = np.maximum(mean_of(value * value) - mean * mean, 0)
        slope = spread / (spread + _EDGE**2)
        value = mean_of(slope) * value + mean_of(mean - slope * mean)
    return value


def tone_steps(picture: Picture, steps: int, radius_px: float, outlines: bool = False, hues: str = "auto",
               narrowest_px: float = 0.0, *, progress=QUIET) -> Steps:
    """Draw a picture in a few flat tones.

    Parameters
    ----------
    steps : 2 to 8 tones. radius_px : details smaller than this are calmed.
    outlines : whether dark lines of the picture are drawn on top in the darkest tone.
    hues : one of ``parts.HUES``. narrowest_px : what is narrower goes to what is beside it.

    Notes
    -----
    A pixel's share of a step beside its own is distance / slope + 1/2, of the plane between the two: to first order
    the area of the pixel that lies on the other side.
    """
    calm = Part(progress, 0.0, 0.6)
    found = _by_hues(picture, steps, radius_px, hues, narrowest_px, calm)
    told, labels, levels = found or _by_levels(picture, steps, radius_px, narrowest_px, calm)
    progress.step(0.6, 1, said("Taking out slivers"))
    if picture.alpha is not None:
        labels[picture.alpha < _OPAQUE] = steps
    labels = without_slivers(labels, steps, narrowest_px, told.distance)
    colours = _colours(picture, labels, steps)
    under = labels if picture.alpha is None else _drawn_on(labels, steps)
    lines = _lines(told.rows(slice(None))[..., 0], radius_px) if outlines else None
    flat = np.empty(picture.rgb.shape, np.uint8)
    for inner, outer in strips(labels.shape, 2):
        progress.step(0.7 + 0.3 * inner.start / len(labels), 1, said("Drawing the tones"))
        skip = slice(inner.start - outer.start, inner.stop - outer.start)
        flat[inner] = _drawn(told, outer, under[outer], colours)[skip]
    if lines is not None:
        flat = np.rint(flat + lines[..., None] * (colours[0] - flat.astype(np.float32))).astype(np.uint8)
        labels = np.where((lines >= 0.5) & (labels < steps), 0, labels).astype(np.uint8)
    return Steps(Picture(frozen_array(flat), picture.alpha, picture.dpi, picture.name, picture.notes), colours,
                 frozen_array(labels), levels)


def _voting(value, alpha, steps, narrowest_px):
    """(H, W) bool: pixels that choose the steps: not those of edges so steep that no step has room in them, for a step
    that lies nowhere else is none; all that are to be seen where few others are."""
    seen = np.ones(value.shape, bool) if alpha is None else alpha >= _OPAQUE
    if not seen.any():
        seen[:] = True
    room = np.empty(value.shape, bool)
    for inner, outer in strips(value.shape, 2):
        breathe()
        part = value[outer]
        slope = np.hypot(*(cv2.Sobel(part, cv2.CV_32F, dx, dy, scale=0.125) for dx, dy in ((1, 0), (0, 1))))
        room[inner] = (slope * max(narrowest_px, 1.0) < 255 / steps)[inner.start - outer.start:inner.stop - outer.start]
    room &= seen
    return room if room.sum() > _ENOUGH * seen.sum() else seen


def _by_levels(picture, steps, radius_px, narrowest_px, progress):
    """One ramp: cut at levels of tone."""
    value = smoothed(picture.grey, radius_px, progress=progress)
    rounded = np.clip(np.rint(value), 0, 255).astype(np.uint8)
    breathe()
    voting = _voting(value, picture.alpha, steps, narrowest_px)
    breathe()
    levels = tone_levels(tones(rounded[voting][:, None]), steps)
    labels = np.searchsorted(levels, rounded, side="left").astype(np.uint8)
    # between steps that are no neighbours, where the steps between them are left out, half way of what those took
    low, high = np.append(levels, 255) + 0.5, np.insert(levels, 0, 0) + 0.5
    upper = np.arange(steps) > np.arange(steps)[:, None]
    half = 0.5 * (low[:, None] + high[None])
    offset = np.where(upper, half, -half.T)
    normal = np.where(upper, np.float32(1), np.float32(-1))[..., None]
    centres = 0.5 * (low + high)[:, None]
    return _Told(value[..., None], 1.0, normal, offset.astype(np.float32), centres.astype(np.float32)), labels, levels


def _by_hues(picture, steps, radius_px, hues, narrowest_px, progress):
    """Steps within each hue, chosen on a small copy; None where one ramp does."""
    if hues == "ramp":
        return None
    space = shades.APART if hues == "apart" else shades.SPACE
    view = picture.reduced(_VIEW_PX)
    radius = max(radius_px * view.width / picture.width, _CALM_VIEW_PX)
    calm = _calmed(view, space, radius, QUIET)
    value = smoothed(view.grey, radius)
    grey = np.clip(np.rint(value), 0, 255).astype(np.uint8)
    seen = _voting(value, view.alpha, steps, narrowest_px * view.width / picture.width)
    ramp = np.searchsorted(tone_levels(tones(grey[seen][:, None]), steps), grey[seen], side="left")
    centres = shades.hue_steps(calm[seen] / np.float32(_SCALE), ramp, steps, hues == "apart")
    if centres is None:
        return None
    centres = centres.astype(np.float32)
    value = _calmed(picture, space, radius_px, progress)
    labels = np.empty(value.shape[:2], np.uint8)
    for rows, _ in strips(labels.shape):
        breathe()
        part = value[rows].astype(np.float32) / _SCALE
        near = np.stack([((part - c) ** 2).sum(-1) for c in centres], -1)
        labels[rows] = near.argmin(-1)
    apart = centres[None] - centres[:, None]
    normal = apart / np.maximum(np.linalg.norm(apart, axis=-1), 1e-6)[..., None]
    offset = (normal * 0.5 * (centres[None] + centres[:, None])).sum(-1)
    return _Told(value, _SCALE, normal, offset, centres), labels, None


def _calmed(picture, space, radius_px, progress):
    """(H, W, 3) int16: smoothed colours in a space, times a scale: a third of what decimals would take."""
    made = np.empty(picture.rgb.shape, np.int16)
    for inner, outer, part in _calm_strips(picture.grey.shape, radius_px, progress):
        colours = space.of(picture.rgb[outer])
        for c in range(3):
            made[inner, :, c] = np.rint(_SCALE * part(np.ascontiguousarray(colours[..., c])))
    return made


def _drawn(told, rows, labels, colours):
    """Rows of the flat picture."""
    steps = len(colours)
    table = np.vstack([colours, np.zeros((256 - steps, 3), np.uint8)])
    height, width = labels.shape
    value = told.rows(rows)
    share, other = np.zeros(labels.shape, np.float32), np.zeros(labels.shape, np.uint8)
    for dy, dx in ((0, 1), (1, 0), (0, -1), (-1, 0)):
        here = np.s_[max(-dy, 0):height - max(dy, 0), max(-dx, 0):width - max(dx, 0)]
        beside = np.s_[max(dy, 0):height + min(dy, 0), max(dx, 0):width + min(dx, 0)]
        y, x = np.nonzero((labels[here] != labels[beside]) & (labels[here] < steps) & (labels[beside] < steps))
        y, x = y + max(-dy, 0), x + max(-dx, 0)
        p, q = labels[y, x], labels[y + dy, x + dx]
        normal = told.normal[p, q]
        left, right = np.maximum(x - 1, 0), np.minimum(x + 1, width - 1)
        up, down = np.maximum(y - 1, 0), np.minimum(y + 1, height - 1)
        slope = np.hypot(((value[y, right] - value[y, left]) * normal).sum(-1) / np.maximum(right - left, 1),
                         ((value[down, x] - value[up, x]) * normal).sum(-1) / np.maximum(down - up, 1))
        beyond = (value[y, x] * normal).sum(-1) - told.offset[p, q]
        its = np.clip(beyond / np.maximum(slope, _FLATTEST) + 0.5, 0, 0.5).astype(np.float32)
        more = its > share[y, x]
        y, x = y[more], x[more]
        share[y, x], other[y, x] = its[more], q[more]
    out = table[labels]
    at = np.nonzero(share)
    its = share[at][:, None]
    out[at] = np.rint((1 - its) * table[labels[at]] + its * table[other[at]])
    return out


def _drawn_on(labels, steps):
    """Labels drawn on into what is transparent, whose soft edge has the colour of what it is the edge of."""
    nothing = labels >= steps
    if nothing.all():
        return np.zeros_like(labels)
    _, nearest = cv2.distanceTransformWithLabels(nothing.astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5,
                                                 labelType=cv2.DIST_LABEL_PIXEL)
    of = np.zeros(nearest.max() + 1, np.uint8)
    of[nearest[~nothing]] = labels[~nothing]
    return of[nearest]


def _lines(value, radius_px):
    """(H, W) 0 to 1: dark lines and dark sides of edges, by the difference of two blurs."""
    fine = cv2.GaussianBlur(value, (0, 0), max(0.5 * radius_px, 0.8))
    wide = cv2.GaussianBlur(value, (0, 0), max(2.0 * radius_px, 2.4))
    return np.clip((wide - fine - _LINE_DARKER) / _LINE_RAMP + 0.5, 0, 1)


def _colours(picture, labels, steps):
    """Mean colour of each step, all different."""
    count, total = np.zeros(steps), np.zeros((steps, 3))
    for rows, _ in strips(labels.shape):
        breathe()
        band = labels[rows].ravel()
        count += np.bincount(band, minlength=steps + 1)[:steps]
        flat = picture.rgb[rows].reshape(-1, 3)
        total += np.stack([np.bincount(band, flat[:, c], steps + 1)[:steps] for c in range(3)], -1)
    colours = total / np.maximum(count, 1)[:, None]
    colours = np.rint(colours).astype(np.uint8)
    used = set()
    for k in range(steps):
        while to_hex(colours[k]) in used:
            colours[k] = np.minimum(colours[k].astype(int) + 3, 255) if colours[k].max() < 250 else colours[k] - 3
        used.add(to_hex(colours[k]))
    return colours
