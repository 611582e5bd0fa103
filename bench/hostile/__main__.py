"""``python -m bench.hostile``."""

import os
import sys

from bench.hostile.run import main

if __name__ == "__main__":
    code = main(sys.argv[1:])
    sys.stdout.flush()
    os._exit(code)  # threads of closed windows are not waited for
