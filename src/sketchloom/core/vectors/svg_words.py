"""Words of an SVG as outlines: chunks, anchors and shifts, set in the font that the page is drawn with.

What is set in another way (along a path, turned, stretched, stacked, by shares of a size) is left to its look: nothing
is given for it.

References
----------
SVG 1.1, chapter 10 (text); white space as SVG 2, 11.7.
"""

import re
from bisect import bisect_left
from collections.abc import Callable
from dataclasses import dataclass, field

import numpy as np

from sketchloom.core.base.errors import FontError
from sketchloom.core.picture.svg_pages import FAMILY
from sketchloom.core.shapes.text import SHIPPED, Font, glyphs_of

_FONTS = tuple(Font(f"{FAMILY} {kind}", str(SHIPPED / f"{FAMILY}-{kind}.ttf")) for kind in ("Regular", "Bold"))
_BOLD_FROM = 600
"""Weights from this one are nearer to bold (CSS Fonts 3, 5.2, where only 400 and 700 are there)."""
_USUAL_PX = 16.0
"""Size of words that ask for none, as the renderer has it."""
_SPACE = "{http://www.w3.org/XML/1998/namespace}space"
_ANCHORS = {"start": 0.0, "middle": 0.5, "end": 1.0}
_LISTS = ("x", "y", "dx", "dy")
_PLAIN = {"writing-mode": ("lr-tb", "lr", "horizontal-tb"), "baseline-shift": ("baseline", "0"),
          "dominant-baseline": ("auto", "alphabetic"), "alignment-baseline": ("auto", "baseline", "alphabetic"),
          "text-decoration": ("none",), "font-variant": ("normal",), "word-spacing": ("normal", "0"),
          "font-kerning": ("auto", "normal"), "font-feature-settings": ("normal",), "direction": ("ltr",), "font": ()}
"""What words are set like where they are outlined here: other values leave them to their look."""
_STRETCHED = ("rotate", "textLength", "lengthAdjust")
_BETWEEN = re.compile(r"[\s,]+")


class _ByLook(Exception):
    """These words are not set here."""


@dataclass(slots=True)
class _Letter:
    """One letter: its style, and what is said of its place, by the names of ``_LISTS``."""

    letter: str
    style: dict
    place: dict = field(default_factory=dict)


@dataclass(slots=True)
class _Text:
    """Letters, and the lists of places of the parts they stand in: name, values, the numbers of the letters; outer
    parts first."""

    letters: list[_Letter] = field(default_factory=list)
    lists: list[tuple[str, list[float], range]] = field(default_factory=list)


def words_of(element, style: dict, own: Callable, length: Callable) -> list[tuple[dict, list]]:
    """Styles, and the rings (S, 4, 2) set in each, of a text in its own units; none where it is left to its look.

    Parameters
    ----------
    element : the text. style : that holds for it. own : what a part says of itself. length : of a text, px; it raises
    ValueError for what is none.
    """
    try:
        text = _Text()
        _gather(element, style, own, length, text)
        made, pen = [], np.zeros(2)
        for chunk in _chunks(_placed(text, element.get(_SPACE) == "preserve")):
            pen = np.array([chunk[0].place.get("x", pen[0]), chunk[0].place.get("y", pen[1])])
            found, pen = _set(chunk, pen, length)
            made += found
        return made
    except (_ByLook, FontError, ValueError):
        return []


def _gather(element, style, own, length, text):
    """Put the letters of a part, and of those within it, and what is said of their places, into a text."""
    if any(element.get(a) is not None for a in _STRETCHED):
        raise _ByLook
    if any(style[name] not in plain for name, plain in _PLAIN.items() if name in style):
        raise _ByLook
    first, number = len(text.letters), len(text.lists)
    text.letters += _letters(element.text, style)
    for child in element:
        if not isinstance(child.tag, str) or child.tag.rpartition("}")[2] not in ("tspan", "a"):
            raise _ByLook
        said = own(child)
        if said.get("display") != "none":
            inner = {**style, **{name: value for name, value in said.items() if value != "inherit"}}
            _gather(child, inner, own, length, text)
        text.letters += _letters(child.tail, style)
    mine = range(first, len(text.letters))
    text.lists[number:number] = [(name, [length(v) for v in _BETWEEN.split(element.get(name, "")) if v], mine)
                                 for name in _LISTS]


def _letters(words, style):
    return [_Letter(one, style) for one in re.sub(r"\r\n|[\r\n\t]", " ", words or "")]


def _placed(text, keeps_spaces):
    """The letters that are set, with their places: lists of inner parts hold before those of outer ones."""
    kept = list(range(len(text.letters)))
    if not keeps_spaces:
        kept = []
        for n, one in enumerate(text.letters):
            if one.letter != " " or (kept and text.letters[kept[-1]].letter != " "):
                kept.append(n)
        while kept and text.letters[kept[-1]].letter == " ":
            kept.pop()
    for name, values, within in text.lists:
        first, end = bisect_left(kept, within.start), bisect_left(kept, within.stop)
        for n, value in zip(kept[first:min(end, first + len(values))], values, strict=False):
            text.letters[n].place[name] = value
    return [text.letters[n] for n in kept]


def _chunks(letters):
    """Letters that are anchored together: one that is put somewhere begins anew."""
    made: list[list[_Letter]] = []
    for one in letters:
        if not made or one.place.keys() & {"x", "y"}:
            made.append([])
        made[-1].append(one)
    return made


def _set(chunk, pen, length):
    """Styles and rings of a chunk that begins at a place, and where the next one would."""
    text = "".join(one.letter for one in chunk)
    fonts = [_font(one.style) for one in chunk]
    # all of it in each font that is asked for: letters of two styles are kerned, as the renderer does
    glyphs: dict[Font, dict[int, list]] = {}
    for used in dict.fromkeys(fonts):
        of = glyphs[used] = {}
        for glyph in glyphs_of(text, used):
            of.setdefault(glyph.letter, []).append(glyph)
    rings: list[tuple[dict, np.ndarray]] = []
    at, wide, room = pen.copy(), 0.0, 0.0
    for number, (one, font) in enumerate(zip(chunk, fonts, strict=True)):
        mine = glyphs[font].get(number)
        if mine is None:
            continue  # within the glyph of an earlier letter
        size = _size(one.style, length)
        at += (one.place.get("dx", 0.0), one.place.get("dy", 0.0))
        for glyph in mine:
            if glyph.is_missing:
                raise _ByLook
            rings += [(one.style, ring * size + at) for ring in glyph.rings]
            at[0] += glyph.advance * size
            wide += glyph.advance * size
        room = _spacing(one.style, length)
        at[0] += room
        wide += room
    # no room after the last letter
    back = _ANCHORS.get(chunk[0].style.get("text-anchor", "start"), 0.0) * (wide - room)
    made: dict[int, tuple[dict, list]] = {}
    for style, ring in rings:
        made.setdefault(id(style), (style, []))[1].append(ring - (back, 0.0))
    return list(made.values()), at - (back + room, 0.0)


def _font(style) -> Font:
    weight = style.get("font-weight", "normal")
    return _FONTS[weight in ("bold", "bolder") or (weight.isdecimal() and int(weight) >= _BOLD_FROM)]


def _size(style, length):
    value = style.get("font-size")
    size = _USUAL_PX if value in (None, "medium") else length(value)
    if size <= 0:
        raise _ByLook
    return size


def _spacing(style, length):
    value = style.get("letter-spacing", "normal")
    return 0.0 if value == "normal" else length(value)
