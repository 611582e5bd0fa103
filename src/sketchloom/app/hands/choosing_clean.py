"""Choosing in Clean: gaps, shapes, regions, strokes, and the lines around areas."""

from PySide6.QtCore import Signal

from sketchloom.app.hands.choice.drawn import Gaps, Shapes, Stretches, Strokes
from sketchloom.app.hands.choice.kind import Around
from sketchloom.app.hands.choice.regions import Regions
from sketchloom.app.hands.choosing import Choosing
from sketchloom.desk.things import REGION, SHAPE, STRETCH, STROKE, Thing, parted_off


class CleanChoosing(Choosing):
    """What is chosen in Clean. The panel says the same as the strip."""

    region_meant = Signal(int)
    """One region was chosen by a click."""

    def __init__(self, bench, session, panel, cleaning, together, drawing):
        self._panel, self._cleaning = panel, cleaning
        self.around = around = Around(bench, session, panel, cleaning, together, drawing)
        super().__init__(bench, session, lambda: cleaning.desk,
                         (Gaps(around), Shapes(around), Regions(around), Strokes(around), Stretches(around)),
                         late=(STRETCH,))
        for kind in self.kinds.values():
            kind.setParent(self)
        self._take_grid(panel.chosen.grid)
        self._parted = None
        self.tool.parted.connect(self._part)
        self.kinds[STROKE].followed.connect(self._strokes_followed)
        panel.shapes.kept.chosen_changed.connect(self._shapes_chosen)

    def _takes_first(self, found, place):
        stroking = self.around.drawing.stroking
        if not (stroking.awaits_another and found):
            return False
        stroke = next((one for one in found if one.kind == STROKE), None)
        if stroke is not None:
            stroking.choose(stroke.number, *place)
        return True

    def _means_nothing(self, place):
        """Who clicks the outside may mean an area that runs out through a gap."""
        desk = self._cleaning.desk
        region = None if desk is None else desk.index.at(*place)
        if region is not None:
            self.region_meant.emit(region.face)

    def _was_clicked(self, thing):
        """Strokes can be chosen once they were followed; ink that is clicked says that they may be wanted."""
        desk = self._cleaning.desk
        if thing.kind == REGION and desk is not None and desk.outlines[thing.number]:
            self.kinds[STROKE].follow()
        if thing.kind == REGION:
            self.region_meant.emit(thing.number)

    def _within(self, points):
        return self._cleaning.chosen_within(points)

    def _offered_colours(self):
        return self._panel.regions.brought

    def _note_colour(self, hex_colour):
        self._panel.regions.note_colour(hex_colour)

    def _show_in_panel(self, words, acts, hexes):
        self._panel.show_chosen(self.kind if words else None, words, acts, hexes)

    def _dwell_on(self, thing):
        if thing.kind == REGION:
            self._cleaning.show_region(thing.number, False)

    def _part(self, points):
        """A line was drawn through what is to be parted."""
        if self.around.desk is not None:
            self.let_go()
            self._parted = points
            self.around.drawing.splitting.part(points)

    def refresh(self) -> None:
        super().refresh()
        desk = self._cleaning.desk
        if self._parted is not None and desk is not None:
            part = parted_off(desk, self._parted)
            if part is not None and self.is_held:
                self._parted = None
                self.choose([Thing(REGION, part)])

    def _shapes_chosen(self):
        """What is laid on is chosen as it comes, and so is what is chosen in the list."""
        numbers = tuple(sorted(self._panel.shapes.kept.chosen()))
        is_meant = self.kind == SHAPE or (numbers and self.is_held)
        if is_meant and (numbers != self._numbers() or self.kind != SHAPE):
            self.choose([Thing(SHAPE, n) for n in numbers])

    def _strokes_followed(self, place):
        if place is not None and not self.chosen:
            reach = self.tool.desk.work.picture.width * 0.02
            self.choose([Thing(STROKE, n, place) for n in self.kinds[STROKE].under(*place, reach)[:1]])
