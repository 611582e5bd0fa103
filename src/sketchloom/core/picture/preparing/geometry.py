"""Cutting out, turning, and flattening a page seen at a slant."""

import cv2
import numpy as np

from sketchloom.core.picture.picture import Picture, frozen_array

_USUAL_FOCAL = 0.8
"""Focal length by the picture's longer side; 26 to 28 mm on a frame of 36 mm (common practice)."""
_HAIR = 0.004
"""Share of a page's side that its corners may lie amiss (chosen on pages found in photos by phone)."""
_RIM_STEP, _RIM_SHARE = 24, 0.85
"""An edge is of one colour where so much of it differs by no more than this of 255 (common practice, no source)."""
_PARALLEL = 0.02
"""Sides nearer to parallel than this say nothing about the slant."""


def page_size(corners, width: int, height: int) -> tuple[int, int]:
    """Width and height, px, of a page whose corners are seen at shares of a picture.

    The ratio of the sides is worked out from the slant itself, for a camera with square pixels
    that looks at the picture's middle. A page tilted about one axis only does not tell the focal
    length; a pocket camera's is taken then.

    References
    ----------
    Zhang, He 2007, "Whiteboard scanning and image enhancement", section 3.
    """
    xy = np.asarray(corners, float) * (width, height)
    top, right, bottom, left = np.hypot(*(np.roll(xy, -1, axis=0) - xy).T)
    across, down = max(top, bottom), max(left, right)
    ratio = _true_ratio(xy - (width / 2, height / 2), across / down, _USUAL_FOCAL * max(width, height))
    if across / down > ratio:
        down = across / ratio
    else:
        across = down * ratio
    return max(8, round(across)), max(8, round(down))


def _true_ratio(xy, seen_ratio, usual_focal):
    """Width over height of a rectangle in space from its picture, the middle of the camera's view at 0."""
    m = np.column_stack([xy, np.ones(4)])[[0, 1, 3, 2]]  # upper left, upper right, lower left, lower right
    k2 = (np.cross(m[0], m[3]) @ m[2]) / (np.cross(m[1], m[3]) @ m[2])
    k3 = (np.cross(m[0], m[3]) @ m[1]) / (np.cross(m[2], m[3]) @ m[1])
    n2, n3 = k2 * m[1] - m[0], k3 * m[2] - m[0]
    focal2 = usual_focal**2
    if min(abs(n2[2]), abs(n3[2])) > _PARALLEL:
        told = -(n2[0] * n3[0] + n2[1] * n3[1]) / (n2[2] * n3[2])
        if (0.4 * usual_focal) ** 2 < told < (6 * usual_focal) ** 2:
            focal2 = told
    scale = np.array([1 / focal2, 1 / focal2, 1.0])
    ratio = float(np.sqrt((n2 * n2 @ scale) / (n3 * n3 @ scale)))
    return ratio if 0.5 * seen_ratio < ratio < 2 * seen_ratio else seen_ratio


def page_flattened(picture: Picture, corners) -> Picture:
    """The page whose corners are given, seen straight on, its very edge looking like what lies beside it.

    Its resolution is no longer known.
    """
    width, height = page_size(corners, picture.width, picture.height)
    seen = np.asarray(corners, np.float32) * np.array([picture.width, picture.height], np.float32) - np.float32(0.5)
    flat = np.array([[0, 0], [width, 0], [width, height], [0, height]], np.float32) - np.float32(0.5)
    move = cv2.getPerspectiveTransform(seen, flat)
    dx, dy = (max(1, round(_HAIR * side)) for side in (width, height))

    def flattened(plane):
        seen = cv2.warpPerspective(plane, move, (width, height), flags=cv2.INTER_CUBIC, borderMode=cv2.BORDER_REPLICATE)
        # no hair of what the page lies on is left along its sides, and the page keeps its size
        return cv2.copyMakeBorder(seen[dy:height - dy, dx:width - dx], dy, dy, dx, dx, cv2.BORDER_REPLICATE)
    return _warped(picture, flattened, None)


def turned_size(width: int, height: int, degrees: float) -> tuple[int, int]:
    """Size of a picture turned about its middle. Small angles keep it, quarter turns swap its sides."""
    if abs(degrees) <= 30:
        return width, height
    turn = np.radians(degrees)
    c, s = abs(np.cos(turn)), abs(np.sin(turn))
    return round(width * c + height * s), round(width * s + height * c)


def turned(picture: Picture, degrees: float) -> Picture:
    """A picture turned clockwise about its middle; what comes in at the corners looks like its edge."""
    width, height = turned_size(picture.width, picture.height, degrees)
    quarters = degrees / 90
    if quarters == round(quarters):
        return _warped(picture, lambda plane: np.ascontiguousarray(np.rot90(plane, -int(quarters))), picture.dpi)
    move = cv2.getRotationMatrix2D(((picture.width - 1) / 2, (picture.height - 1) / 2), -degrees, 1.0)
    move[:, 2] += ((width - picture.width) / 2, (height - picture.height) / 2)
    return _warped(picture, lambda plane: cv2.warpAffine(
        plane, move, (width, height), flags=cv2.INTER_CUBIC, borderMode=cv2.BORDER_REPLICATE), picture.dpi)


def crop_box(width: int, height: int, crop) -> tuple[int, int, int, int]:
    """Left, top, right, bottom in px of shares of a picture; at least 8 px each way."""
    x0, y0 = int(crop[0] * width), int(crop[1] * height)
    x0, y0 = min(x0, max(width - 8, 0)), min(y0, max(height - 8, 0))
    return x0, y0, min(max(round(crop[2] * width), x0 + 8), width), min(max(round(crop[3] * height), y0 + 8), height)


def cropped(picture: Picture, crop) -> Picture:
    """The part between left, top, right and bottom shares."""
    x0, y0, x1, y1 = crop_box(picture.width, picture.height, crop)
    return _warped(picture, lambda plane: plane[y0:y1, x0:x1], picture.dpi)


def room_px(width: int, height: int, room) -> tuple[int, int, int, int]:
    """Left, top, right and bottom px beyond a picture, of shares of its sides."""
    return tuple(round(share * side) for share, side in zip(room, (width, height, width, height), strict=True))


def with_room(picture: Picture, room) -> Picture:
    """A picture on a larger page: of the colour of its own edge where that is one colour, transparent where the picture
    has transparency, white else."""
    left, top, right, bottom = room_px(picture.width, picture.height, room)
    rgb = picture.rgb
    rim = np.concatenate([rgb[0], rgb[-1], rgb[:, 0], rgb[:, -1]]).astype(int)
    middle = np.median(rim, axis=0)
    is_one = (np.abs(rim - middle).max(1) <= _RIM_STEP).mean() >= _RIM_SHARE
    colour = middle.tolist() if is_one else [255, 255, 255]

    def padded(plane, value):
        return frozen_array(cv2.copyMakeBorder(plane, top, bottom, left, right, cv2.BORDER_CONSTANT, value=value))
    alpha = None if picture.alpha is None else padded(picture.alpha, 0)
    return Picture(padded(rgb, colour), alpha, picture.dpi, picture.name, picture.notes)


def _warped(picture, work, dpi):
    alpha = None if picture.alpha is None else frozen_array(work(picture.alpha))
    return Picture(frozen_array(work(picture.rgb)), alpha, dpi, picture.name, picture.notes)
