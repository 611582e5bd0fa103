"""Rules that follow from the materials of sheets."""

from sketchloom.core.base.said import Said, said
from sketchloom.core.preflight.findings import LAYERS, STOP, WARN, rule
from sketchloom.core.sheets.material import LASER

ON_ITS_LIKE = rule(
    "material.on_its_like",
    STOP,
    LAYERS,
    said("a material lies on one it does not bond to"),
    said(
        "{name} must not lie on another {family}: the press does not bond them. Choose a plain film below it, or lay "
        "them beside each other (fitted)."
    ),
)
TOOL = rule(
    "material.tool",
    STOP,
    LAYERS,
    said("the tool must not cut this material"),
    {
        "fumes": said(
            "{name} is not cut by a {tool}: its fumes are poisonous and eat the machine. Choose another material or "
            "tool; the machine's manual decides."
        ),
        "unfit": said(
            "{name} is not cut by a {tool}: it is not made for it. Choose another material or tool; the machine's "
            "manual decides."
        ),
    },
)
SHRINKS = rule(
    "material.shrinks",
    WARN,
    LAYERS,
    said("several pieces of a shrinking material carried over as one"),
    said(
        "{name} shrinks under heat: {pieces} pieces carried over as one move against each other. Carry them one by one."
    ),
    said("Part its pieces"),
)
THIN = rule(
    "material.thin", WARN, LAYERS, said("a shape is narrower than its material bears"),
    said("{width:.2f} mm is too thin for {name}, which bears {bears:g} mm."))
GAP = rule(
    "material.gap",
    WARN,
    LAYERS,
    said("two cuts are nearer than their material bears"),
    said(
        "Two cuts come within {space:.2f} mm; {name} wants {wants:g} mm between cuts. Drop what parts them, or make "
        "the work larger."
    ),
)
TOO_HIGH = rule(
    "material.too_high", WARN, LAYERS, said("the stack is higher than the frame is deep"),
    said("The stack is {high:.1f} mm high and the frame {deep:g} mm deep. Take fewer or thinner sheets or spacers."))


def check_materials(
    layers, material_of, lies_on_family, tool: str, frame_depth_mm: float | None, heights_mm, apart=(), space_mm=()
):
    """Findings that follow from the materials of sheets.

    Parameters
    ----------
    layers : finished layers, base first. material_of : for each its Material or None.
    lies_on_family : for each the families of the sheets it lies on.
    tool : what cuts. frame_depth_mm : inner depth of a frame, None for none. heights_mm : height of the whole stack.
    apart : keys of layers whose pieces are carried one by one.
    space_mm : for each the narrowest space between its cuts, None where none is near.
    """
    found, spaces = [], dict(enumerate(space_mm))
    for number, (layer, material, below) in enumerate(zip(layers, material_of, lies_on_family, strict=True)):
        if material is not None:
            found += _of_sheet(layer, material, below, tool, layer.plan.key in apart, spaces.get(number))
    if frame_depth_mm is not None and heights_mm > frame_depth_mm:
        found.append(TOO_HIGH.found(high=heights_mm, deep=frame_depth_mm))
    return tuple(found)


def _of_sheet(layer, material, below, tool, is_apart, space_mm):
    where = {"plan": layer.plan, "at": layer.outline.controls[0, 0] if len(layer.outline.controls) else None}
    if not material.lies_on and material.family in below:
        yield ON_ITS_LIKE.found(**where, name=Said(material.name), family=Said(material.family))
    if tool not in material.tools:
        poisonous = tool == LASER and "film" in material.family
        yield TOOL.found("fumes" if poisonous else "unfit", **where, name=Said(material.name), tool=Said(tool))
    if material.shrinks and layer.outline.pieces > 1 and not is_apart:
        yield SHRINKS.found(**where, name=Said(material.name), pieces=layer.outline.pieces)
    if layer.min_feature_mm is not None and layer.min_feature_mm < material.smallest_mm:
        yield THIN.found(**where, width=layer.min_feature_mm, name=Said(material.name), bears=material.smallest_mm)
    if space_mm is not None and space_mm < material.gap_mm:
        yield GAP.found(**where, space=space_mm, name=Said(material.name), wants=material.gap_mm)
