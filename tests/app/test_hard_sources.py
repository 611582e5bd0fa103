"""Hard sources as a new user brings them: by phone, small and fringed, a page, a photo, five layers."""

import time

import numpy as np
import pytest
from PySide6.QtCore import Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QAbstractButton

from app.driver import pause, wait
from app.person import Person
from app.test_source_tools import click, cut_the_boat_out, recipe
from sketchloom.app.stages.numbers import SOURCE, TRACE
from sketchloom.files.demo_works import demo


def point_button(driver, text):
    """The button beside a point of the judgement, not the switch of the same name."""
    found = [b for b in driver.window.panels[SOURCE].findChildren(QAbstractButton)
             if b.text() == text and b.isVisible() and not b.isCheckable()]
    QTest.mouseClick(found[0], Qt.MouseButton.LeftButton)
    pause()


def test_a_pencil_sketch_by_phone_is_ready_in_a_few_clicks(driver, smaller):
    began = time.monotonic()
    driver.open(smaller("phone", 0.6))
    assert "page on a table" in driver.window.panels[SOURCE]._verdict.text()
    point_button(driver, "Flatten the page")
    driver.settled()
    point_button(driver, "Level the light")
    work = driver.settled()
    left = {f.code for f in work.findings}
    assert not left & {"source.page", "source.light", "source.skew", "source.frame"}
    assert work.reading == "tone"
    # paper has a fold of light no more: its corners are as bright as its middle
    grey = work.picture.grey.astype(int)
    patches = [np.median(grey[a:a + 60, b:b + 60]) for a in (20, -80) for b in (20, -80)]
    assert max(patches) - min(patches) < 12
    driver.window.show_stage(TRACE)
    outline = work.layers[0].outline
    # the bird hangs together: a few large pieces, not crumbs of the pencil's grain
    assert outline.pieces < 60
    areas = np.sort(outline.area_px)[::-1]
    assert areas[0] > 20 * np.median(outline.area_px[outline.area_px > 0])
    assert time.monotonic() - began < 60


def test_a_small_fringed_mark_has_its_colours_at_once(driver):
    work = driver.open(demo("mark").picture_path)
    drawn = {"#1e3557", "#2f6f7e", "#b5483c", "#e3ae4a"}
    found = {x.plan.hex for x in work.layers}
    def near(a, b):
        return max(abs(int(a[i:i + 2], 16) - int(b[i:i + 2], 16)) for i in (1, 3, 5)) < 8
    assert len(found) == 4 and all(any(near(d, f) for f in found) for d in drawn)


def test_two_lines_of_a_page_are_removed_and_the_rest_is_given_a_width(driver):
    driver.open(demo("page").picture_path)
    assert driver.work.size_mm == pytest.approx((148, 210), abs=0.3)
    driver.window.show_stage(TRACE)
    panel = driver.window.panels[TRACE]
    panel.readings.tiles["line"].click()
    before = driver.settled().segmentation.strokes.length_px.sum() * driver.work.mm_per_px
    driver.click("Remove strokes", panel)
    for y in (22, 190):
        click(driver, 30 / 148, y / 210)
        driver.settled()
    after = driver.work.segmentation.strokes.length_px.sum() * driver.work.mm_per_px
    # each rule is 120 mm long
    assert before - after == pytest.approx(240, rel=0.02)
    QTest.keyClick(driver.window.bench, Qt.Key.Key_Escape)
    driver.click("Shapes to cut", panel)
    work = driver.settled()
    assert work.layers[0].outline.pen_px is None and work.layers[0].area_mm2 == pytest.approx(1.5 * after, rel=0.05)


def test_a_boat_cut_out_of_a_photo_is_read_in_tones_without_its_ground(driver, smaller):
    driver.open(smaller("boat"))
    work = cut_the_boat_out(driver)
    assert work.reading == "photo"
    whole = max(x.area_mm2 for x in work.layers) / (work.size_mm[0] * work.size_mm[1])
    assert whole == pytest.approx(0.102, abs=0.01)


def test_five_layer_pictures_keep_their_frame_and_order(driver):
    driver.window.opening.open_demo("layers")
    driver.open(demo("lighthouse").picture_path)  # something else in between
    driver.window.opening.open_paths(demo("layers").paths)
    before = driver.session.document
    driver.click("Layers of one work")
    driver.click("Open as one work")  # their names are numbered
    wait(lambda: driver.session.document is not before, what="the layers")
    work = driver.settled()
    assert [x.plan.name for x in work.layers] == ["night", "hills", "water", "boat", "lanterns"]
    assert recipe(driver).reading == "colour"
    # the night is the whole disc of 480 of 1000 units
    side = work.size_mm[0]
    assert work.layers[0].area_mm2 == pytest.approx(np.pi * (0.48 * side) ** 2, rel=0.01)


def test_a_file_of_curves_may_keep_them(driver, tmp_path):
    path = tmp_path / "boat.svg"
    path.write_text('<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 40"><rect width="60" height="40" '
                    'fill="#ffffff"/><path d="M10 10 C40 -10 50 40 15 30 Z" fill="#123456"/></svg>')
    driver.open(path)
    window, person = driver.window, Person(driver)
    assert driver.settled().segmentation.drawn_on is None
    person.click("Keep its curves", window.notices)
    work = driver.settled()
    assert work.segmentation.drawn_on is not None and not window.notices.text_of("curves")
    assert [layer.outline.segments for layer in work.layers if layer.plan.hex == "#123456"] == [2]
    driver.session.document.undo()
    assert driver.settled().segmentation.drawn_on is None
    window.panels[SOURCE]._curves.part.click()
    assert driver.settled().segmentation.drawn_on is not None


def test_colours_of_a_drawing_stay_as_many_as_the_file_has(driver, tmp_path):
    """Also those that no eye would count, and when another setting is changed after the first result."""
    path = tmp_path / "sea.svg"
    strips = "".join(f'<rect x="{5 * n}" width="5" height="40" fill="#{16 + n:02x}4060"/>' for n in range(12))
    path.write_text(f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 40">{strips}</svg>')
    driver.open(path)
    assert len(driver.settled().segmentation.entries) < 12
    Person(driver).click("Keep its curves", driver.window.notices)
    assert len(driver.settled().segmentation.entries) == 12
    driver.session.change(recipe(driver).with_width(200.0), "size")
    assert len(driver.settled().segmentation.entries) == 12
