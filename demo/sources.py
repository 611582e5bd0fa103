"""Demo pictures as they come: by phone, from an old page, as a page of a document, as layers."""

import io
import math

import cv2
import numpy as np
from PIL import Image

from demo.brush import Sheet, curve, disc, polygon, rounded, spline, star, swell
from demo.pictures import FOAM, GOLD, MADDER, NIGHT, SAND, SEA, _bird

_MM = 72 / 25.4


def phone_kingfisher() -> np.ndarray:
    """The kingfisher in pencil on a sheet, seen by a phone at a slant on a table, with light from one side."""
    s = Sheet(1500, "#ffffff")
    _bird(s, "#000000", 0.62)
    ink = cv2.GaussianBlur(1 - s.rgba()[..., 0].astype(np.float32) / 255, (0, 0), 0.9)
    rng = np.random.default_rng(11)
    tooth = cv2.GaussianBlur(rng.normal(0, 1, ink.shape).astype(np.float32), (0, 0), 0.9)
    pencil = ink * np.clip(0.52 + 0.28 * tooth, 0, 1)
    page = np.full((1500, 1240), 1.0, np.float32)  # about the shape of a sheet
    page[40:1460, :] -= cv2.resize(pencil[:, 90:1410], (1240, 1420))
    page = 246 * page[..., None] * np.array([1.0, 0.985, 0.955], np.float32)
    height, width = 1500, 2000
    y, x = np.mgrid[:height, :width].astype(np.float32)
    grain = cv2.GaussianBlur(rng.normal(0, 1, (height, width)).astype(np.float32), (0, 0), sigmaX=60, sigmaY=1.5)
    boards = 92 + 26 * np.sin((y + 40 * np.sin(x / 420)) / 95) + 120 * grain
    table = boards[..., None] * np.array([1.0, 0.74, 0.5], np.float32)
    corners = np.array([[420, 110], [1500, 175], [1680, 1400], [255, 1330]], np.float32)
    square = np.array([[0, 0], [1240, 0], [1240, 1500], [0, 1500]], np.float32)
    lens = cv2.getPerspectiveTransform(square, corners)
    seen = cv2.warpPerspective(page, lens, (width, height), flags=cv2.INTER_AREA)
    cover = cv2.warpPerspective(np.ones(page.shape[:2], np.float32), lens, (width, height), flags=cv2.INTER_LINEAR)[
        ..., None
    ]
    shadow = cv2.GaussianBlur(np.roll(cover[..., 0], (14, 10), (0, 1)), (0, 0), 12)[..., None]
    scene = seen + (1 - cover) * table * (1 - 0.45 * shadow)
    light = 1.05 - 0.38 * (x / width) ** 1.5 - 0.12 * (y / height)
    scene = cv2.GaussianBlur(scene * light[..., None], (0, 0), 0.7) + rng.normal(0, 2.4, (height, width, 1))
    return np.clip(np.rint(scene), 0, 255).astype(np.uint8)


def small_logo() -> np.ndarray:
    """A small mark in four colours, enlarged once too often and saved too hard: fringes everywhere."""
    s = Sheet(150, "#ffffff")
    s.fill(disc(500, 500, 470), NIGHT)
    s.fill(
        curve(
            (60, 640),
            (200, 560, 330, 560, 500, 640),
            (670, 720, 800, 720, 940, 640),
            (900, 860, 720, 970, 500, 970),
            (280, 970, 100, 860, 60, 640),
            closed=True,
        ),
        SEA,
    )
    s.line(curve((500, 110), (500, 250)), GOLD, 34)
    s.fill(rounded(330, 240, 340, 420, 130), MADDER)
    s.fill(rounded(420, 320, 160, 270, 70), GOLD)
    small = Image.fromarray(s.rgba()[..., :3])
    fringed = small.resize((112, 112), Image.Resampling.BICUBIC).resize((210, 210), Image.Resampling.BICUBIC)
    buffer = io.BytesIO()
    fringed.save(buffer, "JPEG", quality=72)
    return np.asarray(Image.open(buffer))


