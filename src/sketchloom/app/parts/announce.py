"""Says aloud, for those who do not see it, what happened."""

from PySide6.QtCore import QObject, Signal
from PySide6.QtGui import QAccessible, QAccessibleAnnouncementEvent


class Speaker(QObject):
    """``spoken`` tells every sentence, whether somebody listens or not."""

    spoken = Signal(str)

    def say(self, part: QObject, text: str, is_urgent: bool = False) -> None:
        """Let a screen reader say a sentence about a part of the window; one that is urgent goes before what it is
        saying (status messages: WCAG 2.2, 4.1.3)."""
        if not text:
            return
        event = QAccessibleAnnouncementEvent(part, text)
        event.setPoliteness(QAccessible.AnnouncementPoliteness.Assertive if is_urgent
                            else QAccessible.AnnouncementPoliteness.Polite)
        QAccessible.updateAccessibility(event)
        self.spoken.emit(text)


SPEAKER = Speaker()
