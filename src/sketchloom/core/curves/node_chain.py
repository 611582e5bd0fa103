"""Nodes and handles of a stretch of boundary, and what a hand does with them."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base.errors import GeometryError
from sketchloom.core.base.said import said
from sketchloom.core.curves.chains import part_of_cubic, ring_controls
from sketchloom.core.curves.curveset import evaluate

BEFORE, AFTER = -1, 1
"""The handle that comes before a node, and the one after it."""
_SMOOTH = np.cos(np.radians(8.0))
"""Handles that turn by less run through a node without a corner (a traced circle has none; common practice, no source).
"""
_LEAST_PX = 1e-6
_ROUNDS, _SAMPLES = 6, 24
"""Rounds in which parameters and handles of a joined cubic are fitted in turn, and places on each old one."""


@dataclass(frozen=True, slots=True, eq=False)
class NodeChain:
    """Cubics end to end along a stretch.

    ``points`` (3 n + 1, 2): node, handle, handle, node and so on. ``knots`` (n + 1,) how far along the stretch, 0 to 1,
    each node came from. ``corners``: numbers of nodes whose two handles go their own ways. ``closed``: a whole ring,
    its first node again last.
    """

    points: np.ndarray
    knots: np.ndarray
    corners: frozenset
    closed: bool

    @property
    def count(self) -> int:
        """Nodes that differ."""
        return len(self.knots) - self.closed

    @property
    def controls(self) -> np.ndarray:
        """(n, 4, 2)."""
        return ring_controls(self.points)

    def node(self, number: int) -> np.ndarray:
        return self.points[3 * number]

    def handle(self, number: int, side: int) -> int | None:
        """The index of a node's handle in ``points``, None where the chain ends."""
        at = 3 * number + side
        if self.closed:
            return at % (len(self.points) - 1)
        return at if 0 <= at < len(self.points) else None

    def handles(self, number: int) -> tuple[int | None, int | None]:
        return self.handle(number, BEFORE), self.handle(number, AFTER)

    def is_fixed(self, number: int) -> bool:
        """Whether a node is an end that the rest of the boundary hangs on."""
        return not self.closed and number in (0, len(self.knots) - 1)


def chain_of(controls, knots, closed: bool, corners=None) -> NodeChain:
    """A chain of cubics (n, 4, 2) with its corners found where they are not given."""
    points = np.concatenate([controls[:, :3].reshape(-1, 2), controls[-1:, 3]])
    made = NodeChain(points, np.asarray(knots, float), frozenset(), closed)
    if corners is None:
        corners = [n for n in range(made.count) if None not in made.handles(n) and not _runs_through(made, n)]
    return replace(made, corners=frozenset(corners))


def _runs_through(chain, number):
    into, out = (chain.points[h] - chain.node(number) for h in chain.handles(number))
    size = np.hypot(*into) * np.hypot(*out)
    return size < _LEAST_PX or float(-(into @ out)) >= _SMOOTH * size


def _with_points(chain, points, **more):
    if chain.closed:
        points[-1] = points[0]
    return replace(chain, points=points, **more)


def with_node_at(chain: NodeChain, number: int, to) -> NodeChain:
    """A node moved to a place, its handles along. Raises GeometryError for the ends of an open chain."""
    if chain.is_fixed(number):
        raise GeometryError(said("the ends of the stretch stay; choose a longer one to move them"))
    points = chain.points.copy()
    by = np.asarray(to, float) - points[3 * number]
    for at in (3 * number, *chain.handles(number)):
        points[at] += by
    return _with_points(chain, points)


def with_handle_at(chain: NodeChain, number: int, side: int, to) -> NodeChain:
    """A handle moved to a place; at a smooth node the other one keeps its length and turns along."""
    at, other = chain.handle(number, side), chain.handle(number, -side)
    if at is None:
        raise GeometryError(said("the stretch ends there"))
    points = chain.points.copy()
    points[at] = to
    away = points[at] - chain.node(number)
    size = float(np.hypot(*away))
    if other is not None and number not in chain.corners and size > _LEAST_PX:
        points[other] = chain.node(number) - away / size * np.hypot(*(points[other] - chain.node(number)))
    return _with_points(chain, points)


def with_node_added(chain: NodeChain, place: float) -> NodeChain:
    """A node more at a place, a segment's number plus the parameter on it; the course stays (de Casteljau)."""
    segment = min(int(place), len(chain.controls) - 1)
    t = place - segment
    if not 0.0 < t < 1.0:
        raise GeometryError(said("there is a node already"))
    one = chain.controls[segment]
    pair = np.stack([part_of_cubic(one, 0.0, t), part_of_cubic(one, t, 1.0)])
    controls = np.concatenate([chain.controls[:segment], pair, chain.controls[segment + 1:]])
    knots = np.insert(chain.knots, segment + 1, (1 - t) * chain.knots[segment] + t * chain.knots[segment + 1])
    return chain_of(controls, knots, chain.closed, [n + (n > segment) for n in chain.corners])


