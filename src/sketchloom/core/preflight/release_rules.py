"""Rules over cuts as a machine makes them: doubled ones, nodes it stops at, corners its blade cannot turn."""

import itertools

import numpy as np
import shapely

from sketchloom.core.base.said import said
from sketchloom.core.curves.curveset import flatten
from sketchloom.core.playback.telling import HAIR_MM
from sketchloom.core.preflight.findings import NOTE, RELEASE, WARN, counted, rule

HAIR = rule(
    "release.hair", WARN, RELEASE, said("cuts lie on each other or nearer than a hair"),
    {"one": said("{name}: two cuts lie nearer to each other than {hair:g} mm: what is between them tears, or is cut "
                 "twice. Join the regions, or open the gap."),
     "many": said("{name}: {count} pairs of cuts lie nearer to each other than {hair:g} mm: what is between them "
                  "tears, or is cut twice. Join the regions, or open the gaps.")})
NODES = rule(
    "release.nodes", NOTE, RELEASE, said("a layer has more nodes than machines like"),
    said("{name} has a node every {apart:.2f} mm: machines slow down or stop at each. Raise the smoothness, or take a "
         "larger picture."))
CORNERS = rule(
    "release.corners", NOTE, RELEASE, said("corners are tighter than the blade's offset"),
    {"one": said("{name}: a corner follows another within the blade's offset of {offset:g} mm; it may lift or tear."),
     "many": said("{name}: {count} corners follow another within the blade's offset of {offset:g} mm; they may lift or "
                  "tear.")})

_FLAT_MM, _APART_MM, _MANY = 0.02, 0.8, 400
"""Nodes nearer than this on average, where there are many, are more than an author draws (common practice, no
source)."""
_CORNER = np.radians(50.0)


def check_cuts(plan, outline, offset_mm: float, mm_per_px: float):
    """Findings of a layer's ``outline`` in mm; places in px of the picture."""
    if not len(outline.controls):
        return
    xy, starts = flatten(outline.controls, outline.straight, _FLAT_MM)
    ends = starts[outline.starts]
    near = _near(xy, ends)
    if len(near):
        yield HAIR.found(counted(len(near)), plan=plan, at=near[0] / mm_per_px, name=plan.name, count=len(near),
                         hair=HAIR_MM)
    length = float(np.hypot(*np.diff(xy, axis=0).T).sum())
    count = len(outline.controls)
    if count > _MANY and length / count < _APART_MM:
        yield NODES.found(plan=plan, name=plan.name, apart=length / count)
    tight = _tight(outline, offset_mm)
    if len(tight):
        yield CORNERS.found(counted(len(tight)), plan=plan, at=tight[0] / mm_per_px, name=plan.name, count=len(tight),
                            offset=offset_mm)


def _near(xy, ends):
    """A place of every pair of rings that come nearer to each other than a hair."""
    rings = [shapely.linestrings(np.vstack([xy[a:b], xy[a:a + 1]])) for a, b in itertools.pairwise(ends.tolist())
             if b > a]
    if len(rings) < 2:
        return np.empty((0, 2))
    one, two = shapely.STRtree(rings).query(rings, predicate="dwithin", distance=HAIR_MM)
    pairs = [(a, b) for a, b in zip(one.tolist(), two.tolist(), strict=True) if a < b]
    return np.array([shapely.shortest_line(rings[a], rings[b]).coords[0] for a, b in pairs]).reshape(-1, 2)


def _tight(outline, offset_mm):
    """Corners with another corner within the offset along the ring."""
    if offset_mm <= 0:
        return np.empty((0, 2))
    legs = np.diff(outline.controls, axis=1)
    begin, end = legs[:, 0], legs[:, 2]
    chord = outline.controls[:, 3] - outline.controls[:, 0]
    begin = np.where(np.hypot(*begin.T)[:, None] > 1e-7, begin, chord)
    end = np.where(np.hypot(*end.T)[:, None] > 1e-7, end, chord)
    before = np.arange(len(chord)) - 1
    before[outline.starts[:-1]] = outline.starts[1:] - 1
    into = end[before]
    turn = np.abs(np.arctan2(into[:, 0] * begin[:, 1] - into[:, 1] * begin[:, 0], (into * begin).sum(1)))
    after = np.arange(len(chord)) + 1
    after[outline.starts[1:] - 1] = outline.starts[:-1]
    short = np.hypot(*chord.T) < offset_mm
    found = (turn > _CORNER) & (turn[after] > _CORNER) & short
    return outline.controls[found, 0]
