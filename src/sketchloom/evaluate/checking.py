"""Findings of a finished work."""

import numpy as np

from sketchloom.core.base.colour import colour_name, from_hex, srgb_to_lab, to_hex
from sketchloom.core.base.words import word
from sketchloom.core.edits.region_edits import inner_place
from sketchloom.core.layers.bands import bands_of
from sketchloom.core.layers.layering import colour_boundaries, enclosed_ground
from sketchloom.core.layers.width import space_widths
from sketchloom.core.picture.preparing.placing import moved
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.preflight import drawn_rules, rules
from sketchloom.core.preflight.findings import Finding
from sketchloom.core.preflight.laying_rules import check_ground, check_openings, check_shining
from sketchloom.core.preflight.material_rules import check_materials
from sketchloom.core.preflight.proposal_rules import check_bands, check_enclosed, check_proposals
from sketchloom.core.preflight.proposal_rules import check_ground as check_own_ground
from sketchloom.core.preflight.source_rules import SHADED_SHARE, check_source
from sketchloom.core.preflight.unlike_rules import check_unlike
from sketchloom.evaluate.openings import openings
from sketchloom.evaluate.sheet_order import PIECE_MM, hex_below
from sketchloom.evaluate.work import Work, solid_faces, stack_height_mm

_BAND_SHARE, _BAND_PX, _STEEP = 0.02, 6.0, 6
"""A soft edge is no wider than this share of the picture's side, or so many px, and three quarters of it change by more
than the last of 255 within 3 x 3 pixels (chosen on stickers with a blurred ring; drawn rims have a calm middle)."""

_WORTH_MM = PIECE_MM / 2
"""Openings are told when pieces in their place save as much as half a laying; below that nobody would bother."""


def findings_of(cache, work: Work):
    """What may go wrong with a work, all stages of it."""
    recipe, judged = work.recipe, work.measured or work.rough
    size = (work.picture.width, work.picture.height)
    found: tuple[Finding, ...] = ()
    if judged:
        used = np.bincount(work.edited.label, minlength=len(work.segmentation.entries))
        found += check_source(work.fitness, work.faults, work.whole, work.came_mm_per_px, work.reading)
        if work.faults.page is not None:
            return found  # a page on a table: its layers are those of the table, and are judged once it is flattened
        found += rules.check_layers(work.layers, work.segmentation.dropped, work.segmentation.own_entries, used,
                                    recipe.smallest_mm, recipe.thin_mm, work.mm_per_px, work.proposed_order.exact,
                                    recipe.tool, recipe.machine is not None)
    if len(work.edited.found):
        found += drawn_rules.check_edits(
            recipe.edits, work.edited.found, moved(work.move, [(e.x, e.y) for e in recipe.edits]) * size
        )
    found += _drawn(work, size)
    found += tuple(drawn_rules.check_beyond(
        ((s.name, np.concatenate([moved(work.move, ring) for ring in s.rings]) * size)
         for s in recipe.shapes if s.on), size, work.mm_per_px))
    if judged:
        if work.unlike is not None and work.fitness.shaded_share < SHADED_SHARE:
            found += tuple(check_unlike(work.unlike, to_hex, work.picture.width / work.whole.width,
                                        recipe.palette is not None or recipe.colours is not None))
        found += tuple(_of_proposals(work))
        found += tuple(check_openings(openings(work), _place_of(work), work.mm_per_px, _WORTH_MM))
    if recipe.laid_on is not None and judged:
        found += check_ground(work.layers, recipe.laid_on)
        found += tuple(check_shining(
            work.layers, recipe.laid_on, [recipe.material_of(layer.plan.key) for layer in work.layers], _bare(work)))
    if recipe.materials or recipe.frame_depth_mm is not None:
        found += _of_materials(cache, work)
    return found


def _of_proposals(work):
    """Findings of choices that stay as they were proposed at first."""
    recipe, every = work.recipe, work.segmentation.cut_offs
    number, area = work.segmentation.ground_label, work.traced.planar.face_area_px
    if work.reading == "colour" and recipe.ground == "auto" and work.picture.alpha is None and work.ground.any():
        entry = work.segmentation.entries[number]
        yield from check_own_ground(entry.hex, word(colour_name(from_hex(entry.hex)), recipe.names_in),
                                    float(area[work.ground].sum() / area.sum()))
    yield from _enclosed(work)
    if work.reading == "colour":
        yield from check_bands(_bands(work), work.plans, work.mm_per_px)
    own_colours = recipe.colours is None and recipe.palette is None and work.reading == "colour"
    yield from check_proposals(
        recipe.settled, work.reading_now if recipe.reading == "auto" else None,
        work.tree.proposed if own_colours and work.tree is not None else None,
        every.proposed(recipe.dark_is_ink) if recipe.cut_off is None and every is not None else None,
        work.laying.way, work.laying.better)


