"""Steps of soft edges, told from colours that are drawn: they are flat only because the picture is large."""

import cv2
import numpy as np

from sketchloom.core.base.colour import srgb_to_lab
from sketchloom.core.picture.picture import Picture

_VIEW_PX = 400
"""Long side of the copy in which a colour must be flat as well; smaller pictures have their colours as they are."""
_KEPT = 0.3
"""A drawn colour keeps so much of its flat share in the copy, unless it is small (chosen on stickers with a blurred
ring in six sizes: steps keep 0.1 and less)."""
_ENDS, _OFF = 0.005, 7.0
"""Between two colours is what lies so far (a share) from either end of the line through them, and no farther off it
(CIELAB)."""
_AROUND = np.ones((5, 5), np.uint8)
"""A step is no wider than this in the copy."""
_MOST = 120
"""More modes are shading: its steps are no edges."""


def soft_steps(picture: Picture, colours, weights, limit) -> np.ndarray:
    """(K,) bool: modes between two larger ones that are not flat in a smaller copy.

    Parameters
    ----------
    colours : (K, 3) sRGB. weights : (K,) flat pixels of each. limit : gives the largest local
        range that is flat in a copy of a scale.

    Notes
    -----
    What is drawn flat stays so in a copy; a blurred edge is the steeper the fewer pixels it has.
    """
    count = len(colours)
    soft = np.zeros(count, bool)
    if max(picture.width, picture.height) <= _VIEW_PX or not 2 < count <= _MOST:
        return soft
    view = picture.reduced(_VIEW_PX)
    pixels, values = view.rgb.reshape(-1, 3).astype(np.float32), np.asarray(colours, np.float32)
    owner = (pixels @ values.T - 0.5 * (values * values).sum(1)).argmax(1).astype(np.uint8).reshape(view.rgb.shape[:2])
    flat = view.local_range <= limit(view.width / picture.width)
    if view.alpha is not None:
        flat &= view.alpha >= 128
    inside = flat & (cv2.erode(owner, _AROUND) == cv2.dilate(owner, _AROUND))
    kept = np.bincount(owner[inside], None, count) / flat.size
    lab = srgb_to_lab(colours)
    for k in np.argsort(weights, kind="stable"):
        if kept[k] < _KEPT * weights[k] / (picture.width * picture.height):
            larger = np.flatnonzero((weights > weights[k]) & ~soft)
            soft[k] = _is_between(lab[k], lab[larger])
    return soft


def _is_between(lab, others):
    """Whether a colour lies between any two others."""
    first, second = np.triu_indices(len(others), 1)
    line = others[second] - others[first]
    length2 = np.maximum((line * line).sum(1), 1e-9)
    t = ((lab - others[first]) * line).sum(1) / length2
    off = np.linalg.norm(lab - others[first] - t[:, None] * line, axis=1)
    return bool(((t > _ENDS) & (t < 1 - _ENDS) & (off < _OFF)).any())
