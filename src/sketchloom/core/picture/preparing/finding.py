"""How a picture lies: its skew, and the corners of a page in it."""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.picture.picture import Picture

_VIEW_PX = 1400
"""Long side of the picture that a lean is found in."""
_PAGE_PX = 700
"""Long side of the picture that a page is found in; its sides are then moved onto the full picture's."""
_LARGEST_SKEW_DEG = 20.0
"""A page that lies in a scanner leans less."""
_SCANNED_DEG, _BOTH = 4.0, 0.1
"""A lean of more is believed where level and upright lines both show it, each with this share (chosen on hatching at 6
to 33 degrees and on scanned pages and frames)."""
_LEAST_PAGE = 0.15
"""A page fills more of the picture than this share."""
_ALL_ALONG, _MOST_ALONG = 0.75, 0.6
"""The share of a side along which the step is seen, of a page by its brightness and by its colour; things beside it may
have its colour (chosen on pages of five tints in rooms of random things, `tests/core/test_pages.py`)."""
_COLOURS, _NEAR, _LIGHT = 10, 11.0, 0.35
"""Colours that a room is parted into, how near to its own colour a page's are (CIELAB), and how much light counts, as
it falls off over a page. Chosen on the same rooms."""
_SEED, _EVERY = 7, 23
"""Colours are told from every so many pixels."""
_NECK = 0.012
"""What is narrower than this share of the picture's shorter side does not belong to the page."""
_LEAST_STEP = 24.0
"""Steps of 255 between a page and what it lies on."""


@dataclass(frozen=True, slots=True)
class Skew:
    """``degrees`` the picture's lines lean clockwise; ``sure`` 0 to 1, how much they agree."""

    degrees: float
    sure: float


