"""What the window needs from the system, checked by name."""

import ctypes
import shutil
import sys

_QT = {
    "libEGL.so.1": "libegl1",
    "libGL.so.1": "libgl1",
    "libfontconfig.so.1": "libfontconfig1",
    "libxkbcommon.so.0": "libxkbcommon0",
    "libdbus-1.so.3": "libdbus-1-3",
    "libglib-2.0.so.0": "libglib2.0-0",
}
_X11 = {
    "libX11-xcb.so.1": "libx11-xcb1",
    "libxkbcommon-x11.so.0": "libxkbcommon-x11-0",
    "libxcb-cursor.so.0": "libxcb-cursor0",
    "libxcb-icccm.so.4": "libxcb-icccm4",
    "libxcb-image.so.0": "libxcb-image0",
    "libxcb-keysyms.so.1": "libxcb-keysyms1",
    "libxcb-randr.so.0": "libxcb-randr0",
    "libxcb-render-util.so.0": "libxcb-render-util0",
    "libxcb-shape.so.0": "libxcb-shape0",
    "libxcb-sync.so.1": "libxcb-sync1",
    "libxcb-xfixes.so.0": "libxcb-xfixes0",
    "libxcb-xinerama.so.0": "libxcb-xinerama0",
    "libxcb-xkb.so.1": "libxcb-xkb1",
}
_TESTS = {"Xvfb": "xvfb", "xdotool": "xdotool"}


def missing_packages(purpose: str) -> list[str]:
    """Debian packages that are missing for ``window`` or ``test``, by what can be opened."""
    missing = []
    for library, package in {**_QT, **_X11}.items():
        try:
            ctypes.CDLL(library)
        except OSError:
            missing.append(package)
    if purpose == "test":
        missing += [package for program, package in _TESTS.items() if shutil.which(program) is None]
    return missing


if __name__ == "__main__":
    sys.stdout.write(" ".join(missing_packages(sys.argv[1] if len(sys.argv) > 1 else "window")))
