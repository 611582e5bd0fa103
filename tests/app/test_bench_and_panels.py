"""Bench, panels, findings and help: what a hand does to them."""

import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtGui import QAccessible
from PySide6.QtTest import QTest
from PySide6.QtWidgets import (
    QAbstractButton,
    QComboBox,
    QHeaderView,
    QLabel,
    QLineEdit,
    QListWidget,
    QScrollArea,
    QSlider,
    QWidget,
)

from app.driver import grabbed, pause, wait
from sketchloom.app import theme
from sketchloom.app.bench import rulers
from sketchloom.app.bench.view import View, ruler_step
from sketchloom.app.painted import Picture
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.rail import ATTENTION, UNTOUCHED
from sketchloom.app.parts.spot import Spot
from sketchloom.app.stages.numbers import LAYERS, RELEASE, SOURCE, TRACE
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.demo_works import DEMOS, demo
from sketchloom.files.opening import open_project


def test_before_anything_is_open(driver):
    window = driver.window
    assert window.welcome.isVisible() and not window.settings.isVisible()
    driver.button("Lighthouse badge")
    driver.click("Kingfisher sketch")
    wait(lambda: driver.session.document is not None)
    assert driver.settled().reading == "tone" and window.bench.isVisible()


def test_every_demo_gives_layers():
    """Traced from a reduced copy, as it only matters that all of them can be."""
    for one in DEMOS:
        opened = open_project(one.project(), None)
        assert Pipeline().evaluate(opened.picture.reduced(500), opened.project.recipe).layers, one.key


@pytest.mark.parametrize("key", ["page", "layers", "mark"])
def test_a_demo_is_opened_from_the_first_screen(driver, key):
    one = demo(key)
    tile = next(b for b in driver.window.welcome.findChildren(QAbstractButton) if b.text() == one.title)
    QTest.mouseClick(tile, Qt.MouseButton.LeftButton)
    wait(lambda: driver.session.document is not None and driver.session.document.picture.name == one.source_name)
    assert driver.settled().layers


def test_hover_says_what_it_is(lighthouse):
    bench = lighthouse.window.bench
    bench.move_curtain(0.0)
    # the middle of the tower's first white stripe is foam, in a badge 120 mm wide by default
    scale = lighthouse.work.size_mm[0] / 1000
    QTest.mouseMove(bench, lighthouse.at_mm(500 * scale, 400 * scale))
    pause(20)
    text = bench.accessibleDescription()
    assert text.startswith("region · #f3ead7 · layer") and "cream" in text and text.endswith("mm")
    QTest.mouseMove(bench, lighthouse.at_mm(5 * scale, 5 * scale))
    pause(20)
    assert bench.accessibleDescription() == "ground, not cut"


def test_the_wheel_zooms_to_the_pointer_and_a_drag_pans(lighthouse):
    bench = lighthouse.window.bench
    at = lighthouse.at_mm(30, 40)
    before = bench.view.scale
    lighthouse.wheel(at, 3)
    assert bench.view.scale == pytest.approx(before * 1.2**3)
    assert bench.view.to_mm(at.x(), at.y()) == pytest.approx((30, 40), abs=0.2)
    x = bench.view.x
    start = at
    bench.move_curtain(0.95)
    QTest.mousePress(bench, Qt.MouseButton.LeftButton, pos=start)
    QTest.mouseMove(bench, start + type(start)(25, 10))
    QTest.mouseRelease(bench, Qt.MouseButton.LeftButton, pos=start + type(start)(25, 10))
    assert bench.view.x == pytest.approx(x + 25)
    lighthouse.key("F")
    assert bench.view.scale == pytest.approx(before)
    lighthouse.key("1")
    assert lighthouse.window.bar._zoom.text() == "100 %"


