"""How a carved blank looks: lit from the upper left, in wood, stone or paint, turned and tilted.

The face is lit once. A view of it needs no ray for each pixel: with an upright camera all that may be seen in a column
of the picture lies on one line of the field, near places before far ones. What is seen is what rises above everything
nearer (the floating horizon, Wright 1973), in whole columns at once.
"""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.carve.blank import PAINT, STONE, WOOD
from sketchloom.core.carve.field import HeightField

MOST_PX = 1_500_000
"""A face of more is lit coarser: no screen shows it."""
_LIGHT = np.array([-0.45, -0.55, 0.70])
_AMBIENT, _DIFFUSE, _SHINE = 0.42, 0.62, 0.10
_WALL = 0.62
"""How bright walls are that are seen from the side."""
GROUND = (244, 241, 234)
"""What a blank lies on."""
_GROUND = np.array(GROUND, np.uint8)
_BASE = {WOOD: (196, 152, 104), STONE: (172, 168, 160), PAINT: (47, 111, 126)}
_CUT = {WOOD: (222, 186, 140), STONE: (196, 193, 186), PAINT: (227, 214, 184)}
"""Colours of the face and of what was cut: below paint is the wood."""
_SHADE_MM = 6.0
"""Deep places are darker the less of the sky they see, over about so far (our own)."""
_WALL_PX = 1.6
"""What is seen between two places that lie no farther apart in the picture is the face, else a wall."""


@dataclass(frozen=True, slots=True, eq=False)
class Lit:
    """A lit face: ``colour`` (H, W, 3) uint8 and ``z`` (H, W) float32 mm at ``mm_per_px``, ``thickness_mm`` of the
    blank; where there is none of it, ``z`` is that of its lower face."""

    colour: np.ndarray
    z: np.ndarray
    board: np.ndarray
    mm_per_px: float
    thickness_mm: float
    side: np.ndarray


def lit(field: HeightField, look: str = WOOD) -> Lit:
    """Light a field."""
    shrink = max(float(np.sqrt(field.z.size / MOST_PX)), 1.0)
    z = np.where(field.board, np.maximum(field.z, -field.thickness_mm), 0.0).astype(np.float32)
    scale = field.mm_per_px
    board = field.board.astype(np.float32)
    if shrink > 1.0:
        size = (max(round(z.shape[1] / shrink), 1), max(round(z.shape[0] / shrink), 1))
        scale *= z.shape[1] / size[0]
        z, board = (cv2.resize(one, size, interpolation=cv2.INTER_AREA) for one in (z, board))
    solid = board > 0.5
    smooth = cv2.GaussianBlur(z, (0, 0), 0.7)
    dx = cv2.Sobel(smooth, cv2.CV_32F, 1, 0, scale=1 / (8 * scale))
    dy = cv2.Sobel(smooth, cv2.CV_32F, 0, 1, scale=1 / (8 * scale))
    size = np.sqrt(1 + dx * dx + dy * dy)
    light = _LIGHT / np.linalg.norm(_LIGHT)
    facing = np.maximum((-dx * light[0] - dy * light[1] + light[2]) / size, 0.0)
    half = light + (0.0, 0.0, 1.0)
    half /= np.linalg.norm(half)
    gloss = np.maximum((-dx * half[0] - dy * half[1] + half[2]) / size, 0.0) ** 24
    around = cv2.GaussianBlur(z, (0, 0), max(_SHADE_MM / scale / 2, 0.5))
    hidden = np.clip(1 - np.maximum(around - z, 0) / _SHADE_MM * 0.55, 0.35, 1.0)
    bright = (_AMBIENT * hidden + _DIFFUSE * facing * (0.5 + 0.5 * hidden))[..., None]
    colour = _stuff(z, look, scale) * bright + 255 * _SHINE * (gloss * hidden)[..., None]
    colour = np.clip(colour, 0, 255).astype(np.uint8)
    side = np.clip(np.array(_CUT[look]) * _WALL, 0, 255).astype(np.uint8)
    colour[~solid] = side  # what a pixel of its edge is mixed with
    z[~solid] = -field.thickness_mm
    return Lit(np.ascontiguousarray(colour), z, solid, scale, field.thickness_mm, side)


