"""How a layer is divided: into as few parts as any carrier allows, then along the seams that are seen least."""

import itertools
import math
from dataclasses import dataclass, replace

import numpy as np
import shapely

from sketchloom.core.base.progress import breathe
from sketchloom.core.sheets.choices import AUTO, BUTT, KEYED, OFF, OVERLAP, STRAIGHT
from sketchloom.core.sheets.dividing import keys
from sketchloom.core.sheets.dividing.field import COVER_MM, Field, corners_of, field_of
from sketchloom.core.sheets.dividing.matches import marked
from sketchloom.core.sheets.dividing.parting import SeamError, parted
from sketchloom.core.sheets.dividing.room import fitting, rooms_beside_joint
from sketchloom.core.sheets.dividing.seam import Seam, cheapest, on_raster, seam_of, straight
from sketchloom.core.sheets.part import Part

MOST_PARTS = 400
"""A layer that would need more is no work for this machine."""
_PLACES = 6
"""Places tried for each of several seams within what is free for them."""
_COARSER = 4
"""Bands of several seams are compared on a raster so much coarser."""
_LAYOUTS = 2
"""So many ways to divide are looked at closely."""
_LEAST_FREE_MM = 1.0
"""A seam has at least so much room to either side: else another part is cheaper than the trouble."""


@dataclass(frozen=True, slots=True, eq=False)
class Divided:
    """A layer in parts. ``seams`` polylines mm, ``cost`` of all of them and the length that is ``seen``, mm; what the
    best straight seams would cost and show stands beside. ``columns``: for every seam that of the columns which it
    parts, -1 for those between columns. ``unjoined``: the joint that was asked for found no room."""

    parts: tuple[Part, ...]
    seams: tuple[np.ndarray, ...] = ()
    cost: float = 0.0
    seen: float = 0.0
    straight_cost: float = 0.0
    straight_seen: float = 0.0
    columns: tuple[int, ...] = ()
    unjoined: bool = False


def divided(part: Part, above, rooms, how: str = AUTO, joint: str = BUTT, joint_mm: float = 3.0,
            fixed=(), matching: str = AUTO) -> Divided:
    """A part of a layer divided where no room takes it.

    Parameters
    ----------
    above : area that upper sheets cover, mm. how : of ``choices.SEAMS``. joint : of ``choices.JOINTS``; ``joint_mm``
    the overlap, or the width of tongues. fixed : seams (K, 2) mm set by hand, in place of those found, in their order.
    matching : of ``choices.MATCHES``; tongues need no marks.

    References
    ----------
    Division into as few parts as possible with the seams in bands, by dynamic programming over the bands.
    """
    if how == OFF or fitting(part.size, rooms) is not None or part.outline.pen_px is not None or not rooms:
        return Divided((part,))
    layouts = _layouts(part.size, rooms_beside_joint(rooms, joint, joint_mm))
    if not layouts:
        return Divided((part,))
    field = field_of(part.area, above, _corners(part, above), max(COVER_MM, joint_mm if joint == OVERLAP else 0.0))
    if len(layouts) > 1 and not fixed:
        layouts = _likely(part, field, layouts, how)
    tried = [_along(part, field, room, columns, rows, how, fixed) for room, columns, rows in layouts]
    best = min((t for t in tried if t is not None), key=lambda t: t[0].cost, default=None)
    if best is None:
        return Divided((part,))
    made, room = best
    if matching != OFF and joint != KEYED:
        made = replace(made, parts=marked(made.parts, made.seams, made.columns, field, matching))
    if joint != BUTT:
        made = _joined(part, made, room, field, joint, joint_mm)
    count = len(made.parts)
    return replace(made, parts=tuple(replace(p, count=count, number=n, seams=made.seams)
                                     for n, p in enumerate(made.parts, 1)))


def _likely(part, field, layouts, how):
    """The layouts that are worth a close look, by their seams on a coarser raster."""
    rough = field.coarser(_COARSER)
    costs = [_along(part, rough, room, columns, rows, how, ()) for room, columns, rows in layouts]
    order = sorted((n for n, t in enumerate(costs) if t is not None), key=lambda n: costs[n][0].cost)
    return [layouts[n] for n in order[:_LAYOUTS]] or layouts


