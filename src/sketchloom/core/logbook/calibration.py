"""Rates of the plan fitted to real times: how fast and nimble the machine is, how long lifts and hands take.

A job's real time is the sum of its planned parts: cutting as it depends on the machine's speed, acceleration and corner
tolerance (``response``), the others each times a factor of its own. What was planned at a pace fitted before counts
without it, so that factors are always of what is worked out. The logarithms of the factors are found by least squares
under Cauchy's loss, so that a wrong entry does not pull (Huber and Ronchetti, Robust Statistics, 2009, chapter 7), with
a prior that holds what the jobs say nothing of at 1.
"""

import json
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from scipy.optimize import least_squares

from sketchloom.core.base.errors import AppError
from sketchloom.core.base.said import said
from sketchloom.core.logbook.records import Job
from sketchloom.core.sheets import response
from sketchloom.core.sheets.machine import Machine
from sketchloom.core.sheets.prices import PACES, PARTS, Pace, Rates

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
    """``factors`` of each rate (``PACES``) with the ``spread`` of their logarithms; ``noise`` of the jobs about the
    fit, a share; ``wrong``: places in the list of jobs that do not go with the others. ``before``, ``after``: how far
    off the plan was in the median, and is with the factors, a share."""

    factors: dict[str, float]
    spread: dict[str, float]
    noise: float
    wrong: tuple[int, ...]
    before: float
    after: float
    jobs: int

    def seconds(self, job: Job) -> float:
        """How long a job takes by the factors."""
        return float(_Planned([job]).seconds(np.log([self.factors[name] for name in PACES]))[0])

    def pace(self, machine: str) -> Pace:
        """As plans of a machine take it."""
        return Pace(machine, **{name: float(np.clip(f, _LEAST, _MOST)) for name, f in self.factors.items()},
                    spread=float(np.clip(self.noise, 0.01, 0.9)))


@dataclass(frozen=True, slots=True)
class Rate:
    """A rate as it is ``said`` and as it is ``fitted``, in a ``unit``; without one, how many times what was reckoned
    with. ``spread``, a share."""

    name: str
    said: float
    fitted: float
    unit: str
    spread: float


def rates(found: Fitted, machine: Machine | None, of_hands: Rates) -> tuple[Rate, ...]:
    """What jobs say of a machine, None where its own figures are not known, and of the hands beside it."""
    known = {"weed": (of_hands.weed_s_per_m, 1, "s/m"), "lay": (of_hands.lay_s_per_piece, 1, "s")}
    if machine is not None:
        known |= {"cut": (machine.speed, -1, "mm/s"), "acceleration": (machine.acceleration, 1, "mm/s²"),
                  "corner": (machine.corner_mm, 1, "mm"), "lift": (machine.lift_s, 1, "s")}
    made = []
    for name in PACES:
        its, power, unit = known.get(name, (1.0, 1, ""))
        made.append(Rate(name, its, its * found.factors[name] ** power, unit, found.spread[name]))
    return tuple(made)


class _Planned:
    """What jobs were planned to take, without the pace they were planned at."""

    def __init__(self, jobs):
        self.parts = np.array([_parts(job) for job in jobs], float)
        self.rest = np.array([_rest(job) for job in jobs])
        tables = [motion_of(job) for job in jobs]
        self.is_known = np.array([one is not None for one in tables])
        # of a job that does not say how its cuts answer to the machine, only their sum is known
        self.tables = np.array([one for one in tables if one is not None]).reshape(-1, *response.SHAPE)
        self.parts[self.is_known, 0] = response.as_planned(self.tables)

    def seconds(self, theta):
        """(J,) by the logarithms of the factors."""
        cut, acceleration, corner, *others = np.exp(theta)
        cutting = self.parts[:, 0] * cut
        cutting[self.is_known] = response.seconds_at(self.tables, 1 / cut, acceleration, corner)
        return np.maximum(cutting + self.parts[:, 1:] @ np.array(others) + self.rest, 1e-9)


def _rest(job):
    """What of a job's time is none of the parts: loading."""
    return max(job.planned_s - sum(getattr(job, f"{name}_s") for name in PARTS), 0.0)


def _parts(job):
    """Seconds of each part as they are worked out, without the pace they were planned at."""
    return np.array([getattr(job, f"{name}_s") for name in PARTS], float) / _paces(job)


def _told(text, kind):
    """What a job keeps as JSON; None where it is damaged."""
    try:
        made = json.loads(text) if text else None
    except (ValueError, RecursionError):
        return None
    return made if isinstance(made, kind) else None


def _paces(job):
    """The pace of each part that a job was planned at; 1 where it says none."""
    told = _told(job.paces, dict) or {}
    try:
        made = np.array([float(told.get(name, 1.0)) for name in PARTS])
    except (ValueError, TypeError):
        return np.ones(len(PARTS))
    return made if np.isfinite(made).all() and (made > 0).all() else np.ones(len(PARTS))


def motion_of(job: Job) -> np.ndarray | None:
    """(5, 3) seconds of a job's cuts on machines about the one it was planned for (``response``), None where it does
    not say."""
    told = _told(job.motion, list)
    try:
        made = np.array(told, float)
    except (ValueError, TypeError):
        return None
    return made if made.shape == response.SHAPE and np.isfinite(made).all() and (made > 0).all() else None


def motion_text(table: np.ndarray) -> str:
    """Such seconds as a job keeps them; empty for no cuts."""
    return json.dumps(np.round(table, 3).tolist()) if (table > 0).all() else ""


def paces_text(pace: Pace | None) -> str:
    """The pace of a plan as a job keeps it."""
    return "" if pace is None else json.dumps({name: round(getattr(pace, name), 6) for name in PACES})


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
    planned = _Planned([job for _, job in known])
    real = np.log([job.real_s for _, job in known])

    def off(theta):
        return (np.log(planned.seconds(theta)) - real) / _NOISE

    def loss(theta):
        """Cauchy's loss of the jobs, as residuals whose squares it is; the prior beside it bears no outlier."""
        far = off(theta)
        return np.concatenate([np.sign(far) * np.sqrt(np.log1p(far * far)), theta / _PRIOR])
    as_said = np.zeros(len(PACES))
    longer = float(np.median(real - np.log(planned.seconds(as_said))))
    begins = (as_said, np.where([name in PARTS for name in PACES], longer, 0.0))
    best = min((least_squares(loss, begin) for begin in begins), key=lambda one: one.cost)
    far = off(best.x)
    noise = max(1.4826 * float(np.median(np.abs(far))) * _NOISE, 1e-3)
    slopes = best.jac[:len(known)]
    precision = slopes.T @ slopes * (_NOISE / noise) ** 2 + np.eye(len(PACES)) / _PRIOR**2
    spread = np.sqrt(np.diag(np.linalg.inv(precision)))
    wrong = np.flatnonzero(np.abs(far) * _NOISE > _WRONG * max(noise, _NOISE / 2))
    plain = np.abs(np.expm1(np.log([job.planned_s for _, job in known]) - real))
    return Fitted(dict(zip(PACES, np.exp(best.x).tolist(), strict=True)),
                  dict(zip(PACES, spread.tolist(), strict=True)), noise, tuple(known[n][0] for n in wrong.tolist()),
                  float(np.median(plain)), float(np.median(np.abs(np.expm1(far * _NOISE)))), len(known))
