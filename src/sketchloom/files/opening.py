"""From files to an open work, whatever kind they are."""

import contextlib
import re
import threading
from collections import OrderedDict
from dataclasses import dataclass, replace
from pathlib import Path

from sketchloom.core.base.errors import PictureError
from sketchloom.core.base.said import said
from sketchloom.core.base.words import languages
from sketchloom.core.picture import documents
from sketchloom.core.picture.apart import pages_counted_apart
from sketchloom.core.picture.decode import SUFFIXES, decode, read_bytes
from sketchloom.core.picture.painted import Painted
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.vectors.apart import dxf_apart, painted_apart
from sketchloom.core.vectors.dxf_areas import is_dxf
from sketchloom.core.vectors.laying import picture_from
from sketchloom.files import composing
from sketchloom.files import project as projects
from sketchloom.files.project import Project
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.places import as_kept

DXF = ".dxf"
PICTURES = (*SUFFIXES, DXF)
READABLE = (projects.SUFFIX, *PICTURES)
_DRAWING_PX = 2000
"""The longer side of a document that is read as a drawing, at least: what is narrower than a pixel is not seen."""
_PAGES_KEPT = 2
"""Drawn pages kept, so that going back to one is quick."""


def picture_of(data: bytes, name: str, recipe: Recipe) -> Picture:
    """The picture that a recipe is for; of a document that it reads as a drawing with the areas that are painted there.

    Raises
    ------
    PictureError, ImageTooLargeError : with a sentence for the user.
    """
    if is_dxf(data):
        drawn, dpi = dxf_apart(data, name)
        rgb, alpha = picture_from(drawn)
        return Picture(frozen_array(rgb), frozen_array(alpha), dpi, Path(name).name, painted=drawn)
    if not recipe.as_drawing or not documents.is_document(data):
        return decode(data, name, recipe.page, recipe.page_dpi)
    picture = decode(data, name, recipe.page, recipe.page_dpi, _DRAWING_PX)
    painted: Painted | None = None
    with contextlib.suppress(PictureError):  # what takes too long to be followed can still be seen
        painted = painted_apart(data, name, recipe.page, picture.width, picture.height)
    note = () if painted is not None and painted.areas else (said(
        "No outlines of this file can be followed; it is read as a picture."),)
    return replace(picture, painted=painted, notes=(*picture.notes, *note))


def as_read(recipe: Recipe, data: bytes) -> Recipe:
    """The recipe as it begins for a file: one that holds nothing but outlines is read as a drawing."""
    return replace(recipe, as_drawing=True) if is_dxf(data) else recipe


class Pages:
    """The pictures that a source gives: one, or the pages of a document as a recipe wants them.

    May be asked from any thread.
    """

    def __init__(self, data: bytes, name: str, label: str | None = None):
        self._data, self._name, self._label = data, name, label or name
        self.is_document = documents.is_document(data) or is_dxf(data)
        self.count = pages_counted_apart(data, self._label) if documents.is_document(data) else 1
        self._kept: OrderedDict = OrderedDict()
        self._lock = threading.Lock()

    def picture(self, recipe: Recipe) -> Picture:
        """The picture a recipe is for, the same object as long as the same page is asked for.

        Raises
        ------
        PictureError, ImageTooLargeError : with a sentence for the user.
        """
        page = min(recipe.page, self.count - 1)
        key = (page, recipe.page_dpi, recipe.as_drawing) if self.is_document else None
        with self._lock:
            if key not in self._kept:
                self._kept[key] = picture_of(self._data, self._label, replace(recipe, page=page))
                while len(self._kept) > _PAGES_KEPT:
                    self._kept.popitem(last=False)
            self._kept.move_to_end(key)
            return self._kept[key]


@dataclass(frozen=True, slots=True, eq=False)
class Opened:
    """A work as it was read. ``path`` is the project's file, None for a picture.

    ``pages`` gives its picture for a recipe. ``origin`` is the file that the user named, None
    when the picture came from elsewhere.
    """

    project: Project
    pages: Pages
    path: Path | None
    origin: Path | None

    @property
    def picture(self) -> Picture:
        return self.pages.picture(self.project.recipe)


def open_file(path) -> Opened:
    """Read a picture or a project.

    Raises
    ------
    PictureError, ImageTooLargeError, ProjectError : with a sentence for the user.
    """
    path = Path(path)
    if path.suffix.lower() == projects.SUFFIX:
        return _opened(projects.load(path), path, path)
    data = read_bytes(path)
    return _opened(Project(as_read(Recipe(), data), data, path.name), None, path, str(path))


def begun_as(opened: Opened, language: str, unit: str = "mm") -> Opened:
    """A picture just opened whose layers will be named in a language and whose lengths are shown in a unit; a project
    keeps its own."""
    if opened.path is not None:
        return opened
    recipe = replace(opened.project.recipe, unit=unit)
    recipe = replace(recipe, names_in=language) if language in languages() else recipe
    return replace(opened, project=replace(opened.project, recipe=recipe))


def in_name_order(paths) -> list:
    """Files by name, numbers in names by their value: layer 2 before layer 10."""
    def key(path):
        return [
            (0, int(part), "") if part.isdecimal() else (1, 0, part.casefold())
            for part in re.split(r"(\d+)", Path(path).name)
        ]

    return sorted(paths, key=key)


def open_as_layers(paths) -> Opened:
    """Several pictures of one frame as the layers of one work, the first lowest.

    Raises
    ------
    PictureError : one cannot be read, or their frames differ.
    """
    paths = [Path(p) for p in paths]
    pictures = [decode(read_bytes(path), str(path)) for path in paths]
    made = composing.composed(pictures, [path.stem for path in paths])
    return _opened(Project(made.recipe, made.png, f"{paths[0].stem} and {len(paths) - 1} more.png"), None, None)


def open_bytes(data: bytes, name: str) -> Opened:
    """A picture that came as bytes, such as from the clipboard."""
    return _opened(Project(Recipe(), data, name), None, None)


def open_project(project: Project, path) -> Opened:
    """A project that is already read, such as a recovery copy."""
    return _opened(project, Path(path) if path else None, None)


def _opened(project, path, origin, label=None):
    opened = Opened(project, Pages(project.source, project.source_name, label), path, origin)
    picture = opened.picture  # what cannot be read is told now
    if project.has_prepared_places:
        opened = replace(
            opened, project=replace(project, recipe=as_kept(project.recipe, picture), has_prepared_places=False)
        )
    return opened
