"""What readings are handed, and what they give."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base.progress import QUIET, Progress
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment.cut_offs import CutOffs
from sketchloom.core.segment.merging import CRUMB_PX, Cleaned
from sketchloom.core.segment.palette import ColourTree
from sketchloom.core.segment.strong import StrongDetails
from sketchloom.core.shapes.cutting_in import CutIn
from sketchloom.core.shapes.guides import Guides
from sketchloom.core.strokes.strokes import Strokes
from sketchloom.evaluate.steps import Steps
from sketchloom.recipe.parts import PaletteEntry


@dataclass(frozen=True, slots=True, eq=False)
class Segmentation:
    """Labels of a reading.

    ``regions``: the label image and its faces; ``entries`` the palette, label by label;
    ``ground_label`` or None. ``field`` (H, W, C) uint8 in which boundaries are looked for;
    ``two_tones``: whether they are those of ink and paper. ``noise`` of that field. ``cut_off`` in tone and line
    reading and, unless it follows the light, what all others would give as ``cut_offs``.
    ``strokes`` in line reading, strong small ``details`` and whether hues are kept apart in photo reading. ``cut_in``:
    shapes and split lines of the user's among the regions, None without any. ``read_entries``: how many of the entries
    the reading gave; the others are colours that edits and shapes brought. ``drawn_on``: of a document read as a
    drawing its curves, along which the boundaries run; ``names``: pairs of a colour and what the file calls its layer.
    """

    regions: Cleaned
    entries: tuple[PaletteEntry, ...]
    ground_label: int | None
    field: np.ndarray
    two_tones: bool
    noise: float
    cut_off: int | None = None
    cut_offs: CutOffs | None = None
    strokes: Strokes | None = None
    details: StrongDetails | None = None
    hues_apart: bool = False
    cut_in: CutIn | None = None
    read_entries: int = 0
    drawn_on: Guides | None = None
    names: tuple[tuple[str, str], ...] = ()

    @property
    def own_entries(self) -> tuple[PaletteEntry, ...]:
        return self.entries[:self.read_entries]

    @property
    def labels(self) -> np.ndarray:
        return self.regions.labels

    @property
    def dropped(self) -> np.ndarray:
        """(K, 3) regions under the smallest detail as x, y, area in px."""
        return self.regions.dropped


@dataclass(frozen=True, slots=True, eq=False)
class Seen:
    """What a reading reads: a prepared ``picture``, lines painted, by its key ``source``.

    ``unpainted`` the same without the lines, from which the program proposes, so that a bridge changes nothing else.
    ``tree`` of its colours where the reading needs one; ``noise`` of its flat areas; ``move`` as of ``placing``;
    ``times``: how many times as fine it was drawn.
    """

    picture: Picture
    source: object
    unpainted: Picture
    unpainted_source: object
    mm_per_px: float
    tree: ColourTree | None
    noise: float
    move: np.ndarray
    progress: Progress = QUIET
    times: int = 1

    @property
    def size_px(self) -> np.ndarray:
        return np.array([self.picture.width, self.picture.height])


@dataclass(frozen=True, slots=True)
class Detail:
    """Sizes in px that cleaning goes by; a hair's difference in the work's size leaves them as they are.

    ``least_px`` area of the smallest detail, ``parts`` polygons with another one. Cuts nearer than ``double_px``
    are made one, ``double_to`` the way; 0 leaves them.
    """

    least_px: float
    parts: tuple[tuple[tuple[tuple[float, float], ...], float], ...]
    double_px: float
    double_to: str

    @staticmethod
    def of(steps: Steps, mm_per_px: float, times: int = 1) -> "Detail":
        """For a picture drawn so many ``times`` as fine, whose crumbs have as many more pixels."""
        r = steps.reads("smallest_mm", "patches", "double_mm", "double_to")
        parts = tuple(
            (p.points, least_area_px(p.smallest_mm, mm_per_px, times)) for p in r.patches if p.smallest_mm is not None
        )
        return Detail(least_area_px(r.smallest_mm, mm_per_px, times), parts, r.double_mm / mm_per_px, r.double_to)


def least_area_px(smallest_mm: float, mm_per_px: float, times: int = 1) -> float:
    """Area of a disc as wide as the smallest detail, in whole px; a hair's difference in size changes nothing."""
    return max(float(np.floor(np.pi / 4 * (smallest_mm / mm_per_px) ** 2)), CRUMB_PX * times**2)
