"""Freeing the picture of its background: a part of the Source stage."""

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QCheckBox, QListWidget

from sketchloom.app import theme
from sketchloom.app.parts.fields import NamedSlider
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.stages.box import Box
from sketchloom.core.background.steps import MAX_TOLERANCE, NOTHING, BackgroundStep
from sketchloom.core.base.units import format_length

COLOUR, KEEP, DROP, SNAP, ONLY, WITHOUT = "colour", "keep", "drop", "snap", "only", "without"
_TENTHS = 10


class BackgroundBox(Box):
    """Tools that drop or keep, the list of their steps, and the edge."""

    tool_wanted = Signal(str)

    def __init__(self):
        super().__init__()
        tools = (
            (
                COLOUR,
                self.tr("Colour…"),
                "color-picker",
                self.tr("Click a colour of the background; what is alike and hangs together goes"),
            ),
            (
                KEEP,
                self.tr("Keep…"),
                "brush",
                self.tr(
                    "Paint roughly over what is to be kept; the rest is found. Later strokes mend only where they run; "
                    "a click on a thin part follows it"
                ),
            ),
            (
                DROP,
                self.tr("Drop…"),
                "eraser",
                self.tr(
                    "Paint once around what is to be kept, or over what is to go; the rest is found. Later strokes "
                    "mend only where they run"
                ),
            ),
            (
                SNAP,
                self.tr("Follow edge…"),
                "polygon",
                self.tr("Click along the edge of what is to be kept; the line finds the edge"),
            ),
            (ONLY, self.tr("Only this…"), "lasso", self.tr("Draw round what is to be kept; everything else goes")),
            (WITHOUT, self.tr("Not this…"), "lasso", self.tr("Draw round what is to go")),
        )
        self._tools = {}
        for key, text, icon, tip in tools:
            self._tools[key] = button(text, icon, tip)
            self._tools[key].clicked.connect(lambda _=False, k=key: self.tool_wanted.emit(k))
        self._paper = button(
            self.tr("Paper and watermark"), "", self.tr("Everything as light as the paper around it goes, in one step")
        )
        self._paper.clicked.connect(lambda: self.add_step(BackgroundStep("paper"), self.tr("paper left out")))
        self._own = QCheckBox(self.tr("Use the transparency that came with the file"))
        self._own.clicked.connect(lambda on: self._emit(self.tr("transparency of the file"), own_alpha=on))
        self._list = QListWidget()
        self._list.setAccessibleName(self.tr("Steps"))
        self._list.setFixedHeight(theme.px(88))
        self._list.currentRowChanged.connect(lambda _: self._show_step())
        self._reach = NamedSlider(self.tr("Reach of the colour"), 1, 80)
        self._reach.moved.connect(lambda v: self._change_step("background reach", tolerance=float(v)))
        self._everywhere = QCheckBox(self.tr("Everywhere, not only where it hangs together"))
        self._everywhere.clicked.connect(lambda on: self._change_step("", everywhere=on))
        self._drop = button(self.tr("Take the step back"), "trash")
        self._drop.clicked.connect(self._take_back)
        self._clear = button(self.tr("Keep all again"), "restore", self.tr("Take every step back"))
        self._clear.clicked.connect(lambda: self.emit(self.tr("background"), background=NOTHING))
        self._move = NamedSlider(self.tr("Edge"), -8 * _TENTHS, 8 * _TENTHS)
        self._move.moved.connect(lambda v: self._emit(self.tr("edge of the background"), "edge", move_px=v / _TENTHS))
        self._smooth = NamedSlider(self.tr("Calm the edge"), 0, 12 * _TENTHS)
        self._smooth.moved.connect(
            lambda v: self._emit(self.tr("edge of the background"), "calm", smooth_px=v / _TENTHS)
        )
        self._said = label("", "quiet")
        self.add((self._tools[COLOUR], self._tools[KEEP], self._tools[DROP]), (self._tools[SNAP],),
                 (self._tools[ONLY], self._tools[WITHOUT]), self._paper, self._own, self._said, self._list, self._reach,
                 self._everywhere, (self._drop, self._clear), self._move, self._smooth)

    def show_work(self, work) -> None:
        super().show_work(work)
        background, unit = work.recipe.background, work.recipe.unit
        self._own.setVisible(work.whole.alpha is not None)
        self._own.setChecked(background.own_alpha)
        row = self._list.currentRow()
        words = {("colour", False): self.tr("Colour left out"), ("colour", True): self.tr("Colour kept"),
                 ("stroke", False): self.tr("Drop stroke"), ("stroke", True): self.tr("Keep stroke"),
                 ("area", False): self.tr("Not this part"), ("area", True): self.tr("Only this part"),
                 ("edge", False): self.tr("Not within this edge"), ("edge", True): self.tr("Only within this edge"),
                 ("paper", False): self.tr("Paper left out"), ("paper", True): self.tr("Paper kept")}
        self._list.blockSignals(True)
        grown = len(background.steps) > self._list.count()
        self._list.clear()
        for number, step in enumerate(background.steps, 1):
            self._list.addItem(f"{number}. {words[step.kind, step.keep]}")
        self._list.setCurrentRow(len(background.steps) - 1 if grown else min(row, len(background.steps) - 1))
        self._list.blockSignals(False)
        some = bool(background.steps)
        for part in (self._list, self._drop, self._clear):
            part.setVisible(some)
        for part in (self._move, self._smooth):
            part.setVisible(work.picture.alpha is not None)
        scale = work.mm_per_px
        self._move.show_value(
            round(background.move_px * _TENTHS),
            self.tr("as found")
            if background.move_px == 0
            else (self.tr("{0} out") if background.move_px > 0 else self.tr("{0} in")).format(
                format_length(abs(background.move_px) * scale, unit, 2)
            ),
        )
        self._smooth.show_value(round(background.smooth_px * _TENTHS), self.tr("no") if background.smooth_px == 0 else
                                format_length(background.smooth_px * scale, unit, 2))
        if work.picture.alpha is None:
            self._said.setText(self.tr("Nothing is left out so far."))
        else:
            self._said.setText(
                self.tr("{0} of the picture is left out: the hatched part.").format(
                    f"{(work.picture.alpha < 128).mean():.0%}"
                )
            )
        self._show_step()

    def _show_step(self):
        step = self._step()
        of_colour = step is not None and step.kind == "colour"
        self._reach.setVisible(of_colour)
        self._everywhere.setVisible(of_colour)
        if of_colour:
            self._reach.show_value(round(step.tolerance), f"{step.tolerance:.0f}")
            self._everywhere.setChecked(step.everywhere)

    def _step(self):
        at = self._list.currentRow()
        return (
            self.recipe.background.steps[at]
            if self.recipe is not None and 0 <= at < len(self.recipe.background.steps)
            else None
        )

    def _emit(self, what, gesture="", **changes):
        self.emit(what, gesture, background=replace(self.recipe.background, **changes))

    def add_step(self, step: BackgroundStep, what: str) -> None:
        """A tool, or a button, has made a step."""
        self._emit(what, steps=(*self.recipe.background.steps, step))

    def take_colour(self, x: float, y: float, tolerance: float) -> None:
        self.add_step(
            BackgroundStep(
                "colour", points=self.work.as_came(((x, y),)), tolerance=min(float(tolerance), MAX_TOLERANCE)
            ),
            self.tr("colour left out"),
        )

    def take_stroke(self, points, width: float, keep: bool) -> None:
        self.add_step(
            BackgroundStep(
                "stroke",
                keep,
                self.work.as_came(points[:: max(1, len(points) // 900)]),
                width=min(max(width, 0.0005), 0.5),
            ),
            self.tr("keep stroke") if keep else self.tr("drop stroke"),
        )

    def take_area(self, points, keep: bool, kind: str = "area") -> None:
        self.add_step(
            BackgroundStep(kind, keep, self.work.as_came(points)),
            self.tr("part kept") if keep else self.tr("part left out"),
        )

    def _change_step(self, gesture, **changes):
        at = self._list.currentRow()
        steps = list(self.recipe.background.steps)
        if 0 <= at < len(steps):
            steps[at] = replace(steps[at], **changes)
            self._emit(self.tr("background"), gesture, steps=tuple(steps))

    def _take_back(self):
        at = self._list.currentRow()
        self._emit(self.tr("background"), steps=tuple(s for i, s in enumerate(self.recipe.background.steps) if i != at))
