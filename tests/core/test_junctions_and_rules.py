"""Junctions where several colours meet, and the rules that yield findings."""

from dataclasses import replace

import numpy as np
import pytest

import shapes
from sketchloom.core.planar import junctions, subpixel
from sketchloom.core.planar.planar_map import build_map
from sketchloom.core.preflight import rules
from sketchloom.core.preflight.findings import NOTE, RULES, STOP, WARN
from sketchloom.desk.mends import mended
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe


def wedges(angles, centre, size=64):
    """A picture of sectors that meet in a point, one colour each."""
    covers = []
    for a, b in zip(angles, np.roll(angles, -1), strict=False):
        covers.append(
            shapes.cover_of(
                lambda x, y, a=a, b=b: (
                    np.mod(np.arctan2(y - centre[1], x - centre[0]) - a, 2 * np.pi) < np.mod(b - a, 2 * np.pi)
                ),
                size,
            )
        )
    colours = np.array([[255, 40, 30], [20, 200, 60], [40, 60, 255], [240, 220, 30]])[:len(covers)]
    pixels = sum(c[..., None] * colour for c, colour in zip(covers, colours, strict=False))
    return np.rint(pixels).astype(np.uint8), np.argmax(covers, axis=0).astype(np.uint8)


@pytest.mark.parametrize("angles", [np.radians([10, 130, 250]), np.radians([0, 95, 200]), np.radians([20, 75, 190])])
@pytest.mark.parametrize("centre", [(32.0, 32.0), (31.4, 32.7)])
def test_three_sectors_meet_where_they_were_drawn(angles, centre):
    pixels, labels = wedges(angles, centre)
    planar = build_map(labels)
    points = subpixel.boundary_points(planar, pixels, subpixel.FaceLevels(subpixel.face_means(planar, pixels)))
    nodes = junctions.place_nodes(planar, points)
    inner = (planar.node_degree >= 3) & (planar.node_xy > 2).all(1) & (planar.node_xy < 62).all(1)
    assert inner.sum() == 1
    np.testing.assert_allclose(nodes[inner][0], centre, atol=0.15)


@pytest.mark.parametrize("radius", [6.0, 8.0, 12.0, 20.0])
def test_arcs_of_small_discs_meet_on_their_circle(radius):
    """A disc in two colours, parted by an upright line: where the line meets the circle follows from Pythagoras."""
    side = 64
    for k in range(3):
        x, y, away = 30.3 + 0.3 * k, 30.2 - 0.2 * k, 0.7
        disc, left = (
            shapes.cover_of(shapes.disc(x, y, radius), side),
            shapes.cover_of(lambda u, v: (u < x + away) | (v < -1), side),  # noqa: B023
        )
        ground, white, grey = (np.array(c, float) for c in ((255, 200, 60), (255, 255, 255), (98, 98, 98)))
        inner = left[..., None] * white + (1 - left[..., None]) * grey
        rgb = np.rint(disc[..., None] * inner + (1 - disc[..., None]) * ground).astype(np.uint8)
        work = Pipeline().evaluate(
            shapes.picture(rgb), Recipe(reading="colour", colours=3, ground="keep", smallest_mm=0.0)
        )
        curves = work.traced.curves
        ends = np.concatenate([curves.controls[curves.starts[:-1], 0], curves.controls[curves.starts[1:] - 1, 3]])
        for sign in (-1, 1):
            drawn = np.array([x + away, y + sign * np.sqrt(radius**2 - away**2)])
            assert np.hypot(*(ends - drawn).T).min() < 0.15


def test_nodes_on_the_border_stay_on_it():
    pixels, labels = wedges(np.radians([10, 130, 250]), (32.0, 32.0))
    planar = build_map(labels)
    points = subpixel.boundary_points(planar, pixels, subpixel.FaceLevels(subpixel.face_means(planar, pixels)))
    nodes = junctions.place_nodes(planar, points)
    for axis, limit in ((0, 0), (0, 64), (1, 0), (1, 64)):
        on = planar.node_xy[:, axis] == limit
        assert (nodes[on, axis] == limit).all()


def test_a_band_across_a_tower_is_straight_from_side_to_side():
    """Both ends of the band lie on slanted sides; its two outlines are single lines at the right height."""
    pixels = np.zeros((200, 160, 3)) + 255.0
    tower = shapes.cover_of(shapes.polygon([(60, 10), (100, 10), (120, 190), (40, 190)]), 200)[:, :160, None]
    band = shapes.cover_of(lambda x, y: (y > 80) & (y < 117.5) & (x > 0), 200)[:, :160, None]
    pixels = pixels * (1 - tower) + tower * (band * np.array([181, 72, 60]) + (1 - band) * np.array([30, 53, 87]))
    work = Pipeline().evaluate(shapes.picture(np.rint(pixels).astype(np.uint8)),
                               Recipe(reading="colour", size_mm=160.0, layering="fitted"))
    red = next(x for x in work.layers if x.plan.hex == "#b5483c")
    assert red.outline.segments == 4 and red.outline.straight.all()
    assert sorted(red.outline.controls[:, 0, 1].round(1).tolist()) == pytest.approx([80, 80, 117.5, 117.5], abs=0.15)


