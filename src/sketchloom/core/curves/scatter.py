"""How far boundary points scatter about the line they run along."""

import itertools

import numpy as np

from sketchloom.core.base import parallel, ragged
from sketchloom.core.curves.straights import SHORT
from sketchloom.core.planar.junctions import Polylines

_PART_POINTS, _SCATTER_POINTS = 10_000, 50_000
"""Points measured at once, and of very large maps at most."""


def scatter_of(lines: Polylines) -> float:
    """Typical scatter of points about a smooth outline, px: what a parabola through seven does not explain."""
    if len(lines.xy) < 16:
        return 0.0
    # of a large drawing every so many arcs tell it as well
    cuts = parallel.even_cuts(lines.starts, _PART_POINTS).tolist()
    every = max(1, len(lines.xy) // _SCATTER_POINTS)
    return float(
        np.median(np.concatenate([_scatter(lines.part(a, b)) for a, b in list(itertools.pairwise(cuts))[::every]]))
    )


def _scatter(lines):
    at = ragged.Neighbours(lines.starts, lines.closed)
    k = np.arange(-SHORT, SHORT + 1.0)
    weights = np.linalg.pinv(np.vander(k, 3, increasing=True))[0]
    smooth = sum(w * lines.xy[at(int(i))] for w, i in zip(weights, k, strict=False))
    tangent = lines.xy[at(2)] - lines.xy[at(-2)]
    gap = lines.xy - smooth
    across = np.abs(gap[:, 0] * tangent[:, 1] - gap[:, 1] * tangent[:, 0])
    across /= np.maximum(np.hypot(tangent[:, 0], tangent[:, 1]), 1e-9)
    return across