def _joined(part, made, room, field, joint, joint_mm):
    """A division with its joints, and whether none found room though a seam runs through the layer."""
    room = replace(room, wide=room.wide + joint_mm, high=room.high + joint_mm)
    parts = keys.joined(made.parts, made.seams, part, field, joint, joint_mm, room)
    through = any(shapely.LineString(seam).intersects(part.area) for seam in made.seams)
    return replace(made, parts=parts,
                   unjoined=through and all(a is b for a, b in zip(parts, made.parts, strict=True)))


def _corners(part, above):
    seen = corners_of(part.outline)
    rings = [np.asarray(ring.coords) for piece in getattr(above, "geoms", [above]) if piece.geom_type == "Polygon"
             for ring in (piece.exterior, *piece.interiors)]
    for points in rings:
        points = points[:-1]
        if len(points) < 3:
            continue
        legs = np.roll(points, -1, 0) - points
        before = np.roll(legs, 1, 0)
        turn = np.abs(np.arctan2(before[:, 0] * legs[:, 1] - before[:, 1] * legs[:, 0], (before * legs).sum(1)))
        seen = np.concatenate([seen, points[turn > 0.6]])
    return seen


def least_parts(size, rooms) -> int:
    """Into how many parts a size is divided at least; 0 where no room is large enough for any sense."""
    layouts = _layouts(size, rooms)
    return layouts[0][1] * layouts[0][2] if layouts else 0


def _layouts(size, rooms):
    """Rooms with the numbers of columns and rows, all those of the fewest parts."""
    found = []
    for room in rooms:
        columns, rows = (_parts_of(side, most) for side, most in zip(size, (room.wide, room.high), strict=True))
        if columns * rows <= MOST_PARTS:
            found.append((columns * rows, room, columns, rows))
    fewest = min((f[0] for f in found), default=0)
    unique = {}
    for count, room, columns, rows in found:
        if count == fewest:
            unique.setdefault((columns, rows, round(room.wide, 3), round(room.high, 3)), (room, columns, rows))
    return list(unique.values())


def _parts_of(side, most):
    if side <= most + 1e-6:
        return 1
    count = math.ceil(side / most - 1e-9)
    return count if count * most - side >= 2 * _LEAST_FREE_MM else count + 1


@dataclass(slots=True)
class _Sums:
    """Seams of one layout so far, with what they cost and show, and what straight ones would."""

    lines: list
    columns: list
    cost: float = 0.0
    seen: float = 0.0
    straight_cost: float = 0.0
    straight_seen: float = 0.0

    def add(self, found, plain, lines, column) -> None:
        self.lines += lines
        self.columns += [column] * len(lines)
        self.cost += sum(s.cost for s in found)
        self.seen += sum(s.seen for s in found)
        self.straight_cost += sum(s.cost for s in plain)
        self.straight_seen += sum(s.seen for s in plain)


def _along(part, field, room, columns, rows, how, fixed):
    """The parts of one layout, by upright seams through all of it, then by level ones through each column; None where
    they do not fit or the seams part nothing cleanly."""
    sums, pieces, by_hand = _Sums([], []), [part], list(fixed)
    try:
        if columns > 1:
            pieces = _in_columns(part, field, room, columns, how, by_hand, sums)
        if rows > 1:
            pieces = [p for n, piece in enumerate(pieces) for p in _in_rows(
                piece, field if columns == 1 else _only(field, piece), room, how, by_hand, sums, n)]
    except SeamError:
        return None
    pieces = [p for p in pieces if len(p.outline.controls)]
    if not all(room.takes(p.size) for p in pieces):
        return None
    return Divided(tuple(pieces), tuple(sums.lines), sums.cost, sums.seen, sums.straight_cost, sums.straight_seen,
                   tuple(sums.columns)), room


def _in_columns(part, field, room, count, how, by_hand, sums):
    left, _, right, _ = part.box
    found, plain = _seams(field, left, right, room.wide, count, how, _taken(by_hand, count - 1))
    lines = [s.points for s in found]
    sums.add(found, plain, lines, -1)
    return cut_along([part], lines, False)


