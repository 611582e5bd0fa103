"""What the program keeps for the user in their data folder: recent works, presets, materials, machines, figures of
their own, the settings used last."""

import json
import logging
from dataclasses import replace
from pathlib import Path

from sketchloom.core.base.errors import AppError
from sketchloom.core.base.plain import encoded
from sketchloom.core.carve import tools as carve_tools
from sketchloom.core.formats import dialects as dialect_table
from sketchloom.core.formats.dialects import Dialect
from sketchloom.core.shapes import own
from sketchloom.core.sheets import machine
from sketchloom.core.sheets import prices as price_table
from sketchloom.core.sheets.material import Material, from_plain, shipped, to_plain
from sketchloom.files import recipients as recipient_table
from sketchloom.files.training.exercise import Progress, progress_from, progress_to
from sketchloom.files.writing import data_folder, write_whole
from sketchloom.recipe import presets as preset_files

_RECENT = 12
"""Works that are listed as recent."""

_MAX_TABLE_BYTES, _MAX_FIGURES_BYTES = 1 << 20, 1 << 24
"""A larger table or collection of figures is none of ours."""
_MOST_KEYS, _LONGEST_KEY = 8, 60
"""Keys of one action, and letters of one; a guard against a file that is none of ours."""
_log = logging.getLogger(__name__)


def recent_files() -> list[Path]:
    """Files opened or saved lately that still exist, latest first."""
    try:
        names = json.loads((data_folder() / "recent.json").read_text())
        return [Path(n) for n in names if isinstance(n, str) and Path(n).is_file()][:_RECENT]
    except (OSError, ValueError, TypeError):
        return []


def remember(path) -> None:
    """Put a file at the head of the recent ones; a full disk is no reason to complain here."""
    path = Path(path).resolve()
    names = [str(path)] + [str(p) for p in recent_files() if p != path]
    try:
        write_whole(data_folder() / "recent.json", json.dumps(names[:_RECENT]).encode())
    except AppError:
        return


def presets() -> tuple:
    """The user's presets; an unreadable file is as good as none, and is left as it is."""
    return _presets_in("presets.json")


def keep_presets(kept) -> None:
    """Write the user's presets; raises ExportError."""
    write_whole(data_folder() / "presets.json", preset_files.to_bytes(kept))


def materials() -> tuple[Material, ...]:
    """The table of materials: the user's own ``materials.json`` in the data folder, else the shipped one."""
    found = _plain_in("materials.json", _MAX_TABLE_BYTES, from_plain)
    return shipped() if found is None else found


def keep_materials(table) -> None:
    """Write the user's table of materials; raises ExportError."""
    _keep_plain("materials.json", to_plain(table))


def machines() -> tuple[machine.Machine, ...]:
    """The table of machines: the user's own ``machines.json`` in the data folder, else the shipped one."""
    return _plain_in("machines.json", _MAX_TABLE_BYTES, machine.from_plain) or machine.shipped()


def keep_machines(table) -> None:
    """Write the user's table of machines; raises ExportError."""
    _keep_plain("machines.json", machine.to_plain(table))


def cutters() -> tuple[carve_tools.Tool, ...]:
    """The table of a router's tools: the user's own ``cutters.json`` in the data folder, else the shipped one."""
    return _plain_in("cutters.json", _MAX_TABLE_BYTES, carve_tools.from_plain) or carve_tools.shipped()


def keep_cutters(table) -> None:
    """Write the user's table of a router's tools; raises ExportError."""
    _keep_plain("cutters.json", carve_tools.to_plain(table))


def dialects() -> tuple[Dialect, ...]:
    """Dialects of machine code: the user's own ``dialects.json`` in the data folder before those that are shipped."""
    own = _plain_in("dialects.json", _MAX_TABLE_BYTES, dialect_table.from_plain) or ()
    return (*own, *(one for one in dialect_table.SHIPPED if one.key not in {o.key for o in own}))


def keep_dialects(table) -> None:
    """Write the user's dialects of machine code; raises ExportError."""
    _keep_plain("dialects.json", dialect_table.to_plain(table))


