"""The page of all words of the command, made from their parsers: ``python -m sketchloom.command.pages FILE``."""

import argparse
import sys
from pathlib import Path

from sketchloom.command import batch, check, desktop, log, sheets, trace_words

_HEAD = """# The command

Every word, as the command's own help has it; this page is made from the same descriptions
(`python -m sketchloom.command.pages docs/commands.md`). Lengths take a unit (`120mm`, `4.5in`, `2cm`); a bare number is
mm. The exit code is 0 when done, 2 for words that are not known, 3 when an input cannot be read, 4 when an output
cannot be written. An output is written whole or not at all, and of several files all or none.

Nothing that is read is written over, no two outputs are one file, and what lies in `--out-dir` already stays unless
`--replace` is given. What the command prints and what files hold is English, but for the names of layers
(`--names-in`). Words that say how a picture is read and cut belong to `trace`; `batch` takes them from a recipe.

    ./loom trace badge.png --out badge.svg --width 7in --report badge.json
    ./loom trace *.png --out-dir cut/
    ./loom trace sketch.jpg --mode tone --threshold 140 --min-feature 2mm --out sketch.svg
    ./loom trace badge.png --per-layer --out-dir cut/ --layering lean --overlap 0.5mm
    ./loom trace phone.jpg --flatten-page --level-light --mode tone --out bird.svg
    ./loom trace page.pdf --page 2 --mode line --out pen.svg
    ./loom trace night.png hills.png boat.png --as-layers --out scene.svg
    ./loom trace panel.png --mode tone --gather inward --gather-sheets 5 --layering lean --spacer 2mm --out panel.svg
    ./loom trace badge.png --laid-on black --underlay 0.3mm --material all heat-film --out shirt.svg
    ./loom trace badge.png --machine blade --fit-into 19.5x26.5in --margin 0.5in --test-cut --out-dir sheets/
    ./loom sheets badge.sloom panel.sloom --machine roll --out-dir sheets/ --report sheets.json
    ./loom trace badge.png --out badge.plt --machine blade
    ./loom trace panel.png --machine laser --kerf 0.15mm --format gcode --out-dir laser/
    ./loom trace badge.png --approval page.pdf --package job.zip --machine blade
    ./loom trace boat.png --width 60mm --print-cut stickers/ --copies 9 --bleed 2mm
    ./loom batch pictures/ --recipe shop.json --out-dir cut/
    ./loom check badge.plt --machine blade
    ./loom log add tests family="heat film" material="red film" force=80 speed=100 verdict="not through"
    ./loom log next "heat film" "red film"
    ./loom log jobs --search badge --csv jobs.csv
    ./loom stand-in hpgl            # tells an address; then, elsewhere:
    ./loom send badge.plt --to /dev/pts/5
"""


def page() -> str:
    """The page in Markdown."""
    parts = [_HEAD]
    for title, parser in (("trace", trace_words.parser()), ("sheets", sheets.parser()), ("batch", batch.parser()),
                          ("check", check.parser()), ("log", log.parser()), ("desktop", desktop.parser())):
        parts.append(f"## loom {title}\n\n{_line(parser.description)}\n")
        for group in parser._action_groups:
            rows = [_row(action) for action in group._group_actions
                    if action.help != argparse.SUPPRESS and "--help" not in action.option_strings]
            if not rows:
                continue
            if group.title not in ("positional arguments", "options"):
                parts.append(f"### {group.title[:1].upper()}{group.title[1:]}\n")
                if group.description:
                    parts.append(f"{_line(group.description)}\n")
            parts.append("| word | |\n|---|---|\n" + "\n".join(rows) + "\n")
    return "\n".join(parts)


def _row(action):
    value = "" if action.nargs == 0 else _value_of(action)
    words = action.option_strings or [value]
    shown = ", ".join(f"`{word} {value}`" if value and action.option_strings else f"`{word}`" for word in words)
    return f"| {_cell(shown)} | {_cell(_line(action.help or ''))} |"


def _value_of(action):
    if action.metavar is not None:
        return " ".join(action.metavar) if isinstance(action.metavar, tuple) else action.metavar
    return "|".join(map(str, action.choices)) if action.choices else action.dest.upper()


def _line(text):
    return " ".join(str(text).replace("%%", "%").split())


def _cell(text):
    return text.replace("|", "\\|").replace("<", "&lt;")


if __name__ == "__main__":
    Path(sys.argv[1]).write_text(page(), encoding="utf-8")
