"""Both neighbours share a boundary's bytes, and the result does not depend on the number of threads."""

import numpy as np
from hypothesis import given, settings

from amounts import examples
from core.test_planar import images, traced
from sketchloom.core.base import parallel
from sketchloom.core.curves import trace_arcs
from sketchloom.core.curves.curveset import arc_lengths, face_areas
from sketchloom.core.curves.outline import face_outline
from sketchloom.core.planar import junctions, subpixel
from sketchloom.core.planar.planar_map import build_map


def keys(controls):
    """Each cubic by its bytes, the same for both directions."""
    return {min(c.tobytes(), c[::-1].copy().tobytes()) for c in controls}


@settings(max_examples=examples(60))
@given(images)
def test_neighbours_share_the_bytes_of_every_curve_between_them(labels):
    planar, curves = traced(labels)
    of_face = [keys(np.concatenate([curves.controls[curves.starts[a]:curves.starts[a + 1]]
                                    for a in np.flatnonzero((planar.left == f) | (planar.right == f))]))
               for f in range(planar.face_count)]
    for arc in np.flatnonzero(planar.left >= 0):
        between = keys(curves.controls[curves.starts[arc]:curves.starts[arc + 1]])
        assert between <= of_face[planar.left[arc]] and between <= of_face[planar.right[arc]]
    # and the outline of a face is made of these very curves, lines joined at plain junctions apart
    for face in range(min(planar.face_count, 4)):
        outline = face_outline(planar, curves, face)
        assert keys(outline.controls[~outline.straight]) <= of_face[face]


def patchwork(side=700):
    """A map large enough for several parts: cells of rounded and cornered shapes."""
    y, x = np.mgrid[0:side, 0:side]
    cell = (np.hypot(x % 28 - 13.6, y % 28 - 14.2) < 9.3).astype(np.uint8)
    return np.where(((x + 2 * y) // 61) % 3 == 0, 2 + cell, cell).astype(np.uint8)


def fitted(labels):
    planar = build_map(labels)
    field = labels.astype(np.float32)[..., None] * 40
    points = subpixel.boundary_points(planar, field, subpixel.FaceLevels(subpixel.face_means(planar, field)))
    lines = junctions.join_polylines(planar, points, junctions.place_nodes(planar, points))
    return lines, trace_arcs.fit_arcs(planar, lines)


def test_same_bytes_for_any_number_of_threads(monkeypatch):
    monkeypatch.setattr(trace_arcs, "_PART_POINTS", 4000)
    monkeypatch.setattr(subpixel, "_PART_CRACKS", 5000)
    results = []
    for threads in (1, 2, 4):
        monkeypatch.setattr(parallel, "THREADS", threads)
        lines, curves = fitted(patchwork())
        results.append((lines.xy.tobytes(), curves.controls.tobytes(), curves.starts.tobytes()))
    assert len(lines.xy) > 5 * 4000
    assert results[0] == results[1] == results[2]


def test_parts_change_nothing_that_matters(monkeypatch):
    """Divided into parts or not, the areas come out the same within the tolerance (0.1 px along the outline), with the
    same number of segments or nearly."""
    planar = build_map(patchwork(300))
    _, whole = fitted(patchwork(300))
    monkeypatch.setattr(trace_arcs, "_PART_POINTS", 1500)
    _, parts = fitted(patchwork(300))
    one, two = (face_areas(c, planar.left, planar.right, planar.face_count) for c in (whole, parts))
    length = arc_lengths(whole)
    around = np.bincount(planar.right, length, planar.face_count) + np.bincount(
        planar.left[planar.left >= 0], length[planar.left >= 0], planar.face_count)
    assert (np.abs(one - two) < 0.1 * around).all()
    assert abs(len(whole.controls) - len(parts.controls)) <= 0.03 * len(whole.controls)