def recipients() -> tuple[recipient_table.Recipient, ...]:
    """Who gets a work: those that are shipped, with what the user chose for each, and the user's own after them
    (``recipients.json``)."""
    own = _own_recipients()
    return (*(own.pop(one.key, one) for one in recipient_table.SHIPPED), *own.values())


def keep_recipient(one: recipient_table.Recipient) -> None:
    """Keep what was chosen for one who gets works, or one more of them; raises ExportError."""
    _write_recipients(_own_recipients() | {one.key: one})


def forget_recipient(key: str) -> None:
    """Take one of the user's own off the list, or one that is shipped back to how it came; raises ExportError."""
    _write_recipients({k: one for k, one in _own_recipients().items() if k != key})


def _own_recipients():
    """What differs from the shipped ones, by key."""
    found = _plain_in("recipients.json", _MAX_TABLE_BYTES, recipient_table.from_plain) or ()
    return {one.key: one for one in found if one not in recipient_table.SHIPPED}


def _write_recipients(own):
    _keep_plain("recipients.json", recipient_table.to_plain(own.values()))


def prices() -> price_table.Prices:
    """The user's table of prices, empty where there is none."""
    return _plain_in("prices.json", _MAX_TABLE_BYTES, price_table.from_plain) or price_table.Prices()


def keep_prices(table) -> None:
    """Write the user's table of prices; raises ExportError."""
    _keep_plain("prices.json", price_table.to_plain(table))


def own_keys() -> dict[str, list[str]]:
    """Keys that the user gave to actions, by the actions' names."""
    return _plain_in("keys.json", _MAX_TABLE_BYTES, _keys_from) or {}


def keep_own_keys(kept) -> None:
    """Write the user's keys; raises ExportError."""
    _keep_plain("keys.json", {name: list(keys) for name, keys in kept.items()})


def _keys_from(data):
    if not isinstance(data, dict) or not all(
            isinstance(keys, list) and len(keys) <= _MOST_KEYS
            and all(isinstance(key, str) and 0 < len(key) <= _LONGEST_KEY for key in keys) for keys in data.values()):
        raise ValueError("not a table of keys")
    return data


def figures() -> tuple[own.OwnFigure, ...]:
    """Figures that the user kept; an unreadable file is as good as none, and is left as it is."""
    return _plain_in("figures.json", _MAX_FIGURES_BYTES, own.from_plain) or ()


def keep_figures(kept) -> None:
    """Write the user's figures; raises ExportError."""
    _keep_plain("figures.json", own.to_plain(kept), indent=None)


def training() -> dict[str, Progress]:
    """How far the exercises of the trainer were done."""
    return _plain_in("training.json", _MAX_TABLE_BYTES, progress_from) or {}


def keep_training(progress: dict[str, Progress]) -> None:
    """Write how far the exercises were done; raises ExportError."""
    _keep_plain("training.json", progress_to(progress))


def last_settings() -> tuple:
    """The settings last used in each reading, as presets named by it."""
    return _presets_in("last-settings.json")


def remember_settings(recipe, reading: str) -> None:
    """Keep the settings used in a reading; a full disk is no reason to complain here."""
    kept = preset_files.with_preset(last_settings(), preset_files.preset_of(reading, replace(recipe, reading=reading)))
    try:
        write_whole(data_folder() / "last-settings.json", preset_files.to_bytes(kept))
    except AppError:
        return


def _plain_in(name, most_bytes, made_of):
    """What a file of the data folder holds, None where it is not there or not ours."""
    try:
        path = data_folder() / name
        if path.stat().st_size <= most_bytes:
            return made_of(json.loads(path.read_text()))
    except FileNotFoundError:
        pass
    except (OSError, ValueError, RecursionError) as error:  # a setting that is off is a ValueError too
        _log.warning("%s cannot be read: %s", name, error)
    return None


def _keep_plain(name, data, indent=1):
    write_whole(data_folder() / name, encoded(json.dumps(data, indent=indent, ensure_ascii=False) + "\n"))


def _presets_in(name):
    path = data_folder() / name
    try:
        return preset_files.from_bytes(path.read_bytes(), name)
    except (OSError, AppError):
        return ()
