"""Figures of one's own: kept without place and size, read back safely."""

import json

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from sketchloom.core.base.errors import SettingError
from sketchloom.core.shapes import makers, own
from sketchloom.files import user_data

COORD = st.floats(-500, 500, allow_nan=False)


@given(COORD, COORD, COORD, COORD, st.integers(3, 12))
def test_a_figure_fills_a_box_in_its_proportions(ax, ay, bx, by, sides):
    rings = [makers.rectangle((90.0, 40.0), 60.0, 20.0, 4.0), makers.regular((90.0, 40.0), 6.0, sides)]
    made = own.filling(own.own_figure(rings, "plate"), (ax, ay), (bx, by))
    every = np.concatenate([ring.reshape(-1, 2) for ring in made])
    low, high = every.min(0), every.max(0)
    width, height = high - low
    box = np.maximum(np.abs((bx - ax, by - ay)), 1.0)
    assert (low + high) / 2 == pytest.approx(((ax + bx) / 2, (ay + by) / 2), abs=1e-6)
    assert width / height == pytest.approx(3.0, rel=1e-6)
    assert (width <= box[0] + 1e-6) and (height <= box[1] + 1e-6)
    assert width == pytest.approx(box[0]) or height == pytest.approx(box[1])


def test_figures_are_kept_and_those_of_a_name_replaced(tmp_path, monkeypatch):
    monkeypatch.setattr(user_data, "data_folder", lambda: tmp_path)
    star, plate = ([makers.star((0, 0), 2, 1)], [makers.rectangle((5, 5), 4, 2)])
    user_data.keep_figures(own.with_figure(user_data.figures(), own.own_figure(star, "a")))
    user_data.keep_figures(own.with_figure(user_data.figures(), own.own_figure(plate, "b")))
    user_data.keep_figures(own.with_figure(user_data.figures(), own.own_figure(plate, "a")))
    kept = user_data.figures()
    assert [one.name for one in kept] == ["b", "a"] and kept[0].rings == kept[1].rings
    assert len(own.with_figure([own.own_figure(star, str(n)) for n in range(own.MAX_FIGURES)], kept[0])) == 100


@pytest.mark.parametrize("data", [
    {}, [1], [{"name": "a"}], [{"name": "", "rings": [[[0, 0]] * 4]}], [{"name": "a", "rings": []}],
    [{"name": "a", "rings": [[[0, 0]] * 5]}], [{"name": "a", "rings": [[[0, 1e9]] * 4]}],
    [{"name": "a", "rings": [[[0, 0]] * 4]}] * 101])
def test_what_is_no_collection_of_figures_is_as_good_as_none(data, tmp_path, monkeypatch):
    monkeypatch.setattr(user_data, "data_folder", lambda: tmp_path)
    with pytest.raises(SettingError):
        own.from_plain(data)
    (tmp_path / "figures.json").write_text(json.dumps(data))
    assert user_data.figures() == () and json.loads((tmp_path / "figures.json").read_text()) == data
