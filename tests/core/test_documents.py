"""PDF pages, SVG, GIF, AVIF and HEIF: their size against their own boxes, and hostile ones."""

import base64
import io
import os
import resource
from pathlib import Path

import numpy as np
import pytest
from PIL import Image

import shapes
from sketchloom.core.base import apart as base_apart
from sketchloom.core.base.errors import ImageTooLargeError, PictureError
from sketchloom.core.picture import apart, documents
from sketchloom.core.picture.decode import SUFFIXES, decode

NS = 'xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"'


def pdf(*pages, width=210 / 25.4 * 72, height=297 / 25.4 * 72) -> bytes:
    """A small PDF, one content stream a page (PDF 1.4, ISO 32000-1)."""
    parts = [
        b"<< /Type /Catalog /Pages 2 0 R >>",
        b"<< /Type /Pages /Count %d /Kids [%s] >>"
        % (len(pages), b" ".join(b"%d 0 R" % (3 + 2 * n) for n in range(len(pages)))),
    ]
    for n, content in enumerate(pages):
        parts.append(
            b"<< /Type /Page /Parent 2 0 R /MediaBox [0 0 %.3f %.3f] /Contents %d 0 R >>" % (width, height, 4 + 2 * n)
        )
        parts.append(b"<< /Length %d >>\nstream\n%s\nendstream" % (len(content), content))
    out, places = b"%PDF-1.4\n", []
    for number, part in enumerate(parts, 1):
        places.append(len(out))
        out += b"%d 0 obj\n%s\nendobj\n" % (number, part)
    table = len(out)
    out += b"xref\n0 %d\n0000000000 65535 f \n" % (len(parts) + 1) + b"".join(b"%010d 00000 n \n" % p for p in places)
    return out + b"trailer << /Size %d /Root 1 0 R >>\nstartxref\n%d\n%%%%EOF" % (len(parts) + 1, table)


SQUARE = b"0 0 0 rg 72 72 144 144 re f"
RED = b"1 0 0 rg 0 0 1000 1000 re f"


def svg(body, attributes='width="40mm" height="20mm" viewBox="0 0 80 40"') -> bytes:
    return f"<svg {NS} {attributes}>{body}</svg>".encode()


def test_a_page_has_its_size_in_mm_and_its_shapes_where_they_are():
    """A4 is 210 x 297 mm (ISO 216); the square is 2 in wide, one inch from the left and the bottom."""
    picture = decode(pdf(SQUARE), "page.pdf", page_dpi=300)
    assert picture.dpi == 300.0
    assert picture.width / 300 * 25.4 == pytest.approx(210, abs=0.1) and picture.height / 300 * 25.4 == pytest.approx(
        297, abs=0.1
    )
    y, x = np.nonzero(picture.grey < 128)
    assert (x.min(), x.max() + 1) == pytest.approx((300, 900), abs=1)
    assert picture.height - y.max() - 1 == pytest.approx(300, abs=1) and len(x) == pytest.approx(600 * 600, rel=0.01)


def test_vector_content_is_drawn_sharp_at_the_resolution_chosen():
    for dpi in (72, 600):
        picture = decode(pdf(SQUARE), "page.pdf", page_dpi=dpi)
        between = ((picture.grey > 20) & (picture.grey < 235)).sum()
        assert between <= 8 * dpi  # at most one soft pixel along each side


def test_the_page_asked_for_is_the_page_drawn():
    data = pdf(SQUARE, RED)
    assert documents.page_count(data, "x.pdf") == 2
    assert tuple(decode(data, "x.pdf", page=1, page_dpi=36).rgb[40, 40]) == (255, 0, 0)
    with pytest.raises(PictureError, match="has 2 pages; page 3 is not there"):
        decode(data, "x.pdf", page=2)


