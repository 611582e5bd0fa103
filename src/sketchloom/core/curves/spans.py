"""Runs of points that are fitted by a cubic each, and the cubics."""

from dataclasses import dataclass, replace

import numpy as np


@dataclass(frozen=True, slots=True, eq=False)
class Spans:
    """Runs of points between places where curves begin and end.

    ``first``, ``last`` (K,) indices into the points, both belonging to the span.
    ``leave``, ``arrive`` (K, 2) unit tangents at the ends, each pointing into the span.
    ``smooth_first``, ``smooth_last`` (K,) bool: the curve runs on there without a corner.
    ``line`` (K,) bool: known to be straight.
    """

    first: np.ndarray
    last: np.ndarray
    leave: np.ndarray
    arrive: np.ndarray
    smooth_first: np.ndarray
    smooth_last: np.ndarray
    line: np.ndarray

    def __len__(self):
        return len(self.first)

    def pick(self, where) -> "Spans":
        return Spans(*(getattr(self, name)[where] for name in self.__slots__))

    @staticmethod
    def join(parts) -> "Spans":
        return Spans(*(np.concatenate([getattr(p, name) for p in parts]) for name in Spans.__slots__))


@dataclass(frozen=True, slots=True, eq=False)
class FittedSpans:
    """``spans`` in ascending order of their first point, their cubics, which are lines, and by
    how much each misses its points, px."""

    spans: Spans
    controls: np.ndarray
    straight: np.ndarray
    miss: np.ndarray

    def part(self, a, b, offset=0) -> "FittedSpans":
        """Those from ``a`` to before ``b``, their points counted from the point ``offset``."""
        spans = self.spans.pick(slice(a, b))
        spans = replace(spans, first=spans.first - offset, last=spans.last - offset)
        return FittedSpans(spans, self.controls[a:b], self.straight[a:b], self.miss[a:b])


def ordered(parts) -> FittedSpans:
    """Spans with their cubics, which are lines and misses, from several such tuples, by their first points."""
    spans = Spans.join([p[0] for p in parts]) if parts else None
    if spans is None:
        empty = np.empty(0, np.intp)
        spans = Spans(empty, empty, np.empty((0, 2)), np.empty((0, 2)), *[empty.astype(bool)] * 3)
        return FittedSpans(spans, np.empty((0, 4, 2)), np.empty(0, bool), np.empty(0))
    order = np.argsort(spans.first, kind="stable")
    controls, straight, miss = (np.concatenate([p[k] for p in parts])[order] for k in (1, 2, 3))
    return FittedSpans(spans.pick(order), controls, straight, miss)
