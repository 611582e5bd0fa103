"""Project files: there and back, and archives that want to do harm."""

import io
import json
import zipfile

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

import shapes
from sketchloom.core.base.errors import ExportError, PictureError, ProjectError, SettingError
from sketchloom.core.curves.courses import CurveEdit
from sketchloom.files import project as projects
from sketchloom.files.opening import open_file
from sketchloom.files.project import Project
from sketchloom.recipe.document import Recipe, from_json, to_json
from sketchloom.recipe.parts import LayerEdit, PaletteEntry
from sketchloom.recipe.sections import LAYERINGS, READINGS, UNITS

PNG = shapes.png(np.indices((20, 20)).sum(0).astype(np.uint8) * 6)
hexes = st.integers(0, 0xFFFFFF).map("#{:06x}".format)
recipes = st.builds(
    Recipe, reading=st.sampled_from(READINGS), colours=st.none() | st.integers(1, 24),
    palette=st.none() | st.lists(st.lists(hexes, min_size=1, max_size=3).map(tuple).map(PaletteEntry),
                                 min_size=1, max_size=4).map(tuple),
    cut_off=st.none() | st.integers(0, 255), dark_is_ink=st.booleans(),
    size_mm=st.none() | st.floats(2, 10_000), smallest_mm=st.floats(0, 100), layering=st.sampled_from(LAYERINGS),
    order=st.lists(hexes, max_size=4).map(tuple), unit=st.sampled_from(UNITS),
    layers=st.lists(st.builds(LayerEdit, hexes, st.none() | st.text(max_size=20), st.none() | hexes, st.booleans(),
                              st.none() | hexes), max_size=3).map(tuple))


@given(recipes)
def test_a_recipe_goes_through_json_unchanged(recipe):
    assert from_json(json.loads(json.dumps(to_json(recipe)))) == recipe


def test_a_project_there_and_back(tmp_path):
    path = tmp_path / "a.sloom"
    project = Project(Recipe(size_mm=33.0), PNG, "picture.png")
    projects.save(project, path, preview_png=PNG)
    back = projects.load(path)
    assert back.recipe == project.recipe and back.source == PNG and back.source_name == "picture.png"
    names = zipfile.ZipFile(path).namelist()
    assert names == ["project.json", "source.png", "preview.png"]
    assert projects.to_bytes(project) == projects.to_bytes(project)


def test_a_work_keeps_what_tells_it_from_others():
    project = Project(Recipe(), PNG, "picture.png", id=projects.new_id())
    assert projects.from_bytes(projects.to_bytes(project), "a.sloom").id == project.id
    for odd in ("", "x" * 32, "0" * 31, 3, None, ["0" * 32]):  # as a stranger may write it
        assert projects.from_bytes(archive({"id": odd}), "a.sloom").id == ""


def archive(settings=None, *, drop=(), extra=(), source=PNG) -> bytes:
    plain = {"format": "sketch-loom", "schema": "1.0", "source_name": "a.png", "recipe": to_json(Recipe())}
    plain.update(settings or {})
    members = {"project.json": json.dumps(plain).encode(), "source.png": source}
    buffer = io.BytesIO()
    with zipfile.ZipFile(buffer, "w") as out:
        for name, data in [*members.items(), *extra]:
            if name not in drop:
                out.writestr(name, data)
    return buffer.getvalue()


def test_a_newer_minor_version_opens_and_what_is_unknown_is_kept():
    recipe = {**to_json(Recipe()), "sparkle": {"amount": 3}}
    project = projects.from_bytes(archive({"schema": "1.7", "mood": [1, 2], "recipe": recipe}), "a")
    with zipfile.ZipFile(io.BytesIO(projects.to_bytes(project))) as back:
        plain = json.loads(back.read("project.json"))
    assert plain["mood"] == [1, 2] and plain["recipe"]["sparkle"] == {"amount": 3}


def test_a_newer_major_version_is_refused():
    with pytest.raises(ProjectError, match=r"newer version .schema 2.0.*Update"):
        projects.from_bytes(archive({"schema": "2.0"}), "a.sloom")


