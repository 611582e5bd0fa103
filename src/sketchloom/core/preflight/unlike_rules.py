"""Rules over where the picture is unlike what is cut."""

from sketchloom.core.base.said import said
from sketchloom.core.judge.unlike import Unlike, kind_of
from sketchloom.core.preflight.findings import NOTE, TRACE, WARN, rule

_MUCH = 0.02
"""More of a picture than this is missed at a glance (as an issue of the program asks; common practice, no source)."""

UNLIKE = rule(
    "trace.unlike", NOTE, TRACE, said("the picture is unlike what is cut"),
    {
        "darker": said("{share:.1%} of the picture is no colour that is cut there. The largest such place is darker: "
                       "{hex}."),
        "lighter": said("{share:.1%} of the picture is no colour that is cut there. The largest such place is lighter: "
                        "{hex}."),
        "other": said("{share:.1%} of the picture is no colour that is cut there. The largest such place is {hex}."),
    }, said("Cut that colour too"))


def check_unlike(unlike: Unlike, hex_of, per_px: float, chosen: bool):
    """One finding, at the largest place.

    Parameters
    ----------
    hex_of : gives a colour (3,) as text. per_px : pixels of the map for one of the picture's. chosen : somebody has
        said which colours are cut, and knows.
    """
    if not len(unlike.places):
        return
    share = float(unlike.places[:, 2].sum()) / (unlike.area.size * unlike.step**2)
    yield UNLIKE.found(kind_of(float(unlike.darker[0])), at=unlike.places[0, :2] * per_px,
                       severity=WARN if share > _MUCH and not chosen else NOTE, share=share,
                       hex=hex_of(unlike.colours[0]))
