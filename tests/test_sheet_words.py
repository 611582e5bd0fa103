"""Sheets by words of the command, tried as a script would give them; figures are held against traces made the other
way."""

import json
import re

import cv2
import numpy as np
import pytest
from PIL import Image

from sketchloom.command import exits
from sketchloom.command import main as cli
from sketchloom.core.layers import ways
from sketchloom.recipe.document import from_json

NAVY, RED, GOLD, WHITE = (30, 53, 87), (181, 72, 60), (227, 174, 74), (255, 255, 255)


@pytest.fixture(scope="module")
def owl(tmp_path_factory):
    """A navy disc with a red belly, two gold eyes with navy pupils and a white moon, on transparent ground; 80 mm at
    320 px."""
    page = np.zeros((320, 320, 4), np.uint8)
    def disc(at, radius, colour):
        return cv2.circle(page, at, radius, (*colour, 255), -1)
    disc((160, 160), 140, NAVY)
    cv2.ellipse(page, (160, 220), (60, 50), 0, 0, 360, (*RED, 255), -1)
    for x in (110, 210):
        disc((x, 110), 34, GOLD)
        disc((x, 110), 12, NAVY)
    disc((160, 60), 14, WHITE)
    path = tmp_path_factory.mktemp("owl") / "owl.png"
    Image.fromarray(page).save(path)
    return path


@pytest.fixture(scope="module")
def pane(tmp_path_factory):
    """Line art: a frame with a cross and a ring in its middle."""
    page = np.full((300, 300), 255, np.uint8)
    cv2.rectangle(page, (20, 20), (280, 280), 0, 6)
    cv2.line(page, (150, 20), (150, 280), 0, 6)
    cv2.line(page, (20, 150), (280, 150), 0, 6)
    cv2.circle(page, (150, 150), 50, 0, 6)
    path = tmp_path_factory.mktemp("pane") / "pane.png"
    Image.fromarray(page).save(path)
    return path


@pytest.fixture
def traced(tmp_path):
    def trace(path, *words, size="80mm"):
        out, report, kept = tmp_path / "out.svg", tmp_path / "report.json", tmp_path / "kept.json"
        width = () if size is None else ("--width", size)
        code = cli.main(
            [
                "trace",
                str(path),
                "--out",
                str(out),
                "--report",
                str(report),
                "--write-recipe",
                str(kept),
                "--quiet",
                *width,
                *words,
            ]
        )
        assert code == exits.DONE
        return json.loads(report.read_text()), from_json(json.loads(kept.read_text())), out.read_text()
    return trace


def names(report):
    return [layer["name"] for layer in report["layers"]]


def by_name(report):
    return {layer["name"]: layer for layer in report["layers"]}


def test_layers_are_meant_by_name_colour_or_number(owl, traced):
    plain, _, _ = traced(owl)
    base = names(plain)[0]
    hex_colour = by_name(plain)["red"]["hex"]
    for text in ("red", "RED", hex_colour, str(1 + names(plain).index("red"))):
        report, recipe, svg = traced(owl, "--name", text, "belly", "--way", text, "windowed")
        assert "belly" in names(report) and "red" not in names(report) and by_name(report)["belly"]["way"] == "windowed"
        assert re.search(r'id="layer-\d\d-belly"', svg)
        assert recipe.edit_of(hex_colour).layering == "windowed"
    assert base == "dark blue"


def test_pins_rules_and_orders(owl, traced):
    report, _, _ = traced(owl, "--pin", "red", "base")
    assert names(report)[0] == "red"
    report, recipe, _ = traced(owl, "--pin", "red", "top", "--above", "white", "yellow")
    assert names(report)[-1] == "red" and names(report).index("white") > names(report).index("yellow")
    assert len(recipe.above) == 1 and recipe.order == ()
    report, _, _ = traced(owl, "--order", "dark blue,white,red,yellow")
    assert names(report) == ["dark blue", "white", "red", "yellow"]
    report, recipe, _ = traced(owl, "--order-saves", "0.5,1,0.25")
    assert recipe.order_weights == (0.5, 1.0, 0.25, 0.0, 0.0)


def test_a_region_is_opened_dropped_coloured_or_shown_from_below(owl, traced):
    plain, _, _ = traced(owl)
    moon = "40,15"  # mm: (160, 60) px of 320 px on 80 mm
    report, recipe, _ = traced(owl, "--region", moon, "window")
    assert (
        "white" not in names(report)
        and by_name(report)["dark blue"]["holes"] == by_name(plain)["dark blue"]["holes"] + 1
    )
    report, _, _ = traced(owl, "--region", moon + "mm", "drop")
    assert "white" not in names(report) and by_name(report)["dark blue"]["area_mm2"] == pytest.approx(
        by_name(plain)["dark blue"]["area_mm2"], rel=1e-3
    )
    report, _, _ = traced(owl, "--region", moon, "#2f9f5e")
    assert "#2f9f5e" in [layer["hex"] for layer in report["layers"]]
    report, _, _ = traced(owl, "--layering", "fitted", "--region", "27.5,20.5", "below", "--region", moon, "on-top")
    assert names(report)[-1].endswith("on top") and names(report)[0].endswith("below")
    assert [round(e.x, 2) for e in recipe.edits] == [0.5]


