"""What a person draws on a work: figures, words, split lines, covers, new courses of boundaries; from px to what a
recipe keeps."""

from dataclasses import replace
from functools import cached_property

import numpy as np

from sketchloom.core.curves.chains import ring_points
from sketchloom.core.curves.outline import outline_of
from sketchloom.core.edits.decisions import PaintedLine
from sketchloom.core.edits.necks import Cuts, likely_cuts
from sketchloom.core.edits.painting import rounded_line
from sketchloom.core.edits.stencil import StencilBridges, find_bridges
from sketchloom.core.edits.together import filled
from sketchloom.core.layers.added import Rim
from sketchloom.core.shapes import makers, polygons, text
from sketchloom.core.shapes.chords import width_along
from sketchloom.core.shapes.drawn import (
    COMMON,
    CUT,
    JOIN,
    POLYGON,
    ROUNDED,
    STAR,
    CoveredArea,
    PlacedShape,
    SplitLine,
)
from sketchloom.core.shapes.placed import rings_px
from sketchloom.desk import lines
from sketchloom.desk.strokes import StrokeDesk
from sketchloom.evaluate.rims import rim_outline_of
from sketchloom.recipe.document import Recipe

_DIRECTION = 0.01
"""The direction of a line is taken over this share of its length on either side."""


