"""What lies beside the logbook: works as they were released, pictures, approvals. Each file is named by its content, so
that the same is kept once, and goes when nothing names it any more."""

import hashlib
import io
import json
from contextlib import suppress
from dataclasses import replace
from pathlib import Path

import numpy as np
from PIL import Image

from sketchloom.core.base.errors import AppError, FileError
from sketchloom.core.base.said import said
from sketchloom.core.logbook.records import Approval, Device, Job, Try, now
from sketchloom.core.logbook.store import Logbook
from sketchloom.core.picture.decode import MAX_FILE_BYTES, decode, read_bytes
from sketchloom.core.sheets.machine import Machine, from_plain, to_plain
from sketchloom.files import project as projects
from sketchloom.files.writing import data_folder, write_whole

BOOK = "logbook.db"
_FOLDER = "logbook"
_LONGEST_PX = 640
"""The longer side of a picture that is kept of a job or of a star."""
_APPROVALS = (".pdf", ".png", ".jpg", ".jpeg", ".svg", ".txt", ".eml")
"""What a customer's word may come as; it is kept as it is and opened by the desktop."""


def folder() -> Path:
    """Where the files lie."""
    return data_folder() / _FOLDER


def path_of(name: str) -> Path | None:
    """A file by the name that an entry gives it, None where it is not there; no name leads out of the folder."""
    path = folder() / Path(name).name
    return path if name and path.is_file() else None


def _kept(data, suffix):
    """Keep bytes; the name of their file."""
    name = hashlib.sha256(data).hexdigest()[:40] + suffix
    if path_of(name) is None:
        folder().mkdir(parents=True, exist_ok=True)
        write_whole(folder() / name, data)
    return name


def keep_work(project: projects.Project, preview_png: bytes | None) -> tuple[str, str]:
    """Keep a work as it is released, and how it looks: the names of their files, the second empty where it has no look.

    Raises
    ------
    AppError : they cannot be written.
    """
    work = _kept(projects.to_bytes(project, preview_png), projects.SUFFIX)
    return work, "" if preview_png is None else _kept(preview_png, ".png")


def keep_job(book: Logbook, job: Job, machine: Machine, project: projects.Project, preview_png: bytes | None) -> int:
    """Keep a job with its work and its look, and its machine as it is now; the entry of the job.

    Raises
    ------
    AppError : it cannot be written.
    """
    job = with_files(job, project, preview_png)
    described = json.dumps(to_plain((machine,))[0], ensure_ascii=False)
    with book.changing():
        there = book.all(Device, limit=1, name=machine.name[:300])
        if not there:
            book.put(Device(machine.name[:300], machine.kind, described=described))
        elif there[0].one.described != described:
            book.put_over(there[0].number, replace(there[0].one, kind=machine.kind, described=described))
        return book.put(job)


def machine_of(device: Device) -> Machine | None:
    """A machine as the logbook has it, None where it says nothing of it; raises AppError where that is none."""
    if not device.described:
        return None
    try:
        return from_plain([json.loads(device.described)])[0]
    except (ValueError, RecursionError):
        raise AppError(said("What the logbook keeps of this machine is damaged.")) from None


def work_of(job: Job) -> projects.Project:
    """The work of a job as it was released.

    Raises
    ------
    AppError : it is not there any more, or damaged.
    """
    path = path_of(job.source)
    if path is None:
        raise AppError(said("The work of this job was not kept, or was deleted. Open its picture, and write it again."))
    return projects.load(path)


def keep_picture(path) -> str:
    """Keep a small copy of a picture; the name of its file.

    Raises
    ------
    AppError : it is none, or cannot be written.
    """
    picture = decode(read_bytes(path), str(path)).reduced(_LONGEST_PX)
    parts = picture.rgb if picture.alpha is None else np.dstack([picture.rgb, picture.alpha])
    made = io.BytesIO()
    Image.fromarray(parts).save(made, "PNG")
    return _kept(made.getvalue(), ".png")


def keep_approval(book: Logbook, number: int, path, by: str = "") -> int:
    """Keep a file that approves a job; the entry of the approval.

    Raises
    ------
    AppError : it cannot be read, is too large or of a kind that is not kept.
    """
    path = Path(path)
    if path.suffix.lower() not in _APPROVALS:
        raise FileError(path, said("is none of the kinds that are kept ({kinds}).", kinds=", ".join(_APPROVALS)))
    try:
        if path.stat().st_size > MAX_FILE_BYTES:
            raise FileError(path, said("is larger than {most} MB.", most=MAX_FILE_BYTES >> 20))
        data = path.read_bytes()
    except OSError as error:
        raise FileError(path, said("cannot be read ({strerror}).", strerror=error.strerror or "")) from None
    name = _kept(data, path.suffix.lower())
    return book.add(Approval(number, name, hashlib.sha256(data).hexdigest(), by, now()))[0]


def remove(book: Logbook, kind: type, number: int) -> None:
    """Delete an entry for good, what belongs to it, and the files that nothing names any more.

    Raises
    ------
    LogbookError : it cannot be.
    """
    kept = book.one(kind, number)
    gone = [(kind, number)]
    names = _files_of(None if kept is None else kept.one)
    if kind is Job:
        for one in book.all(Approval, job=number):
            gone.append((Approval, one.number))
            names |= _files_of(one.one)
    for its in dict.fromkeys(k for k, _ in gone):
        book.remove(its, *(n for k, n in gone if k is its))
    for name in names:
        if not _is_named(book, name) and (path := path_of(name)) is not None:
            with suppress(OSError):
                path.unlink()


def _files_of(one):
    names = {Job: ("source", "picture"), Try: ("picture",), Approval: ("file",)}.get(type(one), ())
    return {getattr(one, name) for name in names} - {""}


def _is_named(book, name):
    return any(book.count(kind, **{field: name}) for kind, field in (
        (Job, "source"), (Job, "picture"), (Try, "picture"), (Approval, "file")))


def with_files(job: Job, project: projects.Project, preview_png: bytes | None) -> Job:
    """A job with its work and look kept. Raises AppError."""
    source, picture = keep_work(project, preview_png)
    return replace(job, source=source, picture=picture)