def test_materials_ground_and_what_is_added(owl, traced):
    report, recipe, svg = traced(
        owl,
        "--anyway",
        "--material",
        "all",
        "adhesive-film",
        "--material",
        "red",
        "card",
        "--laid-on",
        "black",
        "--underlay",
        "0.5mm",
        "--backing",
        "0",
        "--rim",
        "1mm",
        "--board",
        "dark blue",
        "--weeding-frame",
        "4mm",
        "--weeding-every",
        "20mm",
        "--apart",
        "yellow",
        "--tool",
        "laser",
        "--spacer",
        "2mm",
        "--frame-depth",
        "3mm",
        "--marks",
        "--names-in",
        "en",
    )
    sheets = by_name(report)
    assert (
        {"underlay", "backing", "rim", "board"} <= set(sheets)
        and sheets["red card"]["material"] == "card"
        and sheets["board"]["material"] == "adhesive-film"
    )
    assert sheets["board"]["area_mm2"] == pytest.approx(
        sum(x["area_mm2"] for n, x in sheets.items() if n == "dark blue film"), rel=1e-3
    )  # the same, hole for hole
    assert all(x["helper_cuts_mm"] > 0 for x in sheets.values())
    total = report["layering"]
    assert total["weeding_cuts_mm"] == pytest.approx(sum(x["helper_cuts_mm"] for x in sheets.values()), abs=0.05)
    assert total["cut_length_mm"] == pytest.approx(
        sum(x["cut_length_mm"] + x["helper_cuts_mm"] for x in sheets.values()), abs=0.05
    )
    codes = {f["code"] for f in report["findings"]}
    assert {"material.tool", "material.too_high"} <= codes  # chlorinated film by laser; stack against frame
    assert total["stack_height_mm"] > 3.0 and total["laid_on"] == "#141414" and svg.count("<g ") == len(sheets)
    assert recipe.marks and any(edit.apart for edit in recipe.layers)


def test_a_stack_is_as_high_as_its_sheets_and_spacers(owl, traced):
    report, _, _ = traced(owl, "--sheet-thickness", "0.5mm", "--spacer", "2mm", "--layering", "windowed")
    count = len(report["layers"])
    on_each_other = report["layering"]["thickest_sheets"]
    assert report["layering"]["stack_height_mm"] == pytest.approx(0.5 * on_each_other + 2 * (count - 1))
    assert [layer["thickness_mm"] for layer in report["layers"]] == [0.5] * count


def test_what_has_the_colour_of_the_ground_is_left_out(owl, traced):
    report, _, _ = traced(owl, "--laid-on", "white", "--leave-out", "like-ground")
    assert names(report) and "white" not in names(report)
    report, _, _ = traced(owl, "--laid-on", "black", "--leave-out", "like-ground")
    assert "white" in names(report)
    report, _, _ = traced(
        owl, "--leave-out", "red", "--merge", "white", "yellow", "--cut-colour", "dark blue", "#101820"
    )
    assert (
        "red" not in names(report)
        and "white" not in names(report)
        and by_name(report).get("black", {"hex": None})["hex"] == "#101820"
    )


def test_line_art_is_gathered_into_sheets(pane, traced):
    plain, _, _ = traced(pane, "--mode", "tone", "--compare", size=None)
    assert plain["numbers_of_sheets"]["colours"] == []  # nothing but paper within its lines
    report, _, _ = traced(pane, "--mode", "tone", "--gather", "touching", "--compare", size=None)
    assert names(report)[-1] == "black"
    fewest = next(r["sheets"] for r in report["numbers_of_sheets"]["touching"] if r["neighbours_alike"] == 0)
    assert len(report["layers"]) == fewest + 1
    told, _, _ = traced(
        pane,
        "--mode",
        "tone",
        "--gather",
        "inward",
        "--gather-sheets",
        "4",
        "--compare",
        "--layering",
        "lean",
        size=None,
    )
    assert len(told["layers"]) == 5
    rung = next(r for r in told["numbers_of_sheets"]["inward"] if r["sheets"] == 4)
    assert (
        rung["cut_length_mm"] == pytest.approx(told["layering"]["cut_length_mm"], rel=1e-6)
        and rung["pieces"] == told["layering"]["pieces"]
    )
    assert any(r["saved_mm"] > 0 for rungs in told["numbers_of_sheets"].values() for r in rungs)


