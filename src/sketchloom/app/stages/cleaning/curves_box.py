"""Stretches of boundary given another course, and what is nearly regular."""

from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtWidgets import QListWidget, QListWidgetItem

from sketchloom.app import theme
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import button, counted, label, rows_of
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.cleaning.kept_list import KeptList, drawn_icon
from sketchloom.core.base.units import format_length
from sketchloom.core.curves.courses import course_points

_NUMBER = Qt.ItemDataRole.UserRole


class CurvesBox(Box):
    """Chooses a stretch on the bench and says what is to become of it."""

    choose_wanted = Signal(bool)
    act_wanted = Signal(str)
    node_wanted = Signal(str)

    def __init__(self):
        super().__init__()
        self.choose = button(
            self.tr("Choose a stretch on the bench"),
            "target",
            self.tr("Brush along a boundary; once round takes all of it"),
            checkable=True,
        )
        self.choose.clicked.connect(self.choose_wanted)
        self.said = label(self.tr("Both neighbours of a boundary follow it."), "quiet")
        self.radius_mm = 2.0
        self._radius = LengthEdit(self.tr("Radius of a round corner"), 0.05, 200.0)
        self._radius.committed.connect(lambda mm: setattr(self, "radius_mm", mm))
        self._acts = []
        for what, text, tip in (
            ("smooth", self.tr("Smooth"), self.tr("Bumps go, the ends stay")),
            ("straight", self.tr("Straighten"), self.tr("A straight line between the ends")),
            (
                "arc",
                self.tr("True arc"),
                self.tr("The arc of a circle through both ends; a whole ring becomes a circle"),
            ),
            ("simple", self.tr("Fewer nodes"), self.tr("As few as stay within 0.15 mm")),
            (
                "one less",
                self.tr("One node less"),
                self.tr("The node goes whose going changes least; click again for more"),
            ),
            ("corner", self.tr("Make a corner"), self.tr("Both ends run on until they meet")),
            ("round", self.tr("Round a corner"), self.tr("By the radius beside it")),
        ):
            one = button(text, "", tip)
            one.clicked.connect(lambda _=False, w=what: self.act_wanted.emit(w))
            one.setEnabled(False)
            self._acts.append(one)
        self._nodes = {}
        for what, text, tip in (
            ("add", self.tr("Add a node"), self.tr("After the chosen node; two clicks on the line put one there")),
            ("remove", self.tr("Take the node away"), self.tr("The course stays as near as it can (Delete)")),
            ("turn", self.tr("Corner"), ""),
        ):
            one = self._nodes[what] = button(text, "", tip)
            one.clicked.connect(lambda _=False, w=what: self.node_wanted.emit(w))
        self.kept = KeptList(
            self, "curves", self.tr("Changed boundaries, the latest first"), self.tr("changed boundary")
        )
        self._node_said = label("", "quiet")
        self.add(self.choose, self.said, rows_of(*self._acts, self._radius), self._node_said,
                 rows_of(*self._nodes.values()), self.kept)
        self.show_node(False, None)
        self._words = {
            "nodes": self.tr("nodes set"),
            "smooth": self.tr("smoothed"),
            "simple": self.tr("fewer nodes"),
            "straight": self.tr("straight"),
            "arc": self.tr("true arc"),
            "circle": self.tr("true circle"),
            "corner": self.tr("corner"),
            "round": self.tr("round corner"),
            "pull": self.tr("pulled"),
            "equal": self.tr("equal circle"),
            "concentric": self.tr("common centre"),
            "parallel": self.tr("parallel"),
            "symmetric": self.tr("symmetric"),
        }

    def show_stretch(self, has_one: bool, said: str) -> None:
        self.said.setText(said)
        for one in self._acts:
            one.setEnabled(has_one)

    def show_node(self, has_stretch: bool, kind: str | None) -> None:
        """What the chosen node is: smooth, a corner, an end; None when none is chosen."""
        is_corner = kind == "corner"
        self._node_said.setText({
            None: self.tr("Click a node on the line to change it."),
            "smooth": self.tr("A smooth node: its two handles keep one line."),
            "corner": self.tr("A corner: each handle goes its own way."),
            "end": self.tr("An end of the stretch stays where it is; its handle can be moved."),
        }[kind])
        self._node_said.setVisible(has_stretch)
        for what, one in self._nodes.items():
            one.setVisible(has_stretch)
            one.setEnabled(has_stretch and (what == "add" or kind is not None)
                           and not (what == "remove" and kind == "end"))
        self._nodes["turn"].setText(self.tr("Make it smooth") if is_corner else self.tr("Make it a corner"))
        self._nodes["turn"].setToolTip(
            self.tr("Both handles come to lie in one line") if is_corner else
            self.tr("Its handles can then be moved each for itself"))

    def show_work(self, work) -> None:
        super().show_work(work)
        self._radius.show_value(self.radius_mm, work.recipe.unit)
        found = work.traced.curves_found.tolist()

        def row(n, edit):
            text = self.tr("Boundary {0}, {1}").format(n + 1, self._words[edit.what])
            text = text if n >= len(found) or found[n] else self.tr("{0} · not found").format(text)
            return lambda: drawn_icon([course_points(edit)]), text

        self.kept.show_rows(row)

    def change_curves(self, edits, what: str) -> None:
        self.set_curves((*self.recipe.curves, *edits), what)

    def set_curves(self, edits, what: str) -> None:
        """All edits of boundaries, as they are from now on."""
        self.emit(what, curves=tuple(edits))


