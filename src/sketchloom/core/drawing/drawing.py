"""A drawing recorded once, in mm, and replayed to any writer.

Writers that go through many points at once take the arrays of a ``Strand``; others take them one by one from
``replay``, as move, line, cubic and close. Both see the same rings in the same order, and lines as lines.
"""

import itertools
from dataclasses import dataclass, replace
from typing import Protocol

import numpy as np

from sketchloom.core.curves.curveset import line_controls


@dataclass(frozen=True, slots=True, eq=False)
class Strand:
    """Rings of cubics end to end.

    ``controls`` (S, 4, 2) in units of ``mm`` millimetres; ``straight`` (S,) bool; ring r is
    ``controls[starts[r]:starts[r + 1]]``. ``may_be_open``: a ring that does not end where it begins stays open, as
    lines for a pen do; else every ring is closed.
    """

    controls: np.ndarray
    straight: np.ndarray
    starts: np.ndarray
    mm: float = 1.0
    may_be_open: bool = False

    def controls_mm(self) -> np.ndarray:
        return self.controls * self.mm


@dataclass(frozen=True, slots=True)
class Look:
    """How a shape is shown: filled (even-odd), stroked, or both. ``is_cut``: what a machine follows; else only shown.
    """

    fill: str | None = None
    stroke: str | None = None
    width_mm: float = 0.0
    round_ends: bool = False
    opacity: float = 1.0
    is_cut: bool = True


@dataclass(frozen=True, slots=True, eq=False)
class Shape:
    """Strands of one look: one compound path."""

    strands: tuple[Strand, ...]
    look: Look


@dataclass(frozen=True, slots=True, eq=False)
class Group:
    """Shapes that belong together: a layer with its ``number`` from the base, 1, and its ``name``; 0 for what is no
    layer. ``version``: the object that it is part of, with others that follow, as a number from 1 and a name."""

    shapes: tuple[Shape, ...]
    name: str = ""
    number: int = 0
    version: tuple[int, str] | None = None


@dataclass(frozen=True, slots=True, eq=False)
class Strokes:
    """What a tool does, stroke by stroke in its order: ``controls`` (S, 4, 2) mm, ``straight`` (S,), ``starts``
    (N + 1,) offsets of the strokes, and the number of the ``tool`` (N,) each is made with, from 1."""

    controls: np.ndarray
    straight: np.ndarray
    starts: np.ndarray
    tool: np.ndarray


@dataclass(frozen=True, slots=True, eq=False)
class Drawing:
    """Groups, the lowest first, in a frame: left, top, width, height, mm. x runs to the right and y down. ``strokes``:
    the same as a machine makes it, where that was planned."""

    title: str
    frame: tuple[float, float, float, float]
    groups: tuple[Group, ...]
    strokes: Strokes | None = None

    @property
    def layers(self) -> tuple[Group, ...]:
        return tuple(g for g in self.groups if g.number)


class Pen(Protocol):
    """What takes a drawing down, point by point, mm."""

    def move(self, x: float, y: float) -> None: ...

    def line(self, x: float, y: float) -> None: ...

    def cubic(self, x1: float, y1: float, x2: float, y2: float, x: float, y: float) -> None: ...

    def close(self) -> None: ...


def replay(strand: Strand, pen: Pen) -> None:
    """Rings as move, then line or cubic, then close. A closing straight edge is left to ``close``."""
    controls, straight, starts = strand.controls_mm().tolist(), strand.straight.tolist(), strand.starts.tolist()
    for first, last in itertools.pairwise(starts):
        closed = not strand.may_be_open or controls[first][0] == controls[last - 1][3]
        pen.move(*controls[first][0])
        for s in range(first, last):
            if not straight[s]:
                pen.cubic(*controls[s][1], *controls[s][2], *controls[s][3])
            elif s < last - 1 or not closed:
                pen.line(*controls[s][3])
        if closed:
            pen.close()


def moved(group: Group, dx: float, dy: float, version: tuple[int, str]) -> Group:
    """A group laid elsewhere, mm, as a part of a version."""
    by = np.array([dx, dy])
    shapes = tuple(
        replace(shape, strands=tuple(replace(s, controls=s.controls + by / s.mm) for s in shape.strands))
        for shape in group.shapes)
    return replace(group, shapes=shapes, version=version)


def scaled(drawing: Drawing, scale: float) -> Drawing:
    """A drawing with all its lengths multiplied; without its strokes, which are mm of a machine."""
    groups = tuple(replace(group, shapes=tuple(Shape(
        tuple(replace(s, mm=s.mm * scale) for s in shape.strands),
        replace(shape.look, width_mm=shape.look.width_mm * scale)) for shape in group.shapes))
        for group in drawing.groups)
    left, top, width, height = drawing.frame
    return Drawing(drawing.title, (left * scale, top * scale, width * scale, height * scale), groups)


def strand_of(outline, mm: float) -> Strand:
    """An outline in px as a strand; ``mm`` a pixel."""
    return Strand(outline.controls, outline.straight, outline.starts, mm, outline.pen_px is not None)


def strand_of_rings(rings) -> Strand:
    """Closed rings of cubics, (S, 4, 2) mm each, none of them told as a line."""
    counts = [len(ring) for ring in rings]
    controls = np.concatenate(list(rings)) if counts else np.empty((0, 4, 2))
    return Strand(controls, np.zeros(len(controls), bool), np.cumsum([0, *counts]))


def strand_of_lines(lines) -> Strand:
    """Polylines, (K, 2) mm each, open."""
    parts = [line_controls(line[:-1], line[1:]) for line in lines]
    controls = np.concatenate(parts) if parts else np.empty((0, 4, 2))
    return Strand(controls, np.ones(len(controls), bool), np.cumsum([0, *(len(p) for p in parts)]), 1.0, True)
