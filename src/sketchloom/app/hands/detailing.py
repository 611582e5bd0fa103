"""Shows openings and pieces laid in their place, and makes one the other."""

from PySide6.QtCore import QObject

from sketchloom.desk.details import as_openings, as_pieces, details_of
from sketchloom.desk.regions import RegionDesk


class Detailing(QObject):
    """Fills the box of openings while it is open."""

    def __init__(self, bench, session, panel):
        super().__init__(bench)
        self._bench, self._session, self._panel, self._desk, self._is_seen = bench, session, panel, None, False
        panel.details.pointed.connect(self._point)
        panel.details.wanted.connect(self._change)
        panel.details_fold.head.toggled.connect(lambda _: self.refresh())

    def turn(self, is_seen: bool) -> None:
        """The stage is turned to, or left."""
        self._is_seen = is_seen
        self.refresh()

    def refresh(self) -> None:
        """Another result is shown, or the box is opened."""
        work, shown = self._session.work, self._session.latest
        if not self._is_seen or not self._panel.details_fold.head.isChecked():
            return
        if work is None or shown is None or shown.index is None or work.rough:
            return
        self._desk = RegionDesk(work, shown.index)
        self._panel.details.show_details(details_of(self._desk), work.recipe.unit)

    def _point(self, detail):
        if detail is None or self._desk is None:
            self._bench.point_at(None)
            return
        x, y = self._desk.inner_place(detail.face)  # looked for one by one: a work may have thousands
        self._bench.point_at((x * self._desk.work.mm_per_px, y * self._desk.work.mm_per_px))

    def _change(self, pieces, opened):
        if self._desk is not None and self._desk.work is self._session.work:
            self._bench.point_at(None)
            recipe = as_openings(self._desk, as_pieces(self._desk, self._session.document.recipe, pieces), opened)
            self._session.change(recipe, self.tr("pieces on top") if pieces else self.tr("openings"))
