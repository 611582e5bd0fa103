"""Joins the Clean stage to the bench: the region tool, and what its gestures do to the recipe."""

from PySide6.QtCore import QObject

from sketchloom.app.hands.inking import Inking
from sketchloom.app.hands.region_words import RegionWords
from sketchloom.app.parts.widgets import counted
from sketchloom.app.tools.boxing import BoxTool
from sketchloom.app.tools.marking import AreaTool
from sketchloom.app.tools.regions import RegionTool
from sketchloom.core.edits.decisions import COLOUR
from sketchloom.desk import narrow
from sketchloom.desk.regions import RegionDesk

_AT_ONCE = 200
"""Regions that are painted in their new look before the sheets are cut anew."""


class Cleaning(QObject):
    """Holds the region tool while the stage is seen, and a desk for the regions of the result shown."""

    def __init__(self, bench, session, panel, notices):
        super().__init__(bench)
        self._bench, self._session, self._panel, self._notices = bench, session, panel, notices
        self.desk: RegionDesk | None = None
        self._of = self._before = self._alike_later = None
        self._is_seen = self._was_back = self._is_new = False
        self._painting = None
        """While depth is painted: the box that says what a click paints, and whether the frame too."""
        self._words = RegionWords(bench, panel.regions)
        self.tool = RegionTool(self._is_so, self._may, lambda: bench.source_image)
        self.base = self.tool
        """The tool that is held in this stage while no other is."""
        self.tool.hint = self.tr("Point at a region.")
        self.tool.acted.connect(self._act)
        self.tool.alike_wanted.connect(self._act_on_alike)
        self.tool.pointed.connect(self._say)
        self.tool.stepped.connect(self._step)
        box = panel.regions
        box.hold_wanted.connect(self.sweep)
        box.box_wanted.connect(lambda: self._take_up(BoxTool()))
        box.lasso_wanted.connect(lambda: self._take_up(AreaTool(wants_source=False)))
        box.only_wanted.connect(self._show_only)
        box.magnify.connect(lambda on: setattr(self.tool, "magnifies", on))
        panel.small.pointed.connect(self.show_region)
        panel.small.act_wanted.connect(lambda faces: self._act(tuple(faces), False))
        panel.edits.pointed.connect(self.show_region)
        panel.narrow.all_wanted.connect(lambda: session.tried(
            self.tr("Thickening"), narrow.all_thickened, self._take_thickened))
        panel.narrow.line_wanted.connect(lambda _: self._show_widths())
        panel.narrow.pointed.connect(lambda x, y: bench.point_at((x, y)))
        self.inking = Inking(bench, session, panel, self.hold)
        bench.tool_changed.connect(self._tool_changed)
        bench.colour_dropped.connect(self._drop_colour)
        session.opened.connect(lambda *_: setattr(self, "_is_new", True))

    # -- showing -----------------------------------------------------------------------

    def turn(self, is_seen: bool) -> None:
        """The stage is turned to, or left."""
        self._is_seen = is_seen
        self._show_widths()
        self._bench.takes_colours = is_seen
        if is_seen:
            self.refresh()
            self.hold()

    def hold(self) -> None:
        """Take the stage's own tool up, unless there are no regions; where they are still on their way, it waits for
        them."""
        self._painting = self.tool.goes_along = None
        is_there = self._session.document is not None
        if is_there and (self.desk is None or not self.desk.work.draws_with_pens):
            self._bench.set_tool(self.base)
            self._bench.setFocus()

    def sweep(self) -> None:
        """Clicks and drags act on regions at once."""
        self.base = self.tool
        self.hold()

    def leave_tool(self) -> None:
        """Put down what is held: for the region tool, where another was taken up in this stage, else for none."""
        takes_back = self._is_seen and self._bench.tool is not self.base
        self._bench.put_down()
        if takes_back:
            self.hold()

    def give(self, hex_colour: str, box) -> None:
        """Take the region tool up to give cells of line art a sheet's colour, in whatever stage; ``box`` says which
        cells a click means."""
        self._painting, self.tool.goes_along = box, self._painted_with
        if self.desk is not None and not self.desk.work.draws_with_pens:
            self._panel.regions.bring_colour(hex_colour)
            self._bench.set_tool(self.tool)
            self._bench.setFocus()

    def refresh(self) -> None:
        """Another result is shown, or none."""
        shown = self._session.latest
        if shown is None or shown.index is None:
            self.desk, self._of = None, None
            self.tool.show_desk(None)
        elif self._of is not shown:
            self._of = shown
            if self.desk is None or self.desk.work.segmentation.regions is not shown.work.segmentation.regions:
                self.inking.forget_gaps()  # those of another drawing; its own come in a moment
            self.desk = RegionDesk(shown.work, shown.index)
            self.tool.show_desk(self.desk)
            later, self._alike_later = self._alike_later, None
            if later is not None and self._before is not None and self._before.work.traced is shown.work.traced:
                self._act_on_alike(later)
        if self.desk is not None and self._is_seen:
            self._show_only()
            self._show_widths()
            if not self.desk.work.draws_with_pens:
                self._panel.show_desk(self.desk)
                if self._is_new and self._bench.tool is None:  # another work was opened in this stage
                    self.hold()
                self._is_new = False
            elif self._bench.tool is self.base:
                self._bench.put_down()

    def _tool_changed(self, tool):
        if tool is not self.tool:
            self.tool.rest()

    def _take_up(self, tool):
        tool.taken.connect(self._act_within)
        tool.done.connect(self.hold)
        self._held = tool  # the bench only borrows it
        self._bench.set_tool(tool)
        self._bench.setFocus()

    def _show_widths(self):
        work = self._session.work
        if not (self._is_seen and self._panel.narrow.shows_line()):
            self._bench.show_widths(None)
        elif work is not None:
            self._bench.show_widths(narrow.width_line(work, self._panel.narrow.of_spaces()))

    def _take_thickened(self, made):
        recipe, left = made
        self._session.change(recipe, self.tr("thickened"))
        if left:
            self._notices.say("narrow", "ask", counted(
                left,
                self.tr("1 stretch stays under the smallest width: another line there makes nothing wider. It is in "
                        "the list of narrow places."),
                self.tr("{0} stretches stay under the smallest width: more lines there make nothing wider. They are in "
                        "the list of narrow places.")))

    def _show_only(self):
        only = self._panel.regions.only()
        self._bench.show_peek(
            None if only is None or self.desk is None
            else self.desk.others(only)[self.desk.work.traced.planar.faces])

    def _say(self, face):
        self.tool.hint = (self.tr("Point at a region.") if face < 0 or self.desk is None
                          else self._words.of(self.desk, face, self._may(face, face)))

    def show_region(self, face: int, marks: bool = True) -> None:
        """Bring a region into view, and mark it."""
        if self.desk is not None and face >= 0:
            x0, y0, x1, y1 = self.desk.index.box(face)
            scale = self.desk.work.mm_per_px
            self._bench.bring_into_view((x0 + x1) / 2 * scale, (y0 + y1) / 2 * scale)
            if marks:
                self.tool.point(face)

    def _step(self, by):
        """The next larger or smaller region."""
        if self.desk is None:
            return
        order = self.desk.smallest()
        if order:
            at = order.index(self.tool.face) + by if self.tool.face in order else 0
            self.show_region(order[at % len(order)])

    # -- deciding ----------------------------------------------------------------------

    def _is_so(self, face):
        """Whether a click takes back what was decided. A colour is given, not switched: given again it stays."""
        action, hex_colour = self._panel.regions.wanted()
        return self.desk is not None and action != COLOUR and self.desk.is_so(face, action, hex_colour)

    def _may(self, first, face):
        """Whether a sweep that began on one face takes another, and whether the first may be acted on at all."""
        desk = self.desk
        if desk is None or (desk.outside[face] and not self._panel.regions.outside.isChecked()):
            return False
        if self._painting is not None:  # cells of line art go to sheets; their frame only where that is asked for
            return self._painting.frame.isChecked() or not desk.outlines[face]
        return desk.swept_along(first, face, self._panel.regions.wanted()[0])

    def _painted_with(self, face):
        """The cells that a click paints with one."""
        if self.desk is None or not self._may(face, face):
            return ()
        faces, _ = self._painting.painted(self.desk, face, self._panel.regions.wanted()[1])
        return faces if len(faces) > 1 else ()

    def _act(self, faces, back):
        action, hex_colour = self._panel.regions.wanted()
        self.decide(faces, action, hex_colour, back)

    def decide(self, faces, action: str, hex_colour: str | None = None, back: bool = False) -> None:
        """Drop, open, colour … regions, or take back what was decided about them."""
        if self.desk is None or not faces:
            return
        recipe = self._session.document.recipe
        self._before, self._was_back = self.desk, back
        if self._painting is not None and action == COLOUR and len(faces) == 1:
            faces, hexes = self._painting.painted(self.desk, faces[0], hex_colour)
            changed, what = self.desk.in_turns(recipe, faces, hexes), self.tr("painted cells")
        elif back:
            changed, what = self.desk.taken_back(recipe, faces), self.tr("region brought back")
        else:
            if action == COLOUR:
                faces = tuple(face for face in faces if not self.desk.is_so(face, action, hex_colour))
            changed = self.desk.decided(recipe, faces, action, hex_colour)
            what = {
                "drop": self.tr("dropped region"),
                "window": self.tr("opened region"),
                "colour": self.tr("coloured region"),
                "below": self.tr("region from a sheet below"),
                "above": self.tr("region on top"),
                "keep": self.tr("kept region"),
            }[action]
        if changed == recipe:
            return
        if len(faces) <= _AT_ONCE:
            self._bench.paint_at_once(
                [self.tool.path(face) for face in faces], self.desk.looks(changed, faces), self.desk.work.mm_per_px
            )
        self._session.change(changed, what)

    def _act_on_alike(self, face):
        """The first of two clicks acted on the region already; the second takes the rest along, the same way."""
        if self.desk is None:
            self._alike_later = face
            return
        # like what it was before that first click
        known = self._before is not None and self._before.work.traced is self.desk.work.traced
        alike = (self._before if known else self.desk).alike(face, self._panel.regions.likeness())
        self._act(self._shown(one for one in alike if one != face), self._was_back)

    def _shown(self, faces):
        """Those of some faces that are shown and may be acted on."""
        if self.desk is None:  # the result went while a hand drew
            return ()
        only = self._panel.regions.only()
        hidden = None if only is None else self.desk.others(only)
        return tuple(face for face in faces if (hidden is None or not hidden[face]) and self._may(face, face))

    def within(self, points) -> tuple[int, ...]:
        """Regions shown that lie mostly in a polygon (shares) and may be acted on."""
        if self.desk is None:
            return ()
        ground, within = self.desk.work.ground, self.desk.within(points)
        if not self._session.document.recipe.all_off:
            within = [face for face in within if not ground[face]]
        return self._shown(within)

    def chosen_within(self, points) -> tuple[int, ...]:
        """Regions that a box or a line around means: those that are cut, and, where none of them lies in it, the holes
        between them."""
        found = [face for face in self.within(points) if not self.desk.outside[face]]
        if not found and self.desk is not None:
            found = [face for face in self.desk.within(points) if not self.desk.outside[face]]
        return self._shown(found)

    def alike(self, face: int, likeness) -> tuple[int, ...]:
        """Regions shown that are like one."""
        return () if self.desk is None else self._shown(self.desk.alike(face, likeness))

    def _act_within(self, points):
        self._act(self.within(points), False)

    def _drop_colour(self, hex_colour, x_px, y_px):
        region = None if self.desk is None else self.desk.index.at(x_px, y_px)
        if region is not None and not self._may(region.face, region.face):
            self._notices.say("regions", "ask", self._words.of(self.desk, region.face, False))  # why nothing changed
        elif region is not None:
            self._session.change(self.desk.decided(self._session.document.recipe, (region.face,), COLOUR, hex_colour),
                                 self.tr("coloured region"))
