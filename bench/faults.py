"""Are faults found where they are, and only there? Clean pictures, each damaged in every way."""

import io
import sys
from dataclasses import fields

import cv2
import numpy as np
from PIL import Image

from bench.quality.conditions import CONDITIONS, picture_of
from bench.quality.run import icons
from bench.table import Row
from sketchloom.core.judge.faults import Faults, find_faults
from sketchloom.core.picture.decode import decode
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.files.demo_works import demo

_SIZE = 900
_ICONS = 14


def bases(aside: bool):
    """Names with clean pictures of ink on paper: single-colour icons and two of the demo's."""
    condition = next(c for c in CONDITIONS if c.name == "clean 512")
    chosen = [(n, i) for n, i in enumerate(icons()) if i["kind"] == "single" and i["aside"] == aside][:_ICONS]
    for number, icon in chosen:
        small = picture_of(icon, condition, number)
        yield icon["name"], cv2.resize(small.rgb, (_SIZE, _SIZE), interpolation=cv2.INTER_CUBIC)
    for key in ("panel",):
        one = demo(key)
        picture = decode(one.picture_path.read_bytes(), one.file_name).reduced(_SIZE)
        yield key, picture.rgb


def _scanned(rgb, rng):
    """What every scan has: a little blur, grain, and paper that is not quite white."""
    soft = cv2.GaussianBlur(rgb.astype(np.float32), (0, 0), 0.8) * (235 / 255) + 10
    return soft + rng.normal(0, 4.0, (*rgb.shape[:2], 1))


def _u8(values):
    return np.clip(np.rint(values), 0, 255).astype(np.uint8)


def _skewed(rgb, rng):
    degrees = float(rng.choice([-1, 1]) * rng.uniform(0.8, 6.0))
    h, w = rgb.shape[:2]
    move = cv2.getRotationMatrix2D((w / 2, h / 2), -degrees, 0.9)
    return _scanned(cv2.warpAffine(rgb, move, (w, h), flags=cv2.INTER_AREA, borderValue=(255,) * 3), rng)


def _uneven(rgb, rng):
    h, w = rgb.shape[:2]
    light = np.linspace(1.0, rng.uniform(0.6, 0.8), w)[None, :, None] * np.linspace(1.0, 0.92, h)[:, None, None]
    return _scanned(rgb, rng) * light


def _on_a_table(rgb, rng):
    h, w = rgb.shape[:2]
    out = (round(w * 1.3), round(h * 1.3))
    corners = np.float32([[0.14, 0.12], [0.86, 0.16], [0.93, 0.9], [0.08, 0.88]]) + rng.uniform(
        -0.03, 0.03, (4, 2)
    ).astype(np.float32)
    move = cv2.getPerspectiveTransform(np.float32([[0, 0], [w, 0], [w, h], [0, h]]), corners * np.float32(out))
    shot = cv2.warpPerspective(rgb, move, out, flags=cv2.INTER_AREA, borderValue=(96, 78, 66))
    return _scanned(shot, rng)


def _screened(rgb, rng):
    h, w = rgb.shape[:2]
    period = rng.uniform(4, 9)
    y, x = np.mgrid[0:h, 0:w]
    a = np.radians(rng.uniform(20, 70))
    dots = 0.25 * (np.cos(2 * np.pi * (x * np.cos(a) + y * np.sin(a)) / period)
                   + np.cos(2 * np.pi * (y * np.cos(a) - x * np.sin(a)) / period)) + 0.5
    tone = cv2.GaussianBlur(rgb, (0, 0), 1.5).astype(np.float32) * (200 / 255) + 30
    return _scanned(_u8(255 * np.clip((tone / 255 - dots[..., None]) * 4 + 0.5, 0, 1)), rng)


def _compressed(rgb, rng):
    buffer = io.BytesIO()
    Image.fromarray(_u8(_scanned(rgb, rng))).save(buffer, "JPEG", quality=int(rng.integers(20, 40)))
    return np.asarray(Image.open(buffer).convert("RGB"))


def _paled(rgb, rng):
    return _scanned(_u8(235 - (255 - rgb.astype(float)) * rng.uniform(0.18, 0.28)), rng)


def _framed(rgb, rng):
    inner = _u8(_scanned(rgb, rng))
    t = int(rng.integers(8, 30))
    return cv2.copyMakeBorder(inner, t, t, t, t, cv2.BORDER_CONSTANT, value=(45, 42, 40))


def _marked(rgb, rng):
    """A faint pattern under the drawing, as of textured paper or a watermark."""
    h, w = rgb.shape[:2]
    coarse = cv2.GaussianBlur(rng.normal(0, 1, (h, w)).astype(np.float32), (0, 0), float(rng.uniform(4, 7)))
    return _scanned(_u8(rgb - np.abs(coarse / coarse.std())[..., None] * rng.uniform(9, 14)), rng)


def _doubled(rgb, rng):
    """Every outline as two strokes side by side."""
    ink = (rgb.mean(2) < 128).astype(np.uint8)
    away = cv2.distanceTransform(1 - ink, cv2.DIST_L2, cv2.DIST_MASK_PRECISE) - cv2.distanceTransform(
        ink, cv2.DIST_L2, cv2.DIST_MASK_PRECISE)
    gap, stroke = float(rng.uniform(3, 5)), float(rng.uniform(3, 5))
    cover = np.clip(stroke / 2 + 0.5 - np.abs(np.abs(away) - (gap + stroke) / 2), 0, 1)
    return _scanned(np.repeat(255 * (1 - cover)[..., None], 3, 2).astype(np.float32), rng)


DAMAGES = {
    "double_px": _doubled,
    "skew_deg": _skewed,
    "uneven_light": _uneven,
    "page": _on_a_table,
    "screen_px": _screened,
    "blocks": _compressed,
    "pale": _paled,
    "frame": _framed,
    "texture": _marked,
    None: _scanned,
}


def rows(aside: bool = False) -> list[Row]:
    found_right = named = false = could = 0
    missed, made_up = {}, {}
    for number, (name, rgb) in enumerate(bases(aside)):
        for damage, make in DAMAGES.items():
            picture = Picture(frozen_array(_u8(make(rgb, np.random.default_rng(number)))))
            found = find_faults(picture)
            seen = {f.name for f in fields(Faults) if getattr(found, f.name)}
            if damage is not None:
                named += 1
                found_right += damage in seen
                if damage not in seen:
                    missed.setdefault(damage, []).append(name)
            could += 1
            extra = seen - {damage}
            false += bool(extra)
            for one in extra:
                made_up.setdefault(f"{one} on {damage}", []).append(name)
    sys.stdout.write(f"  missed: {missed}\n  made up: {made_up}\n")
    return [Row("named faults missed", 1 - found_right / named, 0.1, "", f"{found_right} of {named} found"),
            Row("pictures with a fault named that is not there", false / could, 0.1, "", f"{false} of {could}")]
