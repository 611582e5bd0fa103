"""Which reading suits a picture: colour, tone, line or photo."""

from sketchloom.core.judge.fitness import Fitness
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment.palette import ColourTree
from sketchloom.core.segment.tone import otsu_threshold
from sketchloom.core.strokes.kind import is_pen_drawing

_THIRD_TONE = 8.2
"""Cost of giving up a third tone below which there are two, between the 7.4 and the 9 told of below."""
_PHOTO_SHADED, _PHOTO_FLAT = 0.3, 0.6
"""A photo has at least the first share of shading and less than the second of flat colour; the pictures of
`loom bench choices` hold both."""


def proposed_reading(picture: Picture, fitness: Fitness, tree: ColourTree) -> str:
    """``photo`` for shading, ``line`` for thin open lines, ``tone`` for ink on paper, else ``colour``.

    Ink on paper has hardly any colour and two tones: merging a third into them loses little
    (uneven paper, 7.4 at most on scans tried), where a drawn grey would be lost dearly (9 and more).
    """
    opaque = 1.0 if picture.alpha is None else max(float((picture.alpha >= 128).mean()), 1e-3)
    shaded = fitness.shaded_share / opaque
    flat = 1 - (1 - fitness.flat_share) / opaque
    colourless = fitness.chroma < 14
    third = float(tree.cost[-2]) if len(tree.cost) > 1 else 0.0
    two_tones = tree.proposed <= 2 or third < _THIRD_TONE
    if shaded > _PHOTO_SHADED and flat < _PHOTO_FLAT and not (colourless and two_tones):
        return "photo"
    if tree.transparent or not (colourless and (two_tones or shaded > 0.2)):
        return "colour"
    return "line" if is_pen_drawing(picture.grey <= otsu_threshold(picture.grey)) else "tone"
