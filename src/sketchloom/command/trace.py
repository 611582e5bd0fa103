"""``loom trace``: pictures into files without a window."""

import json
import sys
import time
from contextlib import nullcontext
from dataclasses import replace
from importlib import import_module
from pathlib import Path
from threading import Thread

from sketchloom.command import plan_words, sheet_words, trace_words
from sketchloom.command.exits import DONE, UNREADABLE, UNWRITABLE, WRONG_WORDS, complain
from sketchloom.command.found_steps import places_in, with_found_steps
from sketchloom.core.base.errors import AppError, ClashError, ExportError, PictureError, SettingError
from sketchloom.core.base.said import said
from sketchloom.core.formats.atomic import Care, refuse_clashes, refuse_target
from sketchloom.files.writing import sweep

_START = time.perf_counter()


def run(words) -> int:
    """Do what the words ask for; returns the exit code."""
    options = trace_words.parser().parse_args(words)
    wrong = trace_words.wrong_together(options)
    if wrong is not None:
        return complain(wrong, WRONG_WORDS)
    try:
        recipe = trace_words.recipe_asked(options)
    except SettingError as error:
        return complain(str(error), WRONG_WORDS)
    except PictureError as error:
        return complain(str(error), UNREADABLE)
    care = _care(options)
    try:
        _refuse_names(options, care)
    except ExportError as error:
        return _told(options.inputs[0], error)
    sweep(time.time())
    code, works = DONE, []
    for paths in [options.inputs] if options.as_layers else [[path] for path in options.inputs]:
        try:
            work = _trace_one(paths, recipe, options, care)
            works += [work] if options.same_sheets else []  # others are not held: there may be many
        except (AppError, MemoryError) as error:
            code = max(code, _told(paths[0], error))
    if options.same_sheets and code == DONE:  # a sheet without one of the works would be a wrong sheet
        return _write_shared(works, options, care)
    return code


def _care(options) -> Care:
    """What is read stays as it is, and what is in a folder already too, unless the words say otherwise."""
    read = (*options.inputs, *([options.recipe] if options.recipe else ()))
    return Care(tuple(Path(p) for p in read), replace=bool(options.replace or not options.out_dir))


def _refuse_names(options, care):
    """Raise ExportError for outputs that could destroy something, before anything is read."""
    from sketchloom.files.release import format_asked, safe_stem

    named = [Path(p) for p in (options.out, options.plan, options.report, options.write_recipe, options.approval,
                               *options.carved) if p]
    if options.out_dir and not (options.as_layers or options.same_sheets):
        # the first of several files that an input gives stands for all
        suffix = format_asked(None, options.format).suffix
        named += [Path(options.out_dir) / f"{safe_stem(Path(p).stem)}{suffix}" for p in options.inputs]
    splits = options.per_layer or options.per_piece or options.per_design or options.same_sheets
    refuse_clashes(named, replace(care, replace=care.replace or bool(splits)))
    if options.out:
        refuse_target(Path(options.out))
    format_asked(options.out, options.format)


def _told(path, error) -> int:
    """The exit code of what went wrong with an input, which is said."""
    if isinstance(error, MemoryError):
        return complain(f"{path}: does not fit into memory; use a smaller copy.", UNREADABLE)
    if isinstance(error, ExportError):
        return complain(str(error), WRONG_WORDS if isinstance(error, ClashError) else UNWRITABLE)
    named = str(error) if hasattr(error, "path") else f"{path}: {error}"
    return complain(named, WRONG_WORDS if isinstance(error, SettingError) else UNREADABLE)


def _write_shared(works, options, care) -> int:
    from sketchloom.files import release
    from sketchloom.files.reading_back import read_back

    try:
        findings = [finding for work in works for finding in work.findings]
        release.refuse_stops(options.out_dir, findings, options.anyway)
        with release.folder_made(options.out_dir):
            files, found = read_back(release.outgoing_shared(
                works, options.out_dir, Path(options.inputs[0]).stem, release.format_asked(None, options.format)),
                svg_reader=works[0].recipe.svg_reader)
            release.refuse_stops(options.out_dir, found, options.anyway)
            written = release.write(files, care)
    except ExportError as error:
        return _told(options.inputs[0], error)
    if not options.quiet:
        sys.stderr.write(f"{', '.join(str(p) for p in written)}: {len(works)} works on {len(written)} sheets\n")
    return DONE


def _trace_one(paths, recipe, options, care):
    """The work of one input, or of several that are its layers; written, unless it is to share sheets with others."""
    # the libraries load while the picture is decoded
    loading = Thread(target=import_module, args=("sketchloom.evaluate.pipeline",))
    loading.start()
    began = time.perf_counter()
    try:
        picture, recipe = _read(paths, recipe)
    finally:
        loading.join()
    recipe = with_found_steps(picture, recipe, options)
    timings = {"decode": time.perf_counter() - began}
    work = _evaluated(picture, recipe, options, paths[0], timings)
    plan = None if options.same_sheets else plan_words.best_plan([work], options)
    if options.silhouette and work.reading not in ("tone", "line") and not options.quiet:
        sys.stderr.write(f"{paths[0]}: --silhouette changes nothing, as it is read as {work.reading}; add --mode tone, "
                         "or --backing 0 for a filled silhouette below all colours.\n")
    if options.same_sheets:
        return work
    from sketchloom.files import release

    folder = options.package if options.package and not options.package.lower().endswith(".zip") else None
    folder = folder or options.print_cut
    with (release.folder_made(options.out_dir) if options.out_dir else nullcontext(),
          release.folder_made(folder) if folder else nullcontext()):
        _write(work, paths[0], options, timings, care, plan)
    return work


