"""Help to each stage: a picture of its panel as it is now, with its main parts numbered and explained."""

from html import escape

from PySide6.QtCore import QPoint, QRectF, Qt, QUrl
from PySide6.QtGui import QColor, QPainter, QPen, QPixmap, QTextDocument
from PySide6.QtWidgets import QComboBox, QTextBrowser, QVBoxLayout, QWidget

from sketchloom.app import theme

_WIDE, _BADGE = 300, 11
_PICTURE = QUrl("picture:panel")


def pictured(panel) -> tuple[QPixmap, list[str]]:
    """A panel with a number beside each part that is explained, and the explanations of those that are seen."""
    body, parts = panel.widget(), panel.landmarks()
    body.layout().activate()
    body.resize(max(body.width(), body.minimumSizeHint().width()), max(body.height(), body.sizeHint().height()))
    picture = body.grab()
    seen = [(part, words) for part, words in parts if not part.isHidden()]
    painter = QPainter(picture)
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    for number, (part, _) in enumerate(seen, 1):
        at = part.mapTo(body, QPoint(0, 0))
        box = QRectF(max(at.x() - 14, 1), max(at.y() - 4, 1), 2 * theme.px(_BADGE), 2 * theme.px(_BADGE))
        painter.setPen(QPen(QColor(theme.ON_WOAD), 1.5))
        painter.setBrush(QColor(theme.WOAD))
        painter.drawEllipse(box)
        painter.drawText(box, int(Qt.AlignmentFlag.AlignCenter), str(number))
    painter.end()
    return picture, [words for _, words in seen]


class StageHelp(QWidget):
    """A page for each stage, of the window as it is."""

    def __init__(self, panels, titles, stage: int):
        super().__init__()
        self._panels = panels
        column = QVBoxLayout(self)
        self.choice = QComboBox()
        self.choice.setAccessibleName(self.tr("Stage"))
        for title in titles:
            self.choice.addItem(title)
        self.choice.setCurrentIndex(stage)
        self.choice.currentIndexChanged.connect(self._show)
        self.page = QTextBrowser()
        self.page.setOpenLinks(False)
        column.addWidget(self.choice)
        column.addWidget(self.page)
        self._show(stage)

    def _show(self, stage):
        panel = self._panels[stage]
        picture, words = pictured(panel)
        self.page.setAccessibleName(self.choice.itemText(stage))
        document = self.page.document()
        document.clear()
        document.addResource(QTextDocument.ResourceType.ImageResource, _PICTURE, picture.toImage())
        rows = "".join(f"<p><b>{n}</b>&nbsp; {escape(one)}</p>" for n, one in enumerate(words, 1))
        self.page.setHtml(
            f"<h3>{escape(self.choice.itemText(stage))}</h3><p>{escape(panel.purpose())}</p>"
            f"<table><tr><td><img src='{_PICTURE.toString()}' width='{theme.px(_WIDE)}'></td>"
            f"<td style='padding-left:{theme.px(14)}px'>{rows}</td></tr></table>")
