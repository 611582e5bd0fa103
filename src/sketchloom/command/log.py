"""``loom log``: what the logbook keeps, told, added to, taken in and out, and what it says of the next try."""

import argparse
import json
import sys

from sketchloom.command.exits import DONE, UNREADABLE, UNWRITABLE, WRONG_WORDS, Parser, complain
from sketchloom.command.log_parts import entry_number, written
from sketchloom.core.base.errors import AppError

_TABLES = ("jobs", "tests", "pieces", "stock", "batches", "machines", "blades", "approvals")
_ACTS = ("add", "change", "remove", "import", "export", "next", "rates", "ran", "save")
_MOST_LINES = 40


def parser() -> argparse.ArgumentParser:
    """The parser of all words."""
    p = Parser(prog="loom log", allow_abbrev=False, description=(
        "What the logbook keeps: jobs, test cuts, stock, batches of materials, tools, approvals. It lies in the user's "
        "data folder."))
    p.add_argument("what", choices=(*_TABLES, *_ACTS),
                   help="a table to tell; add TABLE FIELD=VALUE ...; change TABLE ENTRY FIELD=VALUE ...; remove TABLE "
                        "ENTRY ...; import FILE.json, or import TABLE FILE.csv; export FILE.json; next FAMILY MATERIAL "
                        "for the next try of a test cut; rates fitted to the jobs, or to those of one MACHINE; ran "
                        "ENTRY STATE (running, done, failed, planned) what became of a job, with the stock it takes; "
                        "save FILE, what can be read of a damaged logbook")
    p.add_argument("words", nargs="*", metavar="WORD", help="as above")
    p.add_argument("--search", default="", metavar="WORDS", help="only what has all of these words in it")
    p.add_argument("--csv", metavar="FILE", help="the table as CSV; - for the terminal")
    p.add_argument("--json", action="store_true", help="plain data")
    p.add_argument("--book", metavar="FILE", help="another logbook than the user's own")
    p.add_argument("--ladder", metavar="FILE", help="beside next: the cut file of a piece with several stars, numbered")
    p.add_argument("--minutes", type=float, default=0.0, metavar="N", help="beside ran ENTRY done: how long it took")
    p.add_argument("--machine", default="", metavar="NAME", help="beside next: only tries on this machine count")
    p.add_argument("--take", action="store_true", help="beside rates MACHINE: plans take them from now on")
    return p


def run(words) -> int:
    """Do what the words ask for; returns the exit code."""
    options = parser().parse_args(words)
    from sketchloom.core.logbook.book_file import LogbookError
    from sketchloom.core.logbook.store import Logbook
    from sketchloom.files.writing import data_folder

    try:
        with Logbook(options.book or data_folder() / "logbook.db") as book:
            if book.note:
                sys.stderr.write(f"loom: {book.note}\n")
            try:
                return _done(book, options)
            except LogbookError as error:
                return complain(str(error), UNWRITABLE)
            except AppError as error:
                return complain(str(error), WRONG_WORDS)
    except AppError as error:
        return complain(str(error), UNREADABLE)


def _done(book, options):
    from sketchloom.command import log_work

    what = options.what
    if what in _TABLES:
        return _tell(book, options)
    return {"add": _add, "change": _change, "remove": _remove, "import": _import, "export": _export,
            "next": log_work.next_try, "rates": log_work.rates_fitted, "ran": log_work.job_ran, "save": _save}[what](
                book, options)


def _kind(name):
    from sketchloom.core.base.said import said
    from sketchloom.core.logbook.records import KINDS

    if name not in KINDS:
        raise AppError(said("The table must be one of {names}; got {got}.", names=", ".join(KINDS), got=name or "none"))
    return KINDS[name]


def _tell(book, options):
    from sketchloom.core.base import plain
    from sketchloom.core.logbook.exchange import to_csv

    kind = _kind(options.what)
    if options.csv:
        data = to_csv(kind, book.all(kind, options.search, newest_first=False))
        return written(options.csv, data)
    if options.json:
        found = [{"entry": k.number} | plain.to_plain(k.one) for k in book.all(kind, options.search)]
        sys.stdout.write(json.dumps(found, indent=2, ensure_ascii=False) + "\n")
        return DONE
    count = book.count(kind, options.search)
    for kept in book.all(kind, options.search, limit=_MOST_LINES):
        sys.stdout.write(_line(kept) + "\n")
    if count > _MOST_LINES:
        sys.stdout.write(f"and {count - _MOST_LINES} more; --csv or --json tells all\n")
    elif not count:
        sys.stdout.write("nothing yet\n")
    return DONE


