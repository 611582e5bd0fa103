"""Outlines of sets of faces: joining, cutting out and filling without polygon arithmetic."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.succession import chain_order
from sketchloom.core.curves import curveset
from sketchloom.core.curves.curveset import CurveSet
from sketchloom.core.planar.planar_map import PlanarMap


@dataclass(frozen=True, slots=True, eq=False)
class Outline:
    """Rings of cubics with the inside on the right.

    ``controls`` (S, 4, 2) px, ring by ring; ``straight`` (S,); ``starts`` (R + 1,) offsets
    of the rings; ``area_px`` (R,) signed, positive for outer rings, negative for holes;
    ``hole`` (R,) bool, from the pixels, right even where a ring is smaller than a pixel.
    ``pen_px``: None for areas; else the width of a pen that draws the rings, open ones among them.
    """

    controls: np.ndarray
    straight: np.ndarray
    starts: np.ndarray
    area_px: np.ndarray
    hole: np.ndarray
    pen_px: float | None = None

    @property
    def pieces(self) -> int:
        return int((~self.hole).sum())

    @property
    def holes(self) -> int:
        return int(self.hole.sum())

    @property
    def segments(self) -> int:
        return len(self.controls)

    def length_px(self) -> float:
        return float(curveset.segment_lengths(self.controls, self.straight).sum())


def outline_of(planar: PlanarMap, curves: CurveSet, inside) -> Outline:
    """The outline of a set of faces.

    Parameters
    ----------
    planar, curves : the map and its fitted arcs.
    inside : (F,) bool, the faces of the set.

    Returns
    -------
    Outline
        Exact: the very curves of the arcs with one side in and the other out. Faces that
        touch in a point only stay separate rings.
    """
    within = np.append(np.asarray(inside, bool), False)  # -1 reads the outside
    left, right = within[planar.left], within[planar.right]
    arc = np.flatnonzero(left != right)
    return _outline(planar, curves, arc, right[arc])


def face_outlines(planar: PlanarMap, curves: CurveSet, faces) -> Outline:
    """The outlines of several faces in one, each for itself: where two of them meet both have the line."""
    within = np.zeros(planar.face_count + 1, bool)
    within[np.asarray(faces, np.intp)] = True
    right, left = np.flatnonzero(within[planar.right]), np.flatnonzero(within[planar.left])
    forward = np.repeat([True, False], [len(right), len(left)])
    return _outline(planar, curves, np.concatenate([right, left]), forward)


def _outline(planar, curves, arc, forward):
    """Outline of half edges: arcs, each with its right side within where it goes forward, else its left one."""
    order, starts = _rings(planar, arc, forward)
    arc, forward = arc[order], forward[order]
    lattice = planar.lattice_area[arc] * np.where(forward, 1.0, -1.0)
    hole = ragged.reduce_pieces(np.add, lattice, starts) < 0
    segment, arc_starts = ragged.take(curves.starts, arc)
    owner = ragged.owner(arc_starts)
    backward = ~forward[owner]
    mirrored = arc_starts[owner] + arc_starts[owner + 1] - 1 - np.arange(len(segment))
    segment = np.where(backward, segment[mirrored], segment)
    controls = curves.controls[segment]
    controls[backward] = controls[backward, ::-1]
    ring_starts = arc_starts[starts]
    area = ragged.reduce_pieces(np.add, curveset.segment_areas(controls), ring_starts)
    return _without_needless_nodes(Outline(controls, curves.straight[segment], ring_starts, area, hole))


def face_outline(planar: PlanarMap, curves: CurveSet, face: int) -> Outline:
    """The outline of one face."""
    inside = np.zeros(planar.face_count, bool)
    inside[face] = True
    return outline_of(planar, curves, inside)


def _rings(planar, arc, forward):
    """Order the boundary arcs ring by ring; offsets of the rings."""
    slots = np.full((len(planar.node_xy), 4), -1, np.intp)
    leaving_node = np.where(forward, planar.start_node[arc], planar.end_node[arc])
    leaving_heading = np.where(forward, planar.start_heading[arc], planar.end_heading[arc])
    slots[leaving_node, leaving_heading] = np.arange(len(arc))
    arriving_node = np.where(forward, planar.end_node[arc], planar.start_node[arc])
    back = np.where(forward, planar.end_heading[arc], planar.start_heading[arc])
    # the first way out when turning from the way back across the inside, on the right
    successor = slots[arriving_node, (back - 3) % 4]
    for turn in (2, 1):
        found = slots[arriving_node, (back - turn) % 4]
        successor = np.where(found >= 0, found, successor)
    successor = np.where(planar.closed[arc], np.arange(len(arc)), successor)
    order, starts, _ = chain_order(successor)
    return order, starts


def _without_needless_nodes(outline):
    """Join straight neighbours that lie in one line, as where a ring passes a junction."""
    if not len(outline.controls):
        return outline
    ring = ragged.owner(outline.starts)
    index = np.arange(len(ring))
    before = np.where(index == outline.starts[ring], outline.starts[ring + 1] - 1, index - 1)
    one, two = outline.controls[before], outline.controls
    chord, onward = one[:, 3] - one[:, 0], two[:, 3] - two[:, 0]
    size = np.hypot(*chord.T) * np.hypot(*onward.T)
    cross = chord[:, 0] * onward[:, 1] - chord[:, 1] * onward[:, 0]
    whole = np.hypot(*(one[:, 0] - two[:, 3]).T)
    in_line = outline.straight & outline.straight[before] & ((chord * onward).sum(1) > 0)
    in_line &= (np.abs(cross) < 0.02 * np.maximum(whole, 1e-9)) & (size > 0) & (before != index)
    # one pass joins pairs; the first of a ring keeps its node, so that every ring keeps a start
    in_line &= index != outline.starts[ring]
    joined = in_line.copy()
    joined[1:] &= ~in_line[:-1]
    if not joined.any():
        return outline
    controls = outline.controls.copy()
    at = np.flatnonzero(joined)
    controls[at - 1] = curveset.line_controls(controls[at - 1, 0], controls[at, 3])
    stay = ~joined
    starts = ragged.lengths_to_starts(np.bincount(ring[stay], minlength=len(outline.area_px)))
    return Outline(controls[stay], outline.straight[stay], starts, outline.area_px, outline.hole)
