"""Sentences of the core in the user's language. Those of the window itself pass through ``tr`` where they stand."""

from functools import lru_cache

from PySide6.QtCore import QCoreApplication

from sketchloom.app import languages
from sketchloom.core.base.colour import colour_name, from_hex
from sketchloom.core.base.said import told as told_in
from sketchloom.core.base.words import word

CONTEXT = ""
"""The part of the catalogue that sentences said outside the window's classes are in."""


def told(text: str) -> str:
    """A sentence of the core, or the message of an error, in the language of the window."""
    return told_in(text, lambda pattern: QCoreApplication.translate(CONTEXT, pattern))


def colour_word(hex_colour: str) -> str:
    """A plain word for a colour, in the language of the window."""
    return word(_name(hex_colour), languages.shown())


@lru_cache(maxsize=1024)
def _name(hex_colour):
    return colour_name(from_hex(hex_colour))


def named(text: str) -> str:
    """A name that may be one of those that ship with the program, in the language of the window."""
    return QCoreApplication.translate(CONTEXT, text) if text else text