@pytest.mark.parametrize(
    "attributes, size_mm",
    [
        ('width="40mm" height="20mm" viewBox="0 0 80 40"', (40, 20)),
        ('width="4in" height="2in"', (101.6, 50.8)),
        ('width="96" height="48"', (25.4, 12.7)),
        ('viewBox="0 0 192 96"', (50.8, 25.4)),
        ('width="72pt" viewBox="0 0 10 5"', (25.4, 12.7)),
        ('width="100%" height="100%" viewBox="0 0 96 96"', (25.4, 25.4)),
    ],
)
def test_a_drawing_has_the_size_it_states(attributes, size_mm):
    """Units of CSS: 1 in = 25.4 mm = 96 px = 72 pt (W3C CSS Values and Units)."""
    picture = decode(svg('<rect width="8" height="3" fill="#c00"/>', attributes), "d.svg")
    assert picture.width / picture.dpi * 25.4 == pytest.approx(size_mm[0], rel=2e-3)
    assert picture.height / picture.dpi * 25.4 == pytest.approx(size_mm[1], rel=2e-3)
    assert max(picture.width, picture.height) >= 1200


def test_a_drawing_is_transparent_where_nothing_is_drawn():
    picture = decode(svg('<circle cx="40" cy="20" r="10" fill="#204060"/>'), "d.svg")
    px_per_unit = picture.width / 80
    assert (picture.alpha / 255.0).sum() == pytest.approx(np.pi * (10 * px_per_unit) ** 2, rel=1e-3)


def _bomb():
    buffer = io.BytesIO()
    Image.new("1", (30_000, 30_000)).save(buffer, "PNG")
    return "data:image/png;base64," + base64.b64encode(buffer.getvalue()).decode()


RECT = '<rect width="8" height="8"/>'


@pytest.mark.parametrize("body, note", [
    (RECT + "<script>alert(1)</script>", "script"), (f'<g onload="x()">{RECT}</g>', "script"),
    (RECT + '<image xlink:href="file:///etc/hostname" width="40" height="40"/>', "outside"),
    (RECT + '<image href="https://example.org/a.png" width="40" height="40"/>', "outside"),
    (RECT + '<use href="other.svg#a"/>', "outside"), ('<style>@import "x.css";</style>' + RECT, "outside"),
    (f'<rect width="8" height="8" fill="url(http://example.org/g.svg#a)"/>{RECT}', "outside"),
    (RECT + '<text x="1" y="30">tide</text>', "font")])
def test_what_does_not_belong_is_left_out_and_said(body, note):
    assert note in " ".join(decode(svg(body), "d.svg").notes)


def test_an_embedded_picture_that_would_burst_is_left_out():
    assert "outside" in " ".join(decode(svg(RECT + f'<image href="{_bomb()}" width="9" height="9"/>'), "d.svg").notes)


HOSTILE = {
    "deep": svg("<g>" * 5000 + RECT + "</g>" * 5000),
    "entities": b'<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]>' + svg("<title>&b;</title>" + RECT),
    "uses of uses": svg(
        "".join(
            f'<g id="n{n}">' + f'<use href="#n{n - 1}"/>' * 10 + "</g>" if n else f'<g id="n0">{RECT}</g>'
            for n in range(9)
        )
    ),
    "huge": svg(RECT, 'width="4999mm" height="4999mm"'),
    "endless": svg(RECT, 'width="1e9mm" height="1mm"'),
    "no size": svg(RECT, ""),
    "nothing": svg(""),
    "cut": svg(RECT)[:-9],
    "garbage": b"<svg \xff\xfe\x00 not xml",
    "uses itself": svg('<g id="a"><use href="#a"/></g>'),
}


@pytest.mark.parametrize("kind", HOSTILE)
def test_hostile_drawings_give_one_sentence(kind):
    with pytest.raises(PictureError) as told:
        decode(HOSTILE[kind], "evil.svg")
    assert str(told.value).startswith("evil.svg: ") and "\n" not in str(told.value)


@pytest.mark.parametrize("data", [b"%PDF-1.4 nonsense", pdf(SQUARE)[:200], pdf(), pdf(SQUARE, width=1e7, height=1e7),
                                  b"%PDF-1.7\n" + b"\0" * 500])
