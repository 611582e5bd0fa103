"""The flat colours of a picture, and every smaller set of them.

Only pixels that are flat (little change in their neighbourhood) vote, so mixtures on edges
are never counted. Colours that appear in thin strokes alone have no flat pixels; they are
found among the pixels that are no mixture of what lies on opposite sides of them. A
deterministic tree then merges the pair whose merging loses least, until one is left, which
gives the palette for every number of colours at once.
"""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.colour import ciede2000, srgb_to_lab
from sketchloom.core.picture.picture import Picture

MAX_COLOURS = 24
_SEED_LIMIT = 160
_SEED_DELTA = 2.3
"""About one just noticeable difference (Mahy, Van Eycken, Oosterlinck 1994)."""
_SAME_COST = 2.0
_LEAST_SHARE = 0.0004
_THIN_DELTA = 14.0
_SAMPLE = 20_000
_VOTERS = 400_000


@dataclass(frozen=True, slots=True, eq=False)
class ColourTree:
    """All palettes of a picture.

    ``colours`` (K, 3) sRGB seeds and their ``weights`` (pixels that voted); ``merges`` in
    order: seed ``merges[i, 0]`` takes in ``merges[i, 1]`` at ``cost[i]``. ``proposed`` is
    the number of colours found; ``noise`` the typical range within flat areas, 0 to 255;
    ``flat_share`` the share of pixels that are flat; ``transparent`` whether there is
    transparent ground.
    """

    colours: np.ndarray
    weights: np.ndarray
    merges: np.ndarray
    cost: np.ndarray
    proposed: int
    noise: float
    flat_share: float
    transparent: bool

    def palette(self, count: int) -> np.ndarray:
        """(n, 3) the palette of ``count`` colours, or all there are; largest first."""
        group = np.arange(len(self.colours))
        for keep, gone in self.merges[: max(len(self.colours) - count, 0)]:
            group[group == gone] = keep
        kept = np.unique(group)
        # the seed with most votes names the group: a mean would be a colour nobody drew
        weight = np.array([self.weights[group == k].sum() for k in kept])
        return self.colours[kept[np.argsort(-weight, kind="stable")]]


def noise_level(spread) -> float:
    """Typical local range of flat areas: the lower quartile's median of what is not zero."""
    histogram = np.bincount(spread.ravel(), minlength=256).astype(float)
    low = histogram[:40]
    if histogram[0] > 0.5 * histogram.sum() or low.sum() < 0.05 * histogram.sum():
        return 0.0
    return float(np.searchsorted(np.cumsum(low), 0.5 * low.sum()))


def flat_limit(noise: float) -> float:
    """Largest local range that still counts as flat."""
    return float(np.clip(2.2 * noise + 5.0, 6.0, 40.0))


