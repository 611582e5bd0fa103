"""``loom desktop``: the program in the menus of the desktop; ``loom thumbnail``: a small picture of a project."""

import argparse
import sys
from pathlib import Path

from sketchloom.command.exits import DONE, UNREADABLE, UNWRITABLE, Parser, complain
from sketchloom.core.base.errors import ExportError, ProjectError

_LEAST_PX, _MOST_PX = 16, 1024


def parser() -> argparse.ArgumentParser:
    """The parser of all words."""
    p = Parser(prog="loom desktop", allow_abbrev=False,
               description="Put the program into the desktop's menus with the type, icon and small pictures of its "
                           "projects, for this user; or take it out again.")
    p.add_argument("what", choices=("install", "remove"))
    p.add_argument("--folder", type=Path, metavar="DIR", help="the folder of data; without it the user's own "
                                                              "(XDG_DATA_HOME)")
    p.add_argument("--command", metavar="PATH", help="what starts the program; without it this Python with this "
                                                     "program")
    return p


def run(words) -> int:
    """Do what the words ask for; returns the exit code."""
    options = parser().parse_args(words)
    import platformdirs

    from sketchloom.files import desktop

    folder = options.folder or Path(platformdirs.user_data_path())
    command = [options.command] if options.command else [sys.executable, "-m", "sketchloom"]
    try:
        done = desktop.install(folder, command) if options.what == "install" else desktop.remove(folder)
    except ExportError as error:
        return complain(str(error), UNWRITABLE)
    sys.stdout.write("".join(f"{path}\n" for path in done) or "Nothing was there.\n")
    return DONE


def run_thumbnail(words) -> int:
    """Write the preview of a project as a small PNG."""
    p = Parser(prog="loom thumbnail", allow_abbrev=False, description="Write a small PNG of a project.")
    p.add_argument("project", type=Path)
    p.add_argument("out", type=Path)
    p.add_argument("--size", type=int, default=256, metavar="PX", help="its longer side")
    options = p.parse_args(words)
    from sketchloom.files import project, writing

    try:
        picture = project.thumbnail(options.project, min(max(options.size, _LEAST_PX), _MOST_PX))
    except ProjectError as error:
        return complain(str(error), UNREADABLE)
    try:
        writing.write_whole(options.out, picture)
    except ExportError as error:
        return complain(str(error), UNWRITABLE)
    return DONE
