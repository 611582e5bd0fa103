"""From steps to a mask: what of a picture is kept, and how far each pixel is."""

from dataclasses import replace

import cv2
import numpy as np

from sketchloom.core.background.sharpening import along_edge
from sketchloom.core.background.steps import Background
from sketchloom.core.background.strokes import kept_by_strokes
from sketchloom.core.base.colour import srgb_to_lab
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.picture.places import pixel_at, polygon_mask
from sketchloom.core.picture.preparing.light import paper_light

_PAPER_SHARE = 0.86
"""Darker than this share of the light of the paper around it is drawn; watermarks are lighter."""
_EDGE_PX = 4.5
"""Half the widest soft edge whose pixels are taken as mixtures of what stays and what goes."""
_NEAR = np.ones((5, 5), np.uint8)
"""Reach of what counts as beside the edge: two pixels on each side."""
_CONTRAST = 40.0
"""Colours nearer than this (RGB) are too alike to part a mixture into its two sides."""


def freed(picture: Picture, background: Background) -> Picture:
    """The picture with what is dropped transparent; the picture itself when nothing is."""
    if not background.steps and (background.own_alpha or picture.alpha is None) \
            and background.move_px == 0 and background.smooth_px == 0:
        return picture
    keep = _kept(picture, background)
    if keep.all() and (picture.alpha is None or not background.own_alpha):
        return replace(picture, alpha=None)
    rgb, alpha = _unmixed(picture, keep, background)
    return replace(picture, rgb=frozen_array(rgb), alpha=frozen_array(alpha))


def _unmixed(picture, keep, background):
    """Colours and cover along the edge without what is mixed in of the dropped side.

    Pixels near the edge take the colour of the nearest kept one that lies clear of it. Their cover is
    where their own colour lies between that and the nearest clear dropped one; a file's own is kept.
    """
    own = picture.alpha if background.own_alpha else None
    edge_of = _edged(keep, 0.0, 0.0) if own is None else np.minimum(_edged(keep, 0.0, 0.0), own)
    nearest, away = [], []
    for side in (keep, ~keep):
        clear = _clear(side)
        if not clear.any():
            return picture.rgb, _moved(edge_of, background)
        far, label = cv2.distanceTransformWithLabels(1 - clear, cv2.DIST_L2, 5, labelType=cv2.DIST_LABEL_PIXEL)
        at = np.flatnonzero(clear)
        table = np.zeros(int(label.max()) + 1, np.intp)
        table[label.ravel()[at]] = at
        nearest.append(table[label])
        away.append(far)
    pixels = picture.rgb.reshape(-1, 3)
    reach = _EDGE_PX + max(background.move_px, 0.0)
    edge = (away[0] > 0) & (away[0] < reach)
    rgb = picture.rgb.copy()
    rgb[edge] = pixels[nearest[0][edge]]
    if own is not None:
        return rgb, _moved(edge_of, background)
    # farther off, a colour like that of the kept side is something else of that colour
    near = cv2.dilate(keep.astype(np.uint8), _NEAR) > cv2.erode(keep.astype(np.uint8), _NEAR)
    band = np.flatnonzero(near & (away[0] > 0) & (away[1] > 0) & (away[0] < _EDGE_PX) & (away[1] < _EDGE_PX))
    inner, outer, seen = (
        pixels[i].astype(np.float32) for i in (nearest[0].ravel()[band], nearest[1].ravel()[band], band)
    )
    line = inner - outer
    size = (line * line).sum(1)
    plain = size > _CONTRAST**2
    share = np.clip(((seen - outer) * line).sum(1) / np.maximum(size, 1), 0, 1)
    alpha = edge_of.copy()
    alpha.ravel()[band[plain]] = np.rint(255 * share[plain])
    return rgb, _moved(alpha, background)


def _clear(side):
    """(H, W) uint8: pixels of a side that hold none of the other; of thin parts, which have none, the middle."""
    clear = cv2.erode(side.astype(np.uint8), np.ones((5, 5), np.uint8), borderValue=1)
    away = cv2.distanceTransform(1 - clear, cv2.DIST_L2, 5) if clear.any() else np.full(side.shape, np.inf)
    depth = cv2.distanceTransform(side.astype(np.uint8), cv2.DIST_L2, 5)
    ridge = side & (depth >= cv2.dilate(depth, np.ones((3, 3), np.uint8)))
    clear[ridge & (away > _EDGE_PX)] = 1
    return clear


