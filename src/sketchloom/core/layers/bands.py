"""Colours that are only the soft edge between two others."""

import numpy as np

from sketchloom.core.base.colour import lies_between, share_of_way

_PART, _EACH = 0.9, 0.25
"""A band borders two colours along the first share of its edge, and each along the second."""


def bands_of(boundary, area, lab, most_px: float) -> list[tuple[int, int, int, float]]:
    """Colours that run as a narrow band between two others, in a shade between them.

    Parameters
    ----------
    boundary : (n + 1, n + 1) lengths between colours, px, the last row what is not cut. area : (n,) px². lab :
    (n + 1, 3) CIELAB, the last that of the ground. most_px : the widest band, px.

    Returns
    -------
    colour, the colour it is to be joined with, the other one (n for the ground) and the band's mean width, px, of each.
    """
    boundary, lab = np.asarray(boundary, float), np.asarray(lab, float)
    found = []
    for colour, own in enumerate(np.asarray(area, float)):
        lengths = boundary[colour]
        total = float(lengths.sum())
        one, two = np.argsort(-lengths, kind="stable")[:2].tolist()
        if total <= 0 or lengths[one] + lengths[two] < _PART * total or lengths[two] < _EACH * total:
            continue
        width = 2 * own / total
        if width > most_px or not lies_between(lab[colour], lab[one], lab[two]):
            continue
        t = float(share_of_way(lab[colour], lab[one], lab[two]))
        core = one if len(area) == two or (t < 0.5 and one != len(area)) else two
        found.append((colour, core, two if core == one else one, float(width)))
    return found
