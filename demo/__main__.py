"""``python -m demo``: draws the shipped demo pictures anew."""

import io
import os
from pathlib import Path

from PIL import Image

os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
from PySide6.QtGui import QGuiApplication

from demo import evening, pictures, quay, sources
from sketchloom.files.demo_works import DEMOS
from sketchloom.files.opening import open_project

FOLDER = Path(__file__).resolve().parents[1] / "src" / "sketchloom" / "data" / "demo"
NAMES = {"lighthouse-badge.png": pictures.lighthouse, "kingfisher-sketch.png": pictures.kingfisher,
         "lantern-panel.png": pictures.lantern_panel, "paper-boat.jpg": pictures.paper_boat,
         "kingfisher-by-phone.jpg": sources.phone_kingfisher, "small-mark.png": sources.small_logo,
         "portrait.jpg": sources.portrait, "boats-in-pen.png": sources.pen_sketch,
         "lantern-banner.png": evening.banner, "six-badges.png": evening.six_badges,
         "quay-sign.png": quay.quay_sign}
THUMBNAIL_PX = 220


def main() -> None:
    app = QGuiApplication([])
    FOLDER.mkdir(parents=True, exist_ok=True)
    for name, draw in NAMES.items():
        pixels = draw()
        if pixels.shape[-1] == 4 and pixels[..., 3].min() == 255:
            pixels = pixels[..., :3]
        image = Image.fromarray(pixels)
        buffer = io.BytesIO()
        if name.endswith(".jpg"):
            image.save(buffer, "JPEG", quality=90, dpi=(200, 200))
        else:
            image.save(buffer, "PNG", optimize=True)
        (FOLDER / name).write_bytes(buffer.getvalue())
    (FOLDER / "lantern-page.pdf").write_bytes(sources.lantern_page())
    for name, pixels in sources.layer_pictures().items():
        Image.fromarray(pixels).save(FOLDER / f"{name}.png", optimize=True)
    _thumbnails()
    del app


def _thumbnails() -> None:
    """Small pictures for the first screen, which should not have to decode everything."""
    (FOLDER / "small").mkdir(exist_ok=True)
    for one in DEMOS:
        picture = open_project(one.project(), None).picture.reduced(THUMBNAIL_PX)
        image = Image.new("RGB", (THUMBNAIL_PX, THUMBNAIL_PX), "white")
        shown = Image.fromarray(picture.rgb)
        place = ((THUMBNAIL_PX - picture.width) // 2, (THUMBNAIL_PX - picture.height) // 2)
        image.paste(shown, place, None if picture.alpha is None else Image.fromarray(picture.alpha))
        image.save(FOLDER / "small" / f"{one.key}.png", optimize=True)


if __name__ == "__main__":
    main()
