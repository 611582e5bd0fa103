"""What one test worked out is there for the next one's."""

from typing import ClassVar

from sketchloom.evaluate.cache import Cache


class Known(Cache):
    """A cache that also knows what other tests worked out: a warm result is the fresh one for every setting
    (``test_steps``), and most tests begin with the same few works."""

    others: ClassVar[Cache] = Cache(1024 * 2**20)
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
