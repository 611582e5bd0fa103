"""The document: every setting and every edit of a work, and nothing derived."""

import dataclasses
from dataclasses import dataclass, field, fields

from sketchloom.core import checks
from sketchloom.core.background.steps import NOTHING, Background, BackgroundStep
from sketchloom.core.colour import from_hex
from sketchloom.core.curves.reshaping import CurveEdit
from sketchloom.core.edits.painting import PaintedLine
from sketchloom.core.edits.region_edits import RegionEdit
from sketchloom.core.errors import SettingError
from sketchloom.core.layers.layering import WAYS
from sketchloom.core.layers.rims import Rim
from sketchloom.core.picture.preparing.mirroring import Mirror
from sketchloom.core.picture.preparing.preparation import PLAIN, Preparation
from sketchloom.core.segment.parts import Grown, Patch
from sketchloom.core.sheets.materials import BLADE, TOOLS, Material, from_plain, to_plain
from sketchloom.core.shapes.placed import CoveredArea, PlacedShape, SplitLine
from sketchloom.core.words import ENGLISH, languages

READINGS = ("auto", "colour", "tone", "line", "photo")
DOUBLES = ("middle", "outer", "filled")
GROUNDS = ("auto", "touching", "everywhere", "keep")
LAYERINGS = WAYS
UNITS = ("mm", "in")
SIDES = ("width", "height")
MAX_COLOURS = 24
MIN_SIZE_MM, MAX_SIZE_MM = 2.0, 10_000.0
MIN_DETAIL_MM, MAX_DETAIL_MM = 0.0, 100.0
MIN_TONES, MAX_TONES = 2, 8
MAX_PENS = 4
MAX_EDITS = 20_000
MAX_ALTERNATIVES = 40
MAX_OVERLAP_MM, MAX_SHEET_MM = 2.0, 50.0
MAX_PAGES, MIN_PAGE_DPI, MAX_PAGE_DPI = 5000, 36, 1200
TRUEST, SMOOTHEST = -2, 3
"""Steps of smoothness, from true to the pixels to clean sweeps."""


PINS = BASE, TOP = ("base", "top")
MAX_RULES = 200


@dataclass(frozen=True, slots=True)
class PaletteEntry:
    """One colour to cut: the picture's colours that belong to it, the first gives its look."""

    samples: tuple[str, ...]

    @property
    def hex(self) -> str:
        return self.samples[0]


@dataclass(frozen=True, slots=True)
class LayerEdit:
    """What the user changed on a layer. ``key`` is the palette colour it was made on.

    ``merged_into`` names the key of the layer that takes this one's regions; ``layering`` a way of its own;
    ``material`` the key of what its sheet is cut from; ``pin``: proposed orders have it as ``base`` or on ``top``.
    ``apart``: its pieces are carried, and written, one by one. ``locked``: gestures leave its regions, name and colour as they are;
    ``hidden``: it is not painted, but cut all the same; ``group`` a name that layers share.
    """

    key: str
    name: str | None = None
    hex: str | None = None
    left_out: bool = False
    merged_into: str | None = None
    layering: str | None = None
    material: str | None = None
    pin: str | None = None
    apart: bool = False
    locked: bool = False
    hidden: bool = False
    group: str | None = None

    def __post_init__(self):
        if self.pin is not None:
            checks.one_of("layers.pin", self.pin, PINS)
        if self.layering is not None:
            checks.one_of("layers.layering", self.layering, LAYERINGS)


@dataclass(frozen=True, slots=True)
class Alternative:
    """The same work done otherwise, kept beside: a name and all its settings (which keep no others in turn)."""

    name: str
    recipe: "Recipe"

    def __post_init__(self):
        if not isinstance(self.name, str) or not 0 < len(self.name) <= 100:
            raise SettingError("alternatives.name", "a short text", self.name)
        if not isinstance(self.recipe, Recipe) or self.recipe.alternatives:
            raise SettingError("alternatives.recipe", "settings without alternatives of their own", type(self.recipe).__name__)


