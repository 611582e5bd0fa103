"""The jobs that issue after issue of cleaning consists of, done in the window. ``python -m bench.journeys.clean [words
of a name]``"""


import numpy as np
import shapely
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QToolButton

from bench.journeys import walk
from sketchloom.app.parts.tool_row import CHOOSE, COVER, MIRROR, SHAPE, WORD
from sketchloom.desk import figures

CLEAN = 2


def face(person, x, y):
    planar = person.driver.work.traced.planar
    return int(planar.faces[int(y * planar.height), int(x * planar.width)])


def hex_at(person, x, y):
    work, f = person.driver.work, face(person, x, y)
    return None if work.ground[f] else work.segmentation.entries[work.edited.label[f]].hex


def inner(person, f):
    """A place well inside a face, as the eye finds it."""
    planar = person.driver.work.traced.planar
    x, y = person.window.cleaning.desk.inner_place(f)
    return x / planar.width, y / planar.height


def mm(person, *places):
    width, height = person.driver.work.size_mm
    return [(x / width, y / height) for x, y in places]


def cut_off(person, share):
    """Another cut-off, dragged on the curve in Trace, and back in Clean."""
    person.stage("Trace")
    curve = person.window.panels[1].tone.curve
    person.slide(curve, 0.5, share)
    person.settled()
    got = person.recipe.cut_off
    person.stage("Clean")
    return got


def fewer_colours(person):
    """One colour less, by the slider in Trace."""
    person.stage("Trace")
    person.key_on(person.window.panels[1].colour._count.slider, "Left")
    person.settled()
    return len(person.driver.work.segmentation.own_entries)


def give(person, hex_colour):
    """A colour of the strip beside what is chosen."""
    grid = person.window.choosing.strip.grid
    person.press(next(part for part in grid.findChildren(QToolButton) if hex_colour in part.toolTip()))


def panel(person):
    return person.window.panels[CLEAN]


_MOSTLY = 0.8
"""A line round about so much of a region's box takes it."""
_WAY_PX, _NEAR_MM = 3.0, 12.0
"""From one to the next a hand goes so narrow a way, and no farther."""


def rings_round(person, faces):
    """Lines (shares) that go round the wanted regions and no others, as the eye finds them: several at once where they
    lie together."""
    desk, planar = person.window.cleaning.desk, person.driver.work.traced.planar
    within = person.window.cleaning.chosen_within

    def box(f):
        x0, y0, x1, y1 = desk.index.box(f)
        x, y, w, h = (x0 + x1) / 2, (y0 + y1) / 2, (x1 - x0) / 2 * _MOSTLY, (y1 - y0) / 2 * _MOSTLY
        return shapely.box(x - w, y - h, x + w, y + h)

    def ring(some):
        """Round all of them, and along a narrow way from one to the next."""
        boxes = [box(f) for f in some]
        ways = [shapely.shortest_line(shapely.unary_union(boxes[:n]), boxes[n]).buffer(_WAY_PX)
                for n in range(1, len(boxes))]
        hull = np.array(shapely.unary_union([*boxes, *ways]).exterior.coords)
        return tuple(map(tuple, hull / (planar.width, planar.height)))

    left, rings = list(faces), []
    while left:
        taken = [left.pop(0)]
        while True:
            far = {f: min(shapely.distance(box(f), box(one)) for one in taken) for f in left}
            near = sorted((f for f in left if far[f] * person.driver.work.mm_per_px <= _NEAR_MM), key=far.get)
            more = next((f for f in near if set(within(ring([*taken, f]))) == {*taken, f}), None)
            if more is None:
                break
            taken.append(more)
            left.remove(more)
        rings.append((taken, ring(taken)))
    return rings


def ringed(person, rings):
    """A click where there is one, else a line round with Ctrl; Shift adds."""
    for number, (faces, ring) in enumerate(rings):
        adds = Qt.KeyboardModifier.ShiftModifier if number else Qt.KeyboardModifier.NoModifier
        if len(faces) == 1:
            person.point(*inner(person, faces[0]), adds)
        else:
            person.drag(*ring, modifier=adds | Qt.KeyboardModifier.ControlModifier)


def twelve_regions(person):
    work = person.driver.work
    holes = [f for f in np.argsort(work.traced.planar.face_area_px).tolist() if work.ground[f]]
    places = [inner(person, f) for f in holes[-16:-1]]
    wanted = holes[-16:-1]
    ringed(person, rings_round(person, wanted[:12]))
    person.key_on(person.window.bench, "Delete")
    person.settled()
    ringed(person, rings_round(person, wanted[12:]))
    give(person, "#b5483c")
    person.settled()
    done = person.gestures
    before = [hex_at(person, *p) for p in places]
    after = []
    for share in (0.36, 0.68):
        at = cut_off(person, share)
        after.append((at, sum(hex_at(person, *p) == b for p, b in zip(places, before, strict=False))))
    return f"{len(person.recipe.edits)} decisions in {done} gestures; the same at " + ", ".join(
        f"cut-off {a}: {n} of 15" for a, n in after
    )


