"""What a DXF draws, as areas: closed outlines of a layer are filled in its colour, one inside another left open; lines
that close nothing are thin strokes.

References
----------
DXF reference: $INSUNITS; colour 256 is that of the layer. The library resolves blocks, bulges and splines.
"""

import io
from collections import defaultdict

import numpy as np

from sketchloom.core.base.errors import PictureError
from sketchloom.core.base.said import said
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.curves.curveset import segment_areas
from sketchloom.core.picture.painted import MOST_SEGMENTS, Area, Painted, Part
from sketchloom.core.vectors.rings import Pen, Track, filled_part, stroked_part
from sketchloom.core.vectors.svg_areas import TooInvolved

_LEAST_PX, _MOST_PX, _LEAST_DPI = 2000, 6000, 160.0
_MARGIN = 0.01
_LINE_MM = 0.25
"""A line that closes nothing is drawn so wide (the finest pen usual in drawings; common practice, no source)."""
_SAME = 1e-5
"""Ends that lie nearer to each other, as a share of the drawing, are one."""
_MOST_DEEP = 8
_DRAWN = ("LINE", "ARC", "CIRCLE", "ELLIPSE", "SPLINE", "LWPOLYLINE", "POLYLINE", "HATCH", "MPOLYGON", "SOLID", "TRACE")


def is_dxf(data: bytes) -> bool:
    """Whether bytes begin as a drawing exchange file does, in text or in binary."""
    if b" Binary DXF\r\n\x1a" in data[:32]:
        return True
    head = [line.strip() for line in data[:4096].splitlines()]
    while len(head) > 1 and head[0] == b"999":  # remarks
        head = head[2:]
    return head[:2] == [b"0", b"SECTION"]


def dxf_areas(data: bytes, name: str) -> tuple[Painted, float]:
    """The areas of a drawing, and its resolution, dpi.

    Raises
    ------
    PictureError : it cannot be read, or draws nothing. TooInvolved : it has too many parts.
    """
    paths, per_mm = _paths(data, name)
    points = [c.reshape(-1, 2) for found in paths.values() for c, _ in found]
    if not points:
        raise PictureError(name, said("this drawing has no outlines."), said("Export it with its shapes."))
    low, high = np.min([p.min(0) for p in points], 0), np.max([p.max(0) for p in points], 0)
    wide, tall = high - low
    long_mm = max(wide, tall) / per_mm
    if not 0 < long_mm < 1e5:
        raise PictureError(name, said("this drawing has no size that could be cut."), said("Save it at its real size."))
    px = min(max(_LEAST_PX, long_mm / MM_PER_IN * _LEAST_DPI), _MOST_PX)
    scale = px / (max(wide, tall) * (1 + 2 * _MARGIN))
    edge = _MARGIN * max(wide, tall)
    matrix = np.array([[scale, 0, scale * (edge - low[0])], [0, -scale, scale * (high[1] + edge)]])
    width, height = (max(int(np.ceil((side + 2 * edge) * scale)), 8) for side in (wide, tall))
    pen = Pen(_LINE_MM * per_mm, "round", "round")
    areas: list[Area] = []
    for (layer, colour), found in paths.items():
        closed, open_ = _joined(found, _SAME * max(wide, tall))
        for part in (filled_part(closed, matrix, True) if closed else None, stroked_part(open_, matrix, pen)):
            if part is not None:
                areas.append(Area(part, colour, name="" if layer == "0" else layer))
    areas.sort(key=lambda area: -_extent(area.part))
    return Painted(width, height, tuple(areas)), scale * per_mm * MM_PER_IN


def _extent(part: Part):
    return max(float(np.abs(segment_areas(ring).sum())) for ring in part.rings)


def _paths(data, name):
    """Subpaths of each layer and colour, in the drawing's units, and units in a millimetre."""
    import ezdxf
    from ezdxf import recover
    from ezdxf.units import MM, conversion_factor

    try:
        document, _ = recover.read(io.BytesIO(data))
    except (OSError, ezdxf.DXFError, ValueError, KeyError, IndexError, TypeError, AttributeError):
        raise PictureError(name, said("this DXF is damaged or cut short."), said("Copy or export it again.")) from None
    found: dict[tuple[str, str], list] = defaultdict(list)
    count = [0]
    _walk(document, document.modelspace(), found, count, 0)
    factor = conversion_factor(MM, document.units) if document.units else 1.0
    return found, float(factor)


