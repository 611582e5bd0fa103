"""Sentences of the core in the user's language. Those of the window itself pass through ``tr`` where they stand."""

from PySide6.QtCore import QCoreApplication

from sketchloom.core.base.said import told as told_in

CONTEXT = ""
"""The part of the catalogue that sentences said outside the window's classes are in."""


def told(text: str) -> str:
    """A sentence of the core, or the message of an error, in the language of the window."""
    return told_in(text, lambda pattern: QCoreApplication.translate(CONTEXT, pattern))


def named(text: str) -> str:
    """A name that may be one of those that ship with the program, in the language of the window."""
    return QCoreApplication.translate(CONTEXT, text) if text else text
