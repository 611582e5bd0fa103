"""What every reading ends with: small regions merged, regions and covers laid in, pixels and labels kept in step."""

from dataclasses import replace

import cv2
import numpy as np

from sketchloom.core.base.colour import from_hex, srgb_to_lab
from sketchloom.core.base.progress import breathe
from sketchloom.core.base.raster import strips
from sketchloom.core.base.said import said
from sketchloom.core.judge.paper import PAPER_LIGHT
from sketchloom.core.picture.picture import frozen_array
from sketchloom.core.picture.preparing.placing import moved
from sketchloom.core.segment import covering, doubles, tone
from sketchloom.core.segment import labels as labelling
from sketchloom.core.segment.merging import Cleaned, merge_small
from sketchloom.evaluate.segmentation import Detail, Seen
from sketchloom.recipe.reads import Reads


def clean(r: Reads, seen: Seen, detail: Detail, raw, field, entries, more_kept=()) -> tuple[Cleaned, np.ndarray]:
    """Labels without regions under the smallest detail, areas covered and double outlines made one; and their field."""
    seen.progress.step(0.6, 1.0, said("Merging small regions"))
    values = field_values(entries, field.shape[-1])
    keep = np.floor(np.array(r.kept).reshape(-1, 2) * seen.size_px).astype(int).tolist() + list(more_kept)
    covers = [c for c in r.covers if c.on]
    if covers:
        raw, inside = covering.covered(raw, [moved(seen.move, c.points) * seen.size_px for c in covers])
        field = _repainted(field, raw, inside, values)
    regions = merge_small(labelling.join_diagonals(raw, field, values), detail.least_px, keep, detail.parts)
    if not detail.double_px:
        return regions, field
    labels = doubles.made_one(regions.labels, detail.double_px, detail.double_to)
    changed = labels != regions.labels
    if not changed.any():
        return regions, field
    again = merge_small(labels, detail.least_px, keep, detail.parts)
    return (replace(again, dropped=np.concatenate([regions.dropped, again.dropped]),
                    dropped_label=np.concatenate([regions.dropped_label, again.dropped_label])),
            _repainted(field, again.labels, changed, values))


def field_values(entries, channels) -> np.ndarray:
    """Colours of entries as they are in a field of so many channels."""
    colours = np.array([from_hex(e.hex) for e in entries])
    if channels == 1:
        return colours[:, :1].astype(np.float32)
    return labelling.palette_field(colours, channels == 4)


def cover(grey, labels):
    """(H, W) float32 share of ink of each pixel, between the ink and the paper around it."""
    levels = tone.local_levels(grey, labels)[..., 0]
    ink, paper = (cv2.resize(v, None, fx=tone.LEVEL_STEP, fy=tone.LEVEL_STEP, interpolation=cv2.INTER_LINEAR)
                  [:grey.shape[0], :grey.shape[1]] for v in levels)
    made = np.empty(grey.shape, np.float32)
    for rows, _ in strips(grey.shape):
        breathe()
        gap = paper[rows] - ink[rows]
        made[rows] = np.clip((paper[rows] - grey[rows]) / np.where(np.abs(gap) < 1, 1, gap), 0, 1)
    return made


def _repainted(field, labels, changed, values):
    """The field with what was given away shown in its new colour, edges soft by a pixel."""
    near = cv2.dilate(changed.astype(np.uint8), np.ones((5, 5), np.uint8)) > 0
    flat = values[np.minimum(labels, len(values) - 1)].astype(np.float32)
    soft = cv2.GaussianBlur(flat.reshape(field.shape), (0, 0), 0.6).reshape(field.shape)
    return frozen_array(np.where(near[..., None], np.rint(soft), field).astype(np.uint8))


_OF_RIM, _OF_SIDE = 1 / 3, 0.1
"""Shares of the whole rim, and of each of its sides, that ground has (trade, no source: what is drawn may touch a side,
but ground goes around it; the pictures of `bench/proposals` hold it)."""
_BAND, _RECTANGLE = 0.1, 0.97
"""What runs around as an even band, no wider than this share of the side and with a rectangle inside it, is a frame and
belongs to the drawing, unless it is as light as paper."""


def ground_label(labels, entries=()):
    """The label of the ground: on a third of the rim and on all its sides, and no frame; None where there is none."""
    sides = (labels[0], labels[-1], labels[1:-1, 0], labels[1:-1, -1])
    count = np.bincount(np.concatenate(sides))
    found = int(count.argmax())
    if count.max() < _OF_RIM * sum(map(len, sides)) or any((side == found).mean() < _OF_SIDE for side in sides):
        return None
    return None if _is_frame(labels == found, entries[found].hex if entries else None) else found


def _is_frame(mask, hex_colour):
    if hex_colour is None or srgb_to_lab(np.array(from_hex(hex_colour)))[0] >= PAPER_LIGHT:
        return False
    height, width = mask.shape
    _, part = cv2.connectedComponents(np.pad(mask, 1, constant_values=True).astype(np.uint8), connectivity=4)
    inside = part[1:-1, 1:-1] != part[0, 0]
    rows, columns = np.flatnonzero(inside.any(1)), np.flatnonzero(inside.any(0))
    if not len(rows):
        return False
    top, bottom, left, right = rows[0], rows[-1] + 1, columns[0], columns[-1] + 1
    widest = max(top / height, 1 - bottom / height, left / width, 1 - right / width)
    return widest <= _BAND and inside[top:bottom, left:right].mean() >= _RECTANGLE
