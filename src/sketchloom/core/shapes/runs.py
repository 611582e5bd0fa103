"""A text in runs of one direction and one script, in the order in which they stand on the line."""

import unicodedata
from dataclasses import dataclass
from functools import lru_cache

import uharfbuzz as hb
from bidi import algorithm

_STRONG = {"L": "L", "R": "R", "AL": "R", "EN": "R", "AN": "R"}


@dataclass(frozen=True, slots=True)
class Run:
    """``text[start:end]``, whose letters go from right to left when ``is_rtl``; ``script`` by ISO 15924, empty when
    only common letters."""

    start: int
    end: int
    is_rtl: bool
    script: str


def embedding_levels(text: str) -> list[int]:
    """The level of each letter, odd from right to left, by the Unicode Bidirectional Algorithm (UAX 9); -1 for
    controls."""
    storage = algorithm.get_empty_storage()
    level = int(algorithm.get_base_level(text))
    storage["base_level"], storage["base_dir"] = level, "LR"[level]
    algorithm.get_embedding_levels(text, storage, False, False)
    algorithm.explicit_embed_and_overrides(storage, False)
    algorithm.resolve_weak_types(storage, False)
    _resolve_brackets(storage)
    algorithm.resolve_neutral_types(storage, False)
    algorithm.resolve_implicit_levels(storage, False)
    found = iter(one["level"] for one in storage["chars"])
    return [-1 if unicodedata.bidirectional(letter) in algorithm.X9_REMOVED else next(found) for letter in text]


@lru_cache(maxsize=4096)
def _script(letter: str) -> str:
    """The script of a letter by ISO 15924, empty for letters that several scripts have in common."""
    buffer = hb.Buffer()
    buffer.add_str(letter)
    buffer.guess_segment_properties()
    return buffer.script or ""


def _resolve_brackets(storage):
    """Rule N0 of UAX 9, which the library has not: both brackets of a pair go the way of what they hold."""
    chars = storage["chars"]
    for run in storage["runs"]:
        first = run["start"]
        part = chars[first:first + run["length"]]
        for opening, closing in _pairs(part):
            along = "LR"[part[opening]["level"] % 2]
            held = {_STRONG.get(one["type"]) for one in part[opening + 1:closing]} - {None}
            if not held:
                continue
            if along not in held:
                before = [_STRONG[one["type"]] for one in part[:opening] if one["type"] in _STRONG]
                other = "RL"[part[opening]["level"] % 2]
                along = other if (before[-1] if before else run["sor"]) == other else along
            part[opening]["type"] = part[closing]["type"] = along


def _pairs(part):
    """Places of brackets that belong together (BD16), in the order of the opening ones."""
    open_, found = [], []
    for at, one in enumerate(part):
        if one["type"] != "ON" or one["ch"] not in algorithm.MIRRORED:
            continue
        kind = unicodedata.category(one["ch"])
        if kind == "Ps":
            open_.append((algorithm.MIRRORED[one["ch"]], at))
        elif kind == "Pe":
            depth = next((k for k in range(len(open_) - 1, -1, -1) if open_[k][0] == one["ch"]), None)
            if depth is not None:
                found.append((open_[depth][1], at))
                del open_[depth:]
    return sorted(found)


def visual_runs(text: str) -> list[Run]:
    """Runs from left to right as they are to be set.

    Notes
    -----
    Letters that scripts share (spaces, digits, points) go with the script before them. Runs are put in order by
    rule L2 of UAX 9: from the highest level down, what lies at it or above is turned round.
    """
    runs = _runs_as_written(text)
    for level in range(max((lv for lv, _ in runs), default=0), 0, -1):
        at = 0
        while at < len(runs):
            end = at
            while end < len(runs) and runs[end][0] >= level:
                end += 1
            runs[at:end] = runs[at:end][::-1]
            at = max(end, at + 1)
    return [run for _, run in runs]


def _runs_as_written(text: str) -> list[tuple[int, Run]]:
    """Runs of one level and one script with their levels, in the order of the text."""
    runs: list[tuple[int, Run]] = []
    for at, (letter, level) in enumerate(zip(text, embedding_levels(text), strict=False)):
        if level < 0:
            continue
        script = _script(letter)
        last = runs[-1] if runs else None
        if (
            last is not None
            and last[0] == level
            and last[1].end == at
            and (not script or not last[1].script or script == last[1].script)
        ):
            runs[-1] = level, Run(last[1].start, at + 1, level % 2 == 1, last[1].script or script)
        else:
            runs.append((level, Run(at, at + 1, level % 2 == 1, script)))
    return runs
