"""Files of the user are not lost, mixed or half written, whatever is asked for and whatever happens meanwhile."""

import errno
import json
import os
import subprocess
import sys
import time
import zipfile
from pathlib import Path

import numpy as np
import pytest
from PIL import Image

from sketchloom.command.main import main
from sketchloom.core.base.errors import ClashError, ExportError, ProjectError
from sketchloom.core.formats import atomic
from sketchloom.core.formats.atomic import PART, Care, identity, sweep, write_together
from sketchloom.files import project as projects
from sketchloom.files.project import Project
from sketchloom.files.report import to_bytes as report_bytes
from sketchloom.recipe.document import Recipe, from_json, to_json
from sketchloom.recipe.parts import LayerEdit
from sketchloom.recipe.sections import MIN_HELPER_MM

SOURCES = str(Path(atomic.__file__).parents[3])


@pytest.fixture
def picture(tmp_path):
    path = tmp_path / "in" / "badge.png"
    path.parent.mkdir()
    y, x = np.mgrid[:96, :96]
    pixels = np.full((96, 96, 3), 245, np.uint8)
    pixels[np.hypot(x - 48, y - 48) < 34] = (160, 50, 40)
    pixels[np.hypot(x - 48, y - 48) < 18] = (40, 80, 120)
    Image.fromarray(pixels).save(path)
    return path


def trace(*words):
    return main(["trace", *(str(w) for w in words), "--quiet"])


# -- the command -------------------------------------------------------------------------------


def clashing(picture, out):
    """Words of the command that would destroy something, by what they do."""
    link = out / "link.png"
    link.symlink_to(picture)
    hard = out / "hard.svg"
    os.link(picture, hard)
    twin = picture.parent / "other" / "badge.png"
    twin.parent.mkdir()
    twin.write_bytes(picture.read_bytes())
    recipe = out / "recipe.json"
    recipe.write_text(json.dumps(to_json(Recipe())))
    return {
        "over the input": (picture, "--out", picture),
        "over a link to the input": (picture, "--out", link),
        "over another name of the input": (picture, "--out", hard),
        "a report over the input": (picture, "--out", out / "a.svg", "--report", picture),
        "over the recipe that is read": (picture, "--recipe", recipe, "--out", recipe),
        "a report over the cut file": (picture, "--out", out / "a.svg", "--report", out / "a.svg"),
        "a plan over it, in other letters": (picture, "--out", out / "a.svg", "--plan", out / "A.SVG"),
        "a recipe over the report": (
            picture, "--out", out / "a.svg", "--report", out / "b", "--write-recipe", out / "b"),
        "two inputs of one name": (picture, twin, "--out-dir", out),
    }


@pytest.mark.parametrize("what", [
    "over the input", "over a link to the input", "over another name of the input", "a report over the input",
    "over the recipe that is read", "a report over the cut file", "a plan over it, in other letters",
    "a recipe over the report", "two inputs of one name"])
def test_no_output_is_an_input_and_no_two_are_one(picture, tmp_path, capsys, what):
    out = tmp_path / "out"
    out.mkdir()
    words = clashing(picture, out)[what]
    before = {path: path.read_bytes() for path in tmp_path.rglob("*.*") if path.is_file()}
    assert trace(*words) == 2
    assert {path: path.read_bytes() for path in tmp_path.rglob("*.*") if path.is_file()} == before
    assert "loom: " in capsys.readouterr().err


@pytest.mark.parametrize("split", [(), ("--per-layer",), ("--per-piece",), ("--per-design",)])
def test_files_in_a_folder_stay_unless_they_may_go(picture, tmp_path, capsys, split):
    out = tmp_path / "out"
    out.mkdir()
    assert trace(picture, "--out-dir", out, *split) == 0
    made = sorted(out.iterdir())
    made[-1].write_text("mine")
    report = tmp_path / "report.json"
    assert trace(picture, "--out-dir", out, *split, "--report", report) == 4
    assert made[-1].read_text() == "mine" and not report.exists() and sorted(out.iterdir()) == made
    assert "--replace" in capsys.readouterr().err
    assert trace(picture, "--out-dir", out, *split, "--report", report, "--replace") == 0
    assert made[-1].read_text() != "mine" and report.exists()


def test_one_file_may_be_written_anew(picture, tmp_path):
    """The contract with scripts: a single ``--out`` may be replaced."""
    for _ in range(2):
        assert trace(picture, "--out", tmp_path / "a.svg", "--report", tmp_path / "a.json") == 0


