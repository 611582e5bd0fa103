"""Cut files that are drawings, SVG and DXF, as moves: read in a process of its own, as they come from anywhere."""

import io

import numpy as np

from sketchloom.core.base.errors import PictureError
from sketchloom.core.base.said import said
from sketchloom.core.picture.apart import asked, failed, serve
from sketchloom.core.playback.moves import MOST_MM, MOST_MOVES, Moves

SVG, DXF = "svg", "dxf"
_STRAY_MM = 0.002
_ARC_CUBICS = 8
"""The library makes cubics of arcs: eight of a circle stray by 0.000004 of its radius, four by 0.00027 (textbook)."""
_MOST_BYTES = 64 * 2**20
_MOST_LAYERS = 1000
_PX_MM = 25.4 / 96
_NO_CUTS = {"image", "text", "foreignObject"}
_UNITS_MM = {1: 25.4, 2: 304.8, 4: 1.0, 5: 10.0, 6: 1000.0}
"""Codes of $INSUNITS: inches, feet, millimetres, centimetres, metres (DXF reference)."""


def read_apart(data: bytes, name: str, kind: str) -> tuple[Moves, tuple[str, ...], tuple[str, ...]]:
    """The cuts of a drawing as moves, y up, one tool a layer, the layers' names, and what it holds beside cuts.

    Raises
    ------
    PictureError : it is no such drawing, or takes too much.
    """
    if len(data) > _MOST_BYTES:
        raise PictureError(name, said("is larger than {mb} MB.", mb=_MOST_BYTES // 2**20),
                           said("Check a part of it alone."))
    return _moves_of(name, *asked("sketchloom.core.playback.drawings", kind, data, name, {}))


def read_here(data: bytes, name: str, kind: str) -> tuple[Moves, tuple[str, ...], tuple[str, ...]]:
    """As ``read_apart``, in this process: of what was just made here, which is known to be harmless."""
    return _moves_of(name, *_answer(kind, data, {"name": name}))


def _moves_of(name, answer, rows):
    try:
        table = np.frombuffer(rows, np.float64).reshape(int(answer["rows"]), 6)
        names, inside = (tuple(str(n)[:200] for n in answer[key]) for key in ("names", "inside"))
    except (KeyError, ValueError, TypeError):
        raise failed(name) from None
    if not np.isfinite(table).all() or np.abs(table[:, :4]).max(initial=0) > MOST_MM:
        raise failed(name)
    count = len(table)
    return Moves(table[:, 0:2], table[:, 2:4], table[:, 0:2], np.zeros(count), table[:, 4] > 0, np.zeros(count),
                 table[:, 5].astype(int), np.arange(count), np.zeros(count), np.zeros(count, int)), names, inside


# -- in the process of its own -----------------------------------------------------------------


def _answer(task, data, words):
    try:
        lines, names, inside = (_of_svg if task == SVG else _of_dxf)(data)
    except (PictureError, MemoryError):
        raise
    except Exception:  # whatever a stranger's file does to a library is one answer here
        raise PictureError(words["name"], said("cannot be read as {kind}.", kind=task.upper()),
                           said("Save a plain copy of it.")) from None
    rows, at = [], np.zeros(2)
    for tool, points in lines:
        rows += [(*at, *points[0], 0.0, tool)]
        rows += [(*a, *b, 1.0, tool) for a, b in zip(points[:-1].tolist(), points[1:].tolist(), strict=True)]
        at = points[-1]
        if len(rows) > MOST_MOVES // 10:
            raise PictureError(words["name"], said("has more cuts than are checked."),
                               said("Check a part of it alone."))
    table = np.array(rows, np.float64).reshape(-1, 6)
    return {"rows": len(table), "names": names, "inside": inside}, table.tobytes()


def _of_svg(data):
    """Shapes of an SVG as polylines, a tool for each name, else for each colour."""
    from defusedxml import ElementTree
    from svgelements import SVG as Svg
    from svgelements import Path, Shape

    root = ElementTree.fromstring(data)  # entities and the like are refused before another library sees them
    inside = set()
    for parent in list(root.iter()):
        for child in list(parent):
            tag = str(child.tag).rpartition("}")[2]
            inside |= {tag} & _NO_CUTS
            if tag in ("script", "image", "foreignObject", "style"):
                parent.remove(child)
    plain = io.BytesIO(ElementTree.tostring(root))
    drawing = Svg.parse(plain, reify=True, ppi=96.0)
    height = float(drawing.height or 0.0) * _PX_MM
    names, lines = [], []
    for element in drawing.elements():
        if not isinstance(element, Shape):
            continue
        path = Path(element)
        values = getattr(element, "values", {})
        fill = values.get("fill")
        name = str(values.get("id") or (fill if fill != "none" else None) or values.get("stroke") or "")
        if name not in names:
            if len(names) >= _MOST_LAYERS:
                name = names[-1]
            else:
                names.append(name)
        for part in path.as_subpaths():
            points = _flat(Path(part))
            if len(points) > 1:
                lines.append((names.index(name) + 1, points * (_PX_MM, -_PX_MM) + (0.0, height)))
    return lines, names, sorted(inside)


def _flat(path):
    """Points of a path of an SVG."""
    from svgelements import Close, CubicBezier, Line, Move, QuadraticBezier

    points = [np.empty((0, 2))]
    for segment in path:
        if isinstance(segment, (Move, Line, Close)):
            if segment.end is not None:
                points.append(np.array([(segment.end.x, segment.end.y)]))
        elif isinstance(segment, (CubicBezier, QuadraticBezier)):
            points.append(_on_bezier(np.array([(p.x, p.y) for p in segment])))
        else:
            count = _steps(abs(segment.sweep) * max(segment.rx, segment.ry))
            points.append(np.array([(p.x, p.y) for p in (segment.point(k / count) for k in range(1, count + 1))]))
    return np.concatenate(points)


def _on_bezier(controls):
    """Points of a curve of two or three degrees after its first one (de Casteljau)."""
    count = _steps(float(np.hypot(*np.diff(controls, axis=0).T).sum()))
    t = (np.arange(1, count + 1) / count)[:, None, None]
    places = controls[None]
    while places.shape[1] > 1:
        places = places[:, :-1] + t * (places[:, 1:] - places[:, :-1])
    return places[:, 0]


def _steps(length):
    """Into how many chords a curve is cut that is no longer than this, px."""
    return int(np.clip(np.sqrt(length / (8 * _STRAY_MM)), 4, 400))


def _of_dxf(data):
    """Entities of a DXF as polylines, a tool a layer."""
    import ezdxf
    from ezdxf import path as paths
    from ezdxf.recover import read

    document, _ = read(io.BytesIO(data))
    scale = _UNITS_MM.get(int(document.header.get("$INSUNITS", 4)), 1.0)
    names, lines, inside = [], [], set()
    for entity in document.modelspace():
        try:
            path = paths.make_path(entity, segments=_ARC_CUBICS)
        except (TypeError, ezdxf.DXFError):  # a text, a picture: nothing a machine follows
            inside.add(str(entity.dxftype()).lower())
            continue
        name = str(entity.dxf.get("layer", "0"))
        if name not in names:
            if len(names) >= _MOST_LAYERS:
                name = names[-1]
            else:
                names.append(name)
        points = np.array([(v.x, v.y) for v in path.flattening(_STRAY_MM / scale)], float) * scale
        if len(points) > 1:
            lines.append((names.index(name) + 1, points))
    return lines, names, sorted(inside)


if __name__ == "__main__":
    serve(_answer)