@dataclass(frozen=True, slots=True)
class Recipe:
    """Settings and edits. None means that the program proposes the value.

    ``page`` of a document, from 0, and ``page_dpi`` it is drawn with. ``local_cut_off``: the cut-off
    follows the light. ``silhouette``: whatever ink encloses is ink. ``kept``: small details to keep
    all the same, each by a place in it, as shares of the width and height of the picture as it came, like all places here.
    ``background``: what the picture is freed of. ``locked``: palette colours that stay whatever the
    number of colours. ``tones`` of the photo reading, ``photo_outlines`` darkest lines on top of them,
    ``features``: small but strong details (eyes, a mouth) stay. ``pen_mm`` None: the line reading gives
    pen lines; else strokes of that width to cut. ``pens``: so many pens, each for strokes of about one
    width. ``spur_mm``: shorter side strokes are dropped;
    ``strokes_removed`` each by a place on it. ``double_mm``: cuts nearer than this along a length are
    made one, ``double_to`` the way; 0 leaves them. ``grown`` regions and ``patches`` with settings of
    their own. ``size_mm`` belongs to ``size_side`` of the picture; the other side follows.
    ``palette`` is set once the user edited a colour. ``order`` holds layer keys, base first;
    empty for the proposed order, which keeps to ``above``: pairs of keys (upper, lower). ``overlap_mm``: fitted and lean sheets reach so far under what
    covers them. ``sheet_mm`` thickness of a sheet, ``spacer_mm`` of what is between two. ``marks``: every
    sheet has three holes beside the work to lay it by. ``weeding_mm``: a frame is cut so far
    around every sheet, with lines ``weeding_every_mm`` apart through the waste in it; 0 for none. ``materials`` that its layers name, ``tool`` that cuts, ``frame_depth_mm`` a frame's inner depth. ``laid_on``: colour of
    the shirt, wall or card below everything, when it was said. ``order_weights``: how much the proposed order is to save cutting, pieces and film, 0 to 1 each. ``thin_mm``: narrower shapes become findings.
    ``smoothness``: each step lets curves keep off the boundary points by half as much again, or
    half as much less. ``exact_shapes``: circles, ellipses,
    level lines, round corners and symmetric outlines become exact ones. ``edits`` of single regions,
    in the order in which they are applied; ``all_off``: only regions that edits keep or colour are there.
    ``lines`` painted into the picture before it is read. ``covers``: areas filled with
    what is around them. ``curves``: stretches of boundary with another course. ``rims``: sheets of outlines grown or shrunk. ``alternatives`` kept beside. ``shapes`` laid over the regions, ``splits`` drawn through them. ``names_in``: language that layers are named in.
    """

    page: int = 0
    page_dpi: int = 300
    preparation: Preparation = PLAIN
    background: Background = NOTHING
    reading: str = "auto"
    colours: int | None = None
    palette: tuple[PaletteEntry, ...] | None = None
    locked: tuple[str, ...] = ()
    cut_off: int | None = None
    dark_is_ink: bool = True
    local_cut_off: bool = False
    silhouette: bool = False
    tones: int = 4
    photo_outlines: bool = False
    features: bool = True
    pen_mm: float | None = None
    pens: int = 1
    spur_mm: float = 2.0
    strokes_removed: tuple[tuple[float, float], ...] = ()
    double_mm: float = 0.0
    double_to: str = "middle"
    grown: tuple[Grown, ...] = ()
    patches: tuple[Patch, ...] = ()
    kept: tuple[tuple[float, float], ...] = ()
    ground: str = "auto"
    size_mm: float | None = None
    size_side: str = "width"
    smallest_mm: float = 1.0
    thin_mm: float = 0.8
    smoothness: int = 0
    exact_shapes: bool = True
    layering: str = "stacked"
    overlap_mm: float = 0.0
    sheet_mm: float = 0.1
    spacer_mm: float = 0.0
    marks: bool = False
    weeding_mm: float = 0.0
    weeding_every_mm: float = 0.0
    materials: tuple[Material, ...] = ()
    tool: str = BLADE
    frame_depth_mm: float | None = None
    laid_on: str | None = None
    order_weights: tuple[float, float, float] = (1.0, 0.0, 0.0)
    order: tuple[str, ...] = ()
    above: tuple[tuple[str, str], ...] = ()
    layers: tuple[LayerEdit, ...] = ()
    edits: tuple[RegionEdit, ...] = ()
    all_off: bool = False
    lines: tuple[PaintedLine, ...] = ()
    shapes: tuple[PlacedShape, ...] = ()
    splits: tuple[SplitLine, ...] = ()
    covers: tuple[CoveredArea, ...] = ()
    curves: tuple[CurveEdit, ...] = ()
    rims: tuple[Rim, ...] = ()
    alternatives: tuple[Alternative, ...] = ()
    unit: str = "mm"
    names_in: str = ENGLISH
    unknown: dict = field(default_factory=dict, hash=False, compare=False)

    def __post_init__(self):
        for name, allowed in (("reading", READINGS), ("ground", GROUNDS), ("layering", LAYERINGS), ("unit", UNITS),
                              ("size_side", SIDES), ("double_to", DOUBLES), ("tool", TOOLS), ("names_in", tuple(languages()))):
            checks.one_of(name, getattr(self, name), allowed)
        for name, low, high, kind, optional in _NUMBERS:
            checks.within(name, getattr(self, name), low, high, kind, optional)
        for name in ("kept", "strokes_removed"):
            checks.places(name, getattr(self, name), 0, 1000)
        for name in ("dark_is_ink", "exact_shapes", "local_cut_off", "silhouette", "photo_outlines", "features", "all_off", "marks"):
            checks.true_or_false(name, getattr(self, name))
        for name in ("edits", "lines", "shapes", "splits", "covers", "curves", "rims"):
            if len(getattr(self, name)) > MAX_EDITS:
                raise SettingError(name, f"at most {MAX_EDITS}", len(getattr(self, name)))
        if not isinstance(self.order_weights, tuple) or len(self.order_weights) != 3 or not all(
                isinstance(w, (int, float)) and not isinstance(w, bool) and 0 <= w <= 1 for w in self.order_weights) or not any(self.order_weights):
            raise SettingError("order_weights", "three shares from 0 to 1, not all 0", self.order_weights)
        if not isinstance(self.above, tuple) or len(self.above) > MAX_RULES or not all(
                isinstance(rule, tuple) and len(rule) == 2 and all(isinstance(key, str) for key in rule) for rule in self.above):
            raise SettingError("above", f"at most {MAX_RULES} pairs of layers", self.above)
        if len(self.alternatives) > MAX_ALTERNATIVES:
            raise SettingError("alternatives", f"at most {MAX_ALTERNATIVES}", len(self.alternatives))
        if self.palette is not None and not 1 <= len(self.palette) <= MAX_COLOURS:
            raise SettingError("palette", f"1 to {MAX_COLOURS} colours", len(self.palette))
        for entry in self.palette or ():
            if not entry.samples:
                raise SettingError("palette", "entries of at least one colour", entry)
            for sample in entry.samples:
                from_hex(sample)
        for colour in (*self.locked, *(() if self.laid_on is None else (self.laid_on,))):
            from_hex(colour)

    def edit_of(self, key: str) -> LayerEdit:
        """The edit made on a layer; an empty one when there is none."""
        return next((edit for edit in self.layers if edit.key == key), LayerEdit(key))

    def material_of(self, key: str) -> Material | None:
        """What a layer's sheet is cut from, if that was said."""
        wanted = next((r.material for n, r in enumerate(self.rims) if rim_key(r, n) == key), self.edit_of(key).material)
        return next((m for m in self.materials if m.key == wanted), None)

    def with_material(self, key: str, material: Material | None) -> "Recipe":
        """A copy in which a layer is cut from another material; only those that layers name are kept."""
        named_key = None if material is None else material.key
        of_rim = [n for n, r in enumerate(self.rims) if rim_key(r, n) == key]
        if of_rim:
            made = dataclasses.replace(self, rims=tuple(dataclasses.replace(r, material=named_key) if n in of_rim else r for n, r in enumerate(self.rims)))
        else:
            made = self.with_edit(key, material=named_key)
        named = {e.material for e in made.layers} | {r.material for r in made.rims}
        others = tuple(m for m in made.materials if material is None or m.key != material.key)
        return dataclasses.replace(made, materials=tuple(m for m in (*others, *((material,) if material else ())) if m.key in named))

    def kept_as(self, name: str) -> "Recipe":
        """A copy that keeps the present settings as an alternative."""
        return dataclasses.replace(self, alternatives=(*self.alternatives, Alternative(name, dataclasses.replace(self, alternatives=()))))

    def with_edit(self, key: str, **changes) -> "Recipe":
        """A copy with a layer's edit changed."""
        edit = dataclasses.replace(self.edit_of(key), **changes)
        rest = tuple(e for e in self.layers if e.key != key)
        return dataclasses.replace(self, layers=rest if edit == LayerEdit(key) else (*rest, edit))


