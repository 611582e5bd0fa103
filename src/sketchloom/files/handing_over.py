"""How the files of a work are written: as its recipe says, for the machine that takes them."""

from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.formats.dialects import Dialect
from sketchloom.core.formats.handing import Handing
from sketchloom.core.sheets.machine import Machine
from sketchloom.files import user_data


def handing_of(recipe, machine: Machine | None = None, material: str | None = None) -> Handing:
    """How a work's files are written: as its recipe says, for its machine, as that cuts a material; raises SettingError
    where the dialect is not known."""
    machine = machine or recipe.machine
    return Handing(recipe.svg_reader, recipe.dxf_curves, recipe.stray_mm, recipe.dxf_version,
                   None if machine is None else machine.cutting_it(material),
                   dialect_of(recipe.dialect) if recipe.dialect else None, recipe.picture_dpi, recipe.pdf_paper)


def dialect_of(key: str) -> Dialect:
    """A dialect of the user's or of those that come with the program; raises SettingError where there is none."""
    known = user_data.dialects()
    found = next((one for one in known if one.key == key), None)
    if found is None:
        raise SettingError("dialect", said("one of {keys}", keys=", ".join(one.key for one in known)), key)
    return found
