"""What the actions of ``loom log`` share."""

import sys
from pathlib import Path

from sketchloom.command.exits import DONE, UNWRITABLE, complain
from sketchloom.core.base.errors import AppError


def written(target, data) -> int:
    """Bytes into a file, or to the terminal for ``-``; returns the exit code."""
    from sketchloom.files.writing import write_whole

    if target == "-":
        sys.stdout.write(data.decode())
        return DONE
    try:
        write_whole(Path(target), data)
    except AppError as error:
        return complain(str(error), UNWRITABLE)
    return DONE


def entry_number(word: str) -> int:
    """The number of an entry, as it is typed."""
    from sketchloom.core.base.said import said

    if not word.isdecimal():
        raise AppError(said("{word} must be the number of an entry.", word=word or "nothing"))
    return int(word)