def rim_key(rim: Rim, number: int) -> str:
    """The key of the sheet of a rim, by its place among the rims."""
    return f"{rim.kind} {number + 1}"


_REAL = (int, float)
_NUMBERS = (
    ("colours", 1, MAX_COLOURS, int, True), ("cut_off", 0, 255, int, True), ("size_mm", MIN_SIZE_MM, MAX_SIZE_MM, _REAL, True),
    ("smallest_mm", MIN_DETAIL_MM, MAX_DETAIL_MM, _REAL, False), ("thin_mm", MIN_DETAIL_MM, MAX_DETAIL_MM, _REAL, False),
    ("smoothness", TRUEST, SMOOTHEST, int, False), ("page", 0, MAX_PAGES - 1, int, False),
    ("page_dpi", MIN_PAGE_DPI, MAX_PAGE_DPI, int, False), ("tones", MIN_TONES, MAX_TONES, int, False),
    ("weeding_mm", 0.0, 200.0, _REAL, False), ("weeding_every_mm", 0.0, 500.0, _REAL, False),
    ("pen_mm", 0.05, MAX_DETAIL_MM, _REAL, True), ("spur_mm", 0.0, MAX_DETAIL_MM, _REAL, False),
    ("double_mm", 0.0, MAX_DETAIL_MM, _REAL, False), ("overlap_mm", 0.0, MAX_OVERLAP_MM, _REAL, False),
    ("sheet_mm", 0.01, MAX_SHEET_MM, _REAL, False), ("frame_depth_mm", 0.1, 1000.0, _REAL, True), ("spacer_mm", 0.0, MAX_SHEET_MM, _REAL, False), ("pens", 1, MAX_PENS, int, False),
)


