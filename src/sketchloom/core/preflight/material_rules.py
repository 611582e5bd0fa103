"""Rules that follow from the materials of sheets."""

from sketchloom.core.preflight.findings import STOP, WARN, Finding
from sketchloom.core.sheets.material import LASER


def check_materials(layers, material_of, lies_on_family, tool: str, frame_depth_mm: float | None, heights_mm, apart=(), space_mm=()):
    """Findings that follow from the materials of sheets.

    Parameters
    ----------
    layers : finished layers, base first. material_of : for each its Material or None.
    lies_on_family : for each the families of the sheets it lies on.
    space_mm : for each the narrowest space between its cuts, None where none is near. apart : keys of layers whose pieces are carried one by one. tool : what cuts. frame_depth_mm : inner depth of a frame, None for none. heights_mm : height of the whole stack.
    """
    found = []
    for number, (layer, material, below) in enumerate(zip(layers, material_of, lies_on_family)):
        if material is None:
            continue
        name, at = layer.plan.name, layer.outline.controls[0, 0].tolist() if len(layer.outline.controls) else (None, None)
        if not material.lies_on and material.family in below:
            found.append(Finding("material.on_its_like", STOP, f"{material.name} must not lie on another {material.family}: the press does not bond them. "
                                 "Choose a plain film below it, or lay them beside each other (fitted).", name, *at))
        if tool not in material.tools:
            why = "its fumes are poisonous and eat the machine" if tool == LASER and "film" in material.family else "it is not made for it"
            found.append(Finding("material.tool", STOP, f"{material.name} is not cut by a {tool}: {why}. Choose another material or tool; "
                                 "the machine's manual decides.", name, *at))
        if material.shrinks and layer.outline.pieces > 1 and layer.plan.key not in apart:
            found.append(Finding("material.shrinks", WARN, f"{material.name} shrinks under heat: {layer.outline.pieces} pieces carried over as one move "
                                 "against each other. Carry them one by one.", name, *at))
        if layer.min_feature_mm is not None and layer.min_feature_mm < material.smallest_mm:
            found.append(Finding("material.thin", WARN, f"{layer.min_feature_mm:.2f} mm is too thin for {material.name}, which bears "
                                 f"{material.smallest_mm:g} mm.", name, *at))
        space = dict(enumerate(space_mm)).get(number)
        if space is not None and space < material.gap_mm:
            found.append(Finding("material.gap", WARN, f"Two cuts come within {space:.2f} mm; {material.name} wants {material.gap_mm:g} mm between cuts. "
                                 "Drop what parts them, or make the work larger.", name, *at))
    if frame_depth_mm is not None and heights_mm > frame_depth_mm:
        found.append(Finding("material.too_high", WARN, f"The stack is {heights_mm:.1f} mm high and the frame {frame_depth_mm:g} mm deep. "
                             "Take fewer or thinner sheets or spacers."))
    return tuple(found)
