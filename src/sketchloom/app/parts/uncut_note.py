"""Names all that is not cut, wherever it was decided, and leads there."""

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QLabel

from sketchloom.app import theme
from sketchloom.core.preflight.findings import STAGES
from sketchloom.desk import uncut


class UncutNote(QLabel):
    """A line with a link to each place at which something is taken out. ``stage_wanted``: its number."""

    stage_wanted = Signal(int)

    def __init__(self):
        super().__init__()
        self.setObjectName("quiet")
        self.setWordWrap(True)
        self.setTextFormat(Qt.TextFormat.RichText)
        self.setTextInteractionFlags(
            Qt.TextInteractionFlag.LinksAccessibleByMouse | Qt.TextInteractionFlag.LinksAccessibleByKeyboard)
        self.setAccessibleName(self.tr("What is not cut, and where that is decided"))
        self.linkActivated.connect(lambda stage: self.stage_wanted.emit(int(stage)))
        self.hide()

    def show_work(self, work) -> None:
        """What of a result is not cut."""
        found = uncut.uncut(work)
        self.setVisible(bool(found))
        self.setText(self.tr("Not cut: {0}.").format("; ".join(map(self._link, found))))

    def _link(self, one):
        words = {
            uncut.BACKGROUND: self.tr("background (Source)"),
            uncut.GROUND: self.tr("ground (Trace)"),
            uncut.OFF: self.tr("everything off (Clean)"),
            uncut.DROPPED: self.tr("{0} dropped (Clean)"),
            uncut.OPENED: self.tr("{0} opened (Clean)"),
            uncut.LEFT_OUT: self.tr("{0} layers left out (Layers)") if one.count > 1
            else self.tr("{0} layer left out (Layers)"),
        }[one.reason]
        number = STAGES.index(uncut.STAGE_OF[one.reason])
        return f'<a href="{number}" style="color: {theme.WOAD}">{words.format(one.count)}</a>'
