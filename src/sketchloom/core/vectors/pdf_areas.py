"""What a page of a PDF paints, as areas: its paths with their maps, colours and clips.

Words, pictures and shadings are not followed here: who compares the areas with the drawn page sees them.

References
----------
ISO 32000-1: 8.3 coordinate systems, 8.5 path construction and painting. The library draws by the same objects.
"""

import ctypes

import numpy as np

from sketchloom.core.picture.documents import opened_pdf
from sketchloom.core.picture.painted import MOST_AREAS, MOST_SEGMENTS, Area, Painted, Part
from sketchloom.core.vectors.rings import Pen, Track, filled_part, map_within, stroked_part
from sketchloom.core.vectors.svg_areas import TooInvolved

_LINE, _BEZIER, _MOVE = 0, 1, 2
_PATH, _IMAGE, _FORM = 2, 3, 5
_CAPS, _JOINS = ("flat", "round", "square"), ("mitre", "round", "bevel")
_FINE = 1e4
"""Places of a page are asked of the library in whole numbers: ten-thousandths of a point."""
_MOST_DEEP = 30
_SAME = np.array([[1, 0, 0], [0, 1, 0]], float)


def pdf_areas(data: bytes, name: str, page: int, width: int, height: int) -> Painted:
    """The areas of a page that is drawn so large.

    Raises
    ------
    TooInvolved : it has too many parts, or parts within parts. PictureError : the file cannot be read.
    """
    document = opened_pdf(data, name)
    try:
        sheet = document[page]
        walk = _Walk(_to_px(sheet, width, height))
        import pypdfium2.raw as c

        count = c.FPDFPage_CountObjects(sheet)
        for k in range(count):
            walk.one(c.FPDFPage_GetObject(sheet, k), _SAME, (), 0)
        return Painted(width, height, tuple(walk.areas), tuple(walk.clips))
    finally:
        document.close()


def _to_px(sheet, width, height):
    """The map from the page's units to px, its turn among it."""
    import pypdfium2.raw as c

    wide, high = sheet.get_size()
    size = round(wide * _FINE), round(high * _FINE)
    places = []
    for x, y in ((0.0, 0.0), (100.0, 0.0), (0.0, 100.0)):
        dx, dy = ctypes.c_int(), ctypes.c_int()
        c.FPDF_PageToDevice(sheet, 0, 0, *size, 0, x, y, ctypes.byref(dx), ctypes.byref(dy))
        places.append((dx.value / size[0] * width, dy.value / size[1] * height))
    zero, one, two = np.array(places)
    return np.column_stack([(one - zero) / 100, (two - zero) / 100, zero])


