"""Rules over the picture itself, for the size wanted."""

from sketchloom.core.base.said import said
from sketchloom.core.judge.faults import Faults
from sketchloom.core.judge.fitness import COMFORTABLE_PX_PER_MM, Fitness
from sketchloom.core.picture.picture import Picture
from sketchloom.core.preflight.findings import NOTE, SOURCE, WARN, Finding, rule

SHADED_SHARE = 0.04
"""More of a picture than this in slow changes of tone is shading (chosen on the demo works: 2 % on the scanned sketch,
10 % and more on the photos)."""
WIDE_SHARE = 0.01
"""Less of it wider than a soft edge is none (chosen on stickers with a blurred ring, 0, and on shaded drawings)."""
GRAINY_SHARE = 0.02
"""Less of a picture with small changes all around is no grain, but soft edges (chosen like the figure above)."""
SOFT_PX, GRAIN = 5.5, 3.0
"""Edges wider than this are soft: drawn ones are 2.7 to 4.2 px wide, blurred by 1 px 4.3 to 5.7. Flat areas that
vary by
more have grain: JPEG of quality 90 and more stays under it."""

SMALL = rule(
    "source.small", WARN, SOURCE, said("the picture has few pixels for the wanted size"),
    said("{density:.1f} pixels per mm at this size; clean curves want {wanted:.0f}. The picture is good for about "
         "{good_mm:.0f} mm in width: find a larger copy or cut it smaller."), said("Use that width"))
SHADED = rule(
    "source.shaded",
    WARN,
    SOURCE,
    said("part of the picture is shading rather than flat colour"),
    said(
        "{share:.0%} of the picture is shading, not flat colour. Its edges will follow ragged steps of tone: read it "
        "as a photo, in a few calm tones, or find a flat version."
    ),
    said("Read it as a photo"),
)
SOFT = rule(
    "source.soft", NOTE, SOURCE, said("edges are soft or blurred"),
    said("Edges are about {width:.0f} pixels soft: enlarged or out of focus. Details finer than that are gone."))
NOISE = rule(
    "source.noise", NOTE, SOURCE, said("compression noise or grain"),
    said("Flat areas vary by {noise:.0f} of 255: grain. Specks under the smallest detail are cleaned away; taking the "
         "grain out first gives calmer outlines."), said("Take out grain"))
NOISE_ONLY = rule(
    "source.noise_only", WARN, SOURCE, said("the picture holds no area a person would cut"),
    said("Neighbouring pixels have nothing in common; there is no area in this picture to cut."))
PAGE = rule(
    "source.page", WARN, SOURCE, said("a page lies in the picture at a slant"),
    said("A page lies in the picture at a slant, with the table around it. Flatten it before anything else is judged."),
    said("Flatten the page"))
SKEW = rule(
    "source.skew", NOTE, SOURCE, said("level and upright lines lean"),
    {"clockwise": said("Lines lean {degrees:.1f} degrees clockwise."),
     "anticlockwise": said("Lines lean {degrees:.1f} degrees anticlockwise.")}, said("Straighten"))
LIGHT = rule(
    "source.light",
    WARN,
    SOURCE,
    said("the light is uneven"),
    said(
        "Paper is {share:.0%} darker in places: one cut-off cannot suit all of it. Level the light, or let the cut-off "
        "follow it."
    ),
    said("Level the light"),
)
SCREEN = rule(
    "source.screen",
    WARN,
    SOURCE,
    said("the dots of a printing screen"),
    said("A printing screen, a dot every {period:.1f} pixels: each dot would become a piece."),
    said("Take the screen out"),
)
BLOCKS = rule(
    "source.blocks", NOTE, SOURCE, said("blocks of compression"),
    said("Compression has left blocks of 8 pixels and rings along edges. They are cleaned away as far as can be; an "
         "uncompressed copy is better."), said("Calm it"))
PALE = rule(
    "source.pale", WARN, SOURCE, said("ink is hardly darker than paper"),
    said("Ink is only {darker:.0f} of 255 darker than paper; thin lines will break. Lift the pencil."),
    said("Lift the pencil"))
FRAME = rule(
    "source.frame",
    NOTE,
    SOURCE,
    said("a frame or page border runs around the picture"),
    said(
        "A frame or page border runs around the picture and would be cut. Crop to what is inside it, unless it belongs "
        "to the design."
    ),
    said("Crop inside it"),
)
TEXTURE = rule(
    "source.texture", NOTE, SOURCE, said("paper texture or a watermark"),
    said("Paper texture or a watermark under the drawing. Level the light and take the grain out, or move the cut-off "
         "away from it."), said("Clean the paper"))
DOUBLE = rule(
    "source.double", WARN, SOURCE, said("outlines are drawn as two strokes side by side"),
    said("Outlines are drawn as two strokes side by side, {gap_mm:.1f} mm apart: each would be cut twice. Fill the gap "
         "between them."), said("Fill the gap"))
DECODED = rule(
    "source.decoded", NOTE, SOURCE, said("something had to be assumed while opening the file"), said("{note}"))


def check_source(
    fitness: Fitness, faults: Faults, picture: Picture, mm_per_px: float, reading: str = ""
) -> tuple[Finding, ...]:
    """Findings on the picture itself, for the size wanted; shading is no fault where it is read as such."""
    found = [DECODED.found(note=note) for note in picture.notes]
    density = 1.0 / mm_per_px
    if density < COMFORTABLE_PX_PER_MM:
        found.append(
            SMALL.found(density=density, wanted=COMFORTABLE_PX_PER_MM, good_mm=picture.width / COMFORTABLE_PX_PER_MM)
        )
    if fitness.is_noise:
        return (*found, NOISE_ONLY.found())
    found += _of_faults(faults, mm_per_px)
    if fitness.shaded_share > SHADED_SHARE and fitness.wide_share > WIDE_SHARE and reading != "photo":
        found.append(SHADED.found(at=fitness.shaded_at, share=fitness.shaded_share))
    if fitness.edge_width_px > SOFT_PX:
        found.append(SOFT.found(at=fitness.soft_at, width=fitness.edge_width_px))
    if fitness.noise > GRAIN and fitness.grainy_share > GRAINY_SHARE and not faults.blocks:
        found.append(NOISE.found(noise=fitness.noise))
    return tuple(found)


def _of_faults(faults, mm_per_px):
    if faults.page is not None:
        yield PAGE.found()
    if faults.skew_deg is not None:
        yield SKEW.found("clockwise" if faults.skew_deg > 0 else "anticlockwise", degrees=abs(faults.skew_deg))
    if faults.uneven_light is not None:
        yield LIGHT.found(share=faults.uneven_light)
    if faults.screen_px is not None:
        yield SCREEN.found(period=faults.screen_px)
    if faults.blocks:
        yield BLOCKS.found()
    if faults.pale is not None:
        yield PALE.found(darker=faults.pale)
    if faults.frame is not None:
        yield FRAME.found()
    if faults.double_px is not None:
        yield DOUBLE.found(gap_mm=faults.double_px * mm_per_px)
    if faults.texture is not None:
        yield TEXTURE.found()
