"""A campaign against the program: hostile files, kills, full disks, random gestures."""
