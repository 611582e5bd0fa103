"""Shared by all tests: no monitor, one language, no traces in the home folder, no thread left over."""

import os
import threading

import pytest
from hypothesis import HealthCheck, settings

from amounts import examples
from known import Known
from sketchloom.evaluate import carving, pipeline, planning, targets

os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
os.environ["SKETCHLOOM_FONT_PT"] = "10.5"
os.environ["SKETCHLOOM_LANGUAGE"] = "en"  # of the window, whatever the machine speaks
# a busy machine is no fault of a strategy
settings.register_profile("ours", deadline=None, max_examples=examples(60), derandomize=True,
                          suppress_health_check=[HealthCheck.too_slow])
settings.load_profile("ours")


@pytest.fixture(autouse=True)
def own_folders(tmp_path, monkeypatch):
    """Every test has data and settings folders of its own."""
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path / "data"))
    monkeypatch.setenv("XDG_CONFIG_HOME", str(tmp_path / "config"))


@pytest.fixture(autouse=True)
def what_is_known(request, monkeypatch):
    """Pipelines without a cache of their own know what other tests worked out, but where a test asks for it ``fresh``
    or puts something else into the program's place."""
    is_own = request.node.get_closest_marker("fresh") or "monkeypatch" in request.node._fixtureinfo.argnames
    if not is_own:
        for one in (pipeline, planning, carving, targets):
            monkeypatch.setattr(one, "Cache", Known)


@pytest.fixture(autouse=True)
def no_thread_left():
    """A test that leaves a thread of ours running has not cleaned up; one that is told to stop ends at its next step.
    """
    before = set(threading.enumerate())  # what another test left is that test's fault
    yield
    for thread in set(threading.enumerate()) - before:
        if thread.name.startswith("lane "):
            thread.join(30)
            assert not thread.is_alive(), thread.name
