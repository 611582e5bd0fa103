"""Hostile files by number: each case is the same on every machine. Good files of every kind that is opened, damaged,
lengthened, mixed with each other, or with numbers in them that lie."""

import io
import json
import random
import struct
import zlib
from functools import cache
from pathlib import Path

import numpy as np
from PIL import Image

from sketchloom.core.sheets.material import shipped, to_plain
from sketchloom.files.project import Project
from sketchloom.files.project import to_bytes as project_bytes
from sketchloom.recipe.document import Recipe, to_json
from sketchloom.recipe.parts import LayerEdit
from sketchloom.recipe.presets import preset_of
from sketchloom.recipe.presets import to_bytes as presets_bytes

ROOT = Path(__file__).parents[2]
PICTURE, PROJECT, RECIPE, PRESETS, MATERIALS = "picture", "project", "recipe", "presets", "materials"
_LIES = (0, 1, -1, 2**31 - 1, 2**31, 2**32 - 1, 1e-300, 1e300, -1e308, float("nan"), float("inf"), "", "\ud800", None,
         [], {}, True, "a" * 5000, [[]], "../../etc/passwd", "#12345", "#gggggg")
_SVG = (b'<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="40mm" '
        b'height="20mm" viewBox="0 0 80 40"><defs><clipPath id="a"><rect width="9" height="9"/></clipPath>'
        b'<pattern id="p" width="4" height="4" patternUnits="userSpaceOnUse"><rect width="2" height="2" fill="red"/>'
        b'</pattern></defs>'
        b'<g clip-path="url(#a)"><use xlink:href="#p"/><path d="M0 0C1 2 3 4 5 6z" fill="url(#p)"/></g></svg>')


def _pdf():
    body = b"0 0 0 rg 10 10 60 60 re f"
    parts = [b"<< /Type /Catalog /Pages 2 0 R >>", b"<< /Type /Pages /Count 1 /Kids [3 0 R] >>",
             b"<< /Type /Page /Parent 2 0 R /MediaBox [0 0 90 90] /Contents 4 0 R >>",
             b"<< /Length %d >>\nstream\n%s\nendstream" % (len(body), body)]
    out, places = b"%PDF-1.4\n", []
    for number, part in enumerate(parts, 1):
        places.append(len(out))
        out += b"%d 0 obj\n%s\nendobj\n" % (number, part)
    table = len(out)
    out += b"xref\n0 5\n0000000000 65535 f \n" + b"".join(b"%010d 00000 n \n" % p for p in places)
    return out + b"trailer << /Size 5 /Root 1 0 R >>\nstartxref\n%d\n%%%%EOF" % table


@cache
def seeds() -> tuple[tuple[str, str, bytes], ...]:
    """Good files: what each is opened as, its name and its bytes."""
    y, x = np.mgrid[:48, :64]
    pixels = np.stack([x * 4, y * 5, (x + y) % 256], -1).astype(np.uint8)
    found = []
    for kind, more in (("PNG", {}), ("JPEG", {}), ("WEBP", {}), ("BMP", {}), ("TIFF", {}), ("GIF", {}), ("AVIF", {}),
                       ("PNG", {"dpi": (300, 300)}), ("JPEG", {"progressive": True}),
                       ("TIFF", {"compression": "tiff_lzw"})):
        out = io.BytesIO()
        Image.fromarray(pixels).save(out, kind, **more)
        found.append((PICTURE, f"a.{kind.lower()}", out.getvalue()))
    found += [(PICTURE, "a.svg", _SVG), (PICTURE, "a.pdf", _pdf()),
              (PICTURE, "a.heic", (ROOT / "tests" / "data" / "drawn.heic").read_bytes())]
    recipe = Recipe(colours=4, layers=(LayerEdit("#aabbcc", name="sea"),))
    found.append((PROJECT, "a.sloom", project_bytes(Project(recipe, found[0][2], "a.png"))))
    found += [(PROJECT, path.name, path.read_bytes()) for path in sorted((ROOT / "tests" / "data").glob("*.sloom"))]
    found.append((RECIPE, "r.json", json.dumps(to_json(recipe)).encode()))
    found.append((PRESETS, "p.json", presets_bytes((preset_of("mine", recipe),))))
    found.append((MATERIALS, "m.json", json.dumps(to_plain(shipped())).encode()))
    return tuple(found)


