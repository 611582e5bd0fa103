"""``python -m sketchloom``."""

import sys

from sketchloom.cli import main

sys.exit(main())
