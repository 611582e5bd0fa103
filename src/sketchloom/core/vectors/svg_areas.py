"""What an SVG paints, as areas: a walk through its parts with their maps, style and clips.

What is painted by more than one colour (gradients, patterns, pictures) is an area that is read by its look; what is not
followed here at all (filters, markers, words along a path) is seen by who compares the areas with the drawn page.

References
----------
SVG 1.1 (Second Edition): 7 coordinate systems, 9 basic shapes, 11 painting, 14.3 clipping.
"""

import math
import re

import numpy as np
import svgelements

from sketchloom.core.picture.painted import MOST_AREAS, MOST_SEGMENTS, Area, Painted, Part
from sketchloom.core.vectors.rings import CAPS, JOINS, Pen, Track, filled_part, map_within, stroked_part
from sketchloom.core.vectors.style import INHERITED, OF_WORDS, Sheet
from sketchloom.core.vectors.svg_words import words_of

_HREFS = ("href", "{http://www.w3.org/1999/xlink}href")
_URL = re.compile(r"url\(\s*['\"]?#([^'\")\s]+)['\"]?\s*\)")
_NUMBERS = re.compile(r"[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?")
_FIXED = re.compile(rf"\s*{_NUMBERS.pattern}\s*(px|pt|pc|mm|cm|in)?\s*", re.IGNORECASE)
_MACHINE_MADE = re.compile(r"(?i)(g|svg|layer|path|group|use|rect|circle|ellipse|polygon)?[\d_-]*")
_SHAPES = ("path", "rect", "circle", "ellipse", "line", "polyline", "polygon")
_HANDED_ON = (*INHERITED, *OF_WORDS)
_GROUPS = ("g", "a", "svg", "switch", "symbol")
_LEAST_OPACITY = 1 / 512
_MOST_DEEP = 100
_FARTHEST_PX = 1e7
"""What reaches farther from a page is no drawing."""
_ARC_PX = 0.02
_PPI = 96.0


class TooInvolved(Exception):
    """The file asks for what cannot be followed; it is read as a picture."""


def svg_areas(root, width: int, height: int) -> Painted:
    """The areas of an SVG that is drawn so large.

    Parameters
    ----------
    root : a tree that was made safe, with a view box. width, height : px.

    Raises
    ------
    TooInvolved : its style sheets choose by more than one part, or it has too many parts.
    """
    walk = _Walk(root)
    view = _view((0.0, 0.0, float(width), float(height)), root)
    walk.children(root, _State(view, {}, 1.0, (), ""), 0)
    return Painted(width, height, tuple(walk.areas), tuple(walk.clips))


class _State:
    """What holds for the parts within: the map to px (2, 3), inherited style, opacity so far, clips, the layer."""

    __slots__ = ("clips", "matrix", "name", "opacity", "style")

    def __init__(self, matrix, style, opacity, clips, name):
        self.matrix, self.style, self.opacity, self.clips, self.name = matrix, style, opacity, clips, name

    def within(self, matrix):
        return _State(map_within(self.matrix, matrix), self.style, self.opacity, self.clips, self.name)


