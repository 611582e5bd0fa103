"""The height of the carved blank, place by place."""

from dataclasses import dataclass

import numpy as np
from shapely.geometry import Polygon
from shapely.geometry.polygon import orient

from sketchloom.core.base.errors import PictureError
from sketchloom.core.base.raster import filled
from sketchloom.core.base.said import said

MOST_PX = 40_000_000
"""A field of more takes memory that a desktop has not."""


@dataclass(frozen=True, slots=True, eq=False)
class HeightField:
    """``z`` (H, W) float32 mm, 0 at the upper face and below 0 where something was cut away, at the middles of squares
    ``mm_per_px`` wide from the blank's upper left corner; ``board`` (H, W) bool: where the blank is at all, and
    ``board_mm`` how wide and high it is."""

    z: np.ndarray
    board: np.ndarray
    mm_per_px: float
    thickness_mm: float
    board_mm: tuple[float, float]

    @property
    def size_mm(self) -> tuple[float, float]:
        return self.z.shape[1] * self.mm_per_px, self.z.shape[0] * self.mm_per_px

    @property
    def removed_mm3(self) -> float:
        """What was cut away of the blank."""
        depth = np.minimum(-self.z, self.thickness_mm)
        return float(depth[self.board].sum(dtype=np.float64)) * self.mm_per_px**2

    def along(self, start, end) -> tuple[np.ndarray, np.ndarray]:
        """How far along a line, mm, and how high there, between two places in mm."""
        start, end = np.asarray(start, float), np.asarray(end, float)
        long = float(np.hypot(*(end - start)))
        share = np.linspace(0.0, 1.0, max(int(long / self.mm_per_px * 2), 2))
        at = (start + share[:, None] * (end - start)) / self.mm_per_px
        column, row = (np.clip(at[:, k].astype(np.intp), 0, self.z.shape[1 - k] - 1) for k in (0, 1))
        high = np.where(self.board[row, column], np.maximum(self.z[row, column], -self.thickness_mm),
                        -self.thickness_mm)
        return share * long, high


def uncut(board: Polygon, thickness_mm: float, mm_per_px: float, size_mm=None) -> HeightField:
    """The blank before anything is cut. ``size_mm``: width and height of the blank, where its outline does not reach
    them.

    Raises
    ------
    PictureError : it would be larger than memory allows; the message says by how much to make it coarser.
    """
    right, bottom = board.bounds[2:] if size_mm is None else size_mm
    shape = int(np.ceil(bottom / mm_per_px)), int(np.ceil(right / mm_per_px))
    if shape[0] * shape[1] > MOST_PX:
        raise PictureError("", said("The carved blank would have {millions} million places; choose a coarser step.",
                                    millions=shape[0] * shape[1] // 10**6))
    turned = orient(board, 1.0)
    rings = [np.asarray(r.coords, float)[:, :2] / mm_per_px - 0.5 for r in (turned.exterior, *turned.interiors)]
    inside = filled(rings, shape)
    return HeightField(np.zeros(shape, np.float32), inside, mm_per_px, thickness_mm, (right, bottom))
