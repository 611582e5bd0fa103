"""Drawings of many kinds by rule and seed, each with what a practitioner would make of it.

The kinds, the numbers in them and which are set aside were fixed before any rule was tuned on them.
"""

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

SIDE = 1000
"""Side of the square that scenes are drawn in."""
_FILLS = ("#d8493f", "#f2b632", "#3f8f5d", "#3a78b8", "#e99bb0", "#8a5aa8", "#e8823a", "#7cc3d8", "#c9b08a", "#f4efe2",
          "#6e4a32", "#9aa0a6", "#b8d45a", "#ffd9c0")
_DARKS = ("#1c1a1a", "#26324f", "#3a2317", "#14361f", "#401f3d", "#000000")
_GROUNDS = ("#ffffff", "#ffffff", "#fdf6e3", "#dff0f7", "#2f4858")


@dataclass(frozen=True, slots=True)
class Scene:
    """``body`` SVG elements; ``ground`` the colour around the drawing, None where the picture is full to its rim;
    ``readings`` that suit it; ``base`` the colour that carries the rest, None where there is none."""

    kind: str
    seed: int
    body: str
    ground: str | None
    readings: tuple[str, ...]
    base: str | None = None

    @property
    def name(self) -> str:
        return f"{self.kind} {self.seed}"

    @property
    def aside(self) -> bool:
        """Every third of a kind is never looked at while rules are chosen."""
        return self.seed % 3 == 2


def blob(rng, x, y, r, uneven=0.18, points=14) -> str:
    """A closed smooth outline around a place."""
    angle = np.linspace(0, 2 * np.pi, points, endpoint=False)
    wave = sum(rng.normal(0, uneven / k) * np.cos(k * angle + rng.uniform(0, 6.3)) for k in (2, 3, 4))
    xy = np.stack([x + r * (1 + wave) * np.cos(angle), y + r * (1 + wave) * np.sin(angle)], -1)
    return closed(xy)


def closed(xy) -> str:
    """A closed smooth path through points."""
    before, after = np.roll(xy, 1, 0), np.roll(xy, -1, 0)
    tangent = (after - before) / 6
    on = np.roll(tangent, -1, 0)
    parts = [f"M{xy[0, 0]:.1f} {xy[0, 1]:.1f}"]
    parts += ["C" + " ".join(f"{v:.1f}" for v in (*(p + t), *(q - u), *q))
              for p, q, t, u in zip(xy, after, tangent, on, strict=True)]
    return "".join(parts) + "Z"


def _figure(rng):
    """Parts of a creature or thing, the lowest first: (path, which fill)."""
    parts, body = [], rng.uniform(210, 290)
    for _ in range(int(rng.integers(2, 5))):
        a = rng.uniform(0, 2 * np.pi)
        parts.append((blob(rng, 500 + body * np.cos(a), 500 + body * np.sin(a), body * rng.uniform(0.3, 0.55)),
                      int(rng.integers(1, 3))))
    parts.append((blob(rng, 500, 500, body), 0))
    for _ in range(int(rng.integers(2, 5))):
        x, y = rng.uniform(380, 620, 2)
        parts.append((blob(rng, x, y, body * rng.uniform(0.16, 0.34)), int(rng.integers(1, 5))))
    for dx in (-70, 70):
        parts.append((blob(rng, 500 + dx, 430, 42, 0.03), 5))
    return parts


def _framed(body, ground):
    return (f'<rect width="{SIDE}" height="{SIDE}" fill="{ground}"/>' if ground else "") + body


