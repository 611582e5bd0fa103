"""The few tools of a stage, in a row that is always there."""

from dataclasses import dataclass

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QKeySequence
from PySide6.QtWidgets import QGridLayout, QMenu, QToolButton, QWidget

from sketchloom.app import theme
from sketchloom.app.words import told
from sketchloom.core.base.said import said

CHOOSE, SWEEP, INK, LINE, SHAPE, WORD, COVER, MIRROR = (
    "choose", "sweep", "ink", "line", "shape", "word", "cover", "mirror")
APART, SECTION = "apart", "section"


@dataclass(frozen=True, slots=True)
class RowTool:
    """A tool of the row: its word, what it does in a sentence, what else people call it."""

    name: str
    words: str
    icon: str
    about: str
    near: str = ""


ROW = (
    RowTool(CHOOSE, said("Choose"), "pointer", said("Click what you want to change; what can be done stands beside it"),
            said("select pick")),
    RowTool(SWEEP, said("Sweep"), "sweep", said("A click or a drag drops, opens or colours regions at once"),
            said("drop open colour fill regions")),
    RowTool(INK, said("Ink"), "brush", said("Paint ink, or take it away; close gaps"), said("brush bridge gap draw")),
    RowTool(LINE, said("Line"), "line", said("A line of even width, by hand or from point to point"),
            said("bar stripe draw")),
    RowTool(SHAPE, said("Shape"), "polygon", said("Figures, bows, paths and areas, laid on or cut out"),
            said("circle star rectangle polygon")),
    RowTool(WORD, said("Words"), "words", said("Words in one of the fonts here, as regions"),
            said("text letters font")),
    RowTool(COVER, said("Cover"), "cover", said("Draw round what is to go; what is around it goes on there"),
            said("remove erase heal")),
    RowTool(MIRROR, said("Mirror"), "mirror", said("One half stays, the other becomes its mirror image"),
            said("half symmetric reflect")),
)
"""Those of Clean."""
LAYER_ROW = (
    RowTool(CHOOSE, said("Choose"), "pointer", said("Click a layer or a piece; what can be done stands beside it"),
            said("select pick")),
    RowTool(APART, said("Pull apart"), "stack-2", said("The sheets at a slant above each other"),
            said("explode separate view stack")),
    RowTool(SECTION, said("Section"), "arrows-split-2", said("The stack from the side, along a line on the bench"),
            said("profile cross height side")),
)
"""Those of Layers."""
_COLUMNS = 5


class ToolRow(QWidget):
    """Buttons of the tools, a menu of everything else, and the search. ``taken`` a tool; ``called`` a box by its
    name."""

    taken = Signal(str)
    called = Signal(str)
    search_wanted = Signal()

    def __init__(self, tools):
        super().__init__()
        self.setAccessibleName(self.tr("Tools of this stage"))
        grid = QGridLayout(self)
        grid.setContentsMargins(0, 0, 0, 0)
        grid.setSpacing(4)
        self.buttons: dict[str, QToolButton] = {}
        for number, tool in enumerate(tools):
            made = self._button(told(tool.words), tool.icon, told(tool.about))
            made.setCheckable(True)
            made.clicked.connect(lambda _=False, name=tool.name: self.taken.emit(name))
            self.buttons[tool.name] = made
            grid.addWidget(made, *divmod(number, _COLUMNS))
        self.more = self._button(self.tr("More"), "dots", self.tr("Everything else of this stage"))
        self.more.setPopupMode(QToolButton.ToolButtonPopupMode.InstantPopup)
        self._menu = QMenu(self.more)
        self.more.setMenu(self._menu)
        self.search = self._button(self.tr("Search"), "search", self.tr("Find anything by its words"))
        self.search.clicked.connect(self.search_wanted)
        for number, part in enumerate((self.more, self.search), len(tools)):
            grid.addWidget(part, *divmod(number, _COLUMNS))

    def _button(self, text, icon, tip):
        made = QToolButton()
        made.setText(text)
        made.setIcon(theme.icon(icon, "INK", "ON_WOAD"))
        made.setIconSize(theme.size(20, 20))
        made.setToolButtonStyle(Qt.ToolButtonStyle.ToolButtonTextUnderIcon)
        _tip(made, tip)
        made.setObjectName("rowtool")
        made.setMinimumSize(theme.size(56, 48))
        return made

    def follow(self, actions) -> None:
        """Tips say the keys of the actions that take up tools, and of the search: by the name of a tool, and
        ``search``."""
        for name, action in actions.items():
            part = self.search if name == "search" else self.buttons[name]
            about = part.toolTip()
            action.changed.connect(lambda p=part, a=action, words=about: _tip(p, words, a.shortcut()))
            _tip(part, about, action.shortcut())

    def name_boxes(self, titles: dict[str, str]) -> None:
        """The boxes that the menu calls, by their names."""
        self._menu.clear()
        for name, title in titles.items():
            self._menu.addAction(title, lambda n=name: self.called.emit(n))

    def show_tool(self, *names: str | None) -> None:
        """Which tool is held, and what is shown."""
        for one, part in self.buttons.items():
            part.setChecked(one in names)


def _tip(part, words, key=None):
    """What a button does, with the key of the same."""
    if key is not None and not key.isEmpty():
        words = f"{words}  ({key.toString(QKeySequence.SequenceFormat.NativeText)})"
    part.setToolTip(words)
    part.setAccessibleDescription(words)
