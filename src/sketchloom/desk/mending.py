"""Which function mends which kind of finding."""

from collections.abc import Callable
from dataclasses import replace

from sketchloom.core.preflight.findings import Finding
from sketchloom.evaluate.work import Work
from sketchloom.recipe.document import Recipe

MENDS: dict[str, Callable[[Finding | None, Work], Recipe]] = {}
"""What mends it, by the code of a finding."""
STEPS: set[str] = set()
"""Codes of what a step of preparing mends."""


def mend_of(*codes: str):
    """Marks a function (finding, work) -> recipe as what mends findings of these kinds."""
    def keep(function):
        for code in codes:
            MENDS[code] = function
        return function
    return keep


def step_of(*codes):
    """Marks a function (steps, work) -> steps as a mend by a step of preparing."""
    def keep(change):
        STEPS.update(codes)
        mend_of(*codes)(lambda _, work: replace(work.recipe, preparation=change(work.recipe.preparation, work)))
        return change
    return keep


def with_width(work: Work, width_mm: float) -> Recipe:
    """The recipe of a work so wide, a tenth of a millimetre rather under it than over."""
    return work.recipe.with_width(round(width_mm - 0.05, 1))
