"""What a picture can give, measured before it is traced."""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.colour import srgb_to_lab
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment.palette import flat_limit, noise_level

COMFORTABLE_PX_PER_MM = 3.0
"""About 1056 px for a design of 290 mm; 560 px and less were found poor (trade)."""
_JUDGED_PX = 1200
"""Side of the middle part that edges and grain are measured in."""
_STRONG_EDGE = 48
"""Steps of 255 that make an edge worth measuring."""
_LEAST_CONTRAST_NOISE = 0.62
"""Averaging four pixels halves noise; where it takes away less than this share of all contrast there is a picture."""
_BAND_SHARE, _BAND_PX, _FAINT = 0.04, 45, 32
"""A soft edge is no wider than this share of the side, or so many px as its change of tone is looked for over sixteen;
small changes are under the last of 255 (chosen on stickers with a blurred ring)."""
_DRIFT = 4
"""Steps of 255 over a few pixels that are a slow change of tone."""


@dataclass(frozen=True, slots=True)
class Fitness:
    """Figures of a picture.

    ``flat_share`` of pixels with quiet surroundings; ``shaded_share`` of pixels that change without an edge nearby,
    ``wide_share`` of pixels where that is more than a soft edge; ``grainy_share`` of places all around which there are
    small changes; ``edge_width_px`` typical width of the change across an edge; ``noise`` range within flat areas (0 to
    255); ``chroma`` 95th percentile in CIELAB; ``is_noise`` when neighbouring pixels have nothing to do with each
    other. Places are the picture's worst ones, px.
    """

    flat_share: float
    shaded_share: float
    edge_width_px: float
    noise: float
    chroma: float
    is_noise: bool
    wide_share: float
    grainy_share: float
    shaded_at: tuple[float, float]
    soft_at: tuple[float, float]

    @property
    def blur_px(self) -> float:
        """Standard deviation of the blur beyond the pixels' own, 0 for clean edges.

        Measured: antialiased edges are 2.7 to 4.2 px wide, blurred by 1 px 4.3 to 5.7 in grain; without grain 4.5 at
        most, and 7.1.
        """
        # without grain the feet of an edge count as well
        sharp, per_px = (4.8, 2.4) if self.noise <= 0 else (4.0, 1.3)
        return float(np.clip((self.edge_width_px - sharp) / per_px, 0.0, 2.5))


def measure(picture: Picture) -> Fitness:
    """Measure a picture; larger ones by their middle part at full resolution plus an overview."""
    view, x0, y0 = _window(picture.field)
    spread, _, _ = _window(picture.local_range)
    noise = noise_level(spread)
    flat = spread <= flat_limit(noise)
    edge = spread >= _STRONG_EDGE
    near_edge = cv2.dilate(edge.astype(np.uint8), np.ones((5, 5), np.uint8)) > 0
    shaded = (~flat | _drifts(view, edge)) & ~near_edge
    busy = ~flat & near_edge
    # an antialiased edge keeps the local range high over three to four pixels
    core = _edge_core(view, edge)
    width = float(busy.sum() / max(core.sum(), 1))
    overview = picture.reduced(160)
    lab = srgb_to_lab(overview.rgb if overview.alpha is None else overview.rgb[overview.alpha > 127])
    chroma = np.hypot(lab[..., 1], lab[..., 2])
    return Fitness(
        float((flat & ~shaded).mean()),
        float(shaded.mean()),
        width,
        noise,
        float(np.sort(chroma, axis=None)[int(0.95 * (chroma.size - 1))]) if chroma.size else 0.0,
        _is_noise(picture, flat),
        float(_wide(shaded).mean()),
        float((cv2.boxFilter(((spread > 0) & (spread < _FAINT)).astype(np.float32), -1, (_BAND_PX,) * 2) > 0.8).mean()),
        _densest(shaded, x0, y0),
        _densest(busy & ~core, x0, y0),
    )


def _wide(shaded):
    """Shading less the bands of soft edges."""
    side = max(_BAND_PX, round(_BAND_SHARE * max(shaded.shape)) | 1)
    return cv2.morphologyEx(shaded.astype(np.uint8), cv2.MORPH_OPEN, np.ones((side, side), np.uint8))


def _window(field):
    height, width = field.shape[:2]
    x0, y0 = max(0, (width - _JUDGED_PX) // 2), max(0, (height - _JUDGED_PX) // 2)
    return field[y0:y0 + _JUDGED_PX, x0:x0 + _JUDGED_PX], x0, y0


def _drifts(view, edge):
    """Where colour changes slowly: too little from pixel to pixel, plainly over sixteen.

    Means of 8 x 8 pixels hold hardly any grain; cells near an edge are left out.
    """
    height, width = edge.shape
    size = (max(1, width // 8), max(1, height // 8))
    means = cv2.resize(np.ascontiguousarray(view), size, interpolation=cv2.INTER_AREA)
    kernel = np.ones((3, 3), np.uint8)
    change = cv2.subtract(cv2.dilate(means, kernel), cv2.erode(means, kernel)).max(axis=2)
    edged = cv2.dilate(cv2.resize(edge.astype(np.uint8) * 255, size, interpolation=cv2.INTER_AREA), kernel) > 0
    slow = ((change >= _DRIFT) & ~edged).astype(np.uint8)
    return cv2.resize(slow, (width, height), interpolation=cv2.INTER_NEAREST) > 0


def _edge_core(view, edge):
    """One pixel across each edge: where the gradient is largest along its own direction."""
    grey = cv2.transform(view.astype(np.float32), np.ones((1, view.shape[-1]), np.float32))
    gx, gy = cv2.Sobel(grey, cv2.CV_32F, 1, 0), cv2.Sobel(grey, cv2.CV_32F, 0, 1)
    at = np.flatnonzero(edge)
    height, width = edge.shape
    along_x = np.abs(gx.ravel()[at]) >= np.abs(gy.ravel()[at])
    size = cv2.magnitude(gx, gy).ravel()
    step = np.where(along_x, 1, width)
    here = size[at]
    peak = (here >= size[np.maximum(at - step, 0)]) & (here > size[np.minimum(at + step, size.size - 1)])
    core = np.zeros(height * width, bool)
    core[at[peak]] = True
    return core.reshape(height, width)


def _is_noise(picture, flat) -> bool:
    """White noise loses half its deviation when 2 x 2 pixels are averaged; pictures do not."""
    if flat.mean() > 0.02 or picture.alpha is not None:
        return False
    grey = picture.grey[:2 * (picture.height // 2), :2 * (picture.width // 2)].astype(np.float32)
    quarter = grey.reshape(grey.shape[0] // 2, 2, grey.shape[1] // 2, 2).mean((1, 3))
    return bool(quarter.std() < _LEAST_CONTRAST_NOISE * grey.std())


def _densest(mask, x0, y0) -> tuple[float, float]:
    density = cv2.boxFilter(mask.astype(np.float32), cv2.CV_32F, (31, 31), normalize=False)
    y, x = np.unravel_index(int(density.argmax()), density.shape)
    return float(x + x0) + 0.5, float(y + y0) + 0.5
