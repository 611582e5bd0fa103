"""``loom send``: a cut file to a machine, and ``loom stand-in``: a machine that is not there, to try it on."""

import signal
import sys
import threading
from pathlib import Path

from sketchloom.command.exits import DONE, UNREADABLE, UNWRITABLE, WRONG_WORDS, Parser, complain
from sketchloom.core.base.errors import ExportError


def run(words) -> int:
    """Send a file; returns the exit code."""
    p = Parser(prog="loom send", allow_abbrev=False, description="Send plotter language (.plt) or machine code (.nc) "
                "to a machine and wait for its answers. Stay beside it: the machine's manual comes first.")
    p.add_argument("file", metavar="FILE")
    p.add_argument("--to", required=True, metavar="ADDRESS", help="a device, as /dev/ttyUSB0, or tcp:HOST:PORT")
    p.add_argument("--quiet", action="store_true")
    options = p.parse_args(words)
    from sketchloom.files import sending

    try:
        kind = sending.kind_of(options.file)
        data = Path(options.file).read_bytes()
    except ExportError as error:
        return complain(str(error), WRONG_WORDS)
    except OSError as error:
        return complain(f"{options.file}: {error.strerror or error}", UNREADABLE)
    try:
        sent = sending.send(data, kind, options.to)
    except ExportError as error:
        return complain(str(error), UNWRITABLE)
    if not options.quiet:
        sys.stderr.write(f"{options.file}: {sent} bytes were sent to {options.to}\n")
    return DONE


def run_stand_in(words) -> int:
    """Be a machine until it is ended; returns the exit code."""
    p = Parser(prog="loom stand-in", allow_abbrev=False,
                description="A machine that is not there: takes what is sent to it, answers as one, and tells what it "
                            "would have done.")
    p.add_argument("language", choices=("hpgl", "gcode"))
    p.add_argument("--bed", metavar="WxH", default="305x610mm", help="what it reaches; default: 305x610mm")
    p.add_argument("--port", type=int, metavar="N", help="on a socket of this machine; default: a pseudo terminal")
    options = p.parse_args(words)
    from sketchloom.core.playback.machine import Bed, StandIn
    from sketchloom.core.playback.telling import told_of
    from sketchloom.core.sheets.choices import own_carrier
    from sketchloom.files.standing_in import Line

    size = own_carrier(options.bed)
    if size is None:
        return complain(f"--bed must be a size such as 305x610mm; got {options.bed}.", WRONG_WORDS)
    machine = StandIn(options.language, Bed(*size))
    try:
        line = Line(machine, options.port)
    except OSError as error:
        return complain(f"--port {options.port}: {error.strerror or error}", UNWRITABLE)
    sys.stdout.write(f"{line.address}\n")
    sys.stdout.flush()
    def tell():
        moves = machine.moves()
        if moves.count:
            told = told_of(moves)
            sys.stdout.write(f"{told.strokes} cuts, {told.cut_mm:.0f} mm, "
                             f"{told.width_mm:.1f} × {told.height_mm:.1f} mm\n")
        sys.stdout.write("".join(f"  refused: {why}\n" for why in machine.errors))
        sys.stdout.flush()

    is_over = threading.Event()
    for number in (signal.SIGINT, signal.SIGTERM):
        signal.signal(number, lambda *_: is_over.set())
    try:
        line.serve(is_over.is_set, on_rest=tell)
    finally:
        line.close()
    return DONE
