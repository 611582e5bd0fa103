"""A finished work: everything that follows from a picture and a recipe, and what can be asked of it."""

from dataclasses import dataclass, field
from functools import cached_property

import numpy as np

from sketchloom.core.curves.curveset import CurveSet
from sketchloom.core.edits.region_edits import Edited
from sketchloom.core.judge.faults import Faults
from sketchloom.core.judge.fitness import Fitness
from sketchloom.core.judge.unlike import Unlike
from sketchloom.core.layers.layering import Layer, LayerPlan, sheet_faces
from sketchloom.core.layers.order import DepthOrder
from sketchloom.core.layers.proposing import Laying
from sketchloom.core.layers.ways import STACKED
from sketchloom.core.layers.weeding import length_mm, weeding_of
from sketchloom.core.picture.picture import Picture
from sketchloom.core.planar.junctions import Polylines
from sketchloom.core.planar.planar_map import PlanarMap
from sketchloom.core.preflight.findings import Finding
from sketchloom.core.segment.palette import ColourTree
from sketchloom.core.thin_lines.finding import ThinLines
from sketchloom.evaluate.segmentation import Segmentation
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.places import as_came, as_shown


@dataclass(frozen=True, slots=True, eq=False, weakref_slot=True)
class Traced:
    """The planar map with its curves; ``arc_length_px`` per arc; ``lines`` the boundary points as the picture has
    them; ``curves_found`` (E,) which of the recipe's curve edits found their stretch."""

    planar: PlanarMap
    curves: CurveSet
    arc_length_px: np.ndarray
    lines: Polylines
    curves_found: np.ndarray = field(default_factory=lambda: np.ones(0, bool))


_WHOLE = Laying(STACKED, 0.0)


def thicknesses_mm(recipe: Recipe, layers) -> tuple[float, ...]:
    """Thickness of each sheet: its material's, else what the recipe says of all."""
    materials = (recipe.material_of(layer.plan.key) for layer in layers)
    return tuple(recipe.sheet_mm if m is None else m.thickness_mm for m in materials)


def solid_faces(recipe: Recipe, traced: "Traced", depth, plans, layers, way: str) -> list[np.ndarray]:
    """(F,) bool for each sheet: the faces it is solid on; what is added lies under or on all that is seen."""
    level = {plan.key: n for n, plan in enumerate(plans)}
    return [
        sheet_faces(
            traced.planar,
            traced.arc_length_px,
            depth,
            level[layer.plan.key],
            recipe.edit_of(layer.plan.key).layering or way,
        )
        if layer.plan.key in level
        else depth >= 0
        for layer in layers
    ]


def stack_height_mm(recipe: Recipe, traced: "Traced", depth, plans, layers, way: str) -> float:
    """Height where it is highest: sheets that lie on each other there, and a spacer between every two."""
    faces = solid_faces(recipe, traced, depth, plans, layers, way)
    height = (
        float((np.array(thicknesses_mm(recipe, layers)) @ np.array(faces, float)).max(initial=0.0)) if faces else 0.0
    )
    return height + recipe.spacer_mm * max(len(layers) - 1, 0)


@dataclass(frozen=True, eq=False)
class Work:
    """Everything that follows from a picture and a recipe.

    ``original`` is the picture as it came, ``whole`` the prepared one and ``picture`` that freed of its background.
    ``tree`` of its colours, None where its reading
    needs none. ``edited`` faces carry what was decided about single regions; ``move`` as of ``placing``.
    ``measured``: widths were looked for; ``laying``: the way of layering carried out, and why.
    ``reading_now``: what would be proposed for the picture as it is prepared now, None where that was not looked at.
    ``proposed_keys`` of the layers in the proposed order, base first. ``thin_lines``: found, and ``picture`` the finer
    one in which they are drawn whole; else None. ``unlike``: where the picture is unlike what is cut, None where that
    was not looked at.
    """

    original: Picture
    whole: Picture
    picture: Picture
    recipe: Recipe
    reading: str
    fitness: Fitness
    tree: ColourTree | None
    segmentation: Segmentation
    traced: Traced
    ground: np.ndarray
    depth: np.ndarray
    plans: tuple[LayerPlan, ...]
    layers: tuple[Layer, ...]
    proposed_order: DepthOrder
    order_length_mm: float
    mm_per_px: float
    findings: tuple[Finding, ...]
    faults: Faults
    edited: Edited
    move: np.ndarray
    rough: bool = False
    measured: bool = True
    timings_s: dict = field(default_factory=dict)
    laying: Laying = _WHOLE
    reading_now: str | None = None
    proposed_keys: tuple[str, ...] = ()
    thin_lines: ThinLines | None = None
    unlike: Unlike | None = None

    @property
    def came_mm_per_px(self) -> float:
        """Scale of the prepared picture's own pixels, which are coarser than the map's where thin lines were found."""
        return self.size_mm[0] / self.whole.width

    @property
    def size_mm(self) -> tuple[float, float]:
        return self.picture.width * self.mm_per_px, self.picture.height * self.mm_per_px

    @property
    def draws_with_pens(self) -> bool:
        """Whether the layers are pen lines instead of sheets."""
        return self.segmentation.strokes is not None and self.recipe.pen_mm is None

    @property
    def worst_deviation_mm(self) -> float:
        """Greatest distance of the curves from the boundary points, averaged over seven of them."""
        miss = self.traced.curves.miss_px
        return float(miss.max(initial=0.0)) * self.mm_per_px

    @cached_property
    def weeding(self) -> dict[int, list]:
        """Helper cuts of each sheet by its number, from 1, polylines in mm."""
        return weeding_of(self.layers, self.mm_per_px, self.recipe.weeding_mm, self.recipe.weeding_every_mm)

    @property
    def thicknesses_mm(self) -> tuple[float, ...]:
        """Of each sheet."""
        return thicknesses_mm(self.recipe, self.layers)

    @cached_property
    def stack_height_mm(self) -> float:
        """Height of the stack where it is highest."""
        return (
            0.0
            if self.draws_with_pens
            else stack_height_mm(self.recipe, self.traced, self.depth, self.plans, self.layers, self.laying.way)
        )

    @cached_property
    def sheet_cuts_mm(self) -> tuple[float, ...]:
        """Length of all cuts of each sheet, helper cuts too."""
        return tuple(layer.cut_length_mm + length_mm(self.weeding.get(n, ())) for n, layer in enumerate(self.layers, 1))

    @property
    def cut_length_mm(self) -> float:
        """The same of all sheets."""
        return sum(self.sheet_cuts_mm)

    @cached_property
    def weeding_length_mm(self) -> float:
        """Length of the helper cuts alone."""
        return sum(length_mm(cuts) for cuts in self.weeding.values())

    def as_came(self, points) -> tuple[tuple[float, float], ...]:
        """Places of the prepared picture, shares of its sides, as a recipe keeps them."""
        return as_came(self.move, points)

    def as_shown(self, points) -> tuple[tuple[float, float], ...]:
        """Places that a recipe keeps, as shares of the prepared picture's sides."""
        return as_shown(self.move, points)
