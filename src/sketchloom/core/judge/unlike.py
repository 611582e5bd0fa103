"""Where a picture is unlike what is cut from it: no blend of the colours that are cut there."""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.colour import lightness
from sketchloom.core.base.progress import breathe

_STEP, _PER_NOISE = 34.0, 2.5
"""Steps of 255 that a pixel may be off (about CIEDE2000 12 in the middle of the scale), and more for each step that
flat areas vary by."""
_AROUND = np.ones((5, 5), np.uint8)
"""A pixel is blended with what lies within two pixels: renderers and cameras reach no farther in sharp pictures."""
_LARGE_PX = 3_000_000
"""Of larger pictures every other pixel is looked at, both ways."""
_LEAST_PX = 12
"""Smaller places are corners, where three colours meet in a pixel."""
_ALIKE = 3.0
"""Lightness (CIELAB) by which a place is darker or lighter, and not just of another colour."""


@dataclass(frozen=True, slots=True, eq=False)
class Unlike:
    """``area`` (h, w) bool over the whole picture, every ``step`` th pixel of it; ``explained`` the share of the
    picture that is not unlike; ``places`` (K, 3): x, y in px and area in px² of each that is not small, the largest
    first; ``colours`` (K, 3) seen there and ``darker`` (K,): by how much, CIELAB."""

    area: np.ndarray
    step: int
    explained: float
    places: np.ndarray
    colours: np.ndarray
    darker: np.ndarray


def find_unlike(rgb, labels, values, noise: float, least_px: float) -> Unlike:
    """Compare a picture with the colours that it is cut in.

    Parameters
    ----------
    rgb : (H, W, 3) uint8. labels : (H, W), from ``len(values)`` on what is not there to see. values : (K, 3) sRGB.
    noise : as ``noise_level``. least_px : area of the smallest place that is told.
    """
    step = 2 if labels.size > _LARGE_PX else 1
    rgb, labels = np.ascontiguousarray(rgb[::step, ::step]), np.ascontiguousarray(labels[::step, ::step])
    values, limit = np.asarray(values, np.float32), _STEP + _PER_NOISE * noise
    shown = labels < len(values)
    table = np.concatenate([np.rint(values), [[0, 0, 0]]]).astype(np.uint8)
    cut = table.take(np.minimum(labels, len(values)), 0)
    # in whole numbers first: most pixels are just what is cut
    one, two, three = cv2.split(cv2.absdiff(rgb, cut))
    far = cv2.max(cv2.max(one, two), three)
    y, x = np.nonzero(shown & (far > limit / 3**0.5))
    off = ((rgb[y, x].astype(np.float32) - cut[y, x]) ** 2).sum(-1) > limit * limit
    y, x = y[off], x[off]
    breathe()
    left = _unblended(rgb[y, x].astype(np.float32), labels, values, y, x, limit)
    area = np.zeros(labels.shape, bool)
    area[y[left], x[left]] = True
    share = 1.0 - area.sum() / max(int(shown.sum()), 1)
    places, colours, darker = _places(area, rgb, cut, max(least_px / step**2, _LEAST_PX))
    places[:, :2] *= step
    places[:, 2] *= step**2
    return Unlike(area, step, float(share), places, colours, darker)


def _unblended(seen, labels, values, y, x, limit):
    """(N,) bool: pixels that are no blend of two colours near them."""
    near = {}
    for k in range(len(values)):
        mine = labels == k
        if mine.any():
            breathe()
            near[k] = cv2.dilate(mine.astype(np.uint8), _AROUND)[y, x] > 0
    left = np.ones(len(y), bool)
    for i in near:
        for j in near:
            at = np.flatnonzero(left & near[i] & near[j]) if j > i else ()
            if not len(at):
                continue
            line, here = values[j] - values[i], seen[at] - values[i]
            t = np.clip(here @ line / max(float(line @ line), 1.0), -0.05, 1.05)
            left[at] = ((here - t[:, None] * line) ** 2).sum(1) > limit * limit
    return left


def _places(area, rgb, cut, least):
    """Connected places, the largest first: a pixel in the middle of each and its size, the colour seen, and by how much
    that is darker than what is cut."""
    count, piece, stats, _ = cv2.connectedComponentsWithStats(area.astype(np.uint8), connectivity=8)
    size = stats[:, cv2.CC_STAT_AREA]
    size[0] = 0
    big = np.flatnonzero(size >= least)
    big = big[np.argsort(-size[big], kind="stable")]
    number = np.full(count, -1)
    number[big] = np.arange(len(big))
    y, x = np.nonzero(area)
    of = number[piece[y, x]]
    y, x, of = y[of >= 0], x[of >= 0], of[of >= 0]
    pixels = rgb[y, x]
    total = np.maximum(np.bincount(of, minlength=len(big)), 1)
    darker = np.bincount(of, lightness(cut[y, x]) - lightness(pixels), len(big)) / total
    middle = np.stack([np.bincount(of, v, len(big)) / total for v in (x, y)], -1)
    # the pixel nearest to the mean of all, which may lie beside a bent place
    away = np.hypot(*(np.stack([x, y], -1) - middle[of]).T)
    least = np.full(len(big), np.inf)
    np.minimum.at(least, of, away)
    nearest = np.flatnonzero(away == least[of])[::-1]
    first = np.zeros(len(big), np.intp)
    first[of[nearest]] = nearest  # of several the first one
    at = np.stack([x[first] + 0.5, y[first] + 0.5, size[big].astype(float)], -1)
    return at, _commonest(pixels, of, len(big)), darker


def _commonest(pixels, of, count):
    """(count, 3) the colour in the middle of each place by each channel's median."""
    made = np.zeros((count, 3))
    for channel in range(3):
        upto = np.bincount(256 * of + pixels[:, channel], minlength=256 * count).reshape(count, 256).cumsum(1)
        made[:, channel] = (upto > ((upto[:, -1] - 1) // 2)[:, None]).argmax(1)
    return made


def kind_of(darker: float) -> str:
    """Whether a place is "darker", "lighter" or of an "other" colour than what is cut."""
    return "darker" if darker > _ALIKE else "lighter" if darker < -_ALIKE else "other"
