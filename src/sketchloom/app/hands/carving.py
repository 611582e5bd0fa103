"""Keeps what is carved in the Sheets stage: works it out beside the window and shows it."""

from functools import partial

from PySide6.QtCore import QCoreApplication, QObject, Signal

from sketchloom.app.parts.settings_table import SettingsTable, TableOf
from sketchloom.app.work.jobs import Lane
from sketchloom.core.base.progress import watched
from sketchloom.core.carve.tools import Tool, shipped
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.carving import fine_mm, is_carved
from sketchloom.evaluate.targets import targets_at
from sketchloom.files import user_data

_CALM_S = 0.15
_COARSE = 4.0
"""What is shown first is so much coarser."""
_HELD_BYTES = 160 * 2**20
"""Of what single operations leave: the eight of a blank of 700 × 300 mm held 63 MB."""
_SAME_MM = 2.0
"""A click so near the last one means what lies below."""


class Carving(QObject):
    """Of one window. ``told``: what is found of it changed."""

    told = Signal()
    roughly = Signal(object, object, object)

    def __init__(self, session, panel, view):
        super().__init__(view)
        self._session, self._box, self._view = session, panel.carving, view
        self._pointer = panel.pointing
        self.lane = Lane("carving")
        self._pointing, self._cache = Lane("pointing"), Cache(_HELD_BYTES)
        self._looking = Lane("looking")
        view.look_wanted.connect(self._draw)
        self.roughly.connect(self._take_rough)
        self._on, self._asked, self.made = False, None, None
        self._last = (0.0, 0.0), -1
        self._uncut: dict = {}
        self._box.chosen_row.connect(lambda _: self._mark())
        panel.pointing.changed.connect(view.set_pointing)
        self._box.tools_wanted.connect(self._open_tools)
        view.picked.connect(self._pick)
        self._table = None
        session.carved_of = self.carved_of

    @property
    def is_on(self) -> bool:
        """Whether what is open is carved."""
        return self._session.latest is not None and is_carved(self._session.latest.work)

    def turn(self, on: bool) -> None:
        """Whether the stage is seen: only then is anything worked out."""
        self._on = on
        if on:
            self.refresh()
        else:
            self.lane.forget()
            self._asked = None
            self._pointer.stop()

    def close(self) -> None:
        """The window is closed."""
        for lane in (self.lane, self._pointing, self._looking):
            lane.close()

    def refresh(self) -> None:
        """A new result is there, or none."""
        work = self._session.work
        if not self._on or not self.is_on:
            return
        if work is None:
            self._view.explain(self.tr("The blank is carved once the exact result is there."))
        elif self.made is not None and self.made.work is work:
            self._asked = work
        elif work is not self._asked:
            self._asked = work
            self._box.show_carved(None)
            if self.made is None:
                self._view.explain(self.tr("Carving …"))
            self.lane.run(self.tr("Carving"), lambda progress: self._carved(progress, work), self._take, self._failed)

    def forget(self) -> None:
        """Another work begins."""
        self.lane.forget()
        self.made = self._asked = None
        self._cache.clear()
        self._view.explain("")
        self._view.mark(())

    def carved_of(self, work):
        """A work as it is carved, None while that is not known."""
        return self.made if self.made is not None and self.made.work is work else None

    def findings(self, work) -> tuple:
        """What is found of a work as it is carved, nothing while that is not known."""
        made = self.carved_of(work)
        return () if made is None else made.findings

    def _carved(self, progress, work):
        """A work carved, and its lit face; a coarse one before."""
        from sketchloom.core.carve.shading import lit
        from sketchloom.files.carving import CarvedWork

        progress.pause(_CALM_S)  # a field that is still typed into gives a newer work soon
        self._cache.begin()
        with watched(progress):
            made = CarvedWork(work, cache=self._cache)
            coarse = made.field(_COARSE * fine_mm(made.job))
            self.roughly.emit(work, coarse, lit(coarse, made.job.blank.look))
            face = lit(made.field(), made.job.blank.look)
            made.findings  # noqa: B018  worked out here, not in the window's thread
            uncut = {number: made.uncut_of(number) for number in range(len(work.recipe.operations))}
        self._cache.settle()
        return made, face, uncut

    def _take_rough(self, work, field, face):
        """What comes, before it is there."""
        if work is self._session.work and self._asked is work and self.carved_of(work) is None:
            self._view.unit = work.recipe.unit
            self._view.show_carved(field, face)

    def _take(self, answer):
        made, face, uncut = answer
        if made.work is self._session.work:
            self.made, self._uncut = made, uncut
            self._view.unit = made.work.recipe.unit
            self._view.show_carved(made.field(), face)
            self._box.show_carved(made)
            self._mark()
            self.told.emit()

    def _draw(self, look):
        self._looking.run("", lambda _: look.drawn(), lambda pixels: self._view.take_look(look, pixels), self._failed)

    # -- what is meant ------------------------------------------------------------------

    def _mark(self):
        """Show where the chosen operation lies."""
        made = self.carved_of(self._session.work)
        if made is None:
            self._view.mark(())
        else:
            row = self._box.row
            self._view.mark(made.outlines_of(row), self._uncut.get(row, ()))

    def go_to(self, finding) -> None:
        """Show the operation that a finding is of, and its place on the blank."""
        made = self.carved_of(self._session.work)
        if "number" in finding.figures:
            self._box.choose(finding.figures["number"] - 1)
        if made is not None and finding.x_px is not None:
            scale, work = made.work.mm_per_px, made.work
            middle, size = work.recipe.blank.work_middle_mm, work.size_mm
            self._view.point_at((finding.x_px * scale + middle[0] - size[0] / 2,
                                 finding.y_px * scale + middle[1] - size[1] / 2))

    def _pick(self, x, y):
        """A place of the blank was clicked: what lies there is meant, or the operation there chosen."""
        made = self.carved_of(self._session.work)
        if made is None:
            return
        if not self._pointer.is_on:
            number = made.number_at(x, y)
            if number is not None:
                self._box.choose(number)
            return
        (old_x, old_y), n = self._last
        n = n + 1 if abs(x - old_x) + abs(y - old_y) < _SAME_MM else 0
        self._last = (x, y), n
        cache = self._session.cache
        self._pointing.run("", lambda _: targets_at(made.work, x, y, cache),
                           lambda found: found and self._pointer.take(found[n % len(found)]), self._failed)

    def _open_tools(self):
        self._table = tools_table(self._box.recipe.unit if self._box.recipe else "mm", self._view.window())
        self._table.kept.connect(self._box.renew_tools)
        self._table.show()

    def _failed(self, why):
        self._view.explain(why)


def tools_table(unit: str, parent=None) -> SettingsTable:
    """The table of a router's tools."""
    tr = partial(QCoreApplication.translate, "Carving")
    return SettingsTable(TableOf(
        Tool, ("name", "kind", "diameter_mm", "angle_deg", "tip_mm", "edge_mm", "feed", "plunge", "turns", "down_mm",
               "over"), shipped(), user_data.cutters(), user_data.keep_cutters, tr("Tools of the router"),
        tr("Feeds, turns and steps are starting values from memory: the manuals of machine and tool come first. "
           "Lengths may be typed in mm or in. Works keep the tools that their operations name."), tr("Add a tool")),
        unit, parent)


