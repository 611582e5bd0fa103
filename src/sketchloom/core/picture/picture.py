"""A decoded picture."""

from dataclasses import dataclass
from functools import cached_property

import cv2
import numpy as np

from sketchloom.core.base.raster import strips
from sketchloom.core.picture.painted import Painted


def frozen_array(array) -> np.ndarray:
    """The array, contiguous and no longer writable."""
    array = np.ascontiguousarray(array)
    array.flags.writeable = False
    return array


@dataclass(frozen=True, eq=False)
class Picture:
    """Pixels in sRGB, upright.

    ``rgb`` (H, W, 3) uint8; ``alpha`` (H, W) uint8, None when every pixel is opaque;
    ``dpi`` as the file states, None when it does not; ``name`` for messages and file names;
    ``notes``: what had to be assumed while decoding, as sentences. ``painted``: of a document that is read as a
    drawing, the areas that it paints.
    """

    rgb: np.ndarray
    alpha: np.ndarray | None = None
    dpi: float | None = None
    name: str = "picture"
    notes: tuple[str, ...] = ()
    painted: Painted | None = None

    @property
    def width(self) -> int:
        return self.rgb.shape[1]

    @property
    def height(self) -> int:
        return self.rgb.shape[0]

    @cached_property
    def field(self) -> np.ndarray:
        """(H, W, 3 or 4) uint8, linear in coverage: colours premultiplied, then alpha.

        In this space an edge pixel between a colour and transparent ground lies on the
        straight line between the two, as it does between two colours.
        """
        if self.alpha is None:
            return self.rgb
        scaled = (self.rgb.astype(np.uint16) * self.alpha[..., None] + 127) // 255
        return frozen_array(np.dstack([scaled.astype(np.uint8), self.alpha]))

    @cached_property
    def grey(self) -> np.ndarray:
        """(H, W) uint8 luma of the picture on white."""
        grey = cv2.cvtColor(self.rgb, cv2.COLOR_RGB2GRAY)
        if self.alpha is None:
            return frozen_array(grey)
        alpha = self.alpha.astype(np.uint16)
        return frozen_array(((grey * alpha + 255 * (255 - alpha) + 127) // 255).astype(np.uint8))

    @cached_property
    def local_range(self) -> np.ndarray:
        """(H, W) uint8: largest change of any channel of the field within 3 x 3 pixels."""
        kernel = np.ones((3, 3), np.uint8)
        largest = np.empty(self.rgb.shape[:2], np.uint8)
        for rows, around in strips(largest.shape, 1):
            field, into = self.field[around], largest[rows]
            inner = slice(rows.start - around.start, rows.stop - around.start)
            spread = cv2.subtract(cv2.dilate(field, kernel), cv2.erode(field, kernel))[inner]
            into[:] = spread[..., 0]
            for channel in range(1, spread.shape[-1]):
                np.maximum(into, spread[..., channel], out=into)
        return frozen_array(largest)

    def reduced(self, longest_px: int) -> "Picture":
        """The picture with its longer side at most ``longest_px``, by area averaging."""
        scale = longest_px / max(self.width, self.height)
        if scale >= 1:
            return self
        size = (max(1, round(self.width * scale)), max(1, round(self.height * scale)))
        rgb = cv2.resize(self.rgb, size, interpolation=cv2.INTER_AREA)
        alpha = None if self.alpha is None else cv2.resize(self.alpha, size, interpolation=cv2.INTER_AREA)
        dpi = None if self.dpi is None else self.dpi * scale
        return Picture(frozen_array(rgb), alpha, dpi, self.name, self.notes)
