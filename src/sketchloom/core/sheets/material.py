"""Materials of sheets: what each bears, and the rules of the trade that follow."""

from dataclasses import dataclass

from sketchloom.core.base import plain, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all

BLADE, LASER, ROUTER = TOOLS = ("blade", "laser", "router")
FAMILIES = (
    said("film"), said("heat film"), said("flake film"), said("flocked film"), said("paper"), said("card"),
    said("board"), said("spacer"), said("acrylic"), said("wood"), said("fabric"))
MAX_MATERIALS = 200
"""More than any workshop has; a guard against hostile files."""
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
    return _SHIPPED


def _kind(key, name, family, thickness_mm, smallest_mm, gap_mm, tools, caution, **more):
    # what a file keeps of it is plain text; a window finds the words in its catalogue
    return Material(key, str(name), family, thickness_mm, smallest_mm, gap_mm, tools=tools, caution=str(caution),
                    **more)


_SHIPPED = (
    _kind("adhesive-film", said("Adhesive film"), "film", 0.08, 1.0, 0.8, (BLADE,),
          said("Often chlorinated (PVC): never by laser.")),
    _kind("heat-film", said("Heat-transfer film"), "heat film", 0.1, 1.0, 1.0, (BLADE,),
          said("Hot press: mind your skin; the film's sheet says time and heat."), shrinks=True),
    _kind("flake-film", said("Flake film"), "flake film", 0.25, 2.0, 1.5, (BLADE,),
          said("Never on flake film; on plain film yes. Hot press: mind your skin."), shrinks=True, lies_on=False),
    _kind("flocked-film", said("Flocked film"), "flocked film", 0.5, 2.5, 2.0, (BLADE,),
          said("Nothing bonds on its pile; it lies uppermost. Hot press: mind your skin."), lies_on=False),
    _kind("paper", said("Paper, 80 to 120 g/m²"), "paper", 0.12, 1.5, 1.0, (BLADE, LASER),
          said("Laser: fire; never leave it alone.")),
    _kind("card", said("Card, 160 to 300 g/m²"), "card", 0.3, 2.0, 1.5, (BLADE, LASER),
          said("Laser: fire; never leave it alone.")),
    _kind("board", said("Grey board"), "board", 1.5, 3.0, 2.0, (BLADE, LASER),
          said("Deep cuts need several passes; keep fingers off the blade.")),
    _kind("foam-spacer", said("Foam spacer"), "spacer", 3.0, 5.0, 4.0, (BLADE,),
          said("Foam gives off poisonous fumes by laser.")),
    _kind("acrylic", said("Acrylic sheet"), "acrylic", 3.0, 2.0, 2.0, (LASER, ROUTER),
          said("Laser: extraction, and never alone. Router: eyes, ears, chips.")),
    _kind("plywood", said("Plywood"), "wood", 3.0, 2.0, 2.0, (LASER, ROUTER),
          said("Laser: fire and smoke. Router: dust, noise, eyes.")),
    _kind("fabric", said("Felt or fabric"), "fabric", 1.0, 4.0, 3.0, (BLADE, LASER),
          said("Laser: fire and smoke; man-made fibres give off poisonous fumes.")),
)
