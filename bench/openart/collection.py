"""The collection: where it comes from, and which of its drawings are looked at.

The drawings are those of the package ``openclipart-svg`` of the system, all in the public domain. It is fetched once by
``apt-get download`` into the folder of caches and unpacked there; nothing of it is installed, and nothing is committed
but marks that stand for those chosen.

The rule. Of the folders ``unsorted``, ``special``, ``office``, ``electronics`` and ``signs_and_symbols`` (the others
stay unseen), in the order of their names, those files are candidates that have at most 60 kB and hold nothing but
groups and plain shapes with plain fills and strokes: no gradient, pattern, filter, clip, mask, marker, dash, picture,
text, use, style sheet or opacity. No name that hints at a mark, a flag or a person. Of those a random order with seed
2026; each is kept if its truth has 1 to 16 colours of at least 0.3 % of the page, 8 to 500 visible stretches, and if
the truth, filled, is what a general renderer draws (within 0.15 px in the mean along its boundary). Sixty are kept, and
of them every third is set aside.
"""

import hashlib
import json
import os
import random
import re
import subprocess
from functools import lru_cache
from pathlib import Path

FOLDERS = ("unsorted", "special", "office", "electronics", "signs_and_symbols")
PACKAGE, SEED, COUNT, MOST_BYTES = "openclipart-svg", 2026, 60, 60_000
TARGET = Path(__file__).with_name("chosen.json")
_NO = re.compile(r"gradient|<pattern|<filter|clip-?path|<mask|marker|dasharray=[\"'][^n]|dasharray:[^n]|<image|<text|"
                 r"<use|<style|<switch|<a |flowRoot", re.IGNORECASE)
_SEE_THROUGH = re.compile(r"opacity[:=]\s*[\"']?\s*(0?\.\d+|0[;\"'\s])", re.IGNORECASE)
_HINTS = re.compile(r"logo|brand|flag|portrait|president|commons|ipod|mac", re.IGNORECASE)


def folder() -> Path:
    """The unpacked collection; fetched where it is not there.

    Raises
    ------
    SystemExit : it cannot be fetched, with how to do so.
    """
    own = Path(os.environ.get("XDG_CACHE_HOME", Path.home() / ".cache")) / "sketch-loom-bench" / PACKAGE
    root = own / "usr/share/openclipart/svg"
    if not root.is_dir():
        own.mkdir(parents=True, exist_ok=True)
        try:
            subprocess.run(["apt-get", "download", PACKAGE], cwd=own, check=True, capture_output=True)
            (deb,) = own.glob("*.deb")
            subprocess.run(["dpkg-deb", "-x", deb, own], check=True, capture_output=True)
            deb.unlink()
        except (OSError, subprocess.CalledProcessError, ValueError):
            raise SystemExit(f"This bench needs the open drawings of the package {PACKAGE}. Fetch and unpack it:\n"
                             f"  cd {own} && apt-get download {PACKAGE} && dpkg-deb -x {PACKAGE}_*.deb .") from None
    return root


def candidates() -> list[Path]:
    """Files that the rule takes, by name, relative to the collection."""
    root, found = folder(), []
    for name in FOLDERS:
        for path in sorted((root / name).rglob("*.svg")):
            if path.is_symlink() or path.stat().st_size > MOST_BYTES or _HINTS.search(str(path.relative_to(root))):
                continue
            text = path.read_text(encoding="utf-8", errors="replace")
            body = re.sub(r"<metadata.*?</metadata>|<\w+:namedview.*?(/>|</\w+:namedview>)|<defs[^>]*/>", "",
                          text, flags=re.DOTALL)
            if not _NO.search(body) and not _SEE_THROUGH.search(body):
                found.append(path.relative_to(root))
    return found


def mark_of(path) -> str:
    """What stands for a file in the list: names of files hold those of people."""
    return hashlib.blake2b(str(path).encode(), digest_size=8).hexdigest()


@lru_cache(maxsize=1)
def chosen() -> list[dict]:
    """``file`` and ``aside`` of each."""
    there = {mark_of(path.relative_to(folder())): str(path.relative_to(folder()))
             for name in FOLDERS for path in (folder() / name).rglob("*.svg")}
    return [{"file": there[one["mark"]], "aside": one["aside"]} for one in json.loads(TARGET.read_text())]


def choose() -> None:
    """Go through the candidates and keep the first that the rule keeps."""
    from bench.openart.truth import Drawn

    every = candidates()
    random.Random(SEED).shuffle(every)
    kept = []
    for path in every:
        if len(kept) == COUNT:
            break
        try:
            why = Drawn(folder() / path).refused()
        except Exception as error:  # whatever a drawing does to the readers, it is none for here
            why = f"{type(error).__name__}: {error}"
        print(f"{path}: {why or 'kept'}", flush=True)
        if not why:
            kept.append({"mark": mark_of(path), "aside": len(kept) % 3 == 2})
    TARGET.write_text(json.dumps(kept, indent=0) + "\n")


if __name__ == "__main__":
    choose()
