"""Organic drawings by many hands: a public-domain collection of clip art, as truth for the outlines."""
