"""Stickers as files: pages to print, with marks, and what is cut in register with them, also where a camera found the
page."""

import io
from dataclasses import dataclass, field, replace
from pathlib import Path

import cv2
import numpy as np

from sketchloom.core.base.errors import ExportError, PictureError
from sketchloom.core.base.said import said
from sketchloom.core.drawing.drawing import Drawing, Group, Look, Shape, strand_of
from sketchloom.core.formats.handing import A4, PAPER_MM
from sketchloom.core.formats.paper import Paper
from sketchloom.core.formats.png import drawn
from sketchloom.core.formats.registry import Format, formats
from sketchloom.core.printing.bed import bed_corners, snapped
from sketchloom.core.printing.camera import Found, page_found, straightened
from sketchloom.core.printing.marks import HOLE_MM, MARK_MM, marks_of
from sketchloom.core.sheets.part import moved
from sketchloom.core.simulate.camera import Shot, photographed
from sketchloom.evaluate.stickers import Sticker, pages_of, sticker_of
from sketchloom.evaluate.work import Work
from sketchloom.files import release
from sketchloom.files.handing_over import handing_of
from sketchloom.files.made import Made

_MOST_DPI, _FINE_MM, _SHOT_DPI = 300, 0.2, 200
_GUESS = ((0.15, 0.15), (0.85, 0.15), (0.85, 0.85), (0.15, 0.85))
"""Where corners are drawn that nobody found, as shares of the picture."""
_MOST_FLAT_PX = 1 << 24
"""Of a bed as from straight above: one of up to 800 × 800 mm has pixels of 0.2 mm, a larger one coarser ones."""
KISS, THROUGH = "kiss cut", "through cut"


def page_of(recipe) -> tuple[float, float]:
    """Width and height of the page, mm: A4 where no paper was chosen (ISO 216)."""
    return PAPER_MM.get(recipe.pdf_paper, PAPER_MM[A4])


def camera_found(path, recipe, mm_per_px: float | None = None, bed_mm=None, corners=None) -> Found:
    """Where a printed page lies in a picture of the bed: from straight above with ``mm_per_px``, or by hand, with the
    size ``bed_mm`` of the bed and its ``corners`` (4, 2) px, which are looked for where none are given; raises
    PictureError."""
    grey = grey_of(path)
    if mm_per_px is None:
        corners = bed_corners(grey, page_of(recipe), bed_mm, str(path)) if corners is None else corners
        return found_on_bed(grey, recipe, bed_mm, corners, str(path))
    return page_found(grey, mm_per_px, *page_of(recipe), str(path))


def grey_of(path) -> np.ndarray:
    """A picture (H, W) uint8 of the bed; raises PictureError."""
    from sketchloom.core.picture.decode import decode, read_bytes

    rgb = decode(read_bytes(path), str(path)).rgb
    return cv2.cvtColor(np.ascontiguousarray(rgb), cv2.COLOR_RGB2GRAY)


def found_on_bed(grey, recipe, bed_mm, corners, name: str = "") -> Found:
    """Where a printed page lies on a bed of a size whose ``corners`` (4, 2) px are known; raises PictureError."""
    fine_mm = max(_FINE_MM, (bed_mm[0] * bed_mm[1] / _MOST_FLAT_PX) ** 0.5)
    return page_found(straightened(grey, corners, bed_mm[0], bed_mm[1], fine_mm), fine_mm, *page_of(recipe), name)


def photographed_page(work: Work, name: str, bed_mm, shot: Shot | None = None) -> np.ndarray:
    """The first printed page on a bed, as a camera that is not there sees it: (H, W) uint8; raises ExportError."""
    import pypdfium2

    (_, make), *_ = outgoing_print_and_cut(work, Path(), name)
    page = pypdfium2.PdfDocument(make())[0].render(scale=_SHOT_DPI / 72, grayscale=True).to_numpy()
    return photographed(page[..., 0] if page.ndim == 3 else page, page_of(work.recipe), bed_mm, shot or Shot())[0]


@dataclass(frozen=True, slots=True, eq=False)
class Seen:
    """A picture of the bed: ``grey`` (H, W) uint8, ``corners`` (4, 2) px of the bed, a guess where they were not found;
    where the page was ``found``, with the corners of the ``page`` (4, 2) px in the picture, else ``why`` not."""

    grey: np.ndarray
    corners: np.ndarray
    found: Found | None = None
    page: np.ndarray = field(default_factory=lambda: np.zeros((0, 2)))
    why: str = ""