def _evaluated(picture, recipe, options, path, timings):
    from sketchloom.evaluate.pipeline import Pipeline, require_traceable

    pipeline, line = Pipeline(), _Line(path, options.quiet)
    if sheet_words.needs_a_trace(options):
        from sketchloom.command.asked_sheets import looked_up

        looks = []  # what only looks layers up needs no widths, and its time counts all the same

        def evaluate(wanted):
            looks.append(pipeline.evaluate(picture, wanted, progress=line, measured=False))
            return looks[-1]
        recipe = looked_up(evaluate, recipe, options)
        timings |= {name: sum(look.timings_s[name] for look in looks) for name in looks[0].timings_s}
    work = pipeline.evaluate(picture, recipe, progress=line)
    require_traceable(work, path)
    if options.fit_into is not None:
        from sketchloom.desk import sizes

        factor, _ = sizes.into(work, plan_words.place_of(options))
        timings |= {name: seconds + timings.get(name, 0.0) for name, seconds in work.timings_s.items()}
        work = pipeline.evaluate(picture, sizes.resized(work, factor), progress=line)
    timings |= {name: seconds + timings.get(name, 0.0) for name, seconds in work.timings_s.items()}
    return work


def _write(work, path, options, timings, care, plan=None):
    from sketchloom.files import release, report
    from sketchloom.files.made import Reported
    from sketchloom.files.reading_back import read_back

    writing, stem = time.perf_counter(), Path(path).stem
    how = next((how for how, wanted in ((release.DESIGNS, options.per_design), (release.PIECES, options.per_piece),
                                        (release.LAYERS, options.per_layer)) if wanted), release.ONE)
    target = options.out or options.out_dir or options.package or options.approval or options.print_cut
    kind = release.format_asked(options.out, options.format)
    if how == release.ONE and options.out_dir:
        target = Path(options.out_dir) / f"{release.safe_stem(stem)}{kind.suffix}"
    carved = _carved(work, options)
    beside = (*(() if plan is None else plan.findings), *(() if carved is None else carved.findings))
    release.refuse_stops(target, (*work.findings, *beside), options.anyway)
    files = _cut_files(work, plan, carved, target, kind, how, stem, options)
    files += _job_files(work, plan, carved, stem, options)

    def told(found):
        """The report, made last: it says how long the others took."""
        timings["write"] = time.perf_counter() - writing
        timings["total"] = time.perf_counter() - _START
        return report.to_bytes(report.report_of(work, str(path), timings, compared=options.compare, plan=plan,
                                                of_files=found, carved=carved))
    if options.report:
        files.append((Path(options.report), Reported(told)))
    files, found = read_back(files, work.recipe.machine if plan is None else plan.machine, work.recipe.svg_reader)
    release.refuse_stops(target, found, options.anyway)
    written = release.write(files, care)
    if options.job:
        _keep_job(work, path, stem, written, plan, carved)
    if not options.quiet:
        _summary(work, written, plan, (*beside, *found))


def _keep_job(work, path, stem, written, plan, carved):
    """The release as a job of the logbook; the files are written already, so what fails here is only said."""
    from sketchloom.core.logbook.store import Logbook
    from sketchloom.core.picture.decode import read_bytes
    from sketchloom.evaluate.planning import machine_of
    from sketchloom.files import user_data, workshop
    from sketchloom.files.jobs import job_of
    from sketchloom.files.project import Project

    pace = None if plan is None else user_data.prices().rates.pace_of(plan.machine.name)
    try:
        job = job_of(work, stem, written, plan, 0.0 if carved is None else carved.seconds, pace=pace)
        with Logbook(user_data.data_folder() / workshop.BOOK) as book:
            project = Project(work.recipe, read_bytes(path), Path(path).name)
            workshop.keep_job(book, job, machine_of(work), project, None)
    except AppError as error:
        sys.stderr.write(f"loom: the files are written; the job was not kept: {error}\n")


def _cut_files(work, plan, carved, target, kind, how, stem, options):
    """What a machine runs: machine code of what is carved, sheets of a plan, or the layers."""
    from sketchloom.files import release

    if carved is not None and kind.key == "gcode" and how == release.ONE and (options.out or options.out_dir):
        from sketchloom.files import carving

        return carving.outgoing_code(carved, options.out or options.out_dir, stem)
    if plan is not None and options.out_dir and how == release.ONE:
        release.refuse_empty(work, target)
        return release.outgoing_sheets(plan, options.out_dir, stem, kind, work.recipe)
    if options.out or options.out_dir:
        return release.outgoing(work, target, how, kind, stem)
    release.refuse_empty(work, target)
    return []


