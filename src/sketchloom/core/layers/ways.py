"""Names of the ways of layering, and of the rules that gather line art into sheets."""

STACKED, FITTED, WINDOWED, LEAN, BASED = WAYS = ("stacked", "fitted", "windowed", "lean", "based")
UNDER = (FITTED, LEAN, BASED)
"""Ways whose sheets reach a little under what covers them."""
PROPOSED = "auto"
"""The way is proposed from the work."""
TOUCHING, NESTED, SIZE, INWARD, COLOURS = RULES = ("touching", "nested", "size", "inward", "colours")
