"""Several pictures that share one frame become the layers of one work."""

import io
import re
from dataclasses import dataclass

import numpy as np
from PIL import Image

from sketchloom.core.base.colour import ciede2000, srgb_to_lab, to_hex
from sketchloom.core.base.errors import PictureError
from sketchloom.core.base.said import said
from sketchloom.core.picture.picture import Picture
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import LayerEdit, PaletteEntry
from sketchloom.recipe.sections import MAX_COLOURS

_APART = 6.0
"""CIEDE2000 that colours of different layers are told apart by."""
_SOLID = 200
"""Alpha over which a pixel is fully there."""


@dataclass(frozen=True, slots=True, eq=False)
class Composed:
    """A picture of all layers and the recipe that keeps them apart, in their order and with their names."""

    png: bytes
    recipe: Recipe


def composed(pictures, names) -> Composed:
    """Lay pictures over each other, the first lowest, each in one colour of its own.

    Parameters
    ----------
    pictures : list of Picture, all of one size. names : what their layers are to be called.

    Raises
    ------
    PictureError : fewer than two, too many, their sizes differ, or one shows nothing.

    Notes
    -----
    A layer picture is one sheet: it is taken in its main colour. Two of (nearly) one colour are
    told apart by a shade in the picture and keep their own colour for cutting.
    """
    if not 2 <= len(pictures) <= MAX_COLOURS:
        raise PictureError(
            names[0] if names else "layers",
            said(
                "2 to {max_colours} pictures make a work in layers; {count} were given.",
                max_colours=MAX_COLOURS,
                count=len(pictures),
            ),
        )
    first = pictures[0]
    for picture in pictures[1:]:
        if (picture.width, picture.height) != (first.width, first.height):
            raise PictureError(
                picture.name,
                said(
                    "is {width} × {height} px and {name} is {width2} × {height2}; layers share one frame.",
                    width=picture.width,
                    height=picture.height,
                    name=first.name,
                    width2=first.width,
                    height2=first.height,
                ),
                said("Export them with the same canvas."),
            )
    colours: list = []
    shown: list = []
    rgb = np.zeros((first.height, first.width, 3))
    alpha = np.zeros((first.height, first.width, 1))
    for picture in pictures:
        cover, colour = _cover(picture)
        own = _told_apart(colour, shown)
        colours.append(colour)
        shown.append(own)
        rgb = rgb * (1 - cover) + own * cover  # premultiplied
        alpha = alpha * (1 - cover) + cover
    straight = rgb / np.maximum(alpha, 1e-6)
    rgba = np.concatenate([straight, 255 * alpha], -1)
    buffer = io.BytesIO()
    Image.fromarray(np.rint(rgba).clip(0, 255).astype(np.uint8)).save(
        buffer, "PNG", **({} if first.dpi is None else {"dpi": (first.dpi, first.dpi)}))
    keys = [to_hex(c) for c in shown]
    # numbers before the names are there to sort the files
    names = [re.sub(r"^\d+[\s._-]+", "", name) or name for name in names]
    edits = tuple(LayerEdit(key, name=name[:60], hex=None if to_hex(c) == key else to_hex(c))
                  for key, name, c in zip(keys, names, colours, strict=False))
    return Composed(buffer.getvalue(), Recipe(reading="colour", palette=tuple(PaletteEntry((k,)) for k in keys),
                                              order=tuple(keys), layers=edits))


def _cover(picture: Picture):
    """(H, W, 1) how far each pixel is covered, and the main colour of what covers."""
    if picture.alpha is not None:
        solid = picture.rgb[picture.alpha >= _SOLID]
        if len(solid) == 0:
            raise PictureError(
                picture.name, said("is transparent all over."), said("Leave it out, or export it with its shapes.")
            )
        return picture.alpha[..., None] / 255.0, _main(solid)
    edge = np.concatenate([picture.rgb[0], picture.rgb[-1], picture.rgb[:, 0], picture.rgb[:, -1]])
    ground = _main(edge)
    away = np.abs(picture.rgb.astype(int) - ground.astype(int)).max(2)
    drawn = picture.rgb[away > 48]
    if len(drawn) == 0:
        raise PictureError(
            picture.name, said("is one colour all over."), said("Leave it out, or export it with its shapes.")
        )
    colour = _main(drawn)
    line = (colour - ground).astype(float)
    along = ((picture.rgb - ground.astype(float)) @ line) / max(float(line @ line), 1.0)
    # other colours of the same layer cover as well
    return np.where(away > 96, 1.0, np.clip(along, 0, 1))[..., None], colour


def _main(pixels) -> np.ndarray:
    """The commonest colour, to 4 levels, as the median of its pixels."""
    code = (pixels[:, 0].astype(np.int32) >> 2 << 12) | (pixels[:, 1].astype(np.int32) >> 2 << 6) | (pixels[:, 2] >> 2)
    return np.median(pixels[code == np.bincount(code).argmax()], axis=0).astype(np.uint8)


def _told_apart(colour, others) -> np.ndarray:
    """The colour, or the nearest lighter or darker shade that differs from all others."""
    for step in range(0, 400, 6):
        for shade in ((colour.astype(int) + step), (colour.astype(int) - step)):
            shade = shade.clip(0, 255).astype(np.uint8)
            lab = srgb_to_lab(shade)
            if all(ciede2000(lab, srgb_to_lab(o)) >= _APART for o in others):
                return shade
    return colour
