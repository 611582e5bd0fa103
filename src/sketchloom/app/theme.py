"""The look: a quiet workroom. Linen panels, ink text, natural dyes, one font, one icon set."""

import os
import re
from functools import lru_cache
from importlib.resources import files

from PySide6.QtCore import QByteArray, QSettings, QSize, Qt
from PySide6.QtGui import QColor, QFont, QFontDatabase, QIcon, QPainter, QPalette, QPixmap
from PySide6.QtSvg import QSvgRenderer
from PySide6.QtWidgets import QApplication

_LIGHT = {
    "LINEN": "#efe8da", "LINEN_DEEP": "#e2d8c4", "LINEN_LIGHT": "#f8f4ea", "INK": "#26221d", "INK_SOFT": "#5a5145",
    "FADED": "#857b6b", "MADDER": "#9c3a30", "WOAD": "#2d5273", "WELD": "#8a6412", "MOSS": "#41662f",
    "LINE": "#bfb29a", "EDGE": "#80745b", "FIELD": "#ffffff", "ON_WOAD": "#ffffff", "WOAD_HOVER": "#3b658a",
    "CHOSEN": "#d7e0e6", "CHOSEN_DEEP": "#9fb6c6", "OFF": "#b9b5ab", "ON_OFF": "#4d483f", "TROUBLE": "#f3ddd6",
    "DONE": "#e3ead6", "ASK": "#dfe7ec",
}
_DARK = {
    "LINEN": "#2d2a26", "LINEN_DEEP": "#24211e", "LINEN_LIGHT": "#383430", "INK": "#f1eadc", "INK_SOFT": "#c8beac",
    "FADED": "#948a7a", "MADDER": "#e89a8d", "WOAD": "#9cc3e2", "WELD": "#dfb962", "MOSS": "#a9cb90",
    "LINE": "#4e4942", "EDGE": "#9a8f7b", "FIELD": "#1f1d1a", "ON_WOAD": "#14222e", "WOAD_HOVER": "#b8d5ec",
    "CHOSEN": "#3d4f5d", "CHOSEN_DEEP": "#4f687b", "OFF": "#4b4741", "ON_OFF": "#a59c8d", "TROUBLE": "#4a2f2a",
    "DONE": "#333d2b", "ASK": "#2f3b44",
}
"""The same cloth by lamplight: each name has the contrast there that it has by day (computed in the tests)."""
SCHEMES = {"light": _LIGHT, "dark": _DARK}
LINEN, LINEN_DEEP, LINEN_LIGHT = _LIGHT["LINEN"], _LIGHT["LINEN_DEEP"], _LIGHT["LINEN_LIGHT"]
INK, INK_SOFT = _LIGHT["INK"], _LIGHT["INK_SOFT"]
FADED = _LIGHT["FADED"]
"""What cannot be used now; exempt from the contrast that text needs (WCAG 2.2, 1.4.3), yet to be read."""
MADDER, WOAD, WELD, MOSS = _LIGHT["MADDER"], _LIGHT["WOAD"], _LIGHT["WELD"], _LIGHT["MOSS"]
LINE = _LIGHT["LINE"]
"""Between areas."""
EDGE = _LIGHT["EDGE"]
"""Of what can be used: 3 to 1 and more on every ground here (WCAG 2.2, 1.4.11)."""
ON_WOAD = _LIGHT["ON_WOAD"]
"""Text and marks on what is pressed, chosen or first."""
GROUNDS = {"middle": "#8f8b84", "light": "#d9d5cd", "dark": "#33312e"}
"""Behind the work; the first is the usual one."""
CENTRE = Qt.AlignmentFlag.AlignCenter
_FAMILY = "Lato"


DESIGN_PX = 14
"""Size of text that all measures of the window are drawn for."""
USUAL_PT = 10.5
"""The same in points, on a screen of 96 dots an inch."""
LEAST_PT, MOST_PT = 9.0, 16.0
"""Sizes of the system's font that the window follows."""
FONT_VARIABLE = "SKETCHLOOM_FONT_PT"
"""Where it is set, the size of text in points, whatever the system says."""
_LEAST_TEXT_PX = 10
"""The smallest text that the shipped font is still read in (looked at)."""
SCHEME_VARIABLE = "SKETCHLOOM_SCHEME"
"""Where it is set, ``light`` or ``dark``, whatever the desktop and the preferences say."""
SCHEME_KEY = "scheme"
"""Where the preferences keep it."""
_scale = 1.0
scheme = "light"
"""The scheme in force; colours of this module are read when they are used, not when a module is loaded."""


def px(designed: float) -> int:
    """A measure of the design in logical pixels, at the size of text that the user's system has."""
    return round(designed * _scale)


def text_px(designed: float) -> int:
    """A size of text of the design; no smaller than can be read."""
    return max(px(designed), _LEAST_TEXT_PX)


def is_large() -> bool:
    """Whether text is so large that what lies side by side has not room on the smallest window."""
    return _scale > _LARGE_SCALE


_LARGE_SCALE = 1.25


def size(width: float, height: float) -> QSize:
    """A size of the design at the user's size of text."""
    return QSize(px(width), px(height))


def _follow_font(app: QApplication) -> None:
    """The size of text of the user's system: points, at the dots an inch that it says the screen has."""
    global _scale
    try:
        points = float(os.environ.get(FONT_VARIABLE, "") or app.font().pointSizeF())
    except ValueError:
        points = app.font().pointSizeF()
    if not LEAST_PT <= points <= MOST_PT:  # also where it is told in pixels, which gives -1
        points = max(LEAST_PT, min(points, MOST_PT))
    _scale = points / 72 * app.primaryScreen().logicalDotsPerInch() / DESIGN_PX


