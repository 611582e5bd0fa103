"""Regions grown by colour, and settings that hold in a part of the picture."""

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QCheckBox, QListWidget, QListWidgetItem

from sketchloom.app import theme
from sketchloom.app.parts.fields import LengthEdit, NamedSlider
from sketchloom.app.parts.widgets import button, label, swatch
from sketchloom.app.stages.box import Box
from sketchloom.core.segment.growing import MAX_TOLERANCE
from sketchloom.core.segment.parts import Grown, Patch
from sketchloom.recipe.sections import MAX_COLOURS, MAX_DETAIL_MM, SMOOTHEST, TRUEST


class GrowBox(Box):
    """Click a colour, set how far it reaches, make it a region."""

    tool_wanted = Signal()
    tolerance_moved = Signal(int)
    everywhere_set = Signal(bool)

    def __init__(self):
        super().__init__()
        self._tool = button(
            self.tr("Grow a region…"),
            "color-picker",
            self.tr("Click a colour in the picture; what is alike around it becomes a region"),
        )
        self._tool.clicked.connect(self.tool_wanted)
        self._reach = NamedSlider(self.tr("Reach"), 0, MAX_TOLERANCE)
        self._reach.moved.connect(self.tolerance_moved)
        self._everywhere = QCheckBox(self.tr("Everywhere, not only where it hangs together"))
        self._everywhere.clicked.connect(self.everywhere_set)
        self._said = label("", "quiet")
        self._list = QListWidget()
        self._list.setAccessibleName(self.tr("Grown regions"))
        self._list.setFixedHeight(theme.px(64))
        self._drop = button(self.tr("Take the chosen one back"), "trash")
        self._drop.clicked.connect(self._take_back)
        self.add(self._tool, self._reach, self._everywhere, self._said, self._list, self._drop)
        self.show_tool(None)

    def show_tool(self, tool) -> None:
        """The tool's state while it is held, None when it is not."""
        held = tool is not None and tool.seed is not None
        for part in (self._reach, self._everywhere, self._said):
            part.setVisible(held)
        if held:
            mark = self.tr("{0}, as proposed") if tool.tolerance == tool.proposed else self.tr("{0}; proposed {1}")
            self._reach.show_value(tool.tolerance, mark.format(tool.tolerance, tool.proposed))
            self._everywhere.setChecked(tool.everywhere)
            self._said.setText(self.tr("{0} of the picture. Enter makes it a region.").format(f"{tool.share:.1%}"))

    def show_work(self, work) -> None:
        super().show_work(work)
        self._list.clear()
        for part in work.recipe.grown:
            where = self.tr("everywhere") if part.everywhere else self.tr("in one place")
            self._list.addItem(
                QListWidgetItem(
                    swatch(part.hex, 16), self.tr("{0}, reach {1:.0f}, {2}").format(part.hex, part.tolerance, where)
                )
            )
        some = bool(work.recipe.grown)
        self._list.setVisible(some)
        self._drop.setVisible(some)

    def take(self, x: float, y: float, tolerance: float, everywhere: bool, hex_colour: str) -> None:
        """The tool has made a region; a colour that is cut already gets a shade of its own beside it."""
        used = {e.hex for e in self.work.segmentation.entries}
        hex_colour = _unlike(hex_colour, used)
        self.emit(
            self.tr("grown region"),
            grown=(
                *self.recipe.grown,
                Grown(*self.work.as_came(((x, y),))[0], float(tolerance), hex_colour, everywhere),
            ),
        )

    def _take_back(self):
        at = self._list.currentRow() if self._list.currentRow() >= 0 else len(self.recipe.grown) - 1
        self.emit(self.tr("grown region"), grown=tuple(g for i, g in enumerate(self.recipe.grown) if i != at))


def _unlike(hex_colour, used):
    """The colour, or the nearest shade of blue that is not used yet."""
    value = int(hex_colour[1:], 16)
    while f"#{value:06x}" in used:
        value = value - 1 if value & 0xFF else value + 1
        if value & 0xFF == 0xFF:
            break
    return f"#{value:06x}"


