"""Where a boundary really runs between two pixels.

Method: across a crack the two sides have known values a and b. Every pixel of a short
window across the crack is a mixture, and the summed share of b in the window is the
length of the window that b covers, so the boundary's place follows without any threshold.
For a straight edge and box-filtered pixels the result is exact as long as the window
covers the whole transition, which holds for edges within 45 degrees of the crack; only
cracks that lie that way are kept. A stroke thinner than the window is placed by the
centroid and the total of its share, so that both of its sides are right at once.
"""

from dataclasses import dataclass
from typing import Protocol

import numpy as np

from sketchloom.core.base import parallel, ragged
from sketchloom.core.base.colour import TO_YCC
from sketchloom.core.base.progress import breathe
from sketchloom.core.base.raster import strips
from sketchloom.core.planar.cracks import LEFT_PIXEL, OUTSIDE, RIGHT_PIXEL, STEP
from sketchloom.core.planar.planar_map import PlanarMap

REACH_PX = 3
"""Pixels looked at on each side; a crack lies within half a pixel of the boundary and the
transition of a box filter reaches one pixel further at 45 degrees."""

_TO_LEFT = np.array([[0, -1], [1, 0], [0, 1], [-1, 0]])
"""The unit step to the left of a heading."""
_LARGEST_SHIFT_PX = 1.5
"""A boundary runs no farther from its crack than the picture's softness."""
_TANGENT_STEPS = 4
"""Cracks on each side that a boundary's direction is taken over."""
_SOFT, _EDGE = 0.12, 0.5
"""A side of which so much is left in the last pixel of the window on the other is shading that goes on, unless so much
of the change lies within three pixels: an edge with shading beside it."""
_MANY_PIXELS = 20_000
"""Faces larger than this are measured by some of their pixels."""
_PART_CRACKS = 100_000
"""Cracks worked on at once, for memory."""
_CHROMA = 0.5
"""How much colour differences count against luma in compressed pictures (tried on open vector art, compressed)."""


class Levels(Protocol):
    """Gives the pure value on one side of a crack."""

    def __call__(self, faces: np.ndarray, x: np.ndarray, y: np.ndarray) -> np.ndarray:
        """(M, C) values of the faces at the pixels named."""


@dataclass(frozen=True, slots=True, eq=False)
class FaceLevels:
    """One value a face: right for flat colours."""

    value: np.ndarray

    def __call__(self, faces, x, y):
        return self.value[faces]


