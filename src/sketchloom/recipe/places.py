"""Places of a recipe, which are shares of the picture as it came, as shares of the prepared picture."""

from dataclasses import replace

import numpy as np

from sketchloom.core.picture.picture import Picture
from sketchloom.core.picture.preparing.placing import moved, placing
from sketchloom.recipe.document import Recipe


def as_prepared(recipe: Recipe, picture: Picture) -> Recipe:
    """The recipe with its places moved by its own preparation.

    What lies outside the prepared picture is left out; polygons and strokes that reach beyond it end at
    its edge. Edits of regions and painted lines are not touched: they know how to move.
    """
    if recipe.preparation.is_plain:
        return recipe
    move = placing(picture.width, picture.height, recipe.preparation)
    steps = tuple(_shown(move, step) for step in recipe.background.steps if not _is_outside(move, step))
    grown = [(part, moved(move, [(part.x, part.y)])[0]) for part in recipe.grown]
    return replace(
        recipe, kept=_points_inside(move, recipe.kept), strokes_removed=_points_inside(move, recipe.strokes_removed),
        grown=tuple(replace(part, x=float(x), y=float(y)) for part, (x, y) in grown if 0 <= x < 1 and 0 <= y < 1),
        patches=tuple(_shown(move, patch) for patch in recipe.patches),
        background=replace(recipe.background, steps=steps))


def as_kept(recipe: Recipe, picture: Picture) -> Recipe:
    """A recipe whose places are shares of the prepared picture, as they were kept before schema 1.2, brought up to
    date."""
    if recipe.preparation.is_plain:
        return recipe
    back = np.linalg.inv(placing(picture.width, picture.height, recipe.preparation))
    whole = replace(
        recipe, grown=tuple(replace(g, x=x, y=y) for g in recipe.grown for x, y in as_shown(back, [(g.x, g.y)]))
    )
    return replace(
        whole, kept=as_shown(back, recipe.kept), strokes_removed=as_shown(back, recipe.strokes_removed),
        patches=tuple(_shown(back, patch) for patch in recipe.patches),
        background=replace(recipe.background, steps=tuple(_shown(back, step) for step in recipe.background.steps)))


def as_came(move, points) -> tuple[tuple[float, float], ...]:
    """Places of the prepared picture, shares of its sides, as they are kept; ``move`` as of ``placing``."""
    return _within(moved(np.linalg.inv(move), points))


def as_shown(move, points) -> tuple[tuple[float, float], ...]:
    """Places as they are kept, as shares of the prepared picture."""
    return _within(moved(move, points))


def _within(places):
    return tuple((round(float(x), 7), round(float(y), 7)) for x, y in np.clip(places, 0.0, 1.0))


def _points_inside(move, points):
    return (
        tuple((float(x), float(y)) for x, y in moved(move, points) if 0 <= x < 1 and 0 <= y < 1) if points else points
    )


def _shown(move, part):
    """A part of a recipe that may have ``points``."""
    return replace(part, points=as_shown(move, part.points)) if part.points else part


def _is_outside(move, step):
    return len(step.points) == 1 and not _points_inside(move, step.points)
