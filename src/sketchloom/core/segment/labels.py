"""From pixels to labels: flat pixels are trusted, uncertain ones choose among them."""

import cv2
import numpy as np

from sketchloom.core.base.colour import to_ycc
from sketchloom.core.picture.picture import Picture
from sketchloom.core.planar.cracks import face_image
from sketchloom.core.segment.merging import neighbours
from sketchloom.core.segment.palette import flat_limit
from sketchloom.core.segment.thin import mixture_mask

_ROWS = 256
_UNDECIDED = 255
_FEW_PIXELS = 120_000
_AROUND = np.ones((5, 5), np.uint8)
_OVERSHOOT = 0.2
_SPECK_PX = 200
_STRIPS_DEEP = 4
_FAINT_PX, _FAINT_CONTRAST, _FAINT_SHARE, _FEWEST_PX = 40, 60.0, 0.6, 4
"""Specks inside one region, so small and so near to it in colour, whose pixels go less than this share of the way
to the colour
they were given, are ringing; so are those of fewest pixels. Told from drawn dots on open vector art, compressed."""


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


def colour_labels(picture: Picture, palette, noise: float = 0.0, uncertain=None, *, strips: bool = True) -> np.ndarray:
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

    Notes
    -----
    A pixel is trusted when its surroundings are flat or when it is no mixture of what lies
    on opposite sides of it. Others take the nearest colour among the trusted labels within
    two pixels, so a mixture of two neighbours is never given to a third colour elsewhere.
    """
    field = picture.field
    values = palette_field(palette, picture.alpha is not None)
    labels = nearest(field, values)
    at = uncertain_pixels(picture, noise) if uncertain is None else uncertain
    if len(at) == 0:
        return labels
    trusted = labels.copy()
    trusted.ravel()[at] = _UNDECIDED
    allowed = np.empty((len(at), len(values)), bool)
    for k in range(len(values)):
        allowed[:, k] = cv2.dilate(cv2.compare(trusted, k, cv2.CMP_EQ), _AROUND).ravel()[at]
    distance = 0.5 * (values * values).sum(1) - field.reshape(-1, field.shape[2])[at].astype(np.float32) @ values.T
    allowed[~allowed.any(1)] = True
    labels.ravel()[at] = np.where(allowed, distance, np.inf).argmin(1)
    labels = _dissolve_fringes(labels, values, picture.local_range <= flat_limit(noise), field)
    if noise > 0 and strips:
        # a strip beside a strip is seen for what it is once that one has gone
        for _ in range(_STRIPS_DEEP):
            before = labels
            labels = _dissolve_bleeding(before, values, field, noise)
            if labels is before or np.array_equal(labels, before):
                break
        labels = _dissolve_faint(labels, values, field)
    return labels


def nearest(field, values) -> np.ndarray:
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


def _dissolve_fringes(labels, values, flat, field):
    """Give back regions that are nothing but the soft edge between two others.

    Such a region has no flat pixel and its colour lies between those of its two main
    neighbours.
    """
    faces, face_label = face_image(labels)
    count = len(face_label)
    solid = np.bincount(faces[flat], minlength=count)
    suspects = np.flatnonzero(solid == 0)
    if len(suspects) == 0:
        return labels
    pairs, length = neighbours(faces)
    first, second = _two_longest(pairs, length, suspects, count)
    good = (first >= 0) & (second >= 0)
    suspects, first, second = suspects[good], first[good], second[good]
    own, a, b = (values[face_label[f]] for f in (suspects, first, second))
    line = b - a
    length2 = np.maximum((line * line).sum(1), 1.0)
    t = ((own - a) * line).sum(1) / length2
    off = np.sqrt((((own - a) - t[:, None] * line) ** 2).sum(1))
    between = (t > 0.08) & (t < 0.92) & (off < 0.28 * np.sqrt(length2))
    target = np.full((count, 2), -1)
    target[suspects[between]] = np.stack([first[between], second[between]], -1)
    at = np.flatnonzero((target[:, 0] >= 0)[faces])
    if len(at) == 0:
        return labels
    y, x = np.divmod(at, labels.shape[1])
    pair = face_label[target[faces[y, x]]]
    distance = ((field[y, x, None, :] - values[pair]) ** 2).sum(-1)
    labels = labels.copy()
    labels[y, x] = np.take_along_axis(pair, distance.argmin(1)[:, None], 1)[:, 0]
    return labels


def _dissolve_bleeding(labels, values, field, noise):
    """Give back what compression has bled along the edge between two regions.

    Such a strip has no inside, its luma lies between those of its two main neighbours, and
    its colour differences near the way from one to the other. A drawn hairline is darker or
    lighter than both of its sides.
    """
    faces, face_label = face_image(labels)
    count = len(face_label)
    inside = np.ones(faces.shape, bool)
    for one, two, a, b in (
        (faces[:, 1:], faces[:, :-1], np.s_[:, 1:], np.s_[:, :-1]),
        (faces[1:], faces[:-1], np.s_[1:], np.s_[:-1]),
    ):
        same = one == two
        inside[a] &= same
        inside[b] &= same
    area = np.bincount(faces.ravel(), minlength=count)
    core = np.bincount(faces[inside], minlength=count)
    speck = (core <= 0.4 * area) & (area <= _SPECK_PX)
    suspects = np.flatnonzero((core <= 0.12 * area) | speck)
    pairs, length = neighbours(faces)
    first, second = _two_longest(pairs, length, suspects, count)
    good = first >= 0
    suspects, first, second = suspects[good], first[good], second[good]
    if len(suspects) == 0:
        return labels
    between = second >= 0
    second = np.where(between, second, first)
    own, a, b = (to_ycc(values[face_label[f]][:, :3]) for f in (suspects, first, second))
    slack = 8.0 + noise
    low, high = np.minimum(a[:, 0], b[:, 0]) - slack, np.maximum(a[:, 0], b[:, 0]) + slack
    off = _off_the_way(own, a, b)
    over = _OVERSHOOT * np.abs(a[:, 0] - b[:, 0])
    ringing = (
        (own[:, 0] > low - over)
        & (own[:, 0] < high + over)
        & _in_patches(face_label, suspects, first, second, pairs, length)
    )
    bled = (((own[:, 0] > low) & (own[:, 0] < high)) | ringing) & (off < 2.5 * slack) & between
    bled &= core[suspects] <= 0.12 * area[suspects]
    # the colour it was given may be far from what its pixels are: blurred colour with the luma of one side
    seen = to_ycc(_face_means(faces, field, suspects)[:, :3])
    mixed = (seen[:, 0] > low) & (seen[:, 0] < high) & (_off_the_way(seen, a, b) < slack) & between
    bled |= mixed & ((core[suspects] <= 0.12 * area[suspects]) | (np.abs(seen - own).max(1) > slack))
    target = np.full((count, 2), -1)
    target[suspects[bled]] = np.stack([first[bled], second[bled]], -1)
    # a speck that differs from a neighbour by no more than the grain is grain
    for beside, value in ((second, b), (first, a)):
        faint = speck[suspects] & (np.abs(own - value).max(1) < slack)
        target[suspects[faint]] = beside[faint][:, None]
    # where a strip's neighbour is itself a strip, the pixels keep to what is solid
    solid = target[:, 0] < 0
    at = np.flatnonzero((~solid)[faces])
    if len(at) == 0:
        return labels
    pair = face_label[target[faces.ravel()[at]]]
    pixels = field.reshape(-1, field.shape[2])[at].astype(np.float32)
    distance = ((pixels[:, None] - values[pair]) ** 2).sum(-1)
    labels = labels.copy()
    labels.ravel()[at] = np.take_along_axis(pair, distance.argmin(1)[:, None], 1)[:, 0]
    return labels


def _dissolve_faint(labels, values, field):
    """Give specks to the region around them that compression left there: near to it in colour, and nearer still as
    they are seen."""
    faces, face_label = face_image(labels)
    count = len(face_label)
    area = np.bincount(faces.ravel(), minlength=count)
    suspects = np.flatnonzero(area <= _FAINT_PX)
    if len(suspects) == 0:
        return labels
    around, other = _two_longest(*neighbours(faces), suspects, count)
    alone = (around >= 0) & (other < 0)
    suspects, around = suspects[alone], around[alone]
    if len(suspects) == 0:
        return labels
    given, beside = (to_ycc(values[face_label[f]][:, :3]) for f in (suspects, around))
    way = given - beside
    contrast = np.sqrt((way * way).sum(1))
    seen = to_ycc(_face_means(faces, field, suspects)[:, :3])
    share = ((seen - beside) * way).sum(1) / np.maximum(contrast, 1e-6) ** 2
    gone = (contrast < _FAINT_CONTRAST) & ((share < _FAINT_SHARE) | (area[suspects] <= _FEWEST_PX))
    target = face_label.copy()
    target[suspects[gone]] = face_label[around[gone]]
    return target[faces].astype(labels.dtype)


def _off_the_way(own, a, b):
    """How far colour differences, the last two of three columns, are from the way from a to b."""
    line, from_a = b[:, 1:] - a[:, 1:], own[:, 1:] - a[:, 1:]
    t = np.clip((from_a * line).sum(1) / np.maximum((line * line).sum(1), 1.0), 0, 1)
    return np.hypot(*(from_a - t[:, None] * line).T)


def _face_means(faces, field, which):
    """(K, C) mean of the picture over each of some faces."""
    number = np.full(int(faces.max()) + 1, -1)
    number[which] = np.arange(len(which))
    at = np.flatnonzero((number >= 0)[faces])
    of = number[faces.ravel()[at]]
    pixels = field.reshape(-1, field.shape[2])[at]
    total = np.stack([np.bincount(of, pixels[:, c], len(which)) for c in range(field.shape[2])], -1)
    return total / np.bincount(of, minlength=len(which))[:, None]


def _in_patches(face_label, suspects, first, second, pairs, length):
    """Strips that line less than half of the edge between the labels beside them.

    Ringing comes and goes from block to block; a drawn outline runs along.
    """
    count = int(face_label.max()) + 1
    contact = np.bincount(
        face_label[pairs[:, 0]].astype(np.intp) * count + face_label[pairs[:, 1]], length, count * count
    )
    one, two, own = (face_label[f].astype(np.intp) for f in (first, second, suspects))
    direct = contact[one * count + two]
    key = (own * count + np.minimum(one, two)) * count + np.maximum(one, two)
    number = np.full(len(face_label), -1)
    number[suspects] = np.arange(len(suspects))
    of = number[pairs[:, 0]]
    along = np.bincount(of[of >= 0], length[of >= 0], len(suspects)) / 2
    _, where = np.unique(key, return_inverse=True)
    lined = np.bincount(where, along)[where]
    return lined < direct


def _two_longest(pairs, length, rows, count):
    """The two neighbours with most boundary, of different faces, for each row; -1 if missing."""
    number = np.full(count, -1)
    number[rows] = np.arange(len(rows))
    use = number[pairs[:, 0]] >= 0
    row, col, value = number[pairs[use, 0]], pairs[use, 1], length[use]
    order = np.lexsort((col, -value, row))
    row, col = row[order], col[order]
    begins = np.searchsorted(row, np.arange(len(rows)))
    size = np.diff(np.append(begins, len(row)))
    padded = np.append(col, [-1, -1])
    first = np.where(size > 0, padded[np.minimum(begins, len(col))], -1)
    second = np.where(size > 1, padded[np.minimum(begins + 1, len(col))], -1)
    return first, second


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