def test_hostile_pages_give_one_sentence(data):
    with pytest.raises(PictureError) as told:
        decode(data, "evil.pdf")
    assert str(told.value).startswith("evil.pdf: ") and "\n" not in str(told.value)


def test_a_page_too_fine_says_what_would_do():
    with pytest.raises(ImageTooLargeError, match=r"Choose \d+ dpi or less"):
        decode(pdf(SQUARE, width=7200, height=7200), "big.pdf", page_dpi=1200)


def drawn(size=96):
    return Image.fromarray(
        shapes.colour_of(shapes.cover_of(shapes.disc(48, 48, 30), size), (30, 60, 120), (255, 255, 255))
    )


def test_the_first_picture_of_a_gif():
    buffer = io.BytesIO()
    drawn().save(buffer, "GIF", save_all=True, append_images=[Image.new("RGB", (96, 96), "red")] * 2)
    picture = decode(buffer.getvalue(), "moving.gif")
    assert picture.rgb[48, 48].tolist() == pytest.approx([30, 60, 120], abs=12)
    assert any("several pictures; the first" in note for note in picture.notes)


@pytest.mark.parametrize("kind", ["AVIF", "HEIF"])
def test_photographs_of_newer_kinds(kind):
    if kind == "AVIF":
        buffer = io.BytesIO()
        drawn().save(buffer, "AVIF", quality=95)
        whole = buffer.getvalue()
    else:  # of the same drawing, written once by an encoder that the program does not ship
        whole = (Path(__file__).parents[1] / "data" / "drawn.heic").read_bytes()
    picture = decode(whole, "photo")
    assert (picture.width, picture.height) == (96, 96)
    assert picture.rgb[48, 48].tolist() == pytest.approx([30, 60, 120], abs=8)
    for share in (0.2, 0.5, 0.8):
        with pytest.raises(PictureError, match="photo: "):
            decode(whole[: int(share * len(whole))], "photo")


def test_every_kind_has_its_suffix():
    assert {".pdf", ".svg", ".gif", ".heic", ".avif"} <= set(SUFFIXES)


# -- files that are meant to end the program ---------------------------------------------------


def chained(count, one, use, last=""):
    """Definitions that each use the next."""
    return "".join(one.format(i=i, next=i + 1) for i in range(count)) + last + use


BOMBS = {
    "20,000 clip paths in a row": chained(
        20_000, '<clipPath id="c{i}" clip-path="url(#c{next})"><rect width="80" height="40"/></clipPath>',
        '<rect width="30" height="20" clip-path="url(#c0)"/>'),
    "masks that use two": chained(
        40, '<mask id="m{i}"><rect width="80" height="40" fill="#fff" mask="url(#m{next})"/>'
            '<rect width="80" height="40" fill="#fff" mask="url( \'#m{next}\' )"/></mask>',
        '<rect width="80" height="40" mask="url(#m0)"/>'),
    "patterns of the size of a town": chained(
        30, '<pattern id="p{i}" width="50" height="50" patternUnits="userSpaceOnUse" patternTransform="scale(1000)">'
            '<rect width="99999" height="99999" fill="url(#p{next})"/></pattern>',
        '<rect width="80" height="40" fill="url(#p0)"/>'),
    "markers on markers": chained(
        30, '<marker id="k{i}" markerWidth="9" markerHeight="9">'
            '<path d="M0 0L1 1L2 2L3 3L4 4L5 5" style="marker-mid:url(#k{next})"/></marker>',
        '<path d="M0 0L1 1L2 2L3 3" style="marker-mid:url(#k0)" stroke="red"/>'),
    "markers told by a style sheet": "<style>" + "".join(f".a{i} {{ marker-mid: url(#k{i + 1}) }}" for i in range(24))
        + "</style>" + chained(24, '<marker id="k{i}" markerWidth="9" markerHeight="9">'
                                   '<path class="a{i}" d="M0 0L1 1L2 2L3 3L4 4L5 5"/></marker>',
                               '<path class="a0" d="M0 0L1 1L2 2L3 3" stroke="red"/>'),
}


