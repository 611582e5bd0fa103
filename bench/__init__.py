"""Benchmarks: speed, memory and exactness (``speed``), and closeness to drawn truth (``quality``)."""

import sketchloom  # noqa: F401  an early word when the package is not there
