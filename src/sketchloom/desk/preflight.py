"""What is checked before a work leaves: the work itself, the plan of its sheets, and files that were made of it."""

from collections.abc import Sequence

import numpy as np

from sketchloom.core.curves.curveset import flatten
from sketchloom.core.drawing.drawing import Drawing
from sketchloom.core.preflight.checklist import CARVED, FILES, PLAN, Checked, checked
from sketchloom.core.preflight.file_rules import check_file
from sketchloom.core.preflight.findings import Finding
from sketchloom.core.preflight.release_rules import CORNERS, HAIR, NODES, check_cuts
from sketchloom.core.preflight.whole_rules import RIGHTS, check_whole
from sketchloom.core.sheets.part import in_mm
from sketchloom.desk.rehearsal import Look
from sketchloom.evaluate.carving import is_carved
from sketchloom.evaluate.work import Work
from sketchloom.evaluate.work_plan import WorkPlan

_FLAT_MM, _ENDS_MM = 0.002, 1e-6
_DRAWINGS = (".svg", ".dxf")
_OF_CUTS = {HAIR.code, NODES.code, CORNERS.code}


def findings_of_work(work: Work) -> tuple[Finding, ...]:
    """What is found of a work by itself, beside its own findings, when it is to leave."""
    found: list[Finding] = []
    machine = work.recipe.machine
    for layer in work.layers:
        material = work.recipe.material_of(layer.plan.key)
        found += check_whole(layer, None if material is None else material.family)
        if layer.outline.pen_px is None:
            found += check_cuts(layer.plan, in_mm(layer.outline, work.mm_per_px),
                                0.0 if machine is None else machine.offset_mm, work.mm_per_px)
    if not work.recipe.may_use:
        found.append(RIGHTS.found())
    return tuple(found)


def checks_of(work: Work, plan: WorkPlan | None = None, of_files: tuple[Finding, ...] | None = None, off=(),
              of_work: tuple[Finding, ...] | None = None, of_carving: tuple[Finding, ...] | None = None
              ) -> tuple[Checked, ...]:
    """How each check stands.

    Parameters
    ----------
    of_files : what was found in files of this work, None where none was looked at. off : keys of checks that are not
        wanted. of_work : ``findings_of_work``, where it is known already. of_carving : what is found of it as it is
        carved (``files/carving.py``), None where that is not known.
    """
    return checks_of_all((work,), plan, of_files, off, (findings_of_work(work) if of_work is None else of_work,),
                         of_carving)


def checks_of_all(works: Sequence[Work], plan: WorkPlan | None, of_files: tuple[Finding, ...] | None, off=(),
                  of_works: Sequence[tuple[Finding, ...]] | None = None,
                  of_carving: tuple[Finding, ...] | None = None) -> tuple[Checked, ...]:
    """The same of several works on the sheets of one plan."""
    mine = [f for found in (map(findings_of_work, works) if of_works is None else of_works) for f in found]
    if plan is not None:  # a plan has looked at the cuts of its machine
        codes = {f.code for f in plan.findings} | _OF_CUTS
        mine = [f for f in mine if f.code not in codes]
    own = [f for work in works for f in work.findings]
    every = (*own, *mine, *(() if plan is None else plan.findings), *(of_files or ()), *(of_carving or ()))
    known = {name for name, one in ((PLAN, plan), (FILES, of_files), (CARVED, of_carving)) if one is not None}
    return checked(every, known, off, len(works) == 1 and is_carved(works[0]))


def findings_of_file(look: Look, drawing: Drawing, suffix: str, is_true_size: bool = True) -> tuple[Finding, ...]:
    """What speaks against a file that was read back, beside the ``drawing`` it was made of.

    Parameters
    ----------
    is_true_size : whether its lengths are millimetres for any reader; else places are not compared.
    """
    if look.told is None or look.moves is None:
        return ()
    boxes, wanted, names = np.empty((0, 4)), np.empty((0, 4)), [g.name for g in drawing.groups]
    if suffix in _DRAWINGS and is_true_size:
        boxes, wanted, names = _boxes(look, drawing, names)
    return tuple(check_file(look.name, look.told, _open_by_intent(drawing), boxes, wanted, names, look.inside))


def _open_by_intent(drawing):
    """Cuts of a drawing that do not close: lines of pens, marks, weeding lines."""
    count = 0
    for group in drawing.groups:
        for shape in group.shapes:
            if shape.look.is_cut:
                for s in (s for s in shape.strands if s.may_be_open):
                    first, last = s.controls[s.starts[:-1], 0], s.controls[s.starts[1:] - 1, 3]
                    count += int((np.hypot(*(first - last).T) * s.mm > _ENDS_MM).sum())
    return count


def _boxes(look, drawing, names):
    """Boxes of all layers in the file and in the drawing, mm, y up; of the whole where they are not told apart."""
    moves, high = look.moves, drawing.frame[3]
    left, top = drawing.frame[:2]
    def wanted_of(groups):
        xy = np.concatenate([part for g in groups for shape in g.shapes if shape.look.is_cut for s in shape.strands
                             for part in (flatten(s.controls_mm(), s.straight, _FLAT_MM)[0], s.controls_mm()[:, 3])])
        xy = xy - (left, top)
        return (xy[:, 0].min(), high - xy[:, 1].max(), xy[:, 0].max(), high - xy[:, 1].min())
    def found_of(keep):
        xy = np.concatenate([moves.begin[keep], moves.end[keep]])
        return (*xy.min(0), *xy.max(0))
    tools = np.unique(moves.tool[moves.down])
    groups = [g for g in drawing.groups if any(s.look.is_cut for s in g.shapes)]
    if len(tools) == len(groups):
        return ([found_of(moves.down & (moves.tool == t)) for t in tools], [wanted_of([g]) for g in groups],
                [g.name for g in groups])
    return [found_of(moves.down)], [wanted_of(groups)], [drawing.title]
