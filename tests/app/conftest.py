import pytest

from app.driver import Driver
from sketchloom.demo_works import demo


@pytest.fixture
def driver():
    one = Driver()
    yield one
    one.close()


@pytest.fixture
def lighthouse(driver):
    driver.open(demo("lighthouse").picture_path)
    return driver