@pytest.mark.parametrize("what", BOMBS)
def test_a_drawing_that_would_end_the_program_is_told(what, monkeypatch):
    """References by ``url(#...)`` count as links do; what counting does not bound ends in the reader's own process."""
    monkeypatch.setattr(apart, "MOST_S", 20.0)
    before = resource.getrusage(resource.RUSAGE_SELF).ru_maxrss
    with pytest.raises(PictureError):
        decode(svg(BOMBS[what], 'width="400mm" height="200mm" viewBox="0 0 80 40"'), "bomb.svg")
    assert resource.getrusage(resource.RUSAGE_SELF).ru_maxrss - before < 200 * 1024  # KiB, as the system counts


def test_a_reader_that_dies_or_lies_is_told(monkeypatch):
    for answer in (b"", b"\0" * 8, b"\xff" * 40, (20).to_bytes(8, "big") + b'{"shape": [4, 4, 3]}',
                   (2**63).to_bytes(8, "big")):
        monkeypatch.setattr(apart, "ended", lambda *a, answer=answer: (-11, answer))
        with pytest.raises(PictureError):
            decode(svg(""), "a.svg")


def test_a_reader_that_does_not_end_is_ended(monkeypatch):
    begun, real = [], apart.subprocess.Popen
    monkeypatch.setattr(apart.subprocess, "Popen", lambda *a, **k: begun.append(real(*a, **k)) or begun[-1])
    monkeypatch.setattr(base_apart, "_BREATH_S", 0.001)
    monkeypatch.setattr(apart, "MOST_S", 0.0)
    with pytest.raises(PictureError, match="too long"):
        decode(svg(""), "a.svg")
    assert begun[0].poll() is not None


def test_sentences_of_the_reader_can_be_put_into_another_language():
    with pytest.raises(PictureError) as caught:
        decode(pdf(SQUARE), "page.pdf", page=3)
    assert caught.value.why.pattern == "has 1 page; page {page} is not there." and caught.value.path == "page.pdf"


def test_a_small_file_of_many_pixels_is_opened_at_half_its_size():
    """Seen: a JPEG of some kB that claims 10000 x 11000, decoded and traced in 2.4 GB. Size in mm stays."""
    data = io.BytesIO()
    Image.new("RGB", (8000, 7000), (90, 140, 60)).save(data, "JPEG", quality=5, dpi=(300, 300))
    picture = decode(data.getvalue(), "flat.jpg")
    assert (picture.width, picture.height, picture.dpi) == (4000, 3500, 150.0)
    assert any("half its size" in note for note in picture.notes)
    data = io.BytesIO()
    Image.new("L", (9000, 7000), 90).save(data, "PNG", dpi=(600, 600))
    picture = decode(data.getvalue(), "flat.png")
    assert (picture.width, picture.height) == (4500, 3500) and picture.dpi == pytest.approx(300, abs=0.1)


def test_the_reader_has_limits_of_the_system(tmp_path):
    """Memory and time are bounded by the system, not by our own counters; it writes no file and leaves no core."""
    code = ("import resource; from sketchloom.core.picture import apart; apart._limit(apart.MOST_BYTES, apart.MOST_S); "
            "print([resource.getrlimit(k)[0] for k in (resource.RLIMIT_AS, resource.RLIMIT_CPU, resource.RLIMIT_FSIZE, "
            "resource.RLIMIT_CORE)])")
    done = apart.subprocess.run([apart.sys.executable, "-c", code], capture_output=True, text=True, check=True,
                                env={**os.environ, "PYTHONPATH": str(Path(apart.__file__).parents[3])})
    assert done.stdout.strip() == str([apart.MOST_BYTES, round(apart.MOST_S), 0, 0]) and apart.MOST_BYTES < 1500 * 2**20
