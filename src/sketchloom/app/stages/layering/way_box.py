"""The way in which sheets lie under each other, why it was proposed, and its overlap."""

from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import Choice, button, label
from sketchloom.app.stages.box import Box
from sketchloom.app.words import named
from sketchloom.core.layers.ways import PROPOSED, UNDER
from sketchloom.recipe.sections import MAX_OVERLAP_MM


class WayBox(Box):
    """``names``: of the ways; ``compared``: the table in which a way is taken as well."""

    def __init__(self, names: dict[str, str], compared):
        super().__init__()
        tips = {
            "stacked": self.tr("A solid base, each sheet whole under what lies above"),
            "fitted": self.tr("Each sheet cut to what is seen of it, and a little more under what covers it"),
            "windowed": self.tr("Whole sheets with windows through which lower ones show: few pieces to lay"),
            "lean": self.tr("What is covered is chosen so that least is cut"),
            "based": self.tr("The lowest sheet whole, cut once around; every other fitted on it, a hair under its "
                             "neighbours"),
        }
        self.ways = Choice(tuple((key, name, tips[key]) for key, name in names.items()),
                           self.tr("Way of layering"))
        self.ways.chosen.connect(self._take_way)
        self._note = label("", "quiet")
        self._propose = button(self.tr("Use the proposed way"), "arrow-bar-to-down")
        self._propose.clicked.connect(lambda: self.emit(self.tr("proposed way"), layering=PROPOSED))
        self._compared = compared
        compared.taken.connect(self._take_way)
        self._overlap = LengthEdit(self.tr("Overlap under what covers"), 0.0, MAX_OVERLAP_MM)
        self._overlap.committed.connect(lambda mm: self.emit(self.tr("overlap"), overlap_mm=mm))
        self._overlap_label = label(self.tr("Overlap"))
        self._overlap_label.setToolTip(self.tr("How far a sheet goes on under what covers it, up to 2 mm"))
        self.add(self.ways, self._note, self._propose, (self._overlap_label, self._overlap))

    def show_recipe(self, recipe) -> None:
        """The document's settings, which may be ahead of what is shown."""
        self.recipe = recipe
        self._show_way()

    def show_work(self, work, recipe=None) -> None:
        super().show_work(work)
        self.recipe = recipe or work.recipe
        self._show_way()
        kind = {
            "stacked": self.tr("Forgiving to lay, thick, uses the most material."),
            "fitted": self.tr("Thin and flat; with an overlap it forgives that much, without one a gap shows at once."),
            "windowed": self.tr("Fewest pieces to lay; whole sheets, so much film and the greatest thickness."),
            "lean": self.tr("Least cutting; looks the same from above, and forgives as much as the overlap."),
            "based": self.tr("One base to lay the rest on; forgives as much as the overlap."),
        }[work.laying.way]
        self._note.setText(kind if not work.laying.why else self.tr("Proposed: {0}.").format(
            named(work.laying.why)))
        self._note.setToolTip(kind)
        for part in (self._overlap, self._overlap_label):
            part.setEnabled(work.laying.way in UNDER or any(e.layering in UNDER for e in work.recipe.layers))
        self._overlap.show_value(work.laying.overlap_mm, work.recipe.unit)

    def _show_way(self):
        """Which way is taken: the one asked for, else the one that the last work was proposed."""
        asked = self.recipe.layering if self.recipe is not None else PROPOSED
        self._propose.setVisible(asked != PROPOSED)
        if asked == PROPOSED and self.work is None:
            return
        way = self.work.laying.way if asked == PROPOSED else asked
        self.ways.show_value(way)
        self._compared.mark(way)

    def _take_way(self, way):
        """Take a way with the overlap that is shown, proposed or not."""
        overlap = self.recipe.overlap_mm
        if overlap is None and way in UNDER and self.work is not None and self.work.laying.overlap_mm > 0:
            overlap = self.work.laying.overlap_mm
        self.emit(self.tr("way of layering"), layering=way, overlap_mm=overlap)
