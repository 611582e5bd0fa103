"""What leaves of a carved work: machine code, solids, pictures, and what the report says of it."""

import io
from collections.abc import Callable
from functools import cached_property, partial
from pathlib import Path

import numpy as np
from PIL import Image
from shapely.geometry import Point

from sketchloom.core.base.errors import ExportError
from sketchloom.core.base.said import said
from sketchloom.core.carve import shading
from sketchloom.core.carve.board import measured_rim
from sketchloom.core.carve.field import HeightField, uncut
from sketchloom.core.carve.job import Job
from sketchloom.core.formats import carving as code
from sketchloom.core.formats import solids
from sketchloom.core.formats.dialects import shipped
from sketchloom.core.preflight.carving import findings_of_code, findings_of_job, uncut_by
from sketchloom.core.sheets.machine import MIDDLE
from sketchloom.core.simulate import router
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.carving import MOST_SEEN, carved_of, job_of_work, tools_of
from sketchloom.evaluate.planning import machine_of
from sketchloom.evaluate.targets import on_work
from sketchloom.evaluate.work import Work
from sketchloom.files.made import Simulated
from sketchloom.files.release import safe_stem
from sketchloom.files.user_data import dialects

VIEWS = ((0.0, 0.0), (-28.0, 52.0))
"""Turn and tilt of the pictures that are given away."""
PICTURE_PX = (1600, 1000)
_SOLID_MM, _MOST_SOLID = 0.5, 150_000
"""Places of a solid lie so far apart, farther where a reader would choke on it."""
_BACK_MM = 0.5
_SAME_MM, _NEAR_MM, _LEAST_UNCUT_MM2 = 0.05, 1.5, 0.05
SUFFIXES = (".png", ".stl", ".glb", ".pdf")
LOOKS = {"carved-png": (".png", said("A picture of the carved blank")),
         "carved-stl": (".stl", said("The carved blank as a solid (STL)")),
         "carved-glb": (".glb", said("The carved blank as a solid (glTF)"))}
"""What is written of a carved work beside machine code, by its key: suffix and words."""


class CarvedWork:
    """A carved work and what follows from it, worked out when it is asked for."""

    def __init__(self, work: Work, job: Job | None = None, cache: Cache | None = None):
        self._cache = cache or Cache()
        self.work, self.job = work, job or job_of_work(work, self._cache)
        self.machine = machine_of(work)
        self._fields: dict[float | None, HeightField] = {}
        self._coded: dict[str, code.Coded] = {}
        self._back: tuple[HeightField, float] | None = None

    @property
    def seconds(self) -> float:
        """How long the machine takes, with changing tools and loading the blank."""
        machine = self.machine
        return sum(s.seconds for s in self.job.steps) + self.job.changes * machine.change_s + machine.load_s

    @property
    def rim_mm(self) -> tuple[float, float] | None:
        """How wide the rim is where it is narrowest and widest, as measured; None without one."""
        return measured_rim(self.job.board, self.job.field) if self.job.blank.rim_mm > 0 else None

    def outlines_of(self, number: int) -> list[tuple[np.ndarray, float]]:
        """Where the operation of a number in the list lies: lines (N, 2) mm on the blank, and how high."""
        step = next((step for step in self.job.steps if step.number == number), None)
        if step is None:
            return []
        area = step.area
        lines = area.boundary if area.geom_type in ("Polygon", "MultiPolygon") else area
        return [(np.asarray(one.coords, float)[:, :2], -step.operation.from_mm)
                for one in getattr(lines, "geoms", [lines])]

    def uncut_of(self, number: int) -> list[np.ndarray]:
        """What the tool of an operation is too wide for: outlines (N, 2) mm on the blank."""
        known = {one.key: one for one in tools_of(self.work.recipe)}
        made = []
        for step in self.job.steps:
            if step.number == number and step.strokes:
                left = uncut_by(step, known)
                made += [np.asarray(one.exterior.coords, float) for one in left.geoms if one.area > _LEAST_UNCUT_MM2]
        return made

    def number_at(self, x_mm: float, y_mm: float) -> int | None:
        """The number of the smallest operation that a place of the blank lies in, or on whose line."""
        place = Point(x_mm, y_mm)
        reach = [(step.area.area, step.number) for step in self.job.steps
                 if step.area.distance(place) <= (_NEAR_MM if step.area.area == 0 else 0)]
        return min(reach)[1] if reach else None

    def field(self, mm_per_px: float | None = None) -> HeightField:
        """The carved blank."""
        if mm_per_px not in self._fields:
            self._fields[mm_per_px] = carved_of(self.job, mm_per_px, self._cache)
        return self._fields[mm_per_px]

    @property
    def dialect(self):
        """Of the machine code."""
        key = self.work.recipe.dialect or self.machine.dialect
        return next((one for one in dialects() if one.key == key), None) or shipped(key)

    def coded(self, title: str) -> code.Coded:
        """All of it as one file. Raises ExportError."""
        if title not in self._coded:
            self._coded[title] = code.whole(self.job, self.machine, self.dialect, title)
        return self._coded[title]

    @cached_property
    def findings(self):
        """What may go wrong, with places of the picture."""
        scale = self.work.mm_per_px

        def place_of(x, y):
            return tuple(v / scale for v in on_work(self.work, x, y))
        return findings_of_job(self.job, self.machine, tools_of(self.work.recipe), place_of)

    def findings_of_code(self, title: str):
        """What speaks against its machine code, as the simulated router runs it."""
        return findings_of_code(self.carved_back(title)[1])

    def told(self, title: str) -> dict:
        """Plain data for the report."""
        return _plain(self, title)

    def carved_back(self, title: str) -> tuple[HeightField, float]:
        """What the simulated router carves of the bytes alone, and the share of places where that is what was planned.
        """
        if self._back is not None:  # the title is a comment in the code
            return self._back
        coded = self.coded(title)
        blank = self.job.blank
        middle = (blank.width_mm / 2, blank.height_mm / 2) if self.machine.origin == MIDDLE else None
        fine = max(_BACK_MM, float(np.sqrt(blank.width_mm * blank.height_mm / MOST_SEEN)))
        before = uncut(self.job.board, blank.thickness_mm, fine, (blank.width_mm, blank.height_mm))
        made = router.carve(coded.data, dict(coded.tools), before, middle).field
        own = self.field(fine)
        off = np.abs(np.maximum(made.z, -blank.thickness_mm) - np.maximum(own.z, -blank.thickness_mm))
        self._back = made, float((off[own.board] <= _SAME_MM).mean())
        return self._back


