"""Everything that a keyboard reaches has a name that is read out (WCAG 2.2, 4.1.2 Name, Role, Value)."""

import pytest
from PySide6.QtCore import Qt
from PySide6.QtGui import QAccessible
from PySide6.QtWidgets import QApplication, QScrollArea, QWidget

from app.driver import pause, wait
from sketchloom.app.parts.layer_order import LayerOrderDialog
from sketchloom.app.parts.materials_table import MaterialsTable
from sketchloom.app.parts.scanner import ScannerDialog
from sketchloom.app.stages.fold import Fold
from sketchloom.core.preflight.findings import STAGES


def nameless(top):
    """Parts of a window that take the focus by Tab and are read out as nothing."""
    found = []
    for part in top.findChildren(QWidget):
        if not part.isVisibleTo(top) or not part.focusPolicy() & Qt.FocusPolicy.TabFocus or part.focusProxy():
            continue
        if isinstance(part, QScrollArea):  # a frame around parts that have names
            continue
        asked = QAccessible.queryAccessibleInterface(part)
        if asked is None or not asked.text(QAccessible.Text.Name).strip():
            found.append(f"{type(part).__name__} in {type(part.parent()).__name__}")
    return found


def test_the_window_in_all_stages_with_every_fold_open(lighthouse):
    window = lighthouse.window
    for number, stage in enumerate(STAGES):
        window.show_stage(number)
        for fold in window.panels[number].findChildren(Fold):
            fold.head.setChecked(True)  # others close
            pause(5)
            assert not nameless(window), (stage, fold.head.text())


def test_the_welcome_page(driver):
    assert not nameless(driver.window)


@pytest.mark.parametrize("opened", ("help", "materials", "scanner", "layers"))
def test_dialogs(lighthouse, smaller, opened):
    window = lighthouse.window
    if opened == "help":
        window.show_help()
        wait(lambda: any(type(w).__name__ == "HelpDialog" and w.isVisible() for w in QApplication.topLevelWidgets()))
        dialog = next(w for w in QApplication.topLevelWidgets() if type(w).__name__ == "HelpDialog")
    else:
        path = smaller("lighthouse")
        dialog = {
            "materials": lambda: MaterialsTable(window),
            "scanner": lambda: ScannerDialog(window, "lantern"),
            "layers": lambda: LayerOrderDialog(window, [path, path]),
        }[opened]()
        dialog.show()
    pause(30)
    assert not nameless(dialog)
    dialog.close()
