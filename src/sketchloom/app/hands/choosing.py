"""Joins what is chosen on the bench to what can be done to it: the tool, the strip beside it, and the panel."""

from PySide6.QtWidgets import QColorDialog

from sketchloom.app.hands.choice.places import box_around
from sketchloom.app.hands.stage_choice import StageChoice
from sketchloom.app.parts.acts import ACTS, COLOUR
from sketchloom.app.parts.announce import SPEAKER
from sketchloom.app.parts.choice_strip import ChoiceStrip
from sketchloom.app.tools.choosing import ChooseTool
from sketchloom.desk.things import REGION, Thing

OFFERED = ("#b5483c", "#2f6f7e", "#e3ae4a", "#41662f", "#1e3557", "#f3ead7")
"""Colours offered where the picture has few of its own: those of the demo's films."""


class Choosing(StageChoice):
    """What is chosen in a stage, all of one kind; found again in every result. ``kinds`` stand in the order in which
    clicks at one place come to them; those named ``late`` are looked for when clicks come to them, as that takes a
    moment. ``desk_of()``: the regions of the exact result shown, None without one."""

    def __init__(self, bench, session, desk_of, kinds, late=()):
        super().__init__(bench)
        self._bench, self._session, self._desk_of, self._late = bench, session, desk_of, late
        self.kinds = {one.code: one for one in kinds}
        self._early = tuple(one.code for one in kinds if one.code not in late)
        self.tool = ChooseTool(lambda: bench.source_image, self._first_under, self._courses_of, self._faces_of,
                               self._keys)
        self.strip = ChoiceStrip(bench)
        self.chosen: tuple[Thing, ...] = ()
        self._last = self._kept = None
        self._colours = self._acts = ()
        self._spoken = ""
        self.tool.chose.connect(self._choose_at)
        self.tool.boxed.connect(self._choose_within)
        self.tool.keyed.connect(self._act_by_key)
        self.tool.let_go.connect(self.let_go)
        self.tool.hovered.connect(self._say)
        self.tool.stepped.connect(self._step)
        self._take_grid(self.strip.grid)
        bench.viewed.connect(self._place_strip)
        bench.tool_changed.connect(lambda _: self._show())
        session.opened.connect(lambda *_: self.let_go())
        self._say(None)

    def _take_grid(self, grid):
        """Buttons of what can be done."""
        grid.asked.connect(self.do)
        grid.coloured.connect(lambda hex_colour: self.do(COLOUR, hex_colour))
        grid.other_wanted.connect(self._ask_colour)

    @property
    def is_held(self) -> bool:
        """Whether clicks on the bench choose."""
        return self._bench.hand is self.tool

    # -- choosing ----------------------------------------------------------------------

    @property
    def kind(self) -> str | None:
        """The kind of what is chosen."""
        return self.chosen[0].kind if self.chosen else None

    def _numbers(self):
        return tuple(thing.number for thing in self.chosen)

    def _under(self, place, reach, codes):
        """What lies under a place, in the order in which clicks come to it."""
        return [Thing(code, number, place) for code in codes for number in self.kinds[code].under(*place, reach)]

    def _first_under(self, x, y, reach):
        for code in self._early:
            found = self.kinds[code].under(x, y, reach)
            if found:
                return Thing(code, found[0], (x, y))
        return None

    def _choose_at(self, x, y, reach, adds):
        place = (x, y)
        found = self._under(place, reach, self._early)
        if self._takes_first(found, place):
            return
        if adds and self.chosen:
            self._add([one for one in found if one.kind == self.kind][:1], toggles=True)
            return
        again = self._last is not None and max(abs(x - self._last[0]), abs(y - self._last[1])) <= reach * 0.7
        now = self.chosen[0] if again and len(self.chosen) == 1 else None
        if self._late and (not found or (now is not None and now == found[-1])):
            found += self._under(place, reach, self._late)
        if not found:
            self.let_go()
            self._means_nothing(place)
            return
        self._last = place
        one = found[(found.index(now) + 1) % len(found) if now in found else 0]
        self.choose([one])
        self._was_clicked(one)

    def _add(self, things, toggles=False):
        gone = [one for one in things if one in self.chosen] if toggles else []
        if things and not self.kinds[things[0].kind].several:
            self.choose(things)
        else:
            self.choose([*(one for one in self.chosen if one not in gone),
                         *(one for one in things if one not in self.chosen)])

    def _choose_within(self, points, adds):
        things = [Thing(REGION, face) for face in self._within(points)]
        if adds and self.kind == REGION:
            self._add(things)
        else:
            self.choose(things)

    def choose(self, things) -> None:
        """Choose things of one kind, and nothing else."""
        before, self.chosen = self.kind, tuple(things)
        if before is not None and before != self.kind:
            self.kinds[before].take((), ())
        if self.kind is not None:
            kind = self.kinds[self.kind]
            kind.take(self._numbers(), tuple(thing.place for thing in self.chosen))
            self._kept = kind.kept(self._numbers(), tuple(thing.place for thing in self.chosen))
        self._show()

    def let_go(self) -> None:
        """Choose nothing."""
        self._last = None
        if self.chosen:
            self.choose(())
        else:
            self._show()

    def _stepped(self):
        """The kind that keys step through."""
        return REGION

    def _step(self, by):
        """The next larger or smaller region; other things as they come."""
        code = self._stepped()
        order = self.kinds[code].in_turn() if self._desk_of() is not None else ()
        if order:
            now = self.chosen[0].number if self.kind == code else None
            at = order.index(now) + by if now in order else 0
            thing = Thing(code, order[at % len(order)])
            self._dwell_on(thing)
            self.choose([thing])

    # -- doing -------------------------------------------------------------------------

    def acts(self) -> tuple:
        """What can be done now, in the order of the table."""
        return self._acts

    def _possible_acts(self):
        names = self.kinds[self.kind].possible(self._numbers())
        return tuple(act for act in ACTS[self.kind] if act.name in names)

    def do(self, name: str, hex_colour: str | None = None) -> None:
        """Do an act to what is chosen, if it can be done."""
        if self.kind is None or not self._is_there():
            return
        kind, numbers = self.kinds[self.kind], self._numbers()
        if name not in kind.possible(numbers):
            return
        if name == COLOUR and not kind.takes_any_colour and hex_colour not in self.hexes():
            return
        self._bench.setFocus()
        instead = kind.leads_to(name, numbers)
        if instead is None:
            kind.do(name, numbers, hex_colour)
        else:
            self._choose_instead(instead)

    def _choose_instead(self, things):
        if things and things[0].number < 0:  # by its place
            things = self._under(things[0].place, 2.0, (things[0].kind,))
        if things:
            self.choose(things)

    def _act_by_key(self, key):
        act = next((one for one in self.acts() if one.key == key), None)
        if act is not None:
            self.do(act.name)

    def _keys(self):
        return {act.key for act in self.acts()}

    def _ask_colour(self):
        colour = QColorDialog.getColor(parent=self._bench.window(), title=self.tr("A colour for what is chosen"))
        if colour.isValid():
            self._note_colour(colour.name())
            self.do(COLOUR, colour.name())

    # -- showing -----------------------------------------------------------------------

    def refresh(self) -> None:
        """Another result is shown, or none: what is chosen is found again in it."""
        desk = self._desk_of()
        other = self.tool.desk is None or desk is None or self.tool.desk.work.traced is not desk.work.traced
        self.tool.show_desk(desk)
        if desk is None:
            self._show()
            return
        if self.chosen and (other or self.kinds[self.kind].is_of_recipe):
            kind, places = self.kinds[self.kind], tuple(thing.place for thing in self.chosen)
            numbers = kind.again(self._kept)
            places = places if len(numbers) == len(places) == 1 else (None,) * len(numbers)
            self.chosen = tuple(Thing(kind.code, n, place) for n, place in zip(numbers, places, strict=True))
            if self.chosen:
                kind.take(numbers, places)
                self._kept = kind.kept(numbers, places)
        known = [entry.hex for entry in desk.work.segmentation.entries]
        self._colours = tuple(dict.fromkeys((*known, *self._offered_colours(), *OFFERED)))
        self._show()

    def _is_there(self):
        """Whether what is chosen can be spoken of: there is a result, and what it is of is known."""
        desk = self._desk_of()
        is_now = desk is not None and self.tool.desk is desk  # else what is chosen is of another result
        return is_now and self.kind is not None and self.kinds[self.kind].is_known

    def hexes(self) -> tuple[str, ...]:
        """Colours that can be given to what is chosen now."""
        if self.kind is None or not self._is_there():
            return ()
        kind, numbers = self.kinds[self.kind], self._numbers()
        return tuple(self._hexes(kind, numbers)) if COLOUR in kind.possible(numbers) else ()

    def choose_for_menu(self, frame, at) -> None:
        """Choose what lies at a place of the bench, unless it is among what is chosen."""
        found = self.tool.under(frame, at)
        if found is None:
            self.let_go()
        elif found not in self.chosen:
            self.choose([found])

    def _hexes(self, kind, numbers):
        """Colours that the strip offers."""
        own = kind.colours(numbers)
        return self._colours if own is None else own

    def _show(self):
        if not self.is_held or not self.chosen or not self._is_there():
            self.tool.show_chosen(self.chosen if self.is_held and self._is_there() else ())
            self._acts, self._spoken = (), ""
            self.strip.hide()
            self._show_in_panel("", (), ())
            return
        kind, numbers = self.kinds[self.kind], self._numbers()
        self.tool.show_chosen(self.chosen, self._inner(kind, numbers))
        self._acts = acts = self._possible_acts()
        hexes = self.hexes()
        words = kind.words(numbers)
        if words != self._spoken:
            self._spoken = words
            SPEAKER.say(self._bench, words)
        at_hand = tuple(act for act in acts if not act.is_seldom or act.name in kind.foremost)
        self.strip.show_choice(words, at_hand, hexes, self._box(), kind.takes_any_colour)
        self._show_in_panel(words, acts, hexes)

    def _inner(self, kind, numbers):
        """The tool that goes with the choice: the one that is held already where it is for the same."""
        wanted = kind.tool(numbers)
        made = self.tool.inner if type(self.tool.inner) is type(wanted) else wanted
        if made is not None:
            self.tool.show_chosen(self.chosen, made)
            kind.show_tool()
        return made

    def _courses_of(self, thing):
        return self.kinds[thing.kind].courses(thing.number)

    def _faces_of(self, thing):
        return self.kinds[thing.kind].faces(thing.number)

    def _box(self):
        """Where what is chosen lies on the bench; of things that lie all over it, where it was clicked."""
        return box_around(self._bench, self._desk_of(), self.chosen, self._faces_of, self._courses_of)

    def _place_strip(self):
        if self.strip.isVisible() and self._is_there():
            self.strip.stand_beside(self._box())

    def _say(self, thing):
        if thing is None or self._desk_of() is None:
            self.tool.hint = self._how()
        else:
            kind = self.kinds[thing.kind]
            self.tool.hint = kind.short(thing.number) if kind.is_known and thing.kind not in self._late else ""

    def _how(self):
        return self.tr("Click what you want to change; click again for what lies below it. Drag a box, "
                       "with Ctrl a line around, with Ctrl and Alt one that parts what it crosses; Shift adds.")

    def ask_for(self, words: str) -> None:
        """Say on the bench what is to be chosen."""
        self.tool.hint = words
        self._bench.say(words)
