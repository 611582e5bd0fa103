"""What a seam costs at each place of a layer, by what an eye will see of it there."""

from dataclasses import dataclass

import cv2
import numpy as np

STEP_MM = 0.5
"""Raster of the places; seams are refined on the curves afterwards."""
MOST_PIXELS = 6_000_000
"""A larger layer gets a coarser raster."""
HIDDEN, PLAIN = 0.05, 1.0
"""Cost of a mm under an upper sheet, and where it is seen: it is still a cut, and still to be laid."""
COVER_MM = 2.0
"""An upper sheet hides a seam that keeps so far from its edge: more than a hand mislays (common practice, no
source)."""
_NEAR_MM, _BESIDE = 4.0, 2.0
"""A seam that runs this near beside an edge costs up to so much more: it shows as a double line, and what is between is
narrow."""
_CORNER_MM, _AT_CORNER, _SHARP = 5.0, 5.0, 0.6
"""The same around corners, that turn by more than so many radians: what is left of a corner bends up."""
_NECKS = ((6.0, 4.0), (12.0, 2.0), (24.0, 1.4))
"""What is narrower than this costs so many times as much: the shortest seam would run across a neck, which it weakens
and where the eye looks."""


@dataclass(frozen=True, slots=True, eq=False)
class Field:
    """``cost`` (H, W) of a mm at each place, 0 where there is nothing to cut; ``seen`` (H, W) bool; pixel (0, 0) has
    its middle at ``origin``, mm, and the next ones are ``step`` away."""

    cost: np.ndarray
    seen: np.ndarray
    origin: tuple[float, float]
    step: float

    def at(self, points, of=None) -> np.ndarray:
        """Cost (or another image) at places (N, 2) mm, between pixels as between their middles."""
        image = self.cost if of is None else of
        xy = ((np.asarray(points, float) - self.origin) / self.step).astype(np.float32).reshape(-1, 1, 2)
        parts = [cv2.remap(image.astype(np.float32), part[..., :1], part[..., 1:], cv2.INTER_LINEAR,
                           borderMode=cv2.BORDER_REPLICATE) for part in np.array_split(xy, len(xy) // 30_000 + 1)]
        return np.concatenate(parts).ravel()

    def along(self, points, of=None) -> float:
        """Cost (or another image) of a polyline, mm."""
        points = np.asarray(points, float)
        length = np.hypot(*np.diff(points, axis=0).T)
        count = np.maximum(np.ceil(length / (0.5 * self.step)), 1).astype(np.intp)
        owner = np.repeat(np.arange(len(count)), count)
        share = (np.arange(len(owner)) - np.repeat(np.cumsum(count) - count, count) + 0.5) / count[owner]
        places = points[owner] + share[:, None] * (points[owner + 1] - points[owner])
        return float((self.at(places, of) * (length / count)[owner]).sum())

    def coarser(self, times: int) -> "Field":
        """The same with pixels so many times as large, by their mean."""
        height, width = (max(n // times, 1) * times for n in self.cost.shape)
        def pooled(image):
            return image[:height, :width].reshape(height // times, times, width // times, times).mean((1, 3))
        half = (times - 1) / 2 * self.step
        return Field(pooled(self.cost).astype(np.float32), pooled(self.seen) > 0.5,
                     (self.origin[0] + half, self.origin[1] + half), self.step * times)

    def turned(self) -> "Field":
        """The same with x and y exchanged."""
        return Field(self.cost.T, self.seen.T, self.origin[::-1], self.step)


def field_of(area, above, corners, cover_mm: float = COVER_MM) -> Field:
    """Costs over a layer.

    Parameters
    ----------
    area : what is solid of it, mm. above : what sheets above it cover. corners : (N, 2) mm of its outline and of what
    is seen of it. cover_mm : what hides a seam reaches so far beyond it.
    """
    left, top, right, bottom = area.bounds
    step = max(STEP_MM, float(np.sqrt((right - left) * (bottom - top) / MOST_PIXELS)))
    origin = (left - 2 * step, top - 2 * step)
    shape = (int(np.ceil((bottom - top) / step)) + 5, int(np.ceil((right - left) / step)) + 5)
    solid = _drawn(area, origin, step, shape)
    covered = _drawn(above, origin, step, shape)
    hidden = solid & (_within(covered) * step > cover_mm)
    seen = solid & ~hidden
    # a sheet's edge as drawn lies half a pixel beside the first pixel's middle
    beside = np.minimum(_within(solid), np.where(covered, _within(covered), _within(~covered))) * step
    cost = np.where(seen, PLAIN + _BESIDE * np.clip(1 - beside / _NEAR_MM, 0, 1), np.where(solid, HIDDEN, 0.0))
    if len(corners):
        away = np.ones(shape, np.uint8)
        at = np.round((np.asarray(corners) - origin) / step).astype(int)
        at = at[((at >= 0) & (at < shape[::-1])).all(1)]
        away[at[:, 1], at[:, 0]] = 0
        far = cv2.distanceTransform(away, cv2.DIST_L2, 5) * step if len(at) else np.full(shape, np.inf)
        cost += np.where(seen, _AT_CORNER * np.clip(1 - far / _CORNER_MM, 0, 1), 0.0)
    for width, times in sorted(_NECKS, reverse=True):
        cost = np.where(_narrower(solid, width / step), np.maximum(cost * 0, cost) * times, cost)
    return Field(cost.astype(np.float32), seen, origin, step)


def corners_of(outline, turn: float = _SHARP) -> np.ndarray:
    """(N, 2) places at which rings of cubics turn by more than so many radians, mm."""
    if not len(outline.controls):
        return np.empty((0, 2))
    legs = outline.controls[:, 1:] - outline.controls[:, :-1]
    size = np.hypot(legs[..., 0], legs[..., 1])
    first, last = (size > 1e-9).argmax(1), 2 - (size[:, ::-1] > 1e-9).argmax(1)
    number = np.arange(len(legs))
    begin, end = legs[number, first], legs[number, last]
    after = np.arange(1, len(legs) + 1)
    after[outline.starts[1:] - 1] = outline.starts[:-1]
    onward = begin[after]
    turned = np.abs(np.arctan2(end[:, 0] * onward[:, 1] - end[:, 1] * onward[:, 0], (end * onward).sum(1)))
    return outline.controls[turned > turn, 3]


def _drawn(area, origin, step, shape):
    """(H, W) bool: pixels whose middle lies in an area."""
    image = np.zeros(shape, np.uint8)
    for piece in getattr(area, "geoms", [area]):
        if piece.is_empty or piece.geom_type != "Polygon":
            continue
        fill = np.zeros(shape, np.uint8)
        for ring, value in ((piece.exterior, 1), *((hole, 0) for hole in piece.interiors)):
            points = np.round((np.asarray(ring.coords) - origin) / step * 16).astype(np.int32)
            cv2.fillPoly(fill, [points], value, cv2.LINE_8, shift=4)
        image |= fill
    return image > 0


def _within(mask):
    """Distance of each pixel of a mask to the nearest outside, px from its middle to the border."""
    padded = np.pad(mask.astype(np.uint8), 1, mode="edge")
    if padded.all():
        return np.full(mask.shape, 1e6, np.float32)
    return np.where(mask, np.maximum(cv2.distanceTransform(padded, cv2.DIST_L2, 5)[1:-1, 1:-1] - 0.5, 0), 0)


def _narrower(mask, width):
    """What of a mask no disc of a width reaches: necks and tips."""
    padded = np.pad(mask.astype(np.uint8), 1)
    core = (cv2.distanceTransform(padded, cv2.DIST_L2, 5) > width / 2).astype(np.uint8)
    if not core.any():
        return mask
    opened = cv2.distanceTransform(1 - core, cv2.DIST_L2, 5) <= width / 2 + 0.5
    return mask & ~opened[1:-1, 1:-1]
