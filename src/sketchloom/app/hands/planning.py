"""Keeps the Sheets stage: asks for plans, shows the best so far, and puts parts where a hand wants them."""

from dataclasses import replace

from PySide6.QtCore import QObject, Signal

from sketchloom.app.work.planner import Planner
from sketchloom.core.sheets.choices import SpotByHand
from sketchloom.desk.seams import SeamDesk
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
        panel.part.seam.moved.connect(self._move_seam)
        panel.part.seam.back.connect(self._seam_back)
        view.put.connect(self._put)
        view.turned.connect(self._turn)
        view.freed.connect(self._free)
        view.sent.connect(self._send_to)
        view.stepped.connect(lambda by: self.show_sheet(self._number + by))
        panel.part.turn_wanted.connect(lambda: self._turn(view.number))
        panel.part.free_wanted.connect(lambda: self._free(view.number))
        panel.part.send_wanted.connect(lambda to: self._send(view.number, to))
        panel.part.all_wanted.connect(lambda: self._change(self.tr("all placed"), spots=()))
        panel.route_wanted.connect(self._show_route)
        panel.cost.priced.connect(self._again)
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

    def _again(self):
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
        self._panel.show_plan(plan, self._number, self._view.number)
        self._show_part(self._view.number)

    def _show_part(self, n):
        """What is chosen, and the seam of its layer where that is divided."""
        self._panel.show_part(self.plan, self._number, n)
        placed = self._placed(n)
        made = None if placed is None else self.plan.divided.get((0, placed.part.key))
        # seams put by hand are of a layer as a whole, of the work that is open
        if (placed is None or placed.part.count < 2 or placed.part.work or placed.part.piece or made is None
                or not made.seams):
            self._seam = None
        elif self._seam is None or self._seam.work is not self._work or self._seam.key != placed.part.key:
            self._seam = SeamDesk(self._work, placed.part.key, made)
        at = 0 if placed is None else min(max(placed.part.number - 1, 0), len(made.seams) - 1 if made else 0)
        its = self._seam if self._seam is not None and self._seam.can_move else None
        self._panel.part.seam.show_seam(its, max(at, 0), self._unit())

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
        if self.plan is None or self._work is not self._session.work:
            return None
        placed = self.plan.sheets[self._number].placed
        return placed[n] if 0 <= n < len(placed) and not placed[n].ready.test else None

    def _change(self, what, **values):
        recipe = self._session.document.recipe
        if self._session.work is not None:
            values.setdefault("machine", machine_of(self._session.work))
        made = replace(recipe, **values)
        if made != recipe:
            self._session.change(made, what)

    def _set_spot(self, placed, what, sheet=None, left=None, top=None, turn=None):
        box = placed.box
        spot = SpotByHand(placed.part.path, self.plan.sheets[self._number].number if sheet is None else sheet,
                          placed.turn if turn is None else turn, round(float(box[0] if left is None else left), 3),
                          round(float(box[1] if top is None else top), 3))
        rest = tuple(s for s in self._session.document.recipe.spots if s.part != placed.part.path)
        self._change(what, spots=(*rest, spot))

    def _put(self, n, left, top):
        placed = self._placed(n)
        if placed is not None:
            self._set_spot(placed, self.tr("part put elsewhere"), left=left, top=top)

    def _turn(self, n):
        placed = self._placed(n)
        if placed is None:
            return
        turns = placed.ready.turns
        later = [t for t in turns if t > placed.turn + 1e-6] or [turns[0]]
        if len(turns) < 2:
            self._say("turned", "ask", self.tr("Its material, or the setting below, bears no turn."))
            return
        quarter = (placed.turn + 90.0) % 360
        turn = quarter if quarter in turns else later[0]
        left, top, right, bottom = placed.box
        wide, high = right - left, bottom - top
        if (turn - placed.turn) % 180:
            wide, high = high, wide
        self._set_spot(placed, self.tr("part turned"), turn=turn, left=(left + right - wide) / 2,
                       top=(top + bottom - high) / 2)

    def _free(self, n):
        placed = self._placed(n)
        if placed is not None:
            rest = tuple(s for s in self._session.document.recipe.spots if s.part != placed.part.path)
            self._change(self.tr("part placed"), spots=rest)

    def _send_to(self, n, place):
        number = self._strip.sheet_at(place)
        if number is not None:
            self._send(n, number)
        else:
            self._view.update()

    def _send(self, n, number):
        """A part onto another sheet of its colour and material, or, with -1, onto one more."""
        placed = self._placed(n)
        if placed is None or number == self._number:
            return
        here = self.plan.sheets[self._number]
        if number < 0:
            to = 1 + max(s.number for s in self.plan.sheets if s.group.key == here.group.key)
        elif self.plan.sheets[number].group.key != here.group.key:
            self._say("sent", "ask", self.tr("Sheet {0} is of another colour or material.").format(number + 1))
            return
        else:
            to = self.plan.sheets[number].number
        left, top = self._free_place(placed, number, here)
        self._set_spot(placed, self.tr("part on another sheet"), sheet=to, left=left, top=top)

    def _free_place(self, placed, number, here):
        """Where a part finds room on a sheet, else at its corner."""
        if number < 0:
            return here.usable[0], here.usable[1]
        from sketchloom.desk.spots import free_place

        return free_place(self.plan.sheets[number], placed, self._gap())

    # -- the table of machines -----------------------------------------------------------------

    def _open_table(self):
        from sketchloom.app.parts.machines_table import MachinesTable

        if self._table is None:
            self._table = MachinesTable(self._view.window())
            self._table.kept.connect(self._renew_machines)
        self._table.show()
        self._table.raise_()

    def _renew_machines(self):
        if self._session.latest is not None:
            self._panel.machine.show_work(self._session.latest.work)