def test_keys_of_the_bench(lighthouse):
    bench, window = lighthouse.window.bench, lighthouse.window
    bench.setFocus()
    lighthouse.key("C")
    assert not bench.curtain_on
    lighthouse.key("C", "R")
    assert bench.curtain_on and bench.grid
    seen = [bench.ground]
    for _ in range(4):
        lighthouse.key("B")
        seen.append(bench.ground)
    assert seen == ["auto", "middle", "dark", "light", "auto"]
    at = bench.curtain
    QTest.keyClicks(bench, "]]")
    assert bench.curtain == pytest.approx(at + 0.08)
    QTest.keyPress(bench, Qt.Key.Key_O)
    assert bench.source_only or not window.isActiveWindow()
    QTest.keyRelease(bench, Qt.Key.Key_O)
    assert not bench.source_only
    y = bench.view.y
    QTest.keyClick(bench, Qt.Key.Key_Down)
    assert bench.view.y == y - 40


def test_picking_a_colour_from_the_picture(lighthouse):
    lighthouse.key("Alt+2")
    panel = lighthouse.window.panels[TRACE]
    rows = [panel.colour._list.item(r).data(Qt.ItemDataRole.UserRole) for r in range(panel.colour._list.count())]
    panel.colour._list.setCurrentRow(rows.index("#d9c6a0"))
    lighthouse.click("Replace")
    bench = lighthouse.window.bench
    scale = lighthouse.work.size_mm[0] / 1000
    QTest.mouseClick(bench, Qt.MouseButton.LeftButton, pos=lighthouse.at_mm(500 * scale, 30 * scale + 15 * scale))
    work = lighthouse.settled()
    assert "#d9c6a0" not in [e.hex for e in work.segmentation.entries]
    assert not bench.picking and len(work.segmentation.entries) == 6
    lighthouse.click("Forget my colour edits")
    assert len(lighthouse.settled().segmentation.entries) == 7


def test_merging_and_splitting_colours(lighthouse):
    lighthouse.key("Alt+2")
    panel = lighthouse.window.panels[TRACE]
    for row in range(panel.colour._list.count()):
        item = panel.colour._list.item(row)
        item.setSelected(item.data(Qt.ItemDataRole.UserRole) in ("#d9c6a0", "#f3ead7"))
    lighthouse.click("Merge")
    work = lighthouse.settled()
    assert len(work.segmentation.entries) == 6 and len(work.layers) == 5
    panel.colour._list.clearSelection()
    for row in range(panel.colour._list.count()):
        if " +1 " in panel.colour._list.item(row).text():
            panel.colour._list.item(row).setSelected(True)
    lighthouse.click("Split")
    assert len(lighthouse.settled().layers) == 6


def test_dragging_a_layer_in_the_list(lighthouse):
    lighthouse.key("Alt+4")
    layers = lighthouse.window.panels[LAYERS]
    before = [p.key for p in lighthouse.work.plans]
    model = layers._list.model()
    model.moveRow(layers._list.rootIndex(), 0, layers._list.rootIndex(), layers._list.count())
    after = [p.key for p in lighthouse.settled().plans]
    assert after == [before[-1], *before[:-1]]
    layers.select(after[0])
    layers.setFocus()
    QTest.keyClick(layers, Qt.Key.Key_Up, Qt.KeyboardModifier.ControlModifier)
    assert [p.key for p in lighthouse.settled().plans][1] == after[0]


def test_layer_edits(lighthouse):
    lighthouse.key("Alt+4")
    layers = lighthouse.window.panels[LAYERS]
    key = lighthouse.work.plans[2].key
    layers.select(key)
    lighthouse.type_into(layers.chosen._name, "roofs")
    assert lighthouse.settled().plans[2].name == "roofs"
    lighthouse.click("Leave out")
    assert len(lighthouse.settled().layers) == 5
    lighthouse.click("Leave out")
    below = lighthouse.settled().plans[1].key
    layers.select(key)
    lighthouse.click("Merge down")
    assert key not in [p.key for p in lighthouse.settled().plans]
    layers.select(below)
    lighthouse.click("Part again")
    assert len(lighthouse.settled().layers) == 6


