"""The computation. Nothing below this package imports Qt.

Conventions, said once
----------------------
*Axes.* x runs to the right and y down. Pixel (0, 0) covers the unit square from the
origin, so its centre is (0.5, 0.5) and the picture covers ``[0, width] x [0, height]``.
Arrays of pixels are indexed ``[y, x]``; arrays of points hold ``(x, y)``.

*Sense.* With y down, the shoelace sum of a ring is positive when the ring runs clockwise
on the screen. Rings keep their inside on the right-hand side: outer rings have a positive
area, rings of holes a negative one.

*Units.* A scalar's name ends in its unit: ``_px`` (source pixels), ``_mm``, ``_s``.
"""
