import pytest
from PIL import Image
from PySide6.QtCore import QEvent, QSettings
from PySide6.QtWidgets import QApplication

from app.known import knowing_driver
from known import Known
from sketchloom.app import start
from sketchloom.app.hands import carving
from sketchloom.app.mishaps import MISHAPS
from sketchloom.app.work import aside, disk
from sketchloom.files.demo_works import demo


@pytest.fixture(autouse=True)
def no_settings_of_others():
    """Qt keeps where settings lie for as long as a process runs: the panel's width of one test's window would be that
    of the next one's, and with it the scale of the bench."""
    start.application()
    QSettings().clear()


@pytest.fixture(autouse=True)
def what_is_known_beside(request, monkeypatch):
    """Of looks beside the work and of what is carved, too."""
    if "monkeypatch" not in request.node._fixtureinfo.argnames:
        for one in (aside, carving):
            monkeypatch.setattr(one, "Cache", Known)


@pytest.fixture(autouse=True)
def no_window_left():
    """What stands on the screen goes with its test: each window made after it would style it anew, and take five times
    as long (one left window made the setup of every later test 5 s instead of 1)."""
    there = set(QApplication.topLevelWidgets())
    yield
    left = [one for one in QApplication.topLevelWidgets() if one not in there and one.parent() is None]
    for one in left:
        one.close()
        one.deleteLater()
    disk.finish()
    if left:
        QApplication.sendPostedEvents(None, QEvent.Type.DeferredDelete)


@pytest.fixture
def driver():
    one = knowing_driver()
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
