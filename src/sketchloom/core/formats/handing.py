"""How a drawing is handed to whoever gets it: what the reader takes and the machine is."""

from dataclasses import dataclass

from sketchloom.core.formats.dialects import Dialect
from sketchloom.core.sheets.machine import Machine

MM, PX_96, PX_90, PX_72 = READERS = ("mm", "96", "90", "72")
SPLINES, ARCS, LINES = CURVES = ("splines", "arcs", "lines")
R2000, R12 = VERSIONS = ("r2000", "r12")
A4, LETTER, WHOLE = PAPERS = ("A4", "Letter", "whole")
PAPER_MM = {A4: (210.0, 297.0), LETTER: (215.9, 279.4)}
"""ISO 216; 8.5 × 11 in."""


@dataclass(frozen=True, slots=True)
class Handing:
    """``reader``: an SVG's lengths are mm, or bare numbers of which so many are an inch. ``curves``: what a drawing
    file keeps of them, ``within_mm`` of a distance where they are arcs or lines; ``dxf`` its version. ``machine`` that
    runs the file, None for any, with its ``dialect`` of machine code. ``dpi`` of a picture. ``paper`` that a page is
    parted over."""

    reader: str = MM
    curves: str = SPLINES
    within_mm: float = 0.005
    dxf: str = R2000
    machine: Machine | None = None
    dialect: Dialect | None = None
    dpi: int = 300
    paper: str = WHOLE


AS_IT_IS = Handing()
