"""What a hand will ask of a result, worked out before it is shown: nobody waits for it then."""

from sketchloom.desk import narrow
from sketchloom.desk.regions import sizes_of
from sketchloom.evaluate.work import Work


def look_ahead(work: Work) -> None:
    """Sizes of all regions, and what is narrow where widths were looked for."""
    if not work.draws_with_pens:
        sizes_of(work)
    narrow.look_ahead(work)
