"""All cut-offs at once: quad counts against a general library, stable stretches, local cut-offs, silhouettes."""

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from hypothesis.extra import numpy as hnp
from skimage.filters import threshold_sauvola
from skimage.measure import euler_number, label

import shapes
from amounts import examples
from sketchloom.core.segment import cut_offs, local_tone, piece_counts
from sketchloom.core.segment.tone import INK, PAPER


def drawing(size=160):
    """A ring, a disc and a bar in dark ink on light paper, antialiased, with some grain."""
    ring = shapes.cover_of(shapes.disc(50, 50, 35), size) - shapes.cover_of(shapes.disc(50, 50, 24), size)
    bar = shapes.cover_of(shapes.polygon(np.array([[90.3, 100], [150, 110.7], [149, 116], [89, 105]])), size)
    cover = np.clip(ring + shapes.cover_of(shapes.disc(115, 45, 20), size) + bar, 0, 1)
    return (
        np.clip(230 - 190 * cover + np.random.default_rng(4).normal(0, 4, cover.shape), 0, 255).round().astype(np.uint8)
    )


@pytest.mark.parametrize(
    "make", [drawing, lambda: np.random.default_rng(1).integers(0, 256, (37, 53)).astype(np.uint8)]
)
def test_pieces_less_holes_agree_with_a_general_labelling_at_all_levels(make):
    """Gray 1971 against scikit-image's labelling: ink over corners, paper over sides only."""
    grey = make()
    counted = cut_offs.count_cut_offs(grey)
    for level in range(256):
        ink = np.pad(grey <= level, 1)
        pieces = label(ink, connectivity=2).max()
        holes = label(~ink, connectivity=1).max() - 1
        assert counted.euler[level] == pieces - holes


@pytest.mark.parametrize("dark_is_ink", [True, False])
@pytest.mark.parametrize(
    "make", [drawing, lambda: np.random.default_rng(2).integers(0, 256, (38, 51)).astype(np.uint8)]
)
def test_pieces_and_holes_agree_with_a_general_labelling_at_all_levels(make, dark_is_ink):
    """Against scikit-image's labelling, dark ink and light."""
    grey = make()
    pieces, holes = cut_offs.pieces_and_holes(grey, dark_is_ink)
    for level in range(256):
        ink = np.pad((grey <= level) == dark_is_ink, 1)
        assert pieces[level] == label(ink, connectivity=2).max()
        assert holes[level] == label(~ink, connectivity=1).max() - 1


@given(
    hnp.arrays(np.uint8, hnp.array_shapes(min_dims=2, max_dims=2, min_side=1, max_side=14), elements=st.integers(0, 5)),
    st.integers(1, 4),
)
@settings(max_examples=examples(80))
def test_pieces_are_the_same_however_the_rows_are_parted(grey, rows):
    before, piece_counts._ROWS = piece_counts._ROWS, rows
    try:
        counted = piece_counts.count_pieces(grey)
    finally:
        piece_counts._ROWS = before
    for level in range(7):
        assert counted[level] == label(grey <= level, connectivity=2).max()


@given(hnp.arrays(np.uint8, hnp.array_shapes(min_dims=2, max_dims=2, min_side=1, max_side=12)), st.integers(0, 255))
@settings(max_examples=examples(60))
def test_quads_of_any_picture(grey, level):
    counted = cut_offs.count_cut_offs(grey)
    ink = grey <= level
    assert counted.euler[level] == euler_number(np.pad(ink, 1), connectivity=2)
    padded = np.pad(ink, 1).astype(int)
    assert counted.edge_px[level] == np.abs(np.diff(padded, axis=0)).sum() + np.abs(np.diff(padded, axis=1)).sum()
    assert counted.ink[level] == pytest.approx(ink.mean())


def test_rows_taken_in_parts_count_the_same(monkeypatch):
    whole = cut_offs.count_cut_offs(drawing())
    monkeypatch.setattr(cut_offs, "_ROWS", 7)
    assert np.array_equal(cut_offs.count_cut_offs(drawing()).euler, whole.euler)