def test_a_name_that_is_no_utf8_is_reported(picture, tmp_path):
    odd = picture.with_name(os.fsdecode(b"badge\xff.png"))
    picture.rename(odd)
    assert trace(odd, "--out", tmp_path / "a.svg", "--report", tmp_path / "a.json") == 0
    assert json.loads((tmp_path / "a.json").read_bytes())["source"]["file"] == str(odd)


# -- together ----------------------------------------------------------------------------------


def files_in(folder, count=4, size=200):
    return [(folder / f"{n}.svg", lambda n=n: bytes([65 + n]) * size) for n in range(count)]


def test_a_full_disk_leaves_all_as_it_was(tmp_path, monkeypatch):
    """Seen: with a file a layer, three of them were there."""
    for n in (0, 2):
        (tmp_path / f"{n}.svg").write_text("before")
    real, calls = os.fsync, []
    for fails_at in range(4):
        calls.clear()

        def full(handle, at=fails_at):
            calls.append(handle)
            if len(calls) > at:
                raise OSError(errno.ENOSPC, "No space left on device")
            real(handle)
        monkeypatch.setattr(os, "fsync", full)
        with pytest.raises(ExportError, match="No space left"):
            write_together(files_in(tmp_path))
        assert sorted(p.name for p in tmp_path.iterdir() if p.is_file()) == ["0.svg", "2.svg"]
        assert (tmp_path / "0.svg").read_text() == (tmp_path / "2.svg").read_text() == "before"


def test_a_rename_that_fails_takes_those_before_it_back(tmp_path, monkeypatch):
    (tmp_path / "1.svg").write_text("before")
    real, calls = Path.replace, []

    def stuck(self, target):
        calls.append(target)
        if len(calls) == 4:
            raise OSError(errno.EIO, "Input/output error")
        return real(self, target)
    monkeypatch.setattr(Path, "replace", stuck)
    with pytest.raises(ExportError, match="Input/output"):
        write_together(files_in(tmp_path))
    assert sorted(p.name for p in tmp_path.iterdir() if p.is_file()) == ["1.svg"]
    assert (tmp_path / "1.svg").read_text() == "before"


KILLED = """
import os, sys
from pathlib import Path
from sketchloom.core.formats import atomic
at, folder, journals = int(sys.argv[1]), Path(sys.argv[2]), Path(sys.argv[3])
steps = 0
def step():
    global steps
    steps += 1
    if steps == at:
        os._exit(9)
for owner, name in ((os, "fsync"), (os, "link"), (os, "open"), (Path, "replace"), (Path, "unlink")):
    real = getattr(owner, name)
    def slow(*a, _real=real, **k):
        step()
        done = _real(*a, **k)
        step()
        return done
    setattr(owner, name, slow)
atomic.write_together([(folder / f"{n}.svg", lambda: b"new" * 100) for n in range(3)], atomic.Care(journals=journals))
"""


@pytest.mark.parametrize("first", [1, 2])
def test_a_kill_at_any_step_leaves_all_old_or_all_new(tmp_path, first):
    """Every second step here, the others in the twin; the process is ended as the system would end it."""
    at, ended, outcomes = first, False, set()
    while not ended:
        folder, journals = tmp_path / f"at{at}", tmp_path / f"journals{at}"
        folder.mkdir()
        for n in (0, 2):
            (folder / f"{n}.svg").write_text("old")
        done = subprocess.run([sys.executable, "-c", KILLED, str(at), str(folder), str(journals)], check=False,
                              env={**os.environ, "PYTHONPATH": SOURCES})
        ended = done.returncode == 0
        assert done.returncode in (0, 9)
        sweep(journals)
        found = {p.name: p.read_text()[:3] for p in folder.iterdir()}
        assert found in ({"0.svg": "old", "2.svg": "old"}, {f"{n}.svg": "new" for n in range(3)}), (at, found)
        outcomes.add(len(found))
        assert not list(journals.glob("*")) if journals.exists() else True
        at += 2 if at > 12 else 3  # the first steps only make the journal
    assert outcomes == {2, 3}


def test_what_still_writes_is_not_swept(tmp_path):
    seen = []

    def make():
        seen.append(sweep(tmp_path / "journals"))
        return b"x"
    write_together([(tmp_path / "a", make), (tmp_path / "b", make)], Care(journals=tmp_path / "journals"))
    assert seen == [[], []] and (tmp_path / "a").read_bytes() == b"x"
    assert not list((tmp_path / "journals").iterdir())


