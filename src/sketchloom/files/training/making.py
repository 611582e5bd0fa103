"""Exercises by their kinds; the same seed gives the same one."""

from sketchloom.files.training import pictures, works
from sketchloom.files.training.exercise import CUT_OFF, DIVIDE, LEAK, ORDER, TEARS, Exercise

_OF = {LEAK: pictures.leak, CUT_OFF: pictures.cut_off, ORDER: works.order, DIVIDE: works.divide, TEARS: works.tears}


def made(kind: str, seed: int) -> Exercise:
    """An exercise; raises AppError where none can be made."""
    return _OF[kind](seed)
