"""Tasks of the table ``window``, each run in a process of its own: prints what it measured as JSON."""

import json
import sys
import time
from dataclasses import replace

import numpy as np

from sketchloom.files.report import peak_mb


def reports(path, reading="auto") -> dict:
    """How long the longest stretch without a report is, seconds, and the most memory, of one headless evaluation."""
    from sketchloom.core.picture.decode import decode, read_bytes
    from sketchloom.evaluate.pipeline import Pipeline
    from sketchloom.recipe.document import Recipe

    picture = decode(read_bytes(path), path)
    times = [time.perf_counter()]

    class Watch:
        def step(self, done, total, label):
            times.append(time.perf_counter())

    work = Pipeline().evaluate(picture, Recipe(reading=reading), progress=Watch())
    times.append(time.perf_counter())
    return {"longest": float(np.diff(times).max()), "total": times[-1] - times[0], "peak_mb": peak_mb(),
            "reading": work.reading}


def cut_offs(path) -> dict:
    """Memory that ten more cut-offs take after the first."""
    from sketchloom.core.picture.decode import decode, read_bytes
    from sketchloom.evaluate.pipeline import Pipeline
    from sketchloom.recipe.document import Recipe

    picture, pipeline = decode(read_bytes(path), path), Pipeline()
    pipeline.evaluate(picture, Recipe(reading="tone", cut_off=100))
    first = peak_mb()
    for cut_off in range(105, 155, 5):
        pipeline.evaluate(picture, Recipe(reading="tone", cut_off=cut_off))
    return {"first_mb": first, "more_mb": peak_mb() - first, "held_mb": pipeline.cache.bytes_held / 2**20}


def handle(path) -> dict:
    """A notch of the wheel, a pan and a hover on the bench, ms; the longest stalls of the window's thread, s."""
    from PySide6.QtCore import QPoint, QPointF, Qt, QTimer
    from PySide6.QtGui import QMouseEvent, QWheelEvent
    from PySide6.QtWidgets import QApplication

    from app.driver import Driver, pause, wait

    driver = Driver()
    window, bench = driver.window, driver.window.bench
    last, worst = [time.perf_counter()], [0.0]

    def tick():
        now = time.perf_counter()
        worst[0], last[0] = max(worst[0], now - last[0]), now
    timer = QTimer()
    timer.timeout.connect(tick)
    timer.start(5)

    def stall_of(act, done):
        act()
        last[0], worst[0] = time.perf_counter(), 0.0
        wait(done, 600)
        pause(50)
        return worst[0]

    none = Qt.MouseButton.NoButton
    at = QPointF(400, 300)

    def wheel(i):
        turn = QPoint(0, 120 if i % 4 < 2 else -120)
        QApplication.sendEvent(bench, QWheelEvent(at, QPointF(bench.mapToGlobal(at.toPoint())), QPoint(), turn, none,
                                                  Qt.KeyboardModifier.NoModifier, Qt.ScrollPhase.NoScrollPhase, False))

    def hover(i):
        place = QPointF(200 + 31 * i, 150 + 17 * i)
        QApplication.sendEvent(bench, QMouseEvent(QMouseEvent.Type.MouseMove, place,
                                                  QPointF(bench.mapToGlobal(place.toPoint())), none, none,
                                                  Qt.KeyboardModifier.NoModifier))

    def timed(act):
        took = []
        for i in range(12):
            begin = time.perf_counter()
            act(i)
            bench.repaint()
            took.append(time.perf_counter() - begin)
            pause(30)
        wait(lambda: bench.is_sharp, 600)
        return 1000 * float(np.median(took))
    document = lambda: window.session.document  # noqa: E731
    stall = stall_of(lambda: window.session.open_path(path), lambda: driver.work is not None)
    # large enough that no cell is under the smallest detail
    window.session.change(replace(document().recipe, size_mm=driver.work.picture.width / 6.0), "size")
    wait(lambda: driver.work is not None and bench.is_sharp, 600)
    bench.move_curtain(0.0)
    found = {"regions": driver.work.traced.planar.face_count, "stall": stall, "wheel": timed(wheel),
             "pan": timed(lambda i: bench.pan(17 if i % 4 < 2 else -17, 9)), "hover": timed(hover)}
    found["turn"] = stall_of(lambda: window.show_stage(2), lambda: bench.is_sharp)
    document().drop_recovery().result()
    driver.close()
    return found


if __name__ == "__main__":
    sys.stdout.write(
        json.dumps({"reports": reports, "cut_offs": cut_offs, "handle": handle}[sys.argv[1]](*sys.argv[2:])) + "\n"
    )