def case(number: int) -> tuple[str, str, bytes]:
    """What a case is opened as, its name, its bytes."""
    rng = random.Random(number)
    kind, name, data = rng.choice(seeds())
    if kind in (RECIPE, PRESETS, MATERIALS) and rng.random() < 0.7:
        return kind, name, _lying_json(rng, data)
    if kind == PROJECT and rng.random() < 0.5:
        recipe = to_json(Recipe())
        for _ in range(rng.choice((1, 1, 2, 5))):
            _lie(rng, recipe)
        return kind, name, _zip_with(rng, recipe)
    if name.endswith(".png") and rng.random() < 0.4:
        return kind, name, _lying_png(rng, data)
    return kind, name, _damaged(rng, data)


def _damaged(rng, data):
    data = bytearray(data)
    for _ in range(rng.choice((1, 1, 2, 4, 16, 64))):
        if not data:
            break
        at, how = rng.randrange(len(data)), rng.randrange(7)
        if how == 0:
            data[at] ^= 1 << rng.randrange(8)
        elif how == 1:
            data[at] = rng.choice((0, 255, 127, 128, rng.randrange(256)))
        elif how == 2:
            del data[at:at + rng.choice((1, 2, 8, 64, len(data)))]
        elif how == 3:
            data[at:at] = rng.randbytes(rng.choice((1, 4, 40)))
        elif how == 4:
            data[at:at] = data[at:at + rng.choice((8, 200))] * rng.choice((1, 3, 200))
        elif how == 5:
            data[at:at + 4] = struct.pack(rng.choice("<>") + "I", rng.choice((0, 1, 2**31, 2**32 - 1, 65_535, 100_000)))
        else:
            _, _, other = rng.choice(seeds())
            data[at:at + 40] = other[:rng.choice((8, 40, 400))]
    return bytes(data)


def _lying_png(rng, data):
    """Sizes that the pixels do not bear out, checksums made right."""
    width, height = (rng.choice((1, 7, 48, 20_000, 2**31 - 1, 11_000, 0)) for _ in range(2))
    depth, colours = rng.choice((1, 8, 16)), rng.choice((0, 2, 3, 4, 6))
    head = struct.pack(">IIBBBBB", width, height, depth, colours, 0, 0, rng.randrange(2))
    pixels = zlib.compress(bytes(rng.choice((10, 10_000, 4_000_000))), 9)
    return data[:8] + _chunk(b"IHDR", head) + _chunk(b"IDAT", pixels) + _chunk(b"IEND", b"")


def _chunk(kind, body):
    return struct.pack(">I", len(body)) + kind + body + struct.pack(">I", zlib.crc32(kind + body))


def _lying_json(rng, data):
    plain = json.loads(data)
    for _ in range(rng.choice((1, 1, 2, 5))):
        _lie(rng, plain)
    text = json.dumps(plain)
    if rng.random() < 0.05:
        text = "[" * 100_000 + text
    return text.encode("utf-8", "surrogatepass") if rng.random() < 0.9 else _damaged(rng, text.encode())


def _lie(rng, plain):
    """Something in it is another thing."""
    place = plain
    while True:
        keys = list(place) if isinstance(place, dict) else list(range(len(place))) if isinstance(place, list) else []
        if not keys:
            return
        key = rng.choice(keys)
        if isinstance(place[key], (dict, list)) and place[key] and rng.random() < 0.7:
            place = place[key]
            continue
        value = rng.choice(_LIES)
        place[key] = [value] * rng.choice((1, 3, 2000)) if rng.random() < 0.2 else value
        return


def _zip_with(rng, recipe):
    import zipfile

    out = io.BytesIO()
    how = rng.choice((zipfile.ZIP_STORED, zipfile.ZIP_DEFLATED, zipfile.ZIP_BZIP2, zipfile.ZIP_LZMA))
    with zipfile.ZipFile(out, "w", how) as archive:
        plain = {"format": "sketch-loom", "schema": rng.choice(("1.4", "1.0", "99.0", "x", "")), "source_name": "a.png",
                 "recipe": recipe}
        archive.writestr("project.json", json.dumps(plain))
        bomb = bytes(rng.choice((100, 30_000_000)))
        archive.writestr(rng.choice(("source.png", "../source.png", "source/../../x", "/etc/x")),
                         rng.choice((seeds()[0][2], bomb)))
    return out.getvalue() if rng.random() < 0.8 else _damaged(rng, out.getvalue())
