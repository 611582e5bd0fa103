"""Other settings worth a look beside the present ones, and what each costs."""

from dataclasses import dataclass, replace

from sketchloom.core.base.errors import AppError, Cancelled
from sketchloom.core.base.progress import QUIET
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.evaluate.work import Work
from sketchloom.recipe.document import SETTINGS, Recipe
from sketchloom.recipe.sections import MAX_COLOURS, MAX_TONES, MIN_TONES, SMOOTHEST, TRUEST

MOST = 8
"""Variants shown at once: as many as fit side by side."""
_EXACT_PX = 2_500_000
"""Variants of larger pictures are made from a reduced one, and marked so."""
_REDUCED_PX = 1500
"""Long side of that."""


@dataclass(frozen=True, slots=True)
class Variant:
    """Settings to try. ``title`` says what differs: a word and a value for it."""

    title: tuple[str, str]
    recipe: Recipe


@dataclass(frozen=True, slots=True, eq=False)
class Figures:
    """What a variant costs. ``smallest_mm`` narrowest place, None when none is narrow; ``about``:
    from a reduced copy, so numbers of small things may differ."""

    pieces: int
    sheets: int
    nodes: int
    cut_mm: float
    smallest_mm: float | None
    about: bool


READ_PX = 200
"""Pictures of readings are made of a copy no larger."""


def read_each_way(pipeline: Pipeline, work: Work, readings, progress=QUIET) -> dict[str, Work | None]:
    """The picture of a work, small, in each reading as it would begin; None where it cannot be read so. What was
    prepared and taken out as background stays."""
    made: dict[str, Work | None] = {}
    now, small = work.recipe, work.original.reduced(READ_PX)
    for reading in readings:
        recipe = Recipe(reading=reading, preparation=now.preparation, background=now.background, ground=now.ground,
                        size_mm=now.size_mm, size_side=now.size_side)
        try:
            made[reading] = pipeline.evaluate(small, recipe, progress=progress, measured=False)
        except Cancelled:
            raise
        except AppError:
            made[reading] = None
    return made


def variants_of(work: Work) -> tuple[Variant, ...]:
    """What is kept beside, then four to eight variants for the reading of a work; the present one is not among them."""
    recipe = work.recipe
    kept = tuple(Variant(("kept", one.name), one.recipe) for one in recipe.alternatives)
    make = {"tone": _of_tone, "line": _of_line, "photo": _of_photo}.get(work.reading, _of_colour)
    found = [*make(work, replace(recipe, reading=work.reading)), *_of_smoothness(replace(recipe, reading=work.reading)),
             *_of_reading(work)]
    seen, unlike = {_without_auto(work)}, []
    for one in found:
        if one.recipe not in seen:
            seen.add(one.recipe)
            unlike.append(one)
    bare = untouched(recipe)
    kept += (Variant(("untouched", ""), bare),) if bare != replace(recipe, alternatives=bare.alternatives) else ()
    return kept + tuple(unlike[:MOST])


def untouched(recipe: Recipe) -> Recipe:
    """The same trace without anything that was decided, drawn or ordered by hand."""
    plain = Recipe()
    by_hand = (name for name, setting in SETTINGS.items() if setting.by_hand)
    return replace(recipe, **{name: getattr(plain, name) for name in by_hand})


def _without_auto(work):
    return replace(work.recipe, reading=work.reading)


def _of_tone(work, recipe):
    yield Variant(("silhouette", ""), replace(recipe, silhouette=True))
    if work.segmentation.cut_offs is not None:
        present = work.segmentation.cut_off
        values = []
        for stretch in work.segmentation.cut_offs.stretches[:2]:
            values += [stretch.best, stretch.first, stretch.last]
        for value in dict.fromkeys(values):
            if abs(value - present) > 4:
                yield Variant(("cut-off", str(value)), replace(recipe, cut_off=value))
        yield Variant(("follows the light", ""), replace(recipe, local_cut_off=True, cut_off=None))
    else:
        yield Variant(("one cut-off", ""), replace(recipe, local_cut_off=False, cut_off=None))


def _of_colour(work, recipe):
    present = len(work.segmentation.own_entries)
    for count in (work.tree.proposed, present - 1, present - 2, present + 1, present + 2):
        if 2 <= count <= min(MAX_COLOURS, len(work.tree.colours)) and count != present:
            yield Variant(("colours", str(count)), replace(recipe, colours=int(count), palette=None))


def _of_photo(_, recipe):
    for tones in (3, 4, 5, 6, 8):
        if MIN_TONES <= tones <= MAX_TONES and tones != recipe.tones:
            yield Variant(("tones", str(tones)), replace(recipe, tones=tones))
    yield Variant(("outlines", "on" if not recipe.photo_outlines else "off"),
                  replace(recipe, photo_outlines=not recipe.photo_outlines))


def _of_line(_, recipe):
    for spur in (1.0, 2.0, 4.0):
        if spur != recipe.spur_mm:
            yield Variant(("shortest branch", f"{spur:g} mm"), replace(recipe, spur_mm=spur))
    width = None if recipe.pen_mm is not None else 1.5
    yield Variant(("as shapes", f"{width:g} mm") if width else ("pen lines", ""), replace(recipe, pen_mm=width))


def _of_smoothness(recipe):
    for value in (recipe.smoothness + 2, recipe.smoothness - 2):
        if TRUEST <= value <= SMOOTHEST:
            yield Variant(
                ("outlines", "smoother" if value > recipe.smoothness else "truer"), replace(recipe, smoothness=value)
            )


def _of_reading(work):
    others = {"tone": ("line",), "line": ("tone",), "photo": ("colour", "tone"), "colour": ("tone", "photo")}[
        work.reading
    ]
    for reading in others:
        yield Variant(
            ("reading", reading), replace(work.recipe, reading=reading, palette=None, colours=None, cut_off=None)
        )


def evaluated(pipeline: Pipeline, work: Work, variant: Variant, progress) -> tuple[Work, Figures]:
    """A variant of a work, traced; large pictures in a reduced copy of the same size in mm."""
    picture, recipe = work.original, variant.recipe.with_width(work.size_mm[0])
    about = picture.width * picture.height > _EXACT_PX
    if about:
        picture = pipeline.keep(
            ("small", id(work.original)), lambda: (work.original, work.original.reduced(_REDUCED_PX))
        )[1]
    made = pipeline.evaluate(picture, recipe, progress=progress)
    return made, figures_of(made, about)


def figures_of(work: Work, about: bool = False) -> Figures:
    """The figures that variants are compared by."""
    narrow = [x.min_feature_mm for x in work.layers if x.min_feature_mm is not None]
    return Figures(sum(x.outline.pieces for x in work.layers), len(work.layers),
                   sum(x.outline.segments for x in work.layers), sum(x.cut_length_mm for x in work.layers),
                   min(narrow) if narrow else None, about)
