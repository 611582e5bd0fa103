"""What a clipboard or something dragged in holds: files, the bytes of a picture, or a reason why it is neither."""

from dataclasses import dataclass
from pathlib import Path

from PySide6.QtCore import QCoreApplication, QMimeData
from PySide6.QtGui import QImage

from sketchloom.app.work.pictures import png_bytes
from sketchloom.files.opening import READABLE, in_name_order

_MOST_IN_FOLDER = 200
"""Pictures of a folder that are opened at once; more is a slip of the hand."""
_SVG = "image/svg+xml"
_PICTURES = {"image/png": "png", "image/jpeg": "jpg", "image/webp": "webp", "image/gif": "gif", "image/bmp": "bmp"}


@dataclass(frozen=True, slots=True)
class Offered:
    """``paths`` of files, or ``data`` with a ``name``, or ``trouble``: why there is nothing to open."""

    paths: tuple[Path, ...] = ()
    data: bytes = b""
    name: str = ""
    trouble: str = ""


def may_hold_something(mime: QMimeData) -> bool:
    """Whether it is worth dropping."""
    return mime.hasUrls() or mime.hasImage() or mime.hasFormat(_SVG) or _is_svg(mime.text())


def offered_by(mime: QMimeData | None) -> Offered:
    """What can be opened of it."""
    if mime is None:
        return Offered(trouble=QCoreApplication.translate("Offered", "It holds no picture. Copy one first."))
    files = [Path(url.toLocalFile()) for url in mime.urls() if url.isLocalFile()]
    if files:
        return of_files(files)
    if mime.hasFormat(_SVG):
        return Offered(data=bytes(mime.data(_SVG).data()), name=_drawing())
    if _is_svg(mime.text()):
        return Offered(data=mime.text().encode("utf-8", "replace"), name=_drawing())
    for kind, suffix in _PICTURES.items():  # the file's own bytes, with its resolution and profile
        if mime.hasFormat(kind) and mime.data(kind).size():
            return Offered(data=bytes(mime.data(kind).data()), name=f"{_picture()}.{suffix}")
    if mime.hasImage():
        image = QImage(mime.imageData())
        if not image.isNull():
            return Offered(data=png_bytes(image), name=f"{_picture()}.png")
    if mime.hasUrls() or mime.text().startswith(("http://", "https://")):
        return Offered(trouble=QCoreApplication.translate(
            "Offered", "That is a web address, and nothing is fetched from the net. Save the picture, then open it."))
    return Offered(trouble=QCoreApplication.translate("Offered", "It holds no picture. Copy one first."))


def of_files(files) -> Offered:
    """Files as they are; of folders the pictures in them."""
    found: list[Path] = []
    files = [Path(path) for path in files]
    for path in files:
        if path.is_dir():
            found += in_name_order(_pictures_in(path))
        else:
            found.append(path)
    if not found:
        return Offered(trouble=QCoreApplication.translate("Offered", "The folder “{0}” has no picture in it.").format(
            files[0].name))
    if len(found) > _MOST_IN_FOLDER:
        return Offered(trouble=QCoreApplication.translate(
            "Offered", "{0} pictures are too many at once; take those that are wanted.").format(len(found)))
    return Offered(tuple(Path(p) for p in found))


def _pictures_in(folder):
    """None of a folder that may not be read."""
    try:
        return [path for path in folder.iterdir() if path.suffix.lower() in READABLE and path.is_file()]
    except OSError:
        return []


def _is_svg(text: str) -> bool:
    start = text.lstrip()[:2000]
    return start.startswith("<") and "<svg" in start


def _picture():
    return QCoreApplication.translate("Offered", "pasted picture")


def _drawing():
    return QCoreApplication.translate("Offered", "pasted drawing") + ".svg"