def leak(person):
    work, box = person.driver.work, panel(person).lines
    labels, planar = work.segmentation.labels, work.traced.planar
    row, outside = int(100 / work.size_mm[1] * planar.height), person.window.cleaning.desk.outside
    edges = np.flatnonzero(np.diff((labels[row] == 0).astype(int)) != 0)
    a, b = next(
        (a, b)
        for a, b in zip(edges[::2], edges[1::2], strict=False)
        if b - a < 40
        and (lambda f, g: f != g and work.ground[f] and work.ground[g] and not (outside[f] or outside[g]))(
            planar.faces[row, a - 3], planar.faces[row, b + 4]
        )
    )
    def share(x):
        return (x / planar.width, row / planar.height)
    left, right = share(a - 22), share(b + 22)
    person.fold("Gaps and ink")
    person.type(box._width, "1.5 mm")
    person.click("Take ink away", box)
    person.drag(*[share(a - 8 + (b - a + 18) * t) for t in np.linspace(0, 1, 10)])
    person.settled()
    leaks = face(person, *left) == face(person, *right)
    person.tool(CHOOSE)  # the job begins with the leak that is there
    person.gestures = 0
    person.settled()
    person.point(*left)  # what it runs into is told at once
    person.until(lambda: person.window.notices.text_of("joints") is not None, "the leak")
    person.click("Close", person.window.notices)
    person.settled()
    parted = face(person, *left) != face(person, *right)
    for colour, place in (("#b5483c", left), ("#2f6f7e", right)):
        if hex_at(person, *place) is not None or place is right or not person.window.choosing.chosen:
            person.point(*place)
        give(person, colour)
        person.settled()
    done, got = person.gestures, (hex_at(person, *left), hex_at(person, *right))
    at = cut_off(person, 0.42)
    return (f"leaked before: {leaks}, parted: {parted}, {got} in {done} gestures; at cut-off {at}: "
            f"{(hex_at(person, *left), hex_at(person, *right))}")


def tail(person):
    person.stage("Trace")
    person.click("Silhouette", person.window.panels[1])
    person.settled()
    person.stage("Clean")
    both = Qt.KeyboardModifier.AltModifier | Qt.KeyboardModifier.ControlModifier
    for line in (((84, 108), (90, 110), (97, 112)), ((88, 127), (95, 126.5), (100, 126), (106, 125))):
        person.drag(*mm(person, *line), modifier=both)
        person.settled()
    body, end = mm(person, (90, 95), (100, 131))
    parted = face(person, *body) != face(person, *end)
    give(person, "#2f6f7e")
    person.settled()
    done, got = person.gestures, (hex_at(person, *end), hex_at(person, *body))
    at = cut_off(person, 0.47)
    return (f"parted {parted}, {got} in {done} gestures; at cut-off {at}: "
            f"{(hex_at(person, *end), hex_at(person, *body))}")


def held(person):
    before = person.driver.work.layers[0].area_mm2
    person.tool(COVER)
    person.drag(*mm(person, *[(124 + 13 * np.cos(a), 113 + 13 * np.sin(a)) for a in np.linspace(0, 6.2, 40)]))
    person.settled()
    done, after = person.gestures, person.driver.work.layers[0].area_mm2
    at = cut_off(person, 0.42)
    return (f"ink {before:.0f} to {after:.0f} mm² in {done} gestures; at cut-off {at}: "
            f"{person.driver.work.layers[0].area_mm2:.0f}")


def half(person):
    person.tool(MIRROR)
    person.drag(*mm(person, (75, 20), (75, 60), (75, 148)))
    person.settled()
    person.stage("Trace")
    person.click("Silhouette", person.window.panels[1])
    person.settled()
    person.stage("Clean")
    person.tool(SHAPE)  # a circle first
    made = []
    width, height = person.driver.work.size_mm
    x, y = width / 2, 0.45 * height
    person.drag(*mm(person, (x - 6, y - 6), (x, y), (x + 6, y + 6)))
    person.settled()
    person.key_on(person.window.bench, "W")  # open, cut out of all sheets
    person.settled()
    for number in range(4):
        if number:
            person.key_on(person.window.bench, "F")  # another figure in its place
            person.settled()
        person.key("Shift+V")
        person.settled()
        made.append(person.driver.work.layers[0].outline.holes)
    done = person.gestures
    kept = person.recipe.alternatives
    cut_off(person, 0.42)
    return (
        f"{len(kept)} alternatives with {[a.recipe.shapes[-1].name for a in kept]}, holes {made}, in {done} gestures; "
        f"at cut-off {person.recipe.cut_off} holes {person.driver.work.layers[0].outline.holes}"
    )


