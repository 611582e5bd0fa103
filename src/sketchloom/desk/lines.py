"""Lines painted into a work: outlines and their gaps, bridges, brushes."""

from dataclasses import replace

import cv2
import numpy as np

from sketchloom.core.base.colour import from_hex, srgb_to_lab
from sketchloom.core.edits.bridging import bridge_curve
from sketchloom.core.edits.decisions import PaintedLine
from sketchloom.core.edits.gaps import Gaps, find_gaps, no_gaps
from sketchloom.core.edits.joints import Joints
from sketchloom.core.picture.preparing.placing import growth, moved
from sketchloom.core.segment import tone
from sketchloom.core.shapes.drawn import SplitLine
from sketchloom.evaluate.work import Work
from sketchloom.recipe.document import Recipe

_OUTLINE_LIGHT, _OUTLINE_WIDE = 35.0, 0.025
"""The darkest colour draws outlines when it is darker than this (CIELAB) and, as an area of one width, narrower than
this share of the longer side (chosen on the demo badge and the outlined drawings of the quality bench)."""


def outline_label(work: Work) -> int | None:
    """The label of ink; of a colour picture its darkest colour, where that is dark and drawn in lines."""
    if work.reading in ("tone", "line"):
        return tone.INK
    if work.reading != "colour":
        return None
    light = [float(srgb_to_lab(np.array(from_hex(e.hex)))[0]) for e in work.segmentation.own_entries]
    darkest = int(np.argmin(light))
    planar = work.traced.planar
    mine = np.append(planar.face_label == darkest, False)
    around = float(work.traced.arc_length_px[mine[planar.left] != mine[planar.right]].sum())
    wide = 2 * float(planar.face_area_px[mine[:-1]].sum()) / max(around, 1e-6)  # an area of one width is that wide
    return (
        darkest if light[darkest] < _OUTLINE_LIGHT and wide < _OUTLINE_WIDE * max(planar.width, planar.height) else None
    )


def gaps(work: Work) -> Gaps:
    """Gaps in the outlines of a drawing. None where nothing is drawn in outlines."""
    ink = outline_label(work)
    if ink is None:
        return no_gaps()
    return find_gaps(work.segmentation.labels == ink)


def painted_line(work: Work, points, width_px: float, hex_colour: str) -> PaintedLine:
    """A line through points in shares of the prepared picture, as it is kept."""
    places = moved(np.linalg.inv(work.move), points)
    width = width_px / (float(_scales_at(work, places[:1])[0]) * work.original.width)
    return PaintedLine(
        tuple((round(float(x), 7), round(float(y), 7)) for x, y in places), float(np.clip(width, 0.0, 1.0)), hex_colour
    )


def line_widths_mm(work: Work, painted) -> tuple[float, ...]:
    """How wide painted lines are in the work."""
    if not painted:
        return ()
    wide = np.array([line.width for line in painted]) * work.original.width * work.mm_per_px
    return tuple((wide * _scales_at(work, [line.points[0] for line in painted])).tolist())


def _scales_at(work, places):
    """Pixels of the prepared picture for one of the picture as it came, at places of the latter."""
    larger = work.picture.width * work.picture.height / (work.original.width * work.original.height)
    return (growth(work.move, places) * larger) ** 0.5


def closed(work: Work, recipe: Recipe, joints: Joints) -> Recipe:
    """The recipe in which a region ends at its thin places: ink goes on across them where outlines are drawn there, a
    split line parts it else."""
    label, size = outline_label(work), np.array([work.picture.width, work.picture.height])
    ink = None if label is None else work.segmentation.labels == label
    drawn, splits = [], []
    for start, end in zip(joints.start, joints.end, strict=True):
        sides = [0.0, 0.0] if ink is None else [_stroke_at(ink, place) for place in (start, end)]
        unit = (end - start) / max(np.hypot(*(end - start)), 1e-9)
        if min(sides) > 0:
            into = min(sides) / 2 * unit
            drawn.append(bridge(work, start - into, end + into, min(sides)))
        else:
            ends = np.array([start - _BEYOND_PX * unit, end + _BEYOND_PX * unit]) / size
            places = np.clip(moved(np.linalg.inv(work.move), ends), -2.0, 3.0)
            splits.append(SplitLine(tuple((round(float(x), 7), round(float(y), 7)) for x, y in places)))
    return replace(recipe, lines=(*recipe.lines, *drawn), splits=(*recipe.splits, *splits))


def _stroke_at(ink, place):
    """Width of the stroke that ends beside a place, 0 where there is no ink."""
    x, y = np.floor(place).astype(int).tolist()
    x0, y0 = max(x - _INTO_PX, 0), max(y - _INTO_PX, 0)
    part = np.pad(ink[y0:y + _INTO_PX + 1, x0:x + _INTO_PX + 1], 1)
    if not part.any():
        return 0.0
    depth = cv2.distanceTransform(part.astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5)
    near = np.hypot(*(np.indices(part.shape) - np.array([y - y0 + 1, x - x0 + 1])[:, None, None])) <= _INTO_PX / 2
    return max(2 * float(depth[near].max(initial=0.0)) - 1.0, 0.0)


_INTO_PX, _BEYOND_PX = 16, 2.0
"""Ink beside a thin place is looked for so far from it; a split line reaches so far beyond a region's edge."""
_NOTHING_THERE = "#000000"
"""Colour of a brush in a work that has no colour of its own."""


def brush_hex(work: Work, adds: bool, chosen: str | None) -> str:
    """Colour of a brush: ink or paper of a drawing; the chosen colour, or that of the ground, in other readings."""
    entries = work.segmentation.entries
    if work.reading in ("tone", "line"):
        return entries[tone.INK if adds else tone.PAPER].hex
    if adds:
        return chosen or (work.plans[-1].key if work.plans else _NOTHING_THERE)
    ground = work.segmentation.ground_label
    return entries[ground].hex if ground is not None and ground < len(entries) else "#ffffff"


def bridge(work: Work, start_px, end_px, width_px: float) -> PaintedLine:
    """A bridge in ink between two places, px, in the curve of the strokes that end there."""
    size = np.array([work.picture.width, work.picture.height])
    ink = outline_label(work) or tone.INK
    curve = bridge_curve(work.segmentation.labels == ink, start_px, end_px, width_px)
    return painted_line(work, np.clip(curve / size, 0, 1), width_px, work.segmentation.entries[ink].hex)
