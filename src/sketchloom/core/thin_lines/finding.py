"""Lines too thin for the pixels of a picture, between flat colours: found as what they are, lines of one colour and an
even width, and drawn whole in a finer picture."""

from dataclasses import dataclass, replace

import cv2
import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.colour import srgb_to_lab
from sketchloom.core.base.progress import QUIET
from sketchloom.core.base.said import said
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment.palette import ColourTree, flat_limit
from sketchloom.core.strokes.strokes import Strokes, find_strokes
from sketchloom.core.thin_lines.mixing import Mixed, explained, mixed, owners
from sketchloom.core.thin_lines.network import larger, line_mask
from sketchloom.core.thin_lines.redrawn import redrawn
from sketchloom.core.thin_lines.widths import drawn_lines, typical_width

_LARGEST_PX, _MOST_FINE_PX = 1_700_000, 16_000_000
"""A larger picture shows its lines by its own pixels; and so large is the finer picture at most."""
_FLAT_SHARE = 0.5
"""Less of a picture that is flat is shaded, and has no flat colours to find lines between."""
_MOST_COLOURS = 16
"""More flat colours are shading, or a photograph."""
_FIRST_TIMES = 3
"""So fine lines are looked for."""
_THIN_PX, _THINNEST_PX = 1.8, 0.35
"""Wider lines have pixels of their own colour along them; narrower ones cannot be told from soft edges."""
_TIMES = ((1.4, 2), (0.75, 3), (0.0, 4))
"""How fine a picture is drawn in which the lines are so wide or wider, in pixels: nearly three finer ones."""
_LEAST_RUN = 0.25
"""All thin lines together are as long as this share of the picture's width and height."""
_MOST_UNLIKE = 0.31
"""Lines drawn anew differ from what is seen by no more than this share of them, else they are none: hatching, lettering
and grain (chosen on open drawings in two sizes; 0.07 to 0.31 where lines are lines)."""
_OFF_PX = 0.15
"""How far a line's curve may keep from its middle, in pixels of the picture."""
_SPUR_PX = 0.7
"""What sticks out of a line by less is none of its own."""
_SURE, _SURE_SHARE = 0.1, 0.4
"""A line covers so much of its pixels beyond all that a mixture of its sides may be, along this share of its length;
else it is the soft edge between two shades."""
_WHOLE, _MOST_WHOLE = 0.98, 0.45
"""Lines of two pixels and more cover this share of their pixels wholly."""
_GROUNDS = np.array([[r, g, b] for r in (0, 255) for g in (0, 255) for b in (0, 255)], float)
"""A transparent picture is laid on the one of these that is like none of its colours."""
_DARKEST, _LUMA = 0.03, np.array([0.299, 0.587, 0.114])
"""Share of the pixels that are not flat that a line covers wholly here and there."""
_SAMPLE = 10_000
"""Pixels that tell whether there are thin lines at all."""
_UNTOLD = 34.0
"""A pixel is told by its mixture when so little is left over, in steps of 255."""


@dataclass(frozen=True, slots=True, eq=False)
class ThinLines:
    """Lines found: their ``colour`` (3,), the typical ``width_px`` and the ``length_px`` of all in pixels of the
    picture as it was, and the ``picture`` ``times`` as fine in which they are drawn whole."""

    colour: tuple[int, int, int]
    width_px: float
    length_px: float
    times: int
    picture: Picture


def find_thin_lines(picture: Picture, tree: ColourTree, *, progress=QUIET) -> ThinLines | None:
    """The thin lines of a drawing in flat colours, None where there are hardly any.

    Parameters
    ----------
    tree : of the picture's colours.

    Raises
    ------
    Cancelled : the caller asked to stop.
    """
    if tree.noise > 0 or picture.width * picture.height > _LARGEST_PX:
        return None
    if not 0 < tree.flat <= _MOST_COLOURS or tree.flat_share < _FLAT_SHARE:
        return None
    rgb, colours = _on_ground(picture, np.rint(tree.colours[:tree.flat]))
    label = said("Looking for thin lines")
    progress.step(0, 3, label)
    case = _best_case(tree, rgb, colours, picture.local_range <= flat_limit(tree.noise))
    if case.amount < _LEAST_RUN * _THINNEST_PX * (picture.width + picture.height) or case.whole > _MOST_WHOLE:
        return None
    progress.step(1, 3, label)
    seen = mixed(rgb, case.owner, case.others, case.ink)
    lines = _lines(seen, _FIRST_TIMES)
    length, width = lines.length_px.sum() / _FIRST_TIMES, typical_width(lines) / _FIRST_TIMES
    if length < _LEAST_RUN * (picture.width + picture.height) or width > _THIN_PX:
        return None
    times = next(t for least, t in _TIMES if width >= least)
    while picture.width * picture.height * times * times > _MOST_FINE_PX:
        times -= 1
    progress.step(2, 3, label)
    lines = _scaled(lines, times / _FIRST_TIMES)
    cover = drawn_lines(lines, larger(seen.cover, times), times)
    if _unlike(cover, seen.cover, times) > _MOST_UNLIKE:
        return None
    red, green, blue = (int(c) for c in case.ink)
    return ThinLines((red, green, blue), width, float(length), times,
                     redrawn(picture, seen, case.others, case.ink, cover, times))


