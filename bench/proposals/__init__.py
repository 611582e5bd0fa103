"""What the program proposes by itself on opening, against what was drawn: reading, ground, base, pieces, words."""
