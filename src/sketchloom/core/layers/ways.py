"""The ways of layering."""

STACKED, FITTED, WINDOWED, LEAN = WAYS = ("stacked", "fitted", "windowed", "lean")
