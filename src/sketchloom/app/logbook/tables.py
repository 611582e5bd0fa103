"""What the logbook's tables show of each kind: columns, and how a record is told in them."""

from sketchloom.app.parts.sheets_strip import minutes_text
from sketchloom.app.words import named, told
from sketchloom.core.base.setting import settings_of
from sketchloom.core.base.units import format_length
from sketchloom.core.logbook.records import Batch, Blade, Device, Job, Stock, Try

COLUMNS = {
    Job: ("at", "work", "machine", "width_mm", "planned_s", "real_s", "state"),
    Try: ("at", "material", "force", "speed", "verdict", "blade"),
    Stock: ("at", "material", "kind", "width_mm", "height_mm", "count", "value"),
    Batch: ("name", "family", "batch", "price", "per", "at"),
    Device: ("name", "kind", "since", "note"),
    Blade: ("name", "machine", "since", "note"),
}
KEYS = {Job: "jobs", Try: "tests", Stock: "stock", Batch: "batches", Device: "machines", Blade: "blades"}
"""What each kind is called by the parts of its page."""
WIDE = {Batch: 0, Device: 0, Blade: 0}
"""The column that takes what room is left; the second where it is not said."""


def heads(kind) -> list[str]:
    """What the columns are called."""
    its = {one.name: one for one in settings_of(kind)}
    return [told(its[name].label).removesuffix(", s") for name in COLUMNS[kind]]


def cells(one, unit: str) -> list[str]:
    """A record in words."""
    its = {s.name: s for s in settings_of(type(one))}
    return [_cell(its[name], getattr(one, name), unit) for name in COLUMNS[type(one)]]


def _cell(its, value, unit):
    if its.name in ("at", "since"):
        return value[:16].replace("T", "  ")
    if its.name.endswith("_s"):
        return minutes_text(value) if value else ""
    if its.kind == "length":
        return format_length(value, unit) if value else ""
    if its.kind == "choice":
        return told((its.names or its.choices)[its.choices.index(value)])
    if its.name in ("value", "price"):
        return f"{value:.2f}" if value else ""
    return named(value) if isinstance(value, str) else f"{value:g}"
