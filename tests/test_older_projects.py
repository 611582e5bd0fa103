"""Projects that older versions of the program wrote, one of every schema so far, open with all that was in them.

The files in ``data`` were written by those versions themselves, with as much of a recipe as each knew.
"""

import json
import zipfile
from pathlib import Path

import pytest

from sketchloom.files import project as projects
from sketchloom.recipe.document import to_json

FILES = sorted((Path(__file__).parent / "data").glob("schema-*.sloom"))


def plain_of(path):
    with zipfile.ZipFile(path) as archive:
        return json.loads(archive.read("project.json"))


def covers(new, old) -> bool:
    """Whether all of the old data is in the new; numbers may have become floats, and new keys may be there."""
    if isinstance(old, dict):
        return isinstance(new, dict) and all(key in new and covers(new[key], value) for key, value in old.items())
    if isinstance(old, list):
        return isinstance(new, list) and len(new) == len(old) and all(map(covers, new, old))
    return new == old and isinstance(new, bool) == isinstance(old, bool)


def test_there_is_one_of_every_schema():
    assert [plain_of(path)["schema"] for path in FILES] == ["1.0", "1.1", "1.2", "1.3", "1.4"]


@pytest.mark.parametrize("path", FILES, ids=lambda p: p.stem)
def test_everything_that_was_in_it_is_there(path):
    project = projects.load(path)
    assert covers(to_json(project.recipe), plain_of(path)["recipe"])
    assert project.source_name == "ring-and-bar.png" and not project.recipe.unknown
    assert project.has_prepared_places == (plain_of(path)["schema"] in ("1.0", "1.1"))


@pytest.mark.parametrize("path", FILES, ids=lambda p: p.stem)
def test_it_comes_back_from_the_file_of_today(path):
    project = projects.load(path)
    again = projects.from_bytes(projects.to_bytes(project), "again.sloom")
    assert again.recipe == project.recipe and again.source == project.source
