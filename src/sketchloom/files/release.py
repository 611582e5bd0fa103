"""Hands a work over as files."""

import re
from dataclasses import replace
from pathlib import Path

from sketchloom.core.base.errors import ExportError
from sketchloom.core.formats.atomic import write_whole
from sketchloom.core.formats.svg import layer_id, svg_document
from sketchloom.core.layers.designs import designs_of, shared_sheets, together_again
from sketchloom.core.layers.frame import frame_mm, mark_rings, number_rings
from sketchloom.core.layers.layering import Layer, LayerPlan
from sketchloom.core.layers.laying import laid_pieces
from sketchloom.core.layers.pieces import pieces_of
from sketchloom.core.layers.width import NO_WIDTHS
from sketchloom.evaluate.work import Work

MAX_PIECE_FILES = 2000


def whole_svg(work: Work) -> bytes:
    """All layers in one document."""
    title = Path(work.picture.name).stem
    frame, marks = _frame(work)
    return svg_document(work.layers, *work.size_mm, work.mm_per_px, title, frame=frame, marks=marks, own_marks=_numbers(work, frame), weeding=work.weeding).encode()


def _numbers(work, frame):
    """Each sheet's number, to cut into its corner beside the marks."""
    return {n: number_rings(frame, n) for n in range(1, len(work.layers) + 1)} if work.recipe.marks else {}


def _frame(work):
    """One frame for every file of a work, so that they register, and the marks on every sheet."""
    frame = frame_mm(work.layers, *work.size_mm, work.mm_per_px, work.recipe.marks, work.recipe.weeding_mm)
    return frame, mark_rings(frame) if work.recipe.marks else ()


def layer_svgs(work: Work, stem: str) -> dict[str, bytes]:
    """File name to document, a layer each; all with the page of the whole, so they register."""
    files, (frame, marks), cuts = {}, _frame(work), work.weeding
    for number, layer in enumerate(work.layers, 1):
        base = layer_id(number, layer.plan.name)[len("layer-"):]
        if work.recipe.edit_of(layer.plan.key).apart:  # its pieces are carried one by one
            files |= _pieces_of_layer(work, stem, number, layer, frame)
        else:
            files[f"{stem}-{base}.svg"] = svg_document([layer], *work.size_mm, work.mm_per_px, layer.plan.name, number, frame, marks, _numbers(work, frame), cuts).encode()
    return files


def _pieces_of_layer(work, stem, number, layer, frame):
    base = layer_id(number, layer.plan.name)[len("layer-"):]
    return {f"{stem}-{base}-{count:03d}.svg": svg_document([replace(layer, outline=outline)], *work.size_mm, work.mm_per_px,
                                                           f"{layer.plan.name}, piece {count}", number, frame).encode()
            for count, outline in enumerate(pieces_of(layer.outline), 1)}


def piece_svgs(work: Work, stem: str) -> dict[str, bytes]:
    """File name to document, a piece each, numbered by size within its layer; all with the frame of the whole, so each lies where it goes."""
    files, (frame, _) = {}, _frame(work)
    for number, layer in enumerate(work.layers, 1):
        files |= _pieces_of_layer(work, stem, number, layer, frame)
    return files


_PLAN_WORDS = {"heading": "Order of work", "one": "{number}  {name}: piece {first}", "many": "{number}  {name}: pieces {first}–{last}",
               "way_up": "A piece with an arrow nearly fits the wrong way round: the arrow points up.",
               "top": "Up is up on this page; true size."}


def plan_svg(work: Work, title: str, words=None) -> bytes:
    """The laying plan of a work; ``words`` in the user's language."""
    from sketchloom.core.formats import plan  # it loads the shaper of words, which only this needs
    return plan.plan_svg(laid_pieces(work.layers), *work.size_mm, work.mm_per_px, title, words or _PLAN_WORDS).encode()


