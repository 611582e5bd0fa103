"""Layered SVG in millimetres: one compound path a layer, nothing a reader could stumble over."""

import re
import unicodedata
from xml.sax.saxutils import escape

import numpy as np

from sketchloom.core.layers.layering import Layer

_KEEP_UM = 1000.0
"""Coordinates are kept to a thousandth of a millimetre."""
_FRACTIONS = [f".{k:03d}".rstrip("0").rstrip(".") for k in range(1000)]


def svg_document(layers, width_mm: float, height_mm: float, mm_per_px: float, title: str,
                 first_number: int = 1, frame=None, marks=(), own_marks=None, weeding=None) -> str:
    """The SVG text of layers, base first.

    Parameters
    ----------
    layers : sequence of Layer. width_mm, height_mm : the page. mm_per_px : scale of the
        layers' coordinates. title : for the document. first_number : of the first layer.
    frame : left, top, width and height, mm, of what the document shows; the page when left out.
    marks : rings of cubics, mm, that the path of every layer has as well. own_marks : the same for single layers, by their number.
    weeding : cuts that are lines, polylines in mm, for single layers by their number; stroked as thin as a reader takes.
    """
    left, top, width, height = (_number(v) for v in (frame or (0.0, 0.0, width_mm, height_mm)))
    shared = "".join(ring_data(ring) for ring in marks)
    lines = [
        '<?xml version="1.0" encoding="UTF-8"?>',
        f'<svg xmlns="http://www.w3.org/2000/svg" version="1.1" width="{width}mm" height="{height}mm" '
        f'viewBox="{left} {top} {width} {height}">',
        f"<title>{_text(title)}</title>",
    ]
    for number, layer in enumerate(layers, first_number):
        more = "".join(ring_data(ring) for ring in (own_marks or {}).get(number, ())) + shared
        lines += [
            f'<g id="{layer_id(number, layer.plan.name)}">',
            f"<title>{_text(layer.plan.name)}</title>",
            f'<path {_paint(layer, mm_per_px)} d="{path_data(layer, mm_per_px)}{more}"/>',
            *_weeding(layer, (weeding or {}).get(number, ())),
            "</g>",
        ]
    return "\n".join([*lines, "</svg>", ""])


def _weeding(layer, cuts):
    """Helper cuts as one path of lines."""
    if not cuts:
        return []
    data = "".join("M" + "L".join(f"{_number(x)} {_number(y)}" for x, y in cut.tolist()) for cut in cuts)
    return [f'<path fill="none" stroke="{layer.plan.hex}" stroke-width="0.1" d="{data}"/>']


def _paint(layer, mm_per_px):
    """Areas are filled; lines for a pen are stroked."""
    if layer.outline.pen_px is None:
        return f'fill="{layer.plan.hex}" fill-rule="evenodd"'
    width = _number(max(layer.outline.pen_px * mm_per_px, 0.01))
    return (f'fill="none" stroke="{layer.plan.hex}" stroke-width="{width}" stroke-linecap="round" '
            'stroke-linejoin="round"')


def layer_id(number: int, name: str) -> str:
    """``layer-01-name`` with only characters that are safe in an id."""
    plain = unicodedata.normalize("NFKD", name).encode("ascii", "ignore").decode()
    return f"layer-{number:02d}-{re.sub(r'[^a-z0-9]+', '-', plain.lower()).strip('-') or 'colour'}"


def path_data(layer: Layer, mm_per_px: float) -> str:
    """Path data of a layer: M, then L and C, then Z for every ring.

    Where the last segment is a line, Z draws it. Lines for a pen are closed only where they end
    where they began.
    """
    return path_data_of(layer.outline, mm_per_px)


def path_data_of(outline, mm_per_px: float) -> str:
    """The same for an outline."""
    um = np.rint(outline.controls * (mm_per_px * _KEEP_UM)).astype(np.int64)
    texts = _all_thousandths(um.reshape(-1))
    straight = outline.straight.tolist()
    starts = outline.starts.tolist()
    parts = []
    for first, last in zip(starts[:-1], starts[1:]):
        at = 8 * first
        closed = outline.pen_px is None or texts[at:at + 2] == texts[8 * last - 2:8 * last]
        parts.append(f"M{texts[at]} {texts[at + 1]}")
        for s in range(first, last):
            at = 8 * s
            if not straight[s]:
                parts.append("C" + " ".join(texts[at + 2:at + 8]))
            elif s < last - 1 or not closed:
                parts.append(f"L{texts[at + 6]} {texts[at + 7]}")
        if closed:
            parts.append("Z")
    return "".join(parts)


def ring_data(ring) -> str:
    """Path data of a closed ring of cubics (S, 4, 2), mm."""
    texts = [[_number(v) for v in cubic.reshape(-1)] for cubic in ring]
    return f"M{texts[0][0]} {texts[0][1]}" + "".join("C" + " ".join(t[2:]) for t in texts) + "Z"


def _all_thousandths(values) -> list:
    """Texts of (N,) whole numbers of micrometres, as of ``_thousandths``."""
    whole, rest = np.divmod(np.abs(values), 1000)
    sign = ["", "-"]
    return [f"{sign[v < 0]}{w}{_FRACTIONS[r]}" for v, w, r in zip(values.tolist(), whole.tolist(), rest.tolist())]


def _thousandths(value: int) -> str:
    """A whole number of micrometres as millimetres, without needless zeros."""
    sign, value = ("-", -value) if value < 0 else ("", value)
    whole, rest = divmod(value, 1000)
    return f"{sign}{whole}{_FRACTIONS[rest]}"


def _number(value: float) -> str:
    return _thousandths(round(value * 1000))


def _text(text: str) -> str:
    """Text that XML allows."""
    return escape("".join(c for c in text if c.isprintable()))