def find_colours(picture: Picture) -> ColourTree:
    """Find the colours of a picture and the order in which they merge."""
    spread = picture.local_range
    noise = noise_level(spread)
    flat = spread <= flat_limit(noise)
    opaque = flat if picture.alpha is None else flat & (picture.alpha >= 128)
    transparent = picture.alpha is not None and bool((picture.alpha < 128).any())
    at = np.flatnonzero(opaque)
    # an odd step takes pixels of every row and column in turn
    step = max(1, len(at) // _VOTERS) | 1
    colours, weights = _seeds(picture.rgb.reshape(-1, 3)[at[::step]], max(_SEED_DELTA, 0.3 * noise))
    weights *= step
    enough = weights >= max(9.0, _LEAST_SHARE * flat.size)
    if enough.any():
        colours, weights = colours[enough], weights[enough]
    thin, thin_weights = _thin_colours(picture, ~flat, colours, noise)
    colours = np.concatenate([colours, thin])
    weights = np.concatenate([weights, thin_weights])
    if len(colours) == 0:
        colours, weights = _seeds(picture.rgb.reshape(-1, 3)[:: max(1, flat.size // _SAMPLE)], 6.0)
        colours, weights = colours[:MAX_COLOURS], weights[:MAX_COLOURS]
    merges, cost = _merge_tree(colours, weights, flat.size)
    proposed = _propose(cost, noise)
    return ColourTree(colours, weights, merges, cost, proposed, noise, float(flat.mean()), transparent)


def _seeds(pixels, delta):
    """Well-separated frequent colours, most frequent first, and the votes for each."""
    if len(pixels) == 0:
        return np.empty((0, 3)), np.empty(0)
    code = (pixels[:, 0].astype(np.int32) >> 2 << 12) | (pixels[:, 1].astype(np.int32) >> 2 << 6) | (pixels[:, 2] >> 2)
    count = np.bincount(code, minlength=1 << 18)
    used = np.flatnonzero(count)
    mean = np.stack([np.bincount(code, pixels[:, c], 1 << 18)[used] for c in range(3)], -1) / count[used, None]
    order = np.argsort(-count[used], kind="stable")[:4000]
    mean, votes = mean[order], count[used][order].astype(float)
    lab = srgb_to_lab(mean)
    seed_of = np.full(len(mean), -1)
    seeds = []
    for i in range(len(mean)):
        if seed_of[i] >= 0:
            continue
        if len(seeds) == _SEED_LIMIT:
            break
        near = (seed_of < 0) & (np.hypot(np.hypot(*(lab[:, 1:] - lab[i, 1:]).T), lab[:, 0] - lab[i, 0]) < 2.5 * delta)
        near[near] = ciede2000(lab[near], lab[i]) <= delta
        near[i] = True
        seed_of[near] = len(seeds)
        seeds.append(i)
    member = seed_of >= 0
    weights = np.bincount(seed_of[member], votes[member], len(seeds))
    colours = np.stack([np.bincount(seed_of[member], (votes * mean[:, c])[member], len(seeds)) for c in range(3)], -1)
    order = np.argsort(-weights, kind="stable")
    return (colours / weights[:, None])[order], weights[order]


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
    dot = lambda a, b: np.einsum("ij,ij->i", a, b)  # noqa: E731
    for step in (2, 2 * across, 2 * across + 2, 2 * across - 2):
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


def _thin_colours(picture, busy, colours, noise):
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
    pixels = picture.rgb[y[stroke], x[stroke]].astype(float)
    least = max(24.0, 0.001 * busy.size) / thinning
    known = np.asarray(colours)
    if len(known) == 0:
        known = np.array([[255.0, 255.0, 255.0]])
    found, weights = [], []
    lab = srgb_to_lab(pixels)
    for _ in range(6):
        away = ciede2000(lab[:, None], srgb_to_lab(known)[None]).min(1) if len(pixels) else np.empty(0)
        far = away > _THIN_DELTA
        if far.sum() < least:
            break
        seeds, votes = _seeds(pixels[far].astype(np.uint8), 7.0)
        gap = ciede2000(srgb_to_lab(seeds)[:, None], srgb_to_lab(known)[None]).min(1)
        pick = np.argmax(gap * np.sqrt(votes))
        if votes[pick] * thinning < 16:
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


def _merge_tree(colours, weights, pixels):
    """Merge pairs, cheapest first, until one is left."""
    lab = srgb_to_lab(colours)
    weight = weights.astype(float).copy()
    count = len(colours)
    delta = ciede2000(lab[:, None], lab[None])
    alive = np.ones(count, bool)
    merges, costs = [], []
    for _ in range(count - 1):
        shared = 2 * weight[:, None] * weight[None] / (weight[:, None] + weight[None]) / pixels
        cost = delta * shared**0.2
        cost[~alive] = np.inf
        cost[:, ~alive] = np.inf
        np.fill_diagonal(cost, np.inf)
        i, j = np.unravel_index(np.argmin(cost), cost.shape)
        keep, gone = (i, j) if (weight[i], -i) >= (weight[j], -j) else (j, i)
        merges.append((keep, gone))
        costs.append(cost[i, j])
        weight[keep] += weight[gone]
        alive[gone] = False
    return np.array(merges, np.intp).reshape(-1, 2), np.array(costs)


def _propose(cost, noise):
    """Number of colours before merging starts to lose what a person would miss."""
    limit = _SAME_COST + 0.12 * noise
    count = len(cost) + 1
    cheap = np.flatnonzero(np.maximum.accumulate(cost) > limit)
    found = count - (cheap[0] if len(cheap) else len(cost))
    if found <= 12:
        return max(found, 1)
    # shading rather than colours: a dozen tones, at the widest step of the ladder
    steps = np.maximum.accumulate(cost)[-11:]
    return int(12 - np.argmax(np.diff(steps, append=steps[-1])[:9] + 1e-9 * np.arange(9)))
