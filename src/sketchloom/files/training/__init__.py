"""Small exercises on the demo works, answered by the program's own measures."""
