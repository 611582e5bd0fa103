"""Names of the ways of layering, and of the rules that gather line art into sheets."""

STACKED, FITTED, WINDOWED, LEAN = WAYS = ("stacked", "fitted", "windowed", "lean")
TOUCHING, NESTED, SIZE, INWARD, COLOURS = RULES = ("touching", "nested", "size", "inward", "colours")
