"""From outlines to what a tool does: arcs, the path of a dragged blade, the kerf, strokes in their order."""
