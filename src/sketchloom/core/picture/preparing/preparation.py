"""What is done to a picture before it is traced, step by step, always from the picture as it came."""

from dataclasses import replace

from sketchloom.core.base.progress import QUIET
from sketchloom.core.base.said import said
from sketchloom.core.picture.picture import Picture
from sketchloom.core.picture.preparing import enlarging, geometry, grain, light, mirroring
from sketchloom.core.picture.preparing.steps import Preparation

MAX_PIXELS = 120_000_000
"""An enlarged picture stays within what a picture may have."""


def prepared_size(picture: Picture, steps: Preparation) -> tuple[int, int]:
    """Width and height in px that a picture will have once prepared."""
    width, height = prepared_px(picture, steps)
    times = _times(steps, width, height)
    return width * times, height * times


def prepared_px(picture: Picture, steps: Preparation) -> tuple[int, int]:
    """The same before it is enlarged."""
    width, height = picture.width, picture.height
    if steps.page is not None:
        width, height = geometry.page_size(steps.page, width, height)
    if steps.turn_deg:
        width, height = geometry.turned_size(width, height, steps.turn_deg)
    if steps.crop is not None:
        x0, y0, x1, y1 = geometry.crop_box(width, height, steps.crop)
        width, height = x1 - x0, y1 - y0
    if steps.room is not None:
        left, top, right, bottom = geometry.room_px(width, height, steps.room)
        width, height = width + left + right, height + top + bottom
    if steps.mirror is not None:
        width, height = mirroring.mirror_frame(width, height, steps.mirror).size
    return width, height


def prepared(picture: Picture, steps: Preparation, *, progress=QUIET) -> Picture:
    """A picture with all steps done, in the order in which they depend on each other.

    The shape first, then the printing screen and the light, then grain, last the enlarging, which
    would enlarge what the others take away; mirroring before that, so that what the filters do is mirrored with the
    rest. Plain steps give the picture itself.

    Raises
    ------
    Cancelled : the caller asked to stop.
    """
    todo = [
        make
        for is_wanted, make in (
            (steps.page is not None, lambda p: geometry.page_flattened(p, steps.page)),
            (steps.turn_deg, lambda p: geometry.turned(p, steps.turn_deg)),
            (steps.crop is not None, lambda p: geometry.cropped(p, steps.crop)),
            (steps.room is not None, lambda p: geometry.with_room(p, steps.room)),
            (steps.descreen, lambda p: replace(p, rgb=grain.descreened(p.rgb))),
            (steps.level_light, lambda p: replace(p, rgb=light.levelled(p.rgb))),
            (steps.denoise, lambda p: replace(p, rgb=grain.denoised(p.rgb, steps.denoise))),
            (steps.lift_pencil, lambda p: replace(p, rgb=light.lifted(p.rgb, steps.lift_pencil))),
            (steps.mirror is not None, lambda p: p if steps.mirror is None else mirroring.mirrored(p, steps.mirror)),
            (
                _times(steps, *prepared_px(picture, steps)) > 1,
                lambda p: enlarging.enlarged(p, _times(steps, p.width, p.height)),
            ),
        )
        if is_wanted
    ]
    for number, make in enumerate(todo):
        progress.step(number, len(todo), said("Preparing the picture"))
        picture = make(picture)
    return picture


def _times(steps, width, height):
    """How many times larger: as often as asked, within what the program opens."""
    times = steps.enlarge
    while times > 1 and width * height * times * times > MAX_PIXELS:
        times -= 1
    return times
