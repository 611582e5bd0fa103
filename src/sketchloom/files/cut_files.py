"""Cut files read back, ours and others': by what they say alone."""

from dataclasses import dataclass
from pathlib import Path

from sketchloom.core.base.errors import PictureError
from sketchloom.core.base.said import said
from sketchloom.core.playback import drawings, gcode_reader, hpgl_reader
from sketchloom.core.playback.moves import Moves
from sketchloom.core.playback.swivel import cut_by_tip
from sketchloom.core.playback.telling import Told, told_of
from sketchloom.core.sheets.machine import Machine

READERS = {".plt": "hpgl", ".hpgl": "hpgl", ".nc": "gcode", ".gcode": "gcode", ".ngc": "gcode", ".svg": "svg",
           ".dxf": "dxf"}
MOST_BYTES = 256 * 2**20


@dataclass(frozen=True, slots=True, eq=False)
class CutFile:
    """A file as a machine would run it: its ``kind``, its ``moves``, the names of its ``layers`` where it has any, what
    can be told of it, and what it holds ``inside`` beside cuts."""

    kind: str
    moves: Moves
    layers: tuple[str, ...]
    told: Told
    inside: tuple[str, ...] = ()


def read(path, machine: Machine | None = None) -> CutFile:
    """A cut file from anywhere; what is told is of what ``machine`` makes of it, by the tip of its blade where that is
    dragged.

    Raises
    ------
    PictureError : it cannot be read, or is none.
    """
    path = Path(path)
    kind = READERS.get(path.suffix.lower())
    if kind is None:
        raise PictureError(path, said("is no cut file that is read here ({suffixes}).", suffixes=", ".join(READERS)))
    try:
        if path.stat().st_size > MOST_BYTES:
            raise PictureError(path, said("is larger than {mb} MB.", mb=MOST_BYTES // 2**20))
        data = path.read_bytes()
    except OSError:
        raise PictureError(path, said("cannot be opened."), said("Check its name and that you may read it.")) from None
    return read_bytes(data, kind, str(path), machine)


def read_bytes(data: bytes, kind: str, name: str, machine: Machine | None = None) -> CutFile:
    """The same of bytes of a kind."""
    layers: tuple[str, ...] = ()
    inside: tuple[str, ...] = ()
    if kind in (drawings.SVG, drawings.DXF):
        moves, layers, inside = drawings.read_apart(data, name, kind)
    else:
        moves = (hpgl_reader if kind == "hpgl" else gcode_reader).read(data)
    if not moves.down.any():
        first = next((str(why) for _, why in moves.troubles), "")
        raise PictureError(name, said("cuts nothing: {why}", why=first) if first else said("cuts nothing."))
    if machine is None:
        return CutFile(kind, moves, layers, told_of(moves), inside)
    cut = cut_by_tip(moves, machine.offset_mm if kind in ("hpgl", "gcode") else 0.0)
    return CutFile(kind, moves, layers, told_of(cut, machine.overcut_mm + 1.0), inside)


def told_plain(one: CutFile) -> dict:
    """Plain data of what is told of a file."""
    t = one.told
    names = dict(enumerate(one.layers, 1))
    return {
        "format": one.kind, "width_mm": round(t.width_mm, 3), "height_mm": round(t.height_mm, 3),
        "layers": [{"name": names.get(tool, str(tool)), "cut_mm": round(length, 2)}
                   for tool, length in sorted(t.tools.items())],
        "strokes": t.strokes, "open": t.open, "cut_mm": round(t.cut_mm, 2), "travel_mm": round(t.travel_mm, 2),
        "doubled_mm": round(t.doubled_mm, 2), "inside": list(one.inside),
        "troubles": [{"line": line, "message": str(why)} for line, why in one.moves.troubles],
    }
