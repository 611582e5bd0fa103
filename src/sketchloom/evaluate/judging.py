"""What a picture is taken for before anything is traced: its fitness, its colours, its faults, its reading."""

from dataclasses import dataclass, replace

from sketchloom.core.base import parallel
from sketchloom.core.base.progress import Part
from sketchloom.core.base.said import said
from sketchloom.core.judge import faults as fault_finding
from sketchloom.core.judge import fitness
from sketchloom.core.judge.blurred import count_without_blurred
from sketchloom.core.judge.paper import page_of
from sketchloom.core.judge.reading import proposed_reading, reading_of_page
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment import palette as palettes
from sketchloom.core.thin_lines.finding import ThinLines, find_thin_lines
from sketchloom.evaluate.keys import Keys
from sketchloom.recipe.document import Recipe


@dataclass(frozen=True, slots=True, eq=False)
class Judged:
    """What was found; ``reading_now`` what would be proposed now where the reading proposed before the steps stays,
    else None. No tree where no colours are asked for."""

    fit: fitness.Fitness
    tree: palettes.ColourTree | None
    noise: float
    faults: fault_finding.Faults
    reading: str
    reading_now: str | None

    def blur_px(self, two_tones: bool) -> float:
        """The picture's blur; compression widens the edges between colours as well, which is none."""
        return self.fit.blur_px if two_tones or not self.faults.blocks else 0.0


def judged(cache, keys: Keys, recipe: Recipe, asked: Recipe, whole: Picture, picture: Picture, *, rough: bool,
           progress, drawn: bool = False) -> Judged:
    """What the picture can give, what is wrong with it, and its reading; of its colours only what that needs.
    ``drawn``: it is read as a drawing, by the colours of its areas."""
    source, keep = keys.freed, cache.keep
    progress.step(0, 10, said("Judging the picture"))
    picture.local_range  # noqa: B018
    noise = keep(("noise", source), lambda: palettes.noise_of(picture))
    progress.step(1, 10, said("Judging the picture"))

    def tree_of(part):
        return keep(("tree", source), lambda: palettes.find_colours(picture, progress=part))
    wants_colours = recipe.reading in ("auto", "colour")
    fit, tree, faults = parallel.in_threads(
        lambda work: work(),
        (
            lambda: keep(("fitness", source), lambda: fitness.measure(picture)),
            lambda: tree_of(Part(progress, 0.15, 0.9)) if wants_colours else cache.get(("tree", source)),
            lambda: (
                fault_finding.NONE
                if rough
                else keep(
                    ("faults", keys.whole),
                    lambda: fault_finding.find_faults(whole, progress=Part(progress, 0.15, 0.9)),
                )
            ),
        ),
    )
    if tree is not None and not rough:
        tree = keep(("colours", source), lambda: replace(
            tree, proposed=count_without_blurred(picture, tree, fit.edge_width_px)))
    reading, now = recipe.reading, None
    if reading == "auto" and drawn:
        reading = "colour"
    elif reading == "auto":
        reading = keep(("reading", source), lambda: proposed_reading(picture, fit, tree))
    elif asked.reading == "auto" and source != keys.came and not rough:
        now = keep(("reading now", source), lambda: _reading_now(picture, fit, tree))
    return Judged(fit, tree, noise, faults, reading, now)


def finer(cache, keys: Keys, judged: Judged, picture: Picture, progress) -> tuple[Judged, tuple, ThinLines | None]:
    """What was judged, the picture's key and its thin lines, if it has any: then it is read from the finer picture in
    which they are drawn whole, and so are its colours."""
    tree = judged.tree
    if tree is None:
        return judged, keys.freed, None
    found = cache.keep(("thin lines", keys.freed), lambda: find_thin_lines(
        picture, tree, progress=Part(progress, 0.0, 0.6)))
    if found is None:
        return judged, keys.freed, None
    source = ("finer", keys.freed)
    tree = cache.keep(("tree", source), lambda: palettes.find_colours(found.picture, progress=Part(progress, 0.6, 1.0)))
    return replace(judged, tree=tree), source, found


def _reading_now(picture, fit, tree):
    """The reading that would be proposed, None where that takes colours which nothing else asks for."""
    page = page_of(picture)
    return reading_of_page(page) if page is not None else None if tree is None else proposed_reading(picture, fit, tree)
