"""Fingers on a view: two of them zoom and pan, one that rests asks for the menu."""

from PySide6.QtCore import QEvent, QObject, QPointF, Qt
from PySide6.QtWidgets import QPinchGesture, QTapAndHoldGesture, QWidget

_LEAST, _MOST = 0.2, 5.0
"""One step of a pinch changes the scale by no more than this, whatever the screen tells."""


class Touch(QObject):
    """Acts on a view that has ``zoom(factor, at)`` and ``pan(dx, dy)``; ``let_go()`` ends what one finger began before
    the second came, ``rested(at)`` is called where a finger stays."""

    def __init__(self, view: QWidget, let_go, rested):
        super().__init__(view)
        self._view, self._let_go, self._rested = view, let_go, rested
        view.setAttribute(Qt.WidgetAttribute.WA_AcceptTouchEvents)
        for kind in (Qt.GestureType.PinchGesture, Qt.GestureType.TapAndHoldGesture):
            view.grabGesture(kind)
        view.installEventFilter(self)

    def eventFilter(self, watched, event):
        if event.type() != QEvent.Type.Gesture or watched is not self._view:
            return super().eventFilter(watched, event)
        pinch = event.gesture(Qt.GestureType.PinchGesture)
        held = event.gesture(Qt.GestureType.TapAndHoldGesture)
        if isinstance(pinch, QPinchGesture):
            self.pinch(pinch)
        elif isinstance(held, QTapAndHoldGesture) and held.state() == Qt.GestureState.GestureFinished:
            self._let_go()
            self._rested(QPointF(self._view.mapFromGlobal(held.position().toPoint())))
        event.accept()
        return True

    def pinch(self, gesture) -> None:
        """One step of two fingers: the place between them stays under them."""
        if gesture.state() == Qt.GestureState.GestureStarted:
            self._let_go()
        now, before = gesture.centerPoint(), gesture.lastCenterPoint()
        if gesture.state() == Qt.GestureState.GestureStarted:
            before = now
        self._view.pan(now.x() - before.x(), now.y() - before.y())
        if gesture.scaleFactor() > 0:
            at = QPointF(self._view.mapFromGlobal(now.toPoint()))
            self._view.zoom(min(max(gesture.scaleFactor(), _LEAST), _MOST), at)
