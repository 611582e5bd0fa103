"""Steps of preparation that are asked for by words, found in the picture."""

from dataclasses import replace

from sketchloom.core.base.errors import PictureError, SettingError
from sketchloom.core.base.said import said


def with_found_steps(picture, recipe, options):
    """The recipe with a page and a skew as they are found in the picture."""
    if not (options.flatten_page or options.corners or options.straighten):
        return recipe
    from sketchloom.core.picture.preparing import finding
    from sketchloom.core.picture.preparing.preparation import prepared
    from sketchloom.core.picture.preparing.steps import Preparation

    steps = recipe.preparation
    if options.corners:
        steps = replace(steps, page=_corners(options.corners, picture))
    elif options.flatten_page:
        page = finding.find_page(picture, thorough=True)
        if page is None:
            raise PictureError(picture.name, said("no page with four corners was found in it."),
                               said("Leave out --flatten-page, or give the corners with --corners."))
        steps = replace(steps, page=page)
    if options.straighten:
        skew = finding.find_skew(prepared(picture, Preparation(page=steps.page)).grey)
        steps = replace(steps, turn_deg=round(-skew.degrees, 2) if skew.sure > 0 else 0.0)
    return replace(recipe, preparation=steps)


def _corners(texts, picture):
    """Corners of a page, px of the picture, as shares of its sides."""
    return tuple((x / picture.width, y / picture.height) for x, y in places_in("--corners", texts))


def places_in(flag, texts):
    """Four places of a picture, px."""
    try:
        corners = [tuple(float(v) for v in text.split(",")) for text in texts]
        if any(len(corner) != 2 for corner in corners):
            raise ValueError
    except ValueError:
        raise SettingError(flag, said("four places X,Y in px of the picture"), " ".join(texts)) from None
    return corners
