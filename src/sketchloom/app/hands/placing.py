"""Parts put where a hand wants them: dragged, turned, sent to another sheet, let go."""

from PySide6.QtCore import QObject

from sketchloom.core.sheets.choices import SpotByHand


class Placing(QObject):
    """Of the plan that ``planning`` keeps."""

    def __init__(self, planning, session, panel, view, strip, say):
        super().__init__(planning)
        self._planning, self._session, self._view, self._strip, self._say = planning, session, view, strip, say
        view.put.connect(self._put)
        view.turned.connect(self._turn)
        view.freed.connect(self._free)
        view.sent.connect(self._send_to)
        panel.part.turn_wanted.connect(self._turn)
        panel.part.free_wanted.connect(self._free)
        panel.part.send_wanted.connect(self._send)

    def _chosen(self):
        """The chosen parts of the work, each as it lies."""
        found = [self._planning.placed(n) for n in self._view.all_chosen]
        return [placed for placed in found if placed is not None]

    def _set_spots(self, what, spots):
        """Parts put by hand: pairs of the part as it lies, and where it comes to lie (sheet, left, top, turn)."""
        made = [SpotByHand(placed.part.path, self._here().number if sheet is None else sheet, turn,
                           round(float(left), 3), round(float(top), 3)) for placed, (sheet, left, top, turn) in spots]
        if made:
            rest = tuple(s for s in self._session.document.recipe.spots if s.part not in {m.part for m in made})
            self._planning.change(what, spots=(*rest, *made))

    def _here(self):
        """The sheet that is seen."""
        return self._planning.plan.sheets[self._planning.number]

    def _put(self, dx, dy):
        self._set_spots(self.tr("part put elsewhere"), [
            (placed, (None, placed.box[0] + dx, placed.box[1] + dy, placed.turn)) for placed in self._chosen()])

    def _turn(self):
        its = self._chosen()
        free = [placed for placed in its if len(placed.ready.turns) > 1]
        if its and not free:
            self._say("turned", "ask", self.tr("Its material, or the setting below, bears no turn."))
        self._set_spots(self.tr("part turned"), [(placed, _turned(placed)) for placed in free])

    def _free(self):
        paths = {placed.part.path for placed in self._chosen()}
        if paths:
            rest = tuple(s for s in self._session.document.recipe.spots if s.part not in paths)
            self._planning.change(self.tr("part placed"), spots=rest)

    def _send_to(self, place):
        number = self._strip.sheet_at(place)
        if number is not None:
            self._send(number)
        else:
            self._view.update()

    def _send(self, number):
        """The chosen parts onto another sheet of their colour and material, or, with -1, onto one more."""
        its = self._chosen()
        if not its or number == self._planning.number:
            return
        here = self._here()
        if number < 0:
            to = 1 + max(s.number for s in self._planning.plan.sheets if s.group.key == here.group.key)
        elif self._planning.plan.sheets[number].group.key != here.group.key:
            self._say("sent", "ask", self.tr("Sheet {0} is of another colour or material.").format(number + 1))
            return
        else:
            to = self._planning.plan.sheets[number].number
        places = self._free_places(its, number, here)
        self._set_spots(self.tr("part on another sheet"),
                        [(placed, (to, *place, placed.turn)) for placed, place in zip(its, places, strict=True)])

    def _free_places(self, its, number, here):
        """Where parts find room on a sheet one after the other, else at its corner; on a sheet of their own as they lie
        to each other."""
        if number < 0:
            left, top = (min(p.box[k] for p in its) for k in (0, 1))
            return [(here.usable[0] + p.box[0] - left, here.usable[1] + p.box[1] - top) for p in its]
        from sketchloom.desk.spots import free_places

        return free_places(self._planning.plan.sheets[number], its, self._planning.gap_mm)


def _turned(placed):
    """Where a part comes to lie by its next turn, a quarter where it bears that, about its middle."""
    turns = placed.ready.turns
    quarter = (placed.turn + 90.0) % 360
    later = [t for t in turns if t > placed.turn + 1e-6] or [turns[0]]
    turn = quarter if quarter in turns else later[0]
    left, top, right, bottom = placed.box
    wide, high = right - left, bottom - top
    if (turn - placed.turn) % 180:
        wide, high = high, wide
    return None, (left + right - wide) / 2, (top + bottom - high) / 2, turn
