"""Works and pieces made by rule for the sheets: bases to divide, rectangles cut into polygons, cuts to route."""

import numpy as np
import shapely
from shapely import Polygon, box

from sketchloom.core.curves.curveset import segment_areas
from sketchloom.core.curves.outline import Outline
from sketchloom.core.shapes.makers import ellipse, polygon
from sketchloom.core.shapes.polygons import areas_of, straight_outline
from sketchloom.core.sheets.part import Part


def blob(rng, x, y, size, waves=3):
    """A round figure with as many waves."""
    turn = np.linspace(0, 2 * np.pi, 90, endpoint=False)
    radius = size * (1 + 0.28 * np.cos(waves * turn + rng.uniform(0, 6)) + 0.1 * np.cos(7 * turn + rng.uniform(0, 6)))
    return Polygon(np.column_stack([x + radius * np.cos(turn), y + radius * np.sin(turn)])).buffer(0)


def divided_work(number: int) -> tuple[Part, shapely.MultiPolygon]:
    """A base of 420 to 560 mm by 260 to 420 mm with windows, and what lies on it: big figures, bands, or a scatter."""
    rng = np.random.default_rng(number)
    wide, high = rng.uniform(420, 560), rng.uniform(260, 420)
    base = (box(0, 0, wide, high), blob(rng, wide / 2, high / 2, min(wide, high) / 2.2).buffer(40))[number % 2]
    for _ in range(int(rng.integers(0, 4))):
        base = base.difference(blob(rng, *rng.uniform((60, 60), (wide - 60, high - 60)), rng.uniform(8, 26)))
    kind = number % 4
    if kind < 2:
        upper = [blob(rng, *rng.uniform((80, 60), (wide - 80, high - 60)), rng.uniform(35, 90), 2 + number % 4)
                 for _ in range(5)]
    elif kind == 2:
        upper = [shapely.LineString([(x, -10), (x + rng.uniform(-60, 60), high / 2), (x + rng.uniform(-60, 60),
                                                                                     high + 10)]).buffer(12)
                 for x in np.linspace(60, wide - 60, 5)]
    else:
        upper = [blob(rng, *rng.uniform((20, 20), (wide - 20, high - 20)), rng.uniform(10, 30)) for _ in range(26)]
    area = areas_of(base)
    above = areas_of(shapely.union_all(upper).intersection(area))
    return Part("k", "base", "#203040", None, straight_outline(area)), above


def jigsaw(count: int, seed: int, side: float = 100.0) -> list[Polygon]:
    """A square cut into cells around places (Voronoi), twice relaxed: together they are the square."""
    rng = np.random.default_rng(seed)
    frame = box(0, 0, side, side)
    places = rng.uniform(0, side, (count, 2))
    cells: list = []
    for _ in range(2):
        cells = [c.intersection(frame) for c in shapely.voronoi_polygons(shapely.MultiPoint(places),
                                                                         extend_to=frame).geoms]
        places = np.array([c.centroid.coords[0] for c in cells])
    return cells


def outline_of(rings) -> Outline:
    controls = np.concatenate(rings)
    starts = np.cumsum([0, *(len(r) for r in rings)])
    area = np.add.reduceat(segment_areas(controls), starts[:-1])
    return Outline(controls, np.zeros(len(controls), bool), starts, area, area < 0)


def icons(count: int = 15, seed: int = 3) -> Outline:
    """Icons in rows: discs, stars, rings with windows."""
    rng = np.random.default_rng(seed)
    rings = []
    for number in range(count):
        at = np.array([40 + 55 * (number % 5), 40 + 55 * (number // 5)]) + rng.uniform(-4, 4, 2)
        if number % 3 == 0:
            rings.append(ellipse(at, 20, 20))
            rings.append(ellipse(at, 8, 8)[::-1, ::-1])
        elif number % 3 == 1:
            turn = np.arange(10) * np.pi / 5
            rings.append(polygon(at + np.where(np.arange(10) % 2, 9, 21)[:, None] * np.stack(
                [np.cos(turn), np.sin(turn)], -1)))
        else:
            rings += [ellipse(at + d, 6, 6) for d in ((-10, 0), (10, 0), (0, 12))]
    return outline_of(rings)


def panel(count: int = 250, seed: int = 5) -> Outline:
    """A frame with many windows of several sizes."""
    rng = np.random.default_rng(seed)
    side = 10.0 * int(np.ceil(np.sqrt(count))) + 20
    rings = [polygon(np.array([(0, 0), (side, 0), (side, side), (0, side)]))]
    across = int(np.ceil(np.sqrt(count)))
    for number in range(count):
        at = np.array([15 + 10 * (number % across), 15 + 10 * (number // across)]) + rng.uniform(-0.8, 0.8, 2)
        rings.append(ellipse(at, *rng.uniform(1.5, 3.6, 2))[::-1, ::-1])
    return outline_of(rings)


def dots(count: int = 2000, seed: int = 1) -> Outline:
    """Round cuts anywhere on a large sheet."""
    rng = np.random.default_rng(seed)
    return outline_of([ellipse(p, 3, 3) for p in rng.uniform(0, 600, (count, 2))])


