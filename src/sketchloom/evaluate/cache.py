"""Results kept for later, bounded by the bytes they hold and shared by all pipelines of a window."""

import threading
from collections import OrderedDict
from dataclasses import dataclass, fields, is_dataclass
from typing import Any

import numpy as np

LIMIT_BYTES = 180 * 2**20
"""Chosen on eleven cut-offs of a picture of 16 megapixels, whose results take about 95 MB each: all but the labels of
two stay beside the picture, so the way back of one step is quick; with 320 MB memory grew by 319 MB, with 224 by 263,
over the 250 wanted."""


@dataclass(slots=True)
class _Kept:
    value: Any
    size: int
    turn: int


class Cache:
    """Values by key, least lately used thrown out first. Safe to use from several threads; two may make one value."""

    def __init__(self, limit_bytes: int = LIMIT_BYTES):
        self.limit_bytes = limit_bytes
        self._kept: OrderedDict[Any, _Kept] = OrderedDict()
        self._lock = threading.Lock()
        self._turn = 0

    def keep(self, key, make):
        """The value kept under a key, made when there is none."""
        with self._lock:
            found = self._touch(key)
        if found is not None:
            return found.value
        value = make()
        with self._lock:
            self._kept[key] = _Kept(value, held_bytes(value, set()), self._turn)
        return value

    def get(self, key):
        """The value under a key, None where there is none."""
        with self._lock:
            found = self._touch(key)
        return None if found is None else found.value

    def _touch(self, key):
        found = self._kept.get(key)
        if found is not None:
            self._kept.move_to_end(key)
            found.turn = self._turn
        return found

    def begin(self) -> None:
        """A new evaluation begins: what it uses stays, whatever it takes."""
        with self._lock:
            self._turn += 1

    def settle(self) -> None:
        """Measure what is held, arrays that several values share once, and throw out what is over the limit."""
        with self._lock:
            seen: set[int] = set()
            for kept in reversed(self._kept.values()):
                kept.size = held_bytes(kept.value, seen)
            total = sum(kept.size for kept in self._kept.values())
            for key in [k for k, kept in self._kept.items() if kept.turn < self._turn]:
                if total <= self.limit_bytes:
                    break
                total -= self._kept.pop(key).size

    def clear(self) -> None:
        """Let everything go, as when another work is opened."""
        with self._lock:
            self._kept.clear()

    @property
    def bytes_held(self) -> int:
        """What was measured last."""
        with self._lock:
            return sum(kept.size for kept in self._kept.values())

    def __len__(self):
        return len(self._kept)

    def __bool__(self):
        return True  # an empty one is one all the same: ``cache or Cache()`` is not to make another


_BESIDE = 64
"""What a key and an entry take beside arrays, bytes (measured on CPython 3.11, rounded up)."""


def held_bytes(value, seen: set[int]) -> int:
    """Bytes of the arrays that a value holds, at any depth, those not yet ``seen``; of other things only a guess."""
    if isinstance(value, np.ndarray):
        base = value.base if isinstance(value.base, np.ndarray) else value
        if id(base) in seen:
            return 0
        seen.add(id(base))
        return base.nbytes
    if isinstance(value, (str, bytes)):
        return len(value)
    if isinstance(value, (tuple, list)):
        return _BESIDE + sum(held_bytes(v, seen) for v in value if not isinstance(v, (int, float)))
    if isinstance(value, dict):
        return _BESIDE + sum(held_bytes(v, seen) for v in value.values())
    if hasattr(value, "held_bytes"):
        return value.held_bytes()
    if is_dataclass(value):
        if id(value) in seen:
            return 0
        seen.add(id(value))
        # cached properties lie in the dict of those that have one
        derived = [v for k, v in getattr(value, "__dict__", {}).items() if isinstance(v, np.ndarray)]
        return _BESIDE + sum(held_bytes(getattr(value, f.name), seen) for f in fields(value)) + sum(
            held_bytes(v, seen) for v in derived)
    return _BESIDE
