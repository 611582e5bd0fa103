"""Test cuts in free corners of sheets."""

from dataclasses import replace

import numpy as np
import shapely

from sketchloom.core.shapes.polygons import straight_outline
from sketchloom.core.sheets import aids, choices
from sketchloom.core.sheets.part import Part, in_mm
from sketchloom.core.sheets.plan import Placed, Ready


def with_test(works, group, sheets, gap):
    """Sheets of a group with a test cut in a free corner of the first that has one."""
    how = works[0].recipe.test_cut
    if how == choices.NONE or not sheets or group.ready[0].part.outline.pen_px is not None:
        return sheets
    rings = [aids.star()] if how == choices.STAR else _narrowest(works, group)
    area = shapely.MultiPolygon([shapely.Polygon(rings[0], rings[1:])]) if rings else None
    if area is None or area.is_empty:
        return sheets
    part = Part("test", group.name, group.hex, group.material, straight_outline(area))
    ready = Ready(part, (0.0,), group.ready[0].mirrored, test=True)
    for n, sheet in enumerate(sheets):
        place = _free_corner(sheet, ready, gap)
        if place is not None:
            return (*sheets[:n], replace(sheet, placed=(place, *sheet.placed)), *sheets[n + 1:])
    return sheets


def _free_corner(sheet, ready, gap):
    """A test cut in a corner of a sheet, or else along its edges, where nothing else is."""
    left, top, right, bottom = sheet.usable
    size = ready.area.bounds
    wide, high = size[2] - size[0], size[3] - size[1]
    taken = shapely.union_all([sheet.missing, *(p.area for p in sheet.placed)])
    xs, ys = np.linspace(left, right - wide, 9), np.linspace(top, bottom - high, 9)
    if min(xs[-1] - left, ys[-1] - top) < 0:
        return None
    places = [(xs[-1], ys[-1]), (xs[-1], ys[0]), (xs[0], ys[-1]), (xs[0], ys[0]),
              *((x, y) for y in ys[::-1] for x in xs[::-1])]
    for x, y in places:
        one = Placed(ready, 0.0, float(x) - size[0], float(y) - size[1])
        if ready.mirrored:
            one = Placed(ready, 0.0, float(x) + size[2], float(y) - size[1])
        if one.area.distance(taken) >= gap:
            return one
    return None


def _narrowest(works, group):
    """Rings around the narrowest place of a group's layers."""
    keys = {(r.part.work, r.part.key) for r in group.ready}
    found = [(float(layer.widths.width.min()) * work.mm_per_px, work, layer, layer.widths)
             for k, work in enumerate(works) for layer in work.layers
             if (k, layer.plan.key) in keys and len(layer.widths.width)]
    if not found:
        return [aids.star()]
    _, work, layer, widths = min(found, key=lambda one: one[0])
    place = widths.xy[int(widths.width.argmin())] * work.mm_per_px
    area = Part("", "", "#000000", None, in_mm(layer.outline, work.mm_per_px)).area
    rings = aids.detail(area, place)
    return rings or [aids.star()]
