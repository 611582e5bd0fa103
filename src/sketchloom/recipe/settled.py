"""What was proposed when a work was opened stays, until the person asks for it anew.

Where a setting leaves a choice to the program, the document keeps what was chosen. A change of another setting (light
levelled, a part of the page cropped, a watermark cleaned away) gives no other choice; a better one is offered.
"""

from dataclasses import replace

from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import Settled

_COLOURS = ("page", "as_drawing", "reading", "colours", "palette", "locked", "tones", "grown", "patches")
_ASKED_BY = {
    "reading": ("page", "as_drawing", "reading"),
    "colours": ("page", "as_drawing", "reading", "colours", "palette", "locked"),
    "cut_off": ("page", "as_drawing", "reading", "cut_off", "dark_is_ink", "local_cut_off"),
    "has_ground": ("page", "as_drawing", "reading", "ground"),
    "layering": (*_COLOURS, "layering"),
    "order": (*_COLOURS, "layering", "order", "order_weights", "above"),
}
"""The settings by which a person asks for each choice anew."""


def as_settled(recipe: Recipe) -> Recipe:
    """The recipe with what is left to the program as it was chosen before, where it was. The way of layering is kept
    where it is proposed (``evaluate/layers.py``), with its overlap."""
    one = recipe.settled
    if one is None:
        return recipe
    chosen: dict = {}
    if recipe.reading == "auto" and one.reading is not None:
        chosen["reading"] = one.reading
    if recipe.colours is None and recipe.palette is None and one.colours is not None:
        chosen["colours"] = one.colours
    if recipe.cut_off is None and not recipe.local_cut_off and one.cut_off is not None:
        chosen["cut_off"] = one.cut_off
    if recipe.ground == "auto" and one.has_ground is False:
        chosen["ground"] = "keep"
    if not recipe.order and one.order:
        chosen["order"] = one.order
    return replace(recipe, **chosen) if chosen else recipe


def settled_with(recipe: Recipe, chosen: Settled) -> Recipe:
    """The recipe that keeps what was chosen for it now, beside what it kept already."""
    kept = recipe.settled or Settled()
    missing = {name: getattr(chosen, name) for name in _ASKED_BY if not _is_said(getattr(kept, name))}
    return replace(recipe, settled=replace(kept, **missing))


def carried(before: Recipe, after: Recipe) -> Recipe:
    """The changed recipe with what the one before kept, but for what the change asks for anew: all of it where the
    changed one keeps an empty ``Settled``."""
    kept = before.settled
    if after.settled == Settled():
        kept = Settled()
    elif kept is not None:
        asked = {name for name, settings in _ASKED_BY.items()
                 if any(getattr(before, s) != getattr(after, s) for s in settings)}
        if [(e.key, e.pin) for e in before.layers if e.pin] != [(e.key, e.pin) for e in after.layers if e.pin]:
            asked |= {"layering", "order"}
        kept = replace(kept, **{name: getattr(Settled(), name) for name in asked})
    return after if after.settled == kept else replace(after, settled=kept)


def _is_said(value) -> bool:
    return value is not None and value != ()
