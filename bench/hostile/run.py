"""The campaign: ``python -m bench.hostile [files N] [kills N] [disks N] [gestures SECONDS]``, each with its seed."""

import json
import os
import queue
import subprocess
import sys
import threading
from dataclasses import dataclass, field

from bench.hostile import opener
from bench.hostile.cases import ROOT

HANG_S, MOST_MB = 10.0, 1500.0
_BATCH = 250
"""Cases that one process opens: memory that one case takes is seen for the rest of its batch."""


@dataclass(slots=True)
class Outcome:
    """How many cases were opened and refused, and what was wrong, by case."""

    opened: int = 0
    refused: int = 0
    slowest_s: float = 0.0
    most_mb: float = 0.0
    wrong: list[str] = field(default_factory=list)


def files(count: int, first: int = 0) -> Outcome:
    """Open hostile files, two processes at a time."""
    found, batches, lock = Outcome(), queue.Queue(), threading.Lock()
    for begin in range(first, first + count, _BATCH):
        batches.put((begin, min(begin + _BATCH, first + count)))

    def work():
        while True:
            try:
                begin, end = batches.get_nowait()
            except queue.Empty:
                return
            while begin < end:
                begin = _batch(begin, end, found, lock)
    workers = [threading.Thread(target=work) for _ in range(2)]
    for worker in workers:
        worker.start()
    for worker in workers:
        worker.join()
    return found


def _batch(begin, end, found, lock):
    """Open cases until one ends the process; returns the one to go on with."""
    environment = {**os.environ, "PYTHONPATH": os.pathsep.join((str(ROOT / "src"), str(ROOT)))}
    process = subprocess.Popen([sys.executable, "-m", "bench.hostile.opener", str(begin), str(end)],
                               stdout=subprocess.PIPE, stderr=subprocess.DEVNULL, text=True, env=environment, cwd=ROOT)
    at, guard = begin, None
    for line in process.stdout:
        told = json.loads(line)
        if guard is not None:
            guard.cancel()
        if "outcome" not in told:
            at, guard = told["case"], threading.Timer(4 * HANG_S, process.kill)
            guard.start()
            continue
        with lock:
            found.slowest_s, found.most_mb = max(found.slowest_s, told["s"]), max(found.most_mb, told["mb"])
            found.opened += told["outcome"] == opener.OPENED
            found.refused += told["outcome"] == opener.REFUSED
            if told["outcome"] not in (opener.OPENED, opener.REFUSED):
                found.wrong.append(f"case {at}: {told['outcome']}")
            if told["s"] > HANG_S:
                found.wrong.append(f"case {at}: {told['s']:.1f} s")
            if told["mb"] > MOST_MB:
                found.wrong.append(f"case {at}: {told['mb']:.0f} MB")
        at += 1
    if guard is not None:
        guard.cancel()
    if process.wait() != 0:
        with lock:
            found.wrong.append(f"case {at}: ended with {process.returncode}")
        return at + 1
    return end


def main(words) -> int:
    wanted = dict(zip(words[::2], (float(w) for w in words[1::2]), strict=False)) or {
        "files": 10_000, "kills": 200, "disks": 50, "gestures": 3600}
    wrong, out = [], sys.stdout
    if "files" in wanted:
        found = files(int(wanted["files"]))
        wrong += found.wrong
        out.write(f"files: {found.opened} opened, {found.refused} refused, slowest {found.slowest_s:.1f} s, "
                  f"most memory {found.most_mb:.0f} MB, wrong {len(found.wrong)}\n")
    if "kills" in wanted or "disks" in wanted:
        from bench.hostile import kills

        for name, run in (("kills", kills.kills), ("disks", kills.full_disks)):
            if name in wanted:
                lost = run(int(wanted[name]))
                wrong += lost
                out.write(f"{name}: {int(wanted[name])}, wrong {len(lost)}\n")
    if "gestures" in wanted:
        from bench.hostile import gestures

        done = gestures.run(wanted["gestures"], int(wanted.get("seed", 1)))
        wrong += done.errors
        out.write(f"gestures: {done.count} in {done.seconds:.0f} s, errors {len(done.errors)}, longest stall "
                  f"{done.longest_stall_s:.2f} s ({done.longest_at})\n")
        for line in done.stalls:
            out.write(f"  stalled at {line}\n")
    for line in wrong:
        out.write(f"  {line}\n")
    return 1 if wrong else 0
