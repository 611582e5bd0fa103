"""Rules over what was decided and drawn by hand: edits, split lines, new courses, things laid on."""

import numpy as np

from sketchloom.core.base.said import said
from sketchloom.core.preflight.findings import CLEAN, WARN, rule

_PLACES = 5
"""So many places of a kind are told one by one (as many as a person goes through; more are counted)."""
_BEYOND_MM = 0.1
"""What reaches farther beyond the page is told (common practice, no source)."""

EDIT_LOST = rule(
    "clean.edit_lost",
    WARN,
    CLEAN,
    said("an edit no longer finds its region"),
    {
        "drop": said(
            "A dropped region does nothing now: no region like the one it was made for is here. Switch it off, take it "
            "out, or make it anew."
        ),
        "window": said(
            "An opened window does nothing now: no region like the one it was made for is here. Switch it off, take it "
            "out, or make it anew."
        ),
        "colour": said(
            "A given colour does nothing now: no region like the one it was made for is here. Switch it off, take it "
            "out, or make it anew."
        ),
        "keep": said(
            "A kept region does nothing now: no region like the one it was made for is here. Switch it off, take it "
            "out, or make it anew."
        ),
        "below": said(
            "A window to a sheet below does nothing now: no region like the one it was made for is here. Switch it "
            "off, take it out, or make it anew."
        ),
        "above": said(
            "A piece on top does nothing now: no region like the one it was made for is here. Switch it off, take it "
            "out, or make it anew."
        ),
        "more": said("{count} more edits do nothing now."),
    },
    said("Take them out"),
)
SHAPE_IDLE = rule(
    "clean.shape_idle",
    WARN,
    CLEAN,
    said("a split line or a new course does nothing"),
    {
        "course": said(
            "The new course of a boundary does nothing now: the stretch it was made for is not here, or another "
            "boundary is in its way. Switch it off, take it out, or draw it anew."
        ),
        "split": said(
            "A split line parts nothing: it must run from one side of a shape to the other. Switch it off, take it "
            "out, or draw it anew."
        ),
    },
    said("Take it out"),
)
BEYOND = rule(
    "clean.shape_beyond", WARN, CLEAN, said("something laid on reaches beyond the page"),
    said("{name} reaches beyond the page and is cut off there."), said("Make room for it"))


def check_edits(edits, found, places):
    """Findings of edits whose regions are gone: ``found`` (E,) their faces or -1, ``places`` (E, 2) px."""
    lost = [n for n, face in enumerate(found.tolist()) if face < 0 and edits[n].on]
    told = tuple(EDIT_LOST.found(edits[n].action, at=places[n]) for n in lost[:_PLACES])
    return told + ((EDIT_LOST.found("more", count=len(lost) - _PLACES),) if len(lost) > _PLACES else ())


def check_beyond(shapes, size, mm_per_px: float):
    """Findings of shapes, pairs of a name and places (N, 2) px, that reach beyond the page."""
    for name, places in shapes:
        low, high = places.min(0), places.max(0)
        if (low < -_BEYOND_MM / mm_per_px).any() or (high > np.asarray(size) + _BEYOND_MM / mm_per_px).any():
            yield BEYOND.found(at=np.clip((low + high) / 2, 0, size), name=name)


def check_drawn(curves_found, splits_done, places):
    """Findings of split lines and new courses that do nothing; ``places`` (K, 2) px of the curves, then of the splits.
    """
    cases = ["course"] * len(curves_found) + ["split"] * len(splits_done)
    works = [*np.asarray(curves_found, bool).tolist(), *np.asarray(splits_done, bool).tolist()]
    return tuple(SHAPE_IDLE.found(cases[n], at=places[n]) for n, so in enumerate(works) if not so)[:_PLACES]
