"""All 256 cut-offs of a tone picture at once: what each would give, and which are good.

Counting is by the 2 x 2 quads of pixels: sorted, the four tones of a quad tell for every cut-off
at once how many of its pixels are ink.
"""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base import parallel
from sketchloom.core.segment.light_parts import parts_on_ink
from sketchloom.core.segment.piece_counts import count_pieces
from sketchloom.core.segment.tone import otsu_threshold, separation, tones

_ROWS = 512
"""Rows counted at once, for memory."""
_TRIVIAL = 0.0004
"""Less ink, or less paper, than this share is no drawing."""
_LEAST_GAIN, _LIGHTER_TONES, _VIEW_PX = 0.03, 3, 800
"""Lighter parts are so large a share of the ink, of so many tones at most, and are looked for in a view of so many px
(chosen on houses with a light roof, flat and as JPEG)."""
_SLACK = 0.03
"""A drawing that changes by little more than its quietest cut-off is quiet there too."""


@dataclass(frozen=True, slots=True, eq=False)
class Stretch:
    """Cut-offs ``first`` to ``last`` give the same drawing, nearly; ``best`` is the one to take."""

    first: int
    last: int
    best: int


@dataclass(frozen=True, slots=True, eq=False)
class CutOffs:
    """What each cut-off 0 to 255 gives: ink is at or under it.

    ``euler`` (256,) pieces of ink less holes in them (ink hangs together over corners, paper
    does not); ``edge_px`` (256,) length of the boundary along the pixels' sides; ``ink``
    (256,) share of the pixels; ``stretches`` the stable ones, the best first, never none; ``with_lighter`` a cut-off
    that keeps lighter parts of the drawing as well, None where there are none.
    """

    euler: np.ndarray
    edge_px: np.ndarray
    ink: np.ndarray
    stretches: tuple[Stretch, ...]
    with_lighter: int | None = None

    def proposed(self, dark_is_ink: bool = True) -> int:
        """The best for ink that is dark, or light: a silhouette keeps what is lighter in it."""
        return self.with_lighter if dark_is_ink and self.with_lighter is not None else self.stretches[0].best


def quad_counts(grey) -> tuple[np.ndarray, np.ndarray, np.ndarray, np.ndarray]:
    """For every cut-off how many quads have one, two beside each other, two diagonal, and three ink pixels.

    Parameters
    ----------
    grey : (H, W) uint8. A frame of paper is laid around it.

    Returns
    -------
    four arrays (256,)

    References
    ----------
    Gray 1971, "Local properties of binary images in two dimensions".
    """
    grey = np.ascontiguousarray(grey)
    height = grey.shape[0]
    parts = (
        [grey[top : min(top + _ROWS, height - 1) + 1] for top in range(0, height - 1, _ROWS)]
        if grey.shape[1] > 1
        else []
    )
    counts = parallel.in_threads(_of_rows, [*parts, *_frame(grey)])
    low, second, third, high, diagonal_from, diagonal_to = np.cumsum(np.sum(counts, axis=0), axis=1)
    one, two, three = low - second, second - third, third - high
    diagonal = diagonal_from - diagonal_to
    return one, two - diagonal, diagonal, three


def _frame(grey):
    """The quads that reach beyond the picture: its edges, 16 bit, with a paper beside them that is never ink."""
    framed = [np.full(shape, 256, np.uint16) for shape in ((2, grey.shape[1] + 2),) * 2 + ((grey.shape[0], 2),) * 2]
    framed[0][1, 1:-1], framed[1][0, 1:-1], framed[2][:, 1], framed[3][:, 0] = (
        grey[0],
        grey[-1],
        grey[:, 0],
        grey[:, -1],
    )
    return framed if grey.shape[0] > 1 else framed[:2]


def _of_rows(rows):
    """Histograms (6, 256) of the sorted tones of all quads of some rows, the last two of diagonal quads only."""
    a, b, c, d = rows[:-1, :-1], rows[:-1, 1:], rows[1:, :-1], rows[1:, 1:]
    low1, high1, low2, high2 = cv2.min(a, b), cv2.max(a, b), cv2.min(c, d), cv2.max(c, d)
    low, high = cv2.min(low1, low2), cv2.max(high1, high2)
    between, also = cv2.max(low1, low2), cv2.min(high1, high2)
    second, third = cv2.min(between, also), cv2.max(between, also)
    # the two darkest lie on a diagonal when all of one diagonal is darker than all of the other
    falling, rising = cv2.max(a, d), cv2.max(b, c)
    crossed = cv2.bitwise_or(
        cv2.compare(falling, cv2.min(b, c), cv2.CMP_LT), cv2.compare(rising, cv2.min(a, d), cv2.CMP_LT)
    )
    return np.stack([_histogram(v) for v in (low, second, third, high)]
                    + [_histogram(v, crossed) for v in (second, third)])


