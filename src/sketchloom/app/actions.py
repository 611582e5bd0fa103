"""The window's actions: their words, icons and keys, in one table, and the keys that a user gave them."""

from dataclasses import dataclass

from PySide6.QtCore import Qt
from PySide6.QtGui import QAction, QKeySequence

from sketchloom.app import theme
from sketchloom.app.parts.tool_row import LAYER_ROW, ROW
from sketchloom.app.words import told
from sketchloom.core.base.said import said
from sketchloom.files import user_data

WORK, BENCH = "work", "bench"


@dataclass(frozen=True, slots=True)
class Row:
    """An action: its ``name``, words, icon and keys, whether it is a switch, and what else people call it. ``needs`` an
    open work, or that its bench is seen."""

    name: str
    words: str
    icon: str = ""
    keys: tuple[str, ...] = ()
    is_switch: bool = False
    near: str = ""
    needs: str = ""

    @property
    def plain(self) -> str:
        """Its words where no dots are wanted."""
        return told(self.words).rstrip("…")


TABLE = (
    Row("open", said("Open…"), "folder-open", ("Ctrl+O",), near=said("picture file project load")),
    Row("paste", said("Paste a picture"), "clipboard", ("Ctrl+V",), near=said("clipboard")),
    Row("save", said("Save the project"), "device-floppy", ("Ctrl+S",), near=said("keep store"), needs=WORK),
    Row("save_as", said("Save the project as…"), "", ("Ctrl+Shift+S",), near=said("copy name"), needs=WORK),
    Row("write", said("Write cut files…"), "file-export", ("Ctrl+E",),
        near=said("export release svg output"), needs=WORK),
    Row("copy", said("Copy as SVG"), "clipboard", ("Ctrl+C",), near=said("clipboard vector"), needs=WORK),
    Row("copy_picture", said("Copy as a picture"), "", ("Ctrl+Shift+C",), near=said("clipboard png image"), needs=WORK),
    Row("print", said("Print at true size…"), "", ("Ctrl+P",), near=said("paper pages pdf poster"), needs=WORK),
    Row("open_folder", said("Open a folder…"), "", ("Ctrl+Shift+O",), near=said("several works batch pictures")),
    Row("close", said("Close the window"), "", ("Ctrl+W",)),
    Row("quit", said("Quit"), "", ("Ctrl+Q",), near=said("exit end leave close all")),
    Row("undo", said("Undo"), "arrow-back-up", ("Ctrl+Z",), near=said("take back")),
    Row("redo", said("Redo"), "arrow-forward-up", ("Ctrl+Shift+Z", "Ctrl+Y"), near=said("again")),
    Row("zoom_in", said("Zoom in"), "zoom-in", ("+", "="), near=said("larger"), needs=WORK),
    Row("zoom_out", said("Zoom out"), "zoom-out", ("-",), near=said("smaller"), needs=WORK),
    Row("fit", said("Fit to the bench"), "maximize", ("F",), near=said("whole all zoom"), needs=WORK),
    Row("true_size", said("True size"), "aspect-ratio", ("1",), near=said("100 per cent zoom"), needs=WORK),
    Row("curtain", said("Curtain between source and cut"), "arrows-split-2", ("C",), True,
        said("compare before after"), needs=BENCH),
    Row("grid", said("Grid"), "ruler-2", ("R",), True, said("lines ruler"), needs=BENCH),
    Row("ground", said("Next ground behind the work"), "contrast", ("B",),
        near=said("background light dark"), needs=WORK),
    Row("difference", said("Where the picture is unlike the cut"), "target", ("D",), True,
        said("compare errors"), needs=BENCH),
    Row("variants", said("Variants side by side"), "layout-columns", ("V",), True,
        said("alternatives compare"), needs=BENCH),
    Row("keep", said("Keep this as an alternative"), "", ("Shift+V",), near=said("variant version remember"),
        needs=WORK),
    Row("units", said("Switch between mm and inches"), "", ("U",), near=said("unit millimetres"), needs=WORK),
    Row("again", said("Trace again"), "refresh", ("F5",), near=said("evaluate renew"), needs=WORK),
    Row("stage_0", said("Source"), "", ("Alt+1",), near=said("stage picture size")),
    Row("stage_1", said("Trace"), "", ("Alt+2",), near=said("stage reading colours")),
    Row("stage_2", said("Clean"), "", ("Alt+3",), near=said("stage regions edit")),
    Row("stage_3", said("Layers"), "", ("Alt+4",), near=said("stage stack order")),
    Row("stage_4", said("Sheets"), "", ("Alt+5",), near=said("stage machine plan")),
    Row("stage_5", said("Release"), "", ("Alt+6",), near=said("stage files")),
    Row("next", said("Next step"), "", ("Ctrl+Return",), near=said("continue on"), needs=WORK),
    Row("search", said("Search everything"), "search", ("Ctrl+K",), near=said("find command help")),
    *(Row(f"tool_{tool.name}", tool.words, tool.icon, (f"Ctrl+{n}",), near=tool.near, needs=WORK)
      for n, tool in enumerate(ROW, 1)),
    *(Row(f"view_{tool.name}", tool.words, tool.icon, (key,), near=tool.near, needs=WORK)
      for tool, key in zip(LAYER_ROW[1:], ("F6", "F7"), strict=True)),
    Row("findings", said("Fold or unfold the findings"), "", ("Ctrl+L",), near=said("warnings list")),
    Row("panel", said("Fold the panel away or bring it back"), "", ("F8",), near=said("settings hide")),
    Row("keys", said("Keys…"), "", (), near=said("shortcuts keyboard change")),
    Row("preferences", said("Preferences…"), "", ("Ctrl+,",), near=said("settings options theme dark language units")),
    Row("logbook", said("Logbook"), "bookmark", ("Alt+7",), near=said("jobs test cuts stock history diary")),
    Row("help", said("Help and keys"), "help-circle", ("F1",), near=said("manual")),
    Row("stage_help", said("Help to this stage"), "", ("Ctrl+F1",), near=said("manual pictures page"), needs=WORK),
    Row("glossary", said("Glossary"), "", ("Shift+F1",), near=said("words terms meaning")),
    Row("tour", said("A first job, step by step"), "", (), near=said("tutorial learn introduction")),
    Row("about", said("About Sketch Loom"), "", (), near=said("version licence libraries")),
)
ROWS = {row.name: row for row in TABLE}

