"""The worked examples for those who work on the program: they are the program, or they run."""

import re
import sys
from pathlib import Path

import numpy as np

from sketchloom.command.pages import page
from sketchloom.command.trace_words import parser
from sketchloom.core import formats
from sketchloom.core.drawing.drawing import Drawing, Group, Look, Shape, strand_of_rings
from sketchloom.core.formats import registry
from sketchloom.recipe.document import SETTINGS

ROOT = Path(__file__).resolve().parents[1]
TEXT = (ROOT / "CONTRIBUTING.md").read_text(encoding="utf-8")
CITED = re.findall(r"^`(src/[\w/.]+)`\n\n```python\n(.*?)```", TEXT, re.M | re.S)
MODULES = re.findall(r'^```python\n(""".*?)```', TEXT, re.M | re.S)


def test_what_is_cited_stands_where_it_is_said_to_stand():
    assert len(CITED) >= 6
    for path, lines in CITED:
        assert lines in (ROOT / path).read_text(encoding="utf-8"), path


def test_every_place_named_is_there():
    for name in re.findall(r"`((?:core|recipe|evaluate|desk|files|app|command)/[\w/.]*)`", TEXT):
        assert (ROOT / "src/sketchloom" / name).exists(), name
    for name in re.findall(r"`((?:tests|src|docs)/[\w/.]+)`", TEXT):
        assert (ROOT / name).exists(), name


def test_the_format_of_the_example_is_found_by_itself_and_writes(tmp_path, monkeypatch):
    (module,) = MODULES
    (tmp_path / "made_for_reading.py").write_text(module, encoding="utf-8")
    monkeypatch.setattr(formats, "__path__", [*formats.__path__, str(tmp_path)])
    registry.formats.cache_clear()
    try:
        ring = np.array([[(0, 0), (1, 0), (2, 0), (3, 0)], [(3, 0), (2, 1), (1, 1), (0, 0)]], float)
        shape = Shape((strand_of_rings([ring]),), Look(fill="#000000"))
        drawing = Drawing("a ring", (0.0, 0.0, 3.0, 1.0), (Group((shape,), "black", 1),))
        written = registry.format_of("ring.points").write(drawing).decode().splitlines()
        assert written[0] == "layer 1"
        assert written[1] == "move 0.000 0.000"
        assert written[-1] == "close"
    finally:
        registry.formats.cache_clear()
        sys.modules.pop("sketchloom.core.formats.made_for_reading", None)


def test_every_setting_and_every_word_of_the_command_is_in_the_documents():
    formats_told, told = ((ROOT / name).read_text(encoding="utf-8") for name in ("docs/formats.md", "docs/commands.md"))
    assert not [name for name in SETTINGS if f"`{name}`" not in formats_told]
    words = {word for action in parser()._actions for word in action.option_strings if word.startswith("--")}
    assert not [word for word in sorted(words - {"--help"}) if not re.search(rf"{word}(?![\w-])", told)]
    assert told == page(), "python -m sketchloom.command.pages docs/commands.md"


def test_every_module_that_the_architecture_names_is_there():
    there = [path.as_posix() for path in (ROOT / "src/sketchloom").rglob("*.py")]
    for name in re.findall(r"`([\w/]+\.py)`", (ROOT / "docs/architecture.md").read_text(encoding="utf-8")):
        assert any(path.endswith(f"/{name}") for path in there), name
