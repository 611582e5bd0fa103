"""What goes into the machine, planned by the command: sheets on their carriers, files, the report."""

import json
import re
from dataclasses import replace

import numpy as np
import pytest
import shapely

from sketchloom.command.main import main
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.sheets.material import shipped
from sketchloom.files import project
from sketchloom.files.demo_works import demo

BADGE, PANEL = (str(demo(key).picture_path) for key in ("lighthouse", "panel"))


@pytest.fixture(autouse=True)
def own_folders(tmp_path, monkeypatch):
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path / "data"))


def traced(tmp_path, *words, picture=BADGE):
    report = tmp_path / "report.json"
    assert main(["trace", picture, "--out-dir", str(tmp_path / "out"), "--report", str(report), "--quiet", *words]) == 0
    return json.loads(report.read_text()), sorted((tmp_path / "out").iterdir())


def test_sheets_are_planned_written_and_told(tmp_path):
    told, files = traced(tmp_path, "--machine", "blade", "--weeding-frame", "4mm", "--tab", "--test-cut")
    assert len(files) == len(told["sheets"]) == told["plan"]["sheets"] > 4
    for sheet, path in zip(told["sheets"], files, strict=True):
        assert set(sheet) == {"machine", "carrier", "material", "width_mm", "height_mm", "parts", "used_share",
                              "cut_mm", "travel_mm", "time_s", "cost"}
        assert sheet["machine"] == "blade" and sheet["time_s"] > 0 and 0 < sheet["used_share"] < 1
        boxes = [shapely.box(p["x_mm"], p["y_mm"], p["x_mm"] + p["width_mm"], p["y_mm"] + p["height_mm"])
                 for p in sheet["parts"]]
        assert all(shapely.box(0, 0, sheet["width_mm"], sheet["height_mm"]).contains(b) for b in boxes)
        text = path.read_text(encoding="utf-8")
        assert f'width="{sheet["width_mm"]:g}mm"' in text
        assert len(re.findall("<g id=", text)) == len(sheet["parts"])
    assert not any(f["code"] == "size.over_carrier" for f in told["findings"])
    assert told["plan"]["rates"] == "from memory" and told["plan"]["low_s"] < told["plan"]["high_s"]
    assert told["plan"]["travel_mm"] < told["plan"]["naive_travel_mm"]


def test_the_badge_fitted_into_a_board_has_its_base_divided_and_heat_film_mirrored_once(tmp_path):
    """The trade's board of 19.5 × 26.5 in with half an inch kept free, on a carrier of 12 × 24 in."""
    told, _ = traced(tmp_path, "--machine", "blade", "--carrier", "12x24in", "--fit-into", "19.5x26.5in", "--margin",
                     "0.5in", "--material", "all", "heat-film")
    (base,) = [d for d in told["plan"]["divided"] if d["layer"] == told["layers"][0]["name"]]
    assert base["parts"] == 2 and base["seen_mm"] <= base["straight_seen_mm"]
    parts = [p for sheet in told["sheets"] for p in sheet["parts"]]
    assert all(p["mirrored"] for p in parts)
    usable = (11.5 * MM_PER_IN + 0.01, 23.5 * MM_PER_IN + 0.01)
    assert all(p["width_mm"] <= usable[0] and p["height_mm"] <= usable[1] for p in parts)
    assert max(layer["min_feature_mm"] or 1 for layer in told["layers"]) > 0
    assert not any(f["code"].startswith("sheets.") and f["severity"] == "stop" for f in told["findings"])


def test_area_of_parts_is_area_of_the_layers(tmp_path):
    told, files = traced(tmp_path, "--machine", "laser", "--width", "500mm", "--gap", "2mm")
    from svg_area import area_of_file

    whole = sum(layer["area_mm2"] for layer in told["layers"])
    assert sum(area_of_file(path) for path in files) == pytest.approx(whole, rel=2e-4)


def test_a_roll_takes_any_length_and_prices_make_a_quote(tmp_path):
    prices = tmp_path / "prices.json"
    prices.write_text(json.dumps({"currency": "EUR", "materials": [
        {"material": "adhesive-film", "amount": 12.0, "per": "metre"}], "hand_hour": 40, "machine_hour": 10,
        "margin": 0.25}))
    told, _ = traced(tmp_path, "--machine", "roll", "--material", "all", "adhesive-film", "--copies", "2", "--prices",
                     str(prices))
    plan = told["plan"]
    (film,) = [line for line in plan["quote"] if line["what"] == "material"]
    assert film["unit"] == "metre" and film["cost"] == pytest.approx(12.0 * film["count"], abs=0.01)
    assert plan["cost"] == pytest.approx(1.25 * sum(x["cost"] for x in plan["quote"] if x["what"] != "margin"),
                                         abs=0.03)
    assert sum(s["cost"] for s in told["sheets"]) == pytest.approx(plan["cost"], abs=0.05)
    assert sum(len(s["parts"]) for s in told["sheets"]) == 2 * len(told["layers"])


