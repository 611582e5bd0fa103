"""Libraries that load when something of them is first asked for."""

from importlib import import_module


class _Late:
    def __init__(self, name):
        self._name = name

    def __getattr__(self, wanted):
        found = getattr(import_module(self._name), wanted)
        setattr(self, wanted, found)  # the next time it is at hand
        return found


def late(name: str):
    """A library in the place of its import: the window is there before it is, and whoever opens no picture that needs
    it never waits for it."""
    return _Late(name)
