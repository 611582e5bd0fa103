"""Which regions are meant: those like one, those within an area, the smallest first; and how each looks."""

import numpy as np

from sketchloom.core.planar.moments import face_moments, perimeters
from sketchloom.core.planar.planar_map import PlanarMap

_SAME_SHAPE = 0.12
"""Moments that differ by less are those of shapes a person calls alike."""


class RegionSizes:
    """Areas, centres and shapes of a map's faces, worked out once."""

    def __init__(self, planar: PlanarMap, arc_length):
        moments = face_moments(planar)
        self.area, self.centre = moments[:, 0], moments[:, 1:3]
        xx, xy, yy = moments[:, 3:].T
        square = self.area**2
        # spread, elongation and roughness do not change when a shape is moved, turned, mirrored or enlarged
        spread, apart = (xx + yy) / square, np.sqrt((xx - yy) ** 2 + 4 * xy * xy) / square
        self._shape = np.stack([spread, apart, perimeters(planar, arc_length) ** 2 / (40 * self.area)], -1)

    def by_size(self, chosen=None) -> np.ndarray:
        """Faces, the smallest first; of a choice (bool or numbers), or all."""
        faces = np.arange(len(self.area)) if chosen is None else np.arange(len(self.area))[chosen]
        return faces[np.argsort(self.area[faces], kind="stable")]

    def alike(self, face: int, label, factor: float | None = None, same_shape: bool = False) -> np.ndarray:
        """Numbers of the faces like one, itself among them.

        Parameters
        ----------
        label : (F,) of the faces; like ones have the same, unless only the shape counts.
        factor : greatest ratio of areas; None for any. same_shape : like ones have about its shape, in any
            size, turned, mirrored, and whatever their colour.
        """
        same = np.ones(len(self.area), bool) if same_shape else np.asarray(label) == label[face]
        if factor is not None:
            same &= np.maximum(self.area / self.area[face], self.area[face] / self.area) <= factor
        if same_shape:
            off = np.abs(self._shape - self._shape[face]) / np.maximum(
                np.abs(self._shape[face]), 0.1 * self._shape[face].max()
            )
            same &= (off <= _SAME_SHAPE).all(1)
        return np.flatnonzero(same)


def region_picture(planar: PlanarMap, colours, label, face: int, box, least_px: int = 24) -> np.ndarray:
    """A square picture around a face, (n, n, 3) uint8: the face in its colour, all else paler.

    Parameters
    ----------
    colours : (n, 3) uint8 by label. box : left, top, right, bottom of the face, px.
    """
    x0, y0, x1, y1 = box
    side = max(int(1.5 * max(x1 - x0, y1 - y0)), least_px)
    left, top = (x0 + x1 - side) // 2, (y0 + y1 - side) // 2
    step = max(1, side // 96)
    ys = np.clip(np.arange(top, top + side, step), 0, planar.height - 1)
    xs = np.clip(np.arange(left, left + side, step), 0, planar.width - 1)
    faces = planar.faces[np.ix_(ys, xs)]
    shown = np.concatenate([np.asarray(colours, np.uint8), np.full((1, 3), 255, np.uint8)])[
        np.minimum(np.asarray(label)[faces], len(colours))]
    pale = (shown.astype(np.uint16) + 3 * 225) // 4
    return np.where((faces == face)[..., None], shown, pale.astype(np.uint8))
