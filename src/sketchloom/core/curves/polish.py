"""All nodes and handles of chains of cubics settled together, by least squares of their distances from the points.

Every inner node of a chain keeps one tangent for both sides; its place, its direction and its two handles are free. A
chain's own ends stay; the direction there is kept where the outline runs on, and is free at a corner.

References
----------
Gauss and Newton's rule on orthogonal distances: Wang, Pottmann, Liu 2006, "Fitting B-spline curves to point clouds by
curvature-based squared distance minimization", ACM TOG (tangent distance). The normal equations are banded.
"""

from dataclasses import dataclass

import numpy as np
from scipy.linalg import solveh_banded

from sketchloom.core.base import ragged
from sketchloom.core.base.progress import breathe
from sketchloom.core.curves.least_squares import power_form
from sketchloom.core.curves.placed import Placed, Trail, along, nearer

_ROUNDS = 6
_SETTLED = 0.99
"""Once no chain comes nearer by more, all have settled."""
_PLACES = 33
"""Points of a cubic that it is settled by, at most."""
_UNKNOWNS, _BAND = 5, 9
"""Of a node: its place x, y, its direction, the handle that comes in, the one that goes out."""
_PLACE = np.array([0, 1, 2, 4, 5, 6, 7, 8])
"""What a cubic hangs on, counted from the unknowns of the node that it begins at: of that node all but the handle that
comes in, of the next all but the one that goes out."""
_PAIRS = np.triu_indices(8)
_OF_BEGIN, _OF_END = ([one[own] for one in _PAIRS] for own in (_PAIRS[0] < 4, _PAIRS[0] >= 4))
"""Pairs of these that a cubic joins, by the node of the first."""
_FIXED = 1e12
_SLIDE = 0.05
"""What keeps nodes from sliding along the curve, which its distances do not tell, as a share of the points' weight."""
_MOST_STEP_PX, _MOST_TURN, _MOST_SHARE = 0.5, 0.15, 0.25
"""What may change in a round: places, directions (rad), handles by this share of them."""
_DAMPING = 1e-2
_LEAST_SHARE, _MOST_OF_LENGTH = 0.04, 0.79
"""Handles are no shorter than this share of their chord and no longer than the stretch."""


@dataclass(frozen=True, slots=True, eq=False)
class Chains:
    """Cubics that run on into each other, chain by chain.

    ``first``, ``last`` (S,) the points each follows; ``controls`` (S, 4, 2) to begin with; ``starts`` (R + 1,) offsets
    of the chains; ``leave``, ``arrive`` (R, 2) unit tangents at a chain's ends, pointing into it, kept where
    ``smooth_first``, ``smooth_last`` (R,) say that the outline runs on there.
    """

    first: np.ndarray
    last: np.ndarray
    controls: np.ndarray
    starts: np.ndarray
    leave: np.ndarray
    arrive: np.ndarray
    smooth_first: np.ndarray
    smooth_last: np.ndarray


def polished(trail: Trail, chains: Chains) -> np.ndarray:
    """Controls (S, 4, 2) of the chains' cubics, settled together on the points of a trail, those without trust left
    out."""
    nodes = _Nodes(chains)
    seen = Placed.of(trail, chains.first, chains.last, _PLACES)
    # what is seen of a stretch speaks for all its points
    weight = seen.counts * ((chains.last - chains.first + 1) / np.maximum(seen.counts.sum(0), 1))
    best = np.full(len(chains.starts) - 1, np.inf)
    run, t = ragged.owner(chains.starts), seen.share
    kept, kept_t = nodes.state(), t
    kept_along: tuple = ()
    for number in range(_ROUNDS + 1):
        breathe()
        form = power_form(nodes.controls())
        for _ in range(2):
            t = nearer(form, seen, t)
        gap, slope = along(form, seen, t)
        cost = np.add.reduceat((weight * (gap[0] * gap[0] + gap[1] * gap[1])).sum(0), chains.starts[:-1])
        # a chain that came no nearer goes back and takes a shorter step
        worse = cost > best
        nodes.take_back(kept, worse)
        if number == _ROUNDS or (~worse & (cost > _SETTLED * best)).all():
            break
        back = worse[run]
        if back.any():
            t = np.where(back, kept_t, t)
            gap, slope = (np.where(back, was, now) for was, now in zip(kept_along, (gap, slope), strict=True))
        best = np.minimum(best, cost)
        kept, kept_t, kept_along = nodes.state(), t, (gap, slope)
        nodes.step(seen, weight, t, gap, slope)
    return nodes.controls()


