"""A stand-in machine on a line: a socket of this machine, or a pseudo terminal."""

import os
import select
import socket
import tty
from collections.abc import Callable

from sketchloom.core.playback.machine import StandIn


class Line:
    """Serves one machine until it is closed; ``address`` is where to send to."""

    def __init__(self, machine: StandIn, port: int | None = None):
        self.machine = machine
        self._server = self._client = None
        if port is None:
            self._own, self._other = os.openpty()
            tty.setraw(self._other)
            self.address = os.ttyname(self._other)
        else:
            self._own = self._other = -1
            self._server = socket.create_server(("127.0.0.1", port))
            self.address = f"tcp:127.0.0.1:{self._server.getsockname()[1]}"

    def serve(self, is_over: Callable[[], bool], wait_s: float = 0.1) -> None:
        """Answer what comes until ``is_over()``."""
        while not is_over():
            self._step(wait_s)

    def _step(self, wait_s):
        if self._server is not None and self._client is None:
            self._server.settimeout(wait_s)
            try:
                self._client, _ = self._server.accept()
            except TimeoutError:
                return
        source = self._client if self._client is not None else self._own
        ready, _, _ = select.select([source], [], [], wait_s)
        if not ready:
            return
        if self._client is None:
            try:
                data = os.read(self._own, 65536)
            except OSError:  # nobody has the other end open
                return
            answer = self.machine.take(data)
            if answer:
                os.write(self._own, answer)
            return
        try:
            data = self._client.recv(65536)
            if data:
                answer = self.machine.take(data)
                if answer:
                    self._client.sendall(answer)
                return
        except OSError:
            pass
        self._client.close()
        self._client = None

    def close(self) -> None:
        for one in (self._client, self._server):
            if one is not None:
                one.close()
        for number in {self._own, self._other} - {-1}:
            os.close(number)
