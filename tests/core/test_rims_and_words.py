"""Rims against Steiner's formula and a geometry library; words against a font library's own figures."""

import numpy as np
import pytest
import shapely
from bidi import get_display
from fontTools.pens.areaPen import AreaPen
from fontTools.pens.boundsPen import BoundsPen
from fontTools.ttLib import TTFont
from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
from sketchloom.core.base.errors import FontError
from sketchloom.core.curves.curveset import is_straight, segment_areas, segment_lengths
from sketchloom.core.curves.outline import Outline
from sketchloom.core.layers.added import BACKING, INNER, RIM, Rim
from sketchloom.core.layers.rims import rim_outline
from sketchloom.core.shapes import makers, polygons, text
from sketchloom.core.shapes.polygons import area_of_outline, areas_of, around_line, outline_of_area
from sketchloom.core.shapes.runs import visual_runs

LATO = text.Font("Lato", str(text.SHIPPED / "Lato-Regular.ttf"))


def outline_of(*rings):
    controls = np.concatenate(rings)
    starts = np.concatenate([[0], np.cumsum([len(r) for r in rings])])
    area = np.array([segment_areas(r).sum() for r in rings])
    return Outline(controls, is_straight(controls), starts, area, area < 0)


def perimeter(*rings):
    return sum(segment_lengths(r).sum() for r in rings)


@pytest.mark.parametrize(
    "ring",
    [
        makers.ellipse((60, 60), 40, 40),
        makers.ellipse((60, 60), 45, 20, 0.4),
        makers.rectangle((60, 60), 80, 30),
        makers.regular((60, 60), 40, 5),
    ],
)
@pytest.mark.parametrize("distance", [1.27, 5.0, 18.0])
def test_a_rim_of_a_convex_shape_has_the_area_of_steiners_formula(ring, distance):
    area = polygons.area_of([ring]).area
    made = rim_outline(outline_of(ring), Rim(distance), 1.0)
    assert made.area_px.sum() == pytest.approx(area + perimeter(ring) * distance + np.pi * distance**2, rel=1e-3)
    assert (made.pieces, made.holes) == (1, 0)


def test_sharp_corners_and_shrinking_have_closed_forms():
    square = outline_of(makers.rectangle((0, 0), 50, 50))
    assert rim_outline(square, Rim(4, is_round=False), 1.0).area_px.sum() == pytest.approx(58**2, rel=1e-4)
    assert rim_outline(square, Rim(4, INNER), 1.0).area_px.sum() == pytest.approx(42**2, rel=1e-4)
    assert len(rim_outline(square, Rim(30, INNER), 1.0).controls) == 0
    line = rim_outline(square, Rim(4, INNER, width_mm=2.0), 1.0)
    assert line.area_px.sum() == pytest.approx(42**2 - 38**2, rel=1e-3) and line.pieces == line.holes == 1
    # a rim of 22 mm is grooved in its middle by an offset of 11 mm inwards (trade)
    ring = outline_of(makers.ellipse((0, 0), 60, 60))
    assert rim_outline(ring, Rim(11, INNER), 1.0).area_px.sum() == pytest.approx(np.pi * 49**2, rel=1e-3)
    # a line of a width keeps to the outer edge, without rings around what lies within, unless that is asked for
    veined = outline_of_area(areas_of(area_of_outline(ring).difference(around_line([(-20, 0), (20, 0)], 4.0))))
    line = rim_outline(veined, Rim(3, INNER, width_mm=1.0), 1.0)
    assert line.pieces == 1 and line.area_px.sum() == pytest.approx(np.pi * (57**2 - 56**2), rel=5e-3)
    assert rim_outline(veined, Rim(3, INNER, width_mm=1.0, islands=True), 1.0).pieces == 2


def test_a_band_around_leaves_the_work_out_and_millimetres_count():
    disc = outline_of(makers.ellipse((100, 100), 50, 50))
    band = rim_outline(disc, Rim(2.0, RIM), 0.2)  # 10 px
    assert band.area_px.sum() == pytest.approx(np.pi * (60**2 - 50**2), rel=1e-3)
    assert (band.pieces, band.holes) == (1, 1)


def test_rims_of_neighbours_join_and_islands_stay_or_are_filled():
    two = outline_of(makers.ellipse((50, 50), 20, 20), makers.ellipse((98, 50), 20, 20))
    assert rim_outline(two, Rim(3.0), 1.0).pieces == 2 and rim_outline(two, Rim(5.0), 1.0).pieces == 1
    frame = outline_of(makers.rectangle((100, 100), 160, 160), makers.rectangle((100, 100), 60, 60)[::-1, ::-1])
    filled, kept = (rim_outline(frame, Rim(6.0, BACKING, islands=islands), 1.0) for islands in (False, True))
    assert (filled.holes, kept.holes) == (0, 1)
    assert kept.area_px.sum() == pytest.approx(172**2 - (4 - np.pi) * 36 - 48**2, rel=1e-4)


