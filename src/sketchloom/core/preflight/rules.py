"""Rules over finished layers that yield findings."""

import numpy as np

from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.layers.tips import sharp_points
from sketchloom.core.layers.width import apart
from sketchloom.core.preflight.findings import NOTE, STOP, WARN, Finding

CARRIER_MM = 11.5 * MM_PER_IN
"""A 12 in carrier cuts about 11.5 in across (trade)."""
LONG_CARRIER_MM = 23.5 * MM_PER_IN
"""A 12 x 24 in carrier, with the same half inch kept free (trade)."""
_PLACES = 5
LIKE_GROUND = 10.0
SHARP_DEG = 20.0
"""Points that open by less lift in weeding (common practice, no source)."""
_EDITS = {"drop": "A dropped region", "window": "An opened window", "colour": "A given colour", "keep": "A kept region", "below": "A window"}


def check_layers(layers, dropped, entries, faces_of_label, smallest_mm, thin_mm, mm_per_px, exact_order):
    """Findings of a design: small details, thin places, oversize layers.

    Parameters
    ----------
    layers : finished layers. ``dropped`` (K, 3) as of ``merge_small``. ``entries`` the
        palette, ``faces_of_label`` how many faces each entry has.
    """
    found = []
    if len(dropped):
        largest = dropped[dropped[:, 2].argmax()]
        found.append(Finding(
            "trace.small_details", NOTE,
            f"{len(dropped)} {'region' if len(dropped) == 1 else 'regions'} under {smallest_mm:g} mm went to a "
            "neighbour. Lower the smallest detail to keep more.",
            x_px=float(largest[0]), y_px=float(largest[1])))
    for number, entry in enumerate(entries):
        if faces_of_label[number] == 0:
            found.append(Finding("trace.colour_unused", NOTE, f"The colour {entry.hex} has no region left; "
                                 "all of its areas are under the smallest detail."))
    if not layers:
        found.append(Finding("layer.empty", STOP, "Nothing is left to cut. Put a layer back in, keep the "
                             "ground, or choose more colours."))
    if not exact_order:
        found.append(Finding("layer.order_estimated", NOTE, "More than 16 colours: the proposed order is "
                             "good, but not proven to cut least."))
    for layer in layers:
        found += _thin(layer, thin_mm, mm_per_px)
        found += _points(layer, thin_mm, mm_per_px)
        found += _small_pieces(layer, thin_mm, mm_per_px)
        found += _oversize(layer, mm_per_px)
    return tuple(found)


def check_edits(edits, found, places):
    """Findings of edits whose regions are gone: ``found`` (E,) their faces or -1, ``places`` (E, 2) px."""
    lost = [n for n, face in enumerate(found.tolist()) if face < 0 and edits[n].on]
    return tuple(Finding(
        "clean.edit_lost", WARN, f"{_EDITS[edits[n].action]} does nothing now: no region like the one it was made for is here. "
        "Switch it off, take it out, or make it anew.", x_px=float(places[n, 0]), y_px=float(places[n, 1]))
        for n in lost[:_PLACES]) + ((Finding(
            "clean.edit_lost", WARN, f"{len(lost) - _PLACES} more edits do nothing now."),) if len(lost) > _PLACES else ())


def _thin(layer, thin_mm, mm_per_px):
    """The narrowest place of each stretch under the limit, worst first."""
    widths, found = layer.widths, []
    for worst in apart(widths, thin_mm / mm_per_px, stretch_mm(thin_mm) / mm_per_px, _PLACES):
        x, y = widths.xy[worst]
        found.append(Finding(
            "layer.thin", WARN, f"Only {widths.width[worst] * mm_per_px:.2f} mm wide here, under "
            f"{thin_mm:g} mm; it may tear in cutting or weeding.", layer.plan.name, float(x), float(y)))
    return found


