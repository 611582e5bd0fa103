"""PDF in true size: one page, or parted over sheets of paper with marks and an overlap to glue."""

import math

from sketchloom.core.base.said import said
from sketchloom.core.drawing.drawing import Drawing
from sketchloom.core.formats.handing import AS_IT_IS, PAPER_MM, Handing
from sketchloom.core.formats.paper import Paper
from sketchloom.core.formats.registry import AREAS, COLOURS, LAYERS, LINES, Format

EDGE_MM, OVERLAP_MM = 8.0, 10.0
"""What printers leave free, and the strip that is glued under the next sheet (common practice, no source)."""
_MOST_PAGES = 400
_MARK_MM = 5.0


def write(drawing: Drawing, how: Handing = AS_IT_IS) -> bytes:
    """The drawing in its colours, its layers to be switched."""
    paper = Paper(drawing.title)
    put(paper, drawing, how)
    return paper.done()


def put(paper: Paper, drawing: Drawing, how: Handing = AS_IT_IS) -> None:
    """The pages of a drawing."""
    _, _, width, height = drawing.frame
    size = PAPER_MM.get(how.paper)
    if size is None:
        paper.page(width, height)
        paper.drawing(drawing, with_layers=True)
        return
    size = min((size, size[::-1]), key=lambda s: math.prod(tiles_of((width, height), s)))
    columns, rows = tiles_of((width, height), size)
    if columns * rows > _MOST_PAGES:
        size, columns, rows = (width + 2 * EDGE_MM, height + 2 * EDGE_MM), 1, 1
    inner = size[0] - 2 * EDGE_MM, size[1] - 2 * EDGE_MM
    for row in range(rows):
        for column in range(columns):
            paper.page(*size)
            left, top = (n * (side - OVERLAP_MM) for n, side in zip((column, row), inner, strict=True))
            with paper.clipped(EDGE_MM, EDGE_MM, *inner):
                paper.drawing(drawing, EDGE_MM - left, EDGE_MM - top, with_layers=True)
            _marks(paper, size, inner, (column, row), (columns, rows))
            paper.text(EDGE_MM + 2, size[1] - EDGE_MM + 4, f"{drawing.title}   {column + 1}{_letter(row)} / "
                       f"{columns} × {rows}", 2.8, most_mm=inner[0] - 4)


def tiles_of(drawn, paper) -> tuple[int, int]:
    """Columns and rows of sheets of paper that a size needs, mm."""
    counts = []
    for side, sheet in zip(drawn, paper, strict=True):
        inner = sheet - 2 * EDGE_MM
        counts.append(1 if side <= inner else math.ceil((side - inner) / (inner - OVERLAP_MM) - 1e-9) + 1)
    return counts[0], counts[1]


def _letter(row):
    return chr(ord("A") + row) if row < 26 else f"_{row + 1}"


def _marks(paper, size, inner, at, count):
    """Crosses at the corners of what lies on no other sheet: those of neighbours come to lie on each other."""
    for x in ((EDGE_MM,) if at[0] else ()) + ((size[0] - EDGE_MM - OVERLAP_MM,) if at[0] < count[0] - 1 else ()):
        paper.line(x, EDGE_MM, x, size[1] - EDGE_MM, "#9a9a9a", 0.1, (2.0, 2.0))
    for y in ((EDGE_MM,) if at[1] else ()) + ((size[1] - EDGE_MM - OVERLAP_MM,) if at[1] < count[1] - 1 else ()):
        paper.line(EDGE_MM, y, size[0] - EDGE_MM, y, "#9a9a9a", 0.1, (2.0, 2.0))
    xs = [EDGE_MM] * bool(at[0]) + [size[0] - EDGE_MM - OVERLAP_MM] * (at[0] < count[0] - 1)
    ys = [EDGE_MM + inner[1] / 4, EDGE_MM + 3 * inner[1] / 4]
    places = [(x, y) for x in xs for y in ys]
    ys = [EDGE_MM] * bool(at[1]) + [size[1] - EDGE_MM - OVERLAP_MM] * (at[1] < count[1] - 1)
    xs = [EDGE_MM + inner[0] / 4, EDGE_MM + 3 * inner[0] / 4]
    places += [(x, y) for x in xs for y in ys]
    for x, y in places:
        paper.line(x - _MARK_MM / 2, y, x + _MARK_MM / 2, y, "#000000", 0.15)
        paper.line(x, y - _MARK_MM / 2, x, y + _MARK_MM / 2, "#000000", 0.15)


FORMAT = Format("pdf", ".pdf", said("PDF in true size"), frozenset((AREAS, LINES, LAYERS, COLOURS)), write)
