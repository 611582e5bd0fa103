"""Clean stage: what is chosen on the bench, what may be mended, what was changed; everything else when it is called."""

from PySide6.QtCore import Signal

from sketchloom.app.parts.choice_strip import ChosenWords
from sketchloom.app.parts.finding_rows import FindingRows
from sketchloom.app.parts.tool_row import CHOOSE, ROW, SWEEP, ToolRow
from sketchloom.app.parts.uncut_note import UncutNote
from sketchloom.app.parts.widgets import Figures, Panel, label
from sketchloom.app.stages.cleaning.curves_box import CurvesBox, RegularBox
from sketchloom.app.stages.cleaning.lines_box import LinesBox
from sketchloom.app.stages.cleaning.lists import EditsBox, SmallBox
from sketchloom.app.stages.cleaning.mirror_box import MirrorBox
from sketchloom.app.stages.cleaning.narrow_box import NarrowBox
from sketchloom.app.stages.cleaning.regions_box import RegionsBox
from sketchloom.app.stages.cleaning.rims_box import RimsBox
from sketchloom.app.stages.cleaning.shapes_box import ShapesBox
from sketchloom.app.stages.cleaning.splits_box import CoversBox, SplitsBox
from sketchloom.app.stages.cleaning.stencil_box import StencilBox
from sketchloom.app.stages.cleaning.strokes_box import StrokesBox
from sketchloom.app.stages.cleaning.together_box import TogetherBox
from sketchloom.app.stages.drawer import Drawer, called_one_at_a_time
from sketchloom.app.stages.fold import Fold
from sketchloom.core.base.units import format_length
from sketchloom.core.preflight.findings import CLEAN
from sketchloom.desk.things import SHAPE, STRETCH


