"""Where parts find room on a sheet that has others."""

import numpy as np
import shapely

from sketchloom.core.sheets.plan import Sheet

_PLACES = 40


def free_places(sheet: Sheet, parts, gap_mm: float) -> list[tuple[float, float]]:
    """Left and top, mm, of parts one after the other, each at the first place, from the left and then down, at which
    it keeps its gap from all others; at the corner of what can be cut where there is none."""
    taken, made = shapely.union_all([sheet.missing, *(p.area for p in sheet.placed)]), []
    for placed in parts:
        shapely.prepare(taken)
        x, y = _free_place(sheet.usable, taken, placed, gap_mm)
        made.append((x, y))
        taken = shapely.union_all([taken, _moved(placed.area, x - placed.box[0], y - placed.box[1])])
    return made


def _moved(area, dx, dy):
    return shapely.transform(area, lambda xy: xy + (dx, dy))


def _free_place(usable, taken, placed, gap_mm):
    left, top, right, bottom = usable
    x0, y0, x1, y1 = placed.box
    xs = np.linspace(left, right - (x1 - x0), _PLACES)
    ys = np.linspace(top, bottom - (y1 - y0), _PLACES)
    if xs[-1] < left - 1e-6 or ys[-1] < top - 1e-6:
        return left, top
    for x in xs.tolist():
        for y in ys.tolist():
            if not shapely.dwithin(taken, _moved(placed.area, x - x0, y - y0), gap_mm):
                return x, y
    return left, top