def test_pieces_alone_are_held_or_shown_from_below(owl, traced):
    words = ("--layering", "fitted")
    plain, _, _ = traced(owl, *words)
    below, _, _ = traced(owl, *words, "--alone", "below")
    held, _, _ = traced(owl, *words, "--alone", "bridge")
    assert by_name(plain)["yellow"]["pieces"] == 2
    assert (
        by_name(plain)["dark blue"]["pieces"] == 3 and by_name(held)["dark blue"]["pieces"] == 1
    )  # the pupils hang on the head
    assert by_name(held)["dark blue"]["area_mm2"] > by_name(plain)["dark blue"]["area_mm2"]
    assert {"yellow below", "dark blue below"} <= set(names(below))
    assert (
        by_name(below)["yellow"]["pieces"] == by_name(below)["dark blue"]["pieces"] == 1
    )  # the largest of a sheet is no piece alone


_SAME = ("sheets", "pieces", "windows", "thickest_sheets", "stack_height_mm")


def test_what_is_compared_is_what_each_choice_then_gives(owl, traced):
    report, _, _ = traced(owl, "--compare", "--overlap", "0.5mm", "--weeding-frame", "3mm")
    assert [w["way"] for w in report["ways"]] == list(ways.WAYS)
    for way in report["ways"]:
        then, _, _ = traced(owl, "--layering", way["way"], "--overlap", "0.5mm", "--weeding-frame", "3mm")
        assert {k: way[k] for k in _SAME} == {k: then["layering"][k] for k in _SAME}
        assert way["cut_length_mm"] == pytest.approx(then["layering"]["cut_length_mm"], abs=0.01) and way[
            "area_mm2"
        ] == pytest.approx(then["layering"]["area_mm2"], abs=0.01)
        assert way["forgives_mm"] == (0.5 if way["way"] in ways.UNDER else None)
    for offer in report["orders"]:
        then, _, _ = traced(owl, "--layering", "stacked", "--order", ",".join(offer["order"]))
        assert offer["pieces"] == then["layering"]["pieces"]
        assert offer["cut_length_mm"] == pytest.approx(then["layering"]["cut_length_mm"], rel=2e-3) and offer[
            "area_mm2"
        ] == pytest.approx(then["layering"]["area_mm2"], rel=2e-3)


@pytest.mark.parametrize(
    "language, name", [("de", "dunkelblau"), ("fr", "bleu foncé"), ("sv", "mörkblå"), ("en", "dark blue")]
)
def test_layers_are_named_in_a_language(owl, traced, language, name):
    report, recipe, svg = traced(owl, "--names-in", language)
    assert recipe.names_in == language and name in names(report)
    assert re.fullmatch(r"[\x20-\x7e]*", "".join(re.findall(r'id="([^"]*)"', svg)))  # ids stay plain
    report, _, _ = traced(owl, "--names-in", language, "--material", "all", "paper")
    assert all(len(name.split()) >= 2 for name in names(report))


def test_words_that_fix_sheets_go_beside_a_recipe(owl, traced, tmp_path):
    _, recipe, _ = traced(owl, "--colours", "4", "--pin", "red", "base")
    kept = tmp_path / "kept.json"
    kept.rename(tmp_path / "mine.json")
    report, again, _ = traced(
        owl, "--recipe", str(tmp_path / "mine.json"), "--laid-on", "black", "--pin", "white", "top"
    )
    assert (
        again.laid_on == "#141414"
        and names(report)[0] == "red"
        and names(report)[-1] == "white"
        and again.colours == recipe.colours
    )


@pytest.mark.parametrize(
    "words, said",
    [
        (("--way", "turquoise", "lean"), "one of the layers: 1 "),
        (("--way", "1", "heaped"), "one of stacked"),
        (("--pin", "1", "middle"), "one of base, top"),
        (("--order-saves", "time"), "five shares"),
        (("--order-saves", "2,0,0"), "five shares"),
        (("--laid-on", "tartan"), "#rrggbb"),
        (("--region", "4", "drop"), "a place such as"),
        (("--region", "900,900", "drop"), "within the work"),
        (("--region", "4,4", "vanish"), "#rrggbb"),
        (("--material", "1", "vellum"), "adhesive-film"),
        (("--weeding-every", "5mm"), "--weeding-frame"),
        (("--gather-sheets", "3"), "--gather"),
        (("--gather", "touching"), "--mode tone"),
        (("--leave-out", "like-ground"), "--laid-on"),
        (("--cut-colour", "1", "green"), "#rrggbb"),
        (("--above", "1", "9"), "one of the layers"),
        (("--gather", "nested", "--gather-sheets", "99"), "2 to 24"),
        (("--overlap", "9mm"), "overlap"),
        (("--region", "nan,4", "drop"), "a place such as"),
        (("--compare",), "--report"),
    ],
)
def test_words_that_mean_nothing_are_refused_and_nothing_is_written(owl, tmp_path, capsys, words, said):
    assert cli.main(["trace", str(owl), "--out", str(tmp_path / "o.svg"), "--quiet", *words]) == exits.WRONG_WORDS
    told = capsys.readouterr().err
    assert said in told and "Traceback" not in told and len(told.splitlines()) == 1
    assert not list(tmp_path.iterdir())
