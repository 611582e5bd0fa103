"""Stickers as files: pages to print, with marks, and what is cut in register with them, also where a camera found the
page."""

import io
from dataclasses import replace
from pathlib import Path

import numpy as np

from sketchloom.core.base.errors import ExportError
from sketchloom.core.base.said import said
from sketchloom.core.drawing.drawing import Drawing, Group, Look, Shape, strand_of
from sketchloom.core.formats.handing import A4, PAPER_MM
from sketchloom.core.formats.paper import Paper
from sketchloom.core.formats.png import drawn
from sketchloom.core.formats.registry import Format, formats
from sketchloom.core.printing.camera import Found, page_found, straightened
from sketchloom.core.printing.marks import HOLE_MM, MARK_MM, marks_of
from sketchloom.core.sheets.part import moved
from sketchloom.evaluate.stickers import Sticker, pages_of, sticker_of
from sketchloom.evaluate.work import Work
from sketchloom.files import release
from sketchloom.files.handing_over import handing_of
from sketchloom.files.made import Made

_MOST_DPI, _FINE_MM = 300, 0.2
KISS, THROUGH = "kiss cut", "through cut"


def page_of(recipe) -> tuple[float, float]:
    """Width and height of the page, mm: A4 where no paper was chosen (ISO 216)."""
    return PAPER_MM.get(recipe.pdf_paper, PAPER_MM[A4])


def camera_found(path, recipe, mm_per_px: float | None = None, bed_mm=None, corners=None) -> Found:
    """Where a printed page lies in a picture of the bed: from straight above with ``mm_per_px``, or by hand, with the
    size ``bed_mm`` of the bed and its ``corners`` (4, 2) px; raises PictureError."""
    from sketchloom.core.picture.decode import decode, read_bytes

    picture = decode(read_bytes(path), str(path))
    grey = np.asarray(picture.rgb, float) @ (0.299, 0.587, 0.114)
    grey = grey.astype(np.uint8)
    if mm_per_px is None:
        mm_per_px = _FINE_MM
        grey = straightened(grey, corners, bed_mm[0], bed_mm[1], mm_per_px)
    return page_found(grey, mm_per_px, *page_of(recipe), str(path))


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

