"""Trace stage: which reading, which colours or cut-off, what is too small to keep."""

from dataclasses import replace

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QColor, QPainter
from PySide6.QtWidgets import (
    QAbstractItemView, QCheckBox, QComboBox, QHBoxLayout, QListWidget, QListWidgetItem, QSizePolicy, QVBoxLayout, QWidget,
)

from sketchloom.app import theme
from sketchloom.app.widgets import Choice, Figures, LengthEdit, NamedSlider, Panel, button, label, nodes_text, swatch
from sketchloom.core.colour import colour_name, from_hex
from sketchloom import palette_edits
from sketchloom.core.units import format_length
from sketchloom.recipe import MAX_COLOURS, MAX_DETAIL_MM, SMOOTHEST, TRUEST, PaletteEntry

_DETAILS_MM = (0.0, 0.3, 0.5, 0.8, 1.0, 1.5, 2.0, 3.0, 4.0, 5.0, 8.0, 12.0)


class ToneCurve(QWidget):
    """How many pixels have which tone, with the cut-off marked."""

    def __init__(self):
        super().__init__()
        self.setFixedHeight(56)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setAccessibleName(self.tr("Tones of the picture"))
        self._bars, self._cut = [], 128

    def show_values(self, bars, cut) -> None:
        self._bars, self._cut = bars, cut
        self.update()

    def paintEvent(self, _):
        painter = QPainter(self)
        painter.fillRect(self.rect(), QColor(theme.LINEN_LIGHT))
        width, height = self.width() / 256, self.height()
        for level, share in enumerate(self._bars):
            colour = theme.INK if level <= self._cut else theme.LINE
            bar = share * (height - 4)
            painter.fillRect(int(level * width), int(height - bar), max(1, int(width + 1)), int(bar + 1), QColor(colour))
        painter.setPen(QColor(theme.MADDER))
        x = int((self._cut + 0.5) * width)
        painter.drawLine(x, 0, x, height)


