"""Finding things by a few typed words."""

import re
import unicodedata
from collections.abc import Sequence
from functools import lru_cache

_WORD = re.compile(r"[^\W_]+")
_WEIGHTS = (4.0, 2.0, 1.0)
"""Of a thing's name, of what else it is called, of the sentence about it (common practice, no source)."""
_WHOLE, _BEGIN, _WITHIN, _SLIP = 1.0, 0.8, 0.4, 0.3
"""A word that is meant whole, by how it begins, by a part, or but for one slip of the hand."""
_LEAST_PART, _LEAST_SLIP = 3, 4
_MOST_WORDS = 8
"""Words of a query that are looked for: nobody types more of them, and each asks every word that is known."""


def plain(text: str) -> str:
    """Lower case without accents, as people type."""
    parts = unicodedata.normalize("NFKD", text.casefold())
    return "".join(c for c in parts if not unicodedata.combining(c))


def ranked(query: str, entries: Sequence[Sequence[str]]) -> list[int]:
    """Numbers of the entries that have every word of a query, the best first; as ``Index.ranked``."""
    return Index(entries).ranked(query)


class Index:
    """Entries by their words, so that a letter more asks only the words that it meets.

    Parameters
    ----------
    entries : texts of each: its name, what else it is called, a sentence about it; those of later texts weigh less.
    """

    def __init__(self, entries: Sequence[Sequence[str]]):
        self._count = len(entries)
        self._places: dict[str, dict[int, float]] = {}
        """Of each word the entries that have it, with the weight of the text where it counts most."""
        self._closeness = [0.5 / max(len(_words_of(texts[0])), 1) if texts else 0.0 for texts in entries]
        for number, texts in enumerate(entries):
            for text, weight in zip(texts, _WEIGHTS, strict=False):
                for word in _words_of(text):
                    its = self._places.setdefault(word, {})
                    its[number] = max(weight, its.get(number, 0.0))

    def ranked(self, query: str) -> list[int]:
        """Numbers of the entries that have every word of a query, the best first.

        A word counts by how it is met in the text where it counts most; a name that is no longer than what was typed
        goes before a longer one; entries that count the same stay in their order. An empty query has all entries. Of
        very many words the first count.
        """
        wanted = tuple(dict.fromkeys(_words_of(query)))[:_MOST_WORDS]
        if not wanted:
            return list(range(self._count))
        scores = dict.fromkeys(range(self._count), 0.0)
        for one in wanted:
            best: dict[int, float] = {}
            for word, its in self._places.items():
                how = _met(one, word)
                if how:
                    for number, weight in its.items():
                        best[number] = max(weight * how, best.get(number, 0.0))
            scores = {number: score + best[number] for number, score in scores.items() if number in best}
        return sorted(scores, key=lambda number: (-scores[number] - self._closeness[number], number))


@lru_cache(8192)
def _words_of(text):
    """Its words as people type them: the same few hundred texts are asked for at every letter that is typed."""
    return tuple(_WORD.findall(plain(text)))


def _met(one, word):
    if one == word:
        return _WHOLE
    if word.startswith(one):
        return _BEGIN
    if len(one) >= _LEAST_PART and one in word:
        return _WITHIN
    return _SLIP if len(one) >= _LEAST_SLIP and word[0] == one[0] and _is_slip(one, word[:len(one) + 1]) else 0.0


def _is_slip(one, word):
    """Whether a word begins as another but for one letter: another, a missing, an extra one, or two changed over."""
    for begin in {word, word[:-1], word[:-2]}:
        if abs(len(begin) - len(one)) > 1 or begin[:1] != one[:1]:
            continue
        same = next((n for n, (a, b) in enumerate(zip(one, begin, strict=False)) if a != b), min(len(one), len(begin)))
        rest, other = one[same:], begin[same:]
        if rest[1:] == other[1:] or rest[1:] == other or rest == other[1:]:
            return True
        if len(rest) > 1 and len(other) > 1 and rest[:2] == other[1::-1] and rest[2:] == other[2:]:
            return True
    return False
