"""Tones at which a picture is cut into steps."""

import numpy as np


def tone_levels(count_of_tone, steps: int) -> np.ndarray:
    """(steps - 1,) tones up to which each step goes, by the largest variance between the steps.

    Parameters
    ----------
    count_of_tone : (256,) pixels of each tone. steps : 2 to 8.

    References
    ----------
    Otsu 1979, the criterion for several levels; found exactly by dynamic programming over the 256 tones.
    """
    count = np.asarray(count_of_tone, float)
    weight = np.concatenate([[0.0], np.cumsum(count)])
    sum_ = np.concatenate([[0.0], np.cumsum(count * np.arange(256))])
    w = weight[None, :] - weight[:, None]
    s = sum_[None, :] - sum_[:, None]
    with np.errstate(divide="ignore", invalid="ignore"):
        worth = np.where(w > 0, s * s / w, 0.0)  # of tones i .. j - 1 as one step
    worth[np.tril_indices(257, 0)] = -np.inf
    best, choice = worth[0].copy(), []
    for _ in range(steps - 1):
        total = best[:, None] + worth
        choice.append(total.argmax(0))
        best = total.max(0)
    ends = [256]
    for back in reversed(choice):
        ends.append(int(back[ends[-1]]))
    return np.array(ends[:0:-1]) - 1
