"""Words of ``loom trace`` for settings, made from the settings' own descriptions."""

import argparse
from collections.abc import Iterator
from dataclasses import replace

from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import CHOICE, LENGTH, SWITCH, WHOLE, Setting, Word, settings_of
from sketchloom.core.base.units import parse_length_mm
from sketchloom.core.picture.preparing.steps import Preparation
from sketchloom.recipe.document import SETTINGS, Recipe

PREPARING = {s.name for s in settings_of(Preparation)}
"""Settings that lie in the recipe's ``preparation``."""


def settings_with_words() -> Iterator[tuple[Setting, Word]]:
    """Every setting that has a word of the command, with it, in the order of the sections."""
    for setting in (*settings_of(Preparation), *SETTINGS.values()):
        if setting.word is not None:
            yield setting, setting.word


def add_to(groups) -> None:
    """Add the words to those groups of a parser that are there, by the name of each; none has a default, so that it is
    seen what was said."""
    for setting, word in settings_with_words():
        if word.group not in groups:
            continue
        about = str(word.about or setting.about).replace("%", "%%")
        group = groups[word.group]
        if setting.kind == SWITCH and setting.default and word.sets is None:
            group.add_argument(word.flag, action=argparse.BooleanOptionalAction, default=None, help=about)
        elif setting.kind == SWITCH or word.sets is not None:
            group.add_argument(word.flag, action="store_true", default=None, help=about)
        elif setting.kind == CHOICE:
            choices = [c for c in setting.choices if c != word.auto]
            group.add_argument(word.flag, choices=choices, help=about)
        else:
            group.add_argument(word.flag, metavar=word.metavar, help=about)


def asked(options: argparse.Namespace, group: str | None = None) -> dict:
    """The settings that words were given for, by name, of one group of words or all; raises SettingError that names the
    word that is off."""
    return {setting.name: value_of(setting, word, getattr(options, word.name))
            for setting, word in settings_with_words()
            if (group is None or word.group == group) and getattr(options, word.name) is not None}


def applied(recipe: Recipe, values: dict) -> Recipe:
    """A recipe with settings, those of preparing in their place."""
    steps = {name: value for name, value in values.items() if name in PREPARING}
    others = {name: value for name, value in values.items() if name not in PREPARING}
    return replace(recipe, preparation=replace(recipe.preparation, **steps), **others)


def value_of(setting: Setting, word: Word, given):
    """The value that a word sets; raises SettingError that names it."""
    if given is True:
        return True if word.sets is None else word.sets
    if given is False:
        return False
    if word.auto is not None and given == word.auto:
        return None if setting.optional else word.auto
    named = replace(setting, name=word.flag, optional=False)
    if setting.kind == LENGTH:
        value = _length(named, given)
    elif setting.kind == WHOLE:
        return _whole(named, word, given)
    else:
        value = given
    named.check(value)
    return value


def _whole(setting, word, text):
    low, high = int(setting.least) + word.first, int(setting.most) + word.first
    try:
        value = int(text)
    except ValueError:
        value = None
    if value is None or not low <= value <= high:
        auto = said("{auto} or ", auto=word.auto) if word.auto else ""
        raise SettingError(
            word.flag, said("{auto}a whole number from {low} to {high}", auto=auto, low=low, high=high), text
        )
    return value - word.first


def _length(setting, text):
    try:
        return parse_length_mm(text, or_zero=setting.least == 0)
    except SettingError as error:
        raise SettingError(setting.name, error.expected, text) from None