def _enclosed(work):
    """Findings on the ground's colour within the drawing, where nothing is said about it."""
    number, planar = work.segmentation.ground_label, work.traced.planar
    if work.reading != "colour" or work.recipe.ground != "auto" or work.picture.alpha is not None or number is None:
        return
    plan = next((p for p in work.plans if number in p.labels and not p.left_out), None)
    faces = np.flatnonzero(enclosed_ground(planar, number, work.ground))
    if plan is not None and len(faces):
        largest = faces[planar.face_area_px[faces].argmax()]
        yield from check_enclosed(plan, len(faces), _place_of(work)(largest))


def _place_of(work):
    """Gives the place of a face that lies well inside it, px."""
    planar = work.traced.planar
    return lambda face: inner_place(planar, face, RegionIndex(planar).box(face))


def _bands(work):
    """Colours that are only a soft edge, by their plan, where they have no calm middle as the colour beside has."""
    planar, plans, depth = work.traced.planar, work.plans, work.depth
    boundary = colour_boundaries(planar, work.traced.arc_length_px, depth, len(plans))
    area = np.bincount(depth[depth >= 0], planar.face_area_px[depth >= 0], len(plans))
    below = hex_below(work.recipe, work.segmentation.entries, work.segmentation.ground_label)
    lab = srgb_to_lab(np.array([from_hex(h) for h in (*(plan.hex for plan in plans), below)]))
    most_px = max(_BAND_SHARE * max(work.picture.width, work.picture.height), _BAND_PX)
    for band in bands_of(boundary, area, lab, most_px):
        calm, steep = (np.percentile(work.picture.local_range[(depth == level)[planar.faces]], share)
                       for level, share in ((band[1], 50), (band[0], 25)))
        if steep > max(2 * calm, _STEEP):
            yield band


def _bare(work):
    """For each sheet whether some of it lies on no other sheet."""
    faces = solid_faces(work.recipe, work.traced, work.depth, work.plans, work.layers, work.laying.way)
    covered, bare = np.zeros(work.traced.planar.face_count, bool), []
    for solid in faces:
        bare.append(bool((solid & ~covered).any()))
        covered |= solid
    return bare


def _drawn(work, size):
    """Findings of split lines and courses that do nothing."""
    cut = work.segmentation.cut_in
    if not work.recipe.curves and cut is None:
        return ()
    splits = () if cut is None else tuple(s for s in work.recipe.splits if s.on)
    middles = [part[len(part) // 2] for part in (*(c.stretch for c in work.recipe.curves), *(s.points for s in splits))]
    return drawn_rules.check_drawn(work.traced.curves_found, np.ones(0, bool) if cut is None else cut.splits_done,
                             moved(work.move, middles) * size)


def _of_materials(cache, work):
    recipe = work.recipe
    materials = [recipe.material_of(layer.plan.key) for layer in work.layers]
    faces = solid_faces(recipe, work.traced, work.depth, work.plans, work.layers, work.laying.way)
    below = [{materials[j].family for j in range(k) if materials[j] is not None and (faces[j] & faces[k]).any()}
             for k in range(len(faces))]
    height = stack_height_mm(recipe, work.traced, work.depth, work.plans, work.layers, work.laying.way)
    spaces = [_narrowest_space(cache, work, layer, m) for layer, m in zip(work.layers, materials, strict=True)]
    return check_materials(work.layers, materials, below, recipe.tool, recipe.frame_depth_mm, height,
                           {e.key for e in recipe.layers if e.apart}, spaces)


def _narrowest_space(cache, work, layer, material):
    """The narrowest space between the cuts of a sheet, mm, where that is near what its material bears."""
    if (
        material is None
        or not work.measured
        or material.gap_mm <= 0
        or layer.outline.pen_px is not None
        or not len(layer.outline.controls)
    ):
        return None
    limit = 1.5 * material.gap_mm / work.mm_per_px
    widths = cache.keep(
        ("spaces", id(layer.outline), limit), lambda: (layer.outline, space_widths(layer.outline, limit))
    )[1]
    found = widths.narrowest()
    return None if found is None else found * work.mm_per_px
