"""Nodes and handles of a boundary, in the real window: dragged, added, taken away, made corners; the stretch stays
chosen."""

import numpy as np
import pytest
from PySide6.QtCore import QPoint, Qt
from PySide6.QtGui import QPainter, QPixmap
from PySide6.QtTest import QTest

import shapes
from app.test_drawing import SIZE, in_clean, s, saved, settled
from app.test_source_tools import at, drag, recipe
from sketchloom.app.bench import chips
from sketchloom.app.tools.stretch import StretchTool
from sketchloom.core.curves.node_chain import AFTER


@pytest.fixture()
def panel(driver, tmp_path):
    """A red disc on white, the right half of its ring chosen."""
    driver.open(saved(tmp_path / "disc.png", ((shapes.disc(150, 150, 90), (200, 60, 50)),)))
    panel = in_clean(driver)
    settled(driver)
    driver.click("Choose a stretch", panel.curves)
    drag(driver, *[s(150 + 90 * np.cos(a), 150 + 90 * np.sin(a)) for a in np.linspace(-1.2, 1.2, 24)])
    assert "stretch" in panel.curves.said.text()
    return panel


def tool(driver) -> StretchTool:
    assert isinstance(driver.window.bench.tool, StretchTool)
    return driver.window.bench.tool


def place(driver, px) -> QPoint:
    work = driver.session.work
    return at(driver, px[0] / work.picture.width, px[1] / work.picture.height)


def dragged(driver, begin, by):
    """From a place of the picture, px, by so many px of it."""
    size = np.array([driver.session.work.picture.width, driver.session.work.picture.height])
    begin = np.array(begin)
    drag(driver, *[tuple((begin + np.array(by) * t) / size) for t in (0.0, 0.4, 0.8, 1.0)])
    return settled(driver)


def test_a_node_is_dragged_and_the_stretch_stays_chosen_for_the_next(driver, panel):
    chain = tool(driver).chain
    number = chain.count // 2
    to = chain.node(number) + (20.0, 0.0)
    work = dragged(driver, chain.node(number), (20, 0))
    assert [e.what for e in recipe(driver).curves] == ["nodes"] and work.traced.curves_found.all()
    assert "from where it was" in panel.curves.said.text()
    now = tool(driver).chain
    assert now.count == chain.count and np.hypot(*(now.node(number) - to)) < 1.0
    assert tool(driver).node == number and "smooth" in panel.curves._node_said.text()
    # the next gesture needs no new choice, and is no edit more
    handle = now.points[now.handle(number, AFTER)]
    dragged(driver, handle, (8, 6))
    assert len(recipe(driver).curves) == 1
    moved = tool(driver).chain
    assert np.hypot(*(moved.points[moved.handle(number, AFTER)] - handle - (8, 6))) < 1.0
    assert np.hypot(*(moved.node(number) - now.node(number))) < 0.5
    driver.key("Ctrl+Z", "Ctrl+Z")
    settled(driver)
    assert recipe(driver).curves == ()
    assert np.hypot(*(tool(driver).chain.node(number) - chain.node(number))) < 0.5  # and is chosen still


def test_nodes_are_added_and_taken_away_by_clicks_keys_and_buttons(driver, panel):
    count = tool(driver).chain.count
    where = place(driver, _middle(tool(driver).chain, 0))
    QTest.mouseDClick(driver.window.bench, Qt.MouseButton.LeftButton, pos=where)
    settled(driver)
    assert tool(driver).chain.count == count + 1
    QTest.mouseClick(driver.window.bench, Qt.MouseButton.LeftButton, pos=place(driver, tool(driver).chain.node(1)))
    assert tool(driver).node == 1
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Delete)
    settled(driver)
    assert tool(driver).chain.count == count and len(recipe(driver).curves) == 1
    driver.click("Add a node", panel.curves)
    settled(driver)
    assert tool(driver).chain.count == count + 1
    tool(driver).choose(1)
    driver.click("Take the node away", panel.curves)
    settled(driver)
    assert tool(driver).chain.count == count


def _middle(chain, segment):
    a, b, c, d = chain.controls[segment]
    return (a + 3 * b + 3 * c + d) / 8


def test_a_corner_lets_its_handles_go_their_own_ways_and_becomes_smooth_again(driver, panel):
    number = tool(driver).chain.count // 2
    tool(driver).choose(number)
    driver.click("Make it a corner", panel.curves)
    settled(driver)
    assert tool(driver).chain.corners == {number} and "corner" in panel.curves._node_said.text()
    before = tool(driver).chain
    dragged(driver, before.points[before.handle(number, AFTER)], (14, 4))
    now = tool(driver).chain
    other = before.handle(number, -AFTER)
    assert np.hypot(*(now.points[other] - before.points[other])) < 0.5
    tool(driver).choose(number)
    driver.click("Make it smooth", panel.curves)
    settled(driver)
    assert number not in tool(driver).chain.corners and len(recipe(driver).curves) == 1


def test_an_end_stays_and_an_arrow_key_moves_a_node_by_a_pixel(driver, panel):
    chain = tool(driver).chain
    dragged(driver, chain.node(0), (10, 10))
    assert recipe(driver).curves == ()
    assert "end" in panel.curves._node_said.text()
    tool(driver).choose(1)
    driver.window.bench.setFocus()
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Right)
    settled(driver)
    assert np.hypot(*(tool(driver).chain.node(1) - chain.node(1) - (1, 0))) < 0.3


def test_a_stretch_stays_chosen_after_other_actions_too(driver, panel):
    driver.click("Smooth", panel.curves)
    settled(driver)
    assert tool(driver).chain is not None
    driver.click("One node less", panel.curves)
    work = settled(driver)
    assert [e.what for e in recipe(driver).curves] == ["smooth", "simple"] and work.traced.curves_found.all()
    assert work.picture.width == SIZE


def test_a_long_hint_is_read_whole_on_a_narrow_bench(driver, panel):
    """It once ran under the panel."""
    bench = driver.window.bench
    text, pixmap = tool(driver).hint, QPixmap(bench.size())
    for most in (240, 420, 2000):
        painter = QPainter(pixmap)
        box = chips.hint(painter, text, 30, 400, most)
        rows = box.height() / painter.fontMetrics().height()
        painter.end()
        assert box.width() <= most and box.bottom() == 400
        assert (rows < 2) == (most == 2000)
