"""The order of laying: sheet by sheet with the work as laid so far."""

from PySide6.QtCore import QRectF, QSize, Qt
from PySide6.QtGui import QColor, QIcon, QImage, QPainter, QPixmap
from PySide6.QtWidgets import QListWidget, QListWidgetItem

from sketchloom.app import theme
from sketchloom.app.work.paths import qt_path
from sketchloom.core.sheets import choices

_PICTURE = QSize(64, 64)


class LayingList(QListWidget):
    """A row for each layer in the order of laying."""

    def __init__(self):
        super().__init__()
        self.setAccessibleName(self.tr("The order of laying"))
        self.setIconSize(_PICTURE)
        self.setWordWrap(True)
        self.setSelectionMode(QListWidget.SelectionMode.NoSelection)

    def show_plan(self, work, plan) -> None:
        """The steps of a plan."""
        self.clear()
        if plan is None:
            return
        paths = []
        for n, layer in enumerate(work.layers, 1):
            paths.append((qt_path(layer.outline, work.mm_per_px), layer))
            on = [k for k, sheet in enumerate(plan.sheets, 1)
                  if any(p.part.key == layer.plan.key and p.part.work == 0 for p in sheet.placed)]
            parts = {(p.part.number, p.part.count) for sheet in plan.sheets for p in sheet.placed
                     if p.part.key == layer.plan.key and p.part.work == 0}
            lines = [f"{n}  {layer.plan.name}", self.tr("from sheet {0}").format(", ".join(map(str, on)))]
            count = max((c for _, c in parts), default=1)
            if count > 1:
                lines.append(self.tr("{0} parts, the first to the left or above").format(count))
            material = work.recipe.material_of(layer.plan.key)
            if material is not None and material.family in choices.HEAT_FAMILIES:
                lines.append(self.tr("press, as the film's sheet says; hot: mind your skin"))
            if n < len(work.layers) and work.recipe.spacer_mm > 0:
                lines.append(self.tr("then a spacer of {0} mm").format(f"{work.recipe.spacer_mm:g}"))
            self.addItem(QListWidgetItem(self._picture(work, paths), "\n".join(lines)))
        self.setFixedHeight(theme.px(min(12 + 72 * max(self.count(), 1), 380)))

    @staticmethod
    def _picture(work, paths):
        """The work as laid so far."""
        image = QImage(_PICTURE * 2, QImage.Format.Format_ARGB32_Premultiplied)
        image.setDevicePixelRatio(2)
        image.fill(Qt.GlobalColor.transparent)
        width, height = work.size_mm
        scale = min(_PICTURE.width() / width, _PICTURE.height() / height)
        painter = QPainter(image)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.fillRect(QRectF(0, 0, _PICTURE.width(), _PICTURE.height()), QColor(work.recipe.laid_on or "#e9e5db"))
        painter.translate((_PICTURE.width() - width * scale) / 2, (_PICTURE.height() - height * scale) / 2)
        painter.scale(scale, scale)
        for path, layer in paths:
            if layer.outline.pen_px is None:
                painter.fillPath(path, QColor(layer.plan.hex))
            else:
                painter.strokePath(path, QColor(layer.plan.hex))
        painter.end()
        pixmap = QPixmap.fromImage(image)
        icon = QIcon(pixmap)
        icon.addPixmap(pixmap, QIcon.Mode.Disabled)
        return icon
