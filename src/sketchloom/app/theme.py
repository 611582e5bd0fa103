"""The look: a quiet workroom. Linen panels, ink text, natural dyes, one font, one icon set."""

import os
import re
from functools import lru_cache
from importlib.resources import files

from PySide6.QtCore import QByteArray, QSize, Qt
from PySide6.QtGui import QColor, QFont, QFontDatabase, QIcon, QPainter, QPalette, QPixmap
from PySide6.QtSvg import QSvgRenderer
from PySide6.QtWidgets import QApplication

LINEN, LINEN_DEEP, LINEN_LIGHT = "#efe8da", "#e2d8c4", "#f8f4ea"
INK, INK_SOFT = "#26221d", "#5a5145"
FADED = "#857b6b"
"""What cannot be used now; exempt from the contrast that text needs (WCAG 2.2, 1.4.3), yet to be read."""
MADDER, WOAD, WELD, MOSS = "#9c3a30", "#2d5273", "#8a6412", "#41662f"
LINE = "#bfb29a"
"""Between areas."""
EDGE = "#80745b"
"""Of what can be used: 3 to 1 and more on every ground here (WCAG 2.2, 1.4.11)."""
GROUNDS = {"light": "#d9d5cd", "middle": "#8f8b84", "dark": "#33312e"}
CENTRE = Qt.AlignmentFlag.AlignCenter
_FAMILY = "Lato"

