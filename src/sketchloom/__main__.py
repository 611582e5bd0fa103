"""``python -m sketchloom``."""

import sys

from sketchloom.command.main import main

sys.exit(main())
