"""Words of ``loom trace``: the parser, which words may stand together, and the recipe they ask for."""

import argparse
import json
from dataclasses import replace

from sketchloom.command import setting_words, sheet_words
from sketchloom.command.exits import Parser
from sketchloom.core.base.errors import PictureError, SettingError
from sketchloom.core.base.plain import encoded
from sketchloom.core.base.said import said
from sketchloom.core.base.units import parse_length_mm
from sketchloom.recipe.document import Recipe, from_json, to_json

FORMATS = ("svg", "dxf", "hpgl", "gcode", "pdf", "png", "webp")
_MAX_RECIPE_BYTES = 8 * 2**20
"""A larger recipe is none of ours; a guard against hostile files."""


def parser() -> argparse.ArgumentParser:
    """The parser of all words."""
    p = Parser(prog="loom trace", description="Trace pictures into layered SVG without a window.",
                allow_abbrev=False)
    p.add_argument("inputs", nargs="+", metavar="INPUT", help="pictures")
    p.add_argument("--out", metavar="OUT.svg", help="the file to write")
    p.add_argument("--format", choices=FORMATS, help="default: by the suffix of --out, svg in --out-dir")
    p.add_argument("--carved", action="append", default=[], metavar="FILE.png|.stl|.glb|.pdf",
                   help="the carved blank of a recipe with operations: a picture, a solid, or a page to approve")
    p.add_argument("--approval", metavar="PAGE.pdf", help="a page for the customer to approve")
    p.add_argument("--since", metavar="OLD.sloom|R.json", help="the revision before, whose changes --approval marks")
    p.add_argument("--revision", type=int, default=1, metavar="N", help="the number of this revision on --approval")
    p.add_argument("--package", metavar="FOLDER|JOB.zip", help="all of the job: cut files, laying, quote, preview, "
                                                              "report and settings; with --machine")
    p.add_argument("--print-cut", metavar="DIR", help="pages of stickers to print, with marks, and their cuts; with "
                                                      "--copies, --bleed, --border, --print-picture, --tile A4|Letter")
    p.add_argument("--camera", metavar="PHOTO", help="a picture of the bed with the printed page: the cuts of "
                                                     "--print-cut go where it lies")
    p.add_argument("--camera-scale", metavar="0.25mm", help="a pixel of --camera on the bed")
    p.add_argument("--camera-bed", metavar="WxH", help="in place of --camera-scale, of a picture taken by hand with "
                   "the whole bed in it: the size of the bed, as 305x305mm")
    p.add_argument("--camera-corners", nargs=4, metavar="X,Y", help="where the corners of --camera-bed are not found: "
                   "px of --camera, from the upper left clockwise")
    p.add_argument("--anyway", action="store_true", help="write though a finding says stop; the report tells it")
    p.add_argument("--out-dir", metavar="DIR", help="folder for several inputs or for one file per layer, made "
                                                "if it is not there")
    p.add_argument("--job", action="store_true", help="what is written becomes a job of the logbook")
    p.add_argument("--replace", action="store_true", help="files that are in --out-dir already may be replaced")
    p.add_argument("--per-layer", action="store_true", help="one file per layer, in --out-dir")
    p.add_argument("--per-piece", action="store_true", help="one file per piece, in --out-dir")
    p.add_argument("--per-design", action="store_true", help="one file per design on the page, in --out-dir")
    p.add_argument("--same-sheets", action="store_true",
                   help="one file per colour with the parts of all inputs side by side, in --out-dir")
    p.add_argument("--as-layers", action="store_true",
                   help="the inputs are the layers of one work, the first lowest; they share one frame")
    p.add_argument("--straighten", action="store_true", help="level a scan by its own lines")
    p.add_argument("--corners", nargs=4, metavar="X,Y",
                   help="flatten the page that has these corners, px of the picture, from its upper left clockwise")
    p.add_argument("--flatten-page", action="store_true", help="find a page seen at a slant and flatten it")
    p.add_argument(
        "--plan", metavar="PLAN.svg", help="a page with every piece's number where it goes and the order of work"
    )
    p.add_argument(
        "--recipe",
        metavar="RECIPE.json",
        help="settings and edits from a file, as a project or --write-recipe has them",
    )
    p.add_argument(
        "--write-recipe", metavar="RECIPE.json", help="the settings of this run, to be used again with --recipe"
    )
    size = p.add_mutually_exclusive_group()
    size.add_argument("--width", metavar="120mm|4.7in")
    size.add_argument("--height", metavar="120mm|4.7in")
    p.add_argument("--report", metavar="REPORT.json")
    p.add_argument(
        "--compare",
        action="store_true",
        help="the report also has all ways of layering, orders worth a look and numbers of sheets, with their figures",
    )
    p.add_argument("--quiet", action="store_true")
    groups = sheet_words.groups_of(p)
    setting_words.add_to(groups)
    sheet_words.add_to(groups)
    return p


