"""Openings and pieces on top, changed by clicks in the Layers stage."""

from dataclasses import replace

from PIL import Image
from PySide6.QtCore import Qt

from app.person import Person
from core.test_openings import ORDER, eyes, target
from sketchloom.core.edits.decisions import BELOW


def opened(driver, folder, picture, order):
    """A person at the box of openings of a picture laid whole."""
    path = folder / "picture.png"
    Image.fromarray(picture.rgb).save(path)
    driver.open(path)
    driver.settled()
    driver.session.change(replace(driver.session.document.recipe, layering="stacked", size_mm=300.0, order=order), "")
    driver.settled()
    person = Person(driver)
    person.stage("Layers")
    person.fold("Openings, or pieces on top")
    box = driver.window.panels[3].details
    person.until(lambda: box.list.count() > 0, "the details")
    return person, box


def test_an_opening_is_ticked_to_be_a_piece_and_all_cheaper_ones_at_once(driver, tmp_path):
    person, box = opened(driver, tmp_path, target(), ORDER)
    assert box.list.count() == 2 and box.list.item(0).font().bold() and not box.list.item(1).font().bold()
    person.tick(box.list, 1)
    assert len(person.settled().recipe.edits) == 1
    person.until(lambda: box.isEnabled() and ticked(box) == [False, True], "the piece that was ticked")
    person.click("Take the cheaper of each", box)
    assert len(person.settled().recipe.edits) == 1
    person.until(lambda: box.isEnabled() and not box._all.isEnabled(), "nothing cheaper left")
    assert ticked(box)[-1]


def ticked(box):
    return [box.list.item(n).checkState() == Qt.CheckState.Checked for n in range(box.list.count())]


def test_a_piece_that_the_order_made_is_unticked_to_be_an_opening_and_ticked_back(driver, tmp_path):
    person, box = opened(driver, tmp_path, eyes(), ("#d8493f", "#f2b632", "#3f8f5d"))
    assert box.list.count() == 2
    person.tick(box.list, 0)
    work = person.settled()
    assert [e.action for e in work.recipe.edits] == [BELOW]
    person.until(lambda: box.isEnabled() and ticked(box) == [False, True], "the details")
    person.tick(box.list, 0)
    assert not person.settled().recipe.edits
