"""Regions that are only the soft edge, the bleeding or the ringing between two others, given back to them."""

import numpy as np

from sketchloom.core.base.colour import to_ycc
from sketchloom.core.base.progress import breathe
from sketchloom.core.base.raster import counted
from sketchloom.core.planar.cracks import face_image
from sketchloom.core.segment.merging import neighbours

_OVERSHOOT = 0.2
"""Ringing goes beyond the colours of an edge by up to this share of the step between them."""
_SPECK_PX = 200
"""Larger areas are no specks that compression left."""
_FAINT_PX, _FAINT_CONTRAST, _FAINT_SHARE, _FEWEST_PX = 40, 60.0, 0.6, 4
"""Specks inside one region, so small and so near to it in colour, whose pixels go less than this share of the way
to the colour
they were given, are ringing; so are those of fewest pixels. Told from drawn dots on open vector art, compressed."""


def dissolve_fringes(labels, values, flat, field):
    """Give back regions that are nothing but the soft edge between two others.

    Such a region has no flat pixel and its colour lies between those of its two main
    neighbours.
    """
    faces, face_label = face_image(labels)
    count = len(face_label)
    solid = counted(faces, count, flat)
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


def dissolve_bleeding(labels, values, field, noise):
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
    breathe()
    area = counted(faces, count)
    core = counted(faces, count, inside)
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


def dissolve_faint(labels, values, field):
    """Give specks to the region around them that compression left there: near to it in colour, and nearer still as
    they are seen."""
    faces, face_label = face_image(labels)
    count = len(face_label)
    area = counted(faces, count)
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
    breathe()
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
    breathe()
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
