"""From finished works to what goes into the machine: layers divided, placed on carriers, routed, timed and priced."""

import itertools
from collections.abc import Iterator
from dataclasses import replace
from functools import partial

import numpy as np
import shapely

from sketchloom.core.base import ragged
from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab
from sketchloom.core.base.progress import breathe
from sketchloom.core.base.said import said
from sketchloom.core.curves.curveset import segment_areas
from sketchloom.core.curves.outline import Outline
from sketchloom.core.layers.designs import SAME_SHEET
from sketchloom.core.layers.frame import frame_mm, mark_rings
from sketchloom.core.layers.pieces import pieces_of
from sketchloom.core.layers.weeding import weeding_cuts
from sketchloom.core.sheets import aids, choices
from sketchloom.core.sheets.dividing.division import Divided, divided
from sketchloom.core.sheets.dividing.room import rooms_of
from sketchloom.core.sheets.laying_out import Spot, placings
from sketchloom.core.sheets.machine import PEN, Carrier, Machine, shipped
from sketchloom.core.sheets.part import Part, in_mm
from sketchloom.core.sheets.plan import Group, Ready, Sheet, Timed, timed
from sketchloom.core.sheets.prices import Prices
from sketchloom.core.sheets.rests import Rest
from sketchloom.core.sheets.tally import tally_of
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.plan_checks import findings_of_plan
from sketchloom.evaluate.test_cuts import with_test
from sketchloom.evaluate.work import Work
from sketchloom.evaluate.work_plan import WorkPlan

MOST_READY = 5000
"""Parts of one plan; more are no job for one day."""


def machine_of(work: Work) -> Machine:
    """What a work is planned for; where that was not said, the first of the machines that come with the program, or
    the pen for pen lines."""
    if work.recipe.machine is not None:
        return work.recipe.machine
    return next(m for m in shipped() if (m.kind == PEN) == work.draws_with_pens)


def carriers_of(recipe, machine: Machine) -> tuple[Carrier, ...]:
    """The carriers that may be used: all of the machine's, the one asked for, or one of the size asked for. None
    where a name is not known."""
    if recipe.carrier == choices.AUTO:
        return machine.carriers
    one = machine.carrier(recipe.carrier)
    size = None if one is not None else choices.own_carrier(recipe.carrier)
    if size is not None:
        one = Carrier(recipe.carrier, recipe.carrier, *size)
    return () if one is None else (one,)


def rooms(recipe, machine: Machine, family: str | None):
    """What the largest part of a layer of a family may be."""
    turns = turns_of(recipe, family)
    return rooms_of([(c.key, *c.usable_mm) for c in carriers_of(recipe, machine)], recipe.weeding_mm, 90.0 in turns)


def turns_of(recipe, family: str | None) -> tuple[float, ...]:
    """Degrees by which parts of a family may be turned."""
    how = recipe.turns
    if how == choices.AUTO:
        how = choices.HALF if family in choices.GRAINED else choices.QUARTER
    return choices.DEGREES[how]


def is_mirrored(recipe, family: str | None) -> bool:
    """Whether parts of a family are cut mirrored."""
    return recipe.mirroring == choices.ON or (recipe.mirroring == choices.AUTO and family in choices.HEAT_FAMILIES)


def plans_of(works, prices: Prices | None = None, cache: Cache | None = None) -> Iterator[WorkPlan]:
    """Ever better plans of works on shared sheets, the first at once; ends when none better is found.

    Parameters
    ----------
    works : the first says the machine, the carrier and what else is of all sheets. cache : holds areas and divisions.

    Raises
    ------
    Cancelled : the caller asked to stop.
    """
    works, cache = tuple(works), Cache() if cache is None else cache
    recipe = works[0].recipe
    machine, gap = machine_of(works[0]), recipe.parts_gap_mm
    prices = prices or Prices()
    found: dict[tuple[int, str, int], Divided] = {}
    # what has no area takes no room
    every = (one for number, work in enumerate(works) for one in _ready(cache, work, machine, number, found)
             if not one.area.is_empty)
    ready = list(itertools.islice(every, MOST_READY + 1))
    too_many = tuple(ready[MOST_READY:])
    groups = _groups(ready[:MOST_READY])
    by_hand = {s.part: Spot(s.sheet, s.turn, s.left, s.top) for s in recipe.spots}
    carriers = carriers_of(recipe, machine)
    whole = partial(_whole, works, machine, prices, groups, found=found, gap=gap, too_many=too_many)
    current: list[tuple[tuple[Sheet, ...], tuple[Ready, ...]]] = []
    runs = []
    rests = _shared_out(recipe, groups, carriers, gap, cache)
    for group, its in zip(groups, rests, strict=True):
        breathe()
        run = placings(group, carriers, gap, by_hand, its, keep=cache.keep)
        current.append(next(run))
        runs.append(run)
    known: dict[tuple, Timed] = {}
    yield whole(current, known=known)
    for number, run in enumerate(runs):
        for better in run:
            current[number] = better
            yield whole(current, known=known)
    yield whole(current, known={}, thorough=True)


