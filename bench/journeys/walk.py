"""Runs journeys: main jobs done in the real window by clicks, drags and keys alone, counted and timed.

Seconds are those of the program on this machine; a person adds theirs. With JOURNEY_PICTURES set to a
folder the window as it is at the end goes there.
"""

import os
import sys
import tempfile
from pathlib import Path

ROOT = Path(__file__).parents[2]
_TOLD = 3
"""Long stalls that are told."""


def prepare() -> None:
    """No monitor needed, own folders, and the tests' driver at hand."""
    os.environ.setdefault("QT_QPA_PLATFORM", "offscreen")
    folder = tempfile.mkdtemp()
    os.environ["XDG_DATA_HOME"], os.environ["XDG_CONFIG_HOME"] = folder + "/data", folder + "/config"
    for part in ("src", "tests"):
        sys.path.insert(0, str(ROOT / part))


def run(stage: int, journeys, wanted=(), most=None) -> None:
    """Each journey starts from its demo project in a window of the size that must be comfortable. ``most``: gestures
    that each may take, by the name of its function."""
    import app.driver
    import app.person
    from app.driver import Driver
    from app.person import Person
    from bench.journeys.watch import Watch
    from sketchloom.files.demo_works import demo, put_demo_projects
    watched = None
    paths = put_demo_projects(Path(tempfile.mkdtemp()) / "demo")
    for key, name, journey in journeys:
        if wanted and not any(w in name for w in wanted):
            continue
        driver = Driver()
        driver.window.resize(1280, 800)
        try:
            driver.open(paths[demo(key).key])
            driver.window.show_stage(stage)
            person = Person(driver)
            person.settled()
            person.gestures = 0
            if watched is None:
                watched = Watch()
                watched.over(app.driver)
                watched.over(app.person)
            watched.forget()
            try:
                said = journey(person)
            except Exception as error:  # a journey that fails is a result, too
                said = f"FAILED: {type(error).__name__}: {str(error)[:300]}"
                if wanted:
                    raise
            limit = (most or {}).get(journey.__name__)
            allowed = "" if limit is None else f" of {limit}{' TOO MANY' if person.gestures > limit else ''}"
            print(f"{name}: {person.gestures} gestures{allowed}, {person.seconds:.0f} s, longest stall "
                  f"{1000 * watched.longest_s:.0f} ms, {1000 * watched.own_longest_s:.0f} without what the host took; "
                  f"{said}", flush=True)
            for took, where in watched.long[:_TOLD]:
                print(f"    {1000 * took:.0f} ms: {where}", flush=True)
            if "JOURNEY_PICTURES" in os.environ:
                driver.window.grab().save(
                    str(Path(os.environ["JOURNEY_PICTURES"]) / f"{'_'.join(name.split()[:3])}.png")
                )
        finally:
            driver.close()
