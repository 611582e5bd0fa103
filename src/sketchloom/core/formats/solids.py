"""A carved blank as a solid: STL and binary glTF, in millimetres and metres as each asks."""

import numpy as np

from sketchloom.core.base.errors import ExportError
from sketchloom.core.base.late import late
from sketchloom.core.base.said import said
from sketchloom.core.carve.field import HeightField

trimesh = late("trimesh")

_MM_TO_M = 0.001
"""glTF 2.0 is in metres; STL has no unit, and is taken for millimetres."""


def stl(field: HeightField) -> bytes:
    """A binary STL, mm. Raises ExportError where nothing is left of the blank."""
    return bytes(mesh_of(field).export(file_type="stl"))


def glb(field: HeightField) -> bytes:
    """A binary glTF 2.0, metres, y up as it asks. Raises ExportError where nothing is left of the blank."""
    mesh = mesh_of(field)
    points = np.asarray(mesh.vertices) * _MM_TO_M
    turned = np.column_stack([points[:, 0], points[:, 2], -points[:, 1]])
    return bytes(trimesh.Trimesh(turned, mesh.faces, process=False).export(file_type="glb"))


def mesh_of(field: HeightField):
    """The solid between the carved face and the lower face of the blank, closed all round.

    Each place is a square column; its upper face goes through the heights at its corners, the mean of the places that
    meet there, so that slopes are slopes.
    """
    solid = field.board & (field.z > -field.thickness_mm + 1e-6)
    if not solid.any():
        raise ExportError("", said("not written: nothing is left of the blank."))
    rows, columns = solid.shape
    z = np.where(solid, field.z, 0.0).astype(np.float64)
    total, count = (np.zeros((rows + 1, columns + 1)) for _ in range(2))
    for dy in (0, 1):
        for dx in (0, 1):
            total[dy:rows + dy, dx:columns + dx] += z
            count[dy:rows + dy, dx:columns + dx] += solid
    used = count > 0
    number = np.full(used.shape, -1, np.intp)
    number[used] = np.arange(int(used.sum()))
    row, column = np.nonzero(used)
    xy = np.column_stack([column, rows - row]) * field.mm_per_px
    top = np.column_stack([xy, field.thickness_mm + total[used] / count[used]])
    low = np.column_stack([xy, np.zeros(len(xy))])
    r, c = np.nonzero(solid)
    a, b, d, e = number[r, c], number[r, c + 1], number[r + 1, c], number[r + 1, c + 1]  # seen from above
    off = len(top)
    faces = [np.column_stack([a, d, e]), np.column_stack([a, e, b]),
             np.column_stack([a, e, d]) + off, np.column_stack([a, b, e]) + off]
    around = np.pad(solid, 1)
    for dr, dc, one, two in ((-1, 0, b, a), (1, 0, d, e), (0, -1, a, d), (0, 1, e, b)):
        edge = ~around[r + 1 + dr, c + 1 + dc]
        p, q = one[edge], two[edge]
        faces += [np.column_stack([p, p + off, q + off]), np.column_stack([p, q + off, q])]
    return trimesh.Trimesh(np.concatenate([top, low]), np.concatenate(faces), process=False)
