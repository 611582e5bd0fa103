"""Photos in few tones: hues kept apart where they differ, nothing narrower than can be cut."""

import cv2
import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.cluster.vq import kmeans2
from skimage import data
from skimage.morphology import disk, opening

import shapes
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.segment import photo, shades
from sketchloom.core.segment.slivers import without_slivers
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe


def _ball(size=360):
    """A blue ball and an orange one in the same light, on pale grey: of one tone where they are lit alike."""
    y, x = np.mgrid[:size, :size] + 0.5
    rgb = np.full((size, size, 3), 225.0)
    where = np.zeros((size, size), int)
    for n, (cx, colour) in enumerate(((100, (60, 110, 220)), (260, (200, 95, 20)))):
        off = np.hypot(x - cx, y - size / 2) / 72
        light = np.clip(1.15 - 0.8 * np.hypot((x - cx) / 72 + 0.4, (y - size / 2) / 72 + 0.4) / 1.57, 0.3, 1.15)
        rgb[off < 1] = np.clip(np.array(colour) * light[off < 1][:, None], 0, 255)
        where[off < 0.93] = n + 1
    return shapes.picture(np.rint(cv2.GaussianBlur(rgb, (0, 0), 0.8)).astype(np.uint8)), where


def _shared(steps, where):
    """Share of two areas that lies in steps which both have much of."""
    one, two = (np.bincount(steps.labels[where == k], minlength=9)[:8] / (where == k).sum() for k in (1, 2))
    return float(np.minimum(one, two).sum())


@pytest.mark.parametrize("tones", [5, 6, 8])
def test_a_blue_ball_and_an_orange_one_are_steps_of_their_own(tones):
    picture, where = _ball()
    apart, ramp = (photo.tone_steps(picture, tones, 2.0, hues=hues) for hues in ("auto", "ramp"))
    assert apart.levels is None and _shared(apart, where) < 0.03
    assert ramp.levels is not None and _shared(ramp, where) > 0.4
    assert len(np.unique(apart.labels)) == tones


@pytest.mark.parametrize("name", ["camera", "moon", "coins"])
def test_grey_photographs_are_one_ramp(name):
    grey = getattr(data, name)()
    assert photo.tone_steps(shapes.picture(grey), 4, 2.0).levels is not None


@pytest.mark.parametrize("seed", range(4))
def test_clusters_are_no_worse_than_a_general_librarys_best_of_many(seed):
    """SciPy's k-means from thirty beginnings; ours has one beginning, and it is a bad one."""
    rng = np.random.default_rng(seed)
    colours = np.vstack([rng.normal(rng.uniform(0, 200, 3), rng.uniform(3, 14), (rng.integers(40, 400), 3))
                         for _ in range(7)])
    _, error = shades.clusters(colours, np.ones(len(colours)), colours[:6])
    best = np.inf
    for start in range(30):
        centres, owner = kmeans2(colours, 6, minit="++", seed=start)
        best = min(best, ((colours - centres[owner]) ** 2).sum())
    assert error <= 1.02 * best


@given(st.integers(0, 10_000), st.sampled_from([3.2, 4.6, 7.0]))
def test_only_what_is_narrow_goes_to_what_is_beside_it(seed, width):
    """Where scikit-image's opening keeps a region, by a disc a pixel wider than that of strips, it stays as it is."""
    rng = np.random.default_rng(seed)
    value = cv2.GaussianBlur(rng.normal(size=(90, 110)), (0, 0), rng.uniform(1.5, 4))
    labels = np.digitize(value, np.quantile(value, [0.25, 0.5, 0.75])).astype(np.uint8)
    centres = np.array([value[labels == k].mean() for k in range(4)])
    made = without_slivers(labels, 4, width, lambda at: (value.ravel()[at][:, None] - centres) ** 2)
    for k in range(4):
        wide = opening(labels == k, disk(int(1.5 * width / 2 + 1.5)))
        inside = np.s_[8:-8, 8:-8]
        assert (made[inside][wide[inside]] == k).all()
    assert np.isin(made, np.unique(labels)).all()


def test_the_middle_tones_of_a_steep_edge_are_shared_by_its_sides():
    """A blurred edge from black to white passes every tone between: none of them is left as a line along it."""
    tone = np.zeros((120, 120))
    tone[:, 60:] = 230
    tone[:25] = np.linspace(0, 230, 120)
    picture = shapes.picture(np.rint(cv2.GaussianBlur(tone, (0, 0), 1.6)).astype(np.uint8))
    with_, without = (photo.tone_steps(picture, 4, 1.5, narrowest_px=width) for width in (0.0, 5.0))
    assert len(np.unique(with_.labels[70])) == 4, "there is something to take out"
    assert np.unique(without.labels[70]).tolist() == [0, 3]
    share = without.picture.rgb[70:110, :, 0].astype(float)
    dark, light = without.colours[[0, 3], 0].astype(float)
    # the edge is where the tone is half way, which is where it was drawn
    assert 120 - ((share - dark) / (light - dark)).sum(1).mean() == pytest.approx(60, abs=0.35)


def test_the_edge_of_a_cut_out_photo_lies_where_its_cover_says():
    """A shaded disc on nothing: the colour of its soft edge is that of what it is the edge of, and not of nothing."""
    _y, x = np.mgrid[:240, :240] + 0.5
    tone = np.rint(40 + 170 * x / 240).astype(np.uint8)
    cover = shapes.cover_of(shapes.disc(120, 120, 90), 240)
    picture = shapes.picture(tone, np.rint(255 * cover).astype(np.uint8))
    work = Pipeline().evaluate(picture, Recipe(reading="photo", tones=4, layering="stacked", exact_shapes=False))
    lowest = max(work.layers, key=lambda layer: layer.area_mm2).outline
    points = evaluate(np.repeat(lowest.controls, 20, 0), np.tile(np.linspace(0, 1, 20), len(lowest.controls)))
    away = np.abs(np.hypot(*(points - 120).T) - 90)
    assert away.mean() < 0.07 and away.max() < 0.35


def _narrow(labels, width):
    """Share of pixels that scikit-image's opening by a disc takes from their region."""
    inside = np.s_[30:-30, 30:-30]
    return sum(((labels == k) & ~opening(labels == k, disk(int(width / 2), decomposition="sequence")))[inside].mean()
               for k in range(4))


@pytest.mark.parametrize("seed", range(3))
def test_a_fine_picture_loses_its_slivers_by_cells(seed):
    """A picture six times as fine loses as much as the picture, and little that is narrow is left."""
    rng = np.random.default_rng(seed)
    value = cv2.GaussianBlur(rng.normal(size=(90, 110)), (0, 0), 5)
    fine = cv2.resize(value, None, fx=6, fy=6, interpolation=cv2.INTER_CUBIC)
    levels = np.quantile(value, [0.25, 0.5, 0.75])
    centres = np.array([value[np.digitize(value, levels) == k].mean() for k in range(4)])
    lost = []
    for v, width in ((value, 4.6), (fine, 27.6)):
        labels = np.digitize(v, levels).astype(np.uint8)
        made = without_slivers(labels, 4, width, lambda at, v=v: (v.ravel()[at][:, None] - centres) ** 2)
        lost.append((made != labels).mean())
    assert lost[1] == pytest.approx(lost[0], rel=0.4)
    assert _narrow(made, 0.8 * width) < 0.35 * _narrow(labels, 0.8 * width)
