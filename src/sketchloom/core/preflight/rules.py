"""Rules over regions and finished layers."""

import numpy as np

from sketchloom.core.base.said import said
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.layers.pieces import extents_of
from sketchloom.core.layers.tips import sharp_points
from sketchloom.core.layers.width import apart
from sketchloom.core.preflight.findings import LAYERS, NOTE, RELEASE, STOP, TRACE, WARN, counted, rule
from sketchloom.core.sheets.material import BLADE

CARRIER_MM = 11.5 * MM_PER_IN
"""A 12 in carrier cuts about 11.5 in across (trade)."""
LONG_CARRIER_MM = 23.5 * MM_PER_IN
"""A 12 x 24 in carrier, with the same half inch kept free (trade)."""
_PLACES = 5
"""So many places of a kind are told one by one (as many as a person goes through; more are counted)."""
SHORT_MM = 1.0
"""A pen stroke that is shorter leaves a dot (common practice, no source)."""
SHARP_DEG = 20.0
"""Points that open by less lift in weeding (common practice, no source)."""
_LEAST_TIP_MM = 0.4
"""Points are looked at as far from their tip as the smallest width, at least this far: a blade's tip is about as wide.
"""

SMALL_DETAILS = rule(
    "trace.small_details",
    NOTE,
    TRACE,
    said("regions under the smallest detail were given to a neighbour"),
    {
        "one": said("1 region under {smallest:g} mm went to a neighbour. Lower the smallest detail to keep more."),
        "many": said(
            "{count} regions under {smallest:g} mm went to a neighbour. Lower the smallest detail to keep more."
        ),
    },
    said("Bring them back"),
)
COLOUR_UNUSED = rule(
    "trace.colour_unused", NOTE, TRACE, said("a palette colour has no region left"),
    said("The colour {hex} has no region left; all of its areas are under the smallest detail."), said("Take it out"))
EMPTY = rule(
    "layer.empty",
    STOP,
    LAYERS,
    said("nothing is left to cut"),
    said("Nothing is left to cut. Put a layer back in, keep the ground, or choose more colours."),
    said("Bring layers back"),
)
ORDER_ESTIMATED = rule(
    "layer.order_estimated", NOTE, LAYERS, said("the order is good but not proven best"),
    said("More than 16 colours: the proposed order is good, but not proven to cut least."))
THIN = rule(
    "layer.thin", WARN, LAYERS, said("a shape is narrower than the smallest width"),
    {"": said("Only {width:.2f} mm wide here, under {limit:g} mm; it may tear in cutting or weeding."),
     "hard": said("Only {width:.2f} mm wide here, under {limit:g} mm; it may break in cutting or handling.")},
    said("Thicken here"))
POINT = rule(
    "layer.point",
    NOTE,
    LAYERS,
    said("a sharp point may lift or tear"),
    {
        "one": said("A point is sharper than {limit:g} degrees (the sharpest {sharpest:.0f}); they may lift or tear."),
        "many": said(
            "{count} points are sharper than {limit:g} degrees (the sharpest {sharpest:.0f}); they may lift or tear."
        ),
    },
)
SMALL_PIECES = rule(
    "layer.small_pieces",
    WARN,
    LAYERS,
    said("pieces too small to weed or to stick"),
    {
        "one": said("1 piece is smaller than a dot of {limit:g} mm: too small to weed or to stick."),
        "many": said("{count} pieces are smaller than a dot of {limit:g} mm: too small to weed or to stick."),
        "hard": said("Pieces smaller than a dot of {limit:g} mm: {count}, too small to hold while cut."),
    },
    said("Drop them"),
)
SHORT_STROKES = rule(
    "layer.short_strokes", NOTE, LAYERS, said("pen strokes that are dots rather than lines"),
    {"one": said("1 pen stroke is shorter than {limit:g} mm: a dot rather than a line. Solid shapes are read by tone."),
     "many": said("{count} pen strokes are shorter than {limit:g} mm: dots rather than lines. Solid shapes are read by "
                  "tone.")},
    said("Read it by tone"))
OVER_CARRIER = rule(
    "size.over_carrier",
    WARN,
    RELEASE,
    said("a layer does not fit the carrier"),
    {
        "long": said(
            "{width:.0f} × {height:.0f} mm is over a 12 in carrier (cuts {carrier:.0f} mm); it fits a 12 × 24 in one, "
            "or the short one at {share:.0%} of its size."
        ),
        "none": said(
            "{width:.0f} × {height:.0f} mm does not fit a 12 in carrier, which cuts {carrier:.0f} × {long:.0f} mm at "
            "most. At {share:.0%} of its size it does."
        ),
    },
    said("Make it fit"),
)


SPREAD = rule(
    "size.spread", NOTE, RELEASE, said("the pieces of a layer lie farther apart than a carrier cuts"),
    said("Its pieces lie spread over {width:.0f} × {height:.0f} mm, and a 12 in carrier cuts {carrier:.0f} mm; each of "
         "them fits. Lay them nearer to each other, or write a file for each design."))


