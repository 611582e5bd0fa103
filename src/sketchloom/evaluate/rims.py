"""Sheets that are added to those of the colours: backings and underlays below them, rims and inner lines above."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base.colour import from_hex, srgb_to_lab
from sketchloom.core.base.words import word
from sketchloom.core.curves.outline import Outline
from sketchloom.core.layers import layering
from sketchloom.core.layers.added import BACKING, UNDERLAY, Rim, rim_key
from sketchloom.core.layers.layering import Layer, LayerPlan
from sketchloom.core.layers.rims import SHINES_THROUGH, rim_outline
from sketchloom.core.planar.cracks import OUTSIDE
from sketchloom.evaluate.work import Traced, Work
from sketchloom.recipe.document import Recipe

_RIM_NAMES = {"backing": "backing", "rim": "rim", "inner": "inner line", "underlay": "underlay"}


@dataclass(frozen=True, slots=True, eq=False)
class Laid:
    """Plans and the (F,) ``depth`` of faces in them, -1 for none, laid in a ``way``; ``colour`` (F,) number of each
    face's colour, left out or not, -1 for ground."""

    traced: Traced
    plans: tuple[LayerPlan, ...]
    depth: np.ndarray
    colour: np.ndarray
    way: str

    def together(self) -> np.ndarray:
        """(F,) bool: what a backing or a rim of everything goes around: what is cut and what is left out within it.

        Colours left out that reach the picture's edge are as ground, unless nothing else is there.
        """
        planar = self.traced.planar
        outer = np.zeros(planar.face_count, bool)
        outer[planar.right[planar.left == OUTSIDE]] = True
        within = (self.depth >= 0) | ((self.colour >= 0) & ~outer)
        return within if within.any() else self.colour >= 0


def with_rims(layers, recipe: Recipe, laid: Laid, mm_per_px: float, *, measured: bool, rough: bool, keep):
    """The sheets with backings and underlays below them, rims and inner lines above.

    ``measured`` : whether widths are looked for. ``keep(key, make)`` may give what was made before.
    """
    below: list[Layer] = []
    above: list[Layer] = []
    made: dict[str, tuple] = {}  # outlines of those before, by their keys: a line may run within a backing
    for number, rim in enumerate(recipe.rims):
        if not rim.on:
            continue
        if rim.of in made and rim.kind != UNDERLAY:
            shape, around = made[rim.of]
        else:
            inside = _inside(rim, recipe, laid)
            if inside is None or not inside.any():
                continue
            shape = np.packbits(inside).tobytes()
            around = keep(("outline", shape),
                          lambda i=inside: layering.outline_of(laid.traced.planar, laid.traced.curves, i))
        outline = keep(("rim", shape, rim, rough), lambda o=around, r=rim: rim_outline(o, r, mm_per_px, rough))
        if not len(outline.controls):
            continue
        made[rim_key(rim, number)] = ((shape, rim), outline)
        name = rim.name or word(_RIM_NAMES[rim.kind], recipe.names_in)
        layer = layering.sheet(LayerPlan(rim_key(rim, number), name, rim.hex, ()), outline, mm_per_px, measured,
                               lambda make, s=shape, r=rim: keep(("rim widths", s, r), make))
        (below if rim.kind in (BACKING, UNDERLAY) else above).append(layer)
    return (*below, *layers, *above)


def rim_outline_of(work: Work, rim: Rim) -> Outline | None:
    """The outline that a rim would have in a work; None for none."""
    around = next((layer.outline for layer in work.layers if layer.plan.key == rim.of and not layer.plan.labels), None)
    if around is None:
        laid = Laid(work.traced, work.plans, work.depth, work.depth, work.laying.way)
        inside = _inside(rim, work.recipe, laid)
        if inside is None or not inside.any():
            return None
        around = layering.outline_of(work.traced.planar, work.traced.curves, inside)
    made = rim_outline(around, rim, work.mm_per_px)
    return made if len(made.controls) else None


def _inside(rim: Rim, recipe, laid):
    """(F,) bool: the faces that a rim goes around, None where its layer is gone."""
    if rim.of is None:
        inside = laid.depth >= 0 if rim.kind == UNDERLAY else laid.together()
    else:
        at = next((k for k, plan in enumerate(laid.plans) if plan.key == rim.of), None)
        if at is None:
            return None
        inside = laid.depth == at if rim.kind == UNDERLAY else layering.sheet_faces(  # as cut, under what covers it too
            laid.traced.planar, laid.traced.arc_length_px, laid.depth, at, recipe.edit_of(rim.of).layering or laid.way)
    return inside & _lets_through(recipe, laid.plans)[laid.depth] if rim.kind == UNDERLAY else inside


def _lets_through(recipe, plans):
    """(P + 1,) bool: layers lighter than what the work is laid on, the ground last; where that is not said, all of
    them."""
    if recipe.laid_on is None:
        return np.append(np.ones(len(plans), bool), False)
    light = srgb_to_lab(np.array([from_hex(h) for h in (*(plan.hex for plan in plans), recipe.laid_on)]))[:, 0]
    return np.append(light[:-1] - light[-1] > SHINES_THROUGH, False)