class ShapeDesk(StrokeDesk):
    """Draws on one work. All places that come in and go out are px of its prepared picture unless they say shares."""

    # -- shapes ----------------------------------------------------------------------

    def shape(self, rings, hex_colour: str | None, name: str, **more) -> PlacedShape:
        """Rings of cubics, (S, 4, 2) each, as a shape."""
        return PlacedShape(tuple(self.kept(ring_points(ring)) for ring in rings), hex_colour, name, **more)

    def rings(self, shape: PlacedShape) -> list[np.ndarray]:
        return rings_px(shape, self.work.move, self.size)

    def figure(self, kind: str, corner, other, corners: int = 5, radius_mm: float = 0.0) -> list[np.ndarray]:
        """Rings of a figure that fills the box between two corners; a circle and a star keep their proportions."""
        a, b = np.asarray(corner, float), np.asarray(other, float)
        centre, (width, height) = (a + b) / 2, np.maximum(np.abs(b - a), 1.0)
        half = min(width, height) / 2
        if kind == ROUNDED:
            return [makers.rectangle(centre, width, height, radius_mm / self.work.mm_per_px)]
        if kind == STAR:
            return [makers.star(centre, half, 0.45 * half, max(corners, 3))]
        if kind == POLYGON:
            return [makers.regular(centre, half, max(corners, 3))]
        return [makers.ellipse(centre, half, half)]

    def word(
        self, words: str, font: text.Font, height_mm: float, place, path=None
    ) -> tuple[list[np.ndarray], tuple[str, ...]]:
        """Rings of a text of a letter size, centred on a place or set along a path (N, 2), and the letters the font
        lacks."""
        made, size = text.shaped(words, font), height_mm / self.work.mm_per_px
        if path is not None:
            return text.along(made, path, size), made.missing
        rings = [ring * size for ring in made.rings]
        if not rings:
            return [], made.missing
        every = np.concatenate([ring.reshape(-1, 2) for ring in rings])
        return [ring + np.asarray(place) - (every.min(0) + every.max(0)) / 2 for ring in rings], made.missing

    def moved_shape(self, shape: PlacedShape, centre, scale: float = 1.0, turn_rad: float = 0.0) -> PlacedShape:
        """A shape scaled and turned about its middle and put with that on a centre."""
        rings = self.rings(shape)
        middle = self.middle(shape)
        return replace(
            shape,
            rings=tuple(self.kept(ring_points(makers.placed(r - middle, centre, scale, turn_rad))) for r in rings),
        )

    def middle(self, shape: PlacedShape) -> np.ndarray:
        x0, y0, x1, y1 = self.box(shape)
        return np.array([(x0 + x1) / 2, (y0 + y1) / 2])

    def box(self, shape: PlacedShape) -> tuple[float, float, float, float]:
        ends = np.concatenate([ring[:, [0, 3]].reshape(-1, 2) for ring in self.rings(shape)])
        return (*ends.min(0), *ends.max(0))

    def around(self, shape: PlacedShape, centre, count: int) -> PlacedShape:
        """A shape repeated around a centre."""
        rings = [copy for ring in self.rings(shape) for copy in makers.around(ring, np.asarray(centre, float), count)]
        return self.shape(rings, shape.hex, f"{shape.name} × {count}")

    def mirrored(self, shape: PlacedShape, upright: bool = True) -> PlacedShape:
        """A shape turned over about its middle."""
        k, middle = (0, self.middle(shape)[0]) if upright else (1, self.middle(shape)[1])
        rings = []
        for ring in self.rings(shape):
            ring = ring[::-1, ::-1].copy()
            ring[..., k] = 2 * middle - ring[..., k]
            rings.append(ring)
        return replace(shape, rings=tuple(self.kept(ring_points(r)) for r in rings))

    def aligned(self, shapes, line: str) -> list[PlacedShape]:
        """Shapes moved so that their middles share a line: ``upright`` or ``level``; the first stays."""
        if not shapes:
            return []
        k = 0 if line == "upright" else 1
        goal = self.middle(shapes[0])[k]
        made = []
        for shape in shapes:
            centre = self.middle(shape)
            centre[k] = goal
            made.append(self.moved_shape(shape, centre))
        return made

    def combined(self, shapes, way: str) -> PlacedShape | None:
        """Several shapes as one: joined, the others cut out of the first, or what all have in common; None for
        nothing."""
        areas = [polygons.area_of(self.rings(shape)) for shape in shapes]
        made = areas[0]
        for area in areas[1:]:
            made = {JOIN: made.union, CUT: made.difference, COMMON: made.intersection}[way](area)
        outline = polygons.outline_of_area(polygons.grown(made, 0.0))
        return self.shape(polygons.rings_of(outline), shapes[0].hex, shapes[0].name) if len(outline.controls) else None

    def clipped(self, rings, faces, within: bool) -> list[np.ndarray]:
        """What of some rings lies within regions and all they enclose, or outside of them."""
        chosen = np.zeros(self.work.traced.planar.face_count, bool)
        chosen[list(faces)] = True
        outline = outline_of(self.work.traced.planar, self.work.traced.curves, filled(self.work.traced.planar, chosen))
        area, regions = polygons.area_of(rings), polygons.area_of_outline(outline)
        made = area.intersection(regions) if within else area.difference(regions)
        made = polygons.outline_of_area(polygons.areas_of(made))
        return polygons.rings_of(made) if len(made.controls) else []

    def region_shape(self, faces, hex_colour: str | None, name: str, fill_holes: bool = False) -> PlacedShape:
        """The outline of regions as a shape of its own; ``fill_holes``: their outer rings only."""
        planar = self.work.traced.planar
        inside = np.zeros(planar.face_count, bool)
        inside[list(faces)] = True
        outline = outline_of(planar, self.work.traced.curves, inside)
        rings = polygons.rings_of(outline)
        return self.shape(
            [r for r, hole in zip(rings, outline.hole, strict=False) if not (fill_holes and hole)], hex_colour, name
        )

    def path_shape(self, points, smooth: bool) -> list[np.ndarray]:
        """A ring through points, straight or smooth."""
        return [makers.smooth_ring(points) if smooth else makers.polygon(points)]

    def line_shape(self, points, width_px: float, has_round_ends: bool = True) -> list[np.ndarray]:
        """Rings around a line drawn by hand, rounded where it bends."""
        return self._rings_of(polygons.around_line(rounded_line(np.asarray(points, float)), width_px, has_round_ends))

    def bow_shape(self, points, width_px: float, has_round_ends: bool = True) -> list[np.ndarray]:
        """Rings around the arc from the first place to the second through the third."""
        return self._rings_of(polygons.around_line(makers.bow(*points), width_px, has_round_ends))

    def drawn_width(self, points) -> float | None:
        """How wide what is drawn is along a line, px; None where nothing is drawn along most of it."""
        planar, points = self.work.traced.planar, np.asarray(points, float)
        x, y = np.clip(np.floor(points).astype(int), 0, (planar.width - 1, planar.height - 1)).T
        faces = planar.faces[y, x]
        faces = faces[~self.work.ground[faces]]
        if not len(faces):
            return None
        label = np.bincount(planar.face_label[faces]).argmax()
        inside = np.zeros(planar.face_count, bool)
        inside[faces[planar.face_label[faces] == label]] = True
        return width_along(polygons.area_of_outline(outline_of(planar, self.work.traced.curves, inside)), points)

    def area_shape(self, points) -> list[np.ndarray]:
        """Rings of an area drawn round by hand; what a crossing line leaves out stays out."""
        ring = rounded_line(np.concatenate([points, points[:1]]))[:-1]
        return self._rings_of(polygons.area_of([makers.polygon(ring)]))

    @staticmethod
    def _rings_of(area):
        outline = polygons.outline_of_area(area)
        return polygons.rings_of(outline) if len(outline.controls) else []

    def groove(self, rim: Rim) -> PlacedShape | None:
        """An inner line as a shape that is cut out; None where nothing is left of it."""
        outline = rim_outline_of(self.work, rim)
        rings = [] if outline is None else polygons.rings_of(outline)
        return self.shape(rings, None, "groove") if rings else None

    def grown_shape(self, shape: PlacedShape, by_mm: float) -> PlacedShape | None:
        """A shape thicker all round, or thinner (< 0); None where nothing is left."""
        rings = self._rings_of(polygons.grown(polygons.area_of(self.rings(shape)), by_mm / self.work.mm_per_px))
        return replace(shape, rings=tuple(self.kept(ring_points(ring)) for ring in rings)) if rings else None

    def copied(self, shape: PlacedShape) -> PlacedShape:
        """A shape beside itself."""
        x0, y0, x1, y1 = self.box(shape)
        aside = 0.15 * max(x1 - x0, y1 - y0)
        return self.moved_shape(shape, self.middle(shape) + (aside, aside))

    def along(self, shape: PlacedShape, path, count: int) -> PlacedShape:
        """A shape repeated along a line with even steps, from where the line begins to where it ends, turned with it.
        """
        path = rounded_line(np.asarray(path, float))
        way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(path, axis=0).T))])
        spread = max(float(way[-1]) * _DIRECTION, 1e-6)

        def at(place):
            return np.array([np.interp(place, way, path[:, k]) for k in (0, 1)])

        def turn(place):
            ahead = at(min(place + spread, way[-1])) - at(max(place - spread, 0.0))
            return float(np.arctan2(ahead[1], ahead[0]))
        rings = []
        for place in np.linspace(0.0, way[-1], count):
            by = turn(place) - turn(0.0)
            rings += [makers.placed(ring - path[0], at(place), 1.0, by) for ring in self.rings(shape)]
        return self.shape(rings, shape.hex, f"{shape.name} × {count}")

    def changed_together(self, shapes, scale: float, turn_rad: float) -> list[PlacedShape]:
        """Shapes scaled and turned about the middle of all."""
        boxes = np.array([self.box(shape) for shape in shapes])
        middle = (boxes[:, :2].min(0) + boxes[:, 2:].max(0)) / 2
        return [replace(shape, rings=tuple(
            self.kept(ring_points(makers.placed(ring - middle, middle, scale, turn_rad))) for ring in self.rings(shape)
        )) for shape in shapes]

    # -- lines and areas --------------------------------------------------------------

    def split(self, points) -> SplitLine:
        return SplitLine(self.kept(points))

    def cover(self, points) -> CoveredArea:
        return CoveredArea(self.kept(points))

    @cached_property
    def cuts(self) -> Cuts:
        """Likely split lines of the regions that are there."""
        work = self.work
        return likely_cuts(work.traced.planar, work.traced.curves, np.flatnonzero(~work.ground))

    def split_at(self, number: int) -> SplitLine:
        """The split line of a likely cut, drawn a little beyond the outline."""
        a, b = self.cuts.start[number], self.cuts.end[number]
        unit = (b - a) / max(np.hypot(*(b - a)), 1e-9)
        return self.split(np.array([a - 2 * unit, b + 2 * unit]))

    def stencil_bridges(self, count: int, width_mm: float) -> StencilBridges:
        """Bridges for what would fall out when all that is cut is cut away."""
        return find_bridges(~self.work.ground[self.work.traced.planar.faces], count, width_mm / self.work.mm_per_px)

    def held(self, recipe: Recipe, bridges: StencilBridges, width_mm: float, hex_colour: str) -> Recipe:
        """The recipe with bridges painted in the colour of the sheet."""
        made = tuple(
            lines.painted_line(self.work, np.array([a, b]) / self.size, width_mm / self.work.mm_per_px, hex_colour)
            for a, b in zip(bridges.start, bridges.end, strict=False)
        )
        return replace(recipe, lines=(*recipe.lines, *made))

    def moved_line(self, line: PaintedLine, ends) -> PaintedLine:
        """A painted line between two other places."""
        return replace(line, points=tuple((min(max(x, 0.0), 1.0), min(max(y, 0.0), 1.0)) for x, y in self.kept(ends)))

    # -- strokes ---------------------------------------------------------------------

    def stroke_window(self, number: int) -> PlacedShape | None:
        """A stroke as an opening through all sheets."""
        area = polygons.around_line(self.strokes.line(number), self.strokes.widest_px(number) + 1.5)
        outline = polygons.outline_of_area(area)
        return self.shape(polygons.rings_of(outline), None, "stroke") if len(outline.controls) else None
