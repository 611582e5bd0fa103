"""``loom log``: what the logbook keeps, told, added to, taken in and out, and what it says of the next try."""

import argparse
import json
import sys
from pathlib import Path

from sketchloom.command.exits import DONE, UNREADABLE, UNWRITABLE, WRONG_WORDS, Parser, complain
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
    what = options.what
    if what in _TABLES:
        return _tell(book, options)
    return {"add": _add, "change": _change, "remove": _remove, "import": _import, "export": _export, "next": _next,
            "rates": _rates, "ran": _ran, "save": _save}[what](book, options)


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
        return _written(options.csv, data)
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


def _written(target, data):
    from sketchloom.files.writing import write_whole

    if target == "-":
        sys.stdout.write(data.decode())
        return DONE
    try:
        write_whole(Path(target), data)
    except AppError as error:
        return complain(str(error), UNWRITABLE)
    return DONE


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


def _number(word):
    from sketchloom.core.base.said import said

    if not word.isdecimal():
        raise AppError(said("{word} must be the number of an entry.", word=word or "nothing"))
    return int(word)


def _change(book, options):
    from dataclasses import replace

    from sketchloom.core.base.said import said

    table, number, *rest = [*options.words, "", ""][:max(len(options.words), 2)]
    kind, entry = _kind(table), _number(number)
    kept = book.one(kind, entry)
    if kept is None:
        raise AppError(said("Entry {number} is not there.", number=entry))
    book.change(entry, replace(kept.one, **_values(kind, rest)))
    return DONE


def _remove(book, options):
    table, *numbers = options.words or [""]
    book.remove(_kind(table), *map(_number, numbers))
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

    return _written(options.words[0] if options.words else "-", everything(book))


def _save(book, options):
    from sketchloom.core.logbook.rescue import save_into

    saved, lost = save_into(book, options.words[0] if options.words else "")
    sys.stdout.write(f"{saved} entries saved, {lost} places could not be read\n")
    return DONE


def _next(book, options):
    from sketchloom.core.base.said import said
    from sketchloom.core.logbook.records import Try
    from sketchloom.core.logbook.trials import Guesses, Settings
    from sketchloom.core.sheets.material import FAMILIES

    if len(options.words) != 2 or options.words[0] not in FAMILIES:
        raise AppError(said("next takes a family ({names}) and a material.", names=", ".join(FAMILIES)))
    family, material = options.words
    where = {"material": material} | ({"machine": options.machine} if options.machine else {})
    tries = tuple(kept.one for kept in book.all(Try, newest_first=False, **where))
    settings, guesses = Settings(), Guesses(family, tries)
    if options.ladder:
        return _ladder(book, options, guesses, settings)
    known = [one for one in tries if one.verdict == "right"]
    made = guesses.next(settings, [(one.force, one.speed) for one in tries if one.verdict != "right"])
    told: dict = {"force": made.force, "speed": made.speed, "right": round(made.right, 3), "tries": len(tries),
            "force_low": round(made.low, 1), "force_high": round(made.high, 1),
            "known": [{"force": one.force, "speed": one.speed, "at": one.at,
                       "sure": round(guesses.right_at(one.force, one.speed), 3)} for one in known]}
    if options.json:
        sys.stdout.write(json.dumps(told, indent=2) + "\n")
    else:
        for one in known[-3:]:
            sys.stdout.write(f"right before: force {one.force:g}, speed {one.speed:g}, {one.at[:10]}\n")
        sys.stdout.write(f"next try: force {made.force:g}, speed {made.speed:g} mm/s; {100 * made.right:.0f} % likely "
                         f"to be right, after {len(tries)} tries\n"
                         "Starting values are from memory; the machine's manual comes first.\n")
    return DONE


def _ladder(book, options, guesses, settings):
    from sketchloom.core.logbook.records import Piece
    from sketchloom.core.logbook.trials import ladder
    from sketchloom.files.test_piece import piece

    (family, material), target = options.words, options.ladder
    tries = ladder(guesses, settings)
    done = _written(target, piece(tries, target))
    if done == DONE and not book.is_read_only:
        book.add(Piece.of(Path(target).stem[:300], material, family, tries, options.machine))
    return done


def _ran(book, options):
    from sketchloom.core.base.said import said
    from sketchloom.core.logbook.records import STATES
    from sketchloom.desk.shop import Names, ran
    from sketchloom.files import user_data

    if len(options.words) != 2 or options.words[1] not in STATES:
        raise AppError(said("ran takes an entry and one of {names}.", names=", ".join(STATES)))
    if not 0 <= options.minutes < 1e6:
        raise AppError(said("--minutes takes a number of minutes."))
    missing = ran(book, _number(options.words[0]), options.words[1], Names.from_table(user_data.materials()),
                  user_data.prices(), 60 * options.minutes)
    for one in missing:
        much = f"{one.length_mm:.0f} mm" if one.length_mm else f"{one.sheets} sheets"
        what = f"rest {one.entry}" if one.entry else much
        sys.stdout.write(f"not in stock: {what} of {one.material or 'a material not said'}\n")
    return DONE


def _rates(book, options):
    from sketchloom.core.logbook.calibration import PARTS, rates
    from sketchloom.desk.shop import fits
    from sketchloom.files import user_data

    machine = options.words[0] if options.words else ""
    found, wrong, _ = fits(book, machine)
    if options.take:
        from dataclasses import replace

        from sketchloom.core.base.said import said

        if not machine:
            raise AppError(said("Say whose rates they are: rates MACHINE --take."))
        prices = user_data.prices()
        user_data.keep_prices(replace(prices, rates=prices.rates.with_pace(found.pace(machine))))
    def named(some):
        return {f"{k}_s" if k in PARTS else k: round(v, 3) for k, v in some.items()}
    told = {"factors": named(found.factors), "spread": named(found.spread), "jobs": found.jobs,
            "wrong": wrong, "off_before": round(found.before, 3), "off_after": round(found.after, 3)}
    if options.json:
        sys.stdout.write(json.dumps(told, indent=2) + "\n")
        return DONE
    known = next((one for one in user_data.machines() if one.name == machine), None)
    for one in rates(found, known, user_data.prices().rates):
        value = (f"{one.said:g} -> {one.fitted:.3g} {one.unit}" if one.unit else
                 f"{one.fitted:.2f} times as {'long' if one.name in PARTS else 'much'}")
        sys.stdout.write(f"{one.name:<12} {value}, give or take {100 * one.spread:.0f} %\n")
    sys.stdout.write(f"{found.jobs} jobs; the plan was {100 * found.before:.0f} % off in the median, so it is "
                     f"{100 * found.after:.0f} %\n")
    if wrong:
        sys.stdout.write(f"not like the others: {', '.join(map(str, wrong))}\n")
    if options.take:
        sys.stdout.write(f"plans for {machine} take them from now on\n")
    return DONE