def outgoing_code(one: CarvedWork, target, stem: str) -> list[tuple[Path, Callable[[], bytes]]]:
    """Machine code: one file where the target names one, else a file a tool, numbered as they are run.

    Raises
    ------
    ExportError : nothing is carved, or the machine code knows no heights.
    """
    target = Path(target)
    told = partial(one.findings_of_code, stem)
    if target.suffix:
        whole = one.coded(stem)
        return [(target, Simulated(partial(bytes, whole.data), told))]
    files = code.by_tool(one.job, one.machine, one.dialect, stem)
    if not files:
        one.coded(stem)  # says why
    return [(target / f"{safe_stem(stem)}-{n:02d}-{safe_stem(part.tools[0][1].key)}.nc",
             Simulated(partial(bytes, part.data), told))
            for n, part in enumerate(files, 1)]


def outgoing_look(one: CarvedWork, target, title: str, words=None) -> tuple[Path, Callable[[], bytes]]:
    """A picture, a solid or the page to approve, by the target's suffix. Raises ExportError."""
    from sketchloom.files import carved_papers

    target = Path(target)
    makers = {".png": lambda: picture(one, *VIEWS[1]), ".stl": lambda: solids.stl(solid_field(one)),
              ".glb": lambda: solids.glb(solid_field(one)),
              ".pdf": lambda: carved_papers.approval(one, title, words)}
    make = makers.get(target.suffix.lower())
    if make is None:
        raise ExportError(target, said("not written: a carved blank is written as {suffixes}.",
                                       suffixes=", ".join(SUFFIXES)))
    return target, make


def solid_field(one: CarvedWork) -> HeightField:
    """The carved blank as coarse as a solid is written."""
    wide, high = one.job.blank.width_mm, one.job.blank.height_mm
    return one.field(max(_SOLID_MM, float(np.sqrt(wide * high / _MOST_SOLID))))


def picture(one: CarvedWork, turn_deg: float, tilt_deg: float, size=PICTURE_PX) -> bytes:
    """A PNG of the carved blank."""
    stream = io.BytesIO()
    face = shading.lit(one.field(), one.job.blank.look)
    Image.fromarray(shading.view(face, size, turn_deg, tilt_deg)).save(stream, "PNG", optimize=True)
    return stream.getvalue()


def _plain(one: CarvedWork, title: str) -> dict:
    """Plain data of what is carved; see docs/formats.md."""
    job, blank = one.job, one.job.blank
    low, high = one.rim_mm or (0.0, 0.0)
    try:
        same: float | None = round(one.carved_back(title)[1], 5)
    except ExportError:
        same = None  # told as a reason where the file is written
    return {
        "blank": {"shape": blank.shape, "width_mm": blank.width_mm, "height_mm": blank.height_mm,
                  "thickness_mm": blank.thickness_mm, "rim_mm": [round(low, 3), round(high, 3)],
                  "recess_mm": blank.recess_mm},
        "operations": [{
            "number": step.number + 1, "kind": step.operation.kind, "of": step.operation.of.kind,
            "layer": step.operation.of.key or None, "tool": step.tool.key, "strokes": len(step.strokes),
            "depth_mm": round(max((-float(s[:, 2].min()) for s in step.strokes), default=0.0), 3),
            "cut_mm": round(step.cut_mm, 1), "travel_mm": round(step.travel_mm, 1), "time_s": round(step.seconds, 1),
        } for step in job.steps],
        "tools": [{"number": n, "tool": tool.key, "name": tool.name, "time_s": round(job.seconds_of(tool), 1)}
                  for n, tool in enumerate(job.tools, 1)],
        "time_s": round(one.seconds, 1),
        "removed_cm3": round(one.field().removed_mm3 / 1000, 2),
        "carved_back_share": same,
    }
