"""What operations are carved on: the areas and lines of a work, laid on the blank, and what lies at a place of it."""

import numpy as np
import shapely
from shapely.geometry import LineString, MultiLineString, Point

from sketchloom.core.carve import board as boards
from sketchloom.core.carve.blank import AREA, OWN
from sketchloom.core.carve.operations import BOARD, FIELD, LAYER, LINE, MIDDLE, REGION, SHAPE, Target
from sketchloom.core.curves.curveset import flatten
from sketchloom.core.curves.outline import face_outline
from sketchloom.core.shapes.moving import scaled, shifted
from sketchloom.core.shapes.placed import rings_px
from sketchloom.core.shapes.polygons import area_of, area_of_outline
from sketchloom.core.sheets.part import in_mm
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.planning import area_of_layer
from sketchloom.evaluate.work import Work

_FLAT_MM = 0.005
_MOVED = 0.02
"""A line or a word that was moved or changed is still meant when it lies within this share of where it was."""
_NEAR_MM = 1.5
"""So near a line a place means it."""


def board_of(work: Work, cache: Cache | None = None):
    """The outline of the blank, mm."""
    blank, own = work.recipe.blank, None
    if blank.shape == OWN:
        own = _layer(work, blank.of, cache or Cache())
    elif blank.shape == AREA:
        own = _region(work, Target(REGION, x=blank.at_x, y=blank.at_y))
    return boards.outline(blank, max(own.geoms, key=lambda one: one.area) if own is not None and own.geoms else None)


def area_of_target(work: Work, target: Target, board, cache: Cache):
    """The area or the lines of a target on the blank, mm; None where it is gone."""
    blank = work.recipe.blank
    match target.kind:
        case "board":
            return board
        case "field":
            return boards.field_of(blank, board)
        case "middle":
            return boards.middle_of_rim(blank, board) if blank.rim_mm > 0 else None
        case "layer":
            found = _layer(work, target.key, cache)
        case "region":
            found = _region(work, target)
        case "shape":
            found = _shape(work, target)
        case "line":
            found = _line(work, target)
        case _:
            parts = [_shape_of(work, layer, cache) for layer in work.layers]
            found = shapely.union_all([p for p in parts if p is not None]) if parts else None
    return None if found is None or found.is_empty else _placed(work, found)


def _placed(work, shape):
    """From the work's own millimetres to those of the blank."""
    wide, high = work.size_mm
    x, y = work.recipe.blank.work_middle_mm
    return shifted(shape, x - wide / 2, y - high / 2)


def on_work(work: Work, x_mm: float, y_mm: float) -> tuple[float, float]:
    """A place of the blank in the work's own millimetres."""
    wide, high = work.size_mm
    x, y = work.recipe.blank.work_middle_mm
    return x_mm - x + wide / 2, y_mm - y + high / 2


def _layer(work, key, cache):
    layer = next((one for one in work.layers if one.plan.key == key), None)
    return None if layer is None else _shape_of(work, layer, cache)


def _shape_of(work, layer, cache):
    """The area of a layer, or the lines of a pen."""
    if layer.outline.pen_px is None:
        return area_of_layer(cache, work, layer)
    outline = in_mm(layer.outline, work.mm_per_px)
    xy, starts = flatten(outline.controls, outline.straight, _FLAT_MM)
    ends = outline.controls[outline.starts[1:] - 1, 3] if len(outline.controls) else np.empty((0, 2))
    begins = starts[outline.starts]
    return MultiLineString([np.concatenate([xy[a:b], [end]]) for a, b, end in zip(
        begins[:-1].tolist(), begins[1:].tolist(), ends, strict=True) if b > a])


def _region(work, target):
    """The region at a place of the picture as it came."""
    ((x, y),) = work.as_shown(((target.x, target.y),))
    faces = work.traced.planar.faces
    row, column = int(y * faces.shape[0]), int(x * faces.shape[1])
    if not (0 <= row < faces.shape[0] and 0 <= column < faces.shape[1]):
        return None
    face = int(faces[row, column])
    if work.ground[face]:
        return None
    outline = face_outline(work.traced.planar, work.traced.curves, face)
    return area_of_outline(in_mm(outline, work.mm_per_px), _FLAT_MM)


def _size_px(work):
    high, wide = work.traced.planar.faces.shape
    return wide, high


