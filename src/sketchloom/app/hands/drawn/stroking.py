"""Strokes of ink chosen, joined, lengthened, thickened and taken away."""


from sketchloom.app.hands.drawn.table import Hand, Table
from sketchloom.app.stages.cleaning.strokes_box import EXTEND, JOIN, REMOVE, THICKER, WINDOW
from sketchloom.app.tools.strokes import StrokeTool

_NEAR_PX = 12.0
_THICKER, _THINNER = 1.25, 0.8


class Stroking(Hand):
    """Turns a chosen stroke and what is asked of it into lines."""

    def __init__(self, table: Table, parent):
        super().__init__(table, parent)
        self._stroke, self._joins, self._again = None, False, None
        table.panel.strokes.choose_wanted.connect(lambda on: self._take_strokes() if on else table.hold())
        table.panel.strokes.act_wanted.connect(self.act)

    def show_tool(self, tool) -> None:
        """Another tool is on the bench."""
        self._panel.strokes.choose.setChecked(self._table.is_held(StrokeTool))

    def forget(self) -> None:
        """The map is another."""
        self._stroke, self._joins = None, False
        self._panel.strokes.show_stroke(False, False, "")
        if isinstance(self._bench.tool, StrokeTool):
            self._bench.tool.show_chosen(None)
            self._take_strokes()  # those of the new map

    def _take_strokes(self):
        self._table.wait_for(StrokeTool, self.tr("Following strokes"), lambda desk: desk.has_strokes and desk.strokes,
                             self._hold_strokes)

    def _hold_strokes(self):
        if not self.desk.has_strokes:
            self._table.hold()
            return

        def line_at(x, y, reach):
            strokes = self.desk.strokes
            number = strokes.nearest(x, y, reach)
            return number, strokes.line(number) if number >= 0 else None
        tool = StrokeTool(self.desk.size, line_at)
        tool.chosen.connect(self.choose)
        self._table.take_up(tool)
        if self._again is not None:
            (x, y), self._again = self._again, None
            self.choose(self.desk.strokes.nearest(x, y, _NEAR_PX), x, y)

    @property
    def awaits_another(self) -> bool:
        """Whether the next stroke that is clicked is the one to join to."""
        return self._joins

    def choose(self, number: int, x: float, y: float) -> None:
        """A stroke, chosen at a place in px, is the chosen one, or none is (-1); after *Join to*, it is the other one.
        """
        strokes = self.desk.strokes
        if self._joins and self._stroke is not None and number >= 0:
            self._joins = False
            mine, mx, my = self._stroke
            self._paint(strokes.joined(mine, (mx, my), number, (x, y)), self.tr("joined strokes"),
                        self.tr("Both strokes need a free end to be joined."))
            return
        self._stroke = None if number < 0 else (number, x, y)
        if number < 0:
            self._panel.strokes.show_stroke(False, False, "")
        else:
            wide = self._table.mm_text(strokes.width_px(number), 2)
            free = strokes.has_free_end(number)
            self._panel.strokes.show_stroke(
                True,
                free,
                self.tr("A stroke {0} wide, with a free end.").format(wide)
                if free
                else self.tr("A stroke {0} wide.").format(wide),
            )
        if isinstance(self._bench.tool, StrokeTool):
            self._bench.tool.show_chosen(None if number < 0 else strokes.line(number))

    def act(self, what: str) -> None:
        """Do something to the chosen stroke."""
        if self._stroke is None or self.desk is None:
            return
        number, x, y = self._stroke
        strokes = self.desk.strokes
        if what == JOIN:
            self._joins = True
            self._panel.strokes.said.setText(self.tr("Now click the stroke to join it to, near its free end."))
            self._bench.setFocus()
        elif what == WINDOW:
            shape = self.desk.stroke_window(number)
            if shape is not None:
                self._panel.shapes.lay_on(shape, self.tr("opened stroke"))
        elif what == EXTEND:
            self._paint(
                strokes.extended(number, (x, y)), self.tr("extended stroke"), self.tr("It would meet no other stroke.")
            )
        elif what == REMOVE:
            self._paint(strokes.without(number), self.tr("stroke taken away"), "")
        else:
            self._again = (x, y)
            self._paint(
                strokes.of_width(number, _THICKER if what == THICKER else _THINNER),
                self.tr("stroke of another width"),
                "",
            )

    def act_on_all(self, what: str, numbers) -> None:
        """The same with several strokes at once; what joins, extends or opens is of one."""
        if len(numbers) == 1 or self.desk is None:
            self.act(what)
            return
        strokes = self.desk.strokes
        made = [strokes.without(n) if what == REMOVE else
                strokes.of_width(n, _THICKER if what == THICKER else _THINNER) for n in numbers]
        # what is taken away first may not go over what is drawn anew after it
        paints = sorted((paint for one in made for paint in one), key=lambda paint: paint.in_ink)
        self._paint(paints, self.tr("strokes taken away") if what == REMOVE else self.tr("strokes of another width"),
                    "")

    def _paint(self, paints, what, none):
        if paints:
            self._panel.lines.emit(what, lines=(*self._panel.lines.recipe.lines, *self.desk.painted(paints)))
        else:
            self._panel.strokes.said.setText(none)
