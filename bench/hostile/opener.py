"""Opens cases one after the other in a process of its own and prints what became of each, a line a case."""

import json
import resource
import sys
import time

from bench.hostile import cases
from sketchloom.core.base.errors import AppError
from sketchloom.core.sheets.material import from_plain
from sketchloom.files import opening
from sketchloom.files.report import peak_mb
from sketchloom.recipe import presets
from sketchloom.recipe.document import from_json

OPENED, REFUSED, TRACEBACK = "opened", "refused", "traceback"


def open_case(kind: str, name: str, data: bytes) -> str:
    """Opened, refused with a sentence, or how it failed."""
    try:
        if kind in (cases.PICTURE, cases.PROJECT):
            opening.open_bytes(data, name)
        elif kind == cases.PRESETS:
            presets.from_bytes(data, name)
        else:
            try:
                plain = json.loads(data)
            except (ValueError, RecursionError):
                return REFUSED  # as every reader of JSON here says
            from_json(plain) if kind == cases.RECIPE else from_plain(plain)
    except AppError as error:
        return REFUSED if str(error).strip() else f"{TRACEBACK} without a sentence"
    except Exception as error:
        return f"{TRACEBACK} {type(error).__name__}: {str(error)[:120]}"
    return OPENED


def main(words):
    first, last = int(words[0]), int(words[1])
    for number in range(first, last):
        sys.stdout.write(json.dumps({"case": number}) + "\n")
        sys.stdout.flush()
        began = time.perf_counter()
        outcome = open_case(*cases.case(number))
        # of this process, and of the readers it started, KiB as the system counts
        most = max(peak_mb(), resource.getrusage(resource.RUSAGE_CHILDREN).ru_maxrss / 1024)
        sys.stdout.write(json.dumps({"case": number, "outcome": outcome, "s": time.perf_counter() - began,
                                     "mb": most}) + "\n")
        sys.stdout.flush()


if __name__ == "__main__":
    main(sys.argv[1:])
