"""Work beside the main result that helps to choose: the colour ladder, double outlines, variants."""

import logging
from dataclasses import dataclass

from PySide6.QtCore import QObject, QRectF, QSize, Signal
from PySide6.QtGui import QColor, QImage, QPainter

from sketchloom.app.bench.paint import paint_layers
from sketchloom.app.work.jobs import Lane
from sketchloom.app.work.paths import SheetPath
from sketchloom.core.base.errors import AppError, Cancelled
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.desk import figures, lines, variants
from sketchloom.desk.details import details_of
from sketchloom.desk.preflight import findings_of_work
from sketchloom.desk.regions import RegionDesk
from sketchloom.desk.ways import orders_offered, ways_compared
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.evaluate.work import Work
from sketchloom.recipe.sections import READINGS

LADDER, DOUBLES, PIECES, GAPS, VARIANTS, WAYS, DETAILS, BEFORE, READ = (
    "ladder", "doubles", "pieces", "gaps", "variants", "ways", "details", "before", "read")
PICTURE, TILE = QSize(148, 92), QSize(66, 50)
_SMALL_BYTES = 32 * 2**20
"""What is kept of the small readings while they are made."""
TILES = tuple(reading for reading in READINGS if reading != "auto")
_CALM_S = 0.25
_log = logging.getLogger(__name__)


@dataclass(frozen=True, slots=True, eq=False)
class Tried:
    """A variant that was traced: its work with paths in mm, its figures and a small picture."""

    variant: variants.Variant
    work: Work
    paths: tuple[SheetPath, ...]
    figures: variants.Figures
    picture: QImage


class Aside(QObject):
    """A thread that works for the latest result only, once the main one is done."""

    ladder = Signal(object, object)
    doubles = Signal(object, object)
    pieces = Signal(object, object)
    gaps = Signal(object, object)
    ways = Signal(object, object)
    orders = Signal(object, object)
    details = Signal(object, object)
    before = Signal(object, object)
    read = Signal(object, object)
    variants_begin = Signal(object, object)
    variant = Signal(object, object)

    def __init__(self, cache: Cache, parent=None):
        super().__init__(parent)
        self.lane = Lane("aside")
        self._pipeline = Pipeline(cache)
        self._gaps = self._read = None
        self._open: tuple[Work | None, set[str]] = None, set()
        """What was asked of a work and is not answered yet."""

    def request(self, work: Work, wanted) -> None:
        """Ask for something about a work; whatever was asked about an older one is dropped."""
        wanted = frozenset(wanted)
        if wanted == {BEFORE} and self._open[0] is work:  # what was asked before Release was turned to still comes
            wanted |= self._open[1]
        left = set(wanted)
        self._open = work, left
        self.lane.run("", lambda progress: self._answer(progress, work, wanted, left), lambda _: None,
                      lambda why: _log.info("nothing to show beside the result: %s", why))

    def cancel(self) -> None:
        self.lane.forget()

    def _answers(self, work):
        """What can be asked of a work, in the order in which it is answered: name, signal and how it is made."""
        colour, toned = work.reading == "colour", work.segmentation.cut_offs is not None
        sheets = not work.draws_with_pens
        return (
            *(((LADDER, self.ladder, lambda: figures.ladder(work)),) if colour else ()),
            *(((PIECES, self.pieces, lambda: self._pieces_of(work)),) if toned else ()),
            (GAPS, self.gaps, lambda: self._gaps_of(work)),
            (BEFORE, self.before, lambda: findings_of_work(work)),
            *(((WAYS, self.ways, lambda: ways_compared(work)),
               (WAYS, self.orders, lambda: orders_offered(work)),
               (DETAILS, self.details, lambda: details_of(RegionDesk(work, RegionIndex(work.traced.planar)))))
              if sheets else ()),
            (READ, self.read, lambda: self._read_of(work)),
            (DOUBLES, self.doubles, lambda: figures.double_outlines(work)),
        )

    def _pieces_of(self, work):
        key = ("pieces", work.segmentation.cut_offs, work.recipe.dark_is_ink)
        return self._pipeline.keep(key, lambda: figures.pieces_and_holes(work))

    def _gaps_of(self, work):
        if self._gaps is None or self._gaps[0] is not work.segmentation.regions:
            self._gaps = work.segmentation.regions, lines.gaps(work)  # of one map only: it is large
        return self._gaps[1]

    def _read_of(self, work):
        """Pictures of the work read each way; the same while the picture and what was prepared are."""
        recipe = work.recipe
        now = (work.original, recipe.preparation, recipe.background)
        if self._read is None or self._read[0][0] is not now[0] or self._read[0][1:] != now[1:]:
            made = variants.read_each_way(Pipeline(Cache(_SMALL_BYTES)), work, TILES)
            self._read = now, {
                reading: None if one is None else small_picture(
                    one, tuple(SheetPath(layer.outline, one.mm_per_px) for layer in one.layers), TILE)
                for reading, one in made.items()}
        return self._read[1]

    def _answer(self, progress, work, wanted, left):
        progress.pause(_CALM_S)  # a slider that still moves gives a newer work soon
        answers = self._answers(work)
        found = variants.variants_of(work) if VARIANTS in wanted else ()
        if VARIANTS in wanted:
            self.variants_begin.emit(work, found)  # what is to come is seen at once
        for name, signal, make in answers:
            if name in wanted:
                signal.emit(work, make())
                progress.step(0, 1, "")
        left.difference_update(name for name, *_ in answers)
        for one in found:
            try:
                made, costs = variants.evaluated(self._pipeline, work, one, progress)
            except AppError as error:
                if isinstance(error, Cancelled):
                    raise
                continue
            paths = tuple(SheetPath(layer.outline, made.mm_per_px) for layer in made.layers)
            progress.step(0, 1, "")
            self.variant.emit(work, Tried(one, made, paths, costs, small_picture(made, paths)))


def small_picture(work, paths, size: QSize = PICTURE) -> QImage:
    """What a work looks like cut, small, on a neutral ground."""
    image = QImage(size * 2, QImage.Format.Format_ARGB32_Premultiplied)
    image.setDevicePixelRatio(2)
    image.fill(QColor("#c9c4b9"))
    width, height = work.size_mm
    scale = min(size.width() / width, size.height() / height) * 0.94
    painter = QPainter(image)
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    painter.translate((size.width() - scale * width) / 2, (size.height() - scale * height) / 2)
    painter.scale(scale, scale)
    painter.fillRect(QRectF(0, 0, width, height), QColor("#e9e5db"))
    paint_layers(painter, work.layers, paths, work.mm_per_px, None, (0.0, 0.0, width, height), 1 / (2 * scale))
    painter.end()
    return image
