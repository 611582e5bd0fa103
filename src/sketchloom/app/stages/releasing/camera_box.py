"""Where a printed page lies on the bed, from a picture of it: the cuts of stickers go there."""

from PySide6.QtCore import QPointF, QSize, Qt, Signal
from PySide6.QtGui import QColor, QImage, QPainter, QPen, QPolygonF
from PySide6.QtWidgets import QComboBox, QFileDialog, QSizePolicy, QVBoxLayout, QWidget

from sketchloom.app import dyes, theme
from sketchloom.app.painted import Picture, painted
from sketchloom.app.parts.widgets import button, label, rows_of, say_on
from sketchloom.app.words import named, told
from sketchloom.core.picture.decode import SUFFIXES
from sketchloom.core.sheets.machine import BLADE, shipped
from sketchloom.files import user_data

_MOST_PX, _GRIP_PX = 900, 14
"""A picture is shown no larger than it is needed; so near to a corner it is taken."""


class BedPicture(Picture):
    """A picture of the bed with its corners, to be moved with the pointer or by keys; ``shown`` when they were."""

    shown = Signal(object)

    def __init__(self):
        super().__init__()
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(self.tr("Picture of the bed with its corners"))
        self.setToolTip(self.tr("Drag the corners of the bed. By keys: Space takes the next corner, arrows move it, "
                                "Enter looks again"))
        self._image, self._scale, self.corners, self._page, self._held = None, 1.0, [], [], 0

    def show_picture(self, grey, corners, page) -> None:
        """``grey`` (H, W) uint8; ``corners`` (4, 2) px of the bed and the ``page``'s, none where it was not found."""
        high, wide = grey.shape
        image = QImage(grey.data, wide, high, grey.strides[0], QImage.Format.Format_Grayscale8)
        most = min(_MOST_PX / max(wide, high), 1.0)
        self._image = image.scaled(round(wide * most), round(high * most), Qt.AspectRatioMode.IgnoreAspectRatio,
                                   Qt.TransformationMode.SmoothTransformation)
        self._wide, self._high = wide, high
        self.corners = [QPointF(x, y) for x, y in corners]
        self._page = [QPointF(x, y) for x, y in page]
        self.updateGeometry()
        self.update()

    def sizeHint(self):
        width = max(self.width(), theme.px(240))
        return QSize(width, 0 if self._image is None else round(width * self._high / self._wide))

    def resizeEvent(self, event):
        if self._image is not None:
            self.setFixedHeight(round(self.width() * self._high / self._wide))

    def _at(self, place):
        return place * (self.width() / self._wide)

    @painted
    def paintEvent(self, painter):
        if self._image is None:
            return
        painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
        painter.drawImage(self.rect(), self._image)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setBrush(Qt.BrushStyle.NoBrush)
        for places, colour in ((self._page, dyes.MOSS), (self.corners, dyes.WOAD)):
            for width, tone in ((4, "#ffffff"), (2, colour)):  # seen on light and on dark
                painter.setPen(QPen(QColor(tone), width))
                painter.drawPolygon(QPolygonF([self._at(p) for p in places]))
        for number, place in enumerate(self.corners):
            is_held = number == self._held and self.hasFocus()
            painter.setPen(QPen(QColor("#ffffff"), 2))
            painter.setBrush(QColor(dyes.MADDER if is_held else dyes.WOAD))
            painter.drawEllipse(self._at(place), 7, 7)

    def mousePressEvent(self, event):
        away = [(event.position() - self._at(p)).manhattanLength() for p in self.corners]
        self._held = away.index(min(away)) if away and min(away) < theme.px(2 * _GRIP_PX) else -1
        self.update()

    def mouseMoveEvent(self, event):
        if self._held >= 0 and self.corners:
            self._move_to(event.position() * (self._wide / self.width()))

    def mouseReleaseEvent(self, event):
        if self._held >= 0 and self.corners:
            self._tell()

    def _move_to(self, place):
        self._page = []
        self.corners[self._held] = QPointF(min(max(place.x(), 0), self._wide), min(max(place.y(), 0), self._high))
        self.update()

    def _tell(self):
        self.shown.emit([(p.x(), p.y()) for p in self.corners])

    def keyPressEvent(self, event):
        step = _ARROWS.get(event.key())
        if event.key() == Qt.Key.Key_Space:
            self._held = (self._held + 1) % 4
            self.update()
        elif event.key() in (Qt.Key.Key_Return, Qt.Key.Key_Enter) and self.corners:
            self._tell()
        elif step is not None and self.corners and self._held >= 0:
            far = 5 if event.modifiers() & Qt.KeyboardModifier.ShiftModifier else 1
            self._move_to(self.corners[self._held] + QPointF(*step) * far * (self._wide / self.width()))
        else:
            super().keyPressEvent(event)


