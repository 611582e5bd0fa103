"""Photo reading: a shaded picture as two to eight flat tones.

The shading is smoothed with its edges kept, cut at levels chosen from the histogram, and drawn
again as a flat picture whose soft edges lie where the smoothed tone crosses a level. Everything
after that sees flat clipart.
"""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.colour import to_hex
from sketchloom.core.base.progress import QUIET, Part, breathe
from sketchloom.core.base.raster import strips
from sketchloom.core.base.said import said
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.segment.tone import tones

_EDGE = 14.0
"""Spread of tone, 0 to 255, above which a change counts as an edge and is kept."""
_LINE_DARKER, _LINE_RAMP = 10.0, 4.0
"""A line is darker than what is around it by so much, of 255, and sets in over so much."""


@dataclass(frozen=True, slots=True, eq=False)
class Steps:
    """A flat picture of tones. ``colours`` (n, 3) uint8, darkest first; ``levels`` (n - 1,) tones between them."""

    picture: Picture
    colours: np.ndarray
    levels: np.ndarray


def tone_levels(count_of_tone, steps: int) -> np.ndarray:
    """(steps - 1,) tones up to which each step goes, by the largest variance between the steps.

    Parameters
    ----------
    count_of_tone : (256,) pixels of each tone. steps : 2 to 8.

    References
    ----------
    Otsu 1979, the criterion for several levels; found exactly by dynamic programming over the 256 tones.
    """
    count = np.asarray(count_of_tone, float)
    weight = np.concatenate([[0.0], np.cumsum(count)])
    sum_ = np.concatenate([[0.0], np.cumsum(count * np.arange(256))])
    w = weight[None, :] - weight[:, None]
    s = sum_[None, :] - sum_[:, None]
    with np.errstate(divide="ignore", invalid="ignore"):
        worth = np.where(w > 0, s * s / w, 0.0)  # of tones i .. j - 1 as one step
    worth[np.tril_indices(257, 0)] = -np.inf
    best, choice = worth[0].copy(), []
    for _ in range(steps - 1):
        total = best[:, None] + worth
        choice.append(total.argmax(0))
        best = total.max(0)
    ends = [256]
    for back in reversed(choice):
        ends.append(int(back[ends[-1]]))
    return np.array(ends[:0:-1]) - 1


def smoothed(grey, radius_px: float, *, progress=QUIET) -> np.ndarray:
    """(H, W) float32 tone with edges kept and everything smaller than the radius calmed.

    References
    ----------
    He, Sun, Tang 2013, "Guided image filtering", with the picture as its own guide, run twice.
    """
    label = said("Calming the shading")
    box = 2 * max(1, round(radius_px)) + 1
    sigma = max(0.3 * radius_px, 0.6)
    made = np.empty(grey.shape, np.float32)
    # two rounds of two means each, and the blur before them, reach so far beyond a strip
    reach = 4 * (box // 2) + round(4 * sigma) + 2
    for inner, outer in strips(grey.shape, reach):
        progress.step(inner.start, grey.shape[0], label)
        made[inner] = _smoothed(grey[outer], box, sigma)[inner.start - outer.start:inner.stop - outer.start]
    return made


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


def tone_steps(picture: Picture, steps: int, radius_px: float, outlines: bool = False, *, progress=QUIET) -> Steps:
    """Draw a picture in a few flat tones.

    Parameters
    ----------
    steps : 2 to 8 tones. radius_px : details smaller than this are calmed.
    outlines : whether dark lines of the picture are drawn on top in the darkest tone.

    Notes
    -----
    Each pixel's share of the tone above a level is (tone - level) / slope + 1/2: to first order
    the area of the pixel that lies on that side of the level's line.
    """
    value = smoothed(picture.grey, radius_px, progress=Part(progress, 0.0, 0.7))
    rounded = np.clip(np.rint(value), 0, 255).astype(np.uint8)
    seen = rounded if picture.alpha is None else rounded[picture.alpha >= 128][:, None]
    levels = tone_levels(tones(seen if seen.size else rounded), steps)
    colours = _colours(picture, value, levels)
    lines = _lines(value, radius_px) if outlines else None
    flat = np.empty(picture.rgb.shape, np.uint8)
    for inner, outer in strips(value.shape, 2):
        progress.step(0.7 + 0.3 * inner.start / len(value), 1, said("Drawing the tones"))
        skip = slice(inner.start - outer.start, inner.stop - outer.start)
        slope = np.maximum(
            np.hypot(*(cv2.Sobel(value[outer], cv2.CV_32F, dx, dy, scale=0.125) for dx, dy in ((1, 0), (0, 1)))), 0.25
        )
        flat[inner] = _drawn(value[inner], slope[skip], levels, colours, None if lines is None else lines[inner])
    return Steps(Picture(frozen_array(flat), picture.alpha, picture.dpi, picture.name, picture.notes), colours, levels)


def _drawn(value, slope, levels, colours, line):
    """Rows of the flat picture."""
    out = np.zeros((*value.shape, 3), np.float32) + colours[0]
    for k, level in enumerate(levels):
        share = np.clip((value - (level + 0.5)) / slope + 0.5, 0, 1)
        out += share[..., None] * (colours[k + 1].astype(np.float32) - colours[k])
    if line is not None:
        out += line[..., None] * (colours[0] - out)
    return np.rint(out).astype(np.uint8)


def _lines(value, radius_px):
    """(H, W) 0 to 1: dark lines and dark sides of edges, by the difference of two blurs."""
    fine = cv2.GaussianBlur(value, (0, 0), max(0.5 * radius_px, 0.8))
    wide = cv2.GaussianBlur(value, (0, 0), max(2.0 * radius_px, 2.4))
    return np.clip((wide - fine - _LINE_DARKER) / _LINE_RAMP + 0.5, 0, 1)


def _colours(picture, value, levels):
    """Mean colour of each step, all different."""
    steps = len(levels) + 1
    count, total = np.zeros(steps), np.zeros((steps, 3))
    for rows, _ in strips(value.shape):
        breathe()
        band = np.searchsorted(levels, value[rows], side="left").ravel()
        if picture.alpha is not None:
            band = np.where(picture.alpha[rows].ravel() >= 128, band, steps)
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
