"""Sketch Loom: pictures in, layered cut files out."""

import os

# Linear algebra here is small: sharing it out costs more than it saves, and sums would depend on the number of cores.
os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")

__version__ = "0.1.0"
