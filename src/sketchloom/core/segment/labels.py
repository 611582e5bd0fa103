"""From pixels to labels: flat pixels are trusted, uncertain ones choose among them."""

import cv2
import numpy as np

from sketchloom.core.base.progress import QUIET, Part, breathe
from sketchloom.core.base.said import said
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment.fringes import dissolve_bleeding, dissolve_faint, dissolve_fringes
from sketchloom.core.segment.palette import flat_limit
from sketchloom.core.segment.thin import mixture_mask

_ROWS = 256
"""Rows worked on at once, for memory."""
_UNDECIDED = 255
"""Label of a pixel that is not decided yet."""
_FEW_PIXELS = 120_000
"""In smaller pictures a table of cells costs more than it saves."""
_AROUND = np.ones((5, 5), np.uint8)
"""A mixture chooses among labels trusted within two pixels."""
_STRIPS_DEEP = 4
"""Rounds in which strips beside strips are given back."""


def palette_field(palette, has_alpha: bool) -> np.ndarray:
    """Palette entries as field values; with alpha one more entry, transparent, at the end."""
    palette = np.asarray(palette, np.float32).reshape(-1, 3)
    if not has_alpha:
        return palette
    opaque = np.column_stack([palette, np.full(len(palette), 255, np.float32)])
    return np.vstack([opaque, np.zeros((1, 4), np.float32)])


def uncertain_pixels(picture: Picture, noise: float = 0.0) -> np.ndarray:
    """Flat indices of the pixels that are a mixture of what lies on opposite sides of them."""
    y, x = _places(picture.local_range > flat_limit(noise))
    unsure = mixture_mask(picture.field, y, x, noise)
    return y[unsure] * picture.width + x[unsure]


def colour_labels(
    picture: Picture, palette, noise: float = 0.0, uncertain=None, *, strips: bool = True, progress=QUIET
) -> np.ndarray:
    """Label image of a picture in given colours.

    Parameters
    ----------
    picture : the picture.
    palette : (n, 3) sRGB colours, n >= 1.
    noise : local range within flat areas, from the colour tree.
    uncertain : what ``uncertain_pixels`` gave, when it is at hand.
    strips : whether strips that compression bled along edges are given back, which takes most of the time.

    Returns
    -------
    (H, W) uint8
        Palette numbers; n stands for transparent ground.

    Raises
    ------
    Cancelled : the caller asked to stop.

    Notes
    -----
    A pixel is trusted when its surroundings are flat or when it is no mixture of what lies
    on opposite sides of it. Others take the nearest colour among the trusted labels within
    two pixels, so a mixture of two neighbours is never given to a third colour elsewhere.
    """
    field = picture.field
    values = palette_field(palette, picture.alpha is not None)
    label, steps = said("Finding regions"), 4 + len(values) + _STRIPS_DEEP
    labels = nearest(field, values, progress=Part(progress, 0.0, 2 / steps))
    at = uncertain_pixels(picture, noise) if uncertain is None else uncertain
    if len(at) == 0:
        return labels
    trusted = labels.copy()
    trusted.ravel()[at] = _UNDECIDED
    allowed = np.empty((len(at), len(values)), bool)
    for k in range(len(values)):
        progress.step(2 + k, steps, label)
        allowed[:, k] = cv2.dilate(cv2.compare(trusted, k, cv2.CMP_EQ), _AROUND).ravel()[at]
    distance = 0.5 * (values * values).sum(1) - field.reshape(-1, field.shape[2])[at].astype(np.float32) @ values.T
    allowed[~allowed.any(1)] = True
    progress.step(2 + len(values), steps, label)
    labels.ravel()[at] = np.where(allowed, distance, np.inf).argmin(1)
    labels = dissolve_fringes(labels, values, picture.local_range <= flat_limit(noise), field)
    if noise > 0 and strips:
        # a strip beside a strip is seen for what it is once that one has gone
        for deep in range(_STRIPS_DEEP):
            progress.step(3 + len(values) + deep, steps, label)
            before = labels
            labels = dissolve_bleeding(before, values, field, noise)
            if labels is before or np.array_equal(labels, before):
                break
        progress.step(steps - 1, steps, label)
        labels = dissolve_faint(labels, values, field)
    breathe()
    return labels


