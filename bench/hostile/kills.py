"""The whole program ended without a word while it saves and while it writes files; full disks."""

import errno
import os
import random
import signal
import subprocess
import sys
import tempfile
import time
from pathlib import Path

from bench.hostile.cases import ROOT, seeds
from sketchloom.core.base.errors import ExportError
from sketchloom.core.formats import atomic
from sketchloom.files import project as projects

_SAVES = """
import sys
from pathlib import Path
from sketchloom.files import project as projects, recovery
path = Path(sys.argv[1])
one = projects.load(path)
copy = recovery.RecoveryCopy.begin(one)
sys.stdout.write("ready\\n"); sys.stdout.flush()
n = 0
while True:
    n += 1
    projects.save(projects.Project(one.recipe, one.source, f"{n}.png"), path)
    copy.write(one.recipe, path)
"""
_RELEASES = """
import sys
from pathlib import Path
from sketchloom.core.picture.decode import decode, read_bytes
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files import release
from sketchloom.recipe.document import Recipe
picture = decode(read_bytes(sys.argv[1]), "a.png")
works = [Pipeline().evaluate(picture, Recipe(size_mm=size)) for size in (60.0, 90.0)]
sys.stdout.write("ready\\n"); sys.stdout.flush()
while True:
    for work in works:
        release.write(release.outgoing(work, Path(sys.argv[2]), "layer", stem="work"))
"""


def _environment(folder):
    return {**os.environ, "PYTHONPATH": str(ROOT / "src"), "XDG_DATA_HOME": str(folder / "data")}


def _killed(code, words, folder, rng, most_s):
    """Start it, and end it after a while that is not known beforehand."""
    process = subprocess.Popen([sys.executable, "-c", code, *map(str, words)], stdout=subprocess.PIPE,
                               env=_environment(folder))
    process.stdout.readline()
    time.sleep(rng.uniform(0, most_s))
    process.send_signal(signal.SIGKILL)
    process.wait()
    process.stdout.close()


def _swept(folder):
    code = "import time; from sketchloom.files.writing import sweep; sweep(time.time())"
    subprocess.run([sys.executable, "-c", code], env=_environment(folder), check=True)


def kills(count: int, seed: int = 1) -> list[str]:
    """What was lost, mixed or half written; empty for nothing."""
    rng, wrong = random.Random(seed), []
    for number in range(count):
        with tempfile.TemporaryDirectory() as name:
            folder = Path(name)
            wrong += _while_saving(folder, rng, number) if number % 2 else _while_releasing(folder, rng, number)
    return wrong


def _while_saving(folder, rng, number):
    path = folder / "a.sloom"
    path.write_bytes(next(data for kind, file, data in seeds() if file == "a.sloom"))
    _killed(_SAVES, (path,), folder, rng, 0.15)
    _swept(folder)
    wrong = [f"{number}: left {p.name}" for p in folder.glob(f".*{atomic.PART}")]
    try:
        if projects.load(path).recipe != projects.from_bytes(seeds()[13][2], "a").recipe:
            wrong.append(f"{number}: another recipe")
    except Exception as error:
        wrong.append(f"{number}: {error}")
    return wrong


def _while_releasing(folder, rng, number):
    out, picture = folder / "out", ROOT / "src" / "sketchloom" / "data" / "demo" / "small-mark.png"
    out.mkdir()
    _killed(_RELEASES, (picture, out), folder, rng, 0.15)
    _swept(folder)
    wrong = [f"{number}: left {p.name}" for p in out.glob(f".*{atomic.PART}")]
    sizes = {p.read_text().split('width="')[1].split('"')[0] for p in out.glob("*.svg") if p.stat().st_size}
    files = sorted(p.name for p in out.iterdir())
    if len(sizes) > 1 or (files and len(files) < 4) or any(not p.stat().st_size for p in out.iterdir()):
        wrong.append(f"{number}: mixed {files} {sizes}")
    return wrong


def full_disks(count: int, seed: int = 1) -> list[str]:
    """A disk that is full after so many bytes: what is left half, or gone."""
    rng, wrong, real = random.Random(seed), [], os.fsync
    for number in range(count):
        room = [rng.randrange(1, 9)]

        def fsync(handle, room=room):
            room[0] -= 1
            if room[0] < 0:
                raise OSError(errno.ENOSPC, "No space left on device")
            real(handle)
        with tempfile.TemporaryDirectory() as name:
            folder = Path(name)
            before = {f"{n}.svg": f"before {n}" for n in range(rng.randrange(4))}
            for file, text in before.items():
                (folder / file).write_text(text)
            os.fsync = fsync
            try:
                atomic.write_together([(folder / f"{n}.svg", lambda n=n: b"after %d" % n) for n in range(6)],
                                      atomic.Care(journals=folder / "journals"))
            except ExportError:
                pass
            finally:
                os.fsync = real
            found = {p.name: p.read_text() for p in folder.iterdir() if p.is_file()}
            if found not in (before, {f"{n}.svg": f"after {n}" for n in range(6)}):
                wrong.append(f"{number}: {found}")
    return wrong


