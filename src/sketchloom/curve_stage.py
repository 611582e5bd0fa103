"""From a segmentation to the planar map and its curves, with what a person changed about single boundaries."""

from dataclasses import replace

import numpy as np

from sketchloom.core import ragged
from sketchloom.core.curves import trace_arcs
from sketchloom.core.curves.crossings import crossings_near
from sketchloom.core.curves.curveset import CurveSet, arc_lengths
from sketchloom.core.curves.halves import made_symmetric
from sketchloom.core.curves.reshaping import Reshaped, reshaped
from sketchloom.core.curves.selecting import with_other_fit
from sketchloom.core.picture.preparing.mirroring import SECOND, mirror_frame
from sketchloom.core.planar import junctions, subpixel
from sketchloom.core.planar.planar_map import build_map
from sketchloom.core.segment import tone
from sketchloom.core.shapes import guides
from sketchloom.recipe import Recipe
from sketchloom.segmenting import Segmentation
from sketchloom.work import Traced

_SMOOTHER = 1.6


class CurveStage:
    """Curves of one segmentation. ``keep(key, make)`` holds what other settings do not change; ``key`` is that of the segmentation.

    ``move`` as of ``placing``; ``patches``: parts of the picture with settings of their own; ``blur_px`` of the picture.
    """

    def __init__(self, keep, recipe: Recipe, segmentation: Segmentation, key, move, patches, blur_px: float, rough: bool, progress):
        self.keep, self.recipe, self.segmentation, self.key, self.move = keep, recipe, segmentation, key, move
        self._patches = tuple(p for p in patches if p.smoothness not in (None, recipe.smoothness))
        self._blur, self._rough, self._progress = blur_px, rough, progress

    def map(self):
        """The map, its boundary points as polylines, and along which drawn curve each crack runs, if any were laid on."""
        return self.keep(("planar", self.key), lambda: _mapped(self.segmentation))

    def traced(self) -> Traced:
        """The map with its curves."""
        recipe, key = self.recipe, ("curves", self.key, self._rough, self.recipe.smoothness, self.recipe.exact_shapes, self._patches)
        if recipe.curves:
            key = (*key, recipe.curves, recipe.preparation)
        return self.keep(key, self._traced)

    def _traced(self):
        planar, lines, along = self.map()
        edits = self.recipe.curves
        changed = self._changed(edits)
        curves = self._curves(changed.lines)
        found = changed.found
        if edits and not self._rough:
            # a course that another boundary has come to lie in is left out: nothing may cross
            guilty = _crossing(curves, changed)
            for _ in range(len(edits)):
                if not guilty:
                    break
                edits = tuple(replace(edit, on=edit.on and n not in guilty) for n, edit in enumerate(edits))
                found = found & ~np.isin(np.arange(len(edits)), list(guilty))
                changed = self._changed(edits)
                curves = self._curves(changed.lines)
                guilty = _crossing(curves, changed)
        return Traced(planar, curves, arc_lengths(curves), lines, found)

    def _changed(self, edits) -> Reshaped:
        planar, lines, along = self.map()
        drawn = None if along is None else guides.group_of_arc(planar, along) >= 0
        return reshaped(lines, edits, self.move, (planar.width, planar.height), drawn)

    def _curves(self, lines) -> CurveSet:
        planar, _, along = self.map()
        if self._rough:
            return trace_arcs.chords(lines)
        recipe = self.recipe

        def fitted(smoothness):
            tolerance = trace_arcs.fitting_tolerance(lines, self.segmentation.noise > 0) * _SMOOTHER**smoothness
            return trace_arcs.fit_arcs(planar, lines, tolerance, blur_px=self._blur, recognise=recipe.exact_shapes, progress=self._progress)
        curves = fitted(recipe.smoothness)
        for patch in self._patches:
            curves = with_other_fit(curves, fitted(patch.smoothness), lines, np.array(patch.points) * (planar.width, planar.height))
        if along is not None:
            curves = guides.with_guides(planar, lines, curves, self.segmentation.cut_in.guides, along)
        mirror = recipe.preparation.mirror
        if mirror is not None:
            curves = made_symmetric(planar, curves, mirror_frame(100, 100, mirror).is_upright, mirror.keep != SECOND)
        return curves


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
        levels = subpixel.LocalLevels(planar.face_label, tone.local_levels(field[..., 0], np.minimum(segmentation.labels, tone.PAPER)), tone.LEVEL_STEP)
    else:
        levels = subpixel.FaceLevels(subpixel.face_means(planar, field))
    metric = subpixel.luma_first(field.shape[-1]) if segmentation.noise > 0 and not segmentation.two_tones else None
    points = subpixel.boundary_points(planar, field, levels, metric)
    if segmentation.cut_in is None:
        return planar, junctions.join_polylines(planar, points, junctions.place_nodes(planar, points)), None
    drawn = segmentation.cut_in.guides
    along = guides.crack_groups(planar, drawn)
    points = guides.snapped(planar, points, drawn, along)
    nodes = guides.held_nodes(planar, junctions.place_nodes(planar, points), drawn, along)
    return planar, junctions.join_polylines(planar, points, nodes), along
