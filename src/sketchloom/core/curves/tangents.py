"""Directions of sampled lines at a place and at an end."""

import numpy as np


def local_tangent(points, at, first, last, reach: int = 9) -> np.ndarray:
    """Unit direction of the run of points through ``at``, (K, 2).

    The slope of the least-squares line over as many points on both sides as the run has,
    at most ``reach``; symmetric, so that even bends leave no bias.
    """
    reach_here = np.maximum(np.minimum(np.minimum(at - first, last - at), reach), 1)
    offset = np.arange(-reach, reach + 1)
    index = np.clip(at[:, None] + offset, first[:, None], last[:, None])
    weight = (np.abs(offset) <= reach_here[:, None]).astype(float)
    near = points[index]
    step = np.hypot(*np.moveaxis(np.diff(near, axis=1), -1, 0))
    place = np.concatenate([np.zeros((len(at), 1)), np.cumsum(step, axis=1)], axis=1)
    mean = (place * weight).sum(1) / weight.sum(1)
    slope = ((place - mean[:, None]) * weight)[..., None] * near
    return unit_of(slope.sum(1), points[last] - points[first])


def end_tangent(points, at, towards, reach: int = 12) -> np.ndarray:
    """Unit direction in which the run leaves ``at`` on its way to ``towards``, (K, 2).

    From the least-squares parabola held at the end point, over ``reach`` points.
    """
    sign = np.where(towards >= at, 1, -1)
    available = np.abs(towards - at)
    offset = np.arange(1, reach + 1)
    index = at[:, None] + sign[:, None] * np.minimum(offset, available[:, None])
    weight = (offset <= available[:, None]).astype(float)
    near = points[index] - points[at][:, None]
    s = np.hypot(near[..., 0], near[..., 1])
    s2, s3, s4 = ((weight * s**k).sum(1) for k in (2, 3, 4))
    sp = ((weight * s)[..., None] * near).sum(1)
    ssp = ((weight * s * s)[..., None] * near).sum(1)
    det = s2 * s4 - s3 * s3
    curved = (available >= 5) & (det > 1e-6 * s2 * s4)
    slope = np.where(curved[:, None], s4[:, None] * sp - s3[:, None] * ssp, sp)
    return unit_of(slope, points[towards] - points[at])


def unit_of(vector, fallback):
    size = np.hypot(vector[:, 0], vector[:, 1])
    vector = np.where((size > 1e-12)[:, None], vector, fallback)
    size = np.hypot(vector[:, 0], vector[:, 1])
    unit = vector / np.maximum(size, 1e-12)[:, None]
    return np.where((size > 1e-12)[:, None], unit, [1.0, 0.0])
