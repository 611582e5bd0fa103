"""Modes: the frequent, well-separated colours among pixels."""

import numpy as np

from sketchloom.core.base.colour import ciede2000, srgb_to_lab

_SEED_LIMIT = 160
"""Candidates for colours at most."""
_PLAIN_SHARE, _PLAIN_SHARE_NOISY = 0.0008, 0.003
"""A mode of less of the pixels is looked at for no valley; under noise the second."""
_VALLEY, _VALLEY_NOISY = 0.1, 0.2
"""Pixels between two colours, as a share of those of the rarer one; compression fills valleys."""
_MOST_PLAIN = 40
"""Modes that valleys are looked for between."""
_NEAR_DELTA = 20.0
"""Colours farther apart than this (CIEDE2000) are two without asking for a valley."""
_VALLEY_SAMPLE = 60_000
"""Pixels that a valley is looked for in."""


def seeds(pixels, delta):
    """Well-separated frequent colours, most frequent first, and the votes for each.

    Parameters
    ----------
    pixels : (N, 3) uint8 sRGB. delta : CIEDE2000 within which colours count as one.
    """
    if len(pixels) == 0:
        return np.empty((0, 3)), np.empty(0)
    code = (pixels[:, 0].astype(np.int32) >> 2 << 12) | (pixels[:, 1].astype(np.int32) >> 2 << 6) | (pixels[:, 2] >> 2)
    count = np.bincount(code, minlength=1 << 18)
    used = np.flatnonzero(count)
    mean = np.stack([np.bincount(code, pixels[:, c], 1 << 18)[used] for c in range(3)], -1) / count[used, None]
    order = np.argsort(-count[used], kind="stable")[:4000]
    mean, votes = mean[order], count[used][order].astype(float)
    lab = srgb_to_lab(mean)
    seed_of = np.full(len(mean), -1)
    chosen = []
    for i in range(len(mean)):
        if seed_of[i] >= 0:
            continue
        if len(chosen) == _SEED_LIMIT:
            break
        near = (seed_of < 0) & (np.hypot(np.hypot(*(lab[:, 1:] - lab[i, 1:]).T), lab[:, 0] - lab[i, 0]) < 2.5 * delta)
        near[near] = ciede2000(lab[near], lab[i]) <= delta
        near[i] = True
        seed_of[near] = len(chosen)
        chosen.append(i)
    member = seed_of >= 0
    weights = np.bincount(seed_of[member], votes[member], len(chosen))
    colours = np.stack([np.bincount(seed_of[member], (votes * mean[:, c])[member], len(chosen)) for c in range(3)], -1)
    order = np.argsort(-weights, kind="stable")
    return (colours / weights[:, None])[order], weights[order]


def separated(pixels, colours, weights, size, noise):
    """(K, K) bool: pairs of near colours that are two, not parts of one gradual change.

    Between two drawn colours lies a valley: hardly a flat pixel has a colour between them.
    Steps of a gradient, and what noise has spread, have no valley.
    """
    count = len(colours)
    apart = np.zeros((count, count), bool)
    share, valley = (_PLAIN_SHARE, _VALLEY) if noise == 0 else (_PLAIN_SHARE_NOISY, _VALLEY_NOISY)
    plain = np.flatnonzero(weights >= share * size)[:_MOST_PLAIN]
    if len(plain) < 2 or len(pixels) == 0:
        return apart
    pixels = pixels[:: max(1, len(pixels) // _VALLEY_SAMPLE)].astype(np.float32)
    values = colours[plain].astype(np.float32)
    owner = (pixels @ values.T - 0.5 * (values * values).sum(1)).argmax(1)
    own = [pixels[owner == k] for k in range(len(plain))]
    lab = srgb_to_lab(values)
    delta = ciede2000(lab[:, None], lab[None])
    for i in range(len(plain)):
        for j in range(i):
            if delta[i, j] > _NEAR_DELTA:
                apart[plain[i], plain[j]] = True
                continue
            line = values[j] - values[i]
            along = np.concatenate([(own[i] - values[i]) @ line, (own[j] - values[i]) @ line]) / (line @ line)
            between = int(((along > 0.3) & (along < 0.7)).sum())
            low, high = int((along <= 0.3).sum()), int((along >= 0.7).sum())
            apart[plain[i], plain[j]] = between <= valley * min(low, high)
    return apart | apart.T
