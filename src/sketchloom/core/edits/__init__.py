"""Edits of regions: kept by their places, found again on every new map, applied to it."""
