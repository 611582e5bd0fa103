"""The ornament of the sign over the lantern quay: a lantern between two tendrils with leaves, and room for words."""

import math

import numpy as np

from demo.brush import Sheet, curve, disc, rounded, spline, swell
from demo.pictures import GOLD, NIGHT

_TENDRIL = ((436, 455), (392, 415), (330, 398), (262, 420), (205, 452), (140, 456), (88, 425), (78, 375), (110, 342),
            (150, 352), (158, 388), (132, 404))
_LEAVES = ((0.17, -1), (0.27, 1), (0.37, -1), (0.55, -1))
"""Where leaves sit along the tendril, and on which side."""


def _leaf(s, path, share, side, long=70):
    at, ahead = path.pointAtPercent(share), path.pointAtPercent(share + 0.01)
    along = math.degrees(math.atan2(ahead.y() - at.y(), ahead.x() - at.x()))
    s.painter.save()
    s.painter.translate(at)
    s.painter.rotate(along + 62 * side)
    s.line(curve((0, 0), (20, 0)), NIGHT, 8)
    s.fill(curve((12, 0), (long * 0.4, -long * 0.36, long * 0.8, -long * 0.26, long, 0),
                 (long * 0.8, long * 0.26, long * 0.4, long * 0.36, 12, 0), closed=True), NIGHT)
    s.painter.restore()


def _half(s):
    """A tendril that rolls up at its outer end, with leaves and a berry."""
    s.fill(swell(_TENDRIL, (9, 15, 14, 12, 10, 9)), NIGHT)
    path = spline(_TENDRIL)
    for share, side in _LEAVES:
        _leaf(s, path, share, side)
    s.fill(disc(*_TENDRIL[-1], 15), NIGHT)


def quay_sign() -> np.ndarray:
    """Wide, the lower half free for words."""
    s = Sheet(1800, "#ffffff")
    _half(s)
    s.painter.save()
    s.painter.translate(1000, 0)
    s.painter.scale(-1, 1)
    _half(s)
    s.painter.restore()
    s.line(curve((500, 318), (500, 345)), NIGHT, 12)
    s.fill(rounded(460, 340, 80, 24, 8), NIGHT)
    s.fill(rounded(446, 372, 108, 110, 34), NIGHT)
    s.fill(rounded(474, 392, 52, 70, 22), GOLD)
    s.fill(rounded(460, 490, 80, 24, 8), NIGHT)
    return s.rgba()[522:1278]
