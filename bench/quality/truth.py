"""What a picture shows, from its vector art: visible regions, boundaries, segments, corners."""

from dataclasses import dataclass

import numpy as np
import shapely
import svgelements

_CHORD_PX = 0.5
_SNAP_PX = 1e-6
_CORNER = np.radians(28)
_LEAST_VISIBLE_PX = 0.3


@dataclass(frozen=True, slots=True)
class Shape:
    """A filled shape: its polygon and the polylines of its segments, px."""

    polygon: shapely.Geometry
    segments: tuple[np.ndarray, ...]
    corners: np.ndarray
    colour: tuple[int, int, int]


@dataclass(frozen=True, slots=True)
class Truth:
    """``colours``: share of the area by colour, ground left out; ``boundary``: all lines
    between different colours; ``segments`` visible ones; ``corners`` (K, 2) px."""

    colours: dict
    boundary: shapely.Geometry
    regions: dict
    segments: int
    corners: np.ndarray

    @staticmethod
    def of(body: str, size: float, size_px: int, ground) -> "Truth":
        """Truth of an icon rendered ``size_px`` wide on a ground colour (None: transparent)."""
        scale = size_px / size
        shapes = read_shapes(body, size, scale)
        page = shapely.box(0, 0, size_px, size_px)
        regions: dict = {}
        covered = shapely.Polygon()
        for shape in reversed(shapes):
            seen = shape.polygon.intersection(page).difference(covered)
            regions.setdefault(shape.colour, []).append(seen)
            covered = covered.union(shape.polygon)
        merged = {c: shapely.union_all(parts).buffer(0) for c, parts in regions.items()}
        if ground is not None:
            merged.pop(tuple(ground), None)
        lines = [_inner(region, size_px) for region in merged.values()]
        boundary = shapely.union_all(lines) if lines else shapely.MultiLineString()
        area = {c: float(r.area) / size_px**2 for c, r in merged.items() if r.area > 0}
        return Truth(area, boundary, merged, *_visible(shapes, boundary))


def _inner(region, size_px):
    """A region's outline without what runs along the page's edge."""
    frame = shapely.box(0, 0, size_px, size_px).exterior.buffer(1e-3)
    return region.boundary.difference(frame)


def read_shapes(body: str, size: float, scale: float) -> list[Shape]:
    """Filled shapes of an icon in painting order."""
    head = f'<svg xmlns="http://www.w3.org/2000/svg" width="{size}" height="{size}" viewBox="0 0 {size} {size}">'
    svg = f"{head}{body}</svg>"
    import io
    document = svgelements.SVG.parse(io.StringIO(svg.replace("currentColor", "#000000")), ppi=96)
    shapes = []
    for element in document.elements():
        if not isinstance(element, svgelements.Shape) or element.fill is None or element.fill.value is None:
            continue
        path = abs(svgelements.Path(element))
        even = str(element.values.get("fill-rule", "nonzero")) == "evenodd"
        shape = _shape(path, even, scale, element.fill)
        if shape is not None:
            shapes.append(shape)
    return shapes


def _shape(path, even, scale, fill):
    rings, segments, corners = [], [], []
    for sub in path.as_subpaths():
        pieces = _pieces(sub, scale)
        if len(pieces) < 1:
            continue
        ring = np.concatenate([p[:-1] for p in pieces])
        if len(ring) < 3:
            continue
        rings.append(ring)
        segments += pieces
        corners += _corners(pieces)
    if not rings:
        return None
    polygon = _filled(rings, even)
    return Shape(polygon, tuple(segments), np.array(corners).reshape(-1, 2), (fill.red, fill.green, fill.blue))


