"""Narrow places of sheets and narrow spaces between cuts: where they are, and what makes them wide enough."""

from dataclasses import dataclass, replace
from weakref import WeakKeyDictionary

import numpy as np

from sketchloom.core.edits.decisions import PaintedLine
from sketchloom.core.layers.layering import WIDTH_LIMIT_MM, Layer
from sketchloom.core.layers.width import NO_WIDTHS, Widths, apart, space_widths, stretch_around
from sketchloom.core.preflight.rules import stretch_mm
from sketchloom.desk.lines import painted_line
from sketchloom.evaluate.work import Work
from sketchloom.recipe.document import Recipe

_SHOWN = 3.0
"""Widths up to so many times the least one wanted are shown as a line (twice as many hide what matters)."""
_NEAR = 1.5
"""Spaces up to so many times the least one wanted are listed."""
_MEETS = 0.6
"""A line that thickens is drawn on by this share of its width, so that it meets what is wide enough there."""
OVER = 1.05
"""A place is made this much wider than wanted: what is drawn anew is measured a hair less wide here and there."""
_ROUNDS, _MOST = 10, 400
"""Rounds of thickening (a photo in six colours with 210 narrow stretches needed seven), and stretches of each."""
_spaces: WeakKeyDictionary = WeakKeyDictionary()
_too_narrow: WeakKeyDictionary = WeakKeyDictionary()
_places: WeakKeyDictionary = WeakKeyDictionary()


@dataclass(frozen=True, slots=True)
class Narrow:
    """A narrow place of a sheet: its width, where it is, and the least width wanted there. ``key`` of its layer."""

    width_mm: float
    x_mm: float
    y_mm: float
    key: str
    layer: str
    hex: str
    least_mm: float


def narrow_places(work: Work, most: int = 40) -> tuple[Narrow, ...]:
    """The narrowest place of every stretch of the sheets, the narrowest for what is wanted first; of one work they are
    looked for once."""
    known = _places.setdefault(work, {})
    if most not in known:
        limit = WIDTH_LIMIT_MM / work.mm_per_px
        known[most] = _listed(
            work, [(layer, layer.widths, limit, least_mm(work, layer)) for layer in work.layers], most)
    return known[most]


def look_ahead(work: Work) -> None:
    """Look for what is narrow while nobody waits for it."""
    if work.measured and not work.rough:
        narrow_places(work)
        _under_in(work, ())


def narrow_spaces(work: Work, most: int = 40) -> tuple[Narrow, ...]:
    """The same for the space between cuts of each sheet."""
    found = []
    for layer, widths in zip(work.layers, spaces(work), strict=True):
        least = least_mm(work, layer, True)
        found.append((layer, widths, _NEAR * least / work.mm_per_px, least))
    return _listed(work, found, most)


def _listed(work, measured, most):
    scale, found = work.mm_per_px, []
    for layer, widths, limit, least in measured:
        for n in apart(widths, limit, stretch_mm(work.recipe.thin_mm) / scale, most):
            x, y = (widths.xy[n] * scale).tolist()
            found.append(
                Narrow(float(widths.width[n]) * scale, x, y, layer.plan.key, layer.plan.name, layer.plan.hex, least)
            )
    return tuple(sorted(found, key=lambda one: one.width_mm / max(one.least_mm, 1e-6))[:most])


def least_mm(work: Work, layer: Layer, is_space: bool = False) -> float:
    """The least width wanted of a sheet, or of the space between its cuts: the smallest width set, or more where its
    material wants it."""
    material = work.recipe.material_of(layer.plan.key)
    wanted = 0.0 if material is None else material.gap_mm if is_space else material.smallest_mm
    return max(work.recipe.thin_mm, wanted)


def spaces(work: Work) -> tuple[Widths, ...]:
    """Widths of the space between the cuts of each sheet, up to three times the least wanted; worked out once."""
    if work not in _spaces:
        limits = ((layer.outline, _SHOWN * least_mm(work, layer, True) / work.mm_per_px) for layer in work.layers)
        _spaces[work] = tuple(NO_WIDTHS if o.pen_px is not None or not len(o.controls) else space_widths(o, limit)
                              for o, limit in limits)
    return _spaces[work]


def width_line(work: Work, of_spaces: bool = False) -> tuple[np.ndarray, np.ndarray]:
    """Middles (K, 2) mm of where the sheets, or the spaces between their cuts, are narrow, and their widths (K,)
    against the least wanted, 1 for as wide: what a sheet's material bears where that is more than the smallest
    width."""
    measured = spaces(work) if of_spaces else [layer.widths for layer in work.layers]
    xy = np.concatenate([widths.xy for widths in measured] or [np.empty((0, 2))]) * work.mm_per_px
    least = np.repeat(
        [least_mm(work, layer, of_spaces) for layer in work.layers], [len(widths.width) for widths in measured]
    )
    share = (
        np.concatenate([widths.width for widths in measured] or [np.empty(0)])
        * work.mm_per_px
        / np.maximum(least, 1e-6)
    )
    near = share < _SHOWN
    return xy[near], share[near]


