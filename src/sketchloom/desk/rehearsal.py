"""Files looked at before they are written: played as a machine would run them, or as the pages they are."""

import io
from dataclasses import dataclass

from sketchloom.core.drawing.drawing import Drawing, Group, Shape, strand_of_rings
from sketchloom.core.drawing.drawing import Look as Drawn
from sketchloom.core.formats import gcode
from sketchloom.core.formats.dialects import Dialect
from sketchloom.core.formats.handing import Handing
from sketchloom.core.playback import drawings, gcode_reader, hpgl_reader
from sketchloom.core.playback.film import Film, Pace, film_of
from sketchloom.core.playback.moves import Moves
from sketchloom.core.playback.swivel import cut_by_tip
from sketchloom.core.playback.telling import Told, told_of
from sketchloom.core.shapes.makers import ellipse
from sketchloom.core.sheets.machine import Machine, shipped

_PAGE_SCALE = 1.6
_MOST_PAGES = 60
_READERS = {".plt": hpgl_reader.read, ".nc": gcode_reader.read}


@dataclass(frozen=True, eq=False)
class Look:
    """A file by its ``name``: its bytes' ``size``; the ``film`` of what is cut with its ``moves`` and what is ``told``
    of them, or ``pages`` as PNG; ``planned_s`` seconds that the plan has for it, None where there is none; ``sends``:
    its bytes, where it is what a machine takes; what it holds ``inside`` beside cuts."""

    name: str
    size: int
    film: Film | None = None
    moves: Moves | None = None
    told: Told | None = None
    pages: tuple[bytes, ...] = ()
    planned_s: float | None = None
    sends: bytes = b""
    inside: tuple[str, ...] = ()


def pace_of(machine: Machine | None) -> Pace:
    """How a machine plays; a plain one where none is known."""
    its = machine or shipped()[0]
    return Pace(its.cutting, its.travelling, its.lift_s, 0.0 if machine is None else machine.offset_mm)


def looked_at(name: str, suffix: str, data: bytes, machine: Machine | None, planned_s: float | None = None,
              plays: bool = True) -> Look:
    """A file that was made here, as it is when its bytes are read, with its film where it ``plays``; raises
    PictureError where they cannot be."""
    if suffix in (".plt", ".nc", ".svg", ".dxf"):
        moves, _, inside = ((_READERS[suffix](data), (), ()) if suffix in _READERS
                            else drawings.read_here(data, name, suffix[1:]))
        if not moves.count:
            return Look(name, len(data))
        pace = pace_of(machine if suffix in _READERS else None)
        overcut = 1.0 if machine is None else machine.overcut_mm + 1.0
        film = film_of(moves, pace) if plays else None
        return Look(name, len(data), film, moves, told_of(cut_by_tip(moves, pace.offset_mm), overcut),
                    planned_s=planned_s, sends=data if suffix in _READERS else b"", inside=inside)
    if suffix == ".pdf":
        return Look(name, len(data), pages=tuple(_pages(data)))
    if suffix in (".png", ".webp"):
        return Look(name, len(data), pages=(_as_png(data),))
    return Look(name, len(data))


def sample_of(dialect: Dialect) -> str:
    """How a disc of 10 mm comes out in a dialect of machine code."""
    disc = strand_of_rings([ellipse((10.0, 10.0), 5.0, 5.0)])
    drawing = Drawing("disc", (0.0, 0.0, 20.0, 20.0), (Group((Shape((disc,), Drawn("#000000")),), "disc", 1),))
    return gcode.write(drawing, Handing(dialect=dialect)).decode()


def _pages(data):
    """Pages of a PDF that was just made here."""
    import pypdfium2

    document = pypdfium2.PdfDocument(data)
    for number in range(min(len(document), _MOST_PAGES)):
        page = document[number]
        most = max(page.get_size())
        scale = min(_PAGE_SCALE, 2400 / most)
        stream = io.BytesIO()
        page.render(scale=scale).to_pil().save(stream, "PNG")
        yield stream.getvalue()


def _as_png(data):
    from PIL import Image

    picture = Image.open(io.BytesIO(data))
    picture.thumbnail((2000, 2000))
    stream = io.BytesIO()
    picture.save(stream, "PNG")
    return stream.getvalue()

