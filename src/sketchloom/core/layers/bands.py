"""Colours that are only the soft edge between two others."""

import numpy as np

_PART, _EACH = 0.9, 0.25
"""A band borders two colours along the first share of its edge, and each along the second."""
_ENDS, _OFF = 0.1, 8.0
"""Its colour lies so far from either end of the line between theirs, and no farther off it (CIELAB)."""


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
        line = lab[two] - lab[one]
        t = float((lab[colour] - lab[one]) @ line / max(line @ line, 1e-9))
        off = float(np.linalg.norm(lab[colour] - lab[one] - t * line))
        if width > most_px or not _ENDS < t < 1 - _ENDS or off > _OFF:
            continue
        core = one if len(area) == two or (t < 0.5 and one != len(area)) else two
        found.append((colour, core, two if core == one else one, float(width)))
    return found
