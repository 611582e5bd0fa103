"""Risky readers in a process of their own: what a file does there, it does to that process alone.

Vector pages and the formats of films are read by large libraries that no counting beforehand can bound. The process
has limits of memory and of time, is told nothing but the bytes, and answers with pixels or a sentence. The program
survives any file.
"""

import json
import resource
import signal
import struct
import subprocess
import sys

import numpy as np

from sketchloom.core.base import errors
from sketchloom.core.base.apart import ended
from sketchloom.core.base.errors import FileError, ImageTooLargeError, PictureError
from sketchloom.core.base.said import Said, said
from sketchloom.core.picture.picture import Picture, frozen_array

MOST_BYTES = 1400 * 2**20
"""Memory that a reader may take. A page of 48 megapixels, the largest that stays as it is, takes 600 MB."""
MOST_S = 20.0
"""Seconds that a reader may take, of the processor's and of the clock's; a city map of 300,000 parts takes six."""
_MOST_ANSWER = 64 * 2**10
_HEAD = struct.Struct(">Q")
_PAGE, _COUNT = "page", "count"
_HERE = "sketchloom.core.picture.apart"
_ERRORS = {"PictureError": PictureError, "ImageTooLargeError": ImageTooLargeError}


def drawn_apart(data: bytes, name: str, page: int, dpi: int, most_pixels: int, least_px: int = 0) -> Picture:
    """The picture of a document or of a film's format, read in a process of its own.

    Raises
    ------
    PictureError, ImageTooLargeError : with the reader's sentence, or that it took too much.
    """
    answer, pixels = asked(_HERE, _PAGE, data, name, {"page": page, "dpi": dpi, "most_pixels": most_pixels,
                                                     "least_px": least_px})
    try:
        height, width, channels = (int(v) for v in answer["shape"])
        dpi_found, notes_found = answer["dpi"], answer["notes"]
    except (KeyError, ValueError, TypeError):
        raise failed(name) from None
    if len(pixels) != height * width * channels or channels not in (3, 4) or height * width > most_pixels:
        raise failed(name)
    field = np.frombuffer(pixels, np.uint8).reshape(height, width, channels)
    alpha = frozen_array(field[..., 3].copy()) if channels == 4 else None
    rgb = frozen_array(field[..., :3].copy() if channels == 4 else field)
    notes = tuple(_said_again(note) for note in notes_found)
    return Picture(rgb, alpha, None if dpi_found is None else float(dpi_found), name, notes)


def pages_counted_apart(data: bytes, name: str) -> int:
    """How many pages a document has; raises as ``drawn_apart``."""
    return int(asked(_HERE, _COUNT, data, name, {})[0]["count"])


# -- on this side ------------------------------------------------------------------------------


def asked(module: str, task: str, data: bytes, name: str, words: dict):
    """The answer of a module that serves, plain, and the bytes after it.

    Raises
    ------
    PictureError, ImageTooLargeError : with the reader's sentence, or that it took too much.
    """
    head = json.dumps({"task": task, "name": name.encode("utf-8", "replace").decode(), **words}).encode()
    try:
        code, out = ended(module, _HEAD.pack(len(head)) + head + data, 2 * MOST_S)
    except subprocess.TimeoutExpired:
        raise _too_long(name) from None
    except OSError:
        raise PictureError(name, said("no process could be started to read it."),
                           said("Close other programs and try again.")) from None
    if code in (-signal.SIGXCPU, -signal.SIGKILL):
        raise _too_long(name)
    answer, pixels = _taken_apart(out, name)
    if "error" in answer:
        kind = _ERRORS.get(answer["error"], PictureError)
        raise kind(name, _said_again(answer["why"]), _said_again(answer["hint"]))
    return answer, pixels


def _taken_apart(out, name):
    try:
        (size,) = _HEAD.unpack_from(out)
        if size > _MOST_ANSWER:
            raise ValueError(size)
        answer = json.loads(out[_HEAD.size:_HEAD.size + size])
        if not isinstance(answer, dict) or not answer.keys() & {"shape", "count", "rows", "error"}:
            raise ValueError(answer)
        return answer, memoryview(out)[_HEAD.size + size:]
    except (struct.error, ValueError, UnicodeDecodeError):
        raise failed(name) from None


def failed(name) -> PictureError:
    """A reader gave no answer that can be used."""
    return PictureError(name, said("its reader failed on it, or it takes too much memory to be drawn."),
                        said("Save a plain, simpler copy of it."))


def _too_long(name):
    return PictureError(name, said("takes too long to be drawn."), said("Save a plain, simpler copy of it."))


def _said_again(plain) -> str:
    """A sentence of the reader; its pattern may be put into another language."""
    if not isinstance(plain, list):
        return str(plain)
    pattern, figures = plain
    try:
        return Said(str(pattern), **{str(key): value for key, value in figures.items()})
    except (KeyError, IndexError, ValueError, TypeError):
        return str(pattern)


# -- in the process of its own -----------------------------------------------------------------


def _plain(text):
    if isinstance(text, Said) and all(isinstance(v, (str, int, float)) for v in text.figures.values()):
        return [text.pattern, dict(text.figures)]
    return str(text)


def _answer(task, data, words):
    """Do what is asked: the answer, plain, and the bytes after it."""
    from sketchloom.core.picture import decode, documents

    name = words["name"]
    if task == _COUNT:
        return {"count": documents.page_count(data, name)}, b""
    picture = decode.decode_here(data, name, words["page"], words["dpi"], words["most_pixels"],
                                 words["least_px"])
    parts = picture.rgb if picture.alpha is None else np.dstack([picture.rgb, picture.alpha])
    plain = {"shape": parts.shape, "dpi": picture.dpi, "notes": [_plain(note) for note in picture.notes]}
    return plain, np.ascontiguousarray(parts).data


def _limit(most_bytes, most_s):
    resource.setrlimit(resource.RLIMIT_AS, (most_bytes, most_bytes))
    resource.setrlimit(resource.RLIMIT_CPU, (round(most_s), round(most_s)))
    resource.setrlimit(resource.RLIMIT_CORE, (0, 0))
    resource.setrlimit(resource.RLIMIT_FSIZE, (0, 0))  # it writes no file


def serve(answer) -> None:
    """Answer what is asked on the standard input, within limits: ``answer`` takes the task, the bytes and the words,
    and gives plain data and bytes."""
    read, write = sys.stdin.buffer, sys.stdout.buffer
    _limit(MOST_BYTES, MOST_S)
    (size,) = _HEAD.unpack(read.read(_HEAD.size))
    words = json.loads(read.read(size))
    try:
        plain, rest = answer(words["task"], read.read(), words)
    except FileError as error:
        kind = type(error).__name__ if type(error).__name__ in _ERRORS else errors.PictureError.__name__
        plain, rest = {"error": kind, "why": _plain(error.why), "hint": _plain(error.hint)}, b""
    except MemoryError:
        failed = PictureError(words["name"], said("takes too much memory to be drawn."),
                              said("Save a plain, simpler copy of it."))
        plain, rest = {"error": "PictureError", "why": _plain(failed.why), "hint": _plain(failed.hint)}, b""
    head = json.dumps(plain).encode()
    write.write(_HEAD.pack(len(head)) + head)
    write.write(rest)
    write.flush()


if __name__ == "__main__":
    serve(_answer)
