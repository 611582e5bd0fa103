"""Cells that a person sees as one thing: alike around one centre (petals of a flower), and what lies among them."""

from dataclasses import dataclass
from itertools import combinations

import numpy as np

from sketchloom.core.base.circles import centre_through

_NEAREST = 14
"""Cells beside the one asked about, of which two and it give a circle; a ring of twice as many has its next among them.
"""
_SIZE = 2.0
"""Cells of one ring differ by no more than this in area, ..."""
_AWAY, _GAP = 0.15, 0.4
"""... lie as far from the centre within this share, and as far from each other within this share of an even step
(chosen on rings of three to sixteen petals drawn by rule, with a jitter of 7 % of the radius and of a step)."""
_LEAST, _ON_A_LINE = 3, 1e-3


@dataclass(frozen=True, slots=True, eq=False)
class Ring:
    """``members`` (K,) numbers of cells in the order they lie around a ``centre``, the one asked about first."""

    members: np.ndarray
    centre: np.ndarray
    radius: float


def ring_of(places, areas, number: int) -> Ring | None:
    """The ring of alike cells that one belongs to, None for none.

    Parameters
    ----------
    places : (N, 2) px, the middles of cells. areas : (N,) px. number : of the cell.

    Notes
    -----
    Every circle through the cell and two others near it is tried; the ring with the most members that go all the way
    round in even steps wins, of equals the smaller one.
    """
    places, areas = np.asarray(places, float), np.asarray(areas, float)
    alike = (areas <= _SIZE * areas[number]) & (areas >= areas[number] / _SIZE)
    away = np.where(alike, np.hypot(*(places - places[number]).T), np.inf)
    order = np.argsort(away, kind="stable")
    near = [n for n in order[:_NEAREST + 1].tolist() if n != number and np.isfinite(away[n])]
    best: Ring | None = None
    for one, two in combinations(near, 2):
        centre = centre_through(places[number], places[one], places[two], _ON_A_LINE)
        if centre is None:
            continue
        found = _around(places, alike, number, centre)
        if found is not None and (best is None or (len(found.members), -found.radius) > (
                len(best.members), -best.radius)):
            best = found
    return best


def _around(places, alike, number, centre):
    ray = places - centre
    away = np.hypot(*ray.T)
    radius = away[number]
    members = np.flatnonzero(alike & (np.abs(away - radius) <= _AWAY * radius))
    if len(members) < _LEAST:
        return None
    # a ring that is drawn has its middle in its members' middle
    angle = np.arctan2(ray[members, 1], ray[members, 0])
    members, angle = members[np.argsort(angle)], np.sort(angle)
    gaps = np.diff(np.append(angle, angle[0] + 2 * np.pi))
    if (np.abs(gaps - 2 * np.pi / len(members)) > _GAP * 2 * np.pi / len(members)).any():
        return None
    first = int(np.flatnonzero(members == number)[0])
    return Ring(np.roll(members, -first), places[members].mean(0), float(radius))


def among(places, areas, ring: Ring) -> np.ndarray:
    """Numbers of other cells that lie within the circle of a ring; what is larger than it lies around it."""
    inside = np.hypot(*(np.asarray(places, float) - ring.centre).T) < ring.radius
    return np.setdiff1d(np.flatnonzero(inside & (np.asarray(areas) < np.pi * ring.radius**2)), ring.members)
