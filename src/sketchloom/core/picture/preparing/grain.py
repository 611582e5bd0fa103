"""Grain and printing screens taken away, edges kept."""

import cv2
import numpy as np

from sketchloom.core.picture.picture import frozen_array

_STRENGTH = {1: 14.0, 2: 26.0, 3: 44.0}
_PASSES = {1: 1, 2: 2, 3: 3}
_SCREEN_PX = (2.2, 14.0)
"""Spacing of the dots of a printing screen, px, from and to."""
_TILE = 256
"""Side of the tiles whose spectra are taken."""
_PLAIN_PEAK = 60
"""Of plain noise the highest of 20 000 values is about 15 times the median."""


def denoised(rgb, steps: int) -> np.ndarray:
    """Flat areas quieter by averaging only what is alike; ``steps`` 1 to 3.

    References
    ----------
    Tomasi, Manduchi 1998, "Bilateral filtering for gray and color images".
    """
    out = np.ascontiguousarray(rgb)
    for _ in range(_PASSES[steps]):
        out = cv2.bilateralFilter(out, 7, _STRENGTH[steps], 2.2)
    return frozen_array(out)


def screen_period(rgb) -> float | None:
    """Distance in px between the dots of a printing screen; None when there is none.

    A screen is a peak of the spectrum away from its middle, at a distance that drawn edges do
    not favour. The median over tiles of the picture counts.
    """
    grey = cv2.cvtColor(np.ascontiguousarray(rgb), cv2.COLOR_RGB2GRAY).astype(np.float32)
    height, width = grey.shape
    if min(height, width) < _TILE:
        return None
    rows = np.linspace(0, height - _TILE, min(4, height // _TILE)).astype(int)
    columns = np.linspace(0, width - _TILE, min(4, width // _TILE)).astype(int)
    window = np.outer(np.hanning(_TILE), np.hanning(_TILE)).astype(np.float32)
    v, u = np.meshgrid(np.fft.fftfreq(_TILE), np.fft.rfftfreq(_TILE), indexing="ij")
    radius = np.hypot(u, v)
    ring = (radius > 1 / _SCREEN_PX[1]) & (radius < 1 / _SCREEN_PX[0])
    periods, tiles = [], 0
    for y in rows:
        for x in columns:
            tile = grey[y:y + _TILE, x:x + _TILE]
            if tile.std() < 3:
                continue
            tiles += 1
            power = np.abs(np.fft.rfft2((tile - tile.mean()) * window))
            band = np.where(ring, power * radius, 0)  # drawn edges fall off with the radius
            peak = int(band.argmax())
            if band.ravel()[peak] > _PLAIN_PEAK * np.median(band[ring]) and _stands_alone(
                power, u.ravel()[peak], v.ravel()[peak]
            ):
                periods.append(1 / radius.ravel()[peak])
    if tiles == 0 or len(periods) < max(1, 0.5 * tiles):
        return None
    middle = float(np.median(periods))
    return middle if np.mean(np.abs(np.array(periods) - middle) < 0.15 * middle) > 0.6 else None


def _stands_alone(power, u, v):
    """Whether a peak has little before and behind it on its ray, as edges would have, and one at right angles."""
    def strongest(a, b):
        if a < 0 or (a == 0 and b < 0):
            a, b = -a, -b
        x, y = round(a * _TILE), round(b * _TILE) % _TILE
        rows = np.arange(y - 2, y + 3) % _TILE
        return float(power[rows][:, max(x - 2, 0):x + 3].max(initial=0.0))
    peak = strongest(u, v)
    ray = max(strongest(u * t, v * t) for t in (0.55, 0.65, 0.75, 1.3, 1.45))
    return ray < 0.1 * peak and strongest(-v, u) > 0.05 * peak


def descreened(rgb) -> np.ndarray:
    """A printed page without its screen of dots: blurred over one period, then edges drawn tight again."""
    period = screen_period(rgb) or 4.0
    soft = cv2.GaussianBlur(np.ascontiguousarray(rgb), (0, 0), 0.55 * period)
    for _ in range(2):
        soft = cv2.bilateralFilter(soft, 0, 24.0, max(1.5, 0.5 * period))
    return frozen_array(soft)
