"""Jobs that go out as they were proposed, done in the window. ``loom bench journeys-proposals [words of a name]``

Each opens a picture made by rule, and its files are read again by a reader and a renderer that are not ours.
"""

import io
import tempfile
from pathlib import Path

import numpy as np
import resvg_py
import svgelements
from PIL import Image

from bench.journeys import walk
from bench.proposals.conditions import picture_of
from bench.proposals.scenes import cells, outlined

MOST = {"logo": 6, "figure": 3, "line art": 14}
"""Gestures that each may take."""
_PX = 900


def _opened(person, scene, name):
    path = Path(tempfile.mkdtemp()) / f"{name}.png"
    Image.fromarray(picture_of(scene, "png", _PX).rgb).save(path)
    person.driver.open(path)
    person.gestures = 0
    return person.settled()


def _written(person):
    """The file of the release, its layers as the reader finds them, each drawn alone by the renderer."""
    person.stage("Release")
    target = Path(tempfile.mkdtemp()) / "cut.svg"
    person.driver.session.write(target, "one", False, False)
    person.gestures += 2  # the button, and Enter in the system's window for files
    person.until(target.exists, "the file")
    person.until(lambda: not person.driver.session.writing.busy, "the file to be whole")
    page = svgelements.SVG.parse(str(target))
    groups = [g for g in page if isinstance(g, svgelements.Group) and (g.id or "").startswith("layer-")]
    paths = [[p for p in g.select() if isinstance(p, svgelements.Path)] for g in groups]
    assert all(len(one) == 1 for one in paths), "a layer is not one compound path"
    return target, [one[0] for one in paths], [_alone(target, n) for n in range(len(groups))]


def _alone(target, number):
    """(H, W) bool: where one layer of a file is solid."""
    text = target.read_text()
    head, *layers = text.split('<g id="layer-')
    svg = head + '<g id="layer-' + layers[number].split("</svg>")[0] + "</svg>"
    image = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=svg, dpi=60)))).convert("RGBA")
    return np.asarray(image)[..., 3] > 127


def _shows_all(sheets):
    """Share of each sheet that nothing above it hides, the least of all."""
    above, least = np.zeros_like(sheets[0]), 1.0
    for sheet in reversed(sheets):
        least = min(least, float((sheet & ~above).sum() / max(sheet.sum(), 1)))
        above |= sheet
    return least


def logo(person):
    scene = outlined(0)
    _opened(person, scene, "logo")
    width = next(f for f in person.window.panels[0].findChildren(_length_edit()) if f.isVisible())
    person.type(width, "19in")
    work = person.settled()
    target, _, sheets = _written(person)
    whole = np.any(sheets, axis=0)
    assert (sheets[0] == whole).mean() > 0.999, "the base does not carry all of it"
    assert len(sheets) == 6 and all((a & b).sum() < 0.05 * min(a.sum(), b.sum())
                                    for i, a in enumerate(sheets[1:]) for b in sheets[i + 2:])
    page = svgelements.SVG.parse(str(target))
    return (f"{len(sheets)} sheets on {work.plans[0].hex}, the base carries {float((sheets[0] == whole).mean()):.2%}, "
            f"page {page.width * 25.4 / 96:.1f} mm wide")


def figure(person):
    work = _opened(person, outlined(7), "figure")
    _, paths, sheets = _written(person)
    whole = np.any(sheets, axis=0)
    assert (sheets[0] == whole).mean() > 0.999 and work.laying.way == "based"
    return (f"{len(paths)} sheets, base {work.plans[0].hex}, every sheet shows at least {_shows_all(sheets):.0%} of "
            "itself")


def line_art(person):
    _opened(person, cells(4), "window")
    person.stage("Layers")
    box = person.window.panels[3].line_art
    person.fold("Line art to sheets")
    person.until(lambda: box.ladder.rowCount() > 2, "the ladder of sheets")
    rows = [box.ladder.item(r, 0).text() for r in range(box.ladder.rowCount())]
    row = rows.index("5") if "5" in rows else len(rows) - 1
    wanted = int(box.ladder.item(row, 0).text())
    person.cell(box.ladder, row, 0)
    work = person.settled()
    _, paths, sheets = _written(person)
    return (f"{len(paths)} sheets for {wanted} and a frame, {work.laying.way} with {work.laying.overlap_mm:g} mm; "
            f"every sheet shows at least {_shows_all(sheets):.0%} of itself")


def _length_edit():
    from sketchloom.app.parts.fields import LengthEdit

    return LengthEdit


JOURNEYS = (
    ("mark", "logo 19 in wide, one base, the rest fitted", logo),
    ("mark", "figure with a dark outline taken as proposed", figure),
    ("mark", "line art to sheets and a frame", line_art),
)


def main(words) -> None:
    """Do all journeys, or those whose names hold one of some words."""
    walk.prepare()
    walk.run(0, JOURNEYS, words)
