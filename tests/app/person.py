"""A person before the window: only what a hand can do, counted. Scrolls to what it wants, opens folds, chooses from
lists."""

import re
import time

from PySide6.QtCore import QPoint, Qt, QTimer
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QColorDialog, QLineEdit, QScrollArea

from app.driver import Driver, pause, wait
from sketchloom.app.parts.tool_row import SWEEP
from sketchloom.app.stages.drawer import Drawer
from sketchloom.app.stages.fold import Fold
from sketchloom.app.stages.numbers import CLEAN


class Person:
    """Counts gestures: a click, a drag, a key, a choice from a list, a value typed, a turn of the wheel to find
    something."""

    def __init__(self, driver: Driver):
        self.driver, self.window = driver, driver.window
        self.gestures = 0
        self.begin = time.perf_counter()

    @property
    def seconds(self):
        return time.perf_counter() - self.begin

    @property
    def recipe(self):
        return self.driver.session.document.recipe

    def settled(self):
        self.driver.settled()
        session = self.driver.session
        wait(lambda: not (session.helper.busy or session.tooling.busy), 60, "what is looked for")
        pause(30)
        return self.driver.settled()

    def until(self, holds, what):
        """Wait for something to be shown."""
        wait(holds, 30, what)

    # -- the panel ---------------------------------------------------------------------

    def _reach(self, part):
        """Scroll until a part can be seen; what a sweep does is said while the tool for it is held."""
        clean = self.window.panels[CLEAN]
        if self.window.stage == CLEAN and clean.regions.isAncestorOf(part) and clean.regions.isHidden():
            self.tool(SWEEP)
        area = self._area_of(part)
        if area is not None:
            top = part.mapTo(area.viewport(), QPoint(0, 0)).y()
            if top < 0 or top + part.height() > area.viewport().height():
                self.gestures += 1
                area.ensureWidgetVisible(part, 0, 60)  # a notch of a wheel is three lines of 20 px
                pause(20)

    @staticmethod
    def _area_of(part):
        """What scrolls around a part, if anything does."""
        area = part.parentWidget()
        while area is not None and not isinstance(area, QScrollArea):
            area = area.parentWidget()
        return area

    def press(self, part, at=None):
        """A click on a part of the window that can be seen there."""
        self._reach(part)
        assert part.isEnabled(), f"{part} cannot be clicked"
        is_tick = part.metaObject().className() == "QCheckBox"

        def place():  # what has just come has no size of its own yet
            return at or (QPoint(10, part.height() // 2) if is_tick else part.rect().center())

        def is_seen():
            """What unfolds takes a moment, and what grows above a part pushes it out of sight again."""
            if part.visibleRegion().contains(place()):
                return True
            if self._area_of(part) is not None:
                self._area_of(part).ensureWidgetVisible(part, 0, 60)
            return False
        wait(is_seen, 15, f"{part} to be seen")
        self.gestures += 1
        QTest.mouseClick(part, Qt.MouseButton.LeftButton, pos=place())
        pause(5)

    def click(self, text, inside=None):
        clean = self.window.panels[CLEAN]
        if inside is clean.regions and clean.regions.isHidden():
            self.tool(SWEEP)
        self.press(self.driver.button(text, inside))

    def stage(self, name):
        self.click(name, self.window.rail)
        self.settled()
        size = None
        while size != self.window.bench.size():  # panels give and take room: a drag begun before would end elsewhere
            size = self.window.bench.size()
            pause(60)

    def tool(self, name):
        """A tool of the row in Clean."""
        self.press(self.window.panels[CLEAN].tools.buttons[name])

    def fold(self, title):
        """Open a box; one that is not there until it is called for, by the menu of all."""
        one = next(f for f in self.window.settings.currentWidget().findChildren(Fold) if f.head.text().strip() == title)
        if isinstance(one, Drawer) and not one.head.isChecked():
            self.menu(self.window.settings.currentWidget().tools.more, title)
        elif not one.head.isChecked():
            self.press(one.head)
        self._reach(one.head)

    def choose(self, combo, text):
        """An entry of a drop-down list, by how it begins."""
        self._reach(combo)
        row = next(n for n in range(combo.count()) if combo.itemText(n).startswith(text))
        self.gestures += 2
        QTest.mouseClick(combo, Qt.MouseButton.LeftButton)
        wait(lambda: combo.view().isVisible(), 5, "the list")
        for _ in range(abs(row - combo.view().currentIndex().row())):
            QTest.keyClick(combo.view(), Qt.Key.Key_Down if row > combo.view().currentIndex().row() else Qt.Key.Key_Up)
        QTest.keyClick(combo.view(), Qt.Key.Key_Return)
        pause(20)
        assert combo.currentIndex() == row

    def row(self, listing, number, modifier=Qt.KeyboardModifier.NoModifier):
        self._reach(listing)
        index = listing.model().index(number, 0)
        listing.scrollTo(index)
        self.gestures += 1
        QTest.mouseClick(listing.viewport(), Qt.MouseButton.LeftButton, modifier, listing.visualRect(index).center())
        pause(5)

    def row_twice(self, listing, number):
        """A double click on a row."""
        self.row(listing, number)
        rect = listing.visualRect(listing.model().index(number, 0))
        QTest.mouseDClick(listing.viewport(), Qt.MouseButton.LeftButton, pos=rect.center())
        pause(20)

    def type_over(self, listing, text, ends_with="Return"):
        """A text in the field that a list has open over one of its rows, and the key that ends it."""
        self.gestures += 1
        wait(lambda: listing.findChildren(QLineEdit), 5, "a field to name it")
        field = listing.findChildren(QLineEdit)[-1]
        QTest.keyClicks(field, text)
        QTest.keyClick(field, getattr(Qt.Key, f"Key_{ends_with}"))
        pause(20)

    def carry(self, listing, number, to):
        """A row of a list dragged to another place."""
        self.gestures += 1
        model = listing.model()
        model.moveRow(listing.rootIndex(), number, listing.rootIndex(), to + (to > number))
        pause(20)

    def tick(self, listing, number):
        """The box before a row."""
        self._reach(listing)
        rect = listing.visualRect(listing.model().index(number, 0))
        self.gestures += 1
        QTest.mouseClick(listing.viewport(), Qt.MouseButton.LeftButton, pos=QPoint(rect.left() + 10, rect.center().y()))
        pause(5)

    def type(self, field, text):
        self._reach(field)
        self.gestures += 1
        field.setFocus()
        field.selectAll()
        QTest.keyClicks(field, text)
        QTest.keyClick(field, Qt.Key.Key_Return)
        pause(5)

    def menu(self, part, text):
        """An entry of a button's menu."""
        self._reach(part)
        self.gestures += 2
        menu = part.menu()

        def choose():  # what is in it may be filled as it opens
            action = next(a for a in menu.actions() if a.text().startswith(text))
            assert action.isEnabled()
            QTest.mouseClick(menu, Qt.MouseButton.LeftButton, pos=menu.actionGeometry(action).center())
        QTimer.singleShot(50, choose)
        QTest.mouseClick(part, Qt.MouseButton.LeftButton)
        pause(100)

    def colour(self, open_dialog, hex_colour):
        """A colour typed into the colour dialog that something opens."""
        def answer():
            dialog = QApplication.activeModalWidget()
            assert isinstance(dialog, QColorDialog)
            field = next(f for f in dialog.findChildren(QLineEdit) if re.fullmatch(r"#[0-9a-fA-F]{6}", f.text()))
            field.selectAll()
            QTest.keyClicks(field, hex_colour)
            QTest.keyClick(field, Qt.Key.Key_Return)
            if dialog.isVisible():
                dialog.accept()
        self.gestures += 1
        QTimer.singleShot(200, answer)
        open_dialog()
        pause(20)

    # -- the bench ---------------------------------------------------------------------

    def at(self, x, y):
        """A place given in shares of the picture's sides, on the bench."""
        width, height = self.driver.session.latest.work.size_mm
        return self.driver.at_mm(x * width, y * height)

    def _seen(self, place):
        assert self.window.bench.rect().contains(place), "beyond the bench"
        return place

    def point(self, x, y, modifier=Qt.KeyboardModifier.NoModifier):
        self.gestures += 1
        place = self._seen(self.at(x, y))
        QTest.mouseMove(self.window.bench, place)
        QTest.mouseClick(self.window.bench, Qt.MouseButton.LeftButton, modifier, place)
        pause(5)

    def twice(self, x, y):
        self.point(x, y)
        QTest.mouseDClick(self.window.bench, Qt.MouseButton.LeftButton, pos=self.at(x, y))
        pause(5)

    def drag(self, *places, modifier=Qt.KeyboardModifier.NoModifier):
        self.gestures += 1
        bench, places = self.window.bench, [self._seen(self.at(*p)) for p in places]
        QTest.mousePress(bench, Qt.MouseButton.LeftButton, modifier, places[0])
        for place in places[1:]:
            QTest.mouseMove(bench, place)
            pause(2)
        QTest.mouseRelease(bench, Qt.MouseButton.LeftButton, modifier, places[-1])
        pause(5)

    def slide(self, widget, a, b):
        """A drag within a part of the panel, from a share of its width to another."""
        self._reach(widget)
        self.gestures += 1
        places = [QPoint(round(widget.width() * v), widget.height() // 2) for v in (a, b)]
        QTest.mousePress(widget, Qt.MouseButton.LeftButton, pos=places[0])
        QTest.mouseMove(widget, places[1])
        QTest.mouseRelease(widget, Qt.MouseButton.LeftButton, pos=places[1])
        pause(5)

    def key(self, *keys):
        if not self.window.isActiveWindow():  # a list that was open stays so where there is no window system
            self.window.activateWindow()
            pause(50)
        for one in keys:
            self.gestures += 1
            QTest.keySequence(self.window, one)
        pause()

    def key_on(self, part, name, ctrl=False):
        """A key while a part of the panel has the focus."""
        self._reach(part)
        self.gestures += 1
        part.setFocus()
        QTest.keyClick(
            part,
            getattr(Qt.Key, f"Key_{name}"),
            Qt.KeyboardModifier.ControlModifier if ctrl else Qt.KeyboardModifier.NoModifier,
        )
        pause(5)

    def cell(self, table, row, column):
        """A cell of a table."""
        self._reach(table)
        self.gestures += 1
        QTest.mouseClick(
            table.viewport(), Qt.MouseButton.LeftButton, pos=table.visualItemRect(table.item(row, column)).center()
        )
        pause(5)
