"""Work in a process of its own."""

import os
import subprocess
import sys
from pathlib import Path

from sketchloom.core.base.progress import breathe

_BREATH_S = 0.2
"""Less than the half second in which whoever stops the work expects it to end."""
_PASSED_ON = ("PATH", "LD_LIBRARY_PATH", "SYSTEMROOT")


def environment() -> dict[str, str]:
    """What such a process is told of this one's environment."""
    known = {key: value for key, value in os.environ.items() if key in _PASSED_ON}
    return {**known, "PYTHONPATH": str(Path(__file__).resolve().parents[3]), "OPENBLAS_NUM_THREADS": "1",
            "OMP_NUM_THREADS": "1", "PYTHONDONTWRITEBYTECODE": "1"}


def answered(module: str, data: bytes) -> bytes:
    """What a module writes to its standard output when it is run and reads ``data`` from its standard input.

    Raises
    ------
    OSError : no process could be started, or it ended without an answer. Cancelled : the caller asked to stop; the
    process is ended.
    """
    with subprocess.Popen([sys.executable, "-m", module], stdin=subprocess.PIPE, stdout=subprocess.PIPE,
                          stderr=subprocess.DEVNULL, env=environment()) as process:
        try:
            out = _awaited(process, data)
        except BaseException:
            process.kill()
            raise
    if process.returncode:
        raise OSError(f"{module} ended with {process.returncode}")
    return out


def _awaited(process, data):
    left: bytes | None = data
    while True:
        try:
            return process.communicate(left, timeout=_BREATH_S)[0]
        except subprocess.TimeoutExpired:
            left = None  # it goes on being written
            breathe()
