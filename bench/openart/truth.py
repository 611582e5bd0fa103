"""What a drawing of the collection shows: regions, boundaries, and the stretches of the artist's segments."""

import io
import re
from dataclasses import dataclass
from functools import cached_property
from pathlib import Path
from xml.etree import ElementTree

import cv2
import numpy as np
import resvg_py
import shapely
import svgelements
from PIL import Image

from bench.quality.truth import Shape, Truth, _corners, _filled, _pieces

_LEAST_VISIBLE_PX, _ON_PX, _STEP_PX = 0.6, 0.02, 0.4
_CAPS = {"butt": "flat", "round": "round", "square": "square"}
_JOINS = {"miter": "mitre", "round": "round", "bevel": "bevel"}
_WHITE = (255, 255, 255)
_MOST_OFF_PX = 0.15


@dataclass(frozen=True)
class Drawn:
    """A drawing by its file."""

    path: Path

    @cached_property
    def _document(self):
        return svgelements.SVG.parse(io.StringIO(self.path.read_text(encoding="utf-8", errors="replace")), ppi=96,
                                     color="#000000")

    @property
    def size(self) -> tuple[float, float]:
        return float(self._document.width), float(self._document.height)

    def size_px(self, most: int) -> tuple[int, int]:
        wide, high = (max(round(v * most / max(self.size)), 1) for v in self.size)
        return wide, high

    def rgba(self, most: int) -> np.ndarray:
        """(H, W, 4) uint8, not premultiplied, the longer side as asked; a page of whole pixels is put around it."""
        (wide, high), (own_wide, own_high) = self.size_px(most), self.size
        text = self.path.read_text(encoding="utf-8", errors="replace")
        root = ElementTree.fromstring(re.sub(r"<!DOCTYPE.*?(\]\s*>|>)", "", text, count=1, flags=re.DOTALL).encode())
        root.set("width", f"{own_wide}")
        root.set("height", f"{own_high}")
        inner = ElementTree.tostring(root, encoding="unicode")
        whole = (f'<svg xmlns="http://www.w3.org/2000/svg" width="{wide}" height="{high}" preserveAspectRatio="none" '
                 f'viewBox="0 0 {own_wide} {own_high}">{inner}</svg>')
        picture = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=whole)))).convert("RGBA")
        if picture.size != (wide, high):
            raise ValueError(f"rendered {picture.size}, not {(wide, high)}")
        return np.asarray(picture)

    def shapes(self, most: int) -> list[Shape]:
        """Filled and stroked shapes in painting order, px."""
        # the renderer fits each side to whole pixels
        sx, sy = (px / size for px, size in zip(self.size_px(most), self.size, strict=True))
        made = []
        for element in self._document.elements():
            if not isinstance(element, svgelements.Shape):
                continue
            values = element.values
            if values.get("display") == "none" or values.get("visibility") == "hidden":
                continue
            path = abs(svgelements.Path(element) * svgelements.Matrix.scale(sx, sy))
            if element.fill is not None and element.fill.value is not None:
                shape = _fill(path, str(values.get("fill-rule", "nonzero")) == "evenodd", element.fill)
                made += [] if shape is None else [shape]
            if element.stroke is not None and element.stroke.value is not None and element.implicit_stroke_width:
                shape = _stroke(path, element, float(np.sqrt(sx * sy)))
                made += [] if shape is None else [shape]
        return made

    def truth(self, most: int, ground=_WHITE) -> Truth:
        wide, high = self.size_px(most)
        page = shapely.box(0, 0, wide, high)
        regions: dict = {}
        covered = shapely.Polygon()
        shapes = self.shapes(most)
        for shape in reversed(shapes):
            seen = shape.polygon.intersection(page).difference(covered)
            regions.setdefault(shape.colour, []).append(seen)
            covered = covered.union(shape.polygon)
        merged = {c: shapely.union_all(parts).buffer(0) for c, parts in regions.items()}
        if ground is not None:
            merged.pop(tuple(ground), None)
        merged = {c: r for c, r in merged.items() if r.area > 0}
        frame = page.exterior.buffer(1e-3)
        lines = [region.boundary.difference(frame) for region in merged.values()]
        boundary = shapely.union_all(lines) if lines else shapely.MultiLineString()
        area = {c: float(r.area) / (wide * high) for c, r in merged.items()}
        return Truth(area, boundary, merged, *_stretches(shapes, boundary))

    def refused(self) -> str:
        """Why the rule does not keep it; empty where it does."""
        truth = self.truth(512)
        colours = [c for c, share in truth.colours.items() if share >= 0.003]
        if not 1 <= len(colours) <= 16:
            return f"{len(colours)} colours"
        if not 8 <= truth.segments <= 500:
            return f"{truth.segments} stretches"
        off = self.off(truth)
        return f"drawn {off:.2f} px elsewhere" if off > _MOST_OFF_PX else ""

    def off(self, truth: Truth, most: int = 512, times: int = 4) -> float:
        """How far a general renderer's picture lies from the truth in the mean along its boundary, px."""
        rgba = self.rgba(most)
        alpha = rgba[..., 3:] / 255.0
        seen = rgba[..., :3] * alpha + 255 * (1 - alpha)
        high, wide = seen.shape[:2]
        drawn = np.full((high * times, wide * times, 3), 255, np.uint8)
        for colour, region in truth.regions.items():
            mask = np.zeros(drawn.shape[:2], np.uint8)
            for polygon in getattr(region, "geoms", [region]):
                rings = [polygon.exterior, *polygon.interiors] if polygon.geom_type == "Polygon" else []
                one = np.zeros_like(mask)
                cv2.fillPoly(one, [np.round((np.asarray(r.coords) * times - 0.5) * 16).astype(np.int32) for r in rings],
                             1, shift=4)
                mask |= one
            drawn[mask > 0] = colour
        drawn = cv2.resize(drawn, (wide, high), interpolation=cv2.INTER_AREA)
        return float(np.abs(seen - drawn).max(2).sum() / 255 / max(truth.boundary.length, 1.0))