@dataclass(frozen=True, slots=True, eq=False)
class LocalLevels:
    """A value image for each label: right under uneven light.

    ``images`` (labels, H / step, W / step, C) float32: light changes slowly.
    """

    face_label: np.ndarray
    images: np.ndarray
    step: int = 1

    def __call__(self, faces, x, y):
        height, width = self.images.shape[1:3]
        # labels beyond the two tones are colours that edits brought
        return self.images[
            np.minimum(self.face_label[faces], len(self.images) - 1),
            np.minimum(y // self.step, height - 1),
            np.minimum(x // self.step, width - 1),
        ]


@dataclass(frozen=True, slots=True, eq=False)
class BoundaryPoints:
    """Sub-pixel points, arc by arc, nodes not included.

    ``xy`` (N, 2) float64 px; ``starts`` (A + 1,) offsets; ``middle`` (N, 2) the middles of the
    cracks; ``soft`` (N,) bool, whether a shading goes over from one side to the other there that is wider than what is
    looked at. Border arcs have none.
    """

    xy: np.ndarray
    starts: np.ndarray
    middle: np.ndarray
    soft: np.ndarray


def face_means(planar: PlanarMap, field) -> np.ndarray:
    """Mean value of the inner pixels of each face, (F, C); of all its pixels if it has none.

    Inner pixels have four neighbours of their own face, so no mixture enters the mean.
    """
    faces, large = planar.faces, planar.face_area_px > _MANY_PIXELS
    sums, weight = np.zeros((planar.face_count, field.shape[-1])), np.zeros(planar.face_count, np.intp)
    for rows, around in strips(faces.shape, 1):
        breathe()
        inner = _inner(faces[around])[rows.start - around.start:rows.stop - around.start]
        if large.any():  # of a large face a part of the pixels tells the mean as well
            thin = large[faces[rows]]
            thin[-rows.start % 3::3, ::3] = False
            inner &= ~thin
        _add_up(sums, weight, faces[rows][inner], field[rows][inner])
    bare = weight == 0
    if bare.any():
        for rows, _ in strips(faces.shape):
            whole = bare[faces[rows]]
            _add_up(sums, weight, faces[rows][whole], field[rows][whole])
    return sums / weight[:, None]


def _inner(faces):
    """(H, W) bool: pixels whose four neighbours are of their own face."""
    differs_x, differs_y = faces[:, 1:] != faces[:, :-1], faces[1:] != faces[:-1]
    inner = np.ones(faces.shape, bool)
    inner[:, :-1] &= ~differs_x
    inner[:, 1:] &= ~differs_x
    inner[:-1] &= ~differs_y
    inner[1:] &= ~differs_y
    return inner


def _add_up(sums, weight, chosen, pixels):
    """Pixels (N, C) added to the sums of the faces they belong to."""
    weight += np.bincount(chosen, minlength=len(weight))
    for channel in range(pixels.shape[1]):
        sums[:, channel] += np.bincount(chosen, pixels[:, channel], len(weight))


def luma_first(channels: int) -> np.ndarray:
    """The metric in which colour differences count little: compression keeps them at half the resolution, if that."""
    metric = np.eye(channels)
    metric[:3, :3] = TO_YCC.T @ np.diag([1.0, _CHROMA**2, _CHROMA**2]) @ TO_YCC
    return metric


def boundary_points(planar: PlanarMap, field, levels: Levels, metric=None) -> BoundaryPoints:
    """Place the boundary at every usable crack.

    Parameters
    ----------
    planar : the map whose arcs are to be placed.
    field : (H, W, C) float32 pixel values, linear in coverage (colours as encoded by the
        renderer, premultiplied where there is alpha).
    levels : the pure values on either side.
    metric : (C, C) symmetric, how much differences of value count where a pixel's share is told; all alike when
    left out.

    Returns
    -------
    BoundaryPoints
        At most one point a crack, in the order of the cracks.
    """
    arc = ragged.owner(planar.arc_starts)
    inner = planar.left[arc] != OUTSIDE
    keep = np.flatnonzero(inner & _lies_along(planar, arc))
    parts = np.array_split(keep, max(len(keep) // _PART_CRACKS, 1))
    placed = parallel.in_threads(lambda cracks: _placed(planar, field, levels, metric, arc[cracks], cracks), parts)
    starts = np.searchsorted(arc[keep], np.arange(planar.arc_count + 1))
    xy, middle, soft = (np.concatenate(values) for values in zip(*placed, strict=False))
    return BoundaryPoints(xy, starts, middle, soft)


def _placed(planar, field, levels, metric, arc, cracks):
    """Where the boundary runs at the cracks named, (M, 2), their middles, and whether it is soft there."""
    heading = planar.heading[cracks]
    tail_y, tail_x = np.divmod(planar.vertex[cracks], planar.width + 1)
    tail = np.stack([tail_x, tail_y], axis=-1)
    shift, soft = _shifts(planar, field, levels, metric, arc, heading, tail)
    middle = tail + 0.5 * STEP[heading]
    return middle + shift[:, None] * _TO_LEFT[heading], middle, soft


def _lies_along(planar, arc):
    """Cracks whose own axis is the dominant one of the boundary around them."""
    at = ragged.Neighbours(planar.arc_starts, planar.closed)
    ahead, behind = at(_TANGENT_STEPS), at(-_TANGENT_STEPS)
    y, x = np.divmod(planar.vertex, planar.width + 1)
    run_x, run_y = np.abs(x[ahead] - x[behind]), np.abs(y[ahead] - y[behind])
    horizontal = planar.heading % 2 == 0
    return np.where(horizontal, run_x >= run_y, run_y >= run_x)


def _shifts(planar, field, levels, metric, arc, heading, tail):
    """Signed distance from each crack to the boundary, positive towards its left face, and whether it is soft."""
    left_at, right_at = tail + LEFT_PIXEL[heading], tail + RIGHT_PIXEL[heading]
    towards_left = _TO_LEFT[heading]
    left, right = planar.left[arc], planar.right[arc]
    a = levels(left, left_at[:, 0], left_at[:, 1])
    b = levels(right, right_at[:, 0], right_at[:, 1])
    sides = _Sides(planar, field, a, b, metric)
    share_left, run_left, beyond_left = sides.look(left_at, towards_left, left)
    share_right, run_right, beyond_right = sides.look(right_at, -towards_left, right)
    deep = 1.0 - share_right

    shift = _windowed(share_left, run_left) - _windowed(deep, run_right)
    label = planar.face_label
    thin_left = (run_left <= REACH_PX) & (beyond_left >= 0) & (label[beyond_left] == label[right])
    thin_right = (run_right <= REACH_PX) & (beyond_right >= 0) & (label[beyond_right] == label[left])
    pick = np.flatnonzero(thin_left & ~thin_right)
    shift[pick] = _strip(1.0 - share_left[:, pick], 1.0 - share_right[:, pick], run_left[pick], run_right[pick])
    pick = np.flatnonzero(thin_right & ~thin_left)
    shift[pick] = -_strip(share_right[:, pick], share_left[:, pick], run_right[pick], run_left[pick])
    soft = np.maximum(share_left[REACH_PX], deep[REACH_PX]) > _SOFT
    soft &= (share_right[1] - share_left[1] < _EDGE) & (np.minimum(run_left, run_right) > REACH_PX)
    return np.clip(shift, -_LARGEST_SHIFT_PX, _LARGEST_SHIFT_PX), soft


class _Sides:
    """Looks outwards from cracks, pixel by pixel."""

    def __init__(self, planar, field, a, b, metric=None):
        self.planar, self.field, self.a = planar, field, a
        line = b - a
        weighed = line if metric is None else line @ metric
        self.line = weighed / np.maximum((line * weighed).sum(1), 1e-6)[:, None]

    def look(self, at, outwards, face):
        """Share of b, length of the run of ``face``, and the face beyond the run (-1: none).

        Shares are (2 * REACH_PX - 1, M); the run is counted up to REACH_PX + 1.
        """
        faces, width, height = self.planar.faces, self.planar.width, self.planar.height
        pixels, faces = self.field.reshape(-1, self.field.shape[2]), faces.ravel()
        steps = 2 * REACH_PX - 1
        share = np.empty((steps, len(face)))
        run = np.zeros(len(face), np.intp)
        beyond = np.full(len(face), -1, np.int32)
        running = np.ones(len(face), bool)
        for i in range(steps):
            x, y = at[:, 0] + i * outwards[:, 0], at[:, 1] + i * outwards[:, 1]
            inside = (x >= 0) & (y >= 0) & (x < width) & (y < height)
            pixel = np.clip(y, 0, height - 1) * width + np.clip(x, 0, width - 1)
            mixed = np.einsum("ij,ij->i", self.line, pixels[pixel] - self.a)
            np.clip(mixed, 0.0, 1.0, out=share[i])
            if i <= REACH_PX:
                here = faces[pixel]
                ends = running & ~(inside & (here == face))
                beyond[ends & inside] = here[ends & inside]
                running &= ~ends
                run += running
        return share, run, beyond


def _windowed(share, run):
    """Sum over the window; where another boundary follows, the pixel it touches is left out."""
    reach = np.where(run > REACH_PX, REACH_PX, np.maximum(run - 1, 1))
    inside = np.arange(len(share))[:, None] < reach
    return (share * inside).sum(0)


def _strip(cover, cover_behind, run, run_behind):
    """Near edge of a strip from the centroid and total of its cover.

    ``cover`` is the strip's share from the crack into the strip and beyond it,
    ``cover_behind`` the same on the other side of the crack.
    """
    place = np.arange(len(cover)) + 0.5
    ahead = cover * (np.arange(len(cover))[:, None] < run + 2)
    behind = cover_behind * (np.arange(len(cover_behind))[:, None] < np.minimum(np.maximum(run_behind - 1, 1), 2))
    total = ahead.sum(0) + behind.sum(0)
    moment = (ahead * place[:, None]).sum(0) - (behind * place[:, None]).sum(0)
    total = np.maximum(total, 1e-3)
    return moment / total - 0.5 * total
