"""A window that need not work out again what another one did in these tests."""

from app.driver import Driver
from known import Known


def knowing_driver() -> Driver:
    """A window with what other tests worked out at hand."""
    one = Driver()
    one.session.cache.__class__ = Known
    return one