def test_a_wrong_length_is_marked_and_nothing_changes(lighthouse):
    field = lighthouse.window.panels[SOURCE].findChildren(LengthEdit)[0]
    before = lighthouse.session.document.recipe

    def said():
        return " ".join(t.text() for t in lighthouse.window.findChildren(QLabel, "trouble") if t.isVisible())
    lighthouse.type_into(field, "five")
    assert field.property("wrong") == "true" and "number above 0" in said()
    lighthouse.type_into(field, "1 mm")
    assert "Between" in said() and lighthouse.session.document.recipe == before


def test_findings_lead_to_their_place_and_are_mended(lighthouse):
    field = lighthouse.window.panels[SOURCE].findChildren(LengthEdit)[0]
    lighthouse.type_into(field, "600 mm")
    work = lighthouse.settled()
    codes = {f.code for f in work.findings}
    assert {"source.small", "size.over_carrier"} <= codes
    rail = lighthouse.window.rail.buttons
    assert rail[SOURCE].state == ATTENTION and rail[LAYERS].state == UNTOUCHED
    lighthouse.key("Ctrl+L")
    line = lighthouse.window.findings
    pause(20)
    lighthouse.click("Go t", line)  # there, or to the next of several
    assert lighthouse.window.bench.target is not None
    lighthouse.click("All: Make it fit", line)
    assert "size.over_carrier" not in {f.code for f in lighthouse.settled().findings}


def test_cancelling_says_so_and_offers_to_go_on(lighthouse):
    lighthouse.session.change(lighthouse.session.document.recipe.with_edit("#e3ae4a", left_out=True), "x")
    lighthouse.session.cancel()
    wait(lambda: lighthouse.window.notices.text_of("stopped"), what="the trace to stop")
    assert "Stopped" in lighthouse.window.notices.text_of("stopped")
    lighthouse.click("Trace again")
    assert len(lighthouse.settled().layers) == 5


def test_help(lighthouse):
    lighthouse.key("F1")
    dialogs = [w for w in lighthouse.window.findChildren(object) if type(w).__name__ == "HelpDialog"]
    assert dialogs and dialogs[0].isVisible() and not dialogs[0].isModal()
    dialogs[0].close()


def test_everything_a_hand_can_reach_has_a_name(lighthouse):
    for stage in range(6):
        lighthouse.window.show_stage(stage)
        for kind in (QAbstractButton, QLineEdit, QSlider, QComboBox, QListWidget):
            for part in lighthouse.window.findChildren(kind):
                if part.isVisible() and part.objectName() not in ("qt_spinbox_lineedit", "ScrollLeftButton"):
                    named = part.accessibleName() or getattr(part, "text", str)()
                    assert named or part.toolTip(), (stage, kind.__name__, part.objectName(), part.parent())


def test_what_takes_the_focus_or_paints_itself_has_a_role_and_a_name(lighthouse):
    """WCAG 2.2, 4.1.2 Name, Role, Value: read from the toolkit's accessibility interface, as a screen reader does."""
    role = QAccessible.Role
    graphics = set()
    for stage in range(6):
        lighthouse.window.show_stage(stage)
        for part in lighthouse.window.findChildren(QWidget):
            is_ours = type(part).__module__.startswith("sketchloom") and "paintEvent" in vars(type(part))
            if isinstance(part, Spot) or not (is_ours or part.focusPolicy() & Qt.FocusPolicy.TabFocus):
                continue
            told = QAccessible.queryAccessibleInterface(part)
            if isinstance(part, Picture):
                assert told.role() == role.Graphic and told.text(QAccessible.Text.Name), part
                graphics.add(type(part).__name__)
            elif isinstance(part, QScrollArea):
                assert part.accessibleName(), part
            elif part.objectName() != "qt_spinbox_lineedit":
                assert told.role() not in (role.NoRole, role.Client), part
    assert {"Bench", "SheetView", "PlayCanvas", "BedPicture"} <= graphics


