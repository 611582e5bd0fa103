"""Work in a process of its own."""

import math
import os
import subprocess
import sys
import threading
import time
from contextlib import suppress
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
    """As ``ended``, with nothing but the answer; raises OSError where the process ended without one, too."""
    code, out = ended(module, data)
    if code:
        raise OSError(f"{module} ended with {code}")
    return out


def ended(module: str, data: bytes, most_s: float = math.inf) -> tuple[int, bytes]:
    """How a module that is run by itself ends, and what it writes to its standard output, when it reads ``data`` from
    its standard input.

    Raises
    ------
    OSError : no process could be started. subprocess.TimeoutExpired : it took more than so many seconds. Cancelled :
    the caller asked to stop. In either case the process is ended.
    """
    # the pipe is written by hand: communicate, called again, forgets what it had not written yet
    reads, writes = os.pipe()
    try:
        process = subprocess.Popen([sys.executable, "-m", module], stdin=reads, stdout=subprocess.PIPE,
                                   stderr=subprocess.DEVNULL, env=environment())
    except BaseException:
        os.close(writes)
        raise
    finally:
        os.close(reads)
    threading.Thread(target=_written, args=(writes, data), daemon=True).start()
    with process:
        try:
            out = _awaited(process, time.monotonic() + most_s)
        except BaseException:
            process.kill()
            raise
    return process.returncode, out


def _written(writes, data):
    with suppress(BrokenPipeError), os.fdopen(writes, "wb", buffering=0) as pipe:
        left = memoryview(data)
        while left:
            left = left[pipe.write(left):]


def _awaited(process, until):
    while True:
        try:
            return process.communicate(timeout=_BREATH_S)[0]
        except subprocess.TimeoutExpired:
            if time.monotonic() > until:
                raise
            breathe()
