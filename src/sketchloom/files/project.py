"""Project files (.sloom): a zip of the recipe, the source as it came and a preview.

Nothing inside is trusted: members are read by fixed names with limits on their sizes, no
path is ever used to write, and every number passes the recipe's own checks.
"""

import io
import json
import re
import uuid
import zipfile
import zlib
from dataclasses import dataclass, field
from hashlib import blake2b
from pathlib import Path

import numpy as np
from PIL import Image

from sketchloom.core.base.errors import AppError, ExportError, ProjectError, SettingError
from sketchloom.core.base.plain import encoded
from sketchloom.core.base.said import said
from sketchloom.core.picture.decode import MAX_FILE_BYTES, decode
from sketchloom.files.writing import write_whole
from sketchloom.recipe.document import Recipe, from_json, to_json

SCHEMA = (1, 7)
"""Of the project file; a higher major is refused, a higher minor opened."""
SUFFIX = ".sloom"
_SETTINGS, _SOURCE, _PREVIEW = "project.json", "source", "preview.png"
_MAX_SETTINGS_BYTES = 32 * 2**20
"""Guards against hostile archives."""
_MAX_PREVIEW_BYTES = 16 * 2**20
"""A preview is 512 px: what claims more is not one of ours."""
_MAX_MEMBERS = 64
"""A project holds its recipe, a preview and its pages."""
_ID = re.compile(r"[0-9a-f]{32}")
_SUFFIX_OF_MAGIC = ((b"\x89PNG", ".png"), (b"\xff\xd8", ".jpg"), (b"RIFF", ".webp"), (b"BM", ".bmp"),
                    (b"II", ".tif"), (b"MM", ".tif"), (b"GIF8", ".gif"), (b"%PDF-", ".pdf"), (b"<", ".svg"))


@dataclass(frozen=True, eq=False)
class Project:
    """A work as it is kept: the recipe, the source's bytes and name, and what was not understood.

    ``unknown`` holds keys of ``project.json`` from a newer minor version; they are written back.
    ``id`` tells the work from others, empty where none was given yet.
    ``has_prepared_places``: written before 1.2, when places were shares of the prepared picture.
    """

    recipe: Recipe
    source: bytes
    source_name: str
    unknown: dict = field(default_factory=dict)
    has_prepared_places: bool = False
    id: str = ""


def new_id() -> str:
    """What tells a work from every other, whatever it is called and wherever it lies."""
    return uuid.uuid4().hex


def to_bytes(project: Project, preview_png: bytes | None = None) -> bytes:
    """The bytes of a project file; the same for the same project."""
    settings = dict(project.unknown)
    settings.update({
        "format": "sketch-loom", "schema": ".".join(map(str, SCHEMA)),
        "source_name": project.source_name, "recipe": to_json(project.recipe),
    })
    if project.id:
        settings["id"] = project.id
    buffer = io.BytesIO()
    with zipfile.ZipFile(buffer, "w") as archive:
        text = encoded(json.dumps(settings, indent=1, ensure_ascii=False, allow_nan=False, sort_keys=True))
        if len(text) > _MAX_SETTINGS_BYTES:  # what could not be opened again is not written
            raise ExportError(
                project.source_name,
                said(
                    "not saved: its settings and edits take {mb:.0f} MB, and at most {mb2} MB can be opened again. "
                    "Let alternatives or drawn boundaries go.",
                    mb=len(text) / 2**20,
                    mb2=_MAX_SETTINGS_BYTES // 2**20,
                ),
            )
        _add(archive, _SETTINGS, text, zipfile.ZIP_DEFLATED)
        _add(archive, _SOURCE + _suffix(project.source), project.source, zipfile.ZIP_STORED)
        if preview_png:
            _add(archive, _PREVIEW, preview_png, zipfile.ZIP_STORED)
    return buffer.getvalue()


def _add(archive, name, data, method):
    info = zipfile.ZipInfo(name, (1980, 1, 1, 0, 0, 0))
    info.external_attr = 0o644 << 16
    info.compress_type = method
    archive.writestr(info, data)


def _suffix(data):
    return next((suffix for magic, suffix in _SUFFIX_OF_MAGIC if data.startswith(magic)), ".bin")


def save(project: Project, path, preview_png: bytes | None = None) -> None:
    """Write a project file, whole or not at all; raises ExportError."""
    write_whole(path, to_bytes(project, preview_png))


def mark_of(path) -> tuple | None:
    """What tells one state of a file from another: when it was written, how long it is, and what is in it; None where
    there is none."""
    try:
        status = Path(path).stat()
        return status.st_mtime_ns, status.st_size, blake2b(Path(path).read_bytes(), digest_size=16).hexdigest()
    except OSError:
        return None


def is_changed(path, mark: tuple | None) -> bool:
    """Whether a file is another than it was when it was marked; one that is gone is in nobody's way."""
    try:
        status = Path(path).stat()
    except OSError:
        return False
    if mark is not None and mark[:2] == (status.st_mtime_ns, status.st_size):
        return False
    now = mark_of(path)
    return now is not None and (mark is None or now[2] != mark[2])


