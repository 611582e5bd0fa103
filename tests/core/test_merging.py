"""Small regions go to a neighbour: against a slow one-at-a-time reference on the pixels."""

import numpy as np
from hypothesis import given
from hypothesis import strategies as st
from hypothesis.extra.numpy import arrays

from sketchloom.core.planar.cracks import face_image
from sketchloom.core.segment.merging import merge_small, neighbours

images = st.tuples(st.integers(2, 12), st.integers(2, 12)).flatmap(
    lambda s: arrays(np.uint8, s, elements=st.integers(0, 2)))


@given(images, st.integers(1, 12))
def test_no_small_region_is_left_and_the_faces_are_true(labels, least):
    cleaned = merge_small(labels, least)
    faces, face_label = face_image(cleaned.labels)
    assert (cleaned.faces == faces).all() and (cleaned.face_label == face_label).all()
    area = np.bincount(faces.ravel())
    assert len(area) == 1 or area.min() >= least
    # regions that were large enough keep their pixels
    before, _ = face_image(labels)
    kept = np.bincount(before.ravel()) >= least
    same = kept[before]
    assert (cleaned.labels[same] == labels[same]).all() or not kept.any() or len(area) == 1


@given(images)
def test_shared_cracks(labels):
    faces, _ = face_image(labels)
    pairs, length = neighbours(faces)
    seen = {(int(a), int(b)): int(n) for (a, b), n in zip(pairs, length, strict=False)}
    expected = {}
    for one, two in ((faces[1:], faces[:-1]), (faces[:, 1:], faces[:, :-1])):
        for a, b in zip(one.ravel().tolist(), two.ravel().tolist(), strict=False):
            if a != b:
                expected[a, b] = expected.get((a, b), 0) + 1
                expected[b, a] = expected.get((b, a), 0) + 1
    assert seen == expected


def test_the_longest_shared_boundary_decides():
    labels = np.zeros((8, 8), np.uint8)
    labels[:, 4:] = 1
    labels[2:4, 3:5] = 2
    labels[2, 2] = 2  # three cracks more on the side of label 0
    cleaned = merge_small(labels, 6)
    assert (cleaned.labels[2:4, 3:5] == 0).all()
    assert cleaned.dropped.tolist() == [[3.5, 2.5, 5.0]]  # the longer row, nearest the mean height


def test_crumbs_are_given_away_but_are_no_details():
    labels = np.zeros((9, 9), np.uint8)
    labels[4, 4] = 1
    cleaned = merge_small(labels, 4)
    assert not cleaned.labels.any() and len(cleaned.dropped) == 0
