"""The network that thin lines of one colour make, from how much of it is in each pixel."""

import cv2
import numpy as np

_PEAK_PX = 1.1
"""The crest of a line is sought so far around, in pixels of the picture."""
_OF_PEAK, _LEAST = 0.4, 0.2
"""What has this share of the crest beside it belongs to the line, if the crest covers this much: where the line lies
between two pixels each has half of it."""
_SOFT_PX, _RISES = 0.35, 0.25
"""Slopes are taken over this standard deviation, in pixels of the picture. Where the cover's slope rises by so much a
squared pixel, and across more than it falls along, it is a gap between two lines."""


def larger(plane, times: int) -> np.ndarray:
    """(times H, times W) float32 by cubic interpolation, 0 to 1."""
    size = (plane.shape[1] * times, plane.shape[0] * times)
    return np.clip(cv2.resize(np.asarray(plane, np.float32), size, interpolation=cv2.INTER_CUBIC), 0, 1)


def line_mask(cover, times: int) -> np.ndarray:
    """(H, W) bool, connected where the lines are: pixels of a picture ``times`` as fine.

    Parameters
    ----------
    cover : (H, W) float32 there, from ``larger``.

    References
    ----------
    Steger 1998, "An unbiased detector of curvilinear structures": crests by the Hessian's eigenvalues.
    """
    reach = round(_PEAK_PX * times)
    crest = cv2.dilate(cover, cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (2 * reach + 1, 2 * reach + 1)))
    soft = cv2.GaussianBlur(cover, (0, 0), _SOFT_PX * times)
    xx, yy, xy = (cv2.Sobel(soft, cv2.CV_32F, *order, ksize=3, scale=0.25 * times * times)
                  for order in ((2, 0), (0, 2), (1, 1)))
    middle, half = 0.5 * (xx + yy), 0.5 * (xx - yy)
    apart = np.sqrt(half * half + xy * xy)
    gap = middle + apart > np.maximum(apart - middle, _RISES)
    return (cover > _OF_PEAK * crest) & (crest > _LEAST) & ~gap
