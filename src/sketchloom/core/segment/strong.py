"""Small but strong details of a photo in tones: eyes, the corner of a mouth. Without them a face is lost."""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.progress import breathe
from sketchloom.core.planar.cracks import face_runs

_SPAN = 0.3
"""Side of the preview, as a share of the picture's long side."""
_REACH = 0.8
"""Details this near to each other, in sides of the preview, are seen in it together."""
_LEAST_SHARE = 1 / 12
"""A detail of less of the smallest area is a speck, however strong."""
_TONES_APART, _TONES_AROUND = 2, 1.4
"""Strong is what is so many tones from what takes it in, or from the mean around it, as the light in an eye is."""
_AROUND = 3.0
"""Half the side of what counts as around, in radii of the smallest detail."""
_CENTRE = (0.5, 0.4)
"""Where neither is known: in the middle and a little above, as in a portrait."""


@dataclass(frozen=True, slots=True, eq=False)
class StrongDetails:
    """``raw`` (H, W) labels of the tones before small regions went, ``without`` after; ``places`` (K, 3) x, y and
    area, px, of the strong ones among those that went."""

    raw: np.ndarray
    without: np.ndarray
    places: np.ndarray

    def area(self) -> np.ndarray:
        """(H, W) bool: pixels of the strong details."""
        runs = face_runs(self.raw)
        faces = runs.paint(np.arange(len(runs.face_label), dtype=np.int32))
        chosen = np.zeros(len(runs.face_label), bool)
        x, y = np.floor(self.places[:, :2]).astype(int).T
        chosen[faces[y, x]] = True
        return chosen[faces]

    def kept(self) -> np.ndarray:
        """(H, W) labels with the strong details back."""
        return np.where(self.area(), self.raw, self.without) if len(self.places) else self.without


def strong_details(dropped, dropped_label, labels, lab, least_area_px: float) -> np.ndarray:
    """(K, 3) x, y, area of small regions that differ by several tones from what took them in or from all around.

    Parameters
    ----------
    dropped, dropped_label, labels : as of ``Cleaned``. lab : (n, 3) CIELAB of the labels; they differ by so many tones
    as their colours by steps from one colour to that next to it in lightness.
    least_area_px : area of the smallest detail; what is under a twelfth of it stays lost all the same.
    """
    if len(dropped) == 0:
        return np.empty((0, 3))
    x, y = np.floor(dropped[:, :2]).astype(int).T
    step = np.median(np.linalg.norm(np.diff(lab, axis=0), axis=1)) if len(lab) > 1 else 1.0
    # what is transparent is as far from all others as they are from each other
    shades = np.vstack([lab, np.tile(lab.mean(0) + 100, (256 - len(lab), 1))]).astype(np.float32)
    # an iris lies in the shadow of its lid, one tone away; what it stands out from is the face around both
    side = 2 * round(_AROUND * (least_area_px / np.pi) ** 0.5) + 1
    around = np.empty((len(y), 3), np.float32)
    for channel in range(3):
        breathe()
        image = shades[:, channel][labels]
        around[:, channel] = cv2.blur(image, (side, side), borderType=cv2.BORDER_REFLECT)[y, x]
    its = shades[dropped_label]
    strong = (np.linalg.norm(shades[labels[y, x]] - its, axis=1) >= _TONES_APART * step) | (
        np.linalg.norm(around - its, axis=1) >= _TONES_AROUND * step
    )
    return dropped[strong & (dropped[:, 2] >= _LEAST_SHARE * least_area_px)]


@dataclass(frozen=True, slots=True, eq=False)
class FacePreview:
    """Part of a picture as it is, cut without its strong details and cut with them: (h, w, 3) uint8 each; and how many
    strong details lie in it."""

    source: np.ndarray
    without: np.ndarray
    kept: np.ndarray
    count: int


def face_preview(rgb, details: StrongDetails, colours, place=None) -> FacePreview:
    """A close look at where strong details are, or at a place.

    Parameters
    ----------
    rgb : (H, W, 3) uint8 picture. colours : (n, 3) uint8 of the labels; a label beyond them is nothing and shown white.
    place : x, y as shares of the sides; None for where most strong details lie.
    """
    height, width = rgb.shape[:2]
    side = max(round(_SPAN * max(width, height)), 8)
    x, y = np.asarray(_busiest(details.places, side, width, height) if place is None else place) * (width, height)
    left, top = (int(np.clip(v - side / 2, 0, max(whole - side, 0))) for v, whole in ((x, width), (y, height)))
    part = np.s_[top:top + side, left:left + side]
    shown = np.concatenate([np.asarray(colours, np.uint8), np.full((256 - len(colours), 3), 255, np.uint8)])
    inside = ((details.places[:, :2] >= (left, top)) & (details.places[:, :2] < (left + side, top + side))).all(1)
    return FacePreview(
        np.ascontiguousarray(rgb[part]), shown[details.without[part]], shown[details.kept()[part]], int(inside.sum())
    )


def _busiest(places, side, width, height):
    """The strong detail with most others around it, as shares; a little above the middle where there is none."""
    if len(places) == 0:
        return _CENTRE
    xy = places[:, :2]
    near = (np.abs(xy[:, None] - xy) < _REACH * side).all(-1)
    most = near[near.sum(1).argmax()]
    return xy[most].mean(0) / (width, height)
