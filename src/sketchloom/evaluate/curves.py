"""From a segmentation to the planar map and its curves, with what a person changed about single boundaries."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves import trace_arcs
from sketchloom.core.curves.chains import replaced, ring_controls
from sketchloom.core.curves.courses import NODES
from sketchloom.core.curves.crossings import crossings_near
from sketchloom.core.curves.curveset import CurveSet, arc_lengths
from sketchloom.core.curves.halves import made_symmetric
from sketchloom.core.curves.node_runs import Course, with_courses
from sketchloom.core.curves.reshaping import Reshaped, reshaped
from sketchloom.core.curves.selecting import with_other_fit
from sketchloom.core.picture.preparing.mirroring import Halves
from sketchloom.core.picture.preparing.placing import moved
from sketchloom.core.picture.preparing.steps import SECOND
from sketchloom.core.planar import junctions, shaded, stepped, subpixel
from sketchloom.core.planar.planar_map import build_map
from sketchloom.core.segment import tone
from sketchloom.core.shapes import guides
from sketchloom.evaluate.segmentation import Segmentation
from sketchloom.evaluate.steps import Steps
from sketchloom.evaluate.work import Traced

_SMOOTHER = 1.6
"""How much farther from its points a curve may run for each step of smoothness (the demo sketch at all six steps)."""


@dataclass(frozen=True, slots=True, eq=False)
class Bounds:
    """What curves are fitted to: the map of a ``segmentation``, its boundary points as polylines, and along which drawn
    curve each crack runs, if any were laid on. ``key`` of the segmentation, ``move`` as of ``placing``, ``blur_px`` of
    the picture; ``rough``: boundaries stay as they were found; ``times``: the picture was drawn so many times as fine.
    """

    segmentation: Segmentation
    key: tuple
    move: np.ndarray
    blur_px: float
    rough: bool
    times: int = 1

    def mapped(self, steps: Steps):
        """The map, its polylines, and the drawn curves along them."""
        return steps.run("planar", (), (self.key,), lambda _: _mapped(self.segmentation))[0]


_FITS = ("smoothness", "exact_shapes", "few_nodes", "patches", "preparation")
"""What fitting reads."""


def traced(steps: Steps, bounds: Bounds, progress) -> Traced:
    """The map with its curves, and what was changed by hand about them."""
    mapped = bounds.mapped(steps)
    return steps.run("curves", ("curves", *_FITS), (bounds.key, bounds.rough, bounds.blur_px, bounds.move.tobytes()),
                     lambda r: _traced(r, bounds, mapped, progress))[0]


def _traced(r, bounds, mapped, progress):
    planar, lines, _ = mapped
    edits = r.curves
    changed = _changed(bounds, mapped, edits)
    curves = _curves(r, bounds, mapped, changed, progress)
    found = changed.found
    if edits and not bounds.rough:
        # a course that another boundary has come to lie in is left out: nothing may cross
        guilty = _crossing(curves, changed)
        for _ in range(len(edits)):
            if not guilty:
                break
            edits = tuple(replace(edit, on=edit.on and n not in guilty) for n, edit in enumerate(edits))
            found = found & ~np.isin(np.arange(len(edits)), list(guilty))
            changed = _changed(bounds, mapped, edits)
            curves = _curves(r, bounds, mapped, changed, progress)
            guilty = _crossing(curves, changed)
    return Traced(planar, curves, arc_lengths(curves), lines, found)


def _changed(bounds, mapped, edits) -> Reshaped:
    planar, lines, along = mapped
    drawn = None if along is None else guides.group_of_arc(planar, along) >= 0
    return reshaped(lines, edits, bounds.move, (planar.width, planar.height), drawn)


def _curves(r, bounds, mapped, changed, progress) -> CurveSet:
    planar, found, along = mapped
    lines = changed.lines
    segmentation = bounds.segmentation
    if bounds.rough:
        return trace_arcs.chords(lines)

    def fitted(smoothness):
        tolerance = trace_arcs.fitting_tolerance(lines, segmentation.noise > 0, found.whole_pixels)
        tolerance *= bounds.times * _SMOOTHER**smoothness
        return trace_arcs.fit_arcs(
            planar, lines, tolerance, blur_px=bounds.blur_px, recognise=r.exact_shapes, few=r.few_nodes,
            progress=progress
        )

    is_drawing = segmentation.drawn_on is not None
    exact = {} if along is None else guides.exact_arcs(planar, lines, segmentation.cut_in.guides, along,
                                                       border=is_drawing)
    if is_drawing and len(exact) == int((np.diff(lines.starts) > 1).sum()):  # nothing is left to be fitted
        curves = replaced(trace_arcs.chords(lines), exact)
    else:
        curves = guides.with_exact(planar, _fitted_all(r, fitted, lines, planar), exact)
    if (changed.owner >= 0).any():
        curves = with_courses(curves, lines, changed.owner, changed.place, _courses(r.curves, bounds, planar))
    mirror = r.preparation.mirror
    if mirror is not None:
        curves = made_symmetric(planar, curves, Halves.of(mirror).is_upright, mirror.keep != SECOND)
    return curves


def _fitted_all(r, fitted, lines, planar):
    """Curves of all arcs, those of parts with a smoothness of their own fitted by it."""
    curves = fitted(r.smoothness)
    for patch in r.patches:
        if patch.smoothness not in (None, r.smoothness):
            curves = with_other_fit(
                curves, fitted(patch.smoothness), lines, np.array(patch.points) * (planar.width, planar.height)
            )
    return curves


def _courses(edits, bounds, planar):
    size = np.array([planar.width, planar.height], float)
    return {n: Course(ring_controls(moved(bounds.move, e.path) * size), e.closed,
                      (0 in e.corners, len(e.knots) - 1 in e.corners))
            for n, e in enumerate(edits) if e.what == NODES}


def _crossing(curves, changed):
    """Numbers of the edits whose arcs cross any."""
    touched = np.unique(np.concatenate(changed.arcs)) if changed.arcs else np.empty(0, np.intp)
    if len(touched) == 0:
        return set()
    segments, _ = ragged.take(curves.starts, touched)
    pairs = crossings_near(curves.controls, curves.straight, segments)
    arcs = ragged.owner(curves.starts)[pairs]
    return {n for n, mine in enumerate(changed.arcs) if np.isin(arcs, mine).any()}


def _mapped(segmentation):
    regions, field = segmentation.regions, segmentation.field
    planar = build_map(regions.labels, regions.faces, regions.face_label, regions.face_area)
    if segmentation.two_tones:
        levels = subpixel.LocalLevels(
            planar.face_label,
            tone.local_levels(field[..., 0], np.minimum(segmentation.labels, tone.PAPER)),
            tone.LEVEL_STEP,
        )
    else:
        levels = subpixel.FaceLevels(subpixel.face_means(planar, field))
    metric = subpixel.luma_first(field.shape[-1]) if segmentation.noise > 0 and not segmentation.two_tones else None
    points = subpixel.boundary_points(planar, field, levels, metric)
    of_whole = segmentation.noise <= 0 and stepped.in_whole_pixels(points)
    if segmentation.noise <= 0:
        points = stepped.smoothed(points, of_whole)
    points = shaded.evened(points, planar.closed)
    if segmentation.cut_in is None:
        lines = junctions.join_polylines(planar, points, junctions.place_nodes(planar, points))
        return planar, replace(lines, whole_pixels=of_whole), None
    drawn = segmentation.cut_in.guides
    along = guides.crack_groups(planar, drawn)
    points = guides.snapped(planar, points, drawn, along)
    nodes = guides.held_nodes(planar, junctions.place_nodes(planar, points), drawn, along)
    return planar, replace(junctions.join_polylines(planar, points, nodes), whole_pixels=of_whole), along
