"""Settings of the photo reading."""

import numpy as np
from PySide6.QtCore import QRectF, Qt, Signal
from PySide6.QtGui import QImage, QPainter
from PySide6.QtWidgets import QSizePolicy

from sketchloom.app import theme
from sketchloom.app.painted import Picture, painted
from sketchloom.app.parts.widgets import button, counted, label
from sketchloom.app.stages.box import Box
from sketchloom.desk import figures

_GAP, _WORDS = 6, 18


class FaceStrip(Picture):
    """Three close looks side by side: the picture, cut without its strong small details, cut with them."""

    pointed = Signal(bool)

    def __init__(self):
        super().__init__()
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(self.tr("Close look at small details"))
        self.setToolTip(self.tr("Point here to have the strong small details hatched on the bench"))
        self._images = ()

    def show_preview(self, preview) -> None:
        self._images = tuple(
            QImage(
                np.ascontiguousarray(part).data,
                part.shape[1],
                part.shape[0],
                3 * part.shape[1],
                QImage.Format.Format_RGB888,
            ).copy()
            for part in (preview.source, preview.without, preview.kept)
        )
        self.setFixedHeight(self._side() + theme.px(_WORDS))
        self.update()

    def _side(self):
        return max((self.width() - 2 * _GAP) // 3, 40)

    def resizeEvent(self, event):
        super().resizeEvent(event)
        self.setFixedHeight(self._side() + theme.px(_WORDS))

    @painted
    def paintEvent(self, painter):
        painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
        font = painter.font()
        font.setPixelSize(theme.text_px(12))
        painter.setFont(font)
        side = self._side()
        for number, (image, word) in enumerate(
            zip(self._images, (self.tr("picture"), self.tr("without"), self.tr("with")), strict=False)
        ):
            x = number * (side + _GAP)
            scale = side / max(image.width(), image.height())
            painter.drawImage(QRectF(x, 0, image.width() * scale, image.height() * scale), image)
            painter.setPen(theme.INK_SOFT)
            painter.drawText(QRectF(x, side + 2, side, _WORDS - 2), Qt.AlignmentFlag.AlignHCenter, word)

    def enterEvent(self, event):
        super().enterEvent(event)
        self.pointed.emit(True)

    def leaveEvent(self, event):
        super().leaveEvent(event)
        self.pointed.emit(False)


class PhotoBox(Box):
    """Tones, outlines and the small details a face needs."""

    peek = Signal(object, object)
    place_tool_wanted = Signal()

    def __init__(self):
        super().__init__()
        self.strip = FaceStrip()
        self.strip.pointed.connect(self._point)
        self._place = button(
            self.tr("Look elsewhere…"),
            "target",
            self.tr("Click on the bench what the close look shows: a face, an eye"),
        )
        self._place.clicked.connect(self.place_tool_wanted)
        self._said = label("", "quiet")
        self._chosen = label("", "quiet")
        self._looked_at, self._looked_in = None, None
        self.add(
            self.control("tones"),
            self.control("hues"),
            self._chosen,
            self.control("features"),
            self.strip,
            self._said,
            self._place,
            self.control("photo_outlines"),
        )

    def show_work(self, work) -> None:
        super().show_work(work)
        if self._looked_in is not work.original and not work.rough:
            self._looked_in, self._looked_at = work.original, None
        self._show_preview()
        self._chosen.setVisible(work.recipe.hues == "auto" and work.segmentation.details is not None)
        self._chosen.setText(
            self.tr("They differ here: each has steps of its own.") if work.segmentation.hues_apart
            else self.tr("They differ little in so many tones: one ramp from dark to light."))

    def look_at(self, x: float, y: float) -> None:
        """A place, in shares of the picture's sides, for the close look."""
        self._looked_at = (x, y)
        self._show_preview()

    def _show_preview(self):
        work = self.work
        if work is None or work.segmentation.details is None:
            return
        preview = figures.face_preview(work, self._looked_at)
        self.strip.show_preview(preview)
        every, here = len(work.segmentation.details.places), preview.count
        told = counted(
            every,
            self.tr("1 strong detail is under the smallest one"),
            self.tr("{0} strong details are under the smallest one"),
        )
        if every == 0:
            self._said.setText(self.tr("No strong detail is under the smallest one: with and without are the same."))
        else:
            self._said.setText(self.tr("{0}, {1} of them here; {2}.").format(
                told, here, self.tr("they stay") if work.recipe.features else self.tr("they are lost")))

    def _point(self, on):
        work = self.work
        if on and work is not None and work.segmentation.details is not None and len(work.segmentation.details.places):
            self.peek.emit(work.segmentation.details.area(), work.segmentation.details.places)
        else:
            self.peek.emit(None, ())
