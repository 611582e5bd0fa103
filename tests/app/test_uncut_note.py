"""From each of the four places that take something out, the others are named, and a click leads there."""

from app.driver import pause
from app.test_meant_gestures import discs, share
from app.test_source_tools import click, recipe
from sketchloom.app.parts.tool_row import SWEEP
from sketchloom.app.stages.numbers import CLEAN, LAYERS, SOURCE, TRACE

RED, BLUE = (90, 80), (160, 80)


def test_every_place_names_the_others(driver, tmp_path):
    driver.open(discs(tmp_path))
    window = driver.window
    window.show_stage(CLEAN)
    window.clean_tools.take(SWEEP)
    pause(20)
    driver.click("Open", window.panels[CLEAN])
    click(driver, *share(RED))
    work = driver.settled()
    blue = next(p.key for p in work.plans if int(p.key[5:7], 16) > 120)
    driver.session.change(recipe(driver).with_edit(blue, left_out=True), "")
    driver.settled()
    for stage in (SOURCE, TRACE, CLEAN, LAYERS):
        window.show_stage(stage)
        pause(30)
        text = window.panels[stage].uncut.text()
        assert window.panels[stage].uncut.isVisible(), stage
        assert "ground (Trace)" in text and "1 opened (Clean)" in text and "1 layer left out (Layers)" in text, stage
    window.panels[LAYERS].uncut.linkActivated.emit("2")
    assert window.stage == CLEAN
    for place, why in ((RED, "not cut: opened"), (BLUE, "not cut: its layer is left out, in Layers")):
        click(driver, *share(place))
        driver.key("Ctrl+Z")
        driver.settled()
        window.cleaning.tool.point(-1)
        click_free(driver, place)
        assert why in window.cleaning.tool.hint


def click_free(driver, place):
    """Point at a place without a click."""
    from PySide6.QtTest import QTest

    from app.test_source_tools import at
    for x in (place[0] - 2, place[0]):
        QTest.mouseMove(driver.window.bench, at(driver, *share((x, place[1]))))
        pause(20)
