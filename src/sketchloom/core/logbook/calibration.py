"""Rates of the plan fitted to real times: how much longer each part of a job takes than planned.

A job's real time is the sum of its planned parts, each times a factor of its own; what was planned at a pace fitted
before counts without it, so that factors are always of what is worked out. The logarithms of the factors are
found by least squares under Cauchy's loss, so that a wrong entry does not pull (Huber and Ronchetti, Robust
Statistics, 2009, chapter 7), with a prior that holds what the jobs say nothing of at 1.
"""

import json
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from scipy.optimize import least_squares

from sketchloom.core.base.errors import AppError
from sketchloom.core.base.said import said
from sketchloom.core.logbook.records import Job
from sketchloom.core.sheets.prices import PARTS, Pace

FEWEST = 3
_NOISE = 0.1
"""Jobs take so much longer or shorter than any plan knows (our own); what lies much farther off is taken for wrong."""
_LEAST, _MOST = 0.02, 50.0
_PRIOR = 0.5
"""A rate from memory is off by so much, in logarithms (our own)."""
_WRONG = 3.5
"""Entries so many spreads off are told (common practice, no source)."""


@dataclass(frozen=True, slots=True)
class Fitted:
    """``factors`` of each part with the ``spread`` of their logarithms; ``noise`` of the jobs about the fit, a share;
    ``wrong``: places in the list of jobs that do not go with the others. ``before``, ``after``: how far off the plan
    was in the median, and is with the factors, a share."""

    factors: dict[str, float]
    spread: dict[str, float]
    noise: float
    wrong: tuple[int, ...]
    before: float
    after: float
    jobs: int

    def seconds(self, job: Job) -> float:
        """How long a job takes by the factors."""
        return float(np.array([self.factors[name] for name in PARTS]) @ _parts(job)) + _rest(job)

    def pace(self, machine: str) -> Pace:
        """As plans of a machine take it."""
        return Pace(machine, **{name: float(np.clip(f, _LEAST, _MOST)) for name, f in self.factors.items()},
                    spread=float(np.clip(self.noise, 0.01, 0.9)))


def _rest(job):
    """What of a job's time is none of the parts: loading."""
    return max(job.planned_s - sum(getattr(job, f"{name}_s") for name in PARTS), 0.0)


def _parts(job):
    """Seconds of each part as they are worked out, without the pace they were planned at."""
    return np.array([getattr(job, f"{name}_s") for name in PARTS], float) / _paces(job)


def _paces(job):
    """The pace of each part that a job was planned at; 1 where it says none."""
    try:
        told = json.loads(job.paces) if job.paces else {}
        made = np.array([float(told.get(name, 1.0)) for name in PARTS])
    except (ValueError, TypeError, AttributeError, RecursionError):
        return np.ones(len(PARTS))
    return made if np.isfinite(made).all() and (made > 0).all() else np.ones(len(PARTS))


def paces_text(pace: Pace | None) -> str:
    """The pace of a plan as a job keeps it."""
    return "" if pace is None else json.dumps({name: round(getattr(pace, name), 6) for name in PARTS})


def fitted(jobs: Sequence[Job]) -> Fitted:
    """Factors from jobs whose real time is known.

    Raises
    ------
    AppError : there are too few.
    """
    known = [(n, job) for n, job in enumerate(jobs) if job.real_s > 0 and job.planned_s > 0]
    if len(known) < FEWEST:
        raise AppError(said("{count} jobs with their real time are too few; {least} are needed.", count=len(known),
                            least=FEWEST))
    parts = np.array([_parts(job) for _, job in known], float)
    planned = np.log([job.planned_s for _, job in known])
    rest = np.array([_rest(job) for _, job in known])
    real = np.log([job.real_s for _, job in known])

    def off(theta):
        return (np.log(np.maximum(parts @ np.exp(theta) + rest, 1e-9)) - real) / _NOISE

    def loss(theta):
        """Cauchy's loss of the jobs, as residuals whose squares it is; the prior beside it bears no outlier."""
        far = off(theta)
        return np.concatenate([np.sign(far) * np.sqrt(np.log1p(far * far)), theta / _PRIOR])
    begins = (np.zeros(len(PARTS)), np.full(len(PARTS), float(np.median(real - np.log(parts.sum(1) + rest)))))
    best = min((least_squares(loss, begin) for begin in begins), key=lambda one: one.cost)
    far = off(best.x)
    noise = max(1.4826 * float(np.median(np.abs(far))) * _NOISE, 1e-3)
    slopes = best.jac[:len(known)]
    precision = slopes.T @ slopes * (_NOISE / noise) ** 2 + np.eye(len(PARTS)) / _PRIOR**2
    spread = np.sqrt(np.diag(np.linalg.inv(precision)))
    wrong = np.flatnonzero(np.abs(far) * _NOISE > _WRONG * max(noise, _NOISE / 2))
    plain = np.abs(np.expm1(planned - real))
    return Fitted(dict(zip(PARTS, np.exp(best.x).tolist(), strict=True)),
                  dict(zip(PARTS, spread.tolist(), strict=True)), noise, tuple(known[n][0] for n in wrong.tolist()),
                  float(np.median(plain)), float(np.median(np.abs(np.expm1(far * _NOISE)))), len(known))
