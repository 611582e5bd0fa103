"""Jobs in which something is taken off, out or apart, for ``bench.journeys.gestures``."""

import cv2
import numpy as np
import shapely
import svgelements
from scipy.spatial import cKDTree

from bench.journeys.proposals import written
from bench.journeys.start import PX, hex_at, opened, svg
from bench.objects.hand import correction, drop_stroke, keep_stroke
from bench.objects.pictures import cutout
from bench.objects.run import overlap
from sketchloom.app.parts.tool_row import CHOOSE, INK, MIRROR, SWEEP, WORD
from sketchloom.app.stages.numbers import CLEAN

_OBJECT, _BLEED_MM = 64, 3.0
"""A picture of the bench of objects that neither it nor any choice uses; a bleed of common practice (no source)."""


def colouring(person):
    """A colouring page: one figure taken off the crate it leans on, as a single outline."""
    around = ('d="M560 160C700 160 760 300 740 420C850 520 850 720 760 800H420C340 700 350 560 430 450'
              'C360 330 420 160 560 160Z"')
    body = ('<g fill="none" stroke="#111" stroke-width="14">'
            '<path d="M420 800H200V470H380" stroke-linejoin="round"/><path d="M200 580H400M200 690H412"/>'
            f'<path {around}/><circle cx="510" cy="310" r="30"/><circle cx="640" cy="310" r="30"/>'
            '<path d="M500 400q75 60 150 0"/></g>')
    opened(person, svg(body), "colouring")
    person.stage("Clean")
    person.fold("Split lines")
    person.press(person.window.panels[CLEAN].splits.draw)
    for line in (((0.385, 0.45), (0.385, 0.49)), ((0.335, 0.56), (0.335, 0.6)), ((0.335, 0.67), (0.335, 0.71)),
                 ((0.395, 0.78), (0.395, 0.82))):
        person.drag(*line)
        person.settled()
    person.tool(SWEEP)
    person.point(0.2, 0.6)  # the crate's lines, then a sweep over its cells
    person.drag((0.3, 0.52), (0.3, 0.63), (0.3, 0.75))
    person.settled()
    person.tool(CHOOSE)
    person.point(0.55, 0.165)
    person.key_on(person.window.bench, "I")
    person.settled()
    _, paths, sheets = written(person)
    rings = sum(len(list(path.as_subpaths())) for path in paths)
    assert len(paths) == 1 and rings == 1, (len(paths), rings)
    truth = svg(f'<path {around} fill="#111" stroke="#111" stroke-width="14"/>')[..., 0] < 128
    found = _shares_area(sheets[0], truth)
    assert found > 0.985, found
    return f"one outline, {found:.3f} of it the drawn figure's"


def _shares_area(sheet, truth):
    """Overlap of what a sheet is solid on with what it is to be, of any sizes."""
    sheet = cv2.resize(sheet.astype(np.float32), truth.shape[::-1], interpolation=cv2.INTER_AREA) > 0.5
    return float((sheet & truth).sum() / (sheet | truth).sum())


def ornament(person):
    """An ornament for a sign: a part taken off and the line closed, mirrored, two words, a plate and a groove."""
    body = ('<g fill="none" stroke="#111" stroke-width="34" stroke-linecap="round">'
            '<path d="M500 180V820"/><path d="M500 420C400 300 260 300 220 400S280 560 340 500"/>'
            '<path d="M500 700C400 640 300 660 260 740"/><path d="M330 330L250 220"/>'
            '<path d="M500 420C600 300 720 300 760 400S720 560 660 500"/></g>')
    opened(person, svg(body), "ornament")
    person.stage("Clean")
    panel = person.window.panels[CLEAN]
    person.tool(MIRROR)
    person.point(0.5, 0.06)
    person.point(0.5, 0.94)
    person.settled()
    person.tool(WORD)
    for word, place in (("LANTERN", (0.5, 0.09)), ("NIGHT", (0.5, 0.92))):
        person.type(panel.shapes.text, word)  # and Enter
        person.point(*place)
        person.settled()
    person.point(0.255, 0.23)  # the thorn is parted from its scroll, and dropped
    person.key_on(person.window.bench, "L")
    person.drag((0.285, 0.31), (0.36, 0.285))
    person.settled()
    person.point(0.255, 0.23)
    person.key_on(person.window.bench, "Delete")
    person.settled()
    person.fold("Gaps and ink")
    person.click("Draw a bridge…", panel.lines)
    person.drag((0.34, 0.5), (0.497, 0.6))  # the scroll is closed to the stem
    person.settled()
    person.fold("Backing and rim")
    person.type(panel.rims._distance, "8 mm")
    person.click("Add it", panel.rims)
    person.settled()
    person.click("Inner line", panel.rims)
    person.type(panel.rims._distance, "3 mm")
    person.choose(panel.rims._of, "backing")
    person.click("Add it", panel.rims)
    work = person.settled()
    _, paths, _ = written(person)
    off = _off_axis_mm(paths[1])
    pieces = [layer.outline.pieces for layer in work.layers]
    assert off < 0.05 and pieces == [1, 13, 1], (off, pieces)  # plate; ornament and 12 letters; groove
    return f"{len(paths)} sheets of {pieces} pieces, its halves alike to {off:.3f} mm"


