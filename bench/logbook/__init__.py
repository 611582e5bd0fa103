"""The logbook: tries until a film is right, rates fitted to real times, many jobs, kills: ``loom bench logbook``."""
