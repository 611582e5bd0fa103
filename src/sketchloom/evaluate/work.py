"""A finished work: everything that follows from a picture and a recipe, and what can be asked of it."""

from dataclasses import dataclass, field
from functools import cached_property

import numpy as np

from sketchloom.core.base.colour import from_hex, srgb_to_lab
from sketchloom.core.curves.curveset import CurveSet
from sketchloom.core.curves.outline import Outline
from sketchloom.core.edits.decisions import PaintedLine
from sketchloom.core.edits.gaps import Gaps, bridge_curve, find_gaps
from sketchloom.core.edits.region_edits import Edited
from sketchloom.core.judge.faults import Faults
from sketchloom.core.judge.fitness import Fitness
from sketchloom.core.layers.layering import WIDTH_LIMIT_MM, Layer, LayerPlan, sheet_faces
from sketchloom.core.layers.order import DepthOrder
from sketchloom.core.layers.weeding import length_mm, weeding_of
from sketchloom.core.layers.width import NO_WIDTHS, Widths, apart, space_widths, stretch_around
from sketchloom.core.picture.picture import Picture
from sketchloom.core.picture.preparing.placing import growth, moved
from sketchloom.core.planar.junctions import Polylines
from sketchloom.core.planar.planar_map import PlanarMap
from sketchloom.core.preflight.findings import Finding
from sketchloom.core.preflight.rules import stretch_mm
from sketchloom.core.segment import tone
from sketchloom.core.segment.cut_offs import pieces_and_holes
from sketchloom.core.segment.doubles import Doubles, find_doubles
from sketchloom.core.segment.ladder import ColourLadder, colour_ladder
from sketchloom.core.segment.palette import ColourTree
from sketchloom.core.segment.strong import FacePreview, face_preview
from sketchloom.core.strokes import pens
from sketchloom.evaluate.labelling import Segmentation, least_area_px
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.places import as_came, as_shown

_OUTLINE_LIGHT, _OUTLINE_WIDE = 35.0, 0.025
_SHOWN = 3.0
"""Widths up to so many times the least one wanted are shown as a line."""


@dataclass(frozen=True, slots=True, eq=False)
class Traced:
    """The planar map with its curves; ``arc_length_px`` per arc; ``lines`` the boundary points as the picture has
    them; ``curves_found`` (E,) which of the recipe's curve edits found their stretch."""

    planar: PlanarMap
    curves: CurveSet
    arc_length_px: np.ndarray
    lines: Polylines
    curves_found: np.ndarray = field(default_factory=lambda: np.ones(0, bool))


def thicknesses_mm(recipe: Recipe, layers) -> tuple[float, ...]:
    """Thickness of each sheet: its material's, else what the recipe says of all."""
    materials = (recipe.material_of(layer.plan.key) for layer in layers)
    return tuple(recipe.sheet_mm if m is None else m.thickness_mm for m in materials)


def solid_faces(recipe: Recipe, traced: "Traced", depth, plans, layers) -> list[np.ndarray]:
    """(F,) bool for each sheet: the faces it is solid on; what is added lies under or on all that is seen."""
    level = {plan.key: n for n, plan in enumerate(plans)}
    return [sheet_faces(traced.planar, traced.arc_length_px, depth, level[layer.plan.key], recipe.edit_of(layer.plan.key).layering or recipe.layering)
            if layer.plan.key in level else depth >= 0 for layer in layers]


def stack_height_mm(recipe: Recipe, traced: "Traced", depth, plans, layers) -> float:
    """Height where it is highest: sheets that lie on each other there, and a spacer between every two."""
    faces = solid_faces(recipe, traced, depth, plans, layers)
    height = float((np.array(thicknesses_mm(recipe, layers)) @ np.array(faces, float)).max(initial=0.0)) if faces else 0.0
    return height + recipe.spacer_mm * max(len(layers) - 1, 0)


@dataclass(frozen=True, slots=True)
class Lost:
    """A detail that went to a neighbour: diameter of a disc of its area, and a place in it."""

    size_mm: float
    x_mm: float
    y_mm: float
    x_share: float
    y_share: float
    hex: str


