"""A drawing recorded once, in mm, and replayed to any writer."""
