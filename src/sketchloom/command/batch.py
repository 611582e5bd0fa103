"""``loom batch``: a folder or a list of pictures through one recipe."""

import argparse
import json
import sys
import time
from contextlib import contextmanager
from pathlib import Path

from sketchloom.command.exits import DONE, UNREADABLE, UNWRITABLE, WRONG_WORDS, Parser, complain
from sketchloom.command.trace_words import FORMATS
from sketchloom.core.base.errors import PictureError, SettingError

_LOOK_EVERY_S = 2.0
_MOST_PROCESSES = 64


def parser() -> argparse.ArgumentParser:
    """The parser of all words."""
    p = Parser(prog="loom batch", allow_abbrev=False,
                description="Trace every picture of a folder, or of a list, with one recipe. What is done stays done: "
                            "started again it goes on where it was ended.")
    p.add_argument("place", metavar="FOLDER|LIST.txt")
    p.add_argument("--recipe", metavar="R.json", help="settings, as a project or --write-recipe of trace has them")
    p.add_argument("--out-dir", metavar="DIR", required=True)
    p.add_argument("--format", choices=FORMATS, default="svg")
    p.add_argument("--anyway", action="store_true", help="write pictures though a finding says stop")
    p.add_argument("--processes", type=int, metavar="N", help="default: as many as the machine has cores")
    p.add_argument("--watch", action="store_true", help="go on looking for new pictures until it is ended (Ctrl+C)")
    p.add_argument("--scheduler", metavar="ADDRESS", help="run on the machines of a dask scheduler, as tcp://host:8786")
    p.add_argument("--quiet", action="store_true")
    return p


def run(words) -> int:
    """Do what the words ask for; returns the exit code."""
    options = parser().parse_args(words)
    if options.processes is not None and not 1 <= options.processes <= _MOST_PROCESSES:
        return complain(f"--processes must be a number from 1 to {_MOST_PROCESSES}.", WRONG_WORDS)
    if not Path(options.place).exists():
        return complain(f"{options.place}: is not there.", UNREADABLE)
    try:
        text = _recipe_text(options.recipe)
    except SettingError as error:
        return complain(str(error), WRONG_WORDS)
    except PictureError as error:
        return complain(str(error), UNREADABLE)
    from sketchloom.files.batch import Batch

    try:
        batch = Batch(options.out_dir, text, options.format, options.anyway)
        with _executor(options) as (executor, at_once):
            return _go(batch, options, executor, at_once)
    except ImportError:
        return complain("--scheduler needs the package distributed: pip install distributed", UNREADABLE)
    except OSError as error:
        return complain(f"{options.out_dir}: {error.strerror or error}", UNWRITABLE)


def _recipe_text(path):
    from sketchloom.core.picture.decode import read_bytes
    from sketchloom.recipe.document import Recipe, from_json, to_json

    recipe = Recipe()
    if path is not None:
        try:
            data = json.loads(read_bytes(path).decode("utf-8"))
        except (ValueError, UnicodeDecodeError):
            raise SettingError("--recipe", "a file of settings", path) from None
        recipe = from_json(data)
    return json.dumps(to_json(recipe), sort_keys=True)


@contextmanager
def _executor(options):
    """Where pictures are worked on, and how many at once."""
    import os

    from sketchloom.files.batch import processes

    if options.scheduler is None:
        count = options.processes or os.cpu_count() or 1
        with processes(count) as executor:
            yield executor, count
        return
    from distributed import Client

    with Client(options.scheduler) as client:
        yield client.get_executor(), max(sum(client.nthreads().values()), 1)


def _go(batch, options, executor, at_once):
    from sketchloom.core.formats.atomic import write_whole
    from sketchloom.files.batch import SHEET, contact_sheet, pictures_in

    seen, results, began = set(), {}, time.monotonic()
    try:
        while True:
            paths = [p for p in pictures_in(options.place) if p not in seen]
            for one in batch.run(paths, executor, at_once):
                results[one.file] = one
                _progress(options, one, len(results), len(seen) + len(paths), began)
            seen.update(paths)
            if paths or not results:
                write_whole(batch.folder / SHEET, contact_sheet(batch.folder, results.values()))
            if not options.watch:
                break
            time.sleep(_LOOK_EVERY_S)
    except KeyboardInterrupt:
        executor.shutdown(wait=False, cancel_futures=True)
        sys.stderr.write("\nended; the same words go on from here.\n")
    failed = [one for one in results.values() if one.why]
    if not options.quiet:
        sys.stderr.write(f"{len(results) - len(failed)} done, {len(failed)} failed; {batch.folder / SHEET}\n")
    for one in failed:
        sys.stderr.write(f"  {one.why}\n")
    return UNREADABLE if failed else DONE


def _progress(options, one, count, total, began):
    if options.quiet:
        return
    left = (time.monotonic() - began) / max(count, 1) * (total - count)
    sys.stderr.write(f"{count} of {total}, {left / 60:.1f} minutes left: {Path(one.file).name}"
                     + (" failed" if one.why else "") + "\n")
