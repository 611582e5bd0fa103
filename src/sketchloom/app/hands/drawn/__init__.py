"""What is drawn in the Clean stage, a module for each kind."""
