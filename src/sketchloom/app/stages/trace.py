"""Trace stage: which reading, which colours or cut-off, what is too small to keep."""

from dataclasses import replace

from PySide6.QtCore import Signal

from sketchloom.app.parts.uncut_note import UncutNote
from sketchloom.app.parts.widgets import Figures, Panel, label, nodes_text
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.fold import Fold, one_at_a_time
from sketchloom.app.stages.tracing.colour_box import ColourBox
from sketchloom.app.stages.tracing.detail_box import DetailBox, DoublesBox
from sketchloom.app.stages.tracing.line_box import LineBox
from sketchloom.app.stages.tracing.parts_box import GrowBox, PatchBox
from sketchloom.app.stages.tracing.photo_box import PhotoBox
from sketchloom.app.stages.tracing.presets_box import PresetsBox
from sketchloom.app.stages.tracing.reading_tiles import ReadingTiles
from sketchloom.app.stages.tracing.tone_box import ToneBox
from sketchloom.core.base.units import format_length
from sketchloom.desk import figures


class TracePanel(Panel):
    """Settings of the reading."""

    change = Signal(object, str, str)
    pick_wanted = Signal(bool)
    show_small = Signal(bool)
    place_wanted = Signal(float, float)
    peek = Signal(object, object)

    def __init__(self, parent=None):
        super().__init__("", parent)
        self.head(self.tr("Trace"))
        self._recipe, self._work = None, None
        self.readings = ReadingTiles()
        self.readings.chosen.connect(lambda reading: self._emit(self.tr("reading"), reading=reading))
        self.presets = PresetsBox()
        self.colour, self.tone, self.line, self.photo = ColourBox(), ToneBox(), LineBox(), PhotoBox()
        self.detail, self.doubles, self.grow, self.patch = DetailBox(), DoublesBox(), GrowBox(), PatchBox()
        self._boxes = (
            self.presets,
            self.colour,
            self.tone,
            self.line,
            self.photo,
            self.detail,
            self.doubles,
            self.grow,
            self.patch,
        )
        for box in self._boxes:
            box.change.connect(self.change)
        self.colour.pick_wanted.connect(self.pick_wanted)
        for box in (self.colour, self.photo):
            box.peek.connect(self.peek)
        self.detail.show_small.connect(self.show_small)
        for box in (self.detail, self.doubles):
            box.place_wanted.connect(self.place_wanted)
        self.add(self.readings, self.presets, self.tone, self.line, self.colour, self.photo)
        self._build_rest()
        self._grow_fold = Fold(self.tr("Grow a region by colour"), self.grow)
        self._detail_fold = Fold(self.tr("Small details"), self.detail, True)
        folds = (self._detail_fold, self._grow_fold, Fold(self.tr("A part with settings of its own"), self.patch),
                 Fold(self.tr("Double outlines"), self.doubles))
        one_at_a_time(folds)
        self.add(*folds)
        self.section(self.tr("What comes out"))
        self._figures = Figures()
        self.add(self._figures)
        self.column.addStretch(1)

    def _build_rest(self):
        self.rest = Box()
        self.rest.change.connect(self.change)
        self._ground_note, self._thin_note = label("", "quiet"), label("", "quiet")
        self.uncut = UncutNote()
        self.rest.add(self.rest.control("ground"), self._ground_note, self.uncut)
        self.rest.add(*(self.rest.control(name) for name in ("smoothness", "exact_shapes", "few_nodes")),
                      self.rest.control("thin_lines"), self._thin_note)
        self._boxes += (self.rest,)
        self.add(self.rest)

    def purpose(self):
        return self.tr("How the picture is read: into which colours, tones or lines, and what is too small to cut.")

    def landmarks(self):
        return (
            (self.readings, self.tr("The work read in each of the ways. The one proposed is taken; a click takes "
                                    "another.")),
            (self.presets, self.tr("Settings that are kept under a name.")),
            (self.colour, self.tr("Fewer colours are fewer sheets. Each rung says what the next number loses and "
                                  "saves; what can be done to a colour stands in its row.")),
            (self.tone, self.tr("What is darker than the cut-off is cut. In the marked bands the drawing stands "
                                "still.")),
            (self.line, self.tr("The middle of each stroke, for a pen, or as shapes of one width.")),
            (self.photo, self.tr("Shading in a few tones; a close look shows what a face keeps.")),
            (self.rest, self.tr("What is left out as ground, and how far curves may keep from the pixels: fewer nodes "
                                "are calmer cuts.")),
            (self._detail_fold, self.tr("What is smaller goes to its neighbour; what that cost is listed.")),
        )

    # -- showing -----------------------------------------------------------------------

    def show_document(self, document) -> None:
        self._recipe = document.recipe
        for box in self._boxes:
            box.recipe = document.recipe
        self.readings.show_asked(self._recipe.reading)

    def show_work(self, work) -> None:
        recipe = self._recipe if self._recipe is not None else work.recipe
        self._work = work
        reading = work.reading
        pen = reading == "line" and work.recipe.pen_mm is None
        self.tone.setVisible(reading in ("tone", "line"))
        for box, name in ((self.line, "line"), (self.colour, "colour"), (self.photo, "photo")):
            box.setVisible(reading == name)
        self._grow_fold.explain("" if reading == "colour" else self.tr(
            "Regions are grown by colour where a picture is read by colour: choose Colour above."))
        self.readings.show_read(reading)
        self.rest.setVisible(not pen)
        shown = {
            "tone": (self.tone,),
            "line": (self.tone, self.line),
            "colour": (self.colour, self.grow),
            "photo": (self.photo,),
        }[reading]
        for box in (self.presets, *shown, self.detail, self.doubles, self.patch, self.rest):
            box.show_work(work)
            box.recipe = recipe  # the document may be ahead of what is shown
        self._ground_note.setText(self._what_is_ground(work))
        thin = work.thin_lines
        self._thin_note.setText("" if thin is None else self.tr(
            "Found: lines {0:.1f} pixels wide, {1:.0f} pixels long in all. The picture was drawn {2} times as fine."
        ).format(thin.width_px, thin.length_px, thin.times))
        self._thin_note.setVisible(thin is not None)
        self._figures.show_values((
            (self.tr("Regions"), str(work.traced.planar.face_count)),
            (self.tr("Sheets"), str(len(work.layers))),
            (self.tr("Pieces"), str(sum(x.outline.pieces for x in work.layers))),
            (self.tr("Nodes"), nodes_text(work)),
            *(() if work.unlike is None else ((self.tr("Picture explained"), f"{work.unlike.explained:.2%}"),)),
            (self.tr("Farthest from the picture"), "…" if work.rough else format_length(
                work.worst_deviation_mm, work.recipe.unit, 3)),
            (self.tr("Drawing with the pen") if pen else self.tr("Cutting"),
             format_length(work.cut_length_mm, work.recipe.unit, 0)),
        ), known=not work.rough)

    def _what_is_ground(self, work):
        name = figures.ground_name(work)
        if work.recipe.ground == "keep":
            return ""
        if name is None:
            return self.tr("Nothing runs all around the drawing: nothing is left out.")
        return self.tr("Left out: {0}, {1:.0%} of the picture.").format(
            name or self.tr("what is transparent"), figures.ground_share(work))

    def shows_small(self) -> bool:
        return self.detail.shows_small()

    def show_lost(self) -> None:
        """Bring the list of dropped details into view, each ringed on the bench."""
        self._detail_fold.head.setChecked(True)
        self.detail.ring()
        self.ensureWidgetVisible(self._detail_fold)

    def stop_picking(self) -> None:
        self.colour.stop_picking()

    def take_colour(self, hex_colour: str) -> None:
        """A colour was clicked in the picture."""
        self.colour.take_colour(hex_colour)

    def _emit(self, what, gesture="", **changes):
        if self._recipe is not None:
            self.change.emit(replace(self._recipe, **changes), what, gesture)
