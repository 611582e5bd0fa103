"""Lean sheets: the covered parts of a sheet chosen for the least cutting, exactly.

Sheet k must be solid where k is seen, absent where something lower is seen, and is free where something higher
covers it. Choosing the free faces for the shortest outline is a minimum cut between what must be solid and what must
be absent, with the lengths of the arcs as capacities (Ford, Fulkerson 1956; the form of Greig, Porteous, Seheult 1989).
"""

import numpy as np
from scipy.sparse import coo_array, csr_array
from scipy.sparse.csgraph import breadth_first_order, maximum_flow

_STEPS_PX = 64
"""Lengths are counted in this part of a pixel: the flow needs whole numbers."""


def lean_faces(planar, arc_length, depth, level: int) -> np.ndarray:
    """(F,) bool: faces that the sheet of a level is solid on.

    Parameters
    ----------
    planar : the map, of which ``left`` and ``right`` are used. arc_length : (A,) px. depth : (F,) the sheet seen,
    -1 for none.

    Notes
    -----
    Of several least cuts the one with the fewest faces is taken: it needs the least film.
    """
    depth = np.asarray(depth)
    solid, free = depth == level, depth > level
    if not solid.any() or not free.any():
        return solid
    count = int(free.sum())
    number = np.full(len(depth) + 1, count + 1)  # absent, and the outside by its index -1
    number[:-1][free] = np.arange(count)
    number[:-1][solid] = count
    a, b = number[planar.left], number[planar.right]
    apart = a != b
    a, b = a[apart], b[apart]
    capacity = np.maximum(np.rint(np.asarray(arc_length)[apart] * _STEPS_PX), 1).astype(np.int64)
    size = count + 2
    graph = coo_array(
        (np.concatenate([capacity, capacity]), (np.concatenate([a, b]), np.concatenate([b, a]))), shape=(size, size)
    ).tocsr()
    graph.sum_duplicates()
    most = int(graph.data.max(initial=1))
    if most > np.iinfo(np.int32).max // 4:
        graph.data = graph.data // (most // (np.iinfo(np.int32).max // 4) + 1) + 1
    graph = csr_array(graph.astype(np.int32))
    flow = maximum_flow(graph, count, count + 1).flow
    left = csr_array(graph - flow)
    left.data[left.data < 0] = 0
    left.eliminate_zeros()
    reached = breadth_first_order(left, count, return_predecessors=False)
    out = solid.copy()
    inside = np.zeros(size, bool)
    inside[reached] = True
    out[np.flatnonzero(free)] = inside[:count]
    return out
