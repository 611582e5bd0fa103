"""The jobs of layering, done in the window. ``python -m bench.journeys.layers [words of a name]``"""

import io
import tempfile
from pathlib import Path

import numpy as np

from bench.journeys import walk
from bench.journeys.clean import hex_at, inner, mm
from sketchloom.app.stages.numbers import RELEASE
from sketchloom.desk.things import REGION
from sketchloom.files.outgoing import Wanted

LAYERS = 3


def panel(person):
    return person.window.panels[LAYERS]


def cut_m(person):
    return round(sum(x.cut_length_mm for x in person.driver.work.layers) / 1000, 2)


def four_ways(person):
    table = panel(person)._compared
    person.until(lambda: table.item(3, 3).text() != "…", "the ways compared")
    told = {
        table.verticalHeaderItem(row).text(): tuple(table.item(row, way).text() for way in range(4))
        for row in range(table.rowCount())
    }
    got = []
    for name in ("Fitted", "Windowed", "Lean", "Stacked"):
        person.click(name, panel(person))
        person.settled()
        got.append((name, cut_m(person)))
    return f"stacked, fitted, windowed, lean: {told}; taken one after another: {got}"


def eyes(person):
    work = person.driver.work
    planar = work.traced.planar
    # the light spot in the eye, as the eye finds it: a small hole near (70, 48) mm
    at = np.array(mm(person, (71, 47))[0]) * (planar.width, planar.height)
    holes = [f for f in np.flatnonzero(work.ground).tolist() if planar.face_area_px[f] < 4000]
    face = min(holes, key=lambda f: np.hypot(*(np.array(inner(person, f)) * (planar.width, planar.height) - at)))
    place = inner(person, face)
    person.point(*place)
    if person.window.resting[LAYERS].kind != REGION:
        person.point(*place)
    person.key_on(person.window.bench, "PageDown")  # a window, with a sheet of its colour below
    work = person.settled()
    person.choose(panel(person).every.laid_on, "Black shirt")
    person.settled()
    name = work.plans[0].name
    return (f"sheets {[p.name for p in person.driver.work.plans]}; the spot shows {hex_at(person, *place)} through a "
            f"window of the sheet above, from “{name}”, laid on {person.recipe.laid_on}")


def lantern(person):
    box = panel(person).line_art
    # a picture read as ink: the box is open
    person.choose(box.rule, "Farther in")
    person.until(lambda: box.ladder.rowCount() > 3, "the ladder of sheets")
    person.cell(box.ladder, 3, 0)
    person.settled()
    stacked = cut_m(person)
    person.click("Lean", panel(person))
    person.settled()
    lean = cut_m(person)
    person.click("Section", panel(person))
    person.type(person.window.section._spacer, "2 mm")
    person.settled()
    person.drag((0.5, 0.5), (0.5, 0.45), (0.5, 0.4))
    high = person.window.section._side.section.height_mm
    person.click("Pull apart", panel(person))
    person.settled()
    apart = person.window.stack_view.isVisible()
    return (f"{len(person.driver.work.layers)} sheets; {stacked} m as a stack, {lean} m once what the frame covers is "
            f"not cut; pulled apart: {apart}; section {high:.1f} mm high")


def rim(person):
    person.stage("Clean")
    box = person.window.panels[2].rims
    person.fold("Backing and rim")
    whole = person.driver.work.layers[0].area_mm2
    person.type(box._distance, "0")
    person.click("Add it", box)
    person.settled()
    person.click("Rim", box)
    person.type(box._distance, "0.05 in")
    person.click("Add it", box)
    work = person.settled()
    return (f"the base has {whole:.1f} mm²; sheets "
            f"{[(x.plan.name, round(x.area_mm2, 1)) for x in (work.layers[0], work.layers[-1])]}")


def white(person):
    box = panel(person)
    person.choose(box.every.laid_on, "White shirt")
    work = person.settled()
    told = [f.layer for f in work.findings if f.code == "layer.like_ground"]
    person.click("Leave it out", person.window.findings) if told and _opened(person) else None
    work = person.settled()
    out = [p.name for p in work.plans if p.left_out]
    person.choose(box.every.laid_on, "Black shirt")
    person.settled()
    person.row(box._list, next(n for n in range(box._list.count()) if "left out" in box._list.item(n).text()))
    person.click("Leave out", box.chosen)
    work = person.settled()
    return (f"like the white ground: {told}; left out: {out}; on black {len(work.layers)} sheets, left out "
            f"{[p.name for p in work.plans if p.left_out]}")