def test_the_best_stretch_lies_between_the_tones_and_shows_what_was_drawn():
    counted = cut_offs.count_cut_offs(drawing())
    best = counted.stretches[0]
    assert best.first <= best.best <= best.last and 55 < best.best < 215
    assert best.last - best.first > 60
    assert counted.euler[best.best] == 2  # three pieces, one hole


@pytest.mark.parametrize(
    "grey", [np.full((20, 20), 200, np.uint8), np.zeros((9, 30), np.uint8), np.full((8, 8), 255, np.uint8)]
)
def test_one_tone_has_a_proposal_all_the_same(grey):
    assert 0 <= cut_offs.count_cut_offs(grey).proposed() <= 255


def test_local_cut_offs_agree_with_a_general_library():
    """Sauvola and Pietikainen 2000 as scikit-image computes it, away from the picture's edge."""
    grey = drawing()
    ours = local_tone.local_cut_offs(grey, 25)
    theirs = threshold_sauvola(grey, 25, k=0.2, r=128)
    assert np.abs(ours - theirs)[13:-13, 13:-13].max() < 0.05


def test_a_strong_shadow_hides_nothing_from_a_local_cut_off():
    cover = sum(shapes.cover_of(shapes.disc(x, y, 11), 240) - shapes.cover_of(shapes.disc(x, y, 7), 240)
                for x in (30, 90, 150, 210) for y in (30, 90, 150, 210))
    light = np.linspace(1.0, 0.3, 240)[None, :]
    grey = np.rint((235 - 120 * cover) * light).astype(np.uint8)
    wanted = cover > 0.5
    local = local_tone.local_labels(grey, 128) == INK
    assert (local != wanted).mean() < 0.02
    assert min(((grey <= t) != wanted).mean() for t in range(256)) > 3 * (local != wanted).mean()


def test_a_black_area_larger_than_the_window_stays_whole():
    grey = np.full((300, 300), 235, np.uint8)
    grey[60:240, 60:240] = 30
    assert (local_tone.local_labels(grey, 128)[62:238, 62:238] == INK).all()


def test_light_ink_on_dark_is_the_same_upside_down():
    grey = drawing()
    assert np.array_equal(
        local_tone.local_labels(grey, 128), local_tone.local_labels(255 - grey, 128, dark_is_ink=False)
    )


def test_a_silhouette_fills_what_ink_encloses_and_leaves_bays_open():
    labels = np.full((60, 80), PAPER, np.uint8)
    cv2.circle(labels, (25, 30), 18, INK, 3)
    labels[28:31, 20:30] = INK  # an island in the ring
    cv2.ellipse(labels, (60, 30), (14, 14), 0, 40, 320, INK, 3)  # a bay, open to the right
    filled = local_tone.silhouette(labels)
    assert filled[30, 15] == INK and filled[22, 25] == INK
    assert filled[30, 60] == PAPER and filled[0, 0] == PAPER
    assert (filled[labels == INK] == INK).all()


def test_grainy_light_from_a_side_is_no_lighter_part_of_the_drawing():
    rng = np.random.default_rng(4)
    y, x = np.mgrid[:600, :600]
    ink = (np.abs(x - 300) < 60) | (np.abs(y - 400) < 40)
    light = np.where(ink, 30.0, 242 - 45 * x / 600) + rng.normal(0, 3, x.shape)
    counted = cut_offs.count_cut_offs(np.clip(light, 0, 255).round().astype(np.uint8))
    assert counted.with_lighter is None and 60 < counted.proposed() < 180
    flat = np.where(ink, 30.0, np.where((y < 200) & (x > 240), 205, 245)) + rng.normal(0, 3, x.shape)
    counted = cut_offs.count_cut_offs(np.clip(flat, 0, 255).round().astype(np.uint8))
    assert 212 < counted.proposed() < 240 and counted.proposed(dark_is_ink=False) < 212
