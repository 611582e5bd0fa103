"""Sketch Loom: pictures in, layered cut files out."""

__version__ = "0.1.0"
