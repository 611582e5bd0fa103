"""What is seen, from the pixels of the window: text, edges and the focus, by day and by lamplight, in every stage."""

import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtGui import QImage
from PySide6.QtWidgets import (
    QAbstractButton,
    QAbstractSpinBox,
    QApplication,
    QComboBox,
    QLabel,
    QLineEdit,
    QPushButton,
    QScrollArea,
    QSlider,
    QToolButton,
    QWidget,
)

from app.driver import pause
from app.person import Person
from sketchloom.app import theme
from sketchloom.app.parts.drag_out import DragOut
from sketchloom.app.stages.fold import Fold
from sketchloom.core.preflight.findings import STAGES

TEXT, EDGE, TARGET_PX = 4.5, 3.0, 24
"""WCAG 2.2: 1.4.3 Contrast (Minimum), 1.4.11 Non-text Contrast, 2.5.8 Target Size (Minimum)."""


_HOLDERS = QComboBox, QLineEdit, QAbstractSpinBox
"""What has a field or a button within itself."""


def luminance(rgb):
    """Relative luminance of pixels (..., 3), 0 to 255, as WCAG 2.2 defines it."""
    share = np.asarray(rgb, float) / 255
    linear = np.where(share <= 0.04045, share / 12.92, ((share + 0.055) / 1.055) ** 2.4)
    return linear @ (0.2126, 0.7152, 0.0722)


def ratio(a, b):
    high, low = np.maximum(a, b), np.minimum(a, b)
    return (high + 0.05) / (low + 0.05)


def test_the_measure_is_that_of_the_standard():
    """Black on white is 21 to 1, and #767676 on white just over 4.5 (the usual example of the standard's authors)."""
    assert ratio(luminance((0, 0, 0)), luminance((255, 255, 255))) == pytest.approx(21)
    assert 4.5 < ratio(luminance((118, 118, 118)), luminance((255, 255, 255))) < 4.6


@pytest.fixture(params=list(theme.SCHEMES))
def window(request, lighthouse, monkeypatch):
    """A window with a work, in each scheme; turned to it while it stands open."""
    app = QApplication.instance()
    monkeypatch.setenv(theme.SCHEME_VARIABLE, request.param)
    theme.follow(app)
    pause(50)
    yield lighthouse.window
    monkeypatch.setenv(theme.SCHEME_VARIABLE, "light")
    theme.follow(app)


def seen_box(part, window):
    """Where all of a part is seen, None where some of it is scrolled away."""
    at, box = part.mapTo(window, QPoint(0, 0)), part.rect()
    holder = part.parentWidget()
    while holder is not None and holder is not window:
        inner = box.translated(at - holder.mapTo(window, QPoint(0, 0)))
        if not holder.rect().contains(inner):
            return None
        holder = holder.parentWidget()
    return at.x(), at.y(), at.x() + box.width(), at.y() + box.height()


def parts_of(window, kinds):
    for part in window.findChildren(QWidget):
        if isinstance(part, kinds) and part.isVisible() and part.isEnabled():
            box = seen_box(part, window)
            if box is not None and box[2] - box[0] > 8 and box[3] - box[1] > 8:
                yield part, box


def pixels(window):
    """The window as it is on the screen, (h, w, 3)."""
    image = window.grab().toImage().convertToFormat(QImage.Format.Format_RGB888)
    rows = np.frombuffer(image.constBits(), np.uint8).reshape(image.height(), image.bytesPerLine())
    return rows[:, :3 * image.width()].reshape(image.height(), image.width(), 3).copy()  # outlives the image


def text_of(part):
    return (part.text() if not isinstance(part, QComboBox) else part.currentText()).strip()


def too_faint(window):
    """Texts that stand out too little from what they stand on, with their contrast."""
    image = luminance(pixels(window))
    found = []
    for part, (x0, y0, x1, y1) in parts_of(window, (QLabel, QAbstractButton, QLineEdit, QComboBox)):
        if not text_of(part) or (isinstance(part, QLabel) and not part.pixmap().isNull()):
            continue
        inner = image[y0 + 3:y1 - 3, x0 + 3:x1 - 3]
        if isinstance(part, QComboBox):
            inner = inner[:, :-theme.px(22)]
        values, counts = np.unique(np.round(inner, 4), return_counts=True)
        ground = values[counts.argmax()]
        best = ratio(values, ground).max()
        if best < TEXT:
            found.append((type(part).__name__, text_of(part)[:30], round(float(best), 2)))
    return found


