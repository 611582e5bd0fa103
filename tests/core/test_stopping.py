"""Work deep inside says that it can be stopped, also in threads."""

import hashlib
import subprocess
import threading
import time

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from hypothesis.extra.numpy import arrays

from amounts import examples
from sketchloom.core.base import apart, parallel
from sketchloom.core.base.errors import Cancelled
from sketchloom.core.base.progress import Part, breathe, seconds_left, watched
from sketchloom.core.formats.rendering import rendered
from sketchloom.core.strokes.thinning import _FIRST, _SECOND, neighbour_code, thinned


class _Told:
    def __init__(self, stop_after=None):
        self.said, self.stop_after = [], stop_after

    def step(self, done, total, label):
        self.said.append((done, total, label))
        if self.stop_after is not None and len(self.said) > self.stop_after:
            raise Cancelled


def test_what_breathes_says_the_last_step_again():
    told = _Told()
    breathe()  # nobody watches
    with watched(told) as progress:
        Part(progress, 0.5, 1.0).step(1, 2, "half of the second half")
        breathe()
    breathe()
    assert told.said == [(0.75, 1.0, "half of the second half")] * 2


def test_threads_are_watched_and_stopped(monkeypatch):
    monkeypatch.setattr(parallel, "THREADS", 2)
    names = set()

    def work(part):
        names.add(threading.current_thread().name)
        breathe()
        return part
    told = _Told()
    with watched(told):
        assert parallel.in_threads(work, range(6)) == list(range(6))
    assert len(told.said) == 12 and threading.current_thread().name not in names
    with pytest.raises(Cancelled), watched(_Told(stop_after=3)):
        parallel.in_threads(work, range(100))


@settings(deadline=None, max_examples=examples(60))
@given(arrays(bool, st.tuples(st.integers(1, 24), st.integers(1, 24))))
def test_thinning_wears_away_what_the_paper_says(ink):
    """Zhang and Suen's half steps over the whole picture, as the paper has them, leave the same line."""
    line, changed = np.pad(ink, 1).astype(np.uint8), True
    while changed:
        changed = False
        for table in (_FIRST, _SECOND):
            gone = table[neighbour_code(line)] & (line > 0)
            line[gone] = 0
            changed |= bool(gone.any())
    whole = line[1:-1, 1:-1] > 0
    found = thinned(ink)
    assert (found >= whole).all()
    # beside it only the one pixel that stands for a piece worn away altogether
    assert not (found & ~whole & _near(whole)).any()


def _near(line):
    framed = np.pad(line, 1)
    height, width = line.shape
    return np.any([framed[1 + dy:1 + dy + height, 1 + dx:1 + dx + width]
                   for dy in (-1, 0, 1) for dx in (-1, 0, 1)], axis=0)


def test_one_long_call_of_a_library_is_watched_while_it_runs():
    steps = []

    class Watch:
        def step(self, done, total, label):
            steps.append(label)
    with watched(Watch()):
        assert parallel.beside(lambda: time.sleep(0.7) or 5) == 5
    assert len(steps) >= 2 and parallel.beside(lambda: 6) == 6


def test_a_stop_does_not_wait_for_one_long_call():
    class Stops:
        def step(self, done, total, label):
            raise Cancelled
    begun = threading.Event()
    with watched(Stops()), pytest.raises(Cancelled):
        parallel.beside(lambda: begun.set() or time.sleep(0.5))
    assert begun.is_set()


SVG = (b'<svg xmlns="http://www.w3.org/2000/svg" width="1500" height="1500">'
       + b"".join(b'<circle cx="%d" cy="%d" r="60" opacity="0.5"/>' % (37 * n % 1500, 91 * n % 1500)
                  for n in range(500)) + b"</svg>")


def test_a_picture_is_the_same_whoever_watches_and_others_go_on_while_it_is_drawn():
    alone, turns = rendered(SVG), []
    over = threading.Event()
    thread = threading.Thread(target=lambda: [turns.append(time.monotonic()) for _ in iter(lambda: over.wait(0.01), 1)])
    with watched(_Told()):
        thread.start()
        beside = rendered(SVG)
        over.set()
    thread.join()
    assert beside == alone and alone.startswith(b"\x89PNG")
    # the renderer keeps Python's lock all the time that it takes
    assert np.diff(turns).max() < 0.5 * (turns[-1] - turns[0])


def test_a_picture_that_is_not_wanted_any_more_ends_with_its_process(monkeypatch):
    begun = []
    real = apart.subprocess.Popen
    monkeypatch.setattr(apart.subprocess, "Popen", lambda *a, **k: begun.append(real(*a, **k)) or begun[-1])
    monkeypatch.setattr(apart, "_BREATH_S", 0.01)
    with pytest.raises(Cancelled), watched(_Told(stop_after=0)):
        rendered(SVG)
    assert begun[0].wait(5) != 0


def test_where_no_process_can_be_started_a_picture_is_drawn_all_the_same(monkeypatch):
    def none(*args, **how):
        raise OSError("too many processes")
    monkeypatch.setattr(apart.subprocess, "Popen", none)
    with watched(_Told()):
        assert rendered(SVG.replace(b"<circle", b"<path")).startswith(b"\x89PNG")


def test_what_ends_without_an_answer_is_no_answer():
    with pytest.raises(OSError, match="ended with"):
        apart.answered("sketchloom.core.formats.rendering", b"no picture at all")


def test_a_process_that_is_slow_to_read_is_told_everything(tmp_path, monkeypatch):
    """Longer than a pipe holds, and asked for again and again before any of it is read."""
    (tmp_path / "slow.py").write_text("import hashlib, sys, time\ntime.sleep(0.5)\n"
                                      "print(hashlib.sha256(sys.stdin.buffer.read()).hexdigest(), end='')")
    (tmp_path / "deaf.py").write_text("import sys\nsys.stdin.close()\nsys.exit(3)")
    monkeypatch.setattr(apart, "environment", lambda: {"PYTHONPATH": str(tmp_path)})
    monkeypatch.setattr(apart, "_BREATH_S", 0.01)
    data = np.random.default_rng(1).bytes(2**20)
    assert apart.ended("slow", data, 20) == (0, hashlib.sha256(data).hexdigest().encode())
    assert apart.ended("deaf", data) == (3, b"")
    with pytest.raises(subprocess.TimeoutExpired):
        apart.ended("slow", data, 0.1)


def test_the_time_left_is_told_once_it_can_be():
    assert seconds_left(0.5, 0.5) is None and seconds_left(5.0, 0.02) is None and seconds_left(9.0, 1.0) is None
    assert seconds_left(2.0, 0.5) == 2 and seconds_left(4.0, 0.5) == 5
    assert seconds_left(10.0, 0.25) == 30 and seconds_left(100.0, 0.1) == 900
    assert seconds_left(3.0, 0.9) == 1
