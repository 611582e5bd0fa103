"""Painting that ends, whatever happens in it."""

from functools import wraps

from PySide6.QtGui import QPainter


def painted(paint):
    """Makes a ``paintEvent`` of ``paint(self, painter)``: a painter that an error leaves active ends the program."""
    @wraps(paint)
    def event(self, _):
        painter = QPainter(self)
        try:
            paint(self, painter)
        finally:
            painter.end()
    return event
