"""Files are made, read back from their bytes and held against what they were made of before any of them is written."""

from dataclasses import replace
from functools import partial
from pathlib import Path

from sketchloom.core.base.errors import ExportError, PictureError
from sketchloom.core.base.progress import QUIET
from sketchloom.core.base.said import said
from sketchloom.core.formats.handing import MM
from sketchloom.core.preflight.findings import Finding
from sketchloom.core.sheets.machine import Machine
from sketchloom.desk.preflight import findings_of_file
from sketchloom.desk.rehearsal import Look, looked_at
from sketchloom.files.made import Made, Reported, Simulated, Zipped
from sketchloom.files.release import Outgoing

_MOST_HELD_BYTES = 1 << 28
"""Bytes that wait to be written; beyond that files are made once more, as 2,000 large ones would fill the memory."""


def read_back(files: Outgoing, machine: Machine | None = None, svg_reader: str = MM, *, progress=QUIET
              ) -> tuple[Outgoing, tuple[Finding, ...]]:
    """The same files, with their bytes where they were made already, and what speaks against them.

    Only cut files are read back, and machine code of what is carved is run by a simulated router; papers and pictures
    are left as they are. Reports say what was found.

    Parameters
    ----------
    machine : that runs them, None where none is known. svg_reader : as the recipe has it.

    Raises
    ------
    ExportError : a file cannot be read back, or as what makes it.
    """
    made: Outgoing = []
    found: list[Finding] = []
    held = 0
    for number, (path, make) in enumerate(files):
        progress.step(number, len(files), "")
        if isinstance(make, Zipped):
            inner, its = read_back([(Path(name), one) for name, one in make.files], machine, svg_reader,
                                   progress=progress)
            made.append((path, replace(make, files=tuple((p.name, one) for p, one in inner))))
            found += its
            continue
        if isinstance(make, Simulated):
            found += (one for one in make.told() if one not in found)  # said once of all files of a job
        if not isinstance(make, Made):
            made.append((path, make))
            continue
        data = make()
        found += _found_in(path, data, make, machine, svg_reader)
        held += len(data)
        made.append((path, make if held > _MOST_HELD_BYTES else partial(bytes, data)))
    return [(path, replace(make, found=tuple(found)) if isinstance(make, Reported) else make) for path, make in made
            ], tuple(found)


def _found_in(path, data, make, machine, svg_reader):
    suffix = make.kind.suffix
    try:
        look = looked_at(path.name, suffix, data, machine, plays=False)
    except PictureError as error:
        raise ExportError(path, said("not written: what was made cannot be read back ({why}).", why=error.why)
                          ) from None
    return found_in(look, make, svg_reader)


def found_in(look: Look, make: Made, svg_reader: str) -> tuple[Finding, ...]:
    """What speaks against a file that was looked at, beside what it was made of."""
    suffix = make.kind.suffix
    return findings_of_file(look, make.drawing(), suffix, suffix != ".svg" or svg_reader == MM)
