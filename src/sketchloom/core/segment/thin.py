"""Colours that only thin strokes have, told apart from soft edges and from compression.

A thin stroke has no flat pixel. Its colour is found among the pixels that are no mixture of
what lies on opposite sides of them.
"""

import cv2
import numpy as np

from sketchloom.core.base.colour import ciede2000, srgb_to_lab, to_ycc
from sketchloom.core.base.progress import breathe
from sketchloom.core.segment.modes import seeds as find_seeds

_THIN_DELTA = 14.0
"""A colour that only thin strokes have is so far (CIEDE2000) from all known ones; nearer ones may be soft edges."""
_SAMPLE = 10_000
"""Pixels that vote for thin colours."""
_AROUND = np.ones((11, 11), np.uint8)
"""Within five pixels both sides of a stroke are seen."""
_MOST_KNOWN = 16
"""Colours that a mixture may be of; the commonest."""
_MOST_MODES = 80
"""More modes are a picture without flat colours."""
_NOISY_SHARE = 0.0007
"""Under noise a thin colour needs this share of the picture."""
_SMALL_SHARE = 0.02
"""A mode of a larger share is no edge that bled."""
_CORE = np.ones((3, 3), np.uint8)
"""A stroke's middle keeps a pixel when its rim is taken off."""
_LARGE_PX = 3_000_000
"""Larger pictures are thinned."""
_LEFT_FAR, _LEFT_DELTA, _LEFT_PX, _LEFT_SHARE = 45.0, 18.0, 12, 0.0004
"""A left-over area is so far from every colour in sRGB, its pixels within the second (CIEDE2000) of each other, and as
large as the third or the share of the picture; `loom bench quality` on compressed pictures holds them."""
_INSIDE = np.ones((9, 9), np.uint8)
"""What keeps a pixel under this is no thin stroke."""
_STRIP_PX = 250_000
"""Pixels looked at in one go: with 80 colours 80 MB; half or twice as many are no faster."""


def mixture_mask(field, y, x, noise: float = 0.0) -> np.ndarray:
    """Which pixels look like a mixture of what lies two pixels away on opposite sides.

    Of the four directions the one with the greatest contrast decides. A stroke, thin as it
    may be, lies outside the line between its two sides and is no mixture.
    """
    framed = cv2.copyMakeBorder(field, 2, 2, 2, 2, cv2.BORDER_REPLICATE)
    across = framed.shape[1]
    framed = framed.reshape(-1, field.shape[2])
    at = (y + 2) * across + x + 2
    here = framed[at].astype(np.float32)
    best = np.zeros(len(y), np.float32)
    mixed = np.zeros(len(y), bool)
    slack = np.float32(12.0 + 1.5 * noise)
    def dot(a, b):
        return np.einsum("ij,ij->i", a, b)
    for step in (2, 2 * across, 2 * across + 2, 2 * across - 2):
        breathe()
        one = framed[at - step].astype(np.float32)
        line = framed[at + step] - one
        from_one = here - one
        length2 = dot(line, line)
        t = dot(from_one, line) / np.maximum(length2, 1.0)
        rest = from_one - np.clip(t, 0, 1)[:, None] * line
        off = np.sqrt(dot(rest, rest))
        is_mix = (t > 0.04) & (t < 0.96) & (off < slack + 0.06 * np.sqrt(length2)) & (length2 > (2 * slack) ** 2)
        stronger = length2 > best
        np.copyto(mixed, is_mix, where=stronger)
        np.maximum(best, length2, out=best)
    return mixed


