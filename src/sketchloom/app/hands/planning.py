"""Keeps the Sheets stage: asks for plans, shows the best so far, and puts parts where a hand wants them."""

from dataclasses import replace

from PySide6.QtCore import QObject, Signal

from sketchloom.app.bench.sheet_paint import Handle
from sketchloom.app.work.planner import Planner
from sketchloom.core.sheets.choices import SpotByHand
from sketchloom.desk.seams import SeamDesk
from sketchloom.evaluate.carving import is_carved
from sketchloom.evaluate.planning import machine_of


class Planning(QObject):
    """Of one window. ``told``: what is found of the plan changed."""

    told = Signal()

    def __init__(self, session, panel, view, strip, say):
        super().__init__(view)
        self._session, self._panel, self._view, self._strip, self._say = session, panel, view, strip, say
        self.planner = Planner(session.cache, self)
        self._on, self._asked = False, None
        self.plan = self._work = self._seam = None
        self._number = 0
        self.planner.planned.connect(self._take)
        self.planner.failed.connect(lambda work, why: self._failed(work, why))
        self.planner.ended.connect(lambda: strip.show_state(False))
        strip.chosen.connect(self.show_sheet)
        strip.stop_wanted.connect(self.planner.stop)
        view.chosen.connect(self._show_part)
        view.seam_held.connect(self._hold_seam)
        view.seam_put.connect(self._put_seam)
        panel.part.seam.moved.connect(self._move_seam)
        panel.part.seam.back.connect(self._seam_back)
        view.put.connect(self._put)
        view.turned.connect(self._turn)
        view.freed.connect(self._free)
        view.sent.connect(self._send_to)
        view.stepped.connect(lambda by: self.show_sheet(self._number + by))
        panel.part.turn_wanted.connect(self._turn)
        panel.part.free_wanted.connect(self._free)
        panel.part.send_wanted.connect(self._send)
        panel.part.all_wanted.connect(lambda: self._change(self.tr("all placed"), spots=()))
        panel.route_wanted.connect(self._show_route)
        panel.cost.priced.connect(self.again)
        panel.cost.trouble.connect(lambda why: say("prices", "trouble", why))
        panel.machine.table_wanted.connect(self._open_table)
        strip.show_state(False)
        self._table = None
        session.plan_of = self.plan_of

    # -- planning ---------------------------------------------------------------------------

    def turn(self, on: bool) -> None:
        """Whether the stage is seen: only then is anything planned."""
        self._on = on
        if on:
            self.refresh()
        else:
            self.planner.forget()
            self._asked = None
            self._strip.show_state(False)

    def refresh(self) -> None:
        """A new result is there, or none: plan it."""
        work = self._session.work
        if not self._on:
            return
        if work is not None and is_carved(work):  # nothing of it is cut from sheets
            self.planner.forget()
            self.plan = self._work = self._asked = None
            self._show()
            return
        if work is None:
            self._view.explain(self.tr("Sheets are planned once the exact result is there."))
            return
        if not work.layers:
            self.planner.forget()
            self.plan = None
            self._view.explain(self.tr("Nothing is left to cut."))
            self._show()
            return
        if work is not self._asked:
            self._asked = work
            self._view.explain(self.tr("Planning …"))
            self.planner.request(work)

    def forget(self) -> None:
        """Another work begins."""
        self.planner.forget()
        self.plan = self._work = self._asked = None
        self._number = 0
        self._show()

    def findings(self, work) -> tuple:
        """What is found of the plan of a work, nothing while there is none."""
        plan = self.plan_of(work)
        return () if plan is None else plan.findings

    def plan_of(self, work):
        """The best plan of a work so far, None where nobody asked for one."""
        return self.plan if self._work is work else None

    def again(self) -> None:
        """Prices or rates are others: plan what is seen anew."""
        self._asked = None
        self.refresh()

    def _take(self, work, plan, is_last):
        if work is not self._session.work:
            return
        first = self._work is not work
        self.plan, self._work = plan, work
        self._strip.show_state(self._on and not is_last)
        self._show()
        if first or is_last:
            self.told.emit()

    def _failed(self, work, why):
        if work is self._session.work:
            self._view.explain(why)
            self._strip.show_state(False)

    def _show(self):
        plan, unit = self.plan, self._unit()
        count = 0 if plan is None else len(plan.sheets)
        self._number = min(self._number, max(count - 1, 0))
        gap = self._gap()
        self._strip.show_plan(plan, gap, unit, self._number)
        self._view.unit = unit
        if count:
            self._view.show_sheet(plan.sheets[self._number], plan.timed[self._number], gap)
        else:
            self._view.show_sheet(None, None, gap)
            if plan is not None:
                self._view.explain(self.tr("Nothing fits a sheet. A larger carrier, a smaller size or dividing helps."))
        self._panel.show_plan(plan, self._number, self._view.number)
        self._show_part(self._view.number)

    def _show_part(self, n):
        """What is chosen, and the seams along it where its layer is divided."""
        several = len(self._view.all_chosen)
        self._panel.show_part(self.plan, self._number, n, several)
        placed = self._placed(n)
        # seams put by hand are of the work that is open
        made = None if placed is None or placed.part.work else self.plan.divided.get(
            (0, placed.part.key, placed.part.piece))
        if made is None or not made.seams or several > 1:
            self._seam = None
        elif self._seam is None or not self._seam.is_of(self._work, made):
            self._seam = SeamDesk(self._work, placed.part.key, made)
        beside = {} if self._seam is None else self._seam.beside(placed.part)
        self._view.show_handles(
            Handle(number, tuple(placed.line(line) for line in lines), placed.way(self._seam.across(number)))
            for number, lines in beside.items())
        self._panel.part.seam.show_seams(self._seam if beside else None, tuple(beside), self._unit())

    def _hold_seam(self, number, by):
        self._panel.part.seam.hold(number, by)
        self._view.say_seam(self._panel.part.seam.said)

    def _put_seam(self, number, by):
        if self._panel.part.seam.can_take(number, by):
            self._move_seam(number, by)
        else:
            self._say("seam", "ask", self._panel.part.seam.said)
            self._panel.part.seam.hold(number, 0.0)

    def _move_seam(self, number, by):
        if self._seam is not None:
            self._change(self.tr("seam moved"), seams=self._seam.kept(number, by), spots=())

    def _seam_back(self):
        if self._seam is not None:
            self._change(self.tr("best seam"), seams=self._seam.let_go(), spots=())

    def show_sheet(self, number: int) -> None:
        """Turn to a sheet of the plan."""
        if self.plan is None or not 0 <= number < len(self.plan.sheets) or number == self._number:
            return
        self._number = number
        self._view.choose(-1)
        self._view.show_sheet(self.plan.sheets[number], self.plan.timed[number], self._gap())
        self._strip.take(number)
        self._panel.show_plan(self.plan, number, -1)
        self._show_part(-1)

    def _show_route(self, on):
        self._view.with_route = on
        self._view.update()

    def _unit(self):
        document = self._session.document
        return "mm" if document is None else document.recipe.unit

    def _gap(self):
        document = self._session.document
        return 0.0 if document is None else document.recipe.parts_gap_mm

    # -- putting parts ------------------------------------------------------------------------

    def _placed(self, n):
        if self.plan is None or not self.plan.sheets or self._work is not self._session.work:
            return None
        placed = self._here().placed
        return placed[n] if 0 <= n < len(placed) and not placed[n].ready.test else None

    def _change(self, what, **values):
        recipe = self._session.document.recipe
        if self._session.work is not None:
            values.setdefault("machine", machine_of(self._session.work))
        made = replace(recipe, **values)
        if made != recipe:
            self._session.change(made, what)

    def _chosen(self):
        """The chosen parts of the work, each as it lies."""
        found = [self._placed(n) for n in self._view.all_chosen]
        return [placed for placed in found if placed is not None]

    def _set_spots(self, what, spots):
        """Parts put by hand: pairs of the part as it lies, and where it comes to lie (sheet, left, top, turn)."""
        made = [SpotByHand(placed.part.path, self._here().number if sheet is None else sheet, turn,
                           round(float(left), 3), round(float(top), 3)) for placed, (sheet, left, top, turn) in spots]
        if made:
            rest = tuple(s for s in self._session.document.recipe.spots if s.part not in {m.part for m in made})
            self._change(what, spots=(*rest, *made))

    def _here(self):
        return self.plan.sheets[self._number]

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
            self._change(self.tr("part placed"), spots=rest)

    def _send_to(self, place):
        number = self._strip.sheet_at(place)
        if number is not None:
            self._send(number)
        else:
            self._view.update()

    def _send(self, number):
        """The chosen parts onto another sheet of their colour and material, or, with -1, onto one more."""
        its, here = self._chosen(), self._here() if self.plan is not None and self.plan.sheets else None
        if not its or number == self._number:
            return
        if number < 0:
            to = 1 + max(s.number for s in self.plan.sheets if s.group.key == here.group.key)
        elif self.plan.sheets[number].group.key != here.group.key:
            self._say("sent", "ask", self.tr("Sheet {0} is of another colour or material.").format(number + 1))
            return
        else:
            to = self.plan.sheets[number].number
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

        return free_places(self.plan.sheets[number], its, self._gap())

    # -- the table of machines -----------------------------------------------------------------

    def _open_table(self):
        from sketchloom.app.parts.machines_table import MachinesTable

        if self._table is None:
            self._table = MachinesTable(self._view.window())
            self._table.kept.connect(self.renew_machines)
        self._table.show()
        self._table.raise_()

    def renew_machines(self) -> None:
        """The table of machines is another one."""
        if self._session.latest is not None:
            self._panel.machine.show_work(self._session.latest.work)


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
