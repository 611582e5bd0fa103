"""One half of a picture and its mirror image in place of the other."""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.picture.preparing.steps import BOTH, FIRST, SECOND, Mirror

_UPRIGHT_DEG = 0.15
"""An axis nearer than this to upright or level is taken for it, so that no pixel is drawn anew."""
_LEAST_PX = 8
"""A half narrower than half of this is none."""
_SEARCH_PX, _STEP_DEG = 192, 2.0
"""Long side of the picture that a line of symmetry is looked for in, and the steps of its direction."""
_UPRIGHT_BONUS = 0.01
"""Of equally good lines the level or upright one is meant."""


@dataclass(frozen=True, slots=True, eq=False)
class MirrorFrame:
    """``move`` (3, 3) from px before to px after, for the half that stays; ``size`` after; ``is_upright``;
    ``is_turned``:
    pixels have to be drawn anew."""

    move: np.ndarray
    size: tuple[int, int]
    is_upright: bool
    is_turned: bool


def mirror_frame(width: int, height: int, mirror: Mirror) -> MirrorFrame:
    """How a picture of a size is laid out for mirroring."""
    a, b = np.array([mirror.x0 * width, mirror.y0 * height]), np.array([mirror.x1 * width, mirror.y1 * height])
    way = b - a
    is_upright = abs(way[1]) >= abs(way[0])
    along = np.degrees(np.arctan2(way[0], way[1]) if is_upright else np.arctan2(way[1], way[0]))
    slant = (along + 90) % 180 - 90  # from upright or level
    turned = abs(slant) > _UPRIGHT_DEG
    angle = np.radians(slant if is_upright else -slant) if turned else 0.0
    middle = 0.5 * (a + b)
    c, s = np.cos(angle), np.sin(angle)
    turn = np.array([[c, -s], [s, c]])
    length, side = (width, 0) if is_upright else (height, 1)
    sides = {FIRST: float(middle[side]), SECOND: length - float(middle[side])}
    from_line = max(sides.values()) if mirror.keep == BOTH else sides[mirror.keep]
    half = min(max(round(2 * from_line) / 2, _LEAST_PX / 2), float(length))
    whole = int(2 * half)
    size = (whole, height) if is_upright else (width, whole)
    target = middle.copy()
    if not turned:
        target[side] = round(2 * middle[side]) / 2
    shift = -turn @ target
    place = target.copy()
    place[side] = whole / 2
    move = np.eye(3)
    move[:2, :2], move[:2, 2] = turn, shift + place
    return MirrorFrame(move, size, is_upright, turned)


@dataclass(frozen=True, slots=True)
class Halves:
    """The two halves of a mirrored picture: about its upright or its level middle, and the one that ``keep`` says."""

    is_upright: bool
    keep: str

    @classmethod
    def of(cls, mirror: Mirror) -> "Halves":
        return cls(mirror_frame(100, 100, mirror).is_upright, mirror.keep)

    @property
    def axis(self) -> int:
        """The axis of an image that is turned over."""
        return 1 if self.is_upright else 0

    def images(self, places) -> np.ndarray:
        """Places (K, 2), shares of the picture's sides, on the other side."""
        image = np.array(places, float).reshape(-1, 2)
        side = 0 if self.is_upright else 1
        image[:, side] = 1.0 - image[:, side]
        return image

    def stays(self, places) -> np.ndarray:
        """(K,) bool: places on the half that stays; of both where neither does."""
        at = np.asarray(places, float).reshape(-1, 2)[:, 0 if self.is_upright else 1]
        return np.ones(len(at), bool) if self.keep == BOTH else at < 0.5 if self.keep == FIRST else at > 0.5


def mirrored(picture: Picture, mirror: Mirror) -> Picture:
    """A picture of one half and its mirror image, symmetric to the last bit; of both halves, laid about its middle."""
    frame = mirror_frame(picture.width, picture.height, mirror)
    axis = 1 if frame.is_upright else 0

    def work(plane):
        # pixel centres lie at halves
        centred = frame.move.copy()
        centred[:2, 2] += frame.move[:2, :2] @ (0.5, 0.5) - 0.5
        laid = cv2.warpAffine(
            plane,
            centred[:2],
            frame.size,
            flags=cv2.INTER_CUBIC if frame.is_turned else cv2.INTER_NEAREST,
            borderMode=cv2.BORDER_REPLICATE,
        )
        if mirror.keep == BOTH:
            return frozen_array(np.ascontiguousarray(laid))
        other = np.flip(laid, axis)
        at = np.arange(laid.shape[axis]) + 0.5
        stays = at <= laid.shape[axis] / 2 if mirror.keep == FIRST else at >= laid.shape[axis] / 2
        stays = stays.reshape([-1 if k == axis else 1 for k in range(laid.ndim)])
        return frozen_array(np.ascontiguousarray(np.where(stays, laid, other)))
    alpha = None if picture.alpha is None else work(picture.alpha)
    return Picture(work(picture.rgb), alpha, picture.dpi, picture.name, picture.notes)