MENUS = (
    (said("File"), ("open", "open_folder", "@recent", "@demo", "paste", None, "save", "save_as", None, "write",
                    "print", None, "close", "quit")),
    (said("Edit"), ("undo", "redo", None, "copy", "copy_picture", None, "search", "again", None, "keys",
                    "preferences")),
    (said("Tools"), (*(f"tool_{tool.name}" for tool in ROW), None,
                     *(f"view_{tool.name}" for tool in LAYER_ROW[1:]))),
    (
        said("View"),
        (
            "stage_0",
            "stage_1",
            "stage_2",
            "stage_3",
            "stage_4",
            "stage_5",
            "next",
            None,
            "zoom_in",
            "zoom_out",
            "fit",
            "true_size",
            None,
            "curtain",
            "difference",
            "logbook",
            "variants",
            "keep",
            "grid",
            "ground",
            "units",
            None,
            "findings",
            "panel",
        ),
    ),
    (said("Help"), ("tour", "stage_help", "help", "glossary", None, "about")),
)
_own: dict[str, tuple[str, ...]] = {}


def load_keys() -> None:
    """Read the keys that the user gave; what is no key of an action here is left out."""
    _own.clear()
    for name, keys in user_data.own_keys().items():
        if name in ROWS and all(map(_is_key, keys)):
            _own[name] = tuple(keys)


def _is_key(text):
    sequence = QKeySequence(text)
    return sequence.count() == 1 and sequence[0].key() != Qt.Key.Key_unknown


def keys_of(name: str) -> tuple[str, ...]:
    """The keys of an action that are in force."""
    return _own.get(name, ROWS[name].keys)


def give_keys(name: str, keys) -> None:
    """Give an action other keys, None for those it ships with; written at once. Raises ExportError."""
    changed = {**_own, name: tuple(keys)} if keys is not None else {n: k for n, k in _own.items() if n != name}
    changed = {n: k for n, k in changed.items() if k != ROWS[n].keys}
    user_data.keep_own_keys(changed)
    _own.clear()
    _own.update(changed)


def owner_of(key: str, but: str = "") -> str | None:
    """The action that a key belongs to, other than one."""
    wanted = QKeySequence(key)
    return next((name for name in ROWS if name != but and wanted in map(QKeySequence, keys_of(name))), None)


def sequences() -> list[QKeySequence]:
    """All keys of actions."""
    return [QKeySequence(key) for name in ROWS for key in keys_of(name)]


def build(window, handlers: dict) -> dict[str, QAction]:
    """An action for each row of the table, connected to the handler of its name."""
    made = {}
    for row in TABLE:
        action = QAction(told(row.words), window)
        action.setIconText(row.plain)
        if row.icon:
            action.setIcon(theme.icon(row.icon, "INK"))
        action.setCheckable(row.is_switch)
        (action.toggled if row.is_switch else action.triggered).connect(_plain(handlers[row.name], row.is_switch))
        window.addAction(action)
        made[row.name] = action
    key_up(made)
    return made


def key_up(made: dict[str, QAction]) -> None:
    """Give built actions the keys in force."""
    for name, action in made.items():
        keys = keys_of(name)
        action.setShortcuts([QKeySequence(key) for key in keys])
        shown = QKeySequence(keys[0]).toString(QKeySequence.SequenceFormat.NativeText) if keys else ""
        action.setToolTip(f"{ROWS[name].plain}  ({shown})" if shown else ROWS[name].plain)


def _plain(handler, switch):
    """What a triggered action says about being checked is no argument of its handler."""
    return handler if switch else lambda *_: handler()


def fill_menus(bar, actions: dict, submenus: dict) -> None:
    """The menu bar, a letter of every entry underlined; names with @ are submenus the window fills."""
    titles = with_letters([told(title) for title, _ in MENUS])
    for title, (_, names) in zip(titles, MENUS, strict=True):
        menu = bar.addMenu(title)
        for name in names:
            if name is None:
                menu.addSeparator()
            elif name.startswith("@"):
                menu.addMenu(submenus[name[1:]])
            else:
                menu.addAction(actions[name])
        entries = [action for action in menu.actions() if action.text()]
        for action, text in zip(entries, with_letters([one.text() for one in entries]), strict=True):
            action.setText(text)


def with_letters(texts) -> list[str]:
    """Texts of one menu with an ampersand before a letter that no other of them has, first letters of words first;
    none where there is no letter left."""
    taken: set[str] = set()
    made = []
    for text in texts:
        begins = [n for n, c in enumerate(text) if c.isalnum() and (n == 0 or not text[n - 1].isalnum())]
        order = [*begins, *(n for n, c in enumerate(text) if c.isalnum() and n not in begins)]
        at = next((n for n in order if text[n].casefold() not in taken), None)
        if at is None:
            made.append(text)
        else:
            taken.add(text[at].casefold())
            made.append(f"{text[:at]}&{text[at:]}")
    return made