def _sheet() -> str:
    """The sheet in the scheme's colours at the user's size of text; lines stay as thin as they are."""
    known = SCHEMES[scheme] | {name: _picture(shown) for name, shown in _PICTURES.items()}
    sheet = re.sub(r"@(\w+)@", lambda m: known[m[1]], _data("styles", "window.qss").decode())
    return re.sub(r"(font-size: )?(\d+)px", lambda m: f"{m[1]}{text_px(int(m[2]))}px" if m[1] else (
        m[0] if int(m[2]) <= _LINES_PX else f"{px(int(m[2]))}px"), sheet)


_PICTURES = {"ARROW": "chevron-down", "UP": "chevron-up", "TICK": "tick"}
"""What the sheet names its pictures, and what they are."""
_LINES_PX = 5
"""Measures of the design up to this are lines and corners, not room."""


def use(name: str) -> None:
    """Take up a scheme's colours."""
    globals().update(SCHEMES[name], scheme=name)


def wanted_scheme(app: QApplication) -> str:
    """The scheme asked for: by the environment, by the preferences, else the desktop's wish."""
    for asked in (os.environ.get(SCHEME_VARIABLE, ""), str(QSettings().value(SCHEME_KEY, ""))):
        if asked in SCHEMES:
            return asked
    return "dark" if app.styleHints().colorScheme() == Qt.ColorScheme.Dark else "light"


def apply(app: QApplication) -> None:
    """Give an application the shipped font, colours and sheet."""
    use(wanted_scheme(app))
    if app.property("themed") is None:  # else the font is ours already
        _follow_font(app)
        app.setProperty("themed", True)
    for name in ("Lato-Regular.ttf", "Lato-Bold.ttf"):
        QFontDatabase.addApplicationFontFromData(QByteArray(_data("fonts", name)))
    font = QFont(_FAMILY)
    font.setPixelSize(text_px(DESIGN_PX))
    app.setFont(font)
    palette = QPalette()
    for role, colour in (
        (QPalette.ColorRole.Window, LINEN), (QPalette.ColorRole.WindowText, INK),
        (QPalette.ColorRole.Base, SCHEMES[scheme]["FIELD"]),
        (QPalette.ColorRole.AlternateBase, LINEN_LIGHT), (QPalette.ColorRole.Text, INK),
        (QPalette.ColorRole.Button, LINEN_LIGHT), (QPalette.ColorRole.ButtonText, INK),
        (QPalette.ColorRole.Highlight, WOAD), (QPalette.ColorRole.HighlightedText, ON_WOAD),
        (QPalette.ColorRole.PlaceholderText, INK_SOFT), (QPalette.ColorRole.ToolTipBase, LINEN_LIGHT),
        (QPalette.ColorRole.ToolTipText, INK),
    ):
        palette.setColor(role, QColor(colour))
    # in the palette, not the sheet: a rule for every part sets the palette of each
    for role in (QPalette.ColorRole.WindowText, QPalette.ColorRole.Text, QPalette.ColorRole.ButtonText):
        palette.setColor(QPalette.ColorGroup.Disabled, role, QColor(FADED))
    app.setPalette(palette)
    app.setStyleSheet(_sheet())
    app.setWindowIcon(icon("stack-2", "WOAD"))


def follow(app: QApplication) -> None:
    """Take up the scheme that is asked for now, in all windows at once."""
    if wanted_scheme(app) != scheme:
        apply(app)
        renew_icons()
        for part in app.allWidgets():
            if hasattr(part, "renew_look"):
                part.renew_look()
            part.update()


def _picture(name):
    """A picture that the sheet names; by lamplight in another colour, which a sheet cannot say."""
    name = f"{name}-lamp" if scheme == "dark" else name
    return str(files("sketchloom").joinpath("data", "icons", f"{name}.svg")).replace("\\", "/")


def _data(*parts) -> bytes:
    return files("sketchloom").joinpath("data", *parts).read_bytes()


def icon(name: str, colour: str = "INK", checked: str | None = None) -> QIcon:
    """A shipped icon in one colour, by the name it has in the schemes or by itself; ``checked`` for its colour on a
    pressed button."""
    made = _icon(name, colour, checked, scheme)
    _icons[made.cacheKey()] = name, colour, checked
    return made


_icons: dict[int, tuple] = {}
"""How each icon was asked for, so that it can be made anew in another scheme."""


def mark(label, name: str, colour: str, designed: int = 18) -> None:
    """Show an icon on a label."""
    label.setProperty(_MARK, (name, colour, designed))
    label.setPixmap(icon(name, colour).pixmap(size(designed, designed)))


_MARK = "mark"


def renew_icons() -> None:
    """Give everything that shows an icon of ours the same in the scheme that is in force."""
    for part in QApplication.allWidgets():
        if part.property(_MARK) is not None:
            mark(part, *part.property(_MARK))
        for shows in (part, *part.actions()):
            asked = _icons.get(shows.icon().cacheKey()) if hasattr(shows, "setIcon") else None
            if asked is not None:
                shows.setIcon(icon(*asked))


@lru_cache(maxsize=512)
def _icon(name, colour, checked, of_scheme):
    colours = SCHEMES[of_scheme]
    made = QIcon(_pixmap(name, colours.get(colour, colour)))
    if checked:
        made.addPixmap(_pixmap(name, colours.get(checked, checked)), QIcon.Mode.Normal, QIcon.State.On)
    return made


def _pixmap(name, colour, size=48):
    text = _data("icons", f"{name}.svg").replace(b"currentColor", colour.encode())
    pixmap = QPixmap(QSize(size, size))
    pixmap.fill(Qt.GlobalColor.transparent)
    painter = QPainter(pixmap)
    QSvgRenderer(QByteArray(text)).render(painter)
    painter.end()
    return pixmap