def _walk(document, entities, found, count, deep):
    from ezdxf import path as paths

    for entity in entities:
        kind = entity.dxftype()
        count[0] += 1
        if count[0] > MOST_SEGMENTS or deep > _MOST_DEEP:
            raise TooInvolved
        if kind == "INSERT":
            _walk(document, entity.virtual_entities(), found, count, deep + 1)
        elif kind in _DRAWN:
            try:
                made = list(paths.from_hatch(entity)) if kind in ("HATCH", "MPOLYGON") else [paths.make_path(entity)]
            except (TypeError, ValueError, ZeroDivisionError, ArithmeticError):
                continue
            key = (entity.dxf.get("layer", "0"), _colour_of(document, entity))
            for one in made:
                found[key] += _tracked(one)


def _colour_of(document, entity):
    from ezdxf import colors

    rgb = entity.rgb
    if rgb is None:
        number = entity.dxf.get("color", 256)
        layer = document.layers.get(entity.dxf.get("layer", "0")) if document.layers.has_entry(
            entity.dxf.get("layer", "0")) else None
        if number in (0, 256) and layer is not None:
            rgb = layer.rgb or colors.aci2rgb(abs(layer.color) or 7)
        else:
            rgb = colors.aci2rgb(number if 0 < number < 256 else 7)
    red, green, blue = (int(v) for v in rgb)
    # the colour that is white on dark screens is black on paper
    return "#000000" if (red, green, blue) == (255, 255, 255) else f"#{red:02x}{green:02x}{blue:02x}"


def _tracked(path):
    from ezdxf.path import Command

    track = Track()
    for one in path.sub_paths() if path.has_sub_paths else [path]:
        if len(one) == 0:
            continue
        track.move(one.start.x, one.start.y)
        for part in one.commands():
            if part.type == Command.LINE_TO:
                track.line(part.end.x, part.end.y)
            elif part.type == Command.CURVE3_TO:
                track.quadratic(part.ctrl.x, part.ctrl.y, part.end.x, part.end.y)
            elif part.type == Command.CURVE4_TO:
                track.cubic(part.ctrl1.x, part.ctrl1.y, part.ctrl2.x, part.ctrl2.y, part.end.x, part.end.y)
        if one.is_closed:
            track.close()
    return track.done()


def _joined(found, same):
    """Closed subpaths, those made of open ones end to end among them, and what stays open."""
    closed, open_ = [], []
    loose = _Loose(same)
    for controls, is_closed in found:
        if is_closed or _apart(controls[-1, 3], controls[0, 0]) <= same:
            closed.append((controls, True))
        else:
            loose.add(controls)
    for whole in loose.chains():
        is_ring = _apart(whole[-1, 3], whole[0, 0]) <= same
        (closed if is_ring else open_).append((whole, is_ring))
    return closed, open_


def _apart(one, two):
    return float(np.hypot(*(two - one)))


class _Loose:
    """Open subpaths, found by the places of their ends."""

    def __init__(self, same):
        self._same = same
        self._left: dict[int, np.ndarray] = {}
        self._at: dict[tuple[int, int], list[int]] = defaultdict(list)

    def _cell(self, place):
        x, y = np.rint(place / max(4 * self._same, 1e-12)).astype(int).tolist()
        return x, y

    def add(self, controls):
        number = len(self._left)
        self._left[number] = controls
        for place in (controls[0, 0], controls[-1, 3]):
            self._at[self._cell(place)].append(number)

    def chains(self):
        """Subpaths end to end, as far as there is one that goes on."""
        while self._left:
            chain = [self._left.pop(next(iter(self._left)))]
            while _apart(chain[-1][-1, 3], chain[0][0, 0]) > self._same:
                follower = self._follower(chain[-1][-1, 3])
                if follower is None:
                    break
                chain.append(follower)
            yield np.concatenate(chain)

    def _follower(self, end):
        """What begins at a place, turned about where it ends there; taken out."""
        x, y = self._cell(end)
        for number in (n for dx in (-1, 0, 1) for dy in (-1, 0, 1) for n in self._at.get((x + dx, y + dy), ())):
            controls = self._left.get(number)
            if controls is None:
                continue
            for one in (controls, controls[::-1, ::-1]):
                if _apart(one[0, 0], end) <= self._same:
                    del self._left[number]
                    made = one.copy()
                    made[0, 0] = end
                    return made
        return None
