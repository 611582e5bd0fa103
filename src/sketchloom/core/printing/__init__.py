"""Printed first and cut after: colours that run on past the cut, marks, and the camera that finds them."""