class _Walk:
    def __init__(self, root):
        self.sheet = Sheet(root)
        if not self.sheet.is_plain:
            raise TooInvolved
        self.by_id = {e.get("id"): e for e in root.iter() if e.get("id")}
        self.areas: list[Area] = []
        self.clips: list[tuple[Part, ...]] = []
        self._segments = 0

    def children(self, element, state, deep):
        if deep > _MOST_DEEP:
            raise TooInvolved
        for child in element:
            if isinstance(child.tag, str):
                self._one(child, state, deep + 1)
                if _kind(element) == "switch":
                    return

    def _one(self, element, state, deep):
        kind = _kind(element)
        if kind not in (*_SHAPES, *_GROUPS, "use", "image", "text") or kind == "symbol":
            return
        own = self.sheet.of(element)
        if own.get("display") == "none":
            return
        style = {**state.style, **{name: own[name] for name in _HANDED_ON if own.get(name, "inherit") != "inherit"}}
        matrix = map_within(state.matrix, _transform(own.get("transform")))
        name = state.name or _layer_name(element, kind)
        inner = _State(matrix, style, state.opacity * _share(own.get("opacity"), 1.0), state.clips, name)
        clip = _URL.match(own.get("clip-path", ""))
        if clip:
            inner.clips = (*state.clips, *self._clips_of(clip.group(1), inner, element, ()))
        before = len(self.areas)
        if kind in _SHAPES:
            self._shape(element, kind, inner)
        elif kind == "text":
            self._words(element, inner)
        elif kind == "image":
            self._image(element, inner)
        elif kind == "use":
            self._use(element, inner, deep)
        else:
            self.children(element, inner if kind != "svg" else self._nested(element, inner), deep)
        if any(own.get(what, "none") not in ("none", "normal") for what in ("mask", "filter", "mix-blend-mode")):
            self.areas[before:] = [Area(a.part, a.hex, a.opacity, a.name, a.clips, True) for a in self.areas[before:]]

    # -- groups --------------------------------------------------------------------------------

    def _nested(self, element, state):
        x, y = (_length(element.get(side), 0.0) for side in ("x", "y"))
        box = element.get("viewBox")
        if box is None:
            return state.within(np.array([[1, 0, x], [0, 1, y]], float))
        sides = [_length(element.get(side), None) for side in ("width", "height")]
        if None in sides:
            raise TooInvolved
        return state.within(_view((x, y, *sides), element))

    def _use(self, element, state, deep):
        target = next((self.by_id[element.get(a)[1:]] for a in _HREFS
                       if (element.get(a) or "").startswith("#") and element.get(a)[1:] in self.by_id), None)
        if target is None:
            return
        x, y = (_length(element.get(side), 0.0) for side in ("x", "y"))
        inner = state.within(np.array([[1, 0, x], [0, 1, y]], float))
        if _kind(target) != "symbol":
            self._one(target, inner, deep + 1)
            return
        if target.get("viewBox") is not None:
            sides = [_length(element.get(side) or target.get(side), None) for side in ("width", "height")]
            if None in sides:
                raise TooInvolved
            inner = inner.within(_view((0.0, 0.0, *sides), target))
        self.children(target, inner, deep + 1)

    # -- shapes --------------------------------------------------------------------------------

    def _shape(self, element, kind, state):
        paths = _paths(element, kind, np.sqrt(abs(np.linalg.det(state.matrix[:, :2]))))
        self._drawn(paths, state, state.style, kind != "line")

    def _words(self, element, state):
        if not self.sheet.words_are_plain:
            return
        for style, rings in words_of(element, state.style, self.sheet.of, _px):
            self._drawn([(ring, True) for ring in rings], state, style, True)

    def _drawn(self, paths, state, style, has_inside):
        """Subpaths in a style: their inside, then their line."""
        self._segments += sum(len(c) for c, _ in paths)
        if not paths or style.get("visibility", "visible") != "visible":
            return
        paint = _paint(style.get("fill", "black"), style)
        if paint is not None and has_inside:
            part = filled_part(paths, state.matrix, style.get("fill-rule", "nonzero") == "evenodd")
            self._add(part, paint, state, _share(style.get("fill-opacity"), 1.0))
        paint = _paint(style.get("stroke", "none"), style)
        if paint is not None:
            self._add(stroked_part(paths, state.matrix, _pen(style)), paint, state,
                      _share(style.get("stroke-opacity"), 1.0))

    def _image(self, element, state):
        x, y, wide, high = (_length(element.get(side), 0.0) for side in ("x", "y", "width", "height"))
        if wide > 0 and high > 0:
            part = filled_part(_rectangle(x, y, wide, high), state.matrix, False)
            self._add(part, ("#808080", 1.0, True), state, 1.0)

    def _add(self, part, paint, state, opacity):
        hex_colour, alpha, by_look = paint
        opacity *= alpha * state.opacity
        if part is None or opacity < _LEAST_OPACITY:
            return
        if len(self.areas) >= MOST_AREAS or self._segments > MOST_SEGMENTS:
            raise TooInvolved
        if not all(np.abs(ring).max() < _FARTHEST_PX for ring in part.rings):  # nor what is no number
            raise TooInvolved
        self.areas.append(Area(part, hex_colour, min(opacity, 1.0), state.name, state.clips, by_look))

    # -- clips ---------------------------------------------------------------------------------

    def _clips_of(self, identifier, state, element, within):
        """Numbers of the clips that a reference asks for: its own, and those that bound it."""
        target = self.by_id.get(identifier)
        if target is None or _kind(target) != "clipPath":
            return ()
        if identifier in within:
            raise TooInvolved
        own = self.sheet.of(target)
        matrix = map_within(state.matrix, _transform(own.get("transform")))
        if target.get("clipPathUnits") == "objectBoundingBox":
            matrix = map_within(matrix, self._box_of(element))
        parts: list[Part] = []
        for child in target:
            if isinstance(child.tag, str):
                self._clip_parts(child, matrix, parts, 0)
        self.clips.append(tuple(parts))
        made = (len(self.clips) - 1,)
        other = _URL.match(own.get("clip-path", ""))
        return made if other is None else (*made, *self._clips_of(other.group(1), state, element,
                                                                  (*within, identifier)))

    def _clip_parts(self, child, matrix, parts, deep):
        own = self.sheet.of(child)
        matrix = map_within(matrix, _transform(own.get("transform")))
        kind = _kind(child)
        if kind == "use" and deep < 3:
            target = self.by_id.get((child.get(_HREFS[0]) or child.get(_HREFS[1]) or "")[1:])
            if target is not None:
                x, y = (_length(child.get(side), 0.0) for side in ("x", "y"))
                self._clip_parts(target, map_within(matrix, np.array([[1, 0, x], [0, 1, y]], float)), parts, deep + 1)
        elif kind in _SHAPES:
            paths = _paths(child, kind, np.sqrt(abs(np.linalg.det(matrix[:, :2]))))
            part = filled_part(paths, matrix, own.get("clip-rule", "nonzero") == "evenodd")
            if part is not None:
                parts.append(part)
        elif kind == "text" or "clip-path" in own:
            raise TooInvolved

    def _box_of(self, element):
        """The map from the unit square to the box of a shape, in its own units."""
        if _kind(element) not in _SHAPES:
            raise TooInvolved
        paths = _paths(element, _kind(element))
        if not paths:
            return np.array([[0, 0, 0], [0, 0, 0]], float)
        points = np.concatenate([_places(c) for c, _ in paths])
        low, high = points.min(0), points.max(0)
        return np.array([[high[0] - low[0], 0, low[0]], [0, high[1] - low[1], low[1]]])


