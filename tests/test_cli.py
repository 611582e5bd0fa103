"""The headless main job as a script would call it."""

import json
import os
import subprocess
import sys
from pathlib import Path

import numpy as np
import pytest
from PIL import Image

import shapes
from sketchloom.command import exits
from sketchloom.command import main as cli
from sketchloom.files.demo_works import demo

ROOT = Path(__file__).resolve().parents[1]


@pytest.fixture
def badge(tmp_path):
    path = tmp_path / "badge.png"
    cover = shapes.cover_of(shapes.disc(60, 60, 40), 120)
    path.write_bytes(shapes.png(shapes.colour_of(cover, (181, 72, 60), (255, 255, 255))))
    return path


def run(*words):
    return cli.main(["trace", *map(str, words)])


def test_a_process_of_its_own(badge, tmp_path):
    out, report = tmp_path / "out.svg", tmp_path / "report.json"
    done = subprocess.run([sys.executable, "-m", "sketchloom", "trace", badge, "--out", out, "--report", report,
                           "--width", "4in", "--quiet"], capture_output=True, text=True,
                          env={**os.environ, "PYTHONPATH": str(ROOT / "src")})
    assert (done.returncode, done.stdout, done.stderr) == (0, "", "")
    plain = json.loads(report.read_text())
    assert set(plain) == {
        "source",
        "palette",
        "cells",
        "layers",
        "layering",
        "strokes",
        "findings",
        "explained_share", "written_anyway",
        "preflight",
        "timings_s",
        "peak_memory_mb",
        "version",
    }
    assert plain["source"]["mode"] == "colour" and plain["source"]["width_px"] == 120
    (layer,) = plain["layers"]
    assert set(layer) == {
        "name",
        "hex",
        "pieces",
        "holes",
        "segments",
        "cut_length_mm",
        "area_mm2",
        "min_feature_mm",
        "pen_mm",
        "way",
        "material",
        "thickness_mm",
        "helper_cuts_mm",
    }
    assert (layer["pieces"], layer["holes"], layer["hex"]) == (1, 0, "#b5483c")
    # 40 px of 120 px at 4 in across
    assert layer["area_mm2"] == pytest.approx(np.pi * (40 / 120 * 101.6) ** 2, rel=3e-3)
    assert set(plain["timings_s"]) == {"decode", "prepare", "segment", "planar", "curves", "layers", "write", "total"}
    assert 'width="101.6mm"' in out.read_text()


def test_trace_needs_no_qt(badge, tmp_path):
    code = ("import sys; sys.modules['PySide6'] = None\nfrom sketchloom.command.main import main\n"
            "sys.exit(main(['trace', sys.argv[1], '--out', sys.argv[2], '--quiet']))")
    done = subprocess.run([sys.executable, "-c", code, badge, tmp_path / "o.svg"], capture_output=True, text=True,
                          env={**os.environ, "PYTHONPATH": str(ROOT / "src")})
    assert (done.returncode, done.stderr) == (0, "")


def test_options(badge, tmp_path):
    out, report = tmp_path / "o.svg", tmp_path / "r.json"
    def layers(*words):
        return (run(badge, "--out", out, "--report", report, "--quiet", *words),
                                 json.loads(report.read_text())["layers"])[1]
    assert len(layers("--keep-background")) == 2
    assert [x["hex"] for x in layers("--colours", "2")] == ["#b5483c"]
    assert len(layers("--threshold", "160")) == 1
    assert json.loads(report.read_text())["source"]["mode"] == "tone"
    # the disc is 40 mm of 60 mm: it goes when nothing under 50 mm is kept
    assert run(badge, "--out", out, "--width", "60mm", "--min-feature", "50mm", "--quiet") == exits.UNREADABLE


def test_several_inputs_and_one_file_a_layer(badge, tmp_path):
    other = tmp_path / "other.png"
    other.write_bytes(badge.read_bytes())
    folder = tmp_path / "out"
    folder.mkdir()
    assert run(badge, other, "--out-dir", folder, "--quiet") == 0
    assert sorted(p.name for p in folder.iterdir()) == ["badge.svg", "other.svg"]
    assert run(badge, "--out-dir", folder, "--per-layer", "--keep-background", "--quiet") == 0
    assert len(list(folder.glob("badge-0*.svg"))) == 2


