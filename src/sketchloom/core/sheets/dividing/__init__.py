"""Layers larger than any carrier divided along seams that the eye does not find."""
