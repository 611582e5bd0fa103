"""The bed of a machine in a picture taken by hand: its corners, found from the printed page that lies on it.

The page's marks tell the slant of the picture. Seen as from straight above, the bed is a rectangle of a known size
whose place and turn are not known: the one whose four sides lie on the strongest steps. Each side is then laid through
the steps as they are in the picture itself.
"""

import itertools
from dataclasses import replace

import cv2
import numpy as np

from sketchloom.core.base.errors import PictureError
from sketchloom.core.base.said import said
from sketchloom.core.picture.preparing.finding import line_through, meeting, steepest
from sketchloom.core.printing.camera import spots_of
from sketchloom.core.printing.marks import MARK_MM, places_of

_SHARES = tuple(1.4**n / 320 for n in range(5))
"""Radii of marks that are looked for, of the picture's longer side: from a page of which three would stand in the
picture to one that fills it."""
_LOOK_PX = 7.0
"""Radius of a mark in the smaller picture in which it is looked for."""
_SIZE_OFF, _MOST_SLANT = 0.3, 3.0
"""A mark is as large as the slant says, to a share; and a near end looks no larger than so many times the far one."""
_LOOKS = ((2.0, np.arange(-20.0, 20.01, 1.0)), (0.5, np.arange(-0.8, 0.81, 0.2)))
"""Pixels, mm, of the picture as from straight above in which the bed is looked for, and turns that are tried: how far a
page lies turned on its bed, beside quarter turns, and how far from what was best so far."""
_MOST_SIDE_PX = 6000
"""A very large bed is looked for less finely: memory is bounded."""
_SIZE_FREE = 0.02
"""What the marks tell is stretched over a bed that is much larger than the page: its sides may be off by a share."""
_REACH_MM, _ALONG, _SEEN = 1.5, 120, 0.6
"""A side is looked for so far from where it should be, at so many places, and is seen at this share of them at least
(chosen on beds of five tones on four grounds, `tests/core/test_bed.py`)."""
_BEYOND = 4.0
"""A bed that would be so many times as long as its picture, at the scale of the page on it, is not all in there: a
slant of 35 degrees makes its far end half as large."""
_BY_HAND = 0.008
"""A corner shown by hand in a small picture lies so near, as a share of the picture's longer side."""
_LEAST_STEP, _MOST_STEP = 5.0, 12.0
"""Steps of 255 from the bed to what it lies on, and what counts of one at most: a long side counts, not a few strong
places."""


def bed_corners(grey, page_mm, bed_mm, name: str = "") -> np.ndarray:
    """Corners (4, 2) px of a bed in a picture of it, from its upper left clockwise as the picture shows it.

    Parameters
    ----------
    grey : (H, W) uint8. page_mm, bed_mm : width and height of the printed page and of the bed.

    Raises
    ------
    PictureError : the page's marks, or the bed's four sides, are not found.
    """
    grey = np.asarray(grey, np.uint8)
    to_px = _page_plane(grey, page_mm)
    if to_px is None:
        raise PictureError(name, said("the four marks of the page were not found."),
                           said("Take it with all marks in it, without shadows across them."))
    long_px = max(bed_mm) * _scale_at(to_px, np.asarray(page_mm) / 2)
    for corners in () if long_px > _BEYOND * max(grey.shape) else _rectangles(grey, to_px, page_mm, bed_mm):
        found = _laid_through(grey, corners, _REACH_MM * _scale_at(to_px, np.asarray(page_mm) / 2))
        if found is not None:
            return _from_upper_left(found, bed_mm)
    raise PictureError(name, said("the four sides of the bed were not found."),
                       said("Take it with the whole bed in it, or show its corners by hand."))


def snapped(grey, corners) -> np.ndarray:
    """Corners (4, 2) px that were shown by hand, laid through the steps near the sides between them where those are
    seen."""
    corners = np.asarray(corners, float)
    found = _laid_through(np.asarray(grey, np.uint8), corners, _BY_HAND * max(np.shape(grey)))
    return corners if found is None else found


def _page_plane(grey, page_mm):
    """What takes mm of the page to px (3, 3), by its four marks; None where they are not there."""
    wanted = places_of(*page_mm).astype(np.float32)
    best = None
    for share in _SHARES:
        spots = _spots(grey, share * max(grey.shape))
        discs = [s for s in spots if not s.is_ring]
        for ring in (s for s in spots if s.is_ring):
            for three in itertools.combinations(discs, 3):
                found = _as_page(ring, three, wanted)
                if found is not None and (best is None or found[0] < best[0]):
                    best = found
    return None if best is None else best[1]


