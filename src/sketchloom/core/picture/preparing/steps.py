"""Steps of preparing a picture, as they are kept."""

from dataclasses import dataclass

from sketchloom.core.base import checks, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import Word, check_all

FIRST, SECOND, BOTH = SIDES = ("first", "second", "both")
MAX_ENLARGED = 4
"""Beyond four times an enlarged picture shows nothing new."""
MAX_ROOM = 2.0
"""A page is no more than five times as wide as its picture: more is a slip of the hand (common practice, no source)."""
MAX_STEP = 3
"""Strengths that a step comes in."""
_LEAST_SHARE = 0.01
"""A crop keeps at least a hundredth of each side: less is a slip of the hand (common practice, no source)."""
_LEAST_TURN = 1e-4
"""Corners whose sides turn by less (a product of shares) lie on one line."""


@dataclass(frozen=True, slots=True)
class Mirror:
    """A line through two places, shares of the sides of what the steps before left, and the half that stays.

    The picture is turned so that the line stands upright or lies level, whichever is nearer. ``keep``: the ``first``
    half is the left or the upper one, the ``second`` the other; with ``both`` the regions become the mean of the two.
    """

    x0: float = setting.number(setting.REQUIRED, 0.0, 1.0)
    y0: float = setting.number(setting.REQUIRED, 0.0, 1.0)
    x1: float = setting.number(setting.REQUIRED, 0.0, 1.0)
    y1: float = setting.number(setting.REQUIRED, 0.0, 1.0)
    keep: str = setting.choice(FIRST, SIDES)

    def __post_init__(self):
        check_all(self, "mirror.")
        if (self.x0 - self.x1) ** 2 + (self.y0 - self.y1) ** 2 < 1e-4:
            raise SettingError("mirror", said("a line of some length"), (self.x0, self.y0, self.x1, self.y1))


@dataclass(frozen=True, slots=True)
class Preparation:
    """Steps of preparing; the defaults leave a picture as it is.

    ``page``: four corners of a page seen at a slant, from its upper left clockwise, as shares of the picture's width
    and height. ``turn_deg`` clockwise. ``crop``: left, top, right, bottom as shares of what the steps before left.
    ``room`` beyond it on the left, top, right and bottom, as shares of what is left then.
    """

    page: tuple[tuple[float, float], ...] | None = None
    turn_deg: float = setting.number(0.0, -180, 180, said("Turn"), said("clockwise, in degrees"))
    crop: tuple[float, float, float, float] | None = None
    descreen: bool = setting.switch(
        False, said("Take the screen out"), said("take out the dots of a printed page"), word=Word("--descreen"))
    level_light: bool = setting.switch(
        False, said("Level the light"), said("even out the light of a scan or photo"), word=Word("--level-light"))
    denoise: int = setting.whole(
        0, 0, MAX_STEP, said("Calm grain"), said("take out grain, edges kept"), word=Word("--denoise", "0..3"))
    lift_pencil: int = setting.whole(
        0, 0, MAX_STEP, said("Lift the pencil"), said("pale strokes darker"), word=Word("--lift-pencil", "0..3"))
    enlarge: int = setting.whole(
        1, 1, MAX_ENLARGED, said("Enlarge"), said("a small picture larger, edges kept"), word=Word("--enlarge", "1..4"))
    mirror: Mirror | None = None
    room: tuple[float, float, float, float] | None = None

    def __post_init__(self):
        if self.page is not None:
            _check_page(self.page)
        if self.crop is not None:
            _check_crop(self.crop)
        if self.room is not None and not checks.are_numbers(self.room, 4, 0.0, MAX_ROOM):
            raise SettingError("room", said("four shares between 0 and {most}", most=MAX_ROOM), self.room)
        check_all(self)

    @property
    def is_plain(self) -> bool:
        """Whether nothing is done."""
        return self == PLAIN


def _check_page(page):
    if not isinstance(page, tuple) or len(page) != 4 or not all(checks.are_numbers(p, 2, -1.0, 2.0) for p in page):
        raise SettingError("page", said("four corners as shares of width and height"), page)
    if not is_convex(page):
        raise SettingError("page", said("four corners in turn around a page"), page)


def _check_crop(crop):
    if (
        not checks.are_numbers(crop, 4, 0.0, 1.0)
        or crop[2] - crop[0] < _LEAST_SHARE
        or crop[3] - crop[1] < _LEAST_SHARE
    ):
        raise SettingError("crop", said("left, top, right and bottom between 0 and 1"), crop)


def is_convex(corners) -> bool:
    """Whether four corners go clockwise (y down) around a convex figure of some size."""
    ahead = [(q[0] - p[0], q[1] - p[1]) for p, q in zip(corners, [*corners[1:], corners[0]], strict=False)]
    return all(a[0] * b[1] - a[1] * b[0] > _LEAST_TURN for a, b in zip(ahead, [*ahead[1:], ahead[0]], strict=False))


PLAIN = Preparation()
