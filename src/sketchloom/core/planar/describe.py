"""What lies at a place of the map."""

from dataclasses import dataclass

import numpy as np
from scipy.ndimage import find_objects

from sketchloom.core.planar.planar_map import PlanarMap


@dataclass(frozen=True, slots=True)
class Region:
    """A face as a person would describe it; sizes of its box and its area in px."""

    face: int
    label: int
    width_px: float
    height_px: float
    area_px: float


class RegionIndex:
    """Answers what region lies at a point; built once for a map."""

    def __init__(self, planar: PlanarMap):
        self._planar = planar
        self._boxes = find_objects(planar.faces + 1)

    def at(self, x_px: float, y_px: float) -> Region | None:
        """The region under a point, None outside the picture."""
        planar = self._planar
        x, y = int(np.floor(x_px)), int(np.floor(y_px))
        if not (0 <= x < planar.width and 0 <= y < planar.height):
            return None
        face = int(planar.faces[y, x])
        rows, cols = self._boxes[face]
        return Region(face, int(planar.face_label[face]), float(cols.stop - cols.start),
                      float(rows.stop - rows.start), float(planar.face_area_px[face]))
