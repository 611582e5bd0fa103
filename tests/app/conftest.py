from typing import ClassVar

import pytest
from PIL import Image

from app.driver import Driver
from sketchloom.app.mishaps import MISHAPS
from sketchloom.evaluate.cache import Cache
from sketchloom.files.demo_works import demo


class _Known(Cache):
    """A window's cache that begins with what opening the lighthouse gave before. A warm result is the fresh one for
    every setting (``test_steps``), and sixty tests begin there."""

    entries: ClassVar[dict] = {}

    def clear(self):
        super().clear()
        with self._lock:
            self._kept.update(self.entries)


@pytest.fixture
def driver():
    one = Driver()
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
    cache = driver.session.cache
    cache.__class__ = _Known
    driver.open(smaller("lighthouse"))
    if not _Known.entries:
        with cache._lock:
            _Known.entries.update(cache._kept)
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
