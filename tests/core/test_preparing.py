"""Preparing: each step against a closed form or a picture whose truth is known."""

from dataclasses import replace

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

import shapes
from amounts import examples
from sketchloom.core.base.errors import SettingError
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.picture.preparing import enlarging, finding, geometry, grain, light
from sketchloom.core.picture.preparing.preparation import prepared, prepared_size
from sketchloom.core.picture.preparing.steps import PLAIN, Preparation

RNG = np.random.default_rng(7)


def page(width=420, height=594):
    """A page of level bars and a frame, dark on white."""
    grey = np.full((height, width), 245, np.uint8)
    grey[30:34, 30:-30] = grey[-34:-30, 30:-30] = 40
    grey[30:-30, 30:34] = grey[30:-30, -34:-30] = 40
    for y in range(80, height - 80, 40):
        grey[y:y + 6, 60:60 + (y * 7) % 250 + 40] = 60
    return grey


def seen(grey, corners, size, ground=70):
    """A page with its corners at places of a larger picture, by four times supersampling."""
    h, w = grey.shape
    from_ = np.float32([[0, 0], [w, 0], [w, h], [0, h]])
    move = cv2.getPerspectiveTransform(from_, np.float32(corners) * 4)
    big = cv2.warpPerspective(
        np.pad(grey, 0), move, (size[0] * 4, size[1] * 4), flags=cv2.INTER_LINEAR, borderValue=ground
    )
    return cv2.resize(big, size, interpolation=cv2.INTER_AREA)


def colour(grey):
    return Picture(frozen_array(np.dstack([grey] * 3)))


def test_plain_steps_give_the_picture_itself():
    picture = colour(page())
    assert prepared(picture, PLAIN) is picture and PLAIN.is_plain


@pytest.mark.parametrize("degrees", [-7.3, -1.0, -0.25, 0.0, 0.4, 2.0, 11.7])
def test_skew_of_a_synthetic_page_to_a_tenth_of_a_degree(degrees):
    """The page is turned by a known angle, drawn four times as large and reduced; then blurred and grained."""
    grey = page()
    c, s = np.cos(np.radians(degrees)), np.sin(np.radians(degrees))
    corners = [
        (c * x - s * y + 400, s * x + c * y + 430) for x, y in ((-210, -297), (210, -297), (210, 297), (-210, 297))
    ]
    shot = cv2.GaussianBlur(seen(grey, corners, (800, 860), ground=245), (0, 0), 0.8)
    shot = np.clip(shot + RNG.normal(0, 4, shot.shape), 0, 255).astype(np.uint8)
    found = finding.find_skew(shot)
    assert abs(found.degrees - degrees) <= 0.1
    assert found.sure > 0.5
    straight = prepared(colour(shot), Preparation(turn_deg=-found.degrees))
    assert abs(finding.find_skew(straight.grey).degrees) <= 0.1


def test_a_round_drawing_has_no_skew_to_be_sure_of():
    grey = shapes.grey_of(
        shapes.cover_of(shapes.disc(150, 150, 110), 300) - shapes.cover_of(shapes.disc(150, 150, 100), 300)
    )
    assert finding.find_skew(grey).sure < 0.2
    assert finding.find_skew(np.full((200, 200), 240, np.uint8)).sure == 0.0


CORNERS = [(110.0, 60.0), (640.0, 95.0), (690.0, 830.0), (60.0, 780.0)]


def test_the_corners_of_a_page_on_a_table_are_found():
    size = (760, 900)
    shot = seen(page(), CORNERS, size)
    shot = np.clip(shot * np.linspace(1, 0.75, 760) + RNG.normal(0, 3, shot.shape), 0, 255).astype(np.uint8)
    found = np.array(finding.find_page(colour(shot))) * size
    assert np.hypot(*(found - CORNERS).T).max() < 1.5


def test_no_page_is_made_up():
    assert finding.find_page(colour(page())) is None  # the page fills the picture
    disc = shapes.grey_of(1 - shapes.cover_of(shapes.disc(200, 200, 120), 400))
    assert finding.find_page(colour(disc)) is None


