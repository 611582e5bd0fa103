"""A work's picture against the colours that its reading cuts it in."""

import numpy as np

from sketchloom.core.base.colour import from_hex
from sketchloom.core.edits.painting import painted
from sketchloom.core.judge.unlike import Unlike, find_unlike
from sketchloom.evaluate.segmentation import least_area_px
from sketchloom.evaluate.work import Work


def unlike_of(keep, work: Work, key) -> Unlike | None:
    """Where the picture, with the lines painted on it, is unlike what is cut; None where a reading does not mean to be
    like it: tones of a photo, the ink of a page.

    Parameters
    ----------
    keep : as ``Cache.keep``. key : of the work's segmentation.
    """
    if work.reading != "colour" or work.rough:
        return None
    return keep(("unlike", key), lambda: _found(work))


def _found(work):
    made, seen = work.segmentation, work.whole if work.thin_lines is not None else work.picture
    seen = painted(seen, work.recipe.lines, work.move, (work.original.width, work.original.height))
    values = np.array([from_hex(e.hex) for e in made.entries], float).reshape(-1, 3)
    labels = np.minimum(made.labels, len(values))
    times = 1 if work.thin_lines is None else work.thin_lines.times
    if made.cut_in is not None:
        labels = np.where(made.cut_in.covered, len(values), labels)
    # of a finer map the middle of each pixel: blends with what lies beside it are allowed for
    labels = labels[times // 2::times, times // 2::times]
    if seen.alpha is not None:
        labels = np.where(seen.alpha == 255, labels, len(values))
    least_px = least_area_px(work.recipe.smallest_mm, work.came_mm_per_px)
    return find_unlike(seen.rgb, labels, values, made.noise, least_px)
