"""``python -m demo``: draws the shipped demo pictures anew."""

import io
import os
from pathlib import Path

from PIL import Image

os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
from PySide6.QtGui import QGuiApplication  # noqa: E402

from demo import pictures  # noqa: E402

FOLDER = Path(__file__).resolve().parents[1] / "src" / "sketchloom" / "data" / "demo"
NAMES = {"lighthouse-badge.png": pictures.lighthouse, "kingfisher-sketch.png": pictures.kingfisher,
         "lantern-panel.png": pictures.lantern_panel, "paper-boat.jpg": pictures.paper_boat}


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
    del app


if __name__ == "__main__":
    main()
