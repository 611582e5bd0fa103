"""One half of the picture and its mirror image."""

from dataclasses import replace

from PySide6.QtCore import Signal

from sketchloom.app.parts.widgets import Choice, button, label
from sketchloom.app.stages.box import Box
from sketchloom.core.picture.preparing.mirroring import mirror_frame
from sketchloom.core.picture.preparing.steps import BOTH, FIRST, SECOND


class MirrorBox(Box):
    """Finds or draws the line, and says which half stays."""

    find_wanted = Signal()
    draw_wanted = Signal()

    def __init__(self):
        super().__init__()
        self._find = button(
            self.tr("Find the line"),
            "target",
            self.tr("The line about which the picture is most nearly its own mirror image"),
        )
        self._draw = button(
            self.tr("Draw the line…"), "vector", self.tr("Two clicks: from one end of the line to the other")
        )
        self._find.clicked.connect(self.find_wanted)
        self._draw.clicked.connect(self.draw_wanted)
        self._side = Choice(
            (
                (FIRST, self.tr("Left stays"), ""),
                (SECOND, self.tr("Right stays"), ""),
                (BOTH, self.tr("Mean"), self.tr("Half-way between both halves, for halves that are nearly alike")),
            ),
            self.tr("The half that stays"),
        )
        self._side.chosen.connect(lambda keep: self.set_mirror(replace(self.recipe.preparation.mirror, keep=keep)))
        self._back = button(self.tr("Take back"), "restore", self.tr("Both halves as they are in the picture"))
        self._back.clicked.connect(lambda: self.set_mirror(None))
        self._said = label("", "quiet")
        self.add(self._said, (self._find, self._draw), self._side, self._back)

    @property
    def is_free(self) -> bool:
        """Whether no half is mirrored yet."""
        return self.recipe is not None and self.recipe.preparation.mirror is None

    def set_mirror(self, mirror) -> None:
        self.emit(self.tr("mirrored half") if mirror is not None else self.tr("mirror taken back"),
                  preparation=replace(self.recipe.preparation, mirror=mirror))

    def show_work(self, work) -> None:
        super().show_work(work)
        mirror = work.recipe.preparation.mirror
        for part in (self._side, self._back):
            part.setVisible(mirror is not None)
        for part in (self._find, self._draw):
            part.setEnabled(mirror is None)
        if mirror is None:
            self._said.setText(self.tr(
                "One half stays, the other becomes its mirror image, exact to the last curve. What was decided about "
                "regions, split lines and ink goes with it."))
            return
        upright = mirror_frame(100, 100, mirror).is_upright
        self._said.setText(
            self.tr("The left half and the right one are alike.")
            if upright
            else self.tr("The upper half and the lower one are alike.")
        )
        names = (
            (self.tr("Left stays"), self.tr("Right stays"))
            if upright
            else (self.tr("Upper stays"), self.tr("Lower stays"))
        )
        self._side.name_options(names)
        self._side.show_value(mirror.keep)
