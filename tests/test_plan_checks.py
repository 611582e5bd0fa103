"""What is found of a plan: each kind where it should be, and nowhere else."""

from dataclasses import replace

import numpy as np
import pytest
import shapely

from sketchloom.core.sheets.material import shipped as materials
from sketchloom.desk.seams import SeamDesk
from sketchloom.evaluate import planning
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.evaluate.planning import plans_of
from sketchloom.files.demo_works import demo
from sketchloom.files.opening import open_project

LASER, ROLL = "laser", "roll"


@pytest.fixture(scope="module")
def badge():
    pipeline, opened = Pipeline(), open_project(demo("lighthouse").project(), None)

    def made(material=None, **changes):
        recipe = opened.project.recipe
        if material is not None:
            one = next(m for m in materials() if m.key == material)
            for layer in pipeline.evaluate(opened.picture, recipe).layers:
                recipe = recipe.with_material(layer.plan.key, one)
        work = pipeline.evaluate(opened.picture, replace(recipe, **changes))
        return work, next(plans_of([work], cache=pipeline.cache))
    return made


def codes(plan):
    return {f.code for f in plan.findings}


def machine(key):
    from sketchloom.core.sheets.machine import shipped

    return next(m for m in shipped() if m.key == key)


def test_what_has_no_area_takes_no_room_and_hinders_no_plan(badge, monkeypatch):
    real = planning._ready

    def with_nothing(*args):
        for one in real(*args):
            nothing = replace(one)
            vars(nothing)["area"] = shapely.MultiPolygon()  # as of a region that its overlap has eaten
            yield from (nothing, one)
    work, plan = badge(machine=machine(ROLL))
    monkeypatch.setattr(planning, "_ready", with_nothing)
    assert len(next(plans_of([work])).sheets) == len(plan.sheets) > 0


def test_a_small_badge_on_a_roll_has_only_that_it_lacks_materials(badge):
    _, plan = badge(machine=machine(ROLL))
    assert {code for code in codes(plan) if code.startswith("sheets.")} == {"sheets.no_stock"}


def test_what_fits_no_carrier_is_told_where_nothing_may_be_divided(badge):
    _, plan = badge(size_mm=700.0, divide="off")
    assert "sheets.too_large" in codes(plan) and plan.left_over
    _, plan = badge(size_mm=700.0)
    assert "sheets.too_large" not in codes(plan) and not plan.left_over


def test_a_seam_that_is_seen_is_told(badge):
    _, plan = badge(size_mm=480.0)
    seen = [f for f in plan.findings if f.code == "sheets.seam_seen"]
    assert {f.key for f in seen} == {key for (_, key, _), made in plan.divided.items()
                                     if len(made.parts) > 1 and made.seen > 0.05}


def test_a_joint_that_found_no_room_is_told(badge):
    _, plan = badge(size_mm=480.0, joint="keyed", joint_mm=50.0)
    assert "sheets.no_joint" in codes(plan)
    _, plan = badge(size_mm=480.0, joint="overlap", joint_mm=4.0)
    assert "sheets.no_joint" not in codes(plan)
    made = next(made for made in plan.divided.values() if len(made.parts) > 1)
    assert made.parts[0].area.intersection(made.parts[1].area).area > 4.0


@pytest.mark.parametrize(("carrier", "joint", "parts"), [
    ("12x24in", "butt", 2), ("12x24in", "overlap", 2), ("160x500mm", "butt", 3)])
def test_a_moved_seam_that_is_said_to_fit_fits(badge, carrier, joint, parts):
    """Of two parts and of three, with and without room for a joint: what the window says of a move is what comes."""
    asked = {"size_mm": 480.0, "carrier": carrier, "joint": joint, "joint_mm": 12.0, "divide": "straight"}
    work, plan = badge(machine=machine("blade"), **asked)
    (_, key, _), made = next((k, m) for k, m in plan.divided.items() if len(m.parts) > 1)
    desk = SeamDesk(work, key, made)
    assert len(made.parts) == parts
    for by in (-30.0, 4.0, 45.0):
        told = desk.moved(0, by)
        if told is None:
            continue
        _, moved = badge(machine=machine("blade"), seams=desk.kept(0, by), **asked)
        assert told.fits == (key not in {r.part.key for r in moved.left_over}), by
        if told.fits and joint == "butt":
            again = moved.divided[0, key, 0].parts
            assert [p.size for p in again[:2]] == [pytest.approx(s, abs=0.05) for s in told.sizes]


