"""What is proposed on opening, in the real window: it stays, and a better proposal is offered."""

from dataclasses import replace

import numpy as np
import pytest
from PIL import Image
from PySide6.QtCore import Qt
from PySide6.QtTest import QTest

from app.driver import wait
from bench.proposals.conditions import by_hand, picture_of, rendered
from bench.proposals.scenes import cells, flat, outlined
from sketchloom.app.stages.numbers import LAYERS, TRACE
from sketchloom.core.picture.preparing.steps import Preparation
from sketchloom.files.opening import open_file
from sketchloom.recipe.parts import Settled


def saved(path, rgb):
    Image.fromarray(np.asarray(rgb)).save(path)
    return path


@pytest.fixture
def sketch(tmp_path):
    """An ink drawing in the shadow of a hand."""
    return saved(tmp_path / "sketch.png", by_hand(rendered(cells(101).body, 600)[..., :3], 3, "shadow").rgb)


def test_no_step_of_preparing_changes_what_was_proposed(driver, sketch):
    work = driver.open(sketch)
    assert work.reading == "tone" and driver.session.document.recipe.settled.reading == "tone"
    cut_off = work.segmentation.cut_off
    for steps in (Preparation(level_light=True), Preparation(level_light=True, denoise=2),
                  Preparation(level_light=True, lift_pencil=1)):
        driver.session.change(replace(driver.session.document.recipe, preparation=steps), "prepared")
        work = driver.settled()
        assert work.reading == "tone" and work.segmentation.cut_off == cut_off
    better = [f for f in work.findings if f.code == "proposal.cut_off"]
    if better:  # offered, not taken
        driver.session.mend(better[0])
        assert driver.settled().segmentation.cut_off == better[0].figures["better"]


def test_what_was_settled_is_saved_undone_and_asked_anew(driver, tmp_path):
    path = saved(tmp_path / "figure.png", picture_of(outlined(0), "png", 500).rgb)
    work = driver.open(path)
    document = driver.session.document
    kept = document.recipe.settled
    assert kept == Settled("colour", int(work.tree.proposed), None, True, "based", tuple(p.key for p in work.plans))
    assert document.undo_text() is None and not document.is_worth_keeping  # it is no decision of the person's
    driver.session.change(replace(document.recipe, colours=3), "colours")
    driver.settled()
    assert document.recipe.settled.colours is None and document.recipe.settled.order != kept.order
    document.undo()
    driver.settled()
    assert document.recipe.settled == kept
    project = tmp_path / "figure.sloom"
    assert driver.save(project)
    assert open_file(project).project.recipe.settled == kept


def test_the_way_is_proposed_with_its_reason_and_can_be_asked_for_again(driver, tmp_path):
    work = driver.open(saved(tmp_path / "figure.png", picture_of(outlined(0), "png", 500).rgb))
    driver.window.show_stage(LAYERS)
    panel = driver.window.panels[LAYERS]
    assert work.laying.way == "based" and "Proposed" in panel.way._note.text() and not panel.way._propose.isVisible()
    QTest.mouseClick(panel.ways._group.button(0), Qt.MouseButton.LeftButton)
    assert driver.settled().laying.way == "stacked" and panel.way._propose.isVisible()
    driver.click("Use the proposed way", panel)
    again = driver.settled()
    assert again.laying.way == "based" and [p.key for p in again.plans] == [p.key for p in work.plans]


def test_a_coloured_ground_is_told_with_a_way_back(driver, tmp_path):
    scene = next(s for s in map(flat, range(60)) if s.ground == "#2f4858" and s.base is None)
    work = driver.open(saved(tmp_path / "night.png", picture_of(scene, "png", 500).rgb))
    driver.window.show_stage(TRACE)
    assert "Left out: dark blue" in driver.window.panels[TRACE]._ground_note.text()
    told = next(f for f in work.findings if f.code == "proposal.ground")
    driver.session.mend(told)
    kept = driver.settled()
    assert not kept.ground.any() and len(kept.layers) == len(work.layers) + 1
    wait(lambda: driver.window.panels[TRACE]._ground_note.text() == "", 10, "the note to go")


def test_a_picture_full_to_its_rim_loses_nothing(driver, tmp_path):
    scene = next(s for s in map(outlined, range(20)) if s.ground is None)
    work = driver.open(saved(tmp_path / "full.png", picture_of(scene, "png", 500).rgb))
    assert not work.ground.any() and work.laying.way == "based"
    assert work.layers[0].area_mm2 == pytest.approx(np.prod(work.size_mm), rel=1e-6)  # one whole base


def test_what_does_not_apply_says_why(driver, lighthouse):
    panel = driver.window.panels[LAYERS]
    driver.window.show_stage(LAYERS)
    panel.drawers["line_art"].call()
    assert panel.drawers["line_art"]._why.isVisible() and "Tone" in panel.drawers["line_art"]._why.text()
    assert not panel.line_art.isVisible()