def _stuff(z, look, scale):
    """Colour of the stuff itself (H, W, 3): grain along x, speckles, or paint over wood."""
    rng = np.random.default_rng(7)
    height, width = z.shape
    cut = np.clip(-z / 0.15, 0.0, 1.0)[..., None]
    if look == STONE:
        small = rng.normal(0, 1, (max(int(height * scale / 0.8), 2), max(int(width * scale / 0.8), 2)))
        speck = cv2.resize(small.astype(np.float32), (width, height), interpolation=cv2.INTER_LINEAR)
        part = (1 + 0.05 * np.clip(speck, -2.5, 2.5))[..., None]
        return (np.array(_BASE[look]) * (1 - cut) + np.array(_CUT[look]) * cut) * part
    rows = max(int(height * scale / 0.9), 4)
    grain = rng.normal(0, 1, (rows, max(int(width * scale / 90), 3))).astype(np.float32)
    grain = cv2.GaussianBlur(cv2.resize(grain, (width, height), interpolation=cv2.INTER_CUBIC), (0, 0), 1.0)
    wide = rng.normal(0, 1, (max(rows // 14, 2), 3)).astype(np.float32)
    wide = cv2.resize(wide, (width, height), interpolation=cv2.INTER_CUBIC)
    wood = np.array(_CUT[look]) if look == PAINT else np.array(_BASE[WOOD]) * (1 - cut) + np.array(_CUT[WOOD]) * cut
    wood = wood * (1 + 0.045 * np.clip(grain, -2, 2) + 0.05 * np.clip(wide, -2, 2))[..., None]
    return np.array(_BASE[PAINT]) * (1 - cut) + wood * cut if look == PAINT else wood


@dataclass(frozen=True, slots=True, eq=False)
class Camera:
    """Where a face is looked at from: upright columns of the picture are lines of the field, ``near`` places of each
    from far to near. ``to_field`` (2, 3): from column and place to the field's columns and rows. ``up``: pixels of the
    picture a millimetre of height."""

    wide: int
    high: int
    tilt: float
    near: int
    to_field: np.ndarray
    middle: float
    up: float
    mm_per_px: float

    @classmethod
    def at(cls, face: Lit, size, turn_deg: float, tilt_deg: float, zoom: float) -> "Camera":
        """As of ``view``."""
        wide, high = (max(int(v), 8) for v in size)
        tilt = np.radians(np.clip(tilt_deg, 0.0, 80.0))
        rows, columns = face.z.shape
        c, s = np.cos(np.radians(turn_deg)), np.sin(np.radians(turn_deg))
        span = abs(columns * c) + abs(rows * s), abs(columns * s) + abs(rows * c)
        deep = face.thickness_mm / face.mm_per_px * np.sin(tilt)
        scale = zoom * min(0.96 * wide / span[0], 0.96 * high / (span[1] * np.cos(tilt) + deep))  # px a field's px
        # the field turned into the picture's columns, its rows from far to near, as many as pixels of the picture need
        near = max(min(int(np.ceil(span[1] * scale)), int(np.ceil(high / np.cos(tilt) + 2 * deep * scale))) + 4, 8)
        to_field = np.array([
            [c / scale, s / scale, columns / 2 - (c * wide / 2 + s * near / 2) / scale],
            [-s / scale, c / scale, rows / 2 - (-s * wide / 2 + c * near / 2) / scale]])
        return cls(wide, high, float(tilt), near, to_field, high / 2 - deep * scale / 2,
                   float(np.sin(tilt) * scale / face.mm_per_px), face.mm_per_px)

    def row_of(self, place, z_mm):
        """The picture's row of places of a column, at a height."""
        level = (place - self.near / 2) * np.float32(np.cos(self.tilt)) + np.float32(self.middle)
        return level - z_mm * np.float32(self.up)

    def seen(self, xy_mm, z_mm=0.0) -> np.ndarray:
        """Where the picture shows places (N, 2) mm of the blank at a height, unless something hides them: (N, 2) px."""
        column_row = np.asarray(xy_mm, float) / self.mm_per_px - 0.5
        at = (column_row - self.to_field[:, 2]) @ np.linalg.inv(self.to_field[:, :2]).T
        if self.tilt < 1e-3:
            return np.column_stack([at[:, 0], at[:, 1] + (self.high - self.near) // 2])
        return np.column_stack([at[:, 0], self.row_of(at[:, 1], z_mm)])

    def place_under(self, face: Lit, x: float, y: float) -> tuple[float, float] | None:
        """The place of the blank, mm, that a pixel of the picture shows; None beside it."""
        places = np.arange(self.near)[::-1]
        at = self.to_field @ np.stack([np.full(self.near, x), places, np.ones(self.near)])
        columns, rows = np.rint(at).astype(np.intp)
        z = np.full(self.near, -face.thickness_mm, np.float32)
        here = (columns >= 0) & (rows >= 0) & (columns < face.z.shape[1]) & (rows < face.z.shape[0])
        z[here] = face.z[rows[here], columns[here]]
        level = self.row_of(places, z) if self.tilt >= 1e-3 else places + (self.high - self.near) // 2
        reached = np.flatnonzero(np.minimum.accumulate(level) <= y + 0.5)
        if not len(reached) or not here[reached[0]] or z[reached[0]] <= -face.thickness_mm:
            return None
        x_mm, y_mm = (at[:, reached[0]] + 0.5) * self.mm_per_px
        return float(x_mm), float(y_mm)


def view(face: Lit, size, turn_deg: float = 0.0, tilt_deg: float = 0.0, zoom: float = 1.0, coarse: int = 1):
    """A picture (h, w, 3) uint8 of a lit face; ``coarse``: worked out so much smaller, for one that moves.

    Parameters
    ----------
    size : width and height of the picture, px. turn_deg : the blank is turned so far clockwise. tilt_deg : 0 straight
    from above, up to 80. zoom : 1 where all of it fits.
    """
    if coarse > 1:
        small = view(face, (size[0] / coarse, size[1] / coarse), turn_deg, tilt_deg, zoom)
        return cv2.resize(small, (max(int(size[0]), 8), max(int(size[1]), 8)), interpolation=cv2.INTER_LINEAR)
    camera = Camera.at(face, size, turn_deg, tilt_deg, zoom)
    wide, high, near, to_field = camera.wide, camera.high, camera.near, camera.to_field
    # heights of the nearest place: between the face and what lies beside it there is no slope
    z = cv2.warpAffine(face.z, to_field, (wide, near), flags=cv2.INTER_NEAREST | cv2.WARP_INVERSE_MAP,
                       borderMode=cv2.BORDER_CONSTANT, borderValue=-face.thickness_mm)
    colour = cv2.warpAffine(face.colour, to_field, (wide, near), flags=cv2.INTER_LINEAR | cv2.WARP_INVERSE_MAP,
                            borderMode=cv2.BORDER_CONSTANT, borderValue=_GROUND.tolist())
    if camera.tilt < 1e-3:
        colour[z <= -face.thickness_mm] = _GROUND
        return _middle(colour, high)
    return _seen(z, colour, face, camera)


def _middle(colour, high):
    rows = colour.shape[0]
    made = np.empty((high, colour.shape[1], 3), np.uint8)
    made[:] = _GROUND
    top = (high - rows) // 2
    a, b = max(top, 0), min(top + rows, high)
    made[a:b] = colour[a - top:b - top]
    return made


def _seen(z, colour, face, camera):
    """The floating horizon: for each pixel of a column the nearest place that reaches so high."""
    rows, wide = z.shape
    high = camera.high
    # the picture's row of each place, from near to far; a row of columns lies together, as it is gone along
    at = camera.row_of(np.arange(rows, dtype=np.float32)[::-1, None], z[::-1])
    horizon = np.minimum.accumulate(at, axis=0)
    # how many places of a column, from near on, have not yet risen to each row of the picture
    row_of = np.clip(horizon, -1.0, high, out=at).astype(np.int32)
    row_of += 1
    row_of *= wide
    row_of += np.arange(wide, dtype=np.int32)
    count = np.bincount(row_of.ravel(), minlength=wide * (high + 2)).reshape(high + 2, wide)
    below = np.cumsum(count[::-1], axis=0, dtype=np.int32)[::-1][2:]
    first = np.minimum(below, rows - 1)
    flat = first * wide
    flat += np.arange(wide, dtype=np.int32)
    its = horizon.reshape(-1)[flat]
    made = np.ascontiguousarray(colour[::-1]).reshape(-1, 3)[flat]
    jump = np.arange(high, dtype=np.float32)[:, None] - its
    made[(jump > _WALL_PX) & (first > 0)] = face.side
    made[(below >= rows) | (z[::-1].reshape(-1)[flat] <= -face.thickness_mm)] = _GROUND
    return made
