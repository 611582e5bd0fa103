"""Keeps the Sheets stage: asks for plans, shows the best so far, and puts parts where a hand wants them."""

from dataclasses import replace

from PySide6.QtCore import QObject, Signal

from sketchloom.app.bench.sheet_paint import Handle
from sketchloom.app.hands.placing import Placing
from sketchloom.app.work.planner import Planner
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
        view.stepped.connect(lambda by: self.show_sheet(self._number + by))
        panel.part.all_wanted.connect(lambda: self.change(self.tr("all placed"), spots=()))
        panel.route_wanted.connect(self._show_route)
        panel.cost.priced.connect(self.again)
        panel.cost.trouble.connect(lambda why: say("prices", "trouble", why))
        panel.machine.table_wanted.connect(self._open_table)
        strip.show_state(False)
        self.placing = Placing(self, session, panel, view, strip, say)
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
        gap = self.gap_mm
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
        placed = self.placed(n)
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
            self.change(self.tr("seam moved"), seams=self._seam.kept(number, by), spots=())

    def _seam_back(self):
        if self._seam is not None:
            self.change(self.tr("best seam"), seams=self._seam.let_go(), spots=())

    def show_sheet(self, number: int) -> None:
        """Turn to a sheet of the plan."""
        if self.plan is None or not 0 <= number < len(self.plan.sheets) or number == self._number:
            return
        self._number = number
        self._view.choose(-1)
        self._view.show_sheet(self.plan.sheets[number], self.plan.timed[number], self.gap_mm)
        self._strip.take(number)
        self._panel.show_plan(self.plan, number, -1)
        self._show_part(-1)

    def _show_route(self, on):
        self._view.with_route = on
        self._view.update()

    def _unit(self):
        document = self._session.document
        return "mm" if document is None else document.recipe.unit

    @property
    def gap_mm(self) -> float:
        """Between parts."""
        document = self._session.document
        return 0.0 if document is None else document.recipe.parts_gap_mm

    @property
    def number(self) -> int:
        """The sheet that is seen."""
        return self._number

    def placed(self, n: int):
        """The part of a number on the sheet that is seen; None where there is none, or it is no longer of the work."""
        if self.plan is None or not self.plan.sheets or self._work is not self._session.work:
            return None
        placed = self.plan.sheets[self._number].placed
        return placed[n] if 0 <= n < len(placed) and not placed[n].ready.test else None

    def change(self, what: str, **values) -> None:
        """Change the recipe; the machine that is planned for is kept with it."""
        recipe = self._session.document.recipe
        if self._session.work is not None:
            values.setdefault("machine", machine_of(self._session.work))
        made = replace(recipe, **values)
        if made != recipe:
            self._session.change(made, what)

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