def without_node(chain: NodeChain, number: int) -> NodeChain:
    """A node less: one cubic in place of two, as near to them as it can be with the directions at its ends kept.

    Raises GeometryError for the ends of an open chain, and for the last two nodes of a closed one.
    """
    if chain.is_fixed(number) or len(chain.controls) < (3 if chain.closed else 2):
        raise GeometryError(said("there is no node to take out"))
    controls, knots, corners = chain.controls, chain.knots, chain.corners
    if number == 0:  # a ring that began there begins one node later
        controls = np.roll(controls, -1, 0)
        knots = np.concatenate([knots[1:], knots[1:2] + 1.0])
        corners = frozenset((n - 1) % chain.count for n in corners)
        number = chain.count - 1
        return without_node(chain_of(controls, knots, True, corners), number)  # places along a ring go round
    one = _joined(controls[number - 1], controls[number])
    controls = np.concatenate([controls[:number - 1], one[None], controls[number + 1:]])
    left = [n - (n > number) for n in corners if n != number]
    return chain_of(controls, np.delete(knots, number), chain.closed, left)


def _joined(one, two):
    """A cubic in place of two, by least squares over the lengths of its handles.

    References
    ----------
    Schneider 1990, "An algorithm for automatically fitting digitized curves" (Graphics Gems).
    """
    t = np.linspace(0, 1, _SAMPLES + 1)
    points = np.concatenate([evaluate(one[None], t)[:-1], evaluate(two[None], t)])
    start, end = points[0], points[-1]
    u, v = _direction(one), _direction(two[::-1])
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    share = way / max(way[-1], 1e-12)
    length = np.full(2, way[-1] / 3)
    made = np.array([start, start + u * length[0], end + v * length[1], end])
    for _ in range(_ROUNDS):
        s = 1 - share
        b1, b2 = 3 * s * s * share, 3 * s * share * share
        fixed = (s**3 + b1)[:, None] * start + (share**3 + b2)[:, None] * end
        left = np.stack([(b1[:, None] * u).ravel(), (b2[:, None] * v).ravel()], 1)
        length = np.linalg.lstsq(left, (points - fixed).ravel(), rcond=None)[0]
        length = np.clip(length, 0.02 * way[-1], way[-1])
        made = np.array([start, start + u * length[0], end + v * length[1], end])
        fine = np.linspace(0, 1, 8 * _SAMPLES)
        line = evaluate(made[None], fine)
        share = fine[((points[:, None] - line[None]) ** 2).sum(-1).argmin(1)]
        share[0], share[-1] = 0.0, 1.0
    return made


def _direction(cubic):
    """The direction in which a cubic leaves its first end."""
    for k in (1, 2, 3):
        away = cubic[k] - cubic[0]
        size = float(np.hypot(*away))
        if size > 1e-3:
            return away / size
    return np.array([1.0, 0.0])


def made_corner(chain: NodeChain, number: int) -> NodeChain:
    """The handles of a node go their own ways from now on."""
    return replace(chain, corners=chain.corners | {number})


def made_smooth(chain: NodeChain, number: int) -> NodeChain:
    """The handles of a node in one line, along the direction from one to the other."""
    handles = chain.handles(number)
    points = chain.points.copy()
    if None not in handles:
        sizes = [float(np.hypot(*(points[h] - chain.node(number)))) for h in handles]
        along = points[handles[1]] - points[handles[0]]
        size = float(np.hypot(*along))
        if size > _LEAST_PX:
            for h, sign, length in zip(handles, (BEFORE, AFTER), sizes, strict=True):
                points[h] = chain.node(number) + sign * along / size * length
    return _with_points(chain, points, corners=chain.corners - {number})


def nearest_place(chain: NodeChain, at) -> float:
    """The place on a chain nearest to a point, a segment's number plus the parameter on it."""
    t = np.linspace(0, 1, 65)
    xy = evaluate(chain.controls[:, None], t[None])
    away = np.hypot(*np.moveaxis(xy - np.asarray(at, float), -1, 0))
    segment, step = np.unravel_index(int(away.argmin()), away.shape)
    return float(segment + t[step])


def middle_after(chain: NodeChain, number: int | None) -> float:
    """The place in the middle of what follows a node; without one, or at the end, of the longest part."""
    sizes = np.hypot(*(chain.controls[:, 3] - chain.controls[:, 0]).T)
    return 0.5 + (int(sizes.argmax()) if number is None or number >= len(sizes) else number)
