"""The readings as tiles, each with the work itself read that way."""

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QIcon, QPixmap
from PySide6.QtWidgets import QHBoxLayout, QToolButton, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.words import told
from sketchloom.app.work.aside import TILE, TILES
from sketchloom.recipe.document import SETTINGS
from sketchloom.recipe.sections import READINGS

AUTO = READINGS[0]


class ReadingTiles(QWidget):
    """One is taken, or the choice is left to the program. ``chosen``: the reading."""

    chosen = Signal(str)

    def __init__(self):
        super().__init__()
        self.setAccessibleName(self.tr("Reading"))
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(6)
        texts = dict(zip(READINGS, map(told, SETTINGS["reading"].names), strict=True))
        names = {"colour": self.tr("Colour"), "tone": self.tr("Tone"), "line": self.tr("Line"),
                 "photo": self.tr("Photo")}
        self.said = label("", "quiet")
        self.auto = button(texts[AUTO], "", self.tr("The program chooses from the picture"), checkable=True)
        self.auto.clicked.connect(lambda: self._choose(AUTO))
        head = QHBoxLayout()
        head.addWidget(self.said, 1)
        head.addWidget(self.auto)
        row = QHBoxLayout()
        row.setSpacing(4)
        self.tiles: dict[str, QToolButton] = {}
        for key in TILES:
            made = QToolButton()
            made.setText(names[key])
            made.setToolTip(texts[key])
            made.setAccessibleName(texts[key])
            made.setToolButtonStyle(Qt.ToolButtonStyle.ToolButtonTextUnderIcon)
            made.setIconSize(theme.size(TILE.width(), TILE.height()))
            made.setMinimumSize(theme.size(TILE.width() + 6, TILE.height() + 30))
            made.setCheckable(True)
            made.setObjectName("tile_of_reading")
            made.clicked.connect(lambda _=False, k=key: self._choose(k))
            self.tiles[key] = made
            row.addWidget(made)
        column.addLayout(head)
        column.addLayout(row)
        self._asked, self._shown = AUTO, None

    def _choose(self, key):
        self._show()  # what is asked for is shown once the document has it
        self.chosen.emit(key)

    def show_asked(self, reading: str) -> None:
        """What the document asks for."""
        self._asked = reading
        self._show()

    def show_read(self, reading: str) -> None:
        """How the result was read."""
        self._shown = reading
        self._show()

    def _show(self):
        is_auto = self._asked == AUTO
        self.auto.setChecked(is_auto)
        now = self._shown if is_auto else self._asked
        for key, tile in self.tiles.items():
            tile.setChecked(key == now)
        name = "" if now is None else self.tiles[now].text()
        self.said.setText(self.tr("Chosen for this picture: {0}.").format(name) if is_auto and name
                          else self.tr("How the picture is read"))

    def show_pictures(self, pictures) -> None:
        """The work read each way: an image a reading, None where it cannot be read so."""
        for key, image in pictures.items():
            self.tiles[key].setIcon(QIcon() if image is None else _icon(image))


def _icon(image):
    pixmap = QPixmap.fromImage(image)
    made = QIcon(pixmap)
    made.addPixmap(pixmap, QIcon.Mode.Normal, QIcon.State.On)
    made.addPixmap(pixmap, QIcon.Mode.Disabled)
    return made