def _moved(alpha, background):
    """Cover with its edge set out or in and calmed, as asked."""
    if background.move_px == 0 and background.smooth_px == 0:
        return alpha
    return _edged(alpha >= 128, background.move_px, background.smooth_px)


def kept_alpha(picture: Picture, background: Background) -> np.ndarray:
    """(H, W) uint8: 255 where the picture is kept, 0 where it is dropped, between at the edge."""
    freed_picture = freed(picture, background)
    return np.full(picture.rgb.shape[:2], 255, np.uint8) if freed_picture.alpha is None else freed_picture.alpha


def _kept(picture, background):
    """(H, W) bool. Steps act in order on one mask; strokes come last, all together, as they look at the picture."""
    own = picture.alpha if background.own_alpha else None
    keep = np.ones(picture.rgb.shape[:2], bool) if own is None else own >= 128
    areas_before = False
    for step in background.steps:
        if step.kind == "colour":
            near = near_colour(picture, *step.points[0], step.tolerance, step.everywhere)
            keep = keep | near if step.keep else keep & ~near
        elif step.kind in ("area", "edge"):
            inside = (polygon_mask(step.points, keep.shape) if step.kind == "area"
                      else along_edge(picture, step.points))
            if step.keep and not areas_before:
                keep = keep & inside
                areas_before = True
            else:
                keep = keep | inside if step.keep else keep & ~inside
        elif step.kind == "paper":
            paper = paper_mask(picture)
            keep = keep | paper if step.keep else keep & ~paper
    strokes = [s for s in background.steps if s.kind == "stroke"]
    if strokes:
        keep &= kept_by_strokes(picture, strokes, keep)
    return keep


def near_colour(picture: Picture, x: float, y: float, tolerance: float, everywhere: bool) -> np.ndarray:
    """(H, W) bool: pixels within a CIELAB distance of the colour at a place (shares of the sides)."""
    distance = colour_distance(picture, x, y)
    near = distance <= tolerance
    if everywhere:
        return near
    column, row = pixel_at(picture, x, y)
    near[row, column] = True
    # the hair of soft pixels along an edge does not hold areas together
    _, area = cv2.connectedComponents(near.astype(np.uint8), connectivity=4)
    return area == area[row, column]


def colour_distance(picture: Picture, x: float, y: float) -> np.ndarray:
    """(H, W) float32 CIELAB distance of each pixel from the median colour of 3 x 3 pixels at a place."""
    column, row = pixel_at(picture, x, y)
    around = picture.rgb[max(row - 1, 0):row + 2, max(column - 1, 0):column + 2].reshape(-1, 3)
    lab = cv2.cvtColor(np.ascontiguousarray(picture.rgb).astype(np.float32) / 255, cv2.COLOR_RGB2Lab)
    seed = srgb_to_lab(np.median(around, axis=0)[None])[0].astype(np.float32)
    return np.sqrt(((lab - seed) ** 2).sum(-1))


def paper_mask(picture: Picture) -> np.ndarray:
    """(H, W) bool: as light as the paper around, watermark and texture included."""
    rgb = cv2.GaussianBlur(picture.rgb, (0, 0), 0.8)
    light = paper_light(picture.rgb)
    lightest = np.maximum(light, 1.0)
    return (rgb.astype(np.float32) / lightest).min(-1) > _PAPER_SHARE


def _edged(keep, move_px, smooth_px):
    """(H, W) uint8 cover of the mask with its edge moved and smoothed."""
    if keep.all():
        return np.full(keep.shape, 255, np.uint8)
    if not keep.any():
        return np.zeros(keep.shape, np.uint8)
    mask = keep.astype(np.uint8)
    inside = cv2.distanceTransform(mask, cv2.DIST_L2, cv2.DIST_MASK_PRECISE)
    outside = cv2.distanceTransform(1 - mask, cv2.DIST_L2, cv2.DIST_MASK_PRECISE)
    signed = np.where(keep, inside - 0.5, 0.5 - outside)
    # stairs of single pixels are not the object's
    signed = cv2.GaussianBlur(np.clip(signed, -30, 30), (0, 0), max(smooth_px, 0.8))
    return np.rint(255 * np.clip(signed + move_px + 0.5, 0, 1)).astype(np.uint8)