@pytest.mark.parametrize(("material", "mirroring", "found"), [
    ("heat-film", "auto", False), ("heat-film", "off", True), ("adhesive-film", "auto", False),
    ("adhesive-film", "on", True), ("flake-film", "auto", False)])
def test_mirrored_or_not_as_the_material_asks(badge, material, mirroring, found):
    _, plan = badge(material, mirroring=mirroring)
    assert ("sheets.mirror" in codes(plan)) == found
    wanted = material.startswith(("heat", "flake")) if mirroring == "auto" else mirroring == "on"
    assert {p.ready.mirrored for s in plan.sheets for p in s.placed} == {wanted}


def test_a_machine_that_must_not_cut_it(badge):
    _, plan = badge("adhesive-film", machine=machine(LASER))
    assert "sheets.machine" in codes(plan)
    _, plan = badge("card", machine=machine(LASER))
    assert "sheets.machine" not in codes(plan)


def test_time_over_what_is_allowed(badge):
    work, plan = badge(most_minutes=2)
    assert "sheets.time" in codes(plan) and plan.tally.total_s > 120
    _, plan = badge(most_minutes=500)
    assert "sheets.time" not in codes(plan) and work.recipe.most_minutes == 2


def test_pieces_of_card_lie_each_for_itself_and_films_keep_their_places(badge):
    work, plan = badge("card", machine=machine(LASER))
    assert sum(len(s.placed) for s in plan.sheets) == sum(layer.outline.pieces for layer in work.layers)
    _, plan = badge("adhesive-film")
    assert sum(len(s.placed) for s in plan.sheets) == len(work.layers)
    _, plan = badge("card", pieces="together")
    assert sum(len(s.placed) for s in plan.sheets) == len(work.layers)


def test_more_parts_than_a_plan_takes_are_told_and_not_written(badge, tmp_path, monkeypatch):
    from sketchloom.core.base.errors import ExportError
    from sketchloom.evaluate import planning
    from sketchloom.files import release

    monkeypatch.setattr(planning, "MOST_READY", 8)
    _, plan = badge(copies=2)
    assert "sheets.too_many" in codes(plan) and plan.left_over
    with pytest.raises(ExportError):
        release.outgoing_sheets(plan, tmp_path, "x")


def test_marks_lie_on_every_sheet_in_the_same_place_of_the_work(badge):
    _, plan = badge(marks=True)
    places = set()
    for sheet in plan.sheets:
        for placed in sheet.placed:
            outline = placed.part.outline
            last = [outline.controls[a:b].reshape(-1, 2).mean(0) for a, b in
                    zip(outline.starts[-4:-1], outline.starts[-3:], strict=True)]
            places.add(tuple(round(float(v), 3) for p in last for v in p))
    assert len(places) == 1


def test_the_seam_of_a_single_piece_is_moved_and_no_other(badge):
    """Pieces laid each for itself are divided each for itself, and so are their seams put by hand."""
    asked = {"size_mm": 480.0, "pieces": "apart", "divide": "straight", "carrier": "12x12in"}
    work, plan = badge(machine=machine("blade"), **asked)
    (_, key, piece), made = next((k, m) for k, m in plan.divided.items() if k[2] and len(m.seams) == 1)
    desk = SeamDesk(work, key, made)
    assert desk.piece == piece and not desk.is_by_hand
    by = next(by for by in (3.0, -3.0, 1.0, -1.0, 0.4, -0.4) if (told := desk.moved(0, by)) is not None and told.fits)
    kept = desk.kept(0, by)
    assert [(s.key, s.piece) for s in kept] == [(key, piece)]
    _, moved = badge(machine=machine("blade"), seams=kept, **asked)
    for which, before in plan.divided.items():
        shift = by * np.array(desk.across(0)) if which == (0, key, piece) else np.zeros(2)
        for now, was in zip(moved.divided[which].seams, before.seams, strict=True):
            assert now - was == pytest.approx(np.broadcast_to(shift, was.shape), abs=0.01)
