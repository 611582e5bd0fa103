"""What words of ``loom trace`` ask of sheets: those that hold for all, and those that name a layer or a place, which
are looked up once there is a trace."""

from dataclasses import replace

import numpy as np

from sketchloom.command import plan_words, setting_words
from sketchloom.core.base.colour import from_hex
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.units import parse_length_or_zero_mm
from sketchloom.core.base.words import word
from sketchloom.core.edits.decisions import ABOVE, BELOW, COLOUR, DROP, KEEP, WINDOW
from sketchloom.core.layers import ways
from sketchloom.core.layers.added import BACKING, RIM, UNDERLAY, Rim
from sketchloom.core.layers.ways import WAYS
from sketchloom.core.preflight.laying_rules import check_ground
from sketchloom.core.sheets.material import shipped
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import PINS

GROUNDS = {"white": "#ffffff", "black": "#141414", "grey": "#9a9a9a", "kraft": "#b98d5e"}
ACTIONS = {"drop": DROP, "window": WINDOW, "keep": KEEP, "below": BELOW, "on-top": ABOVE}
SAVES = {word: tuple(float(n == k) for n in range(5))
         for k, word in enumerate(("cutting", "pieces", "film", "mislaying", "little"))}
ALL, LIKE_GROUND = "all", "like-ground"
_MAX_SHEETS = 24
"""As many sheets as the window offers for line art."""


def of_all(recipe: Recipe, options) -> Recipe:
    """The recipe with what holds for all sheets; SettingError names the word that is off."""
    changes = setting_words.asked(options)
    _check_together(recipe, options, changes)
    if options.order_saves is not None:
        changes |= {"order_weights": _shares(options.order_saves), "order": ()}
    if options.laid_on is not None:
        changes["laid_on"] = _colour("--laid-on", GROUNDS.get(options.laid_on, options.laid_on), ", ".join(GROUNDS))
    added = ((options.backing, BACKING), (options.rim, RIM), (options.underlay, UNDERLAY))
    rims = [Rim(parse_length_or_zero_mm(text), kind) for text, kind in added if text is not None]
    if rims:
        changes["rims"] = (*recipe.rims, *rims)
    _check_values(options)
    return plan_words.asked(setting_words.applied(recipe, changes), options)


def _check_together(recipe, options, changes):
    """Words that mean something only beside others."""
    if options.weeding_every is not None and not (changes.get("weeding_mm") or recipe.weeding_mm):
        raise SettingError("--weeding-every", said("given together with --weeding-frame, in which the helper cuts lie"),
                           options.weeding_every)
    if options.gather_sheets is not None:
        _whole("--gather-sheets", options.gather_sheets, 2, _MAX_SHEETS)
        if options.gather is None:
            raise SettingError("--gather-sheets", said("given together with --gather"), options.gather_sheets)
    if LIKE_GROUND in options.leave_out and not (options.laid_on or recipe.laid_on):
        raise SettingError(
            "--leave-out", said("like-ground only beside --laid-on, which says what the ground is"), LIKE_GROUND
        )


def _check_values(options):
    """Values of words that name a layer or a place, as far as they can be checked without a trace."""
    materials = [m.key for m in shipped()]
    for which, pairs, allowed in (
        ("--way", options.way, WAYS),
        ("--pin", options.pin, PINS),
        ("--material", options.material, materials),
    ):
        for _, value in pairs:
            _one_of(which, value, allowed)
    for _, colour in options.cut_colour:
        _colour("--cut-colour", colour)
    for place, what in options.region:
        _place(place)
        if what not in ACTIONS:
            _colour("--region", what, ", ".join(ACTIONS))


def looked_up(evaluate, recipe: Recipe, options) -> Recipe:
    """The recipe with the words that name layers or places.

    Parameters
    ----------
    evaluate : gives the work of a recipe; asked as often as a step needs the layers of the one before.

    Raises
    ------
    SettingError : no layer is called so, there is no region at a place, or nothing can be gathered.
    """
    if options.gather is not None:
        recipe = _gathered(evaluate(recipe), recipe, options)
    for place, what in options.region:
        recipe = _with_region(evaluate(recipe), recipe, place, what)
    if options.alone in ("bridge", "below"):
        recipe = _not_alone(evaluate(recipe), recipe, options.alone)
    work = evaluate(recipe)
    recipe = _of_layers(work, recipe, options)
    recipe = _ordered(work, recipe, options)
    boards = tuple(Rim(0.0, BACKING, of=_keys(work, "--board", layer)[0], islands=True, hex="#9a8f7f",
                       name=word("board", recipe.names_in)) for layer in options.board)
    recipe = replace(recipe, rims=(*recipe.rims, *boards))
    return _of_materials(evaluate, work, recipe, options)


def _of_layers(work, recipe, options):
    """What single layers are called, cut from, and done with."""
    edits = (
        ("--name", options.name, lambda value: {"name": value}),
        ("--way", options.way, lambda value: {"layering": value}),
        ("--cut-colour", options.cut_colour, lambda value: {"hex": value.lower()}),
        ("--merge", options.merge, lambda value: {"merged_into": _keys(work, "--merge", value)[0]}),
        ("--pin", options.pin, lambda value: {"pin": value}),
    )
    for which, pairs, change in edits:
        for layer, value in pairs:
            recipe = recipe.with_edit(_keys(work, which, layer)[0], **change(value))
    for layer in options.apart:
        for key in _keys(work, "--apart", layer):
            recipe = recipe.with_edit(key, apart=True)
    for layer in options.leave_out:
        for key in _like_ground(work) if layer == LIKE_GROUND else _keys(work, "--leave-out", layer)[:1]:
            recipe = recipe.with_edit(key, left_out=True)
    return recipe


