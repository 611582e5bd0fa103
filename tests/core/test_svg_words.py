"""Words of an SVG, as outlines and as they are drawn: the renderer, a general library, is the measure."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
from sketchloom.core.picture import svg_pages
from sketchloom.core.picture.decode import decode
from sketchloom.core.vectors.laying import picture_from
from sketchloom.core.vectors.svg_areas import TooInvolved, svg_areas
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.opening import picture_of
from sketchloom.recipe.document import Recipe

HEAD = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 200 100" width="50mm" height="25mm">'


def both(words):
    """How much of each pixel is covered in the drawn page, and by the areas of its words, of 255."""
    data = (HEAD + words + "</svg>").encode()
    page = decode(data, "words.svg")
    root, _, _ = svg_pages.safe_root(data, "words.svg", 10**8)
    svg_pages.size_root(root, page.width, page.height)
    made = svg_areas(root, page.width, page.height)
    return page.alpha.astype(int), picture_from(made)[1].astype(int) if made.areas else None


@pytest.mark.parametrize("words", [
    '<text x="100" y="60" font-size="40" font-family="Lato" text-anchor="middle">Lantern</text>',
    '<text x="190" y="60" font-size="40" font-weight="bold" text-anchor="end">Lantern</text>',
    '<text x="10" y="60" font-size="30" font-family="Some Hand, serif">Fish &amp; fiddle AV To</text>',
    '<text x="10" y="40" font-size="20">Tide <tspan font-weight="700">walk</tspan> on <tspan x="10" dy="24">the quay'
    "</tspan></text>",
    '<text x="10" y="40">plain words</text>',
    '<text x="100" y="40" font-size="20" letter-spacing="3" text-anchor="middle">spaced out</text>',
    '<text x="10 30 60" y="40 45" font-size="20" dx="0 0 0 4" dy="0 0 0 5 -5">letters</text>',
    '<text x="10" y="40" font-size="20">\n  two\n  words <tspan> and </tspan>  more </text>',
    '<text x="10 40" y="40" font-size="20"> AB</text>',
    '<text x="10" y="40" font-size="20" xml:space="preserve">a   b</text>',
    "<style>.a{font-size:24px;text-anchor:middle;font-weight:bold} text{fill:#0a5}</style>"
    '<text class="a" transform="rotate(20 100 50)" x="100" y="50">turned</text>',
    '<text x="10" y="60" font-size="40" fill="none" stroke="#123456" stroke-width="2">Line</text>',
])
def test_words_lie_where_they_are_drawn(words):
    drawn, made = both(words)
    # a soft edge differs by less than half a pixel's cover, and all of them in sum by hardly anything
    assert np.abs(drawn - made).max() <= 128
    assert np.abs(drawn - made).sum() < 0.04 * drawn.sum()


@given(st.text("abcdefgimnoqrtuvwxyzABMTVW fil", min_size=1, max_size=14), st.integers(8, 40),
       st.sampled_from(["start", "middle", "end"]), st.booleans())
@settings(max_examples=examples(12), deadline=None)
def test_any_plain_words_lie_where_they_are_drawn(text, size, anchor, is_bold):
    weight = "bold" if is_bold else "normal"
    frame = '<path d="M0 0h200v100h-200zM1 1v98h198v-98z"/>'  # a page that shows nothing is refused
    drawn, made = both(f'{frame}<text x="100" y="60" font-size="{size}" text-anchor="{anchor}" font-weight="{weight}">'
                       f"{text}</text>")
    assert np.abs(drawn - made).max() <= 160


@pytest.mark.parametrize("words", [
    '<text x="10" y="60" font-size="20" rotate="10">turned letters</text>',
    '<text x="10" y="60" font-size="20" textLength="150">stretched</text>',
    '<text x="10" y="60" font-size="2em">by letters</text>',
    '<text x="10" y="60" font-size="larger">by a word</text>',
    '<text x="10" y="60" font-size="20" letter-spacing="wide">by no length</text>',
    '<text x="nan" y="60" font-size="20">nowhere</text>',
    '<text x="10" y="60" font-size="20" style="font-kerning: none">AVATo</text>',
    '<text x="10" y="60" font-size="20" text-decoration="underline">lined</text>',
    '<path id="way" d="M10 60H190" fill="none"/><text font-size="20"><textPath href="#way">on a way</textPath></text>',
    '<style>g text { letter-spacing: 4px }</style><g><text x="10" y="60" font-size="20">by two parts</text></g>',
])
def test_words_that_are_set_otherwise_are_left_to_their_look(words):
    assert both(words)[1] is None


@pytest.mark.parametrize("shape", [
    '<text y="60" font-size="1e300">Quay</text>', '<rect x="1e290" width="1e300" height="9"/>',
    '<text x="1e12" y="60" font-size="20">Quay</text>',
])
def test_what_reaches_beyond_all_measure_is_read_as_a_picture(shape):
    with pytest.raises(TooInvolved):
        both('<rect width="9" height="9"/>' + shape)


@pytest.mark.parametrize("family", ["Some Hand", "serif", "sans-serif", "monospace", "cursive", "fantasy"])
def test_words_are_drawn_whatever_font_they_ask_for(family):
    """None of them is there: they had not been drawn at all."""
    asked, _ = both(f'<text x="10" y="60" font-size="30" font-family="{family}">Quay</text>')
    plain, _ = both('<text x="10" y="60" font-size="30">Quay</text>')
    assert np.array_equal(asked, plain)


def test_bold_words_are_drawn_bold():
    plain, bold = (both(f'<text x="10" y="60" font-size="30" font-weight="{w}">Quay</text>')[0] for w in (400, 700))
    assert bold.sum() > 1.2 * plain.sum()


def test_words_of_a_drawing_have_the_few_nodes_of_their_font():
    data = (HEAD + '<rect width="200" height="100" fill="#ffffff"/><text x="100" y="60" font-size="50" '
            'text-anchor="middle" fill="#123456">Tide</text></svg>').encode()
    recipe = Recipe(as_drawing=True, smallest_mm=0.2, ground="keep", layering="fitted")
    work = Pipeline().evaluate(picture_of(data, "a.svg", recipe), recipe)
    letters = next(layer.outline for layer in work.layers if layer.plan.hex == "#123456")
    own = sum(len(ring) for area in work.original.painted.areas[1:] for ring in area.part.rings)
    assert letters.pieces == 5 and letters.holes == 2  # T, i and its dot, d, e
    assert letters.segments <= own