def write_plan(work: Work, path, words=None) -> Path:
    """Write the laying plan beside the cut files."""
    refuse_empty(work, path)
    write_whole(path, plan_svg(work, Path(path).stem, words))
    return Path(path)


DESIGNS_APART_MM = 6.0
"""Designs on one page lie at least so far apart (common practice, no source)."""


def write_designs(work: Work, folder, stem: str) -> list[Path]:
    """Write one file for each design on the page, in a frame of its own that all its layers share."""
    stem, files = safe_stem(stem), {}
    found = designs_of(work.layers, DESIGNS_APART_MM / work.mm_per_px)
    if len(found) > MAX_PIECE_FILES:
        raise ExportError(folder, f"not written: {len(found)} designs would be as many files, and {MAX_PIECE_FILES} are the most. Write one file.")
    if work.layers and not found:  # pen lines are one design
        files[f"{stem}-design-01.svg"] = whole_svg(work)
    for number, design in enumerate(found, 1):
        left, top, right, bottom = (v * work.mm_per_px for v in design.box)
        frame = (left, top, right - left, bottom - top)
        files[f"{stem}-design-{number:02d}.svg"] = svg_document(design.layers, *work.size_mm, work.mm_per_px, f"{stem}, design {number}", frame=frame).encode()
    return _write_all(work, folder, files)


def write_shared(works, folder, stem: str) -> list[Path]:
    """Write one file for each sheet that several finished works are cut from together, all with one frame."""
    for work in works:
        refuse_empty(work, folder)
    asked = [(Path(w.picture.name).stem, w.layers, w.mm_per_px, w.size_mm, {x.plan.key: getattr(w.recipe.material_of(x.plan.key), "key", None) for x in w.layers}) for w in works]
    sheets, (width, height) = shared_sheets(asked)
    files = {}
    for number, (name, hex_colour, parts) in enumerate(sheets, 1):
        # one layer of one compound path; the parts' titles say whose they are
        outline = together_again([part.outline for part in parts])
        layer = Layer(LayerPlan(name, name, hex_colour, ()), outline, 0.0, 0.0, NO_WIDTHS, None)
        title = f"{name}: " + ", ".join(dict.fromkeys(part.title for part in parts))
        files[f"{safe_stem(stem)}-sheet-{layer_id(number, name)[len('layer-'):]}.svg"] = svg_document([layer], width, height, 1.0, title, number).encode()
    return _write_all(works[0], folder, files)


def write_pieces(work: Work, folder, stem: str) -> list[Path]:
    """Write one file a piece into a folder that exists."""
    files = piece_svgs(work, safe_stem(stem))
    if len(files) > MAX_PIECE_FILES:
        raise ExportError(folder, f"not written: {len(files)} pieces would be as many files, and {MAX_PIECE_FILES} are the most. Write a file per layer.")
    return _write_all(work, folder, files)


def refuse_empty(work: Work, target) -> None:
    """Raise when a work has no layer: a file without a cut helps nobody."""
    if not work.layers:
        raise ExportError(target, "not written: nothing is left to cut. Put a layer back in, keep the ground "
                          "or choose more colours.")


def write_svg(work: Work, path) -> list[Path]:
    """Write all layers into one file; returns what was written."""
    refuse_empty(work, path)
    write_whole(path, whole_svg(work))
    return [Path(path)]


def write_layers(work: Work, folder, stem: str) -> list[Path]:
    """Write one file a layer into a folder that exists."""
    return _write_all(work, folder, layer_svgs(work, safe_stem(stem)))


def _write_all(work, folder, files):
    refuse_empty(work, folder)
    folder = Path(folder)
    if not folder.is_dir():
        raise ExportError(folder, "this folder does not exist." if not folder.exists() else "is not a folder.")
    for name, data in files.items():
        write_whole(folder / name, data)
    return [folder / name for name in files]


def safe_stem(text: str) -> str:
    """A file name without its suffix that every system takes."""
    return re.sub(r"[^\w.-]+", "-", text, flags=re.UNICODE).strip("-.") or "work"
