"""A first placing of any number of bodies, by masks of what is taken: each goes where it reaches least far."""

import cv2
import numpy as np

from sketchloom.core.base.progress import breathe
from sketchloom.core.base.raster import filled
from sketchloom.core.sheets.placing.nofit import Body
from sketchloom.core.sheets.placing.search import Bin

_ROUND_MM = 1e-6
_TOUCHED = 0.7072
"""Half the diagonal of a pixel: a shape grown by it holds the middle of every pixel it touches."""


class Taken:
    """What of a bin is taken, on a raster of ``step`` mm."""

    def __init__(self, bin_: Bin, step: float):
        self.step, self.bin = step, bin_
        # a mask is larger than its form by up to a pixel and a half all round: it may reach over the edge, the form not
        self.mask = np.zeros((int(bin_.high / step) + 3, int(bin_.wide / step) + 3), np.uint8)

    def first(self, form, form_mask) -> tuple[int, int] | None:
        """The place, px, to the left and then up, at which a form's mask meets nothing that is taken; None for none."""
        height, width = form_mask.shape
        left, top, right, bottom = form.box
        rows = int(np.floor((self.bin.high - (bottom - top) + _ROUND_MM) / self.step)) + 1
        columns = int(np.floor((self.bin.wide - (right - left) + _ROUND_MM) / self.step)) + 1
        rows, columns = min(rows, self.mask.shape[0] - height + 1), min(columns, self.mask.shape[1] - width + 1)
        if rows < 1 or columns < 1:
            return None
        used = int(np.flatnonzero(self.mask.any(0)).max(initial=-1)) + 1
        columns = min(columns, used + 1)  # beyond what is taken any place is as good as the first
        met = cv2.matchTemplate(self.mask[:rows + height - 1, :columns + width - 1].astype(np.float32),
                                form_mask.astype(np.float32), cv2.TM_CCORR)
        free = met < 0.5
        at = free.any(0)
        if not at.any():
            return None
        x = int(at.argmax())
        return x, int(free[:, x].argmax())

    def take(self, form_mask, place) -> None:
        x, y = place
        self.mask[y:y + form_mask.shape[0], x:x + form_mask.shape[1]] |= form_mask


def mask_of(form, step: float) -> np.ndarray:
    """(H, W) uint8: pixels that a form touches, from the left and top of its box."""
    left, top, right, bottom = form.box
    shape = (int(np.ceil((bottom - top) / step)) + 1, int(np.ceil((right - left) / step)) + 1)
    grown = form.area.buffer(_TOUCHED * step, quad_segs=3)
    rings = [np.asarray(r.coords)[:-1] for p in getattr(grown, "geoms", [grown]) for r in (p.exterior, *p.interiors)]
    # whole rings by turns: the library gives shells and windows opposite ways
    return filled([(r - (left, top)) / step for r in rings], shape).astype(np.uint8)


Spot = tuple[int, int, float, float]
"""Number of the bin and of the turn, and the place x, y, mm."""


def first_places(bodies: list[Body], order, bins, step: float, more=None, at: dict[int, Spot] | None = None,
                 turns: int | None = None) -> dict[int, Spot]:
    """Bodies one after the other into the first bin that has room.

    Parameters
    ----------
    bins : of those that are there; ``more()`` gives another one, None for no more. at : bodies that have their place.
    turns : only so many of the turns, the first ones.

    Returns
    -------
    made : place of every body that found one.
    """
    taken = [Taken(b, step) for b in bins]
    there = len(taken)
    masks: dict[tuple[int, int], np.ndarray] = {}

    def mask(n, turn):
        key = (id(bodies[n]), turn)
        if key not in masks:
            masks[key] = mask_of(bodies[n].forms[turn], step)
        return masks[key]

    made = dict(at or {})
    for n, (number, turn, x, y) in made.items():
        form = bodies[n].forms[turn]
        place = (max(round((x + form.box[0]) / step), 0), max(round((y + form.box[1]) / step), 0))
        _take_within(taken[number], mask(n, turn), place)
    for n in order:
        if n in made:
            continue
        breathe()
        number = 0
        while n not in made:
            if number == len(taken):
                bin_ = more() if more is not None else None
                if bin_ is None:
                    break
                bins.append(bin_)
                taken.append(Taken(bin_, step))
            best: tuple[tuple[int, int], int, tuple[int, int]] | None = None
            for turn in range(len(bodies[n].forms))[:turns]:
                free = taken[number].first(bodies[n].forms[turn], mask(n, turn))
                if free is not None:
                    reach = (free[0] + mask(n, turn).shape[1], free[1] + mask(n, turn).shape[0])
                    best = min(best or (reach, turn, free), (reach, turn, free))
            if best is not None:
                _, turn, place = best
                taken[number].take(mask(n, turn), place)
                form = bodies[n].forms[turn]
                made[n] = (number, turn, place[0] * step - form.box[0], place[1] * step - form.box[1])
            elif more is not None and there <= number == len(taken) - 1 and not taken[number].mask.any():
                break  # not even an empty one takes it; one that was there may be a small rest
            number += 1
    return made


def _take_within(taken, mask, place):
    x, y = place
    height, width = min(mask.shape[0], taken.mask.shape[0] - y), min(mask.shape[1], taken.mask.shape[1] - x)
    if height > 0 and width > 0:
        taken.take(mask[:height, :width], place)
