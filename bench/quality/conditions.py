"""The conditions a truth picture is seen under, and how it is traced in each."""

import io
from dataclasses import dataclass
from functools import lru_cache

import cv2
import numpy as np
import resvg_py
from PIL import Image

from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.recipe.document import Recipe

WHITE = (255, 255, 255)


@dataclass(frozen=True, slots=True)
class Condition:
    """``make`` turns an rgba rendering into a picture; ``kinds`` of icons it is for."""

    name: str
    size_px: int
    make: object
    ground: tuple | None
    reading: str
    kinds: tuple[str, ...]


@lru_cache(maxsize=64)
def _rendered(body: str, size: float, size_px: int) -> np.ndarray:
    """(n, n, 4) uint8, not premultiplied."""
    svg = (f'<svg xmlns="http://www.w3.org/2000/svg" width="{size_px}" height="{size_px}" '
           f'viewBox="0 0 {size} {size}">{body.replace("currentColor", "#000000")}</svg>')
    return np.asarray(Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=svg)))).convert("RGBA"))


def _on_white(rgba):
    alpha = rgba[..., 3:].astype(np.float32) / 255
    return np.rint(rgba[..., :3] * alpha + 255 * (1 - alpha)).astype(np.uint8)


def clean(rgba, seed):
    return Picture(frozen_array(_on_white(rgba)))


def transparent(rgba, seed):
    return Picture(frozen_array(rgba[..., :3].copy()), frozen_array(rgba[..., 3].copy()))


def jpeg(rgba, seed):
    buffer = io.BytesIO()
    Image.fromarray(_on_white(rgba)).save(buffer, "JPEG", quality=40)
    return Picture(frozen_array(np.asarray(Image.open(buffer).convert("RGB"))))


def scan(rgba, seed):
    """Blur of 1 px, light that falls by 15 % across the page, noise, slight paper tone."""
    rng = np.random.default_rng(seed)
    value = cv2.GaussianBlur(_on_white(rgba).astype(np.float32), (0, 0), 1.0)
    height, width = value.shape[:2]
    light = np.linspace(1.0, 0.85, width, dtype=np.float32)[None, :, None]
    paper = np.array([0.98, 0.965, 0.93], np.float32)
    noise = rng.normal(0, 4.0, (height, width, 1)).astype(np.float32)
    out = (25 + value * (225 / 255)) * light * paper + noise
    return Picture(frozen_array(np.clip(np.rint(out), 0, 255).astype(np.uint8)))


BOTH = ("flat", "single")
CONDITIONS = (
    Condition("clean 512", 512, clean, WHITE, "auto", BOTH),
    Condition("small 200", 200, clean, WHITE, "auto", BOTH),
    Condition("alpha 512", 512, transparent, None, "colour", BOTH),
    Condition("jpeg 400 q40", 400, jpeg, WHITE, "auto", BOTH),
    Condition("scan 900", 900, scan, WHITE, "tone", ("single",)),
)


def picture_of(icon: dict, condition: Condition, seed: int) -> Picture:
    return condition.make(_rendered(icon["body"], icon["size"], condition.size_px), seed)


def recipe_of(condition: Condition) -> Recipe:
    """Nothing is too small to keep: every region counts."""
    return Recipe(reading=condition.reading, smallest_mm=0.0)
