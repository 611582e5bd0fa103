"""A file that is made when somebody asks for its bytes, and knows what it is made of."""

from collections.abc import Callable
from dataclasses import dataclass

from sketchloom.core.drawing.drawing import Drawing
from sketchloom.core.formats.handing import Handing
from sketchloom.core.formats.registry import Format


@dataclass(frozen=True, slots=True, eq=False)
class Made:
    """``source``: the drawing, or what makes it."""

    kind: Format
    source: Drawing | Callable[[], Drawing]
    handing: Handing

    def drawing(self) -> Drawing:
        return self.source if isinstance(self.source, Drawing) else self.source()

    def __call__(self) -> bytes:
        return self.kind.write(self.drawing(), self.handing)
