"""What a recipe says about the order of sheets, in the terms of the layering."""

import numpy as np

from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab
from sketchloom.core.layers import order_costs
from sketchloom.core.layers.naming import sheet_name
from sketchloom.core.layers.ways import PROPOSED, WINDOWED
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import BASE, TOP
from sketchloom.recipe.sections import WITH_THE_WAY

PIECE_MM, FILM_MM_PER_CM2 = 100.0, 2.0
"""How much cutting a piece to lay and a square centimetre of film count as (common practice, no source: laying a
piece takes
about as long as cutting 10 cm)."""


_SHARES = {WINDOWED: (0.0, 1.0, 0.0, 0.0, 1.0), PROPOSED: (1.0, 0.0, 0.0, 0.5, 1.0)}
"""What an order saves where that was not chosen, by the way: windows are to leave few pieces to lay, and what is
proposed to forgive mislaying; neither lays a whole sheet for little. Other ways cut least."""


def order_shares(recipe: Recipe, way: str) -> tuple[float, ...]:
    """Shares of cutting, pieces, film, mislaying and sheets laid for little that an order is to save, as chosen or as
    goes with the way."""
    if recipe.order_weights != WITH_THE_WAY:
        return (*recipe.order_weights, 0.0, 0.0)[:5]
    proposed = PROPOSED if recipe.layering == PROPOSED else way
    return _SHARES.get(way, _SHARES.get(proposed, (1.0, 0.0, 0.0, 0.0, 0.0)))


def hex_below(recipe: Recipe, entries, ground_label: int | None) -> str:
    """The colour of what everything is laid on: as it was said, else the ground's, else white."""
    has_colour = ground_label is not None and ground_label < len(entries)
    return recipe.laid_on or (entries[ground_label].hex if has_colour else "#ffffff")


def weights_px(shares, mm_per_px: float) -> order_costs.Weights:
    """What an order is to save, of ``order_shares``, in px."""
    cutting, pieces, film, mislaid, little = shares
    per_px2 = FILM_MM_PER_CM2 * mm_per_px / 100
    return order_costs.Weights(cutting, pieces * PIECE_MM / mm_per_px, film * per_px2, mislaid, little * per_px2)


def rule_pairs(recipe: Recipe, keys) -> tuple[tuple[int, int], ...]:
    """Pairs (upper, lower) of layer numbers that proposed orders keep to: pins first, then rules."""
    pins = [(n, recipe.edit_of(key).pin) for n, key in enumerate(keys)]
    pairs = [(other, n) for n, pin in pins if pin == BASE for other in range(len(keys)) if other != n]
    pairs += [(n, other) for n, pin in pins if pin == TOP for other in range(len(keys)) if other != n]
    pairs += [
        (keys.index(upper), keys.index(lower)) for upper, lower in recipe.above if upper in keys and lower in keys
    ]
    return tuple(dict.fromkeys(pairs))
_ONE_SHEET = 2.0
"""CIEDE2000 within which two colours are cut from one sheet."""


def grouped_by_sheet(recipe: Recipe, plans) -> Recipe:
    """The recipe in which layers that are cut from one colour (to the eye) and one material share a group named after
    both."""
    sheets: list[tuple[np.ndarray, str | None, list[str]]] = []
    for plan in plans:
        lab, material = srgb_to_lab(from_hex(plan.hex)), recipe.material_of(plan.key)
        own = None if material is None else material.key
        same = next((keys for other, key, keys in sheets if key == own and ciede2000(lab, other) < _ONE_SHEET), None)
        if same is None:
            sheets.append((lab, own, [plan.key]))
        else:
            same.append(plan.key)
    shown = {plan.key: plan.hex for plan in plans}
    for _, _, keys in sheets:
        material = recipe.material_of(keys[0])
        name = (
            sheet_name(from_hex(shown[keys[0]]), None if material is None else material.family, recipe.names_in)
            if len(keys) > 1
            else None
        )
        for key in keys:
            recipe = recipe.with_edit(key, group=name)
    return recipe


def match_keys(wanted, keys):
    """Keys in the order wanted; a key that is gone stands for the nearest colour still there."""
    left = list(keys)
    found = []
    for key in wanted:
        if key in left:
            left.remove(key)
            found.append(key)
    for place, key in enumerate(wanted):
        if key in found or not left:
            continue
        try:
            lab = srgb_to_lab(from_hex(key))
        except ValueError:
            continue
        gap = [float(ciede2000(lab, srgb_to_lab(from_hex(k)))) for k in left]
        if min(gap) < 10:
            near = left.pop(int(np.argmin(gap)))
            found.insert(min(place, len(found)), near)
    return found
