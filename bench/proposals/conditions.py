"""How scenes come in: sizes, kinds of file, and the light and paper of what was drawn by hand."""

import io

import cv2
import numpy as np
import resvg_py
from PIL import Image

from bench.proposals.scenes import SIDE, Scene
from sketchloom.core.picture.picture import Picture, frozen_array

FILES = (("png", 700), ("png", 350), ("jpeg", 700), ("jpeg", 1100), ("png", 1100), ("transparent", 700),
         ("jpeg", 350))
"""Kind of file and long side, px, taken in turn."""
_QUALITY = 70


def rendered(body: str, size_px: int) -> np.ndarray:
    """(n, n, 4) uint8, not premultiplied."""
    svg = (f'<svg xmlns="http://www.w3.org/2000/svg" width="{size_px}" height="{size_px}" '
           f'viewBox="0 0 {SIDE} {SIDE}">{body}</svg>')
    return np.asarray(Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=svg)))).convert("RGBA"))


def picture_of(scene: Scene, kind: str, size_px: int) -> Picture:
    """A scene as a file of a kind."""
    body = scene.body
    if kind == "transparent" and scene.ground is not None:
        body = body.replace(f'<rect width="{SIDE}" height="{SIDE}" fill="{scene.ground}"/>', "", 1)
    rgba = rendered(body, size_px)
    if kind == "transparent" and rgba[..., 3].min() < 255:
        return Picture(frozen_array(rgba[..., :3].copy()), frozen_array(rgba[..., 3].copy()))
    rgb = rgba[..., :3].copy()
    return Picture(frozen_array(jpeg(rgb) if kind == "jpeg" else rgb))


def jpeg(rgb, quality: int = _QUALITY) -> np.ndarray:
    buffer = io.BytesIO()
    Image.fromarray(rgb).save(buffer, "JPEG", quality=quality)
    return np.asarray(Image.open(buffer).convert("RGB"))


def _paper(shape, rng, tint):
    """Paper with its fibre, (H, W, 3), about 1."""
    height, width = shape
    fibre = cv2.GaussianBlur(rng.normal(0, 1, (height, width)).astype(np.float32), (0, 0), 2.0)
    return np.array(tint, np.float32) * (1 + 0.004 * (fibre / fibre.std()))[..., None]


def _slope(shape, rng, fall):
    height, width = shape
    y, x = np.mgrid[0:height, 0:width].astype(np.float32)
    a = rng.uniform(0, 2 * np.pi)
    along = ((x - width / 2) * np.cos(a) / width + (y - height / 2) * np.sin(a) / height) + 0.5
    return (1 - fall * np.clip(along, 0, 1))[..., None]


def _shadow(shape, rng):
    """The soft shadow of a hand and a telephone over a corner."""
    height, width = shape
    mask = np.zeros(shape, np.float32)
    corner = np.array([rng.choice([0, width]), rng.choice([0, height])])
    reach = rng.uniform(0.45, 0.75) * width
    cv2.ellipse(mask, (int(corner[0]), int(corner[1])), (int(reach), int(reach * rng.uniform(0.6, 1.0))), 0, 0, 360,
                1.0, -1)
    return (1 - rng.uniform(0.2, 0.4) * cv2.GaussianBlur(mask, (0, 0), 0.05 * width))[..., None]


def by_hand(rgb, seed: int, light: str) -> Picture:
    """Ink on paper as a scanner or a telephone sees it.

    ``light``: even, slope, shadow, tint or pale (ink of little contrast).
    """
    rng = np.random.default_rng(7000 + seed)
    value = cv2.GaussianBlur(rgb.astype(np.float32), (0, 0), rng.uniform(0.7, 1.3)) / 255
    depth = {"pale": rng.uniform(0.3, 0.45)}.get(light, rng.uniform(0.75, 0.9))
    value = 1 - depth * (1 - value)
    tint = (0.93, 0.87, 0.74) if light == "tint" else (0.95, 0.94, 0.91)
    value = value * _paper(value.shape[:2], rng, tint)
    if light in ("slope", "tint"):
        value = value * _slope(value.shape[:2], rng, rng.uniform(0.2, 0.4))
    if light == "shadow":
        value = value * _shadow(value.shape[:2], rng)
    value = 255 * value + rng.normal(0, rng.uniform(1.5, 4.0), value.shape[:2])[..., None]
    return Picture(frozen_array(jpeg(np.clip(np.rint(value), 0, 255).astype(np.uint8), 85)))


def photo_like(seed: int, size_px: int = 800) -> Picture:
    """Lit rounded things before a soft ground, with grain and fine surface: a photo without anybody's photo."""
    rng = np.random.default_rng(8000 + seed)
    y, x = np.mgrid[0:size_px, 0:size_px].astype(np.float32) / size_px
    low, high = rng.uniform(0.1, 0.75, (2, 3))
    picture = low + (high - low) * (0.6 * y + 0.4 * x)[..., None]
    for _ in range(int(rng.integers(3, 7))):
        cx, cy, r, colour = *rng.uniform(0.15, 0.85, 2), rng.uniform(0.12, 0.3), rng.uniform(0.15, 0.95, 3)
        u, v = (x - cx) / r, (y - cy) / (r * rng.uniform(0.7, 1.3))
        inside = np.clip(1 - u * u - v * v, 0, 1)
        lit = 0.25 + 0.75 * np.clip(0.5 * np.sqrt(inside) - 0.5 * u - 0.4 * v, 0, 1)
        edge = np.clip((1 - np.hypot(u, v)) * r * size_px / 2, 0, 1)[..., None]
        grain = cv2.GaussianBlur(rng.normal(0, 1, x.shape).astype(np.float32), (0, 0), rng.uniform(1, 5))
        surface = 1 + rng.uniform(0.02, 0.15) * (grain / grain.std())
        picture = picture * (1 - edge) + (colour * (lit * surface)[..., None]) * edge
    picture = 255 * cv2.GaussianBlur(picture.astype(np.float32), (0, 0), 0.8) + rng.normal(0, 3, (*x.shape, 1))
    return Picture(frozen_array(jpeg(np.clip(np.rint(picture), 0, 255).astype(np.uint8), 88)))
