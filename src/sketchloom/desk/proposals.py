"""What the program chose for a work where that was left to it."""

from dataclasses import replace

from sketchloom.core.layers.ways import PROPOSED
from sketchloom.evaluate.work import Work
from sketchloom.recipe.parts import Settled


def chosen_for(work: Work) -> Settled:
    """The choices of a finished work that a document keeps (``recipe/settled.py``)."""
    if work.faults.page is not None:
        return Settled()  # a page on a table: what it shows is judged once it is flattened
    recipe = work.recipe
    several = len(work.plans) > 1 and not work.draws_with_pens
    return replace(
        _chosen_regions(work), reading=work.reading if recipe.reading == "auto" else None,
        layering=work.laying.way if several and recipe.layering == PROPOSED else None,
        order=tuple(plan.key for plan in work.plans) if several and not recipe.order else ())


def _chosen_regions(work):
    recipe, segmentation = work.recipe, work.segmentation
    # a drawing has the colours of its areas, however many
    by_colour = (work.reading == "colour" and recipe.colours is None and recipe.palette is None
                 and segmentation.drawn_on is None)
    by_tone = segmentation.cut_off is not None and recipe.cut_off is None and not recipe.local_cut_off
    no_ground = segmentation.ground_label is None and work.reading in ("colour", "photo")
    return Settled(
        colours=int(work.tree.proposed) if by_colour and work.tree is not None else None,
        cut_off=segmentation.cut_off if by_tone else None,
        has_ground=not no_ground if recipe.ground == "auto" else None)
