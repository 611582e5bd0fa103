"""Areas of written files by a general reader of SVG."""

import svgelements

_CHORDS = 160
"""Of each segment: a long curve's area is then a few millionths off."""


def area_of_file(path) -> float:
    """What the filled paths of a file enclose, mm²: rings that run one way less those that run the other."""
    total = 0.0
    for path_ in svgelements.SVG.parse(str(path), reify=True, ppi=25.4).elements(
            lambda e: isinstance(e, svgelements.Path) and e.fill.value is not None):
        for ring in path_.as_subpaths():
            points = [p for seg in svgelements.Path(ring) if not isinstance(seg, svgelements.Move)
                      for p in (seg.point(k / _CHORDS) for k in range(_CHORDS))]
            x, y = [float(p.x) for p in points], [float(p.y) for p in points]
            total += sum(x[k - 1] * y[k] - x[k] * y[k - 1] for k in range(len(x))) / 2
    return abs(total)
