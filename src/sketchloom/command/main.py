"""Words on the command line."""

import argparse
import json
import sys
import time
from dataclasses import replace
from importlib import import_module
from pathlib import Path
from threading import Thread

from sketchloom import __version__
from sketchloom.command import setting_words, sheet_words
from sketchloom.core.base.errors import AppError, ExportError, PictureError, ProjectError, SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.units import parse_length_mm

DONE, WRONG_WORDS, UNREADABLE, UNWRITABLE = 0, 2, 3, 4
_START = time.perf_counter()

_MAX_RECIPE_BYTES = 8 * 2**20
_ABOUT = """Pictures in, clean layered cut files out.

  loom [FILE ...]               open pictures or projects in the window
  loom demo                     start with the demo projects
  loom trace INPUT ... --out OUT.svg
  loom screenshots              redraw docs/screenshots from the demo projects
  loom test, loom bench         from a checkout only
"""


def main(words=None) -> int:
    """Run the command; returns the exit code."""
    words = list(sys.argv[1:] if words is None else words)
    if words[:1] == ["trace"]:
        return _trace(words[1:])
    if words[:1] in (["-h"], ["--help"]):
        sys.stdout.write(_ABOUT)
        return DONE
    if words[:1] == ["--version"]:
        sys.stdout.write(f"Sketch Loom {__version__}\n")
        return DONE
    unknown = [w for w in words if w.startswith("-")]
    if unknown:
        return _complain(f"{unknown[0]} is not a word this command knows; loom --help lists them.", WRONG_WORDS)
    from sketchloom.app import start

    if words[:1] == ["demo"]:
        return start.run([], demo=True)
    if words[:1] == ["screenshots"]:
        return start.screenshots(Path(words[1]) if len(words) > 1 else None)
    return start.run(words)


def _complain(text: str, code: int) -> int:
    sys.stderr.write(f"loom: {text}\n")
    return code


class _Parser(argparse.ArgumentParser):
    def error(self, message):
        sys.stderr.write(f"loom trace: {message}\n")
        sys.exit(WRONG_WORDS)


def _parser():
    p = _Parser(prog="loom trace", description="Trace pictures into layered SVG without a window.",
                allow_abbrev=False)
    p.add_argument("inputs", nargs="+", metavar="INPUT", help="pictures")
    p.add_argument("--out", metavar="OUT.svg", help="the file to write")
    p.add_argument("--out-dir", metavar="DIR", help="folder for several inputs or for one file per layer")
    p.add_argument("--per-layer", action="store_true", help="one file per layer, in --out-dir")
    p.add_argument("--per-piece", action="store_true", help="one file per piece, in --out-dir")
    p.add_argument("--per-design", action="store_true", help="one file per design on the page, in --out-dir")
    p.add_argument("--same-sheets", action="store_true",
                   help="one file per colour with the parts of all inputs side by side, in --out-dir")
    p.add_argument("--as-layers", action="store_true",
                   help="the inputs are the layers of one work, the first lowest; they share one frame")
    p.add_argument("--straighten", action="store_true", help="level a scan by its own lines")
    p.add_argument("--flatten-page", action="store_true", help="find a page seen at a slant and flatten it")
    p.add_argument("--plan", metavar="PLAN.svg", help="a page with every piece's number where it goes and the order of work")
    p.add_argument("--recipe", metavar="RECIPE.json", help="settings and edits from a file, as a project or --write-recipe has them")
    p.add_argument("--write-recipe", metavar="RECIPE.json", help="the settings of this run, to be used again with --recipe")
    size = p.add_mutually_exclusive_group()
    size.add_argument("--width", metavar="120mm|4.7in")
    size.add_argument("--height", metavar="120mm|4.7in")
    p.add_argument("--report", metavar="REPORT.json")
    p.add_argument("--compare", action="store_true", help="the report also has all ways of layering, orders worth a look and numbers of sheets, with their figures")
    p.add_argument("--quiet", action="store_true")
    groups = sheet_words.groups_of(p)
    setting_words.add_to(groups)
    sheet_words.add_to(groups)
    return p


def _recipe(options):
    """The recipe the words ask for; SettingError names the word that is off."""
    from sketchloom.command import asked_sheets
    from sketchloom.recipe.document import Recipe

    recipe = asked_sheets.of_all(_sized(Recipe(), options), options)
    # a cut-off or a number of colours says which reading is meant
    if options.mode is None and (recipe.cut_off is not None or recipe.local_cut_off or recipe.silhouette):
        return replace(recipe, reading="tone")
    return replace(recipe, reading="colour") if options.mode is None and recipe.colours is not None else recipe


