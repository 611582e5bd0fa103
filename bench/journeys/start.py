"""How journeys with pictures made by rule begin."""

import tempfile
from pathlib import Path

from PIL import Image

from bench.proposals.conditions import rendered

PX = 900


def opened(person, pixels, name):
    """A picture, opened: the result of that."""
    path = Path(tempfile.mkdtemp()) / f"{name}.png"
    Image.fromarray(pixels).save(path)
    person.driver.open(path)
    person.gestures = 0
    return person.settled()


def svg(body):
    """Elements on white, drawn by a renderer that is not ours."""
    return rendered(f'<rect width="1000" height="1000" fill="#fff"/>{body}', PX)[..., :3].copy()


def hex_at(work, x, y):
    """The colour cut at a place given in shares, None for none."""
    faces = work.traced.planar.faces
    face = faces[int(y * faces.shape[0]), int(x * faces.shape[1])]
    return None if work.ground[face] else work.segmentation.entries[work.edited.label[face]].hex
