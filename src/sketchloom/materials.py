"""Smallest details that materials bear, to start from.

The common default of 5 mm and the floor of 1 mm are of the trade; the other values are common
practice without a source. A test cut on the very sheet decides.
"""

RULES = (
    ("Floor of the trade", 1.0),
    ("Adhesive film", 1.0),
    ("Paper, 80 to 120 g/m²", 1.5),
    ("Card, 160 to 300 g/m²", 2.0),
    ("Thin wood or board, laser", 2.0),
    ("Felt or fabric", 4.0),
    ("Common default of the trade", 5.0),
)
