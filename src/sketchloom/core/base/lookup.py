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


def plain(text: str) -> str:
    """Lower case without accents, as people type."""
    parts = unicodedata.normalize("NFKD", text.casefold())
    return "".join(c for c in parts if not unicodedata.combining(c))


def ranked(query: str, entries: Sequence[Sequence[str]]) -> list[int]:
    """Numbers of the entries that have every word of a query, the best first.

    Parameters
    ----------
    entries : texts of each: its name, what else it is called, a sentence about it; those of later texts weigh less.

    Notes
    -----
    A word counts by how it is met in the text where it counts most; entries that count the same stay in their order.
    An empty query has all entries.
    """
    wanted = _words_of(query)
    texts_in_words = [[_words_of(text) for text, _ in zip(texts, _WEIGHTS, strict=False)] for texts in entries]
    known = frozenset(word for texts in texts_in_words for words in texts for word in words)
    met = [{word: how for word in known if (how := _met(one, word))} for one in wanted]
    scored = []
    for number, texts in enumerate(texts_in_words):
        scores = [max((weight * how.get(word, 0.0) for words, weight in zip(texts, _WEIGHTS, strict=False)
                       for word in words), default=0.0) for how in met]
        if all(scores):
            scored.append((-sum(scores) - _closeness(wanted, texts), number))
    return [number for _, number in sorted(scored)]


@lru_cache(8192)
def _words_of(text):
    """Its words as people type them: the same few hundred texts are asked for at every letter that is typed."""
    return tuple(_WORD.findall(plain(text)))


def _closeness(wanted, texts):
    """A name that is no longer than what was typed goes before a longer one."""
    return 0.5 / max(len(texts[0]), 1) if wanted and texts else 0.0


def _met(one, word):
    if one == word:
        return _WHOLE
    if word.startswith(one):
        return _BEGIN
    if len(one) >= _LEAST_PART and one in word:
        return _WITHIN
    return _SLIP if len(one) >= _LEAST_SLIP and _is_slip(one, word[:len(one) + 1]) else 0.0


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
