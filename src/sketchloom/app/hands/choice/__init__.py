"""Choosing what lies on the bench, and what can be done to it."""
