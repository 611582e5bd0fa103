"""A strip above the bench that says one thing and offers what to do about it."""

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QFrame, QHBoxLayout, QLabel, QSizePolicy, QToolButton, QVBoxLayout
from shiboken6 import isValid

from sketchloom.app import theme
from sketchloom.app.parts.announce import SPEAKER
from sketchloom.app.parts.widgets import button

_LOOK = {
    "trouble": ("alert-octagon", "MADDER"),
    "done": ("circle-check", "MOSS"),
    "ask": ("info-circle", "WOAD"),
}


class Notice(QFrame):
    """One message with its buttons. Nothing waits for an answer."""

    def __init__(self, kind: str, text: str, actions=(), on_close=None):
        super().__init__()
        self.kind = kind
        self.setObjectName(f"notice_{kind}")
        self.setAccessibleName(text)
        row = QHBoxLayout(self)
        row.setContentsMargins(12, 6, 8, 6)
        name, colour = _LOOK[kind]
        mark = QLabel()
        theme.mark(mark, name, colour)
        self.words = QLabel(text)
        self.words.setTextFormat(Qt.TextFormat.PlainText)
        self.words.setWordWrap(True)
        self.words.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
        self.words.setSizePolicy(QSizePolicy.Policy.Ignored, QSizePolicy.Policy.Preferred)
        row.addWidget(mark)
        row.addWidget(self.words, 1)
        for title, act in actions:
            choice = button(title)
            choice.clicked.connect(lambda _=False, f=act: (self.deleteLater(), f()))
            row.addWidget(choice)
        shut = QToolButton()
        shut.setIcon(theme.icon("x", "INK"))
        shut.setToolTip(self.tr("Close this message"))
        shut.setAccessibleName(self.tr("Close this message"))
        shut.clicked.connect(self.deleteLater)
        if on_close is not None:
            shut.clicked.connect(on_close)
        row.addWidget(shut)


class Notices(QFrame):
    """The strips that stand at present, the newest at the bottom; one of a kind and topic."""

    troubled = Signal(bool)
    """Whether one of those that stand tells of something that failed."""

    def __init__(self):
        super().__init__()
        self._column = QVBoxLayout(self)
        self._column.setContentsMargins(0, 0, 0, 0)
        self._column.setSpacing(0)
        self._by_topic: dict[str, Notice] = {}

    def say(self, topic: str, kind: str, text: str, actions=(), on_close=None) -> Notice:
        """Show a message; an earlier one on the same topic goes."""
        self.drop(topic)
        notice = Notice(kind, text, actions, on_close)
        self._by_topic[topic] = notice
        notice.destroyed.connect(lambda *_: self._forget(topic, notice))
        self._column.addWidget(notice)
        self._tell()
        SPEAKER.say(self, text, kind == "trouble")
        return notice

    def drop(self, topic: str) -> None:
        notice = self._by_topic.pop(topic, None)
        if notice is not None:
            notice.hide()
            notice.deleteLater()
            self._tell()

    def text_of(self, topic: str) -> str | None:
        """What is said on a topic at present."""
        notice = self._by_topic.get(topic)
        return notice.words.text() if notice is not None else None

    def _forget(self, topic, notice):
        if self._by_topic.get(topic) is notice:
            del self._by_topic[topic]
            self._tell()

    @property
    def is_troubled(self) -> bool:
        return any(notice.kind == "trouble" for notice in self._by_topic.values())

    def _tell(self):
        if isValid(self):  # strips go after their window, too
            self.troubled.emit(self.is_troubled)
