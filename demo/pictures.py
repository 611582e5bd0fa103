"""The demo pictures that fill their whole frame."""

import math

import cv2
import numpy as np
from PySide6.QtGui import QBrush, QColor, QLinearGradient, QRadialGradient

from demo.brush import Sheet, curve, disc, polygon, rounded, spline, star, swell
from demo.brush import swell as stroke

NIGHT, SEA, FOAM = "#1e3557", "#2f6f7e", "#f3ead7"
MADDER, GOLD, SAND = "#b5483c", "#e3ae4a", "#d9c6a0"


def lighthouse() -> np.ndarray:
    """A round badge: lighthouse, moon, sea and lanterns, seven flat colours on white."""
    s = Sheet(1200, "#ffffff")
    s.fill(disc(500, 500, 470), GOLD)
    s.fill(disc(500, 500, 440), NIGHT)
    s.painter.save()
    s.painter.setClipPath(disc(500, 500, 440))
    s.fill(disc(735, 250, 78), FOAM)
    s.fill(disc(703, 232, 70), NIGHT)
    for x, y, r in ((250, 430, 20), (290, 180, 16), (610, 130, 18), (820, 385, 15), (400, 105, 12), (365, 395, 12)):
        s.fill(star(x, y, r, r * 0.42), FOAM)
    s.fill(polygon((470, 300), (60, 190), (60, 330)), GOLD)
    s.fill(polygon((530, 300), (940, 440), (940, 560)), GOLD)
    s.fill(curve((30, 760), (150, 640, 260, 640, 360, 690), (450, 735, 560, 740, 640, 700),
                 (760, 640, 850, 650, 980, 740), (980, 1000), (30, 1000), closed=True), SAND)
    s.fill(curve((0, 800), (110, 760, 190, 760, 280, 800), (370, 840, 450, 840, 540, 800),
                 (630, 760, 720, 760, 810, 800), (880, 830, 940, 830, 1000, 800), (1000, 1000), (0, 1000),
                 closed=True), SEA)
    for y, shift in ((848, 0), (900, 70)):
        for k in range(-1, 6):
            x = k * 190 + shift
            s.fill(swell([(x, y), (x + 45, y - 16), (x + 95, y), (x + 145, y + 12)], [2, 13, 14, 2]), FOAM)
    s.painter.restore()
    tower = polygon((418, 745), (452, 360), (548, 360), (582, 745))
    s.fill(tower, FOAM)
    s.painter.save()
    s.painter.setClipPath(tower)
    for y in (420, 560, 690):
        s.fill(rounded(380, y, 240, 68, 0), MADDER)
    s.painter.restore()
    s.fill(rounded(482, 510, 36, 42, 16), NIGHT)
    s.fill(rounded(482, 640, 36, 42, 16), NIGHT)
    s.fill(rounded(432, 340, 136, 24, 8), MADDER)
    s.fill(rounded(458, 268, 84, 72, 6), GOLD)
    s.fill(rounded(494, 268, 12, 72, 0), MADDER)
    s.fill(curve((440, 270), (450, 215, 480, 190, 500, 182), (520, 190, 550, 215, 560, 270), closed=True), MADDER)
    s.fill(disc(500, 178, 13), FOAM)
    for x, y in ((215, 610), (300, 560), (770, 620), (690, 585)):
        s.line(curve((x, y - 62), (x, y - 34)), FOAM, 7)
        s.fill(rounded(x - 27, y - 36, 54, 66, 20), MADDER)
        s.fill(rounded(x - 13, y - 24, 26, 42, 12), GOLD)
    return s.rgba()


def kingfisher() -> np.ndarray:
    """An ink sketch on paper, as a scanner sees it: uneven light, grain, soft edges."""
    s = Sheet(1400, "#ffffff")
    _bird(s, "#1a1a1e")
    return _scanned(s.rgba()[..., :3], 5)


