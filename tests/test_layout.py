"""Rules of the house that a reader would otherwise have to check."""

import ast
import re
import subprocess
import sys
from pathlib import Path

ROOT = Path(__file__).resolve().parents[1]
SOURCES = ROOT / "src" / "sketchloom"


def imports_of(path):
    for node in ast.walk(ast.parse(path.read_text())):
        if isinstance(node, ast.Import):
            yield from (a.name for a in node.names)
        elif isinstance(node, ast.ImportFrom):
            yield node.module


def test_only_the_application_knows_qt_and_nothing_below_knows_the_application():
    for path in SOURCES.rglob("*.py"):
        names = list(imports_of(path))
        inside_app = path.is_relative_to(SOURCES / "app")
        if not inside_app:
            assert not [n for n in names if n.startswith("PySide6")], path
        if path.is_relative_to(SOURCES / "core"):
            outside = [n for n in names if n.startswith("sketchloom.") and not n.startswith("sketchloom.core")]
            assert not outside, path


def test_the_core_runs_where_qt_cannot_be_imported():
    code = ("import sys, pkgutil, importlib; sys.modules['PySide6'] = None\nimport sketchloom.core as c\n"
            "for m in pkgutil.walk_packages(c.__path__, 'sketchloom.core.'): importlib.import_module(m.name)\n"
            "import sketchloom.pipeline, sketchloom.release, sketchloom.opening, sketchloom.demo_works")
    subprocess.run([sys.executable, "-c", code], check=True, env={"PYTHONPATH": str(SOURCES.parent), "PATH": "/usr/bin"})


def test_direct_requirements_are_pinned_in_one_place():
    for name in ("requirements.txt", "requirements-dev.txt"):
        for line in (ROOT / name).read_text().split():
            assert line in ("-r", "requirements.txt") or re.fullmatch(r"[\w.-]+==[\d.]+", line), line


def test_every_string_of_the_window_can_be_translated():
    """Words set on widgets are literals only inside tr()."""
    suspicious = re.compile(r"(setText|setToolTip|setWindowTitle|setPlaceholderText|addTab)\(\s*f?\"[A-Za-z]{3,}")
    for path in (SOURCES / "app").rglob("*.py"):
        for line in path.read_text().splitlines():
            assert not suspicious.search(line) or "Sketch Loom" in line, f"{path.name}: {line.strip()}"


def test_shipped_data_has_its_licences():
    for folder in ("fonts", "icons"):
        assert (SOURCES / "data" / folder / "LICENSE").stat().st_size > 200
