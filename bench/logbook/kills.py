"""A program that writes jobs into a logbook and says the number of each that is kept; killed while it does."""

import subprocess
import sys
import time

from sketchloom.core.logbook.records import Job
from sketchloom.core.logbook.store import Logbook


def write(path):
    """Jobs without end, some changed, some in twos: what is said is kept."""
    with Logbook(path) as book:
        n = 0
        while True:
            n += 1
            numbers = book.add(Job(f"work {n}", note="x" * 200), Job(f"work {n}, again"))
            sys.stdout.write(" ".join(map(str, numbers)) + "\n")
            sys.stdout.flush()
            book.change(numbers[0], Job(f"work {n}", note="changed", state="done"))


def killed(path, times, rng):
    """How many of what was said to be kept is lost, and in how many of so many kills the file was not sound."""
    lost = unsound = 0
    said: set[int] = set()
    for _ in range(times):
        one = subprocess.Popen([sys.executable, "-m", "bench.logbook.kills", str(path)], stdout=subprocess.PIPE,
                               text=True)
        assert one.stdout is not None
        said |= {int(word) for word in one.stdout.readline().split()}  # it has begun
        time.sleep(float(rng.uniform(0.0, 0.03)))
        one.kill()
        left = one.stdout.read()
        said |= {int(word) for line in left.split("\n")[:-1] for word in line.split()}
        one.wait()
        with Logbook(path) as book:
            unsound += not book.is_sound() or book.is_read_only
            there = {number for (number,) in book.rows('SELECT entry FROM "jobs"')}
            lost += len(said - there) + (len(there) % 2)  # twos are kept whole or not at all
    return lost, unsound, len(said)


if __name__ == "__main__":
    write(sys.argv[1])