def thin_colours(picture, busy, colours, noise):
    """Colours that only thin strokes have: extremes among busy pixels that are no mixture."""
    none = np.empty((0, 3)), np.empty(0)
    y, x = np.nonzero(busy)
    if len(y) == 0 or len(y) > 0.5 * busy.size:
        return none  # shading everywhere: there is no stroke to tell apart
    thinning = max(1, len(y) // _SAMPLE)
    y, x = y[::thinning], x[::thinning]
    stroke = ~mixture_mask(picture.field, y, x, noise)
    if picture.alpha is not None:
        stroke &= picture.alpha[y, x] >= 200
    y, x = y[stroke], x[stroke]
    if noise > 0 and len(colours) and len(y):
        drawn = ~_bled(picture.rgb, ~busy, y, x, np.asarray(colours)[:_MOST_KNOWN], noise)
        y, x = y[drawn], x[drawn]
    pixels = picture.rgb[y, x].astype(float)
    least = max(24.0, 0.001 * busy.size) / thinning
    known = np.asarray(colours)
    if len(known) == 0:
        known = np.array([[255.0, 255.0, 255.0]])
    found, weights = [], []
    lab = srgb_to_lab(pixels)
    for _ in range(6):
        far = _far(lab, srgb_to_lab(known))
        if far.sum() < least:
            break
        seeds, votes = find_seeds(pixels[far].astype(np.uint8), 7.0)
        if not len(seeds):  # what is left has no colour in common
            break
        gap = ciede2000(srgb_to_lab(seeds)[:, None], srgb_to_lab(known)[None]).min(1)
        pick = np.argmax(gap * np.sqrt(votes))
        if votes[pick] * thinning < (16 if noise == 0 else _NOISY_SHARE * busy.size):
            break
        found.append(seeds[pick])
        weights.append(votes[pick] * thinning)
        # what lies between the new colour and a known one is its own soft edge
        explained = ~far
        for other in known:
            line = seeds[pick] - other
            t = np.clip((pixels - other) @ line / max(line @ line, 1.0), 0, 1.15)
            explained |= np.hypot(*np.moveaxis(pixels - other - t[:, None] * line, -1, 0)[:2]) < 24 + noise
        known = np.concatenate([known, seeds[pick][None]])
        pixels, lab = pixels[~explained], lab[~explained]
    return (np.array(found), np.array(weights)) if found else none


def left_over(rgb, flat, colours, noise):
    """Colours of small areas that no known colour comes near, and their pixels.

    Compression leaves an eye or a button no flat pixel, but its inside is far from everything
    else. Strips along edges, which can be as far, are mixtures of their sides.
    """
    none = np.empty((0, 3)), np.empty(0)
    if len(colours) == 0 or len(colours) > _MOST_MODES:
        return none  # among the many steps of shading nothing is far from everything
    step = 2 if flat.size > _LARGE_PX else 1
    rgb, flat = np.ascontiguousarray(rgb[::step, ::step]), np.ascontiguousarray(flat[::step, ::step])
    values, limit = colours.astype(np.float32), (_LEFT_FAR + 2 * noise) ** 2

    def is_far(pixels):
        return (pixels * pixels).sum(1) - 2 * (pixels @ values.T - 0.5 * (values * values).sum(1)).max(1) > limit
    far = _in_strips(rgb, is_far, np.uint8)
    y, x = np.nonzero(cv2.erode(far, _CORE, borderValue=0))
    if len(y):
        drawn = ~_bled(rgb, flat, y, x, colours[:_MOST_KNOWN], noise)
        y, x = y[drawn], x[drawn]
    if len(y) == 0:
        return none
    found, votes = find_seeds(rgb[y, x], _LEFT_DELTA)
    enough = votes >= max(_LEFT_PX, _LEFT_SHARE * flat.size)
    return found[enough], votes[enough] * step * step


def _far(lab, known):
    """Which colours differ from all known ones by more than a thin stroke must.

    CIEDE2000 stretches a by at most half and divides everything else, so colours nearer
    than two thirds of the limit in plain CIELAB need not be measured.
    """
    far = np.zeros(len(lab), bool)
    plain = ((lab[:, None] - known[None]) ** 2).sum(-1).min(1) if len(lab) else np.empty(0)
    may = np.flatnonzero(plain > (_THIN_DELTA / 1.5) ** 2)
    if len(may):
        far[may] = ciede2000(lab[may, None], known[None]).min(1) > _THIN_DELTA
    return far


def bled_modes(rgb, flat, colours, share, noise) -> np.ndarray:
    """(K,) bool: small modes most of whose pixels are only bled edges of larger ones.

    Parameters
    ----------
    rgb : (H, W, 3). flat : (H, W) bool. colours : (K, 3), the largest first. share : (K,) of
        the picture. noise : as of the colour tree.
    """
    bled = np.zeros(len(colours), bool)
    if len(colours) > _MOST_MODES:
        return bled  # shading: its steps are no edges
    owner = _owners(rgb, flat, colours)
    for k in range(1, len(colours)):
        breathe()
        mine = (owner == k).astype(np.uint8)
        # a drawn area has an inside; what runs along an edge has none
        if share[k] > _SMALL_SHARE or cv2.erode(mine, _INSIDE, borderValue=0).sum() > 0.1 * mine.sum():
            continue
        at = np.flatnonzero(owner == k)
        at = at[:: max(1, len(at) // 400)]
        y, x = np.divmod(at, flat.shape[1])
        larger = np.flatnonzero(~bled[:min(k, _MOST_KNOWN)])
        near = _colours_near(owner, y, x, len(colours))[larger]
        bled[k] = _mixed(rgb, near, y, x, colours[larger], noise).mean() > 0.7 if len(at) else True
    return bled


def _owners(rgb, flat, colours):
    """(H, W) int8 nearest colour of each flat pixel, -1 elsewhere; at most 127 colours."""
    if not len(colours):
        return np.full(flat.shape, -1, np.int8)
    values = colours.astype(np.float32)
    owner = _in_strips(rgb, lambda pixels: (pixels @ values.T - 0.5 * (values * values).sum(1)).argmax(1), np.int8)
    owner[~flat] = -1
    return owner


def _in_strips(rgb, work, kind):
    """(H, W) ``work`` of all pixels, (N, 3) float32, some rows at a time: the distances to all colours of a large
    picture
    would take gigabytes at once."""
    height, width = rgb.shape[:2]
    made = np.empty((height, width), kind)
    rows = max(1, _STRIP_PX // width)
    for top in range(0, height, rows):
        breathe()
        part = rgb[top:top + rows]
        made[top:top + rows] = work(part.reshape(-1, 3).astype(np.float32)).reshape(part.shape[:2])
    return made


def _colours_near(owner, y, x, count):
    """(count, N) bool: which colours own a pixel within ``_AROUND`` of places."""
    reach = _AROUND.shape[0] // 2
    framed = cv2.copyMakeBorder(owner, reach, reach, reach, reach, cv2.BORDER_CONSTANT, value=-1)
    near = np.zeros((count + 1, len(y)), bool)  # the last row for pixels that no colour owns
    at = np.arange(len(y))
    for dy in range(2 * reach + 1):
        for dx in range(2 * reach + 1):
            near[framed[y + dy, x + dx], at] = True
    return near[:-1]


def _bled(rgb, flat, y, x, colours, noise):
    owner = _owners(rgb, flat, colours)
    return _mixed(rgb, _colours_near(owner, y, x, len(colours)), y, x, colours, noise)


def _mixed(rgb, near, y, x, colours, noise):
    """Which pixels are what compression makes of the edge between two colours near them.

    Luma is kept sharp and the colour differences are blurred, so both are mixtures of the
    two sides, though not in the same proportion; rings overshoot a little.
    """
    ycc, known = to_ycc(rgb[y, x]), to_ycc(colours)
    slack = 14.0 + 1.5 * noise
    mixed = np.zeros(len(y), bool)
    for i in range(len(known)):
        mixed |= near[i] & (np.abs(ycc - known[i]).max(1) < 6.0 + 1.2 * noise)
        for j in range(i):
            here = np.flatnonzero(near[i] & near[j] & ~mixed)
            if len(here) == 0:
                continue
            low, high = sorted((known[i, 0], known[j, 0]))
            over = 0.15 * (high - low) + slack
            luma = (ycc[here, 0] > low - over) & (ycc[here, 0] < high + over)
            line = known[j, 1:] - known[i, 1:]
            from_i = ycc[here, 1:] - known[i, 1:]
            along = from_i @ line / max(line @ line, 1.0)
            off = np.hypot(*(from_i - np.clip(along, -0.1, 1.1)[:, None] * line).T)
            mixed[here] |= luma & (off < slack)
    return mixed
