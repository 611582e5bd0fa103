"""A sentence beside the field that it is about, over what lies below it."""

from PySide6.QtCore import QPoint, QTimer
from PySide6.QtWidgets import QLabel, QWidget

from sketchloom.app.parts.widgets import label

_GAP = 3
_READ_MS = 6000
"""So long a sentence stays that nothing else takes away: two lines are read in it."""
_LEAST_WIDTH = 200
_NAME = "beside"


def say_beside(field: QWidget, text: str) -> QLabel:
    """Show a sentence below a field, or above where there is no room, until it is read or taken away."""
    hush_beside(field)
    window = field.window()
    said = label(text, "trouble")
    said.setParent(window)
    said.setProperty(_NAME, field.objectName() or str(id(field)))
    width = min(max(field.width(), _LEAST_WIDTH), window.width())
    said.ensurePolished()
    said.setFixedWidth(width)
    said.setFixedHeight(said.heightForWidth(width))
    place = field.mapTo(window, QPoint(0, field.height() + _GAP))
    if place.y() + said.height() > window.height():
        place = field.mapTo(window, QPoint(0, -_GAP - said.height()))
    place.setX(max(min(place.x(), window.width() - width), 0))
    said.move(place)
    said.show()
    said.raise_()
    QTimer.singleShot(_READ_MS, said, said.deleteLater)
    return said


def hush_beside(field: QWidget) -> None:
    """Take away what was said about a field."""
    about = field.objectName() or str(id(field))
    for said in field.window().findChildren(QLabel, "trouble"):
        if said.property(_NAME) == about:
            said.setProperty(_NAME, "")  # it is gone only when the event that took it away has ended
            said.hide()
            said.deleteLater()
