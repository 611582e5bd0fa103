"""Tries until a film is right, rates fitted to real times, 50,000 jobs, kills while writing."""

import os
import tempfile
import time
from pathlib import Path

import numpy as np

from bench.logbook.films import best_possible, by_bisection, by_model, films
from bench.logbook.kills import killed
from bench.logbook.timed_jobs import job_of
from bench.table import Row
from sketchloom.core.logbook.calibration import PACES, fitted
from sketchloom.core.logbook.records import Job
from sketchloom.core.logbook.store import Logbook
from sketchloom.core.sheets.prices import Pace

FILMS, MANY, KILLS, WORKSHOPS = 500, 50_000, 200, 100
_LIST = 200


def calibration(seed=40):
    """How far off the planned time of new jobs is in the median of many workshops, before and with the factors, and
    the share of them whose wrong entry is told. The machines' speeds, accelerations and corner tolerances are others
    than said, as are lifts, travel and hands."""
    off, plain, told = [], [], 0
    for n in range(WORKSHOPS):
        rng = np.random.default_rng([seed, n])
        true = Pace("cutter", *np.exp(rng.normal(0, 0.35, len(PACES))).tolist())
        wrong = 10.0 if n % 2 else 0.1
        fit = fitted([job_of(rng, k, true, 0.1, wrong if k == 4 else 1.0) for k in range(10)])
        new = [job_of(rng, k, true) for k in range(40)]
        off.append(np.median([abs(fit.seconds(job) / job.real_s - 1) for job in new]))
        plain.append(np.median([abs(job.planned_s / job.real_s - 1) for job in new]))
        told += 4 in fit.wrong
    return float(np.median(plain)), float(np.median(off)), told / WORKSHOPS


def many(path):
    """Seconds to search, to list the newest and to read what a plot shows, of many jobs; the best of three each."""
    rng = np.random.default_rng(3)
    words = ("badge", "lantern", "kingfisher", "banner", "quay", "sign", "boat", "panel")
    with Logbook(path) as book:
        jobs = [Job(f"{words[n % 8]} {words[n // 8 % 8]} {n}", planned_s=float(p), real_s=float(r), state="done",
                    material=f"film {n % 40}", customer=f"stall {n % 300}", at=f"20{10 + n // 4000}-0{1 + n % 9}-11",
                    settings="{" + "x" * 400 + "}")
                for n, (p, r) in enumerate(rng.lognormal(6, 1, (MANY, 2)))]
        book.add(*jobs)

        def best(do):
            return min(_timed(do) for _ in range(3))
        return (best(lambda: book.all(Job, "kingfisher 77 film", limit=_LIST)),
                best(lambda: (book.all(Job, limit=_LIST), book.count(Job))),
                best(lambda: book.figures(Job, ("planned_s", "real_s"))))


def _timed(do):
    began = time.perf_counter()
    do()
    return time.perf_counter() - began


def rows():
    some = films(FILMS, 11)
    model = np.array([by_model(one) for one in some])
    halving, best = np.array([by_bisection(one) for one in some]), np.array([best_possible(one) for one in some])
    yield Row("tries until right, median", float(np.median(model)), float(np.median(halving)) - 0.5, "",
              f"{FILMS} films; by bisection on force alone {np.median(halving):g}, "
              f"in the mean {model.mean():.2f} and {halving.mean():.2f}")
    yield Row("tries over the best possible, worst", float((model - best).max()), 2.0, "",
              f"who knows the window's width: {np.median(best):g} in the median")
    before, after, told = calibration()
    yield Row("planned time off, fitted to 10 jobs", 100 * after, 5.0, "%",
              f"as shipped {100 * before:.0f}; the wrong entry was told in {100 * told:.0f} of 100 workshops")
    with tempfile.TemporaryDirectory() as folder:
        for name, took in zip(("search", "list", "plot"), many(Path(folder) / "many.db"), strict=True):
            yield Row(f"{MANY} jobs: {name}", 1000 * took, 100.0, "ms")
        root = Path(__file__).parents[2]
        os.environ["PYTHONPATH"] = os.pathsep.join((str(root / "src"), str(root)))
        lost, unsound, count = killed(Path(folder) / "killed.db", KILLS, np.random.default_rng(5))
    yield Row(f"{KILLS} kills while writing: entries lost", float(lost), 0.0, "", f"of {count} said to be kept")
    yield Row(f"{KILLS} kills while writing: file not sound", float(unsound), 0.0, "")
