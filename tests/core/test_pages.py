"""Pages of several tints in rooms full of other things, made by rule; the seeds from 100 on were not looked at when the
limits were chosen."""

import cv2
import numpy as np
import pytest

from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.picture.preparing import finding
from sketchloom.core.picture.preparing.preparation import prepared
from sketchloom.core.picture.preparing.steps import Preparation

TINTS = {"white": (240, 240, 236), "bluish": (176, 196, 226), "cream": (238, 224, 190), "dim": (150, 156, 168),
         "green": (190, 214, 190)}
SIZE = (1200, 900)


def drawing(rng, tint):
    page = np.full((700, 500, 3), tint, np.uint8)
    for _ in range(14):
        x, y, radius = rng.integers(60, 440), rng.integers(60, 640), rng.integers(15, 60)
        cv2.circle(page, (int(x), int(y)), int(radius), (40, 40, 50), 4)
    return page


def room(seed, tint, things=60):
    """A page at a slant on random things, in light that falls off, with grain; and its corners, px."""
    rng = np.random.default_rng(seed)
    image = np.empty((SIZE[1], SIZE[0], 3), np.uint8)
    image[:] = rng.integers(60, 130, 3)
    for _ in range(things):
        middle, sides = rng.integers(0, SIZE).astype(float), rng.integers(30, 260, 2).astype(float)
        box = cv2.boxPoints((tuple(middle), tuple(sides), float(rng.uniform(0, 90)))).astype(np.int32)
        shade = rng.integers(200, 250, 3) if rng.random() < 0.12 else rng.integers(20, 200, 3)
        cv2.fillPoly(image, [box], shade.tolist())
    corners = np.array([[0.24, 0.2], [0.78, 0.17], [0.83, 0.82], [0.2, 0.86]]) * SIZE + rng.uniform(-50, 50, (4, 2))
    flat = np.float32([[0, 0], [500, 0], [500, 700], [0, 700]])
    move = cv2.getPerspectiveTransform(flat, np.float32(corners))
    seen = cv2.warpPerspective(drawing(rng, tint), move, SIZE, flags=cv2.INTER_AREA)
    there = cv2.warpPerspective(np.full((700, 500), 255, np.uint8), move, SIZE)
    y, x = np.mgrid[:SIZE[1], :SIZE[0]]
    light = 1 - 0.25 * x / SIZE[0] * rng.random() - 0.2 * y / SIZE[1] * rng.random()
    image = np.where(there[..., None] > 127, seen, image) * light[..., None] + rng.normal(0, 4, image.shape)
    image = cv2.GaussianBlur(np.clip(image, 0, 255).astype(np.uint8), (0, 0), 0.8)
    return Picture(frozen_array(image)), corners


@pytest.mark.parametrize("tint", TINTS)
def test_a_page_of_any_tint_is_found_in_a_busy_room(tint):
    """Of four rooms at least two, and never a page that is none."""
    found = []
    for seed in range(100, 104):
        picture, wanted = room(seed, TINTS[tint])
        page = finding.find_page(picture, thorough=True)
        if page is not None:
            found.append(float(np.hypot(*(np.array(page) * SIZE - wanted).T).max()))
    assert len(found) >= 2 and max(found) < 4


def test_the_same_picture_gives_the_same_page():
    picture, _ = room(7, TINTS["bluish"])
    cv2.setRNGSeed(99)
    first = finding.find_page(picture, thorough=True)
    assert first is not None and finding.find_page(picture, thorough=True) == first


def test_the_edge_of_the_page_is_the_measure():
    """A mark a quarter of the way across the page lies a quarter of the way across what is flattened: nothing is
    trimmed, and nothing of the table is left along the sides."""
    rng = np.random.default_rng(3)
    page = drawing(rng, TINTS["white"])
    page[:] = 240
    page[100:600, 123:127] = page[100:600, 373:377] = 30
    corners = np.float32([[250, 180], [940, 200], [980, 760], [200, 740]])
    move = cv2.getPerspectiveTransform(np.float32([[0, 0], [500, 0], [500, 700], [0, 700]]), corners)
    shot = cv2.warpPerspective(page, move, SIZE, flags=cv2.INTER_AREA, borderValue=(70, 70, 70))
    picture = Picture(frozen_array(shot))
    found = finding.find_page(picture)
    flat = prepared(picture, Preparation(page=found)).grey
    height, width = flat.shape
    row = 255.0 - flat[height // 2]
    x = np.arange(width) + 0.5
    for share in (0.25, 0.75):
        near = abs(x / width - share) < 0.05
        place = (x[near] * (row[near] > 80) * row[near]).sum() / ((row[near] > 80) * row[near]).sum()
        assert place / width == pytest.approx(share, abs=0.0015)
    edge = np.concatenate([flat[0], flat[-1], flat[:, 0], flat[:, -1]])
    assert edge.min() > 200


@pytest.mark.parametrize("degrees", [6, 12, 19, 33])
def test_hatching_at_a_slant_is_no_skew(degrees):
    grey = np.full((600, 800), 245, np.uint8)
    turn = np.radians(degrees)
    step = np.array([-np.sin(turn), np.cos(turn)]) * 14
    for n in range(-12, 13):
        middle = np.array([400, 300]) + n * step
        reach = np.array([np.cos(turn), np.sin(turn)]) * (150 + 30 * (n % 3))
        cv2.line(grey, *(tuple(np.rint(middle + s * reach).astype(int).tolist()) for s in (-1, 1)), 40, 3, cv2.LINE_AA)
    cv2.circle(grey, (400, 300), 240, 40, 4, cv2.LINE_AA)
    assert finding.find_skew(grey).sure < 0.2
