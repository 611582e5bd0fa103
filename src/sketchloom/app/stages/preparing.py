"""What is done to the picture before it is traced: the lower half of the Source stage."""

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QCheckBox, QVBoxLayout, QWidget

from sketchloom.app.parts.beside import say_beside
from sketchloom.app.parts.fields import LengthEdit, NamedSlider
from sketchloom.app.parts.widgets import button, label, put
from sketchloom.core.base.errors import SettingError
from sketchloom.core.picture.preparing.steps import MAX_ENLARGED, MAX_STEP, PLAIN

_TENTHS = 10
_LARGEST_TURN = 20


class PreparingBox(QWidget):
    """Steps of preparing; each can be taken back by itself. ``change`` gives the new steps."""

    change = Signal(object, str, str)
    crop_wanted = Signal()
    level_wanted = Signal()
    page_wanted = Signal()
    room_wanted = Signal(tuple)

    def __init__(self):
        super().__init__()
        self._steps = PLAIN
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(8)
        self._crop = button(self.tr("Crop…"), "crop", self.tr("Drag a frame around what to keep"))
        self._page = button(self.tr("Page…"), "perspective", self.tr("Mark the four corners of a page seen at a slant"))
        self._line = button(
            self.tr("Level…"), "angle", self.tr("Draw a line along something that should be level or upright")
        )
        self._crop.clicked.connect(self.crop_wanted)
        self._page.clicked.connect(self.page_wanted)
        self._line.clicked.connect(self.level_wanted)
        self._turn = NamedSlider(self.tr("Turn"), -_LARGEST_TURN * _TENTHS, _LARGEST_TURN * _TENTHS)
        self._turn.moved.connect(lambda v: self._emit(self.tr("turn"), "turn", turn_deg=v / _TENTHS))
        self._quarter = button(self.tr("Quarter turn"), "rotate-clockwise", self.tr("Turn by 90 degrees clockwise"))
        self._quarter.clicked.connect(self._turn_quarter)
        self._light = QCheckBox(self.tr("Level the light"))
        self._light.setToolTip(self.tr("Paper equally bright all over and without a cast"))
        self._light.clicked.connect(lambda on: self._emit(self.tr("level light"), level_light=on))
        self._screen = QCheckBox(self.tr("Take out a printing screen"))
        self._screen.setToolTip(self.tr("For printed pages: the dots become the tones they stand for"))
        self._screen.clicked.connect(lambda on: self._emit(self.tr("printing screen"), descreen=on))
        self._grain = NamedSlider(self.tr("Take out grain"), 0, MAX_STEP)
        self._grain.moved.connect(lambda v: self._emit(self.tr("grain"), "grain", denoise=v))
        self._pencil = NamedSlider(self.tr("Lift pale pencil"), 0, MAX_STEP)
        self._pencil.moved.connect(lambda v: self._emit(self.tr("pale pencil"), "pencil", lift_pencil=v))
        self._enlarge = NamedSlider(self.tr("Enlarge a small picture"), 1, MAX_ENLARGED)
        self._enlarge.moved.connect(lambda v: self._emit(self.tr("enlarge"), "enlarge", enlarge=v))
        self._room = [LengthEdit(name, 0.0, 2000.0) for name in (
            self.tr("Room beyond the picture on the left"), self.tr("Room beyond the picture at the top"),
            self.tr("Room beyond the picture on the right"), self.tr("Room beyond the picture at the bottom"))]
        self._room_mm = [0.0] * 4
        for number, field in enumerate(self._room):
            field.committed.connect(lambda mm, n=number: self._take_room(n, mm))
        self._done = label("", "quiet")
        self._reset = button(self.tr("As it came"), "restore", self.tr("Take back every step of preparing"))
        self._reset.clicked.connect(lambda: self.change.emit(PLAIN, self.tr("preparing"), ""))
        put(column, ((self._crop, self._page, self._line), self._turn, (self._quarter,), self._light, self._screen,
                     self._grain, self._pencil, self._enlarge,
                     label(self.tr("Room beyond the picture: left, top, right, bottom"), "quiet"), tuple(self._room),
                     self._done, self._reset))

    def show_steps(self, steps) -> None:
        self._steps = steps
        self._turn.show_value(round(max(-_LARGEST_TURN, min(_LARGEST_TURN, steps.turn_deg)) * _TENTHS),
                              self.tr("{0:.1f}°").format(steps.turn_deg))
        self._light.setChecked(steps.level_light)
        self._screen.setChecked(steps.descreen)
        words = (self.tr("off"), self.tr("a little"), self.tr("more"), self.tr("strongly"))
        self._grain.show_value(steps.denoise, words[steps.denoise])
        self._pencil.show_value(steps.lift_pencil, words[steps.lift_pencil])
        self._enlarge.show_value(steps.enlarge, self.tr("as it is") if steps.enlarge == 1 else f"× {steps.enlarge}")
        kept = []
        if steps.page is not None:
            kept.append(self.tr("page flattened"))
        if steps.crop is not None:
            kept.append(self.tr("cropped"))
        self._done.setText(", ".join(kept).capitalize() + "." if kept else "")
        self._done.setVisible(bool(kept))
        self._reset.setVisible(not steps.is_plain)

    def show_room(self, sides_mm, unit: str) -> None:
        """Room on the left, top, right and bottom."""
        self._room_mm = list(sides_mm)
        for field, mm in zip(self._room, sides_mm, strict=True):
            field.show_value(mm, unit)

    def _take_room(self, number, mm):
        self._room_mm[number] = mm
        self.room_wanted.emit(tuple(self._room_mm))

    def _emit(self, what, gesture="", **changes):
        self.change.emit(replace(self._steps, **changes), what, gesture)

    def _turn_quarter(self):
        turned = (self._steps.turn_deg + 90 + 180) % 360 - 180
        self._emit(self.tr("quarter turn"), turn_deg=turned)

    # -- what tools on the bench give ---------------------------------------------------

    def take_crop(self, shares) -> None:
        """A frame drawn on what is shown: a part of the present crop."""
        x0, y0, x1, y1 = self._steps.crop or (0.0, 0.0, 1.0, 1.0)
        left, top, right, bottom = self._steps.room or (0.0, 0.0, 0.0, 0.0)
        # what is shown has its room; a frame goes on the picture within
        a, c = (min(max(v * (1 + left + right) - left, 0.0), 1.0) for v in shares[::2])
        b, d = (min(max(v * (1 + top + bottom) - top, 0.0), 1.0) for v in shares[1::2])
        wide, high = x1 - x0, y1 - y0
        try:
            self._emit(self.tr("crop"), room=None, crop=(x0 + a * wide, y0 + b * high, x0 + c * wide, y0 + d * high))
        except SettingError:
            say_beside(self._crop, self.tr("Too little of the picture lies in this frame; nothing was changed. Drag it "
                                           "around what to keep."))

    def take_lean(self, degrees) -> None:
        """A line that should be level or upright leans by so much clockwise."""
        self._emit(self.tr("straighten"), turn_deg=round((self._steps.turn_deg - degrees + 180) % 360 - 180, 2))

    def take_page(self, corners) -> None:
        """Corners on the picture as it came; what was turned or cropped before no longer fits."""
        try:
            self._emit(self.tr("page corners"), page=corners, turn_deg=0.0, crop=None)
        except SettingError:
            say_beside(self._page, self.tr("These corners go across each other; nothing was changed. Go round the page "
                                           "from one to the next."))
