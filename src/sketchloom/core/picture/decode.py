"""From a file's bytes to a picture. The header is read and judged before any pixel is."""

import io
import stat
import warnings
from dataclasses import replace
from pathlib import Path

import numpy as np
from PIL import Image, ImageCms, ImageOps, UnidentifiedImageError

from sketchloom.core.base.errors import ImageTooLargeError, PictureError
from sketchloom.core.base.said import said
from sketchloom.core.picture import documents
from sketchloom.core.picture.apart import drawn_apart
from sketchloom.core.picture.picture import Picture, frozen_array

MAX_PIXELS = 120_000_000
"""Larger pictures are refused before they are decoded."""
MAX_FILE_BYTES = 512 * 1024 * 1024
"""Larger files are refused before they are read."""
KEPT_PIXELS = 50_000_000
"""Larger pictures are opened at half their size: 50 megapixels on a page of A3 are 590 dpi, finer than any blade goes,
and tracing 45 takes 0.9 to 1.4 GB (measured), so twice as many would not stay under 1.5."""
_HALVED = said("The picture has more pixels than any cut needs; it is opened at half its size.")
SMALLEST_SIDE_PX = 8
"""Smaller pictures hold nothing to trace."""
FORMATS = ("PNG", "JPEG", "WEBP", "BMP", "TIFF", "GIF", "AVIF")
SUFFIXES = (
    ".png",
    ".jpg",
    ".jpeg",
    ".webp",
    ".bmp",
    ".tif",
    ".tiff",
    ".gif",
    ".avif",
    ".heic",
    ".heif",
    ".pdf",
    ".svg",
)
_WANTED = said("Open a PNG, JPEG, WebP, BMP, TIFF, GIF, AVIF or HEIF picture, a PDF or an SVG.")
_HEIF_BRANDS = (b"heic", b"heix", b"hevc", b"heim", b"heis", b"hevm", b"mif1", b"msf1")
_SRGB = ImageCms.createProfile("sRGB")

Image.MAX_IMAGE_PIXELS = None  # this module checks the header itself, with its own limit


def read_bytes(path) -> bytes:
    """The bytes of a picture file; raises PictureError with a sentence when it cannot be read."""
    path = Path(path)
    try:
        status = path.stat()
        if stat.S_ISDIR(status.st_mode):
            raise PictureError(path, said("is a folder, not a picture."), said("Name the pictures in it."))
        if not stat.S_ISREG(status.st_mode):
            raise PictureError(path, said("is not an ordinary file."), _WANTED)
        if status.st_size > MAX_FILE_BYTES:
            raise ImageTooLargeError(
                path,
                said(
                    "has {mb:.0f} MB; at most {mb2} MB are read.",
                    mb=status.st_size / 2**20,
                    mb2=MAX_FILE_BYTES // 2**20,
                ),
                said("Save a smaller copy."),
            )
        data = path.read_bytes()
    except FileNotFoundError:
        raise PictureError(path, said("there is no such file."), said("Check the name and the folder.")) from None
    except PermissionError:
        raise PictureError(path, said("this file may not be read."), said("Check its permissions.")) from None
    except OSError as error:
        raise PictureError(path, said("cannot be read ({strerror}).", strerror=error.strerror)) from None
    if not data:
        raise PictureError(path, said("the file is empty."), said("Copy or download it again."))
    return data


def decode(data: bytes, name: str, page: int = 0, page_dpi: int = documents.USUAL_DPI, least_px: int = 0) -> Picture:
    """Decode a picture, turn it upright and bring it to sRGB; a PDF's page or an SVG is drawn.

    Parameters
    ----------
    data : the bytes of a file of one of the kinds named in SUFFIXES, from anywhere.
    name : the file as the user knows it, for messages.
    page, page_dpi : which page of a document, from 0, and how finely it is drawn; its longer side has ``least_px`` at
        least.

    Raises
    ------
    ImageTooLargeError : the header claims more than 120 megapixels; nothing was decoded.
    PictureError : the bytes are no such picture, are damaged, or show nothing.

    Notes
    -----
    Documents and the formats of films are read in a process of their own.
    """
    if documents.is_document(data) or _film_brand(data):
        return replace(drawn_apart(data, name, page, page_dpi, MAX_PIXELS, least_px), name=Path(name).name)
    return decode_here(data, name, page, page_dpi, MAX_PIXELS)


def decode_here(data: bytes, name: str, page: int, page_dpi: int, most_pixels: int, least_px: int = 0) -> Picture:
    """As ``decode``, in this process, whatever the file does to it."""
    if documents.is_document(data):
        return _of_bounded_size(documents.render(data, name, page, page_dpi, most_pixels, least_px))
    with warnings.catch_warnings():
        warnings.simplefilter("ignore")
        image = _open(data, name)
        try:
            notes = (
                [said("The file has several pictures; the first is used.")]
                if getattr(image, "is_animated", False)
                else []
            )
            if image.format == "JPEG" and image.width * image.height > KEPT_PIXELS:
                _decode_half(image)
                notes.append(_HALVED)
            image.load()
            image = ImageOps.exif_transpose(image)
            return _of_bounded_size(_to_picture(image, name, notes))
        except PictureError:
            raise
        except MemoryError:
            raise ImageTooLargeError(name, said("does not fit into memory."), said("Save a smaller copy.")) from None
        except Exception as error:  # decoders raise whatever they like on damaged data
            raise PictureError(name, said("the picture is damaged or cut short ({short}).", short=_short(error)),
                               said("Copy or export it again.")) from None