def test_every_finding_of_a_hard_case_has_a_known_code_and_a_place_where_it_has_one():
    def stroke(x, y):
        return (np.abs(y - 60) < 1.4) & (x > 20) & (x < 140)
    cover = shapes.cover_of(stroke, 160)
    work = Pipeline().evaluate(shapes.picture(shapes.colour_of(cover, (30, 53, 87), (255, 255, 255))),
                               Recipe(reading="colour", size_mm=20.0, smallest_mm=0.0))
    assert {f.code for f in work.findings} <= set(RULES)
    (thin, *_) = [f for f in work.findings if f.code == "layer.thin"]
    assert thin.severity == WARN and 20 < thin.x_px < 140 and thin.y_px == pytest.approx(60, abs=1)
    # 2.8 px at 0.125 mm a pixel, placed to a tenth of a pixel on either side
    assert float(thin.message.split()[1]) == pytest.approx(0.35, abs=0.025)


@pytest.mark.parametrize("size_mm, said", [(250, None), (320, "fits a 12 × 24 in one"), (700, "does not fit")])
def test_carriers(size_mm, said):
    """A 12 in carrier cuts about 11.5 in, 292 mm; the long one twice that (trade)."""
    def wide(x, y):
        return (x > 2) & (x < 158) & (y > 50) & (y < 110)
    picture = shapes.picture(shapes.colour_of(shapes.cover_of(wide, 160), (30, 53, 87), (255, 255, 255)))
    work = Pipeline().evaluate(picture, Recipe(reading="colour", size_mm=float(size_mm)))
    found = [f.message for f in work.findings if f.code == "size.over_carrier"]
    assert (not found) if said is None else (len(found) == 1 and said in found[0])
    assert pytest.approx(292.1) == rules.CARRIER_MM


@pytest.mark.parametrize(("width", "height", "size_mm", "share"), [
    (160, 96, 560.0, 0.86),  # 553 × 338 mm: the short side decides, a long carrier takes the other
    (160, 30, 700.0, 0.86),  # 691 × 127 mm: the long side decides
    (160, 40, 400.0, 0.73),  # fits the long carrier; the short one at this much
])
def test_make_it_fit_makes_it_no_smaller_than_it_must(width, height, size_mm, share):
    def plate(x, y):
        return (abs(x - 80) < width / 2 - 1) & (abs(y - 80) < height / 2)
    picture = shapes.picture(shapes.colour_of(shapes.cover_of(plate, 160), (30, 53, 87), (255, 255, 255)))
    work = Pipeline().evaluate(picture, Recipe(reading="colour", size_mm=size_mm))
    found = next(f for f in work.findings if f.code == "size.over_carrier")
    assert f"{share:.0%} of its size" in found.message and found.figures["share"] == pytest.approx(share)
    fitted = Pipeline().evaluate(picture, mended(found, work))
    assert fitted.size_mm[0] == pytest.approx(share * size_mm, abs=0.2)
    left = [f for f in fitted.findings if f.code == found.code]
    assert not left or (found.severity == WARN and left[0].severity == NOTE)


def test_pieces_that_fit_one_by_one_are_not_too_wide():
    """Letters spread over a page are laid on a carrier one by one."""
    def letters(x, y):
        return (abs(x - 20) < 15) & (abs(y - 20) < 15) | (abs(x - 140) < 15) & (abs(y - 130) < 15)
    picture = shapes.picture(shapes.colour_of(shapes.cover_of(letters, 160), (30, 53, 87), (255, 255, 255)))
    recipe = Recipe(reading="colour", size_mm=600.0)
    found = {f.code: f.message for f in Pipeline().evaluate(picture, recipe).findings}
    assert "size.over_carrier" not in found and "spread over" in found["size.spread"]
    found = {f.code for f in Pipeline().evaluate(picture, replace(recipe, size_mm=1700.0)).findings}
    assert "size.over_carrier" in found and "size.spread" not in found


@pytest.mark.parametrize("tool", ["laser", "router"])
def test_carriers_and_weeding_are_for_blades(tool):
    def bar(x, y):
        return (x > 2) & (x < 158) & (abs(y - 80) < 3) | (abs(x - 20) < 1) & (abs(y - 20) < 1)
    picture = shapes.picture(shapes.colour_of(shapes.cover_of(bar, 160), (30, 53, 87), (255, 255, 255)))
    recipe = Recipe(reading="colour", size_mm=400.0, smallest_mm=0.0, thin_mm=20.0)
    told = {t: Pipeline().evaluate(picture, replace(recipe, tool=t)).findings for t in ("blade", tool)}
    assert "size.over_carrier" in {f.code for f in told["blade"]}
    assert not any(f.code.startswith("size.") for f in told[tool])
    assert {"layer.thin", "layer.small_pieces"} <= {f.code for f in told[tool]}
    assert not any("weed" in f.message for f in told[tool] if f.rule.stage == "layers")


def test_nothing_left_stops():
    found = rules.check_layers((), np.empty((0, 3)), (), np.empty(0, int), 1.0, 0.8, 0.1, True)
    assert [f.severity for f in found] == [STOP]