_SHEET = f"""
QWidget {{ color: {INK}; }}
QMainWindow, #panel, #rail, #findings {{ background: {LINEN}; }}
QLabel#heading {{ font-size: 17px; font-weight: bold; }}
QLabel#strong {{ font-weight: bold; }}
QLabel#section {{ font-weight: bold; color: {INK}; padding-top: 6px; qproperty-indent: 0; }}
QLabel#heading, QLabel#quiet {{ qproperty-indent: 0; }}
QLabel#quiet {{ color: {INK_SOFT}; }}
QLabel#caution {{ background: {LINEN_LIGHT}; border-left: 4px solid {WELD}; padding: 7px 8px; }}
QLabel#point {{ background: {LINEN_LIGHT}; border-left: 4px solid {LINE}; padding: 7px 8px; }}
QLabel#trouble {{ background: #f3ddd6; border-left: 4px solid {MADDER}; padding: 7px 8px; }}
QLabel#done {{ background: #e3ead6; border-left: 4px solid {MOSS}; padding: 7px 8px; }}
QToolTip {{ background: {LINEN_LIGHT}; color: {INK}; border: 1px solid {LINE}; padding: 4px; }}
QPushButton, QToolButton {{ background: {LINEN_LIGHT}; border: 1px solid {EDGE}; border-radius: 4px;
    padding: 5px 10px; min-height: 20px; }}
QToolButton {{ padding: 4px; }}
QPushButton:hover, QToolButton:hover {{ background: #ffffff; border-color: {WOAD}; }}
QPushButton:pressed, QToolButton:pressed {{ background: {LINEN_DEEP}; }}
QPushButton:checked, QToolButton:checked {{ background: {WOAD}; color: #ffffff; border-color: {WOAD}; }}
QWidget:disabled {{ color: {FADED}; }}
QPushButton:disabled, QToolButton:disabled {{ background: {LINEN}; border-color: {LINEN_DEEP}; }}
QPushButton:checked:disabled, QToolButton:checked:disabled {{ background: #b9b5ab; color: #4d483f;
border-color: #b9b5ab; }}
QPushButton#primary {{ background: {WOAD}; color: #ffffff; border-color: {WOAD}; font-weight: bold; padding: 8px
14px; }} QPushButton#primary:hover {{ background: #3b658a; }}
QPushButton#primary:disabled {{ background: #b9b5ab; color: #4d483f; border-color: #b9b5ab; }}
QPushButton:focus, QToolButton:focus, QLineEdit:focus, QComboBox:focus, QListWidget:focus, QSpinBox:focus,
QSlider:focus, QCheckBox:focus, QRadioButton:focus {{ border: 2px solid {WOAD}; }}
QCheckBox, QRadioButton {{ border: 2px solid transparent; border-radius: 3px; }}
QCheckBox::indicator {{ width: 14px; height: 14px; border: 1px solid {EDGE}; border-radius: 3px; background: #ffffff; }}
QCheckBox::indicator:checked {{ background: {WOAD}; border-color: {WOAD}; image: url(@TICK@); }}
QCheckBox::indicator:disabled {{ background: {LINEN}; border-color: #b9b5ab; }}
QCheckBox::indicator:checked:disabled {{ background: #b9b5ab; }}
QPushButton#primary:focus, QPushButton:checked:focus, QToolButton:checked:focus {{ border: 2px solid #ffffff; }}
QLineEdit, QComboBox, QSpinBox {{ background: #ffffff; border: 1px solid {EDGE}; border-radius: 3px;
    padding: 4px 6px; min-height: 20px; selection-background-color: {WOAD}; selection-color: #ffffff; }}
QLineEdit:disabled, QComboBox:disabled, QSpinBox:disabled, QListWidget:disabled, QTableWidget:disabled {{
background: {LINEN}; border-color: {LINEN_DEEP}; color: {FADED}; }}
QListWidget::item:disabled, QTableWidget::item:disabled {{ color: {FADED}; }}
QLineEdit[wrong="true"] {{ border: 2px solid {MADDER}; }}
QComboBox::drop-down {{ border: 0; width: 24px; }}
QComboBox::down-arrow {{ image: url(@ARROW@); width: 14px; height: 14px; }}
QSpinBox::up-button, QSpinBox::down-button {{ subcontrol-origin: border; width: 22px; border: 0; background:
transparent; }} QSpinBox::up-button {{ subcontrol-position: top right; }}
QSpinBox::down-button {{ subcontrol-position: bottom right; }}
QSpinBox::up-arrow {{ image: url(@UP@); width: 12px; height: 12px; }}
QSpinBox::down-arrow {{ image: url(@ARROW@); width: 12px; height: 12px; }}
#foldhead {{ text-align: left; font-weight: bold; border: 0; border-top: 1px solid {LINE}; border-radius: 0;
background: transparent; padding: 8px 2px 4px 2px; color: {INK}; }}
#foldhead:checked {{ background: transparent; color: {INK}; }}
#foldhead:hover {{ color: {WOAD}; }}
#foldhead:focus {{ border: 2px solid {WOAD}; }}
#variants {{ background: {LINEN}; border-top: 1px solid {LINE}; }}
QTableWidget {{ background: {LINEN_LIGHT}; border: 1px solid {EDGE}; border-radius: 4px; outline: 0; }}
QTableWidget::item {{ padding: 0 4px; border-bottom: 1px solid {LINEN_DEEP}; }}
QTableWidget::item:selected {{ background: #d7e0e6; color: {INK}; }}
QTableWidget:focus {{ border: 2px solid {WOAD}; }}
QTableCornerButton::section {{ background: {LINEN_DEEP}; border: 0; }}
QHeaderView::section {{ background: {LINEN_DEEP}; border: 0; padding: 4px; font-size: 12px; }}
#fold:checked {{ background: {LINEN_LIGHT}; border-color: {EDGE}; color: {INK}; }}
#fold:checked:focus {{ border: 2px solid {WOAD}; }}
QComboBox QAbstractItemView {{ background: #ffffff; selection-background-color: {WOAD}; selection-color: #ffffff; }}
QListWidget {{ background: {LINEN_LIGHT}; border: 1px solid {EDGE}; border-radius: 4px; outline: 0; }}
QListWidget::item {{ border-bottom: 1px solid {LINEN_DEEP}; }}
QListWidget#swatches::item {{ border-bottom: 0; border-radius: 4px; }}
QListWidget#swatches::item:selected {{ background: #9fb6c6; }}
QListWidget::item:selected {{ background: #d7e0e6; color: {INK}; }}
QScrollArea, QScrollArea > QWidget > QWidget {{ background: transparent; border: 0; }}
QScrollBar:vertical {{ background: transparent; width: 10px; }}
QScrollBar::handle:vertical {{ background: {EDGE}; border-radius: 4px; min-height: 30px; }}
QScrollBar:horizontal {{ background: transparent; height: 10px; }}
QScrollBar::handle:horizontal {{ background: {EDGE}; border-radius: 4px; min-width: 30px; }}
QScrollBar::add-line, QScrollBar::sub-line {{ height: 0; width: 0; }}
QSlider::groove:horizontal {{ height: 4px; background: {EDGE}; border-radius: 2px; }}
QSlider::handle:horizontal {{ background: {WOAD}; width: 16px; height: 16px; margin: -6px 0; border-radius: 8px; }}
QSlider::groove:horizontal:disabled {{ background: {LINEN_DEEP}; }}
QSlider::handle:horizontal:disabled {{ background: #b9b5ab; }}
QMenu {{ background: {LINEN_LIGHT}; border: 1px solid {LINE}; }}
QMenu::item {{ padding: 5px 22px; }}
QMenu::item:selected {{ background: {WOAD}; color: #ffffff; }}
QMenuBar {{ background: {LINEN_DEEP}; }}
QMenuBar::item {{ padding: 4px 10px; background: transparent; }}
QMenuBar::item:selected {{ background: {WOAD}; color: #ffffff; }}
QProgressBar {{ background: {LINEN_DEEP}; border: 0; border-radius: 3px; height: 6px; }}
QProgressBar::chunk {{ background: {WOAD}; border-radius: 3px; }}
#rail QToolButton {{ border: 0; border-radius: 6px; background: transparent; padding: 6px 2px; }}
#rail QToolButton:hover {{ background: {LINEN_LIGHT}; }}
#rail QToolButton:checked {{ background: {LINEN_LIGHT}; color: {INK}; border: 1px solid {EDGE}; }}
#rail QToolButton:focus {{ border: 2px solid {WOAD}; }}
#benchbar {{ background: {LINEN}; border-bottom: 1px solid {LINE}; }}
#benchbar QToolButton {{ border: 1px solid transparent; background: transparent; }}
#benchbar QToolButton:hover {{ border-color: {WOAD}; background: #ffffff; }}
#benchbar QToolButton:checked {{ background: #c9d6df; border-color: {WOAD}; }}
#benchbar QToolButton:focus {{ border: 2px solid {WOAD}; }}
#benchbar QToolButton:checked:focus {{ border: 3px solid {INK}; padding: 2px; }}
#benchbar QToolButton:disabled {{ border-color: transparent; background: transparent; }}
#notice_trouble {{ background: #f3ddd6; border-bottom: 1px solid {LINE}; border-left: 5px solid {MADDER}; }}
#notice_done {{ background: #e3ead6; border-bottom: 1px solid {LINE}; border-left: 5px solid {MOSS}; }}
#notice_ask {{ background: #dfe7ec; border-bottom: 1px solid {LINE}; border-left: 5px solid {WOAD}; }}
#welcome {{ background: {LINEN_LIGHT}; }}
#tile {{ background: #ffffff; }}
#link {{ border: 0; background: transparent; color: {WOAD}; text-align: left; }}
#link:hover {{ text-decoration: underline; }}
#link:focus {{ border: 2px solid {WOAD}; }}
#strip {{ background: {LINEN_LIGHT}; border: 1px solid {EDGE}; border-radius: 6px; }}
#strip QToolButton {{ padding: 3px 6px; min-height: 18px; }}
#rowtool {{ padding: 3px 2px; font-size: 12px; }}
#drop {{ background: rgba(45, 82, 115, 200); color: #ffffff; font-size: 24px; border: 3px dashed #ffffff; }}
#findings {{ border-top: 1px solid {LINE}; }}
#panel {{ border-left: 1px solid {LINE}; }}
#nextbar {{ border-top: 1px solid {LINE}; background: {LINEN}; }}
#search {{ background: {LINEN_LIGHT}; border: 2px solid {EDGE}; border-radius: 8px; }}
#rail {{ border-right: 1px solid {LINE}; }}
"""


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
_scale = 1.0


