"""The window's actions: their words, icons and keys, in one table."""

from PySide6.QtGui import QAction, QKeySequence

from sketchloom.app import theme
from sketchloom.app.words import told
from sketchloom.core.base.said import said

# name, words, icon, keys, whether it is a switch
TABLE = (
    ("open", said("Open…"), "folder-open", ("Ctrl+O",), False),
    ("paste", said("Paste a picture"), "clipboard", ("Ctrl+V",), False),
    ("save", said("Save the project"), "device-floppy", ("Ctrl+S",), False),
    ("save_as", said("Save the project as…"), "", ("Ctrl+Shift+S",), False),
    ("write", said("Write cut files…"), "file-export", ("Ctrl+E",), False),
    ("close", said("Close the window"), "", ("Ctrl+W",), False),
    ("undo", said("Undo"), "arrow-back-up", ("Ctrl+Z",), False),
    ("redo", said("Redo"), "arrow-forward-up", ("Ctrl+Shift+Z", "Ctrl+Y"), False),
    ("zoom_in", said("Zoom in"), "zoom-in", ("+", "="), False),
    ("zoom_out", said("Zoom out"), "zoom-out", ("-",), False),
    ("fit", said("Fit to the bench"), "maximize", ("F",), False),
    ("true_size", said("True size"), "aspect-ratio", ("1",), False),
    ("curtain", said("Curtain between source and cut"), "arrows-split-2", ("C",), True),
    ("grid", said("Grid"), "ruler-2", ("R",), True),
    ("ground", said("Next ground behind the work"), "contrast", ("B",), False),
    ("difference", said("Where the picture is unlike the cut"), "target", ("D",), True),
    ("variants", said("Variants side by side"), "layout-columns", ("V",), True),
    ("units", said("Switch between mm and inches"), "", ("U",), False),
    ("again", said("Trace again"), "refresh", ("F5",), False),
    ("stage_0", said("Source"), "", ("Alt+1",), False),
    ("stage_1", said("Trace"), "", ("Alt+2",), False),
    ("stage_2", said("Clean"), "", ("Alt+3",), False),
    ("stage_3", said("Layers"), "", ("Alt+4",), False),
    ("stage_4", said("Sheets"), "", ("Alt+5",), False),
    ("stage_5", said("Release"), "", ("Alt+6",), False),
    ("findings", said("Fold or unfold the findings"), "", ("Ctrl+L",), False),
    ("panel", said("Fold the panel away or bring it back"), "", ("F8",), False),
    ("help", said("Help and keys"), "help-circle", ("F1",), False),
)

MENUS = (
    (said("File"), ("open", "@recent", "@demo", "paste", None, "save", "save_as", None, "write", None, "close")),
    (said("Edit"), ("undo", "redo", None, "again")),
    (
        said("View"),
        (
            "stage_0",
            "stage_1",
            "stage_2",
            "stage_3",
            "stage_4",
            "stage_5",
            None,
            "zoom_in",
            "zoom_out",
            "fit",
            "true_size",
            None,
            "curtain",
            "difference",
            "variants",
            "grid",
            "ground",
            "units",
            None,
            "findings",
            "panel",
        ),
    ),
    (said("Help"), ("help",)),
)


def build(window, handlers: dict) -> dict[str, QAction]:
    """An action for each row of the table, connected to the handler of its name."""
    made = {}
    for name, words, icon, keys, switch in TABLE:
        action = QAction(told(words), window)
        if icon:
            action.setIcon(theme.icon(icon, theme.INK))
        action.setShortcuts([QKeySequence(k) for k in keys])
        action.setToolTip(f"{told(words).rstrip('…')}  ({keys[0]})")
        action.setCheckable(switch)
        (action.toggled if switch else action.triggered).connect(_plain(handlers[name], switch))
        window.addAction(action)
        made[name] = action
    return made


def _plain(handler, switch):
    """What a triggered action says about being checked is no argument of its handler."""
    return handler if switch else lambda *_: handler()


def fill_menus(bar, actions: dict, submenus: dict) -> None:
    """The menu bar; names with @ are submenus the window fills."""
    for title, names in MENUS:
        menu = bar.addMenu(told(title))
        for name in names:
            if name is None:
                menu.addSeparator()
            elif name.startswith("@"):
                menu.addMenu(submenus[name[1:]])
            else:
                menu.addAction(actions[name])
