"""The works that ship with the program: pictures of the Tidewalk Lantern Night and recipes for them."""

from dataclasses import dataclass
from importlib.resources import files
from pathlib import Path

from sketchloom import project as projects
from sketchloom.project import Project
from sketchloom.recipe import LayerEdit, Recipe


@dataclass(frozen=True, slots=True)
class Demo:
    """A shipped picture with a recipe that shows what the program makes of it."""

    key: str
    title: str
    about: str
    file_name: str
    recipe: Recipe

    @property
    def picture_path(self) -> Path:
        return Path(str(files("sketchloom").joinpath("data", "demo", self.file_name)))

    def project(self) -> Project:
        return Project(self.recipe, self.picture_path.read_bytes(), self.file_name)


DEMOS = (
    Demo("lighthouse", "Lighthouse badge", "Flat clipart in six colours, on a white ground", "lighthouse-badge.png",
         Recipe(size_mm=110.0, smallest_mm=0.8, layers=(LayerEdit("#1e3557", "night sky"),))),
    Demo("kingfisher", "Kingfisher sketch", "An ink drawing as a scanner sees it", "kingfisher-sketch.png",
         Recipe(size_mm=150.0, smallest_mm=1.0)),
    Demo("panel", "Lantern panel", "Line art with many enclosed regions", "lantern-panel.png",
         Recipe(size_mm=180.0, smallest_mm=0.8)),
    Demo("boat", "Paper boat", "Like a photograph: all shading", "paper-boat.jpg",
         Recipe(reading="colour", colours=6, ground="keep", size_mm=160.0, smallest_mm=4.0)),
)


def demo(key: str) -> Demo:
    return next(d for d in DEMOS if d.key == key)


def put_demo_projects(folder) -> dict[str, Path]:
    """Writable copies of the demo projects; those that exist already are left as they are."""
    folder = Path(folder)
    folder.mkdir(parents=True, exist_ok=True)
    paths = {}
    for one in DEMOS:
        paths[one.key] = folder / (Path(one.file_name).stem + projects.SUFFIX)
        if not paths[one.key].exists():
            projects.save(one.project(), paths[one.key])
    return paths