def test_a_journal_from_a_stranger_moves_nothing_of_others(tmp_path):
    folder = tmp_path / "journals"
    folder.mkdir()
    (tmp_path / "victim").write_text("mine")
    (tmp_path / f"x{PART}").write_text("theirs")
    lines = [[[str(tmp_path / f"x{PART}"), str(tmp_path / "sub" / "victim"), str(tmp_path / f"y{PART}")]],
             [[str(tmp_path / "victim"), str(tmp_path / "gone"), str(tmp_path / "victim")]], {"a": 1}, [[1, 2]]]
    for n, line in enumerate(lines):
        (folder / f"{n}.journal").write_text(json.dumps(line) + "\nready\n")
    (folder / "cut.journal").write_text("[[")
    assert sweep(folder) == []
    assert (tmp_path / "victim").read_text() == "mine"


def test_names_of_one_file_are_seen_through(tmp_path):
    (tmp_path / "a").write_text("x")
    (tmp_path / "b").symlink_to("a")
    os.link(tmp_path / "a", tmp_path / "c")
    assert identity(tmp_path / "a") == identity(tmp_path / "b") == identity(tmp_path / "c")
    assert identity(tmp_path / "new.SVG") == identity(tmp_path / "." / "NEW.svg") != identity(tmp_path / "new.sv")
    with pytest.raises(ClashError):
        write_together([(tmp_path / "b", lambda: b"y")], Care(never=(tmp_path / "c",)))
    with pytest.raises(ExportError, match="there already"):
        write_together([(tmp_path / "d", lambda: b"y"), (tmp_path / "a", lambda: b"y")], Care(replace=False))
    assert (tmp_path / "a").read_text() == "x" and not (tmp_path / "d").exists()


def test_old_leavings_in_the_data_folder_are_swept(tmp_path):
    from sketchloom.files import writing

    folder = writing.data_folder()
    old, new = folder / f".presets.json.1{PART}", folder / f".presets.json.2{PART}"
    for path in (old, new):
        path.write_text("x")
    os.utime(old, (1, 1))
    writing.sweep(time.time())
    assert not old.exists() and new.exists()


# -- projects and settings ---------------------------------------------------------------------


def test_a_project_packed_in_another_way_is_refused_with_a_sentence(tmp_path):
    path = tmp_path / "a.sloom"
    with zipfile.ZipFile(path, "w", zipfile.ZIP_LZMA) as archive:
        archive.writestr("project.json", "{}")
        archive.writestr("source.png", b"x")
    with pytest.raises(ProjectError, match="packed in a way"):
        projects.load(path)
    broken = bytearray(path.read_bytes())
    broken[60:70] = b"\xff" * 10
    with pytest.raises(ProjectError):
        projects.from_bytes(bytes(broken), "b.sloom")


def test_half_a_letter_in_a_name_is_kept(tmp_path, picture):
    recipe = Recipe(layers=(LayerEdit("#a03228", name="red\ud800"),))
    path = tmp_path / "a.sloom"
    projects.save(Project(recipe, picture.read_bytes(), "p\udcff.png"), path)
    found = projects.load(path)
    assert found.recipe == recipe and found.source_name == "p\udcff.png"
    assert json.loads(report_bytes({"file": "p\udcff"})) == {"file": "p\udcff"}
    other = tmp_path / "recipe.json"
    other.write_text(json.dumps(to_json(recipe)))
    assert trace(picture, "--recipe", other, "--out", tmp_path / "a.svg") == 0
    (tmp_path / "a.svg").read_text(encoding="utf-8")


@pytest.mark.parametrize("every", [0.2, 1e-300])
def test_helper_cuts_that_would_never_end_are_no_setting(picture, tmp_path, every):
    assert trace(picture, "--weeding-frame", "5mm", "--weeding-every", f"{every}mm", "--out", tmp_path / "a.svg") == 2
    assert from_json({"weeding_every_mm": every}).weeding_every_mm == MIN_HELPER_MM  # a work of before opens
    assert trace(picture, "--weeding-frame", "5mm", "--weeding-every", "2mm", "--out", tmp_path / "a.svg") == 0


@pytest.mark.parametrize("preparation", [{"mirror": {}}, {"mirror": []}, {"crop": [1]}, {"page": {}}, [], 3, "x"])
def test_a_recipe_that_is_off_is_told(picture, tmp_path, capsys, preparation):
    path = tmp_path / "recipe.json"
    path.write_text(json.dumps({"preparation": preparation}))
    assert trace(picture, "--recipe", path, "--out", tmp_path / "a.svg") in (2, 3)
    assert "preparation" in capsys.readouterr().err
