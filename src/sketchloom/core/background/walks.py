"""How likely each pixel is one of the kept: a walk that avoids edges, drawn towards what its colour says."""

import numpy as np
from scipy.sparse import csr_array, dia_array
from scipy.sparse.linalg import cg

_LEAK = 0.01
"""Weight of a step over the strongest edge beside 1 where nothing changes."""
_RESIDUAL, _MOST_STEPS = 2e-3, 200
"""Where the solver stops: shares are read at a half."""
KEEP, DROP, OUT = 1, 2, 3
"""Seeds: certainly kept, certainly dropped, where no walk goes; 0 is not known."""


def walked(lab, seeds, prior, pull: float, start=None) -> np.ndarray:
    """(H, W) 0 to 1: how likely a walk from a pixel meets a kept seed first, or is sent there by its colour.

    Parameters
    ----------
    lab : (H, W, 3) CIELAB. seeds : (H, W) uint8. prior : (H, W) 0 to 1, what the colour says. pull : how strongly,
        beside a step to a neighbour of the same colour. start : (H, W) a guess to begin with.

    References
    ----------
    Grady 2005, "Multilabel random walker image segmentation using prior models".
    """
    shape = seeds.shape
    number = np.arange(seeds.size).reshape(shape)
    one = np.concatenate([number[:, :-1].ravel(), number[:-1].ravel()])
    two = np.concatenate([number[:, 1:].ravel(), number[1:].ravel()])
    fixed = seeds.ravel() > 0
    share = (seeds.ravel() == KEEP).astype(float)
    free = np.flatnonzero(~fixed)
    if len(free) == 0:
        return share.reshape(shape)
    out = seeds.ravel() == OUT
    known = fixed[one] & fixed[two] | out[one] | out[two]
    one, two = one[~known], two[~known]  # between seeds nothing is to be found
    flat = lab.reshape(-1, 3)
    change = ((flat[one] - flat[two]) ** 2).sum(1)
    weight = np.exp(-change / max(float(change.mean()), 1e-6)) + _LEAK
    place = np.full(seeds.size, -1)
    place[free] = np.arange(len(free))
    a, b = place[one], place[two]
    degree = np.bincount(a[a >= 0], weight[a >= 0], len(free)) + np.bincount(b[b >= 0], weight[b >= 0], len(free))
    right = pull * prior.ravel()[free]
    for mine, other in ((a, two), (b, one)):
        beside = (mine >= 0) & fixed[other]
        right += np.bincount(mine[beside], weight[beside] * share[other[beside]], len(free))
    both = (a >= 0) & (b >= 0)
    ends = np.concatenate([a[both], b[both]]), np.concatenate([b[both], a[both]])
    links = csr_array((np.concatenate([weight[both]] * 2), ends), shape=(len(free),) * 2)
    diagonal = degree + pull
    left = dia_array((diagonal[None], [0]), shape=links.shape).tocsr() - links
    guess = prior.ravel()[free] if start is None else start.ravel()[free]
    share[free] = np.clip(cg(left, right, x0=guess, rtol=_RESIDUAL, maxiter=_MOST_STEPS,
                             M=dia_array((1 / diagonal[None], [0]), shape=links.shape))[0], 0, 1)
    return share.reshape(shape)
