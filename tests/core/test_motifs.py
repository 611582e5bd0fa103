"""Rings of cells around one centre, among cells that lie anywhere."""

import numpy as np
import pytest

from sketchloom.core.edits.motifs import among, ring_of


def flower(seed, petals, jitter):
    """Petals around (200, 200), their middle, and other cells beside; by rule."""
    rng = np.random.default_rng(seed)
    turn = np.arange(petals) * 2 * np.pi / petals + rng.uniform(0, 6)
    turn = turn + rng.uniform(-jitter, jitter, petals) * 2 * np.pi / petals
    away = 100 * (1 + rng.uniform(-jitter, jitter, petals))
    places = np.stack([200 + away * np.cos(turn), 200 + away * np.sin(turn)], -1)
    others = rng.uniform(0, 900, (25, 2))
    others = others[np.hypot(*(others - 200).T) > 160]
    areas = [500 * rng.uniform(0.85, 1.15, petals), [300], rng.uniform(100, 3000, len(others))]
    return np.concatenate([places, [[200, 200]], others]), np.concatenate(areas)


@pytest.mark.parametrize("petals", range(3, 17))
@pytest.mark.parametrize("jitter", [0.0, 0.07])
def test_the_petals_of_a_flower_are_its_ring(petals, jitter):
    places, areas = flower(100 + petals, petals, jitter)
    ring = ring_of(places, areas, 1)
    assert set(ring.members.tolist()) == set(range(petals)) and ring.members[0] == 1
    steps = np.diff(np.append(ring.members, ring.members[0])) % petals
    assert len(set(steps.tolist())) == 1  # in the order they lie
    assert among(places, areas, ring).tolist() == [petals]


@pytest.mark.parametrize("seed", range(12))
def test_cells_that_lie_anywhere_are_seldom_a_ring(seed):
    rng = np.random.default_rng(seed)
    ring = ring_of(rng.uniform(0, 900, (8, 2)), np.geomspace(100, 30_000, 8), 3)
    assert ring is None


def test_a_row_is_no_ring():
    places = np.stack([np.arange(9) * 40.0, np.full(9, 100.0)], -1)
    assert ring_of(places, np.full(9, 400.0), 4) is None
