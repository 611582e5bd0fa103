"""Materials of sheets: what each bears, and the rules of the trade that follow."""

import json
from dataclasses import asdict, dataclass, fields
from importlib.resources import files

from sketchloom.core import checks
from sketchloom.core.errors import SettingError
from sketchloom.core.preflight.findings import STOP, WARN, Finding

BLADE, LASER, ROUTER = TOOLS = ("blade", "laser", "router")
FAMILIES = ("film", "heat film", "flake film", "flocked film", "paper", "card", "board", "spacer", "acrylic", "wood", "fabric")
MAX_MATERIALS = 200


@dataclass(frozen=True, slots=True)
class Material:
    """A material. ``smallest_mm`` detail and ``gap_mm`` between cuts that it bears; ``shrinks`` under heat; ``lies_on``: it may
    lie on a sheet of its own family; ``tools`` that may cut it; ``caution`` beside its choice."""

    key: str
    name: str
    family: str
    thickness_mm: float
    smallest_mm: float
    gap_mm: float
    shrinks: bool = False
    lies_on: bool = True
    tools: tuple[str, ...] = (BLADE,)
    caution: str = ""

    def __post_init__(self):
        for name in ("key", "name", "caution"):
            if not isinstance(getattr(self, name), str) or len(getattr(self, name)) > 300 or name != "caution" and not getattr(self, name):
                raise SettingError(f"materials.{name}", "a short text", getattr(self, name))
        checks.one_of("materials.family", self.family, FAMILIES)
        for name, least in (("thickness_mm", 0.01), ("smallest_mm", 0.0), ("gap_mm", 0.0)):
            checks.within(f"materials.{name}", getattr(self, name), least, 100.0, (int, float), optional=False)
        for name in ("shrinks", "lies_on"):
            checks.true_or_false(f"materials.{name}", getattr(self, name))
        if not isinstance(self.tools, tuple) or not all(t in TOOLS for t in self.tools):
            raise SettingError("materials.tools", "some of " + ", ".join(TOOLS), self.tools)


def from_plain(data, where: str = "materials") -> tuple[Material, ...]:
    """Materials from plain data of any origin; raises SettingError."""
    if not isinstance(data, list) or len(data) > MAX_MATERIALS:
        raise SettingError(where, f"a list of at most {MAX_MATERIALS}", type(data).__name__)
    names, made = {f.name for f in fields(Material)}, []
    for i, part in enumerate(data):
        if not isinstance(part, dict) or not {"key", "name", "family", "thickness_mm", "smallest_mm", "gap_mm"} <= set(part):
            raise SettingError(f"{where}[{i}]", "a material with key, name, family and sizes", type(part).__name__)
        known = {k: v for k, v in part.items() if k in names}
        if isinstance(known.get("tools"), list):
            known["tools"] = tuple(known["tools"])
        made.append(Material(**known))
    return tuple(made)


def to_plain(materials) -> list[dict]:
    return [{**asdict(m), "tools": list(m.tools)} for m in materials]


def shipped() -> tuple[Material, ...]:
    """The plain generic kinds that come with the program (values are common practice, no source)."""
    return from_plain(json.loads(files("sketchloom").joinpath("data", "materials.json").read_text()))


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