def check_layers(layers, dropped, entries, faces_of_label, smallest_mm, thin_mm, mm_per_px, exact_order, tool=BLADE,
                 is_planned=False):
    """Findings of a design: small details, thin places, oversize layers.

    Parameters
    ----------
    layers : finished layers. ``dropped`` (K, 3) as of ``merge_small``. ``entries`` the
        palette, ``faces_of_label`` how many faces each entry has. tool : what cuts. is_planned : whether it is known
        which machine cuts.
    """
    found = []
    if len(dropped):
        found.append(
            SMALL_DETAILS.found(
                counted(len(dropped)), at=dropped[dropped[:, 2].argmax()], count=len(dropped), smallest=smallest_mm
            )
        )
    found += [COLOUR_UNUSED.found(hex=entry.hex) for number, entry in enumerate(entries) if faces_of_label[number] == 0]
    if not layers:
        found.append(EMPTY.found())
    if not exact_order:
        found.append(ORDER_ESTIMATED.found())
    # weeding and carriers are for blades
    checks: tuple = (_thin, _points, _small_pieces) if tool == BLADE else (_thin_of_hard, _small_of_hard)
    if tool == BLADE and not is_planned:  # a plan knows its carriers
        checks += (_oversize,)
    for layer in layers:
        for check in (*checks, _short_strokes):
            found += check(layer, thin_mm, mm_per_px)
    return tuple(found)


def stretch_mm(thin_mm: float) -> float:
    """Narrow places nearer to each other than this are one stretch."""
    return max(4.0, 3 * thin_mm)


def thin_found(plan, at, width_mm: float, limit_mm: float, tool: str = BLADE):
    """The finding of one narrow place."""
    return THIN.found("" if tool == BLADE else "hard", plan=plan, at=at, width=width_mm, limit=limit_mm)


def _thin(layer, thin_mm, mm_per_px, tool=BLADE):
    """The narrowest place of each stretch under the limit, worst first."""
    widths = layer.widths
    for worst in apart(widths, thin_mm / mm_per_px, stretch_mm(thin_mm) / mm_per_px, _PLACES):
        yield thin_found(layer.plan, widths.xy[worst], float(widths.width[worst]) * mm_per_px, thin_mm, tool)


def _thin_of_hard(layer, thin_mm, mm_per_px):
    return _thin(layer, thin_mm, mm_per_px, "")


def _small_of_hard(layer, thin_mm, mm_per_px):
    return _small_pieces(layer, thin_mm, mm_per_px, "hard")


def _points(layer, thin_mm, mm_per_px):
    """Points sharper than SHARP_DEG, the sharpest first."""
    if layer.outline.pen_px is not None or thin_mm <= 0:
        return
    points = sharp_points(layer.outline, max(thin_mm, _LEAST_TIP_MM) / mm_per_px, np.radians(SHARP_DEG))
    if len(points):
        x, y, opening = points[0].tolist()
        yield POINT.found(counted(len(points)), plan=layer.plan, at=(x, y), count=len(points), limit=SHARP_DEG,
                          sharpest=float(np.degrees(opening)))


def _small_pieces(layer, thin_mm, mm_per_px, case=""):
    """Pieces that a disc as wide as the smallest width would cover."""
    outline = layer.outline
    if outline.pen_px is not None:
        return
    small = np.flatnonzero(~outline.hole & (outline.area_px * mm_per_px**2 < np.pi / 4 * thin_mm**2))
    if len(small):
        at = outline.controls[outline.starts[small[outline.area_px[small].argmin()]], 0]
        yield SMALL_PIECES.found(case or counted(len(small)), plan=layer.plan, at=at, count=len(small), limit=thin_mm)


def _short_strokes(layer, _, mm_per_px):
    outline = layer.outline
    if outline.pen_px is None or not len(outline.controls):
        return
    steps = np.linalg.norm(outline.controls[:, 3] - outline.controls[:, 0], axis=1)
    short = np.flatnonzero(np.add.reduceat(steps, outline.starts[:-1]) * mm_per_px < SHORT_MM)
    if len(short):
        yield SHORT_STROKES.found(counted(len(short)), plan=layer.plan, count=len(short), limit=SHORT_MM,
                                  at=outline.controls[outline.starts[short[0]], 0])


def _oversize(layer, _, mm_per_px):
    """The largest piece that no carrier takes; pieces that fit are laid on it one by one."""
    low, high = extents_of(layer.outline)
    if not len(low) or (high.max(0) - low.min(0)).max() * mm_per_px <= CARRIER_MM:
        return
    size = (high - low) * mm_per_px
    worst = int(size.max(1).argmax())
    if size[worst].max() <= CARRIER_MM:
        width, height = ((high.max(0) - low.min(0)) * mm_per_px).tolist()
        yield SPREAD.found(plan=layer.plan, at=high.max(0), width=width, height=height, carrier=CARRIER_MM)
        return
    fits = (size.min(1) <= CARRIER_MM) & (size.max(1) <= LONG_CARRIER_MM)
    if not fits.all():
        worst = int(np.where(fits, 0.0, size.max(1)).argmax())
    width, height = size[worst].tolist()
    yield OVER_CARRIER.found(
        "long" if fits.all() else "none",
        plan=layer.plan,
        at=high[worst],
        severity=NOTE if fits.all() else None,
        width=width,
        height=height,
        carrier=CARRIER_MM,
        long=LONG_CARRIER_MM,
        share=np.floor(100 * _share_that_fits(size, not fits.all())) / 100,
    )


_THIN_MM = 1e-6
"""Pieces may be no thicker than a line."""


def _share_that_fits(size, is_long):
    """By what pieces (K, 2) mm must be made smaller so that each fits the short carrier, or the long one, turned as it
    fits best."""
    size = np.maximum(size, _THIN_MM)
    return float(np.minimum(CARRIER_MM / size.min(1), (LONG_CARRIER_MM if is_long else CARRIER_MM) / size.max(1)).min())