def _off_axis_mm(path):
    """How far the largest ring of a path is at most from its own mirror image about an upright line."""
    ring = max((np.asarray(svgelements.Path(part).npoint(np.linspace(0, 1, 20_000))) for part in path.as_subpaths()),
               key=lambda xy: np.ptp(xy[:, 0]) * np.ptp(xy[:, 1])) * 25.4 / 96
    axis = (ring[:, 0].min() + ring[:, 0].max()) / 2
    return float(cKDTree(ring).query(np.stack([2 * axis - ring[:, 0], ring[:, 1]], -1))[0].max())


def watermarked(person):
    """Line art under a watermark: six colours, a gap closed, an accessory taken off, a tail put on."""
    body = ('<g fill="none" stroke="#111" stroke-width="12">'
            '<ellipse cx="480" cy="560" rx="260" ry="190"/><path d="M480 370V750M310 417V703M650 417V703"/>'
            '<circle cx="480" cy="250" r="112"/><circle cx="440" cy="240" r="22"/><circle cx="520" cy="240" r="22"/>'
            '<path d="M420 120L480 40L540 120Z"/><path d="M150 840V900H800V840"/>'
            '<path d="M150 840H440M458 840H800"/></g>')
    pixels = np.full((PX, PX, 3), 255, np.uint8)
    for n in range(7):
        cv2.putText(pixels, "TIDEWALK", (-60 + 260 * (n % 4), 150 + 130 * n), cv2.FONT_HERSHEY_SIMPLEX, 2.2,
                    (205, 205, 205), 9, cv2.LINE_AA)
    opened(person, np.minimum(pixels, svg(body)), "watermarked")
    before = person.driver.work
    assert len(before.layers) == 1, [plan.name for plan in before.plans]  # the watermark is none
    person.stage("Clean")
    panel = person.window.panels[CLEAN]
    person.point(0.48, 0.043)
    person.key_on(person.window.bench, "Delete")  # the hat is dropped
    person.settled()
    person.tool(INK)
    person.until(lambda: panel.lines._all.isEnabled(), "gaps")
    person.click("Close all", panel.lines)
    person.settled()
    person.drag(*((0.735 + 0.15 * t, 0.56 - 0.2 * t + 0.03 * np.sin(6 * t)) for t in np.linspace(0, 1, 9)))
    person.settled()
    cells = ((0.27, 0.56), (0.39, 0.56), (0.57, 0.56), (0.69, 0.56), (0.48, 0.31), (0.4, 0.87))
    hexes = ("#c8553d", "#f2b632", "#2f8f5f", "#2b5d8c", "#7a4f9a", "#b0c4b1")
    for place, hex_colour in zip(cells, hexes, strict=True):
        person.colour(lambda: person.click("Another colour", panel.regions), hex_colour)
        person.point(*place)
        person.settled()
    work = person.settled()
    assert [hex_at(work, *place) for place in cells] == list(hexes)
    _, paths, _ = written(person)
    assert len(paths) == 7, len(paths)
    return f"{len(paths)} sheets, {[layer.outline.pieces for layer in work.layers]} pieces"


def _area_mm2(path):
    """The area of a compound path of the reader, whose unit is the px of 96 an inch."""
    total = 0.0
    for part in path.as_subpaths():
        x, y = np.asarray(svgelements.Path(part).npoint(np.linspace(0, 1, 4000))).T * 25.4 / 96
        total += 0.5 * float((x * np.roll(y, -1) - y * np.roll(x, -1)).sum())
    return abs(total)


def cut_out(person):
    """An object out of a photograph by two strokes, what came out wrong mended, and a contour that leaves a bleed."""
    one, rng = cutout(_OBJECT), np.random.default_rng(_OBJECT)
    opened(person, one.picture.rgb, "object")
    step, tries = keep_stroke(one.cover, rng), [drop_stroke(one.cover, rng)]
    while step is not None:
        person.click("Keep…" if step.keep else "Drop…")
        person.drag(*step.points[::max(1, len(step.points) // 40)]) if len(step.points) > 1 else person.point(
            *step.points[0])
        work = person.settled()
        kept = work.picture.alpha > 127
        step = tries.pop() if tries else correction(one.cover, kept, rng)
    found = overlap(kept, one.cover)
    assert found > 0.97, found
    person.stage("Clean")
    person.fold("Backing and rim")
    rims = person.window.panels[CLEAN].rims
    person.type(rims._distance, f"{_BLEED_MM:g} mm")
    person.click("Add it", rims)
    work = person.settled()
    _, paths, _ = written(person)
    # the contour against the drawn object grown by a geometry library
    outline, _ = cv2.findContours((one.cover > 0.5).astype(np.uint8), cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_NONE)
    truth = shapely.Polygon(max(outline, key=len)[:, 0] + 0.5).buffer(_BLEED_MM / work.mm_per_px)
    contour = max(_area_mm2(p) for p in paths)
    off = contour / (truth.area * work.mm_per_px**2) - 1
    assert abs(off) < 0.02, off
    return f"overlap {found:.3f}, {len(paths)} sheets, contour's area off by {100 * off:.2f} %"