def _fill(path, even, fill):
    rings, segments, corners = [], [], []
    for sub in path.as_subpaths():
        pieces = _pieces(sub, 1.0)
        if not pieces:
            continue
        ring = np.concatenate([p[:-1] for p in pieces])
        if len(ring) >= 3:
            rings.append(ring)
            segments += pieces
            corners += _corners(pieces)
    if not rings:
        return None
    return Shape(_filled(rings, even), tuple(segments), np.array(corners).reshape(-1, 2),
                 (fill.red, fill.green, fill.blue))


def _stroke(path, element, scale):
    """A stroke as its outline by the geometry library; its segments are the two sides of each of the artist's."""
    values = element.values
    half = float(element.implicit_stroke_width) * scale / 2
    cap, join = _CAPS[values.get("stroke-linecap") or "butt"], _JOINS[values.get("stroke-linejoin") or "miter"]
    parts, sides = [], []
    for sub in path.as_subpaths():
        pieces = _open_pieces(sub)
        if not pieces:
            continue
        line = np.concatenate([*(p[:-1] for p in pieces), pieces[-1][-1:]])
        closed = np.hypot(*(line[0] - line[-1])) < 1e-6
        form = shapely.LinearRing(line) if closed and len(line) > 3 else shapely.LineString(line)
        parts.append(form.buffer(half, quad_segs=24, cap_style=cap, join_style=join,
                                 mitre_limit=float(values.get("stroke-miterlimit") or 4)))
        for piece in pieces:
            for by in (half, -half):
                side = shapely.offset_curve(shapely.LineString(piece), by, quad_segs=24, join_style="mitre")
                sides += [np.asarray(g.coords) for g in getattr(side, "geoms", [side]) if g.length > 0]
    if not parts:
        return None
    colour = element.stroke
    return Shape(shapely.union_all(parts), tuple(sides), np.empty((0, 2)), (colour.red, colour.green, colour.blue))


def _open_pieces(sub):
    """Polylines of a subpath's segments, with what closes it only where it is closed."""
    pieces = _pieces(sub, 1.0)
    closes = any(isinstance(s, svgelements.Close) for s in svgelements.Path(sub))
    segments = [s for s in svgelements.Path(sub) if not isinstance(s, (svgelements.Move, svgelements.Close))]
    if pieces and not closes and segments:
        first, last = np.array([*svgelements.Path(sub)[0].end]), np.array([*segments[-1].end])
        if np.hypot(*(first - last)) > 1e-4 and len(pieces[-1]) == 2:
            pieces = pieces[:-1]  # the line that a fill would close it by
    return pieces


def _stretches(shapes, boundary):
    """Stretches of segments on the visible boundary, each counted once wherever it is seen, and the visible corners."""
    shapely.prepare(boundary)
    count, corners, told = 0, [], set()
    for shape in shapes:
        for line in shape.segments:
            lengths = np.hypot(*np.diff(line, axis=0).T)
            way = np.concatenate([[0], np.cumsum(lengths)])
            if way[-1] <= 0:
                continue
            steps = (np.arange(max(int(way[-1] / _STEP_PX), 2)) + 0.5) / max(int(way[-1] / _STEP_PX), 2) * way[-1]
            at = np.stack([np.interp(steps, way, line[:, k]) for k in (0, 1)], -1)
            on = shapely.dwithin(boundary, shapely.points(at), _ON_PX)
            edges = np.flatnonzero(np.diff(np.concatenate([[False], on, [False]])))
            for a, b in edges.reshape(-1, 2):
                if (b - a) * (steps[1] - steps[0]) < _LEAST_VISIBLE_PX:
                    continue
                key = tuple(sorted([tuple(np.round(at[a], 1)), tuple(np.round(at[b - 1], 1))]))
                if key not in told:  # the same edge drawn by two shapes side by side
                    told.add(key)
                    count += 1
        if len(shape.corners):
            on = shapely.dwithin(boundary, shapely.points(shape.corners), _ON_PX)
            corners.append(shape.corners[on])
    found = np.concatenate(corners) if corners else np.empty((0, 2))
    return count, np.unique(np.round(found, 3), axis=0)
