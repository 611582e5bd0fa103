"""The laying plan: every piece with its number where it goes, and the order of work beside it, as a page to print."""

from functools import lru_cache

import numpy as np

from sketchloom.core.drawing.drawing import Drawing, Group, Look, Shape, Strand, strand_of, strand_of_rings
from sketchloom.core.layers.laying import LaidPiece
from sketchloom.core.shapes import text
from sketchloom.core.shapes.makers import ellipse, polygon

_FONT = text.Font("Lato", str(text.SHIPPED / "Lato-Regular.ttf"))
_LETTERS_MM, _ROW_MM, _MARGIN_MM, _LIST_MM = 3.2, 5.2, 8.0, 84.0
"""Letters of 9 points, as a printed page has them, in rows 1.6 times as high; 8 mm that printers leave free."""
_LEAST_MM, _MOST_MM = 1.6, 4.5
"""Numbers on pieces: the least that can be read at arm's length, and what is as large as the heading."""
_INK, _PAPER = "#2b2622", "#ffffff"


def plan_drawing(
    pieces: list[LaidPiece], width_mm: float, height_mm: float, mm_per_px: float, title: str, words
) -> Drawing:
    """A page in mm, at true size.

    Parameters
    ----------
    pieces : in the order of laying. words : the texts of the plan: ``heading``, ``one`` and ``many`` for a sheet of one
        piece or more, with {number}, {name}, {first} and {last}, ``way_up`` for pieces that could be laid the wrong way
        round, ``top`` for which side of the page is up.

    Notes
    -----
    Letters are outlines of the shipped font, so that the page looks the same everywhere.
    """
    sheets: dict[int, list[LaidPiece]] = {}
    for piece in pieces:
        sheets.setdefault(piece.level, []).append(piece)
    page_height = max(height_mm, (len(sheets) + 4) * _ROW_MM) + 2 * _MARGIN_MM + 2 * _ROW_MM
    page_width = width_mm + _LIST_MM + 3 * _MARGIN_MM
    corner = np.array([_MARGIN_MM, _MARGIN_MM + 2 * _ROW_MM])
    page = polygon(np.array([(0, 0), (page_width, 0), (page_width, page_height), (0, page_height)]))
    shapes = [_filled([page], _PAPER), *_word(title, _MARGIN_MM, _MARGIN_MM + _LETTERS_MM, 1.3 * _LETTERS_MM)]
    shapes += [
        Shape((_moved(strand_of(p.outline, mm_per_px), corner),), Look(p.layer.plan.hex, _INK, 0.1, is_cut=False))
        for p in pieces
    ]
    shapes += _numbers(pieces, mm_per_px, corner)
    shapes += _list(
        sheets, any(piece.wrong for piece in pieces), (width_mm + 2 * _MARGIN_MM, corner[1] + _LETTERS_MM), words
    )
    return Drawing(title, (0.0, 0.0, page_width, page_height), (Group(tuple(shapes)),))


def _list(sheets, any_wrong, at, words):
    """The order of work: a sheet a row."""
    x, y = at
    yield from _word(words["heading"], x, y, 1.15 * _LETTERS_MM)
    for level, group in sheets.items():
        y += _ROW_MM
        plan = group[0].layer.plan
        yield Shape(
            (strand_of_rings([ellipse((x + 1.6, y - 1.1), 1.6, 1.6)]),), Look(plan.hex, _INK, 0.15, is_cut=False)
        )
        key = "one" if len(group) == 1 else "many"
        said = words[key].format(number=level + 1, name=plan.name, first=group[0].number, last=group[-1].number)
        yield from _word(said, x + 5.0, y, _LETTERS_MM)
    if any_wrong:
        y += 1.6 * _ROW_MM
        yield from _word(words["way_up"], x, y, 0.85 * _LETTERS_MM)
    yield from _word(words["top"], x, y + _ROW_MM, 0.85 * _LETTERS_MM)


def _numbers(pieces, mm_per_px, corner):
    """Numbers in their pieces; of small pieces beside their middle, where they do not meet another number."""
    taken: list[tuple[np.ndarray, float]] = []
    for piece in sorted(pieces, key=lambda p: -p.room):
        size = float(np.clip(1.1 * piece.room * mm_per_px, _LEAST_MM, _MOST_MM))
        digits = str(piece.number)
        reach = 0.42 * size * (len(digits) + bool(piece.wrong)) + 0.4
        place = np.array(piece.place) * mm_per_px + corner
        at = _free_place(place, size, reach, taken)
        taken.append((at, reach))
        yield _filled([ellipse(at, reach, 0.75 * size)], _PAPER, 0.82)
        if np.hypot(*(at - place)) > 0.6 * size:
            yield Shape(
                (strand_of_rings([polygon(np.array([at, place, at + 0.12]))]),), Look(None, _INK, 0.12, is_cut=False)
            )
        back = 0.3 * size if piece.wrong else 0.0
        yield from _word(digits, at[0] - 0.5 * _shaped(digits).advance * size - back, at[1] + 0.36 * size, size)
        if piece.wrong:  # this side is up
            tip = at + (reach - 0.62 * size, -0.42 * size)
            yield _filled([polygon(tip + size * np.array([(0, 0), (0.28, 0.7), (-0.28, 0.7)]))], _INK)


def _free_place(place, size, reach, taken):
    """The nearest place along a spiral where a number meets none of those that are there."""
    at = place
    for step in range(24):
        turn, away = 2.4 * step, 0.55 * size * step**0.5
        at = place + away * np.array([np.cos(turn), np.sin(turn)])
        if all(np.hypot(*(at - other)) > reach + far for other, far in taken):
            break
    return at


@lru_cache(maxsize=512)
def _shaped(words):
    return text.shaped(words, _FONT)


def _word(words, x, y, size):
    if words.strip():
        yield _filled([ring * size + (x, y) for ring in _shaped(words[:text.MAX_LETTERS]).rings], _INK)


def _filled(rings, hex_colour, opacity=1.0):
    return Shape((strand_of_rings(rings),), Look(hex_colour, opacity=opacity, is_cut=False))


def _moved(strand, by_mm):
    return Strand(strand.controls_mm() + by_mm, strand.straight, strand.starts, 1.0, strand.may_be_open)
