"""Words about what goes into the machine, beside those of single settings: which machine, which size, which prices."""

import itertools
import json
from dataclasses import replace
from pathlib import Path

from sketchloom.core.base.errors import PictureError, SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.units import parse_length_mm, parse_length_or_zero_mm
from sketchloom.core.sheets import choices
from sketchloom.core.sheets import prices as price_table
from sketchloom.recipe.document import Recipe

_MAX_PRICES_BYTES = 1 << 20
_MAX_OFFCUTS = choices.MAX_OFFCUTS


def add_to(group) -> None:
    """The words, in their group of the help."""
    group.add_argument("--machine", metavar="KEY",
                       help="plan for it: blade, roll, laser, router, pen, or one of your own table of machines")
    group.add_argument("--carrier", metavar="KEY|WxH",
                       help="12x12in, 12x24in, A4, A3 or another of the machine's; or a size of your own, as "
                            "300x400mm; default: the smallest that does")
    group.add_argument("--fit-into", metavar="WxH", help="as large as this place takes, as 19.5x26.5in")
    group.add_argument("--margin", metavar="10mm", help="kept free around --fit-into")
    group.add_argument("--prices", metavar="FILE.json", help="a table of prices, for the quote in the report")
    group.add_argument("--offcut", action="append", default=[], metavar="WxH[,MATERIAL]",
                       help="a rest of material that is used up first")


def asked(recipe: Recipe, options) -> Recipe:
    """The recipe with the machine and its carrier; SettingError names the word that is off."""
    changes = _machine_asked(recipe, options)
    if options.offcut:
        changes["offcuts"] = tuple(_offcut(text) for text in options.offcut[:_MAX_OFFCUTS])
    if options.margin is not None and options.fit_into is None:
        raise SettingError("--margin", said("given together with --fit-into"), options.margin)
    if options.fit_into is not None:
        place_of(options)
        if options.width or options.height:
            raise SettingError("--fit-into", said("given without --width and --height"), options.fit_into)
    return replace(recipe, **changes) if changes else recipe


def _machine_asked(recipe, options) -> dict:
    """Settings of the machine and its carrier."""
    from sketchloom.files import user_data

    changes: dict = {}
    if options.machine is not None:
        table = user_data.machines()
        changes["machine"] = next((m for m in table if m.key == options.machine), None)
        if changes["machine"] is None:
            raise SettingError("--machine", said("one of {keys}", keys=", ".join(m.key for m in table)),
                               options.machine)
    if options.carrier is not None:
        machine = changes.get("machine") or recipe.machine
        if machine is None:
            raise SettingError("--carrier", said("given together with --machine"), options.carrier)
        if machine.carrier(options.carrier) is None and _size("--carrier", options.carrier) is None:
            raise SettingError("--carrier", said("one of {keys}, or a size such as 300x400mm", keys=", ".join(
                c.key for c in machine.carriers)), options.carrier)
        changes["carrier"] = options.carrier
    return changes


def _size(flag, text):
    try:
        return choices.own_carrier(text)
    except SettingError as error:
        raise SettingError(flag, error.expected, text) from None


def _offcut(text):
    size, _, material = text.partition(",")
    wide_high = _size("--offcut", size)
    if wide_high is None:
        raise SettingError("--offcut", said("a size such as 120x300mm, and a material after a comma"), text)
    return choices.Offcut(*wide_high, material=material or None)


def place_of(options):
    """The place that the work is to fit into."""
    from sketchloom.core.sheets.sizing import Place

    wide, cross, high = options.fit_into.lower().replace("×", "x").partition("x")
    unit = "in" if high.rstrip().endswith("in") else "mm"
    try:
        if not cross:
            raise SettingError("--fit-into", said("a size"), options.fit_into)
        size = parse_length_mm(wide, unit), parse_length_mm(high, unit)
        margin = 0.0 if options.margin is None else parse_length_or_zero_mm(options.margin)
    except SettingError:
        raise SettingError("--fit-into", said("a size such as 19.5x26.5in, and --margin a length"),
                           f"{options.fit_into} {options.margin or ''}".strip()) from None
    if min(size) <= 2 * margin:
        raise SettingError("--margin", said("a margin that leaves something of the place"), options.margin)
    return Place("", *size, margin)


def prices_of(options) -> price_table.Prices:
    """The table of prices: the file that is named, else the user's own.

    Raises
    ------
    PictureError : the file cannot be read. SettingError : it is no table of prices.
    """
    from sketchloom.files import user_data

    if options.prices is None:
        return user_data.prices()
    path = Path(options.prices)
    try:
        if path.stat().st_size > _MAX_PRICES_BYTES:
            raise PictureError(path, said("is larger than a table of prices can be."))
        data = json.loads(path.read_text(encoding="utf-8"))
    except OSError:
        raise PictureError(path, said("cannot be read."), said("Name a file of prices that is there.")) from None
    except (ValueError, RecursionError):
        raise PictureError(path, said("is not a table of prices: it holds no JSON."),
                           said("docs/formats.md says what it holds.")) from None
    return price_table.from_plain(data)


def best_plan(works, options, cache=None):
    """The last of the plans of works, None where no machine was asked for or kept in the first, or where it carves."""
    from sketchloom.evaluate.carving import is_carved
    from sketchloom.evaluate.planning import plans_of

    if works[0].recipe.machine is None or (len(works) == 1 and is_carved(works[0])):
        return None
    *_, last = itertools.islice(plans_of(works, prices=prices_of(options), cache=cache), _MOST_PLANS)
    return last


_MOST_PLANS = 60
"""Plans looked at without a window, where nobody can say that one is good enough."""


def said_of(plan) -> str:
    """A line about a plan."""
    t = plan.tally
    cost = f", {t.cost:.2f}" if t.lines else ""
    return (f"{len(plan.sheets)} sheets for {plan.machine.name}: {t.cut_mm / 1000:.2f} m of cutting, "
            f"{t.travel_mm / 1000:.2f} m of travel, {t.low_s / 60:.0f} to {t.high_s / 60:.0f} minutes{cost}\n")
