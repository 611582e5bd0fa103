"""The bench's view: which part of the work is seen, how large."""

from dataclasses import dataclass, replace

SMALLEST, LARGEST = 0.02, 4000.0


@dataclass(frozen=True, slots=True)
class View:
    """``scale`` screen pixels per mm; ``x``, ``y`` where the work's origin lies, screen pixels."""

    scale: float = 4.0
    x: float = 0.0
    y: float = 0.0

    def to_mm(self, sx: float, sy: float) -> tuple[float, float]:
        return (sx - self.x) / self.scale, (sy - self.y) / self.scale

    def to_screen(self, mx: float, my: float) -> tuple[float, float]:
        return mx * self.scale + self.x, my * self.scale + self.y

    def moved(self, dx: float, dy: float) -> "View":
        return replace(self, x=self.x + dx, y=self.y + dy)

    def on_pixels(self) -> "View":
        """The same with its origin on a whole pixel, so that tiles lie on the screen's own."""
        return replace(self, x=float(round(self.x)), y=float(round(self.y)))

    def zoomed(self, factor: float, sx: float, sy: float) -> "View":
        """Larger or smaller by a factor with the point under (sx, sy) at rest."""
        scale = min(max(self.scale * factor, SMALLEST), LARGEST)
        mx, my = self.to_mm(sx, sy)
        return View(scale, sx - mx * scale, sy - my * scale)

    @staticmethod
    def fitting(width_mm, height_mm, left, top, width, height, margin=26.0) -> "View":
        """All of a work in the middle of an area of the screen."""
        scale = min((width - 2 * margin) / max(width_mm, 1e-6), (height - 2 * margin) / max(height_mm, 1e-6))
        scale = min(max(scale, SMALLEST), LARGEST)
        return View(scale, left + (width - width_mm * scale) / 2, top + (height - height_mm * scale) / 2)


def ruler_step(scale: float, unit_mm: float, least_px: float = 64.0) -> float:
    """Distance of labelled ruler marks in the unit, so that labels have room."""
    for step in _STEPS if unit_mm < 20 else _INCH_STEPS:
        if step * unit_mm * scale >= least_px:
            return step
    return 5000.0


_STEPS = (0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000)
_INCH_STEPS = (0.0625, 0.125, 0.25, 0.5, 1, 2, 5, 10, 20, 50, 100)
