"""Objects with known outlines laid over photographs: the pictures that cutting out is measured on.

Two kinds: icons with their own transparency (see ``bench/quality/SOURCES.md``), and objects built by rule (a beast
with thin legs and feelers, a jug with an opening, a twig with leaves, a fish with fins) filled with the grain of a
photograph. What they lie on are the photographs that come with scikit-image (see its ``data/README.txt``).
"""

import json
from dataclasses import dataclass
from pathlib import Path

import cv2
import numpy as np
import skimage.data

from bench.proposals.conditions import jpeg
from bench.proposals.conditions import rendered as _rendered_scene
from sketchloom.core.base.colour import srgb_to_lab
from sketchloom.core.picture.picture import Picture, frozen_array

_ICONS = Path(__file__).parents[1] / "quality" / "icons.json"
_GROUNDS = ("coffee", "chelsea", "rocket", "motorcycle_left", "grass", "gravel", "brick", "retina")
_SIZES = (700, 1200, 2000)
_SUB = 4
KINDS = ("icon", "beast", "jug", "twig", "fish")
UNSEEN = "jug"
COUNT = 60
_SEEN = 18.0
"""A person sees an edge with so much CIELAB distance across it, in the median along the outline."""


@dataclass(frozen=True, slots=True)
class Cutout:
    """A picture and what its object is: ``cover`` (H, W) 0 to 1, and the object's own ``colours`` and those of the
    ``ground`` without it, (H, W, 3) each."""

    name: str
    picture: Picture
    cover: np.ndarray
    colours: np.ndarray
    ground: np.ndarray


def cutout(number: int) -> Cutout:
    """The picture of a number, always the same."""
    for attempt in range(20):
        made = _made(number, np.random.default_rng(1000 * number + attempt))
        if made is not None:
            return made
    raise ValueError(f"no picture {number} with an edge that can be seen")