@given(st.integers(0, 10_000), st.floats(0.5, 20))
def test_rims_of_random_shapes_are_those_of_a_geometry_library(seed, distance):
    rng = np.random.default_rng(seed)
    angle = np.sort(rng.uniform(0, 2 * np.pi, 9))
    points = 150 + rng.uniform(40, 120, 9)[:, None] * np.stack([np.cos(angle), np.sin(angle)], -1)
    ring = makers.polygon(points)
    if segment_areas(ring).sum() < 0:
        ring = ring[::-1, ::-1]
    truth = shapely.make_valid(shapely.Polygon(points)).buffer(distance, quad_segs=64)
    filled = shapely.union_all([shapely.Polygon(p.exterior) for p in getattr(truth, "geoms", [truth])])
    assert rim_outline(outline_of(ring), Rim(distance), 1.0).area_px.sum() == pytest.approx(filled.area, rel=1e-3)


@pytest.mark.parametrize("letters", ["Lantern", "AVATAR To", "Tidewalk é ß"])
def test_a_word_is_as_long_as_the_font_says_and_kerned(letters):
    font = TTFont(LATO.path)
    widths, names = font["hmtx"], font.getBestCmap()
    plain = sum(widths[names[ord(c)]][0] for c in letters) / font["head"].unitsPerEm
    made = text.shaped(letters, LATO)
    # kerning and ligatures only ever draw these letters together
    assert made.advance <= plain + 1e-9 and made.advance > 0.85 * plain
    if "AV" in letters:
        assert made.advance < plain - 0.05
    assert made.missing == ()


@pytest.mark.parametrize("letter", "oBgi")
def test_a_letter_has_the_outline_of_the_font(letter):
    font = TTFont(LATO.path)
    glyphs, name, em = font.getGlyphSet(), font.getBestCmap()[ord(letter)], font["head"].unitsPerEm
    area, bounds = AreaPen(glyphs), BoundsPen(glyphs)
    glyphs[name].draw(area)
    glyphs[name].draw(bounds)
    made = text.shaped(letter, LATO)
    assert abs(sum(segment_areas(r).sum() for r in made.rings)) == pytest.approx(abs(area.value) / em**2, rel=1e-9)
    ends = np.concatenate([r.reshape(-1, 2) for r in made.rings])
    assert ends[:, 0].max() * em == pytest.approx(bounds.bounds[2], abs=1.0) and -ends[
        :, 1
    ].max() * em == pytest.approx(bounds.bounds[1], abs=12.0)
    assert len(set(made.letter)) == 1


def test_letters_the_font_lacks_are_said_and_left_out():
    made = text.shaped("A∰B∰", LATO)
    assert made.missing == ("∰",) and len(set(made.letter)) == 2


def test_words_along_a_circle_stand_on_it():
    word = text.shaped("HHHH", LATO)
    angle = np.linspace(np.pi, 2 * np.pi, 721)
    rings = text.along(word, 100 * np.stack([np.cos(angle), np.sin(angle)], -1), 20.0)
    feet = [np.hypot(*r[:, [0, 3]].reshape(-1, 2).T).min() for r in rings]
    # a letter 15 wide stands with its middle on the circle of 100: its corners lie beside the tangent, (100² +
    # 7.5²)^½ = 100.3 out
    assert all(99.9 < f < 100.5 for f in feet) and all(np.hypot(*r.reshape(-1, 2).T).max() > 110 for r in rings)


@pytest.mark.parametrize(
    "words, path", [("", LATO.path), ("x" * 501, LATO.path), ("word", __file__), ("word", "/nowhere/font.ttf")]
)
def test_what_cannot_be_set_is_refused_in_a_sentence(words, path):
    with pytest.raises(FontError, match=r"\."):
        text.shaped(words, text.Font("odd", path))


def test_the_shipped_fonts_come_first():
    assert [f.name for f in text.fonts()[:2]] == ["Lato", "Lato Bold"]


HEBREW, ARABIC = "שלום עולם", "مرحبا ليل"
MIXED = st.text(st.sampled_from("aT1 2(.)-" + HEBREW + ARABIC), min_size=1, max_size=24)


@given(MIXED.filter(lambda t: t.strip()))
@settings(max_examples=examples(200))
def test_mixed_directions_stand_as_another_implementation_of_the_standard_puts_them(words):
    """UAX 9 as of the `unicode-bidi` crate, which `get_display` calls; ours uses the levels of another implementation.
    """
    shown = "".join(words[r.start:r.end][::-1] if r.is_rtl else words[r.start:r.end] for r in visual_runs(words))
    flat = str.maketrans("()", "((")  # brackets are turned round by the shaper, in `get_display` by itself
    assert shown.translate(flat) == get_display(words).translate(flat)