def _line(kept):
    from sketchloom.core.base.setting import settings_of
    from sketchloom.core.logbook.records import UNSAID

    told = []
    for one in settings_of(type(kept.one)):
        value = getattr(kept.one, one.name)
        if value in ("", 0, 0.0, one.default) or one.name in UNSAID or one.name == "at":
            continue
        told.append(f"{one.name} {value:g}" if isinstance(value, float) else
                    value if isinstance(value, str) else f"{one.name} {value}")
    when = getattr(kept.one, "at", "")
    return f"{kept.number:>6}  {when[:16]:<16}  " + ", ".join(told)


def _values(kind, words):
    """Fields and their values of words such as ``force=80``."""
    from sketchloom.core.base.said import said
    from sketchloom.core.base.setting import LENGTH, NUMBER, WHOLE, settings_of
    from sketchloom.core.base.units import parse_length_mm

    its = {one.name: one for one in settings_of(kind)}
    made = {}
    for word in words:
        name, sign, text = word.partition("=")
        if not sign or name not in its:
            raise AppError(said("{word} must be a field and its value, such as {example}; fields: {names}.", word=word,
                                example=f"{next(iter(its))}=…", names=", ".join(its)))
        one = its[name]
        try:
            made[name] = (parse_length_mm(text, or_zero=True) if one.kind == LENGTH else int(text) if one.kind == WHOLE
                          else float(text.replace(",", ".")) if one.kind == NUMBER else text)
        except ValueError as error:
            if isinstance(error, AppError):
                raise
            raise AppError(said("{name} must be a number; got {text}.", name=name, text=text)) from None
    return made


def _add(book, options):
    from dataclasses import MISSING, fields

    from sketchloom.core.base.said import said
    from sketchloom.core.logbook.records import columns, now

    kind = _kind(options.words[0] if options.words else "")
    given = _values(kind, options.words[1:])
    missing = [f.name for f in fields(kind) if f.default is MISSING and f.name not in given]
    if missing:
        raise AppError(said("These are needed as well: {names}.", names=", ".join(f"{name}=…" for name in missing)))
    if "at" in columns(kind):
        given.setdefault("at", now())
    (number,) = book.add(kind(**given))
    sys.stdout.write(f"{options.words[0]}: entry {number}\n")
    return DONE


def _change(book, options):
    from dataclasses import replace

    from sketchloom.core.base.said import said

    table, number, *rest = [*options.words, "", ""][:max(len(options.words), 2)]
    kind, entry = _kind(table), entry_number(number)
    kept = book.one(kind, entry)
    if kept is None:
        raise AppError(said("Entry {number} is not there.", number=entry))
    book.change(entry, replace(kept.one, **_values(kind, rest)))
    return DONE


def _remove(book, options):
    table, *numbers = options.words or [""]
    book.remove(_kind(table), *map(entry_number, numbers))
    return DONE


def _import(book, options):
    from sketchloom.core.logbook.book_file import LogbookError
    from sketchloom.core.logbook.moving import taken_in

    path = options.words[-1] if options.words else ""
    kind = _kind(options.words[0] if len(options.words) > 1 else "") if path.lower().endswith(".csv") else None
    try:
        count = taken_in(book, path, kind)
    except LogbookError:
        raise
    except AppError as error:
        return complain(str(error), UNREADABLE)
    sys.stdout.write(f"{count} entries\n")
    return DONE


def _export(book, options):
    from sketchloom.core.logbook.moving import everything

    return written(options.words[0] if options.words else "-", everything(book))


def _save(book, options):
    from sketchloom.core.logbook.rescue import save_into

    saved, lost = save_into(book, options.words[0] if options.words else "")
    sys.stdout.write(f"{saved} entries saved, {lost} places could not be read\n")
    return DONE
