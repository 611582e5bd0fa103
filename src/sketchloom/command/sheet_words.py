"""Words of ``loom trace`` about sheets that name a layer or a place, or mean several settings at once; what they
mean is
in ``asked_sheets``, which loads more. Words of single settings are made from their descriptions (``setting_words``)."""

from sketchloom.core.layers.ways import RULES
from sketchloom.core.sheets.material import shipped
from sketchloom.recipe.sections import ADDED, SHEETS, STUFF


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
        "": parser,
    }


def add_to(groups) -> None:
    """The words, in groups of the help."""
    whole, added, stuff = groups[SHEETS], groups[ADDED], groups[STUFF]
    whole.add_argument(
        "--way",
        nargs=2,
        action="append",
        default=[],
        metavar=("LAYER", "WAY"),
        help="one layer another way than the rest",
    )
    whole.add_argument(
        "--order-saves",
        metavar="WHAT",
        help="what the order is to save: cutting, pieces, film, mislaying, little, or three or five shares (1,0.5,0)",
    )
    whole.add_argument(
        "--order",
        metavar="LAYER,LAYER,…",
        help="the order itself, base first; layers not named stand where they are proposed",
    )
    whole.add_argument(
        "--pin",
        nargs=2,
        action="append",
        default=[],
        metavar=("LAYER", "base|top"),
        help="where the proposed order has a layer",
    )
    whole.add_argument(
        "--above",
        nargs=2,
        action="append",
        default=[],
        metavar=("UPPER", "LOWER"),
        help="proposed orders keep UPPER above LOWER",
    )
    whole.add_argument("--gather", choices=RULES, help="line art to sheets below a frame: what gathers its regions")
    whole.add_argument(
        "--gather-sheets",
        metavar="2..24",
        help="into so many sheets; default: the fewest at which no neighbours share one",
    )
    whole.add_argument(
        "--region",
        nargs=2,
        action="append",
        default=[],
        metavar=("X,Y", "WHAT"),
        help="the region at a place, mm from the left and top of the finished work: drop, window, keep, below, on-top "
             "or #rrggbb",
    )
    whole.add_argument(
        "--alone",
        choices=("keep", "bridge", "below"),
        help="pieces that would be placed by themselves: kept, held by a bridge, or shown from a sheet below",
    )
    whole.add_argument("--name", nargs=2, action="append", default=[], metavar=("LAYER", "NAME"))
    whole.add_argument(
        "--cut-colour",
        nargs=2,
        action="append",
        default=[],
        metavar=("LAYER", "#rrggbb"),
        help="the colour of the sheet it is cut from",
    )
    whole.add_argument(
        "--merge", nargs=2, action="append", default=[], metavar=("LAYER", "INTO"), help="two layers on one sheet"
    )
    whole.add_argument(
        "--leave-out",
        action="append",
        default=[],
        metavar="LAYER",
        help="no sheet for it; like-ground: all that have the colour of what the work is laid on",
    )
    whole.add_argument(
        "--laid-on",
        metavar="WHAT",
        help="white, black, grey, kraft or #rrggbb: the shirt, wall or card below everything",
    )
    added.add_argument(
        "--backing",
        metavar="1.27mm",
        help="a sheet below everything, so much larger all round; 0 for its filled silhouette",
    )
    added.add_argument("--rim", metavar="1mm", help="a sheet around everything, so wide, with the work cut out of it")
    added.add_argument(
        "--board",
        action="append",
        default=[],
        metavar="LAYER",
        help="a stiff board below everything, the same as a layer",
    )
    added.add_argument(
        "--underlay",
        metavar="0.3mm",
        help="a white sheet, so much smaller, under what would let the ground shine through",
    )
    stuff.add_argument("--material", nargs=2, action="append", default=[], metavar=("LAYER", "KEY"),
                       help="what a layer, or all, is cut from: " + ", ".join(m.key for m in shipped()))
    stuff.add_argument(
        "--apart", action="append", default=[], metavar="LAYER", help="its pieces are carried, and written, one by one"
    )


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