def outlined(seed: int) -> Scene:
    """A cartoon: every part filled flat, a dark outline around each."""
    rng = np.random.default_rng(1000 + seed)
    fills, dark, wide = rng.choice(_FILLS, 6, replace=False), str(rng.choice(_DARKS)), rng.uniform(10, 24)
    body = "".join(
        f'<path d="{d}" fill="{fills[k]}" stroke="{dark}" stroke-width="{wide:.1f}"/>' for d, k in _figure(rng))
    body += "".join(f'<circle cx="{500 + dx}" cy="435" r="18" fill="{dark}"/>' for dx in (-70, 70))
    if seed % 5 == 4:  # full to the rim, hills and sky with outlines
        sky, hill = rng.choice([f for f in _FILLS if f not in fills], 2, replace=False)
        back = (f'<rect width="{SIDE}" height="{SIDE}" fill="{sky}"/>'
                f'<path d="M-30 700C200 {rng.uniform(520, 640):.0f} 700 {rng.uniform(560, 760):.0f} 1030 640V1030H-30Z"'
                f' fill="{hill}" stroke="{dark}" stroke-width="{wide:.1f}"/>')
        return Scene("outlined", seed, back + body, None, ("colour",), dark)
    ground = str(rng.choice([g for g in _GROUNDS if g not in fills and g != "#2f4858"]))
    return Scene("outlined", seed, _framed(body, ground), ground, ("colour",), dark)


def flat(seed: int) -> Scene:
    """Flat shapes on each other without outlines; some on a plate that carries all of them."""
    rng = np.random.default_rng(2000 + seed)
    fills = rng.choice(_FILLS, 7, replace=False)
    body = "".join(f'<path d="{d}" fill="{fills[k]}"/>' for d, k in _figure(rng))
    ground = str(rng.choice([g for g in _GROUNDS if g not in fills]))
    plate = None
    if seed % 2:
        plate = str(fills[6])
        body = f'<path d="{blob(rng, 500, 500, 455, 0.02)}" fill="{plate}"/>' + body
    if seed % 6 == 4:  # bands from side to side: nothing around it
        high = np.sort(rng.uniform(150, 850, 3))
        bands = "".join(f'<rect y="{y:.0f}" width="{SIDE}" height="{SIDE}" fill="{c}"/>'
                        for y, c in zip((0, *high), rng.choice(_FILLS, 4, replace=False), strict=True))
        return Scene("flat", seed, bands + body, None, ("colour",))
    return Scene("flat", seed, _framed(body, ground), ground, ("colour",), plate)


def line(seed: int) -> Scene:
    """Open lines of a thin pen."""
    rng = np.random.default_rng(3000 + seed)
    wide, body = rng.uniform(3, 6), ""
    for _ in range(int(rng.integers(8, 16))):
        turn = np.cumsum(rng.normal(0, 0.35, 24))
        xy = rng.uniform(200, 800, 2) + np.cumsum(26 * np.stack([np.cos(turn), np.sin(turn)], -1), 0)
        points = " ".join(f"{x:.1f},{y:.1f}" for x, y in np.clip(xy, 30, 970))
        body += (f'<polyline points="{points}" fill="none" stroke="#111" stroke-width="{wide:.1f}" '
                 'stroke-linecap="round" stroke-linejoin="round"/>')
    return Scene("line", seed, _framed(body, "#ffffff"), "#ffffff", ("line",))


def cells(seed: int) -> Scene:
    """Line art of closed cells, as for a window: bold lines, nothing filled."""
    rng = np.random.default_rng(3500 + seed)
    wide = rng.uniform(12, 22)
    body = "".join(f'<path d="{d}" fill="#fff" stroke="#101010" stroke-width="{wide:.1f}"/>' for d, _ in _figure(rng))
    return Scene("cells", seed, _framed(body, "#ffffff"), "#ffffff", ("tone",))


