"""The document: every setting and every edit of a work, and nothing derived."""

import dataclasses
from dataclasses import dataclass, field, fields

from sketchloom.core.colour import from_hex
from sketchloom.core.errors import SettingError
from sketchloom.core.picture.preparing.preparation import PLAIN, Preparation

READINGS = ("auto", "colour", "tone")
GROUNDS = ("auto", "touching", "everywhere", "keep")
LAYERINGS = ("stacked", "fitted")
UNITS = ("mm", "in")
SIDES = ("width", "height")
MAX_COLOURS = 24
MIN_SIZE_MM, MAX_SIZE_MM = 2.0, 10_000.0
MIN_DETAIL_MM, MAX_DETAIL_MM = 0.0, 100.0
MAX_PAGES, MIN_PAGE_DPI, MAX_PAGE_DPI = 5000, 36, 1200
TRUEST, SMOOTHEST = -2, 3
"""Steps of smoothness, from true to the pixels to clean sweeps."""


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

    ``merged_into`` names the key of the layer that takes this one's regions.
    """

    key: str
    name: str | None = None
    hex: str | None = None
    left_out: bool = False
    merged_into: str | None = None


@dataclass(frozen=True, slots=True)
class Recipe:
    """Settings and edits. None means that the program proposes the value.

    ``page`` of a document, from 0, and ``page_dpi`` it is drawn with. ``local_cut_off``: the cut-off
    follows the light. ``silhouette``: whatever ink encloses is ink. ``kept``: small details to keep
    all the same, each by a place in it, as shares of the prepared picture's width and height.
    ``size_mm`` belongs to ``size_side`` of the picture; the other side follows.
    ``palette`` is set once the user edited a colour. ``order`` holds layer keys, base first;
    empty for the proposed order. ``thin_mm``: narrower shapes become findings.
    ``smoothness``: each step lets curves keep off the boundary points by half as much again, or
    half as much less. ``exact_shapes``: circles, ellipses,
    level lines, round corners and symmetric outlines become exact ones.
    """

    page: int = 0
    page_dpi: int = 300
    preparation: Preparation = PLAIN
    reading: str = "auto"
    colours: int | None = None
    palette: tuple[PaletteEntry, ...] | None = None
    cut_off: int | None = None
    dark_is_ink: bool = True
    local_cut_off: bool = False
    silhouette: bool = False
    kept: tuple[tuple[float, float], ...] = ()
    ground: str = "auto"
    size_mm: float | None = None
    size_side: str = "width"
    smallest_mm: float = 1.0
    thin_mm: float = 0.8
    smoothness: int = 0
    exact_shapes: bool = True
    layering: str = "stacked"
    order: tuple[str, ...] = ()
    layers: tuple[LayerEdit, ...] = ()
    unit: str = "mm"
    unknown: dict = field(default_factory=dict, hash=False, compare=False)

    def __post_init__(self):
        _one_of("reading", self.reading, READINGS)
        _one_of("ground", self.ground, GROUNDS)
        _one_of("layering", self.layering, LAYERINGS)
        _one_of("unit", self.unit, UNITS)
        _one_of("size_side", self.size_side, SIDES)
        _within("colours", self.colours, 1, MAX_COLOURS, int)
        _within("cut_off", self.cut_off, 0, 255, int)
        _within("size_mm", self.size_mm, MIN_SIZE_MM, MAX_SIZE_MM, (int, float))
        _within("smallest_mm", self.smallest_mm, MIN_DETAIL_MM, MAX_DETAIL_MM, (int, float), optional=False)
        _within("thin_mm", self.thin_mm, MIN_DETAIL_MM, MAX_DETAIL_MM, (int, float), optional=False)
        _within("smoothness", self.smoothness, TRUEST, SMOOTHEST, int, optional=False)
        _within("page", self.page, 0, MAX_PAGES - 1, int, optional=False)
        _within("page_dpi", self.page_dpi, MIN_PAGE_DPI, MAX_PAGE_DPI, int, optional=False)
        for place in self.kept:
            _place("kept", place)
        for name in ("dark_is_ink", "exact_shapes", "local_cut_off", "silhouette"):
            if type(getattr(self, name)) is not bool:
                raise SettingError(name, "true or false", getattr(self, name))
        if self.palette is not None and not 1 <= len(self.palette) <= MAX_COLOURS:
            raise SettingError("palette", f"1 to {MAX_COLOURS} colours", len(self.palette))
        for entry in self.palette or ():
            if not entry.samples:
                raise SettingError("palette", "entries of at least one colour", entry)
            for sample in entry.samples:
                from_hex(sample)

    def edit_of(self, key: str) -> LayerEdit:
        """The edit made on a layer; an empty one when there is none."""
        return next((edit for edit in self.layers if edit.key == key), LayerEdit(key))

    def with_edit(self, key: str, **changes) -> "Recipe":
        """A copy with a layer's edit changed."""
        edit = dataclasses.replace(self.edit_of(key), **changes)
        rest = tuple(e for e in self.layers if e.key != key)
        return dataclasses.replace(self, layers=rest if edit == LayerEdit(key) else (*rest, edit))