def _sized(recipe, options):
    """The recipe with the size asked for."""
    for side in ("width", "height"):
        text = getattr(options, side)
        if text is not None:
            recipe = replace(recipe, size_mm=parse_length_mm(text), size_side=side)
    return recipe


def _recipe_of_file(options):
    """The recipe of a file; words that it decides may not be given beside it."""
    from sketchloom.command import asked_sheets
    from sketchloom.core.picture.decode import read_bytes
    from sketchloom.recipe.document import from_json

    decided = [(word.flag, given) for setting, word in setting_words.settings_with_words() if not word.group
               and (given := getattr(options, word.name)) is not None
               and setting_words.value_of(setting, word, given) != setting.default]
    decided += [("--flatten-page", options.flatten_page or None), ("--straighten", options.straighten or None)]
    for flag, given in decided:
        if given is not None:
            raise SettingError(flag, said("left out beside --recipe, which decides it"), given)
    data = read_bytes(options.recipe)
    if len(data) > _MAX_RECIPE_BYTES:
        raise PictureError(options.recipe, said("is larger than a recipe can be."))
    try:
        read = json.loads(data)
    except (ValueError, RecursionError):
        raise PictureError(options.recipe, said("is not a recipe: it holds no JSON."), said("Write one with --write-recipe.")) from None
    return asked_sheets.of_all(_sized(from_json(read), options), options)


def _trace(words) -> int:
    options = _parser().parse_args(words)
    alone = len(options.inputs) == 1 or options.as_layers
    if options.as_layers and len(options.inputs) < 2:
        return _complain("--as-layers takes two or more inputs.", WRONG_WORDS)
    if options.same_sheets and (options.as_layers or options.per_layer or options.per_piece or options.per_design or options.report or options.plan
                                or options.write_recipe):
        return _complain("--same-sheets writes files of its own; leave out --as-layers, --per-..., --report, --plan and --write-recipe.", WRONG_WORDS)
    if options.out and (not alone or options.per_layer or options.per_piece or options.per_design or options.same_sheets):
        return _complain("--out takes one file; with several inputs, --per-... or --same-sheets name a folder with --out-dir.",
                         WRONG_WORDS)
    if bool(options.out) == bool(options.out_dir):
        return _complain("name the file to write with --out, or a folder with --out-dir.", WRONG_WORDS)
    if options.compare and not options.report:
        return _complain("--compare adds to the report; name one with --report.", WRONG_WORDS)
    if (options.report or options.plan) and not alone:
        return _complain(f"--{'report' if options.report else 'plan'} takes one input.", WRONG_WORDS)
    try:
        recipe = _recipe(options) if options.recipe is None else _recipe_of_file(options)
    except SettingError as error:
        return _complain(str(error), WRONG_WORDS)
    except PictureError as error:
        return _complain(str(error), UNREADABLE)
    code, works = DONE, []
    for paths in ([options.inputs] if options.as_layers else [[path] for path in options.inputs]):
        path = paths[0]
        try:
            work = _trace_one(paths, recipe, options)
            works += [work] if options.same_sheets else []  # others are not held: there may be many
        except (PictureError, ProjectError) as error:
            code = max(code, _complain(str(error), UNREADABLE))
        except ExportError as error:
            code = max(code, _complain(str(error), UNWRITABLE))
        except SettingError as error:
            code = max(code, _complain(f"{path}: {error}", WRONG_WORDS))
        except AppError as error:
            code = max(code, _complain(f"{path}: {error}", UNREADABLE))
        except MemoryError:
            code = max(code, _complain(f"{path}: does not fit into memory; use a smaller copy.", UNREADABLE))
    if options.same_sheets and code == DONE:  # a sheet without one of the works would be a wrong sheet
        from sketchloom.files import release

        try:
            written = release.write(release.outgoing_shared(works, options.out_dir, Path(options.inputs[0]).stem))
        except ExportError as error:
            return _complain(str(error), UNWRITABLE)
        if not options.quiet:
            sys.stderr.write(f"{', '.join(str(p) for p in written)}: {len(works)} works on {len(written)} sheets\n")
    return code


