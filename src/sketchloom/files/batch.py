"""Many pictures through one recipe, on several processes or machines: what is done stays done, also after a kill."""

import hashlib
import io
import json
import os
import time
from collections.abc import Iterator
from concurrent.futures import FIRST_COMPLETED, Executor, Future, ProcessPoolExecutor, wait
from dataclasses import asdict, dataclass
from multiprocessing import get_context
from pathlib import Path

from sketchloom.core.base.errors import AppError
from sketchloom.core.base.said import said

STATE, SINCE, SHEET, SMALL = "batch.json", "batch-since.jsonl", "contact-sheet.pdf", "small"
"""What a batch keeps beside its files: what is done, a line for each since that was written, a page with all of it, and
a folder of small pictures."""
MOST = 100_000
_SMALL_PX = 220
_PER_CHILD = 40
"""A process is renewed after so many pictures: what libraries keep for themselves goes with it."""
_AHEAD = 2
"""Pictures that wait for each process: a watched folder is not read far ahead."""


@dataclass(frozen=True, slots=True)
class Done:
    """A picture that was worked on: its ``file`` and ``key``, the digest of it and the recipe; ``outputs``; what was
    found, as codes; ``why`` it failed, empty where it did not; ``seconds``."""

    file: str
    key: str
    outputs: tuple[str, ...] = ()
    findings: tuple[str, ...] = ()
    layers: int = 0
    why: str = ""
    seconds: float = 0.0


def pictures_in(place) -> list[Path]:
    """Pictures of a folder, or those that a text file lists, a line each."""
    from sketchloom.files.opening import PICTURES

    place = Path(place)
    if place.is_dir():
        return sorted(p for p in place.iterdir() if p.suffix.lower() in PICTURES and p.is_file())[:MOST]
    lines = place.read_text(encoding="utf-8", errors="replace").splitlines()
    return [place.parent / line.strip() for line in lines if line.strip() and not line.startswith("#")][:MOST]


def key_of(path, recipe_text: str, form: str) -> str:
    """The digest of a picture with its name and what is to be made of it: a copy under another name is another
    picture, in whatever folder the batch was begun."""
    made = hashlib.sha256(b"\0".join(text.encode("utf-8", "surrogateescape")
                                     for text in (recipe_text, form, Path(path).name, "")))
    try:
        made.update(Path(path).read_bytes())
    except OSError:
        made.update(b"?")
    return made.hexdigest()[:32]


def work_on(path: str, out_dir: str, recipe_text: str, form: str, key: str, anyway: bool = False) -> dict:
    """One picture, in whatever process: its files are written, whole or not at all; plain data of ``Done``. Whatever a
    picture does, it is told of that picture alone. ``anyway``: also where a finding says stop."""
    from dataclasses import replace

    from sketchloom.core.formats.atomic import Care
    from sketchloom.core.formats.registry import formats
    from sketchloom.core.picture.decode import read_bytes
    from sketchloom.evaluate.pipeline import Pipeline, require_traceable
    from sketchloom.files import release
    from sketchloom.files.opening import as_read, picture_of
    from sketchloom.files.reading_back import read_back
    from sketchloom.recipe.document import from_json

    began = time.perf_counter()
    try:
        data = read_bytes(path)
        recipe = as_read(from_json(json.loads(recipe_text)), data)
        picture = picture_of(data, path, recipe)
        work = Pipeline().evaluate(picture, replace(recipe, alternatives=()))
        require_traceable(work, path)
        kind = formats()[form]
        target = Path(out_dir) / f"{release.safe_stem(Path(path).stem)}-{key[:6]}{kind.suffix}"
        small = Path(out_dir) / SMALL / f"{target.stem}.png"
        release.refuse_stops(target, work.findings, anyway)
        files, found = read_back(release.outgoing(work, target, kind=kind), work.recipe.machine,
                                 work.recipe.svg_reader)
        release.refuse_stops(target, found, anyway)
        files.append((small, lambda: _small(work)))
        release.write(files, Care((Path(path),), replace=True))
    except (AppError, MemoryError, OSError) as error:
        return asdict(Done(path, key, why=str(error) or said("does not fit into memory."),
                           seconds=time.perf_counter() - began))
    except Exception as error:  # a fault of the program must not end the pictures that follow
        return asdict(Done(path, key, why=f"{type(error).__name__}: {error}", seconds=time.perf_counter() - began))
    codes = tuple(sorted({f.code for f in (*work.findings, *found) if f.severity != "note"}))
    return asdict(Done(path, key, (target.name, f"{SMALL}/{small.name}"), codes, len(work.layers),
                       seconds=time.perf_counter() - began))


def _small(work):
    from sketchloom.core.formats.png import drawn
    from sketchloom.files.release import whole_drawing

    drawing = whole_drawing(work)
    return drawn(drawing, max(_SMALL_PX / max(drawing.frame[2:]) * 25.4, 1.0))


def _done(row):
    return Done(**{**row, "outputs": tuple(row["outputs"]), "findings": tuple(row["findings"])})