class PatchBox(Box):
    """Draw round a part and give it settings of its own."""

    lasso_wanted = Signal()
    shown = Signal(object)

    def __init__(self):
        super().__init__()
        self._lasso = button(
            self.tr("Draw round a part…"),
            "lasso",
            self.tr("Draw a line round a part of the picture to give it settings of its own"),
        )
        self._lasso.clicked.connect(self.lasso_wanted)
        self._list = QListWidget()
        self._list.setAccessibleName(self.tr("Parts with settings of their own"))
        self._list.setFixedHeight(theme.px(64))
        self._list.currentRowChanged.connect(lambda _: self._show_patch())
        self._cut_off = NamedSlider(self.tr("Cut-off here"), 0, 255, self.tr("As in the whole picture"))
        self._colours = NamedSlider(self.tr("Colours here"), 1, MAX_COLOURS, self.tr("As in the whole picture"))
        self._smooth = NamedSlider(self.tr("Outlines here"), TRUEST, SMOOTHEST, self.tr("As in the whole picture"))
        for part, name in ((self._cut_off, "cut_off"), (self._colours, "colours"), (self._smooth, "smoothness")):
            part.auto_button.setText(self.tr("As all"))
            part.moved.connect(lambda v, n=name: self._set(n, v, "patch " + n))
            part.auto.connect(lambda n=name: self._set(n, None))
        self._small = LengthEdit(self.tr("Smallest detail here"), 0.01, MAX_DETAIL_MM)
        self._small.committed.connect(lambda mm: self._set("smallest_mm", mm))
        self._small_name = label(self.tr("Smallest detail here"))
        self._drop = button(self.tr("Take this part back"), "trash")
        self._drop.clicked.connect(self._take_back)
        self.add(
            self._lasso,
            self._list,
            self._cut_off,
            self._colours,
            self._smooth,
            (self._small_name, self._small),
            self._drop,
        )

    def take(self, points) -> None:
        """A lasso was drawn: a patch with the settings of the whole, to be changed."""
        self.emit(
            self.tr("part with settings of its own"), patches=(*self.recipe.patches, Patch(self.work.as_came(points)))
        )
        self._wanted = len(self.recipe.patches)

    _wanted = None

    def show_work(self, work) -> None:
        super().show_work(work)
        patches = work.recipe.patches
        row = self._list.currentRow() if self._wanted is None else self._wanted
        self._wanted = None if len(patches) > row else self._wanted
        self._list.blockSignals(True)
        self._list.clear()
        for number, patch in enumerate(patches, 1):
            own = sum(v is not None for v in (patch.cut_off, patch.colours, patch.smoothness, patch.smallest_mm))
            self._list.addItem(
                self.tr("Part {0}: {1}").format(
                    number, self.tr("{0} own settings").format(own) if own else self.tr("as the whole, so far")
                )
            )
        if patches:
            self._list.setCurrentRow(min(max(row, 0), len(patches) - 1))
        self._list.blockSignals(False)
        self._show_patch()

    def _show_patch(self):
        patches = () if self.recipe is None else self.recipe.patches
        at = self._list.currentRow()
        some = 0 <= at < len(patches)
        tone = self.work is not None and self.work.segmentation.cut_off is not None
        self._list.setVisible(bool(patches))
        for part, seen in ((self._cut_off, some and tone), (self._colours, some and self.work.reading == "colour"),
                           (self._smooth, some), (self._small, some), (self._small_name, some), (self._drop, some)):
            part.setVisible(seen)
        self.shown.emit(patches[at] if some else None)
        if not some:
            return
        patch, recipe, work = patches[at], self.recipe, self.work
        whole = work.segmentation.cut_off if tone else 0
        value = patch.cut_off if patch.cut_off is not None else whole
        self._cut_off.show_value(value, str(value), patch.cut_off is None)
        value = patch.colours if patch.colours is not None else min(len(work.segmentation.own_entries), MAX_COLOURS)
        self._colours.show_value(value, str(value), patch.colours is None)
        value = patch.smoothness if patch.smoothness is not None else recipe.smoothness
        self._smooth.show_value(value, f"{value:+d}" if value else "0", patch.smoothness is None)
        self._small.show_value(
            max(patch.smallest_mm if patch.smallest_mm is not None else recipe.smallest_mm, 0.01), recipe.unit
        )

    def _set(self, name, value, gesture=""):
        at = self._list.currentRow()
        patches = list(self.recipe.patches)
        if 0 <= at < len(patches):
            patches[at] = replace(patches[at], **{name: value})
            self.emit(self.tr("setting of a part"), gesture, patches=tuple(patches))

    def _take_back(self):
        at = self._list.currentRow()
        self.emit(
            self.tr("part with settings of its own"),
            patches=tuple(p for i, p in enumerate(self.recipe.patches) if i != at),
        )