@pytest.mark.parametrize(
    "data, why",
    [
        (b"", "damaged"),
        (b"PK\x03\x04 nonsense", "damaged"),
        (archive()[:200], "damaged"),
        (archive(drop=["project.json"]), "lacks its part project.json"),
        (archive(drop=["source.png"]), "lacks its part source"),
        (archive(extra=[("../evil.txt", b"x")]), "name"),
        (archive(extra=[("/etc/evil", b"x")]), "name"),
        (archive(extra=[("a\\..\\b", b"x")]), "name"),
        (archive({"format": "other"}), "not a Sketch Loom project"),
        (archive({"schema": "one"}), "which version"),
        (archive({"recipe": {"colours": 900}}), "colours must be"),
        (archive({"recipe": {"size_mm": float("nan")}}), "size_mm must be"),
        (archive({"recipe": []}), "must be an object"),
        (archive({"recipe": {"palette": [["#zz"]]}}), "rrggbb"),
        (archive({"recipe": {"order": "x"}}), "a list"),
        (archive(extra=[("project.json", b"[" * 100_000)], drop=["project.json"]), "lacks|damaged"),
    ],
)
def test_hostile_and_damaged_archives(data, why):
    with pytest.raises(ProjectError, match=why):
        projects.from_bytes(data, "a.sloom")


def test_a_bomb_is_not_unpacked():
    """A member that claims or holds more than the settings' limit of 32 MB is refused unread."""
    buffer = io.BytesIO()
    with zipfile.ZipFile(buffer, "w", zipfile.ZIP_DEFLATED) as out:
        out.writestr("project.json", b" " * 64_000_000)
        out.writestr("source.png", PNG)
    assert len(buffer.getvalue()) < 200_000
    with pytest.raises(ProjectError, match="claims 61 MB"):
        projects.from_bytes(buffer.getvalue(), "a.sloom")


def test_a_damaged_byte_anywhere_is_found_or_harmless():
    whole = archive()
    for at in range(0, len(whole), 37):
        broken = whole[:at] + bytes([whole[at] ^ 0x55]) + whole[at + 1:]
        try:
            projects.from_bytes(broken, "a")
        except ProjectError as error:
            assert str(error).startswith("a: ")


def test_opening_by_kind(tmp_path):
    picture, project = tmp_path / "a.png", tmp_path / "a.sloom"
    picture.write_bytes(PNG)
    project.write_bytes(archive())
    assert open_file(picture).path is None and open_file(picture).origin == picture
    assert open_file(project).path == project
    project.write_bytes(archive(source=b"no picture"))
    with pytest.raises(PictureError, match=r"a\.png"):
        open_file(project)
    with pytest.raises(ProjectError, match="no such file"):
        open_file(tmp_path / "none.sloom")


@pytest.mark.parametrize("changes, field", [({"reading": "guess"}, "reading"), ({"colours": 0}, "colours"),
                                            ({"colours": True}, "colours"), ({"size_mm": 1.0}, "size_mm"),
                                            ({"palette": ()}, "palette"), ({"unit": "ft"}, "unit"),
                                            ({"dark_is_ink": 1}, "dark_is_ink")])
def test_a_setting_that_is_not_allowed_names_itself(changes, field):
    with pytest.raises(SettingError, match=f"^{field} must be") as caught:
        Recipe(**changes)
    assert caught.value.field == field


def test_a_project_too_large_to_be_opened_again_is_not_written(tmp_path, monkeypatch):
    monkeypatch.setattr(projects, "_MAX_SETTINGS_BYTES", 3000)
    target = tmp_path / "large.sloom"
    large = Project(
        Recipe(
            curves=tuple(CurveEdit(((0.1, 0.1), (0.2, 0.2)), ((0.1, 0.1), (0.2, k / 100)), "arc") for k in range(40))
        ),
        PNG,
        "a.png",
    )
    with pytest.raises(ExportError, match="not saved"):
        projects.save(large, target)
    assert not target.exists()
