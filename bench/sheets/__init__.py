"""What goes into the machine, measured."""
