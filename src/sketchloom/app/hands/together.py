"""Joins several chosen regions to the bench, and what is done to them to the recipe."""

from PySide6.QtCore import QObject

from sketchloom.app.stages.cleaning.together_box import HOLES, INSIDE, JOINED
from sketchloom.app.tools.picking import PickTool


class Together(QObject):
    """Holds the regions that are chosen; they are looked for again in every new result."""

    def __init__(self, bench, session, box, cleaning):
        super().__init__(bench)
        self._bench, self._session, self._box, self._cleaning = bench, session, box, cleaning
        self._made = self._of = None
        self._tool = PickTool(lambda: bench.source_image)
        self._tool.picked.connect(self.choose)
        box.choose_wanted.connect(lambda on: self._take_up() if on else cleaning.hold())
        box.none_wanted.connect(lambda: self.choose(()))
        box.act_wanted.connect(lambda what: self._box.faces and self.act(what, self._box.faces))
        bench.tool_changed.connect(lambda tool: box.choose.setChecked(tool is self._tool))

    def refresh(self) -> None:
        """Another result is shown, or none."""
        desk = self._cleaning.desk
        if desk is None or desk is self._tool.desk:
            return
        before = self._tool.desk
        self._tool.show_desk(desk)
        if self._of is not self._session.document:  # another work: nothing of it is chosen
            self._of, self._made, before = self._session.document, None, None
        found = () if before is None else desk.carried_from(before, self._box.faces)
        self._tool.show_chosen(found)
        is_done = self._made is not None and self._session.document.recipe == self._made
        self._box.show_chosen(desk, found, self.tr("Done; kept in “What was changed”.") if is_done else "")

    def _take_up(self):
        self._bench.set_tool(self._tool)
        self._bench.setFocus()

    def choose(self, faces) -> None:
        """These regions are chosen, the first one first."""
        desk = self._tool.desk
        if desk is not None:
            self._tool.show_chosen(faces)
            self._box.show_chosen(desk, faces)

    def act(self, what: str, faces) -> None:
        """Make some regions one, cut them out of the first, or fill what they enclose."""
        desk, recipe = self._cleaning.desk, self._session.document.recipe
        if desk is None:
            return
        if what == INSIDE:
            changed, done = desk.filled(recipe, faces), self.tr("filled inside")
        elif what == HOLES:
            changed, done = desk.filled(recipe, faces, self._box.under_mm), self.tr("filled holes")
        else:
            changed = desk.together(recipe, faces, what)
            done = self.tr("joined regions") if what == JOINED else self.tr("cut regions out")
        if changed == recipe:
            self._box.show_chosen(desk, faces, self.tr("Nothing changes by that."))
            return
        self._made = changed
        self._session.change(changed, done)
