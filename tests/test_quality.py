"""A few of the benchmark's truth pictures: traces stay close to the drawings they were rendered from."""

import numpy as np
import pytest

from bench.quality import run
from bench.quality.conditions import CONDITIONS
from bench.quality.truth import Truth

ICONS = run.icons()
FEW = [n for n, icon in enumerate(ICONS) if not icon["aside"]][::13]


@pytest.mark.parametrize("number", range(4))
def test_medians_of_a_few_pictures(number):
    """The limits are the benchmark's own for medians over all pictures, and some room for so few."""
    condition = CONDITIONS[number]
    scores = [run.score(ICONS[n], condition, n)[0] for n in FEW if ICONS[n]["kind"] in condition.kinds]
    mean, p95, _, ratio = run.LIMITS[condition.name]
    assert np.median([s.mean_px for s in scores]) <= 1.3 * mean
    assert np.median([s.p95_px for s in scores]) <= 1.3 * p95
    assert np.median([s.segments_ratio for s in scores]) <= 1.4 * ratio
    assert sum(s.tiny for s in scores) == 0


def test_the_truth_of_two_shapes_by_hand():
    """A square partly under a square: areas, boundary length, segments and corners counted on paper."""
    body = '<path fill="#ff0000" d="M2 2h10v10H2z"/><path fill="#0000ff" d="M7 4h10v10H7z"/>'
    truth = Truth.of(body, 20, 200, (255, 255, 255))
    assert truth.colours == pytest.approx({(255, 0, 0): 0.15, (0, 0, 255): 0.25})
    # all of the upper one, and of the lower one's 40 what is not under it: 13 are; units of 10 px
    assert truth.boundary.length == pytest.approx((40 + 27) * 10)
    assert len(truth.corners) == 3 + 4 and truth.segments == 4 + 4


def test_scores_are_bad_for_a_bad_trace():
    """The measure can fail: a trace of another picture is far from the truth."""
    from bench.quality import measure
    truth = Truth.of(ICONS[FEW[0]]["body"], ICONS[FEW[0]]["size"], 200, (255, 255, 255))
    square = np.array([[20, 20], [180, 20], [180, 180], [20, 180], [20, 20]], float)
    assert measure.both_ways([square], truth.boundary)[0] > 3