class RegularBox(Box):
    """What is nearly straight, round, equal and so on, each with how far it would move."""

    look_wanted = Signal()
    pointed = Signal(int)
    take_wanted = Signal(list)

    def __init__(self):
        super().__init__()
        self.look = button(
            self.tr("Look for it"),
            "target",
            self.tr("Nearly straight, round, equal, parallel, symmetric; with a common centre"),
        )
        self.look.clicked.connect(self.look_wanted)
        self._said = label("", "quiet")
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("What is nearly regular, what moves least first"))
        self.list.setFixedHeight(theme.px(142))
        self.list.setSelectionMode(QListWidget.SelectionMode.ExtendedSelection)
        self.list.currentItemChanged.connect(lambda item, _: item is not None and self.pointed.emit(item.data(_NUMBER)))
        self.list.itemSelectionChanged.connect(lambda: self.take.setEnabled(bool(self.list.selectedItems())))
        self.take = button(
            self.tr("Make it so"), "circle-check", self.tr("The chosen ones become exactly what they nearly are")
        )
        self.take.clicked.connect(lambda: self.take_wanted.emit([i.data(_NUMBER) for i in self.list.selectedItems()]))
        self.add(self.look, self._said, self.list, self.take)
        for part in (self.list, self.take, self._said):
            part.hide()

    def show_found(self, desk) -> None:
        words = {
            "circle": self.tr("nearly a circle"),
            "straight": self.tr("nearly straight"),
            "equal": self.tr("{0} circles nearly equal"),
            "concentric": self.tr("{0} circles nearly around one place"),
            "parallel": self.tr("nearly parallel to its neighbour"),
            "symmetric": self.tr("nearly symmetric"),
        }
        unit = desk.work.recipe.unit
        self.list.clear()
        for n, one in enumerate(desk.regular):
            item = QListWidgetItem(
                self.tr("{0} · moves {1}").format(
                    words[one.what].format(len(one.parts)), format_length(desk.mm(one.move_px), unit, 2)
                )
            )
            item.setData(_NUMBER, n)
            item.setSizeHint(QSize(0, theme.px(27)))
            self.list.addItem(item)
        count = self.list.count()
        self._said.setText(self.tr("Nothing is nearly regular that is not so already.") if not count else counted(
            count, self.tr("1 found. Choose it to see where."), self.tr("{0} found. Choose one to see where.")))
        self._said.show()
        for part in (self.list, self.take):
            part.setVisible(count > 0)
        self.take.setEnabled(False)

    def forget(self) -> None:
        """What was found belongs to another map."""
        for part in (self.list, self.take, self._said):
            part.hide()
        self.list.clear()
