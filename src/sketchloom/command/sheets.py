"""``loom sheets``: several works planned on shared sheets, without a window."""

import argparse
import sys
from dataclasses import replace
from pathlib import Path

from sketchloom.command import plan_words, setting_words
from sketchloom.command.exits import DONE, UNREADABLE, UNWRITABLE, WRONG_WORDS, Parser, complain
from sketchloom.command.trace_words import FORMATS
from sketchloom.core.base.errors import AppError, ClashError, ExportError, PictureError, SettingError
from sketchloom.core.formats.atomic import Care
from sketchloom.recipe.sections import HANDED, PLANNED


def parser() -> argparse.ArgumentParser:
    """The parser of all words."""
    p = Parser(prog="loom sheets", allow_abbrev=False,
                description="Plan works on shared sheets: a file for each sheet that goes into the machine.")
    p.add_argument("inputs", nargs="+", metavar="WORK", help="projects or pictures; the first says what is not said")
    p.add_argument("--out-dir", metavar="DIR", required=True, help="folder for the sheets, made if it is not there")
    p.add_argument("--report", metavar="REPORT.json")
    p.add_argument("--format", choices=FORMATS, default="svg", help="of the files; default: svg")
    p.add_argument("--anyway", action="store_true", help="write though a finding says stop; the report tells it")
    p.add_argument("--replace", action="store_true", help="files that are in --out-dir already may be replaced")
    p.add_argument("--quiet", action="store_true")
    group = p.add_argument_group("what goes into the machine")
    plan_words.add_to(group)
    setting_words.add_to({PLANNED: group, HANDED: p.add_argument_group("how files are handed over")})
    p.set_defaults(width=None, height=None)
    return p


def run(words) -> int:
    """Do what the words ask for; returns the exit code."""
    options = parser().parse_args(words)
    if options.machine is None:
        options.machine = "blade" if options.carrier is not None else None
    try:
        return _planned(options)
    except SettingError as error:
        return complain(str(error), WRONG_WORDS)
    except ExportError as error:
        return complain(str(error), WRONG_WORDS if isinstance(error, ClashError) else UNWRITABLE)
    except (PictureError, AppError, MemoryError) as error:
        return complain(str(error) or "does not fit into memory.", UNREADABLE)


def _planned(options):
    from sketchloom.desk import sizes
    from sketchloom.evaluate.pipeline import Pipeline, require_traceable
    from sketchloom.evaluate.planning import machine_of
    from sketchloom.files import opening, release
    from sketchloom.files.reading_back import read_back
    from sketchloom.files.report import report_of_sheets, to_bytes

    pipeline, works = Pipeline(), []
    for path in options.inputs:
        opened = opening.open_file(Path(path))
        recipe = opened.project.recipe
        recipe = setting_words.applied(plan_words.asked(recipe, options),
                                       setting_words.asked(options, PLANNED) | setting_words.asked(options, HANDED))
        work = pipeline.evaluate(opened.picture, recipe)
        require_traceable(work, path)
        if options.fit_into is not None:
            factor, _ = sizes.into(work, plan_words.place_of(options))
            work = pipeline.evaluate(opened.picture, sizes.resized(work, factor))
        works.append(work)
    if works[0].recipe.machine is None:
        works[0] = replace(works[0], recipe=replace(works[0].recipe, machine=machine_of(works[0])))
    for work, path in zip(works, options.inputs, strict=True):
        release.refuse_empty(work, path)
    plan = plan_words.best_plan(works, options, pipeline.cache)
    with release.folder_made(options.out_dir):
        own = tuple(f for work in works for f in work.findings)
        release.refuse_stops(options.out_dir, (*own, *plan.findings), options.anyway)
        files = release.outgoing_sheets(plan, options.out_dir, Path(options.inputs[0]).stem,
                                        release.format_asked(None, options.format), works[0].recipe)
        files, found = read_back(files, plan.machine, works[0].recipe.svg_reader)
        release.refuse_stops(options.out_dir, found, options.anyway)
        if options.report:
            files.append((Path(options.report), lambda: to_bytes(report_of_sheets(works, plan, found))))
        written = release.write(files, Care(tuple(Path(p) for p in options.inputs), replace=options.replace))
    if not options.quiet:
        sys.stderr.write(f"{', '.join(str(p) for p in written)}: " + plan_words.said_of(plan))
        for finding in (*plan.findings, *found):
            where = f" [{finding.layer}]" if finding.layer else ""
            sys.stderr.write(f"  {finding.severity}{where}: {finding.message}\n")
    return DONE


