"""Boxes that come when they are called for, one at a time."""

from sketchloom.app.stages.fold import Fold, one_at_a_time


class Drawer(Fold):
    """A box under a heading that goes again when it is closed."""

    def __init__(self, title: str, box):
        super().__init__(title, box)
        self.is_offered = True
        self.setVisible(False)
        self.head.setToolTip(self.tr("Close this"))
        self.head.toggled.connect(self._show)

    def _show(self, is_open):
        self.setVisible(is_open and self.is_offered)

    def offer(self, is_offered: bool) -> None:
        """Whether it can be called for now."""
        self.is_offered = is_offered
        self._show(self.head.isChecked())

    def call(self, is_open: bool = True) -> None:
        """Open it, or close it."""
        self.head.setChecked(is_open)
        if is_open:
            self._opened(True)


def called_one_at_a_time(drawers: dict[str, Drawer], tools) -> None:
    """Let the menu of a row of tools call boxes by their names; the one before goes."""
    one_at_a_time(drawers.values())
    tools.name_boxes({name: drawer.head.text() for name, drawer in drawers.items()})
    tools.called.connect(lambda name: drawers[name].call())
