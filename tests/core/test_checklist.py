"""The checks before a work leaves: one list, in which everything that says stop has its place."""

from types import SimpleNamespace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

import sketchloom.desk.preflight  # noqa: F401  (describes all kinds of findings)
from sketchloom.core.curves.outline import Outline
from sketchloom.core.preflight import checklist, file_rules, sheet_rules
from sketchloom.core.preflight.checklist import CHECKS, FILES, OFF, PASSED, PLAN, UNKNOWN, checked
from sketchloom.core.preflight.findings import RULES, STOP
from sketchloom.core.preflight.whole_rules import check_whole, loose_rings
from sketchloom.core.shapes.makers import ellipse, polygon


def outline_of(*rings, holes=()):
    """An outline of rings of cubics, those in ``holes`` holes."""
    counts = [len(r) for r in rings]
    controls = np.concatenate(rings)
    area = np.array([abs(np.ptp(r[:, 0, 0]) * np.ptp(r[:, 0, 1])) for r in rings])
    return Outline(controls, np.zeros(len(controls), bool), np.cumsum([0, *counts]),
                   area_px=area, hole=np.array([n in holes for n in range(len(rings))]))


def layer_of(*rings, holes=()):
    return SimpleNamespace(plan=SimpleNamespace(name="grey", key="grey"), outline=outline_of(*rings, holes=holes))


def test_all_that_says_stop_and_all_that_is_checked_of_files_has_a_check():
    in_checks = [code for check in CHECKS for code in check.codes]
    assert len(set(in_checks)) == len(in_checks), "a kind of finding speaks against one check"
    assert set(in_checks) <= set(RULES)
    assert {r.code for r in RULES.values() if r.severity == STOP} <= set(in_checks)
    assert {code for code in RULES if code.startswith(("release.", "carve."))} <= set(in_checks)


def test_only_what_is_carved_has_the_checks_of_carving_and_no_sheets():
    plain, carved = ({c.check.key for c in checked((), is_carved=on)} for on in (False, True))
    assert plain == {c.key for c in CHECKS if not c.of_carving}
    assert carved == {c.key for c in CHECKS if c.waits_for != PLAN}
    states = {c.check.key: c.state for c in checked((), known=(checklist.CARVED,), is_carved=True)}
    assert states["carved_within"] == PASSED and states["carved_back"] == UNKNOWN
    deep = RULES["carve.deep"].found(number=1, mm=30.0, thick=18.0)
    state = {c.check.key: c for c in checked((deep,), off=("carved_within",), is_carved=True)}["carved_within"]
    assert state.state == STOP, "a cut into the bed is never put off"


def test_keys_are_told_apart_and_what_hurts_is_always_checked():
    assert len({c.key for c in CHECKS}) == len(CHECKS)
    hurts = next(c for c in CHECKS if "material.tool" in c.codes)
    found = [RULES["material.tool"].found("fumes", name="film", tool="laser")]
    state = {c.check.key: c for c in checked(found, off=[c.key for c in CHECKS])}
    assert hurts.must and state[hurts.key].state == STOP
    assert all(one.state == OFF for key, one in state.items() if key != hurts.key)
    assert checklist.stops(state.values()) == tuple(found)


def test_what_waits_is_not_known_until_it_is_there():
    states = {c.check.key: c.state for c in checked(())}
    assert states["mirrored"] == states["closed"] == UNKNOWN and states["small"] == PASSED
    states = {c.check.key: c.state for c in checked((), known=(PLAN,))}
    assert states["mirrored"] == PASSED and states["closed"] == UNKNOWN
    assert {c.state for c in checked((), known=(PLAN, FILES))} == {PASSED}


@given(st.lists(st.sampled_from([
    sheet_rules.OVER_EDGE.found("one", sheet=1), sheet_rules.TOO_LARGE.found(name="a", wide=1, high=1),
    file_rules.OPEN.found("one", file="a"), RULES["layer.thin"].found(width=1.0, limit=2.0)])),
    st.sets(st.sampled_from([c.key for c in CHECKS])))
def test_no_stop_passes_and_none_that_is_not_wanted_holds(found, off):
    every = checked(found, (PLAN, FILES), off)
    kept = {f.code for f in checklist.stops(every)}
    wanted = {code for c in CHECKS if c.must or c.key not in off for code in c.codes}
    assert kept == {f.code for f in found if f.severity == STOP and f.code in wanted}
    for one in every:
        assert (one.state == OFF) == (one.check.key in off and not one.check.must)
        assert one.state != PASSED or not one.findings


def test_an_island_in_a_hole_is_loose_and_one_beside_it_is_not():
    ring = polygon([(0, 0), (100, 0), (100, 100), (0, 100)])
    hole, island = ellipse((50, 50), 30, 30), ellipse((50, 50), 10, 10)
    beside = ellipse((150, 50), 10, 10)
    assert loose_rings(outline_of(ring, hole, island, beside, holes=(1,))).tolist() == [2]
    assert not len(loose_rings(outline_of(ring, hole, beside, holes=(1,))))


@pytest.mark.parametrize(("family", "severity"),
                         [("paper", "warn"), ("wood", "warn"), ("film", "note"), (None, "note")])
def test_what_is_loose_falls_out_of_all_but_what_has_a_backing(family, severity):
    ring = polygon([(0, 0), (100, 0), (100, 100), (0, 100)])
    layer = layer_of(ring, ellipse((50, 50), 30, 30), ellipse((50, 50), 10, 10), holes=(1,))
    found = {f.code: f for f in check_whole(layer, family)}
    assert found["release.loose"].severity == severity and found["release.loose"].figures["count"] == 1
    assert found["release.single"].figures["count"] == 2
    x, y = found["release.loose"].x_px, found["release.loose"].y_px
    assert np.hypot(x - 50, y - 50) == pytest.approx(10, abs=0.01)


def told(**values):
    return SimpleNamespace(**{"open": 0, "doubled_mm": 0.0} | values)


def test_files_are_judged_by_what_they_say():
    box = [(0.0, 0.0, 10.0, 10.0), (2.0, 2.0, 5.0, 5.0)]
    def codes(t, boxes=box, meant=0, inside=()):
        return [f.code for f in file_rules.check_file("a.svg", t, meant, boxes, box, ["one", "two"], inside)]
    assert codes(told()) == []
    assert codes(told(open=2), meant=2) == [] and codes(told(open=3), meant=2) == ["release.open"]
    assert codes(told(doubled_mm=4.0)) == ["release.doubled"]
    assert codes(told(), inside=("image",)) == ["release.inside"]
    moved = [box[0], (2.2, 2.0, 5.2, 5.0)]
    found = list(file_rules.check_file("a.svg", told(), 0, moved, box, ["one", "two"]))
    assert [f.code for f in found] == ["release.register"] and found[0].figures["name"] == "two"
    assert found[0].figures["off"] == pytest.approx(0.2)
