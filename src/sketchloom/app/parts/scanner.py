"""The simulated scanner's window."""

import io
from pathlib import Path

from PIL import Image
from PySide6.QtCore import Signal
from PySide6.QtWidgets import QDialog, QHBoxLayout, QVBoxLayout

from sketchloom.app import theme
from sketchloom.app.parts.fields import NamedSlider
from sketchloom.app.parts.widgets import button, label
from sketchloom.core.simulate.scanner import Scan, scanned

_DPIS = (100, 150, 200, 300, 400, 600)


class ScannerDialog(QDialog):
    """Lays the open picture on a glass that is not there. ``scan_wanted`` carries the settings."""

    scan_wanted = Signal(object)

    def __init__(self, parent, name: str):
        super().__init__(parent)
        self.setWindowTitle(self.tr("Simulated scanner"))
        self.setMinimumWidth(theme.px(420))
        column = QVBoxLayout(self)
        column.setContentsMargins(18, 16, 18, 16)
        column.setSpacing(10)
        column.addWidget(label(self.tr("Scan “{0}”").format(name), "heading"))
        column.addWidget(label(self.tr(
            "No device is used. The picture is laid on a glass that the program makes up, so that preparing a scan "
            "can be tried. The scan opens as a new work."), "quiet"))
        self._dpi = NamedSlider(self.tr("Resolution"), 0, len(_DPIS) - 1)
        self._width = NamedSlider(self.tr("Width on the glass"), 40, 200)
        self._skew = NamedSlider(self.tr("Laid askew"), -100, 100)
        self._light = NamedSlider(self.tr("Light falls off by"), 0, 40)
        self._dust = NamedSlider(self.tr("Dust on the glass"), 0, 3)
        for slider, value in ((self._dpi, 2), (self._width, 150), (self._skew, 23), (self._light, 18), (self._dust, 1)):
            slider.moved.connect(self._show)
            slider.slider.setValue(value)
            column.addWidget(slider)
        row = QHBoxLayout()
        row.addStretch(1)
        leave, go = button(self.tr("Leave it")), button(self.tr("Scan"), "scan")
        go.setObjectName("primary")
        leave.clicked.connect(self.reject)
        go.clicked.connect(self._go)
        for part in (leave, go):
            row.addWidget(part)
        column.addLayout(row)
        self._show()

    def scan(self) -> Scan:
        return Scan(float(self._width.slider.value()), _DPIS[self._dpi.slider.value()], self._skew.slider.value() / 10,
                    self._light.slider.value() / 100, self._dust.slider.value())

    def _show(self, *_):
        scan = self.scan()
        words = (self.tr("none"), self.tr("a little"), self.tr("some"), self.tr("much"))
        for slider, text in (
            (self._dpi, self.tr("{0} dpi").format(scan.dpi)),
            (self._width, self.tr("{0:.0f} mm").format(scan.width_mm)),
            (self._skew, self.tr("{0:.1f}°").format(scan.skew_deg)),
            (self._light, f"{scan.falloff:.0%}"),
            (self._dust, words[scan.dust]),
        ):
            slider.value_label.setText(text)

    def _go(self):
        self.scan_wanted.emit(self.scan())
        self.accept()


def scan_bytes(picture, scan: Scan) -> tuple[bytes, str]:
    """A scan as the bytes of a PNG, and its name."""
    made = scanned(picture, scan)
    buffer = io.BytesIO()
    Image.fromarray(made.rgb).save(buffer, "PNG", dpi=(made.dpi, made.dpi), compress_level=1)
    return buffer.getvalue(), f"{Path(picture.name).stem} scanned.png"
