"""The works that ship with the program: pictures of the Tidewalk Lantern Night and recipes for them."""

from dataclasses import dataclass, replace
from importlib.resources import files
from pathlib import Path

import numpy as np
from PIL import Image

from sketchloom.core.base.said import said
from sketchloom.core.carve.blank import Blank
from sketchloom.core.carve.operations import (
    BOARD,
    CARVE,
    EDGE,
    FIELD,
    GROOVE,
    LAYER,
    MIDDLE,
    POCKET,
    PROFILE,
    SHAPE,
    Operation,
    Target,
)
from sketchloom.core.curves.chains import ring_points
from sketchloom.core.shapes.drawn import PlacedShape
from sketchloom.core.shapes.text import fonts, shaped
from sketchloom.core.sheets import machine as machines
from sketchloom.files import project as projects
from sketchloom.files.opening import open_as_layers
from sketchloom.files.project import Project
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import LayerEdit

NIGHT, GOLD, MADDER = "#1e3557", "#e3ae4a", "#b5483c"
"""Colours of the night, as the demo pictures have them."""


@dataclass(frozen=True, slots=True)
class Demo:
    """A shipped picture, or several that are layers of one work, with a recipe that shows what the program makes of
    it."""

    key: str
    title: str
    about: str
    file_names: tuple[str, ...]
    recipe: Recipe
    words: tuple[tuple[str, float, float, float], ...] = ()
    """Words laid on it: text, and as shares of the picture's height how high, of its sides where its middle lies."""

    @property
    def file_name(self) -> str:
        return self.file_names[0]

    @property
    def paths(self) -> tuple[Path, ...]:
        return tuple(_FOLDER / name for name in self.file_names)

    @property
    def picture_path(self) -> Path:
        return self.paths[0]

    @property
    def source_name(self) -> str:
        """What its project calls its picture."""
        return self.file_name if len(self.file_names) == 1 else f"{self.key}.png"

    @property
    def thumbnail_path(self) -> Path:
        return _FOLDER / "small" / f"{self.key}.png"

    def project(self) -> Project:
        if len(self.file_names) == 1:
            recipe = replace(self.recipe, may_use=True)
            if self.words:
                with Image.open(self.picture_path) as picture:
                    recipe = replace(recipe, shapes=tuple(_laid(*one, picture.size) for one in self.words))
            return Project(recipe, self.picture_path.read_bytes(), self.file_name)
        made = open_as_layers(self.paths).project
        own = replace(
            self.recipe,
            may_use=True,
            reading=made.recipe.reading,
            palette=made.recipe.palette,
            order=made.recipe.order,
            layers=made.recipe.layers,
        )
        return Project(own, made.source, self.source_name)


def _laid(text, high, x, y, size):
    """A word in the shipped font as a shape of a picture of a size, px."""
    font = fonts()[0]
    rings = [ring * high * size[1] for ring in shaped(text, font).rings]
    every = np.concatenate([ring.reshape(-1, 2) for ring in rings])
    to = np.multiply((x, y), size) - (every.min(0) + every.max(0)) / 2
    return PlacedShape(tuple(ring_points((ring + to) / size) for ring in rings), MADDER, f"“{text}”", text=text,
                       font=font.name)


