"""Openings and pieces on top, changed by clicks in the Layers stage."""

from dataclasses import replace

import pytest
from PIL import Image
from PySide6.QtCore import Qt

from app.person import Person
from core.test_openings import ORDER, target


@pytest.fixture
def opened(driver, tmp_path):
    path = tmp_path / "target.png"
    Image.fromarray(target().rgb).save(path)
    driver.open(path)
    driver.settled()
    recipe = replace(driver.session.document.recipe, layering="stacked", size_mm=300.0, order=ORDER)
    driver.session.change(recipe, "stacked")
    driver.settled()
    return driver


def test_an_opening_is_ticked_to_be_a_piece_and_all_cheaper_ones_at_once(opened):
    person = Person(opened)
    person.stage("Layers")
    person.fold("Openings, or pieces on top")
    box = opened.window.panels[3].details
    assert box.list.count() == 2 and box.list.item(0).font().bold() and not box.list.item(1).font().bold()
    person.tick(box.list, 1)
    work = person.settled()
    assert len(work.recipe.edits) == 1 and sum(
        box.list.item(n).checkState() == Qt.CheckState.Checked for n in range(box.list.count())) == 1
    person.click("Take the cheaper of each", box)
    work = person.settled()
    assert len(work.recipe.edits) == 1 and not box._all.isEnabled()
    assert box.list.item(box.list.count() - 1).checkState() == Qt.CheckState.Checked