class CleanPanel(Panel):
    """The row of tools, what is chosen, and boxes that come when they are called, one at a time. The desk of the
    present result comes with ``show_desk``."""

    change = Signal(object, str, str)

    def __init__(self, parent=None):
        super().__init__("", parent)
        self.head(self.tr("Clean"))
        self.tools = ToolRow(ROW)
        self.chosen = ChosenWords()
        self.chosen.hide()
        self.regions, self.edits, self.mending = RegionsBox(), EditsBox(), FindingRows(is_narrow=True)
        self._build_boxes()
        self._hint = label(
            self.tr("Nothing is chosen. Click on the bench what you want to change: a region, a shape, the line around "
                    "it; click again for what lies below."), "quiet")
        self._pens = label(
            self.tr(
                "Pen lines have no regions. Strokes are taken out in Trace; make them shapes there to clean regions "
                "here."
            ),
            "quiet",
        )
        self.uncut = UncutNote()
        self._mend_title = label(self.tr("Mend"), "section")
        self._edits_fold = Fold(self.tr("What was changed"), self.edits, True)
        self.add(self.tools, self._pens, self._hint, self.chosen, self.regions, *self.drawers.values(), self.uncut,
                 self._mend_title, self.mending, self._edits_fold)
        self.section(self.tr("What comes out"))
        self._figures = Figures()
        self.add(self._figures)
        self.column.addStretch(1)
        called_one_at_a_time(self.drawers, self.tools)
        for drawer in self.drawers.values():
            drawer.head.toggled.connect(lambda on, d=drawer: on and self._forget_own(d))
        self.drawers["small"].head.toggled.connect(lambda _: self._fill_small())
        self._desk, self._is_pens, self._held, self._own = None, False, None, None
        self.regions.hide()
        self.show_findings(())

    def _build_boxes(self):
        self.small, self.lines, self.narrow, self.splits, self.covers = (
            SmallBox(), LinesBox(), NarrowBox(), SplitsBox(), CoversBox())
        self.shapes, self.curves, self.regular, self.mirror, self.rims = (
            ShapesBox(), CurvesBox(), RegularBox(), MirrorBox(), RimsBox())
        self.stencil, self.strokes, self.together = StencilBox(), StrokesBox(), TogetherBox()
        self._of_regions = (self.together, self.splits, self.covers, self.shapes, self.curves, self.regular,
                            self.mirror, self.rims, self.stencil, self.strokes)
        self._boxes = (self.regions, self.small, self.edits, self.lines, self.narrow, *self._of_regions)
        for box in self._boxes:
            box.change.connect(self.change)
        self.drawers = {name: Drawer(title, box) for name, title, box in (
            ("together", self.tr("Several regions"), self.together),
            ("shapes", self.tr("Shapes and words"), self.shapes),
            ("rims", self.tr("Backing and rim"), self.rims),
            ("mirror", self.tr("Mirror one half"), self.mirror),
            ("lines", self.tr("Gaps and ink"), self.lines),
            ("narrow", self.tr("Narrow places"), self.narrow),
            ("small", self.tr("The smallest regions"), self.small),
            ("strokes", self.tr("Strokes"), self.strokes),
            ("splits", self.tr("Split lines"), self.splits),
            ("covers", self.tr("Cover an area"), self.covers),
            ("curves", self.tr("Boundaries by hand"), self.curves),
            ("regular", self.tr("Nearly regular"), self.regular),
            ("stencil", self.tr("Stencil bridges"), self.stencil),
        )}

    def _forget_own(self, opened):
        if self._own is not opened:
            self._own = None

    def close_drawers(self) -> None:
        """No box is called for any more."""
        for drawer in self.drawers.values():
            drawer.call(False)
        self._own = None

    def purpose(self):
        return self.tr("The drawing is mended by hand: what is chosen on the bench carries what can be done to it.")

    def landmarks(self):
        return (
            (self.tools, self.tr("Choose is held as you come. Everything else is under More, or found by its words.")),
            (self._hint, self.tr("Click a region, a shape or a gap; click again for the stroke or line around it.")),
            (self.chosen, self.tr("What is chosen, its figures, and what can be done to it, with its keys.")),
            (self.mending, self.tr("What may go wrong when it is cut, each with a way to mend it.")),
            (self._edits_fold, self.tr("Every decision about a region; it can be taken back or held off.")),
        )

    # -- what is chosen and held ---------------------------------------------------------

    def show_tool(self, name: str | None) -> None:
        """Which tool of the row is held."""
        self._held = name
        self.tools.show_tool(name)
        self.regions.setVisible(name == SWEEP and not self._is_pens)
        self._show_hint()

    def show_chosen(self, kind: str | None, words: str = "", acts=(), hexes=()) -> None:
        """What is chosen on the bench, and what can be done to it; a kind None for nothing."""
        self.chosen.setVisible(kind is not None)
        if kind is not None:
            self.chosen.show_choice(words, acts, hexes)
        own = {SHAPE: self.drawers["shapes"], STRETCH: self.drawers["curves"]}.get(kind)
        if own is not None and not own.head.isChecked() and self._own is not own:
            own.head.setChecked(True)  # its settings belong to what is chosen
            self._own = own
        elif own is None and self._own is not None and self._held == CHOOSE:
            self._own.call(False)
            self._own = None
        self._show_hint()

    def _show_hint(self):
        self._hint.setVisible(self._held == CHOOSE and self.chosen.isHidden() and not self._is_pens)

    def show_findings(self, findings) -> None:
        """What may be mended here."""
        mine = [finding for finding in findings if finding.rule.stage == CLEAN]
        self.mending.show_findings(mine)
        for part in (self._mend_title, self.mending):
            part.setVisible(bool(mine))

    # -- results -------------------------------------------------------------------------

    def show_document(self, document) -> None:
        for box in self._boxes:
            box.recipe = document.recipe

    def show_work(self, work) -> None:
        recipe = self.regions.recipe or work.recipe
        self._is_pens = pens = work.draws_with_pens
        self._pens.setVisible(pens)
        self._edits_fold.setVisible(not pens)
        for name, drawer in self.drawers.items():
            drawer.offer(not pens or name in ("lines", "narrow"))
        self.show_tool(self._held)
        for box in (
            self.regions,
            self.lines,
            *self._of_regions,
            *((self.narrow,) if work.measured and not work.rough else ()),
        ):
            box.show_work(work)
        for box in self._boxes:
            box.recipe = recipe  # the document may be ahead of what is shown
        self._figures.show_values((
            (self.tr("Regions cut"), str(int((~work.ground).sum()))),
            (self.tr("Pieces"), str(sum(x.outline.pieces for x in work.layers))),
            (self.tr("Holes"), str(sum(x.outline.holes for x in work.layers))),
            (self.tr("Cutting"), format_length(work.cut_length_mm, work.recipe.unit, 0)),
        ), known=not work.rough)

    def show_desk(self, desk) -> None:
        """The regions of an exact result."""
        self._desk = desk
        recipe = self.regions.recipe
        self.edits.show_desk(desk)
        self._fill_small()
        for box in self._boxes:
            box.recipe = recipe

    def _fill_small(self):
        # pictures are made when they are seen
        if self._desk is not None and self.drawers["small"].head.isChecked():
            self.small.show_desk(self._desk)
