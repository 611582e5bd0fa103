"""Things found by a few typed words."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
from sketchloom.core.base import lookup
from sketchloom.core.base.lookup import plain, ranked

ENTRIES = (
    ("Mirror one half", "reflect symmetric", "one half stays"),
    ("Kerf", "laser", "what the beam takes away"),
    ("Thicken", "make thicker wider", "narrow places get the smallest width"),
    ("Overlap", "", "how far a sheet reaches under another"),
    ("Spiegeln einer Hälfte", "", ""),
)
WORDS = st.lists(st.text("abcdeäé", min_size=1, max_size=6), min_size=1, max_size=4).map(" ".join)


def test_names_go_before_what_else_things_are_called():
    assert ranked("mirror", ENTRIES) == [0]
    assert ranked("make thicker", ENTRIES) == [2]
    assert ranked("width", ENTRIES) == [2] and ranked("laser kerf", ENTRIES) == [1]
    assert ranked("over", ENTRIES)[0] == 3
    assert ranked("", ENTRIES) == [0, 1, 2, 3, 4]
    assert ranked("halfte", ENTRIES) == [4] and ranked("zebra", ENTRIES) == []


def test_one_slip_of_the_hand_is_forgiven():
    for typed in ("overlp", "ovrelap", "overlaap", "ouerlap"):
        assert ranked(typed, ENTRIES) == [3], typed
    assert ranked("ovrlp", ENTRIES) == [] and ranked("xverlap", ENTRIES) == []


@settings(max_examples=examples(100))
@given(st.lists(st.tuples(WORDS, WORDS, WORDS), max_size=6), WORDS)
def test_whatever_is_typed_finds_what_has_every_word(entries, query):
    found = ranked(query, entries)
    assert len(set(found)) == len(found) <= len(entries)
    for number, texts in enumerate(entries):
        words = plain(" ".join(texts)).split()
        if all(any(word.startswith(one) for word in words) for one in plain(query).split()):
            assert number in found
    assert sorted(ranked("", entries)) == list(range(len(entries)))
    for number, (name, *_) in enumerate(entries):
        assert number in ranked(name, entries)  # by its own name everything is found


@settings(max_examples=examples(100))
@given(st.lists(st.tuples(WORDS, WORDS, WORDS), max_size=6), WORDS)
def test_an_entry_counts_by_the_text_where_each_word_is_met_best(entries, query):
    """The rule written out: a sum over the words of the best of weight times how it is met."""
    def score(texts):
        parts = [max((weight * lookup._met(one, word) for text, weight in zip(texts, lookup._WEIGHTS, strict=True)
                      for word in lookup._words_of(text)), default=0.0)
                 for one in dict.fromkeys(lookup._words_of(query))]
        return sum(parts) + 0.5 / len(lookup._words_of(texts[0])) if parts and all(parts) else 0.0
    scores = [score(texts) for texts in entries]
    wanted = sorted((n for n, value in enumerate(scores) if value), key=lambda n: (-scores[n], n))
    assert [scores[n] for n in ranked(query, entries)] == pytest.approx([scores[n] for n in wanted])


def test_a_page_of_words_asks_no_more_than_a_few(monkeypatch):
    """Random gestures typed a hundred letters: the window stood still while each word asked every other."""
    asked, met = [], lookup._met
    monkeypatch.setattr(lookup, "_met", lambda one, word: asked.append(one) or met(one, word))
    names = [("a " * 60 + "thing", "", "")]
    assert ranked(" ".join(["a", *(f"a{n}" for n in range(50))]), names) == []
    assert len(set(asked)) <= 8
