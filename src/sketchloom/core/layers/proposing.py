"""Which way of layering a practitioner would build, from the boundaries between colours and from what is cut."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base.said import said
from sketchloom.core.layers.ways import BASED, LEAN, STACKED, UNDER

OVERLAP_MM = 0.3
"""How far proposed sheets reach under their neighbours (trade, no source: a hair, less than the finest rim)."""
_CARRIES, _AROUND = 0.72, 0.7
"""A base has a part in so much of all boundaries and of the outer edge. Chosen on the pictures of `bench/proposals`
that are not set aside: outlines and plates have 0.8 and more, the commonest fill of art without either 0.65 at most."""
_DARK, _DARK_CARRIES, _DARK_AROUND = 28.0, 0.55, 0.4
"""The same for the darkest colour where it is about as dark as ink (CIELAB): outlines with breaks, and pictures cut off
at a side (chosen on clip art by others: 0.58 and more of outlined drawings)."""
_THICK_MM = 1.0
"""Sheets as thick as this are fitted beside each other on a base or laid whole; a hair of overlap would tilt them."""


@dataclass(frozen=True, slots=True)
class Laying:
    """A way of layering as it is carried out: ``way``, the ``base`` as a colour's number or None, how far sheets reach
    under what covers them, and ``why`` where it was proposed. ``better``: the way that would be proposed now, where
    that is another one."""

    way: str
    overlap_mm: float
    base: int | None = None
    why: str = ""
    better: str | None = None

    def reach_mm(self, way: str | None = None) -> float:
        """Overlap of a sheet that has a way of its own, or this one."""
        return self.overlap_mm if (way or self.way) in UNDER else 0.0


def base_of(boundary, light, able, full: bool, must: bool = False) -> int | None:
    """The colour that borders nearly all others and runs around the whole, as dark outlines and plates do.

    Parameters
    ----------
    boundary : (n + 1, n + 1) lengths between colours, the last row what is not cut. light : (n,) lightness of each,
    CIELAB. able : colours that may lie lowest. full : there is no ground, so that what lies around is the picture's
    own edge. must : one is wanted in any case.
    """
    boundary, light = np.asarray(boundary, float), np.asarray(light, float)
    count = len(boundary) - 1
    if count < 2 or not boundary.any():
        return None
    if full:
        boundary = boundary[:-1, :-1]
    part = boundary[:count].sum(1) / max(boundary.sum() / 2, 1e-9)
    around = np.ones(count) if full else boundary[-1, :-1] / max(boundary[-1, :-1].sum(), 1e-9)
    ink = (light <= _DARK) & (light == light.min())
    fit = (part >= np.where(ink, _DARK_CARRIES, _CARRIES)) & (around >= np.where(ink, _DARK_AROUND, _AROUND))
    fit = (fit | must) & np.isin(np.arange(count), able)
    return int(np.argmax(np.where(fit, part, -1.0))) if fit.any() else None


def proposed_laying(boundary, light, able, full: bool, *, shaded: bool, thick_mm: float | None, paper: bool,
                    overlap_mm: float | None) -> Laying:
    """The way that is proposed.

    Parameters
    ----------
    boundary, light, able, full : as of ``base_of``. shaded : the colours are tones of one shading.
    thick_mm : the thickest material, None when none is chosen. paper : all that is cut is paper or card.
    overlap_mm : what the user wants, None for ours.
    """
    hair = OVERLAP_MM if overlap_mm is None else overlap_mm
    base = base_of(boundary, light, able, full)
    if len(boundary) <= 2:
        return Laying(STACKED, 0.0, None, said("there is one sheet"))
    if shaded:
        return Laying(STACKED, 0.0, None, said("tones of one shading are laid whole on each other"))
    if base is not None and thick_mm is not None and thick_mm >= _THICK_MM:
        return Laying(BASED, 0.0, base, said("one colour carries all others, and thick sheets lie beside each other"))
    if base is not None:
        return Laying(BASED, hair, base, said("one colour borders nearly all others: it is the base, cut once around, "
                                              "and the others lie on it"))
    if paper or (thick_mm is not None and thick_mm >= _THICK_MM):
        return Laying(STACKED, 0.0, None, said("no colour carries the others, and whole sheets forgive most"))
    return Laying(LEAN, hair, None, said("no colour carries the others, so that what is covered is chosen for the "
                                         "least cutting"))


def kept_laying(proposed: Laying, before: str | None, overlap_mm: float | None) -> Laying:
    """The way that was proposed ``before``, where there was one, else the one proposed now."""
    if before is None or before == proposed.way:
        return proposed
    hair = OVERLAP_MM if overlap_mm is None else overlap_mm
    return Laying(before, hair if before in UNDER else 0.0, None, said("as it was proposed at first"), proposed.way)
