"""Joins what is chosen on the bench to what can be done to it: the tool, the strip beside it, and the panel."""

from PySide6.QtCore import QObject, QRect, Signal
from PySide6.QtWidgets import QColorDialog

from sketchloom.app.hands.choice.acts import ACTS, COLOUR
from sketchloom.app.hands.choice.drawn import Gaps, Shapes, Stretches, Strokes
from sketchloom.app.hands.choice.kind import Around
from sketchloom.app.hands.choice.regions import Regions
from sketchloom.app.parts.choice_strip import ChoiceStrip
from sketchloom.app.tools.choosing import ChooseTool
from sketchloom.desk.things import KINDS, REGION, SHAPE, STRETCH, STROKE, Thing

_OFFERED = ("#b5483c", "#2f6f7e", "#e3ae4a", "#41662f", "#1e3557", "#f3ead7")
"""Colours offered where the picture has few of its own: those of the demo's films."""


class Choosing(QObject):
    """What is chosen in Clean, all of one kind; found again in every result."""

    region_meant = Signal(int)
    """One region was chosen by a click."""

    def __init__(self, bench, session, panel, cleaning, together, drawing):
        super().__init__(bench)
        self._bench, self._session, self._panel, self._cleaning = bench, session, panel, cleaning
        self.around = Around(bench, session, panel, cleaning, together, drawing)
        self.kinds = {one.code: one for one in (
            Gaps(self.around, self), Shapes(self.around, self), Regions(self.around, self),
            Strokes(self.around, self), Stretches(self.around, self))}
        self.tool = ChooseTool(lambda: bench.source_image, self._first_under, self._courses_of, self._keys)
        self.strip = ChoiceStrip(bench)
        self.chosen: tuple[Thing, ...] = ()
        self._last = None
        self._kept = None
        self._colours = self._acts = ()
        self.tool.chose.connect(self._choose_at)
        self.tool.boxed.connect(self._choose_within)
        self.tool.keyed.connect(self._act_by_key)
        self.tool.let_go.connect(self.let_go)
        self.tool.hovered.connect(self._say)
        self.tool.stepped.connect(self._step)
        for grid in (self.strip.grid, panel.chosen.grid):
            grid.asked.connect(self.do)
            grid.coloured.connect(lambda hex_colour: self.do(COLOUR, hex_colour))
            grid.other_wanted.connect(self._ask_colour)
        self.kinds[STROKE].followed.connect(self._strokes_followed)
        panel.shapes.kept.chosen_changed.connect(self._shapes_chosen)
        bench.viewed.connect(self._place_strip)
        bench.tool_changed.connect(lambda _: self._show())
        session.opened.connect(lambda *_: self.let_go())
        self._say(None)

    # -- choosing ----------------------------------------------------------------------

    @property
    def kind(self) -> str | None:
        """The kind of what is chosen."""
        return self.chosen[0].kind if self.chosen else None

    def _numbers(self):
        return tuple(thing.number for thing in self.chosen)

    def _under(self, place, reach, kinds=KINDS[:-1]):
        """What lies under a place, in the order in which clicks come to it. The line around an area is looked for only
        when clicks come to it, as that takes a moment."""
        return [Thing(kind, number, place) for kind in kinds for number in self.kinds[kind].under(*place, reach)]

    def _first_under(self, x, y, reach):
        for kind in KINDS[:-1]:
            found = self.kinds[kind].under(x, y, reach)
            if found:
                return Thing(kind, found[0], (x, y))
        return None

    def _choose_at(self, x, y, reach, adds):
        place = (x, y)
        found = self._under(place, reach)
        stroking = self.around.drawing.stroking
        if stroking.awaits_another and found:
            stroke = next((one for one in found if one.kind == STROKE), None)
            if stroke is not None:
                stroking.choose(stroke.number, x, y)
            return
        if adds and self.chosen:
            self._add([one for one in found if one.kind == self.kind][:1], toggles=True)
            return
        again = self._last is not None and max(abs(x - self._last[0]), abs(y - self._last[1])) <= reach * 0.7
        now = self.chosen[0] if again and len(self.chosen) == 1 else None
        if not found or (now is not None and now == found[-1]):
            found += self._under(place, reach, (STRETCH,))
        if not found:
            self.let_go()
            self._mean_outside(place)
            return
        self._last = place
        one = found[(found.index(now) + 1) % len(found) if now in found else 0]
        self.choose([one])
        self._follow(one)
        if one.kind == REGION:
            self.region_meant.emit(one.number)

    def _mean_outside(self, place):
        """Who clicks the outside may mean an area that runs out through a gap."""
        desk = self._cleaning.desk
        region = None if desk is None else desk.index.at(*place)
        if region is not None:
            self.region_meant.emit(region.face)

    def _follow(self, thing):
        """Strokes can be chosen once they were followed; ink that is clicked says that they may be wanted."""
        desk = self._cleaning.desk
        if thing.kind == REGION and desk is not None and desk.outlines[thing.number]:
            self.kinds[STROKE].follow()

    def _add(self, things, toggles=False):
        gone = [one for one in things if one in self.chosen] if toggles else []
        if self.kind == STRETCH and things:
            self.choose(things)
        else:
            self.choose([*(one for one in self.chosen if one not in gone),
                         *(one for one in things if one not in self.chosen)])

    def _choose_within(self, points, adds):
        faces = [face for face in self._cleaning.within(points) if not self._cleaning.desk.outside[face]]
        things = [Thing(REGION, face) for face in faces]
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

    def _shapes_chosen(self):
        """What is laid on is chosen as it comes, and so is what is chosen in the list."""
        numbers = tuple(sorted(self._panel.shapes.kept.chosen()))
        is_meant = self.kind == SHAPE or (numbers and self._bench.tool is self.tool)
        if is_meant and (numbers != self._numbers() or self.kind != SHAPE):
            self.choose([Thing(SHAPE, n) for n in numbers])

    def _strokes_followed(self, place):
        if place is not None and not self.chosen:
            reach = self.tool.desk.work.picture.width * 0.02
            self.choose([Thing(STROKE, n, place) for n in self.kinds[STROKE].under(*place, reach)[:1]])

    def _step(self, by):
        """The next larger or smaller region."""
        desk = self._cleaning.desk
        order = [] if desk is None else desk.smallest()
        if order:
            now = self.chosen[0].number if self.kind == REGION else None
            at = order.index(now) + by if now in order else 0
            face = order[at % len(order)]
            self._cleaning.show_region(face, False)
            self.choose([Thing(REGION, face)])

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
        instead = kind.leads_to(name, numbers)
        if instead is None:
            kind.do(name, numbers, hex_colour)
        else:
            self._choose_instead(instead)
        self._bench.setFocus()

    def _choose_instead(self, things):
        if things and things[0].number < 0:  # by its place
            x, y = things[0].place
            reach = 2.0
            things = [Thing(STRETCH, n, (x, y)) for n in self.kinds[STRETCH].under(x, y, reach)]
        if things:
            self.choose(things)

    def _act_by_key(self, key):
        act = next((one for one in self.acts() if one.key == key), None)
        if act is not None:
            self.do(act.name)

    def _keys(self):
        return {act.key for act in self.acts()}

    def _ask_colour(self):
        colour = QColorDialog.getColor(parent=self._panel, title=self.tr("A colour for what is chosen"))
        if colour.isValid():
            self._panel.regions.note_colour(colour.name())
            self.do(COLOUR, colour.name())

    # -- showing -----------------------------------------------------------------------

    def refresh(self) -> None:
        """Another result is shown, or none: what is chosen is found again in it."""
        desk = self._cleaning.desk
        other = self.tool.desk is None or desk is None or self.tool.desk.work.traced is not desk.work.traced
        self.tool.show_desk(desk)
        if desk is None:
            self._show()
            return
        if self.chosen and (other or self.kind == SHAPE):
            kind, places = self.kinds[self.kind], tuple(thing.place for thing in self.chosen)
            numbers = kind.again(self._kept)
            places = places if len(numbers) == len(places) == 1 else (None,) * len(numbers)
            self.chosen = tuple(Thing(kind.code, n, place) for n, place in zip(numbers, places, strict=True))
            if self.chosen:
                kind.take(numbers, places)
                self._kept = kind.kept(numbers, places)
        known = [entry.hex for entry in desk.work.segmentation.entries]
        self._colours = tuple(dict.fromkeys((*known, *self._panel.regions.brought, *_OFFERED)))
        self._show()

    def _is_there(self):
        """Whether what is chosen can be spoken of: there is a result, and what it is of is known."""
        return self._cleaning.desk is not None and (self.kind == REGION or self.around.desk is not None)

    def _show(self):
        is_held = self._bench.tool is self.tool
        if not is_held or not self.chosen or not self._is_there():
            self.tool.show_chosen(self.chosen if is_held and self._is_there() else ())
            self._acts = ()
            self.strip.hide()
            self._panel.show_chosen(None)
            return
        kind, numbers = self.kinds[self.kind], self._numbers()
        self.tool.show_chosen(self.chosen, self._inner(kind, numbers))
        self._acts = acts = self._possible_acts()
        hexes = self._colours if COLOUR in kind.possible(numbers) else ()
        words = kind.words(numbers)
        self.strip.show_choice(words, acts, hexes, self._box())
        self._panel.show_chosen(self.kind, words, acts, hexes)

    def _inner(self, kind, numbers):
        """The tool that goes with the choice: the one that is held already where it is for the same."""
        wanted = kind.tool(numbers)
        made = self.tool.inner if type(self.tool.inner) is type(wanted) else wanted
        if made is not None:
            self.tool.show_chosen(self.chosen, made)
            self.around.drawing.laying_on.renew()
            self.around.drawing.boundaries.show()
        return made

    def _courses_of(self, thing):
        return self.kinds[thing.kind].courses(thing.number)

    def _box(self):
        """Where what is chosen lies on the bench."""
        desk, scale = self._cleaning.desk, self._cleaning.desk.work.mm_per_px
        boxes = []
        for thing in self.chosen[:200]:
            if thing.kind == REGION:
                boxes.append(desk.index.box(thing.number))
            else:
                for course in self._courses_of(thing):
                    points = course.reshape(-1, 2)
                    boxes.append((*points.min(0).tolist(), *points.max(0).tolist()))
        if not boxes:
            return QRect(self._bench.rect().center(), self._bench.rect().center())
        left, top, right, bottom = (f(v) for f, v in zip((min, min, max, max), zip(*boxes, strict=True), strict=True))
        a = self._bench.place_of(left * scale, top * scale).toPoint()
        b = self._bench.place_of(right * scale, bottom * scale).toPoint()
        return QRect(a, b)

    def _place_strip(self):
        if self.strip.isVisible() and self._is_there():
            self.strip.stand_beside(self._box())

    def _say(self, thing):
        if thing is None or self._cleaning.desk is None:
            self.tool.hint = self.tr("Click what you want to change; click again for what lies below it. Drag a box, "
                                     "with Ctrl a line around; Shift adds.")
        else:
            kind = self.kinds[thing.kind]
            self.tool.hint = "" if not self._can_speak(thing) else kind.short(thing.number)

    def ask_for(self, words: str) -> None:
        """Say on the bench what is to be chosen."""
        self.tool.hint = words
        self._bench.update()

    def _can_speak(self, thing):
        return thing.kind == REGION or (self.around.desk is not None and thing.kind != STRETCH)
