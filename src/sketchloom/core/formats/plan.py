"""The laying plan: every piece with its number where it goes, and the order of work beside it, as an SVG to print."""

from functools import lru_cache
from xml.sax.saxutils import escape

import numpy as np

from sketchloom.core.formats.svg import path_data_of, ring_data
from sketchloom.core.layers.laying import LaidPiece
from sketchloom.core.shapes import text
from sketchloom.core.shapes.makers import ellipse, polygon

_FONT = text.Font("Lato", str(text.SHIPPED / "Lato-Regular.ttf"))
_LETTERS_MM, _ROW_MM, _MARGIN_MM, _LIST_MM = 3.2, 5.2, 8.0, 84.0
_LEAST_MM, _MOST_MM = 1.6, 4.5
_INK, _PAPER = "#2b2622", "#ffffff"


def plan_svg(pieces: list[LaidPiece], width_mm: float, height_mm: float, mm_per_px: float, title: str, words) -> str:
    """An SVG page in mm, at true size.

    Parameters
    ----------
    pieces : in the order of laying. words : the texts of the plan: ``heading``, ``one`` and ``many`` for a sheet of one piece or more, with {number}, {name}, {first} and {last},
        ``way_up`` for pieces that could be laid the wrong way round, ``top`` for which side of the page is up.

    Notes
    -----
    Letters are outlines of the shipped font, so that the page looks the same everywhere.
    """
    sheets: dict[int, list[LaidPiece]] = {}
    for piece in pieces:
        sheets.setdefault(piece.level, []).append(piece)
    page_height = max(height_mm, (len(sheets) + 4) * _ROW_MM) + 2 * _MARGIN_MM + 2 * _ROW_MM
    page_width = width_mm + _LIST_MM + 3 * _MARGIN_MM
    parts = [_path(f'fill="{_PAPER}"', ring_data(polygon(np.array([(0, 0), (page_width, 0), (page_width, page_height), (0, page_height)]))))]
    parts += _word(title, _MARGIN_MM, _MARGIN_MM + _LETTERS_MM, 1.3 * _LETTERS_MM)
    left, top = _MARGIN_MM, _MARGIN_MM + 2 * _ROW_MM
    drawing = []
    for piece in pieces:
        drawing.append(_path(f'fill="{piece.layer.plan.hex}" fill-rule="evenodd" stroke="{_INK}" stroke-width="0.1"', path_data_of(piece.outline, mm_per_px)))
    parts.append(f'<g transform="translate({left:.3f} {top:.3f})">' + "".join(drawing) + "".join(_numbers(pieces, mm_per_px)) + "</g>")
    x, y = width_mm + 2 * _MARGIN_MM, top + _LETTERS_MM
    parts += _word(words["heading"], x, y, 1.15 * _LETTERS_MM)
    for level, group in sheets.items():
        y += _ROW_MM
        plan = group[0].layer.plan
        parts.append(_path(f'fill="{plan.hex}" stroke="{_INK}" stroke-width="0.15"', ring_data(ellipse((x + 1.6, y - 1.1), 1.6, 1.6))))
        key = "one" if len(group) == 1 else "many"
        parts += _word(words[key].format(number=level + 1, name=plan.name, first=group[0].number, last=group[-1].number), x + 5.0, y, _LETTERS_MM)
    if any(piece.wrong for piece in pieces):
        y += 1.6 * _ROW_MM
        parts += _word(words["way_up"], x, y, 0.85 * _LETTERS_MM)
    parts += _word(words["top"], x, y + _ROW_MM, 0.85 * _LETTERS_MM)
    w, h = f"{page_width:.3f}", f"{page_height:.3f}"
    return "\n".join(['<?xml version="1.0" encoding="UTF-8"?>',
                      f'<svg xmlns="http://www.w3.org/2000/svg" version="1.1" width="{w}mm" height="{h}mm" viewBox="0 0 {w} {h}">',
                      f"<title>{escape(''.join(c for c in title if c.isprintable()))}</title>", *parts, "</svg>", ""])


def _numbers(pieces, mm_per_px):
    """Numbers in their pieces; of small pieces beside their middle, where they do not meet another number."""
    taken, made = [], []
    for piece in sorted(pieces, key=lambda p: -p.room):
        size = float(np.clip(1.1 * piece.room * mm_per_px, _LEAST_MM, _MOST_MM))
        label = f"{piece.number}{'▲' if piece.wrong else ''}"
        reach = 0.42 * size * len(label) + 0.4
        place = np.array(piece.place) * mm_per_px
        for step in range(24):
            turn, away = 2.4 * step, 0.55 * size * step**0.5
            at = place + away * np.array([np.cos(turn), np.sin(turn)])
            if all(np.hypot(*(at - other)) > reach + far for other, far in taken):
                break
        taken.append((at, reach))
        made.append(_path(f'fill="{_PAPER}" fill-opacity="0.82"', ring_data(ellipse(at, reach, 0.75 * size))))
        if np.hypot(*(at - place)) > 0.6 * size:
            line = polygon(np.array([at, place, at + 0.12]))
            made.append(_path(f'fill="none" stroke="{_INK}" stroke-width="0.12"', ring_data(line)))
        made += _word(str(piece.number), at[0] - 0.5 * _wide(str(piece.number)) * size - (0.3 * size if piece.wrong else 0), at[1] + 0.36 * size, size)
        if piece.wrong:  # this side is up
            tip = at + (reach - 0.62 * size, -0.42 * size)
            made.append(_path(f'fill="{_INK}"', ring_data(polygon(tip + size * np.array([(0, 0), (0.28, 0.7), (-0.28, 0.7)])))))
    return made


@lru_cache(maxsize=512)
def _shaped(words):
    return text.shaped(words, _FONT)


def _wide(words):
    return _shaped(words).advance


def _word(words, x, y, size):
    if not words.strip():
        return []
    return [_path(f'fill="{_INK}"', "".join(ring_data(ring * size + (x, y)) for ring in _shaped(words[:text.MAX_LETTERS]).rings))]


def _path(paint, data):
    return f'<path {paint} d="{data}"/>'