def silhouette(seed: int) -> Scene:
    """One solid shape with openings; every third: solid leaves and dots, none of them a line."""
    rng = np.random.default_rng(4000 + seed)
    ink = str(rng.choice(("#000000", "#1a1a1a", "#2b2b2b")))
    if seed % 3 == 1:
        body = ""
        for _ in range(int(rng.integers(14, 26))):
            x, y, turn = rng.uniform(120, 880), rng.uniform(120, 880), rng.uniform(0, 180)
            long, wide = rng.uniform(40, 75), rng.uniform(9, 20)
            body += (f'<path transform="translate({x:.0f} {y:.0f}) rotate({turn:.0f})" fill="{ink}" '
                     f'd="M-{long:.0f} 0Q0 -{2 * wide:.0f} {long:.0f} 0Q0 {2 * wide:.0f} -{long:.0f} 0Z"/>')
            body += f'<circle cx="{rng.uniform(80, 920):.0f}" cy="{rng.uniform(80, 920):.0f}" r="13" fill="{ink}"/>'
    else:
        solid = "".join(f'<path d="{d}" fill="{ink}"/>' for d, _ in _figure(rng)[:-2])
        holes = "".join(f'<path d="{blob(rng, *rng.uniform(420, 580, 2), rng.uniform(18, 45), 0.1)}" fill="#fff"/>'
                        for _ in range(4))
        body = solid + holes
    return Scene("silhouette", seed, _framed(body, "#ffffff"), "#ffffff", ("tone",))


def shaded(seed: int) -> Scene:
    """A cartoon whose parts run gently from one shade to a darker one."""
    rng = np.random.default_rng(5000 + seed)
    fills, dark, wide = rng.choice(_FILLS, 6, replace=False), str(rng.choice(_DARKS)), rng.uniform(10, 20)
    stops = "".join(
        f'<linearGradient id="g{k}" x1="0" y1="0" x2="{rng.uniform(0, 1):.2f}" y2="1"><stop offset="0" '
        f'stop-color="{c}"/><stop offset="1" stop-color="{_darker(c, rng.uniform(0.72, 0.88))}"/></linearGradient>'
        for k, c in enumerate(fills))
    outline = f' stroke="{dark}" stroke-width="{wide:.1f}"' if seed % 2 else ""
    body = f"<defs>{stops}</defs>" + "".join(
        f'<path d="{d}" fill="url(#g{k})"{outline}/>' for d, k in _figure(rng))
    return Scene("shaded", seed, _framed(body, "#ffffff"), "#ffffff", ("colour", "photo"), dark if seed % 2 else None)


def soft(seed: int) -> Scene:
    """A sticker: a core with a blurred edge on a plate, something on the core, all on a ground."""
    rng = np.random.default_rng(9000 + seed)
    core, plate = rng.choice(_DARKS), rng.choice(_FILLS[:9])
    wide = rng.uniform(3, 9)
    blur = ('<defs><filter id="f" x="-50%" y="-50%" width="200%" height="200%"><feGaussianBlur '
            f'stdDeviation="{wide:.1f}"/></filter></defs>')
    body = (f'{blur}<path d="{blob(rng, 500, 500, 400, 0.05)}" fill="{plate}"/>'
            f'<path d="{blob(rng, 500, 500, rng.uniform(240, 320), 0.1)}" fill="{core}" filter="url(#f)"/>'
            f'<path d="{blob(rng, 500, 500, rng.uniform(120, 170), 0.1)}" fill="{plate}"/>')
    return Scene("soft", seed, _framed(body, "#ffffff"), "#ffffff", ("colour",), str(plate))


def _darker(hex_colour, share):
    return "#" + "".join(f"{round(int(hex_colour[i:i + 2], 16) * share):02x}" for i in (1, 3, 5))


KINDS: dict[str, tuple[Callable[[int], Scene], int]] = {
    "outlined": (outlined, 15), "flat": (flat, 12), "line": (line, 9), "cells": (cells, 9),
    "silhouette": (silhouette, 9), "shaded": (shaded, 9), "soft": (soft, 9)}
"""What draws each kind, and how many there are."""


def scenes(aside: bool | None = None) -> list[Scene]:
    """All scenes, or only those set aside or not."""
    every = [make(seed) for make, count in KINDS.values() for seed in range(count)]
    return every if aside is None else [scene for scene in every if scene.aside == aside]
