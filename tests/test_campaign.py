"""The campaign of ``bench.hostile`` in its short form: seeded, so what failed once fails again."""

import json
import os
import subprocess
import sys

import pytest

from bench.hostile import cases, kills, opener
from bench.hostile import run as campaign

FOUND_BEFORE = (282, 194)
"""Cases that were wrong once: half a letter where the reader of plain data wants a whole one."""


@pytest.mark.parametrize("number", FOUND_BEFORE)
def test_what_was_wrong_once_is_told(number):
    assert opener.open_case(*cases.case(number)) == opener.REFUSED


def test_hostile_files_are_opened_or_refused_with_a_sentence():
    found = campaign.files(80, first=50_000)
    assert not found.wrong and found.opened + found.refused == 80 and found.opened > 5 and found.refused > 30
    assert found.most_mb < campaign.MOST_MB and found.slowest_s < campaign.HANG_S


def test_the_campaign_sees_what_is_wrong(monkeypatch):
    monkeypatch.setattr(opener.opening, "open_bytes", lambda *a: 1 / 0)
    number = next(n for n in range(99) if cases.case(n)[0] == cases.PICTURE)
    assert "ZeroDivisionError" in opener.open_case(*cases.case(number))


def test_kills_while_saving_and_writing_lose_nothing():
    assert kills.kills(4) == []


def test_full_disks_leave_nothing_half():
    assert kills.full_disks(50) == []


def test_half_a_minute_of_random_gestures(tmp_path):
    """In a process of its own: what it does to the application is not for other tests."""
    code = ("import json, os; from bench.hostile import gestures; done = gestures.run(15, seed=7); "
            "print(json.dumps([done.count, done.errors]), flush=True); "
            "os._exit(0)")  # what still computes is not waited for
    environment = {**os.environ, "PYTHONPATH": os.pathsep.join((str(cases.ROOT / "src"), str(cases.ROOT))),
                   "XDG_DATA_HOME": str(tmp_path), "XDG_CONFIG_HOME": str(tmp_path), "QT_QPA_PLATFORM": "offscreen"}
    done = subprocess.run([sys.executable, "-c", code], env=environment, capture_output=True, text=True, check=True)
    count, errors = json.loads(done.stdout.splitlines()[-1])
    assert errors == [] and count > 50
