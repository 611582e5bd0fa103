"""Colour values: sRGB, CIE XYZ and CIELAB under D65, and the CIEDE2000 difference."""

import numpy as np

from sketchloom.core.base import checks

WHITE_XYZ = np.array([0.95047, 1.0, 1.08883])
"""White of D65 for the 2 degree observer (IEC 61966-2-1)."""
_ENDS, _OFF = 0.1, 8.0
"""A mixture's colour lies so far from either end of the line between two others, and no farther off it (CIELAB).
"""
_RGB_TO_XYZ = np.array([
    [0.4124564, 0.3575761, 0.1804375],
    [0.2126729, 0.7151522, 0.0721750],
    [0.0193339, 0.1191920, 0.9503041],
])


def srgb_to_linear(value) -> np.ndarray:
    """Undo the sRGB transfer curve, 0 to 1 (IEC 61966-2-1)."""
    value = np.asarray(value, float)
    return np.where(value <= 0.04045, value / 12.92, ((value + 0.055) / 1.055) ** 2.4)


def srgb_to_xyz(rgb8) -> np.ndarray:
    """(..., 3) sRGB 0 to 255 to XYZ, white at Y = 1."""
    return srgb_to_linear(np.asarray(rgb8, float) / 255.0) @ _RGB_TO_XYZ.T


def srgb_to_lab(rgb8) -> np.ndarray:
    """(..., 3) sRGB 0 to 255 to CIELAB, D65."""
    ratio = srgb_to_xyz(rgb8) / WHITE_XYZ
    x, y, z = np.moveaxis(_root(ratio), -1, 0)
    return np.stack([116 * y - 16, 500 * (x - y), 200 * (y - z)], axis=-1)


def lightness(rgb8) -> np.ndarray:
    """(...) lightness (CIELAB) of (..., 3) sRGB values in whole numbers."""
    rgb8 = np.asarray(rgb8, np.uint8)
    ratio = sum(share * _LINEAR[rgb8[..., k]] for k, share in enumerate(_RGB_TO_XYZ[1]))
    return 116 * _root(ratio) - 16


def _root(ratio):
    """The cube root, straight near black (CIE 15)."""
    return np.where(ratio > (6 / 29) ** 3, np.cbrt(ratio), ratio / (3 * (6 / 29) ** 2) + 4 / 29)


_LINEAR = srgb_to_linear(np.arange(256) / 255.0)
"""The curve undone for each of the values that a byte has."""
TO_YCC = np.array([[0.299, 0.587, 0.114], [-0.168736, -0.331264, 0.5], [0.5, -0.418688, -0.081312]])
"""Luma and colour differences of JPEG (ITU-T T.871)."""


def to_ycc(rgb8) -> np.ndarray:
    """(..., 3) luma and colour differences, ITU-T T.871, of sRGB values."""
    return np.asarray(rgb8, float) @ TO_YCC.T


def ciede2000(lab1, lab2) -> np.ndarray:
    """CIEDE2000 difference of (..., 3) CIELAB colours, broadcast.

    References
    ----------
    Sharma, Wu, Dalal 2005, "The CIEDE2000 color-difference formula: implementation notes,
    supplementary test data, and mathematical observations".
    """
    l1, a1, b1 = np.moveaxis(np.asarray(lab1, float), -1, 0)
    l2, a2, b2 = np.moveaxis(np.asarray(lab2, float), -1, 0)
    mean_chroma7 = ((np.hypot(a1, b1) + np.hypot(a2, b2)) / 2) ** 7
    stretch = 1.5 - 0.5 * np.sqrt(mean_chroma7 / (mean_chroma7 + 25.0**7))
    a1, a2 = a1 * stretch, a2 * stretch
    c1, c2 = np.hypot(a1, b1), np.hypot(a2, b2)
    h1, h2 = np.degrees(np.arctan2(b1, a1)) % 360, np.degrees(np.arctan2(b2, a2)) % 360
    grey = c1 * c2 == 0
    turn = np.where(grey, 0.0, (h2 - h1 + 180) % 360 - 180)
    # opposite hues: the formula keeps +180 apart from -180
    turn = np.where(~grey & (h2 - h1 == 180), 180.0, turn)
    dl, dc = l2 - l1, c2 - c1
    dh = 2 * np.sqrt(c1 * c2) * np.sin(np.radians(turn) / 2)
    lm, cm = (l1 + l2) / 2, (c1 + c2) / 2
    far = np.abs(h1 - h2) > 180
    hm = np.where(grey, h1 + h2, (h1 + h2 + np.where(far, np.where(h1 + h2 < 360, 360, -360), 0)) / 2)
    def cos(degrees):
        return np.cos(np.radians(degrees))
    t = 1 - 0.17 * cos(hm - 30) + 0.24 * cos(2 * hm) + 0.32 * cos(3 * hm + 6) - 0.20 * cos(4 * hm - 63)
    sl = 1 + 0.015 * (lm - 50) ** 2 / np.sqrt(20 + (lm - 50) ** 2)
    sc, sh = 1 + 0.045 * cm, 1 + 0.015 * cm * t
    rc = 2 * np.sqrt(cm**7 / (cm**7 + 25.0**7))
    rt = -np.sin(np.radians(60 * np.exp(-(((hm - 275) / 25) ** 2)))) * rc
    light, chroma, hue = dl / sl, dc / sc, dh / sh
    return np.sqrt(np.maximum(light * light + chroma * chroma + hue * hue + rt * chroma * hue, 0))


