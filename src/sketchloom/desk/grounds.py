"""The ground behind the work on which it is seen best."""

from sketchloom.core.base.colour import from_hex
from sketchloom.evaluate.work import Work

_ENOUGH = 7.0
"""A contrast above it tells nothing better apart (WCAG 2.2, 1.4.6 asks for no more)."""
_BETTER = 0.9
"""The first ground is left only for one on which the work is seen clearly better, so that it does not flicker."""


def luminance(hex_colour: str) -> float:
    """Relative luminance of a colour (WCAG 2.2, definition of it)."""
    parts = [v / 255 for v in from_hex(hex_colour)]
    red, green, blue = (v / 12.92 if v <= 0.04045 else ((v + 0.055) / 1.055) ** 2.4 for v in parts)
    return 0.2126 * red + 0.7152 * green + 0.0722 * blue


def contrast(a: str, b: str) -> float:
    """Contrast of two colours, 1 to 21 (WCAG 2.2)."""
    low, high = sorted((luminance(a), luminance(b)))
    return (high + 0.05) / (low + 0.05)


def best_ground(work: Work, grounds: dict[str, str]) -> str:
    """The name of the ground, of some (name: colour), on which the sheets of a work stand out: the least mean of one
    over their contrasts, so that a sheet that would vanish counts most."""
    area = {layer.plan.hex: 0.0 for layer in work.layers}
    for layer in work.layers:
        area[layer.plan.hex] += max(layer.area_mm2, 1e-9)
    whole = sum(area.values())

    def vanishing(ground):
        return sum(share / whole / min(contrast(hex_colour, ground), _ENOUGH) for hex_colour, share in area.items())
    names = list(grounds)
    if not area:
        return names[0]
    best = min(names, key=lambda name: vanishing(grounds[name]))
    return best if vanishing(grounds[best]) < _BETTER * vanishing(grounds[names[0]]) else names[0]
