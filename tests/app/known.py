"""What one test's window worked out is there for the next one's."""

from typing import ClassVar

from app.driver import Driver
from sketchloom.evaluate.cache import Cache


class Known(Cache):
    """A window's cache that also knows what other tests' windows worked out: a warm result is the fresh one for every
    setting (``test_steps``), and most tests begin with the same few works."""

    others: ClassVar[Cache] = Cache(256 * 2**20)
    _settled: ClassVar[list[int]] = [0]

    def keep(self, key, make):
        return super().keep(key, lambda: self.others.keep(key, make))

    def get(self, key):
        found = super().get(key)
        return self.others.get(key) if found is None else found

    def begin(self):
        super().begin()
        self.others.begin()

    def settle(self):
        super().settle()
        self._settled[0] += 1
        if self._settled[0] % 8 == 0:  # measuring all that is held takes its time
            self.others.settle()


def knowing_driver() -> Driver:
    """A window that need not work out again what another one did in these tests."""
    one = Driver()
    one.session.cache.__class__ = Known
    return one