def _decode_half(image):
    """Have a JPEG decoded at half its size at once, which takes a quarter of the memory."""
    width = image.width
    image.draft("RGB", (-(-image.width // 2), -(-image.height // 2)))
    if "dpi" in image.info:
        image.info["dpi"] = tuple(v * image.width / width for v in image.info["dpi"])


def _of_bounded_size(picture: Picture) -> Picture:
    """The picture, at half its size where it would take too much memory to trace."""
    if picture.width * picture.height <= KEPT_PIXELS:
        return picture
    dpi = None if picture.dpi is None else picture.dpi / 2
    alpha = None if picture.alpha is None else _halved(picture.alpha)
    return _of_bounded_size(Picture(_halved(picture.rgb), alpha, dpi, picture.name, (*picture.notes, _HALVED)))


def _halved(values) -> np.ndarray:
    return frozen_array(np.asarray(Image.fromarray(values).reduce(2)))


def _film_brand(data) -> bool:
    """Whether the bytes are of a format that films have too (ISO/IEC 14496-12): HEIF or AVIF."""
    return data[4:8] == b"ftyp"


def _open(data, name):
    try:
        image = Image.open(io.BytesIO(data), formats=_formats_for(data))
        width, height = image.size
    except UnidentifiedImageError:
        raise PictureError(name, said("this is not a picture the program reads."), _WANTED) from None
    except Exception as error:
        raise PictureError(name, said("the picture's header is damaged ({short}).", short=_short(error)),
                           said("Copy or export it again.")) from None
    if width * height > MAX_PIXELS:
        raise ImageTooLargeError(
            name,
            said(
                "claims {width} × {height} px, {height2:,.0f} megapixels; at most {max_pixels:.0f} are opened.",
                width=width,
                height=height,
                height2=width * height / 1000000.0,
                max_pixels=MAX_PIXELS / 1000000.0,
            ),
            said("Save a smaller copy."),
        )
    if min(width, height) < SMALLEST_SIDE_PX:
        raise PictureError(
            name,
            said(
                "is {width} × {height} px; a picture to trace needs at least {smallest_side_px} px on each side.",
                width=width,
                height=height,
                smallest_side_px=SMALLEST_SIDE_PX,
            ),
            said("Use a larger version."),
        )
    return image


def _formats_for(data):
    """The kinds to try; the library for HEIF is loaded only when its mark is seen."""
    if data[4:8] == b"ftyp" and data[8:12] in _HEIF_BRANDS:
        import pi_heif

        pi_heif.register_heif_opener(thumbnails=False)
        return ("HEIF", "AVIF")
    return FORMATS


def _short(error) -> str:
    text = str(error).splitlines()[0] if str(error) else type(error).__name__
    return text[:90].rstrip(". ")


def _to_picture(image, name, notes):
    dpi = _dpi(image)
    image = _plain_depth(image)
    if image.mode == "P" or "transparency" in image.info:
        image = image.convert("RGBA" if "transparency" in image.info else "RGB")
    alpha = None
    if image.mode in ("RGBA", "LA", "PA", "RGBa", "La"):
        if image.mode != "RGBA":
            image = image.convert("RGBA")
        alpha = np.asarray(image.getchannel("A"))
        alpha = None if alpha.min() == 255 else frozen_array(alpha)
        image = _with_info(image.convert("RGB"), image)
    rgb = np.asarray(_to_srgb(image, notes))
    if alpha is not None and alpha.max() < 16:
        raise PictureError(name, said("every pixel is transparent; there is nothing to trace."),
                           said("Export the picture with its colours."))
    return Picture(frozen_array(rgb), alpha, dpi, Path(name).name, tuple(notes))


def _with_info(image, source):
    image.info.update(source.info)
    return image


def _plain_depth(image):
    """Deeper than 8 bits a channel: scaled to 8."""
    if image.mode.startswith("I;16") or image.mode in ("I", "F"):
        values = np.asarray(image).astype(np.float64)
        if not np.isfinite(values).all():
            raise ValueError("not every pixel is a number")
        top = 65535.0 if image.mode != "F" else max(1.0, float(values.max()))
        scaled = np.clip(np.rint(values * (255.0 / top)), 0, 255).astype(np.uint8)
        return _with_info(Image.fromarray(scaled), image)
    if image.mode == "1":
        return _with_info(image.convert("L"), image)
    return image


def _to_srgb(image, notes):
    profile = image.info.get("icc_profile")
    if profile:
        try:
            source = ImageCms.ImageCmsProfile(io.BytesIO(profile))
            return ImageCms.profileToProfile(image, source, _SRGB, outputMode="RGB",
                                             renderingIntent=ImageCms.Intent.RELATIVE_COLORIMETRIC)
        except (ImageCms.PyCMSError, OSError, ValueError, TypeError):
            notes.append(said("The colour profile in the file could not be used; colours are read as sRGB."))
    elif image.mode == "CMYK":
        notes.append(said("The file has ink colours without a profile; colours on screen are an estimate."))
    return image if image.mode == "RGB" else image.convert("RGB")


def _dpi(image):
    try:
        x, y = (float(v) for v in image.info.get("dpi", (0, 0)))
    except (TypeError, ValueError, ZeroDivisionError):
        return None
    return x if 10 <= x <= 4800 and abs(x - y) <= 0.02 * x else None