def to_json(recipe: Recipe) -> dict:
    """Plain data of a recipe; keys it did not know when it was read are kept."""
    plain = dict(recipe.unknown)
    for f in fields(recipe):
        if f.name != "unknown":
            plain[f.name] = getattr(recipe, f.name)
    plain["palette"] = None if recipe.palette is None else [list(e.samples) for e in recipe.palette]
    for name in ("preparation", "background"):
        plain[name] = _plain(dataclasses.asdict(plain[name]))
    for name in ("kept", "strokes_removed", "locked"):
        plain[name] = _plain(plain[name])
    for name in ("grown", "patches", "edits", "lines", "shapes", "splits", "covers", "curves", "rims"):
        plain[name] = [_plain(dataclasses.asdict(part)) for part in plain[name]]
    plain["materials"] = to_plain(recipe.materials)
    plain["alternatives"] = [{"name": a.name, "recipe": to_json(a.recipe)} for a in recipe.alternatives]
    plain["order"], plain["order_weights"] = list(recipe.order), list(recipe.order_weights)
    plain["above"] = [list(rule) for rule in recipe.above]
    plain["layers"] = [dataclasses.asdict(edit) for edit in recipe.layers]
    return plain


def from_json(data, where: str = "$", nested: bool = False) -> Recipe:
    """A recipe from plain data of any origin; raises SettingError naming the field. ``nested``: one kept as an alternative."""
    if not isinstance(data, dict):
        raise SettingError(where, "an object", type(data).__name__)
    known = {f.name for f in fields(Recipe)} - {"unknown"}
    values = {k: v for k, v in data.items() if k in known}
    if values.get("palette") is not None:
        values["palette"] = tuple(
            PaletteEntry(_texts(entry, f"{where}.palette[{i}]"))
            for i, entry in enumerate(_list(values["palette"], f"{where}.palette")))
    if "preparation" in values:
        values["preparation"] = _preparation(values["preparation"], f"{where}.preparation")
    if "background" in values:
        values["background"] = _background(values["background"], f"{where}.background")
    for name in ("kept", "strokes_removed"):
        values[name] = _places(values.get(name, []), f"{where}.{name}")
    for name, kind, most in (("grown", Grown, 1000), ("patches", Patch, 1000), ("edits", RegionEdit, MAX_EDITS),
                             ("lines", PaintedLine, MAX_EDITS), ("shapes", PlacedShape, MAX_EDITS), ("splits", SplitLine, MAX_EDITS),
                             ("covers", CoveredArea, MAX_EDITS), ("curves", CurveEdit, MAX_EDITS),
                             ("rims", Rim, 100)):
        values[name] = _parts(values.get(name, []), f"{where}.{name}", kind, most)
    values["materials"] = from_plain(values.get("materials", []), f"{where}.materials")
    if "order_weights" in values:
        values["order_weights"] = _numbers(values["order_weights"], f"{where}.order_weights", 3)
    values["alternatives"] = () if nested else _alternatives(values.get("alternatives", []), f"{where}.alternatives")
    values["locked"] = _texts(values.get("locked", []), f"{where}.locked")
    values["order"] = _texts(values.get("order", []), f"{where}.order")
    values["above"] = tuple(_texts(rule, f"{where}.above[{i}]") for i, rule in enumerate(_list(values.get("above", []), f"{where}.above")))
    values["layers"] = tuple(
        _edit(e, f"{where}.layers[{i}]") for i, e in enumerate(_list(values.get("layers", []), f"{where}.layers")))
    return Recipe(**values, unknown={k: v for k, v in data.items() if k not in known})


