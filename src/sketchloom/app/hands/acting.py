"""What the window's actions do, and when they can be done."""

from PySide6.QtCore import QObject, Qt
from PySide6.QtWidgets import QApplication

from sketchloom.app import actions
from sketchloom.app.parts.about import About
from sketchloom.app.parts.help import GLOSSARY
from sketchloom.app.parts.help import STAGES as STAGE_PAGES
from sketchloom.app.parts.preferences import Preferences
from sketchloom.app.parts.tool_row import LAYER_ROW, ROW
from sketchloom.app.stages.numbers import CLEAN, LAYERS, RELEASE, SHEETS, SOURCE
from sketchloom.core.preflight.findings import STAGES

_GROUNDS = ("auto", "middle", "dark", "light")


class Acting(QObject):
    """Joins the table of actions to a window."""

    def __init__(self, window):
        super().__init__(window)
        self._window = window

    def handlers(self) -> dict:
        """What each action does, by its name."""
        return {
            "open": lambda: self._window.opening.ask_open(),
            "paste": lambda: self._window.opening.paste(),
            "save": lambda: self._window.keeping.save(),
            "save_as": lambda: self._window.keeping.ask_save_as(),
            "write": self._write_from_keys,
            "copy": lambda: self._window.keeping.copy_svg(),
            "copy_picture": lambda: self._window.keeping.copy_picture(),
            "print": lambda: self._window.keeping.ask_print(),
            "open_folder": lambda: self._window.opening.ask_folder(),
            "close": self._window.close,
            "quit": QApplication.closeAllWindows,
            "undo": lambda: self._window.undo(),
            "redo": lambda: self._window.redo(),
            "zoom_in": lambda: self._window.viewing.seen().zoom(1.25),
            "zoom_out": lambda: self._window.viewing.seen().zoom(0.8),
            "fit": lambda: self._window.viewing.seen().fit(),
            "true_size": lambda: self._window.viewing.seen().true_size(),
            "curtain": lambda on: self._set_on_bench("curtain_on", on),
            "difference": lambda on: self._set_on_bench("difference_on", on),
            "grid": lambda on: self._set_on_bench("grid", on),
            "ground": self._next_ground,
            "units": self._switch_units,
            "again": lambda: self._window.session.evaluate(),
            **{f"stage_{n}": lambda n=n: self._window.show_stage(n) for n in range(len(STAGES))},
            "logbook": self._window.show_logbook,
            "variants": lambda on: self._window.show_variants(on),
            "keep": self._keep,
            "findings": lambda: self._window.findings.toggle(),
            "panel": lambda: self._window.splitter.fold(),
            "next": lambda: self._window.stepping.take(),
            "search": lambda: self._window.searching.search.open(),
            "keys": lambda: self._window.searching.show_keys(),
            "preferences": self._show_preferences,
            "glossary": lambda: self._window.show_help(GLOSSARY),
            "tour": lambda: self._window.touring.begin(),
            "about": lambda: self._show_dialog(About(self._window)),
            **{f"tool_{tool.name}": lambda n=tool.name: self._take_tool(n) for tool in ROW},
            **{f"view_{tool.name}": lambda n=tool.name: self._turn_view(n) for tool in LAYER_ROW[1:]},
            "stage_help": lambda: self._window.show_help(STAGE_PAGES),
            "help": lambda: self._window.show_help(),
        }

    def enable(self) -> None:
        """Which actions can be done now."""
        document = self._window.session.document
        on = document is not None
        for row in actions.TABLE:
            if row.needs:
                is_seen = row.needs == actions.WORK or self._window.stage != SHEETS
                self._window.actions_by_name[row.name].setEnabled(on and is_seen)
        for name in ("undo", "redo"):
            what = getattr(document, f"{name}_text")() if on else None
            action = self._window.actions_by_name[name]
            action.setEnabled(what is not None)
            word = self.tr("Undo") if name == "undo" else self.tr("Redo")
            action.setText(f"&{word}: {what}" if what else f"&{word}")
        curtain = self._window.actions_by_name["curtain"]
        curtain.blockSignals(True)
        curtain.setChecked(self._window.bench.curtain_on)
        curtain.blockSignals(False)

    def _take_tool(self, name):
        if self._window.session.document is not None:
            self._window.show_stage(CLEAN)
            self._window.clean_tools.take(name)

    def _keep(self):
        name = self._window.beside.keep()
        if name is not None:
            self._window.notices.say("kept", "done", self.tr("Kept as “{0}”; it stands among the variants (V).").format(
                name))

    def _turn_view(self, name):
        if self._window.session.document is not None:
            self._window.show_stage(LAYERS)
            self._window.panels[LAYERS].turn_view(name)

    def _write_from_keys(self):
        if self._window.session.document is not None:
            self._window.show_stage(RELEASE)
            self._window.panels[RELEASE].ask()

    def _set_on_bench(self, name, on):
        setattr(self._window.bench, name, on)
        self._window.bench.update()

    def _next_ground(self):
        ground = _GROUNDS[(_GROUNDS.index(self._window.bench.ground) + 1) % len(_GROUNDS)]
        self._window.bench.ground = ground
        self._window.sheet_view.ground = "middle" if ground == "auto" else ground
        for view in (self._window.bench, self._window.sheet_view):
            view.update()

    def _switch_units(self):
        if self._window.session.document is not None:
            self._window.panels[SOURCE].switch_unit()

    def _show_dialog(self, dialog):
        dialog.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        dialog.show()

    def _show_preferences(self):
        dialog = Preferences(self._window)
        dialog.keys_wanted.connect(self._window.searching.show_keys)
        self._show_dialog(dialog)
