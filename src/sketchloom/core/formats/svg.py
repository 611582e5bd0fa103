"""Layered SVG in millimetres: one compound path a layer, nothing a reader could stumble over."""

import itertools
import re
from xml.sax.saxutils import escape

import numpy as np

from sketchloom.core.base.in_ascii import in_ascii
from sketchloom.core.base.said import said
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.drawing.drawing import Drawing, Strand, scaled
from sketchloom.core.formats.handing import AS_IT_IS, MM, Handing
from sketchloom.core.formats.registry import AREAS, COLOURS, LAYERS, LINES, Format

_UM = 1000.0
"""Coordinates are kept to a thousandth of a millimetre, as the contract says."""
_FRACTIONS = [f".{k:03d}".rstrip("0").rstrip(".") for k in range(1000)]


def write(drawing: Drawing, how: Handing = AS_IT_IS) -> bytes:
    """The SVG of a drawing: a group a layer, with its title; shapes that are in no layer stand by themselves. For a
    reader that takes no mm its lengths are bare numbers, so many to the inch."""
    unit = "mm" if how.reader == MM else ""
    if how.reader != MM:
        drawing = scaled(drawing, float(how.reader) / MM_PER_IN)
    left, top, width, height = (_number(v) for v in drawing.frame)
    lines = [
        '<?xml version="1.0" encoding="UTF-8"?>',
        f'<svg xmlns="http://www.w3.org/2000/svg" version="1.1" width="{width}{unit}" height="{height}{unit}" '
        f'viewBox="{left} {top} {width} {height}">',
        f"<title>{_text(drawing.title)}</title>",
    ]
    version = None
    for group in drawing.groups:
        if group.version != version:
            lines += ["</g>"] if version else []
            version = group.version
            lines += [f'<g id="{_version_id(*version)}">', f"<title>{_text(version[1])}</title>"] if version else []
        shapes = [
            f'<path {_paint(shape.look)} d="{"".join(path_data(s) for s in shape.strands)}"/>' for shape in group.shapes
        ]
        if group.number:
            shapes = [
                f'<g id="{_within(version)}{layer_id(group.number, group.name)}">',
                f"<title>{_text(group.name)}</title>",
                *shapes,
                "</g>",
            ]
        lines += shapes
    lines += ["</g>"] if version else []
    return "\n".join([*lines, "</svg>", ""]).encode("utf-8", "replace")  # half a letter of a name is no letter


def _version_id(number, name):
    return f"version-{number:02d}-{_plain(name) or 'work'}"


def _within(version):
    """What makes ids of layers of several versions differ."""
    return f"version-{version[0]:02d}-" if version else ""


def _plain(name):
    return re.sub(r"[^a-z0-9]+", "-", in_ascii(name).lower()).strip("-")


def _paint(look):
    words = [f'fill="{look.fill or "none"}"']
    if look.fill is not None:
        words.append('fill-rule="evenodd"')
    if look.opacity < 1:
        words.append(f'fill-opacity="{look.opacity:g}"')
    if look.stroke is not None:
        words.append(f'stroke="{look.stroke}" stroke-width="{_number(look.width_mm)}"')
    if look.round_ends:
        words.append('stroke-linecap="round" stroke-linejoin="round"')
    return " ".join(words)


def layer_id(number: int, name: str) -> str:
    """``layer-01-name`` with only characters that are safe in an id."""
    return f"layer-{number:02d}-{_plain(name) or 'colour'}"


def path_data(strand: Strand) -> str:
    """Path data of a strand: M, then L and C, then Z for every ring that is closed.

    Where the last segment is a line, Z draws it.
    """
    um = np.rint(strand.controls * (strand.mm * _UM)).astype(np.int64)
    texts = _all_thousandths(um.reshape(-1))
    straight = strand.straight.tolist()
    starts = strand.starts.tolist()
    parts = []
    for first, last in itertools.pairwise(starts):
        at = 8 * first
        closed = not strand.may_be_open or texts[at:at + 2] == texts[8 * last - 2:8 * last]
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


def _all_thousandths(values) -> list:
    """Texts of (N,) whole numbers of micrometres, as of ``_thousandths``."""
    whole, rest = np.divmod(np.abs(values), 1000)
    sign = ["", "-"]
    return [
        f"{sign[v < 0]}{w}{_FRACTIONS[r]}"
        for v, w, r in zip(values.tolist(), whole.tolist(), rest.tolist(), strict=True)
    ]


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


FORMAT = Format("svg", ".svg", said("Layered SVG"), frozenset((AREAS, LINES, LAYERS, COLOURS)), write)
