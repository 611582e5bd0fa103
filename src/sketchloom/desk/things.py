"""Things of a work that a hand can choose: what they are, and which of them lie under a place."""

from collections import Counter
from dataclasses import dataclass, field

import numpy as np
import shapely

from sketchloom.core.shapes import polygons

GAP, SHAPE, REGION, STROKE, STRETCH = KINDS = ("gap", "shape", "region", "stroke", "stretch")
"""Kinds, in the order in which clicks at one place come to them: the small before the large, what was laid on before
what was traced, an area before the line around it."""
LAYER, SHADE = "layer", "shade"
"""A whole layer, where layers are worked on; a colour of the palette, where colours are."""


@dataclass(frozen=True, slots=True)
class Thing:
    """One thing: its kind, and its number among those of its kind. ``place``, px: where it was chosen, if by a
    pointer."""

    kind: str
    number: int
    place: tuple[float, float] | None = field(default=None, compare=False)


class ShapesUnder:
    """Tells which shapes laid on lie under a place."""

    def __init__(self):
        self._of: tuple = ()
        self._areas: list = []

    def at(self, shapes: tuple, rings_of, x: float, y: float) -> list[int]:
        """Numbers of the shapes in force there, the uppermost first. ``rings_of(shape)`` in px."""
        if shapes is not self._of:  # a recipe's own tuple
            self._of = shapes
            self._areas = [polygons.area_of(rings_of(shape)) if shape.on else None for shape in shapes]
            for area in self._areas:
                if area is not None:
                    shapely.prepare(area)
        point = shapely.Point(x, y)
        return [n for n in range(len(self._areas) - 1, -1, -1)
                if self._areas[n] is not None and self._areas[n].intersects(point)]


def gaps_near(start, end, x: float, y: float, reach: float) -> list[int]:
    """Numbers of gaps, from one place (N, 2) to another, that run by a place within a reach, the nearest first."""
    if start is None or not len(start):
        return []
    place, along = np.array([x, y]), np.asarray(end, float) - start
    share = np.clip(((place - start) * along).sum(1) / np.maximum((along**2).sum(1), 1e-12), 0.0, 1.0)
    away = np.hypot(*(start + share[:, None] * along - place).T)
    near = np.flatnonzero(away <= reach)
    return near[np.argsort(away[near], kind="stable")].tolist()


def ring_number(points) -> int:
    """A number that tells one ring of boundary from others: where its leftmost point lies, in sixteenths of px."""
    x, y = points[int(np.lexsort((points[:, 1], points[:, 0]))[0])]
    return round(float(x) * 16) * 2**21 + round(float(y) * 16)


_BESIDE_PX = 3.0
"""So far beside a split line the parts on its two sides are looked for: more than the line's own width, less than any
part that is wanted."""


def parted_off(desk, points) -> int | None:
    """The smaller of the two regions that a line (shares of the picture) has parted; None where it has not."""
    picture = desk.work.picture
    places = np.asarray(points, float) * (picture.width, picture.height)
    along = np.gradient(places, axis=0)
    normal = np.stack([-along[:, 1], along[:, 0]], 1) / np.maximum(np.hypot(*along.T), 1e-9)[:, None]
    pairs: Counter[frozenset[int]] = Counter()
    for sides in zip(*(places + side * normal * _BESIDE_PX for side in (1, -1)), strict=True):
        found = [desk.index.at(*place) for place in sides]
        if None in found or found[0].face == found[1].face:
            continue
        pair = frozenset(one.face for one in found)
        if not any(desk.work.ground[face] for face in pair) and len({desk.hex_of(face) for face in pair}) == 1:
            pairs[pair] += 1
    return min(pairs.most_common(1)[0][0], key=desk.area_mm2) if pairs else None
