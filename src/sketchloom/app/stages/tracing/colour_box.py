"""Settings of the colour reading: the ladder of numbers of colours, and the palette."""

from dataclasses import replace

from PySide6.QtCore import QItemSelectionModel, Qt, Signal
from PySide6.QtWidgets import QAbstractItemView, QListWidgetItem

from sketchloom.app.parts.acts import ACTS, COLOUR
from sketchloom.app.parts.beside import say_beside
from sketchloom.app.parts.choice_strip import ActsGrid
from sketchloom.app.parts.fields import NamedSlider
from sketchloom.app.parts.unfolding import UnfoldingList
from sketchloom.app.parts.widgets import UNKNOWN, button, label, swatch
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.tracing.ladder import Ladder
from sketchloom.app.words import colour_word
from sketchloom.desk import figures
from sketchloom.desk.things import SHADE
from sketchloom.recipe import layer_edits, palette_edits
from sketchloom.recipe.parts import PaletteEntry
from sketchloom.recipe.sections import MAX_COLOURS

_ROW_PX, _LEAST_ROWS, _MOST_ROWS = 27, 2, 6


class _Palette(UnfoldingList):
    """What can be done stands in the row of the colour chosen last."""

    def shows_details(self):
        return bool(self.selectedItems())


class ColourBox(Box):
    """Number of colours and the palette; what can be done to a colour stands in its row. ``chosen_changed``: other
    rows were chosen by hand."""

    pick_wanted = Signal(bool)
    peek = Signal(object, object)
    chosen_changed = Signal()

    def __init__(self):
        super().__init__()
        self._count = NamedSlider(self.tr("Colours"), 1, MAX_COLOURS, self.tr("Find the number for me"))
        self._count.moved.connect(lambda n: self._set_count(n, "colours"))
        self._count.auto.connect(lambda: self.emit(self.tr("number of colours"), colours=None, palette=None))
        self.ladder = Ladder()
        self.ladder.chosen.connect(self._set_count)
        self.ladder.pointed.connect(self._peek)
        self._list = _Palette(_ROW_PX, _LEAST_ROWS, _MOST_ROWS)
        self._list.setAccessibleName(self.tr("Palette"))
        self._list.setSelectionMode(QAbstractItemView.SelectionMode.ExtendedSelection)
        self._list.itemSelectionChanged.connect(self._enable)
        self._list.itemSelectionChanged.connect(self.chosen_changed)
        self._add = button(
            self.tr("Add a colour"), "color-picker", self.tr("Add a colour clicked in the picture"), checkable=True)
        self._add.toggled.connect(self._turn_adding)
        self._is_replacing = False
        self.row = ActsGrid(3)
        self.row.asked.connect(lambda name: self.act(name, self.chosen()))
        self.row.coloured.connect(lambda hex_colour: self.act(COLOUR, self.chosen(), hex_colour))
        self._list.set_details(self.row)
        self._reset = button(self.tr("Forget my colour edits"), "refresh")
        self._reset.clicked.connect(lambda: self.emit(self.tr("colour edits"), palette=None, locked=()))
        self.add(self._count, self.ladder, label(self.tr("Palette, top sheet first; click one for what can be done"),
                                                 "quiet"), self._list, (self._add, self._reset))
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

    def choose(self, hexes) -> None:
        """Choose the rows of some colours."""
        self._list.blockSignals(True)
        rows = [self._list.item(n) for n in range(self._list.count())]
        for item in rows:
            item.setSelected(item.data(Qt.ItemDataRole.UserRole) in hexes)
        chosen = [item for item in rows if item.isSelected()]
        if chosen:
            self._list.setCurrentItem(chosen[-1], QItemSelectionModel.SelectionFlag.NoUpdate)
        self._list.blockSignals(False)
        self._enable()

    @property
    def rows(self) -> UnfoldingList:
        """The palette's rows."""
        return self._list

    def stop_picking(self) -> None:
        """A click in the picture brings no colour any more."""
        self._is_replacing = False
        self._add.setChecked(False)
        self.pick_wanted.emit(False)

    def _turn_adding(self, on):
        if on:
            self._is_replacing = False
        self.pick_wanted.emit(on or self._is_replacing)

    def _enable(self):
        self._add.setEnabled(self._list.count() < MAX_COLOURS)
        chosen = self.chosen()
        names = self.possible(chosen)
        self.row.show_acts(tuple(act for act in ACTS[SHADE] if act.name in names), self.others(chosen), False)
        self._list.unfold()

    def others(self, hexes) -> tuple[str, ...]:
        """Colours of the palette that some can be given to."""
        return () if self.work is None or not hexes else tuple(e.hex for e in self._entries() if e.hex not in hexes)

    def possible(self, hexes) -> set[str]:
        """Names of the acts that can be done to some colours."""
        recipe, work = self.recipe, self.work
        if not hexes or recipe is None or work is None:
            return set()
        order = tuple(plan.key for plan in work.plans)
        names = {"unlock" if set(hexes) <= set(recipe.locked) else "lock",
                 "in" if all(recipe.edit_of(h).left_out for h in hexes) else "out"}
        names |= {"split", "replace"} if len(hexes) == 1 else {"merge"}
        names |= {name for name, by in (("higher", 1), ("lower", -1)) if layer_edits.moved(order, hexes, by) != order}
        return names | ({COLOUR} if self.others(hexes) else set())

    def act(self, name: str, hexes, hex_colour: str | None = None) -> None:
        """Do an act to some colours."""
        recipe, order = self.recipe, tuple(plan.key for plan in self.work.plans)
        if name == "merge":
            self.emit(self.tr("merged colours"), palette=palette_edits.merged(self._entries(), hexes), colours=None)
        elif name == "split":
            self._split(hexes[0])
        elif name == COLOUR:
            self.emit(self.tr("same as"), palette=palette_edits.same_as(self._entries(), hexes, hex_colour),
                      colours=None)
        elif name == "replace":
            self.choose(hexes)
            self._add.setChecked(False)
            self._is_replacing = True
            self.pick_wanted.emit(True)
        elif name in ("lock", "unlock"):
            rest = tuple(h for h in recipe.locked if h not in hexes)
            self.emit(self.tr("locked colours"), locked=(*rest, *hexes) if name == "lock" else rest)
        elif name in ("out", "in"):
            self.change.emit(layer_edits.edited(recipe, hexes, left_out=name == "out"), self.tr("left out colours"), "")
        else:
            moved = layer_edits.moved(order, hexes, 1 if name == "higher" else -1)
            self.change.emit(replace(recipe, order=moved), self.tr("order of the sheets"), "")

    def take_colour(self, hex_colour: str) -> None:
        """A colour was clicked in the picture: it is added, or replaces the chosen one."""
        adds = not self._is_replacing
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

    def _split(self, hex_colour):
        work = self.work
        entries = palette_edits.split(work.segmentation.own_entries, hex_colour, work.picture, work.segmentation.labels)
        if entries is None:
            say_beside(self._list, self.tr("This colour has only one shade"))
        else:
            self.emit(self.tr("split colour"), palette=entries, colours=None)