def _points(layer, thin_mm, mm_per_px):
    """Points sharper than SHARP_DEG, the sharpest first."""
    if layer.outline.pen_px is not None or thin_mm <= 0:
        return []
    points = sharp_points(layer.outline, max(thin_mm, 0.4) / mm_per_px, np.radians(SHARP_DEG))
    if not len(points):
        return []
    x, y, opening = points[0].tolist()
    many = "A point is" if len(points) == 1 else f"{len(points)} points are"
    return [Finding("layer.point", NOTE, f"{many} sharper than {SHARP_DEG:g} degrees (the sharpest {np.degrees(opening):.0f}); "
                    "they may lift or tear.", layer.plan.name, x, y)]


def _small_pieces(layer, thin_mm, mm_per_px):
    """Pieces that a disc as wide as the smallest width would cover."""
    outline = layer.outline
    if outline.pen_px is not None:
        return []
    small = np.flatnonzero(~outline.hole & (outline.area_px * mm_per_px**2 < np.pi / 4 * thin_mm**2))
    if not len(small):
        return []
    x, y = outline.controls[outline.starts[small[outline.area_px[small].argmin()]], 0].tolist()
    many = "1 piece is" if len(small) == 1 else f"{len(small)} pieces are"
    return [Finding("layer.small_pieces", WARN, f"{many} smaller than a dot of {thin_mm:g} mm: too small to weed or to stick.",
                    layer.plan.name, x, y)]


def check_ground(layers, laid_on: str):
    """Findings of layers that have (nearly) the colour ``laid_on`` of what is below everything: they could be left out."""
    ground, found = srgb_to_lab(from_hex(laid_on)), []
    for layer in layers:
        apart = float(ciede2000(ground[None], srgb_to_lab(np.array([from_hex(layer.plan.hex)])))[0])
        if apart < LIKE_GROUND and len(layer.outline.controls) and layer.plan.labels:
            x, y = layer.outline.controls[0, 0].tolist()
            found.append(Finding("layer.like_ground", NOTE, f"{layer.plan.name} has the colour of what it is laid on. Left out, the ground shows in its "
                                 f"place, and {layer.cut_length_mm:.0f} mm of cutting and a sheet are saved; what lies under it shows too, so look at it.",
                                 layer.plan.name, x, y))
    return tuple(found)


def check_drawn(curves_found, splits_done, places):
    """Findings of split lines and new courses that do nothing; ``places`` (K, 2) px of the curves, then of the splits."""
    idle = [*(~np.asarray(curves_found, bool)).tolist(), *(~np.asarray(splits_done, bool)).tolist()]
    words = ["The new course of a boundary does nothing now: the stretch it was made for is not here, or another boundary is in its way."] * len(curves_found) + [
        "A split line parts nothing: it must run from one side of a shape to the other."] * len(splits_done)
    return tuple(Finding("clean.shape_idle", WARN, words[n] + " Switch it off, take it out, or draw it anew.",
                         x_px=float(places[n][0]), y_px=float(places[n][1])) for n, so in enumerate(idle) if so)[:_PLACES]


def stretch_mm(thin_mm: float) -> float:
    """Narrow places nearer to each other than this are one stretch."""
    return max(4.0, 3 * thin_mm)


def _oversize(layer, mm_per_px):
    points = layer.outline.controls[:, [0, 3]].reshape(-1, 2)
    low, high = points.min(0), points.max(0)
    width, height = (high - low) * mm_per_px
    short, long = min(width, height), max(width, height)
    if short <= CARRIER_MM and long <= LONG_CARRIER_MM:
        if long > CARRIER_MM:
            return [Finding("size.over_carrier", NOTE, f"{width:.0f} × {height:.0f} mm is over a 12 in carrier "
                            f"(cuts {CARRIER_MM:.0f} mm); it fits a 12 × 24 in one.", layer.plan.name,
                            float(high[0]), float(high[1]))]
        return []
    return [Finding("size.over_carrier", WARN, f"{width:.0f} × {height:.0f} mm does not fit a 12 in carrier, which "
                    f"cuts {CARRIER_MM:.0f} × {LONG_CARRIER_MM:.0f} mm at most. Make the work smaller or divide "
                    "this layer.", layer.plan.name, float(high[0]), float(high[1]))]
