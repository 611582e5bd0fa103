"""The blank: the board that is carved, with its outline, its raised rim and the recess within.

All of carving is in millimetres: x to the right and y down from the upper left corner of the blank, z up from its upper
face, so that what is cut away lies below 0.
"""

from dataclasses import dataclass

from sketchloom.core.base import setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all

RECTANGLE, OVAL, SHIELD, ARCH, PLAQUE, OWN, AREA = SHAPES = (
    "rectangle", "oval", "shield", "arch", "plaque", "own", "region")
WOOD, STONE, PAINT = LOOKS = ("wood", "stone", "paint")


@dataclass(frozen=True, slots=True)
class Blank:
    """A blank. ``shape``: one of ours, or the outline of the layer ``of`` or of the region at ``at_x``, ``at_y``
    (shares of the picture as it came), without its holes; ``corner_mm``: radius of its corners, of the hollows of a
    plaque. A ``rim_mm`` wide stays as high as it is around a recess ``recess_mm`` deep. The middle of the work lies
    ``work_x_mm``, ``work_y_mm`` beside that of the blank."""

    shape: str = setting.choice(RECTANGLE, SHAPES, said("Outline of the blank"), said("the form of the board"),
                                names=(said("Rectangle"), said("Oval"), said("Shield"), said("Arch"),
                                       said("Plaque"), said("Outline of a layer"),
                                       said("Outline of a region")))
    width_mm: float = setting.length(300.0, 5.0, 5000.0, said("Width of the blank"), said("from side to side"))
    height_mm: float = setting.length(200.0, 5.0, 5000.0, said("Height of the blank"), said("from top to bottom"))
    thickness_mm: float = setting.length(18.0, 0.5, 300.0, said("Thickness"), said("of the board"))
    corner_mm: float = setting.length(0.0, 0.0, 1000.0, said("Corners"), said("radius of the corners or hollows"))
    rim_mm: float = setting.length(0.0, 0.0, 1000.0, said("Rim"), said("width of the raised rim; 0 for none"))
    recess_mm: float = setting.length(0.0, 0.0, 300.0, said("Recess"), said("how deep the field lies below the rim"))
    of: str = setting.text("", most=300, about=said("the layer whose outline it has"))
    at_x: float = setting.number(0.5, -10.0, 10.0, about=said("where the region lies whose outline it has"))
    at_y: float = setting.number(0.5, -10.0, 10.0, about=said("where the region lies whose outline it has"))
    work_x_mm: float = setting.length(0.0, -5000.0, 5000.0, said("Work to the right"), said("of the blank's middle"))
    work_y_mm: float = setting.length(0.0, -5000.0, 5000.0, said("Work downwards"), said("of the blank's middle"))
    look: str = setting.choice(WOOD, LOOKS, said("Looks like"), said("what it is painted as"),
                               names=(said("Wood"), said("Stone"), said("Paint")))

    def __post_init__(self):
        check_all(self, "blank.")
        if self.recess_mm >= self.thickness_mm:
            raise SettingError("blank.recess_mm", said("less than the thickness"), self.recess_mm)
        if 2 * self.rim_mm >= min(self.width_mm, self.height_mm):
            raise SettingError("blank.rim_mm", said("less than half of the blank"), self.rim_mm)

    @property
    def work_middle_mm(self) -> tuple[float, float]:
        """Where the middle of the work lies."""
        return self.width_mm / 2 + self.work_x_mm, self.height_mm / 2 + self.work_y_mm
