"""What lies at a place of the map."""

from dataclasses import dataclass

import numpy as np

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
        y, x = np.divmod(planar.vertex, planar.width + 1)
        low = np.stack([np.minimum.reduceat(v, planar.arc_starts[:-1]) for v in (x, y)], -1)
        high = np.stack([np.maximum.reduceat(v, planar.arc_starts[:-1]) for v in (x, y)], -1)
        # an arc's last vertex is not its own, but it is the first of another arc of the face
        self._low = np.full((planar.face_count, 2), planar.width + planar.height)
        self._high = np.zeros((planar.face_count, 2), np.intp)
        for faces in (planar.left, planar.right):
            beside = faces >= 0
            np.minimum.at(self._low, faces[beside], low[beside])
            np.maximum.at(self._high, faces[beside], high[beside])

    def box(self, face: int) -> tuple[int, int, int, int]:
        """Left, top, right and bottom of a face, px."""
        return (*self._low[face].tolist(), *self._high[face].tolist())

    def at(self, x_px: float, y_px: float) -> Region | None:
        """The region under a point, None outside the picture."""
        planar = self._planar
        x, y = int(np.floor(x_px)), int(np.floor(y_px))
        if not (0 <= x < planar.width and 0 <= y < planar.height):
            return None
        face = int(planar.faces[y, x])
        width, height = (self._high[face] - self._low[face]).tolist()
        return Region(face, int(planar.face_label[face]), float(width), float(height), float(planar.face_area_px[face]))
