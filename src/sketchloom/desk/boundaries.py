"""Stretches of a work's boundaries: chosen, given another course or other nodes, made regular; from px to what a recipe
keeps."""

from dataclasses import replace
from functools import cached_property

import numpy as np
import shapely

from sketchloom.core.base.errors import GeometryError
from sketchloom.core.base.said import said
from sketchloom.core.curves import reshapes, stretches
from sketchloom.core.curves.courses import NODES, CurveEdit, course_points
from sketchloom.core.curves.node_chain import NodeChain
from sketchloom.core.curves.regular import Regular, nearly_regular
from sketchloom.core.picture.preparing.placing import moved
from sketchloom.evaluate.work import Work

_MOST_POINTS, _SAME_PX = 2000, 0.02
"""Points kept of a drawn line, and how far it may move by leaving some out."""
SIMPLER_MM = 0.15
"""How far a boundary may move to become simpler: under the width of a blade's cut."""
NODE_LESS = "one less"
_LEAST_MOVE_MM = 0.08
"""Less cannot be seen once it is cut."""
_SAME_NODES_PX = 0.3
"""Nodes so near to those a recipe keeps are the same ones."""


class BoundaryDesk:
    """Places of one work, and its boundaries. All that come in and go out are px of its prepared picture unless they
    say shares."""

    def __init__(self, work: Work):
        self.work = work
        self.size = np.array([work.picture.width, work.picture.height], float)
        self._back = np.linalg.inv(work.move)

    def kept(self, points) -> tuple[tuple[float, float], ...]:
        """Places as a recipe keeps them; they may lie beyond the picture's edge."""
        places = np.clip(moved(self._back, np.asarray(points, float).reshape(-1, 2) / self.size), -2.0, 3.0)
        return tuple((round(float(x), 7), round(float(y), 7)) for x, y in places)

    def mm(self, px: float) -> float:
        return px * self.work.mm_per_px

    def stretch(self, brush, reach_px: float) -> stretches.Stretch | None:
        return self._as_set(stretches.stretch_along(self.work.traced.planar, self.work.traced.curves, brush, reach_px))

    def ring(self, place, reach_px: float) -> stretches.Stretch | None:
        return self._as_set(stretches.ring_at(self.work.traced.planar, self.work.traced.curves, place, reach_px))

    def reshaped(
        self, what: str, stretch: stretches.Stretch, radius_mm: float = 2.0, at: float = 0.5, by=(0.0, 0.0)
    ) -> np.ndarray:
        """The new course of a stretch; raises GeometryError where there is none, or where another boundary is in its
        way."""
        path = self.course(what, stretch, radius_mm, at, by)
        if stretches.is_in_the_way(self.work.traced.curves, stretch.points, path):
            raise GeometryError(said("another boundary is in the way"))
        return path

    def course(
        self, what: str, stretch: stretches.Stretch, radius_mm: float = 2.0, at: float = 0.5, by=(0.0, 0.0)
    ) -> np.ndarray:
        """The same, whatever is in its way."""
        points, closed = stretch.points, stretch.closed
        if what == "straight":
            return reshapes.straight(points)
        if what == "circle" or (what == "arc" and closed):
            return reshapes.circle(points[:-1])
        if what == "arc":
            return reshapes.arc(points)
        if what == "round":
            return reshapes.rounded(points, radius_mm / self.work.mm_per_px)
        if what == "corner":
            return reshapes.cornered(points)
        if what == NODE_LESS:
            return reshapes.one_node_less(points)
        if what == "simple":
            return reshapes.simpler(points, SIMPLER_MM / self.work.mm_per_px)
        if what == "pull":
            return reshapes.pulled(points, at, by)
        return reshapes.smooth(points)

    @staticmethod
    def deviation_px(stretch, path) -> float:
        """How far a stretch and its new course are apart at most."""
        return reshapes.deviation(stretch, path)

    def off_picture_px(self, stretch, path) -> float:
        """How far a course in place of a stretch, (N, 2) each, is at most from where the picture itself has the
        boundary."""
        traced = self.work.traced
        return stretches.off_boundary(traced.curves, traced.lines, stretch, path)

    def curve_edit(self, what: str, stretch, path, closed: bool) -> CurveEdit:
        def kept(points):
            return self.kept(thinned(points))
        return CurveEdit(kept(stretch), kept(path), "simple" if what == NODE_LESS else what, closed)

    @cached_property
    def regular(self) -> tuple[Regular, ...]:
        found = nearly_regular(self.work.traced.planar, self.work.traced.curves)
        return tuple(one for one in found if self.mm(one.move_px) >= _LEAST_MOVE_MM)

    def made_regular(self, one: Regular) -> tuple[CurveEdit, ...]:
        return tuple(self.curve_edit(one.what, stretch, path, closed) for stretch, path, closed in one.parts)

    # -- nodes -----------------------------------------------------------------------

    def with_nodes(self, stretch: stretches.Stretch, chain: NodeChain) -> tuple[CurveEdit, ...]:
        """The recipe's edits of boundaries with the nodes of a stretch set to a chain's.

        What sets the very nodes that the stretch has is changed; else there is an edit more. Raises GeometryError where
        another boundary is in the way.
        """
        edits = self.work.recipe.curves
        path = self.kept(chain.points)
        made = CurveEdit(self.kept(thinned(stretch.points)), path, NODES, chain.closed,
                         knots=_rounded(chain.knots), corners=tuple(sorted(chain.corners)))
        if stretches.is_in_the_way(self.work.traced.curves, stretch.points,
                                   moved(self.work.move, course_points(made)) * self.size):
            raise GeometryError(said("another boundary is in the way"))
        last = edits[-1] if edits else None
        if last is None or not self._has_set(last, stretch.chain):
            return (*edits, made)
        knots = np.interp(chain.knots, stretch.chain.knots, last.knots)
        return (*edits[:-1], replace(last, path=path, knots=_rounded(knots), corners=made.corners))

    def _as_set(self, stretch):
        """A stretch with the corners that a hand gave its nodes, where it set them."""
        if stretch is None:
            return None
        edit = next((e for e in reversed(self.work.recipe.curves) if self._has_set(e, stretch.chain)), None)
        return stretch if edit is None else replace(stretch, chain=replace(stretch.chain,
                                                                           corners=frozenset(edit.corners)))

    def _has_set(self, edit, chain):
        if edit.what != NODES or not edit.on or edit.closed != chain.closed or len(edit.path) != len(chain.points):
            return False
        points = moved(self.work.move, edit.path) * self.size
        return float(np.abs(points - chain.points).max()) < _SAME_NODES_PX

    def course_of(self, edit: CurveEdit) -> np.ndarray:
        """(N, 2) px along the course of an edit."""
        return moved(self.work.move, course_points(edit)) * self.size


def _rounded(knots):
    return tuple(round(float(k), 9) for k in knots)


def thinned(points):
    """The line without points that change it by less than can be seen; at most so many, its ends among them."""
    points = np.asarray(points, float)
    for off in (_SAME_PX, 2 * _SAME_PX, 4 * _SAME_PX, 8 * _SAME_PX):
        kept = np.asarray(shapely.simplify(shapely.LineString(points), off, preserve_topology=False).coords)
        if len(kept) <= _MOST_POINTS:
            return kept
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    at = np.linspace(0, way[-1], _MOST_POINTS)
    return np.stack([np.interp(at, way, points[:, c]) for c in (0, 1)], -1)
