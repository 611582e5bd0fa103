"""What tells pictures apart, as they came and as they are prepared: results are kept by it."""

from dataclasses import dataclass, fields
from hashlib import blake2b

import numpy as np

from sketchloom.core.background.steps import NOTHING
from sketchloom.core.picture.painted import Painted
from sketchloom.core.picture.picture import Picture
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.places import as_prepared


@dataclass(frozen=True, slots=True)
class Keys:
    """Keys of a picture as it came, prepared, and freed of its background."""

    came: tuple
    whole: tuple
    freed: tuple

    @staticmethod
    def of(picture: Picture, recipe: Recipe) -> "Keys":
        came = identity(picture)
        steps = recipe.preparation
        whole = came if steps.is_plain else ("prepared", came, steps)
        background = as_prepared(recipe, picture).background
        return Keys(came, whole, whole if background == NOTHING else ("freed", whole, background))


def identity(picture: Picture) -> tuple:
    """What tells pictures apart: their pixels, and all that came with them (two files of the same pixels may say
    different resolutions). Worked out once."""
    cached = picture.__dict__.get("_identity")
    if cached is None:
        state = blake2b(digest_size=16)
        said_too = []
        for f in fields(picture):
            value = getattr(picture, f.name)
            if isinstance(value, np.ndarray):
                state.update(np.ascontiguousarray(value).data)
                said_too.append(value.shape)
            else:
                said_too.append(value.digest if isinstance(value, Painted) else value)
        cached = picture.__dict__["_identity"] = ("picture", state.hexdigest(), *said_too)
    return cached
