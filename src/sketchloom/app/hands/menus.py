"""Menus at the pointer: what can be done to what lies there, by the right button, the menu key or a long press."""

from PySide6.QtCore import QObject, QPoint, Qt
from PySide6.QtGui import QKeySequence
from PySide6.QtWidgets import QMenu

from sketchloom.app.parts.acts import COLOUR
from sketchloom.app.parts.widgets import swatch
from sketchloom.app.stages.numbers import CLEAN, LAYERS, TRACE
from sketchloom.app.words import colour_word, told
from sketchloom.desk.things import LAYER, Thing

_VIEW = ("fit", "true_size", "curtain", "grid", "ground", "difference")
_OUT = ("copy", "copy_picture", "print")


class Menus(QObject):
    """Makes the menus of a window from what is chosen, and from its actions."""

    def __init__(self, window):
        super().__init__(window)
        self._window = window
        self.menu: QMenu | None = None
        window.bench.menu_wanted.connect(self._of_bench)
        for view in (window.sheet_view, window.play_view):
            view.setContextMenuPolicy(Qt.ContextMenuPolicy.CustomContextMenu)
            view.customContextMenuRequested.connect(lambda at, v=view: self._show(v.mapToGlobal(at)))
        for rows, choose in ((window.panels[LAYERS].rows, self._choose_layer),
                             (window.panels[TRACE].colour.rows, lambda: None)):
            rows.setContextMenuPolicy(Qt.ContextMenuPolicy.CustomContextMenu)
            rows.customContextMenuRequested.connect(lambda at, r=rows, c=choose: self._of_rows(r, at, c))

    def _choosing(self):
        """What chooses in the stage that is seen."""
        window = self._window
        return window.choosing if window.stage == CLEAN else window.resting.get(window.stage)

    def _of_bench(self, at, is_by_key):
        """What lies there is chosen first, unless it is among what is chosen."""
        window, choosing = self._window, self._choosing()
        if window.session.document is None:
            return
        if choosing is not None and choosing.is_held and not is_by_key:
            choosing.choose_for_menu(window.bench.frame(), at)
        if is_by_key and choosing is not None and choosing.chosen:
            at = choosing.strip.geometry().center()
        self._show(window.bench.mapToGlobal(at.toPoint() if hasattr(at, "toPoint") else at))

    def _of_rows(self, rows, at, choose):
        item = rows.itemAt(at)
        if item is not None:
            if not item.isSelected():
                rows.setCurrentItem(item)
            choose()
            self._show(rows.viewport().mapToGlobal(at))

    def _choose_layer(self):
        choosing, key = self._window.resting[LAYERS], self._window.panels[LAYERS].rows.current_key()
        work = self._window.session.work
        keys = [] if work is None else [plan.key for plan in work.plans]
        if key in keys:
            choosing.choose([Thing(LAYER, keys.index(key))])

    def _show(self, place: QPoint):
        self.menu = menu = QMenu(self._window)
        menu.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        menu.destroyed.connect(lambda *_, m=menu: self._forget(m))
        choosing = self._choosing()
        if choosing is not None and choosing.chosen and choosing.acts():
            self._add_acts(menu, choosing)
            menu.addSeparator()
        for names in (_VIEW, _OUT):
            for name in names:
                action = self._window.actions_by_name[name]
                if action.isEnabled():
                    menu.addAction(action)
            menu.addSeparator()
        menu.popup(place)

    def _forget(self, menu):
        if self.menu is menu:
            self.menu = None

    def _add_acts(self, menu, choosing):
        head = menu.addAction(choosing.strip.words.text())
        head.setEnabled(False)
        for act in choosing.acts():
            made = menu.addAction(told(act.words))
            if act.key is not None:
                made.setShortcut(QKeySequence(act.key))
                made.setShortcutContext(Qt.ShortcutContext.WidgetShortcut)  # shown, and done by the bench
            made.triggered.connect(lambda _=False, a=act: choosing.do(a.name))
        hexes = choosing.hexes()
        if hexes:
            colours = menu.addMenu(self.tr("Colour"))
            for one in hexes:
                colours.addAction(swatch(one, 16), f"{colour_word(one)} {one}").triggered.connect(
                    lambda _=False, h=one: choosing.do(COLOUR, h))
