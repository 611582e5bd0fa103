"""What the program is, its licence and those of what it stands on."""

import tomllib
from contextlib import suppress
from html import escape
from importlib import metadata
from importlib.resources import files
from pathlib import Path

from PySide6.QtWidgets import QDialog, QDialogButtonBox, QLabel, QTabWidget, QTextBrowser, QVBoxLayout

from sketchloom import __version__
from sketchloom.app import theme

_ICON, _LONGEST_NAME = 64, 60
_ROOT = Path(__file__).parents[4]
"""A checkout; of an installed program something else, which holds none of its files."""


def libraries() -> list[tuple[str, str, str]]:
    """Name, version and licence of each library that the program was installed with, as each says of itself."""
    found = []
    for requirement in _requirements():
        if "extra ==" in requirement:
            continue
        name = requirement.split(";")[0].strip()
        for mark in "<>=!~ [(":
            name = name.split(mark)[0]
        try:
            about = metadata.metadata(name)
        except metadata.PackageNotFoundError:
            continue
        found.append((about["Name"], about["Version"], _licence_of(about)))
    return sorted(found, key=lambda one: one[0].casefold())


def _requirements():
    """What the program asks for: as it was installed, or as the checkout says."""
    try:
        return metadata.requires("sketch-loom") or ()
    except metadata.PackageNotFoundError:
        with suppress(OSError, KeyError, tomllib.TOMLDecodeError):
            return tomllib.loads((_ROOT / "pyproject.toml").read_text())["project"]["dependencies"]
    return ()


def _licence_of(about):
    """The name of a licence: as an expression, by its class, or in a short line; else the names of its texts."""
    named = about.get("License-Expression") or next(
        (one.rsplit(" :: ", 1)[-1] for one in about.get_all("Classifier") or () if one.startswith("License ::")), "")
    line = (about.get("License") or "").strip()
    short = line if len(line) <= _LONGEST_NAME else ""
    return named or short or ", ".join(about.get_all("License-File") or ()) or "–"


class About(QDialog):
    """A window that stays beside the work."""

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setWindowTitle(self.tr("About Sketch Loom"))
        self.resize(560, 520)
        column = QVBoxLayout(self)
        mark = QLabel()
        mark.setPixmap(theme.icon("stack-2", "WOAD").pixmap(_ICON, _ICON))
        words = QLabel(f"<h2>Sketch Loom {escape(__version__)}</h2><p>"
                       + escape(self.tr("Pictures in, clean layered cut files out.")) + "</p>")
        column.addWidget(mark)
        column.addWidget(words)
        tabs = QTabWidget()
        rows = "".join("<tr>" + "".join(f"<td style='padding:2px 16px 2px 0'>{escape(text)}</td>" for text in one)
                       + "</tr>" for one in libraries())
        for title, html in (
            (self.tr("Licence"), f"<pre style='white-space:pre-wrap'>{escape(_licence())}</pre>"),
            (self.tr("Libraries"), f"<table>{rows}</table>"),
            (self.tr("Font and icons"), "".join(
                f"<pre style='white-space:pre-wrap'>{escape(_shipped(folder))}</pre>"
                for folder in ("fonts", "icons"))),
        ):
            page = QTextBrowser()
            page.setAccessibleName(title)
            page.setHtml(html)
            tabs.addTab(page, title)
        column.addWidget(tabs, 1)
        box = QDialogButtonBox(QDialogButtonBox.StandardButton.Close)
        box.rejected.connect(self.close)
        column.addWidget(box)


def _licence():
    with suppress(metadata.PackageNotFoundError):
        for one in metadata.files("sketch-loom") or ():
            if one.name == "LICENSE":
                return one.read_text()
    beside = _ROOT / "LICENSE"
    return beside.read_text() if beside.is_file() else "MIT"


def _shipped(folder):
    found = [one for one in files("sketchloom").joinpath("data", folder).iterdir()
             if one.name.startswith(("LICENSE", "OFL"))]
    return found[0].read_text() if found else ""