class TracePanel(Panel):
    """Settings of the reading."""

    change = Signal(object, str, str)
    pick_wanted = Signal(bool)
    show_small = Signal(bool)

    def __init__(self):
        super().__init__("")
        self.column.itemAt(0).widget().setText(self.tr("Trace"))
        self._recipe, self._work = None, None
        self._reading = Choice((
            ("auto", self.tr("Choose for me"), self.tr("The program picks the reading that suits the picture")),
            ("colour", self.tr("Colour"), self.tr("Flat colours, one layer each")),
            ("tone", self.tr("Tone"), self.tr("Ink against paper, one cut-off")),
        ), self.tr("Reading"))
        self._reading.chosen.connect(lambda r: self._emit(self.tr("reading"), reading=r))
        self._reading_note = label("", "quiet")
        self.add(self._reading, self._reading_note)
        self._build_colour()
        self._build_tone()
        self._build_rest()
        self.column.addStretch(1)

    def _build_colour(self):
        self._colour = QWidget()
        box = QVBoxLayout(self._colour)
        box.setContentsMargins(0, 0, 0, 0)
        self._count = NamedSlider(self.tr("Colours"), 1, MAX_COLOURS, self.tr("Find the number for me"))
        self._count.moved.connect(lambda n: self._emit(self.tr("number of colours"), "colours", colours=n, palette=None))
        self._count.auto.connect(lambda: self._emit(self.tr("number of colours"), colours=None, palette=None))
        self._palette = QListWidget()
        self._palette.setAccessibleName(self.tr("Palette"))
        self._palette.setSelectionMode(QAbstractItemView.SelectionMode.ExtendedSelection)
        self._palette.setFixedHeight(168)
        self._palette.itemSelectionChanged.connect(self._enable_edits)
        self._pick = button(self.tr("Pick"), "color-picker",
                            self.tr("Replace the chosen colour by one clicked in the picture"), checkable=True)
        self._merge = button(self.tr("Merge"), "arrows-join-2", self.tr("Make the chosen colours one layer (choose two or more)"))
        self._split = button(self.tr("Split"), "arrows-split-2", self.tr("Make two colours of the chosen one"))
        self._pick.toggled.connect(self.pick_wanted)
        self._merge.clicked.connect(self._merge_chosen)
        self._split.clicked.connect(self._split_chosen)
        row = QHBoxLayout()
        for part in (self._pick, self._merge, self._split):
            row.addWidget(part)
        self._reset = button(self.tr("Forget my colour edits"), "refresh")
        self._reset.clicked.connect(lambda: self._emit(self.tr("colour edits"), palette=None))
        for part in (self._count, self._palette):
            box.addWidget(part)
        box.addLayout(row)
        box.addWidget(self._reset)
        self.add(self._colour)

    def _build_tone(self):
        self._tone = QWidget()
        box = QVBoxLayout(self._tone)
        box.setContentsMargins(0, 0, 0, 0)
        self._curve = ToneCurve()
        self._cut_off = NamedSlider(self.tr("Cut-off"), 0, 255, self.tr("Find the cut-off for me"))
        self._cut_off.moved.connect(lambda v: self._emit(self.tr("cut-off"), "cut_off", cut_off=v))
        self._cut_off.auto.connect(lambda: self._emit(self.tr("cut-off"), cut_off=None))
        self._side = Choice((
            ("dark", self.tr("Dark is ink"), self.tr("Dark parts are cut")),
            ("light", self.tr("Light is ink"), self.tr("Light parts are cut")),
        ), self.tr("Ink"))
        self._side.chosen.connect(lambda s: self._emit(self.tr("side of the ink"), dark_is_ink=s == "dark"))
        for part in (self._curve, self._cut_off, self._side):
            box.addWidget(part)
        self.add(self._tone)

    def _build_rest(self):
        self._ground = QComboBox()
        self._ground.setAccessibleName(self.tr("Ground"))
        for key, text in (("auto", self.tr("Leave out, found for me")),
                          ("touching", self.tr("Leave out where it touches the edge")),
                          ("everywhere", self.tr("Leave out everywhere")), ("keep", self.tr("Keep as a layer"))):
            self._ground.addItem(text, key)
        self._ground.activated.connect(lambda i: self._emit(self.tr("ground"), ground=self._ground.itemData(i)))
        self.add((label(self.tr("Ground")), self._ground))
        self._detail = NamedSlider(self.tr("Smallest detail kept"), 0, len(_DETAILS_MM) - 1)
        self._detail.moved.connect(
            lambda i: self._emit(self.tr("smallest detail"), "smallest", smallest_mm=_DETAILS_MM[i]))
        self._detail_edit = LengthEdit(self.tr("Smallest detail"), 0.01, MAX_DETAIL_MM)
        self._detail_edit.committed.connect(lambda mm: self._emit(self.tr("smallest detail"), smallest_mm=mm))
        self._small = button("", "target", self.tr("Ring the regions that went to a neighbour"), checkable=True)
        self._small.toggled.connect(self.show_small)
        self._detail.put_beside_name(self._detail_edit)
        self.add(self._detail, self._small)
        self._smooth = NamedSlider(self.tr("Outlines"), TRUEST, SMOOTHEST)
        self._smooth.moved.connect(lambda v: self._emit(self.tr("smoothness"), "smoothness", smoothness=v))
        self._exact = QCheckBox(self.tr("Make regular shapes exact"))
        self._exact.setToolTip(self.tr(
            "Circles, ellipses, level edges, round corners and symmetric outlines, where they keep as close "
            "to the picture as the curves do."))
        self._exact.clicked.connect(lambda on: self._emit(self.tr("exact shapes"), exact_shapes=on))
        self.add(self._smooth, self._exact)
        self.section(self.tr("What comes out"))
        self._figures = Figures()
        self.add(self._figures)

    # -- showing -----------------------------------------------------------------------

    def show_document(self, document) -> None:
        self._recipe = document.recipe
        self._reading.show_value(self._recipe.reading)
        self._ground.setCurrentIndex(self._ground.findData(self._recipe.ground))

    def show_work(self, work) -> None:
        self._work = work
        recipe = work.recipe
        tone = work.reading == "tone"
        self._tone.setVisible(tone)
        self._colour.setVisible(not tone)
        chosen = self.tr("tone") if tone else self.tr("colour")
        self._reading_note.setText(self.tr("Chosen for this picture: {0}.").format(chosen) if recipe.reading == "auto" else "")
        self._reading_note.setVisible(recipe.reading == "auto")
        if tone:
            self._curve.show_values(*work.tone_bars())
            auto = recipe.cut_off is None
            self._cut_off.show_value(work.segmentation.cut_off, str(work.segmentation.cut_off), auto)
            self._side.show_value("dark" if recipe.dark_is_ink else "light")
        else:
            self._show_palette(work)
        self._show_detail(work)
        words = (self.tr("true to the pixels"), self.tr("close"), self.tr("balanced"), self.tr("smooth"),
                 self.tr("smoother"), self.tr("clean sweeps"))
        self._smooth.show_value(recipe.smoothness, words[recipe.smoothness - TRUEST])
        self._exact.setChecked(recipe.exact_shapes)
        self._figures.show_values((
            (self.tr("Regions"), str(work.traced.planar.face_count)),
            (self.tr("Sheets"), str(len(work.layers))),
            (self.tr("Pieces"), str(sum(x.outline.pieces for x in work.layers))),
            (self.tr("Nodes"), nodes_text(work)),
            (self.tr("Farthest from the picture"), "…" if work.rough else format_length(
                work.worst_deviation_mm, recipe.unit, 3)),
            (self.tr("Cutting"), format_length(sum(x.cut_length_mm for x in work.layers), recipe.unit, 0)),
        ))

    def _show_palette(self, work):
        entries = work.segmentation.entries
        auto = work.recipe.colours is None and work.recipe.palette is None
        self._count.show_value(len(entries), str(len(entries)), auto)
        shares = work.label_shares()
        keep = {item.data(Qt.ItemDataRole.UserRole) for item in self._palette.selectedItems()}
        self._palette.blockSignals(True)
        self._palette.clear()
        for entry, share in zip(entries, shares):
            more = self.tr(" (+{0})").format(len(entry.samples) - 1) if len(entry.samples) > 1 else ""
            name = colour_name(from_hex(entry.hex))
            item = QListWidgetItem(swatch(entry.hex), f"{name}{more}    {entry.hex}    {share:.1%}")
            item.setData(Qt.ItemDataRole.UserRole, entry.hex)
            self._palette.addItem(item)
            item.setSelected(entry.hex in keep)
        self._palette.blockSignals(False)
        self._reset.setVisible(work.recipe.palette is not None)
        self._enable_edits()

    def _show_detail(self, work):
        mm = work.recipe.smallest_mm
        nearest = min(range(len(_DETAILS_MM)), key=lambda i: abs(_DETAILS_MM[i] - mm))
        self._detail.show_value(nearest, "")
        self._detail_edit.show_value(max(mm, 0.01), work.recipe.unit)
        count = len(work.segmentation.dropped)
        self._small.setEnabled(count > 0)
        self._small.setText(self.tr("Show {0} given to a neighbour").format(count) if count else self.tr("None is smaller"))

    def shows_small(self) -> bool:
        return self._small.isChecked()

    def stop_picking(self) -> None:
        self._pick.setChecked(False)

    # -- edits -------------------------------------------------------------------------

    def _emit(self, what, gesture="", **changes):
        if self._recipe is not None:
            self.change.emit(replace(self._recipe, **changes), what, gesture)

    def _chosen(self):
        return [item.data(Qt.ItemDataRole.UserRole) for item in self._palette.selectedItems()]

    def _enable_edits(self):
        count = len(self._chosen())
        self._pick.setEnabled(count == 1)
        self._merge.setEnabled(count >= 2)
        self._split.setEnabled(count == 1)

    def take_colour(self, hex_colour: str) -> None:
        """A colour was clicked in the picture: it replaces the chosen one."""
        self._pick.setChecked(False)
        chosen = self._chosen()
        if len(chosen) == 1 and self._work is not None:
            entries = tuple(
                PaletteEntry((hex_colour, *e.samples[1:])) if e.hex == chosen[0] else e
                for e in self._work.segmentation.entries if e.hex != hex_colour)
            self._emit(self.tr("picked colour"), palette=entries, colours=None)

    def _merge_chosen(self):
        entries = palette_edits.merged(self._work.segmentation.entries, self._chosen())
        self._emit(self.tr("merged colours"), palette=entries, colours=None)

    def _split_chosen(self):
        work = self._work
        entries = palette_edits.split(work.segmentation.entries, self._chosen()[0], work.picture,
                                      work.segmentation.labels)
        if entries is None:
            self._split.setToolTip(self.tr("This colour has only one shade"))
            self._split.setEnabled(False)
            return
        self._emit(self.tr("split colour"), palette=entries, colours=None)
