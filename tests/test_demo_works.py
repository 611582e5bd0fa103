"""The shipped demo works: complete, readable, and as their recipes say."""

import numpy as np
import pytest
from PIL import Image

from sketchloom.core.judge.faults import find_faults
from sketchloom.core.picture.decode import decode
from sketchloom.core.picture.preparing.preparation import prepared
from sketchloom.core.picture.preparing.steps import Preparation
from sketchloom.core.segment.cut_offs import count_cut_offs
from sketchloom.files.demo_works import DEMOS, demo, put_demo_projects
from sketchloom.files.opening import open_file


@pytest.mark.parametrize("one", DEMOS, ids=lambda one: one.key)
def test_files_and_thumbnail_are_shipped(one):
    assert all(path.is_file() for path in one.paths)
    small = Image.open(one.thumbnail_path)
    assert max(small.size) == 220
    # the first screen must not show an empty tile
    assert np.asarray(small.convert("L")).std() > 8


def test_keys_and_titles_are_told_apart():
    assert len({one.key for one in DEMOS}) == len({one.title for one in DEMOS}) == len(DEMOS)
    assert all(one.about and len(one.title) < 20 for one in DEMOS)


def test_projects_are_written_once_and_left_alone(tmp_path):
    first = put_demo_projects(tmp_path)
    assert set(first) == {one.key for one in DEMOS} and all(p.is_file() for p in first.values())
    first["mark"].write_bytes(b"mine")
    assert put_demo_projects(tmp_path)["mark"].read_bytes() == b"mine"


def test_the_layers_share_one_frame_and_are_in_order():
    sizes = {Image.open(path).size for path in demo("layers").paths}
    assert len(sizes) == 1
    project = demo("layers").project()
    assert [edit.name for edit in project.recipe.layers] == ["night", "hills", "water", "boat", "lanterns"]


def test_the_page_has_the_size_it_was_drawn_with():
    picture = open_file(demo("page").picture_path).picture
    size = picture.width / picture.dpi * 25.4, picture.height / picture.dpi * 25.4
    assert size == pytest.approx((148, 210), abs=0.15)


def test_the_pencil_sketch_has_its_page_found_and_a_cut_off_between_pencil_and_paper():
    one = demo("phone")
    picture = decode(one.picture_path.read_bytes(), one.file_name)
    page = find_faults(picture).page
    # as the demo draws it: corners of the sheet in a picture of 2000 x 1500
    drawn = np.array([[420, 110], [1500, 175], [1680, 1400], [255, 1330]]) / [2000, 1500]
    assert np.abs(np.array(page) - drawn).max() < 0.004
    flat = prepared(picture, Preparation(page=page, level_light=True))
    cut_offs = count_cut_offs(flat.grey)
    # pencil covers about 5 % of the sheet; its own grain has quiet cut-offs that show far less
    assert 0.03 < cut_offs.ink[cut_offs.proposed()] < 0.08