@dataclass(frozen=True, slots=True)
class Narrow:
    """A narrow place of a sheet: its width, where it is, and the least width wanted there."""

    width_mm: float
    x_mm: float
    y_mm: float
    layer: str
    hex: str
    least_mm: float


@dataclass(frozen=True, eq=False)
class Work:
    """Everything that follows from a picture and a recipe.

    ``original`` is the picture as it came, ``whole`` the prepared one and ``picture`` that freed of its background.
    ``tree`` of its colours, None where its reading
    needs none. ``edited`` faces carry what was decided about single regions; ``move`` as of ``placing``. ``measured``: widths were looked for.
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
        return 0.0 if self.draws_with_pens else stack_height_mm(self.recipe, self.traced, self.depth, self.plans, self.layers)

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

    def label_shares(self) -> list[float]:
        """Share of the picture that each palette entry has."""
        planar = self.traced.planar
        area = np.bincount(self.edited.label, planar.face_area_px, len(self.segmentation.entries))
        return (area / planar.faces.size).tolist()

    def details_lost(self) -> tuple[Lost, ...]:
        """Regions under the smallest detail that went to a neighbour, largest first."""
        regions, scale = self.segmentation.regions, self.mm_per_px
        order = np.argsort(-regions.dropped[:, 2], kind="stable")
        entries = self.segmentation.entries
        found = []
        for (x, y, area), label in zip(regions.dropped[order].tolist(), regions.dropped_label[order].tolist()):
            shown = entries[label].hex if label < len(entries) else "#ffffff"
            (came,) = self.as_came(((x / self.picture.width, y / self.picture.height),))
            found.append(Lost(2 * (area / np.pi) ** 0.5 * scale, x * scale, y * scale, *came, shown))
        return tuple(found)

    def face_preview(self, place=None) -> FacePreview:
        """Where strong small details are, or a place, with and without them; in photo reading."""
        colours = np.array([from_hex(e.hex) for e in self.segmentation.entries])
        return face_preview(self.picture.rgb, self.segmentation.details, colours, place)

    def strokes_mm(self) -> list[tuple[float, float]]:
        """Width and length of each stroke of the line reading, longest first."""
        strokes = self.segmentation.strokes
        if strokes is None:
            return []
        order = np.argsort(-strokes.length_px, kind="stable")
        return (np.column_stack([strokes.width_px, strokes.length_px])[order] * self.mm_per_px).tolist()

    def stroke_at(self, x_px: float, y_px: float, reach_px: float) -> int:
        """Number of the stroke at a place, -1 for none."""
        strokes = self.segmentation.strokes
        return -1 if strokes is None else pens.stroke_at(strokes, x_px, y_px, reach_px)

    def stroke_outline(self, number: int) -> Outline:
        """One stroke as an open ring."""
        return pens.pen_outline(self.segmentation.strokes, [number])

    def narrow_places(self, most: int = 40) -> tuple[Narrow, ...]:
        """The narrowest place of every stretch of the sheets, the narrowest for what is wanted first."""
        found, scale = [], self.mm_per_px
        for layer in self.layers:
            for n in apart(layer.widths, WIDTH_LIMIT_MM / scale, stretch_mm(self.recipe.thin_mm) / scale, most):
                x, y = (layer.widths.xy[n] * scale).tolist()
                found.append(Narrow(float(layer.widths.width[n]) * scale, x, y, layer.plan.name, layer.plan.hex, self.least_mm(layer)))
        return tuple(sorted(found, key=lambda one: one.width_mm / max(one.least_mm, 1e-6))[:most])

    def narrow_spaces(self, most: int = 40) -> tuple[Narrow, ...]:
        """The same for the space between cuts of each sheet; worked out when asked."""
        found, scale = [], self.mm_per_px
        for layer, widths in zip(self.layers, self.spaces):
            for n in apart(widths, 1.5 * self.least_mm(layer, True) / scale, stretch_mm(self.recipe.thin_mm) / scale, most):
                x, y = (widths.xy[n] * scale).tolist()
                found.append(Narrow(float(widths.width[n]) * scale, x, y, layer.plan.name, layer.plan.hex, self.least_mm(layer, True)))
        return tuple(sorted(found, key=lambda one: one.width_mm / max(one.least_mm, 1e-6))[:most])

    def thickened(self, x_px: float, y_px: float, layer: str, to_mm: float) -> PaintedLine | None:
        """A line along the narrow stretch of a sheet at a place that makes it as wide as wanted, in the colour seen there."""
        sheet = next((one for one in self.layers if one.plan.name == layer), None)
        planar = self.traced.planar
        if sheet is None or not len(sheet.widths.width):
            return None
        points = stretch_around(sheet.widths, (x_px, y_px), to_mm / self.mm_per_px)
        x, y = (int(np.clip(np.floor(v), 0, most - 1)) for v, most in ((points[len(points) // 2][0], planar.width), (points[len(points) // 2][1], planar.height)))
        label = int(self.edited.label[planar.faces[y, x]])
        hex_colour = self.segmentation.entries[label].hex if label < len(self.segmentation.entries) and not self.ground[planar.faces[y, x]] \
            else sheet.plan.hex
        if len(points) < 2:
            points = points[[0, 0]] + [[-0.3, 0.0], [0.3, 0.0]]
        points = self._into_the_wide(points, 0.6 * to_mm / self.mm_per_px)
        return self.painted_line(points / (self.picture.width, self.picture.height), to_mm / self.mm_per_px, hex_colour)

    def _into_the_wide(self, points, by_px):
        """A line drawn on at each end where that stays within what is cut, so that it meets what is wide enough there."""
        planar, made = self.traced.planar, [points]
        for end, back, first in ((points[0], points[1], True), (points[-1], points[-2], False)):
            on = end + (end - back) / max(float(np.hypot(*(end - back))), 1e-9) * by_px
            x, y = np.floor(on).astype(int).tolist()
            if 0 <= x < planar.width and 0 <= y < planar.height and not self.ground[planar.faces[y, x]]:
                made.insert(0, on[None]) if first else made.append(on[None])
        return np.concatenate(made)

    @cached_property
    def spaces(self) -> tuple[Widths, ...]:
        """Widths of the space between the cuts of each sheet, up to three times the least wanted; worked out when asked."""
        limits = ((layer.outline, _SHOWN * self.least_mm(layer, True) / self.mm_per_px) for layer in self.layers)
        return tuple(NO_WIDTHS if o.pen_px is not None or not len(o.controls) else space_widths(o, limit) for o, limit in limits)

    def width_line(self, spaces: bool = False) -> tuple[np.ndarray, np.ndarray]:
        """Middles (K, 2) mm of where the sheets, or the spaces between their cuts, are narrow, and their widths (K,)
        against the least wanted, 1 for as wide: what a sheet's material bears where that is more than the smallest width."""
        measured = self.spaces if spaces else [layer.widths for layer in self.layers]
        xy = np.concatenate([widths.xy for widths in measured] or [np.empty((0, 2))]) * self.mm_per_px
        least = np.repeat([self.least_mm(layer, spaces) for layer in self.layers], [len(widths.width) for widths in measured])
        share = np.concatenate([widths.width for widths in measured] or [np.empty(0)]) * self.mm_per_px / np.maximum(least, 1e-6)
        near = share < _SHOWN
        return xy[near], share[near]

    def least_mm(self, layer: Layer, spaces: bool = False) -> float:
        """The least width wanted of a sheet, or of the space between its cuts: the smallest width set, or more where its material wants it."""
        material = self.recipe.material_of(layer.plan.key)
        wanted = 0.0 if material is None else material.gap_mm if spaces else material.smallest_mm
        return max(self.recipe.thin_mm, wanted)

    def ladder(self) -> ColourLadder:
        """What every number of colours loses and saves; worked out when asked."""
        return colour_ladder(self.picture, self.tree, least_area_px(self.recipe.smallest_mm, self.mm_per_px))

    def as_came(self, points) -> tuple[tuple[float, float], ...]:
        """Places of the prepared picture, shares of its sides, as a recipe keeps them."""
        return as_came(self.move, points)

    def as_shown(self, points) -> tuple[tuple[float, float], ...]:
        """Places that a recipe keeps, as shares of the prepared picture's sides."""
        return as_shown(self.move, points)

    def pieces_and_holes(self) -> tuple[np.ndarray, np.ndarray]:
        """Pieces of ink and holes in them at all 256 cut-offs, specks and all; worked out when asked."""
        return pieces_and_holes(self.picture.grey, self.recipe.dark_is_ink, self.segmentation.cut_offs)

    def gaps(self) -> Gaps:
        """Gaps in the outlines of a drawing; worked out when asked. None where nothing is drawn in outlines."""
        ink = self.outline_label
        if ink is None:
            return Gaps(np.empty((0, 2)), np.empty((0, 2)), np.empty(0), np.empty(0))
        return find_gaps(self.segmentation.labels == ink)

    @property
    def outline_label(self) -> int | None:
        """The label of ink; of a colour picture its darkest colour, where that is dark and drawn in lines."""
        if self.reading in ("tone", "line"):
            return tone.INK
        if self.reading != "colour":
            return None
        light = [float(srgb_to_lab(np.array(from_hex(e.hex)))[0]) for e in self.segmentation.own_entries]
        darkest = int(np.argmin(light))
        planar = self.traced.planar
        mine = np.append(planar.face_label == darkest, False)
        around = float(self.traced.arc_length_px[mine[planar.left] != mine[planar.right]].sum())
        wide = 2 * float(planar.face_area_px[mine[:-1]].sum()) / max(around, 1e-6)  # an area of one width is that wide
        return darkest if light[darkest] < _OUTLINE_LIGHT and wide < _OUTLINE_WIDE * max(planar.width, planar.height) else None

    def painted_line(self, points, width_px: float, hex_colour: str) -> PaintedLine:
        """A line through points in shares of the prepared picture, as it is kept."""
        places = moved(np.linalg.inv(self.move), points)
        width = width_px / (self._scale_at(places[0]) * self.original.width)
        return PaintedLine(tuple((round(float(x), 7), round(float(y), 7)) for x, y in places), float(np.clip(width, 0.0, 1.0)), hex_colour)

    def line_width_mm(self, line: PaintedLine) -> float:
        """How wide a painted line is in the work."""
        return line.width * self.original.width * self._scale_at(line.points[0]) * self.mm_per_px

    def _scale_at(self, place):
        """Pixels of the prepared picture for one of the picture as it came, at a place of the latter."""
        larger = self.picture.width * self.picture.height / (self.original.width * self.original.height)
        return (float(growth(self.move, [place])[0]) * larger) ** 0.5

    def brush_hex(self, adds: bool, chosen: str | None) -> str:
        """Colour of a brush: ink or paper of a drawing; the chosen colour, or that of the ground, in other readings."""
        entries = self.segmentation.entries
        if self.reading in ("tone", "line"):
            return entries[tone.INK if adds else tone.PAPER].hex
        if adds:
            return chosen or self.plans[-1].key
        ground = self.segmentation.ground_label
        return entries[ground].hex if ground is not None and ground < len(entries) else "#ffffff"

    def bridge(self, start_px, end_px, width_px: float) -> PaintedLine:
        """A bridge in ink between two places, px, in the curve of the strokes that end there."""
        size = np.array([self.picture.width, self.picture.height])
        ink = self.outline_label or tone.INK
        curve = bridge_curve(self.segmentation.labels == ink, start_px, end_px, width_px)
        return self.painted_line(np.clip(curve / size, 0, 1), width_px, self.segmentation.entries[ink].hex)

    def double_outlines(self) -> Doubles:
        """Cuts nearer to each other than the limit set, or than the smallest width; worked out when asked."""
        return find_doubles(self.segmentation.labels, (self.recipe.double_mm or self.recipe.thin_mm) / self.mm_per_px)

    def tone_bars(self) -> tuple[list[float], int]:
        """Heights of the 256 tones, 0 to 1 on a root scale, and the cut-off."""
        count = np.sqrt(tone.tones(self.picture.grey))
        return (count / max(float(count.max()), 1.0)).tolist(), self.segmentation.cut_off
