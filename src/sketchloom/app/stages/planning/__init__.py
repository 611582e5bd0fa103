"""Boxes of the Sheets stage."""