def portrait() -> np.ndarray:
    """A photo-like face in lamplight, all shading: eyes and a mouth that must not be lost."""
    size = 1000
    y, x = np.mgrid[:size, :size].astype(np.float32) + 0.5
    def ball(cx, cy, rx, ry):
        return np.clip(1 - ((x - cx) / rx) ** 2 - ((y - cy) / ry) ** 2, 0, 1)
    def soft(m, s):
        return cv2.GaussianBlur(m.astype(np.float32), (0, 0), s)
    tone = 46 + 40 * np.exp(-(((x - 180) / 300) ** 2 + ((y - 300) / 420) ** 2))
    shoulders = soft(((x - 500) / 430) ** 2 + ((y - 1060) / 250) ** 2 < 1, 3)
    tone = tone * (1 - shoulders) + shoulders * (78 - 0.04 * (x - 300))
    neck = soft((abs(x - 500) < 88) & (y > 640) & (y < 880), 5)
    tone = tone * (1 - neck) + neck * (128 - 0.12 * (x - 420))
    hair = soft(((x - 500) / 268) ** 2 + ((y - 420) / 330) ** 2 < 1, 2)
    tone = tone * (1 - hair) + hair * (34 + 26 * np.exp(-(((x - 380) / 90) ** 2 + ((y - 190) / 60) ** 2)))
    face = soft((((x - 500) / 205) ** 2 + ((y - 470) / 268) ** 2 < 1) & (y > 262 + 0.0022 * (x - 470) ** 2), 3)
    lit = 118 + 104 * np.sqrt(ball(430, 440, 330, 380)) - 0.16 * (x - 500)
    tone = tone * (1 - face) + face * lit
    for cx in (418, 582):
        socket = np.exp(-(((x - cx) / 52) ** 2 + ((y - 432) / 34) ** 2))
        tone -= 52 * socket
        white = soft(((x - cx) / 34) ** 2 + ((y - 440) / 15) ** 2 < 1, 1.5)
        tone = tone * (1 - white) + white * (206 if cx < 500 else 176)
        iris = soft((x - cx) ** 2 + (y - 440) ** 2 < 13**2, 1.2)
        tone = tone * (1 - iris) + iris * 22
        brow = soft(abs(y - (386 + 0.004 * (x - cx) ** 2 + (-0.06 if cx < 500 else 0.06) * (x - cx))) < 8, 2) * (
            abs(x - cx) < 58
        )
        tone = tone * (1 - brow) + brow * 42
    tone -= 46 * np.exp(-(((x - 536) / 20) ** 2 + ((y - 520) / 82) ** 2)) * face
    tone -= 40 * np.exp(-(((x - 505) / 46) ** 2 + ((y - 588) / 12) ** 2))
    lips = soft(((x - 500) / 60) ** 2 + ((y - 664) / 19) ** 2 < 1, 3)
    tone = tone * (1 - lips) + lips * 118
    mouth = soft((abs(y - 662 + 0.0034 * (x - 500) ** 2) < 4) & (abs(x - 500) < 70), 1.2)
    tone = tone * (1 - mouth) + mouth * 30
    rng = np.random.default_rng(4)
    tone = cv2.GaussianBlur(tone, (0, 0), 1.0) + rng.normal(0, 3.0, tone.shape)
    return np.clip(np.rint(tone[..., None] * np.array([1.06, 0.96, 0.86])), 0, 255).astype(np.uint8)


def layer_pictures() -> dict[str, np.ndarray]:
    """One scene exported layer by layer, all with the same frame, the lowest first."""
    parts = {}

    def sheet(name):
        parts[name] = Sheet(700, None)
        return parts[name]

    sheet("1-night").fill(disc(500, 500, 480), NIGHT)
    s = sheet("2-hills")
    s.painter.setClipPath(disc(500, 500, 480))
    s.fill(
        curve(
            (0, 640),
            (160, 470, 300, 470, 420, 600),
            (560, 480, 720, 430, 1000, 620),
            (1000, 1000),
            (0, 1000),
            closed=True,
        ),
        SAND,
    )
    s = sheet("3-water")
    s.painter.setClipPath(disc(500, 500, 480))
    s.fill(
        curve(
            (0, 700),
            (120, 660, 220, 660, 330, 700),
            (440, 740, 540, 740, 650, 700),
            (760, 660, 860, 660, 1000, 700),
            (1000, 1000),
            (0, 1000),
            closed=True,
        ),
        SEA,
    )
    s = sheet("4-boat")
    s.fill(polygon((250, 690), (760, 690), (660, 830), (350, 830)), FOAM)
    s.fill(polygon((500, 330), (690, 660), (330, 660)), FOAM)
    s = sheet("5-lanterns")
    for x, y, r in ((230, 300, 52), (760, 250, 60), (820, 480, 40), (180, 520, 38)):
        s.line(curve((x, y - 2.1 * r), (x, y - r)), GOLD, 10)
        s.fill(rounded(x - 0.8 * r, y - 1.1 * r, 1.6 * r, 2.2 * r, 0.6 * r), GOLD)
    s.fill(star(500, 190, 60, 25), GOLD)
    return {name: part.rgba() for name, part in parts.items()}