def _shape(work, target):
    """A figure or a word that was laid on the work: of those with its name the nearest, else one at its place."""
    shapes = [one for one in work.recipe.shapes if one.on]
    if not shapes:
        return None
    ((x, y),) = work.as_shown(((target.x, target.y),))
    middles = np.array([_middle(work, one) for one in shapes])
    off = np.hypot(*(middles - (x, y)).T)
    named = np.array([one.name == target.key for one in shapes])
    n = int(np.where(named, off, off + 10).argmin())
    if not named[n] and off[n] > _MOVED:
        return None
    return scaled(area_of(rings_px(shapes[n], work.move, _size_px(work))), work.mm_per_px, work.mm_per_px)


def _middle(work, shape):
    """The middle of a shape as it is shown, shares."""
    ends = np.concatenate([ring[:, [0, 3]].reshape(-1, 2) for ring in rings_px(shape, work.move, (1.0, 1.0))])
    return (ends.min(0) + ends.max(0)) / 2


def _lines(work):
    """Split lines in the work's own mm, with the middle of each as it is shown."""
    sides = np.asarray(_size_px(work), float) * work.mm_per_px
    for one in work.recipe.splits:
        if one.on:
            points = np.asarray(work.as_shown(one.points), float)
            yield LineString(points * sides), points.mean(0)


def _line(work, target):
    """The split line whose middle is nearest to a place."""
    ((x, y),) = work.as_shown(((target.x, target.y),))
    off, found = min(((float(np.hypot(*(middle - (x, y)))), line) for line, middle in _lines(work)),
                     key=lambda one: one[0], default=(np.inf, None))
    return MultiLineString([found]) if off <= _MOVED else None


def targets_at(work: Work, x_mm: float, y_mm: float, cache: Cache | None = None) -> tuple[Target, ...]:
    """What a place of the blank may mean, the smallest first: a line, a word or figure, the region, its layer, the
    field, the board."""
    cache = cache or Cache()
    own = Point(*on_work(work, x_mm, y_mm))
    return (*_lines_at(work, own), *_shapes_at(work, own), *_region_at(work, own), *_layers_at(work, own, cache),
            *_of_blank(work, Point(x_mm, y_mm), board_of(work, cache)))


def _as_came(work, x, y):
    """A place as it is shown, shares, as a target keeps it."""
    ((x, y),) = work.as_came(((x, y),))
    return {"x": x, "y": y}


def _lines_at(work, own):
    for line, middle in _lines(work):
        if line.distance(own) <= _NEAR_MM:
            yield Target(LINE, **_as_came(work, *middle))


def _shapes_at(work, own):
    """The topmost first."""
    for one in reversed(work.recipe.shapes):
        if one.on:
            target = Target(SHAPE, one.name, **_as_came(work, *_middle(work, one)))
            its = _shape(work, target)
            if its is not None and its.distance(own) <= _NEAR_MM:
                yield target


def _region_at(work, own):
    wide, high = work.size_mm
    if 0 <= own.x < wide and 0 <= own.y < high:
        region = Target(REGION, **_as_came(work, own.x / wide, own.y / high))
        if _region(work, region) is not None:
            yield region


def _layers_at(work, own, cache):
    for layer in reversed(work.layers):
        its = _shape_of(work, layer, cache)
        if its is not None and its.distance(own) <= (0 if layer.outline.pen_px is None else _NEAR_MM):
            yield Target(LAYER, layer.plan.key)


def _of_blank(work, place, board):
    if not board.contains(place):
        return
    if work.recipe.blank.rim_mm > 0:
        yield Target(FIELD if boards.field_of(work.recipe.blank, board).contains(place) else MIDDLE)
    yield Target(BOARD)


def targets_of(work: Work) -> tuple[Target, ...]:
    """What can be carved without pointing at it: of the blank, each layer, each word and figure that was laid on."""
    own = (Target(BOARD), Target(FIELD), *((Target(MIDDLE),) if work.recipe.blank.rim_mm > 0 else ()))
    return (*own, *(Target(LAYER, layer.plan.key) for layer in work.layers),
            *(Target(SHAPE, one.name, *work.as_came((tuple(_middle(work, one)),))[0])
              for one in work.recipe.shapes if one.on))
