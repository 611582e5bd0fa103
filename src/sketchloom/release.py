"""Hands a work over as files."""

import re
from pathlib import Path

from sketchloom.core.errors import ExportError
from sketchloom.core.formats.atomic import write_whole
from sketchloom.core.layers.frame import frame_mm, mark_rings
from sketchloom.core.formats.svg import layer_id, svg_document
from sketchloom.work import Work


def whole_svg(work: Work) -> bytes:
    """All layers in one document."""
    title = Path(work.picture.name).stem
    frame, marks = _frame(work)
    return svg_document(work.layers, *work.size_mm, work.mm_per_px, title, frame=frame, marks=marks).encode()


def _frame(work):
    """One frame for every file of a work, so that they register, and the marks on every sheet."""
    frame = frame_mm(work.layers, *work.size_mm, work.mm_per_px, work.recipe.marks)
    return frame, mark_rings(frame) if work.recipe.marks else ()


def layer_svgs(work: Work, stem: str) -> dict[str, bytes]:
    """File name to document, a layer each; all with the page of the whole, so they register."""
    files, (frame, marks) = {}, _frame(work)
    for number, layer in enumerate(work.layers, 1):
        name = f"{stem}-{layer_id(number, layer.plan.name)[len('layer-'):]}.svg"
        files[name] = svg_document([layer], *work.size_mm, work.mm_per_px, layer.plan.name, number, frame, marks).encode()
    return files


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
    refuse_empty(work, folder)
    folder = Path(folder)
    if not folder.is_dir():
        raise ExportError(folder, "this folder does not exist." if not folder.exists() else "is not a folder.")
    files = layer_svgs(work, safe_stem(stem))
    for name, data in files.items():
        write_whole(folder / name, data)
    return [folder / name for name in files]


def safe_stem(text: str) -> str:
    """A file name without its suffix that every system takes."""
    return re.sub(r"[^\w.-]+", "-", text, flags=re.UNICODE).strip("-.") or "work"