def wrong_together(options) -> str | None:
    """What is wrong with words that stand together, None for nothing."""
    alone = len(options.inputs) == 1 or options.as_layers
    splits = options.per_layer or options.per_piece or options.per_design
    lone_files = options.report or options.plan
    return next((words for is_wrong, words in (
        *_wrong_places(options, alone, splits, lone_files), *_wrong_lone(options, alone), *_wrong_camera(options),
        *_wrong_reports(options, alone, lone_files)
    ) if is_wrong), None)


def _wrong_places(options, alone, splits, lone_files):
    """What is wrong with where files go."""
    lone = options.package or options.approval or options.print_cut or options.carved
    return (
        (options.as_layers and len(options.inputs) < 2, "--as-layers takes two or more inputs."),
        (options.same_sheets and (options.as_layers or splits or lone_files or options.write_recipe),
         "--same-sheets writes files of its own; leave out --as-layers, --per-..., --report, --plan and "
         "--write-recipe."),
        (options.out and (not alone or splits or options.same_sheets),
         "--out takes one file; with several inputs, --per-... or --same-sheets name a folder with --out-dir."),
        ((bool(options.out) and bool(options.out_dir)) or not (options.out or options.out_dir or lone),
         "name the file to write with --out, or a folder with --out-dir."),
    )


def _wrong_lone(options, alone):
    """What is wrong with what is of one work."""
    lone = options.package or options.approval or options.print_cut or options.carved
    return (
        (options.package and options.machine is None, "--package plans the job; name a --machine."),
        (lone and not alone, "--package, --approval, --print-cut and --carved take one input."),
        (options.job and (options.same_sheets or options.as_layers or not (options.out or options.out_dir
                                                                           or options.package)),
         "--job is of files that are cut, of one work each; name --out, --out-dir or --package."),
        (options.since and not options.approval, "--since marks changes on --approval; name one."),
    )


def _wrong_camera(options):
    """What is wrong with the picture of a bed."""
    return (
        (bool(options.camera) != bool(options.camera_scale or options.camera_bed),
         "--camera and --camera-scale, or --camera-bed, stand together."),
        (bool(options.camera_corners) and not options.camera_bed, "--camera-corners are of a --camera-bed; name it."),
        (bool(options.camera_scale) and bool(options.camera_bed),
         "--camera-scale is of a picture from straight above, --camera-bed of one by hand; name one of them."),
        (options.camera and not options.print_cut, "--camera says where the cuts of --print-cut go; name its folder."),
    )


def _wrong_reports(options, alone, lone_files):
    """What is wrong with files beside the cut file."""
    return (
        (options.compare and not options.report, "--compare adds to the report; name one with --report."),
        (lone_files and not alone, f"--{'report' if options.report else 'plan'} takes one input."),
    )


def recipe_asked(options) -> Recipe:
    """The recipe the words ask for; SettingError names the word that is off, PictureError a file of settings."""
    return _recipe(options) if options.recipe is None else _recipe_of_file(options)


def _recipe(options):
    """The recipe the words ask for; SettingError names the word that is off."""
    from sketchloom.command import asked_sheets  # it loads what a help need not

    recipe = asked_sheets.of_all(_sized(Recipe(), options), options)
    # a cut-off or a number of colours says which reading is meant
    if options.mode is None and (recipe.cut_off is not None or recipe.local_cut_off):
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
    decided = [(word.flag, given) for setting, word in setting_words.settings_with_words() if not word.group
               and (given := getattr(options, word.name)) is not None
               and setting_words.value_of(setting, word, given) != setting.default]
    decided += [("--flatten-page", options.flatten_page or None), ("--corners", options.corners),
                ("--straighten", options.straighten or None)]
    for flag, given in decided:
        if given is not None:
            raise SettingError(flag, said("left out beside --recipe, which decides it"), given)
    from sketchloom.command import asked_sheets
    from sketchloom.core.picture.decode import read_bytes

    data = read_bytes(options.recipe)
    if len(data) > _MAX_RECIPE_BYTES:
        raise PictureError(options.recipe, said("is larger than a recipe can be."))
    try:
        read = json.loads(data)
    except (ValueError, RecursionError):
        raise PictureError(
            options.recipe, said("is not a recipe: it holds no JSON."), said("Write one with --write-recipe.")
        ) from None
    return asked_sheets.of_all(_sized(from_json(read), options), options)


def recipe_bytes(recipe: Recipe) -> bytes:
    """A recipe as the file that ``--recipe`` takes."""
    text = json.dumps(to_json(recipe), indent=1, ensure_ascii=False, allow_nan=False, sort_keys=True)
    return encoded(text + "\n")
