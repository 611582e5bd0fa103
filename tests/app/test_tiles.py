"""The cut drawn in tiles beside the window."""

import numpy as np
from PIL import Image
from PySide6.QtCore import QSize, Qt
from PySide6.QtGui import QColor, QImage, QPainter

from app.driver import grabbed, pause, wait
from sketchloom.app.bench.tiles import TILE, Content, Tiles, rendered
from sketchloom.app.bench.view import View
from sketchloom.app.work.paths import qt_path


def rings(tmp_path):
    pixels = np.full((400, 400), 255, np.uint8)
    y, x = np.mgrid[:400, :400]
    pixels[(np.hypot(x % 40 - 20, y % 40 - 20) < 12) & (np.hypot(x % 40 - 20, y % 40 - 20) > 5)] = 20
    Image.fromarray(pixels).save(tmp_path / "rings.png")
    return tmp_path / "rings.png"


def pixels_of(image):
    image = image.convertToFormat(QImage.Format.Format_ARGB32)
    return np.array(image.constBits(), np.uint8).reshape(image.height(), image.width(), 4).astype(int)


def test_a_tile_looks_as_the_whole_outline_does(driver, tmp_path):
    driver.open(rings(tmp_path))
    work, paths = driver.work, driver.session.latest.paths
    content = Content(work.layers, paths, work.mm_per_px)
    for scale in (3.0, 20.0, 0.5):
        for place in ((0, 0), (1, 0), (2, 3)):
            plain = QImage(TILE, TILE, QImage.Format.Format_ARGB32_Premultiplied)
            plain.fill(Qt.GlobalColor.transparent)
            painter = QPainter(plain)
            painter.setRenderHint(QPainter.RenderHint.Antialiasing)
            painter.translate(-place[0] * TILE, -place[1] * TILE)
            painter.scale(scale, scale)
            for layer in work.layers:
                painter.fillPath(qt_path(layer.outline, work.mm_per_px), QColor(layer.plan.hex))
            painter.end()
            away = np.abs(pixels_of(rendered(content, scale, 1.0, place)) - pixels_of(plain)).max(-1)
            assert (away > 40).mean() < 0.002, (scale, place)


def test_what_is_there_is_shown_at_once_and_made_sharp_after(driver, tmp_path):
    driver.open(rings(tmp_path))
    bench = driver.window.bench
    bench.move_curtain(0.0)
    sharp = pixels_of(grabbed(bench).toImage())
    bench.zoom(2.0)
    rough = pixels_of(bench.grab().toImage())  # nothing was waited for
    assert not bench.is_sharp
    dark = (rough.max(-1) < 300) & (rough[..., :3].sum(-1) < 120)
    assert dark.mean() > 0.5 * (sharp[..., :3].sum(-1) < 120).mean()
    after = pixels_of(grabbed(bench).toImage())
    assert bench.is_sharp and (after != rough).any()


def test_tiles_of_a_content_that_changed_in_one_place_stay_elsewhere(driver, tmp_path):
    driver.open(rings(tmp_path))
    work, paths = driver.work, driver.session.latest.paths
    tiles, made = Tiles("test"), []
    tiles._made.connect(lambda *_: made.append(1))
    image = QImage(700, 700, QImage.Format.Format_ARGB32_Premultiplied)

    def paint():
        painter = QPainter(image)
        tiles.paint(painter, View(5.0, 0.0, 0.0), QSize(700, 700), 1.0)
        painter.end()
        wait(lambda: tiles.is_sharp and not tiles.lane.busy)  # busy until every tile has been counted
    tiles.show(Content(work.layers, paths, work.mm_per_px))
    paint()
    assert len(made) == 9
    tiles.show(Content(work.layers, paths, work.mm_per_px), [(1.0, 1.0, 2.0, 2.0)])
    paint()
    assert len(made) == 10
    tiles.show(Content(work.layers, paths, work.mm_per_px), ())
    paint()
    pause(30)
    assert len(made) == 10
    tiles.close()
