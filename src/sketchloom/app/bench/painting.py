"""How the bench is painted: the work on its ground, what is laid over it, its words."""

from PySide6.QtCore import QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPen

from sketchloom.app import dyes, theme
from sketchloom.app.bench import chips
from sketchloom.app.bench import paint as bench_paint
from sketchloom.app.bench.paint import tint_of
from sketchloom.app.bench.rulers import RULER
from sketchloom.app.bench.surface import Surface
from sketchloom.app.painted import painted
from sketchloom.app.tools.tool import Frame, draw_line


class Painting(Surface):
    """A surface that paints itself."""

    @painted
    def paintEvent(self, painter):
        painter.fillRect(self.rect(), QColor(theme.GROUNDS[self._ground()]))
        visible = QRectF(RULER, RULER, self.width() - RULER, self.height() - RULER)
        page = self._page()
        painter.save()
        painter.setClipRect(visible)
        if self._source is not None:
            self._paint_work(painter, visible, page)
        if self.grid:
            bench_paint.paint_grid(painter, self.rect(), self._view, self.unit)
        painter.setPen(QPen(QColor(255, 255, 255, 150) if self._ground() == "dark" else QColor(40, 36, 30, 130), 1,
                            Qt.PenStyle.DashLine))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawRect(page)
        self._paint_overlays(painter)
        if self.hand is not None:
            painter.setRenderHint(QPainter.RenderHint.Antialiasing)
            self.hand.paint(painter, Frame(page))
            self.cross.paint(painter)
        painter.restore()
        self._rulers.paint(painter, self.rect(), self._view, self.unit, self._pointer, self.devicePixelRatioF())
        self._paint_texts(painter)

    def _ground(self):
        """The ground that was chosen, or the one on which the work is seen best."""
        return self.fitting_ground if self.ground == "auto" else self.ground

    def _paint_laid_on(self, painter, page):
        """The shirt, wall or card below everything, if it was said."""
        if self._shown is not None and self._shown.work.recipe.laid_on is not None:
            painter.fillRect(page, QColor(self._shown.work.recipe.laid_on))

    def _page(self) -> QRectF:
        """Where the picture lies; as it came, it has the prepared one's width."""
        width, height = self._size_mm
        if self._shows_original():
            first = self._original.levels[0]
            height = width * first.height() / first.width()
        return QRectF(self._view.x, self._view.y, width * self._view.scale, height * self._view.scale)

    def _shows_original(self) -> bool:
        return self.tool is not None and self.tool.wants_original and self._original is not None

    def _paint_work(self, painter, visible, page):
        split = self._curtain_x() if self.curtain_on else RULER
        if self.source_only or self._shown is None or (self.tool is not None and self.tool.wants_source):
            split = self.width()
        elif self.tool is not None and self.tool.wants_cut:
            split = RULER
        painter.save()
        painter.setClipRect(visible.intersected(QRectF(0, 0, split, self.height())))
        if self._pinned is not None and self.tool is None and not self.source_only:
            self._pinned_tiles.paint(painter, self._view, self.size(), self.devicePixelRatioF())
        else:
            if self._seen is None:
                self._seen = self._left_image(page)
            painter.drawImage(0, 0, self._seen)
        painter.restore()
        if split < self.width():
            painter.save()
            painter.setClipRect(visible.intersected(QRectF(split, 0, self.width(), self.height())))
            self._paint_laid_on(painter, page)
            self.tiles.paint(painter, self._view, self.size(), self.devicePixelRatioF())
            painter.restore()

    def _left_image(self, page):
        """The source under its veil."""
        shown = self._original if self._shows_original() else self._source
        image = bench_paint.render_source(self.size(), self.devicePixelRatioF(), shown, page)
        if self._shown is not None and self._shown.veil is not None and not self._shows_original():
            painter = QPainter(image)
            painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
            painter.drawImage(page, self._shown.veil)
            painter.end()
        return image

    def _look_of(self, shown):
        """The look asked for, once it is of the sheets that are shown."""
        fits = self._look is not None and len(self._look.families) == len(shown.work.layers)
        return self._look if fits and not shown.coarse else None

    def _paint_overlays(self, painter):
        painter.save()
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.translate(self._view.x, self._view.y)
        painter.scale(self._view.scale, self._view.scale)
        if self._pointed.path is not None:
            path = self._pointed.path.seen(self._box_mm(), 1 / self._view.scale)
            for colour, width in (("#ffffff", 3.0), (dyes.MADDER, 1.5)):
                pen = QPen(QColor(colour), width)
                pen.setCosmetic(True)
                painter.strokePath(path, pen)
        painter.restore()
        if self.lasso is not None:
            frame = Frame(self._page())
            draw_line(painter, [frame.place(*p) for p in self.lasso], closed=True)
        if self._widths is not None:
            bench_paint.paint_widths(painter, self._view, *self._widths)
        if self.difference_on and self._unlike() is not None:
            painter.drawImage(self._page(), self._hatched(self._unlike()))
        if self._peek is not None:
            painter.drawImage(self._page(), self._peek[0])
            bench_paint.paint_marks(painter, self._view, self._peek[1], None)
        if self._numbers:
            bench_paint.paint_numbers(painter, self._view, self._numbers)
        bench_paint.paint_marks(painter, self._view, self.marks, self.target)
        if self.curtain_on and not self.source_only and self._shown is not None and self.tool is None:
            bench_paint.paint_curtain(painter, self.rect(), self._curtain_x(),
                                      self.pinned_title or self.tr("source"), self.tr("cut"))

    def _unlike(self):
        """Where the picture shown is unlike what is cut; None where that is not known."""
        return None if self._shown is None else self._shown.work.unlike

    def _hatched(self, unlike):
        """Its places as a veil, made once."""
        if self._difference is None or self._difference[0] is not unlike:
            self._difference = unlike, tint_of(unlike.area)
        return self._difference[1]

    def _difference_text(self):
        found = self._unlike()
        if found is None:
            return self.tr("this reading is not meant to be like the picture everywhere")
        return self.tr("hatched: {0:.2%} of the picture, unlike what is cut there").format(1 - found.explained)

    def _box_mm(self):
        """What is seen, and a little around it, mm."""
        more = 8 / self._view.scale
        (left, top), (right, bottom) = self._view.to_mm(0, 0), self._view.to_mm(self.width(), self.height())
        return left - more, top - more, right + more, bottom + more

    def _paint_texts(self, painter):
        font = painter.font()
        font.setPixelSize(theme.text_px(13))
        painter.setFont(font)
        asks = self.tool is not None or (self.resting is not None and self.cross.at is not None)
        text = self.hand.hint if asks else self.asked or self._pointed.text
        if text:
            chips.hint(painter, text, RULER + 10, self.height() - 10, self.width() - RULER - 20)
        if self._busy_text:
            chips.chip(painter, self._busy_text, RULER + 10, RULER + 10)
        elif self._shown is not None and self._shown.coarse:
            chips.chip(painter, self.tr("rough preview"), RULER + 10, RULER + 10)
        elif self._shown is not None and self.difference_on:
            chips.chip(painter, self._difference_text(), RULER + 10, RULER + 10)

    def _place_stop(self):
        width = self.fontMetrics().horizontalAdvance(self._busy_text) + 40
        self._stop.move(RULER + 10 + width, RULER + 6)
        self._stop.adjustSize()
        self._stop.raise_()

    def resizeEvent(self, event):
        super().resizeEvent(event)
        self._seen = None
        if self._fitted:
            self.fit()