def _made(number, rng):
    kind = KINDS[number % len(KINDS)]
    long_side = _SIZES[(number // len(KINDS)) % len(_SIZES)]
    width, height = (long_side, round(long_side * 0.75)) if number % 2 else (round(long_side * 0.8), long_side)
    ground_name = _GROUNDS[int(rng.integers(len(_GROUNDS)))]
    ground = _ground(ground_name, width, height, rng)
    if kind == "icon":
        colours, cover = _icon(number // len(KINDS), width, height, rng)
    else:
        cover = _drawn(kind, width, height, rng)
        colours = _filled(cover, ground_name, width, height, rng)
    lens = rng.uniform(0.5, 0.9)
    cover = cv2.GaussianBlur(cover.astype(np.float32), (0, 0), lens)
    mixed = colours * cover[..., None] + ground * (1 - cover[..., None])
    mixed = mixed + rng.normal(0, 2.0, mixed.shape)
    if _contrast(colours, ground, cover) < _SEEN:
        return None
    rgb = np.clip(np.rint(mixed), 0, 255).astype(np.uint8)
    rgb = jpeg(rgb, 90) if number % 3 else rgb
    picture = Picture(frozen_array(np.ascontiguousarray(rgb)))
    return Cutout(f"{kind} {number} on {ground_name} {width}x{height}", picture, cover, colours, ground)


def _photograph(name):
    if name == "motorcycle_left":
        picture = cv2.imread(str(Path(skimage.data.__file__).parent / "motorcycle_left.png"))[..., ::-1]
    else:
        picture = getattr(skimage.data, name)()
    return np.repeat(picture[..., None], 3, 2) if picture.ndim == 2 else picture[..., :3]


def _ground(name, width, height, rng):
    """A photograph as what is behind an object: as large as the picture, more or less out of focus."""
    whole = _photograph(name)
    scale = max(width / whole.shape[1], height / whole.shape[0])
    whole = cv2.resize(whole, None, fx=scale, fy=scale, interpolation=cv2.INTER_CUBIC)[:height, :width]
    whole = cv2.copyMakeBorder(whole, 0, height - whole.shape[0], 0, width - whole.shape[1], cv2.BORDER_REPLICATE)
    tint = rng.uniform(0.75, 1.1, 3) if name in ("grass", "gravel", "brick") else np.ones(3)
    soft = rng.uniform(0.002, 0.012) * max(width, height)
    return np.clip(cv2.GaussianBlur(whole.astype(np.float32), (0, 0), soft) * tint, 0, 255)


def _icon(number, width, height, rng):
    icons = [i for i in json.loads(_ICONS.read_text()) if i["kind"] == "flat"]
    icon = icons[(7 * number + 3) % len(icons)]
    side = round(min(width, height) * rng.uniform(0.6, 0.85))
    from bench.proposals.scenes import SIDE

    scale = SIDE / float(icon["size"])
    rgba = _rendered_scene(f'<g transform="scale({scale})">{icon["body"]}</g>', side).astype(np.float32)
    colours, cover = np.zeros((height, width, 3), np.float32), np.zeros((height, width), np.float32)
    y, x = (height - side) // 2, (width - side) // 2
    own = cv2.inpaint(rgba[..., :3].astype(np.uint8), (rgba[..., 3] < 250).astype(np.uint8), 3, cv2.INPAINT_TELEA)
    shade = 1.05 - 0.2 * np.linspace(0, 1, side)[None, :, None]  # light from one side, as on a thing
    colours[y:y + side, x:x + side] = np.clip(own * shade, 0, 255)
    cover[y:y + side, x:x + side] = rgba[..., 3] / 255
    return colours, cover


def _filled(cover, ground_name, width, height, rng):
    """Colours of a thing: a hue, lit from one side, with the grain of another photograph."""
    others = [n for n in _GROUNDS if n != ground_name]
    grain = _photograph(others[int(rng.integers(len(others)))]).astype(np.float32).mean(2)
    grain = cv2.resize(grain, (width, height), interpolation=cv2.INTER_CUBIC)
    grain = (grain - cv2.GaussianBlur(grain, (0, 0), max(width, height) / 12)) / max(float(grain.std()), 1)
    hue = np.array(cv2.cvtColor(np.uint8([[[rng.integers(180), rng.integers(60, 200), rng.integers(70, 235)]]]),
                                cv2.COLOR_HSV2RGB)[0, 0], np.float32)
    y, x = np.mgrid[:height, :width].astype(np.float32)
    turn = rng.uniform(0, 2 * np.pi)
    light = 1 + rng.uniform(0.1, 0.3) * ((x / width - 0.5) * np.cos(turn) + (y / height - 0.5) * np.sin(turn)) * 2
    return np.clip(hue * (light + rng.uniform(0.05, 0.18) * grain)[..., None], 0, 255)


def _contrast(colours, ground, cover):
    edge = (cover > 0.3) & (cover < 0.7)
    if not edge.any():
        return 0.0
    return float(np.median(np.linalg.norm(srgb_to_lab(colours[edge]) - srgb_to_lab(ground[edge]), axis=-1)))


# -- shapes by rule ---------------------------------------------------------------------------------------------------

def _drawn(kind, width, height, rng):
    """(H, W) 0 to 1: the cover of a shape, drawn at four times the size."""
    big = np.zeros((height * _SUB, width * _SUB), np.uint8)
    side = min(width, height) * _SUB
    centre = np.array([width, height]) * _SUB / 2
    {"beast": _beast, "jug": _jug, "twig": _twig, "fish": _fish}[kind](big, centre, side, rng)
    return cv2.resize(big, (width, height), interpolation=cv2.INTER_AREA).astype(np.float32) / 255


def _blob(big, points, value=255):
    cv2.fillPoly(big, [np.rint(np.array(points)).astype(np.int32)], value)


def _limb(big, points, thick_from, thick_to):
    """A limb along a bent line, thinner towards its end."""
    ends = np.array(points, float)
    t = np.linspace(0, 1, 60)[:, None]
    line = (1 - t) ** 2 * ends[0] + 2 * t * (1 - t) * ends[1] + t**2 * ends[2]
    for n, (x, y) in enumerate(line):
        thick = thick_from + (thick_to - thick_from) * n / 59
        cv2.circle(big, (round(x), round(y)), max(1, round(thick / 2)), 255, -1)
        if n:
            cv2.line(big, tuple(np.rint(line[n - 1]).astype(int).tolist()), (round(x), round(y)), 255,
                     max(1, round(thick)))


def _turned(points, centre, turn):
    c, s = np.cos(turn), np.sin(turn)
    return np.array(points) @ np.array([[c, s], [-s, c]]) + centre


def _beast(big, centre, side, rng):
    """An oval body and a head, six legs with a knee, two feelers."""
    turn, length, wide = rng.uniform(0, 6.28), side * rng.uniform(0.2, 0.26), side * rng.uniform(0.11, 0.16)
    angle = np.linspace(0, 2 * np.pi, 200)
    _blob(big, _turned(np.stack([length * np.cos(angle), wide * np.sin(angle) * (1 + 0.2 * np.cos(angle))], -1), centre,
                       turn))
    head = wide * rng.uniform(0.45, 0.6)
    _blob(big, _turned(np.stack([length * 1.1 + head * np.cos(angle), head * np.sin(angle)], -1), centre, turn))
    thick = side * rng.uniform(0.008, 0.016)
    for sign in (-1, 1):
        for along in (-0.5, 0.05, 0.6):
            reach = rng.uniform(0.9, 1.3) * wide
            knee = (along * length * 1.2, sign * (wide + reach * 0.7))
            _limb(big, _turned([(along * length, sign * wide * 0.7), knee,
                                (along * length * 1.9, sign * (wide + reach))], centre, turn), thick, thick * 0.5)
        _limb(big, _turned([(length * 1.1 + head * 0.8, sign * head * 0.3), (length * 1.5, sign * head * 0.6),
                            (length * 1.75, sign * wide * rng.uniform(0.6, 1.1))], centre, turn), thick * 0.6,
              thick * 0.35)


def _jug(big, centre, side, rng):
    """A belly with a neck and a foot, and a handle one can see through."""
    height = side * rng.uniform(0.6, 0.75)
    y = np.linspace(-0.5, 0.5, 200)
    belly = side * rng.uniform(0.16, 0.2) * (0.55 + 0.45 * np.cos((y - 0.1) * np.pi * 1.6))
    _blob(big, np.stack([np.concatenate([belly, -belly[::-1]]), np.concatenate([y, y[::-1]]) * height], -1) + centre)
    out = belly.max() * rng.uniform(1.7, 2.1)
    handle = [(belly[50] * 0.9, -0.28 * height), (out * 1.3, -0.3 * height), (belly[130] * 0.9, 0.14 * height)]
    _limb(big, np.array(handle) + centre, side * 0.03, side * 0.022)


def _twig(big, centre, side, rng):
    """A bent twig with pointed leaves on thin stalks."""
    turn = rng.uniform(0, 6.28)
    bend = side * rng.uniform(-0.15, 0.15)
    ends = np.array([(-0.4 * side, 0), (0, bend), (0.4 * side, 0)])
    _limb(big, _turned(ends, centre, turn), side * 0.02, side * 0.008)
    for n, t in enumerate(np.linspace(0.12, 0.95, 8)):
        foot = (1 - t) ** 2 * ends[0] + 2 * t * (1 - t) * ends[1] + t**2 * ends[2]
        way = (1 if n % 2 else -1) * rng.uniform(0.8, 1.2)
        stalk, long = side * 0.04, side * rng.uniform(0.13, 0.2)
        tip = np.array([np.cos(way), np.sin(way)])
        _limb(big, _turned([foot, foot + tip * stalk * 0.6, foot + tip * stalk * 1.2], centre, turn), side * 0.008,
              side * 0.007)
        along = np.linspace(0, 1, 60)
        half = long * 0.28 * np.sin(np.pi * along**0.8)
        across = np.array([-tip[1], tip[0]])
        line = foot + tip * (stalk + along[:, None] * long)
        both = [line + across * half[:, None], (line - across * half[:, None])[::-1]]
        _blob(big, _turned(np.concatenate(both), centre, turn))


def _fish(big, centre, side, rng):
    """A spindle with a forked tail and toothed fins."""
    turn, length = rng.uniform(-0.6, 0.6), side * rng.uniform(0.32, 0.4)
    x = np.linspace(-1, 1, 200)
    half = length * rng.uniform(0.3, 0.42) * np.sqrt(np.clip(1 - x**2, 0, 1)) * (1 - 0.25 * x)
    both = [np.stack([x * length, half], -1), np.stack([x * length, -half], -1)[::-1]]
    _blob(big, _turned(np.concatenate(both), centre, turn))
    tail = np.array([(0.8, 0), (1.35, -0.35), (1.15, 0), (1.35, 0.35)]) * length
    _blob(big, _turned(tail, centre, turn))
    for sign, begin, rays in ((-1, -0.4, 9), (1, 0.0, 6)):
        at = np.linspace(begin, begin + 0.8, 2 * rays + 1)
        rim = np.interp(at, x, half) + length * np.where(np.arange(2 * rays + 1) % 2, 0.22, 0.12)
        rim[[0, -1]] = np.interp(at[[0, -1]], x, half) * 0.7
        _blob(big, _turned(np.stack([at * length, sign * rim], -1), centre, turn))