_FOLDER = Path(str(files("sketchloom").joinpath("data", "demo")))
_SIGN = (
    Operation(POCKET, Target(FIELD), "end-12", 4.0, raised=(Target(LAYER, NIGHT),)),
    Operation(POCKET, Target(FIELD), "end-3", 4.0, raised=(Target(LAYER, NIGHT),), rest_of="end-12"),
    Operation(POCKET, Target(LAYER, GOLD), "end-3", 2.0),
    Operation(CARVE, Target(SHAPE, "“LANTERN QUAY”", 0.5, 0.69), "vee-60", from_mm=4.0),
    Operation(CARVE, Target(SHAPE, "“TIDEWALK LANTERN NIGHT”", 0.5, 0.89), "vee-60", from_mm=4.0),
    Operation(GROOVE, Target(MIDDLE), "ball-3", 1.5),
    Operation(EDGE, Target(BOARD), "vee-90", 1.5),
    Operation(PROFILE, Target(BOARD), "end-6", 22.2, tabs=6, lead_mm=3.0),
)
DEMOS = (
    Demo(
        "lighthouse",
        said("Lighthouse badge"),
        said("Flat clipart in six colours, on a white ground"),
        ("lighthouse-badge.png",),
        Recipe(size_mm=110.0, smallest_mm=0.8, layers=(LayerEdit("#1e3557", "night sky"),)),
    ),
    Demo(
        "kingfisher",
        said("Kingfisher sketch"),
        said("An ink drawing as a scanner sees it"),
        ("kingfisher-sketch.png",),
        Recipe(size_mm=150.0, smallest_mm=1.0),
    ),
    Demo(
        "panel",
        said("Lantern panel"),
        said("Line art with many enclosed regions"),
        ("lantern-panel.png",),
        Recipe(size_mm=180.0, smallest_mm=0.8),
    ),
    Demo(
        "boat",
        said("Paper boat"),
        said("Like a photograph: all shading, to be cut out by two strokes"),
        ("paper-boat.jpg",),
        Recipe(reading="colour", colours=6, ground="keep", size_mm=160.0, smallest_mm=4.0),
    ),
    Demo(
        "phone",
        said("Pencil by phone"),
        said("A pencil sketch on a table, seen at a slant: flatten, level, lift"),
        ("kingfisher-by-phone.jpg",),
        Recipe(size_mm=150.0),
    ),
    Demo(
        "mark",
        said("Small mark"),
        said("Few pixels, fringes and rings: its colours are found all the same"),
        ("small-mark.png",),
        Recipe(size_mm=60.0, smallest_mm=1.0),
    ),
    Demo(
        "page",
        said("Lantern page"),
        said("A page of a PDF in lines, two of which are to go"),
        ("lantern-page.pdf",),
        Recipe(reading="line"),
    ),
    Demo(
        "layers",
        said("Five layers"),
        said("Five pictures with one frame, a sheet each"),
        ("1-night.png", "2-hills.png", "3-water.png", "4-boat.png", "5-lanterns.png"),
        Recipe(size_mm=140.0),
    ),
    Demo(
        "portrait",
        said("Portrait"),
        said("A photo-like face for layered paper"),
        ("portrait.jpg",),
        Recipe(reading="photo", tones=5, size_mm=160.0, smallest_mm=4.0, ground="keep"),
    ),
    Demo(
        "banner",
        said("Lantern banner"),
        said("Wider than any carrier: its base is divided where it is seen least"),
        ("lantern-banner.png",),
        Recipe(size_mm=640.0, smallest_mm=2.0, machine=machines.shipped()[0]),
    ),
    Demo(
        "badges",
        said("Six badges"),
        said("Six of one evening in five colours, cut from shared sheets"),
        ("six-badges.png",),
        Recipe(size_mm=400.0, smallest_mm=1.5, machine=machines.shipped()[0], carrier="A4", pieces="apart"),
    ),
    Demo(
        "sign",
        said("Quay sign"),
        said("An ornament and two words on a plaque, carved by a router"),
        ("quay-sign.png",),
        Recipe(size_mm=600.0, smallest_mm=2.0, machine=next(m for m in machines.shipped() if m.kind == machines.ROUTER),
               blank=Blank("plaque", 700.0, 300.0, 22.0, corner_mm=36.0, rim_mm=20.0, recess_mm=4.0),
               operations=_SIGN),
        (("LANTERN QUAY", 0.2, 0.5, 0.69), ("TIDEWALK LANTERN NIGHT", 0.075, 0.5, 0.89)),
    ),
    Demo("pen", said("Boats in pen"), said("Thin open lines for a pen"), ("boats-in-pen.png",), Recipe(size_mm=160.0)),
)


def demo(key: str) -> Demo:
    return next(d for d in DEMOS if d.key == key)


def put_demo_projects(folder) -> dict[str, Path]:
    """Writable copies of the demo projects; those that exist already are left as they are."""
    folder = Path(folder)
    folder.mkdir(parents=True, exist_ok=True)
    paths = {}
    for one in DEMOS:
        paths[one.key] = folder / (Path(one.source_name).stem + projects.SUFFIX)
        if not paths[one.key].exists():
            projects.save(one.project(), paths[one.key])
    return paths