def _trace_one(paths, recipe, options):
    # the libraries load while the picture is decoded
    loading = Thread(target=import_module, args=("sketchloom.evaluate.pipeline",))
    loading.start()
    path = paths[0]
    began = time.perf_counter()
    try:
        picture, recipe = _read(paths, recipe)
    finally:
        loading.join()
    recipe = _with_found_steps(picture, recipe, options)
    from sketchloom.core.formats.atomic import write_whole
    from sketchloom.evaluate.pipeline import Pipeline, require_traceable
    from sketchloom.files import release, report

    timings = {"decode": time.perf_counter() - began}
    pipeline, line = Pipeline(), _Line(path, options.quiet)
    if sheet_words.needs_a_trace(options):
        from sketchloom.command.asked_sheets import looked_up

        looks = []  # what only looks layers up needs no widths, and its time counts all the same
        evaluate = lambda wanted: (looks.append(pipeline.evaluate(picture, wanted, progress=line, measured=False)), looks[-1])[1]  # noqa: E731
        recipe = looked_up(evaluate, recipe, options)
        timings |= {name: sum(look.timings_s[name] for look in looks) for name in looks[0].timings_s}
    work = pipeline.evaluate(picture, recipe, progress=line)
    require_traceable(work, path)
    timings |= {name: seconds + timings.get(name, 0.0) for name, seconds in work.timings_s.items()}
    writing = time.perf_counter()
    stem = Path(path).stem
    if options.same_sheets:  # written once all are traced
        return work
    how = next((how for how, wanted in ((release.DESIGNS, options.per_design), (release.PIECES, options.per_piece),
                                        (release.LAYERS, options.per_layer)) if wanted), release.ONE)
    target = options.out or options.out_dir
    if how == release.ONE and not options.out:
        target = Path(options.out_dir) / f"{release.safe_stem(stem)}.svg"
    files = release.outgoing(work, target, how, stem=stem)
    if options.plan:
        files += release.outgoing_plan(work, options.plan)
    if options.write_recipe:
        files.append((Path(options.write_recipe), lambda: _recipe_bytes(work.recipe)))
    written = release.write(files)
    timings["write"] = time.perf_counter() - writing
    timings["total"] = time.perf_counter() - _START
    if options.report:
        write_whole(options.report, report.to_bytes(report.report_of(work, str(path), timings, compared=options.compare)))
    if not options.quiet:
        _summary(work, written)
    return work


def _recipe_bytes(recipe):
    from sketchloom.recipe.document import to_json

    return (json.dumps(to_json(recipe), indent=1, ensure_ascii=False, allow_nan=False, sort_keys=True) + "\n").encode()


def _read(paths, recipe):
    """The picture, and the recipe with what several pictures say about their layers."""
    from sketchloom.core.picture.decode import decode, read_bytes

    pictures = [decode(read_bytes(path), str(path), recipe.page, recipe.page_dpi) for path in paths]
    if len(paths) == 1:
        return pictures[0], recipe
    from sketchloom.files.composing import composed

    made = composed(pictures, [Path(path).stem for path in paths])
    return decode(made.png, str(paths[0])), replace(
        recipe, reading="colour", palette=made.recipe.palette, order=made.recipe.order, layers=made.recipe.layers)


def _with_found_steps(picture, recipe, options):
    """The recipe with a page and a skew as they are found in the picture."""
    if not (options.flatten_page or options.straighten):
        return recipe
    from sketchloom.core.picture.preparing import finding
    from sketchloom.core.picture.preparing.preparation import prepared
    from sketchloom.core.picture.preparing.steps import Preparation

    steps = recipe.preparation
    if options.flatten_page:
        page = finding.find_page(picture)
        if page is None:
            raise PictureError(picture.name, said("no page with four corners was found in it."),
                               said("Leave out --flatten-page, or mark the corners in the window."))
        steps = replace(steps, page=finding.within_edge(page))
    if options.straighten:
        skew = finding.find_skew(prepared(picture, Preparation(page=steps.page)).grey)
        steps = replace(steps, turn_deg=round(-skew.degrees, 2) if skew.sure > 0 else 0.0)
    return replace(recipe, preparation=steps)


def _summary(work, written):
    width, height = work.size_mm
    names = ", ".join(str(p) for p in written)
    sys.stderr.write(f"{names}: {len(work.layers)} layers, {width:.1f} × {height:.1f} mm, {work.reading} reading\n")
    for finding in work.findings:
        where = f" [{finding.layer}]" if finding.layer else ""
        place = "" if finding.x_px is None else f" ({finding.x_px * work.mm_per_px:.1f}, {finding.y_px * work.mm_per_px:.1f} mm)"
        sys.stderr.write(f"  {finding.severity}{where}{place}: {finding.message}\n")


class _Line:
    """Progress on one line of a terminal."""

    def __init__(self, path, quiet):
        self.name = Path(path).name
        self.on = not quiet and sys.stderr.isatty()

    def step(self, done, total, label):
        if self.on:
            sys.stderr.write(f"\r\033[K{self.name}: {label} ({done + 1} of {total})\r")
            sys.stderr.flush()
            if done + 1 == total:
                sys.stderr.write("\033[K")
