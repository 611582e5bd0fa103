"""Several designs on one page told apart, and parts of several works laid on shared sheets."""

from dataclasses import dataclass, replace

import numpy as np
import shapely

from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab
from sketchloom.core.curves.outline import Outline
from sketchloom.core.layers.layering import Layer
from sketchloom.core.layers.pieces import pieces_of
from sketchloom.core.shapes.polygons import area_of_outline

_FLAT_PX = 0.3
"""Outlines are flattened so far to tell what lies within what."""
SAME_SHEET = 3.0
"""Colours no farther apart (CIEDE2000) are cut from one sheet."""


@dataclass(frozen=True, slots=True, eq=False)
class Design:
    """One of several designs on a page: its layers, base first, and its box left, top, right, bottom, px."""

    layers: tuple[Layer, ...]
    box: tuple[float, float, float, float]


def designs_of(layers, apart_px: float) -> list[Design]:
    """The designs of a page, in the order of reading: what is nearer to each other than ``apart_px`` in any layer
    is one.

    Pen lines are not told apart.
    """
    pieces = [
        (level, piece, area_of_outline(piece, _FLAT_PX))
        for level, layer in enumerate(layers)
        if layer.outline.pen_px is None
        for piece in pieces_of(layer.outline)
    ]
    pieces = [one for one in pieces if not one[2].is_empty]
    if not pieces:
        return []
    areas = [shapely.make_valid(area) for _, _, area in pieces]
    grown = shapely.union_all([area.buffer(apart_px / 2) for area in areas])
    parts = list(getattr(grown, "geoms", [grown]))
    tree = shapely.STRtree(parts)
    owner = [int(tree.query(area.representative_point(), predicate="within")[0]) for area in areas]
    boxes = {n: shapely.union_all([areas[i] for i, o in enumerate(owner) if o == n]).bounds for n in set(owner)}
    height = max((b[3] - b[1] for b in boxes.values()), default=1.0)
    order = sorted(boxes, key=lambda n: (int((boxes[n][1] + boxes[n][3]) / 2 / max(0.6 * height, 1.0)), boxes[n][0]))
    return [Design(tuple(_its_layers(layers, pieces, owner, number)), _box(boxes[number])) for number in order]


def _its_layers(layers, pieces, owner, number):
    """Layers with the pieces of one design, those that have any."""
    for level, layer in enumerate(layers):
        own = [piece for (lv, piece, _), o in zip(pieces, owner, strict=False) if lv == level and o == number]
        if own:
            yield _with_outline(layer, together_again(own))


def _box(values) -> tuple[float, float, float, float]:
    left, top, right, bottom = (float(v) for v in values)
    return left, top, right, bottom


def together_again(outlines) -> Outline:
    """Pieces as one outline again."""
    starts = np.cumsum([0, *(n for o in outlines for n in np.diff(o.starts).tolist())])
    def join(name):
        return np.concatenate([getattr(o, name) for o in outlines])
    return Outline(join("controls"), join("straight"), starts, join("area_px"), join("hole"), outlines[0].pen_px)


def _with_outline(layer, outline):
    share = float(np.abs(outline.area_px[~outline.hole]).sum()) / max(
        float(np.abs(layer.outline.area_px[~layer.outline.hole]).sum()), 1e-9
    )
    length = outline.length_px() / max(layer.outline.length_px(), 1e-9)
    return replace(
        layer,
        outline=outline,
        area_mm2=layer.area_mm2 * min(share, 1.0),
        cut_length_mm=layer.cut_length_mm * min(length, 1.0),
    )


@dataclass(frozen=True, slots=True, eq=False)
class Laid:
    """An outline on a shared sheet: in mm already, ``title`` of the work it is of."""

    outline: Outline
    title: str


def shared_sheets(works, gap_mm: float = 10.0) -> tuple[list[tuple[str, str, list[Laid]]], tuple[float, float]]:
    """Parts of several works that are cut from the same sheet, side by side.

    Parameters
    ----------
    works : (title, layers, mm_per_px, (width, height) mm, key of a layer's material or None by layer key) of each.
    gap_mm : between works.

    Returns
    -------
    sheets : name, colour and parts of each sheet, in the order in which their colours are met; a sheet is of one
    material and of
        colours that no eye tells apart. size : width and height of all works side by side, mm.
    """
    sheets: list[list] = []
    left = height = 0.0
    for title, layers, scale, (width, high), material_of in works:
        for layer in layers:
            lab = srgb_to_lab(np.array(from_hex(layer.plan.hex)))
            material = material_of.get(layer.plan.key)
            at = next((s for s in sheets if s[3] == material and float(ciede2000(lab, s[2])) <= SAME_SHEET), None)
            if at is None:
                at = [layer.plan.name, layer.plan.hex, lab, material, []]
                sheets.append(at)
            controls = layer.outline.controls * scale + (left, 0.0)
            at[4].append(
                Laid(
                    replace(
                        layer.outline,
                        controls=controls,
                        area_px=layer.outline.area_px * scale**2,
                        pen_px=None if layer.outline.pen_px is None else layer.outline.pen_px * scale,
                    ),
                    title,
                )
            )
        left += width + gap_mm
        height = max(height, high)
    return [(name, hex_colour, parts) for name, hex_colour, _, _, parts in sheets], (max(left - gap_mm, 0.0), height)
