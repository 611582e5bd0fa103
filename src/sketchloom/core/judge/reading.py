"""Which reading suits a picture: colour, tone, line or photo."""

import cv2
import numpy as np

from sketchloom.core.judge.fitness import Fitness
from sketchloom.core.judge.paper import Page, has_lighter_parts, page_of
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment.palette import ColourTree
from sketchloom.core.segment.tone import otsu_threshold
from sketchloom.core.strokes.kind import is_pen_drawing

_THIRD_TONE = 8.2
"""Cost of giving up a third tone below which there are two, between the 7.4 and the 9 told of below."""
_PHOTO_SHADED, _PHOTO_FLAT = 0.3, 0.6
"""A photo has at least the first share of shading and less than the second of flat colour; the pictures of
`loom bench choices` hold both."""

_UNEXPLAINED, _LEAST_SHADED = 0.16, 0.1
"""More than the first share away from edges in none of the palette's colours, and some shading, is a photo: drawings of
`bench/proposals`, shaded ones too, have 0.09 at most; its photo-like pictures 0.56 and more, photographs that come
with a general image library 0.2 and more where they have colour."""
_GREY_SHADED = 0.25
"""A picture without colour that is no ink on paper is a photo with so much shading (chosen on grey photographs that
come with a general image library: 0.3 and 0.56)."""
_GREY_TONES, _GREY_TONES_SHADED = 4, 0.4
"""One whose third tone costs little is a photo as well with so many tones and so much shading (chosen on two grey
photographs of that library: 5 and 7 tones, 0.47 and 0.56; its sheet of text has 3 and 0.17)."""
_VIEW_PX, _EDGE, _OFF = 700, 30, 10
"""Long side of what is looked at; steps of grey that make an edge; steps of 255 within which a colour is explained."""
_NEXT = np.ones((3, 3), np.uint8)


def proposed_reading(picture: Picture, fitness: Fitness, tree: ColourTree) -> str:
    """``photo`` for shading, ``line`` for thin open lines, ``tone`` for ink on paper, else ``colour``.

    Ink on paper has hardly any colour and two tones: merging a third into them loses little
    (uneven paper, 7.4 at most on scans tried), where a drawn grey would be lost dearly (9 and more). Where the light is
    seen for what it is, it does not matter how it fell.
    """
    page = page_of(picture)
    if page is not None:
        return reading_of_page(page)
    colourless = fitness.chroma < 14
    third = float(tree.cost[-2]) if len(tree.cost) > 1 else 0.0
    two_tones = tree.proposed <= 2 or third < _THIRD_TONE
    if _is_photo(picture, fitness, tree, colourless, two_tones):
        return "photo"
    if tree.transparent or not (colourless and two_tones) or has_lighter_parts(picture):
        return "colour"
    return "line" if is_pen_drawing(picture.grey <= otsu_threshold(picture.grey)) else "tone"


def _is_photo(picture, fitness, tree, colourless, two_tones) -> bool:
    opaque = 1.0 if picture.alpha is None else max(float((picture.alpha >= 128).mean()), 1e-3)
    shaded = fitness.shaded_share / opaque
    flat = 1 - (1 - fitness.flat_share) / opaque
    if unexplained_share(picture, tree) > _UNEXPLAINED and shaded > _LEAST_SHADED:
        return True
    if colourless:
        if two_tones:
            return tree.proposed >= _GREY_TONES and shaded > _GREY_TONES_SHADED
        return shaded > _GREY_SHADED
    return shaded > _PHOTO_SHADED and flat < _PHOTO_FLAT


def reading_of_page(page: Page) -> str:
    """``line`` for thin open lines, else ``tone``."""
    return "line" if is_pen_drawing(page.ink) else "tone"


def unexplained_share(picture: Picture, tree: ColourTree) -> float:
    """Share of what lies away from edges that is none of the colours of the picture's palette."""
    view = picture.reduced(_VIEW_PX)
    palette = np.asarray(tree.palette(tree.proposed), np.int16)
    if not len(palette):
        return 1.0
    grey = view.grey
    near_edge = cv2.dilate(
        (cv2.morphologyEx(grey, cv2.MORPH_GRADIENT, _NEXT) > _EDGE).astype(np.uint8), _NEXT).astype(bool)
    looked_at = ~near_edge if view.alpha is None else ~near_edge & (view.alpha >= 250)
    left = view.rgb[looked_at].astype(np.int16).T
    total = left.shape[1]
    for colour in palette:  # the colour of the largest area first: few pixels are left for the others
        off = np.abs(left - colour[:, None]) > _OFF
        left = left[:, off[0] | off[1] | off[2]]
    return left.shape[1] / total if total else 0.0
