"""``loom log``: what is worked out of what was done: the next try, what a job took, rates."""

import json
import sys
from pathlib import Path

from sketchloom.command.exits import DONE
from sketchloom.command.log_parts import entry_number, written
from sketchloom.core.base.errors import AppError


def next_try(book, options) -> int:
    """The next try of a test cut."""
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
    done = written(target, piece(tries, target))
    if done == DONE and not book.is_read_only:
        book.add(Piece.of(Path(target).stem[:300], material, family, tries, options.machine))
    return done


def job_ran(book, options) -> int:
    """What became of a job."""
    from sketchloom.core.base.said import said
    from sketchloom.core.logbook.records import STATES
    from sketchloom.desk.shop import Names, ran
    from sketchloom.files import user_data

    if len(options.words) != 2 or options.words[1] not in STATES:
        raise AppError(said("ran takes an entry and one of {names}.", names=", ".join(STATES)))
    if not 0 <= options.minutes < 1e6:
        raise AppError(said("--minutes takes a number of minutes."))
    missing = ran(book, entry_number(options.words[0]), options.words[1], Names.from_table(user_data.materials()),
                  user_data.prices(), 60 * options.minutes)
    for one in missing:
        much = f"{one.length_mm:.0f} mm" if one.length_mm else f"{one.sheets} sheets"
        what = f"rest {one.entry}" if one.entry else much
        sys.stdout.write(f"not in stock: {what} of {one.material or 'a material not said'}\n")
    return DONE


def rates_fitted(book, options) -> int:
    """Rates fitted to jobs."""
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
