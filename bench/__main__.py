"""``./loom bench``: prints the benchmark tables; exit code 1 when a limit is not kept."""

import sys

from bench import speed, table


def main() -> int:
    rows = speed.rows()
    table.show("Exactness, speed and memory", rows)
    return 0 if all(row.reached for row in rows) else 1


if __name__ == "__main__":
    sys.exit(main())
