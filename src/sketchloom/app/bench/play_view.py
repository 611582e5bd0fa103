"""Files looked at before they are written: played on a time line, with what the bytes say of themselves."""

from PySide6.QtCore import Qt, QTimer, Signal
from PySide6.QtWidgets import QComboBox, QHBoxLayout, QSlider, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.bench.play_canvas import PlayCanvas
from sketchloom.app.parts.widgets import button, counted, label
from sketchloom.app.words import told
from sketchloom.core.base.units import MM_PER_IN, format_length

_TICK_MS, _STEPS = 33, 2000
_SPEEDS = (1, 5, 20, 100, 500)
_STEP_S = 1.0


class PlayView(QWidget):
    """``closed`` when somebody has seen enough; ``send_wanted``: a look whose file goes to a machine."""

    closed = Signal()
    send_wanted = Signal(object)
    viewed = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self.canvas = PlayCanvas()
        self.files = QComboBox()
        self.files.setAccessibleName(self.tr("File that is shown"))
        self.files.activated.connect(self._show)
        self.send = button(self.tr("Send this file…"), "file-export",
                           self.tr("To a machine on a line of this computer"))
        self.send.clicked.connect(lambda: self._look is not None and self.send_wanted.emit(self._look))
        self.send.hide()
        shut = button(self.tr("Back to the work"), "x")
        shut.clicked.connect(self.closed)
        self._said = label("", "quiet")
        top = QHBoxLayout()
        top.setContentsMargins(8, 6, 8, 2)
        top.setSpacing(10)
        top.addWidget(self.files)
        top.addWidget(self._said, 1)
        top.addWidget(self.send)
        top.addWidget(shut)
        self.play = button("", "play", self.tr("Play (Space)"))
        self.play.setAccessibleName(self.tr("Play"))
        self.play.clicked.connect(self.toggle)
        self.time = QSlider(Qt.Orientation.Horizontal)
        self.time.setRange(0, _STEPS)
        self.time.setAccessibleName(self.tr("Time"))
        self.time.valueChanged.connect(self._moved)
        self.speed = QComboBox()
        self.speed.setAccessibleName(self.tr("Speed"))
        for one in _SPEEDS:
            self.speed.addItem(self.tr("{0} times").format(one), one)
        self.speed.setCurrentIndex(2)
        self._clock = label("", "")
        self._clock.setMinimumWidth(theme.px(230))
        self._controls = QWidget()
        row = QHBoxLayout(self._controls)
        row.setContentsMargins(8, 2, 8, 6)
        for part, stretch in ((self.play, 0), (self.time, 1), (self._clock, 0), (self.speed, 0)):
            row.addWidget(part, stretch)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        column.addLayout(top)
        column.addWidget(self.canvas, 1)
        column.addWidget(self._controls)
        self._looks: tuple = ()
        self._look = None
        self._second = 0.0
        self._timer = QTimer(self, interval=_TICK_MS)
        self._timer.timeout.connect(self._tick)
        self.unit = "mm"

    # -- what is shown ---------------------------------------------------------------------

    def show_looks(self, looks, unit: str) -> None:
        """Looks at files, the first of them at once."""
        self._looks, self.unit, self.canvas.unit = tuple(looks), unit, unit
        self.files.clear()
        for look in self._looks:
            self.files.addItem(look.name)
        self.files.setVisible(len(self._looks) > 0)
        self._show(0)
        self.canvas.setFocus()

    def forget(self) -> None:
        """Nothing is shown any more, and nothing of it can be sent."""
        self._looks = ()
        self.files.clear()
        self._show(0)

    def _show(self, number):
        self._timer.stop()
        self._look = self._looks[number] if number < len(self._looks) else None
        look, film = self._look, None if self._look is None else self._look.film
        self._controls.setVisible(film is not None)
        self.send.setVisible(look is not None and bool(look.sends))
        if look is None:
            self._said.setText(self.tr("There is nothing to look at."))
            self.canvas.show_pages(())
            return
        if film is None:
            pages = counted(len(look.pages), self.tr("1 page"), self.tr("{0} pages"))
            self._said.setText(self.tr("{0} kB, {1}").format(round(look.size / 1000), pages))
            self.canvas.show_pages(look.pages)
            return
        self.canvas.show_film(film, look.told.doubled)
        self._said.setText(self._sentence(look))
        self.go_to(0.0)

    def _sentence(self, look):
        t, parts = look.told, []
        parts.append(self.tr("{0} × {1}, {2} cuts, {3} to cut").format(
            format_length(t.width_mm, self.unit), format_length(t.height_mm, self.unit), t.strokes,
            format_length(t.cut_mm, self.unit, 0)))
        if t.doubled_mm:
            parts.append(self.tr("{0} are cut twice (red)").format(format_length(t.doubled_mm, self.unit, 0)))
        if t.open:
            parts.append(self.tr("{0} cuts stay open").format(t.open))
        if len(look.film.tight):
            parts.append(self.tr("{0} corners may lift (circles)").format(len(look.film.tight)))
        parts += [self.tr("line {0}: {1}").format(line, told(why)) for line, why in look.moves.troubles[:2]]
        return " · ".join(parts)

    # -- playing -----------------------------------------------------------------------------

    @property
    def second(self) -> float:
        return self._second

    @property
    def is_playing(self) -> bool:
        return self._timer.isActive()

    def toggle(self) -> None:
        """Play, or stand still; from the beginning where the end was reached."""
        if self._look is None or self._look.film is None:
            return
        if self.is_playing:
            self._timer.stop()
        else:
            if self._second >= self._look.film.seconds:
                self.go_to(0.0)
            self._timer.start()
        self._show_button()

    def go_to(self, second: float) -> None:
        """Show the state at a time."""
        film = self._look.film
        self._second = min(max(second, 0.0), film.seconds)
        self.canvas.show_second(self._second)
        self.time.blockSignals(True)
        self.time.setValue(round(_STEPS * self._second / max(film.seconds, 1e-9)))
        self.time.blockSignals(False)
        text = self.tr("{0} of {1}").format(_clock(self._second), _clock(film.seconds))
        if self._look.planned_s is not None:
            text += " · " + self.tr("planned {0}").format(_clock(self._look.planned_s))
        self._clock.setText(text)
        self._show_button()

    def _moved(self, value):
        if self._look is not None and self._look.film is not None:
            self.go_to(value / _STEPS * self._look.film.seconds)

    def _tick(self):
        self.go_to(self._second + _TICK_MS / 1000 * self.speed.currentData())
        if self._second >= self._look.film.seconds:
            self._timer.stop()
            self._show_button()

    def _show_button(self):
        name = "pause" if self.is_playing else "play"
        self.play.setIcon(theme.icon(name, "INK"))
        self.play.setAccessibleName(self.tr("Pause") if self.is_playing else self.tr("Play"))

    def keyPressEvent(self, event):
        key = event.key()
        if key == Qt.Key.Key_Space:
            self.toggle()
        elif key in (Qt.Key.Key_Left, Qt.Key.Key_Right) and self._look is not None and self._look.film is not None:
            self.go_to(self._second + (_STEP_S if key == Qt.Key.Key_Right else -_STEP_S))
        elif key == Qt.Key.Key_Escape:
            self.closed.emit()
        else:
            super().keyPressEvent(event)

    @property
    def view(self):
        return self.canvas.view

    # -- what every view in the middle has ----------------------------------------------------

    def fit(self) -> None:
        self.canvas.fit()

    def zoom(self, factor: float, at=None) -> None:
        middle = at or self.canvas.rect().center()
        self.canvas.zoom(factor, middle.x(), middle.y())
        self.viewed.emit()

    def true_size(self) -> None:
        """One millimetre of the bed is one of the screen, as far as the screen tells its size."""
        dots = self.screen().physicalDotsPerInch() if self.screen() else 96.0
        self.zoom(max(dots, 30.0) / MM_PER_IN / self.view.scale)


def _clock(seconds):
    minutes, rest = divmod(round(seconds), 60)
    hours, minutes = divmod(minutes, 60)
    return f"{hours}:{minutes:02d}:{rest:02d}" if hours else f"{minutes}:{rest:02d}"
