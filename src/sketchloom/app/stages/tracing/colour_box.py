"""Settings of the colour reading: the ladder of numbers of colours, and the palette."""

from dataclasses import replace

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import (
    QAbstractItemView,
    QListWidget,
    QListWidgetItem,
    QMenu,
)

from sketchloom.app import theme
from sketchloom.app.parts.fields import NamedSlider
from sketchloom.app.parts.widgets import UNKNOWN, button, label, swatch
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.tracing.ladder import Ladder
from sketchloom.app.words import colour_word
from sketchloom.desk import figures
from sketchloom.recipe import palette_edits
from sketchloom.recipe.parts import PaletteEntry
from sketchloom.recipe.sections import MAX_COLOURS


class ColourBox(Box):
    """Number of colours and the palette with its edits."""

    pick_wanted = Signal(bool)
    peek = Signal(object, object)

    def __init__(self):
        super().__init__()
        self._count = NamedSlider(self.tr("Colours"), 1, MAX_COLOURS, self.tr("Find the number for me"))
        self._count.moved.connect(lambda n: self._set_count(n, "colours"))
        self._count.auto.connect(lambda: self.emit(self.tr("number of colours"), colours=None, palette=None))
        self.ladder = Ladder()
        self.ladder.chosen.connect(self._set_count)
        self.ladder.pointed.connect(self._peek)
        self._list = QListWidget()
        self._list.setAccessibleName(self.tr("Palette"))
        self._list.setSelectionMode(QAbstractItemView.SelectionMode.ExtendedSelection)
        self._list.setFixedHeight(theme.px(168))
        self._list.itemSelectionChanged.connect(self._enable)
        self._pick = button(
            self.tr("Replace"),
            "color-picker",
            self.tr("Replace the chosen colour by one clicked in the picture"),
            checkable=True,
        )
        self._add = button(
            self.tr("Add"), "color-picker", self.tr("Add a colour clicked in the picture"), checkable=True
        )
        self._merge = button(
            self.tr("Merge"), "arrows-join-2", self.tr("Make the chosen colours one layer (choose two or more)")
        )
        self._split = button(self.tr("Split"), "arrows-split-2", self.tr("Make two colours of the chosen one"))
        self._same = button(
            self.tr("Same as"), tip=self.tr("Cut the chosen colours in the colour and on the sheet of another one")
        )
        self._lock = button(
            self.tr("Lock"), tip=self.tr("The chosen colours stay whatever the number of colours"), checkable=True
        )
        self._out = button(
            self.tr("Leave out"), tip=self.tr("The chosen colours are not cut, like the ground"), checkable=True
        )
        self._menu = QMenu(self)
        self._menu.aboutToShow.connect(self._fill_menu)
        self._same.setMenu(self._menu)
        self._up, self._down = (
            button(text, tip=tip)
            for text, tip in (
                (self.tr("Higher"), self.tr("Lay the chosen colour's sheet one higher")),
                (self.tr("Lower"), self.tr("Lay the chosen colour's sheet one lower")),
            )
        )
        for one, other in ((self._pick, self._add), (self._add, self._pick)):
            one.toggled.connect(lambda on, o=other: self._picking(on, o))
        self._merge.clicked.connect(self._merge_chosen)
        self._split.clicked.connect(self._split_chosen)
        self._lock.clicked.connect(self._lock_chosen)
        self._out.clicked.connect(self._leave_out)
        self._up.clicked.connect(lambda: self._move(1))
        self._down.clicked.connect(lambda: self._move(-1))
        self._reset = button(self.tr("Forget my colour edits"), "refresh")
        self._reset.clicked.connect(lambda: self.emit(self.tr("colour edits"), palette=None, locked=()))
        self.add(self._count, self.ladder, label(self.tr("Palette, top sheet first"), "quiet"), self._list,
                 (self._add, self._pick, self._merge), (self._split, self._same, self._lock),
                 (self._out, self._up, self._down), self._reset)
        self._laddered, self._found = None, None

    def _set_count(self, count, gesture=""):
        self.emit(self.tr("number of colours"), gesture, colours=count, palette=None)

    # -- showing -----------------------------------------------------------------------

    def show_work(self, work) -> None:
        super().show_work(work)
        entries, recipe = work.segmentation.own_entries, work.recipe
        count = len(entries)
        self._count.show_value(count, str(count), recipe.colours is None and recipe.palette is None)
        self.ladder.setVisible(self._laddered is work.tree)
        self.ladder.mark(count if recipe.palette is None and not recipe.grown else -1)
        keep = set(self.chosen())
        self._list.blockSignals(True)
        self._list.clear()
        shares = figures.label_shares(work)
        height = {label: n for n, plan in enumerate(work.plans, 1) for label in plan.labels if not plan.left_out}
        for number in sorted(range(count), key=lambda i: (-height.get(i, 0), -shares[i])):
            entry = entries[number]
            share = UNKNOWN if work.rough else f"{shares[number]:.1%}"
            self._list.addItem(self._item(entry, share, height.get(number), recipe))
            self._list.item(self._list.count() - 1).setSelected(entry.hex in keep)
        self._list.blockSignals(False)
        self._reset.setVisible(recipe.palette is not None or bool(recipe.locked))
        self._enable()

    def _item(self, entry, share, sheet, recipe):
        more = self.tr(" +{0}").format(len(entry.samples) - 1) if len(entry.samples) > 1 else ""
        where = self.tr("sheet {0}").format(sheet) if sheet else self.tr("not cut")
        locked = self.tr(" · locked") if entry.hex in recipe.locked else ""
        item = QListWidgetItem(
            swatch(entry.hex), f"{colour_word(entry.hex)}{more}   {entry.hex}   {share} · {where}{locked}"
        )
        item.setData(Qt.ItemDataRole.UserRole, entry.hex)
        item.setToolTip(
            self.tr("{0} of the picture; shades merged into it: {1}").format(share, len(entry.samples) - 1)
        )
        return item

    def show_ladder(self, work, ladder) -> None:
        """The ladder is worked out beside the trace and comes a moment later."""
        self._laddered, self._found, rungs = work.tree, ladder, ladder.rungs
        self.ladder.show_rungs(rungs, work.tree.proposed, work.mm_per_px, work.recipe.unit)
        self.ladder.setVisible(len(rungs) > 1)
        if self.work is not None:
            self.ladder.mark(len(self.work.segmentation.own_entries) if self.work.recipe.palette is None else -1)

    def _peek(self, row):
        """Show on the bench what a rung takes; nothing for the top one and none."""
        if self._found is None or not 0 < row < len(self._found.rungs):
            self.peek.emit(None, ())
        else:
            self.peek.emit(*self._found.lost(self._found.rungs[row]))

    # -- edits -------------------------------------------------------------------------

    def chosen(self) -> list[str]:
        return [item.data(Qt.ItemDataRole.UserRole) for item in self._list.selectedItems()]

    def stop_picking(self) -> None:
        for part in (self._pick, self._add):
            part.setChecked(False)

    def _picking(self, on, other):
        if on:
            other.setChecked(False)
        self.pick_wanted.emit(self._pick.isChecked() or self._add.isChecked())

    def _enable(self):
        chosen = self.chosen()
        count = len(chosen)
        self._pick.setEnabled(count == 1)
        self._add.setEnabled(self._list.count() < MAX_COLOURS)
        self._merge.setEnabled(count >= 2)
        self._split.setEnabled(count == 1)
        self._same.setEnabled(count >= 1 and self._list.count() > count)
        for part in (self._lock, self._out):
            part.setEnabled(count >= 1)
        recipe = self.recipe
        self._lock.setChecked(bool(chosen) and recipe is not None and set(chosen) <= set(recipe.locked))
        self._out.setChecked(bool(chosen) and recipe is not None and all(recipe.edit_of(h).left_out for h in chosen))
        keys = [] if self.work is None else [p.key for p in self.work.plans]
        at = keys.index(chosen[0]) if count == 1 and chosen[0] in keys else -1
        self._up.setEnabled(0 <= at < len(keys) - 1)
        self._down.setEnabled(at > 0)

    def take_colour(self, hex_colour: str) -> None:
        """A colour was clicked in the picture: it is added, or replaces the chosen one."""
        adds = self._add.isChecked()
        self.stop_picking()
        chosen = self.chosen()
        if adds and self.work is not None:
            self.emit(self.tr("added colour"), palette=palette_edits.added(self._entries(), hex_colour), colours=None)
        elif len(chosen) == 1 and self.work is not None:
            entries = tuple(PaletteEntry((hex_colour, *e.samples[1:])) if e.hex == chosen[0] else e
                            for e in self._entries() if e.hex != hex_colour)
            self.emit(self.tr("picked colour"), palette=entries, colours=None)

    def _entries(self):
        """The palette without the colours of grown regions, which the recipe adds by itself."""
        grown = {g.hex for g in self.recipe.grown}
        own = self.recipe.palette
        return own if own is not None else tuple(e for e in self.work.segmentation.own_entries if e.hex not in grown)

    def _merge_chosen(self):
        self.emit(self.tr("merged colours"), palette=palette_edits.merged(self._entries(), self.chosen()), colours=None)

    def _split_chosen(self):
        work = self.work
        entries = palette_edits.split(
            work.segmentation.own_entries, self.chosen()[0], work.picture, work.segmentation.labels
        )
        if entries is None:
            self._split.setToolTip(self.tr("This colour has only one shade"))
            self._split.setEnabled(False)
            return
        self.emit(self.tr("split colour"), palette=entries, colours=None)

    def _fill_menu(self):
        self._menu.clear()
        chosen = self.chosen()
        for entry in self._entries():
            if entry.hex not in chosen:
                self._menu.addAction(
                    swatch(entry.hex), f"{colour_word(entry.hex)}  {entry.hex}"
                ).triggered.connect(
                    lambda _=False, h=entry.hex: self.emit(
                        self.tr("same as"), palette=palette_edits.same_as(self._entries(), chosen, h), colours=None
                    )
                )

    def _lock_chosen(self, on):
        chosen = self.chosen()
        rest = tuple(h for h in self.recipe.locked if h not in chosen)
        self.emit(self.tr("locked colours"), locked=(*rest, *chosen) if on else rest)

    def _leave_out(self, on):
        recipe = self.recipe
        for key in self.chosen():
            recipe = recipe.with_edit(key, left_out=on)
        self.change.emit(recipe, self.tr("left out colours"), "")

    def _move(self, by):
        keys = [p.key for p in self.work.plans]
        at = keys.index(self.chosen()[0])
        keys[at], keys[at + by] = keys[at + by], keys[at]
        self.change.emit(replace(self.recipe, order=tuple(keys)), self.tr("order of the sheets"), "")
