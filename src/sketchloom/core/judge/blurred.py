"""Colours of a blurred picture that nobody drew: thin strokes of another colour, which the blur made paler."""

import cv2
import numpy as np

from sketchloom.core.base.colour import srgb_to_lab
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment.palette import ColourTree

_LEAST_EDGE_PX = 6.0
"""With edges narrower than this strokes of a colour are wider than their blur in any picture that is worth tracing
(common practice, no source)."""
_HALF_WIDTH = 0.6
"""What the blur takes the colour of is no wider to its middle than this share of an edge (chosen on strokes of 3 to 12
px drawn by rule and blurred by Gaussians of 2 and 3 px)."""
_ENDS, _OFF = 0.1, 8.0
"""A mixture's colour lies so far from either end of the line between two others, and no farther off it (CIELAB), as of
``layers.bands``."""
_VIEW_PX = 1200


def count_without_blurred(picture: Picture, tree: ColourTree, edge_px: float) -> int:
    """The number of colours to propose, less those that are only the blur of thin strokes; ``edge_px`` how wide edges
    are."""
    count = int(tree.proposed)
    if edge_px < _LEAST_EDGE_PX:
        return count
    view = picture.reduced(_VIEW_PX)
    limit = _HALF_WIDTH * edge_px * view.width / picture.width
    pixels = view.rgb.reshape(-1, 3).astype(np.float32)
    while count > 2:
        palette, fewer = tree.palette(count), tree.palette(count - 1)
        stays = (palette[:, None] == fewer[None]).all(2).any(1)
        if stays.sum() != count - 1 or not _is_mixture(palette[~stays][0], fewer):
            break
        nearest = np.argmin([((pixels - colour) ** 2).sum(1) for colour in palette.astype(np.float32)], axis=0)
        mine = (nearest == int(np.flatnonzero(~stays)[0])).reshape(view.rgb.shape[:2])
        if view.alpha is not None:
            mine &= view.alpha >= 128
        deep = cv2.distanceTransform(np.pad(mine, 1).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5)
        ridge = deep[(deep >= cv2.dilate(deep, np.ones((3, 3)))) & (deep > 0)]
        if len(ridge) and (np.median(ridge) > limit or ridge.max() > 2 * limit):
            break
        count -= 1
    return count


def _is_mixture(colour, others):
    lab = srgb_to_lab(np.concatenate([[colour], others]).astype(float))
    own, rest = lab[0], lab[1:]
    one, two = np.triu_indices(len(rest), 1)
    line = rest[two] - rest[one]
    t = ((own - rest[one]) * line).sum(1) / np.maximum((line * line).sum(1), 1e-9)
    off = np.linalg.norm(own - rest[one] - t[:, None] * line, axis=1)
    return bool(((t > _ENDS) & (t < 1 - _ENDS) & (off <= _OFF)).any())
