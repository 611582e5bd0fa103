"""Twenty mixed pictures and the reading that suits each, fixed before any limit was tuned on them."""

import cv2
import numpy as np

from bench.quality.conditions import CONDITIONS, picture_of
from bench.quality.run import icons
from bench.table import Row
from sketchloom.core.base import parallel
from sketchloom.core.judge import fitness
from sketchloom.core.judge.reading import proposed_reading
from sketchloom.core.picture.decode import decode
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.segment.palette import find_colours
from sketchloom.files.demo_works import demo

_SIZE = 800
_BY_NAME = {c.name: c for c in CONDITIONS}


def pictures():
    """(name, picture, reading): five of each kind, by rule and seed and never chosen by their result."""
    flat = [(n, i) for n, i in enumerate(icons()) if i["kind"] == "flat" and not i["aside"]]
    single = [(n, i) for n, i in enumerate(icons()) if i["kind"] == "single" and not i["aside"]]
    conditions = [c for c in CONDITIONS if "flat" in c.kinds]
    for k in range(4):
        number, icon = flat[k * len(flat) // 4]
        yield (
            f"{icon['name']} ({conditions[k % len(conditions)].name})",
            picture_of(icon, conditions[k % len(conditions)], number),
            "colour",
        )
    yield _demo("mark", "colour")
    scan = next(c for c in CONDITIONS if c.reading == "tone")
    for k in range(4):
        number, icon = single[k * len(single) // 4]
        yield f"{icon['name']} (scan)", picture_of(icon, scan, number), "tone"
    yield _demo("panel", "tone")
    for seed in range(4):
        yield f"open lines {seed}", _open_lines(seed), "line"
    yield _demo("pen", "line")
    for seed in range(3):
        yield f"shaded scene {seed}", _shaded(seed), "photo"
    yield _demo("boat", "photo")
    yield _demo("portrait", "photo")


def _demo(key, reading):
    one = demo(key)
    return key, decode(one.picture_path.read_bytes(), one.file_name), reading


def _open_lines(seed):
    """Wandering lines of one thin pen on paper; every other picture as a scanner sees it."""
    rng = np.random.default_rng(100 + seed)
    page = np.full((_SIZE, _SIZE), 250, np.uint8)
    width = int(rng.integers(2, 6))
    for _ in range(int(rng.integers(8, 20))):
        steps = np.cumsum(rng.normal(0, 0.25, 60))
        at = rng.uniform(80, _SIZE - 80, 2) + np.cumsum(7 * np.stack([np.cos(steps), np.sin(steps)], -1), axis=0)
        cv2.polylines(page, [np.rint(at * 16).astype(np.int32)], False, 30, width, cv2.LINE_AA, 4)
    value = page.astype(np.float32)
    if seed % 2:
        value = cv2.GaussianBlur(value, (0, 0), 0.9) * np.linspace(1, 0.88, _SIZE) + rng.normal(0, 3.5, page.shape)
    return _picture(np.repeat(value[..., None], 3, 2))


def _shaded(seed):
    """Soft hills under a sky with clouds, in colour, with grain: no flat area anywhere."""
    rng = np.random.default_rng(200 + seed)
    y, x = np.mgrid[:_SIZE, :_SIZE].astype(np.float32) / _SIZE
    cloud = sum(
        cv2.GaussianBlur(rng.normal(0, 1, (_SIZE, _SIZE)).astype(np.float32), (0, 0), s) * s for s in (12, 40, 90)
    )
    scene = np.dstack([120 + 90 * y + 9 * cloud, 140 + 60 * y + 9 * cloud, 200 - 20 * y + 6 * cloud])
    for k in range(3):
        ridge = 0.5 + 0.14 * k + 0.06 * np.sin(x * rng.uniform(4, 9) + rng.uniform(0, 6))
        inside = np.clip((y - ridge) * _SIZE / 3, 0, 1)[..., None]
        scene = scene * (1 - inside) + inside * (
            rng.uniform(30, 110, 3) + 60 * (y - ridge)[..., None] + 10 * cloud[..., None]
        )
    return _picture(scene + rng.normal(0, 4, (_SIZE, _SIZE, 1)))


def _picture(values):
    return Picture(frozen_array(np.clip(np.rint(values), 0, 255).astype(np.uint8)))


def rows() -> list[Row]:
    """How many of the twenty are read otherwise."""
    def judged(one):
        name, picture, wanted = one
        return name, wanted, proposed_reading(picture, fitness.measure(picture), find_colours(picture))
    found = parallel.in_threads(judged, list(pictures()))
    wrong = [f"{name}: {got} for {wanted}" for name, wanted, got in found if got != wanted]
    return [Row("automatic reading wrong, of 20 mixed pictures", len(wrong), 2, "", "; ".join(wrong))]
