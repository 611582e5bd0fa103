"""Likely axes of mirror symmetry of closed outlines."""

import numpy as np

from sketchloom.core.base import ragged

_SAMPLES = 256
"""Samples of an outline for its Fourier transform."""
_APART, _SLIP = 3.0, 0.35
"""Distance from the mirror image, in tolerances and in steps between samples, worth a closer look."""
_UPRIGHT = np.radians(2.0)
"""Of equally good axes, one this near to level or upright is tried first."""


def likely_axes(lines, arcs, tolerance):
    """For each loop up to two axes to try: centre, angle, and the place on the loop, 0 to 1, where it crosses."""
    if len(arcs) == 0:
        return []
    index, starts = ragged.take(lines.starts, arcs)
    xy = lines.xy[index]
    way, total = ways_around(xy, starts)
    run = ragged.owner(starts)
    # runs are told apart by whole numbers, so one interpolation serves them all
    wanted = (np.arange(_SAMPLES) / _SAMPLES)[None] + 2.0 * np.arange(len(arcs))[:, None]
    place = np.insert(way / total[run] + 2.0 * run, starts[1:], 1.0 + 2.0 * np.arange(len(arcs)))
    x, y = (np.interp(wanted, place, np.insert(xy[:, c], starts[1:], xy[starts[:-1], c])) for c in (0, 1))
    z = x + 1j * y
    centre = z.mean(1, keepdims=True)
    z = z - centre
    like = np.fft.ifft(np.fft.fft(z, axis=1) ** 2, axis=1)
    # root mean square of the distance from the mirror image, for the best turn at every shift
    apart = np.sqrt(np.maximum(2 * ((np.abs(z) ** 2).sum(1, keepdims=True) - np.abs(like)), 0) / _SAMPLES)
    limit = _APART * tolerance + _SLIP * total / _SAMPLES
    out = []
    for row, away, c, most in zip(like, apart, centre[:, 0], limit, strict=False):
        strength = np.abs(row)
        peak = (away <= most) & (strength >= np.roll(strength, 1)) & (strength >= np.roll(strength, -1))
        shift = np.flatnonzero(peak)
        angle = 0.5 * np.angle(row[shift])
        lean = np.minimum(np.abs(np.abs(angle) - np.pi / 2), 2 * np.abs(angle))  # upright first, then level
        order = np.lexsort((-strength[shift], np.where(lean < _UPRIGHT, lean > np.abs(np.abs(angle) - np.pi / 2), 2)))
        out.append([(np.array([c.real, c.imag]), angle[k], shift[k] / _SAMPLES) for k in order[:2]])
    return out


def ways_around(xy, starts):
    """Way along its loop at each point, and the loops' lengths."""
    follow = np.arange(len(xy)) + 1
    follow[starts[1:] - 1] = starts[:-1]
    step = np.hypot(*(xy[follow] - xy).T)
    travelled = np.concatenate([[0.0], np.cumsum(step)])
    run = ragged.owner(starts)
    return travelled[:-1] - travelled[starts[:-1]][run], travelled[starts[1:]] - travelled[starts[:-1]]
