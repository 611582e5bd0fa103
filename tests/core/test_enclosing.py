"""Cells within one outline: wings in a heavier line than their veins, shells drawn by themselves."""

import cv2
import numpy as np
import pytest

from sketchloom.core.edits.enclosing import enclosed_with
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

MIDDLES = ((200, 200), (400, 200), (200, 400), (400, 400))


def wings(outline, vein, scale=1.0, body=True):
    """Four wings of five cells or so, their outlines joined at a body; a cell of each."""
    drawn = np.full((round(600 * scale), round(600 * scale)), 255, np.uint8)

    def at(x, y):
        return round(x * scale), round(y * scale)

    def oval(middle, size, shade, width):
        cv2.ellipse(drawn, at(*middle), at(*size), 0, 0, 360, shade, round(width * scale) if width > 0 else -1,
                    cv2.LINE_AA)
    for turn, (x, y) in enumerate(MIDDLES):
        wide, high = (98, 96) if body else (88, 86)
        within, veins = np.zeros_like(drawn), np.full_like(drawn, 255)
        cv2.ellipse(within, at(x, y), at(wide, high), 0, 0, 360, 255, -1)
        for off in (-50, -12, 20, 62):  # aslant, so that no cells lie in a ring
            cv2.line(veins, at(x - 99, y + off - 3 * turn), at(x + 99, y + off + 9), 0, round(vein * scale),
                     cv2.LINE_AA)
        drawn[within > 0] = veins[within > 0]
        oval((x, y), (wide, high), 0, outline)
    if body:
        oval((300, 300), (20, 150), 255, -1)
        oval((300, 300), (20, 150), 0, outline)
    return Picture(frozen_array(np.repeat(drawn[..., None], 3, 2)))


def desk_of(picture):
    work = Pipeline().evaluate(picture, Recipe(reading="tone", size_mm=120.0))
    return RegionDesk(work, RegionIndex(work.traced.planar))


@pytest.mark.parametrize(("outline", "vein", "scale"), [(8, 3, 1.0), (6, 4, 1.0), (9, 6, 0.7), (8, 4, 1.6)])
def test_a_wing_is_what_its_heavier_outline_encloses(outline, vein, scale):
    desk = desk_of(wings(outline, vein, scale))
    for x, y in MIDDLES:
        out = np.sign((x - 300, y - 300))
        face = desk.index.at(scale * (x + 45 * out[0]), scale * (y + 6)).face
        motif = desk.motif(face)
        middles = desk.sizes.centre[list(motif)] / scale
        assert 4 <= len(motif) <= 7 and face in motif
        assert (np.hypot(*(middles - (x, y)).T) < 110).all()
        assert all(desk.motif(one) == motif for one in motif)


def test_what_is_drawn_by_itself_is_one_thing_though_all_its_lines_are_alike():
    desk = desk_of(wings(5, 5, body=False))
    found = {desk.motif(desk.index.at(x + 45, y + 6).face) for x, y in MIDDLES}
    assert len(found) == 4 and {len(one) for one in found} == {5}


def test_lines_of_one_weight_that_are_joined_part_nothing():
    desk = desk_of(wings(5, 5))
    face = desk.index.at(155, 206).face
    is_cell = ~desk.outlines & ~desk.outside
    assert enclosed_with(desk.work.traced.planar.faces, desk.outlines, is_cell, face).tolist() == [face]


def test_a_cell_too_small_for_the_reduced_view_is_alone():
    faces = np.zeros((2000, 2000), int)
    faces[::2, 1] = 1
    assert enclosed_with(faces, np.zeros(2, bool), np.array([False, True]), 1).tolist() == [1]