def _pieces(sub, scale):
    """Polylines of a subpath's segments; arcs in parts of at most a quarter turn."""
    pieces = []
    first = last = None
    for segment in svgelements.Path(sub):
        if isinstance(segment, svgelements.Move):
            first = last = np.array([segment.end.x, segment.end.y]) * scale
            continue
        if isinstance(segment, svgelements.Close):
            if first is not None and np.hypot(*(last - first)) > 1e-6 * scale + 1e-4:
                pieces.append(np.stack([last, first]))
            last = first
            continue
        parts = segment.as_cubic_curves() if isinstance(segment, svgelements.Arc) else [segment]
        for part in parts:
            line = _flat(part, scale)
            if len(line) > 1:
                line[0] = last
                pieces.append(line)
                last = line[-1]
    if pieces and np.hypot(*(pieces[-1][-1] - pieces[0][0])) > 1e-4:
        pieces.append(np.stack([pieces[-1][-1], pieces[0][0]]))
    elif pieces:
        pieces[-1][-1] = pieces[0][0]
    return pieces


def _flat(segment, scale):
    if isinstance(segment, svgelements.Line):
        points = np.array([[segment.start.x, segment.start.y], [segment.end.x, segment.end.y]]) * scale
        return points if np.hypot(*(points[1] - points[0])) > 1e-6 else points[:1]
    t = np.linspace(0, 1, 17)
    rough = segment.npoint(t) * scale
    length = np.hypot(*np.diff(rough, axis=0).T).sum()
    if length < 1e-6:
        return rough[:1]
    return segment.npoint(np.linspace(0, 1, max(9, int(np.ceil(length / _CHORD_PX)) + 1))) * scale


def _corners(pieces):
    """Ends of segments where the direction turns sharply."""
    found = []
    for one, two in zip(pieces, pieces[1:] + pieces[:1], strict=False):
        a, b = one[-1] - one[-2], two[1] - two[0]
        size = np.hypot(*a) * np.hypot(*b)
        if size > 0 and np.arccos(np.clip((a @ b) / size, -1, 1)) > _CORNER:
            found.append(one[-1])
    return found


def _filled(rings, even):
    """Polygon of rings under a fill rule."""
    lines = shapely.union_all([shapely.LinearRing(r) for r in rings])
    faces = shapely.get_parts(shapely.polygonize(shapely.get_parts(shapely.node(lines))))
    keep = []
    for face in faces:
        point = shapely.point_on_surface(face)
        turns = sum(_winding(r, point.x, point.y) for r in rings)
        if (turns % 2 if even else turns) != 0:
            keep.append(face)
    return shapely.union_all(keep) if keep else shapely.Polygon()


def _winding(ring, x, y):
    x0, y0 = ring.T
    x1, y1 = np.roll(ring, -1, 0).T
    side = (x1 - x0) * (y - y0) - (x - x0) * (y1 - y0)
    return int(((y0 <= y) & (y1 > y) & (side > 0)).sum()) - int(((y0 > y) & (y1 <= y) & (side < 0)).sum())


def _visible(shapes, boundary):
    """Segments of which a part is on the visible boundary, and the visible corners."""
    shapely.prepare(boundary)
    count, corners = 0, []
    for shape in shapes:
        for line in shape.segments:
            if len(line) == 2:  # a part of a line may be seen
                parts = max(2, int(np.hypot(*(line[1] - line[0])) / _CHORD_PX))
                line = line[0] + np.linspace(0, 1, parts + 1)[:, None] * (line[1] - line[0])
            steps = np.concatenate([line[:-1], line[1:]]).reshape(2, -1, 2).mean(0)
            lengths = np.hypot(*np.diff(line, axis=0).T)
            on = shapely.dwithin(boundary, shapely.points(steps), 2e-3)
            count += bool((lengths * on).sum() > _LEAST_VISIBLE_PX)
        if len(shape.corners):
            on = shapely.dwithin(boundary, shapely.points(shape.corners), 2e-3)
            corners.append(shape.corners[on])
    found = np.concatenate(corners) if corners else np.empty((0, 2))
    return count, np.unique(np.round(found, 3), axis=0)
