"""What can be asked of a work's reading: details lost, shares, strokes, tones, what other numbers of colours lose."""

from dataclasses import dataclass
from typing import TypeVar

import numpy as np

from sketchloom.core.base.colour import colour_name, from_hex
from sketchloom.core.base.errors import GeometryError
from sketchloom.core.base.said import said
from sketchloom.core.base.words import word
from sketchloom.core.curves.outline import Outline
from sketchloom.core.segment import tone
from sketchloom.core.segment.cut_offs import pieces_and_holes as count_pieces_and_holes
from sketchloom.core.segment.doubles import Doubles, find_doubles
from sketchloom.core.segment.ladder import ColourLadder, colour_ladder
from sketchloom.core.segment.strong import FacePreview
from sketchloom.core.segment.strong import face_preview as preview_of_face
from sketchloom.core.strokes import pens
from sketchloom.evaluate.segmentation import least_area_px
from sketchloom.evaluate.work import Work

T = TypeVar("T")


def _there(part: T | None, why: str) -> T:
    """A part of a work that only some readings have; GeometryError says which where it is asked of another."""
    if part is None:
        raise GeometryError(why)
    return part


@dataclass(frozen=True, slots=True)
class Lost:
    """A detail that went to a neighbour: diameter of a disc of its area, and a place in it."""

    size_mm: float
    x_mm: float
    y_mm: float
    x_share: float
    y_share: float
    hex: str


def details_lost(work: Work) -> tuple[Lost, ...]:
    """Regions under the smallest detail that went to a neighbour, largest first."""
    regions, scale = work.segmentation.regions, work.mm_per_px
    order = np.argsort(-regions.dropped[:, 2], kind="stable")
    entries = work.segmentation.entries
    found = []
    for (x, y, area), label in zip(regions.dropped[order].tolist(), regions.dropped_label[order].tolist(), strict=True):
        shown = entries[label].hex if label < len(entries) else "#ffffff"
        (came,) = work.as_came(((x / work.picture.width, y / work.picture.height),))
        found.append(Lost(2 * (area / np.pi) ** 0.5 * scale, x * scale, y * scale, *came, shown))
    return tuple(found)


def label_shares(work: Work) -> list[float]:
    """Share of the picture that each palette entry has."""
    planar = work.traced.planar
    area = np.bincount(work.edited.label, planar.face_area_px, len(work.segmentation.entries))
    return (area / planar.faces.size).tolist()


def face_preview(work: Work, place=None) -> FacePreview:
    """Where strong small details are, or a place, with and without them; in photo reading."""
    colours = np.array([from_hex(e.hex) for e in work.segmentation.entries])
    details = _there(work.segmentation.details, said("only the photo reading knows strong small details"))
    return preview_of_face(work.picture.rgb, details, colours, place)


def strokes_mm(work: Work) -> list[tuple[float, float]]:
    """Width and length of each stroke of the line reading, longest first."""
    strokes = work.segmentation.strokes
    if strokes is None:
        return []
    order = np.argsort(-strokes.length_px, kind="stable")
    return (np.column_stack([strokes.width_px, strokes.length_px])[order] * work.mm_per_px).tolist()


def stroke_at(work: Work, x_px: float, y_px: float, reach_px: float) -> int:
    """Number of the stroke at a place, -1 for none."""
    strokes = work.segmentation.strokes
    return -1 if strokes is None else pens.stroke_at(strokes, x_px, y_px, reach_px)


def stroke_outline(work: Work, number: int) -> Outline:
    """One stroke as an open ring."""
    return pens.pen_outline(_there(work.segmentation.strokes, said("only the line reading has strokes")), [number])


def ladder(work: Work) -> ColourLadder:
    """What every number of colours loses and saves; in colour reading."""
    tree = _there(work.tree, said("the colours of this picture were not looked for"))
    return colour_ladder(work.picture, tree, least_area_px(work.recipe.smallest_mm, work.mm_per_px))


def pieces_and_holes(work: Work) -> tuple[np.ndarray, np.ndarray]:
    """Pieces of ink and holes in them at all 256 cut-offs, specks and all."""
    return count_pieces_and_holes(work.picture.grey, work.recipe.dark_is_ink, work.segmentation.cut_offs)


def double_outlines(work: Work) -> Doubles:
    """Cuts nearer to each other than the limit set, or than the smallest width."""
    return find_doubles(work.segmentation.labels, (work.recipe.double_mm or work.recipe.thin_mm) / work.mm_per_px)


def tone_bars(work: Work) -> tuple[list[float], int | None]:
    """Heights of the 256 tones, 0 to 1 on a root scale, and the cut-off."""
    count = np.sqrt(tone.tones(work.picture.grey))
    return (count / max(float(count.max()), 1.0)).tolist(), work.segmentation.cut_off


def ground_name(work: Work) -> str | None:
    """What the colour that is left out around the drawing is called: nothing for what is transparent, None where
    nothing is left out."""
    number = work.segmentation.ground_label
    if not work.ground.any():
        return None
    entries = work.segmentation.entries
    if number is None or number >= len(entries):
        return ""
    return word(colour_name(from_hex(entries[number].hex)), work.recipe.names_in)


def ground_share(work: Work) -> float:
    """The share of the picture that is left out as its ground."""
    area = work.traced.planar.face_area_px
    return float(area[work.ground].sum() / max(area.sum(), 1))