def _places(controls):
    t = np.linspace(0, 1, 33)[:, None, None]
    a, b, c, d = (controls[:, k] for k in range(4))
    s = 1 - t
    return (s**3 * a + 3 * s * s * t * b + 3 * s * t * t * c + t**3 * d).reshape(-1, 2)


def _kind(element):
    return element.tag.rpartition("}")[2] if isinstance(element.tag, str) else ""


def _layer_name(element, kind):
    """What a person called a group, empty where a program numbered it."""
    if kind not in ("g", "svg"):
        return ""
    title = next((child.text for child in element if _kind(child) == "title" and child.text), None)
    name = (title or element.get("aria-label") or element.get("id") or "").strip()
    return "" if _MACHINE_MADE.fullmatch(name) else name[:80]


# -- numbers -----------------------------------------------------------------------------------


def _transform(text):
    if not text:
        return np.array([[1, 0, 0], [0, 1, 0]], float)
    try:
        m = svgelements.Matrix(text)
        made = np.array([[m.a, m.c, m.e], [m.b, m.d, m.f]], float)
    except (ValueError, TypeError, IndexError, AttributeError):
        raise TooInvolved from None
    if not np.isfinite(made).all():
        raise TooInvolved
    return made


def _view(frame, element):
    """The map from an element's view box to its frame (x, y, width, height)."""
    numbers = [float(v) for v in _NUMBERS.findall(element.get("viewBox", ""))]
    if len(numbers) != 4 or min(numbers[2:]) <= 0:
        raise TooInvolved
    return _transform(svgelements.Viewbox.viewbox_transform(*frame, *numbers, element.get("preserveAspectRatio")))


def _length(text, default):
    if text is None or not str(text).strip():
        return default
    value = svgelements.Length(text).value(ppi=_PPI)
    if not isinstance(value, (int, float)):
        raise TooInvolved  # shares of a size and of letters
    return float(value) if math.isfinite(value) else default


def _px(text):
    """A length of words; raises ValueError for what is no number of a fixed unit."""
    if not _FIXED.fullmatch(text):
        raise ValueError(text)
    return _length(text, 0.0)


def _share(text, default):
    if text is None:
        return default
    try:
        value = float(text.rstrip("%")) / (100.0 if text.endswith("%") else 1.0)
    except ValueError:
        return default
    return min(max(value, 0.0), 1.0)


def _paint(text, style):
    """Colour, opacity, and whether it is read by its look; None for no paint."""
    text = text.strip()
    if text == "none":
        return None
    if text.lower() == "currentcolor":
        text = style.get("color", "black")
    if text.startswith("url(") or text.startswith("context-"):
        return "#808080", 1.0, True
    try:
        colour = svgelements.Color(text)
        if colour.value is None:
            return None if text in ("transparent", "") else ("#000000", 1.0, False)
        return f"#{colour.red:02x}{colour.green:02x}{colour.blue:02x}", colour.alpha / 255, False
    except (ValueError, TypeError):
        return "#000000", 1.0, False


def _pen(style):
    dashes = style.get("stroke-dasharray", "none")
    return Pen(
        _length(style.get("stroke-width"), 1.0),
        CAPS.get(style.get("stroke-linecap", "butt"), "flat"),
        JOINS.get(style.get("stroke-linejoin", "miter"), "mitre"),
        _length(style.get("stroke-miterlimit"), 4.0),
        () if dashes == "none" else tuple(_length(v, 0.0) for v in re.split(r"[\s,]+", dashes) if v),
        _length(style.get("stroke-dashoffset"), 0.0),
    )