def true_arc(person):
    box = panel(person).curves
    person.fold("Boundaries by hand")
    person.click("Choose a stretch", box)
    person.drag(
        *mm(person, (97, 80), (100, 73), (105, 68.5), (112, 66.5), (118, 67.5), (123, 71), (127, 77), (128, 82))
    )  # the sun
    said = box.said.text()
    person.click("True arc", box)
    person.settled()
    done, after = person.gestures, box.said.text()
    count = fewer_colours(person)
    return (f"“{said}” then “{after}” in {done} gestures; found again with {count} colours: "
            f"{person.driver.work.traced.curves_found.tolist()}")


def neck(person):
    def thin():
        return sum(f.code == "layer.thin" for f in person.driver.work.findings)
    before = thin()
    person.fold("Narrow places")
    person.click("Thicken all", panel(person).narrow)
    person.settled()
    done, after = person.gestures, thin()
    count = fewer_colours(person)
    return f"{before} findings before, {after} after in {done} gestures; with {count} colours {thin()}"


def double(person):
    def length():
        return sum(layer.cut_length_mm for layer in person.driver.work.layers)
    before = length()
    person.stage("Trace")
    box = person.window.panels[1].doubles
    person.fold("Double outlines")
    person.click("Make cuts nearer", box)
    person.settled()
    person.type(box._limit, "3 mm")
    person.settled()
    done = person.gestures
    after = length()
    at = None
    if box.isVisible():
        curve = person.window.panels[1].tone.curve
        person.slide(curve, 0.5, 0.42)
        person.settled()
        at = person.recipe.cut_off
    return (f"cutting {before:.0f} to {after:.0f} mm, {len(figures.double_outlines(person.driver.work).places)} left, "
            f"in {done} gestures; at cut-off {at} {length():.0f} mm")


def word(person):
    box = panel(person).shapes
    person.tool(WORD)
    person.type(box._size, "24 mm")
    person.type(box.text, "BOAT")  # Enter takes the place
    person.point(*mm(person, (55, 97))[0])
    person.settled()
    # the middle of the O, as the eye finds it: the largest ring within another
    scale, rings = person.driver.work.mm_per_px, person.window.drawing.desk.rings(person.recipe.shapes[0])
    boxes = [np.concatenate([r[:, 0].min(0), r[:, 0].max(0)]) * scale for r in rings]
    o = max(
        (b for b in boxes if any((c[:2] < b[:2]).all() and (c[2:] > b[2:]).all() for c in boxes)),
        key=lambda b: b[3] - b[1],
    )
    x, y = (o[:2] + o[2:]) / 2
    person.click("Star", box)
    person.drag(*mm(person, (x - 3.5, y - 3.5), (x, y), (x + 3.5, y + 3.5)))
    person.settled()
    give(person, box._colour.itemData(1))
    person.settled()
    (place,) = mm(person, (x, y))
    star, letter = hex_at(person, *place), hex_at(person, *mm(person, (o[0] - 1.0, y))[0])
    person.point(*place)  # from the star that was laid on to the region it is
    person.key_on(person.window.bench, "Delete")
    person.settled()
    done, after = person.gestures, hex_at(person, *place)
    count = fewer_colours(person)
    return (f"star {star}, in its place after the drop {after} ({letter} is the letter), in {done} gestures; with "
            f"{count} colours {hex_at(person, *place)}")


def stencil(person):
    box = panel(person).stencil
    person.fold("Stencil bridges")
    person.click("Show loose", box)
    person.settled()
    before = box._said.text()
    person.click("Hold them", box)
    person.settled()
    done, after = person.gestures, box._said.text()
    at = cut_off(person, 0.42)
    person.click("Show loose", box)
    person.settled()
    return f"“{before}” then “{after}” in {done} gestures; at cut-off {at}: “{box._said.text()}”"


JOURNEYS = (
    ("panel", "twelve regions dropped, three recoloured", twelve_regions),
    ("panel", "leak bridged, its sides in two colours", leak),
    ("kingfisher", "tail parted from a body", tail),
    ("kingfisher", "held object removed", held),
    ("kingfisher", "half a creature mirrored, filled, decorated in four variants", half),
    ("boat", "blurry arc made true", true_arc),
    ("lighthouse", "neck found and widened", neck),
    ("panel", "double outline made one", double),
    ("lighthouse", "word with a star dropped from a letter", word),
    ("panel", "stencil held by bridges", stencil),
)

def main(words) -> None:
    """Do all journeys, or those whose names hold one of some words."""
    walk.prepare()
    walk.run(CLEAN, JOURNEYS, words)