def _whole(works, machine, prices, groups, current, *, found, gap, too_many, known, thorough=False):
    """The plan of all groups; ``known`` holds how sheets are cut that were there before."""
    sheets, left_over, times = [], list(too_many), []
    for group, (its, left) in zip(groups, current, strict=True):
        left_over += left
        tested = with_test(works, group, its, gap)
        sheets += tested
    for sheet in sheets:
        key = tuple((p.part.path, p.turn, p.dx, p.dy) for p in sheet.placed)
        if key not in known:
            breathe()
            known[key] = timed(sheet, machine, thorough, prices.rates.pace_of(machine.name))
        times.append(known[key])
    tally = tally_of(tuple(sheets), tuple(times), machine, prices)
    made = WorkPlan(machine, tuple(sheets), tuple(times), tuple(left_over), found, tally, ())
    return replace(made, findings=findings_of_plan(works, made, gap, MOST_READY if too_many else None))


def _groups(ready):
    """What shares sheets: of one material, and of colours that no eye tells apart; in the order of laying."""
    groups: list[tuple[str | None, np.ndarray, list[Ready]]] = []
    for one in ready:
        lab = srgb_to_lab(np.array(from_hex(one.part.hex)))
        at = next((g for g in groups if g[0] == one.part.material and float(ciede2000(lab, g[1])) <= SAME_SHEET), None)
        if at is None:
            groups.append((one.part.material, lab, [one]))
        else:
            at[2].append(one)
    return [Group(material, its[0].part.name, its[0].part.hex, tuple(its)) for material, _, its in groups]


def _shared_out(recipe, groups, carriers, gap, cache):
    """The rests of each group: there is one of each, so what a group's first plan uses is no other's. What somebody put
    by hand says nothing here, so that sheets keep their numbers."""
    made, taken = [], set()
    for group in groups:
        its = tuple(one for one in _offcuts(recipe, group) if one.carrier.key not in taken)
        if its:
            sheets, _ = next(placings(group, carriers, gap, {}, its, keep=cache.keep))
            used = {sheet.rest.carrier.key for sheet in sheets if sheet.rest is not None}
            its = tuple(one for one in its if one.carrier.key in used)
            taken |= used
        made.append(its)
    return made


def _offcuts(recipe, group):
    """Rests that a group may be cut from."""
    lab = srgb_to_lab(np.array(from_hex(group.hex)))
    return tuple(
        Rest(Carrier(f"offcut-{n}", str(said("Rest")), o.wide, o.high), o.rings, o.stock)
        for n, o in enumerate(recipe.offcuts)
        if (o.material is None or o.material == group.material)
        and (o.hex is None or float(ciede2000(lab, srgb_to_lab(np.array(from_hex(o.hex))))) <= SAME_SHEET))


def area_of_layer(cache, work, layer):
    """The area of a layer, mm."""
    key = ("sheet area", id(layer.outline), work.mm_per_px)
    return cache.keep(key, lambda: (layer.outline, Part("", "", "#000000", None,
                                                        in_mm(layer.outline, work.mm_per_px)).area))[1]