# -- paths -------------------------------------------------------------------------------------


def _rectangle(x, y, wide, high):
    track = Track()
    track.move(x, y)
    for place in ((x + wide, y), (x + wide, y + high), (x, y + high)):
        track.line(*place)
    track.close()
    return track.done()


def _paths(element, kind, scale=1.0):
    """Subpaths of a shape in its own units, of which one is so many px."""
    try:
        if kind in ("circle", "ellipse"):
            return _round(element, kind, scale)
        return _tracked(_made(element, kind), scale)
    except (ValueError, TypeError, IndexError, ZeroDivisionError, OverflowError, AttributeError):
        return []  # a damaged shape is not drawn (SVG 1.1, F.2)


def _made(element, kind):
    def at(*names):
        return {name: _length(element.get(name), 0.0) for name in names}
    if kind == "path":
        return svgelements.Path(element.get("d") or "")
    if kind == "rect":
        wanted = at("x", "y", "width", "height")
        radii = [_length(element.get(k), None) for k in ("rx", "ry")]
        rx, ry = (next((v for v in pair if v is not None), 0.0) for pair in (radii, radii[::-1]))
        if min(wanted["width"], wanted["height"]) <= 0:
            return svgelements.Path()
        return svgelements.Path(svgelements.Rect(**wanted, rx=min(rx, wanted["width"] / 2),
                                                 ry=min(ry, wanted["height"] / 2)))
    if kind == "line":
        one = at("x1", "y1", "x2", "y2")
        return svgelements.Path(svgelements.Move((one["x1"], one["y1"])), svgelements.Line(
            (one["x1"], one["y1"]), (one["x2"], one["y2"])))
    numbers = [float(v) for v in _NUMBERS.findall(element.get("points") or "")]
    points = np.array(numbers[:len(numbers) // 2 * 2]).reshape(-1, 2).tolist()
    return svgelements.Path((svgelements.Polygon if kind == "polygon" else svgelements.Polyline)(*map(tuple, points)))


def _cubics_of(arc, scale):
    """As few cubics as keep within two hundredths of a pixel of an arc: a quarter of a circle strays by 0.00027 of its
    radius, less with the sixth power of the angle (textbook)."""
    return arc.as_cubic_curves(_pieces(abs(float(arc.sweep)), max(float(arc.rx), float(arc.ry)) * scale))


def _pieces(sweep, radius_px):
    off = 0.00027 * radius_px
    most = (math.pi / 2) * min((_ARC_PX / max(off, 1e-12)) ** (1 / 6), 1.0)
    return max(math.ceil(sweep / most - 1e-9), 1)


def _round(element, kind, scale):
    """A circle or an ellipse by equal pieces, handles of 4/3 tan(a / 4) (textbook)."""
    x, y = _length(element.get("cx"), 0.0), _length(element.get("cy"), 0.0)
    rx, ry = (_length(element.get(name), 0.0) for name in (("r", "r") if kind == "circle" else ("rx", "ry")))
    if min(rx, ry) <= 0:
        return []
    count = _pieces(2 * math.pi, max(rx, ry) * scale)
    turn = np.arange(count + 1) * (2 * math.pi / count)
    turn[-1] = 0.0
    ray, way = np.column_stack([np.cos(turn), np.sin(turn)]), np.column_stack([-np.sin(turn), np.cos(turn)])
    handle = 4 / 3 * math.tan(math.pi / 2 / count)
    unit = np.stack([ray[:-1], ray[:-1] + handle * way[:-1], ray[1:] - handle * way[1:], ray[1:]], 1)
    return [(unit * (rx, ry) + (x, y), True)]


def _tracked(path, scale):
    track = Track()
    for one in path:
        if isinstance(one, svgelements.Move):
            track.move(one.end.x, one.end.y)
        elif isinstance(one, svgelements.Close):
            track.close()
        elif isinstance(one, svgelements.Line):
            track.line(one.end.x, one.end.y)
        elif isinstance(one, svgelements.QuadraticBezier):
            track.quadratic(one.control.x, one.control.y, one.end.x, one.end.y)
        elif isinstance(one, svgelements.CubicBezier):
            track.cubic(one.control1.x, one.control1.y, one.control2.x, one.control2.y, one.end.x, one.end.y)
        elif isinstance(one, svgelements.Arc):
            for part in _cubics_of(one, scale):
                track.cubic(part.control1.x, part.control1.y, part.control2.x, part.control2.y, part.end.x, part.end.y)
    return track.done()
