"""Benchmarks: speed, memory and exactness (``speed``), and closeness to drawn truth (``quality``)."""

import sketchloom  # noqa: F401  before NumPy, so that its settings hold here as in the command
