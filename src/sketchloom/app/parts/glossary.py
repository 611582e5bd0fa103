"""Words of the trade and of this program, each in a sentence or two."""

from sketchloom.core.base.said import said

WORDS = (
    (said("Backing"), said("A sheet below all others that reaches beyond them all round, so that the work can be laid "
                           "as one.")),
    (said("Base"), said("The lowest sheet of a stack; what is solid under everything else.")),
    (said("Bench"), said("The middle of the window: the work at true scale.")),
    (said("Bleed"), said("How far a print reaches beyond the line it is cut along, so that no white edge shows.")),
    (said("Boundary"), said("The line that two regions share. Moved, it moves for both.")),
    (said("Bridge"), said("A short piece of ink over a gap in an outline, or a bar that holds a loose piece of a "
                          "stencil.")),
    (said("Carrier"), said("The sticky mat or tray that a sheet lies on in the machine; its usable area is smaller "
                           "than itself.")),
    (said("Curtain"), said("The upright line over the bench with the source on its left and the cut on its right.")),
    (said("Cut-off"), said("The grey at which ink ends and paper begins.")),
    (said("Cutting length"), said("All cut lines of all sheets together; with the lifts it decides how long the "
                                  "machine runs.")),
    (said("Design"), said("What hangs together on a page; a page may hold several.")),
    (said("Fitted"), said("Each sheet is cut to just what shows of it: flat and thin, and it must be laid exactly.")),
    (said("Frame"), said("Weeding frame: a cut around a sheet's parts, so that the waste comes off in one piece.")),
    (said("Gap"), said("A place where an outline does not close; through it two areas become one.")),
    (said("Ground"), said("What belongs to no sheet: the paper around and behind a drawing.")),
    (said("Heat film"), said("Film that is pressed onto cloth, cut from behind and therefore mirrored.")),
    (said("Helper cut"), said("A cut through the waste that makes it come off in small pieces.")),
    (said("Hole"), said("An inner outline of a sheet.")),
    (said("Junction"), said("A place where three regions meet.")),
    (said("Kerf"), said("The width of what a laser or a router takes away along its path.")),
    (said("Layer"), said("All regions of one colour that are cut from one material; a sheet, once it is laid.")),
    (said("Lean"), said("Each sheet is as small as it can be without showing what is below: it cuts least.")),
    (said("Loose piece"), said("What falls out of a stencil, or lies free on the carrier once it is cut.")),
    (said("May slip"), said("How far a piece may be laid amiss before the ground, or a third colour, shows.")),
    (said("Narrowest"), said("The narrowest place of a sheet; what is narrower than its material bears tears.")),
    (said("Node"), said("A point between two curves of an outline. Few nodes are calm sweeps for a blade.")),
    (said("Offcut"), said("A rest of material that is large enough to be used.")),
    (said("Overcut"), said("How far a blade goes on beyond the beginning of a closed cut, so that it comes free.")),
    (said("Overlap"), said("How far a sheet reaches under the one above, to hide a slip of the hand in laying.")),
    (said("Palette"), said("The colours a picture is read in.")),
    (said("Peeling tab"), said("A corner of the waste that is easy to take hold of.")),
    (said("Piece"), said("What comes free as one when a sheet is cut.")),
    (said("Reading"), said("How a picture is understood: flat colours, ink on paper, thin lines, or a photograph.")),
    (said("Region"), said("An area of one colour with its outline; the smallest thing that can be dropped or "
                          "coloured.")),
    (said("Registration mark"), said("A mark at the same place of every sheet, to lay them on each other.")),
    (said("Rim"), said("A sheet of even width around something.")),
    (said("Route"), said("The order, direction and beginning of all cuts of a sheet.")),
    (said("Seam"), said("Where a sheet that is larger than any carrier is divided.")),
    (said("Silhouette"), said("All that an outline encloses as one area.")),
    (said("Smallest detail"), said("What is less across goes to its neighbour, since it would tear or get lost.")),
    (said("Spacer"), said("What keeps two sheets of a stack apart, for depth.")),
    (said("Split line"), said("A line along which a region becomes two.")),
    (said("Stacked"), said("Each sheet is whole under those above it: easy to lay, and thick.")),
    (said("Stretch"), said("A part of a boundary, or all of the line around an area.")),
    (said("Stroke"), said("A drawn line from one meeting of lines to the next.")),
    (said("Test cut"), said("A small star cut first, to see whether the blade goes through the film and not its "
                            "paper.")),
    (said("Thickest"), said("How many sheets lie on each other at the thickest spot of a stack.")),
    (said("Weeding"), said("Taking off what is not wanted of a film after it was cut.")),
    (said("Window"), said("An opening through sheets, through which a lower one shows.")),
    (said("Windowed"), said("Each sheet is whole but for windows where a lower one shows: the fewest pieces.")),
)
