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

from sketchloom.core.base.colour import ciede2000, srgb_to_lab
from sketchloom.core.base.progress import QUIET
from sketchloom.core.base.raster import every_nth
from sketchloom.core.base.said import said
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment.modes import seeds, separated
from sketchloom.core.segment.soft_steps import soft_steps
from sketchloom.core.segment.thin import bled_modes, left_over, thin_colours
from sketchloom.core.segment.tone import tones

MAX_COLOURS = 24
"""Colours that a palette has at most, as the recipe says."""
_SEED_DELTA = 1.5
"""Seeds nearer to each other (CIEDE2000) are one: what exact files repeat within a flat colour by rounding."""
_SAME_COST = 2.0
"""Merging two colours at less cost loses nothing that is seen; `loom bench choices` and `quality` hold it."""
_TWO_DELTA = 1.9
"""Two separate colours this far apart stay two; 2.3 is one just noticeable difference in
CIELAB (Mahy, Van Eycken, Oosterlinck 1994)."""
_LARGE_PX = 3_000_000
"""Larger pictures are thinned for what is counted only."""
_FAINT, _QUIET = 14, 32
"""Local ranges below the first are faint, below the second no edge, of 255."""
_MUCH_FAINT = 0.5
"""Noise is everywhere: faint ranges are at least this share of the others, else they are soft edges."""
_FLAT_ART, _LARGE_SHARE, _ANOTHER_DELTA = 0.5, 0.02, 12.0
"""Where more than the first share of a picture is flat it is no photograph. There a colour of more than the second
share is never proposed to be merged with one over the last (CIEDE2000) away: a yellow of an eighth of a picture had
turned white once more than twelve colours were found."""
_RING_SIDES, _RINGING, _RING_MORE, _RING_SIDE = (5, 15), 0.1, 0.5, 1600
"""Sides of the squares within which an edge's own rim and its block lie; which share of the pixels between them wavers,
and how much more than beyond (chosen on 40 open drawings: 0.12 and more at quality 40, 0.24 at 75, none but one shaded
one over 0.08 uncompressed); it is looked for in a part so wide and high."""
_LEAST_SHARE, _RIM_PX, _LEAST_VOTES = 0.0006, 3.0, 9.0
"""A colour by itself has the flat pixels that a round spot of this share of the picture keeps within a soft rim so wide
(so that a picture and its smaller copy have the same colours), and no fewer than the last."""
_STAIN_SHARE, _STAIN_DELTA, _FEW_SHARE, _STAIN_FEW_DELTA = 0.003, 8.0, 0.0004, 12.0
"""Under noise a mode of less than the first share is a stain where it is nearer than the second (CIEDE2000) to a larger
one, and one of less than the third where it is nearer than the last (chosen on drawings of `bench/proposals` as JPEG in
five sizes: stains are 5 to 7 away, drawn colours 14 and more)."""
_SAMPLE = 20_000
"""Pixels looked at where none is flat."""
_VOTERS = 400_000
"""Pixels that vote, spread evenly."""


