"""Rules over the files that leave, by what their bytes say when they are read back."""

import numpy as np

from sketchloom.core.base.said import said
from sketchloom.core.playback.telling import HAIR_MM
from sketchloom.core.preflight.findings import RELEASE, STOP, WARN, counted, rule

OPEN = rule(
    "release.open", WARN, RELEASE, said("cuts do not close"),
    {"one": said("{file}: a cut does not close: what it goes round stays on the sheet."),
     "many": said("{file}: {count} cuts do not close: what they go round stays on the sheet.")})
DOUBLED = rule(
    "release.doubled", WARN, RELEASE, said("a file cuts a line twice"),
    said("{file}: {length:.0f} mm are cut twice, or within {hair:g} mm of another cut."))
REGISTER = rule(
    "release.register", STOP, RELEASE, said("a layer lies elsewhere in its file than in the work"),
    said("{file}: {name} lies {off:.2f} mm from where it belongs; the layers would not meet."))
INSIDE = rule(
    "release.inside", WARN, RELEASE, said("a cut file holds pictures or text"),
    said("{file}: holds pictures or text, which no machine cuts: {inside}."))

_OFF_MM = 0.05
"""So far a reader's flattening and rounded numbers may lie from the curves."""


def check_file(name: str, told, strokes_open: int, boxes, wanted, names, inside=()):
    """Findings of a file.

    Parameters
    ----------
    told : Told of its moves. strokes_open : so many of its cuts are open by intent, as matching marks are.
    boxes, wanted : (L, 4) left, top, right, bottom in mm of each layer in the file and in the drawing, empty where they
        are not compared. names : of the layers. inside : what it holds beside cuts.
    """
    left_open = told.open - strokes_open
    if left_open > 0:
        yield OPEN.found(counted(left_open), file=name, count=left_open)
    if told.doubled_mm > 0:
        yield DOUBLED.found(file=name, length=max(told.doubled_mm, 1.0), hair=HAIR_MM)
    if len(boxes):
        off = np.abs(np.asarray(boxes) - np.asarray(wanted)).max(1)
        worst = int(off.argmax())
        if off[worst] > _OFF_MM:
            yield REGISTER.found(file=name, name=names[worst], off=float(off[worst]))
    if inside:
        yield INSIDE.found(file=name, inside=", ".join(inside))
