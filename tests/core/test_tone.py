"""Cut-offs against a general image library (Otsu 1979)."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from hypothesis.extra.numpy import arrays
from skimage import filters

from sketchloom.core.segment import tone


@given(arrays(np.uint8, (12, 12), elements=st.integers(0, 255)))
def test_otsu_agrees(grey):
    if grey.min() == grey.max():
        return
    ours, theirs = tone.otsu_threshold(grey), filters.threshold_otsu(grey)
    # where several levels part the pixels alike, either is right
    assert ours == theirs or ((grey <= ours) == (grey <= theirs)).all()


@pytest.mark.parametrize("dark", [True, False])
def test_either_side_is_ink(dark):
    grey = np.array([[0, 100, 101, 255]], np.uint8)
    ink = tone.ink_labels(grey, 100, dark) == tone.INK
    assert ink.tolist() == [[dark, dark, not dark, not dark]]
