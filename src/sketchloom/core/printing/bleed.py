"""Colours that run on past a cut: a cut that strays by less than the bleed shows no white.

References
----------
The nearest pixel within, by an exact Euclidean distance transform (``scipy.ndimage``).
"""

import cv2
import numpy as np

from sketchloom.core.base.late import late

ndimage = late("scipy.ndimage")

_UNSEEN_PX = 3.0
_INSET_PX = 2.0
"""Colours are taken from so far within the edge: the edge itself is mixed with what was beside it."""


def with_bleed(rgb, solid, bleed_px: float) -> np.ndarray:
    """(H, W, 4) uint8: the picture within ``solid`` (H, W) bool, its edge's colours up to ``bleed_px`` beyond,
    transparent elsewhere; there they go on a little, for who draws a picture at another size mixes what is seen with
    what is not. A part too thin for the inset gives the colours it has."""
    solid = np.asarray(solid, bool)
    made = np.full((*solid.shape, 4), (255, 255, 255, 0), np.uint8)
    if not solid.any():
        return made
    depth = cv2.distanceTransform(solid.astype(np.uint8), cv2.DIST_L2, 5)
    core = (depth > _INSET_PX) | _thin(solid, depth)
    rows, columns = ndimage.distance_transform_edt(~core, return_distances=False, return_indices=True)
    away = cv2.distanceTransform((~solid).astype(np.uint8), cv2.DIST_L2, 5)
    shown = away <= bleed_px
    near = away <= bleed_px + _UNSEEN_PX
    made[near, :3] = np.where(core[..., None], rgb, rgb[rows, columns])[near]
    made[..., 3] = np.where(shown, 255, 0)
    return made


def _thin(solid, depth):
    """What an inset would lose altogether."""
    count, label = cv2.connectedComponents(solid.astype(np.uint8))
    deepest = ndimage.maximum(depth, label, np.arange(count))
    return solid & (deepest[label] <= _INSET_PX)
