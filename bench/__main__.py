"""``./loom bench``: prints the benchmark tables; exit code 1 when a limit is not kept.

Words: ``speed``, ``core``, ``quality`` for one of the tables; ``all`` for quality on every
picture instead of the third set aside.
"""

import sys

from bench import core_speed, speed, table
from bench.quality import run as quality


def main(words) -> int:
    wanted = [w for w in words if w in ("speed", "core", "quality")] or ["speed", "core", "quality"]
    good = True
    for name, title, rows in (("speed", "The main job", speed.rows), ("core", "The tracing core", core_speed.rows)):
        if name in wanted:
            found = rows()
            table.show(title, found)
            good &= all(row.reached for row in found)
    if "quality" in wanted:
        sys.stdout.write("\nQuality, medians over the pictures" + (" (all)\n" if "all" in words else " set aside\n"))
        good &= quality.show(quality.run(aside=None if "all" in words else True, with_chain=True))
    return 0 if good else 1


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
