"""Colours of a blurred picture that nobody drew: thin strokes of another colour, which the blur made paler."""

import cv2
import numpy as np

from sketchloom.core.base.colour import lies_between, srgb_to_lab
from sketchloom.core.base.progress import breathe
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment.labels import nearest
from sketchloom.core.segment.palette import ColourTree

_LEAST_EDGE_PX = 6.0
"""With edges narrower than this strokes of a colour are wider than their blur in any picture that is worth tracing
(common practice, no source)."""
_HALF_WIDTH = 0.6
"""What the blur takes the colour of is no wider to its middle than this share of an edge (chosen on strokes of 7
px drawn by rule and blurred by Gaussians of up to 3.5 px, against strokes of 26 px in a paler colour)."""
_VIEW_PX = 1200


def count_without_blurred(picture: Picture, tree: ColourTree, edge_px: float) -> int:
    """The number of colours to propose, less those that are only the blur of thin strokes; ``edge_px`` how wide edges
    are."""
    count = int(tree.proposed)
    if edge_px < _LEAST_EDGE_PX:
        return count
    view = picture.reduced(_VIEW_PX)
    limit = _HALF_WIDTH * edge_px * view.width / picture.width
    while count > 2:
        palette, fewer = tree.palette(count), tree.palette(count - 1)
        stays = (palette[:, None] == fewer[None]).all(2).any(1)
        if stays.sum() != count - 1 or not _is_mixture(palette[~stays][0], fewer):
            break
        breathe()
        mine = nearest(view.rgb, palette.astype(np.float32)) == int(np.flatnonzero(~stays)[0])
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
    one, two = np.triu_indices(len(others), 1)
    return bool(lies_between(lab[0], lab[1:][one], lab[1:][two]).any())