def _ready(cache, work, machine, number, found):
    """All parts of a work as they are placed, base first, copy by copy of each layer."""
    recipe = work.recipe
    upper: list = [shapely.MultiPolygon()] * len(work.layers)
    for n in range(len(work.layers) - 2, -1, -1):
        above = work.layers[n + 1]
        if above.outline.pen_px is None:
            upper[n] = _together(cache, work, n, upper[n + 1], above)
        else:
            upper[n] = upper[n + 1]
    for n, layer in enumerate(work.layers):
        breathe()
        material = recipe.material_of(layer.plan.key)
        family = None if material is None else material.family
        outline = in_mm(layer.outline, work.mm_per_px)
        whole = Part(layer.plan.key, layer.plan.name, layer.plan.hex, None if material is None else material.key,
                     outline, work=number)
        its = [whole]
        if _is_apart(recipe, layer, family):
            its = [replace(whole, outline=piece, piece=k) for k, piece in enumerate(pieces_of(outline), 1)]
        parts: list[Part] = []
        for one in its:
            made = _divided(cache, work, machine, layer, one, upper[n], family)
            if len(made.parts) > 1:
                found[number, layer.plan.key, one.piece] = made
            parts += made.parts
        for copy in range(1, recipe.copies + 1):
            for part in parts:
                yield _made_ready(work, replace(part, copy=copy) if copy > 1 else part, family)


def _together(cache, work, n, upper, above):
    area = area_of_layer(cache, work, above)
    key = ("sheet above", tuple(id(layer.outline) for layer in work.layers[n + 1:]), work.mm_per_px)
    held = tuple(layer.outline for layer in work.layers[n + 1:])
    return cache.keep(key, lambda: (held, shapely.union_all([upper, area])))[1]


def _is_apart(recipe, layer, family):
    """Whether the pieces of a layer are laid each for itself."""
    if layer.outline.pen_px is not None or layer.outline.pieces < 2 or recipe.marks:
        return False
    if recipe.pieces == choices.AUTO:
        return recipe.edit_of(layer.plan.key).apart or family in choices.LAID_ALONE
    return recipe.pieces == choices.APART


def _divided(cache, work, machine, layer, part, above, family):
    recipe = work.recipe
    its = rooms(recipe, machine, family)
    seams = sorted((s for s in recipe.seams if s.key == layer.plan.key and s.piece == part.piece),
                   key=lambda s: s.number)
    fixed = tuple(np.array(work.as_shown(s.points)) * work.size_mm for s in seams)
    key = ("divided", id(layer.outline), part.piece, tuple(id(one.outline) for one in work.layers), work.mm_per_px,
           tuple(its), recipe.divide, recipe.joint, recipe.joint_mm, recipe.matching, tuple(s.points for s in seams),
           part.work, part.material, part.name, part.hex)
    held = tuple(one.outline for one in work.layers)
    return cache.keep(key, lambda: (held, divided(part, above, its, recipe.divide, recipe.joint, recipe.joint_mm,
                                                  fixed, recipe.matching)))[1]


def _made_ready(work, part, family):
    """A part with what is cut beside it."""
    recipe = work.recipe
    frame, helpers = None, list(part.matches)
    outline = part.outline
    if recipe.marks and part.count == 1 and not part.piece and outline.pen_px is None:
        rings = mark_rings(frame_mm(work.layers, *work.size_mm, work.mm_per_px, True, recipe.weeding_mm))
        part = replace(part, outline=_with_rings(outline, rings))
    if recipe.weeding_mm > 0 and outline.pen_px is None:
        frame, *through = weeding_cuts(part.outline, 1.0, recipe.weeding_mm, recipe.weeding_every_mm) or [None]
        helpers += through
        if frame is not None and recipe.tab:
            helpers.append(aids.tab_of(frame))
    return Ready(part, turns_of(recipe, family), is_mirrored(recipe, family), frame, tuple(helpers))


def _with_rings(outline, rings):
    """An outline with more rings, each a piece of its own."""
    starts = np.concatenate([outline.starts, outline.starts[-1] + np.cumsum([len(r) for r in rings])])
    controls = np.concatenate([outline.controls, *rings])
    straight = np.concatenate([outline.straight, np.zeros(sum(len(r) for r in rings), bool)])
    area = ragged.reduce_pieces(np.add, segment_areas(controls), starts)
    return Outline(controls, straight, starts, area, np.concatenate([outline.hole, np.zeros(len(rings), bool)]))