def test_the_curve_of_cut_offs_is_a_slider_to_a_screen_reader(lighthouse):
    lighthouse.window.show_stage(TRACE)
    curve = lighthouse.window.panels[TRACE].tone.curve
    told = QAccessible.queryAccessibleInterface(curve)
    assert told.role() == QAccessible.Role.Slider
    sent = []
    curve.dragged.connect(sent.append)
    value = told.valueInterface()
    assert value.maximumValue() == 255 and value.currentValue() == curve.value()
    before = curve.value()
    curve.setValue(before + 3)  # what a screen reader asks for
    assert sent == [before + 3]
    curve.show_values([], before)
    assert curve.value() == before and sent == [before + 3], "what is shown is not what a hand set"


def test_nothing_is_cut_off_at_1280_by_800(lighthouse):
    for stage in (SOURCE, TRACE, LAYERS, RELEASE):
        lighthouse.window.show_stage(stage)
        pause(20)
        for part in lighthouse.window.panels[stage].findChildren(QAbstractButton):
            if part.isVisible() and part.text():
                assert part.width() >= part.minimumSizeHint().width(), part.text()
        for part in lighthouse.window.panels[stage].findChildren(QLabel):
            if part.isVisible() and part.text() and not part.wordWrap():
                assert part.width() >= part.sizeHint().width(), part.text()
        for head in lighthouse.window.panels[stage].findChildren(QHeaderView):
            for n in range(head.count() if head.isVisible() else 0):
                text = head.model().headerData(n, head.orientation()) or ""
                room = head.sectionSize(n) if head.orientation() == Qt.Orientation.Horizontal else head.width()
                assert room >= head.fontMetrics().horizontalAdvance(str(text)), text


def luminance(hex_):
    """WCAG 2.1, relative luminance."""
    parts = [int(hex_[i:i + 2], 16) / 255 for i in (1, 3, 5)]
    r, g, b = (p / 12.92 if p <= 0.03928 else ((p + 0.055) / 1.055) ** 2.4 for p in parts)
    return 0.2126 * r + 0.7152 * g + 0.0722 * b


@pytest.mark.parametrize(
    "front, back",
    [
        (theme.INK, theme.LINEN),
        (theme.INK_SOFT, theme.LINEN),
        (theme.INK, theme.LINEN_DEEP),
        ("#ffffff", theme.WOAD),
        ("#ffffff", theme.MADDER),
        ("#ffffff", theme.WELD),
        (theme.WOAD, theme.LINEN_LIGHT),
        (theme.INK_SOFT, theme.LINEN_LIGHT),
    ],
)
def test_contrast_is_at_least_4_5(front, back):
    """WCAG 2.1, 1.4.3: 4.5 to 1 for text."""
    light, dark = sorted((luminance(front), luminance(back)), reverse=True)
    assert (light + 0.05) / (dark + 0.05) >= 4.5


def test_views_and_rulers():
    view = View.fitting(100, 50, 24, 24, 800, 600)
    zoomed = view.zoomed(1.7, 300, 200)
    assert zoomed.to_mm(300, 200) == pytest.approx(view.to_mm(300, 200))
    assert View(4.0, 1e5, 0).zoomed(1e9, 0, 0).scale == 4000.0
    for scale in (0.05, 0.4, 3, 11, 90, 2000):
        assert 60 <= ruler_step(scale, 1.0) * scale <= 400 or scale in (0.05, 2000)


def test_rulers_are_drawn_anew_only_where_the_view_is_another(lighthouse, monkeypatch):
    """Beside a trace each mark of a ruler waited for its turn: a pointer that only moved held the window for 0.1 s."""
    bench, drawn, draw = lighthouse.window.bench, [], rulers._drawn
    monkeypatch.setattr(rulers, "_drawn", lambda *of: drawn.append(of) or draw(*of))
    grabbed(bench)
    begun = len(drawn)
    for x in range(60, 90, 10):
        QTest.mouseMove(bench, QPoint(x, 80))
        bench.repaint()
    assert len(drawn) == begun
    bench.zoom(1.5)
    bench.repaint()
    assert len(drawn) == begun + 2
