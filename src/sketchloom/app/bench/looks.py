"""How a stack will look: sheets in the look of their material, and the shadows they throw on each other."""

import math
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QBrush, QColor, QImage, QPainter, QTransform

_TILE = 128
_SHADOW, _SOFT = 0.36, 5
_FAR = 4
"""Shadows of sheets more than so many above fall outside of what is seen in a window."""


@dataclass(frozen=True, slots=True)
class Look:
    """``light_deg``: where the light comes from, clockwise from above the page, None for no shadows; ``slant``: mm
    of shadow for a mm of height; ``height_mm`` of each sheet's upper side, base first; ``families`` of their
    materials, None for flat colour;
    ``hidden`` numbers of sheets that are not painted and throw no shadow."""

    light_deg: float | None
    slant: float
    height_mm: tuple[float, ...]
    families: tuple[str | None, ...]
    hidden: tuple[int, ...] = ()

    def offset(self, over: int, under: int) -> QPointF:
        """How far the shadow of one sheet lies from it on another, mm."""
        way = math.radians(self.light_deg + 180)
        reach = (self.height_mm[over] - self.height_mm[under]) * self.slant
        return QPointF(reach * math.sin(way), -reach * math.cos(way))


def paint_texture(painter: QPainter, path, family: str | None) -> None:
    """The grain of a material over a shape that is filled already; its size does not change with the zoom."""
    if family is None:
        return
    brush = QBrush(_tile(family))
    inverse, _ = painter.worldTransform().inverted()
    brush.setTransform(QTransform(inverse.m11(), 0, 0, inverse.m22(), 0, 0))
    painter.fillPath(path, brush)


def paint_shadows(painter: QPainter, look: Look, paths, under: int) -> None:
    """Shadows of the sheets above on one that was just painted."""
    if look.light_deg is None:
        return
    device = painter.device()
    ratio = device.devicePixelRatio() if isinstance(device, QImage) else 1.0
    size = device.size() / ratio if isinstance(device, QImage) else device.size()
    # painted small and drawn large, which is quick and gives soft edges
    mask = QImage(
        max(size.width() // _SOFT, 1), max(size.height() // _SOFT, 1), QImage.Format.Format_ARGB32_Premultiplied
    )
    mask.fill(Qt.GlobalColor.transparent)
    inner = QPainter(mask)
    inner.setRenderHint(QPainter.RenderHint.Antialiasing)
    inner.setWorldTransform(
        painter.worldTransform() * QTransform.fromScale(mask.width() / size.width(), mask.height() / size.height())
    )
    for over in range(under + 1, min(under + 1 + _FAR, len(paths))):
        if over in look.hidden:
            continue
        inner.fillPath(paths[over].translated(look.offset(over, under)), QColor(20, 16, 12))
    inner.end()
    painter.save()
    painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
    painter.setClipPath(paths[under], Qt.ClipOperation.IntersectClip)
    painter.resetTransform()
    painter.setOpacity(_SHADOW)
    painter.drawImage(QRectF(0, 0, size.width(), size.height()), mask)
    painter.restore()


@lru_cache(maxsize=32)
def _tile(family: str) -> QImage:
    """Lighter and darker spots of a material, by rule and the same every time."""
    rng = np.random.default_rng(sum(map(ord, family)))
    y, x = np.mgrid[0:_TILE, 0:_TILE]
    noise = rng.normal(0, 1, (_TILE, _TILE))
    if family == "flake film":
        light = np.where(rng.random((_TILE, _TILE)) > 0.93, rng.choice([-70, 110], (_TILE, _TILE)), 0)
    elif family == "flocked film":
        light = 16 * _calm(noise, 1)
    elif family in ("paper", "card"):
        light = 7 * _calm(noise, 1) + 4 * _calm(noise.T, 3)
    elif family in ("board", "spacer"):
        light = np.where(rng.random((_TILE, _TILE)) > 0.97, -34, 0) + 6 * noise
    elif family == "wood":
        rings = np.sin(2 * np.pi * (y / 16 + 0.35 * np.sin(2 * np.pi * x / _TILE) + 0.08 * _calm(noise, 4)))
        light = 18 * rings
    elif family == "fabric":
        light = 14 * (np.sin(np.pi * x / 2) * np.sin(np.pi * y / 2)) + 5 * noise
    else:  # films and acrylic are smooth and shine
        light = 15 * np.sin(2 * np.pi * (x + y) / _TILE) ** 8 * 2
    pixels = np.zeros((_TILE, _TILE, 4), np.uint8)
    pixels[..., :3] = np.where(light > 0, 255, 0)[..., None]
    pixels[..., 3] = np.clip(np.abs(light), 0, 200)
    # an image, as pixmaps belong to the window's thread
    return QImage(pixels.data, _TILE, _TILE, 4 * _TILE, QImage.Format.Format_RGBA8888).copy()


def _calm(values, reach):
    """Averaged over neighbours, around the edges, and scaled to spread as before."""
    made = sum(np.roll(values, (dy, dx), (0, 1)) for dy in range(-reach, reach + 1) for dx in range(-reach, reach + 1))
    return made / max(float(made.std()), 1e-9)