@pytest.mark.parametrize(
    "words, why",
    [
        ([], "required"),
        (["a.png"], "--out"),
        (["a.png", "--out", "o.svg", "--out-dir", "d"], "--out-dir"),
        (["a.png", "b.png", "--out", "o.svg"], "--out takes one"),
        (["a.png", "--out", "o.svg", "--colours", "0"], "1 to 24"),
        (["a.png", "--out", "o.svg", "--colours", "many"], "whole number"),
        (["a.png", "--out", "o.svg", "--width", "5ft"], "length"),
        (["a.png", "--out", "o.svg", "--width", "1mm"], "between 2.0 and"),
        (["a.png", "--out", "o.svg", "--threshold", "256"], "0 to 255"),
        (["a.png", "--out", "o.svg", "--nonsense"], "nonsense"),
        (["a.png", "--out", "o.svg", "--width", "5mm", "--height", "5mm"], "not allowed"),
    ],
)
def test_wrong_words_end_with_2(words, why, capsys):
    try:
        code = run(*words)
    except SystemExit as stop:
        code = stop.code
    assert code == exits.WRONG_WORDS
    assert why in capsys.readouterr().err


def bad_inputs(folder):
    whole = shapes.png(np.random.default_rng(0).integers(0, 255, (64, 64, 3), dtype=np.uint8))
    jpeg = folder / "whole.jpg"
    Image.open(demo("boat").picture_path).resize((200, 200)).save(jpeg)
    cases = {
        "empty.png": b"", "text.png": b"I am no picture\n", "cut.png": whole[: len(whole) // 2],
        "cut.jpg": jpeg.read_bytes()[:900], "dot.png": shapes.png(np.zeros((1, 1, 3), np.uint8)),
        "flat.png": shapes.png(np.full((50, 50, 3), 200, np.uint8)),
        "clear.png": shapes.png(np.zeros((50, 50, 4), np.uint8)),
        "noise.png": shapes.png(np.random.default_rng(1).integers(0, 255, (200, 200, 3), dtype=np.uint8)),
    }
    for name, data in cases.items():
        (folder / name).write_bytes(data)
    return [*cases, "missing.png", "."]


def test_bad_inputs_end_with_3_and_one_sentence(tmp_path, capsys):
    source, out = tmp_path / "in", tmp_path / "out"
    source.mkdir()
    out.mkdir()
    for name in bad_inputs(source):
        assert run(source / name, "--out", out / "o.svg") == exits.UNREADABLE, name
        said = capsys.readouterr().err.strip()
        assert "Traceback" not in said and "\n" not in said and str(source) in said, said
        assert len(said) > len(str(source / name)) + 20
    assert list(out.iterdir()) == []


def test_unwritable_outputs_end_with_4(badge, tmp_path, capsys):
    for target in (tmp_path, tmp_path / "none" / "o.svg", "/proc/o.svg"):
        assert run(badge, "--out", target, "--quiet") == exits.UNWRITABLE
    assert "Traceback" not in capsys.readouterr().err


def test_a_device_is_no_output(badge, capsys):
    assert run(badge, "--out", "/dev/null", "--quiet") == exits.UNWRITABLE
    assert "device" in capsys.readouterr().err and Path("/dev/null").is_char_device()


def test_no_room_on_the_disk(badge, tmp_path):
    """The system refuses to write more than 200 bytes to a file, as a full disk would."""
    out = tmp_path / "o.svg"
    out.write_text("before")
    code = (
        "import resource, signal, sys\nfrom sketchloom.command.main import main\nsignal.signal(signal.SIGXFSZ, "
        "signal.SIG_IGN)\nresource.setrlimit(resource.RLIMIT_FSIZE, (200, 200))\n"
        "sys.exit(main(['trace', sys.argv[1], '--out', sys.argv[2], '--quiet']))"
    )
    done = subprocess.run([sys.executable, "-B", "-c", code, badge, out], capture_output=True, text=True,
                          env={**os.environ, "PYTHONPATH": str(ROOT / "src")})
    assert (
        done.returncode == exits.UNWRITABLE and "could not be written" in done.stderr and "Traceback" not in done.stderr
    )
    assert out.read_text() == "before" and list(tmp_path.glob(".*.part")) == []


def test_one_bad_input_among_good_ones_stops_no_other(badge, tmp_path):
    folder = tmp_path / "out"
    folder.mkdir()
    assert run(tmp_path / "none.png", badge, "--out-dir", folder, "--quiet") == exits.UNREADABLE
    assert [p.name for p in folder.iterdir()] == ["badge.svg"]


def test_words_of_the_command_itself(capsys):
    assert cli.main(["--version"]) == 0 and "Sketch Loom" in capsys.readouterr().out
    assert cli.main(["--help"]) == 0 and "loom trace" in capsys.readouterr().out
    assert cli.main(["--nonsense"]) == exits.WRONG_WORDS


def wavy(path, size=240):
    """A disc with a rim that wobbles by more than the grain of its pixels."""
    def inside(x, y):
        angle = np.arctan2(y - 120, x - 120)
        return np.hypot(x - 120, y - 120) <= 80 + 1.2 * np.sin(23 * angle) + 3 * np.sin(7 * angle)
    path.write_bytes(shapes.png(shapes.colour_of(shapes.cover_of(inside, size), (47, 111, 126), (255, 255, 255))))
    return path


def test_smoother_outlines_have_fewer_nodes(tmp_path):
    picture, report = wavy(tmp_path / "wavy.png"), tmp_path / "r.json"
    counts = []
    for smoothness in (-2, 0, 3):
        assert run(picture, "--out", tmp_path / "o.svg", "--report", report, "--quiet", "--smoothness", smoothness) == 0
        counts.append(json.loads(report.read_text())["layers"][0]["segments"])
    assert counts[0] > counts[1] > counts[2]


def test_shapes_as_drawn_or_exact(tmp_path):
    """A rounded rectangle a hair off level: levelled, or left as it is."""
    path, out = tmp_path / "card.png", tmp_path / "o.svg"
    inside = shapes.rounded_rectangle(24.3, 27.6, 100.4, 60.2, 14.3, turn=0.0006)
    path.write_bytes(shapes.png(shapes.colour_of(shapes.cover_of(inside, 160), (30, 53, 87), (255, 255, 255))))
    level = {}
    for words in ((), ("--as-drawn",)):
        assert run(path, "--out", out, "--width", "1600mm", "--quiet", *words) == 0
        data = out.read_text().split(' d="')[1].split('"')[0]
        runs = [
            [float(v) for v in p.split()]
            for p in data.replace("C", "|C").replace("L", "|L").replace("Z", "|").split("|")
            if p.startswith("L")
            for p in [p[1:]]
        ]
        begins = data.replace("L", "|").replace("C", "|").replace("M", "|").replace("Z", "|").split("|")
        ends = [tuple(float(v) for v in b.split()[-2:]) for b in begins if b.strip()]
        at = [ends.index(tuple(r)) for r in runs]
        level[words] = sum(min(abs(ends[k][0] - ends[k - 1][0]), abs(ends[k][1] - ends[k - 1][1])) == 0 for k in at)
        assert len(runs) >= 3
    assert level[()] == len(runs) and level[("--as-drawn",)] == 0


@pytest.mark.parametrize("value", ["4", "-3", "1.5", "auto", "very"])
def test_a_smoothness_out_of_range_is_said(badge, tmp_path, value, capsys):
    assert run(badge, "--out", tmp_path / "o.svg", "--smoothness", value) == 2
    said = capsys.readouterr().err
    assert (
        "--smoothness" in said and "-2 to 3" in said and "auto" not in said.replace(repr(value), "").replace(value, "")
    )


def _three_discs(path):
    cover = [shapes.cover_of(shapes.disc(x, 60, 14), 120)[..., None] for x in (30, 60, 90)]
    pixels = 255.0 - sum((255 - shade) * c for shade, c in zip((40, 110, 180), cover, strict=False))
    Image.fromarray(np.repeat(np.rint(pixels), 3, 2).astype(np.uint8)).save(path)


def test_photo_and_line_on_the_command_line(tmp_path):
    _three_discs(tmp_path / "discs.png")
    out, report = tmp_path / "o.svg", tmp_path / "r.json"
    words = [
        "trace",
        str(tmp_path / "discs.png"),
        "--out",
        str(out),
        "--report",
        str(report),
        "--quiet",
        "--width",
        "60mm",
    ]
    assert cli.main([*words, "--mode", "photo", "--tones", "4"]) == 0
    told = json.loads(report.read_text())
    assert told["source"]["mode"] == "photo" and len(told["layers"]) == 4
    cover = shapes.cover_of(lambda x, y: (abs(y - 60) < 3) & (x > 15) & (x < 105), 120)
    Image.fromarray(shapes.grey_of(cover)).save(tmp_path / "line.png")
    words[1] = str(tmp_path / "line.png")
    assert cli.main([*words, "--mode", "line", "--min-branch", "0"]) == 0
    told = json.loads(report.read_text())
    text = out.read_text()
    assert 'fill="none"' in text and 'stroke-width="3"' in text and "Z" not in text.split(' d="')[1].split('"')[0]
    # 90 px long, drawn without its round ends of 3 px each
    assert told["layers"][0]["cut_length_mm"] == pytest.approx((90 - 6) / 2, abs=0.8)
    assert cli.main([*words, "--mode", "line", "--pen-width", "2mm"]) == 0
    assert 'fill-rule="evenodd"' in out.read_text()


def test_double_outlines_on_the_command_line(tmp_path):
    def away(x, y):
        return np.hypot(x - 60, y - 60)
    ink = shapes.cover_of(lambda x, y: (away(x, y) > 40) & (away(x, y) < 43), 120)[..., None]
    inner = shapes.cover_of(shapes.disc(60, 60, 40), 120)[..., None]
    Image.fromarray(
        np.rint(255.0 * (1 - ink - inner) + 20 * ink + np.array([220, 150, 60]) * inner).astype(np.uint8)
    ).save(tmp_path / "r.png")
    out, report = tmp_path / "o.svg", tmp_path / "r.json"
    words = [
        "trace",
        str(tmp_path / "r.png"),
        "--out",
        str(out),
        "--report",
        str(report),
        "--quiet",
        "--width",
        "120mm",
    ]
    assert cli.main(words) == 0 and len(json.loads(report.read_text())["layers"]) == 2
    assert cli.main([*words, "--double", "4mm", "--double-to", "outer"]) == 0
    (layer,) = json.loads(report.read_text())["layers"]
    assert np.sqrt(layer["area_mm2"] / np.pi) == pytest.approx(43, abs=0.4)


@pytest.mark.parametrize(
    "word, value",
    [("--tones", "1"), ("--pens", "5"), ("--tones", "nine"), ("--pen-width", "wide"), ("--double", "thin")],
)
def test_wrong_words_of_the_readings(tmp_path, capsys, word, value):
    _three_discs(tmp_path / "discs.png")
    assert cli.main(["trace", str(tmp_path / "discs.png"), "--out", str(tmp_path / "o.svg"), word, value]) == 2
    assert not (tmp_path / "o.svg").exists() and len(capsys.readouterr().err.splitlines()) == 1


def test_a_recipe_is_written_and_used_again(badge, tmp_path):
    kept, first, second = tmp_path / "kept.json", tmp_path / "first.svg", tmp_path / "second.svg"
    words = ["--quiet"]
    assert (
        run(
            badge,
            *words,
            "--out",
            str(first),
            "--colours",
            "3",
            "--layering",
            "lean",
            "--overlap",
            "0.4mm",
            "--backing",
            "0.05in",
            "--order-saves",
            "pieces",
            "--width",
            "80mm",
            "--write-recipe",
            str(kept),
        )
        == exits.DONE
    )
    plain = json.loads(kept.read_text())
    assert plain["layering"] == "lean" and plain["overlap_mm"] == 0.4 and plain["rims"][0]["distance_mm"] == 1.27
    assert plain["order_weights"] == [0.0, 1.0, 0.0, 0.0, 0.0]
    assert run(badge, *words, "--out", str(second), "--recipe", str(kept)) == exits.DONE
    assert first.read_bytes() == second.read_bytes()
    other = tmp_path / "report.json"
    assert (
        run(badge, *words, "--out", str(second), "--recipe", str(kept), "--layering", "fitted", "--report", str(other))
        == exits.DONE
    )
    assert json.loads(other.read_text())["layering"]["way"] == "fitted"


@pytest.mark.parametrize(
    "text, code",
    [
        ("{", exits.UNREADABLE),
        ("[1]", exits.WRONG_WORDS),
        ('{"layering": "heaped"}', exits.WRONG_WORDS),
        ('{"overlap_mm": 9}', exits.WRONG_WORDS),
        ('{"order_weights": [0, 0, 0]}', exits.WRONG_WORDS),
        (None, exits.UNREADABLE),
    ],
)
def test_a_recipe_that_is_none_is_refused_and_writes_nothing(badge, tmp_path, capsys, text, code):
    path, out = tmp_path / "odd.json", tmp_path / "out.svg"
    if text is not None:
        path.write_text(text)
    assert run(badge, "--out", str(out), "--recipe", str(path)) == code
    assert not out.exists() and "Traceback" not in capsys.readouterr().err


def test_words_that_a_recipe_decides_are_refused_beside_it(badge, tmp_path, capsys):
    path = tmp_path / "kept.json"
    path.write_text("{}")
    assert run(badge, "--out", str(tmp_path / "o.svg"), "--recipe", str(path), "--colours", "3") == exits.WRONG_WORDS
    assert "--colours" in capsys.readouterr().err


def test_plan_designs_and_shared_sheets(badge, tmp_path, capsys):
    folder = tmp_path / "files"
    folder.mkdir()
    assert run(badge, "--out", tmp_path / "a.svg", "--plan", tmp_path / "plan.svg", "--quiet") == 0
    assert (tmp_path / "plan.svg").read_text().startswith("<?xml")
    assert run(badge, "--out-dir", folder, "--per-design", "--quiet") == 0
    assert [p.name for p in folder.glob("*.svg")] == [f"{Path(badge).stem}-design-01.svg"]
    shared = tmp_path / "shared"
    shared.mkdir()
    other = tmp_path / "other.png"
    other.write_bytes(Path(badge).read_bytes())
    assert run(badge, other, "--same-sheets", "--out-dir", shared) == 0
    assert "2 works on" in capsys.readouterr().err
    assert [p.name for p in shared.iterdir()] == [f"{Path(badge).stem}-sheet-01-red.svg"]  # both works have one colour
    # a work that cannot be read leaves no sheet that lacks it
    (tmp_path / "broken.png").write_bytes(b"no picture")
    empty = tmp_path / "empty"
    empty.mkdir()
    assert run(badge, tmp_path / "broken.png", "--same-sheets", "--out-dir", empty) != 0
    assert list(empty.iterdir()) == []
    assert run(badge, other, "--same-sheets", "--out", tmp_path / "x.svg") == 2
    assert run(badge, "--same-sheets", "--per-layer", "--out-dir", shared) == 2


def test_a_recipe_carries_pins_rules_and_helper_cuts(badge, tmp_path):
    kept = tmp_path / "recipe.json"
    assert run(badge, "--out", tmp_path / "a.svg", "--write-recipe", kept, "--quiet") == 0
    data = json.loads(kept.read_text())
    data["weeding_mm"], data["weeding_every_mm"] = 4.0, 20.0
    data["rims"] = [{"distance_mm": 1.27, "kind": "underlay"}]
    data["laid_on"] = "#141414"
    kept.write_text(json.dumps(data))
    report = tmp_path / "report.json"
    assert run(badge, "--recipe", kept, "--out", tmp_path / "b.svg", "--report", report, "--quiet") == 0
    told = json.loads(report.read_text())
    assert told["layering"]["weeding_cuts_mm"] > 100 and "underlay" in [layer["name"] for layer in told["layers"]]


def test_a_folder_that_is_not_there_is_made_and_left_away_when_nothing_comes_of_it(badge, tmp_path, capsys):
    assert run(badge, "--out-dir", tmp_path / "new" / "cut", "--quiet") == 0
    assert [p.name for p in (tmp_path / "new" / "cut").iterdir()] == [f"{badge.stem}.svg"]
    (tmp_path / "empty.png").write_bytes(b"")
    assert run(tmp_path / "empty.png", "--out-dir", tmp_path / "other" / "cut", "--quiet") == exits.UNREADABLE
    assert not (tmp_path / "other").exists()
    (tmp_path / "file").write_text("x")
    assert run(badge, "--out-dir", tmp_path / "file", "--quiet") == exits.UNWRITABLE
    assert "Traceback" not in capsys.readouterr().err


def test_one_layer_named_in_an_order_is_the_lowest(badge, tmp_path, capsys):
    def order(*more):
        assert run(badge, "--out", tmp_path / "o.svg", "--report", tmp_path / "r.json", "--mode", "colour", *more) == 0
        return [layer["name"] for layer in json.loads((tmp_path / "r.json").read_text())["layers"]]
    proposed = order("--layering", "stacked")
    top = proposed[-1]
    assert order("--layering", "stacked", "--order", top) == [top, *proposed[:-1]]


def test_a_silhouette_turns_no_reading(badge, tmp_path, capsys):
    assert run(badge, "--out", tmp_path / "o.svg", "--silhouette", "--report", tmp_path / "r.json") == 0
    assert json.loads((tmp_path / "r.json").read_text())["source"]["mode"] == "colour"
    assert "--silhouette changes nothing" in capsys.readouterr().err


def test_corners_of_a_page_are_given(tmp_path):
    pixels = np.full((300, 400, 3), 70, np.uint8)
    pixels[60:240, 80:320] = 245
    pixels[110:190, 140:260] = 20
    Image.fromarray(pixels).save(tmp_path / "page.png")
    corners = ("80,60", "320,60", "320,240", "80,240")
    words = ("--out", tmp_path / "o.svg", "--report", tmp_path / "r.json", "--width", "240mm", "--quiet")
    assert run(tmp_path / "page.png", *words, "--corners", *corners) == 0
    source = json.loads((tmp_path / "r.json").read_text())["source"]
    assert source["width_px"] / source["height_px"] == pytest.approx(4 / 3, rel=0.01)
    assert 'width="240mm"' in (tmp_path / "o.svg").read_text()
    assert run(tmp_path / "page.png", *words, "--corners", "80;60", *corners[1:]) == exits.WRONG_WORDS
