"""Exercises that are about a picture: its leak, its cut-off."""

import cv2
import numpy as np

from sketchloom.core.base.errors import AppError
from sketchloom.core.base.progress import breathe
from sketchloom.core.base.said import said
from sketchloom.core.edits.gaps import find_gaps
from sketchloom.core.picture.decode import decode
from sketchloom.core.segment.cut_offs import count_cut_offs, pieces_and_holes
from sketchloom.core.segment.tone import otsu_threshold
from sketchloom.files.demo_works import demo
from sketchloom.files.training.exercise import CUT_OFF, LEAK, Choice, Exercise, Shuffled

_LONGEST_PX, _SMALL_PX = 560, 320
_MM = 160.0
"""The longer side of the works in an exercise."""
_TRIES = 40
_NEAR = 0.04
"""A click is right within this share of the picture's longer side."""
_SEEN_PX = 3.0
"""A narrower gap is nothing that an eye finds in so small a picture."""
_WORSE = 0.4
"""A cut-off is plainly worse where pieces and holes, or the ink, differ by this share from the best one's."""


def picture_of(key: str, longest_px: int) -> np.ndarray:
    """(H, W, 3) uint8 of a demo's picture."""
    path = demo(key).picture_path
    picture = decode(path.read_bytes(), path.name)
    rgb = picture.rgb
    if picture.alpha is not None:
        share = picture.alpha[..., None] / 255.0
        rgb = np.rint(rgb * share + 255 * (1 - share)).astype(np.uint8)
    scale = longest_px / max(rgb.shape[:2])
    return cv2.resize(rgb, None, fx=scale, fy=scale, interpolation=cv2.INTER_AREA) if scale < 1 else rgb


def leak(seed: int) -> Exercise:
    """A drawing one of whose outlines is open; the place is what the program's own search finds there."""
    rgb = picture_of("panel", _LONGEST_PX)
    grey = cv2.cvtColor(rgb, cv2.COLOR_RGB2GRAY)
    cut = otsu_threshold(grey)
    ink = grey <= cut
    paper = int(np.median(grey[~ink]))
    wide = cv2.distanceTransform(ink.astype(np.uint8), cv2.DIST_L2, 5)
    before = find_gaps(ink)
    rng = np.random.default_rng(seed)
    ys, xs = np.nonzero((wide > 1.5) & (wide < 6))
    for _ in range(_TRIES):
        breathe()
        at = int(rng.integers(len(xs)))
        x, y = int(xs[at]), int(ys[at])
        opened = grey.copy()
        cv2.circle(opened, (x, y), int(np.ceil(wide[y, x])) + 2, paper, -1)
        found = find_gaps(opened <= cut)
        middle = (found.start + found.end) / 2
        near = np.flatnonzero(np.hypot(*(middle - (x, y)).T) < _NEAR * max(grey.shape) / 2)
        if len(found) == len(before) + 1 and len(near) == 1 and found.gap_px[near[0]] >= _SEEN_PX:
            mm = _MM / max(grey.shape)
            gap, line = float(found.gap_px[near[0]]) * mm, float(found.width_px[near[0]]) * mm
            place = float(middle[near[0], 0]), float(middle[near[0], 1])
            return Exercise(
                LEAK, seed, said("One outline of this drawing is open, so that two areas run into each other. Where?"),
                said("The paper is {gap:.1f} mm wide there, between ends of a line of {line:.1f} mm; to both sides it "
                     "opens to areas more than twice as wide. A bridge over it parts them.", gap=gap, line=line),
                cv2.cvtColor(opened, cv2.COLOR_GRAY2RGB), place=place, near_px=_NEAR * max(grey.shape))
    raise AppError(said("No exercise could be made of this picture; take another one."))


def cut_off(seed: int) -> Exercise:
    """Three cut-offs of a sketch; the best is where nothing comes or goes."""
    rng = np.random.default_rng(seed)
    rgb = picture_of("kingfisher", _LONGEST_PX)
    high, wide = rgb.shape[:2]
    side = int(0.7 * min(high, wide))
    x, y = int(rng.integers(wide - side + 1)), int(rng.integers(high - side + 1))
    grey = cv2.cvtColor(rgb[y:y + side, x:x + side], cv2.COLOR_RGB2GRAY)
    grey = cv2.resize(grey, (_SMALL_PX, _SMALL_PX), interpolation=cv2.INTER_AREA)
    counted = count_cut_offs(grey)
    stretch = counted.stretches[0]
    pieces, holes = pieces_and_holes(grey, counted=counted)
    count, ink = (pieces + holes).astype(float), counted.ink
    at = np.arange(256)
    off_count, off_ink = (np.abs(v / max(v[stretch.best], 1e-6) - 1) for v in (count, ink))
    worse = (off_count > _WORSE) | (off_ink > _WORSE)
    low, high = (np.flatnonzero(worse & side & (ink > 0.002) & (ink < 0.9))
                 for side in (at < stretch.first, at > stretch.last))
    if not len(low) or not len(high):
        raise AppError(said("No exercise could be made of this picture; take another one."))
    three = (stretch.best, int(rng.choice(low)), int(rng.choice(high)))
    order = Shuffled(seed)
    return Exercise(
        CUT_OFF, seed, said("What is darker than the cut-off becomes ink. Which cut-off keeps the drawing?"),
        said("From {first} to {last} next to nothing comes or goes; at {best} there are {pieces} pieces with {holes} "
             "holes, {ink:.0f} % of the picture. At {low} it is {low_pieces} and {low_holes}, {low_ink:.0f} %, as "
             "lines break or go; at {high} {high_pieces} and {high_holes}, {high_ink:.0f} %, as paper turns to ink.",
             first=stretch.first, last=stretch.last, best=stretch.best, low=three[1], high=three[2],
             **{f"{kind}pieces": int(pieces[cut]) for kind, cut in zip(_KINDS, three, strict=True)},
             **{f"{kind}holes": int(holes[cut]) for kind, cut in zip(_KINDS, three, strict=True)},
             **{f"{kind}ink": 100 * float(ink[cut]) for kind, cut in zip(_KINDS, three, strict=True)}),
        cv2.cvtColor(grey, cv2.COLOR_GRAY2RGB),
        order.of([Choice(str(cut), _black(grey <= cut)) for cut in three]), order.where(0))


_KINDS = ("", "low_", "high_")


def _black(ink):
    return np.repeat(np.where(ink, 20, 250).astype(np.uint8)[..., None], 3, axis=2)