def lantern_page() -> bytes:
    """A page of a document, 148 x 210 mm: a lantern in lines, with a rule at its head and one through its foot."""
    lines = ["1 J 1 j 0 G 2.4 w"]
    def put(*numbers):
        return " ".join(f"{v:.2f}" for v in numbers)
    def at(x, y):
        return (x * _MM, (210 - y) * _MM)

    def path(*points):
        lines.append(put(*at(*points[0])) + " m")
        for p in points[1:]:
            flat = [v for i in range(0, len(p), 2) for v in at(*p[i:i + 2])]
            lines.append(put(*flat) + (" l" if len(p) == 2 else " c"))
        lines.append("S")

    path(
        (74, 62),
        (101, 62, 112, 82, 112, 106),
        (112, 131, 98, 148, 74, 156),
        (50, 148, 36, 131, 36, 106),
        (36, 82, 47, 62, 74, 62),
    )
    path((60, 62), (60, 54), (88, 54), (88, 62))
    path((74, 54), (74, 34))
    path((64, 156), (64, 164), (84, 164), (84, 156))
    for dx in (-20, 20):
        path(
            (74, 62),
            (74 + dx, 80, 74 + 1.25 * dx, 96, 74 + 1.25 * dx, 108),
            (74 + 1.25 * dx, 128, 74 + 0.7 * dx, 146, 74, 156),
        )
    path((42, 82), (62, 90, 86, 90, 106, 82))
    path((42, 132), (62, 140, 86, 140, 106, 132))
    k = 0.5523 * 15
    path(
        (89, 108),
        (89, 108 + k, 74 + k, 123, 74, 123),
        (74 - k, 123, 59, 108 + k, 59, 108),
        (59, 108 - k, 74 - k, 93, 74, 93),
        (74 + k, 93, 89, 108 - k, 89, 108),
    )
    for i in range(5):
        path((74 + (i - 2) * 4, 164), (74 + (i - 2) * 4.6, 182))
    lines.append("0.9 w")
    path((14, 22), (134, 22))
    path((14, 190), (134, 190))
    content = "\n".join(lines).encode()
    objects = [
        b"<< /Type /Catalog /Pages 2 0 R >>",
        b"<< /Type /Pages /Kids [3 0 R] /Count 1 >>",
        f"<< /Type /Page /Parent 2 0 R /MediaBox [0 0 {148 * _MM:.2f} {210 * _MM:.2f}] /Contents 4 0 R >>".encode(),
        b"<< /Length %d >>\nstream\n%s\nendstream" % (len(content), content),
    ]
    out, offsets = bytearray(b"%PDF-1.4\n"), []
    for number, body in enumerate(objects, 1):
        offsets.append(len(out))
        out += b"%d 0 obj\n%s\nendobj\n" % (number, body)
    start = len(out)
    out += b"xref\n0 %d\n0000000000 65535 f \n" % (len(objects) + 1)
    for offset in offsets:
        out += b"%010d 00000 n \n" % offset
    out += b"trailer << /Size %d /Root 1 0 R >>\nstartxref\n%d\n%%%%EOF\n" % (len(objects) + 1, start)
    return bytes(out)


def pen_sketch() -> np.ndarray:
    """Boats and waves in thin open pen lines, as a scanner sees them."""
    s = Sheet(1200, "#fbfaf6")
    for k in range(6):
        y = 690 + 44 * k
        s.line(
            spline([(70 + 22 * k + 70 * i, y + 12 * math.cos(math.pi * (i + 0.3 * k))) for i in range(12 - k)]),
            "#20283a",
            5,
        )
    for x, y, r in ((250, 560, 1.0), (660, 500, 1.25)):
        s.line(
            curve((x - 120 * r, y), (x - 80 * r, y + 70 * r), (x + 80 * r, y + 70 * r), (x + 130 * r, y - 6)),
            "#20283a",
            5,
        )
        s.line(curve((x, y + 66 * r), (x, y - 190 * r)), "#20283a", 5)
        s.line(spline([(x + 6, y - 180 * r), (x + 70 * r, y - 90 * r), (x + 96 * r, y - 20)]), "#20283a", 5)
    for x in (430, 520, 860):
        s.line(spline([(x - 36, 250), (x - 14, 226), (x, 246), (x + 16, 224), (x + 40, 246)]), "#20283a", 5)
    s.fill(swell([(60, 980), (400, 965), (900, 985)], [4, 6, 4]), "#20283a")
    return s.rgba()[..., :3]
