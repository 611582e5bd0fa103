"""Which pen draws which stroke, and which stroke lies at a place."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.curves.outline import Outline
from sketchloom.core.segment.levels import tone_levels
from sketchloom.core.strokes.strokes import Strokes

_SAMPLES = 9
"""Samples of each curve."""
_SAME_PEN = np.log(1.15)
"""Widths that differ by less than 15 % are one pen."""


def pens_of(width_px, length_px, pens: int) -> np.ndarray:
    """(K,) number of the pen of each stroke, 0 the widest.

    Parameters
    ----------
    width_px, length_px : (K,) of the strokes. pens : at most so many; fewer where widths differ by under 15 %.

    Notes
    -----
    Widths are parted where their logarithms, weighted by length, vary least within each pen: a
    pen of twice the width differs as much from the next as that from one of half its width. The
    criterion is that of several levels of tone, Otsu 1979, over 256 steps of width.
    """
    width = np.log(np.maximum(np.asarray(width_px, float), 1e-3))
    if len(width) == 0 or pens < 2 or width.max() - width.min() < _SAME_PEN:
        return np.zeros(len(width), np.intp)
    step = np.rint((width - width.min()) / (width.max() - width.min()) * 255).astype(np.intp)
    levels = tone_levels(np.bincount(step, np.asarray(length_px, float), 256), min(pens, len(np.unique(step))))
    band = np.searchsorted(levels, step, side="left")
    pen = np.unique(-band, return_inverse=True)[1]
    middle = np.array([np.log(_median(width_px, length_px, pen == k)) for k in range(pen.max() + 1)])
    # pens that differ less than strokes of one pen do are one
    return np.concatenate([[0], np.cumsum(-np.diff(middle) >= _SAME_PEN)])[pen]


def pen_width_px(strokes: Strokes, chosen) -> float:
    """Median width of some strokes, by length."""
    return _median(strokes.width_px, strokes.length_px, chosen)


def _median(width_px, length_px, chosen):
    width, length = np.asarray(width_px)[chosen], np.asarray(length_px)[chosen]
    order = np.argsort(width, kind="stable")
    half = np.searchsorted(np.cumsum(length[order]), 0.5 * length.sum())
    return float(width[order[min(half, len(order) - 1)]])


def pen_outline(strokes: Strokes, chosen) -> Outline:
    """Some strokes (bool or numbers) as the open rings of one pen."""
    chosen = np.arange(len(strokes.closed))[chosen]
    at, starts = ragged.take(strokes.starts, chosen)
    return Outline(
        strokes.controls[at],
        strokes.straight[at],
        starts,
        np.zeros(len(chosen)),
        np.zeros(len(chosen), bool),
        pen_width_px(strokes, chosen),
    )


def stroke_at(strokes: Strokes, x: float, y: float, reach_px: float = 0.0) -> int:
    """Number of the stroke that covers a place, px, or comes within ``reach_px`` of it; -1 for none."""
    if len(strokes.closed) == 0:
        return -1
    points = evaluate(strokes.controls[:, None], np.linspace(0, 1, _SAMPLES)) - (x, y)
    start, leg = points[:, :-1], np.diff(points, axis=1)
    along = np.clip(-(start * leg).sum(-1) / np.maximum((leg * leg).sum(-1), 1e-12), 0, 1)
    away = np.hypot(*np.moveaxis(start + along[..., None] * leg, -1, 0)).min(1)
    owner = ragged.owner(strokes.starts)
    outside = away - np.maximum(0.5 * strokes.width_px[owner], reach_px)
    nearest = int(outside.argmin())
    return int(owner[nearest]) if outside[nearest] <= 0 else -1