def without_edge(window):
    """Buttons and fields whose edge is not told from what is around them."""
    image = luminance(pixels(window))
    found = []
    for part, (x0, y0, _, y1) in parts_of(window, (QPushButton, QLineEdit, QComboBox)):
        if part.objectName() in ("foldhead", "link") or isinstance(part.parentWidget(), _HOLDERS):
            continue
        middle = (y0 + y1) // 2
        around, edge = image[middle, max(x0 - 2, 0)], image[middle, x0:x0 + 4]
        if ratio(edge, around).max() < EDGE:
            found.append((type(part).__name__, part.accessibleName() or text_of(part), part.objectName()))
    return found


def test_text_and_edges_stand_out_in_every_stage(window):
    for number, stage in enumerate(STAGES):
        window.show_stage(number)
        pause(80)
        panel = window.panels[number]
        bar = panel.verticalScrollBar()
        for at in range(0, bar.maximum() + panel.viewport().height(), panel.viewport().height() - 60):
            bar.setValue(at)
            pause(5)
            assert not too_faint(window), (stage, theme.scheme)
            assert not without_edge(window), (stage, theme.scheme)


def focus_contrast(part, window):
    """By how much pixels of a part change when the focus comes to it; None where it cannot be compared.

    What is worked out beside the window may move, lock or make anew what stands in a panel. So both pictures are
    taken without a pause between, and count only where the part stands at its place, with the focus, at the end.
    """
    for _ in range(20):
        window.setFocus()
        pause(5)
        try:
            box = seen_box(part, window) if part.isVisible() and part.isEnabled() else None
            if box is None or part.hasFocus():
                continue
            before = pixels(window)
            part.setFocus(Qt.FocusReason.TabFocusReason)
            after = pixels(window)
            if part.hasFocus() and seen_box(part, window) == box:
                inner = slice(box[1], box[3]), slice(box[0], box[2])
                return float(ratio(luminance(before[inner]), luminance(after[inner])).max())
        except RuntimeError:  # made anew
            return None
    return None


def test_the_focus_is_seen_on_every_kind_of_control(window):
    """Where the focus comes to, pixels change by 3 to 1 and more (WCAG 2.2, 2.4.7; the measure is that of 2.4.13)."""
    told = {}
    for number in range(len(STAGES)):
        window.show_stage(number)
        pause(50)
        window.panels[number].verticalScrollBar().setValue(0)
        for part, _ in list(parts_of(window, (QPushButton, QToolButton, QLineEdit, QComboBox))):
            if not part.focusPolicy() & Qt.FocusPolicy.TabFocus:
                continue
            kind = type(part).__name__, part.objectName(), isinstance(part, QAbstractButton) and part.isChecked()
            contrast = None if kind in told else focus_contrast(part, window)
            if contrast is not None:
                told[kind] = contrast
    assert {"QPushButton", "QToolButton", "QLineEdit", "QComboBox"} <= {name for name, *_ in told}, told
    assert not {kind: value for kind, value in told.items() if value < EDGE}


def test_targets_are_large_enough(lighthouse):
    window = lighthouse.window
    for number, stage in enumerate(STAGES):
        window.show_stage(number)
        pause(30)
        for part, (x0, y0, x1, y1) in parts_of(window, (QPushButton, QToolButton, QLineEdit, QComboBox)):
            if isinstance(part.parentWidget(), _HOLDERS):
                continue
            assert min(x1 - x0, y1 - y0) >= TARGET_PX, (stage, part.accessibleName() or text_of(part))


