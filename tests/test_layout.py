"""Rules of the house that a reader would otherwise have to check."""

import ast
import re
import subprocess
import sys
import tomllib
from pathlib import Path

import pytest

from sketchloom.core.base.late import late

ROOT = Path(__file__).resolve().parents[1]
SOURCES = ROOT / "src" / "sketchloom"


def imports_of(path):
    for node in ast.walk(ast.parse(path.read_text())):
        if isinstance(node, ast.Import):
            yield from (a.name for a in node.names)
        elif isinstance(node, ast.ImportFrom):
            yield node.module
            yield from (f"{node.module}.{a.name}" for a in node.names)


HOUSE = ("core", "recipe", "evaluate", "desk", "files", "app", "command")
"""Folders from the ground up; each imports only from itself and from those before it."""
CORE = (
    "base",
    "picture",
    "planar",
    "background",
    "curves",
    "segment",
    "shapes",
    "vectors",
    "strokes",
    "thin_lines",
    "edits",
    "layers",
    "drawing",
    "sheets",
    "carve",
    "tooling",
    "formats",
    "playback",
    "printing",
    "judge",
    "preflight",
    "simulate",
    "logbook",
)
"""The same for the folders of the core."""
LOOSE = {"__init__.py", "__main__.py", "system.py"}


def test_only_the_application_knows_qt():
    for path in SOURCES.rglob("*.py"):
        if not path.is_relative_to(SOURCES / "app"):
            assert not [n for n in imports_of(path) if n.startswith("PySide6")], path


@pytest.mark.parametrize(("above", "order"), [("sketchloom", HOUSE), ("sketchloom.core", CORE)])
def test_imports_run_one_way_down_the_house(above, order):
    """By the text of every import, also of those inside functions."""
    root = SOURCES.parent.joinpath(*above.split("."))
    assert {p.name for p in root.iterdir() if (p / "__init__.py").exists()} == set(order)
    wrong = []
    for here, folder in enumerate(order):
        for path in (root / folder).rglob("*.py"):
            for name in imports_of(path):
                part = name.removeprefix(above + ".").split(".")[0] if name.startswith(above + ".") else None
                if part in order and order.index(part) > here:
                    wrong.append(f"{path.relative_to(root)} takes {name}")
    assert not wrong


def test_no_module_lies_loose_beside_the_folders():
    assert {p.name for p in SOURCES.glob("*.py")} == LOOSE
    assert {p.name for p in (SOURCES / "core").glob("*.py")} == {"__init__.py"}


def test_the_core_runs_where_qt_cannot_be_imported():
    code = (
        "import sys, pkgutil, importlib; sys.modules['PySide6'] = None\nimport sketchloom.core as c\n"
        "for m in pkgutil.walk_packages(c.__path__, 'sketchloom.core.'): importlib.import_module(m.name)\n"
        "import sketchloom.evaluate.pipeline, sketchloom.files.release, sketchloom.files.opening, "
        "sketchloom.files.demo_works"
    )
    subprocess.run(
        [sys.executable, "-c", code], check=True, env={"PYTHONPATH": str(SOURCES.parent), "PATH": "/usr/bin"}
    )


def name_of(requirement):
    return re.sub(r"[-_.]+", "-", re.match(r"[\w.-]+", requirement)[0]).lower()


@pytest.mark.parametrize("module", ["recipe.document", "files.user_data", "command.main"])
def test_what_a_start_needs_at_once_is_imported_without_the_large_libraries(module):
    code = f"import sys, sketchloom.{module}; print({{'scipy', 'cv2', 'shapely', 'PIL'}} & set(sys.modules))"
    done = subprocess.run([sys.executable, "-c", code], check=True, capture_output=True, text=True,
                          env={"PYTHONPATH": str(SOURCES.parent), "PATH": "/usr/bin"})
    assert done.stdout.strip() == "set()"


def test_the_window_starts_without_what_only_some_work_needs():
    code = ("import gc, sys; from sketchloom.command.main import window_start; window_start(); assert gc.isenabled(); "
            "print({'scipy.spatial', 'scipy.ndimage', 'scipy.optimize'} & set(sys.modules))")
    done = subprocess.run([sys.executable, "-c", code], check=True, capture_output=True, text=True,
                          env={"PYTHONPATH": str(SOURCES.parent), "PATH": "/usr/bin", "QT_QPA_PLATFORM": "offscreen"})
    assert done.stdout.strip() == "set()"


def test_a_library_that_comes_late_is_the_library():
    import json

    one = late("json")
    assert "loads" not in vars(one)
    assert one.loads is json.loads and one.loads("[1]") == [1]
    with pytest.raises(AttributeError, match="nothing_of_the_kind"):
        _ = one.nothing_of_the_kind


def test_every_requirement_is_pinned_with_its_hashes_and_none_is_missing():
    project = tomllib.loads((ROOT / "pyproject.toml").read_text())["project"]
    wanted = {"requirements.txt": project["dependencies"],
              "requirements-dev.txt": project["dependencies"] + project["optional-dependencies"]["dev"]}
    for name, direct in wanted.items():
        locked = re.split(r"\n(?=\w)", re.sub(r"(?m)^\s*#.*\n", "", (ROOT / name).read_text()).strip())
        for one in locked:
            assert re.match(r"[\w.-]+==[\w.]+( ;[^\n]*)? \\\n\s+--hash=sha256:[0-9a-f]{64}", one), one[:80]
        locked_names, direct_names = ({name_of(one) for one in some} for some in (locked, direct))
        assert direct_names <= locked_names


def test_every_string_of_the_window_can_be_translated():
    """Words set on widgets are literals only inside tr()."""
    suspicious = re.compile(r"(setText|setToolTip|setWindowTitle|setPlaceholderText|addTab)\(\s*f?\"[A-Za-z]{3,}")
    for path in (SOURCES / "app").rglob("*.py"):
        for line in path.read_text().splitlines():
            assert not suspicious.search(line) or "Sketch Loom" in line, f"{path.name}: {line.strip()}"


def test_shipped_data_has_its_licences():
    for folder in ("fonts", "icons"):
        assert (SOURCES / "data" / folder / "LICENSE").stat().st_size > 200
