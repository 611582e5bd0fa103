"""Machine code of a carving job: one file with all tools, or a file a tool.

References
----------
NIST RS274/NGC: G0, G1, G21, G90, F, M3, M5, M6, M30, S, T. The face of the blank is Z0, its lower left corner X0 Y0.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base.errors import ExportError
from sketchloom.core.base.in_ascii import in_ascii
from sketchloom.core.base.said import said
from sketchloom.core.carve.job import NEAR_MM, Job, Step
from sketchloom.core.carve.tools import Tool
from sketchloom.core.formats.dialects import Dialect, filled
from sketchloom.core.sheets.machine import MIDDLE, Machine


@dataclass(frozen=True, slots=True)
class Coded:
    """A file of machine code: the tools in it by their numbers, and its bytes."""

    tools: tuple[tuple[int, Tool], ...]
    data: bytes


def takes(dialect: Dialect) -> bool:
    """Whether a dialect moves its tool up and down: carving needs that."""
    return any("Z" in line.upper() for line in (*dialect.header, *dialect.on, *dialect.off))


def whole(job: Job, machine: Machine, dialect: Dialect, title: str) -> Coded:
    """All of a job in one file, with words that change the tool.

    Raises
    ------
    ExportError : the dialect knows no heights, or there is nothing to carve.
    """
    return _coded(job, job.steps, machine, dialect, title)


def by_tool(job: Job, machine: Machine, dialect: Dialect, title: str) -> tuple[Coded, ...]:
    """A file for each stretch that one tool carves without another between, in the order in which they are run."""
    runs: list[list[Step]] = []
    for step in job.steps:
        if step.strokes:
            if runs and runs[-1][0].tool == step.tool:
                runs[-1].append(step)
            else:
                runs.append([step])
    return tuple(_coded(job, run, machine, dialect, title) for run in runs)


def _coded(job, steps, machine, dialect, title):
    if not takes(dialect):
        raise ExportError("", said("not written: the machine code “{name}” moves no tool up and down.",
                                   name=dialect.name), said("Choose another machine code under Release."))
    steps = [step for step in steps if step.strokes]
    if not steps:
        raise ExportError("", said("not written: nothing is carved."),
                          said("Add an operation, or give it what it is to carve."))
    numbers = {tool: n for n, tool in enumerate(job.tools, 1)}
    values = {"safe": f"{machine.safe_mm:g}", "travel": f"{60 * machine.travel:g}", "speed": "0", "plunge": "0",
              "power": "0", "depth": "0", "force": "0", "tool": "0"}
    lines = [f"({_plain(title)})", f"(blank {job.blank.width_mm:g} x {job.blank.height_mm:g} x "
             f"{job.blank.thickness_mm:g} mm; X0 Y0 Z0: {_origin(machine)})", *filled(dialect.header, values)]
    last = None
    for step in steps:
        tool = step.tool
        if tool != last:
            number = numbers[tool]
            if last is not None:
                lines += [f"G0 Z{machine.safe_mm:g}", "M5"]
            lines += [f"(tool {number}: {_plain(tool.name)})",
                      *(filled(dialect.change, values | {"tool": str(number)}) or [f"M6 T{number}"]),
                      f"M3 S{tool.turns:.0f}", f"G0 Z{machine.safe_mm:g}"]
            last = tool
        lines += _strokes(step, job, machine, dialect)
    lines += filled(dialect.footer, values)
    if dialect.numbered:
        lines = [f"N{10 * n} {line}" for n, line in enumerate(lines, 1)]
    data = in_ascii("\n".join(line for line in lines if line) + "\n").encode("ascii")
    return Coded(tuple((numbers[t], t) for t in dict.fromkeys(s.tool for s in steps)), data)


def _origin(machine):
    return "middle, upper face" if machine.origin == MIDDLE else "lower left corner, upper face"


def _strokes(step, job, machine, dialect):
    """Down at the plunge, along at the feed, up in rapid; a word is said again only where it changes."""
    high = job.blank.height_mm
    shift = np.array([job.blank.width_mm / 2, high / 2]) if machine.origin == MIDDLE else np.zeros(2)
    feed, plunge = f"F{60 * step.feed:g}", f"F{60 * step.plunge:g}"
    d, made = dialect.decimals, []
    for stroke in step.strokes:
        xyz = np.column_stack([stroke[:, 0] - shift[0], high - stroke[:, 1] - shift[1], stroke[:, 2]])
        xyz = np.round(xyz, d) + 0.0
        rows = xyz.tolist()
        x, y, z = rows[0]
        made.append(f"G0 X{x:.{d}f} Y{y:.{d}f}")
        if machine.safe_mm > NEAR_MM:
            made.append(f"G0 Z{NEAR_MM:g}")
        made.append(f"G1 Z{z:.{d}f} {plunge}")
        rate = plunge
        for nx, ny, nz in rows[1:]:
            if (nx, ny) == (x, y):
                if nz == z:
                    continue
                wanted = plunge
                line = f"G1 Z{nz:.{d}f}"
            else:
                wanted = feed
                line = f"G1 X{nx:.{d}f} Y{ny:.{d}f}" + (f" Z{nz:.{d}f}" if nz != z else "")
            if wanted != rate:
                line, rate = f"{line} {wanted}", wanted
            made.append(line)
            x, y, z = nx, ny, nz
        made.append(f"G0 Z{machine.safe_mm:g}")
    return made


def _plain(text):
    """What may stand in a comment: no brackets, no line's end."""
    return "".join(c if c.isprintable() and c not in "()" else " " for c in text)[:80]