def px(designed: float) -> int:
    """A measure of the design in logical pixels, at the size of text that the user's system has."""
    return round(designed * _scale)


def text_px(designed: float) -> int:
    """A size of text of the design; no smaller than can be read."""
    return max(px(designed), _LEAST_TEXT_PX)


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
    """The sheet at the user's size of text; lines stay as thin as they are."""
    return re.sub(r"(font-size: )?(\d+)px", lambda m: f"{m[1]}{text_px(int(m[2]))}px" if m[1] else (
        m[0] if int(m[2]) <= _LINES_PX else f"{px(int(m[2]))}px"), _SHEET)


_LINES_PX = 5
"""Measures of the design up to this are lines and corners, not room."""


def apply(app: QApplication) -> None:
    """Give an application the shipped font, colours and sheet."""
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
        (QPalette.ColorRole.Window, LINEN), (QPalette.ColorRole.WindowText, INK), (QPalette.ColorRole.Base, "#ffffff"),
        (QPalette.ColorRole.AlternateBase, LINEN_LIGHT), (QPalette.ColorRole.Text, INK),
        (QPalette.ColorRole.Button, LINEN_LIGHT), (QPalette.ColorRole.ButtonText, INK),
        (QPalette.ColorRole.Highlight, WOAD), (QPalette.ColorRole.HighlightedText, "#ffffff"),
        (QPalette.ColorRole.PlaceholderText, INK_SOFT), (QPalette.ColorRole.ToolTipBase, LINEN_LIGHT),
        (QPalette.ColorRole.ToolTipText, INK),
    ):
        palette.setColor(role, QColor(colour))
    app.setPalette(palette)
    arrow = str(files("sketchloom").joinpath("data", "icons", "chevron-down.svg")).replace("\\", "/")
    app.setStyleSheet(_sheet().replace("@ARROW@", arrow).replace(
        "@UP@", arrow.replace("chevron-down", "chevron-up")).replace("@TICK@", arrow.replace("chevron-down", "tick")))
    app.setWindowIcon(icon("stack-2", WOAD))


def _data(*parts) -> bytes:
    return files("sketchloom").joinpath("data", *parts).read_bytes()


@lru_cache(maxsize=256)
def icon(name: str, colour: str = INK, checked: str | None = None) -> QIcon:
    """A shipped icon in one colour; ``checked`` for its colour on a pressed button."""
    made = QIcon(_pixmap(name, colour))
    if checked:
        made.addPixmap(_pixmap(name, checked), QIcon.Mode.Normal, QIcon.State.On)
    return made


def _pixmap(name, colour, size=48):
    text = _data("icons", f"{name}.svg").replace(b"currentColor", colour.encode())
    pixmap = QPixmap(QSize(size, size))
    pixmap.fill(Qt.GlobalColor.transparent)
    painter = QPainter(pixmap)
    QSvgRenderer(QByteArray(text)).render(painter)
    painter.end()
    return pixmap
