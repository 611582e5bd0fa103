"""Keep and drop strokes: what they cross is certain, the rest follows."""

import cv2
import numpy as np
from scipy.sparse import csr_array, dia_array
from scipy.sparse.linalg import spsolve

_WORK_PX, _WALK_PX = 520, 260
"""Long sides of the pictures that the cut and the walk are worked out in; pixels of the edge are decided in full size.
"""
_ROUNDS = 3
"""Rounds of the cut by colour."""
_SURE = 0.8
"""Share of walks ending on a stroke's side over which a pixel is taken as sure."""
_SHARPNESS = 30.0
"""How strongly the walk avoids edges: the weight falls by e for each thirtieth of the mean change."""
_BAND = 2.5
"""Half width, work px, of the band along the edge that is decided again in full size."""


def stroke_mask(steps, shape) -> np.ndarray:
    """(H, W) uint8: 1 where a keep stroke runs, 2 where a drop stroke runs, later ones over earlier."""
    height, width = shape
    mask = np.zeros(shape, np.uint8)
    for step in steps:
        value = 1 if step.keep else 2
        thick = max(1, round(step.width * max(height, width)))
        at = np.rint(np.array(step.points) * [width, height] - 0.5).astype(np.int32)
        if len(at) == 1:
            cv2.circle(mask, tuple(int(v) for v in at[0]), max(1, thick // 2), value, -1)
        else:
            cv2.polylines(mask, [at], False, value, thick)
    return mask


def kept_by_strokes(picture, steps, before) -> np.ndarray:
    """(H, W) bool: what belongs to the keep strokes rather than to the drop strokes.

    Parameters
    ----------
    picture : Picture. steps : its strokes. before : (H, W) bool, what earlier steps kept; the
        rest is certainly dropped.

    Notes
    -----
    Without a drop stroke the picture's border stands for one, and the other way round. The cut is
    found in a reduced copy and then, near its edge, pixel by pixel by the colours to either side.

    References
    ----------
    Rother, Kolmogorov, Blake 2004, "GrabCut" (the general library's own).
    """
    shape = picture.rgb.shape[:2]
    scale = min(1.0, _WORK_PX / max(shape))
    size = (max(8, round(shape[1] * scale)), max(8, round(shape[0] * scale)))
    small = cv2.resize(picture.rgb, size, interpolation=cv2.INTER_AREA)
    said = stroke_mask(steps, (size[1], size[0]))
    was = cv2.resize(before.astype(np.uint8), size, interpolation=cv2.INTER_NEAREST) > 0
    said[~was & (said == 0)] = 2
    for missing in (1, 2):
        if not (said == missing).any():
            border = np.zeros_like(said)
            border[[0, -1], :] = border[:, [0, -1]] = 1
            said[(border > 0) & (said == 0)] = missing
    if not ((said == 1).any() and (said == 2).any()):
        return np.full(shape, bool((said == 1).any()))
    share = _walked(small, said)
    sure = np.where(share > _SURE, cv2.GC_FGD, np.where(share < 1 - _SURE, cv2.GC_BGD,
                    np.where(share >= 0.5, cv2.GC_PR_FGD, cv2.GC_PR_BGD)))
    mask = np.where(said == 1, cv2.GC_FGD, np.where(said == 2, cv2.GC_BGD, sure)).astype(np.uint8)
    models = np.zeros((1, 65)), np.zeros((1, 65))
    cv2.setRNGSeed(1)  # the same strokes give the same mask
    cv2.grabCut(cv2.cvtColor(small, cv2.COLOR_RGB2BGR), mask, None, *models, _ROUNDS, cv2.GC_INIT_WITH_MASK)
    kept = _reached((mask == cv2.GC_FGD) | (mask == cv2.GC_PR_FGD), said == 1)
    dropped = _reached(~kept, said == 2)
    return _sharpened(picture, ~dropped, scale)


def _walked(rgb, said):
    """(H, W) 0 to 1: how likely a random walk that avoids edges meets a keep stroke first.

    References
    ----------
    Grady 2006, "Random walks for image segmentation".
    """
    shape = said.shape
    scale = min(1.0, _WALK_PX / max(shape))
    size = (max(8, round(shape[1] * scale)), max(8, round(shape[0] * scale)))
    lab = cv2.cvtColor(
        cv2.GaussianBlur(cv2.resize(rgb, size, interpolation=cv2.INTER_AREA), (0, 0), 0.7).astype(np.float32) / 255,
        cv2.COLOR_RGB2Lab,
    )
    marked = np.zeros((size[1], size[0]), np.uint8)
    for side in (2, 1):
        marked[cv2.resize((said == side).astype(np.float32), size, interpolation=cv2.INTER_AREA) > 0.2] = side
    if not ((marked == 1).any() and (marked == 2).any()):
        return np.full(shape, 0.5)
    number = np.arange(marked.size).reshape(marked.shape)
    one = np.concatenate([number[:, :-1].ravel(), number[:-1].ravel()])
    two = np.concatenate([number[:, 1:].ravel(), number[1:].ravel()])
    change = ((lab.reshape(-1, 3)[one] - lab.reshape(-1, 3)[two]) ** 2).sum(1)
    weight = np.exp(-_SHARPNESS * change / max(float(change.mean()), 1e-6)) + 1e-6
    graph = csr_array((np.concatenate([weight, weight]), (np.concatenate([one, two]), np.concatenate([two, one]))),
                      shape=(marked.size,) * 2)
    seeds = marked.ravel() > 0
    free, fixed = np.flatnonzero(~seeds), np.flatnonzero(seeds)
    degree = np.asarray(graph.sum(1)).ravel()
    share = (marked.ravel() == 1).astype(float)
    if len(free):
        left = dia_array((degree[free][None], [0]), shape=(len(free),) * 2).tocsc() - graph[free][:, free].tocsc()
        share[free] = spsolve(left, graph[free][:, fixed] @ share[fixed])
    return cv2.resize(share.reshape(marked.shape).astype(np.float32), shape[::-1], interpolation=cv2.INTER_LINEAR)


def _reached(mask, seeds):
    """The parts of a mask that hold a seed."""
    _, part = cv2.connectedComponents(mask.astype(np.uint8), connectivity=4)
    good = np.unique(part[seeds & mask])
    table = np.zeros(part.max() + 1, bool)
    table[good[good > 0]] = True
    return table[part]


def _sharpened(picture, kept, scale):
    """The mask at full size; near its edge each pixel goes to the side whose colour around it is nearer."""
    size = (picture.width, picture.height)
    full = cv2.resize(kept.astype(np.float32), size, interpolation=cv2.INTER_LINEAR) >= 0.5
    if scale >= 1.0 and full.shape == kept.shape:
        full = kept
    reach = max(2, round(_BAND / scale))
    kernel = cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (2 * reach + 1,) * 2)
    sure_in = cv2.erode(full.astype(np.uint8), kernel, borderValue=1)
    sure_out = cv2.erode((~full).astype(np.uint8), kernel, borderValue=1)
    band = (sure_in == 0) & (sure_out == 0)
    y, x = np.nonzero(band)
    if len(y) == 0:
        return full
    rgb = picture.rgb.astype(np.float32)
    box = (6 * reach + 1,) * 2
    away = []
    for sure in (sure_in, sure_out):
        weight = cv2.boxFilter(sure.astype(np.float32), cv2.CV_32F, box)[y, x]
        mean = cv2.boxFilter(rgb * sure[..., None], cv2.CV_32F, box)[y, x] / np.maximum(weight, 1e-6)[:, None]
        away.append(np.where(weight > 1e-4, np.sqrt(((rgb[y, x] - mean) ** 2).sum(1)), np.inf))
    # where both sides look alike the cut stays as it was found
    sure = np.abs(away[0] - away[1]) > 0.25 * (away[0] + away[1])
    out = full.copy()
    out[y[sure], x[sure]] = away[0][sure] < away[1][sure]
    calm = cv2.medianBlur(out.astype(np.uint8), 9) > 0
    out[band] = calm[band]
    return out