def _on_ground(picture, colours):
    """An opaque picture's pixels and its flat colours; a transparent one's on a ground that is like none of them, which
    is then the last."""
    if picture.alpha is None:
        return picture.rgb, colours
    ground = _GROUNDS[np.argmax(((_GROUNDS[:, None] - colours[None]) ** 2).sum(-1).min(1))]
    share = picture.alpha[..., None] / np.float32(255)
    return np.rint(picture.rgb * share + ground * (1 - share)).astype(np.uint8), np.concatenate([colours, ground[None]])


def _unlike(cover, seen, times) -> float:
    """By how much lines as they are drawn differ from what is seen around them, as a share of what they cover."""
    height, width = seen.shape
    coarse = cover.reshape(height, times, width, times).mean((1, 3))
    near = cv2.dilate((coarse > 0).astype(np.uint8), np.ones((5, 5), np.uint8)) > 0
    return float(np.abs(coarse - seen)[near].sum() / max(coarse.sum(), 1e-6))


@dataclass(frozen=True, slots=True, eq=False)
class _Case:
    """A colour that lines may have, ``ink``; the flat colours but it, ``others`` (B, 3), and which pixels are of them,
    ``owner`` (H, W), as of ``Mixed``; which share of the pixels that are not flat it explains, ``told``, how many
    pixels' worth of it there is, ``amount``, and which share of that is in pixels covered wholly, ``whole``; all three
    by a sample."""

    ink: np.ndarray
    others: np.ndarray
    owner: np.ndarray
    told: float
    amount: float
    whole: float


def _best_case(tree, rgb, colours, flat) -> _Case:
    """The colour that explains most; of those that explain as much the darkest, since a paler one is a blend of it."""
    owner = owners(rgb, flat, colours)
    cases = [_case(rgb, colours, owner, ink) for ink in _inks(tree, rgb, flat)]
    return max(cases, key=lambda c: (round(c.told, 2), -float(srgb_to_lab(c.ink[None])[0, 0])))


def _case(rgb, colours, owner, ink) -> _Case:
    other = (colours != ink).any(1)
    table = np.append(np.where(other, np.cumsum(other) - 1, other.sum()), -1).astype(np.int16)
    others, owner = colours[other], table[owner]
    y, x = np.nonzero(owner < 0)
    every = max(1, len(y) // _SAMPLE) | 1
    covered, _, _, _, rest = explained(rgb, owner, others, ink, y[::every], x[::every])
    told = rest < _UNTOLD**2
    covered = covered[told]
    total = float(covered.sum())
    return _Case(ink, others, owner, float(told.mean()) if len(told) else 0.0, total * every,
                 float((covered > _WHOLE).sum()) / max(total, 1e-6))


def _inks(tree, rgb, flat):
    """Colours that thin lines may have: the commonest that nothing flat has, the darkest that areas have, and what the
    darkest pixels beside them have in common, since the commonest is often a blend with what lies beside."""
    areas, thin = tree.colours[:tree.flat], tree.colours[tree.flat:]
    found = [thin[np.argmax(tree.weights[tree.flat:])]] if len(thin) else []
    found.append(areas[np.argmin(srgb_to_lab(areas)[:, 0])])
    edge = rgb[~flat]
    if len(thin) and len(edge):
        grey = edge @ _LUMA
        found.append(np.median(edge[grey <= np.quantile(grey, _DARKEST)], axis=0))
    return [np.rint(c) for c in found]


def _lines(seen: Mixed, times) -> Strokes:
    """The lines that are thin and surely there."""
    cover = larger(np.where(seen.rest < _UNTOLD**2, seen.cover, 0.0), times)
    mask = line_mask(cover, times)
    found = find_strokes(mask, cover, _SPUR_PX * times, tolerance_px=_OFF_PX * times, few=True)
    if not len(found.width_px):
        return found
    thick = found.width_px > 2 * _THIN_PX * times
    keep = ~thick & (found.width_px >= _THINNEST_PX * times) & _sure(found, larger(seen.least, times))
    return _some(found, keep)


def _sure(lines, least):
    """(K,) bool: along how much of each line there is more of its colour than its sides could mix to."""
    segment = ragged.owner(lines.starts)
    t = np.linspace(0.05, 0.95, 9)
    places = evaluate(lines.controls[:, None], t[None])
    x = np.clip(places[..., 0].astype(int), 0, least.shape[1] - 1)
    y = np.clip(places[..., 1].astype(int), 0, least.shape[0] - 1)
    length = np.hypot(*(lines.controls[:, 3] - lines.controls[:, 0]).T) + 1e-6
    share = np.bincount(segment, (least[y, x] > _SURE).mean(1) * length, len(lines.width_px))
    return share >= _SURE_SHARE * np.bincount(segment, length, len(lines.width_px))


def _some(lines, keep) -> Strokes:
    chosen = np.flatnonzero(keep)
    inside, starts = ragged.take(lines.starts, chosen)
    return Strokes(lines.controls[inside], lines.straight[inside], starts, lines.closed[chosen],
                   lines.width_px[chosen], lines.length_px[chosen])


def _scaled(lines, by) -> Strokes:
    return replace(lines, controls=lines.controls * by, width_px=lines.width_px * by, length_px=lines.length_px * by)
