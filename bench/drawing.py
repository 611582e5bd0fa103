"""Pictures for the benchmark, drawn by rule with antialiased edges."""

import cv2
import numpy as np

COLOURS = ((250, 248, 240), (30, 53, 87), (181, 72, 60), (227, 174, 74), (47, 111, 126), (217, 198, 160),
           (84, 62, 94), (140, 168, 96))
_SHIFT = 6


def circle(size_px: int, radius_px: float, x: float, y: float, sub: int = 16) -> np.ndarray:
    """A black disc on white by area coverage, ``sub`` x ``sub`` samples a pixel."""
    at = (np.arange(size_px * sub) + 0.5) / sub
    inside = (at[None] - x) ** 2 + (at[:, None] - y) ** 2 <= radius_px**2
    cover = inside.reshape(size_px, sub, size_px, sub).mean((1, 3))
    return np.rint(255 * (1 - cover)).astype(np.uint8)


def flat_picture(width: int, height: int, colours: int, shapes: int, seed: int = 7) -> np.ndarray:
    """Discs, rings and polygons in flat colours, drawn at four times the size and averaged down."""
    rng = np.random.default_rng(seed)
    palette = COLOURS[:colours]
    canvas = np.full((height * 2, width * 2, 3), palette[0], np.uint8)
    unit = min(width, height) * 2
    for k in range(shapes):
        colour = palette[1 + k % (colours - 1)]
        x, y = rng.uniform(0.04, 0.96, 2) * (width * 2, height * 2)
        r = unit * rng.uniform(0.03, 0.14)
        at = (int(x * 2**_SHIFT), int(y * 2**_SHIFT))
        if k % 3 == 0:
            cv2.circle(canvas, at, int(r * 2**_SHIFT), colour, -1, cv2.LINE_AA, _SHIFT)
        elif k % 3 == 1:
            cv2.circle(canvas, at, int(r * 2**_SHIFT), colour, max(3, int(r / 4)), cv2.LINE_AA, _SHIFT)
        else:
            turn = np.sort(rng.uniform(0, 2 * np.pi, 5))
            points = np.stack([x + r * np.cos(turn), y + r * np.sin(turn)], -1)
            cv2.fillPoly(canvas, [np.rint(points * 2**_SHIFT).astype(np.int32)], colour, cv2.LINE_AA, _SHIFT)
    return cv2.resize(canvas, (width, height), interpolation=cv2.INTER_AREA)


def line_drawing(width: int, height: int, seed: int = 3) -> np.ndarray:
    """A page of ink curves, grey, antialiased."""
    rng = np.random.default_rng(seed)
    page = np.full((height, width), 255, np.uint8)
    t = np.linspace(0, 1, 160)
    for _ in range(220):
        x, y = rng.uniform(0.05, 0.95, 2) * (width, height)
        a, b, c = rng.uniform(-1, 1, (3, 2)) * 0.25 * width
        points = np.array([x, y]) + t[:, None] * a + t[:, None] ** 2 * b + np.sin(6 * t)[:, None] * c * 0.3
        cv2.polylines(page, [np.rint(points * 2**_SHIFT).astype(np.int32)], False, 0, int(rng.integers(3, 12)),
                      cv2.LINE_AA, _SHIFT)
    return page
