"""Materials of sheets: what each bears, and the rules of the trade that follow."""

import json
from dataclasses import dataclass
from importlib.resources import files

from sketchloom.core.base import plain, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all

BLADE, LASER, ROUTER = TOOLS = ("blade", "laser", "router")
FAMILIES = (
    "film", "heat film", "flake film", "flocked film", "paper", "card", "board", "spacer", "acrylic", "wood", "fabric")
MAX_MATERIALS = 200
SMALLEST_FLOOR_MM, SMALLEST_DEFAULT_MM = 1.0, 5.0
"""The smallest detail: the floor and the common default of the trade."""


@dataclass(frozen=True, slots=True)
class Material:
    """A material. ``smallest_mm`` detail and ``gap_mm`` between cuts that it bears; ``shrinks`` under heat;
    ``lies_on``: it may lie on a sheet of its own family; ``tools`` that may cut it; ``caution`` beside its choice."""

    key: str = setting.text(setting.REQUIRED, most=300)
    name: str = setting.text(setting.REQUIRED, most=300)
    family: str = setting.choice(setting.REQUIRED, FAMILIES)
    thickness_mm: float = setting.length(setting.REQUIRED, 0.01, 100.0)
    smallest_mm: float = setting.length(setting.REQUIRED, 0.0, 100.0)
    gap_mm: float = setting.length(setting.REQUIRED, 0.0, 100.0)
    shrinks: bool = setting.switch(False)
    lies_on: bool = setting.switch(True)
    tools: tuple[str, ...] = (BLADE,)
    caution: str = setting.text("", most=300)

    def __post_init__(self):
        check_all(self, "materials.")
        for name in ("key", "name"):
            if not getattr(self, name):
                raise SettingError(f"materials.{name}", said("a short text"), getattr(self, name))
        if not isinstance(self.tools, tuple) or not all(t in TOOLS for t in self.tools):
            raise SettingError("materials.tools", said("some of {tools}", tools=", ".join(TOOLS)), self.tools)


def from_plain(data, where: str = "materials") -> tuple[Material, ...]:
    """Materials from plain data of any origin; raises SettingError."""
    if not isinstance(data, list) or len(data) > MAX_MATERIALS:
        raise SettingError(where, said("a list of at most {most}", most=MAX_MATERIALS), type(data).__name__)
    return plain.from_plain(data, tuple[Material, ...], where)


def to_plain(materials) -> list[dict]:
    return plain.to_plain(tuple(materials))


def shipped() -> tuple[Material, ...]:
    """The plain generic kinds that come with the program (values are common practice, no source)."""
    return from_plain(json.loads(files("sketchloom").joinpath("data", "materials.json").read_text(encoding="utf-8")))