def _spots(grey, radius_px):
    """Spots of about a size, px of a picture whose pixel (0, 0) has its middle there."""
    shrink = min(_LOOK_PX / radius_px, 1.0)
    small = cv2.resize(grey, None, fx=shrink, fy=shrink, interpolation=cv2.INTER_AREA) if shrink < 1 else grey
    return [replace(s, x=s.x / shrink - 0.5, y=s.y / shrink - 0.5, radius=s.radius / shrink)
            for s in spots_of(small, radius_px * shrink)]


def _as_page(ring, three, wanted):
    """How badly the sizes of four marks fit a page, and what takes its mm to px; None where it cannot be."""
    marks = (ring, *three)
    there = np.array([(s.x, s.y) for s in marks])
    middle = there.mean(0)
    turn = np.argsort((np.arctan2(*(there - middle).T[::-1]) - np.arctan2(*(there[0] - middle)[::-1])) % (2 * np.pi))
    around = there[turn]  # clockwise from the ring at the lower right: lower left, upper left, upper right
    if not cv2.isContourConvex(around.astype(np.float32).reshape(-1, 1, 2)):
        return None
    matrix = cv2.getPerspectiveTransform(wanted[[3, 2, 0, 1]], around.astype(np.float32))
    scale = _scales(matrix, wanted[[3, 2, 0, 1]])
    if scale.min() <= 0 or scale.max() > _MOST_SLANT * scale.min():
        return None
    off = np.abs(np.array([marks[k].radius for k in turn]) / (scale * MARK_MM) - 1).max()
    return (float(off), matrix) if off < _SIZE_OFF else None


def _scales(matrix, places):
    """Px a mm at places of the page, the root of what areas are multiplied by; 0 where it is turned over."""
    ahead = np.array([(x, y, 1.0) for x, y in places]) @ matrix.T
    area = np.linalg.det(matrix) / ahead[:, 2] ** 3
    return np.sqrt(np.maximum(area, 0))


def _scale_at(matrix, place):
    return float(_scales(matrix, [place])[0])


def _rectangles(grey, to_px, page_mm, bed_mm):
    """Corners (4, 2) px of rectangles of the bed's size on strong steps, the best first: the bed laid along the page,
    and across it."""
    size, middle = np.asarray(bed_mm, float), np.asarray(page_mm, float) / 2
    made = [(0.0, 0.0, wide, high, np.zeros((4, 2))) for wide, high in {(size[0], size[1]), (size[1], size[0])}]
    for mm, turns in _LOOKS:
        above = _Above(grey, to_px, middle, float(np.hypot(*size)), mm)
        made = [max((above.at_turn(degrees + turn, wide, high) for turn in turns), key=lambda one: one[0])
                for _, degrees, wide, high, _ in made]
    for *_, flat in sorted(made, key=lambda one: -one[0]):
        ahead = np.column_stack([flat, np.ones(4)]) @ to_px.T
        yield ahead[:, :2] / ahead[:, 2:]


class _Above:
    """The picture as from straight above, with pixels of so many mm, so far around the page's middle."""

    def __init__(self, grey, to_px, middle, around, mm):
        mm = max(mm, 2 * around / _MOST_SIDE_PX)
        self.mm, self.side = mm, round(2 * around / mm)
        self.to_page = np.array([[mm, 0, middle[0] - around], [0, mm, middle[1] - around], [0, 0, 1.0]])
        back = np.linalg.inv(to_px @ self.to_page)
        size = (self.side, self.side)
        shrink = max(0.3 * mm * _scale_at(to_px, middle), 0.8)  # many pixels fall on one
        self.light = cv2.warpPerspective(cv2.GaussianBlur(grey, (0, 0), shrink), back, size).astype(np.float32)
        known = cv2.warpPerspective(np.ones_like(grey), back, size, flags=cv2.INTER_NEAREST)
        self.known = cv2.erode(known, np.ones((7, 7), np.uint8))

    def at_turn(self, degrees, wide, high):
        """How strong the sides of the best rectangle of a size are that lies turned so; the turn, the size, and its
        corners (4, 2), mm of the page."""
        matrix = cv2.getRotationMatrix2D((self.side / 2, self.side / 2), degrees, 1.0)
        seen = cv2.warpAffine(self.light, matrix, self.light.shape)
        sure = cv2.warpAffine(self.known, matrix, self.light.shape, flags=cv2.INTER_NEAREST)
        strength, places = 0.0, []
        for axis, length in ((0, wide), (1, high)):
            step = np.abs(np.diff(seen, axis=1 - axis))
            both = np.minimum(np.delete(sure, -1, 1 - axis), np.delete(sure, 0, 1 - axis))
            profile = (np.minimum(step, _MOST_STEP) * both).sum(axis)
            score, first, last = _pair(profile, length / self.mm, self.side / 2)
            strength += score * self.mm
            places.append((first + 0.5, last + 0.5))
        (left, right), (top, bottom) = places
        flat = np.array([(left, top), (right, top), (right, bottom), (left, bottom)])
        flat = (flat - matrix[:, 2]) @ np.linalg.inv(matrix[:, :2]).T
        return strength, degrees, wide, high, flat @ self.to_page[:2, :2].T + self.to_page[:2, 2]