class _Walk:
    def __init__(self, to_px):
        self._to_px = to_px
        self.areas: list[Area] = []
        self.clips: list[tuple[Part, ...]] = []
        self._segments = 0

    def one(self, thing, outer, clips, deep):
        import pypdfium2.raw as c

        if deep > _MOST_DEEP or len(self.areas) >= MOST_AREAS or self._segments > MOST_SEGMENTS:
            raise TooInvolved
        kind = c.FPDFPageObj_GetType(thing)
        if kind not in (_PATH, _IMAGE, _FORM):
            return
        clips = (*clips, *self._clips_of(thing, outer))
        matrix = map_within(outer, _matrix_of(thing))
        if kind == _FORM:
            for k in range(c.FPDFFormObj_CountObjects(thing)):
                self.one(c.FPDFFormObj_GetObject(thing, k), matrix, clips, deep + 1)
        elif kind == _IMAGE:
            square = Track()
            square.move(0, 0)
            for place in ((1, 0), (1, 1), (0, 1)):
                square.line(*place)
            square.close()
            self._add(filled_part(square.done(), map_within(self._to_px, matrix), False), "#808080", 1.0, clips, True)
        else:
            self._path(thing, matrix, clips)

    def _path(self, thing, matrix, clips):
        import pypdfium2.raw as c

        paths = _tracked(c.FPDFPath_CountSegments(thing), lambda k: c.FPDFPath_GetPathSegment(thing, k))
        self._segments += sum(len(one) for one, _ in paths)
        mode, is_stroked = ctypes.c_int(), ctypes.c_int()
        if not paths or not c.FPDFPath_GetDrawMode(thing, ctypes.byref(mode), ctypes.byref(is_stroked)):
            return
        matrix = map_within(self._to_px, matrix)
        if mode.value:
            colour = _colour(thing, c.FPDFPageObj_GetFillColor)
            if colour is not None:
                self._add(filled_part(paths, matrix, mode.value == c.FPDF_FILLMODE_ALTERNATE), *colour, clips, False)
        if is_stroked.value:
            colour = _colour(thing, c.FPDFPageObj_GetStrokeColor)
            if colour is not None:
                self._add(stroked_part(paths, matrix, _pen(thing)), *colour, clips, False)

    def _clips_of(self, thing, outer):
        import pypdfium2.raw as c

        clip = c.FPDFPageObj_GetClipPath(thing)
        count = c.FPDFClipPath_CountPaths(clip) if clip else 0
        made = []
        for n in range(max(count, 0)):
            many = c.FPDFClipPath_CountPathSegments(clip, n)
            paths = _tracked(many, lambda k, n=n: c.FPDFClipPath_GetPathSegment(clip, n, k))
            part = filled_part(paths, map_within(self._to_px, outer), False)
            self.clips.append(() if part is None else (part,))
            made.append(len(self.clips) - 1)
        return tuple(made)

    def _add(self, part, hex_colour, opacity, clips, by_look):
        if part is not None and opacity > 0:
            self.areas.append(Area(part, hex_colour, opacity, "", clips, by_look))


def _matrix_of(thing):
    import pypdfium2.raw as c

    m = c.FS_MATRIX()
    if not c.FPDFPageObj_GetMatrix(thing, ctypes.byref(m)):
        return _SAME
    return np.array([[m.a, m.c, m.e], [m.b, m.d, m.f]], float)


def _colour(thing, ask):
    parts = [ctypes.c_uint() for _ in range(4)]
    if not ask(thing, *(ctypes.byref(p) for p in parts)):
        return None
    r, g, b, a = (p.value for p in parts)
    return f"#{r:02x}{g:02x}{b:02x}", a / 255


def _pen(thing):
    import pypdfium2.raw as c

    width, phase = ctypes.c_float(), ctypes.c_float()
    c.FPDFPageObj_GetStrokeWidth(thing, ctypes.byref(width))
    count = max(c.FPDFPageObj_GetDashCount(thing), 0)
    dashes: tuple[float, ...] = ()
    if 0 < count <= 64:
        values = (ctypes.c_float * count)()
        if c.FPDFPageObj_GetDashArray(thing, values, count):
            dashes = tuple(values)
            c.FPDFPageObj_GetDashPhase(thing, ctypes.byref(phase))
    cap, join = c.FPDFPageObj_GetLineCap(thing), c.FPDFPageObj_GetLineJoin(thing)
    return Pen(width.value, _CAPS[cap] if 0 <= cap < 3 else "flat", _JOINS[join] if 0 <= join < 3 else "mitre", 10.0,
               dashes, phase.value)


def _tracked(count, segment_at):
    """Subpaths of a path's segments."""
    import pypdfium2.raw as c

    track, curve = Track(), []
    if count > MOST_SEGMENTS:
        raise TooInvolved
    x, y = ctypes.c_float(), ctypes.c_float()
    for k in range(max(count, 0)):
        segment = segment_at(k)
        c.FPDFPathSegment_GetPoint(segment, ctypes.byref(x), ctypes.byref(y))
        kind = c.FPDFPathSegment_GetType(segment)
        if kind == _MOVE:
            track.move(x.value, y.value)
        elif kind == _LINE:
            track.line(x.value, y.value)
        elif kind == _BEZIER:
            curve.append((x.value, y.value))
            if len(curve) == 3:
                track.cubic(*curve[0], *curve[1], *curve[2])
                curve = []
        if c.FPDFPathSegment_GetClose(segment):
            track.close()
    return track.done()