def test_panels_are_short_whatever_is_called_for(lighthouse):
    """No longer than twice the window, with any box open; those of a panel are open one at a time. At the usual size of
    text: larger text makes a panel longer, and the window not higher."""
    larger = max(theme.px(1000) / 1000, 1.0)
    window, person = lighthouse.window, Person(lighthouse)
    for number, stage in enumerate(STAGES):
        person.stage(window.rail.titles[number])
        panel = window.panels[number]
        if stage == "layers":
            panel.select(window.session.work.plans[1].key)
        for fold in panel.findChildren(Fold):
            fold.head.setChecked(True)
            pause(20)
            panel.widget().layout().activate()
            most = 2 * panel.viewport().height() * larger
            assert panel.widget().sizeHint().height() <= most, (stage, fold.head.text())


def focusable(panel):
    return [part for part in panel.findChildren(QWidget)
            if part.isVisible() and part.isEnabled() and part.focusPolicy() & Qt.FocusPolicy.TabFocus
            and part.focusProxy() is None and not isinstance(part, (QScrollArea, DragOut))]


def test_every_control_is_reached_by_tab_and_none_keeps_it(lighthouse):
    """WCAG 2.2, 2.1.1 Keyboard and 2.1.2 No Keyboard Trap: the focus goes once around the window."""
    window = lighthouse.window
    for number, stage in enumerate(STAGES):
        window.show_stage(number)
        pause(50)
        wanted = set(focusable(window.panels[number]))
        first = at = window.bench
        reached = set()
        for _ in range(len(window.findChildren(QWidget)) + 1):  # no chain is longer
            at = at.nextInFocusChain()
            if at is first:
                break
            reached.add(at)
        groups = {id(part.group()) for part in reached if isinstance(part, QAbstractButton) and part.group()}
        missed = [part for part in wanted - reached
                  if not (isinstance(part, QAbstractButton) and part.group() and id(part.group()) in groups)]
        assert at is first and not missed, (stage, missed)


def test_what_is_used_most_is_seen_without_scrolling(lighthouse):
    """In each stage, as the window opens at 1280 × 800."""
    window, person = lighthouse.window, Person(lighthouse)
    window.resize(1280, 800)
    for number in range(len(STAGES)):
        person.stage(window.rail.titles[number])
        pause(30)
        panel = window.panels[number]
        panel.verticalScrollBar().setValue(0)
        first = panel.landmarks()[:2 if number else 3]  # in Source the size, too
        for part, words in first:
            if part.isVisible():
                box = part.mapTo(panel.viewport(), QPoint(0, 0))
                assert box.y() >= 0 and box.y() + min(part.height(), 60) <= panel.viewport().height(), words


def test_grooves_bars_and_the_chosen_row_stand_out(window):
    """3 to 1 between a slider's groove, a scroll bar's handle and a tick's box and what is behind them (WCAG 2.2,
    1.4.11), and a chosen row is told by more than a tint (1.4.1)."""
    colour = theme.SCHEMES[theme.scheme]
    window.show_stage(1)
    pause(80)
    image = luminance(pixels(window))
    for part, (x0, y0, x1, y1) in parts_of(window, (QSlider,)):
        column = image[y0:y1, x1 - 12 if part.value() < part.maximum() else x0 + 12]
        assert ratio(column, column[0]).max() >= EDGE, part.accessibleName()
    bar = window.panels[1].verticalScrollBar()
    at = bar.mapTo(window, QPoint(bar.width() // 2, 0))
    strip = image[at.y() + 4:at.y() + bar.height() - 4, at.x()]
    assert ratio(strip, strip[-1]).max() >= EDGE
    rows = window.panels[1].colour.rows
    rows.setCurrentRow(1)
    pause(30)
    image, box = luminance(pixels(window)), rows.visualItemRect(rows.item(1))
    at = rows.viewport().mapTo(window, box.topLeft())
    row = image[at.y() + 6, at.x():at.x() + box.width()]
    tint = np.median(row)
    assert ratio(row[1], tint) >= EDGE and ratio(row[1], luminance(_rgb(colour["FIELD"]))) >= EDGE, "a bar beside it"


def _rgb(hex_colour):
    return tuple(int(hex_colour[n:n + 2], 16) for n in (1, 3, 5))
