"""A kept picture, small."""

from PySide6.QtCore import QSize, Qt
from PySide6.QtGui import QPixmap
from PySide6.QtWidgets import QLabel

from sketchloom.app import theme

_WIDE, _HIGH = 300, 150


class Look(QLabel):
    """Shows a picture that is kept beside the logbook, nothing where there is none."""

    def __init__(self, name: str):
        super().__init__()
        self.setAccessibleName(name)
        self.hide()

    def show_png(self, png: bytes | None) -> None:
        """A picture; None for none."""
        self.setVisible(png is not None)
        if png is not None:
            picture = QPixmap()
            picture.loadFromData(png, "PNG")
            self.setPixmap(picture.scaled(QSize(theme.px(_WIDE), theme.px(_HIGH)),
                                          Qt.AspectRatioMode.KeepAspectRatio,
                                          Qt.TransformationMode.SmoothTransformation))