def _ordered(work, recipe, options):
    """The order, or what proposed orders keep to."""
    one = lambda which, text: _keys(work, which, text)[0]  # noqa: E731
    pairs = tuple((one("--above", upper), one("--above", lower)) for upper, lower in options.above)
    if options.pin or pairs:  # a new rule asks for a new proposal, unless the order came from gathering
        recipe = replace(
            recipe, above=tuple(dict.fromkeys((*recipe.above, *pairs))), order=recipe.order if options.gather else ()
        )
    if options.order is None:
        return recipe
    named = [one("--order", text.strip()) for text in options.order.split(",") if text.strip()]
    rest = [plan.key for plan in work.plans if plan.key not in named]
    return replace(recipe, order=tuple(dict.fromkeys((*named, *rest))))


def _of_materials(evaluate, work, recipe, options):
    table = {m.key: m for m in shipped()}
    for layer, key in options.material:
        if layer == ALL:
            work = evaluate(recipe)  # what was added is cut from it as well
        for own in _keys(work, "--material", layer):
            recipe = recipe.with_material(own, table[key])
    return recipe


def _keys(work, which, text) -> list[str]:
    """Keys of the layers meant; one, or for ``all`` every sheet's."""
    sheets = {layer.plan.key: layer.plan for layer in work.layers} | {plan.key: plan for plan in work.plans}
    if text == ALL and which in ("--material", "--apart"):
        return list(sheets)
    plans = list(work.plans)
    asked = text.casefold()
    for same in (lambda p: asked in (p.key.casefold(), p.hex.casefold()), lambda p: asked == p.name.casefold()):
        found = [p.key for p in (*plans, *sheets.values()) if same(p)]
        if found:
            return found[:1]
    if text.isdecimal() and 1 <= int(text) <= len(plans):
        return [plans[int(text) - 1].key]
    named = ", ".join(f"{n} {p.name} {p.hex}" for n, p in enumerate(plans, 1))
    raise SettingError(which, said("one of the layers: {named}", named=named), text)


def _like_ground(work):
    named = {finding.key for finding in check_ground(work.layers, work.recipe.laid_on)}
    return [plan.key for plan in work.plans if plan.key in named]


def _gathered(work, recipe, options):
    from sketchloom.core.planar.describe import RegionIndex
    from sketchloom.desk.regions import RegionDesk
    from sketchloom.desk.ways import line_art_ladder

    if work.reading != "tone":
        raise SettingError("--gather", said("used with line art, read by --mode tone"), work.reading)
    rungs = line_art_ladder(work, options.gather)
    if not rungs:
        raise SettingError(
            "--gather",
            said("used on a drawing whose lines enclose regions of several colours")
            if options.gather == ways.COLOURS
            else said("used on a drawing whose lines enclose regions"),
            options.gather,
        )
    sheets = (
        next((r.sheets for r in rungs if r.alike == 0), rungs[-1].sheets)
        if options.gather_sheets is None
        else int(options.gather_sheets)
    )
    return RegionDesk(work, RegionIndex(work.traced.planar)).gathered(recipe, options.gather, sheets)


def _with_region(work, recipe, place, what):
    from sketchloom.core.planar.describe import RegionIndex
    from sketchloom.desk.regions import RegionDesk

    x, y = _place(place)
    index = RegionIndex(work.traced.planar)
    region = index.at(x / work.mm_per_px, y / work.mm_per_px)
    if region is None:
        width, height = work.size_mm
        raise SettingError(
            "--region",
            said("a place within the work, which is {width:.1f} by {height:.1f} mm", width=width, height=height),
            place,
        )
    action = ACTIONS.get(what, COLOUR)
    return RegionDesk(work, index).decided(recipe, [region.face], action, what.lower() if action == COLOUR else None)


def _not_alone(work, recipe, how):
    from sketchloom.core.planar.describe import RegionIndex
    from sketchloom.desk.laying import LayingDesk
    from sketchloom.desk.regions import RegionDesk

    desk = LayingDesk(work, RegionDesk(work, RegionIndex(work.traced.planar)))
    alone = [piece for piece in desk.pieces if piece.alone]
    return desk.held(recipe, alone) if how == "bridge" else desk.from_below(recipe, alone)


def _place(text):
    parts = text.split(",")
    try:
        x, y = (float(part.strip().removesuffix("mm")) for part in parts)
        if not np.isfinite([x, y]).all():
            raise ValueError
    except ValueError:
        raise SettingError("--region", said("a place such as 34,20.5 in mm, then what becomes of it"), text) from None
    return x, y


def _whole(name, text, low, high):
    if not text.isdecimal() or not low <= int(text) <= high:
        raise SettingError(name, said("a whole number from {low} to {high}", low=low, high=high), text)


def _shares(text):
    try:
        shares = SAVES[text] if text in SAVES else tuple(float(part) for part in text.split(","))
        if len(shares) not in (3, 5) or not all(0 <= s <= 1 for s in shares) or not any(shares):
            raise ValueError
    except ValueError:
        raise SettingError(
            "--order-saves",
            said("{words}, or three or five shares from 0 to 1 such as 1,0.5,0", words=", ".join(SAVES)), text
        ) from None
    return (*shares, 0.0, 0.0)[:5]


def _colour(name, text, others=""):
    try:
        from_hex(text)
    except SettingError:
        raise SettingError(
            name,
            said("{others} or a colour written as #rrggbb", others=others)
            if others
            else said("a colour written as #rrggbb"),
            text,
        ) from None
    return text.lower()


def _one_of(name, text, allowed):
    if text not in allowed:
        raise SettingError(name, said("one of {choices}", choices=", ".join(allowed)), text)
