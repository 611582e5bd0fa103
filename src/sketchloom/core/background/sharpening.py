"""The edge of a cut: set by the pixels of the full picture, and along a line that a hand drew near it."""

import cv2
import numpy as np

from sketchloom.core.background.finer import MOST_PX, finer
from sketchloom.core.picture.places import polygon_mask

_BAND = 2.5
"""Half width, px of the copy, of the band along the edge that is decided again in full size."""
_LINE = 0.006
"""How far beside a line that follows an edge the edge may be, a share of the picture's long side: twice what
a hand misses by in the bench of objects."""


def along_edge(picture, points) -> np.ndarray:
    """(H, W) bool: inside a line that a hand led along an edge, the edge itself found in a band around it.

    ``points``: shares of the sides.
    """
    shape = picture.rgb.shape[:2]
    scale = min(1.0, MOST_PX / max(shape))
    size = shape[::-1] if scale >= 1 else tuple(max(8, round(n * scale)) for n in shape[::-1])
    rgb = picture.rgb if scale >= 1 else cv2.resize(picture.rgb, size, interpolation=cv2.INTER_AREA)
    inside = polygon_mask(points, size[::-1])
    kept = finer(rgb, cv2.GaussianBlur(inside.astype(np.float32), (0, 0), max(_LINE * max(size), 1.0))) >= 0.5
    return sharpened(picture, kept, scale) if kept.shape != shape else kept


def sharpened(picture, kept, scale: float) -> np.ndarray:
    """A mask of a copy, ``scale`` times as large, at full size; near its edge each pixel goes to the side whose colour
    around it is nearer."""
    size = (picture.width, picture.height)
    full = cv2.resize(kept.astype(np.float32), size, interpolation=cv2.INTER_LINEAR) >= 0.5
    reach = max(2, round(_BAND / scale))
    kernel = cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (2 * reach + 1,) * 2)
    sure_in = cv2.erode(full.astype(np.uint8), kernel, borderValue=1)
    sure_out = cv2.erode((~full).astype(np.uint8), kernel, borderValue=1)
    band = (sure_in == 0) & (sure_out == 0)
    y, x = np.nonzero(band)
    if len(y) == 0:
        return full
    rgb = picture.rgb.astype(np.float32)
    box = (6 * reach + 1,) * 2
    away = []
    for sure in (sure_in, sure_out):
        weight = cv2.boxFilter(sure.astype(np.float32), cv2.CV_32F, box)[y, x]
        mean = cv2.boxFilter(rgb * sure[..., None], cv2.CV_32F, box)[y, x] / np.maximum(weight, 1e-6)[:, None]
        away.append(np.where(weight > 1e-4, np.sqrt(((rgb[y, x] - mean) ** 2).sum(1)), np.inf))
    # where both sides look alike the cut stays as it was found
    sure = np.abs(away[0] - away[1]) > 0.25 * (away[0] + away[1])
    out = full.copy()
    out[y[sure], x[sure]] = away[0][sure] < away[1][sure]
    calm = cv2.medianBlur(out.astype(np.uint8), 9) > 0
    out[band] = calm[band]
    return out
