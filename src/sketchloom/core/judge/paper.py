"""Is a picture ink on paper, whatever the light fell like?"""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.progress import breathe
from sketchloom.core.picture.picture import Picture
from sketchloom.core.picture.preparing.light import paper_light
from sketchloom.core.segment.light_parts import parts_on_ink
from sketchloom.core.segment.tone import otsu_threshold

PAPER_LIGHT = 90.0
"""Lightness (CIELAB) from which a ground may be paper, which nobody misses (common practice, no source)."""
_VIEW_PX = 800
"""Long side of the picture that is looked at: strokes of a drawing stay, grain goes."""
_BARE, _LEAST_BARE = 0.86, 0.4
"""What keeps this share of the light around it is bare paper, and a page is so much of that."""
_CAST, _APART = 0.03, 4
"""Paper is of one cast: its channels keep their ratio within this, looked at in pixels so far apart, as light changes
slowly."""
_TINTED, _COLOURED = 0.16, 0.06
"""Ink with a stronger cast than this share of the paper's light is a colour; no more of the ink than this is one."""
_BETWEEN, _LEAST_DEPTH = 0.06, 0.12
"""So much of what is drawn may lie between ink and paper, and ink takes at least so much of the light. This figure and
those above were chosen on the sketches of `bench/proposals` that are not set aside, and on its drawings and photo-like
pictures, none of which is paper."""
_NEAR_INK, _NEAR_BARE = 0.2, 0.15
"""Tones nearer to ink, or to paper, than these shares of the way are that (chosen like the figures above, and on a
drawing in three flat greys, which are three sheets)."""
_DRAWN_LIGHT = 0.07
"""What takes less of the light is paper, whatever its edges are like (watermarks)."""
_SOLID_PX = 3
"""Tones between count where they are wider than twice this, px of the view: soft strokes of a pencil are not (chosen on
the demo's sketch by telephone, 0.05 of it at 2 and 0.007 at 3)."""
_STROKE, _SHADE, _SHARP, _FEW = 0.03, 0.5, 0.02, 0.004
"""A second look closes strokes up to twice this share of the side; what then keeps so much of the light is in shadow,
where its edges are soft: no more than the last share of all places change by more than the third figure a pixel (hands
and telephones over a page throw such shadows; a drawn grey ends at an edge)."""
_EDGE = np.ones((3, 3), np.uint8)


@dataclass(frozen=True, slots=True, eq=False)
class Page:
    """``share`` (H, W) of the light that a page throws back at each place, 1 for bare paper; ``cut`` between ink and
    paper."""

    share: np.ndarray
    cut: float

    @property
    def ink(self) -> np.ndarray:
        return self.share <= self.cut


def page_of(picture: Picture) -> Page | None:
    """What a page throws back of its light, None where the picture is not colourless ink on paper of one cast.

    Transparent ground is paper; where it is there, what is drawn in white or a light colour is meant as one.
    """
    view = picture.reduced(_VIEW_PX)
    if view.alpha is not None:
        return _cut_out(view)
    page, between = _drawn(view)
    return page if between <= _BETWEEN else None


def has_lighter_parts(picture: Picture) -> bool:
    """Whether what is drawn in ink on paper has parts of another grey: then it is no drawing in ink alone."""
    return picture.alpha is None and _BETWEEN < _drawn(picture.reduced(_VIEW_PX))[1] < 1.0


def _drawn(view):
    """The page, and the share of what is drawn that is neither ink nor paper; None and 1 where it is no page."""
    lit = paper_light(view.rgb)
    some = lit[::_APART, ::_APART]
    cast = some / some.mean(2, keepdims=True)
    if (np.abs(cast - np.median(cast, axis=(0, 1))) > _CAST).any(2).mean() > 0.05:
        return None, 1.0
    breathe()
    soft = cv2.GaussianBlur(view.rgb.astype(np.float32), (0, 0), 0.8)
    thrown = soft / np.maximum(_with_shadows(soft, lit), 1.0)  # black all over has no light to divide by
    breathe()
    share = np.clip(thrown.mean(2), 0, 1)
    if (share >= _BARE).mean() < _LEAST_BARE:
        return None, 1.0
    cut = otsu_threshold(np.rint(255 * share).astype(np.uint8)) / 255
    ink = share <= cut
    if not ink.any() or 1 - np.median(share[ink]) < _LEAST_DEPTH:
        return None, 1.0
    if (np.ptp(thrown[ink], axis=1) > _TINTED).mean() > _COLOURED:
        return None, 1.0
    return Page(share, cut), _between(share, ink, soft.mean(2))


def _cut_out(view):
    alpha = view.alpha[..., None].astype(np.float32) / 255
    share = view.rgb / 255 * alpha + 1 - alpha
    solid = alpha[..., 0] > 0.9
    ink = share.mean(2) <= 0.5
    if not ink.any() or (solid & ~ink).sum() > _BETWEEN * solid.sum():
        return None
    return Page(share.mean(2), 0.5) if (np.ptp(share[ink], axis=1) > _TINTED).mean() <= _COLOURED else None


def _with_shadows(soft, lit):
    """The light where soft shadows fall as well."""
    reach = max(3, round(2 * _STROKE * min(soft.shape[:2])) | 1)
    # of bytes: of floats, looking for a page takes nearly twice as long (measured on a view of ink)
    closed = cv2.morphologyEx(np.rint(soft).astype(np.uint8), cv2.MORPH_CLOSE, cv2.getStructuringElement(
        cv2.MORPH_ELLIPSE, (reach, reach)), borderType=cv2.BORDER_REPLICATE).astype(np.float32)
    breathe()
    shaded = closed.mean(2) > _SHADE * lit.mean(2)
    filled = np.where(shaded[..., None], closed, lit)
    smooth = cv2.GaussianBlur(filled, (0, 0), reach / 3, borderType=cv2.BORDER_REPLICATE)
    breathe()
    level = np.log(cv2.GaussianBlur(filled.mean(2), (0, 0), 2.0))
    steep = np.hypot(cv2.Sobel(level, cv2.CV_32F, 1, 0), cv2.Sobel(level, cv2.CV_32F, 0, 1)) / 8 > _SHARP
    return lit if steep.mean() > _FEW else smooth


def _between(share, ink, seen):
    """Share of what is drawn that is neither ink nor paper, edges of strokes left out.

    Large light parts of a drawing look like paper in less light: they are told by their edges in what is ``seen``.
    """
    dark = float(np.percentile(share[ink], 10))
    middle = (share > dark + _NEAR_INK * (1 - dark)) & (share < 1 - _NEAR_BARE * (1 - dark))
    solid = cv2.erode(middle.astype(np.uint8), _EDGE, iterations=_SOLID_PX)
    solid = cv2.dilate(solid, _EDGE, iterations=_SOLID_PX).astype(bool)
    bright = np.minimum(seen / max(float(np.median(seen[~ink])), 1.0), 1.0)
    light = parts_on_ink((bright < 1 - _DRAWN_LIGHT) & ~middle & ~ink, ink, bright)
    return float((solid | light).sum()) / max(float((middle | ink | light).sum()), 1.0)
