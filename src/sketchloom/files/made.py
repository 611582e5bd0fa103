"""Files that are made when somebody asks for their bytes, and know what they are made of."""

import io
import zipfile
from collections.abc import Callable
from dataclasses import dataclass

from sketchloom.core.drawing.drawing import Drawing
from sketchloom.core.formats.handing import Handing
from sketchloom.core.formats.registry import Format
from sketchloom.core.preflight.findings import Finding


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


@dataclass(frozen=True, slots=True, eq=False)
class Zipped:
    """``files``: names and what makes the bytes of each, packed into one."""

    files: tuple[tuple[str, Callable[[], bytes]], ...]

    def __call__(self) -> bytes:
        stream = io.BytesIO()
        with zipfile.ZipFile(stream, "w", zipfile.ZIP_DEFLATED) as archive:
            for name, make in self.files:
                archive.writestr(zipfile.ZipInfo(name), make(), zipfile.ZIP_DEFLATED)
        return stream.getvalue()


@dataclass(frozen=True, slots=True, eq=False)
class Simulated:
    """A file whose bytes a simulated machine runs; ``told`` says what speaks against what comes out."""

    make: Callable[[], bytes]
    told: Callable[[], tuple[Finding, ...]]

    def __call__(self) -> bytes:
        return self.make()


@dataclass(frozen=True, slots=True, eq=False)
class Reported:
    """``told(found)`` makes a report with what was ``found`` in the files beside it, None where none was read back."""

    told: Callable[[tuple | None], bytes]
    found: tuple | None = None

    def __call__(self) -> bytes:
        return self.told(self.found)