def find_skew(grey) -> Skew:
    """How far level and upright lines lean.

    Directions of strong edges, taken modulo a quarter turn, give a first angle; the place where
    the edges' pixels fall into the fewest rows and columns gives the angle itself.

    References
    ----------
    Postl 1986, "Detection of linear oblique structures and skew scan in digitized documents"
    (the projection that is most uneven).
    """
    scale = min(1.0, _VIEW_PX / max(grey.shape))
    if scale < 1:
        grey = cv2.resize(grey, None, fx=scale, fy=scale, interpolation=cv2.INTER_AREA)
    soft = cv2.GaussianBlur(grey, (0, 0), 1.5).astype(np.float32)
    gx, gy = cv2.Scharr(soft, cv2.CV_32F, 1, 0), cv2.Scharr(soft, cv2.CV_32F, 0, 1)
    edge = 6
    gx, gy = gx[edge:-edge, edge:-edge], gy[edge:-edge, edge:-edge]
    size = np.hypot(gx, gy)
    if size.size == 0 or size.max() < 1:
        return Skew(0.0, 0.0)
    strong = size > max(0.35 * float(np.percentile(size, 99.5)), 30.0)
    y, x = np.nonzero(strong)
    if len(y) < 60:
        return Skew(0.0, 0.0)
    weight = size[strong]
    angle = np.degrees(np.arctan2(gy[strong], gx[strong]))
    lean = (angle + 45.0) % 90.0 - 45.0
    near = np.abs(lean) < _LARGEST_SKEW_DEG + 2
    count, borders = np.histogram(lean[near], bins=int(2 * (_LARGEST_SKEW_DEG + 2) / 0.25), weights=weight[near],
                                  range=(-_LARGEST_SKEW_DEG - 2, _LARGEST_SKEW_DEG + 2))
    # a line's edge spreads over about a degree
    count = np.convolve(count, np.hanning(9), "same")
    peak = int(count.argmax())
    rough = float(0.5 * (borders[peak] + borders[peak + 1]))
    of_line = np.abs(lean - rough) < 2.5
    share = float(weight[of_line].sum() / weight.sum())
    sure = float(np.clip((share - 5 / 90) / 0.25, 0, 1))
    upright = np.abs(gx[strong]) > np.abs(gy[strong])
    minor = min(float(weight[of_line & upright].sum()), float(weight[of_line & ~upright].sum()))
    if abs(rough) > _SCANNED_DEG and minor < _BOTH * float(weight[of_line].sum()):
        sure = 0.0  # lines of one direction alone are hatching, or a slant that is drawn
    use = np.flatnonzero(of_line)
    use = use[:: max(1, len(use) // 40_000)]
    degrees = _sharpest(x[use], y[use], gx[strong][use], gy[strong][use], rough)
    return Skew(degrees, sure if abs(degrees) <= _LARGEST_SKEW_DEG else 0.0)


def _sharpest(x, y, gx, gy, rough):
    """The angle near a rough one at which edges fall into the fewest rows and columns."""
    upright = np.abs(gx) > np.abs(gy)
    for width, steps in ((1.2, 25), (0.15, 31)):
        tried = rough + np.linspace(-width, width, steps)
        score = np.array([_evenness(x, y, upright, a) for a in tried])
        best = int(score.argmax())
        rough = float(tried[best])
        if 0 < best < steps - 1:
            left, middle, right = score[best - 1:best + 2]
            bend = left - 2 * middle + right
            rough += float(0.5 * (left - right) / bend) * (tried[1] - tried[0]) if bend < 0 else 0.0
    return rough


def _evenness(x, y, upright, degrees):
    c, s = np.cos(np.radians(degrees)), np.sin(np.radians(degrees))
    total = 0.0
    for values in ((x * c + y * s)[upright], (y * c - x * s)[~upright]):
        if len(values):
            values = values - values.min()
            low = np.floor(values).astype(np.intp)
            part = values - low
            count = np.bincount(low, 1 - part, low.max() + 2) + np.bincount(low + 1, part, low.max() + 2)
            total += float((count * count).sum())
    return total


def find_page(picture: Picture, thorough: bool = False):
    """Corners of a page on what it lies on, from its upper left clockwise, or None.

    As shares of width and height, as ``Preparation.page`` takes them. The page is a large area with four sides, bright
    on something darker; each side is then laid through the steepest change across it. ``thorough``: also one of any
    colour in a room of other things, which takes half a second and is asked for.
    """
    scale = min(1.0, _PAGE_PX / max(picture.width, picture.height))
    size = (max(8, round(picture.width * scale)), max(8, round(picture.height * scale)))
    rgb = cv2.resize(picture.rgb, size, interpolation=cv2.INTER_AREA)
    soft = cv2.GaussianBlur(rgb, (0, 0), 2.0)
    darkest = soft.min(axis=2)  # paper is bright in every channel
    level, _ = cv2.threshold(darkest, 0, 255, cv2.THRESH_OTSU)
    for cut in (level, 0.5 * (level + np.percentile(darkest, 90)), 0.75 * level):
        corners = _four_sides((darkest > cut).astype(np.uint8))
        if corners is not None:
            found = _as_shares(_fitted_sides(darkest, corners, _ALL_ALONG), size)
            if found is not None:
                return found
            break
    return _page_by_colour(soft, size) if thorough else None


def _page_by_colour(soft, size):
    """The page as the largest area of one colour with four sides, in a room that has bright things too."""
    lab = cv2.cvtColor(soft.astype(np.float32) / 255, cv2.COLOR_RGB2LAB) * (_LIGHT, 1.0, 1.0)
    flat = np.ascontiguousarray(lab.reshape(-1, 3)[::_EVERY], np.float32)
    ends = (cv2.TERM_CRITERIA_EPS + cv2.TERM_CRITERIA_MAX_ITER, 12, 1.0)
    cv2.setRNGSeed(_SEED)  # the same picture, the same page
    _, _, colours = cv2.kmeans(flat, _COLOURS, None, ends, 1, cv2.KMEANS_PP_CENTERS)
    for colour in sorted(colours.tolist(), key=lambda c: -c[0]):
        away = np.linalg.norm(lab - colour, axis=2)
        # the page's own colour, in its own light: the middle of what is near
        near = away < _NEAR
        if near.mean() < _LEAST_PAGE / 2:
            continue
        away = np.linalg.norm(lab - np.median(lab[near], axis=0), axis=2)
        likeness = np.clip(255 - 10 * away, 0, 255).astype(np.float32)
        for limit in (0.7 * _NEAR, _NEAR, 1.5 * _NEAR):
            corners = _four_sides(_loosened((away < limit).astype(np.uint8)))
            found = None if corners is None else _as_shares(_fitted_sides(likeness, corners, _MOST_ALONG), size)
            if found is not None:
                return found
    return None


def _loosened(mask):
    """The largest part of a mask, freed of what hangs on it by a neck."""
    reach = max(3, round(_NECK * min(mask.shape)) | 1)
    # what is drawn on the page must not cut it up
    whole = cv2.morphologyEx(mask, cv2.MORPH_CLOSE, np.ones((reach, reach), np.uint8))
    outlines, _ = cv2.findContours(whole, cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_NONE)
    if not outlines:
        return whole
    only = np.zeros_like(mask)
    cv2.drawContours(only, [max(outlines, key=cv2.contourArea)], -1, 1, cv2.FILLED)
    return cv2.morphologyEx(only, cv2.MORPH_OPEN, np.ones((4 * reach + 1,) * 2, np.uint8))


def _as_shares(corners, size):
    if corners is None:
        return None
    shares = (corners + 0.5) / size
    inside = (shares > 0.004).all() and (shares < 0.996).all()
    return tuple((float(x), float(y)) for x, y in shares) if inside else None


def _four_sides(mask):
    height, width = mask.shape
    reach = max(3, round(0.03 * min(height, width)) | 1)
    mask = cv2.morphologyEx(mask, cv2.MORPH_CLOSE, np.ones((reach, reach), np.uint8))
    outlines, _ = cv2.findContours(mask, cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_NONE)
    if not outlines:
        return None
    largest = cv2.convexHull(max(outlines, key=cv2.contourArea))
    area = cv2.contourArea(largest)
    if area < _LEAST_PAGE * width * height:
        return None
    for share in (0.01, 0.02, 0.03, 0.05, 0.08):
        corners = cv2.approxPolyDP(largest, share * cv2.arcLength(largest, True), True).reshape(-1, 2).astype(float)
        if len(corners) == 4:
            if cv2.contourArea(corners.astype(np.float32)) < 0.9 * area:
                return None
            return _clockwise(corners)
    return None


def _clockwise(corners):
    middle = corners.mean(0)
    order = np.argsort(np.arctan2(*(corners - middle).T[::-1]))
    corners = corners[order]
    return np.roll(corners, -int((corners.sum(1)).argmin()), axis=0)


def _fitted_sides(grey, corners, share):
    """Corners where lines meet that are fitted to the page's edge, side by side."""
    grey = grey.astype(np.float32)
    reach = 10.0
    lines = []
    for a, b in zip(corners, np.roll(corners, -1, axis=0), strict=False):
        along = (b - a) / max(np.hypot(*(b - a)), 1e-9)
        across = np.array([-along[1], along[0]])
        t = np.linspace(0.08, 0.92, 90)
        away = np.arange(-reach, reach + 0.25, 0.5)
        at = a + t[:, None, None] * (b - a) + away[None, :, None] * across
        seen = cv2.remap(grey, at[..., 0].astype(np.float32), at[..., 1].astype(np.float32), cv2.INTER_LINEAR,
                         borderMode=cv2.BORDER_REPLICATE)
        step = np.diff(seen, axis=1)  # the page lies on the side of growing ``across``
        place, middle = steepest(step)
        offset = away[0] + 0.25 + 0.5 * place
        points = a + t[:, None] * (b - a) + offset[:, None] * across
        # table on one side and paper on the other, nearly all along
        good = (seen[:, -6:].mean(1) - seen[:, :6].mean(1) > _LEAST_STEP) & (middle > 0)
        line = line_through(points[good]) if good.mean() > share else None
        if line is None:
            return None
        lines.append(line)
    found = np.array([meeting(lines[k - 1], lines[k]) for k in range(4)])
    return found if np.isfinite(found).all() and np.hypot(*(found - corners).T).max() < 0.1 * max(grey.shape) else None


def steepest(step):
    """Where each row (R, K) is largest, in columns to a fraction by a parabola, and how large it is there."""
    centre = np.clip(step.argmax(1), 1, step.shape[1] - 2)
    rows = np.arange(len(step))
    left, middle, right = (step[rows, centre + k] for k in (-1, 0, 1))
    bend = left - 2 * middle + right
    fine = np.where(bend < -1e-6, 0.5 * (left - right) / np.where(bend < -1e-6, bend, 1), 0.0)
    return centre + np.clip(fine, -1, 1), middle


def line_through(points):
    """Point and direction (2,) of a line through most of some points (N, 2); None where they lie on none."""
    use = np.ones(len(points), bool)
    for _ in range(6):
        middle = points[use].mean(0)
        direction = np.linalg.svd(points[use] - middle, full_matrices=False)[2][0]
        off = np.abs((points - middle) @ np.array([-direction[1], direction[0]]))
        keep = off <= max(2.5 * float(np.median(off[use])), 0.3)
        if keep.sum() < 8:
            return None
        use = keep
    return middle, direction


def meeting(one, two):
    """Where two lines meet, each as a point and a direction; not finite where they do not."""
    (p, d), (q, e) = one, two
    cross = d[0] * e[1] - d[1] * e[0]
    if abs(cross) < 1e-6:
        return np.array([np.nan, np.nan])
    t = ((q - p)[0] * e[1] - (q - p)[1] * e[0]) / cross
    return p + t * d
