"""Words as outlines: shaped by the font's own rules, on a line or along a path."""

import logging
import os
from dataclasses import dataclass
from functools import lru_cache
from pathlib import Path

import numpy as np
import uharfbuzz as hb
from fontTools.pens.basePen import BasePen
from fontTools.ttLib import TTFont, TTLibError

from sketchloom.core.base.errors import FontError
from sketchloom.core.base.said import said
from sketchloom.core.curves.curveset import line_controls
from sketchloom.core.shapes.runs import visual_runs

logging.getLogger("fontTools").setLevel(logging.ERROR)  # it tells of odd dates in installed fonts
SHIPPED = Path(__file__).parents[2] / "data" / "fonts"
_FOLDERS = ("/usr/share/fonts", "/usr/local/share/fonts", "~/.fonts", "~/.local/share/fonts")
MAX_FONT_BYTES, MAX_FONTS, MAX_LETTERS = 64 << 20, 2000, 500


@dataclass(frozen=True, slots=True)
class Font:
    """A font file and what to call it."""

    name: str
    path: str


@dataclass(frozen=True, slots=True, eq=False)
class Word:
    """Outlines of a text, y down, the baseline at 0, in units of its size.

    ``rings``: (S, 4, 2) each, ``letter`` the number of each ring's letter (its accents are with it). ``advance``: how far the pen goes in all. ``missing``: letters that
    the font does not have, which are left out.
    """

    rings: tuple[np.ndarray, ...]
    letter: tuple[int, ...]
    advance: float
    missing: tuple[str, ...]


def fonts() -> tuple[Font, ...]:
    """The shipped fonts, then those installed, each group by name."""
    found = []
    for number, folder in enumerate((SHIPPED, *(Path(os.path.expanduser(f)) for f in _FOLDERS))):
        if not folder.is_dir():
            continue
        paths = [p for p in sorted(folder.rglob("*")) if p.suffix.lower() in (".ttf", ".otf") and p.is_file()]
        named = sorted(filter(None, (_named(str(p)) for p in paths[:MAX_FONTS])), key=lambda f: f.name)
        found += named if number == 0 or not found else [f for f in named if f.name not in {g.name for g in found}]
    return tuple(found)


@lru_cache(maxsize=4096)
def _named(path: str) -> Font | None:
    try:
        if os.path.getsize(path) > MAX_FONT_BYTES:
            return None
        with TTFont(path, lazy=True, fontNumber=0) as font:
            if "fvar" in font or not ("glyf" in font or "CFF " in font):
                return None
            name = font["name"].getBestFullName()
    except (OSError, TTLibError, KeyError, ValueError, AssertionError):
        return None
    return Font(name, path) if name else None


@lru_cache(maxsize=8)
def _opened(path: str):
    try:
        if os.path.getsize(path) > MAX_FONT_BYTES:
            raise FontError(path, said("is larger than a font should be."))
        data = Path(path).read_bytes()
        plain = TTFont(path, lazy=True, fontNumber=0)
        face = hb.Face(data)
        return plain, plain.getGlyphSet(), plain.getGlyphOrder(), hb.Font(face), face.upem
    except (OSError, TTLibError, KeyError, ValueError) as error:
        raise FontError(path, said("could not be read as a font."), said("Choose another font.")) from error


def shaped(text: str, font: Font, spacing: float = 0.0) -> Word:
    """A text as outlines.

    Parameters
    ----------
    text : one line of at most MAX_LETTERS letters. spacing : more room between letters, in sizes.

    Raises
    ------
    FontError : the font cannot be read, or the text is too long or empty.

    Notes
    -----
    Ligatures and kerning are those of the font (HarfBuzz, after the OpenType specification), run by run
    where directions or scripts mix. Letters that overlap stay rings of their own; inside counts by the winding number.
    """
    text = text.strip("\n")
    if not text.strip() or len(text) > MAX_LETTERS:
        raise FontError(font.path, said("was to set {count} letters; one line of 1 to {max_letters} can be set.", count=len(text), max_letters=MAX_LETTERS))
    _, glyphs, order, shaper, per_em = _opened(font.path)
    rings, letter, x, missing = [], [], 0.0, []
    for info, place in (glyph for run in visual_runs(text) for glyph in _glyphs(shaper, text, run)):
        if info.codepoint == 0:
            missing.append(text[info.cluster])
            continue
        pen = _RingPen(glyphs)
        glyphs[order[info.codepoint]].draw(pen)
        offset = np.array([x + place.x_offset, place.y_offset])
        rings += [(ring + offset) * (1 / per_em, -1 / per_em) for ring in pen.rings]
        letter += [info.cluster] * len(pen.rings)
        x += place.x_advance + spacing * per_em
    return Word(tuple(rings), tuple(letter), x / per_em, tuple(dict.fromkeys(missing)))


def _glyphs(shaper, text, run):
    """Glyphs of one run from left to right; their clusters count letters of the whole text, which gives the run its context."""
    buffer = hb.Buffer()
    buffer.add_str(text, run.start, run.end - run.start)
    if run.script:
        buffer.script = run.script
    buffer.direction = "rtl" if run.is_rtl else "ltr"
    buffer.guess_segment_properties()
    hb.shape(shaper, buffer, {"kern": True, "liga": True})
    return zip(buffer.glyph_infos, buffer.glyph_positions)


class _RingPen(BasePen):
    """Gathers closed rings of cubics."""

    def __init__(self, glyphs):
        super().__init__(glyphs)
        self.rings: list = []
        self._parts: list = []
        self._first = None

    def _moveTo(self, at):
        self._first, self._parts = np.array(at, float), []

    def _lineTo(self, at):
        start = np.array(self._getCurrentPoint(), float)
        if not np.array_equal(start, at):
            self._parts.append(line_controls(start, np.array(at, float)))

    def _curveToOne(self, one, two, at):
        self._parts.append(np.array([self._getCurrentPoint(), one, two, at], float))

    def _closePath(self):
        if self._parts:
            end = self._parts[-1][3]
            if not np.array_equal(end, self._first):
                self._parts.append(line_controls(end, self._first))
            self.rings.append(np.array(self._parts))

    _endPath = _closePath


def along(word: Word, path, size: float) -> list[np.ndarray]:
    """Rings of a word of a size set along a polyline (N, 2), from its begin: each letter stands upright on it.

    Letters are turned as a whole, so their shapes stay as they are. What goes beyond the path's end
    goes straight on.
    """
    path = np.asarray(path, float)
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(path, axis=0).T))])
    made = []
    for letter in dict.fromkeys(word.letter):
        group = [ring for ring, of in zip(word.rings, word.letter) if of == letter]
        across = np.concatenate([ring[..., 0].ravel() for ring in group])
        middle = 0.5 * (across.min() + across.max())
        at, unit = _on_path(path, way, middle * size)
        turn = np.stack([unit, [-unit[1], unit[0]]])
        made += [((ring - (middle, 0)) * size) @ turn + at for ring in group]
    return made


def _on_path(path, way, at):
    n = int(np.clip(np.searchsorted(way, at, side="right") - 1, 0, len(path) - 2))
    step = path[n + 1] - path[n]
    unit = step / max(np.hypot(*step), 1e-12)
    return path[n] + (at - way[n]) * unit, unit
