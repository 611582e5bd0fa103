"""Which view of the work is seen, and what is marked in it."""

from PySide6.QtCore import QObject

from sketchloom.app.stages.numbers import RELEASE, SHEETS, TRACE


class Viewing(QObject):
    """Turns between the bench, the stack, the sheets and files that are played."""

    def __init__(self, window):
        super().__init__(window)
        self._window = window

    def seen(self):
        """What is zoomed."""
        window = self._window
        if window.stage == RELEASE and window.middle.currentWidget() is window.play_view:
            return window.play_view
        if window.stage == SHEETS:
            return window.carve_view if window.carving.is_on else window.sheet_view
        return window.bench

    def show_stack(self, on) -> None:
        """The stack pulled apart, or what is seen else."""
        if self._window.session.document is not None:
            self._window.middle.setCurrentWidget(self._window.stack_view if on else self.seen())

    def show_looks(self, looks) -> None:
        """Files that were made to be looked at."""
        if self._window.session.document is not None:
            self._window.show_stage(RELEASE)
            self._window.play_view.show_looks(looks, self._window.session.document.recipe.unit)
            self._window.middle.setCurrentWidget(self._window.play_view)
            self.show_zoom()

    def end_looks(self) -> None:
        """The files are looked at no more."""
        if self._window.middle.currentWidget() is self._window.play_view:
            self._window.play_view.forget()
            self._window.middle.setCurrentWidget(self._window.bench)
            self.show_zoom()

    def show_dropped(self) -> None:
        """Open the list of what was dropped because it is small."""
        self._window.show_stage(TRACE)
        self._window.panels[TRACE].show_lost()

    def show_small(self, on) -> None:
        """Ring what was dropped because it is small."""
        work = self._window.session.work
        if on and work is not None:
            scale = work.mm_per_px
            self._window.bench.marks = tuple((x * scale, y * scale, (area / 3.1416) ** 0.5 * scale)
                                     for x, y, area in work.segmentation.dropped.tolist())
        else:
            self._window.bench.marks = ()
        self._window.bench.update()

    def show_zoom(self) -> None:
        """How large the work is seen, against its true size."""
        screen = self._window.bench.screen()
        true_scale = max(screen.physicalDotsPerInch() if screen else 96.0, 30.0) / 25.4
        self._window.bar.show_zoom(self.seen().view.scale / true_scale)

    def show_patch(self, patch) -> None:
        """Draw round the part that has settings of its own."""
        work = self._window.session.latest.work if self._window.session.latest is not None else None
        is_shown = patch is not None and work is not None and self._window.stage == TRACE
        self._window.bench.lasso = work.as_shown(patch.points) if is_shown else None
        self._window.bench.update()
