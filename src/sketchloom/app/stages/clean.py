"""Clean stage: which regions stay, what becomes of the others, and what was decided so far."""

from PySide6.QtCore import Signal

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
from sketchloom.app.stages.fold import Fold
from sketchloom.core.base.units import format_length


class CleanPanel(Panel):
    """Boxes of the stage. The desk of the present result comes with ``show_desk``."""

    change = Signal(object, str, str)

    def __init__(self, parent=None):
        super().__init__("", parent)
        self.column.itemAt(0).widget().setText(self.tr("Clean"))
        self.regions, self.small, self.edits, self.lines, self.narrow = (
            RegionsBox(),
            SmallBox(),
            EditsBox(),
            LinesBox(),
            NarrowBox(),
        )
        self.splits, self.covers, self.shapes, self.curves, self.regular = (
            SplitsBox(),
            CoversBox(),
            ShapesBox(),
            CurvesBox(),
            RegularBox(),
        )
        self.mirror, self.rims, self.stencil, self.strokes, self.together = (
            MirrorBox(),
            RimsBox(),
            StencilBox(),
            StrokesBox(),
            TogetherBox(),
        )
        self._of_regions = (
            self.together,
            self.splits,
            self.covers,
            self.shapes,
            self.curves,
            self.regular,
            self.mirror,
            self.rims,
            self.stencil,
            self.strokes,
        )
        self._boxes = (self.regions, self.small, self.edits, self.lines, self.narrow, *self._of_regions)
        for box in self._boxes:
            box.change.connect(self.change)
        self._pens = label(
            self.tr(
                "Pen lines have no regions. Strokes are taken out in Trace; make them shapes there to clean regions "
                "here."
            ),
            "quiet",
        )
        self._small_fold = Fold(self.tr("The smallest regions"), self.small)
        self._edits_fold = Fold(self.tr("What was changed"), self.edits, True)
        self.uncut = UncutNote()
        # what most work asks for comes first, where it is seen without scrolling
        self._folds = [
            Fold(title, box)
            for title, box in (
                (self.tr("Several regions"), self.together),
                (self.tr("Shapes and words"), self.shapes),
                (self.tr("Backing and rim"), self.rims),
                (self.tr("Mirror one half"), self.mirror),
                (self.tr("Strokes"), self.strokes),
                (self.tr("Split lines"), self.splits),
                (self.tr("Cover an area"), self.covers),
                (self.tr("Boundaries by hand"), self.curves),
                (self.tr("Nearly regular"), self.regular),
                (self.tr("Stencil bridges"), self.stencil),
            )
        ]
        self.add(self._pens, self.regions, self.uncut, *self._folds[:4], self._edits_fold, self._small_fold,
                 Fold(self.tr("Gaps and ink"), self.lines), Fold(self.tr("Narrow places"), self.narrow),
                 *self._folds[4:])
        self.section(self.tr("What comes out"))
        self._figures = Figures()
        self.add(self._figures)
        self.column.addStretch(1)
        self._small_fold.head.toggled.connect(lambda _: self._fill_small())
        self._desk = None

    def show_document(self, document) -> None:
        for box in self._boxes:
            box.recipe = document.recipe

    def show_work(self, work) -> None:
        recipe = self.regions.recipe or work.recipe
        pens = work.draws_with_pens
        self._pens.setVisible(pens)
        for part in (self.regions, self._small_fold, self._edits_fold, *self._folds):
            part.setVisible(not pens)
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
        if self._desk is not None and self._small_fold.head.isChecked():
            self.small.show_desk(self._desk)
