"""Matching marks: short cuts across a seam, half in either part, that meet where the parts lie as they should."""

from dataclasses import replace

import numpy as np
import shapely
from shapely import LineString

from sketchloom.core.sheets.choices import ON

REACH_MM = 2.0
"""A mark runs so far into either part: enough to lay by, and under what an upper sheet hides (common practice, no
source)."""
_APART_MM = 1.5
_END_MM = 5.0
"""Marks keep so far from where a seam leaves the sheet: what lies between bends up."""
_SAMPLE_MM = 0.5
_MOST = 4
"""Marks side by side at most: the first seam has one, the second two, the fifth one again."""
_LONG_MM = 60.0
"""A stretch this long is marked twice, near its ends: by one mark alone parts can still be laid turned."""


def marked(parts, seams, columns, field, how: str):
    """Parts with the marks of their seams.

    Parameters
    ----------
    parts : of one layer, without joints, column by column. seams : polylines (K, 2) mm, in their order. columns : as of
    ``Divided``: a seam of a column goes on through its neighbours, and parts nothing there. field : of the layer.
    how : of ``choices.MATCHES``: where an upper sheet hides them, or, with ``on``, also where they are seen.
    """
    found: list[list[np.ndarray]] = [[] for _ in parts]
    areas = [part.area for part in parts]
    column_of = [c for c in range(columns.count(-1) + 1) for _ in range(1 + columns.count(c))]
    if len(column_of) != len(parts):  # a seam ran beside the layer, and parted nothing
        return parts
    for number, seam in enumerate(seams):
        its = [area if columns[number] < 0 or column_of[n] == columns[number] else shapely.MultiPolygon()
               for n, area in enumerate(areas)]
        for line in _marks_of(np.asarray(seam, float), number % _MOST + 1, field, its, how == ON):
            for n, half in _halves(line, its):
                found[n].append(half)
    return tuple(replace(part, matches=tuple(lines)) if lines else part
                 for part, lines in zip(parts, found, strict=True))


def _marks_of(seam, count, field, areas, seen_too):
    """Whole marks (3, 2) mm across a seam: from one side over the seam to the other."""
    points, normals, at = _sampled(seam)
    ends = [points + sign * (REACH_MM + 0.3) * normals for sign in (-1, 1)]
    inside = shapely.contains_xy(shapely.union_all(areas).buffer(1e-6), points)
    owners = [_owners(areas, end) for end in ends]
    inside &= (owners[0] >= 0) & (owners[1] >= 0) & (owners[0] != owners[1])
    hidden = inside & np.all([field.at(p, field.seen) < 0.01 for p in (points, *ends)], axis=0)
    for allowed in (hidden, inside) if seen_too else (hidden,):
        stretches = _stretches(allowed, at, count)
        if stretches:
            break
    for middle in (m for stretch in stretches for m in stretch):
        for k in range(count):
            n = int(np.abs(at - (middle + (k - (count - 1) / 2) * _APART_MM)).argmin())
            yield np.array([points[n] - REACH_MM * normals[n], points[n], points[n] + REACH_MM * normals[n]])


def _sampled(seam):
    """Places (N, 2) along a seam, directions (N, 2) across it, and how far along it they lie, mm."""
    legs = np.diff(seam, axis=0)
    long = np.hypot(*legs.T)
    seam, legs = seam[np.concatenate([[True], long > 1e-9])], legs[long > 1e-9]
    length = np.concatenate([[0.0], np.cumsum(np.hypot(*legs.T))])
    at = np.arange(0.5 * _SAMPLE_MM, length[-1], _SAMPLE_MM)
    leg = legs[np.clip(np.searchsorted(length, at, "right") - 1, 0, len(legs) - 1)]
    along = leg / np.hypot(*leg.T)[:, None]
    return (np.column_stack([np.interp(at, length, seam[:, k]) for k in (0, 1)]),
            np.column_stack([-along[:, 1], along[:, 0]]), at)


def _owners(areas, points):
    """(N,) number of the part that each place lies in, -1 for none."""
    found = np.full(len(points), -1)
    for n, area in enumerate(areas):
        found[shapely.contains_xy(area, points)] = n
    return found


def _stretches(allowed, at, count):
    """Middles of the marks of each stretch that has room for them, along the seam, mm."""
    need = 2 * _END_MM + count * _APART_MM
    edges = np.flatnonzero(np.diff(np.concatenate([[0], allowed.astype(int), [0]])))
    made = []
    for first, last in zip(edges[::2], edges[1::2], strict=True):
        begin, end = at[first], at[last - 1]
        if end - begin < need:
            continue
        inset = need / 2
        made.append(((begin + end) / 2,) if end - begin < _LONG_MM else (begin + inset, end - inset))
    return made


def _halves(mark, areas):
    """The two halves of a mark with the number of the part that each lies in, where they lie in two."""
    middle = mark[1]
    owners = [next((n for n, area in enumerate(areas) if area.contains(shapely.Point(end))), -1) for end in mark[::2]]
    if -1 in owners or owners[0] == owners[1]:
        return ()
    halves = (np.array([middle, mark[0]]), np.array([middle, mark[2]]))
    solid = [areas[n].buffer(1e-3).covers(LineString(half)) for n, half in zip(owners, halves, strict=True)]
    return tuple(zip(owners, halves, strict=True)) if all(solid) else ()
