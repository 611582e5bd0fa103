"""Pieces of curves that were parted because they crossed, joined again where that crosses nothing."""

from dataclasses import replace

import numpy as np

from sketchloom.core.base.progress import QUIET
from sketchloom.core.curves.crossings import crossings
from sketchloom.core.curves.fit import alternate, fit_level, is_good
from sketchloom.core.curves.spans import Spans
from sketchloom.core.curves.splicing import Spliced, beside, directions, shapes_of, with_pulled
from sketchloom.core.curves.tangents import local_tangent

_ROUNDS = 24
"""Joints are tried by turns, so many times: pieces double in length each second time."""
_AGREE = np.cos(np.radians(8.0))
"""Two curves run on into each other where they turn by less; else the points say the direction."""


def rejoined(spliced: Spliced, before: Spliced, tolerance_px: float, *, progress=QUIET) -> Spliced:
    """Segments of which no two cross, with those that were parted joined again in pairs.

    Parameters
    ----------
    spliced : segments of which no two cross. before : the same before some were parted. tolerance_px : as of
        ``fit_spans``.

    Raises
    ------
    Cancelled : the caller asked to stop.

    Notes
    -----
    Two sides of a narrow place may cross in one spot; what was fitted closer for it, down to chords from point to
    point, is needed at that spot and not along the whole curve.
    """
    spans = _parted(spliced, before)
    if not len(spans):
        return spliced
    shape = _shape_of(spliced, spans)
    tangent = _tangents(spliced, spans, shape)
    refused = np.zeros(len(spliced.points), bool)
    for turn in range(_ROUNDS):
        progress.step(turn, _ROUNDS, "Joining curves")
        joined = _is_joint(spliced, shape) & ~refused[spliced.last[:-1]]
        if not joined.any():
            break
        pair = alternate(joined, turn % 2)
        if len(pair) == 0:
            continue
        spliced, kept = _joined(spliced, pair, tangent, spans, shape[pair], tolerance_px)
        refused[kept] = True
        shape = _shape_of(spliced, spans)
    return spliced


def _parted(spliced, before):
    """Spans of ``before`` that are in more pieces now, in the order of their points."""
    shape = shapes_of(before)
    head, tail = shape[:-1], shape[1:] - 1
    order = np.argsort(before.first[head], kind="stable")
    head, tail = head[order], tail[order]
    of = np.searchsorted(before.first[head], spliced.first, side="right") - 1
    more = np.bincount(of, minlength=len(head)) > np.maximum(tail - head + 1, 1)
    yes, no = np.ones(more.sum(), bool), np.zeros(more.sum(), bool)
    head, tail = head[more], tail[more]
    leave = directions(before.controls[head, 1] - before.controls[head, 0])
    arrive = directions(before.controls[tail, 2] - before.controls[tail, 3])
    return Spans(before.first[head], before.last[tail], leave, arrive, yes, yes, no)


def _shape_of(spliced, spans):
    """(S,) the span that each segment lies in, -1 for none."""
    of = np.searchsorted(spans.first, spliced.first, side="right") - 1
    return np.where((of >= 0) & (spliced.last <= spans.last[of]), of, -1)


def _is_joint(spliced, shape):
    """(S - 1,) whether a segment and the next meet within one span."""
    return (shape[:-1] >= 0) & (shape[:-1] == shape[1:]) & (spliced.last[:-1] == spliced.first[1:])


def _tangents(spliced, spans, shape):
    """(N, 2) directions at the points where pieces of a span meet: that of the curves where they agree, else that of
    the points."""
    tangent = np.zeros_like(spliced.points)
    at = np.flatnonzero(_is_joint(spliced, shape))
    place, of = spliced.last[at], shape[at]
    arrives = directions(spliced.controls[at, 3] - spliced.controls[at, 2])
    leaves = directions(spliced.controls[at + 1, 1] - spliced.controls[at + 1, 0])
    both = ~spliced.straight[at] & ~spliced.straight[at + 1] & ((arrives * leaves).sum(1) > _AGREE)
    told = local_tangent(spliced.points, place, spans.first[of], spans.last[of])
    tangent[place] = np.where(both[:, None], directions(arrives + leaves), told)
    return tangent


def _joined(spliced, pair, tangent, spans, of, tolerance):
    """Segments with pairs made one where that is near enough and crosses nothing, and the points of joints that stay.
    """
    first, last = spliced.first[pair], spliced.last[pair + 1]
    leave = np.where((first == spans.first[of])[:, None], spans.leave[of], tangent[first])
    arrive = np.where((last == spans.last[of])[:, None], spans.arrive[of], -tangent[last])
    yes, no = np.ones(len(pair), bool), np.zeros(len(pair), bool)
    one = Spans(first, last, leave, arrive, yes, yes, no)
    controls, straight, error, _ = fit_level(spliced.points, one, tolerance)
    good = is_good(one, straight, error, tolerance)
    while good.any():
        made, fresh = _with(spliced, pair[good], controls[good], straight[good], error[good])
        among = np.flatnonzero(beside(made.controls, fresh))
        found = among[crossings(made.controls[among], made.straight[among]).ravel()]
        bad = np.isin(np.flatnonzero(fresh), found)
        if not bad.any():
            break
        good[np.flatnonzero(good)[bad]] = False
    else:
        made = spliced
    return made, spliced.last[pair[~good]]


def _with(spliced, pair, controls, straight, miss):
    """Segments with each of some and the one after it replaced, and which are new."""
    stay = np.ones(len(spliced.arc), bool)
    stay[pair + 1] = False
    fresh = np.zeros(len(stay), bool)
    fresh[pair] = True
    made = {name: getattr(spliced, name).copy() for name in ("controls", "straight", "miss", "last")}
    made["controls"][pair], made["straight"][pair], made["last"][pair] = controls, straight, spliced.last[pair + 1]
    made["miss"][pair] = with_pulled(spliced, spliced.first[pair], spliced.last[pair + 1], miss)
    return replace(spliced, **{name: value[stay] for name, value in made.items()}, arc=spliced.arc[stay],
                   first=spliced.first[stay]), fresh[stay]
