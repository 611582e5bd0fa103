"""Things found by a few typed words."""

from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
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