def lies_between(lab, one, two) -> np.ndarray:
    """(...) bool: whether a CIELAB colour (..., 3) is a mixture of two others, as a soft edge between them has it."""
    return (share_of_way(lab, one, two) > _ENDS) & (share_of_way(lab, two, one) > _ENDS) & (
        _off_line(lab, one, two) <= _OFF)


def share_of_way(lab, one, two) -> np.ndarray:
    """(...) how far a colour lies along the line from one to another, 0 to 1 between them."""
    line = np.asarray(two) - one
    return ((np.asarray(lab) - one) * line).sum(-1) / np.maximum((line * line).sum(-1), 1e-9)


def _off_line(lab, one, two):
    return np.linalg.norm(np.asarray(lab) - one - share_of_way(lab, one, two)[..., None] * (np.asarray(two) - one),
                          axis=-1)


def to_hex(rgb8) -> str:
    """``#rrggbb`` of one colour, rounded."""
    r, g, b = np.clip(np.rint(np.asarray(rgb8, float)), 0, 255).astype(int)
    return f"#{r:02x}{g:02x}{b:02x}"


def from_hex(text: str) -> np.ndarray:
    """(3,) float of ``#rrggbb``; raises SettingError on anything else."""
    checks.colour("colour", text)
    return np.array([int(text[i:i + 2], 16) for i in (1, 3, 5)], float)


_GREY_CHROMA = 9.0
"""Less chroma than this is no colour to the eye (CIELAB)."""
_HUES = ((5, "pink"), (46, "red"), (72, "orange"), (105, "yellow"), (162, "green"), (206, "teal"), (307, "blue"),
         (331, "purple"), (361, "pink"))
"""Where each word ends, degrees of hue in CIELAB. Chosen, like the figures of browns and pinks below, on two thirds of
a published survey of colour names (684 that end in one of these words); the third set aside agrees in 78 of 100."""
_CREAM = 81.0, 48.0, 60.0, 115.0
"""Lightness from which, chroma up to which, and hues between which a colour is cream."""
_BROWN = 46.0, 103.0, 106.0, 1.42, 30.0
"""Hues between which a colour is brown where it is darker than the third figure less the fourth for every unit of
chroma over the fifth."""
_PINK = 58.0, 62.0
"""Reds are pink when lighter than the first and paler (of less chroma) than the second."""


def colour_name(rgb8) -> str:
    """A plain word for a colour, for naming layers and for people who cannot see it."""
    light, a, b = srgb_to_lab(rgb8)
    chroma, hue = np.hypot(a, b), np.degrees(np.arctan2(b, a)) % 360
    if chroma < _GREY_CHROMA:
        for limit, word in ((18, "black"), (38, "charcoal"), (62, "grey"), (88, "silver")):
            if light < limit:
                return word
        return "white"
    word = _hue_word(light, chroma, hue)
    if word in ("brown", "cream"):
        return word
    if light < 32:
        return f"dark {word}"
    return f"light {word}" if light > 76 and word != "yellow" else word


def _hue_word(light, chroma, hue) -> str:
    lightest, most, first, last = _CREAM
    if light > lightest and chroma < most and first < hue < last:
        return "cream"
    first, last, lightest, less, free = _BROWN
    if first < hue < last and light < lightest - less * max(chroma - free, 0.0):
        return "brown"
    word = next(word for limit, word in _HUES if hue < limit)
    return "pink" if word == "red" and light > _PINK[0] and chroma < _PINK[1] else word
