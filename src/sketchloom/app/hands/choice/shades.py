"""Colours of the palette that are chosen where a picture is read by its colours."""

import numpy as np

from sketchloom.app.hands.choice.kind import Kind
from sketchloom.app.words import colour_word
from sketchloom.desk import figures
from sketchloom.desk.things import SHADE


class Shades(Kind):
    """Colours by their places in the palette. What can be done to them is what can be done in the palette's rows."""

    code = SHADE
    takes_any_colour = False

    @property
    def _work(self):
        return self._around.cleaning.desk.work

    @property
    def _box(self):
        return self._around.panel.colour

    @property
    def is_known(self):
        return self._work.reading == "colour" and not self._work.rough

    def _hexes(self, numbers):
        return [self._work.segmentation.own_entries[n].hex for n in numbers]

    def under(self, x, y, reach):
        desk = self._around.cleaning.desk
        if desk is None or desk.work.reading != "colour":
            return []
        region = desk.index.at(x, y)
        return [] if region is None or region.label >= len(desk.work.segmentation.own_entries) else [region.label]

    def faces(self, number):
        return tuple(np.flatnonzero(self._work.edited.label == number).tolist())

    def in_turn(self):
        shares = figures.label_shares(self._work)
        return sorted(range(len(self._work.segmentation.own_entries)), key=lambda n: -shares[n])

    def words(self, numbers):
        shares = figures.label_shares(self._work)
        share = self.tr("{0} of the picture").format(f"{sum(shares[n] for n in numbers):.1%}")
        if len(numbers) > 1:
            return " · ".join((self.tr("{0} colours").format(len(numbers)), share))
        regions = int((self._work.edited.label == numbers[0]).sum())
        return " · ".join((self.short(numbers[0]), share, self.tr("{0} regions").format(regions)))

    def short(self, number):
        (hex_colour,) = self._hexes((number,))
        return f"{colour_word(hex_colour)} {hex_colour}"

    def possible(self, numbers):
        return self._box.possible(self._hexes(numbers))

    def colours(self, numbers):
        return self._box.others(self._hexes(numbers))

    def do(self, act, numbers, hex_colour=None):
        self._box.act(act, self._hexes(numbers), hex_colour)

    def take(self, numbers, places):
        self._box.choose(self._hexes(numbers))

    def kept(self, numbers, places):
        return self._hexes(numbers)

    def again(self, kept):
        hexes = [entry.hex for entry in self._work.segmentation.own_entries]
        return tuple(hexes.index(one) for one in kept if one in hexes)
