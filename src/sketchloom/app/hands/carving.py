"""Keeps what is carved in the Sheets stage: works it out beside the window and shows it."""

from PySide6.QtCore import QObject, Signal

from sketchloom.app.work.jobs import Lane
from sketchloom.core.base.progress import watched
from sketchloom.evaluate.carving import is_carved

_CALM_S = 0.15


class Carving(QObject):
    """Of one window. ``told``: what is found of it changed."""

    told = Signal()

    def __init__(self, session, panel, view):
        super().__init__(view)
        self._session, self._box, self._view = session, panel.carving, view
        self.lane = Lane("carving")
        self._on, self._asked, self.made = False, None, None
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
            self.lane.run(self.tr("Carving"), lambda progress: _carved(progress, work), self._take, self._failed)

    def forget(self) -> None:
        """Another work begins."""
        self.lane.forget()
        self.made = self._asked = None
        self._view.explain("")

    def carved_of(self, work):
        """A work as it is carved, None while that is not known."""
        return self.made if self.made is not None and self.made.work is work else None

    def findings(self, work) -> tuple:
        """What is found of a work as it is carved, nothing while that is not known."""
        made = self.carved_of(work)
        return () if made is None else made.findings

    def _take(self, answer):
        made, face = answer
        if made.work is self._session.work:
            self.made = made
            self._view.unit = made.work.recipe.unit
            self._view.show_carved(made.field(), face)
            self._box.show_carved(made)
            self.told.emit()

    def _failed(self, why):
        self._view.explain(why)


def _carved(progress, work):
    """A work carved, and its lit face."""
    from sketchloom.core.carve.shading import lit
    from sketchloom.files.carving import CarvedWork

    progress.pause(_CALM_S)  # a field that is still typed into gives a newer work soon
    with watched(progress):
        made = CarvedWork(work)
        face = lit(made.field(), made.job.blank.look)
        made.findings  # noqa: B018  worked out here, not in the window's thread
    return made, face