def _alternatives(value, where):
    made = []
    for i, part in enumerate(_list(value, where, MAX_ALTERNATIVES)):
        if not isinstance(part, dict) or not isinstance(part.get("name"), str):
            raise SettingError(f"{where}[{i}]", "an object with a name and a recipe", type(part).__name__)
        made.append(Alternative(part["name"], from_json(part.get("recipe"), f"{where}[{i}].recipe", True)))
    return tuple(made)


def _list(value, where, most=1000):
    if not isinstance(value, list) or len(value) > most:
        raise SettingError(where, f"a list of at most {most}", type(value).__name__)
    return value


def _texts(value, where):
    for i, text in enumerate(_list(value, where)):
        if not isinstance(text, str) or len(text) > 200:
            raise SettingError(f"{where}[{i}]", "a short text", text)
    return tuple(value)


def _numbers(value, where, count):
    if not isinstance(value, list) or len(value) != count or not all(type(v) in (int, float) for v in value):
        raise SettingError(where, f"{count} numbers", value)
    return tuple(value)


def _places(value, where, most=4000):
    return tuple(_numbers(p, f"{where}[{i}]", 2) for i, p in enumerate(_list(value, where, most)))


def _plain(value):
    """Tuples as lists, all the way down."""
    if isinstance(value, (tuple, list)):
        return [_plain(v) for v in value]
    return {k: _plain(v) for k, v in value.items()} if isinstance(value, dict) else value


def _parts(value, where, kind, most=1000):
    """Frozen parts of a recipe, each an object of known fields."""
    names = {f.name for f in fields(kind)}
    needed = {f.name for f in fields(kind) if f.default is dataclasses.MISSING}
    made = []
    for i, part in enumerate(_list(value, where, most)):
        if not isinstance(part, dict) or not needed <= set(part):
            raise SettingError(f"{where}[{i}]", "an object with " + ", ".join(sorted(needed)), part)
        known = {k: v for k, v in part.items() if k in names}
        for name in ("points", "stretch", "path"):
            if name in known:
                known[name] = _places(known[name], f"{where}[{i}].{name}")
        if "rings" in known:
            known["rings"] = tuple(_places(ring, f"{where}[{i}].rings", 20_000) for ring in _list(known["rings"], f"{where}[{i}].rings", 4000))
        made.append(kind(**known))
    return tuple(made)


def _background(value, where):
    if not isinstance(value, dict):
        raise SettingError(where, "an object", value)
    known = {k: v for k, v in value.items() if k in {f.name for f in fields(Background)}}
    known["steps"] = _parts(known.get("steps", []), f"{where}.steps", BackgroundStep)
    return Background(**known)


def _preparation(value, where):
    if not isinstance(value, dict):
        raise SettingError(where, "an object", type(value).__name__)
    known = {f.name for f in fields(Preparation)}
    steps = {k: v for k, v in value.items() if k in known}
    if steps.get("crop") is not None:
        steps["crop"] = _numbers(steps["crop"], f"{where}.crop", 4)
    if steps.get("page") is not None:
        steps["page"] = tuple(_numbers(p, f"{where}.page[{i}]", 2) for i, p in enumerate(_list(steps["page"], f"{where}.page")))
    if steps.get("mirror") is not None:
        mirror = steps["mirror"]
        if not isinstance(mirror, dict):
            raise SettingError(f"{where}.mirror", "an object", mirror)
        steps["mirror"] = Mirror(**{k: v for k, v in mirror.items() if k in {f.name for f in fields(Mirror)}})
    return Preparation(**steps)


def _edit(value, where):
    if not isinstance(value, dict) or not isinstance(value.get("key"), str):
        raise SettingError(where, "an object with a key", value)
    texts = {}
    for name in ("key", "name", "hex", "merged_into", "layering", "material", "pin", "group"):
        text = value.get(name)
        if text is not None and (not isinstance(text, str) or len(text) > 200):
            raise SettingError(f"{where}.{name}", "a short text", text)
        texts[name] = text
    if texts["hex"] is not None:
        from_hex(texts["hex"])
    return LayerEdit(**texts, left_out=value.get("left_out") is True, **{name: value.get(name) is True for name in ("apart", "locked", "hidden")})
