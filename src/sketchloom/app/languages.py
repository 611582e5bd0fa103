"""Languages of the window: the catalogues that ship with the program, and which of them is shown.

A catalogue is a translation file of Qt's tools, ``data/languages/sketchloom_<language>.ts``. A sentence reads the same
wherever it stands, so it is looked up by its words alone; the words of Qt's own buttons come from Qt.
"""

import os
from importlib.resources import files

from defusedxml import ElementTree
from PySide6.QtCore import QLibraryInfo, QLocale, QSettings, QTranslator

LANGUAGE = "SKETCHLOOM_LANGUAGE"
"""The environment's variable that chooses another language than the system's."""
LANGUAGE_KEY = "language"
"""Where the preferences keep it."""
ENGLISH = "en"


def shipped() -> list[str]:
    """The languages there are, English first."""
    names = (found.name for found in files("sketchloom").joinpath("data", "languages").iterdir())
    return [ENGLISH, *sorted(name[11:-3] for name in names if name.endswith(".ts"))]


def asked() -> list[str]:
    """The languages a person reads, the best first: the environment's, the preferred one, then the system's."""
    said = (os.environ.get(LANGUAGE, ""), str(QSettings().value(LANGUAGE_KEY, "")), *QLocale.system().uiLanguages())
    return [one.replace("_", "-").split("-")[0].lower() for one in said if one]


def wanted() -> str:
    """The first language asked for that the window can be shown in."""
    there = shipped()
    return next((language for language in asked() if language in there), ENGLISH)


def read(language: str) -> dict[str, str]:
    """The sentences of a shipped language, by the English ones."""
    found = files("sketchloom").joinpath("data", "languages", f"sketchloom_{language}.ts").read_bytes()
    messages = ElementTree.fromstring(found).iter("message")
    pairs = ((message.findtext("source"), message.findtext("translation")) for message in messages)
    return {source: translation for source, translation in pairs if translation}


class Catalogue(QTranslator):
    """The sentences of one language, whatever place asks for them."""

    def __init__(self, sentences: dict[str, str], parent=None):
        super().__init__(parent)
        self._sentences = sentences

    def isEmpty(self) -> bool:
        return not self._sentences

    def translate(self, context, source, disambiguation=None, n=-1):
        """The sentence, or None, which lets Qt ask on and at last show the English one."""
        return self._sentences.get(source)


_shown = [ENGLISH]


def shown() -> str:
    """The language that the window is shown in."""
    return _shown[0]


def install(app, language: str | None = None) -> str:
    """Show the window in a language, or in the one wanted; returns which."""
    language = wanted() if language is None else language
    _shown[0] = language
    if language != ENGLISH:
        of_qt = QTranslator(app)
        if of_qt.load(f"qtbase_{language}", QLibraryInfo.path(QLibraryInfo.LibraryPath.TranslationsPath)):
            app.installTranslator(of_qt)
        app.installTranslator(Catalogue(read(language), app))
    return language
