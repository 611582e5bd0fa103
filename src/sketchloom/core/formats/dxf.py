"""Drawing exchange files: a layer a sheet with its colour, millimetres in the header, splines, arcs or lines.

References
----------
DXF reference: $INSUNITS 4 is millimetres; a bulge is the tangent of a quarter of an arc's angle, positive where it
turns counter-clockwise; a cubic Bézier path is a spline of degree 3 with inner knots of multiplicity 3.
"""

import io
import itertools
import re

import numpy as np

from sketchloom.core.base.colour import from_hex
from sketchloom.core.base.in_ascii import in_ascii
from sketchloom.core.base.said import said
from sketchloom.core.drawing.drawing import Drawing
from sketchloom.core.formats.handing import ARCS, AS_IT_IS, R12, SPLINES, Handing
from sketchloom.core.formats.registry import AREAS, COLOURS, LAYERS, LINES, Format
from sketchloom.core.tooling.arcs import arcs_of
from sketchloom.core.tooling.strokes import polylines

_MILLIMETRES, _METRIC = 4, 1
_LAYER_NAME = 60


def write(drawing: Drawing, how: Handing = AS_IT_IS) -> bytes:
    """The drawing with y up, its frame's lower left at the origin."""
    import ezdxf  # a second of loading, that only this needs
    from ezdxf import options

    options.write_fixed_meta_data_for_testing = True  # the same bytes for the same drawing
    is_old = how.dxf == R12
    document = ezdxf.new("R12" if is_old else "R2000")
    if not is_old:  # R12 has no word for its units
        document.header["$INSUNITS"], document.header["$MEASUREMENT"] = _MILLIMETRES, _METRIC
    left, top, width, height = drawing.frame
    document.header["$EXTMIN"], document.header["$EXTMAX"] = (0.0, 0.0, 0.0), (width, height, 0.0)
    space, used = document.modelspace(), set[str]()
    for group in drawing.groups:
        look = next((shape.look for shape in group.shapes), None)
        name = _layer_name(group, used)
        layer = document.layers.add(name)
        colour = None if look is None else look.fill or look.stroke
        if colour is not None:
            layer.color = _nearest_index(tuple(round(v) for v in from_hex(colour)))
        for shape in group.shapes:
            if shape.look.is_cut:
                for strand in shape.strands:
                    _add(space, strand, name, how, is_old, np.array([left, top + height]))
    stream = io.StringIO()
    document.write(stream)
    return stream.getvalue().encode("utf-8" if not is_old else "cp1252", "replace")


def _add(space, strand, layer, how, is_old, corner):
    flip = np.array([1.0, -1.0])
    controls = (strand.controls_mm() - corner) * flip
    straight, starts = strand.straight, np.asarray(strand.starts)
    attributes = {"layer": layer}
    closed = [not strand.may_be_open or bool(np.hypot(*(controls[a, 0] - controls[b - 1, 3])) < 1e-9)
              for a, b in itertools.pairwise(starts.tolist())]
    if how.curves == SPLINES and not is_old:
        for (first, last), is_closed in zip(itertools.pairwise(starts.tolist()), closed, strict=True):
            its = slice(first, last)
            if straight[its].all():
                points = [*controls[its, 0].tolist(), controls[last - 1, 3].tolist()]
                _polyline(space, [(*p, 0.0) for p in (points[:-1] if is_closed else points)], is_closed, attributes,
                          is_old)
            else:
                _spline(space, controls[its], is_closed, attributes)
        return
    if how.curves == ARCS or how.curves == SPLINES:
        arcs = arcs_of(controls, straight, starts, how.within_mm)
        for (first, last), is_closed in zip(itertools.pairwise(arcs.starts.tolist()), closed, strict=True):
            if first == last:
                continue
            its = slice(first, last)
            points = [(*p, b) for p, b in zip(arcs.begin[its].tolist(), arcs.bulge[its].tolist(), strict=True)]
            if not is_closed:
                points.append((*arcs.end[last - 1].tolist(), 0.0))
            _polyline(space, points, is_closed, attributes, is_old)
        return
    xy, offsets = polylines(_Plain(controls, straight, starts), how.within_mm)
    for (first, last), is_closed in zip(itertools.pairwise(offsets.tolist()), closed, strict=True):
        points = [(*p, 0.0) for p in xy[first:last - 1 if is_closed else last].tolist()]
        _polyline(space, points, is_closed, attributes, is_old)


class _Plain:
    """What ``polylines`` takes."""

    def __init__(self, controls, straight, starts):
        self.controls, self.straight, self.starts = controls, straight, starts


def _polyline(space, points, is_closed, attributes, is_old):
    if is_old:
        space.add_polyline2d(points, format="xyb", close=is_closed, dxfattribs=attributes)
    else:
        space.add_lwpolyline(points, format="xyb", close=is_closed, dxfattribs=attributes)


def _spline(space, controls, is_closed, attributes):
    """A ring of cubics as one spline: every inner knot three times."""
    points = [tuple(controls[0, 0]), *(tuple(p) for p in controls[:, 1:].reshape(-1, 2))]
    if is_closed:
        points[-1] = points[0]
    knots = [0.0] + [float(k) for k in range(len(controls) + 1) for _ in range(3)] + [float(len(controls))]
    spline = space.add_spline(dxfattribs=attributes)
    spline.control_points = [(x, y, 0.0) for x, y in points]
    spline.knots = knots
    spline.dxf.degree = 3
    spline.closed = is_closed


def _layer_name(group, used):
    """A name that every reader takes, and no other layer has."""
    text = re.sub(r"[^A-Za-z0-9_-]+", "_", in_ascii(group.name)).strip("_")
    base = f"{group.number:02d}_{text or 'layer'}"[:_LAYER_NAME]
    name, count = base, 1
    while name.lower() in used:
        count += 1
        name = f"{base}_{count}"
    used.add(name.lower())
    return name


def _nearest_index(rgb):
    """The index of the table of colours that is nearest: these versions have no others."""
    from ezdxf import colors

    return min(range(1, 256), key=lambda n: sum((a - b) ** 2 for a, b in zip(colors.aci2rgb(n), rgb, strict=True)))


FORMAT = Format("dxf", ".dxf", said("Drawing exchange"), frozenset((AREAS, LINES, LAYERS, COLOURS)), write)
