"""Steps of a shading: boundaries where the picture has no edge."""

import numpy as np
import pytest

import shapes
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.planar.shaded import evened
from sketchloom.core.planar.subpixel import BoundaryPoints
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

SIDE = 320
LIGHT, DARK = np.array((250, 200, 90)), np.array((180, 70, 40))


@pytest.fixture(scope="module")
def ball():
    """The map's curves of a ball shaded from its middle, read in four colours."""
    y, x = np.mgrid[:SIDE, :SIDE] + 0.5
    t = np.clip(np.hypot(x - SIDE / 2, y - SIDE / 2) / (0.47 * SIDE), 0, 1)[..., None]
    picture = shapes.picture(np.rint(LIGHT + (DARK - LIGHT) * t).astype(np.uint8))
    return Pipeline().evaluate(picture, Recipe(reading="colour", colours=4)).traced


def test_steps_of_a_round_shading_are_circles(ball):
    """Closed form: lines of one value around a middle are circles. Without evening they wandered by 0.5 px, in 14 to 30
    pieces."""
    curves, rings = ball.curves, 0
    for arc in np.flatnonzero(ball.planar.closed):
        own = curves.controls[curves.starts[arc]:curves.starts[arc + 1]]
        radius = np.hypot(*(evaluate(own[:, None], np.linspace(0, 1, 20)[None]).reshape(-1, 2) - SIDE / 2).T)
        if len(own) and radius.max() < 0.46 * SIDE:
            rings += 1
            assert np.abs(radius - radius.mean()).max() < 0.25 and len(own) <= 12
    assert rings >= 2


def ring(radius, count, soft=True):
    angle = np.linspace(0, 2 * np.pi, count, endpoint=False)
    xy = 50 + radius * np.stack([np.cos(angle), np.sin(angle)], -1)
    return BoundaryPoints(xy, np.array([0, count]), xy, np.full(count, soft))


def test_a_small_highlight_does_not_shrink():
    small = ring(6.0, 38)
    assert np.hypot(*(evened(small, np.array([True])).xy - 50).T).min() > 5.7


def test_ends_of_an_arc_and_what_is_no_shading_stay():
    rng = np.random.default_rng(2)
    xy = np.stack([np.arange(200.0), rng.normal(0, 0.3, 200)], -1)
    lines = BoundaryPoints(xy, np.array([0, 200]), xy, np.ones(200, bool))
    made = evened(lines, np.array([False])).xy
    assert np.abs(made[[0, -1]] - xy[[0, -1]]).max() < 1e-9
    assert made[:, 1].std() < 0.5 * xy[:, 1].std()
    hard = BoundaryPoints(xy, np.array([0, 200]), xy, np.zeros(200, bool))
    assert (evened(hard, np.array([False])).xy == xy).all()
    # two points that came out soft by chance move next to nothing
    few = BoundaryPoints(xy, np.array([0, 200]), xy, np.isin(np.arange(200), (60, 150)))
    assert np.abs(evened(few, np.array([False])).xy - xy).max() < 0.02


def test_a_ring_is_evened_across_its_seam():
    whole = ring(40.0, 250)
    rng = np.random.default_rng(3)
    rough = BoundaryPoints(whole.xy + rng.normal(0, 0.3, whole.xy.shape), whole.starts, whole.middle, whole.soft)
    made, turned = (evened(BoundaryPoints(np.roll(rough.xy, k, 0), rough.starts, rough.middle, rough.soft),
                           np.array([True])).xy for k in (0, 97))
    assert np.abs(np.roll(made, 97, 0) - turned).max() < 1e-9
