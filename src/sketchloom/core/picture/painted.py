"""What a drawing's file paints: areas of a colour, the first lowest, as the very curves of the file."""

import hashlib
import itertools
import json
import re
import struct
from dataclasses import dataclass
from functools import cached_property

import numpy as np

from sketchloom.core.base.errors import GeometryError
from sketchloom.core.base.said import said

MOST_AREAS, MOST_SEGMENTS = 50_000, 1_500_000
"""Areas and curves of one drawing at most; a guard against hostile files."""
_MOST_PX = 1e7
_HEX = re.compile(r"#[0-9a-f]{6}")
_SIZE = struct.Struct(">Q")


@dataclass(frozen=True, slots=True, eq=False)
class Part:
    """The inside of closed ``rings``, (S, 4, 2) px each: by their parity where ``even``, else by their winding
    number."""

    rings: tuple[np.ndarray, ...]
    even: bool = False


@dataclass(frozen=True, slots=True, eq=False)
class Area:
    """A painted part. ``opacity`` over what is below, to 1; ``name`` of the file's layer it is in, or empty;
    ``clips``: numbers of the clips that all bound it; ``by_look``: its paint is none that is one colour (a gradient, a
    picture), so that only its outline counts."""

    part: Part
    hex: str
    opacity: float = 1.0
    name: str = ""
    clips: tuple[int, ...] = ()
    by_look: bool = False


@dataclass(frozen=True, eq=False)
class Painted:
    """``areas`` in their order, on a page of so many px; each of ``clips`` is all of its parts together."""

    width: int
    height: int
    areas: tuple[Area, ...]
    clips: tuple[tuple[Part, ...], ...] = ()

    @cached_property
    def digest(self) -> str:
        return hashlib.blake2b(packed(self), digest_size=16).hexdigest()


def packed(painted: Painted) -> bytes:
    """As bytes, for ``unpacked``."""
    parts: list[Part] = []

    def number(part):
        parts.append(part)
        return len(parts) - 1

    plain = {
        "size": [painted.width, painted.height],
        "areas": [[number(a.part), a.hex, a.opacity, a.name, list(a.clips), a.by_look] for a in painted.areas],
        "clips": [[number(part) for part in clip] for clip in painted.clips],
    }
    plain["parts"] = [[part.even, [len(ring) for ring in part.rings]] for part in parts]
    rings = [np.asarray(ring, "<f8").reshape(-1) for part in parts for ring in part.rings]
    head = json.dumps(plain, ensure_ascii=False).encode("utf-8", "replace")
    return _SIZE.pack(len(head)) + head + (np.concatenate(rings).tobytes() if rings else b"")


def unpacked(data) -> Painted:
    """What ``packed`` made; raises GeometryError for anything else."""
    data = bytes(data)
    try:
        (size,) = _SIZE.unpack_from(data)
        plain = json.loads(data[_SIZE.size:_SIZE.size + size])
        controls = np.frombuffer(data, "<f8", offset=_SIZE.size + size).reshape(-1, 4, 2)
        if not np.isfinite(controls).all() or np.abs(controls).max(initial=0) > _MOST_PX:
            raise ValueError("places beyond all bounds")
        parts, at = [], 0
        for even, counts in plain["parts"]:
            ends = at + np.cumsum([0, *(int(n) for n in counts)])
            parts.append(Part(tuple(controls[a:b].copy() for a, b in itertools.pairwise(ends.tolist())),
                              bool(even)))
            at = int(ends[-1])
        clips = tuple(tuple(parts[n] for n in clip) for clip in plain["clips"])
        areas = tuple(_area(parts, len(clips), *row) for row in plain["areas"])
        width, height = (int(v) for v in plain["size"])
    except (struct.error, ValueError, KeyError, IndexError, TypeError, UnicodeDecodeError) as error:
        raise GeometryError(said("no painted areas: {why}", why=str(error)[:80])) from None
    if at != len(controls) or at > MOST_SEGMENTS or len(areas) > MOST_AREAS:
        raise GeometryError(said("no painted areas: {why}", why="their curves are not all there"))
    return Painted(width, height, areas, clips)


def _area(parts, clip_count, part, hex_colour, opacity, name, clips, by_look):
    if not _HEX.fullmatch(hex_colour) or not 0 <= float(opacity) <= 1 or not all(0 <= n < clip_count for n in clips):
        raise ValueError("an area of no colour")
    return Area(parts[part], hex_colour, float(opacity), str(name)[:200], tuple(int(n) for n in clips), bool(by_look))
