"""Words of ``loom trace`` about sheets that name a layer or a place, or mean several settings at once.

What they mean is in ``asked_sheets``, which loads more. Words of single settings are made from their descriptions
(``setting_words``).
"""

from sketchloom.command import plan_words
from sketchloom.core.layers.ways import RULES
from sketchloom.core.sheets.material import shipped
from sketchloom.recipe.sections import ADDED, HANDED, PLANNED, SHEETS, STUFF


def groups_of(parser) -> dict:
    """Groups of the help, by their names."""
    return {
        SHEETS: parser.add_argument_group(
            "sheets", "LAYER is a layer's name, its #rrggbb, or its number from the base, 1, as the summary has them."
        ),
        ADDED: parser.add_argument_group("sheets added, and what helps to lay and weed"),
        STUFF: parser.add_argument_group(
            "materials",
            "Blades, presses, lasers and routers hurt: the machine's manual, local rules and trained people "
            "decide what is cut with what.",
        ),
        PLANNED: parser.add_argument_group(
            "what goes into the machine",
            "With --machine the layers are divided, placed on carriers, and routed; the report tells the sheets, and "
            "--out-dir has a file for each.",
        ),
        HANDED: parser.add_argument_group(
            "how files are handed over", "The format is said by --format, or by the output's suffix."),
        "": parser,
    }


def add_to(groups) -> None:
    """The words, in groups of the help."""
    _add_order(groups[SHEETS])
    _add_regions(groups[SHEETS])
    _add_layers(groups[SHEETS])
    _add_added(groups[ADDED])
    _add_stuff(groups[STUFF])
    plan_words.add_to(groups[PLANNED])


def _pairs(group, word, metavar, words=None):
    """A word that takes two, any number of times."""
    group.add_argument(word, nargs=2, action="append", default=[], metavar=metavar, help=words)


def _list(group, word, words):
    """A word that takes a layer, any number of times."""
    group.add_argument(word, action="append", default=[], metavar="LAYER", help=words)


def _add_order(group):
    _pairs(group, "--way", ("LAYER", "WAY"), "one layer another way than the rest")
    group.add_argument(
        "--order-saves",
        metavar="WHAT",
        help="what the order is to save: cutting, pieces, film, mislaying, little, or three or five shares (1,0.5,0)",
    )
    group.add_argument(
        "--order",
        metavar="LAYER,LAYER,…",
        help="the order itself, base first; layers not named lie above those, as they are proposed",
    )
    _pairs(group, "--pin", ("LAYER", "base|top"), "where the proposed order has a layer")
    _pairs(group, "--above", ("UPPER", "LOWER"), "proposed orders keep UPPER above LOWER")


def _add_regions(group):
    group.add_argument("--gather", choices=RULES, help="line art to sheets below a frame: what gathers its regions")
    group.add_argument(
        "--gather-sheets",
        metavar="2..24",
        help="into so many sheets; default: the fewest at which no neighbours share one",
    )
    _pairs(group, "--region", ("X,Y", "WHAT"),
           "the region at a place, mm from the left and top of the finished work: drop, window, keep, below, on-top "
           "or #rrggbb")
    group.add_argument(
        "--alone",
        choices=("keep", "bridge", "below"),
        help="pieces that would be placed by themselves: kept, held by a bridge, or shown from a sheet below",
    )


def _add_layers(group):
    _pairs(group, "--name", ("LAYER", "NAME"))
    _pairs(group, "--cut-colour", ("LAYER", "#rrggbb"), "the colour of the sheet it is cut from")
    _pairs(group, "--merge", ("LAYER", "INTO"), "two layers on one sheet")
    _list(group, "--leave-out",
          "no sheet for it; like-ground: all that have the colour of what the work is laid on")
    group.add_argument(
        "--laid-on",
        metavar="WHAT",
        help="white, black, grey, kraft or #rrggbb: the shirt, wall or card below everything",
    )


def _add_added(group):
    group.add_argument(
        "--backing",
        metavar="1.27mm",
        help="a sheet below everything, so much larger all round; 0 for its filled silhouette",
    )
    group.add_argument("--rim", metavar="1mm", help="a sheet around everything, so wide, with the work cut out of it")
    _list(group, "--board", "a stiff board below everything, the same as a layer")
    group.add_argument(
        "--underlay",
        metavar="0.3mm",
        help="a white sheet, so much smaller, under what would let the ground shine through",
    )


def _add_stuff(group):
    _pairs(group, "--material", ("LAYER", "KEY"),
           "what a layer, or all, is cut from: " + ", ".join(m.key for m in shipped()))
    _list(group, "--apart", "its pieces are carried, and written, one by one")


def needs_a_trace(options) -> bool:
    """Whether there are words that name a layer or a place."""
    return bool(
        options.way
        or options.order
        or options.pin
        or options.above
        or options.gather
        or options.region
        or options.alone
        or options.name
        or options.cut_colour
        or options.merge
        or options.leave_out
        or options.board
        or options.material
        or options.apart
    )
