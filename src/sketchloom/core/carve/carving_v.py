"""V-carving: a V runs along the middle of an area, as deep as it is wide there, and up into its corners.

Where the area is wider than the V may go deep, its bottom is flat: the V runs along the wall at the deepest, and what
lies within is cleared, by a flat tool where one is said and by the V for what that leaves.
"""

import numpy as np

from sketchloom.core.base.progress import breathe
from sketchloom.core.carve import pocketing, rings
from sketchloom.core.carve.medial import MedialAxis, medial_axis
from sketchloom.core.carve.operations import Operation
from sketchloom.core.carve.tools import Tool

_LEAST_STEP_MM = 0.15
"""Passes of a sharp V over a flat bottom lie no nearer (what they leave is seen, not felt: common practice, no source).
"""
_MOST_ROUNDS = 60
"""Of so many passes within each other at most: a face a hand wide would take hours by the tip of a V, so its passes lie
farther apart and what they leave is shown; a flat tool is proposed by a finding (our own)."""
_SHORT_MM = 0.02


def deepest_of(operation: Operation, tool: Tool) -> float:
    """How deep the V may go, below where it begins."""
    asked = operation.flat_mm if operation.flat_mm > 0 else np.inf
    return float(min(asked, tool.deepest_mm))


def carved_v(area, operation: Operation, tool: Tool, clearing: Tool | None = None) -> list[np.ndarray]:
    """Strokes (N, 3) of the V over an area; flat ground is left to ``clearing``, but for what that cannot reach."""
    top, deepest = operation.from_mm, deepest_of(operation, tool)
    limit = float(tool.radius_at(deepest))
    axis = medial_axis(area)
    strokes = []
    for chain in _no_wider(axis, limit):
        depth = tool.depth_for(chain[:, 2])
        strokes.append(np.column_stack([chain[:, :2], -(top + np.minimum(depth, deepest))]))
    down = operation.down_mm or tool.down_mm
    made = _in_passes(_near_to_each_other(_thinned(strokes)), top, down)
    wide = floor_of(area, operation, tool)
    if wide.is_empty:
        return made
    breathe()
    passes = rings.levels(top, top + deepest, down)
    widest = max((float(chain[:, 2].max()) for chain in axis.chains), default=0.0) - limit
    most = widest / _MOST_ROUNDS if clearing is None else 0.0
    step = max(operation.step_mm or max(tool.tip_mm, most), _LEAST_STEP_MM)
    if clearing is None:
        courses = [(ring, True) for ring in pocketing.inward(wide, step)]
    else:
        courses = [(ring, True) for ring in rings.rings_of(wide, False)]
        left = rings.moved(pocketing.rest_of(wide, clearing), step)
        courses += pocketing.within(pocketing.inward(wide, step), left)
    return made + pocketing.joined(courses, wide, top, passes)


def floor_of(area, operation: Operation, tool: Tool):
    """The flat ground of an area that is wider than the V may go deep."""
    return rings.moved(area, -float(tool.radius_at(deepest_of(operation, tool))))


def _no_wider(axis: MedialAxis, limit):
    """Pieces of the chains where the area is no wider than the V, ends put where it comes to be."""
    for chain in axis.chains:
        narrow = chain[:, 2] <= limit
        if narrow.all():
            yield chain
            continue
        edge = np.flatnonzero(np.diff(narrow.astype(np.int8)))
        begins = [*([0] if narrow[0] else []), *(edge[~narrow[edge]] + 1)]
        ends = [*(edge[narrow[edge]]), *([len(chain) - 1] if narrow[-1] else [])]
        for a, b in zip(begins, ends, strict=True):
            part = [chain[a:b + 1]]
            if a > 0:
                part.insert(0, _where(chain[a - 1], chain[a], limit)[None])
            if b < len(chain) - 1:
                part.append(_where(chain[b + 1], chain[b], limit)[None])
            yield np.concatenate(part)


def _where(wide, narrow, limit):
    share = (limit - narrow[2]) / max(wide[2] - narrow[2], 1e-12)
    made = narrow + share * (wide - narrow)
    made[2] = limit
    return made


def _thinned(strokes):
    """Strokes without points that lie on the line between others, in all three directions."""
    made = []
    for stroke in strokes:
        breathe()
        if len(stroke) < 3:
            made.append(stroke)
            continue
        keep = np.zeros(len(stroke), bool)
        keep[[0, -1]] = True
        stack = [(0, len(stroke) - 1)]
        while stack:
            a, b = stack.pop()
            if b - a < 2:
                continue
            way = stroke[b] - stroke[a]
            long = float(way @ way)
            rel = stroke[a + 1:b] - stroke[a]
            share = np.clip(rel @ way / long, 0, 1) if long > 0 else np.zeros(len(rel))
            off = np.sqrt(((rel - share[:, None] * way) ** 2).sum(1))
            worst = int(off.argmax())
            if off[worst] > rings.WITHIN_MM / 2:
                keep[a + 1 + worst] = True
                stack += [(a, a + 1 + worst), (a + 1 + worst, b)]
        made.append(stroke[keep])
    return made


def _near_to_each_other(strokes):
    """Strokes in the order in which each begins near to where the last one ended; joined where they meet."""
    if not strokes:
        return []
    left = np.ones(len(strokes), bool)
    ends = np.array([(s[0, :2], s[-1, :2]) for s in strokes])
    here, made = ends[0, 0], []
    for _ in range(len(strokes)):
        away = np.hypot(*(ends - here).transpose(2, 0, 1))
        away[~left] = np.inf
        at, way = (int(v) for v in np.unravel_index(int(np.argmin(away)), away.shape))
        left[at] = False
        stroke = strokes[at][::-1] if way else strokes[at]
        if made and np.abs(made[-1][-1] - stroke[0]).max() < _SHORT_MM:
            made[-1] = np.concatenate([made[-1], stroke[1:]])
        else:
            made.append(stroke)
        here = stroke[-1, :2]
    return made


def _in_passes(strokes, top, down):
    """Deep strokes in several passes, each no deeper than so much below the one before."""
    made = []
    for stroke in strokes:
        deepest = -float(stroke[:, 2].min()) - top
        for depth in rings.levels(0.0, deepest, down) if deepest > down else [deepest]:
            shallow = stroke.copy()
            shallow[:, 2] = np.maximum(shallow[:, 2], -(top + depth))
            made.append(shallow)
    return made
