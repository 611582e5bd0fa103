"""Shows openings and pieces laid in their place, and makes one the other."""

from PySide6.QtCore import QObject

from sketchloom.desk.details import as_openings, as_pieces
from sketchloom.desk.regions import RegionDesk


class Detailing(QObject):
    """Fills the box of openings while it is open."""

    def __init__(self, bench, session, panel):
        super().__init__(bench)
        self._bench, self._session, self._panel, self._desk = bench, session, panel, None
        panel.details.pointed.connect(self._point)
        panel.details.wanted.connect(self._change)

    @property
    def is_open(self) -> bool:
        """Whether the box is open, so that what it shows has to be worked out."""
        return self._panel.details_fold.head.isChecked()

    def refresh(self) -> None:
        """Another result is shown: what is listed is of the one before until it is worked out anew."""
        if self._desk is not None and self._desk.work is not self._session.work:
            self._panel.details.setEnabled(False)

    def show_details(self, work, details) -> None:
        """What was worked out of the result shown."""
        latest = self._session.latest
        if latest is not None and latest.work is work and latest.index is not None:
            self._desk = RegionDesk(work, latest.index)
            self._panel.details.show_details(details, work.recipe.unit)
            self._panel.details.setEnabled(True)

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
