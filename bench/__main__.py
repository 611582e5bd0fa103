"""``./loom bench``: prints the benchmark tables; exit code 1 when a limit is not kept.

Words: a table's name for that one alone; ``all`` for quality on every picture instead of the third set aside;
``journeys-clean``, ``journeys-layers``, ``journeys-proposals`` and ``journeys-gestures``, with words of a journey's
name after them, for whole jobs done in the real window; ``drawings`` for outlines of drawings by many hands, which are
fetched once (``bench/openart/collection.py``). Without words all tables, and none of these.
"""

import sys
from importlib import import_module

from bench import table

TABLES = {
    "speed": ("The main job", "bench.speed", "rows"),
    "core": ("The tracing core", "bench.core_speed", "rows"),
    "window": ("The window while it works", "bench.window", "rows"),
    "proposals": ("What is proposed on opening", "bench.proposals.run", "rows"),
    "choices": ("Choices made for the user", "bench.choices", "rows"),
    "photos": ("Photographs in few tones", "bench.photos", "rows"),
    "objects": ("Objects out of photographs", "bench.objects.run", "rows"),
    "cleaning": ("Cleaning", "bench.cleaning", "rows"),
    "drawn": ("What is drawn", "bench.drawn", "drawn_rows"),
    "layers": ("Layers", "bench.layers", "rows"),
    "release": ("What leaves for machines, paper and screens", "bench.release.run", "rows"),
    "sheets": ("What goes into the machine", "bench.sheets.run", "rows"),
    "sign": ("What is carved", "bench.sign.run", "rows"),
    "logbook": ("The logbook", "bench.logbook.run", "rows"),
}
"""Each table by its word: its title, and what gives its rows."""
JOURNEYS = {"journeys-clean": "bench.journeys.clean", "journeys-layers": "bench.journeys.layers",
            "journeys-proposals": "bench.journeys.proposals", "journeys-gestures": "bench.journeys.gestures",
            "journeys-carving": "bench.journeys.carving", "drawings": "bench.openart.run"}
QUALITY = "quality"


def main(words) -> int:
    if words and words[0] in JOURNEYS:
        import_module(JOURNEYS[words[0]]).main(words[1:])
        return 0
    known = {*TABLES, QUALITY, "all"}
    wrong = [w for w in words if w not in known]
    if wrong:
        sys.stderr.write(f"loom bench: {wrong[0]} is none of {', '.join(sorted({*known, *JOURNEYS}))}\n")
        return 2
    wanted = [w for w in words if w != "all"] or [*TABLES, QUALITY]
    good = True
    for name, (title, module, rows) in TABLES.items():
        if name in wanted:
            found = getattr(import_module(module), rows)()
            table.show(title, found)
            good &= all(row.reached for row in found)
    if QUALITY in wanted:
        from bench.quality import run as quality

        sys.stdout.write("\nQuality, medians over the pictures" + (" (all)\n" if "all" in words else " set aside\n"))
        good &= quality.show(quality.run(aside=None if "all" in words else True, with_chain=True))
    return 0 if good else 1


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