def _bird(s, ink, share=1.0):
    """A kingfisher on a branch in brush strokes; ``share`` of their full width."""
    def swell(points, widths):
        return stroke(points, [w * share for w in widths])

    outline = [
        (
            [(120, 352), (250, 322), (390, 300), (440, 250), (530, 226), (610, 268), (640, 345)],
            [4, 9, 12, 13, 15, 12, 9],
        ),
        ([(640, 345), (688, 440), (720, 560), (702, 668), (640, 742)], [9, 14, 16, 13, 8]),
        ([(402, 395), (400, 470), (428, 570), (482, 662), (560, 724), (640, 742)], [6, 11, 14, 15, 12, 8]),
        ([(402, 395), (300, 382), (120, 352)], [9, 8, 4]),
        ([(120, 352), (270, 352), (430, 358)], [4, 6, 3]),
        ([(402, 395), (440, 420), (492, 424), (540, 402)], [8, 10, 9, 4]),
        ([(640, 742), (668, 800), (690, 872), (700, 905)], [9, 13, 11, 5]),
        ([(700, 905), (660, 880), (622, 812), (600, 742)], [5, 9, 10, 7]),
        ([(500, 470), (560, 500), (628, 590), (668, 700)], [5, 11, 12, 5]),
        ([(500, 470), (500, 545), (548, 640), (668, 700)], [6, 10, 11, 6]),
    ]
    for points, widths in outline:
        s.fill(swell(points, widths), ink)
    s.fill(disc(478, 322, 27), ink)
    s.fill(disc(470, 313, 8), "#ffffff")
    s.fill(swell([(430, 345), (462, 362), (516, 360), (560, 332)], [4, 12, 12, 3]), ink)
    for k in range(7):
        x, y = 470 + 19 * k, 262 + 1.6 * (k - 2) ** 2
        s.fill(swell([(x, y), (x + 16, y + 6), (x + 30, y + 22)], [3, 8, 2]), ink)
    for k in range(6):
        t = k / 5
        x, y = 545 + 95 * t, 520 + 130 * t
        s.fill(swell([(x, y), (x - 18, y + 36), (x - 10, y + 70)], [3, 8, 2]), ink)
    for k in range(9):
        t = k / 8
        x, y = 440 + 120 * t, 470 + 200 * t
        s.fill(swell([(x - 8, y), (x + 8, y + 13), (x + 28, y + 16)], [2, 6, 2]), ink)
    s.fill(swell([(90, 815), (260, 790), (480, 776), (620, 800), (800, 788), (930, 752)], [10, 24, 30, 26, 22, 6]), ink)
    s.fill(swell([(300, 792), (250, 850), (180, 890)], [14, 11, 4]), ink)
    s.fill(swell([(820, 784), (870, 832), (890, 870)], [14, 10, 4]), ink)
    for x in (566, 604):
        s.fill(swell([(x, 728), (x - 4, 752), (x - 16, 776)], [10, 11, 12]), ink)
        s.fill(swell([(x - 4, 770), (x - 34, 778), (x - 50, 796)], [9, 8, 5]), ink)
    for cx, cy, turn in ((150, 760, -30), (205, 905, 200), (900, 735, -70), (880, 880, 60)):
        a = math.radians(turn)
        tip = (cx + 88 * math.cos(a), cy + 88 * math.sin(a))
        for side in (-1, 1):
            mid = (cx + 44 * math.cos(a) - side * 26 * math.sin(a), cy + 44 * math.sin(a) + side * 26 * math.cos(a))
            s.fill(swell([(cx, cy), mid, tip], [4, 9, 3]), ink)
        s.fill(swell([(cx, cy), tip], [3, 5]), ink)
    for k in range(4):
        y = 930 + 18 * k
        s.fill(swell([(330 + 40 * k, y), (450 + 30 * k, y - 10), (600, y), (700 - 30 * k, y - 5)], [2, 7, 6, 2]), ink)


def _scanned(rgb, seed):
    rng = np.random.default_rng(seed)
    height, width = rgb.shape[:2]
    value = cv2.GaussianBlur(rgb.astype(np.float32), (0, 0), 0.8)
    y, x = np.mgrid[0:1:height * 1j, 0:1:width * 1j].astype(np.float32)
    light = 1.0 - 0.13 * x - 0.05 * (y - 0.3) ** 2
    grain = cv2.GaussianBlur(rng.normal(0, 1, (height, width)).astype(np.float32), (0, 0), 0.7) * 5
    paper = np.array([0.975, 0.955, 0.915], np.float32)
    specks = np.zeros((height, width), np.float32)
    for sx, sy in rng.integers(20, height - 20, (40, 2)):
        cv2.circle(specks, (int(sx), int(sy)), int(rng.integers(1, 3)), float(rng.integers(40, 120)), -1)
    out = (value + 12) * light[..., None] * paper + grain[..., None] - specks[..., None]
    return np.clip(np.rint(out), 0, 255).astype(np.uint8)


