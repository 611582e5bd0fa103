"""Benchmarks: speed, memory and exactness (``speed``), and closeness to drawn truth (``quality``)."""
