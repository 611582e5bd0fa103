"""``loom check``: a cut file read back, and what a machine would make of it."""

import argparse
import json
import sys

from sketchloom.command.exits import DONE, UNREADABLE, WRONG_WORDS, Parser, complain
from sketchloom.core.base.errors import PictureError


def parser() -> argparse.ArgumentParser:
    """The parser of all words."""
    p = Parser(prog="loom check", allow_abbrev=False,
                description="Read cut files back (SVG, DXF, plotter language, machine code) and tell sizes, layers, "
                            "double cuts and open paths.")
    p.add_argument("files", nargs="+", metavar="FILE")
    p.add_argument("--machine", metavar="KEY", help="what that machine makes of them: a dragged blade cuts elsewhere "
                                                    "than its file says")
    p.add_argument("--json", action="store_true", help="plain data, a list of what is told of each file")
    return p


def run(words) -> int:
    """Do what the words ask for; returns the exit code."""
    options = parser().parse_args(words)
    from sketchloom.files import cut_files, user_data

    code, told, machine = DONE, [], None
    if options.machine is not None:
        table = user_data.machines()
        machine = next((m for m in table if m.key == options.machine), None)
        if machine is None:
            return complain(f"--machine must be one of {', '.join(m.key for m in table)}; got {options.machine}.",
                            WRONG_WORDS)
    for path in options.files:
        try:
            one = cut_files.told_plain(cut_files.read(path, machine))
        except PictureError as error:
            code = complain(str(error), UNREADABLE)
            continue
        told.append({"file": path, **one})
        if not options.json:
            sys.stdout.write(_sentences(path, one, machine is None))
    if options.json:
        sys.stdout.write(json.dumps(told, indent=2, ensure_ascii=False) + "\n")
    return code


def _sentences(path, one, is_plain):
    lines = [f"{path}: {one['format']}, {one['width_mm']:.2f} × {one['height_mm']:.2f} mm, {one['strokes']} cuts, "
             f"{one['cut_mm']:.0f} mm to cut, {one['travel_mm']:.0f} mm of travel"]
    lines += [f"  layer {layer['name']}: {layer['cut_mm']:.0f} mm" for layer in one["layers"]]
    if one["open"]:
        lines.append(f"  {one['open']} cuts stay open" + (
            "; a dragged blade closes them: name its --machine" if is_plain and one["format"] in ("hpgl", "gcode")
            else ""))
    if one["doubled_mm"]:
        lines.append(f"  {one['doubled_mm']:.1f} mm are cut twice, or within a hair of another cut")
    lines += [f"  line {t['line']}: {t['message']}" for t in one["troubles"][:10]]
    return "\n".join(lines) + "\n"