class _Nodes:
    """Places, directions and handles of the nodes of all chains."""

    def __init__(self, chains):
        count = len(chains.first)
        run = ragged.owner(chains.starts)
        # chain r has one node more than it has cubics
        self.begin = np.arange(count) + run  # the node a cubic begins at; it ends at the next
        self.end = self.begin + 1
        total = count + len(chains.starts) - 1
        c = chains.controls
        self.xy = np.empty((total, 2))
        self.xy[self.begin], self.xy[self.end] = c[:, 0], c[:, 3]
        out, back = c[:, 1] - c[:, 0], c[:, 3] - c[:, 2]
        way = np.zeros((total, 2))
        way[self.begin] += out
        way[self.end] += back
        heads = self.begin[chains.starts[:-1]]
        tails = self.end[chains.starts[1:] - 1]
        way[heads] = np.where(chains.smooth_first[:, None], chains.leave, way[heads])
        way[tails] = np.where(chains.smooth_last[:, None], -chains.arrive, way[tails])
        self.angle = np.arctan2(way[:, 1], way[:, 0])
        self.handle_in, self.handle_out = np.ones(total), np.ones(total)
        unit = self._unit()
        chord = np.hypot(*(c[:, 3] - c[:, 0]).T)
        least = np.maximum(0.1 * chord, 1e-3)
        self.handle_out[self.begin] = np.maximum((out * unit[self.begin]).sum(1), least)
        self.handle_in[self.end] = np.maximum((back * unit[self.end]).sum(1), least)
        fixed = np.zeros((total, _UNKNOWNS), bool)
        fixed[heads, :2] = fixed[tails, :2] = True
        fixed[heads, 2], fixed[tails, 2] = chains.smooth_first, chains.smooth_last
        fixed[heads, 3] = fixed[tails, 4] = True
        self.fixed = fixed
        self.chain = np.repeat(np.arange(len(chains.starts) - 1), np.diff(chains.starts) + 1)
        self.damping = np.full(len(chains.starts) - 1, _DAMPING)

    def state(self):
        """What ``take_back`` goes back to."""
        return tuple(v.copy() for v in (self.xy, self.angle, self.handle_in, self.handle_out))

    def take_back(self, state, worse) -> None:
        """Chains that are ``worse`` as they were, with shorter steps from now on; others dare longer ones."""
        here = worse[self.chain]
        for mine, was in zip((self.xy, self.angle, self.handle_in, self.handle_out), state, strict=True):
            mine[here] = was[here]
        self.damping = np.clip(self.damping * np.where(worse, 30.0, 0.3), 1e-4, 1e3)

    def _unit(self):
        return np.stack([np.cos(self.angle), np.sin(self.angle)], -1)

    def controls(self) -> np.ndarray:
        unit = self._unit()
        a, b = self.begin, self.end
        return np.stack([self.xy[a], self.xy[a] + self.handle_out[a, None] * unit[a],
                         self.xy[b] - self.handle_in[b, None] * unit[b], self.xy[b]], 1)

    def step(self, seen, weight, t, gap, slope) -> None:
        """One round of Gauss and Newton's rule."""
        (gx, gy), (dx, dy) = gap, slope
        a, b = self.begin, self.end
        unit = self._unit()
        across = np.stack([-unit[:, 1], unit[:, 0]], -1)
        s = 1.0 - t
        b1, b2 = 3 * s * s * t, 3 * s * t * t
        b0, b3 = s * s * s + b1, t * t * t + b2  # a handle moves with its node
        size = np.maximum(np.sqrt(dx * dx + dy * dy), 1e-9)
        nx, ny = -dy / size, dx / size
        off = nx * gx + ny * gy
        def beside(vector, at):
            return nx * vector[at, 0] + ny * vector[at, 1]
        rows = np.stack([
            b0 * nx, b0 * ny, b1 * self.handle_out[a] * beside(across, a), b1 * beside(unit, a),
            b3 * nx, b3 * ny, -b2 * self.handle_in[b] * beside(across, b), -b2 * beside(unit, b)])
        band, right = self._normal_equations(rows, off, weight)
        move = solveh_banded(band, right, lower=True, check_finite=False).reshape(-1, _UNKNOWNS)
        self._apply(np.where(np.isfinite(move), move, 0.0), seen.total)

    def _normal_equations(self, rows, off, weight):
        """The lower band (9, 5 n) of the normal matrix, and the right side (5 n,)."""
        number = len(self.xy)
        band, right = np.zeros((_BAND, _UNKNOWNS * number)), np.zeros(_UNKNOWNS * number)
        heavy = rows * weight
        square, side = np.einsum("ims,jms->ijs", heavy, rows), np.einsum("ims,ms->is", heavy, off)
        by_node = band.reshape(_BAND, number, _UNKNOWNS), right.reshape(number, _UNKNOWNS)
        for nodes, (i, j), own in ((self.begin, _OF_BEGIN, slice(0, 4)), (self.end, _OF_END, slice(4, 8))):
            by_node[0][(_PLACE[j] - _PLACE[i])[:, None], nodes, (_PLACE[i] % _UNKNOWNS)[:, None]] += square[i, j]
            by_node[1][nodes, (_PLACE[own] % _UNKNOWNS)[:, None]] += side[own]
        self._hold(band, right, weight.sum(0))
        return band, right

    def _hold(self, band, right, counts):
        """Keep what is fixed, and what the distances say little of near where it is."""
        number = len(self.xy)
        unit = self._unit()
        points = np.zeros(number)
        points[self.begin] += counts
        points[self.end] += counts
        diagonal = band[0].reshape(number, _UNKNOWNS)
        diagonal *= 1.0 + self.damping[self.chain][:, None]
        diagonal[:, 2] += 1e-3 * points
        diagonal[:, 3:] += 1e-4 * points[:, None] + 1e-9
        hold = _SLIDE * points
        diagonal[:, 0] += hold * unit[:, 0] ** 2 + 1e-9
        diagonal[:, 1] += hold * unit[:, 1] ** 2 + 1e-9
        band[1].reshape(number, _UNKNOWNS)[:, 0] += hold * unit[:, 0] * unit[:, 1]
        fixed = self.fixed.ravel()
        band[0][fixed] = _FIXED
        right[fixed] = 0.0

    def _apply(self, move, total):
        """Take a step, no farther than is safe."""
        size = np.hypot(move[:, 0], move[:, 1])
        move[:, :2] *= np.minimum(1.0, _MOST_STEP_PX / np.maximum(size, 1e-12))[:, None]
        move[self.fixed] = 0.0
        self.xy += move[:, :2]
        self.angle += np.clip(move[:, 2], -_MOST_TURN, _MOST_TURN)
        for handle, change in ((self.handle_in, move[:, 3]), (self.handle_out, move[:, 4])):
            handle += np.clip(change, -_MOST_SHARE * handle, _MOST_SHARE * handle)
        chord = np.hypot(*(self.xy[self.end] - self.xy[self.begin]).T)
        low, high = _LEAST_SHARE * chord, _MOST_OF_LENGTH * np.maximum(total, chord)
        self.handle_out[self.begin] = np.clip(self.handle_out[self.begin], low, high)
        self.handle_in[self.end] = np.clip(self.handle_in[self.end], low, high)