class Batch:
    """A folder of results. What was done in it before, by this or another run, is not done again."""

    def __init__(self, out_dir, recipe_text: str, form: str = "svg", anyway: bool = False):
        self.folder, self.recipe_text, self.form, self.anyway = Path(out_dir), recipe_text, form, anyway
        (self.folder / SMALL).mkdir(parents=True, exist_ok=True)
        self.done: dict[str, Done] = self._known()

    def _known(self):
        kept = []
        for text in self._texts():
            try:
                kept += [_done(row) for row in json.loads(text)]
            except (ValueError, TypeError, KeyError, AttributeError):
                continue  # what a kill left of a line, or somebody of the file
        return {one.key: one for one in kept if not one.why and all((self.folder / name).is_file()
                                                                   for name in one.outputs)}

    def _texts(self):
        """Lists of rows: the whole one, then those of a line each that came after it."""
        for name, of_lines in ((STATE, False), (SINCE, True)):
            try:
                text = (self.folder / name).read_text(encoding="utf-8", errors="replace")
            except OSError:
                continue
            yield from (f"[{line}]" for line in text.splitlines()) if of_lines else (text,)

    def keep(self) -> None:
        """Write what is done, whole."""
        from sketchloom.core.formats.atomic import write_whole

        rows = [asdict(one) for one in sorted(self.done.values(), key=lambda d: d.file)]
        write_whole(self.folder / STATE, json.dumps(rows, indent=1, ensure_ascii=False).encode())
        (self.folder / SINCE).unlink(missing_ok=True)

    def _keep_one(self, one):
        """Add a line: a whole list after each of thousands would be written thousands of times."""
        with (self.folder / SINCE).open("a", encoding="utf-8") as file:
            file.write(json.dumps(asdict(one), ensure_ascii=False) + "\n")

    def run(self, paths, executor: Executor, most_at_once: int = 4) -> Iterator[Done]:
        """Work on what is not done yet; gives each as it comes, what was done before first."""
        waiting: dict[Future, tuple[str, str]] = {}
        todo: list[tuple[str, str]] = []
        for path in paths:
            key = key_of(path, self.recipe_text, self.form)
            if key in self.done:
                yield self.done[key]
            else:
                todo.append((str(path), key))
        left = iter(todo)
        while True:
            while len(waiting) < most_at_once * _AHEAD and (job := next(left, None)) is not None:
                path, key = job
                future = executor.submit(work_on, path, str(self.folder), self.recipe_text, self.form, key,
                                         self.anyway)
                waiting[future] = job
            if not waiting:
                if todo:
                    self.keep()
                return
            ended, _ = wait(waiting, return_when=FIRST_COMPLETED)
            for future in ended:
                path, key = waiting.pop(future)
                try:
                    row = future.result()
                    one = _done(row)
                except Exception as error:  # the process ended under it
                    one = Done(path, key, why=said("its process ended: {why}", why=str(error)[:200]))
                self.done[key] = one
                self._keep_one(one)
                yield one


def processes(count: int | None = None) -> ProcessPoolExecutor:
    """Processes of this machine."""
    return ProcessPoolExecutor(count or os.cpu_count() or 1, mp_context=get_context("spawn"),
                               max_tasks_per_child=_PER_CHILD)


def contact_sheet(folder, done) -> bytes:
    """A page, or several, with every result small, what was found, and what failed and why."""
    from sketchloom.core.formats.handing import A4, PAPER_MM
    from sketchloom.core.formats.paper import Paper

    paper = Paper("Contact sheet")
    wide, high = PAPER_MM[A4]
    done = sorted(done, key=lambda d: (bool(d.why), d.file))
    good, failed = [d for d in done if not d.why], [d for d in done if d.why]
    columns, rows, side = 4, 5, (wide - 24) / 4
    for n, one in enumerate(good):
        if n % (columns * rows) == 0:
            paper.page(wide, high)
            paper.text(12, 16, f"{len(good)} works, {len(failed)} failed", 4.5, bold=True)
        x, y = 12 + n % columns * side, 22 + n // columns % rows * (side + 5)
        try:
            small = (Path(folder) / one.outputs[1]).read_bytes()
            w, h = _size(small)
            scale = (side - 8) / max(w, h)
            paper.picture(small, x + (side - w * scale) / 2, y, w * scale, h * scale)
        except (OSError, IndexError, ValueError):
            pass
        paper.text(x + 2, y + side - 4, Path(one.file).name, 2.6, most_mm=side - 4)
        paper.text(x + 2, y + side - 0.6, f"{one.layers} layers" + (f", {', '.join(one.findings)}" if one.findings
                                                                   else ""), 2.2, most_mm=side - 4, colour="#6f675a")
    if failed or not good:
        paper.page(wide, high)
        paper.text(12, 16, f"{len(failed)} failed", 4.5, bold=True)
        y = 26.0
        for one in failed:
            if y > high - 20:
                paper.page(wide, high)
                y = 16.0
            paper.text(12, y, Path(one.file).name, 3.2, bold=True, most_mm=wide - 24)
            y = paper.words(12, y + 4.4, one.why, wide - 24, 2.9, "#6f675a") + 2
    return paper.done()


def _size(png):
    from PIL import Image

    return Image.open(io.BytesIO(png)).size