def thickened(work: Work, x_px: float, y_px: float, key: str | None, to_mm: float) -> PaintedLine | None:
    """A line along the narrow stretch of the sheet ``key`` at a place that makes it as wide as wanted, in the colour
    seen there; None where that sheet is not narrow."""
    sheet = next((one for one in work.layers if one.plan.key == key), None)
    planar = work.traced.planar
    if sheet is None or not len(sheet.widths.width):
        return None
    points = stretch_around(sheet.widths, (x_px, y_px), to_mm / work.mm_per_px)
    middle, size = points[len(points) // 2], (planar.width, planar.height)
    x, y = (int(np.clip(np.floor(v), 0, most - 1)) for v, most in zip(middle, size, strict=True))
    face, entries = planar.faces[y, x], work.segmentation.entries
    label = int(work.edited.label[face])
    hex_colour = entries[label].hex if label < len(entries) and not work.ground[face] else sheet.plan.hex
    if len(points) < 2:
        points = points[[0, 0]] + [[-0.3, 0.0], [0.3, 0.0]]
    width_px = to_mm / work.mm_per_px
    points = _into_the_wide(work, points, _MEETS * width_px)
    return painted_line(work, points / (work.picture.width, work.picture.height), width_px, hex_colour)


def all_thickened(work: Work, evaluate) -> tuple[Recipe, int]:
    """The recipe in which no sheet is narrower than wanted, and how many stretches are left where that cannot be.

    A line beside another place makes that place wide too, or leaves a new edge, so it is looked again after each round:
    ``evaluate(recipe)`` gives the work of a recipe. It ends when a round makes nothing better.
    """
    best, left = work, _under(work)
    for _ in range(_ROUNDS):
        if not left:
            break
        lines = (thickened(best, one.x_mm / best.mm_per_px, one.y_mm / best.mm_per_px, one.key, one.least_mm * OVER)
                 for one in left)
        made = evaluate(replace(best.recipe, lines=(*best.recipe.lines, *(line for line in lines if line is not None))))
        now = _under(made)
        if len(now) >= len(left):
            break
        best, left = made, now
    return best.recipe, len(left)


def narrowest_mm(work: Work, faces) -> float | None:
    """The narrowest place of the sheets that lies in some regions, mm; None where nothing there is narrow."""
    inside = np.zeros(work.traced.planar.face_count, bool)
    inside[list(faces)] = True
    found = [widths.width[inside[_faces_at(work, widths.xy)]] for widths in (layer.widths for layer in work.layers)
             if len(widths.width)]
    widths = np.concatenate(found or [np.empty(0)])
    return float(widths.min()) * work.mm_per_px if len(widths) else None


def thickened_in(work: Work, faces) -> tuple[PaintedLine, ...]:
    """Lines that make what is too narrow in some regions as wide as wanted."""
    made = (thickened(work, one.x_mm / work.mm_per_px, one.y_mm / work.mm_per_px, one.key, one.least_mm * OVER)
            for one in _under_in(work, faces))
    return tuple(line for line in made if line is not None)


def is_narrow_in(work: Work, faces) -> bool:
    """Whether something in some regions is narrower than wanted."""
    return bool(_under_in(work, faces))


def _under_in(work, faces):
    if work not in _too_narrow:
        places = _under(work)
        at = _faces_at(work, np.array([[one.x_mm, one.y_mm] for one in places]).reshape(-1, 2) / work.mm_per_px)
        _too_narrow[work] = tuple(zip(places, at.tolist(), strict=True))
    return [one for one, face in _too_narrow[work] if face in set(faces)]


def _faces_at(work, xy):
    planar = work.traced.planar
    x, y = np.clip(np.floor(xy).astype(int), 0, (planar.width - 1, planar.height - 1)).T
    return planar.faces[y, x]


def _under(work):
    """Narrower than wanted: what is wider than that is not looked through, as it is nearly everything."""
    least = [least_mm(work, layer) for layer in work.layers]
    return list(_listed(work, [(layer, layer.widths, mm / work.mm_per_px, mm)
                               for layer, mm in zip(work.layers, least, strict=True)], _MOST))


def _into_the_wide(work, points, by_px):
    """A line drawn on at each end where that stays within what is cut, so that it meets what is wide enough there."""
    planar, made = work.traced.planar, [points]
    for end, back, first in ((points[0], points[1], True), (points[-1], points[-2], False)):
        on = end + (end - back) / max(float(np.hypot(*(end - back))), 1e-9) * by_px
        x, y = np.floor(on).astype(int).tolist()
        if 0 <= x < planar.width and 0 <= y < planar.height and not work.ground[planar.faces[y, x]]:
            made.insert(0, on[None]) if first else made.append(on[None])
    return np.concatenate(made)
