"""What a stage says of itself where things are chosen in it."""

from PySide6.QtCore import QObject


class StageChoice(QObject):
    """Each answer as it is where a stage has none of its own."""

    def _takes_first(self, found, place):
        """Whether a click is meant for something else than choosing."""
        return False

    def _means_nothing(self, place):
        """A click came where nothing is."""

    def _was_clicked(self, thing):
        """One thing was chosen by a click."""

    def _within(self, points):
        """Regions within a polygon, shares."""
        return ()

    def _offered_colours(self):
        """Colours that can be given."""
        return ()

    def _show_in_panel(self, words, acts, hexes):
        """The panel says what is chosen; no words for nothing."""

    def _note_colour(self, hex_colour):
        """A colour was brought that the picture has not."""

    def _dwell_on(self, thing):
        """Bring a thing into view."""