def _in_rows(piece, field, room, how, by_hand, sums, column):
    count = _parts_of(piece.size[1], room.high)
    if count == 1:
        return [piece]
    found, plain = _seams(field.turned(), piece.box[1], piece.box[3], room.high, count, how,
                          [np.asarray(f)[:, ::-1] for f in _taken(by_hand, count - 1)])
    lines = [s.points[:, ::-1] for s in found]
    sums.add(found, plain, lines, column)
    return cut_along([piece], lines, True)


def _taken(by_hand, count):
    """The next seams put by hand, out of their list; none where there are not so many."""
    if len(by_hand) < count:
        by_hand.clear()
        return []
    taken = by_hand[:count]
    del by_hand[:count]
    return taken


def _only(field, piece):
    """A field in which all but a piece is free: a seam through it costs nothing elsewhere."""
    inside = shapely.contains_xy(
        piece.area.buffer(field.step), *np.meshgrid(
            field.origin[0] + field.step * np.arange(field.cost.shape[1]),
            field.origin[1] + field.step * np.arange(field.cost.shape[0])))
    return Field(np.where(inside, field.cost, 0).astype(np.float32), field.seen & inside, field.origin, field.step)


def _seams(field, low, high, most, count, how, fixed):
    """The best upright seams that part ``low`` to ``high`` into so many, none wider than ``most``; and straight
    ones."""
    find = straight if how == STRAIGHT else cheapest
    bands = [(max(low, high - (count - k) * most), min(high, low + k * most)) for k in range(1, count)]
    if fixed:
        own = [seam_of(field, np.asarray(points, float)) for points in fixed]
        return own, [straight(field, *band) for band in bands]
    if count == 2:
        return [find(field, *bands[0])], [straight(field, *bands[0])]
    return _several(field, low, high, most, bands, find), _several(field, low, high, most, bands, straight)


def _several(field, low, high, most, bands, find) -> list[Seam]:
    """Seams of least cost in all, each in a band of its own, so that no part between two is wider than allowed.

    A band is a pair of ``_PLACES`` places in what is free for a seam; the best chain of bands by dynamic programming,
    with seams on a coarser raster, which the chosen bands are searched through again without.
    """
    rough = field.coarser(_COARSER)
    costs: dict[tuple[float, float], float] = {}
    chains: dict[tuple[float, float], tuple[float, tuple]] = {(low, low): (0.0, ())}
    for start, end in bands:
        options = [(float(a), float(b)) for a, b in itertools.combinations(np.linspace(start, end, _PLACES), 2)]
        reached: dict[tuple[float, float], tuple[float, tuple]] = {}
        for (before_low, before_high), (cost, path) in chains.items():
            for band in options:
                if band[1] - before_low > most + 1e-6 or band[0] < before_high:
                    continue
                if band not in costs:
                    breathe()
                    costs[band] = rough.along(on_raster(rough, *band)) if find is cheapest else find(rough, *band).cost
                total = cost + costs[band]
                if band not in reached or total < reached[band][0] - 1e-9:
                    reached[band] = (total, (*path, band))
        chains = reached
    good = [value for (band_low, _), value in chains.items() if high - band_low <= most + 1e-6]
    if not good:
        raise SeamError("no bands")
    return [find(field, *band) for band in min(good, key=lambda value: value[0])[1]]


def cut_along(pieces, seams, level):
    """Pieces cut along seams one after the other, what lies left of (or above) the first one first."""
    made = []
    for piece in pieces:
        rest = piece
        for seam in seams:
            outline = rest.outline
            if level:
                two = [exchanged(one) for one in parted(exchanged(outline), np.asarray(seam)[:, ::-1])]
            else:
                two = list(parted(outline, seam))
            made.append(replace(piece, outline=two[0]))
            rest = replace(piece, outline=two[1])
        made.append(rest)
    return made


def exchanged(outline):
    """x and y exchanged; the rings run the other way round so that their inside stays on the right."""
    size, owner = np.diff(outline.starts), np.repeat(np.arange(len(outline.area_px)), np.diff(outline.starts))
    back = outline.starts[owner] + outline.starts[owner + 1] - 1 - np.arange(len(owner)) if len(size) else owner
    return replace(outline, controls=outline.controls[back][:, ::-1, ::-1].copy(), straight=outline.straight[back])