def _opened(person):
    if not person.window.findings._area.isVisible():
        person.press(person.window.findings._fold)
    return True


def flake(person):
    box = panel(person)
    rows = box._list
    for row in (rows.count() - 1, rows.count() - 3):
        person.row(rows, row)
        person.choose(box.chosen._material, "Flake film")
        person.settled()
    told = [f.message for f in person.driver.work.findings if f.code == "material.on_its_like"]
    return f"{told[0] if told else 'not refused'}"


def depth(person):
    (place,) = mm(person, (86, 32))  # the moon
    before = [p.name for p in person.driver.work.plans]
    person.point(*place)
    person.point(*place)  # from its layer to the piece
    person.key_on(person.window.bench, "PageUp")  # on top, a sheet of its own
    person.settled()
    person.point(*place)
    for _ in range(2):
        person.key_on(person.window.bench, "PageDown")
        person.settled()
    work = person.settled()
    after = [p.name for p in work.plans]
    return f"{len(before)} sheets, then {after}; it shows {hex_at(person, *place)}"


def elsewhere(person):
    """Every file drawn by another reader: what lies where is what the window shows. The system's file dialog is passed
    by."""
    import resvg_py
    from PIL import Image
    folder = Path(tempfile.mkdtemp())
    person.stage("Release")
    box = person.window.panels[RELEASE]
    person.click("Per layer", box)
    person.press(box._marks)
    person.press(box._plan)
    person.settled()
    person.driver.session.leaving.write(folder, Wanted(split="layer", report=True, plan=True))
    person.gestures += 2
    work = person.driver.work
    person.until(lambda: len(list(folder.glob("*.svg"))) == len(work.layers) + 1, "the files")
    sheets = sorted(p for p in folder.glob("*.svg") if "plan" not in p.name)
    frames = {p.read_text().split('viewBox="')[1].split('"')[0] for p in sheets}
    page = None
    for path in sheets:
        image = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=path.read_text(), dpi=150)))).convert(
            "RGBA"
        )
        page = image if page is None else Image.alpha_composite(page, image)
    left, top, wide, _ = (float(v) for v in frames.copy().pop().split())
    planar, scale, step = work.traced.planar, page.width / wide, max(work.traced.planar.width // 160, 1)
    same = count = 0
    for y in range(step, planar.height - step, step):
        for x in range(step, planar.width - step, step):
            around = planar.faces[y - step // 2:y + step // 2 + 1, x - step // 2:x + step // 2 + 1]
            if (around != planar.faces[y, x]).any():
                continue  # near a boundary the two may round otherwise
            pixel = page.getpixel(
                (round(((x + 0.5) * work.mm_per_px - left) * scale), round(((y + 0.5) * work.mm_per_px - top) * scale))
            )
            level = int(work.depth[planar.faces[y, x]])
            wanted = None if level < 0 else work.plans[level].hex
            seen = None if pixel[3] < 10 else "#{:02x}{:02x}{:02x}".format(*pixel[:3])
            same += seen == wanted
            count += 1
    return f"{len(sheets)} files with {len(frames)} frame; {same} of {count} places show what the window shows"


JOURNEYS = (
    ("lighthouse", "lighthouse in four ways compared", four_ways),
    ("kingfisher", "eye as a window to a white sheet on black", eyes),
    ("panel", "lantern panel to five sheets, apart, in section", lantern),
    ("lighthouse", "silhouette and rim of 0.05 in added", rim),
    ("lighthouse", "white left out on white, kept on black", white),
    ("lighthouse", "flake film over flake film refused", flake),
    ("lighthouse", "depth of a region changed", depth),
    ("lighthouse", "files open elsewhere in the same place", elsewhere),
)

def main(words) -> None:
    """Do all journeys, or those whose names hold one of some words."""
    walk.prepare()
    walk.run(LAYERS, JOURNEYS, words)
