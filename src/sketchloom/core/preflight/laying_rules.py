"""Rules over how sheets are laid: on what, and through what they are seen."""

import numpy as np

from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab
from sketchloom.core.base.said import said
from sketchloom.core.layers.added import BACKING, UNDERLAY, rim_kind
from sketchloom.core.layers.rims import SHINES_THROUGH as SHINES_BY
from sketchloom.core.preflight.findings import LAYERS, NOTE, counted, rule

LIKE_GROUND = 10.0
"""A layer nearer than this (CIEDE2000) to what it is laid on could be left out (common practice, no source)."""

ON_GROUND = rule(
    "layer.like_ground", NOTE, LAYERS, said("a layer has the colour of what it is laid on"),
    said("{name} has the colour of what it is laid on. Left out, the ground shows in its place, and {cut:.0f} mm of "
         "cutting and a sheet are saved; what lies under it shows too, so look at it."), said("Leave it out"))
SHINES_THROUGH = rule(
    "layer.shines_through", NOTE, LAYERS, said("what the work is laid on may shine through lighter sheets"),
    {"one": said("What it is laid on may shine through {name}, which is lighter. If its film is thin, lay a "
                 "white sheet under it."),
     "many": said("What it is laid on may shine through {count} lighter sheets, {name} first. If their film is "
                  "thin, lay a white sheet under them.")},
    said("Lay white under"))
OPENINGS = rule(
    "layer.openings", NOTE, LAYERS, said("openings through several sheets cost more than pieces laid on top"),
    {"one": said("1 opening goes through {sheets} of the sheets: as a piece laid on top it costs {saved:.0f} mm of "
                 "cutting less, laying it counted."),
     "many": said("{count} openings go through the sheets, the deepest through {sheets} of them: as pieces laid on top "
                  "they cost {saved:.0f} mm of cutting less, laying them counted.")},
    said("Lay them on top"))


def check_ground(layers, laid_on: str):
    """Findings of layers that have (nearly) the colour ``laid_on`` of what is below everything: they could be left
    out."""
    ground, found = srgb_to_lab(from_hex(laid_on)), []
    for layer in layers:
        away = float(ciede2000(ground[None], srgb_to_lab(np.array([from_hex(layer.plan.hex)])))[0])
        if away < LIKE_GROUND and len(layer.outline.controls) and layer.plan.labels:
            found.append(
                ON_GROUND.found(
                    plan=layer.plan, at=layer.outline.controls[0, 0], name=layer.plan.name, cut=layer.cut_length_mm
                )
            )
    return tuple(found)


def check_shining(layers, laid_on: str, material_of, lies_on_it):
    """A finding where what is below everything is much darker than films right on it.

    ``material_of`` : for each layer its Material or None; ``lies_on_it`` : whether some of it has no sheet below.
    """
    ground = srgb_to_lab(from_hex(laid_on))[0]
    if any(rim_kind(layer.plan.key) in (BACKING, UNDERLAY) for layer in layers):
        return
    light = [layer.plan for layer, material, bare in zip(layers, material_of, lies_on_it, strict=True)
             if bare and layer.plan.labels and (material is None or "film" in material.family)
             and srgb_to_lab(from_hex(layer.plan.hex))[0] - ground > SHINES_BY]
    if light:
        yield SHINES_THROUGH.found(counted(len(light)), plan=light[0], name=light[0].name, count=len(light))


def check_openings(openings, at, mm_per_px: float, least_mm: float):
    """A finding where openings, as of ``openings_of``, cost more than pieces, by at least so much in all; ``at(face)``
    their places, px."""
    dear = [one for one in openings if one.saved_px > 0]
    if sum(one.saved_px for one in dear) * mm_per_px >= least_mm:
        yield OPENINGS.found(counted(len(dear)), at=at(dear[0].face), count=len(dear),
                             sheets=max(one.sheets for one in dear),
                             saved=sum(one.saved_px for one in dear) * mm_per_px)
