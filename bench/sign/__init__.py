"""How exact and how fast carving is: ``loom bench sign``."""
