"""Shapes of the user's own, cut into the map exactly: figures, text, split lines."""
