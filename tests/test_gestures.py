"""Any sequence of gestures of cleaning keeps the map valid, and going back gives back the bytes."""

from contextlib import suppress
from dataclasses import replace

import numpy as np
import pytest
import shapely
from hypothesis import Phase, assume, given, settings
from hypothesis import strategies as st

import shapes
from amounts import examples
from sketchloom.core.base.errors import AppError
from sketchloom.core.curves import node_chain
from sketchloom.core.curves.crossings import crossings
from sketchloom.core.curves.curveset import flatten
from sketchloom.core.curves.outline import face_outline
from sketchloom.core.edits.decisions import ABOVE, BELOW, COLOUR, DROP, KEEP, WINDOW
from sketchloom.core.layers.added import Rim
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.shapes.placed import reordered
from sketchloom.desk import lines
from sketchloom.desk.regions import RegionDesk
from sketchloom.desk.shapes import ShapeDesk
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

SIZE = 180
RECIPE = Recipe(reading="colour", size_mm=90.0, smallest_mm=0.5)
PIPELINE = Pipeline()


def pond():
    """A dark pond on white; in it a red fish with a tail, two pale moons and a yellow bar across its edge."""
    def fish(x, y):
        return (
            (np.hypot((x - 80) / 42, (y - 100) / 24) < 1)
            | ((x > 116) & (x < 150) & (np.abs(y - 100) < 7 + 0.5 * (x - 116)))
        )
    def bar(x, y):
        return (np.abs(y - 150) < 6) & (x > 100)
    pixels = np.full((SIZE, SIZE, 3), 255.0)
    for shape, colour in (
        (shapes.disc(90, 90, 84), (30, 53, 87)),
        (fish, (200, 60, 50)),
        (shapes.disc(60, 40, 12), (240, 225, 180)),
        (shapes.disc(120, 40, 9), (240, 225, 180)),
        (bar, (227, 174, 74)),
    ):
        cover = shapes.cover_of(shape, SIZE)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    return shapes.picture(np.rint(pixels).astype(np.uint8))


POND = pond()
place = st.tuples(st.floats(0.06, 0.94), st.floats(0.06, 0.94))
gesture = st.one_of(
    st.tuples(st.sampled_from([DROP, WINDOW, COLOUR]), place),
    st.tuples(st.sampled_from(["join", "cut", "common"]), place, place),
    st.tuples(st.just("fill"), place),
    st.tuples(st.sampled_from(["circle", "star", "rectangle"]), place, place, st.booleans()),
    st.tuples(st.just("split"), place, place),
    st.tuples(st.just("paint"), place, place, st.booleans()),
    st.tuples(st.just("cover"), place),
    st.tuples(st.sampled_from(["smooth", "straight", "arc", "node"]), place),
    st.tuples(st.just("rim"), st.floats(0.2, 4.0)),
)


