"""The checks before a work leaves, as one list: what each looks for, and how it stands."""

from collections.abc import Collection
from dataclasses import dataclass

from sketchloom.core.base.said import said
from sketchloom.core.preflight.findings import NOTE, STOP, WARN, Finding

PASSED, UNKNOWN, OFF = "passed", "unknown", "off"
"""How a check stands beside the severities: nothing speaks against it, it was not made yet, nobody wants it made."""
PLAN, FILES, CARVED = "plan", "files", "carved"
"""What a check waits for beside the work: a plan of its sheets, the files themselves, or the blank as it is carved."""
_RANK = {NOTE: 0, WARN: 1, STOP: 2}


@dataclass(frozen=True, slots=True)
class Check:
    """A check. ``title``: what is so when it passes; ``codes`` of the findings that speak against it; ``waits_for``:
    PLAN, FILES or CARVED; ``must``: it cannot be put off, as somebody may be hurt; ``of_carving``: only works that a
    router carves have it."""

    key: str
    title: str
    codes: tuple[str, ...]
    waits_for: str = ""
    must: bool = False
    of_carving: bool = False


@dataclass(frozen=True, slots=True)
class Checked:
    """How a check stands, with what speaks against it, worst first."""

    check: Check
    state: str
    findings: tuple[Finding, ...] = ()


CHECKS = (
    Check("something", said("Something to cut"), ("layer.empty",)),
    Check("machine", said("The machine may cut the material"), ("material.tool", "sheets.machine"), must=True),
    Check("bonds", said("Every sheet bonds to what it lies on"), ("material.on_its_like",)),
    Check("mirrored", said("Mirrored as the material asks"), ("sheets.mirror",), PLAN),
    Check("on_sheet", said("All parts on their sheets"),
          ("sheets.over_edge", "sheets.too_near", "sheets.too_large", "sheets.too_many", "size.over_carrier"), PLAN),
    Check("register", said("Layers meet as in the work"), ("release.register",), FILES),
    Check("closed", said("Every cut closes"), ("release.open",), FILES),
    Check("doubled", said("No cut twice, none within a hair"), ("release.hair", "release.doubled")),
    Check("small", said("No piece too small to weed"), ("layer.small_pieces",)),
    Check("necks", said("No neck too narrow"), ("layer.thin", "material.thin", "material.gap", "sheets.sliver")),
    Check("loose", said("No loose islands"), ("release.loose",)),
    Check("single", said("One path for each layer"), ("release.single",)),
    Check("nodes", said("No more nodes than machines like"), ("release.nodes",)),
    Check("corners", said("No corner tighter than the blade turns"), ("release.corners", "sheets.detail")),
    Check("inside", said("No picture and no text left inside"), ("release.inside",), FILES),
    Check("rights", said("The picture may be used"), ("release.rights",)),
    Check("carved_within", said("No cut beyond the blank, no blank beyond the bed"), ("carve.deep", "carve.bed"),
          CARVED, must=True, of_carving=True),
    Check("carved_held", said("Nothing comes loose under a tool"), ("carve.tabs", "carve.after"), CARVED, must=True,
          of_carving=True),
    Check("carved_tools", said("Tools reach all that they carve"),
          ("carve.lost", "carve.toolless", "carve.nothing", "carve.uncut", "carve.floor", "carve.edge"), CARVED,
          of_carving=True),
    Check("carved_order", said("Feeds and order suit the machine"), ("carve.feed", "carve.before", "carve.air"), CARVED,
          of_carving=True),
    Check("carved_back", said("The code carves what is shown"), ("carve.unlike",), FILES, of_carving=True),
)


def checked(findings: Collection[Finding], known: Collection[str] = (), off: Collection[str] = (),
            is_carved: bool = False) -> tuple[Checked, ...]:
    """How each check stands.

    Parameters
    ----------
    findings : all that is known. known : of PLAN, FILES and CARVED what there is. off : keys of checks that nobody
        wants made; those that must be made are. is_carved : a router carves it, so the checks of carving are made, and
        none of sheets that are cut.
    """
    made = []
    for check in CHECKS:
        if check.waits_for == PLAN if is_carved else check.of_carving:
            continue
        if check.key in off and not check.must:
            made.append(Checked(check, OFF))
            continue
        its = sorted((f for f in findings if f.code in check.codes), key=lambda f: -_RANK[f.severity])
        if its:
            made.append(Checked(check, its[0].severity, tuple(its)))
        else:
            made.append(Checked(check, UNKNOWN if check.waits_for and check.waits_for not in known else PASSED))
    return tuple(made)


def stops(every: Collection[Checked]) -> tuple[Finding, ...]:
    """What holds a work back."""
    return tuple(f for one in every if one.state == STOP for f in one.findings if f.severity == STOP)
