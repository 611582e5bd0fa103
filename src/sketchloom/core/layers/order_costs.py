"""What the sheets of a stack cost that are solid on each set of its colours: cutting, film, pieces, mislaying."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.layers.order_showing import LITTLE

_CHUNK = 4096
"""Sets counted at once, for memory."""


@dataclass(frozen=True, slots=True)
class Weights:
    """What an order is to save: cutting counts by its length, each piece as so much cutting, each unit of film as so
    much; ``mislaid`` each unit of edge where a third colour shows as soon as a sheet is laid amiss; ``little`` each
    unit of film of sheets of which hardly anything is seen. The last two need the colours."""

    cutting: float = 1.0
    piece: float = 0.0
    film: float = 0.0
    mislaid: float = 0.0
    little: float = 0.0


LEAST_CUTTING = Weights()


@dataclass(frozen=True, slots=True, eq=False)
class Faces:
    """Faces of which pieces are made: ``colour`` (F,) number, -1 for ground; ``one``, ``two`` (E,) pairs that touch."""

    colour: np.ndarray
    one: np.ndarray
    two: np.ndarray


def subset_costs(boundary, area, weights: Weights, faces: Faces | None = None, above=()) -> np.ndarray:
    """(2^n,) weighted cost of the sheet that is solid on each set of colours, infinite for sets that rules forbid."""
    count = len(boundary) - 1
    parts = subset_parts(boundary, area, faces if weights.piece > 0 else None)
    return weighed(parts, weights, 1e-7 * boundary.sum() / max(float(np.sum(area)), 1.0), count, above)


def subset_parts(boundary, area, faces: Faces | None = None):
    """(2^n,) cutting, film and pieces of every set of colours; pieces None without faces."""
    return (
        _subset_costs(boundary, area, 0.0),
        _subset_sums(area),
        None if faces is None else subset_pieces(faces, len(boundary) - 1),
    )


def weighed(parts, weights: Weights, tie: float, count: int, above=()) -> np.ndarray:
    """(2^n,) weighted cost of the parts of ``subset_parts``; ``tie`` a trace of film that decides between equal ones.
    """
    cutting, film, pieces = parts
    cost = (weights.cutting or 1e-6) * cutting + film * (weights.film + tie)
    if weights.piece > 0 and pieces is not None:
        cost = cost + weights.piece * pieces
    subsets = np.arange(1 << count)
    for upper, lower in above:  # a sheet that carries the lower one carries the upper one, too
        cost[((subsets >> lower) & 1 == 1) & ((subsets >> upper) & 1 == 0)] = np.inf
    return cost


def subset_pieces(faces: Faces, count: int) -> np.ndarray:
    """(2^count,) connected pieces of every set of colours.

    All sets at once: a face's label sinks to the lowest that it touches within each set, in sweeps forwards and
    backwards over the pairs until nothing changes.
    """
    kept = np.flatnonzero(faces.colour >= 0)
    number = np.full(len(faces.colour), -1)
    number[kept] = np.arange(len(kept))
    colour = faces.colour[kept]
    inner = (number[faces.one] >= 0) & (number[faces.two] >= 0)
    pairs = np.unique(np.sort(np.stack([number[faces.one][inner], number[faces.two][inner]], -1), 1), axis=0)
    out = np.zeros(1 << count, np.int64)
    for begin in range(0, 1 << count, _CHUNK):
        subsets = np.arange(begin, min(begin + _CHUNK, 1 << count))
        out[subsets] = _pieces_in(subsets, colour, pairs)
    return out


def _pieces_in(subsets, colour, pairs):
    there = (subsets >> colour[:, None]) & 1 == 1
    kind = np.int16 if len(colour) < 2**15 else np.int32
    label = np.repeat(np.arange(len(colour), dtype=kind)[:, None], len(subsets), 1)
    sweep = [(a, b, there[a] & there[b]) for a, b in pairs.tolist()]
    low = np.empty(len(subsets), kind)
    before = None
    while True:
        for a, b, valid in sweep:
            np.minimum(label[a], label[b], out=low)
            np.copyto(label[a], low, where=valid)
            np.copyto(label[b], low, where=valid)
        sweep.reverse()
        now = int(label.sum(dtype=np.int64))
        if now == before:
            break
        before = now
    return ((label == np.arange(len(colour))[:, None]) & there).sum(0)


def _subset_sums(values):
    total = np.zeros(1)
    for value in values:
        total = np.concatenate([total, total + value])
    return total


def _subset_costs(boundary, area, tie):
    """Outline of every subset of colours, with a trace of its area, (2^n,)."""
    count = len(boundary) - 1
    degree = boundary.sum(1) - np.diag(boundary)
    cost = np.zeros(1)
    for b in range(count):
        to_b = np.zeros(1)
        for j in range(b):
            to_b = np.concatenate([to_b, to_b + boundary[b, j]])
        cost = np.concatenate([cost, cost + degree[b] - 2 * to_b + tie * area[b]])
    return cost


def lowest_costs(shown, area, mislaid: float, little: float) -> np.ndarray:
    """(n, 2^n) what each set costs beside cutting, pieces and film where a colour lies lowest in it.

    ``shown`` as of ``order_showing.slivers``.
    """
    area = np.asarray(area, float)
    laid = _subset_sums(area)
    made = np.stack([little * (laid - own) * (own < LITTLE * laid) for own in area])
    if mislaid > 0:
        made += mislaid * np.stack([_subset_costs(lengths, area, 0.0) for lengths in shown])
    return made
