"""Pictures from outside: every kind that is read, and files that want to do harm."""

import io
import struct
import zlib

import numpy as np
import pytest
from PIL import Image, ImageCms

import shapes
from sketchloom.core.base.errors import ImageTooLargeError, PictureError
from sketchloom.core.picture.decode import MAX_PIXELS, decode, read_bytes

_RAMP = np.indices((20, 30)).sum(0).astype(np.uint8) * 5
_RGB = np.dstack([_RAMP, _RAMP[::-1], 255 - _RAMP])


def encoded(image, kind, **options) -> bytes:
    buffer = io.BytesIO()
    image.save(buffer, kind, **options)
    return buffer.getvalue()


@pytest.mark.parametrize("kind", ["PNG", "BMP", "TIFF", "WEBP", "JPEG"])
def test_kinds(kind):
    options = {"lossless": True} if kind == "WEBP" else {"quality": 95, "subsampling": 0} if kind == "JPEG" else {}
    got = decode(encoded(Image.fromarray(_RGB), kind, **options), "a")
    assert np.abs(got.rgb.astype(int) - _RGB).max() <= (12 if kind == "JPEG" else 0)
    assert got.alpha is None and not got.rgb.flags.writeable


def test_grey_palette_bilevel_and_sixteen_bits():
    grey = decode(encoded(Image.fromarray(_RAMP), "PNG"), "a")
    assert (grey.rgb == _RAMP[..., None]).all()
    palette = decode(encoded(Image.fromarray(_RGB).quantize(16), "PNG"), "a")
    assert palette.rgb.shape == (20, 30, 3)
    bilevel = decode(encoded(Image.fromarray(_RAMP).convert("1"), "PNG"), "a")
    assert set(np.unique(bilevel.rgb)) == {0, 255}
    deep = decode(encoded(Image.fromarray(_RAMP.astype(np.uint16) * 257), "PNG"), "a")
    assert (deep.rgb == _RAMP[..., None]).all()


def test_transparent_ground_is_ground():
    alpha = np.where(np.indices((20, 30))[1] < 15, 0, 255).astype(np.uint8)
    got = decode(encoded(Image.fromarray(np.dstack([_RGB, alpha])), "PNG"), "a")
    assert (got.alpha == alpha).all() and (got.grey[:, :15] == 255).all()
    solid = np.full_like(alpha, 255)
    assert decode(encoded(Image.fromarray(np.dstack([_RGB, solid])), "PNG"), "a").alpha is None


def test_ink_colours_come_with_a_note():
    got = decode(encoded(Image.fromarray(_RGB).convert("CMYK"), "TIFF"), "a")
    assert got.rgb.shape == (20, 30, 3) and "ink colours" in got.notes[0]


def test_an_embedded_profile_is_followed():
    srgb = ImageCms.ImageCmsProfile(ImageCms.createProfile("sRGB")).tobytes()
    got = decode(encoded(Image.fromarray(_RGB), "PNG", icc_profile=srgb), "a")
    assert np.abs(got.rgb.astype(int) - _RGB).max() <= 1
    # a profile whose red and blue colorants have changed places turns red into blue
    # (ICC.1, rXYZ and bXYZ tags)
    swapped = srgb.replace(b"rXYZ", b"tmpZ").replace(b"bXYZ", b"rXYZ").replace(b"tmpZ", b"bXYZ")
    red = np.zeros((20, 20, 3), np.uint8) + np.array([255, 0, 0], np.uint8)
    turned = decode(encoded(Image.fromarray(red), "PNG", icc_profile=swapped), "a").rgb[0, 0].astype(int)
    assert turned[2] > 240 and turned[0] < 40
    broken = decode(encoded(Image.fromarray(_RGB), "PNG", icc_profile=b"nonsense"), "a")
    assert "profile" in broken.notes[0] and (broken.rgb == _RGB).all()


@pytest.mark.parametrize("orientation, turned", [(1, lambda a: a), (3, lambda a: a[::-1, ::-1]),
                                                 (6, lambda a: np.rot90(a, -1)), (8, lambda a: np.rot90(a))])
def test_turned_as_the_camera_says(orientation, turned):
    """Exif 2.3, tag 274."""
    exif = Image.Exif()
    exif[274] = orientation
    got = decode(encoded(Image.fromarray(_RGB), "PNG", exif=exif), "a")
    assert (got.rgb == turned(_RGB)).all()


def test_resolution():
    assert decode(encoded(Image.fromarray(_RGB), "PNG", dpi=(300, 300)), "a").dpi == pytest.approx(300, abs=0.1)
    assert decode(encoded(Image.fromarray(_RGB), "PNG"), "a").dpi is None
    assert decode(encoded(Image.fromarray(_RGB), "PNG", dpi=(300, 72)), "a").dpi is None


def _png_with_header(width, height) -> bytes:
    """A PNG whose header claims a size, with no such data behind it (PNG specification, IHDR)."""
    def chunk(kind, data):
        return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))
    head = struct.pack(">IIBBBBB", width, height, 8, 2, 0, 0, 0)
    return (
        b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", head) + chunk(b"IDAT", zlib.compress(b"\0" * 100)) + chunk(b"IEND", b"")
    )


def test_a_header_that_claims_too_much_is_refused_with_the_numbers():
    with pytest.raises(ImageTooLargeError, match="60000 × 60000 px, 3,600 megapixels"):
        decode(_png_with_header(60_000, 60_000), "huge.png")
    assert MAX_PIXELS == 120_000_000


def test_a_header_that_lies_is_refused():
    with pytest.raises(PictureError, match="damaged or cut short"):
        decode(_png_with_header(500, 500), "liar.png")


@pytest.mark.parametrize("data, why", [
    (b"hello, I am text", "not a picture"), (b"\x89PNG\r\n\x1a\n", "not a picture|damaged"),
    (b"GIF89a" + b"\0" * 40, "not a picture"), (b"<svg/>", "states no size"),
])
def test_what_is_no_picture(data, why):
    with pytest.raises(PictureError, match=why):
        decode(data, "x.png")


@pytest.mark.parametrize("kind", ["PNG", "JPEG", "WEBP", "TIFF"])
def test_cut_short_anywhere(kind):
    """Truncated at forty places: a sentence or, for late cuts that lose no pixel, a picture; never anything else."""
    rng = np.random.default_rng(2)
    whole = encoded(Image.fromarray(rng.integers(0, 255, (40, 40, 3), dtype=np.uint8)), kind)
    refused = 0
    for k in range(1, 40):
        try:
            decode(whole[: len(whole) * k // 40], "cut")
        except PictureError as error:
            refused += 1
            assert str(error).startswith("cut: ") and "Traceback" not in str(error)
    assert refused >= 30


def test_nothing_to_see():
    with pytest.raises(PictureError, match="every pixel is transparent"):
        decode(shapes.png(np.zeros((20, 20, 4), np.uint8)), "clear.png")
    with pytest.raises(PictureError, match="1 × 1 px"):
        decode(shapes.png(np.zeros((1, 1, 3), np.uint8)), "dot.png")


def test_paths_that_cannot_be_read(tmp_path):
    with pytest.raises(PictureError, match="no such file"):
        read_bytes(tmp_path / "none.png")
    with pytest.raises(PictureError, match="folder"):
        read_bytes(tmp_path)
    (tmp_path / "empty.png").touch()
    with pytest.raises(PictureError, match="empty"):
        read_bytes(tmp_path / "empty.png")
    with pytest.raises(PictureError, match="ordinary"):
        read_bytes("/dev/zero")
