"""Draws the demo pictures of the Tidewalk Lantern Night."""
