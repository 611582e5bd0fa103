"""Source stage: what the picture is, how large the work gets, what it is good for."""

from dataclasses import replace

from PySide6.QtCore import Signal

from sketchloom.app.widgets import Choice, Figures, LengthEdit, Panel, button, label
from sketchloom.core.picture.fitness import COMFORTABLE_PX_PER_MM
from sketchloom.core.units import format_length
from sketchloom.recipe import MAX_SIZE_MM, MIN_SIZE_MM


class SourcePanel(Panel):
    """Size and judgement of the picture."""

    change = Signal(object, str, str)
    open_wanted = Signal()
    paste_wanted = Signal()

    def __init__(self):
        super().__init__("")
        self.column.itemAt(0).widget().setText(self.tr("Source"))
        self._recipe = None
        self._name = label("", "")
        self._opens = (button(self.tr("Open…"), "folder-open", self.tr("Open a picture or project (Ctrl+O)")),
                       button(self.tr("Paste"), "clipboard", self.tr("Paste a picture (Ctrl+V)")))
        self._opens[0].clicked.connect(self.open_wanted)
        self._opens[1].clicked.connect(self.paste_wanted)
        self._picture = Figures()
        self.add(self._name, self._opens, self._picture)
        self.section(self.tr("Finished size"))
        self._width = LengthEdit(self.tr("Width"), MIN_SIZE_MM, MAX_SIZE_MM)
        self._height = LengthEdit(self.tr("Height"), MIN_SIZE_MM, MAX_SIZE_MM)
        self._width.committed.connect(lambda mm: self._set_size("width", mm))
        self._height.committed.connect(lambda mm: self._set_size("height", mm))
        self._unit = Choice((("mm", "mm", self.tr("Millimetres everywhere")), ("in", "in", self.tr("Inches everywhere"))),
                            self.tr("Unit"))
        self._unit.chosen.connect(lambda u: self.change.emit(replace(self._recipe, unit=u), self.tr("unit"), ""))
        self.add((self._side_name(self.tr("Width")), self._width), (self._side_name(self.tr("Height")), self._height),
                 self._unit)
        self.add(label(self.tr("Proportions are kept and all layers follow. Type 4.5in or 120 mm."), "quiet"))
        self._size = Figures()
        self.add(self._size)
        self.section(self.tr("Judgement"))
        self._verdict = label("")
        self._judged = Figures()
        self.add(self._verdict, self._judged)
        self.add(label(self.tr("May you use this picture? Drawings by others and customers' logos need their "
                               "consent; the program does not know."), "caution"))
        self.column.addStretch(1)

    @staticmethod
    def _side_name(text):
        made = label(text)
        made.setFixedWidth(62)
        return made

    def show_document(self, document) -> None:
        self._recipe = document.recipe
        picture = document.picture
        self._name.setText(f"<b>{picture.name}</b>")
        dpi = self.tr("not stated") if picture.dpi is None else self.tr("{0:.0f} dpi").format(picture.dpi)
        ground = self.tr("transparent") if picture.alpha is not None else self.tr("opaque")
        self._picture.show_values((
            (self.tr("Pixels"), f"{picture.width} × {picture.height}"),
            (self.tr("Resolution in the file"), dpi), (self.tr("Ground"), ground),
        ))
        self._unit.show_value(self._recipe.unit)

    def show_work(self, work) -> None:
        unit = work.recipe.unit
        width, height = work.size_mm
        self._width.show_value(width, unit)
        self._height.show_value(height, unit)
        good = work.picture.width / COMFORTABLE_PX_PER_MM
        self._size.show_values((
            (self.tr("Pixels per mm"), f"{1 / work.mm_per_px:.1f}"),
            (self.tr("Good up to a width of"), format_length(good, unit)),
        ))
        fit = work.fitness
        self._verdict.setText(self._sentence(work))
        self._judged.show_values((
            (self.tr("Flat areas"), f"{fit.flat_share:.0%}"), (self.tr("Shading"), f"{fit.shaded_share:.0%}"),
            (self.tr("Colours found"), str(work.tree.proposed)),
            (self.tr("Width of soft edges"), self.tr("{0:.1f} px").format(fit.edge_width_px)),
            (self.tr("Grain in flat areas"), self.tr("{0:.0f} of 255").format(fit.noise)),
        ))

    def switch_unit(self) -> None:
        """From mm to inches or back."""
        unit = "in" if self._recipe.unit == "mm" else "mm"
        self.change.emit(replace(self._recipe, unit=unit), self.tr("unit"), "")

    def _sentence(self, work):
        fit = work.fitness
        if fit.is_noise:
            return self.tr("This looks like noise; there is nothing to cut.")
        if fit.shaded_share > 0.04:
            return self.tr("A shaded picture: it gives steps of tone, not clean shapes. A flat version is better.")
        if work.reading == "tone":
            return self.tr("Ink on paper: the tone reading suits it.")
        if 1 / work.mm_per_px < COMFORTABLE_PX_PER_MM:
            return self.tr("Flat colours, but few pixels for this size.")
        return self.tr("Flat colours and clean edges: it traces well.")

    def _set_size(self, side, mm):
        self.change.emit(replace(self._recipe, size_mm=mm, size_side=side), self.tr("finished size"), "")
