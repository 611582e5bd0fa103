"""The counterpart: a plain chain of general library calls on the same picture.

k-means with the true number of colours (general vision library), iso-lines of each colour's
mask and thinning of the polylines (general image library). It is told what we must find.
"""

import cv2
import numpy as np
from skimage.measure import approximate_polygon, find_contours

_THINNING_PX = 0.4


def traced(picture, colours: int, tone: bool) -> list[np.ndarray]:
    """Polylines, x then y, px."""
    field = picture.grey[..., None] if tone else picture.field
    pixels = field.reshape(-1, field.shape[-1]).astype(np.float32)
    cv2.setRNGSeed(7)
    stop = (cv2.TERM_CRITERIA_EPS + cv2.TERM_CRITERIA_MAX_ITER, 30, 0.5)
    _, labels, centres = cv2.kmeans(pixels, colours, None, stop, 3, cv2.KMEANS_PP_CENTERS)
    labels = labels.reshape(field.shape[:2])
    lines = []
    for k in range(len(centres)):
        mask = np.pad((labels == k).astype(np.float32), 1)
        for line in find_contours(cv2.GaussianBlur(mask, (3, 3), 0), 0.5):
            xy = approximate_polygon(line, _THINNING_PX)[:, ::-1] - 0.5
            lines.append(xy)
    # each boundary was found once for either side: one of the two would do
    return lines
