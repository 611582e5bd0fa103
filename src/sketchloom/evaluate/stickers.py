"""A work as stickers: what is printed with its bleed, where it is kissed and where it is cut through, several on a
page."""

import io
import itertools
from dataclasses import dataclass

import cv2
import numpy as np
import shapely

from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.curves.outline import Outline
from sketchloom.core.printing.bleed import with_bleed
from sketchloom.core.printing.marks import CLEAR_MM
from sketchloom.core.shapes.polygons import areas_of, grown, outline_of_area
from sketchloom.core.sheets.laying_out import placings
from sketchloom.core.sheets.machine import Carrier
from sketchloom.core.sheets.part import Part, in_mm
from sketchloom.core.sheets.plan import Group, Ready, Sheet

THROUGH_MM = 3.0
"""The cut through the backing runs so far outside the kiss cut: enough to take hold of (common practice, no source)."""
_FIT_MM, _FLAT_MM = 0.01, 0.05
_BETTER = 6
"""Plans that are looked at for a page."""
_QUARTERS = (0.0, 90.0, 180.0, 270.0)


@dataclass(frozen=True, eq=False)
class Sticker:
    """``kiss`` cut and cut ``through``, mm in the work's coordinates; ``rgba`` (H, W, 4) of what is printed, its upper
    left at ``left`` and ``top`` mm, ``mm_per_px``."""

    kiss: Outline
    through: Outline
    rgba: np.ndarray
    left: float
    top: float
    mm_per_px: float


def sticker_of(work, flat_png: bytes | None, bleed_mm: float, border_mm: float, dpi: float) -> Sticker | None:
    """A sticker of all of a work; None where nothing is cut.

    Parameters
    ----------
    flat_png : its flat colours as a picture of its frame at ``dpi`` from (0, 0); None prints the picture itself.
    border_mm : white around it; 0 lets the colours run to the cut, and past it by the bleed.
    """
    solid = [Part("", "", "#000000", None, in_mm(layer.outline, work.mm_per_px)).area for layer in work.layers
             if layer.outline.pen_px is None]
    if not solid:
        return None
    whole = areas_of(shapely.union_all(solid))
    kiss = grown(whole, border_mm, keep_islands=False) if border_mm > 0 else grown(whole, 0.0, keep_islands=False)
    through = grown(kiss, bleed_mm + THROUGH_MM, keep_islands=False)
    mm = MM_PER_IN / dpi
    left, top, right, bottom = kiss.buffer(bleed_mm + 2 * mm).bounds
    size = max(int(np.ceil((right - left) / mm)), 1), max(int(np.ceil((bottom - top) / mm)), 1)
    rgb = _printed(work, flat_png, mm, left, top, size)
    inside = _drawn(kiss, left, top, mm, size)
    if border_mm > 0:
        seen = _drawn(grown(whole, 0.0), left, top, mm, size)
        rgb = np.where(seen[..., None], rgb, np.uint8(255))
    rgba = with_bleed(rgb, inside, bleed_mm / mm)
    return Sticker(outline_of_area(kiss, _FIT_MM), outline_of_area(through, _FIT_MM), rgba, left, top, mm)


def _printed(work, flat_png, mm, left, top, size):
    """(H, W, 3) what is printed, in a window of the work; white where there is nothing."""
    from PIL import Image

    if flat_png is not None:
        picture = Image.open(io.BytesIO(flat_png)).convert("RGBA")
        ground = Image.new("RGBA", picture.size, (255, 255, 255, 255))
        ground.alpha_composite(picture)
        source, per_mm = np.asarray(ground.convert("RGB")), picture.size[0] / work.size_mm[0]
    else:
        source, per_mm = np.asarray(work.picture.rgb), work.picture.width / work.size_mm[0]
    matrix = np.array([[mm * per_mm, 0.0, (left + mm / 2) * per_mm - 0.5],
                       [0.0, mm * per_mm, (top + mm / 2) * per_mm - 0.5]])
    return cv2.warpAffine(source, matrix, size, flags=cv2.INTER_LINEAR | cv2.WARP_INVERSE_MAP,
                          borderValue=(255, 255, 255))


def _drawn(area, left, top, mm, size):
    image = np.zeros(size[::-1], np.uint8)
    rings = [np.rint((np.asarray(ring.coords) - (left, top)) / mm * 16 - 8).astype(np.int32)
             for piece in area.geoms for ring in (piece.exterior, *piece.interiors)]
    if rings:
        cv2.fillPoly(image, rings, 1, shift=4)
    return image > 0


def pages_of(sticker: Sticker, name: str, copies: int, width_mm: float, height_mm: float, gap_mm: float
             ) -> tuple[tuple[Sheet, ...], int]:
    """Pages filled with copies of a sticker, marks kept free, and how many copies fit on none."""
    page = Carrier("page", "page", width_mm, height_mm, CLEAR_MM, CLEAR_MM)
    ready = tuple(Ready(Part("sticker", name, "#000000", None, sticker.through, copy=n), _QUARTERS)
                  for n in range(1, copies + 1))
    run = placings(Group(None, name, "#000000", ready), (page,), gap_mm, {})
    *_, (sheets, left) = itertools.islice(run, _BETTER)
    return sheets, len(left)
