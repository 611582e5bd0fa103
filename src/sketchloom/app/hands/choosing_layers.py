"""Choosing in Layers: a click takes the layer, another the piece of it that was clicked."""

from sketchloom.app.hands.choice.kind import Around
from sketchloom.app.hands.choice.stack import Layers, Pieces
from sketchloom.app.hands.choosing import Choosing
from sketchloom.desk.things import LAYER, REGION


class LayerChoosing(Choosing):
    """What is chosen in Layers. The row of a layer that is chosen shows all about it."""

    def __init__(self, bench, session, panel, cleaning):
        self._panel, self._cleaning = panel, cleaning
        around = Around(bench, session, panel, cleaning, None, None)
        super().__init__(bench, session, lambda: cleaning.desk, (Layers(around), Pieces(around)))
        for kind in self.kinds.values():
            kind.setParent(self)
        self._take_grid(panel.piece.grid)

    def _show_in_panel(self, words, acts, hexes):
        self._panel.show_piece(words if self.kind == REGION else "", acts, hexes)

    def _within(self, points):
        return self._cleaning.chosen_within(points)

    def _stepped(self):
        """Pieces where one is chosen, else layers."""
        return self.kind or LAYER

    def _dwell_on(self, thing):
        if thing.kind == REGION:
            self._cleaning.show_region(thing.number, False)

    def _how(self):
        return self.tr("Click a layer; click again for one piece of it. Shift adds, and draws a box with a drag.")
