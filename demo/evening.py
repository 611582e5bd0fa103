"""Pictures for what goes into the machine: a banner wider than any carrier, and six badges of one evening."""

import math

import numpy as np

from demo.brush import Sheet, curve, disc, polygon, rounded, star
from demo.pictures import FOAM, GOLD, MADDER, NIGHT, SEA


def _lantern(s, x, y, size, body, light):
    """A lantern that hangs from a place."""
    s.line(curve((x, y - 0.9 * size), (x, y)), FOAM, 0.07 * size)
    s.fill(rounded(x - 0.5 * size, y, size, 1.25 * size, 0.36 * size), body)
    s.fill(rounded(x - 0.26 * size, y + 0.22 * size, 0.52 * size, 0.8 * size, 0.24 * size), light)


def banner() -> np.ndarray:
    """A long banner: a night sky, hills of water, a row of lanterns on a rope, stars, a moon."""
    s = Sheet(1600, "#ffffff")
    board = rounded(20, 330, 960, 340, 60)
    s.fill(board, NIGHT)
    s.painter.save()
    s.painter.setClipPath(rounded(75, 345, 850, 310, 45))
    s.fill(disc(766, 470, 40), FOAM)
    s.fill(disc(750, 459, 37), NIGHT)
    s.fill(curve((0, 610), (150, 560, 300, 560, 450, 605), (600, 650, 750, 650, 1000, 580), (1000, 700), (0, 700),
                 closed=True), SEA)
    for k in range(7):
        x = 105 + 119 * k
        s.fill(curve((x, 640), (x + 25, 622, x + 50, 622, x + 75, 640), (x + 50, 634, x + 25, 634, x, 646),
                     closed=True), FOAM)
    s.painter.restore()
    rope = [(84 + 83.2 * k, 385 + 26 * math.sin(math.pi * k / 10)) for k in range(11)]
    s.line(curve(rope[0], *((*a, *a, *b) for a, b in zip(rope[1:], rope[1:], strict=True))), GOLD, 7)
    for k, (x, y) in enumerate(rope[1:-1:2]):
        _lantern(s, x, y + 56, 62, MADDER if k % 2 == 0 else GOLD, GOLD if k % 2 == 0 else MADDER)
    for x, y, r in ((250, 500, 15), (417, 470, 12), (583, 505, 15), (898, 500, 14), (112, 470, 13)):
        s.fill(star(x, y, r, r * 0.42), FOAM)
    return s.rgba()[500:1100]


def six_badges() -> np.ndarray:
    """Six round badges on one page, in five colours."""
    s = Sheet(1500, "#ffffff")
    for number in range(6):
        x, y = 180 + 320 * (number % 3), 340 + 320 * (number // 3)
        s.fill(disc(x, y, 145), NIGHT if number % 2 == 0 else SEA)
        (_moon, _boat, _lamp, _wave, _stars, _fish)[number](s, x, y)
    return s.rgba()[250:1250]


def _moon(s, x, y):
    s.fill(disc(x - 10, y - 10, 80), GOLD)
    s.fill(disc(x + 28, y - 30, 66), NIGHT)
    s.fill(star(x + 52, y + 40, 34, 14), FOAM)


def _boat(s, x, y):
    s.fill(polygon((x - 95, y + 20), (x + 95, y + 20), (x + 55, y + 80), (x - 55, y + 80)), MADDER)
    s.fill(polygon((x - 8, y - 95), (x - 8, y + 8), (x - 80, y + 8)), FOAM)
    s.fill(polygon((x + 8, y - 70), (x + 8, y + 8), (x + 65, y + 8)), GOLD)


def _lamp(s, x, y):
    _lantern(s, x, y - 40, 92, MADDER, GOLD)


def _wave(s, x, y):
    for k in range(3):
        top = y - 60 + 60 * k
        s.fill(curve((x - 105, top + 30), (x - 55, top - 30, x - 20, top - 30, x + 5, top + 10),
                     (x + 40, top + 50, x + 70, top + 40, x + 105, top),
                     (x + 70, top + 70, x + 30, top + 70, x, top + 40),
                     (x - 30, top + 10, x - 60, top + 10, x - 105, top + 55), closed=True),
               FOAM if k != 1 else GOLD)


def _stars(s, x, y):
    for k in range(5):
        turn = math.radians(-90 + 72 * k)
        s.fill(star(x + 80 * math.cos(turn), y + 80 * math.sin(turn), 40, 17), FOAM if k % 2 else GOLD)
    s.fill(disc(x, y, 34), MADDER)


def _fish(s, x, y):
    s.fill(curve((x - 90, y), (x - 40, y - 75, x + 40, y - 75, x + 85, y), (x + 40, y + 75, x - 40, y + 75, x - 90, y),
                 closed=True), GOLD)
    s.fill(polygon((x + 60, y), (x + 118, y - 55), (x + 118, y + 55)), MADDER)
    s.fill(disc(x - 48, y - 14, 15), NIGHT)
