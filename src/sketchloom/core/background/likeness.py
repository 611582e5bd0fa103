"""Whether a pixel looks like what is kept or like what is dropped, by colours seen near it."""

from dataclasses import dataclass
from typing import Any

import numpy as np

from sketchloom.core.base.late import late

spatial = late("scipy.spatial")

_SAMPLES = 2000
"""Pixels that stand for a side."""
_NEAREST, _SLACK = 3, 0.5
"""The distance to a side is that to its third nearest sample, at most so much too long."""
_FAR = 1000.0
"""Farther than any two colours at any two places."""
_HELD = 1500
"""Pixels of the background that its own spread is measured on."""


def features(lab, near: float) -> np.ndarray:
    """(H W, 5): CIELAB, and the place as so much CIELAB distance for the picture's long side."""
    height, width = lab.shape[:2]
    y, x = np.mgrid[:height, :width].astype(np.float32) * (near / max(height, width))
    return np.concatenate([lab.reshape(-1, 3), x.reshape(-1, 1), y.reshape(-1, 1)], 1)


@dataclass(frozen=True, slots=True, eq=False)
class Side:
    """Samples of one side, to which distances are taken."""

    tree: Any  # a cKDTree, which is loaded late

    @staticmethod
    def of(every, index, rng) -> "Side":
        """A side from some of its pixels."""
        chosen = index if len(index) <= _SAMPLES else rng.choice(index, _SAMPLES, replace=False)
        return Side(spatial.cKDTree(every[chosen]))

    def away(self, wanted) -> np.ndarray:
        """(K,) how far features are from the side; from one without samples, very far."""
        k = min(_NEAREST, self.tree.n)
        if k == 0:
            return np.full(len(wanted), _FAR)
        found = self.tree.query(wanted, k=k, eps=_SLACK)[0]
        return found if k == 1 else found[:, -1]

    def spread(self, every, index, rng, share: float) -> float:
        """How far pixels of the side are from its samples, at a share of them."""
        held = index if len(index) <= _HELD else rng.choice(index, _HELD, replace=False)
        return float(np.quantile(self.away(every[held]), share))


def likeness(away_keep, away_drop) -> np.ndarray:
    """(K,) 0 to 1: how much nearer the kept side is than the dropped one, by the squares of the distances."""
    keep, drop = np.square(away_keep), np.square(away_drop)
    return drop / (keep + drop + 1e-9)