def _carved(work, options):
    """The work as a router carves it, None where it is not to. Raises SettingError where that is asked for of a work
    that has nothing to carve."""
    from sketchloom.evaluate.carving import is_carved

    if is_carved(work):
        from sketchloom.files.carving import CarvedWork

        return CarvedWork(work)
    if options.carved:
        raise SettingError("--carved", said("given for a router and a recipe with operations"), options.carved[0])
    return None


def _job_files(work, plan, carved, stem, options):
    """What goes with it, where it is asked for: how the carved blank looks, the page to approve, the package, where
    pieces go, the settings."""
    from sketchloom.files import package, papers, release

    files = []
    if carved is not None:
        from sketchloom.files import carving

        files += [carving.outgoing_look(carved, path, stem) for path in options.carved]
    if options.approval:
        before = _work_before(work, options.since) if options.since else None
        files.append((Path(options.approval), lambda: papers.approval(work, stem, options.revision, before)))
    if options.print_cut:
        from sketchloom.files import print_and_cut

        found = None if options.camera is None else _page_found(work.recipe, options)
        kind = release.format_asked(None, options.format)
        files += print_and_cut.outgoing_print_and_cut(work, options.print_cut, stem, kind, found)
    if options.package and carved is not None:
        files += package.outgoing_carved(carved, options.package, stem)
    elif options.package:
        kinds = (options.format,) if options.format else ()
        files += package.outgoing_package(work, plan, options.package, stem, kinds)
    if options.plan:
        files += release.outgoing_plan(work, options.plan)
    if options.write_recipe:
        files.append((Path(options.write_recipe), lambda: trace_words.recipe_bytes(work.recipe)))
    return files


def _page_found(recipe, options):
    """Where the picture of a camera shows the printed page."""
    from sketchloom.core.base.units import parse_length_mm
    from sketchloom.core.sheets.choices import own_carrier
    from sketchloom.files.print_and_cut import camera_found

    if options.camera_scale:
        return camera_found(options.camera, recipe, parse_length_mm(options.camera_scale))
    bed = own_carrier(options.camera_bed)
    if bed is None:
        raise SettingError("--camera-bed", said("a size such as 305x305mm"), options.camera_bed)
    corners = places_in("--camera-corners", options.camera_corners) if options.camera_corners else None
    return camera_found(options.camera, recipe, None, bed, corners)


def _work_before(work, path):
    """The work as it was in a project or by a file of settings."""
    from sketchloom.core.picture.decode import read_bytes
    from sketchloom.evaluate.pipeline import Pipeline
    from sketchloom.files.opening import open_file
    from sketchloom.recipe.document import from_json

    if Path(path).suffix.lower() == ".json":
        return Pipeline().evaluate(work.original, from_json(json.loads(read_bytes(path).decode("utf-8"))))
    opened = open_file(Path(path))
    return Pipeline().evaluate(opened.picture, opened.project.recipe)


def _read(paths, recipe):
    """The picture, and the recipe with what several pictures say about their layers."""
    from sketchloom.core.picture.decode import decode, read_bytes
    from sketchloom.files.opening import as_read, picture_of

    sources = [read_bytes(path) for path in paths]
    if len(paths) == 1:
        recipe = as_read(recipe, sources[0])
    pictures = [picture_of(data, str(path), recipe) for data, path in zip(sources, paths, strict=True)]
    if len(paths) == 1:
        return pictures[0], recipe
    from sketchloom.files.composing import composed

    made = composed(pictures, [Path(path).stem for path in paths])
    return decode(made.png, str(paths[0])), replace(
        recipe, reading="colour", palette=made.recipe.palette, order=made.recipe.order, layers=made.recipe.layers)


def _summary(work, written, plan, found=()):
    width, height = work.size_mm
    names = ", ".join(str(p) for p in written)
    sys.stderr.write(f"{names}: {len(work.layers)} layers, {width:.1f} × {height:.1f} mm, {work.reading} reading\n")
    if plan is not None:
        sys.stderr.write(plan_words.said_of(plan))
    for finding in (*work.findings, *found):
        where = f" [{finding.layer}]" if finding.layer else ""
        place = (
            ""
            if finding.x_px is None
            else f" ({finding.x_px * work.mm_per_px:.1f}, {finding.y_px * work.mm_per_px:.1f} mm)"
        )
        sys.stderr.write(f"  {finding.severity}{where}{place}: {finding.message}\n")


class _Line:
    """Progress on one line of a terminal."""

    def __init__(self, path, quiet):
        self.name = Path(path).name
        self.on = not quiet and sys.stderr.isatty()

    def step(self, done, total, label):
        if self.on and label:
            sys.stderr.write(f"\r\033[K{self.name}: {label} ({100 * done / max(total, 1):.0f} %)\r")
            sys.stderr.flush()
