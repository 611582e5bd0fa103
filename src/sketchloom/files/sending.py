"""A cut file sent to a machine: over a socket, a serial line or a pseudo terminal, waiting for its answers."""

import os
import select
import socket
from collections.abc import Callable
from contextlib import contextmanager
from pathlib import Path

from sketchloom.core.base.errors import ExportError
from sketchloom.core.base.said import said

_ANSWER_S = 60.0
"""A machine that says nothing for so long is told; it may have been switched off."""
_BLOCK = 400
"""Bytes of plotter language between two questions: buffers of old machines are short (common practice, no source)."""


@contextmanager
def _line_to(address: str):
    """A way to send bytes and to get some: (write, read); ``tcp:HOST:PORT``, else the path of a device."""
    if address.startswith("tcp:"):
        host, _, port = address[4:].rpartition(":")
        with socket.create_connection((host or "127.0.0.1", int(port)), timeout=_ANSWER_S) as line:
            line.settimeout(_ANSWER_S)
            yield line.sendall, lambda: line.recv(4096)
        return
    number = os.open(address, os.O_RDWR | os.O_NOCTTY)
    try:
        _make_raw(number)

        def write(data):
            while data:
                data = data[os.write(number, data):]

        def read():
            ready, _, _ = select.select([number], [], [], _ANSWER_S)
            if not ready:
                raise TimeoutError
            return os.read(number, 4096)
        yield write, read
    finally:
        os.close(number)


def _make_raw(number):
    """No echo and no changed line ends on a terminal."""
    import termios
    import tty

    if os.isatty(number):
        tty.setraw(number, termios.TCSANOW)


def send(data: bytes, kind: str, address: str, told: Callable[[float], None] = lambda share: None) -> int:
    """Send a file of ``kind`` (``hpgl`` or ``gcode``); returns how many bytes the machine took. ``told`` hears the
    share that was sent.

    Raises
    ------
    ExportError : the machine cannot be reached, refuses something, or says nothing any more; with what was sent.
    """
    sent = 0
    try:
        with _line_to(address) as (write, read):
            for block, question in _blocks(data, kind):
                write(block + question)
                answer = _answer(read, b"\n" if kind == "gcode" else b"\r", block.count(b"\n") if kind == "gcode"
                                 else 1)
                sent += len(block)
                wrong = _wrong(answer, kind)
                if wrong:
                    raise ExportError(address, said(
                        "the machine refused it: {why}. {count} of {all} bytes were sent; what they say is cut.",
                        why=wrong, count=sent, all=len(data)), said("Stop the machine, and look at what was cut."))
                told(sent / max(len(data), 1))
    except TimeoutError:
        raise ExportError(address, said("the machine says nothing any more. {count} of {all} bytes were sent.",
                                        count=sent, all=len(data)), said("Is it switched on?")) from None
    except (OSError, ValueError) as error:
        why = getattr(error, "strerror", None) or str(error)
        raise ExportError(address, said("the machine cannot be reached: {why}. {count} of {all} bytes were sent.",
                                        why=why, count=sent, all=len(data)), said("Check its address.")) from None
    return sent


def _blocks(data, kind):
    """Blocks that end where an instruction does, with the question after each."""
    if kind == "gcode":
        for line in data.splitlines(keepends=True):
            yield (line if line.endswith(b"\n") else line + b"\n"), b""
        return
    at = 0
    while at < len(data):
        end = data.find(b";", min(at + _BLOCK, len(data) - 1))
        end = len(data) if end < 0 else end + 1
        yield data[at:end], b"OE;"
        at = end


def _answer(read, mark, count):
    answer = b""
    while answer.count(mark) < count:
        more = read()
        if not more:
            raise OSError(said("it closed the line"))
        answer += more
    return answer


def _wrong(answer, kind):
    text = answer.decode("ascii", "replace")
    if kind == "gcode":
        return next((line.partition(":")[2].strip() or line for line in text.splitlines()
                     if line.lower().startswith("error")), "")
    code = text.strip().splitlines()[-1].strip()
    return "" if code == "0" else {
        "1": said("an instruction it does not know"), "2": said("a wrong number of figures"),
        "3": said("a tool that is missing, or a figure out of range"), "6": said("a place out of range")}.get(
            code, said("error {code}", code=code))


def kind_of(path) -> str:
    """The language of a file that is sent; raises ExportError where it is none for a machine."""
    suffix = Path(path).suffix.lower()
    kind = {".plt": "hpgl", ".hpgl": "hpgl", ".nc": "gcode", ".gcode": "gcode", ".ngc": "gcode"}.get(suffix)
    if kind is None:
        raise ExportError(path, said("is no file for a machine: plotter language (.plt) or machine code (.nc) is "
                                     "sent."))
    return kind
