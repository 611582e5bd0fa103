"""An SVG that was made here as PNG. Run by itself it reads the one and writes the other."""

import sys

from sketchloom.core.base import apart
from sketchloom.core.base.progress import is_watched

_HERE = "sketchloom.core.formats.rendering"


def rendered(text: bytes) -> bytes:
    """The SVG as PNG. The renderer keeps Python's lock for seconds: where somebody watches, such as a window, it runs
    in a process of its own.

    Raises
    ------
    Cancelled : the caller asked to stop.
    """
    if is_watched():
        try:
            return apart.answered(_HERE, text)
        except OSError:  # no process can be started: late is better than never
            pass
    return _rendered(text)


def _rendered(text):
    import resvg_py

    return bytes(resvg_py.svg_to_bytes(svg_string=text.decode(), skip_system_fonts=True))


if __name__ == "__main__":
    sys.stdout.buffer.write(_rendered(sys.stdin.buffer.read()))