def load(path) -> Project:
    """Read a project file.

    Raises
    ------
    ProjectError : it is missing, damaged, incomplete, from a newer major version, or holds
        values that are not allowed. The message says which.
    """
    path = Path(path)
    try:
        if path.is_dir():
            raise ProjectError(path, said("is a folder, not a project."))
        if path.stat().st_size > MAX_FILE_BYTES + _MAX_SETTINGS_BYTES + _MAX_PREVIEW_BYTES:
            raise ProjectError(path, said("is larger than a project can be."))
        data = path.read_bytes()
    except FileNotFoundError:
        raise ProjectError(path, said("there is no such file. Check the name and the folder.")) from None
    except OSError as error:
        raise ProjectError(path, said("cannot be read ({strerror}).", strerror=error.strerror)) from None
    return from_bytes(data, path)


def thumbnail(path, longest_px: int) -> bytes:
    """The preview that a project holds, or its source where it has none, as a small PNG; raises ProjectError."""
    path = Path(path)
    found = load(path)
    with zipfile.ZipFile(path) as archive:
        members = archive.infolist()
        has_one = any(member.filename == _PREVIEW for member in members)
        data = _read(archive, members, _PREVIEW, _MAX_PREVIEW_BYTES, path) if has_one else found.source
    try:
        picture = decode(data, path.name).reduced(longest_px)
    except AppError:
        raise ProjectError(path, said("holds no picture that can be shown.")) from None
    parts = picture.rgb if picture.alpha is None else np.dstack([picture.rgb, picture.alpha])
    made = io.BytesIO()
    Image.fromarray(parts).save(made, "PNG")
    return made.getvalue()


def from_bytes(data: bytes, name) -> Project:
    """A project from the bytes of its file; raises ProjectError."""
    try:
        with zipfile.ZipFile(io.BytesIO(data)) as archive:
            members = archive.infolist()
            _refuse_odd_names(members, name)
            settings = _settings(_read(archive, members, _SETTINGS, _MAX_SETTINGS_BYTES, name), name)
            source = _read(archive, members, _SOURCE, MAX_FILE_BYTES, name, any_suffix=True)
    except ProjectError:
        raise
    except (zipfile.BadZipFile, zlib.error, EOFError, OSError, NotImplementedError, RuntimeError, ValueError):
        raise ProjectError(name, said("is not a project or is damaged; open an earlier copy.")) from None
    return _checked(settings, source, name)


def _refuse_odd_names(members, name):
    if len(members) > _MAX_MEMBERS:
        raise ProjectError(
            name,
            said(
                "holds {count} parts; a project has at most {max_members}.",
                count=len(members),
                max_members=_MAX_MEMBERS,
            ),
        )
    for member in members:
        text = member.filename
        if text.startswith(("/", "\\")) or ".." in text.replace("\\", "/").split("/") or ":" in text:
            raise ProjectError(
                name, said("holds a part named {text!r}, which no project has; it is not opened.", text=text[:60])
            )


def _read(archive, members, wanted, limit, name, any_suffix=False):
    for member in members:
        stem = member.filename.split(".")[0] if any_suffix else member.filename
        if stem != wanted or "/" in member.filename:
            continue
        if member.file_size > limit:
            raise ProjectError(
                name,
                said(
                    "its part {filename} claims {mb:.0f} MB; at most {mb2} MB are read.",
                    filename=member.filename,
                    mb=member.file_size / 2**20,
                    mb2=limit // 2**20,
                ),
            )
        if member.compress_type not in (zipfile.ZIP_STORED, zipfile.ZIP_DEFLATED):
            raise ProjectError(name, said("has a part packed in a way that no project is; it is not opened."))
        with archive.open(member) as part:
            data = part.read(limit + 1)
        if len(data) > limit:
            raise ProjectError(name, said("its part {filename} is larger than it says.", filename=member.filename))
        return data
    raise ProjectError(name, said("lacks its part {wanted}; open an earlier copy.", wanted=wanted))


def _settings(data, name):
    try:
        settings = json.loads(data)
    except (ValueError, RecursionError):
        raise ProjectError(name, said("its settings are damaged; open an earlier copy.")) from None
    if not isinstance(settings, dict) or settings.get("format") != "sketch-loom":
        raise ProjectError(name, said("is not a Sketch Loom project."))
    try:
        major = int(str(settings["schema"]).split(".")[0])
    except (KeyError, ValueError):
        raise ProjectError(name, said("does not say which version of the program wrote it.")) from None
    if major > SCHEMA[0]:
        raise ProjectError(
            name,
            said(
                "was written by a newer version (schema {schema}; this one reads up to {schema2}). Update the program "
                "to open it.",
                schema=str(settings["schema"])[:20],
                schema2=SCHEMA[0],
            ),
        )
    return settings


def _checked(settings, source, name):
    source_name = settings.get("source_name")
    if not isinstance(source_name, str):
        source_name = "picture"
    try:
        recipe = from_json(settings.get("recipe"), "$.recipe")
    except SettingError as error:
        raise ProjectError(name, said("a setting in it is not allowed: {error}", error=error.message)) from None
    known = {"format", "schema", "source_name", "recipe", "id"}
    own = settings.get("id")
    rest = {k: v for k, v in settings.items() if k not in known}
    return Project(recipe, source, Path(source_name.replace("\\", "/")).name[:200] or "picture", rest,
                   _is_before(str(settings["schema"]), (1, 2)),
                   own if isinstance(own, str) and _ID.fullmatch(own) else "")


def _is_before(text, version):
    parts = [int(part) if part.isdecimal() else 0 for part in text.split(".")[:2]]
    return tuple(([*parts, 0, 0])[:2]) < version