def seen_on_bed(grey, recipe, bed_mm, corners=None, name: str = "") -> Seen:
    """What a picture of the bed shows; ``corners`` as they were shown by hand, else they are looked for."""
    page_mm = page_of(recipe)
    try:
        corners = bed_corners(grey, page_mm, bed_mm, name) if corners is None else snapped(grey, corners)
    except PictureError as error:
        high, wide = grey.shape
        return Seen(grey, np.array([(x * wide, y * high) for x, y in _GUESS]), why=error.why)
    try:
        found = found_on_bed(grey, recipe, bed_mm, corners, name)
    except PictureError as error:
        return Seen(grey, corners, why=error.why)
    edge = found.at([(0, 0), (page_mm[0], 0), page_mm, (0, page_mm[1])])
    bed = np.array([(0, 0), (bed_mm[0], 0), bed_mm, (0, bed_mm[1])], np.float32)
    to_px = cv2.getPerspectiveTransform(bed, np.asarray(corners, np.float32))
    return Seen(grey, corners, found, cv2.perspectiveTransform(edge[None].astype(np.float32), to_px)[0])


def outgoing_print_and_cut(work: Work, folder, name: str, kind: Format | None = None, found: Found | None = None
                           ) -> release.Outgoing:
    """A PDF of all pages, and a cut file for each; raises ExportError where nothing is cut, or it fits no page."""
    recipe, folder = work.recipe, Path(folder)
    release.refuse_empty(work, folder)
    dpi = min(recipe.picture_dpi, _MOST_DPI)
    whole = replace(release.whole_drawing(work), frame=(0.0, 0.0, *work.size_mm))
    flat = None if recipe.prints_picture else drawn(whole, dpi)
    sticker = sticker_of(work, flat, recipe.bleed_mm, recipe.border_mm, dpi)
    if sticker is None:
        raise ExportError(folder, said("not written: pen lines alone make no sticker."))
    wide, high = page_of(recipe)
    sheets, left_over = pages_of(sticker, name, recipe.copies, wide, high, recipe.parts_gap_mm)
    if left_over or not sheets:
        raise ExportError(folder, said("not written: the sticker is larger than what a page takes beside its marks. "
                                       "Make it smaller, or choose another paper."))
    kind = kind or formats()[release.SVG]
    stem = release.safe_stem(name)
    files = [(folder / f"{stem}-print.pdf", lambda: _pages(sticker, sheets, name, wide, high))]
    for number, sheet in enumerate(sheets, 1):
        cut = cut_drawing(sticker, sheet, f"{name}, page {number}", found)
        files.append((folder / f"{stem}-cut-{number:02d}{kind.suffix}", Made(kind, cut, handing_of(recipe))))
    return files


def cut_drawing(sticker: Sticker, sheet, title: str, found: Found | None = None) -> Drawing:
    """The kiss cuts and the cuts through of a page, where the page is, or where a camera found it."""
    groups = []
    for number, (label, outline) in enumerate(((KISS, sticker.kiss), (THROUGH, sticker.through)), 1):
        shapes = []
        for placed in sheet.placed:
            there = moved(outline, placed.turn, False, placed.dx, placed.dy)
            if found is not None:
                there = replace(there, controls=found.at(there.controls.reshape(-1, 2)).reshape(-1, 4, 2))
            shapes.append(Shape((strand_of(there, 1.0),), Look(None, ("#b3261e", "#2d5273")[number - 1], 0.1)))
        groups.append(Group(tuple(shapes), label, number))
    return Drawing(title, (0.0, 0.0, sheet.carrier.width_mm, sheet.length_mm), tuple(groups))


def _pages(sticker, sheets, name, wide, high):
    from PIL import Image

    paper = Paper(name)
    pictures = {}
    for sheet in sheets:
        paper.page(wide, high)
        for placed in sheet.placed:
            turns = round(placed.turn / 90) % 4
            if turns not in pictures:
                stream = io.BytesIO()
                Image.fromarray(np.ascontiguousarray(np.rot90(sticker.rgba, -turns))).save(stream, "PNG")
                pictures[turns] = stream.getvalue()
            h, w = sticker.rgba.shape[:2]
            corners = placed.line([(sticker.left, sticker.top),
                                   (sticker.left + w * sticker.mm_per_px, sticker.top + h * sticker.mm_per_px)])
            x, y = corners.min(0)
            wide_mm, high_mm = np.abs(corners[1] - corners[0])
            paper.picture(pictures[turns], float(x), float(y), float(wide_mm), float(high_mm))
        for mark in marks_of(wide, high):
            paper.disc(mark.x, mark.y, MARK_MM)
            if mark.is_ring:
                paper.disc(mark.x, mark.y, HOLE_MM, "#ffffff")
    return paper.done()

