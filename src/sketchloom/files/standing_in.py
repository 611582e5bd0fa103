"""A stand-in machine on a line: a socket of this machine, or a pseudo terminal."""

import os
import select
import socket
import time
import tty
from collections.abc import Callable

from sketchloom.core.playback.machine import StandIn

_REST_S = 1.0
"""So long after the last bytes a file is at its end: a sender does not wait half as long for an answer."""


class Line:
    """Serves one machine until it is closed; ``address`` is where to send to."""

    def __init__(self, machine: StandIn, port: int | None = None):
        self.machine = machine
        self._server: socket.socket | None = None
        self._client: socket.socket | None = None
        if port is None:
            self._own, self._other = os.openpty()
            tty.setraw(self._other)
            self.address = os.ttyname(self._other)
        else:
            self._own = self._other = -1
            self._server = socket.create_server(("127.0.0.1", port))
            self.address = f"tcp:127.0.0.1:{self._server.getsockname()[1]}"

    def serve(self, is_over: Callable[[], bool], wait_s: float = 0.1,
              on_rest: Callable[[], None] | None = None) -> None:
        """Answer what comes until ``is_over()``; ``on_rest`` is called once after each time nothing more has come for
        a second."""
        came, rested = time.monotonic(), True
        while not is_over():
            if self._step(wait_s):
                came, rested = time.monotonic(), False
            elif not rested and time.monotonic() - came > _REST_S:
                rested = True
                if on_rest is not None:
                    on_rest()

    def _step(self, wait_s) -> bool:
        """Whether something came."""
        if self._server is not None and self._client is None:
            self._server.settimeout(wait_s)
            try:
                self._client, _ = self._server.accept()
            except TimeoutError:
                return False
        source = self._client if self._client is not None else self._own
        ready, _, _ = select.select([source], [], [], wait_s)
        if not ready:
            return False
        if self._client is None:
            try:
                data = os.read(self._own, 65536)
            except OSError:  # nobody has the other end open
                return False
            answer = self.machine.take(data)
            if answer:
                os.write(self._own, answer)
            return True
        try:
            data = self._client.recv(65536)
            if data:
                answer = self.machine.take(data)
                if answer:
                    self._client.sendall(answer)
                return True
        except OSError:
            pass
        self._client.close()
        self._client = None
        return False

    def close(self) -> None:
        for one in (self._client, self._server):
            if one is not None:
                one.close()
        for number in {self._own, self._other} - {-1}:
            os.close(number)
