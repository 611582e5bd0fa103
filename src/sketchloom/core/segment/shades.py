"""The few colours a shaded picture is told in: one ramp from dark to light, or steps within each of its hues."""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.progress import breathe

_CHROMA, _LESS = 0.8, 0.045
"""Weight of chroma beside lightness, and how much less it counts where there is much of it: the same part as in the
difference of colours CIE94. Chosen by eye on sixteen photographs at 4 and 6 tones: with more, faces lost their tones
to what is around them."""
_APART_CHROMA, _APART_LESS = 1.0, 0.02
"""The same where hues are asked to be kept apart."""
_GAIN = 0.86
"""Hues are kept apart where that leaves no more of the ramp's error than this: on the same photographs it is what set
those that gained, to the eye, from those that lost."""
_TONES = 2.55
"""Distances are told in tones, 255 of them from black to white."""
_CELL = 4.0
_ROUNDS = 40
_STILL = 0.01


@dataclass(frozen=True, slots=True, eq=False)
class Space:
    """A colour space in which distances are told by lightness and, to a lesser degree, by chroma (CIELAB's)."""

    chroma: float
    less: float

    def of(self, rgb) -> np.ndarray:
        """(H, W, 3) float32, in tones, of (H, W, 3) uint8."""
        lab = cv2.cvtColor(rgb.astype(np.float32) / 255, cv2.COLOR_RGB2LAB)
        much = self.less * np.hypot(lab[..., 1], lab[..., 2])
        lab[..., 1:] *= (self.chroma * np.log1p(much) / np.maximum(much, 1e-6))[..., None]
        return _TONES * lab


SPACE, APART = Space(_CHROMA, _LESS), Space(_APART_CHROMA, _APART_LESS)


def clusters(colours, weights, begin) -> tuple[np.ndarray, float]:
    """Centres (n, 3) of the clusters of weighted colours (K, 3) with the least squared error, and that error.

    From the centres ``begin`` (n, 3) on by Lloyd's rounds; then, while it gains, the cluster that gains most is split
    across its longest axis and the two that lose least are joined.

    References
    ----------
    S. P. Lloyd, Least squares quantization in PCM (1982). Ball and Hall, ISODATA (1965), for splitting and joining.
    """
    state = _lloyd(colours, weights, np.asarray(begin, float))
    for _ in range(3 * len(begin)):
        breathe()
        moved = _split_and_joined(colours, weights, *state)
        if moved is None:
            break
        other = _lloyd(colours, weights, moved)
        if other[3] >= state[3] * (1 - 1e-3):
            break
        state = other
    return state[1], state[3]


def _lloyd(colours, weights, centres):
    for _ in range(_ROUNDS):
        owner = ((colours[:, None] - centres) ** 2).sum(-1).argmin(1)
        weight, mean = means(colours, weights, owner, len(centres))
        mean[weight == 0] = centres[weight == 0]
        still = np.abs(mean - centres).max() < _STILL
        centres = mean
        if still:
            break
    return owner, centres, weight, float((weights * ((colours - centres[owner]) ** 2).sum(1)).sum())


def means(colours, weights, owner, count) -> tuple[np.ndarray, np.ndarray]:
    """Weights (n,) and means (n, 3) of groups of colours."""
    weight = np.bincount(owner, weights, count)
    total = np.stack([np.bincount(owner, weights * c, count) for c in colours.T], -1)
    return weight, total / np.maximum(weight, 1e-9)[:, None]


def _split_and_joined(colours, weights, owner, centres, weight, _error):
    """Centres with one cluster split and two others joined, by which most is gained; None where nothing is."""
    count = len(centres)
    first, second = np.triu_indices(count, 1)
    lost = weight[first] * weight[second] / np.maximum(weight[first] + weight[second], 1e-9)
    lost *= ((centres[first] - centres[second]) ** 2).sum(1)
    best = None
    for k in range(count):
        halves = _halves(colours[owner == k], weights[owner == k])
        other = (first != k) & (second != k)
        if halves is None or not other.any():
            continue
        pair = np.flatnonzero(other)[lost[other].argmin()]
        if best is None or halves[0] - lost[pair] > best[0]:
            best = halves[0] - lost[pair], k, pair, halves[1], halves[2]
    if best is None or best[0] <= 0:
        return None
    _, k, pair, one, two = best
    a, b = first[pair], second[pair]
    moved = centres.copy()
    moved[a] = (weight[a] * centres[a] + weight[b] * centres[b]) / max(weight[a] + weight[b], 1e-9)
    moved[k], moved[b] = one, two
    return moved


def _halves(colours, weights):
    """What is gained by splitting a cluster across its longest axis, and the means of the halves."""
    if len(colours) < 2:
        return None
    mean = np.average(colours, axis=0, weights=weights)
    off = colours - mean
    axis = np.linalg.eigh((off * weights[:, None]).T @ off)[1][:, -1]
    along = off @ axis
    order = np.argsort(along, kind="stable")
    along, weights = along[order], weights[order]
    w, s = np.cumsum(weights)[:-1], np.cumsum(weights * along)[:-1]
    rest = np.maximum(weights.sum() - w, 1e-9)
    gain = s * s / w + s * s / rest  # the mean is in the middle
    k = int(gain.argmax())
    return gain[k], mean + axis * s[k] / w[k], mean - axis * s[k] / rest[k]


def cells(colours) -> tuple[np.ndarray, np.ndarray]:
    """Colours (N, 3) counted in cells: their middles (K, 3) and how many lie in each (K,)."""
    number = np.rint(np.asarray(colours) / _CELL).astype(np.int64) + 200
    code, count = np.unique((number[:, 0] * 400 + number[:, 1]) * 400 + number[:, 2], return_counts=True)
    middle = np.stack([code // 160_000, code // 400 % 400, code % 400], -1) - 200
    return middle * _CELL, count.astype(float)


def hue_steps(calm, ramp, steps: int, always: bool):
    """Centres (n, 3) of the steps where hues are kept apart, darkest first; None for one ramp from dark to light.

    Parameters
    ----------
    calm : (N, 3) smoothed colours of a picture, in ``SPACE``, or in ``APART`` where they are to be kept apart.
    ramp : (N,) the step each has on the ramp. always : keep hues apart also where that gains little.
    """
    calm = np.asarray(calm, float)
    _, begin = means(calm, np.ones(len(calm)), ramp, steps)
    # a step of the ramp may be empty
    begin = begin[np.unique(ramp)]
    while len(begin) < steps:
        begin = np.vstack([begin, begin[-1:] + 1.0])
    colours, weights = cells(calm)
    centres, error = clusters(colours, weights, begin)
    if not always and error > _GAIN * _error_of_lightness(colours, weights, begin):
        return None
    return centres[np.argsort(centres[:, 0], kind="stable")]


def _error_of_lightness(colours, weights, begin):
    """The squared error of steps of lightness alone."""
    grey = np.array([1.0, 0.0, 0.0])
    centres, _ = clusters(colours * grey, weights, begin * grey)
    owner = np.abs(colours[:, :1] - centres[:, 0]).argmin(1)
    _, mean = means(colours, weights, owner, len(centres))
    return (weights * ((colours - mean[owner]) ** 2).sum(1)).sum()
