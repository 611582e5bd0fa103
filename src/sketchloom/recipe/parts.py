"""Parts of a recipe that belong to no stage of the core: palette entries and what was decided about layers."""

from dataclasses import dataclass

from sketchloom.core.base import checks, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all
from sketchloom.core.layers.ways import WAYS

PINS = BASE, TOP = ("base", "top")


@dataclass(frozen=True, slots=True)
class PaletteEntry:
    """One colour to cut: the picture's colours that belong to it, the first gives its look."""

    samples: tuple[str, ...]

    def __post_init__(self):
        if not isinstance(self.samples, tuple) or not 1 <= len(self.samples) <= 1000:
            raise SettingError("palette", said("entries of at least one colour"), self.samples)
        for sample in self.samples:
            checks.colour("palette", sample)

    @property
    def hex(self) -> str:
        return self.samples[0]


@dataclass(frozen=True, slots=True)
class LayerEdit:
    """What the user changed on a layer. ``key`` is the palette colour it was made on.

    ``merged_into`` names the key of the layer that takes this one's regions; ``layering`` a way of its own;
    ``material`` the key of what its sheet is cut from; ``pin``: proposed orders have it as ``base`` or on ``top``.
    ``apart``: its pieces are carried, and written, one by one. ``locked``: gestures leave its regions, name and colour
    as they are; ``hidden``: it is not painted, but cut all the same; ``group`` a name that layers share.
    """

    key: str = setting.text(setting.REQUIRED)
    name: str | None = setting.text(None)
    hex: str | None = setting.colour(None)
    left_out: bool = setting.switch(False)
    merged_into: str | None = setting.text(None)
    layering: str | None = setting.choice(None, WAYS)
    material: str | None = setting.text(None)
    pin: str | None = setting.choice(None, PINS)
    apart: bool = setting.switch(False)
    locked: bool = setting.switch(False)
    hidden: bool = setting.switch(False)
    group: str | None = setting.text(None)

    def __post_init__(self):
        check_all(self, "layers.")


_MOST_KEYS = 1000
"""More layers than any work has; a guard against hostile files."""


@dataclass(frozen=True, slots=True)
class Settled:
    """What was proposed when the work was opened, and stays: None, and no ``order``, where nothing was left to the
    program. ``has_ground``: whether there is any; ``order`` keys of layers, base first."""

    reading: str | None = setting.text(None)
    colours: int | None = setting.whole(None, 1, 256)
    cut_off: int | None = setting.whole(None, 0, 255)
    has_ground: bool | None = None
    layering: str | None = setting.choice(None, WAYS)
    order: tuple[str, ...] = ()

    def __post_init__(self):
        check_all(self, "settled.")
        keys = isinstance(self.order, tuple) and all(isinstance(key, str) for key in self.order)
        if not keys or len(self.order) > _MOST_KEYS:
            raise SettingError("settled.order", said("keys of layers"), self.order)
