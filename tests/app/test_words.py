"""Words against the window library's own text layout."""

import numpy as np
import pytest
from PySide6.QtGui import QFont, QFontDatabase, QTextLayout

from core.test_rims_and_words import ARABIC, HEBREW
from sketchloom.core.shapes import text


@pytest.mark.parametrize(
    "words", ["Tide " + HEBREW + " 12 walk", HEBREW + " Tide 2026", ARABIC + " (Lantern) " + HEBREW, "Tide " + ARABIC]
)
def test_mixed_words_are_as_long_as_a_window_system_sets_them(words, driver):
    """Against the text layout of the window library, which has its own runs and shaping."""
    font = next((f for f in text.fonts() if f.name == "DejaVu Sans Book"), None)
    if font is None:
        pytest.skip("that font is not installed here")
    family = QFontDatabase.applicationFontFamilies(QFontDatabase.addApplicationFont(font.path))[0]
    made = QFont(family)
    made.setPixelSize(1000)
    made.setHintingPreference(QFont.HintingPreference.PreferNoHinting)
    layout = QTextLayout(words, made)
    layout.beginLayout()
    line = layout.createLine()
    layout.endLayout()
    assert text.shaped(words, font).advance == pytest.approx(line.naturalTextWidth() / 1000, rel=2e-3)
    # letters stand in the same order
    left = {}
    for run in line.glyphRuns(-1, -1, QTextLayout.GlyphRunRetrievalFlag.RetrieveAll):
        for at, place in zip(run.stringIndexes(), run.positions(), strict=False):
            left[at] = min(left.get(at, np.inf), place.x() / 1000)
    word = text.shaped(words, font)
    mine = {}
    for ring, of in zip(word.rings, word.letter, strict=False):
        mine[of] = min(mine.get(of, np.inf), ring[..., 0].min())
    both = sorted(set(left) & set(mine))
    assert len(both) > len(words) // 2
    for at in both:
        assert mine[at] == pytest.approx(left[at], abs=0.15), words[at]
