"""The real program on a real X server (Xvfb): it starts, shows a window, takes keys, ends."""

import os
import signal
import subprocess
import sys
import time
from pathlib import Path

import pytest

from sketchloom.files.demo_works import demo

ROOT = Path(__file__).resolve().parents[2]


@pytest.fixture
def display(tmp_path):
    """A virtual screen of its own; the server picks a free number."""
    read, write = os.pipe()
    server = subprocess.Popen(["Xvfb", "-displayfd", str(write), "-screen", "0", "1280x800x24", "-nolisten", "tcp"],
                              pass_fds=[write], stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
    os.close(write)
    number = os.fdopen(read).readline().strip()
    yield f":{number}"
    server.terminate()
    server.wait(10)


def until(done, seconds=150):
    end = time.monotonic() + seconds
    while time.monotonic() < end:
        value = done()
        if value:
            return value
        time.sleep(0.1)
    raise AssertionError(f"waited {seconds} s")


def test_start_keys_kill_and_recovery(display, tmp_path):
    environment = {**os.environ, "DISPLAY": display, "QT_QPA_PLATFORM": "xcb", "PYTHONPATH": str(ROOT / "src")}
    log = (tmp_path / "log").open("w+")  # held while the programs run

    def start(*words):
        return subprocess.Popen([sys.executable, "-m", "sketchloom", *words], env=environment, stdout=log, stderr=log)

    def xdotool(*words):
        return subprocess.run(["xdotool", *words], env=environment, capture_output=True, text=True)

    program = start(str(demo("panel").picture_path))
    window = until(lambda: xdotool("search", "--name", "lantern-panel.*Sketch Loom").stdout.split())[0]
    xdotool("windowfocus", "--sync", window)
    xdotool("key", "--window", window, "u")
    copies = tmp_path / "data" / "sketch-loom" / "recovery"
    until(lambda: list(copies.glob("*/state.json")), 10)
    program.send_signal(signal.SIGKILL)
    program.wait(10)

    program = start()
    until(lambda: xdotool("search", "--name", "Sketch Loom").stdout.split())
    assert list(copies.glob("*/state.json")), "an offer not taken is kept"
    program.send_signal(signal.SIGINT)
    assert program.wait(20) == 0
    log.seek(0)
    assert "Traceback" not in log.read()
