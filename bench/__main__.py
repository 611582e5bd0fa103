"""``./loom bench``: prints the benchmark tables; exit code 1 when a limit is not kept.

Words: ``speed``, ``core``, ``choices``, ``cleaning``, ``drawn``, ``layers``, ``quality`` for one of the tables; ``all`` for quality on every
picture instead of the third set aside.
"""

import sys

from bench import choices, cleaning, core_speed, drawn, layers, speed, table
from bench.quality import run as quality

_TABLES = ("speed", "core", "choices", "cleaning", "drawn", "layers", "quality")


def main(words) -> int:
    wanted = [w for w in words if w in _TABLES] or _TABLES
    good = True
    for name, title, rows in (("speed", "The main job", speed.rows), ("core", "The tracing core", core_speed.rows),
                              ("choices", "Choices made for the user", choices.rows),
                              ("cleaning", "Cleaning", cleaning.rows), ("drawn", "What is drawn", drawn.drawn_rows), ("layers", "Layers", layers.rows)):
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