@pytest.mark.parametrize("lean, swing, within", [(28, 17, 0.01), (28, 0, 0.06), (0, 20, 0.06), (0, 0, 0.005)])
def test_a_flattened_page_is_the_page_again(lean, swing, within):
    """Closed form: a camera of known focal length in the middle, and a page turned about one axis or two.

    Turned about one, the focal length is assumed, which leaves some per cent.
    """
    focal, grey = 900.0, page()
    h, w = grey.shape
    a, b = np.radians(lean), np.radians(swing)
    corners = []
    for x, y in ((-w / 2, -h / 2), (w / 2, -h / 2), (w / 2, h / 2), (-w / 2, h / 2)):
        y, z = y * np.cos(a), y * np.sin(a)
        x, z = x * np.cos(b) + z * np.sin(b), 1000 - x * np.sin(b) + z * np.cos(b)
        corners.append((focal * x / z + 400, focal * y / z + 450))
    shot = seen(grey, corners, (800, 900))
    shares = tuple((x / 800, y / 900) for x, y in corners)
    flat = prepared(colour(shot), Preparation(page=shares))
    assert flat.width / flat.height == pytest.approx(w / h, rel=within)
    assert (flat.width, flat.height) == prepared_size(colour(shot), Preparation(page=shares))
    wanted = cv2.resize(grey, (flat.width, flat.height), interpolation=cv2.INTER_AREA).astype(int)
    assert np.abs(flat.grey.astype(int) - wanted)[6:-6, 6:-6].mean() < 3.0


def test_a_disc_turned_stays_round_and_where_it_belongs():
    picture = colour(shapes.grey_of(shapes.cover_of(shapes.disc(70, 40, 20), 120)))
    turned = geometry.turned(picture, 20.0)
    dark = 255.0 - turned.grey
    y, x = np.mgrid[0:120, 0:120] + 0.5
    c, s = np.cos(np.radians(20)), np.sin(np.radians(20))
    assert (dark * x).sum() / dark.sum() == pytest.approx(60 + c * 10 - s * -20, abs=0.05)
    assert (dark * y).sum() / dark.sum() == pytest.approx(60 + s * 10 + c * -20, abs=0.05)


@given(
    st.tuples(st.floats(0, 0.8), st.floats(0, 0.8), st.floats(0.05, 1), st.floats(0.05, 1)),
    st.sampled_from([0, 90, -90, 180, 3.5]),
    st.integers(1, 3),
)
@settings(max_examples=examples(40))
def test_the_size_is_told_before_anything_is_done(shares, turn, times):
    x, y, w, h = shares
    crop = (x, y, min(1.0, x + max(w, 0.05)), min(1.0, y + max(h, 0.05)))
    steps = Preparation(crop=crop, turn_deg=turn, enlarge=times)
    picture = colour(page(60, 90))
    done = prepared(picture, steps)
    assert (done.width, done.height) == prepared_size(picture, steps)
    assert min(done.width, done.height) >= 8


def test_quarter_turns_move_pixels_and_nothing_else():
    rgb = RNG.integers(0, 256, (20, 30, 3)).astype(np.uint8)
    picture = Picture(frozen_array(rgb), frozen_array(rgb[..., 0].copy()), 300.0)
    turned = prepared(picture, Preparation(turn_deg=90))
    assert np.array_equal(turned.rgb, np.rot90(rgb, -1)) and np.array_equal(turned.alpha, np.rot90(rgb[..., 0], -1))
    assert turned.dpi == 300.0


def test_uneven_light_is_levelled_and_ink_keeps_its_share():
    grey = page().astype(float)
    h, w = grey.shape
    y, x = np.mgrid[-1:1:h * 1j, -1:1:w * 1j]
    lit = np.clip(np.rint(grey * (0.85 - 0.25 * x - 0.1 * y * y)), 0, 255).astype(np.uint8)
    level = light.levelled(np.dstack([lit, lit, np.rint(lit * 0.9).astype(np.uint8)]))
    paper = level[page() == 245]
    assert paper.std(0).max() < 4 and abs(paper.mean() - light.PAPER) < 4
    ink = level[page() == 60][:, 0]
    assert abs(ink.mean() / paper.mean() - 60 / 245) < 0.03


def test_a_large_dark_shape_does_not_become_paper():
    grey = np.full((400, 400), 235.0)
    grey[100:320, 90:330] = 50
    lit = np.rint(grey * np.linspace(1, 0.7, 400)).astype(np.uint8)
    level = light.levelled(np.dstack([lit] * 3))[..., 0]
    assert level[110:310, 100:320].max() < 90 and level[grey == 235].min() > 225


