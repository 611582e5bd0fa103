"""Findings: what may go wrong, where, how badly, with codes that stay the same.

Each kind of finding is described once, by a ``Rule`` beside the check that finds it: its code, how bad it is, the stage
it belongs to, its sentence with places for figures, and the words of the button that mends it. What a mend does is said
in ``desk/mends.py``, by the same code.
"""

from dataclasses import dataclass
from typing import Any

from sketchloom.core.base.said import Said

NOTE, WARN, STOP = SEVERITIES = ("note", "warn", "stop")
SOURCE, TRACE, CLEAN, LAYERS, SHEETS, RELEASE = STAGES = (
    "source", "trace", "clean", "layers", "sheets", "release")


@dataclass(frozen=True, slots=True)
class Rule:
    """A kind of finding. ``about`` says what it means; ``sentences`` what a person reads, by the case, with places for
    figures; ``mend`` are words of a button, None where the program cannot mend it."""

    code: str
    severity: str
    stage: str
    about: str
    sentences: dict[str, str]
    mend: str | None = None

    def found(self, case: str = "", *, plan=None, at=None, severity: str | None = None, **figures) -> "Finding":
        """A finding of this kind.

        Parameters
        ----------
        plan : of the layer it is about. at : its place (x, y) in px. severity : where it is another than usual.
        """
        x, y = (None, None) if at is None else (float(at[0]), float(at[1]))
        return Finding(self.code, severity or self.severity, Said(self.sentences[case], **figures),
                       None if plan is None else plan.name, x, y, None if plan is None else plan.key)


RULES: dict[str, Rule] = {}
"""Every kind of finding by its code. Codes are never renamed: scripts rely on them."""


def rule(code: str, severity: str, stage: str, about: str, says: str | dict[str, str], mend: str | None = None) -> Rule:
    """Describe a kind of finding. ``says``: its sentence, or one for each case."""
    made = Rule(code, severity, stage, about, {"": says} if isinstance(says, str) else says, mend)
    if code in RULES:
        raise ValueError(f"{code} is described twice")
    RULES[code] = made
    return made


def counted(number: int) -> str:
    """The case of a sentence for one or for many."""
    return "one" if number == 1 else "many"


@dataclass(frozen=True, slots=True)
class Finding:
    """One finding. ``x_px``, ``y_px`` in picture coordinates, None when it has no place; ``layer`` the name and ``key``
    the key of what it is about, as two layers may have one name. The figures of ``message`` are ``figures``."""

    code: str
    severity: str
    message: str
    layer: str | None = None
    x_px: float | None = None
    y_px: float | None = None
    key: str | None = None

    def __post_init__(self):
        if self.code not in RULES:
            raise KeyError(self.code)

    @property
    def rule(self) -> Rule:
        return RULES[self.code]

    @property
    def figures(self) -> dict[str, Any]:
        return self.message.figures if isinstance(self.message, Said) else {}
