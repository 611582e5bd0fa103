"""Where a part finds room on a sheet that has others."""

import numpy as np
import shapely

from sketchloom.core.sheets.plan import Placed, Sheet

_PLACES = 40


def free_place(sheet: Sheet, placed: Placed, gap_mm: float) -> tuple[float, float]:
    """Left and top, mm, of the first place, from the left and then down, at which a part keeps its gap; the corner of
    what can be cut where there is none."""
    left, top, right, bottom = sheet.usable
    x0, y0, x1, y1 = placed.box
    xs = np.linspace(left, right - (x1 - x0), _PLACES)
    ys = np.linspace(top, bottom - (y1 - y0), _PLACES)
    if xs[-1] < left - 1e-6 or ys[-1] < top - 1e-6:
        return left, top
    taken = shapely.union_all([p.area for p in sheet.placed])
    shapely.prepare(taken)
    for x in xs.tolist():
        for y in ys.tolist():
            there = shapely.transform(placed.area, lambda xy, by=(x - x0, y - y0): xy + by)
            if not shapely.dwithin(taken, there, gap_mm):
                return x, y
    return left, top
