"""Words as outlines: shaped by the font's own rules, on a line or along a path."""

from dataclasses import dataclass
from functools import lru_cache
from pathlib import Path

import numpy as np
import uharfbuzz as hb

from sketchloom.core.base.errors import FontError
from sketchloom.core.base.said import said
from sketchloom.core.curves.curveset import line_controls
from sketchloom.core.shapes.runs import visual_runs

SHIPPED = Path(__file__).parents[2] / "data" / "fonts"
_FOLDERS = ("/usr/share/fonts", "/usr/local/share/fonts", "~/.fonts", "~/.local/share/fonts")
MAX_FONT_BYTES, MAX_FONTS, MAX_LETTERS = 64 << 20, 2000, 500
"""Guards against hostile fonts and texts."""


@dataclass(frozen=True, slots=True)
class Font:
    """A font file and what to call it."""

    name: str
    path: str


@dataclass(frozen=True, slots=True, eq=False)
class Glyph:
    """One glyph, in units of its size, y down: the number of its (first) ``letter``, how far the pen goes on, its
    ``rings`` (S, 4, 2) from where the pen is, and whether the font has none for it."""

    letter: int
    advance: float
    rings: tuple[np.ndarray, ...]
    is_missing: bool


@dataclass(frozen=True, slots=True, eq=False)
class Word:
    """Outlines of a text, y down, the baseline at 0, in units of its size.

    ``rings``: (S, 4, 2) each, ``letter`` the number of each ring's letter (its accents are with it). ``advance``:
    how far the pen goes in all. ``missing``: letters that the font does not have, which are left out.
    """

    rings: tuple[np.ndarray, ...]
    letter: tuple[int, ...]
    advance: float
    missing: tuple[str, ...]


def fonts() -> tuple[Font, ...]:
    """The shipped fonts, then those installed, each group by name."""
    found: list[Font] = []
    for number, folder in enumerate((SHIPPED, *(Path(f).expanduser() for f in _FOLDERS))):
        if not folder.is_dir():
            continue
        paths = [p for p in sorted(folder.rglob("*")) if p.suffix.lower() in (".ttf", ".otf") and p.is_file()]
        named = sorted(filter(None, (_named(str(p)) for p in paths[:MAX_FONTS])), key=lambda f: f.name)
        found += named if number == 0 or not found else [f for f in named if f.name not in {g.name for g in found}]
    return tuple(found)


@lru_cache(maxsize=4096)
def _named(path: str) -> Font | None:
    try:
        face = _face(path)
    except FontError:
        return None
    if face.has_var_data or not {"glyf", "CFF ", "CFF2"} & set(face.table_tags):
        return None
    name = _full_name(face)
    return Font(name, path) if name else None


def _full_name(face) -> str:
    """Family and style, by the names that say most of both (OpenType specification, naming table)."""
    ids = hb.OTNameIdPredefined
    for family, style in ((ids.WWS_FAMILY, ids.WWS_SUBFAMILY), (ids.TYPOGRAPHIC_FAMILY, ids.TYPOGRAPHIC_SUBFAMILY),
                          (ids.FONT_FAMILY, ids.FONT_SUBFAMILY)):
        names = face.get_name(family), face.get_name(style)
        if all(names):
            return names[0] if names[1].lower() == "regular" else " ".join(names)
    return face.get_name(ids.FULL_NAME) or ""


def _face(path: str) -> "hb.Face":
    """A font's face; raises FontError."""
    try:
        if Path(path).stat().st_size > MAX_FONT_BYTES:
            raise FontError(path, said("is larger than a font should be."))
        face = hb.Face(Path(path).read_bytes())
    except OSError as error:
        raise FontError(path, said("could not be read as a font."), said("Choose another font.")) from error
    if face.glyph_count == 0 or not face.table_tags:  # the library takes anything, and finds nothing in it
        raise FontError(path, said("could not be read as a font."), said("Choose another font."))
    return face


@lru_cache(maxsize=8)
def _opened(path: str):
    face = _face(path)
    return hb.Font(face), face.upem


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
    if not text.strip():
        raise _not_settable(text, font)
    rings, letter, x, missing = [], [], 0.0, []
    for glyph in glyphs_of(text, font):
        if glyph.is_missing:
            missing.append(text[glyph.letter])
            continue
        rings += [ring + (x, 0.0) for ring in glyph.rings]
        letter += [glyph.letter] * len(glyph.rings)
        x += glyph.advance + spacing
    return Word(tuple(rings), tuple(letter), x, tuple(dict.fromkeys(missing)))


