"""Hands a work over as files: how it is split (one file, a layer, a piece, a design each, sheets shared by works) times
the format it is written in."""

import re
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from dataclasses import replace
from pathlib import Path

from sketchloom.core.base.errors import ClashError, ExportError
from sketchloom.core.base.progress import QUIET
from sketchloom.core.base.said import said
from sketchloom.core.drawing.drawing import (
    Drawing,
    Group,
    Look,
    Shape,
    moved,
    strand_of,
    strand_of_lines,
    strand_of_rings,
)
from sketchloom.core.formats.atomic import PLAIN, Care, refuse_target
from sketchloom.core.formats.handing import AS_IT_IS
from sketchloom.core.formats.registry import Format, format_of, formats
from sketchloom.core.formats.svg import layer_id
from sketchloom.core.layers.designs import designs_of, shared_sheets, together_again
from sketchloom.core.layers.frame import frame_mm, mark_rings, number_rings
from sketchloom.core.layers.layering import Layer, LayerPlan
from sketchloom.core.layers.laying import laid_pieces
from sketchloom.core.layers.pieces import pieces_of
from sketchloom.core.layers.width import NO_WIDTHS
from sketchloom.core.preflight.findings import STOP
from sketchloom.core.sheets.part import in_mm
from sketchloom.core.tooling.kerf import kept_whole
from sketchloom.evaluate.work import Work
from sketchloom.evaluate.work_plan import WorkPlan
from sketchloom.files.handing_over import handing_of
from sketchloom.files.made import Made
from sketchloom.files.sheet_files import sheet_drawings
from sketchloom.files.writing import write_together
from sketchloom.recipe.document import Recipe

MAX_PIECE_FILES = 2000
"""Files that one release writes at most."""
DESIGNS_APART_MM, VERSIONS_APART_MM = 6.0, 10.0
"""Designs on one page lie at least so far apart, and versions laid side by side are (common practice, no source)."""
_HELPER_MM, _LEAST_PEN_MM = 0.1, 0.01
"""Widths that helper cuts are shown with, and the least that a reader takes for a line."""
SVG = "svg"


# -- drawings ----------------------------------------------------------------------------------


def _group(layer, number: int, mm: float, marks=(), helpers=(), kerf_mm: float = 0.0) -> Group:
    """A layer as one compound path, with its marks; helper cuts are lines beside it."""
    pen = layer.outline.pen_px
    if kerf_mm > 0 and pen is None:
        layer, mm = replace(layer, outline=kept_whole(in_mm(layer.outline, mm), kerf_mm)), 1.0
    look = Look(layer.plan.hex) if pen is None else Look(None, layer.plan.hex, max(pen * mm, _LEAST_PEN_MM), True)
    cut = (strand_of(layer.outline, mm), strand_of_rings(marks)) if marks else (strand_of(layer.outline, mm),)
    shapes = [Shape(cut, look)]
    if helpers:
        shapes.append(Shape((strand_of_lines(helpers),), Look(None, layer.plan.hex, _HELPER_MM)))
    return Group(tuple(shapes), layer.plan.name, number)


def _frame(work):
    """One frame for every file of a work, so that they register, and the marks on every sheet."""
    frame = frame_mm(work.layers, *work.size_mm, work.mm_per_px, work.recipe.marks, work.recipe.weeding_mm)
    return frame, mark_rings(frame) if work.recipe.marks else ()


def _own_marks(work, frame, marks, number):
    """Marks of a sheet: its number in the corner beside the ones that all have."""
    return (*number_rings(frame, number), *marks) if work.recipe.marks else ()


def whole_drawing(work: Work) -> Drawing:
    """All layers in one drawing."""
    frame, marks = _frame(work)
    groups = (_group(layer, n, work.mm_per_px, _own_marks(work, frame, marks, n), work.weeding.get(n, ()),
                     work.recipe.kerf_mm)
              for n, layer in enumerate(work.layers, 1))
    return Drawing(Path(work.picture.name).stem, frame, tuple(groups))


