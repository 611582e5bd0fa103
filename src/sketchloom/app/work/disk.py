"""What is written beside the window: no hand waits for a disk, and the program ends only when all of it is there."""

import logging
from concurrent.futures import Future, ThreadPoolExecutor

_WRITER = ThreadPoolExecutor(1, "disk")
_log = logging.getLogger(__name__)


def later(write, *args) -> Future:
    """Call ``write(*args)`` beside the window, after all that was asked for before it."""
    return _WRITER.submit(write, *args)


def quietly(write, *args) -> None:
    """The same for what nobody waits for: what goes wrong stands in the log alone."""
    later(write, *args).add_done_callback(
        lambda done: done.exception() and _log.error("a file of the program's own", exc_info=done.exception()))


def finish() -> None:
    """Wait until all is written."""
    later(int).result()