def test_faint_pencil_is_lifted_and_paper_is_not():
    grey = np.clip(235 + RNG.normal(0, 2, (200, 200)), 0, 255)
    grey[90:96, 20:180] = 190
    plain = np.dstack([grey.round().astype(np.uint8)] * 3)
    before = None
    for steps in (1, 2, 3):
        lifted = light.lifted(plain, steps)[..., 0].astype(float)
        assert abs(np.median(lifted[:80]) - 235) <= 1
        stroke = lifted[91:95, 22:178].mean()
        assert stroke < (190 if before is None else before) - 3
        before = stroke


def test_grain_goes_and_the_edge_stays():
    clean = shapes.grey_of(shapes.cover_of(shapes.disc(100, 100, 60), 200)).astype(float)
    noisy = np.clip(clean * 0.8 + 25 + RNG.normal(0, 8, clean.shape), 0, 255).round().astype(np.uint8)
    rgb = np.dstack([noisy] * 3)
    quiet = grain.denoised(rgb, 2)[..., 0].astype(float)
    inside = np.hypot(*(np.mgrid[0:200, 0:200] + 0.5 - 100)) < 50
    assert quiet[inside].std() < 0.4 * noisy[inside].std()
    assert np.abs(quiet - (clean * 0.8 + 25))[~inside].mean() < np.abs(noisy - (clean * 0.8 + 25.0))[~inside].mean()


def screened(period, size=512):
    y, x = np.mgrid[0:size, 0:size]
    u, v = (x + y) / np.sqrt(2), (x - y) / np.sqrt(2)
    tone = np.where(np.hypot(x - 256, y - 256) < 150, 0.65, 0.25)
    dots = 0.5 + 0.25 * (np.cos(2 * np.pi * u / period) + np.cos(2 * np.pi * v / period))
    soft = np.clip((tone - dots) * 4 + 0.5, 0, 1)
    return np.rint(235 - 190 * soft).astype(np.uint8)


@pytest.mark.parametrize("period", [4.0, 6.5, 9.0])
def test_the_period_of_a_printing_screen_is_measured_and_the_screen_goes(period):
    rgb = np.dstack([screened(period)] * 3)
    assert grain.screen_period(rgb) == pytest.approx(period, rel=0.06)
    flat = grain.descreened(rgb)[..., 0]
    inner = np.hypot(*(np.mgrid[0:512, 0:512] - 256.0)) < 120
    assert flat[inner].std() < 0.15 * rgb[..., 0][inner].std()
    assert flat[inner].mean() < flat[20:80, 20:80].mean() - 40


def test_drawings_have_no_printing_screen():
    assert grain.screen_period(np.dstack([page()] * 3)) is None
    noise = np.clip(200 + RNG.normal(0, 12, (512, 512)), 0, 255).astype(np.uint8)
    assert grain.screen_period(np.dstack([noise] * 3)) is None


@pytest.mark.parametrize("times", [2, 3, 4])
def test_an_enlarged_disc_has_its_edge_where_it_was_and_as_narrow(times):
    cover = shapes.cover_of(shapes.disc(30.3, 29.6, 18), 60)
    large = enlarging.enlarged(colour(shapes.grey_of(cover)), times)
    share = (255.0 - large.grey) / 255
    assert share.sum() == pytest.approx(np.pi * (18 * times) ** 2, rel=0.004)
    soft = ((share > 0.1) & (share < 0.9)).sum()
    plain = cv2.resize(shapes.grey_of(cover), None, fx=times, fy=times, interpolation=cv2.INTER_CUBIC)
    assert soft < 0.6 * ((plain > 25) & (plain < 230)).sum()


@pytest.mark.parametrize(
    "wrong",
    [
        {"page": ((0, 0), (1, 0), (1, 1))},
        {"page": ((0, 0), (1, 1), (1, 0), (0, 1))},
        {"crop": (0.5, 0, 0.4, 1)},
        {"crop": (0, 0, 1, float("nan"))},
        {"turn_deg": float("inf")},
        {"turn_deg": "3"},
        {"enlarge": 9},
        {"denoise": True},
        {"level_light": 1},
    ],
)
def test_wrong_steps_are_refused(wrong):
    with pytest.raises(SettingError, match=next(iter(wrong))):
        replace(PLAIN, **wrong)


def test_enlarging_stops_at_what_the_program_opens(monkeypatch):
    from sketchloom.core.picture.preparing import preparation
    monkeypatch.setattr(preparation, "MAX_PIXELS", 60 * 90 * 5)
    assert prepared_size(colour(page(60, 90)), Preparation(enlarge=4)) == (120, 180)