def lantern_panel() -> np.ndarray:
    """Line art with many enclosed regions: a lantern's side panel."""
    s = Sheet(1400, "#ffffff")
    ink, w = "#000000", 11
    s.line(rounded(90, 50, 820, 900, 60), ink, 22)
    inner = rounded(140, 100, 720, 800, 34)
    s.painter.save()
    s.painter.setClipPath(inner)
    for k in range(7):
        y = 905 - 82 * k
        wave = [(140 + 60 * i, y + 22 * math.cos(math.pi * (i + k))) for i in range(13)]
        s.line(spline(wave), ink, w)
        for i in range(12):
            s.line(curve((170 + 60 * i, y), (170 + 60 * i, y - 82)), ink, 7) if (i + k) % 3 == 0 and k < 6 else None
    s.painter.restore()
    s.line(inner, ink, w)
    for x, y, r in ((240, 210, 58), (760, 210, 58), (372, 168, 34), (628, 168, 34)):
        s.line(disc(x, y, r), ink, w)
        s.line(disc(x, y, r * 0.45), ink, w * 0.8)
        for a in range(6):
            c, d = math.cos(a * math.pi / 3), math.sin(a * math.pi / 3)
            s.line(curve((x + 0.45 * r * c, y + 0.45 * r * d), (x + r * c, y + r * d)), ink, 6)
    body = curve((500, 250), (640, 250, 700, 360, 690, 470), (682, 590, 600, 660, 500, 690),
                 (400, 660, 318, 590, 310, 470), (300, 360, 360, 250, 500, 250), closed=True)
    s.fill(body, "#ffffff")
    s.line(body, ink, 15)
    s.painter.save()
    s.painter.setClipPath(body)
    for dx in (-110, 110):
        s.line(spline([(500, 250), (500 + dx, 360), (500 + dx * 1.15, 480), (500, 690)]), ink, w)
    for y in (340, 600):
        s.line(spline([(300, y), (500, y + 34), (700, y)]), ink, w)
    s.painter.restore()
    s.fill(disc(500, 480, 84), "#ffffff")
    s.line(disc(500, 480, 84), ink, w)
    s.line(star(500, 480, 72, 32, 8), ink, w * 0.8)
    s.line(disc(500, 480, 17), ink, w * 0.8)
    for y, half in ((232, 70), (708, 46)):
        s.fill(rounded(500 - half, y - 22, 2 * half, 44, 14), "#ffffff")
        s.line(rounded(500 - half, y - 22, 2 * half, 44, 14), ink, w)
    s.line(curve((500, 210), (500, 100)), ink, w)
    return s.rgba()[..., :3]


def paper_boat() -> np.ndarray:
    """A photograph's stand-in: a folded boat on evening water, all shading."""
    s = Sheet(1200, "#20304a")
    sky = QLinearGradient(0, 0, 0, 560)
    for stop, colour in ((0, "#2b3f66"), (0.55, "#8a6a86"), (1, "#eab27a")):
        sky.setColorAt(stop, QColor(colour))
    s.fill(rounded(0, 0, 1000, 560, 0), QBrush(sky))
    glow = QRadialGradient(700, 500, 260)
    glow.setColorAt(0, QColor(255, 232, 180, 230))
    glow.setColorAt(1, QColor(255, 210, 150, 0))
    s.fill(disc(700, 500, 260), QBrush(glow))
    water = QLinearGradient(0, 540, 0, 1000)
    water.setColorAt(0, QColor("#b98a78"))
    water.setColorAt(0.25, QColor("#5d6a86"))
    water.setColorAt(1, QColor("#16263f"))
    s.fill(rounded(0, 540, 1000, 460, 0), QBrush(water))
    for k in range(26):
        y = 560 + 16 * k + 0.35 * k * k
        shade = QColor(255, 220, 170, max(10, 90 - 3 * k))
        s.fill(swell([(520 - 9 * k, y), (650, y - 4), (760 + 8 * k, y + 2)], [1, 3 + 0.2 * k, 1]), QBrush(shade))
    facets = [
        ([(240, 560), (500, 560), (430, 720), (330, 700)], "#f6efe2", "#cdbfae"),
        ([(500, 560), (790, 560), (690, 712), (430, 720)], "#d9cbb8", "#8f8694"),
        ([(370, 560), (510, 330), (560, 560)], "#fff7e8", "#e3cfb4"),
        ([(560, 560), (510, 330), (650, 560)], "#c9b6a4", "#8d7f88"),
    ]
    for points, light, dark in facets:
        shade = QLinearGradient(*points[0], *points[2])
        shade.setColorAt(0, QColor(light))
        shade.setColorAt(1, QColor(dark))
        s.fill(polygon(*points), QBrush(shade))
    lamp = QRadialGradient(500, 600, 90)
    lamp.setColorAt(0, QColor(255, 214, 120, 220))
    lamp.setColorAt(1, QColor(255, 190, 90, 0))
    s.fill(disc(500, 600, 90), QBrush(lamp))
    rng = np.random.default_rng(9)
    out = cv2.GaussianBlur(s.rgba()[..., :3].astype(np.float32), (0, 0), 0.9) + rng.normal(0, 2.2, (1200, 1200, 1))
    return np.clip(np.rint(out), 0, 255).astype(np.uint8)
