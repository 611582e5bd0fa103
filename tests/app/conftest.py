from typing import ClassVar

import pytest
from PIL import Image
from PySide6.QtCore import QSettings

from app.driver import Driver
from sketchloom.app import start
from sketchloom.app.mishaps import MISHAPS
from sketchloom.evaluate.cache import Cache
from sketchloom.files.demo_works import demo


class _Known(Cache):
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


@pytest.fixture(autouse=True)
def no_settings_of_others():
    """Qt keeps where settings lie for as long as a process runs: the panel's width of one test's window would be that
    of the next one's, and with it the scale of the bench."""
    start.application()
    QSettings().clear()


@pytest.fixture
def driver():
    one = Driver()
    one.session.cache.__class__ = _Known
    yield one
    one.close()


@pytest.fixture(scope="session")
def smaller(tmp_path_factory):
    """A demo picture at a share of its size, under its own name: most of the window does not care, and tests are
    sooner done."""
    made = {}

    def of(key, share=0.5):
        if (key, share) not in made:
            path = demo(key).picture_path
            picture = Image.open(path)
            target = tmp_path_factory.mktemp(key) / path.name
            picture.resize(tuple(round(v * share) for v in picture.size), Image.Resampling.BOX).save(target, quality=92)
            made[key, share] = target
        return made[key, share]
    return of


@pytest.fixture
def lighthouse(driver, smaller):
    driver.open(smaller("lighthouse"))
    return driver


@pytest.fixture(autouse=True)
def mishaps():
    """Errors of the window that nothing caught; a test that meets one has failed, unless it takes it out again."""
    found = []
    MISHAPS._last_s = 0.0
    MISHAPS.happened.connect(found.append)
    yield found
    MISHAPS.happened.disconnect(found.append)
    assert not found, "an error that nothing caught, see the log above"