_ARROWS = {Qt.Key.Key_Left: (-1, 0), Qt.Key.Key_Right: (1, 0), Qt.Key.Key_Up: (0, -1), Qt.Key.Key_Down: (0, 1)}


class CameraBox(QWidget):
    """``wanted``: a picture's path or None for the simulated camera; or the picture that is shown, with its corners;
    and the size of the bed, mm."""

    wanted = Signal(object, object, object)
    changed = Signal()

    def __init__(self):
        super().__init__()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(6)
        self.found = self._grey = self._paper = None
        self.bed = QComboBox()
        self.bed.setAccessibleName(self.tr("Bed or carrier"))
        self.bed.setToolTip(self.tr("What the page lies on; all of it must be in the picture"))
        self.bed.setSizeAdjustPolicy(QComboBox.SizeAdjustPolicy.AdjustToMinimumContentsLengthWithIcon)
        self.bed.activated.connect(lambda _: self._grey is not None and self.picture.corners and self._again())
        self._note = label(self.tr("The cuts lie as on the printed page. A picture of the bed puts them where the page "
                                   "lies."), "quiet")
        self.said = label("", "done")
        self.take = button(self.tr("Picture of the bed…"), "target",
                           self.tr("Taken by hand, with the printed page on the bed: the cuts go where the page lies"))
        self.take.clicked.connect(self._ask)
        self.simulated = button(self.tr("Simulated camera"), "scan",
                                self.tr("No device is used: a page laid askew on the bed, as a camera would see it"))
        self.simulated.clicked.connect(lambda: self.wanted.emit(None, None, self.size_mm))
        self.forget = button(self.tr("As printed"), "x", self.tr("The cuts lie as on the page; the picture is let go"))
        self.forget.clicked.connect(self.drop)
        self.picture = BedPicture()
        self.picture.shown.connect(lambda corners: self.wanted.emit(self._grey, corners, self.size_mm))
        for part in (label(self.tr("Where the page lies on the bed")), self.bed, rows_of(self.take, self.simulated),
                     self._note, self.said, self.picture, self.forget):
            column.addWidget(part)
        for part in (self.bed, self.take, self.simulated):
            part.setEnabled(False)  # until a work says on what it is cut
        self.drop()

    @property
    def size_mm(self) -> tuple[float, float]:
        return self.bed.currentData()

    def show_recipe(self, recipe) -> None:
        """Beds of the machine that the work is planned for, else of one with carriers."""
        if recipe.pdf_paper != self._paper and self.found is not None:
            self.drop()  # it was looked for by the marks of another page
        self._paper = recipe.pdf_paper
        machine = recipe.machine or next((m for m in user_data.machines() if m.kind == BLADE), shipped()[0])
        beds = [(named(c.name), (c.width_mm, c.height_mm)) for c in machine.carriers if c.height_mm > 0]
        if beds and beds != [(self.bed.itemText(k), self.bed.itemData(k)) for k in range(self.bed.count())]:
            self.bed.clear()
            for name, size in beds:
                self.bed.addItem(name, size)
        for part in (self.bed, self.take, self.simulated):
            part.setEnabled(self.bed.count() > 0)

    def show_seen(self, seen) -> None:
        """What was found in a picture of the bed, or why not."""
        self._grey, self.found = seen.grey, seen.found
        self.picture.show_picture(seen.grey, seen.corners, seen.page)
        if seen.found is None:
            self._say(told(seen.why) + " " + self.tr("Drag the blue corners onto those of the bed."), "trouble")
        else:
            self._say(self.tr("Found: turned {0:.1f}°, printed at {1:.1f} %, its marks within {2:.2f} mm. The cuts go "
                              "there.").format(seen.found.turned_deg, 100 * seen.found.scale, seen.found.off_mm),
                      "done")
        self.picture.show()
        self.forget.show()
        self.changed.emit()

    def drop(self) -> None:
        """The cuts lie as on the page."""
        self.found = self._grey = None
        for part in (self.picture, self.forget, self.said):
            part.hide()
        self._note.show()
        self.changed.emit()

    def _again(self):
        self.wanted.emit(self._grey, [(p.x(), p.y()) for p in self.picture.corners], self.size_mm)

    def _ask(self):
        kinds = " ".join(f"*{s}" for s in SUFFIXES)
        path, _ = QFileDialog.getOpenFileName(self.window(), self.tr("Picture of the bed with the printed page"), "",
                                              self.tr("Pictures ({0})").format(kinds))
        if path:
            self.wanted.emit(path, None, self.size_mm)

    def _say(self, text, kind):
        say_on(self.said, text, kind)
        self._note.hide()
