"""The window while it works: a notch of the wheel, a pan, a hover; stalls of its thread; memory; progress that is told.

Each row runs in a process of its own, offscreen. Painting is part of what is timed.
"""

import json
import os
import subprocess
import sys
import tempfile
from pathlib import Path

import cv2
import numpy as np
from PIL import Image

from bench.table import Row

ROOT = Path(__file__).parents[1]
_DEMO = ROOT / "src" / "sketchloom" / "data" / "demo"
CELLS = {300: 24, 3000: 20, 30_000: 16}
"""Numbers of regions, and the side of each region's cell, px."""


def cells(count: int) -> Image.Image:
    """About so many wavy spots in four colours on white, by rule."""
    cell = CELLS[count]
    side = int(count**0.5)
    y, x = np.mgrid[: side * cell, : side * cell]
    colours = np.array([(200, 60, 40), (40, 110, 60), (30, 53, 87), (227, 174, 74)], np.uint8)
    wave = 2.5 * np.sin(x / 7) + 2.5 * np.cos(y / 9)
    inside = np.hypot(x % cell - cell / 2, y % cell - cell / 2) < cell * 0.36 + wave * 0.4
    pick = colours[np.random.default_rng(3).integers(0, 4, side * side)]
    pixels = np.full((side * cell, side * cell, 3), 255, np.uint8)
    pixels[inside] = pick[(y // cell * side + x // cell)[inside]]
    return Image.fromarray(pixels)


def large(name: str, megapixels: float, grain: float = 0.0) -> Image.Image:
    """A demo picture drawn larger, with grain as a camera has it."""
    source = cv2.cvtColor(cv2.imread(str(_DEMO / name)), cv2.COLOR_BGR2RGB)
    times = (megapixels * 1e6 / (source.shape[0] * source.shape[1])) ** 0.5
    pixels = cv2.resize(source, None, fx=times, fy=times, interpolation=cv2.INTER_CUBIC)
    if grain:
        noise = np.random.default_rng(1).normal(0, grain, pixels.shape).astype(np.float32)
        pixels = np.clip(pixels + noise, 0, 255).astype(np.uint8)
    return Image.fromarray(pixels)


def run(task: str, picture: Path, *words: str) -> dict:
    """One task of ``window_tasks`` in a process of its own, with folders of its own."""
    with tempfile.TemporaryDirectory() as folder:
        environment = {**os.environ, "PYTHONPATH": os.pathsep.join(str(ROOT / p) for p in ("src", "tests", ".")),
                       "QT_QPA_PLATFORM": "offscreen", "XDG_DATA_HOME": folder, "XDG_CONFIG_HOME": folder}
        done = subprocess.run(
            [sys.executable, "-m", "bench.window_tasks", task, str(picture), *words],
            env=environment,
            cwd=ROOT,
            capture_output=True,
            text=True,
            check=True,
        )
    return json.loads(done.stdout.splitlines()[-1])


def rows() -> list[Row]:
    with tempfile.TemporaryDirectory() as folder:
        return [*_handling(Path(folder)), *_large(Path(folder))]


def _handling(folder):
    for count, most in ((300, 33), (3000, 33), (30_000, 50)):
        path = folder / f"cells{count}.png"
        cells(count).save(path)
        found = run("handle", path)
        about = f"{found['regions']} regions, median of 12"
        for what in ("wheel", "pan", "hover"):
            yield Row(f"a {what}, {count} regions", found[what], most, "ms", about)
        if count == 3000:
            yield Row("longest stall while 3000 regions open", 1000 * found["stall"], 100, "ms")
            yield Row("longest stall at the first turn to Clean", 1000 * found["turn"], 100, "ms")


def _large(folder):
    made = {}
    for name, picture, megapixels, grain in (
            ("photo16", "paper-boat.jpg", 16, 4.0), ("ink16", "kingfisher-sketch.png", 16, 0.0),
            ("photo45", "paper-boat.jpg", 45, 4.0), ("flat45", "lighthouse-badge.png", 45, 0.0)):
        made[name] = folder / f"{name}.{'jpg' if grain else 'png'}"
        large(picture, megapixels, grain).save(made[name], quality=88)
    for name, reading in (("photo16", "auto"), ("photo16", "colour"), ("ink16", "auto"), ("ink16", "line")):
        longest = run("reports", made[name], reading)["longest"]
        yield Row(f"longest stretch without a report, {name}, read as {reading}", longest, 0.5, "s")
    yield Row("memory of eleven cut-offs beyond the first, 16 MP", run("cut_offs", made["ink16"])["more_mb"], 250, "MB")
    yield Row("memory, 45 MP photo-like", run("reports", made["photo45"])["peak_mb"] / 1024, 1.5, "GB")
    yield Row("memory, 45 MP flat", run("reports", made["flat45"])["peak_mb"] / 1024, 1.0, "GB")
