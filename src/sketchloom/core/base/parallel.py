"""Work on independent parts of large arrays, on as many cores as there are.

What the parts are follows from the data alone, never from the machine, so that the results
are the same bytes everywhere.
"""

import os
from concurrent.futures import ThreadPoolExecutor, wait
from contextvars import copy_context

import numpy as np

from sketchloom.core.base.progress import breathe, is_watched

_BREATH_S = 0.2
"""Less than the half second in which whoever stops the work expects it to end."""
THREADS = min(4, os.cpu_count() or 1)
"""Threads at most; each holds a part of the map beside the others."""


def in_threads(work, parts) -> list:
    """``work`` of every part, in order; NumPy and OpenCV leave other threads room while they compute.

    An exception of one part is raised when its turn comes, after the others have ended. Who watches the work
    (``progress.watched``) watches the threads too, and may stop it before each part.
    """
    def begun(part):
        breathe()
        return work(part)
    parts = list(parts)
    if len(parts) < 2 or THREADS < 2:
        return [begun(part) for part in parts]
    with ThreadPoolExecutor(THREADS) as pool:
        futures = [pool.submit(copy_context().run, begun, part) for part in parts]
        return [future.result() for future in futures]


def beside(work):
    """What ``work()`` gives, one call of a library that can neither report nor stop: it runs in a thread while this one
    breathes. Stopped meanwhile, its result is dropped once it is there."""
    if not is_watched():
        return work()
    pool = ThreadPoolExecutor(1)
    try:
        future = pool.submit(work)
        while not wait((future,), _BREATH_S).done:
            breathe()
        return future.result()
    finally:
        pool.shutdown(wait=False)


def even_cuts(starts, size: int) -> np.ndarray:
    """Borders of groups of neighbouring pieces with about ``size`` elements each.

    ``starts`` are offsets as in ``ragged``; the result begins with 0, ends with the number of
    pieces and ascends strictly, so no group is without a piece (unless there are none at all).
    """
    pieces = len(starts) - 1
    groups = max(int(starts[-1]) // size, 1)
    wanted = np.linspace(0, starts[-1], groups + 1)[1:-1]
    inner = np.searchsorted(starts, wanted)
    return np.unique(np.concatenate([[0], np.clip(inner, 0, pieces), [pieces]]))