def nearest(field, values, *, progress=QUIET) -> np.ndarray:
    """(H, W) uint8 number of the nearest value of each pixel.

    Colour space is cut into cells of eight levels a side. A cell that lies wholly nearest to
    one value answers for its pixels by table; pixels of other cells are measured.
    """
    height, width, channels = field.shape
    if channels != 3 or height * width < _FEW_PIXELS:
        return _measured(field.reshape(-1, channels), values).reshape(height, width)
    table = _cell_table(values)
    out = np.empty((height, width), np.uint8)
    for top in range(0, height, _ROWS):
        progress.step(top, height, said("Finding regions"))
        breathe()
        rows = field[top:top + _ROWS]
        code = (rows[..., 0] >> 3).astype(np.int32) << 10
        code |= (rows[..., 1] >> 3).astype(np.int32) << 5
        code |= rows[..., 2] >> 3
        label = table[code]
        open_ = np.flatnonzero(label == _UNDECIDED)
        if len(open_):
            label.ravel()[open_] = _measured(rows.reshape(-1, 3)[open_], values)
        out[top:top + _ROWS] = label
    return out


def _measured(pixels, values):
    half = 0.5 * (values * values).sum(1)
    return (pixels.astype(np.float32) @ values.T - half).argmax(1).astype(np.uint8)


def _cell_table(values):
    """Nearest value of each of the 32^3 cells, _UNDECIDED where its corners may differ."""
    axis = np.arange(32, dtype=np.float32) * 8 + 3.5
    half = 0.5 * (values * values).sum(1)
    score = ((axis[:, None] * values[:, 0])[:, None, None] + (axis[:, None] * values[:, 1])[None, :, None]
             + (axis[:, None] * values[:, 2])[None, None] - half)
    label = score.argmax(-1)
    if len(values) > 1:
        best, second = np.partition(score, -2, axis=-1)[..., [-1, -2]].transpose(3, 0, 1, 2)
        # within a cell, 3.5 levels from its middle each way, scores differ by at most this much
        spread = 3.5 * max(float(np.abs(a - b).sum()) for a in values for b in values)
        label[best - second <= spread] = _UNDECIDED
    return label.astype(np.uint8).ravel()


def join_diagonals(labels, field, values) -> np.ndarray:
    """Let strokes that run diagonally hang together.

    Where four pixels meet as a checkerboard, areas touch in a point only and a thin stroke
    would fall into crumbs. The diagonal whose pixels are surer of their label is joined by
    giving it the other pixel that comes nearest to its colour.
    """
    labels = labels.copy()
    for _ in range(3):
        a, b = labels[:-1, :-1], labels[:-1, 1:]
        c, d = labels[1:, :-1], labels[1:, 1:]
        differs = (a != b) & (c != d)
        y, x = _places(differs & (a == d) & (a != c))
        y2, x2 = _places(differs & (b == c) & (b != d))
        if len(y) + len(y2) == 0:
            break
        own = np.concatenate([a[y, x], b[y2, x2]])
        # the two pixels that may give way: right upper and left lower, or left upper and right lower
        one = np.concatenate([np.stack([y, x + 1], -1), np.stack([y2, x2], -1)])
        two = np.concatenate([np.stack([y + 1, x], -1), np.stack([y2 + 1, x2 + 1], -1)])
        cost = np.stack([_reluctance(p, own, labels, field, values) for p in (one, two)])
        give = np.where((cost[0] <= cost[1])[:, None], one, two)
        least = cost.min(0)
        # the same checkerboard can be joined either way: the easier one is done
        both = np.concatenate([y * labels.shape[1] + x, y2 * labels.shape[1] + x2])
        order = np.lexsort((least, both))
        chosen = order[np.diff(both[order], prepend=-1) != 0]
        labels[give[chosen, 0], give[chosen, 1]] = own[chosen]
    return labels


def _places(mask):
    return np.divmod(np.flatnonzero(mask), mask.shape[1])


def _reluctance(place, own, labels, field, values):
    """How much farther a pixel's colour is from the new label than from its own."""
    pixel = field[place[:, 0], place[:, 1]].astype(np.float32)
    def away(label):
        return ((pixel - values[label]) ** 2).sum(1)
    return away(own) - away(labels[place[:, 0], place[:, 1]])