def mean_of_halves(labels, axis: int) -> tuple[np.ndarray, np.ndarray, np.ndarray]:
    """Labels half-way between an image's and its mirror image's along an axis.

    Returns
    -------
    labels (H, W), other (H, W) the label that comes second at each pixel, and how far (H, W) px the boundary between
    the two is away, at least 0.

    Notes
    -----
    Each label's distance to its boundary, inside positive, is averaged with that of the mirror image (the mean shape by
    distance maps), calmed by a pixel, and the greatest wins.
    """
    known = np.unique(labels)
    depths = []
    for label in known.tolist():
        inside = (labels == label).astype(np.uint8)
        one = _distance(inside) - _distance(1 - inside)
        depths.append(cv2.GaussianBlur(one + np.flip(one, axis), (0, 0), 1.0))
    depth = np.stack(depths) if len(depths) > 1 else np.stack([depths[0], depths[0] - 1e6])
    order = np.argsort(-depth, axis=0, kind="stable")[:2]
    best, second = np.take_along_axis(depth, order, 0)
    names = known if len(known) > 1 else np.repeat(known, 2)
    first, other = names[order[0]], names[order[1]]
    # ties on the axis fall out alike
    half = first.shape[axis] // 2
    mirrored_first, mirrored_other = np.flip(first, axis), np.flip(other, axis)
    stays = (np.arange(first.shape[axis]) <= half).reshape([-1 if k == axis else 1 for k in range(2)])
    return (
        np.where(stays, first, mirrored_first).astype(labels.dtype),
        np.where(stays, other, mirrored_other).astype(labels.dtype),
        np.where(stays, best - second, np.flip(best - second, axis)) / 4,
    )


def _distance(mask):
    return np.minimum(
        cv2.distanceTransform(np.pad(mask, 1, mode="edge"), cv2.DIST_L2, cv2.DIST_MASK_PRECISE)[1:-1, 1:-1], 1e4
    )


def find_axis(picture: Picture, keep: str = FIRST) -> Mirror:
    """The line about which a picture is most nearly its own mirror image.

    Notes
    -----
    What differs from the picture's border counts. For each turn all upright lines are tried at once: how
    well a row agrees with its mirror image about every place is its convolution with itself.
    """
    small = picture.reduced(_SEARCH_PX)
    rgb = small.rgb.astype(np.float32)
    edge = np.concatenate([rgb[0], rgb[-1], rgb[:, 0], rgb[:, -1]])
    weight = np.abs(rgb - np.median(edge, axis=0)).max(2)
    weight = cv2.GaussianBlur(weight, (0, 0), 1.2)
    if weight.max() <= 8:
        return Mirror(0.5, 0.0, 0.5, 1.0, keep)
    coarse = max(
        np.arange(-90.0, 90.0, _STEP_DEG),
        key=lambda d: _agreement(weight, d)[0] + (_UPRIGHT_BONUS if d % 90 == 0 else 0.0),
    )
    turn = max(
        coarse + np.arange(-_STEP_DEG, _STEP_DEG + 0.01, 0.25),
        key=lambda d: _agreement(weight, d)[0] + 1e-4 * (d % 90 == 0),
    )
    return _line(turn, _agreement(weight, turn)[1], small.width, small.height, keep)


def _agreement(weight, degrees):
    """Best agreement of a picture turned by some degrees with its mirror image, and the place of the line, px."""
    height, width = weight.shape
    side = int(np.ceil(np.hypot(height, width)))
    move = cv2.getRotationMatrix2D(((width - 1) / 2, (height - 1) / 2), degrees, 1.0)
    move[:, 2] += ((side - width) / 2, (side - height) / 2)
    turned = cv2.warpAffine(weight, move, (side, side))
    spectrum = np.fft.rfft(turned, 2 * side, axis=1)
    fits = np.fft.irfft((spectrum * spectrum).sum(0), 2 * side)[: 2 * side - 1] / max(
        float((turned * turned).sum()), 1e-9
    )
    best = int(fits.argmax())
    return float(fits[best]), best / 2 + 0.5


def _line(degrees, place, width, height, keep):
    """The line in the unturned picture, as far as it lies in it."""
    side = int(np.ceil(np.hypot(height, width)))
    move = cv2.getRotationMatrix2D(((width - 1) / 2, (height - 1) / 2), degrees, 1.0)
    move[:, 2] += ((side - width) / 2, (side - height) / 2)
    back = cv2.invertAffineTransform(move)
    ends = np.array([[place - 0.5, 0.0], [place - 0.5, side - 1.0]]) @ back[:, :2].T + back[:, 2] + 0.5
    at = ends[0] + np.linspace(0, 1, 2001)[:, None] * (ends[1] - ends[0])
    inside = at[((at >= 0) & (at <= (width, height))).all(1)]
    (x0, y0), (x1, y1) = (inside[0], inside[-1]) if len(inside) > 1 else ((width / 2, 0), (width / 2, height))
    def clip(v, most):
        return float(np.clip(v / most, 0, 1))
    return Mirror(clip(x0, width), clip(y0, height), clip(x1, width), clip(y1, height), keep)