def test_several_works_share_sheets(tmp_path):
    out, report = tmp_path / "out", tmp_path / "r.json"
    assert main(["sheets", BADGE, BADGE, "--out-dir", str(out), "--machine", "roll", "--report", str(report),
                 "--quiet"]) == 0
    told = json.loads(report.read_text())
    assert len(told["sheets"]) == len(list(out.iterdir()))
    yellow = next(s for s in told["sheets"] if "yellow" in s["parts"][0]["layer"])
    assert len(yellow["parts"]) == 2
    states = {one["check"]: one["state"] for one in told["preflight"]}
    assert states["closed"] == states["on_sheet"] == "passed" and told["written_anyway"] == []
    # nothing is replaced without a word
    assert main(["sheets", BADGE, "--out-dir", str(out), "--machine", "roll", "--quiet"]) == 4
    assert main(["sheets", BADGE, "--out-dir", str(out), "--machine", "roll", "--quiet", "--replace"]) == 0


def test_shared_sheets_are_held_back_by_what_stops_any_of_the_works(tmp_path, capsys):
    film = tmp_path / "film.sloom"
    badge = demo("lighthouse").project()
    adhesive = next(m for m in shipped() if m.key == "adhesive-film")
    project.save(replace(badge, recipe=badge.recipe.with_material("#1e3557", adhesive)), film)
    words = ["sheets", PANEL, str(film), "--machine", "laser", "--out-dir", str(tmp_path / "out"), "--report",
             str(tmp_path / "r.json"), "--quiet"]
    assert main(words) == 4 and "not cut by" in capsys.readouterr().err and not (tmp_path / "out").exists()
    assert main([*words, "--anyway"]) == 0
    told = json.loads((tmp_path / "r.json").read_text())
    assert told["written_anyway"] == ["sheets.machine"]
    assert {one["check"] for one in told["preflight"] if one["state"] == "stop"} == {"machine"}


@pytest.mark.parametrize(("words", "told"), [
    (("--machine", "nothing"), "one of blade"),
    (("--carrier", "A4"), "together with --machine"),
    (("--machine", "blade", "--carrier", "ten"), "one of 12x12in"),
    (("--machine", "blade", "--carrier", "3x3mm"), "between 10"),
    (("--fit-into", "20"), "a size such as"),
    (("--fit-into", "20x20mm", "--margin", "10mm"), "leaves something"),
    (("--margin", "10mm"), "together with --fit-into"),
    (("--fit-into", "20x20mm", "--width", "10mm"), "without --width"),
    (("--machine", "blade", "--copies", "0"), "from 1 to 500"),
    (("--machine", "blade", "--divide", "often"), "choose from"),
    (("--machine", "blade", "--offcut", "much"), "a size such as"),
])
def test_words_that_mean_nothing_are_refused_and_nothing_is_written(tmp_path, words, told, capsys):
    try:
        code = main(["trace", BADGE, "--out-dir", str(tmp_path / "out"), *words])
    except SystemExit as end:
        code = end.code
    assert code == 2 and told in capsys.readouterr().err and not (tmp_path / "out").exists()


@pytest.mark.parametrize("text", ["{", "[]", '{"margin": "much"}', '{"materials": [{"amount": 1}]}'])
def test_prices_that_are_none_are_refused(tmp_path, text, capsys):
    (tmp_path / "p.json").write_text(text)
    code = main(["trace", BADGE, "--out-dir", str(tmp_path / "out"), "--machine", "blade", "--prices",
                 str(tmp_path / "p.json")])
    assert code in (2, 3) and "prices" in capsys.readouterr().err and not (tmp_path / "out").exists()


def test_an_offcut_is_used_up_first(tmp_path):
    told, _ = traced(tmp_path, "--machine", "blade", "--offcut", "120x120mm")
    assert told["sheets"][0]["carrier"] == "offcut-0" and np.isclose(told["sheets"][0]["width_mm"], 120)
    assert sum(one["carrier"] == "offcut-0" for one in told["sheets"]) == 1, "there is one of it, for one colour"
