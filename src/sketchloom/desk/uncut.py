"""What of a work is not cut, and which of the four decisions it lies at: background, ground, regions, layers."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.edits.decisions import DROP, WINDOW
from sketchloom.core.preflight.findings import CLEAN, LAYERS, SOURCE, TRACE
from sketchloom.evaluate.work import Work

BACKGROUND, GROUND, OFF, DROPPED, OPENED, LEFT_OUT = REASONS = (
    "background", "ground", "off", "dropped", "opened", "left_out")
STAGE_OF = {BACKGROUND: SOURCE, GROUND: TRACE, OFF: CLEAN, DROPPED: CLEAN, OPENED: CLEAN, LEFT_OUT: LAYERS}
"""The stage in which each is decided."""


@dataclass(frozen=True, slots=True)
class Uncut:
    """A reason, how much of the work it takes out (steps, regions or layers), and its share of the picture."""

    reason: str
    count: int
    share: float


def reason_of_faces(work: Work) -> np.ndarray:
    """(F,) number of the reason why each face is not cut, as in ``REASONS``; -1 for what is cut."""
    planar, edited = work.traced.planar, work.edited
    reason = np.full(planar.face_count, -1)
    no_colour = planar.face_label >= len(work.segmentation.entries)  # what is transparent
    reason[work.ground] = REASONS.index(OFF if work.recipe.all_off else GROUND)
    reason[work.ground & no_colour] = REASONS.index(BACKGROUND)
    reason[work.ground & edited.was_ground & ~no_colour] = REASONS.index(GROUND)
    cut_in = work.segmentation.cut_in
    if cut_in is not None and not work.draws_with_pens:
        reason[cut_in.opened & work.ground] = REASONS.index(OPENED)
    for face, action in _taken_out(work):
        if work.ground[face]:
            reason[face] = REASONS.index(DROPPED if action == DROP else OPENED)
    if not work.draws_with_pens:
        shown = {label: plan for plan in work.plans for label in plan.labels}
        out = np.array([one is not None and one.left_out for one in map(shown.get, edited.label.tolist())], bool)
        reason[out & ~work.ground] = REASONS.index(LEFT_OUT)
    return reason


def _taken_out(work):
    """Faces that decisions drop or open, and which of the two."""
    for faces in (work.edited.found, work.edited.twin):
        for face, edit in zip(faces.tolist(), work.recipe.edits, strict=False):  # pen lines have none
            if face >= 0 and edit.on and edit.action in (DROP, WINDOW):
                yield face, edit.action


def uncut(work: Work) -> tuple[Uncut, ...]:
    """Every reason for which something of the work is not cut, with how much of it."""
    reason = reason_of_faces(work)
    area = work.traced.planar.face_area_px
    found = []
    for number, name in enumerate(REASONS):
        mine = reason == number
        if mine.any():
            count = int(mine.sum())
            if name == BACKGROUND:
                count = len(work.recipe.background.steps)
            elif name == LEFT_OUT:
                count = sum(plan.left_out for plan in work.plans)
            found.append(Uncut(name, count, float(area[mine].sum()) / float(area.sum())))
    return tuple(found)


def why_not_cut(work: Work, face: int) -> str | None:
    """The reason why a face is not cut, None where it is."""
    number = int(reason_of_faces(work)[face])
    return None if number < 0 else REASONS[number]
