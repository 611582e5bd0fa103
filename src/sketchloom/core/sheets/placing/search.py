"""Guided local search over overlaps: bodies move to where they lie least deep in others until nothing overlaps.

References
----------
Egeblad, Nielsen, Odgaard 2007; Umetani et al. 2009; Elkeran 2013; Gardeyn et al. 2025: minimise the weighed depth of
overlaps, weights grow where an overlap stays.
"""

from collections.abc import Iterator
from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.progress import breathe
from sketchloom.core.sheets.placing.nofit import Body, Keep, NoFits, nothing_kept

_GROW, _FADE = 1.6, 0.95
"""Weights of overlaps that stay, at the deepest, and of those that went (chosen on rectangles cut into polygons)."""


_WINDOW, _ELSEWHERE = 1.0, 3
"""A body that moves looks as far as its own size around where it is, and around so many places drawn by lot."""


@dataclass(frozen=True, slots=True)
class Bin:
    """What bodies are laid in: what can be used of a carrier, mm."""

    wide: float
    high: float


@dataclass(frozen=True, slots=True, eq=False)
class Layout:
    """Where bodies lie: (N,) number of the bin, -1 for none yet; x and y of their places, px; the number of the turn.
    """

    bin: np.ndarray
    x: np.ndarray
    y: np.ndarray
    turn: np.ndarray

    def copy(self) -> "Layout":
        return Layout(self.bin.copy(), self.x.copy(), self.y.copy(), self.turn.copy())