def glyphs_of(text: str, font: Font) -> list[Glyph]:
    """The glyphs of a text from left to right; raises FontError where the font cannot be read or it is too long."""
    if len(text) > MAX_LETTERS:
        raise _not_settable(text, font)
    shaper, per_em = _opened(font.path)
    made = []
    for info, place in (glyph for run in visual_runs(text) for glyph in _glyphs(shaper, text, run)):
        rings = [] if info.codepoint == 0 else _rings_of(shaper, info.codepoint)
        offset = np.array([place.x_offset, place.y_offset])
        made.append(Glyph(info.cluster, place.x_advance / per_em,
                          tuple((ring + offset) * (1 / per_em, -1 / per_em) for ring in rings), info.codepoint == 0))
    return made


def _not_settable(text, font):
    return FontError(font.path, said("was to set {count} letters; one line of 1 to {max_letters} can be set.",
                                     count=len(text), max_letters=MAX_LETTERS))


def _glyphs(shaper, text, run):
    """Glyphs of one run from left to right; their clusters count letters of the whole text, which gives the run its
    context."""
    buffer = hb.Buffer()
    buffer.add_str(text, run.start, run.end - run.start)
    if run.script:
        buffer.script = run.script
    buffer.direction = "rtl" if run.is_rtl else "ltr"
    buffer.guess_segment_properties()
    hb.shape(shaper, buffer, {"kern": True, "liga": True})
    return zip(buffer.glyph_infos, buffer.glyph_positions, strict=False)


class _RingPen:
    """Gathers closed rings of cubics."""

    def __init__(self):
        self.rings: list[np.ndarray] = []
        self._parts: list[np.ndarray] = []
        self._at = self._first = np.zeros(2)

    def move(self, x, y):
        self._at = self._first = np.array([x, y], float)
        self._parts = []

    def line(self, x, y):
        end = np.array([x, y], float)
        if not np.array_equal(self._at, end):
            self._parts.append(line_controls(self._at, end))
        self._at = end

    def quadratic(self, cx, cy, x, y):
        control, end = np.array([cx, cy], float), np.array([x, y], float)
        self._parts.append(
            np.array([self._at, self._at + (control - self._at) * (2 / 3), end + (control - end) * (2 / 3), end])
        )
        self._at = end

    def cubic(self, x1, y1, x2, y2, x, y):
        end = np.array([x, y], float)
        self._parts.append(np.array([self._at, (x1, y1), (x2, y2), end], float))
        self._at = end

    def close(self):
        if self._parts:
            end = self._parts[-1][3]
            if not np.array_equal(end, self._first):
                self._parts.append(line_controls(end, self._first))
            self.rings.append(np.array(self._parts))
            self._parts = []


@lru_cache(maxsize=1)
def _draw_funcs():
    """How the shaper draws into a ``_RingPen``."""
    funcs = hb.DrawFuncs()
    funcs.set_move_to_func(lambda x, y, pen: pen.move(x, y))
    funcs.set_line_to_func(lambda x, y, pen: pen.line(x, y))
    funcs.set_quadratic_to_func(lambda cx, cy, x, y, pen: pen.quadratic(cx, cy, x, y))
    funcs.set_cubic_to_func(lambda x1, y1, x2, y2, x, y, pen: pen.cubic(x1, y1, x2, y2, x, y))
    funcs.set_close_path_func(lambda pen: pen.close())
    return funcs


def _rings_of(shaper, glyph: int) -> list[np.ndarray]:
    pen = _RingPen()
    shaper.draw_glyph(glyph, _draw_funcs(), pen)
    return pen.rings


def along(word: Word, path, size: float) -> list[np.ndarray]:
    """Rings of a word of a size set along a polyline (N, 2), from its begin: each letter stands upright on it.

    Letters are turned as a whole, so their shapes stay as they are. What goes beyond the path's end
    goes straight on.
    """
    path = np.asarray(path, float)
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(path, axis=0).T))])
    made = []
    for letter in dict.fromkeys(word.letter):
        group = [ring for ring, of in zip(word.rings, word.letter, strict=False) if of == letter]
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