def _pair(profile, apart, middle):
    """Two places of a profile a length apart, the page's middle between them, the weaker of which is strongest."""
    best = (0.0, 0, 0)
    for distance in range(int(apart * (1 - _SIZE_FREE)), int(apart * (1 + _SIZE_FREE)) + 2):
        weaker = np.minimum(profile[:-distance], profile[distance:])
        first = np.arange(len(weaker))
        weaker = np.where((first < middle) & (first + distance > middle), weaker, 0)
        k = int(weaker.argmax())
        if weaker[k] > best[0]:
            best = (float(weaker[k]), k, k + distance)
    return best


def _laid_through(grey, corners, reach_px):
    """Corners where lines meet that are fitted to the steps near the sides of a quadrangle; None where one is not
    seen."""
    soft = cv2.GaussianBlur(grey, (0, 0), 1.0).astype(np.float32)
    lines = []
    for a, b in zip(corners, np.roll(corners, -1, axis=0), strict=True):
        line = _side(soft, a, b, reach_px)
        if line is None:
            return None
        lines.append(line)
    found = np.array([meeting(lines[k - 1], lines[k]) for k in range(4)])
    near = np.hypot(*(found - corners).T).max() < 2 * reach_px
    return found if np.isfinite(found).all() and near else None


def _side(soft, a, b, reach_px):
    along = (b - a) / max(np.hypot(*(b - a)), 1e-9)
    across = np.array([-along[1], along[0]])
    t = np.linspace(0.04, 0.96, _ALONG)
    away = np.arange(-reach_px, reach_px + 0.25, 0.5)
    at = a + t[:, None, None] * (b - a) + away[None, :, None] * across
    seen = cv2.remap(soft, at[..., 0].astype(np.float32), at[..., 1].astype(np.float32), cv2.INTER_LINEAR,
                     borderMode=cv2.BORDER_REPLICATE)
    best = None
    for sign in (1.0, -1.0):  # the bed is lighter than what it lies on, or darker
        place, _ = steepest(sign * np.diff(seen, axis=1))
        centre = np.rint(place).astype(int)
        offset = away[0] + 0.25 + 0.5 * place
        points = a + t[:, None] * (b - a) + offset[:, None] * across
        width = max(int(2 * reach_px / 3), 2)
        height = np.abs(_beside(seen, centre, width) - _beside(seen, centre, -width))
        good = height > _LEAST_STEP
        line = line_through(points[good]) if good.mean() > _SEEN else None
        if line is None:
            continue
        off = np.abs((points[good] - line[0]) @ np.array([-line[1][1], line[1][0]]))
        share = float((off < 1.0).mean()) * float(good.mean())
        if best is None or share > best[0]:
            best = share, line
    return None if best is None or best[0] < _SEEN / 2 else best[1]


def _beside(seen, centre, width):
    """Means of what lies on one side of a place of each row."""
    ends = np.clip(centre + width, 0, seen.shape[1] - 1)
    total = np.cumsum(np.pad(seen, ((0, 0), (1, 0))), axis=1)
    rows = np.arange(len(seen))
    low, high = np.minimum(centre, ends), np.maximum(centre, ends)
    return (total[rows, high + 1] - total[rows, low]) / (high + 1 - low)


def _from_upper_left(corners, bed_mm):
    """Corners clockwise, so that the first side is the bed's width, the one nearest the upper left first of those
    that may be."""
    middle = corners.mean(0)
    corners = corners[np.argsort(np.arctan2(*(corners - middle).T[::-1]))]
    first = int(corners.sum(1).argmin())
    corners = np.roll(corners, -first, axis=0)
    lengths = np.hypot(*(np.roll(corners, -1, axis=0) - corners).T)
    is_wide = lengths[0] + lengths[2] > lengths[1] + lengths[3]
    return corners if is_wide == (bed_mm[0] >= bed_mm[1]) else np.roll(corners, -1, axis=0)