def _one_of(name, value, allowed):
    if value not in allowed:
        raise SettingError(name, "one of " + ", ".join(allowed), value)


def _place(name, place):
    if not (isinstance(place, tuple) and len(place) == 2 and all(type(v) in (int, float) and 0 <= v <= 1 for v in place)):
        raise SettingError(name, "places as two shares between 0 and 1", place)


def _within(name, value, low, high, kind, optional=True):
    if value is None and optional:
        return
    if isinstance(value, bool) or not isinstance(value, kind) or not low <= value <= high:
        raise SettingError(name, f"between {low} and {high}", value)


def to_json(recipe: Recipe) -> dict:
    """Plain data of a recipe; keys it did not know when it was read are kept."""
    plain = dict(recipe.unknown)
    for f in fields(recipe):
        if f.name != "unknown":
            plain[f.name] = getattr(recipe, f.name)
    plain["palette"] = None if recipe.palette is None else [list(e.samples) for e in recipe.palette]
    plain["preparation"] = dataclasses.asdict(recipe.preparation)
    plain["kept"] = [list(place) for place in recipe.kept]
    plain["order"] = list(recipe.order)
    plain["layers"] = [dataclasses.asdict(edit) for edit in recipe.layers]
    return plain


def from_json(data, where: str = "$") -> Recipe:
    """A recipe from plain data of any origin; raises SettingError naming the field."""
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
    values["kept"] = tuple(_numbers(p, f"{where}.kept[{i}]", 2) for i, p in enumerate(_list(values.get("kept", []), f"{where}.kept")))
    values["order"] = _texts(values.get("order", []), f"{where}.order")
    values["layers"] = tuple(
        _edit(e, f"{where}.layers[{i}]") for i, e in enumerate(_list(values.get("layers", []), f"{where}.layers")))
    return Recipe(**values, unknown={k: v for k, v in data.items() if k not in known})


def _list(value, where):
    if not isinstance(value, list) or len(value) > 1000:
        raise SettingError(where, "a list of at most 1000", type(value).__name__)
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


def _preparation(value, where):
    if not isinstance(value, dict):
        raise SettingError(where, "an object", type(value).__name__)
    known = {f.name for f in fields(Preparation)}
    steps = {k: v for k, v in value.items() if k in known}
    if steps.get("crop") is not None:
        steps["crop"] = _numbers(steps["crop"], f"{where}.crop", 4)
    if steps.get("page") is not None:
        steps["page"] = tuple(_numbers(p, f"{where}.page[{i}]", 2) for i, p in enumerate(_list(steps["page"], f"{where}.page")))
    return Preparation(**steps)


def _edit(value, where):
    if not isinstance(value, dict) or not isinstance(value.get("key"), str):
        raise SettingError(where, "an object with a key", value)
    texts = {}
    for name in ("key", "name", "hex", "merged_into"):
        text = value.get(name)
        if text is not None and (not isinstance(text, str) or len(text) > 200):
            raise SettingError(f"{where}.{name}", "a short text", text)
        texts[name] = text
    if texts["hex"] is not None:
        from_hex(texts["hex"])
    return LayerEdit(**texts, left_out=value.get("left_out") is True)
