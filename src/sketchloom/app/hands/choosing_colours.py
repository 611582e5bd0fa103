"""Choosing in Trace: a click takes a colour of the palette, wherever it is."""

from sketchloom.app.hands.choice.kind import Around
from sketchloom.app.hands.choice.shades import Shades
from sketchloom.app.hands.choosing import Choosing
from sketchloom.desk.things import SHADE, Thing


class ColourChoosing(Choosing):
    """What is chosen in Trace, the same as in the rows of the palette."""

    def __init__(self, bench, session, panel, cleaning):
        self._panel = panel
        around = Around(bench, session, panel, cleaning, None, None)
        super().__init__(bench, session, lambda: cleaning.desk, (Shades(around),))
        for kind in self.kinds.values():
            kind.setParent(self)

    def take_rows(self) -> None:
        """Rows of the palette were chosen by hand."""
        desk = self._desk_of()
        if desk is not None and self.is_held:
            hexes = [entry.hex for entry in desk.work.segmentation.own_entries]
            self.choose([Thing(SHADE, hexes.index(one)) for one in self._panel.colour.chosen() if one in hexes])

    def _stepped(self):
        return SHADE

    def _how(self):
        return self.tr("Click a colour; Shift adds another.")
