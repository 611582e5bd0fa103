"""How cuts answer to a machine's rates, and rates found again from the times that they made."""

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
from bench.logbook.timed_jobs import DRAWINGS, OWN, TABLES, job_of, seconds
from sketchloom.core.base.errors import AppError
from sketchloom.core.logbook.calibration import PACES, PARTS, fitted, motion_of, motion_text, paces_text
from sketchloom.core.logbook.records import Job
from sketchloom.core.sheets import response
from sketchloom.core.sheets.motion import Dynamics
from sketchloom.core.sheets.prices import Pace


@settings(max_examples=examples(60))
@given(st.integers(0, 7), *[st.floats(0.35, 2.8)] * 3)
def test_between_machines_that_were_worked_out_the_time_is_told_within_two_per_cent(n, speed, acceleration, corner):
    true = seconds(DRAWINGS[n], Dynamics(OWN.speed * speed, OWN.acceleration * acceleration, OWN.corner * corner))
    assert response.seconds_at(TABLES[n], speed, acceleration, corner) == pytest.approx(true, rel=0.02)


def test_at_the_machine_itself_and_at_a_crawl_it_is_exact():
    for some, its in zip(DRAWINGS, TABLES, strict=True):
        assert response.seconds_at(its, 1.0, 1.0, 1.0) == pytest.approx(seconds(some, OWN), rel=1e-9)
        assert response.as_planned(its) == pytest.approx(seconds(some, OWN))
        # everything twice as fast: half the time (uniformly accelerated motion, textbook)
        assert response.seconds_at(its, 2.0, 4.0, 1.0) == pytest.approx(seconds(some, OWN) / 2, rel=1e-9)
        slow = Dynamics(OWN.speed / 50, OWN.acceleration, OWN.corner)
        assert response.seconds_at(its, 1 / 50, 1.0, 1.0) == pytest.approx(seconds(some, slow), rel=0.02)


TRUE = Pace("cutter", cut=1.3, acceleration=0.5, corner=2.0, travel=1.2, lift=1.5, weed=0.8, lay=1.1)


def test_speed_acceleration_and_corners_are_told_apart():
    rng = np.random.default_rng(4)
    found = fitted([job_of(rng, n, TRUE) for n in range(120)])
    assert found.after < 0.02 < found.before
    for name in ("cut", "acceleration", "travel", "lift", "weed", "lay"):
        assert found.factors[name] == pytest.approx(getattr(TRUE, name), rel=0.2), name
    # what corners cost is little here, so the tolerance is known least; it says so
    assert abs(np.log(found.factors["corner"] / TRUE.corner)) < 2 * found.spread["corner"]
    assert found.spread["corner"] == max(found.spread.values())
    new = [job_of(rng, n, TRUE) for n in range(30)]
    assert np.median([abs(found.seconds(job) / job.real_s - 1) for job in new]) < 0.02
    # the same machine as plans take it: the same times, worked out along the paths
    pace = found.pace("cutter")
    for some in DRAWINGS:
        assert seconds(some, pace.moving(OWN)) == pytest.approx(seconds(some, TRUE.moving(OWN)), rel=0.05)


def test_jobs_that_do_not_say_how_they_move_tell_how_long_they_take_in_all():
    rng = np.random.default_rng(9)
    found = fitted([job_of(rng, n, replace(TRUE, acceleration=1.0, corner=1.0), has_motion=False) for n in range(60)])
    assert found.factors["acceleration"] == found.factors["corner"] == pytest.approx(1.0)
    assert 1.0 < found.factors["cut"] < 1.3 and found.after < 0.03
    mixed = fitted([job_of(rng, n, TRUE, has_motion=bool(n % 2)) for n in range(60)])
    assert set(mixed.factors) == set(PACES) and mixed.after < mixed.before
    damaged = [replace(job_of(rng, n, TRUE), motion=text) for n, text in enumerate(
        ("{", "[1, 2]", "[[1, 2, 3]]", '"x"', "[[0,1,1],[1,1,1],[1,1,1],[1,1,1],[1,1,1]]", "[" * 1990))]
    assert all(motion_of(job) is None for job in damaged) and fitted(damaged).jobs == len(damaged)
    assert motion_text(np.zeros(response.SHAPE)) == ""


# -- of which only the sum of the cuts is known ---------------------------------------------


def a_job(rng, factors, noise=0.0, wrong=1.0):
    parts = rng.lognormal(np.log([400, 120, 60, 900, 600]), 0.7)
    real = (float(parts @ factors) + 60) * np.exp(noise * rng.normal()) * wrong
    return Job("badge", planned_s=float(parts.sum()) + 60, real_s=real, **{
        f"{name}_s": float(s) for name, s in zip(PARTS, parts, strict=True)})


def of_parts(found):
    return [found.factors[name] for name in PARTS]


def test_rates_are_those_that_made_the_times_and_a_wrong_entry_does_not_pull():
    rng = np.random.default_rng(8)
    factors = np.array([1.4, 0.8, 1.6, 0.7, 1.2])
    many = [a_job(rng, factors) for _ in range(60)]
    found = fitted(many)
    # the same data by plain least squares of a general library, as there is no noise (numpy.linalg.lstsq)
    parts = np.array([[getattr(job, f"{name}_s") for name in PARTS] for job in many])
    exact = np.linalg.lstsq(parts, np.array([job.real_s for job in many]) - 60, rcond=None)[0]
    assert exact == pytest.approx(factors) and of_parts(found) == pytest.approx(exact, rel=0.15)
    assert found.wrong == () and found.after < 0.01 < found.before
    noisy = [a_job(rng, factors, 0.1, 10.0 if n == 3 else 1.0) for n in range(10)]
    pulled = fitted(noisy)
    assert 3 in pulled.wrong
    new = [a_job(rng, factors) for _ in range(50)]
    off = np.median([abs(pulled.seconds(job) / job.real_s - 1) for job in new])
    plain = np.median([abs(job.planned_s / job.real_s - 1) for job in new])
    assert off < 0.09 and off < plain
    assert all(spread > 0 for spread in pulled.spread.values())
    with pytest.raises(AppError, match="too few"):
        fitted(noisy[:2])
    with pytest.raises(AppError):
        fitted([Job("a", planned_s=10.0)] * 5)


def test_a_pace_that_was_taken_is_no_reason_to_take_it_again():
    """Jobs planned at a pace give the same factors as those planned before it, and a plan at them is near the truth."""
    rng = np.random.default_rng(5)
    factors = np.array([1.4, 0.8, 1.6, 0.7, 1.2])
    plain = [a_job(rng, factors) for _ in range(30)]
    pace = fitted(plain).pace("cutter")
    share = dict(zip(PARTS, (pace.cut, pace.travel, pace.lift, pace.weed, pace.lay), strict=True))
    paced = [replace(job, paces=paces_text(pace), planned_s=60 + sum(
        getattr(job, f"{name}_s") * f for name, f in share.items()), **{
            f"{name}_s": getattr(job, f"{name}_s") * f for name, f in share.items()}) for job in plain]
    again = fitted(paced)
    assert of_parts(again) == pytest.approx(list(share.values()), rel=1e-3)
    assert again.before < 0.05 < fitted(plain).before
    mixed = fitted(plain[:15] + paced[15:])
    assert of_parts(mixed) == pytest.approx(list(share.values()), rel=1e-3)
    for damaged in ("{", "[1]", '{"cut": 0}', '{"cut": "x"}'):
        assert fitted([replace(job, paces=damaged) for job in plain]).factors == fitted(plain).factors
