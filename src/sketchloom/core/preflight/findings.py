"""Findings: what may go wrong, where, how badly, with codes that stay the same."""

from dataclasses import dataclass

NOTE, WARN, STOP = "note", "warn", "stop"

CODES = {
    "source.small": "the picture has few pixels for the wanted size",
    "source.shaded": "part of the picture is shading rather than flat colour",
    "source.soft": "edges are soft or blurred",
    "source.noise": "compression noise or grain",
    "source.noise_only": "the picture holds no area a person would cut",
    "source.page": "a page lies in the picture at a slant",
    "source.skew": "level and upright lines lean",
    "source.light": "the light is uneven",
    "source.screen": "the dots of a printing screen",
    "source.blocks": "blocks of compression",
    "source.pale": "ink is hardly darker than paper",
    "source.frame": "a frame or page border runs around the picture",
    "source.texture": "paper texture or a watermark",
    "source.double": "outlines are drawn as two strokes side by side",
    "source.decoded": "something had to be assumed while opening the file",
    "trace.small_details": "regions under the smallest detail were given to a neighbour",
    "trace.one_colour": "the whole picture is one colour",
    "trace.colour_unused": "a palette colour has no region left",
    "clean.shape_idle": "a split line or a new course does nothing",
    "clean.edit_lost": "an edit no longer finds its region",
    "layer.thin": "a shape is narrower than the smallest width",
    "layer.point": "a sharp point may lift or tear",
    "layer.small_pieces": "pieces too small to weed or to stick",
    "layer.like_ground": "a layer has the colour of what it is laid on",
    "layer.order_estimated": "the order is good but not proven best",
    "layer.empty": "nothing is left to cut",
    "material.on_its_like": "a material lies on one it does not bond to",
    "material.tool": "the tool must not cut this material",
    "material.shrinks": "several pieces of a shrinking material carried over as one",
    "material.thin": "a shape is narrower than its material bears",
    "material.gap": "two cuts are nearer than their material bears",
    "material.too_high": "the stack is higher than the frame is deep",
    "size.over_carrier": "a layer does not fit the carrier",
}
"""Every code with what it means. Codes are never renamed: scripts rely on them."""


@dataclass(frozen=True, slots=True)
class Finding:
    """One finding. ``x_px``, ``y_px`` in picture coordinates, None when it has no place."""

    code: str
    severity: str
    message: str
    layer: str | None = None
    x_px: float | None = None
    y_px: float | None = None

    def __post_init__(self):
        if self.code not in CODES:
            raise KeyError(self.code)
