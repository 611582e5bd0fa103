"""Jobs of drawings made by rule, on machines that work at a pace of their own."""

from itertools import pairwise

import numpy as np

from sketchloom.core.logbook.calibration import PARTS, motion_text
from sketchloom.core.logbook.records import Job
from sketchloom.core.sheets import response
from sketchloom.core.sheets.motion import Dynamics, paced

OWN = Dynamics(120.0, 1500.0, 0.05)


def drawing(seed, count=40):
    """Strokes of straight lines and circles of many sizes: controls, straight, starts."""
    rng = np.random.default_rng(seed)
    parts, lines = [], []
    for n in range(count):
        size, at = rng.lognormal(np.log(8 + seed % 5 * 6), 0.8), rng.uniform(0, 200, 2)
        corners = at + size * np.array([(1, 0), (0, 1), (-1, 0), (0, -1), (1, 0)], float)
        if n % 2:
            made = np.array([[a, a + (b - a) / 3, a + 2 * (b - a) / 3, b]
                             for a, b in pairwise(corners)])
        else:
            k, turn = 0.5523, np.array([[0, 1], [-1, 0]])
            made = np.array([[a, a + k * (a - at) @ turn, b - k * (b - at) @ turn, b]
                             for a, b in pairwise(corners)])
        parts.append(made)
        lines.append(np.full(4, bool(n % 2)))
    return np.concatenate(parts), np.concatenate(lines), np.arange(count + 1) * 4


def seconds(some, dynamics):
    return float(paced(*some, dynamics).seconds.sum())


def table(some, own=OWN):
    return response.response(own, lambda dynamics: seconds(some, dynamics))


DRAWINGS = [drawing(n) for n in range(8)]
TABLES = [table(one) for one in DRAWINGS]


def job_of(rng, n, pace, noise=0.0, wrong=1.0, has_motion=True):
    """A job of drawing ``n``, many times over, on a machine that works at a pace."""
    count = int(rng.integers(2, 30))
    cut, own = count * seconds(DRAWINGS[n % 8], pace.moving(OWN)), count * TABLES[n % 8]
    others = rng.lognormal(np.log([60, 40, 300, 200]), 0.7)
    real = cut + others @ np.array([pace.travel, pace.lift, pace.weed, pace.lay]) + 60
    parts = {f"{name}_s": float(s) for name, s in zip(PARTS, (response.as_planned(own), *others), strict=True)}
    return Job("badge", planned_s=sum(parts.values()) + 60, real_s=real * np.exp(noise * rng.normal()) * wrong,
               motion=motion_text(own) if has_motion else "", **parts)
