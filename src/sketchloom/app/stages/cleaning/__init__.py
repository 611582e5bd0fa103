"""Boxes of the Clean stage."""
