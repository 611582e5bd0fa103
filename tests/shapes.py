"""Antialiased pictures of shapes known in closed form, and a gallery of awkward label images."""

import io

import numpy as np
from PIL import Image
from scipy import ndimage

from sketchloom.core.picture.picture import Picture, frozen_array

SUB, _COARSE = 16, 4


def cover_of(inside, size: int) -> np.ndarray:
    """(size, size) share of each pixel for which ``inside(x, y)`` holds, 16 x 16 samples.

    The share is off by at most about one part in 256 of a pixel along an edge, which
    moves a boundary by 0.004 px. Pixels are sampled so finely only where 4 x 4 samples of them or of a neighbour
    differ.
    """
    at = (np.arange(size * _COARSE) + 0.5) / _COARSE
    mask = np.broadcast_to(inside(at[None, :], at[:, None]), (size * _COARSE,) * 2)
    cover = mask.reshape(size, _COARSE, size, _COARSE).mean((1, 3))
    mixed = ndimage.maximum_filter(cover, 3, mode="nearest") != ndimage.minimum_filter(cover, 3, mode="nearest")
    within = (np.arange(SUB) + 0.5) / SUB
    y, x = (at[:, None, None] for at in np.nonzero(mixed))
    if len(x):
        fine = inside(x + within[None, None, :], y + within[None, :, None])
        cover[mixed] = np.broadcast_to(fine, (len(x), SUB, SUB)).mean((1, 2))
    return cover


def grey_of(cover) -> np.ndarray:
    """Black shape on white paper, uint8."""
    return np.rint(255 * (1 - cover)).astype(np.uint8)


def colour_of(cover, inner, outer) -> np.ndarray:
    """A shape in one colour on another."""
    cover = cover[..., None]
    return np.rint(np.array(outer) * (1 - cover) + np.array(inner) * cover).astype(np.uint8)


def picture(pixels, alpha=None) -> Picture:
    if pixels.ndim == 2:
        pixels = np.repeat(pixels[..., None], 3, 2)
    return Picture(frozen_array(pixels), None if alpha is None else frozen_array(alpha))


def png(pixels, **options) -> bytes:
    buffer = io.BytesIO()
    Image.fromarray(pixels).save(buffer, "PNG", **options)
    return buffer.getvalue()


def disc(x, y, r):
    return lambda px, py: (px - x) ** 2 + (py - y) ** 2 <= r * r


def ellipse(x, y, a, b, turn):
    c, s = np.cos(turn), np.sin(turn)
    return lambda px, py: (((px - x) * c + (py - y) * s) / a) ** 2 + (((py - y) * c - (px - x) * s) / b) ** 2 <= 1


def polygon(corners):
    """Even-odd inside test of a polygon."""
    corners = np.asarray(corners, float)

    def inside(px, py):
        odd = np.zeros(np.broadcast_shapes(px.shape, py.shape), bool)
        for (x0, y0), (x1, y1) in zip(corners, np.roll(corners, -1, 0), strict=False):
            crosses = (y0 > py) != (y1 > py)
            with np.errstate(divide="ignore", invalid="ignore"):
                odd ^= crosses & (px < (x1 - x0) * (py - y0) / (y1 - y0) + x0)
        return odd

    return inside


def star_corners(x, y, outer, inner, points, turn):
    angle = turn + np.pi * np.arange(2 * points) / points
    radius = np.where(np.arange(2 * points) % 2 == 0, outer, inner)
    return np.stack([x + radius * np.cos(angle), y + radius * np.sin(angle)], -1)


def shoelace(corners) -> float:
    x, y = np.asarray(corners).T
    return 0.5 * abs(float((x * np.roll(y, -1) - y * np.roll(x, -1)).sum()))


def perimeter(corners) -> float:
    return float(np.hypot(*(np.roll(corners, -1, 0) - corners).T).sum())


def gallery() -> dict[str, np.ndarray]:
    """Label images that break careless code."""
    nested = np.zeros((15, 15), int)
    for k in range(1, 7):
        nested[k:-k, k:-k] = k % 2
    checker = np.indices((6, 7)).sum(0) % 2
    touching = np.zeros((6, 6), int)
    touching[1:3, 1:3] = touching[3:5, 3:5] = 1
    ring_touch = np.ones((7, 7), int)
    ring_touch[1:3, 1:3] = ring_touch[3:6, 3:6] = 0
    border = np.zeros((5, 5), int)
    border[0, 2] = border[4, 4] = border[2, 0] = 1
    return {
        "one pixel": np.zeros((1, 1), int),
        "one row": np.array([[0, 1, 1, 2, 0]]),
        "one column": np.array([[0], [1], [0]]),
        "one colour": np.zeros((4, 5), int),
        "dot": np.pad([[1]], 3),
        "nested six deep": nested,
        "checker": checker,
        "touching at a point": touching,
        "holes touching at a point": ring_touch,
        "on the border": border,
        "three meet": np.array([[0, 0, 1], [0, 2, 1], [2, 2, 2]]),
        "four meet": np.array([[0, 1], [2, 3]]),
    }


def rounded_rectangle(x, y, w, h, r, turn=0.0):
    """Inside of a rounded rectangle, turned about its middle."""
    c, s = np.cos(turn), np.sin(turn)

    def inside(px, py):
        dx, dy = px - (x + w / 2), py - (y + h / 2)
        ax, ay = np.abs(dx * c + dy * s) - (w / 2 - r), np.abs(dy * c - dx * s) - (h / 2 - r)
        return (np.hypot(np.maximum(ax, 0), np.maximum(ay, 0)) <= r) & (np.maximum(ax, ay) <= r)

    return inside


def polygon_of(inside, size, sub=8):
    """The shape as a polygon of the contour between its samples, by a general library."""
    import shapely
    from skimage.measure import find_contours

    at = (np.arange(size * sub) + 0.5) / sub
    mask = np.broadcast_to(inside(at[None, :], at[:, None]), (size * sub, size * sub)).astype(float)
    longest = max(find_contours(mask, 0.5), key=len)
    return shapely.Polygon((longest[:, ::-1] + 0.5) / sub)