class Search:
    """Moves bodies within bins. ``step`` mm of the raster of places; ``fixed`` (N,) bool stay where they are;
    ``slack_px`` and ``keep`` as of ``NoFits``."""

    def __init__(self, bodies: list[Body], step: float, seed: int = 1, fixed=None, slack_px: float = 0.0,
                 keep: Keep = nothing_kept):
        self.bodies, self.step, self._keep = bodies, step, keep
        self.nofits = NoFits(bodies, step, slack_px, keep)
        self.rng = np.random.default_rng(seed)
        self.fixed = np.zeros(len(bodies), bool) if fixed is None else np.asarray(fixed, bool)
        self.weights = np.ones((len(bodies), len(bodies)))
        most = max((len(b.forms) for b in bodies), default=1)
        self._box = np.zeros((len(bodies), most, 4))
        for n, body in enumerate(bodies):
            for k, form in enumerate(body.forms):
                self._box[n, k] = np.array(form.box) / step

    def none(self) -> Layout:
        count = len(self.bodies)
        return Layout(np.full(count, -1), np.zeros(count, np.intp), np.zeros(count, np.intp), np.zeros(count, np.intp))

    def reach(self, n: int, turn: int, bin_: Bin) -> tuple[int, int, int, int]:
        """First and last place of a body along and across in a bin, px; the last before the first where it does not
        fit."""
        left, top, right, bottom = self._box[n, turn]
        return (int(np.ceil(-left - 1e-9)), int(np.floor(bin_.wide / self.step - right + 1e-9)),
                int(np.ceil(-top - 1e-9)), int(np.floor(bin_.high / self.step - bottom + 1e-9)))

    def landscape(self, at: Layout, n: int, turn: int, number: int, window, weighed: bool) -> np.ndarray:
        """(H, W) how deep a body lies in others of a bin at each place of a window: first and last x, first and last y.
        """
        x0, x1, y0, y1 = window
        total = np.zeros((y1 - y0 + 1, x1 - x0 + 1), np.float32)
        others = np.flatnonzero(at.bin == number)
        others = others[others != n]
        box, mine = self._box[others, at.turn[others]], self._box[n, turn]
        # boxes that meet somewhere in the window
        near = ((at.x[others] + box[:, 0] < x1 + mine[2]) & (at.x[others] + box[:, 2] > x0 + mine[0])
                & (at.y[others] + box[:, 1] < y1 + mine[3]) & (at.y[others] + box[:, 3] > y0 + mine[1]))
        others = others[near]
        height, width = total.shape
        weights = (self.weights[n, others] if weighed else np.ones(len(others))).tolist()
        for other, its, u, v, weight in zip(others.tolist(), at.turn[others].tolist(), (at.x[others] - x0).tolist(),
                                            (at.y[others] - y0).tolist(), weights, strict=True):
            depth, left, top = self.nofits.between(other, its, n, turn)
            u, v = u + left, v + top
            a, b = max(u, 0), max(v, 0)
            c, d = min(u + depth.shape[1], width), min(v + depth.shape[0], height)
            if a < c and b < d:
                there = total[b:d, a:c]
                cv2.scaleAdd(depth[b - v:d - v, a - u:c - u], weight, there, there)
        return total

    def first_places(self, order, bins: list[Bin], at: Layout | None = None) -> Layout:
        """Bodies one after the other into the first bin that has room, there to the left, then up."""
        at = self.none() if at is None else at.copy()
        for n in order:
            if at.bin[n] >= 0:
                continue
            for number, bin_ in enumerate(bins):
                breathe()
                place = self._first_place(at, n, number, bin_)
                if place is not None:
                    at.turn[n], at.x[n], at.y[n] = place
                    at.bin[n] = number
                    break
        return at

    def _first_place(self, at, n, number, bin_):
        best = None
        for turn in range(len(self.bodies[n].forms)):
            window = self.reach(n, turn, bin_)
            if window[1] < window[0] or window[3] < window[2]:
                continue
            free = self.landscape(at, n, turn, number, window, False) <= 0
            columns = free.any(0)
            if columns.any():
                x = int(columns.argmax())
                y = int(free[:, x].argmax())
                x, y = x + window[0], y + window[2]
                reach = (x + self._box[n, turn, 2], y + self._box[n, turn, 3])
                if best is None or reach < best[0]:
                    best = (reach, (turn, x, y))
        return None if best is None else best[1]

    def overlaps(self, at: Layout) -> np.ndarray:
        """(N, N) how deep bodies lie in each other, px."""
        made = np.zeros((len(self.bodies),) * 2)
        for n in range(len(self.bodies)):
            self._renew(at, n, made)
        return made

    def _renew(self, at, n, depth):
        """How deep one body lies in others."""
        depth[n] = depth[:, n] = 0.0
        others = np.flatnonzero((at.bin == at.bin[n]) & (at.bin >= 0))
        others = others[others != n]
        box, mine = self._box[others, at.turn[others]], self._box[n, at.turn[n]]
        dx, dy = at.x[others] - at.x[n], at.y[others] - at.y[n]
        near = ((dx + box[:, 0] < mine[2]) & (dx + box[:, 2] > mine[0])
                & (dy + box[:, 1] < mine[3]) & (dy + box[:, 3] > mine[1]))
        for m, x, y in zip(others[near].tolist(), dx[near].tolist(), dy[near].tolist(), strict=True):
            raster, left, top = self.nofits.between(n, int(at.turn[n]), m, int(at.turn[m]))
            u, v = x - left, y - top
            if 0 <= u < raster.shape[1] and 0 <= v < raster.shape[0]:
                depth[n, m] = depth[m, n] = raster[v, u]

    def separate(self, at: Layout, bins: list[Bin], rounds: int, near_px: int | None = None
                 ) -> Iterator[Layout | None]:
        """Move bodies that overlap until none does, round by round: None while there is an overlap, then the layout.

        ``near_px``: bodies keep their turn and move by no more than so much at a time.
        """
        at = at.copy()
        self.weights[:] = 1.0
        depth = self.overlaps(at)
        for _ in range(rounds):
            if not depth.any():
                break
            movable = np.flatnonzero((depth > 0).any(1) & ~self.fixed)
            for n in self.rng.permutation(movable).tolist():
                if depth[n].any():
                    breathe()
                    self._move(at, n, bins, near_px)
                    self._renew(at, n, depth)
            if depth.any():
                share = depth / depth.max()
                self.weights = np.where(depth > 0, self.weights * (1 + (_GROW - 1) * share),
                                        np.maximum(self.weights * _FADE, 1.0))
            yield None
        if not depth.any():
            yield at

    def _move(self, at, n, bins, near_px):
        """To where it lies least deep: of the places around where it is, and of others anywhere."""
        best = None
        for number, turn, window in self._windows(at, n, bins, near_px):
            if window[1] < window[0] or window[3] < window[2]:
                continue
            land = self.landscape(at, n, turn, number, window, True)
            low = float(land.min())
            if best is None or low < best[0]:
                places = np.flatnonzero(land.ravel() <= low + 1e-6)
                place = int(places[self.rng.integers(len(places))])
                best = (low, number, turn, window[0] + place % land.shape[1], window[2] + place // land.shape[1])
        if best is not None:
            _, at.bin[n], at.turn[n], at.x[n], at.y[n] = best

    def _windows(self, at, n, bins, near_px):
        """Bin, turn and window of places that are looked through for a better one."""
        number, turn = int(at.bin[n]), int(at.turn[n])
        here = (int(at.x[n]), int(at.y[n]))
        if near_px is not None:
            yield number, turn, _around(here, (near_px, near_px), self.reach(n, turn, bins[number]))
            return
        left, top, right, bottom = self._box[n, turn]
        half = (int(_WINDOW * (right - left)) + 2, int(_WINDOW * (bottom - top)) + 2)
        yield number, turn, _around(here, half, self.reach(n, turn, bins[number]))
        for _ in range(_ELSEWHERE):
            other = int(self.rng.integers(len(bins)))
            turned = int(self.rng.integers(len(self.bodies[n].forms)))
            whole = self.reach(n, turned, bins[other])
            if whole[1] >= whole[0] and whole[3] >= whole[2]:
                there = (int(self.rng.integers(whole[0], whole[1] + 1)), int(self.rng.integers(whole[2], whole[3] + 1)))
                yield other, turned, _around(there, half, whole)

    def length(self, at: Layout) -> float:
        """How far bodies reach from the left, mm, over all bins."""
        laid = np.flatnonzero(at.bin >= 0)
        return float((at.x[laid] + self._box[laid, at.turn[laid], 2]).max(initial=0.0)) * self.step

    def finer(self, times: int, at: Layout) -> tuple["Search", Layout]:
        """The same search on a raster so many times finer, with a layout on it."""
        made = Search(self.bodies, self.step / times, int(self.rng.integers(1 << 31)), self.fixed,
                      keep=self._keep)
        return made, Layout(at.bin.copy(), at.x * times, at.y * times, at.turn.copy())


def _around(place, half, whole):
    """What of a window lies around a place."""
    (x, y), (a, b) = place, half
    return max(whole[0], x - a), min(whole[1], x + a), max(whole[2], y - b), min(whole[3], y + b)