@dataclass(frozen=True, slots=True, eq=False)
class ColourTree:
    """All palettes of a picture.

    ``colours`` (K, 3) sRGB seeds and their ``weights`` (pixels that voted), the ``flat`` ones, which areas have, first,
    then those that only thin strokes have or what is left; ``merges`` in
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
    flat: int = 0

    def palette(self, count: int) -> np.ndarray:
        """(n, 3) the palette of ``count`` colours, or all there are; largest first."""
        group = np.arange(len(self.colours))
        for keep, gone in self.merges[: max(len(self.colours) - count, 0)]:
            group[group == gone] = keep
        kept = np.unique(group)
        # the seed with most votes names the group: a mean would be a colour nobody drew
        weight = np.array([self.weights[group == k].sum() for k in kept])
        return self.colours[kept[np.argsort(-weight, kind="stable")]]

    def groups(self, count: int) -> list[np.ndarray]:
        """The palette of ``count`` colours, each with the found colours that were merged into it, (m, 3), its own
        first.

        Above the number proposed each stands alone: what is merged there are shades of one colour.
        """
        palette = self.palette(count)
        if count >= self.proposed:
            return [colour[None] for colour in palette]
        into = np.arange(len(self.colours))
        for keep, gone in self.merges[: len(self.colours) - count]:
            into[into == gone] = keep
        number = {tuple(c): k for k, c in enumerate(self.colours)}
        found = [number[tuple(c)] for c in self.palette(self.proposed)]
        return [np.stack([colour, *(self.colours[f] for f in found
                                    if into[f] == number[tuple(colour)] and f != number[tuple(colour)])])
                for colour in palette]


def noise_level(spread, rings: bool = False) -> float:
    """Typical local range away from edges, 0 to 255: 0 in a clean picture.

    Antialiased edges alone give few small ranges for each large one. Compression rings and
    grain give many; then their median is the level. A wide empty ground does not count. ``rings``: that there is noise
    is known, however many edges there are.
    """
    histogram = tones(spread).astype(float)
    faint, more = histogram[1:_FAINT].sum(), histogram[_FAINT:].sum()
    if not rings and faint < max(_MUCH_FAINT * more, 0.01 * spread.size):
        return 0.0
    quiet = histogram[1:_QUIET]
    return float(1 + np.searchsorted(np.cumsum(quiet), 0.5 * quiet.sum()))


def has_rings(spread) -> bool:
    """Whether the surroundings of edges waver as compression by blocks leaves them: farther from an edge than its own
    soft rim, within a block's width of it, and no farther.

    Parameters
    ----------
    spread : (H, W) uint8, local ranges.

    References
    ----------
    ITU-T T.81 (JPEG): blocks of 8 x 8 pixels, each by itself.
    """
    strong = (spread >= _FAINT).astype(np.uint8)
    rim, block = (cv2.dilate(strong, np.ones((side, side), np.uint8)) > 0 for side in _RING_SIDES)
    faint = (spread > 0) & (spread < _FAINT)
    around, beyond = block & ~rim, ~block
    wavers = faint[around].mean() if around.any() else 0.0
    calm = faint[beyond].mean() if beyond.any() else 0.0
    return bool(wavers >= _RINGING and calm < _RING_MORE * wavers)


def flat_limit(noise: float) -> float:
    """Largest local range that still counts as flat."""
    return float(np.clip(2.2 * noise + 5.0, 6.0, 40.0))


def noise_of(picture: Picture) -> float:
    """``noise_level`` of a picture, of every other row and column where it is large."""
    spread = picture.local_range
    thinned = slice(None, None, 2 if spread.size > _LARGE_PX else 1)
    top, left = ((side - min(side, _RING_SIDE)) // 2 for side in spread.shape)
    return noise_level(spread[thinned, thinned], has_rings(spread[top:top + _RING_SIDE, left:left + _RING_SIDE]))


def _least_votes(size_px):
    radius = (_LEAST_SHARE * size_px / np.pi) ** 0.5
    return max(_LEAST_VOTES, np.pi * max(radius - _RIM_PX, 0.0) ** 2)


def _without_steps(picture, colours, weights, noise, sure=0):
    """Colours and their weights without steps of soft edges; the first ``sure`` ones are none."""
    soft = soft_steps(picture, colours, weights, lambda scale: flat_limit(noise * scale))
    soft[:sure] = False
    return colours[~soft], weights[~soft]


def _stained(colours, weights, size_px):
    """(K,) bool: small modes near a larger one; compression stains flat areas so."""
    lab, order = srgb_to_lab(colours), np.argsort(-weights, kind="stable")
    small = order[weights[order] < _STAIN_SHARE * size_px]
    stained = np.zeros(len(colours), bool)
    if len(small) and len(small) < len(order):
        delta = ciede2000(lab[small][:, None], lab[order][None])
        larger = np.arange(len(order)) < (len(order) - len(small) + np.arange(len(small)))[:, None]
        near = np.where(larger, delta, np.inf).min(1)
        stained[small] = near < np.where(weights[small] < _FEW_SHARE * size_px, _STAIN_FEW_DELTA, _STAIN_DELTA)
    return stained


def find_colours(picture: Picture, *, progress=QUIET) -> ColourTree:
    """Find the colours of a picture and the order in which they merge; raises Cancelled when asked to stop."""
    label = said("Looking for colours")
    progress.step(0, 7, label)
    spread, noise = picture.local_range, noise_of(picture)
    flat = spread <= flat_limit(noise)
    opaque = flat if picture.alpha is None else flat & (picture.alpha >= 128)
    transparent = picture.alpha is not None and bool((picture.alpha < 128).any())
    # an odd step takes pixels of every row and column in turn
    step = max(1, int(np.count_nonzero(opaque)) // _VOTERS) | 1
    pixels = picture.rgb.reshape(-1, 3)[every_nth(opaque, step)]
    progress.step(1, 7, label)
    colours, weights = seeds(pixels, max(_SEED_DELTA, 0.16 * noise))
    weights *= step
    enough = weights >= _least_votes(flat.size)
    if noise > 0:
        enough &= ~_stained(colours, weights, flat.size)
    if enough.any():
        colours, weights = colours[enough], weights[enough]
    colours, weights = _without_steps(picture, colours, weights, noise)
    progress.step(2, 7, label)
    if noise > 0:
        drawn = ~bled_modes(picture.rgb, flat, colours, weights / flat.size, noise)
        colours, weights = colours[drawn], weights[drawn]
    progress.step(3, 7, label)
    apart = separated(pixels, colours, weights, flat.size, noise)
    progress.step(4, 7, label)
    areas = len(colours)
    thin, thin_weights = thin_colours(picture, ~flat, colours, noise)
    colours = np.concatenate([colours, thin])
    weights = np.concatenate([weights, thin_weights])
    progress.step(5, 7, label)
    if noise > 0:
        left, left_weights = left_over(picture.rgb, flat, colours, noise)
        colours, weights = _without_steps(picture, np.concatenate([colours, left]),
                                          np.concatenate([weights, left_weights]), noise, len(colours))
    apart = np.pad(apart, (0, len(colours) - len(apart)))
    if len(colours) == 0:
        colours, weights = seeds(picture.rgb.reshape(-1, 3)[:: max(1, flat.size // _SAMPLE)], 6.0)
        colours, weights = colours[:MAX_COLOURS], weights[:MAX_COLOURS]
        apart = np.zeros((len(colours),) * 2, bool)
    progress.step(6, 7, label)
    merges, cost = _merge_tree(colours, weights, flat.size, apart)
    proposed = _propose(cost, noise, float(flat.mean()))
    if flat.mean() > _FLAT_ART:
        proposed = min(max(proposed, _least_count(colours, weights, merges)), MAX_COLOURS)
    return ColourTree(colours, weights, merges, cost, proposed, noise, float(flat.mean()), transparent, areas)


def _merge_tree(colours, weights, pixels, apart):
    """Merge pairs, cheapest first, until one is left."""
    lab = srgb_to_lab(colours)
    weight = weights.astype(float).copy()
    count = len(colours)
    delta = ciede2000(lab[:, None], lab[None])
    two = apart & (delta >= _TWO_DELTA)
    alive = np.ones(count, bool)
    merges, costs = [], []
    for _ in range(count - 1):
        shared = 2 * weight[:, None] * weight[None] / (weight[:, None] + weight[None]) / pixels
        cost = delta * shared**0.2
        # separate colours are never called one, however small; small ones still merge first
        cost = np.where(two, _SAME_COST * (1.5 + 0.5 * cost), cost)
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


def _least_count(colours, weights, merges):
    """The fewest colours before one of a large part of the picture is merged with one that nobody takes for it."""
    lab, weight = srgb_to_lab(colours), weights.astype(float).copy()
    large = _LARGE_SHARE * weight.sum()
    for number, (keep, gone) in enumerate(merges):
        if weight[gone] >= large and ciede2000(lab[keep][None], lab[gone][None])[0] > _ANOTHER_DELTA:
            return len(colours) - number
        weight[keep] += weight[gone]
    return 1


def _propose(cost, noise, flat_share):
    """Number of colours before merging starts to lose what a person would miss."""
    limit = _SAME_COST + 0.03 * noise
    count = len(cost) + 1
    cheap = np.flatnonzero(np.maximum.accumulate(cost) > limit)
    found = count - (cheap[0] if len(cheap) else len(cost))
    clean = noise == 0 and flat_share > 0.8
    if found <= 12 or (clean and found <= MAX_COLOURS):
        return max(found, 1)
    # shading rather than colours: a dozen tones, at the widest step of the ladder
    steps = np.maximum.accumulate(cost)[-11:]
    return int(12 - np.argmax(np.diff(steps, append=steps[-1])[:9] + 1e-9 * np.arange(9)))