def done(recipe, act):
    """The recipe after a gesture on what it gives."""
    work = PIPELINE.evaluate(POND, recipe)
    planar, what, at = (
        work.traced.planar,
        act[0],
        [np.array(p) * (work.picture.width, work.picture.height) for p in act[1:] if isinstance(p, tuple)],
    )
    regions, shapes_ = RegionDesk(work, RegionIndex(planar)), ShapeDesk(work)
    def face(p):
        return int(planar.faces[int(p[1]), int(p[0])])
    if what in (DROP, WINDOW, COLOUR):
        return regions.decided(recipe, [face(at[0])], what, "#2f6f7e" if what == COLOUR else None)
    if what in ("join", "cut", "common"):
        return regions.together(recipe, list(dict.fromkeys(face(p) for p in at)), what)
    if what == "fill":
        return regions.filled(recipe, [face(at[0])])
    if what in ("circle", "star", "rectangle"):
        shape = shapes_.shape(shapes_.figure(what, *at), None if act[3] else "#e3ae4a", what)
        return replace(recipe, shapes=(*recipe.shapes, shape))
    if what == "split":
        return replace(recipe, splits=(*recipe.splits, shapes_.split(at)))
    if what == "paint":
        return replace(
            recipe,
            lines=(
                *recipe.lines,
                lines.painted_line(work, np.array(at) / SIZE, 4.0, "#1e3557" if act[3] else "#ffffff"),
            ),
        )
    if what == "cover":
        box = at[0] + np.array([[-9, -9], [9, -9], [9, 9], [-9, 9]])
        return replace(recipe, covers=(*recipe.covers, shapes_.cover(box)))
    if what == "rim":
        return replace(recipe, rims=(*recipe.rims, Rim(act[1])))
    stretch = shapes_.ring(at[0], 30.0)
    if stretch is None:
        return recipe
    part = shapes_.stretch(stretch.points[:max(len(stretch.points) // 3, 8)], 3.0)
    if part is None:
        return recipe
    if what == "node":
        middle = part.chain.count // 2
        try:
            moved = node_chain.with_node_at(part.chain, middle, part.chain.node(middle) + (2.0, -3.0))
            return replace(recipe, curves=shapes_.with_nodes(part, moved))
        except AppError:  # an end, or another boundary is in the way
            return recipe
    return replace(
        recipe, curves=(*recipe.curves, shapes_.curve_edit(what, part.points, shapes_.reshaped(what, part), False))
    )


def bytes_of(work):
    return (work.traced.curves.controls.tobytes(), work.traced.planar.faces.tobytes(), work.edited.label.tobytes(),
            *(layer.outline.controls.tobytes() for layer in work.layers))


@given(st.lists(gesture, min_size=1, max_size=5))
@settings(max_examples=examples(40), phases=(Phase.explicit, Phase.generate))
def test_any_gestures_leave_a_valid_map_and_undo_gives_back_the_bytes(gestures):
    recipes, made = [RECIPE], [bytes_of(PIPELINE.evaluate(POND, RECIPE))]
    for act in gestures:
        try:
            after = done(recipes[-1], act)
        except AppError:
            continue  # refused in a sentence, and nothing is changed
        work = PIPELINE.evaluate(POND, after)
        planar = work.traced.planar
        assert planar.euler_excess() == 0
        assert planar.face_area_px.sum() == planar.faces.size
        recipes.append(after)
        made.append(bytes_of(work))
    check_faces(PIPELINE.evaluate(POND, recipes[-1]))
    for recipe, before in list(zip(recipes, made, strict=False))[::-1]:
        assert bytes_of(PIPELINE.evaluate(POND, recipe)) == before
    assert bytes_of(Pipeline().evaluate(POND, recipes[-1])) == made[-1]


def after(gestures):
    """The recipe and the desks after some gestures."""
    recipe = RECIPE
    for act in gestures:
        with suppress(AppError):
            recipe = done(recipe, act)
    return recipe, *desks(recipe)


def desks(recipe):
    work = PIPELINE.evaluate(POND, recipe)
    return RegionDesk(work, RegionIndex(work.traced.planar)), ShapeDesk(work)


def face_at(desk, at):
    faces = desk.work.traced.planar.faces
    return int(faces[int(at[1] * faces.shape[0]), int(at[0] * faces.shape[1])])


@given(st.lists(gesture, max_size=2), place, st.sampled_from([DROP, WINDOW, COLOUR, KEEP, BELOW, ABOVE]))
@settings(max_examples=examples(25), phases=(Phase.explicit, Phase.generate))
def test_a_decision_made_twice_is_one_and_taking_it_back_leads_back(gestures, at, action):
    recipe, desk, _ = after(gestures)
    hex_colour = "#2f6f7e" if action == COLOUR else None
    assume(not desk.is_so(face_at(desk, at), action, hex_colour))  # a click takes back what is so
    before, once = bytes_of(desk.work), desk.decided(recipe, [face_at(desk, at)], action, hex_colour)
    decided, _ = desks(once)
    face = face_at(decided, at)
    twice = decided.decided(once, [face], action, hex_colour)
    assert bytes_of(PIPELINE.evaluate(POND, twice)) == bytes_of(decided.work)
    assert bytes_of(PIPELINE.evaluate(POND, decided.taken_back(once, [face]))) == before


@given(place, place, st.sampled_from(["circle", "star", "rectangle"]), st.floats(0.3, 3), st.floats(-3, 3), place)
@settings(max_examples=examples(40))
def test_what_is_done_to_a_shape_and_its_opposite_lead_back(one, other, kind, scale, turn, to):
    _, _, desk = after(())
    shape = desk.shape(desk.figure(kind, np.array(one) * SIZE, np.array(other) * SIZE), "#e3ae4a", kind)
    moved = desk.moved_shape(shape, np.array(to) * SIZE, scale, turn)
    back = desk.moved_shape(moved, desk.middle(shape), 1 / scale, -turn)
    for made in (desk.mirrored(desk.mirrored(shape)), desk.mirrored(desk.mirrored(shape, False), False), back):
        # about its middle: the box of a turned star has another one
        was, now = (np.concatenate(desk.rings(one)).reshape(-1, 2) for one in (shape, made))
        assert now - now.mean(0) == pytest.approx(was - was.mean(0), abs=2e-4)  # shares are kept with seven digits
    others = ("a", "b", shape, "c")
    assert reordered(reordered(others, [2], -1), [1], 1) == others


def check_faces(work):
    """Curves do not cross, meet at their nodes bit for bit, and the areas they enclose fill the picture without a rest.

    One thing may be: a tip of a shape laid on that is thinner than a pixel is no place for another arc's node, which
    then lies on the tip's other side; the two arcs cross there within two pixels of it.
    """
    planar, curves = work.traced.planar, work.traced.curves
    owner = np.repeat(np.arange(planar.arc_count), np.diff(curves.starts))
    nodes = np.stack([planar.start_node, planar.end_node], -1)
    for one, two in crossings(curves.controls, curves.straight).tolist():
        shared = set(nodes[owner[one]].tolist()) & set(nodes[owner[two]].tolist())
        assert work.segmentation.cut_in is not None and shared
        lines = [
            shapely.LineString(
                [*flatten(curves.controls[[n]], curves.straight[[n]], 0.02)[0].tolist(), curves.controls[n, 3].tolist()]
            )
            for n in (one, two)
        ]
        ends = np.concatenate([curves.controls[[one, two], 0], curves.controls[[one, two], 3]])
        met = np.array(lines[0].intersection(lines[1]).centroid.coords[0])
        assert np.hypot(*(ends - met).T).min() < 2.5
    total = sum(float(face_outline(planar, curves, face).area_px.sum()) for face in range(planar.face_count))
    assert total == pytest.approx(planar.faces.size, abs=0.01)
    at = {}
    for arc in np.flatnonzero(~planar.closed & (np.diff(curves.starts) > 0)).tolist():
        for node, end in (
            (planar.start_node[arc], curves.controls[curves.starts[arc], 0]),
            (planar.end_node[arc], curves.controls[curves.starts[arc + 1] - 1, 3]),
        ):
            assert np.array_equal(at.setdefault(int(node), end), end)