def _histogram(values, mask=None):
    return cv2.calcHist([values], [0], mask, [256], [0, 256]).ravel()


def count_cut_offs(grey) -> CutOffs:
    """Count what all cut-offs give and find the stable stretches.

    A picture's own cut-offs are where nothing comes or goes: between the tones of ink and those
    of paper the number of pieces and holes stands still, and the boundary is shortest there as
    grain does not reach so far. The stretch is judged by its length, its quiet and, as pencil has
    quiet places within its own grain, by how well it parts dark from light.
    """
    one, beside, diagonal, three = quad_counts(grey)
    euler = _euler(one, beside, diagonal, three)
    edge = (one + three + 2 * diagonal + beside).astype(float)
    ink = np.cumsum(tones(grey)) / grey.size
    stretches = _stretches(euler, edge, ink, separation(grey))
    return CutOffs(euler, edge, ink, stretches, _with_lighter(grey, stretches[0].best))


def _with_lighter(grey, best):
    """The cut-off between paper and the lightest part of what is drawn, where parts of it lie above the best one."""
    scale = min(1.0, _VIEW_PX / max(grey.shape))
    view = cv2.resize(grey, None, fx=scale, fy=scale, interpolation=cv2.INTER_AREA) if scale < 1 else grey
    found = None
    for _ in range(_LIGHTER_TONES):
        dark = view <= best
        light = view[~dark]
        if not dark.any() or not len(light) or light.min() == light.max():
            break
        between = otsu_threshold(light)
        paper = float(np.median(light[light > between]))
        drawn = parts_on_ink((view <= between) & ~dark, dark, np.minimum(view / np.float32(paper), 1))
        if drawn.sum() < _LEAST_GAIN * dark.sum():
            break
        found = best = round((float(np.median(view[drawn])) + paper) / 2)
    return found


def pieces_and_holes(grey, dark_is_ink: bool = True, counted: CutOffs | None = None) -> tuple[np.ndarray, np.ndarray]:
    """For every cut-off the number of pieces of ink and of the holes in them, specks and all.

    Parameters
    ----------
    grey : (H, W) uint8. dark_is_ink : whether ink is at or under the cut-off, or else above it.
    counted : what ``count_cut_offs`` found in the picture, if that is known.

    Returns
    -------
    two arrays (256,) intp

    Notes
    -----
    Pieces come from a least spanning forest, holes from them and the quads, which know the difference.
    """
    if not dark_is_ink:
        # light is ink above the cut-off: in the negative at or under what is left to white
        pieces, holes = (np.append(values[254::-1], 0) for values in pieces_and_holes(255 - grey))
        return pieces, holes
    pieces = count_pieces(grey)
    return pieces, pieces - (_euler(*quad_counts(grey)) if counted is None else counted.euler)


def _euler(one, _, diagonal, three):
    return np.rint((one - three - 2 * diagonal) / 4).astype(np.intp)


def _change(euler, edge):
    """(256,) how far pieces, holes and boundary differ between the cut-offs on either side, as a share."""
    def slope(values):
        padded = np.pad(values.astype(float), 1, mode="edge")
        return np.abs(padded[2:] - padded[:-2])
    scale = np.maximum(np.abs(euler), 4.0)
    return slope(euler) / scale + 0.5 * slope(edge) / np.maximum(edge, 16.0)


def _stretches(euler, edge, ink, parted):
    usable = (ink > _TRIVIAL) & (ink < 1 - _TRIVIAL) & (edge > 0)
    change = _change(euler, edge)
    if not usable.any():
        best = int(parted.argmax())
        return (Stretch(best, best, best),)
    least = float(np.min(change[usable]))
    quiet = usable & (change <= max(2.5 * least, least + _SLACK))
    # one restless level in between does not end a stretch
    quiet[1:-1] |= quiet[:-2] & quiet[2:] & usable[1:-1]
    step = np.diff(np.concatenate([[0], quiet.view(np.int8), [0]]))
    begins, ends = np.flatnonzero(step == 1), np.flatnonzero(step == -1) - 1
    found = []
    for first, last in zip(begins.tolist(), ends.tolist(), strict=False):
        inside = slice(first, last + 1)
        middle = (first + last) // 2
        worth = (last - first + 1) / (0.02 + float(change[inside].mean())) * parted[middle] ** 2
        found.append((worth, Stretch(first, last, middle)))
    found.sort(key=lambda pair: -pair[0])
    return tuple(stretch for _, stretch in found[:6])