def versions_drawing(works, names, title: str) -> Drawing:
    """Works side by side in rows and columns, each an object of its own with all its layers, aligned by their pages.

    As many columns as make the page most nearly square; ``VERSIONS_APART_MM`` between any two.
    """
    each = [whole_drawing(work) for work in works]
    wide, high = (max(one.frame[k] for one in each) + VERSIONS_APART_MM for k in (2, 3))
    columns = min(range(1, len(each) + 1), key=lambda n: (max(n * wide, -(-len(each) // n) * high), n))
    groups = []
    for number, (drawing, name) in enumerate(zip(each, names, strict=True)):
        row, column = divmod(number, columns)
        left, top, *_ = drawing.frame
        groups += [moved(group, column * wide - left, row * high - top, (number + 1, name)) for group in drawing.groups]
    rows = -(-len(each) // columns)
    frame = (0.0, 0.0, columns * wide - VERSIONS_APART_MM, rows * high - VERSIONS_APART_MM)
    return Drawing(title, frame, tuple(groups))


def layer_drawings(work: Work, stem: str) -> dict[str, Drawing]:
    """File stem to drawing, a layer each; all with the page of the whole, so they register."""
    made: dict[str, Drawing] = {}
    frame, marks = _frame(work)
    for number, layer in enumerate(work.layers, 1):
        if work.recipe.edit_of(layer.plan.key).apart:  # its pieces are carried one by one
            made |= _pieces_of_layer(work, stem, number, layer, frame)
        else:
            group = _group(
                layer, number, work.mm_per_px, _own_marks(work, frame, marks, number), work.weeding.get(number, ()),
                work.recipe.kerf_mm)
            made[f"{stem}-{_base(number, layer.plan.name)}"] = Drawing(layer.plan.name, frame, (group,))
    return made


def piece_drawings(work: Work, stem: str) -> dict[str, Drawing]:
    """File stem to drawing, a piece each, numbered by size within its layer; all with the frame of the whole, so each
    lies where it goes."""
    frame, _ = _frame(work)
    made: dict[str, Drawing] = {}
    for number, layer in enumerate(work.layers, 1):
        made |= _pieces_of_layer(work, stem, number, layer, frame)
    return made


def _pieces_of_layer(work, stem, number, layer, frame):
    base = f"{stem}-{_base(number, layer.plan.name)}"
    return {f"{base}-{count:03d}": Drawing(f"{layer.plan.name}, piece {count}", frame,
                                           (_group(replace(layer, outline=outline), number, work.mm_per_px,
                                                   kerf_mm=work.recipe.kerf_mm),))
            for count, outline in enumerate(pieces_of(layer.outline), 1)}


def design_drawings(work: Work, stem: str) -> dict[str, Drawing]:
    """File stem to drawing, one for each design on the page, in a frame of its own that all its layers share."""
    made = {}
    found = designs_of(work.layers, DESIGNS_APART_MM / work.mm_per_px)
    if work.layers and not found:  # pen lines are one design
        made[f"{stem}-design-01"] = whole_drawing(work)
    for number, design in enumerate(found, 1):
        left, top, right, bottom = (v * work.mm_per_px for v in design.box)
        groups = tuple(_group(layer, n, work.mm_per_px, kerf_mm=work.recipe.kerf_mm)
                       for n, layer in enumerate(design.layers, 1))
        made[f"{stem}-design-{number:02d}"] = Drawing(
            f"{stem}, design {number}", (left, top, right - left, bottom - top), groups
        )
    return made


def shared_drawings(works, stem: str) -> dict[str, Drawing]:
    """File stem to drawing, one for each sheet that several finished works are cut from together, all with one frame.
    """
    asked = [(Path(w.picture.name).stem, w.layers, w.mm_per_px, w.size_mm,
              {x.plan.key: getattr(w.recipe.material_of(x.plan.key), "key", None) for x in w.layers}) for w in works]
    sheets, (width, height) = shared_sheets(asked)
    made = {}
    for number, (name, hex_colour, parts) in enumerate(sheets, 1):
        # one layer of one compound path; the parts' titles say whose they are
        outline = together_again([part.outline for part in parts])
        layer = Layer(LayerPlan(name, name, hex_colour, ()), outline, 0.0, 0.0, NO_WIDTHS, None)
        title = f"{name}: " + ", ".join(dict.fromkeys(part.title for part in parts))
        made[f"{stem}-sheet-{_base(number, name)}"] = Drawing(
            title, (0.0, 0.0, width, height), (_group(layer, number, 1.0),)
        )
    return made


def _base(number, name):
    return layer_id(number, name)[len("layer-"):]


PLAN_WORDS = {"heading": said("Order of work"), "one": said("{number}  {name}: piece {first}"),
              "many": said("{number}  {name}: pieces {first}–{last}"),
              "way_up": said("A piece with an arrow nearly fits the wrong way round: the arrow points up."),
              "top": said("Up is up on this page; true size.")}
"""Texts of the laying plan, by their use."""


def plan_drawing(work: Work, title: str, words=None) -> Drawing:
    """The laying plan of a work; ``words`` in the user's language."""
    from sketchloom.core.drawing import plan  # it loads the shaper of words, which only this needs

    return plan.plan_drawing(laid_pieces(work.layers), *work.size_mm, work.mm_per_px, title, words or PLAN_WORDS)


# -- files -------------------------------------------------------------------------------------

ONE, LAYERS, PIECES, DESIGNS, VERSIONS, SHEETS = ("one", "layer", "piece", "design", "versions", "sheet")
SPLITS = {LAYERS: layer_drawings, PIECES: piece_drawings, DESIGNS: design_drawings}
"""How a work is parted into files of a folder, by the name of each way."""
Outgoing = list[tuple[Path, Callable[[], bytes]]]
"""Files that belong together: where each goes, and what makes its bytes."""


def outgoing(work: Work, target, how: str = ONE, kind: Format | None = None, stem: str = "") -> Outgoing:
    """The files of a work.

    Parameters
    ----------
    target : the file for ``one``, else a folder that exists. stem : of the files in the folder. kind : the format, else
        what the file's suffix says, SVG in a folder.

    Raises
    ------
    ExportError : there is nothing to cut, there would be too many files, or the format is not known.
    """
    refuse_empty(work, target)
    if how == ONE:
        refuse_target(Path(target))
        kind = kind or format_of(target)
        handing = handing_of(work.recipe)
        return [(Path(target), Made(kind, lambda: whole_drawing(work), handing))]
    return in_folder(SPLITS[how](work, safe_stem(stem)), target, kind, handing_of(work.recipe))


def outgoing_shared(works, folder, stem: str, kind: Format | None = None) -> Outgoing:
    """One file for each sheet that several finished works are cut from together; raises as ``outgoing``."""
    for work in works:
        refuse_empty(work, folder)
    return in_folder(shared_drawings(works, safe_stem(stem)), folder, kind, handing_of(works[0].recipe))


def outgoing_versions(works, names, target, kind: Format | None = None) -> Outgoing:
    """One file with several finished works side by side; raises as ``outgoing``."""
    for work in works:
        refuse_empty(work, target)
    refuse_target(Path(target))
    kind, handing = kind or format_of(target), handing_of(works[0].recipe)
    return [(Path(target), Made(kind, lambda: versions_drawing(works, names, Path(target).stem), handing))]


def outgoing_sheets(plan: WorkPlan, folder, stem: str, kind: Format | None = None, recipe: Recipe | None = None
                    ) -> Outgoing:
    """One file for each sheet of a plan that goes into the machine, as a recipe hands it over; raises as ``outgoing``,
    and where a part fits nowhere: a work without one of its parts helps nobody."""
    if plan.left_over:
        raise ExportError(folder, said("not written: {name} fits no carrier. Let it be divided, make the work smaller, "
                                       "or choose another machine.", name=plan.left_over[0].part.name))
    recipe = recipe or Recipe()
    drawings = sheet_drawings(plan, safe_stem(stem), recipe.kerf_mm)
    handings = [handing_of(recipe, plan.machine, sheet.group.material) for sheet in plan.sheets]
    return in_folder(drawings, folder, kind, handings)


def outgoing_plan(work: Work, path, words=None) -> Outgoing:
    """The laying plan, as SVG."""
    refuse_empty(work, path)
    return [(Path(path), lambda: formats()[SVG].write(plan_drawing(work, Path(path).stem, words)))]


def in_folder(drawings, folder, kind: Format | None = None, how=AS_IT_IS) -> Outgoing:
    """Drawings by their file stems as files of a folder that exists, handed over alike or each in its own way; raises
    as ``outgoing``."""
    folder, chosen = Path(folder), kind or formats()[SVG]
    if len(drawings) > MAX_PIECE_FILES:
        raise ExportError(
            folder,
            said(
                "not written: there would be {count} files, and {most} are the most. Write a file per "
                "layer, or one file.",
                count=len(drawings),
                most=MAX_PIECE_FILES,
            ),
        )
    if not folder.is_dir():
        raise ExportError(folder, said("is not a folder.") if folder.exists() else said("this folder does not exist."))
    hows = how if isinstance(how, list) else [how] * len(drawings)
    return [(folder / f"{stem}{chosen.suffix}", Made(chosen, drawing, its))
            for (stem, drawing), its in zip(drawings.items(), hows, strict=True)]


def write(files: Outgoing, care: Care = PLAIN, *, progress=QUIET) -> list[Path]:
    """Write files that belong together, all or none; raises as ``atomic.write_together``."""
    return write_together(files, care, progress=progress)


@contextmanager
def folder_made(folder) -> Iterator[None]:
    """A folder to write into, made with those above it; taken away again when nothing comes to lie in it.

    Raises
    ------
    ExportError : it cannot be made.
    """
    folder = Path(folder)
    missing = [one for one in (folder, *folder.parents) if not one.exists()]
    try:
        if missing:  # what is there and no folder is told by who writes into it
            folder.mkdir(parents=True, exist_ok=True)
    except OSError:
        raise ExportError(folder, said("this folder could not be made.")) from None
    try:
        yield
    finally:
        for one in missing:
            if one.is_dir() and not any(one.iterdir()):
                one.rmdir()


def there_already(files: Outgoing) -> list[Path]:
    """Files that would be replaced."""
    return [path for path, _ in files if path.exists()]


def format_asked(target, key: str | None) -> Format:
    """The format by its key, else by a file's suffix, SVG where neither is said.

    Raises
    ------
    ExportError : the suffix is none of ours. ClashError : it is that of another format than the key.
    """
    if target is None:
        return formats()[key or SVG]
    by_suffix = format_of(target) if key is None or Path(target).suffix else formats()[key]
    if key is not None and by_suffix.key != key:
        raise ClashError(target, said("not written: it is to be {format}, and its suffix says {suffix}.", format=key,
                                      suffix=by_suffix.suffix))
    return by_suffix


def refuse_stops(target, findings, anyway: bool) -> None:
    """Raise where a finding says stop, unless it is to be written all the same."""
    stops = [] if anyway else [one for one in findings if one.severity == STOP and one.code != "layer.empty"]
    if stops:
        raise ExportError(target, said("not written: {why}", why=stops[0].message), said(
            "Mend it, or ask for it all the same with --anyway."))


def refuse_empty(work: Work, target) -> None:
    """Raise when a work has no layer: a file without a cut helps nobody."""
    if not work.layers:
        raise ExportError(
            target,
            said("not written: nothing is left to cut. Put a layer back in, keep the ground or choose more colours."),
        )


def safe_stem(text: str) -> str:
    """A file name without its suffix that every system takes."""
    return re.sub(r"[^\w.-]+", "-", text, flags=re.UNICODE).strip("-.") or "work"


def unused_folder(beside: Path, stem: str) -> Path:
    """A folder that is not there yet, in a folder, named after a work."""
    for number in range(1, 10_000):
        folder = beside / (safe_stem(stem) if number == 1 else f"{safe_stem(stem)}-{number}")
        if not folder.exists():
            return folder
    raise ExportError(beside, said("is full of folders of one name; choose another."))
