"""From a file to an open work, whatever kind of file it is."""

from dataclasses import dataclass
from pathlib import Path

from sketchloom import project as projects
from sketchloom.core.picture.decode import SUFFIXES, decode, read_bytes
from sketchloom.core.picture.picture import Picture
from sketchloom.project import Project
from sketchloom.recipe import Recipe

READABLE = (projects.SUFFIX, *SUFFIXES)


@dataclass(frozen=True, slots=True, eq=False)
class Opened:
    """A work as it was read. ``path`` is the project's file, None for a picture.

    ``origin`` is the file that the user named, None when the picture came from elsewhere.
    """

    project: Project
    picture: Picture
    path: Path | None
    origin: Path | None


def open_file(path) -> Opened:
    """Read a picture or a project.

    Raises
    ------
    PictureError, ImageTooLargeError, ProjectError : with a sentence for the user.
    """
    path = Path(path)
    if path.suffix.lower() == projects.SUFFIX:
        project = projects.load(path)
        return Opened(project, decode(project.source, project.source_name), path, path)
    data = read_bytes(path)
    return Opened(Project(Recipe(), data, path.name), decode(data, str(path)), None, path)


def open_bytes(data: bytes, name: str) -> Opened:
    """A picture that came as bytes, such as from the clipboard."""
    return Opened(Project(Recipe(), data, name), decode(data, name), None, None)


def open_project(project: Project, path) -> Opened:
    """A project that is already read, such as a recovery copy."""
    return Opened(project, decode(project.source, project.source_name), Path(path) if path else None, None)
