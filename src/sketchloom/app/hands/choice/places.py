"""Where things that are chosen lie on the bench."""

from PySide6.QtCore import QRect

_BOXED = 200
"""Things whose place on the bench is looked for; more lie all over it."""


def box_around(bench, desk, things, faces_of, courses_of) -> QRect:
    """The box of the bench that holds some things, by their regions, else by their courses; the middle of the bench
    where they have neither."""
    scale, boxes = desk.work.mm_per_px, []
    for thing in things[:_BOXED]:
        faces = faces_of(thing)
        if thing.place is not None and len(faces) > 1:
            faces = (desk.index.at(*thing.place).face,)
        boxes += [desk.index.box(face) for face in faces[:_BOXED]]
        for course in () if len(faces) else courses_of(thing):
            points = course.reshape(-1, 2)
            boxes.append((*points.min(0).tolist(), *points.max(0).tolist()))
    if not boxes:
        return QRect(bench.rect().center(), bench.rect().center())
    left, top, right, bottom = (f(v) for f, v in zip((min, min, max, max), zip(*boxes, strict=True), strict=True))
    a = bench.place_of(left * scale, top * scale).toPoint()
    b = bench.place_of(right * scale, bottom * scale).toPoint()
    return QRect(a, b)
