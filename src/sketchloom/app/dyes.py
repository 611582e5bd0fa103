"""Colours of what is drawn over the work: the same in a light and in a dark room, since the work is the same."""

INK, INK_SOFT, LINEN_LIGHT, LINE, EDGE = "#26221d", "#5a5145", "#f8f4ea", "#bfb29a", "#80745b"
MADDER, WOAD, WELD, MOSS = "#9c3a30", "#2d5273", "#8a6412", "#41662f"
KEEP, DROP = "#a6d786", "#6b1f18"
"""Strokes over what is to stay and over what is to go: one light and whole, one dark and hatched, so that they are told
apart without their hues (WCAG 2.2, 1.4.1)."""
