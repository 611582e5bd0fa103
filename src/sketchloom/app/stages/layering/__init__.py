"""Boxes of the Layers stage."""
