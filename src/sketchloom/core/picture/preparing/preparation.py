"""What is done to a picture before it is traced, step by step, always from the picture as it came."""

from dataclasses import dataclass, replace

from sketchloom.core.errors import SettingError
from sketchloom.core.picture.picture import Picture
from sketchloom.core.picture.preparing import enlarging, geometry, grain, light, mirroring
from sketchloom.core.picture.preparing.mirroring import Mirror

MAX_ENLARGED = 4
MAX_STEP = 3
MAX_PIXELS = 120_000_000
_LEAST_SHARE = 0.01


@dataclass(frozen=True, slots=True)
class Preparation:
    """Steps of preparing; the defaults leave a picture as it is.

    ``page``: four corners of a page seen at a slant, from its upper left clockwise, as shares of
    the picture's width and height. ``turn_deg`` clockwise. ``crop``: left, top, right, bottom as
    shares of what the steps before left. ``enlarge`` times. ``denoise`` and ``lift_pencil`` in
    steps from 0, not at all, to 3. ``mirror``: one half in place of the other.
    """

    page: tuple[tuple[float, float], ...] | None = None
    turn_deg: float = 0.0
    crop: tuple[float, float, float, float] | None = None
    descreen: bool = False
    level_light: bool = False
    denoise: int = 0
    lift_pencil: int = 0
    enlarge: int = 1
    mirror: Mirror | None = None

    def __post_init__(self):
        if self.page is not None:
            _check_page(self.page)
        if self.crop is not None:
            _check_crop(self.crop)
        if not isinstance(self.turn_deg, (int, float)) or isinstance(self.turn_deg, bool) or not -180 <= self.turn_deg <= 180:
            raise SettingError("turn_deg", "between -180 and 180", self.turn_deg)
        for name, low, high in (("denoise", 0, MAX_STEP), ("lift_pencil", 0, MAX_STEP), ("enlarge", 1, MAX_ENLARGED)):
            value = getattr(self, name)
            if type(value) is not int or not low <= value <= high:
                raise SettingError(name, f"a whole number from {low} to {high}", value)
        for name in ("descreen", "level_light"):
            if type(getattr(self, name)) is not bool:
                raise SettingError(name, "true or false", getattr(self, name))

    @property
    def is_plain(self) -> bool:
        """Whether nothing is done."""
        return self == PLAIN


def _numbers(values, count):
    return isinstance(values, tuple) and len(values) == count and all(
        isinstance(v, (int, float)) and not isinstance(v, bool) and -1.0 <= v <= 2.0 for v in values)


def _check_page(page):
    if not isinstance(page, tuple) or len(page) != 4 or not all(_numbers(p, 2) for p in page):
        raise SettingError("page", "four corners as shares of width and height", page)
    if not geometry.is_convex(page):
        raise SettingError("page", "four corners in turn around a page", page)


def _check_crop(crop):
    if not _numbers(crop, 4) or min(crop) < 0 or max(crop) > 1 or \
            crop[2] - crop[0] < _LEAST_SHARE or crop[3] - crop[1] < _LEAST_SHARE:
        raise SettingError("crop", "left, top, right and bottom between 0 and 1", crop)


PLAIN = Preparation()


def prepared_size(picture: Picture, steps: Preparation) -> tuple[int, int]:
    """Width and height in px that a picture will have once prepared."""
    width, height = picture.width, picture.height
    if steps.page is not None:
        width, height = geometry.page_size(steps.page, width, height)
    if steps.turn_deg:
        width, height = geometry.turned_size(width, height, steps.turn_deg)
    if steps.crop is not None:
        x0, y0, x1, y1 = geometry.crop_box(width, height, steps.crop)
        width, height = x1 - x0, y1 - y0
    if steps.mirror is not None:
        width, height = mirroring.mirror_frame(width, height, steps.mirror).size
    times = _times(steps, width, height)
    return width * times, height * times


def prepared(picture: Picture, steps: Preparation) -> Picture:
    """A picture with all steps done, in the order in which they depend on each other.

    The shape first, then the printing screen and the light, then grain, last the enlarging, which
    would enlarge what the others take away. Plain steps give the picture itself.
    """
    if steps.is_plain:
        return picture
    if steps.page is not None:
        picture = geometry.page_flattened(picture, steps.page)
    if steps.turn_deg:
        picture = geometry.turned(picture, steps.turn_deg)
    if steps.crop is not None:
        picture = geometry.cropped(picture, steps.crop)
    rgb = picture.rgb
    if steps.descreen:
        rgb = grain.descreened(rgb)
    if steps.level_light:
        rgb = light.levelled(rgb)
    if steps.denoise:
        rgb = grain.denoised(rgb, steps.denoise)
    if steps.lift_pencil:
        rgb = light.lifted(rgb, steps.lift_pencil)
    if rgb is not picture.rgb:
        picture = replace(picture, rgb=rgb)
    # last but for the enlarging, so that what the filters do is mirrored with the rest
    if steps.mirror is not None:
        picture = mirroring.mirrored(picture, steps.mirror)
    times = _times(steps, picture.width, picture.height)
    return enlarging.enlarged(picture, times) if times > 1 else picture


def _times(steps, width, height):
    """How many times larger: as often as asked, within what the program opens."""
    times = steps.enlarge
    while times > 1 and width * height * times * times > MAX_PIXELS:
        times -= 1
    return times
