"""Rules over a work as a whole before it leaves: what falls out loose, how many paths a layer is, whose picture."""

import numpy as np
import shapely

from sketchloom.core.base.said import said
from sketchloom.core.curves.curveset import flatten
from sketchloom.core.preflight.findings import NOTE, RELEASE, WARN, counted, rule

LOOSE = rule(
    "release.loose", WARN, RELEASE, said("pieces lie loose within a hole of their own layer"),
    {"one": said("{name}: a piece lies loose within a hole and falls out as it is cut. Bridge it, or lay it by hand."),
     "many": said("{name}: {count} pieces lie loose within holes and fall out as they are cut. Bridge them, or lay "
                  "them by hand.")})
SINGLE = rule(
    "release.single", WARN, RELEASE, said("a layer is several paths where one is wanted"),
    said("{name} is {count} pieces, and one is wanted. Join them, bridge them, or drop the smaller ones."))
RIGHTS = rule(
    "release.rights", NOTE, RELEASE, said("nobody said that the picture may be used"),
    said("May you use this picture? What others drew needs their leave, for things you give away, too."),
    said("I may use it"))

_BACKED = ("film", "heat film", "flake film", "flocked film")
"""Families whose pieces stay on their backing (common practice, no source)."""


def check_whole(layer, family: str | None):
    """Findings of a finished layer by itself; ``family`` of its material, None where that is not known."""
    outline = layer.outline
    if outline.pen_px is not None or not len(outline.controls):
        return
    if outline.pieces > 1:
        second = np.flatnonzero(~outline.hole)
        second = second[np.argsort(-outline.area_px[second], kind="stable")[1]]
        yield SINGLE.found(plan=layer.plan, at=outline.controls[outline.starts[second], 0], name=layer.plan.name,
                           count=outline.pieces)
    loose = loose_rings(outline)
    if len(loose):
        worst = loose[outline.area_px[loose].argmax()]
        yield LOOSE.found(counted(len(loose)), plan=layer.plan, name=layer.plan.name, count=len(loose),
                          at=outline.controls[outline.starts[worst], 0],
                          severity=NOTE if family is None or family in _BACKED else None)


_FLAT_PX = 0.5


def loose_rings(outline) -> np.ndarray:
    """Numbers of the outer rings that lie within a hole of the same outline."""
    holes, outer = np.flatnonzero(outline.hole), np.flatnonzero(~outline.hole)
    if not len(holes) or len(outer) < 2:
        return np.empty(0, np.intp)
    xy, starts = flatten(outline.controls, outline.straight, _FLAT_PX)
    ends = starts[outline.starts]
    rings = [shapely.polygons(xy[ends[h]:ends[h + 1]]) for h in holes if ends[h + 1] - ends[h] > 2]
    places = shapely.points(outline.controls[outline.starts[outer], 0])
    inside, _ = shapely.STRtree(rings).query(places, predicate="within")
    return outer[np.unique(inside)]
