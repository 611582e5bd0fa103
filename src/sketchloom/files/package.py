"""All of a job in one folder or zip: cut files, order of laying, quote, preview, report and settings; whole or not at
all."""

from collections.abc import Callable
from pathlib import Path

from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.formats.handing import Handing
from sketchloom.core.formats.registry import formats
from sketchloom.core.sheets.machine import PEN
from sketchloom.core.sheets.material import LASER
from sketchloom.evaluate.work import Work
from sketchloom.evaluate.work_plan import WorkPlan
from sketchloom.files import carving, papers, release, report
from sketchloom.files.carving import CarvedWork
from sketchloom.files.made import Reported, Zipped
from sketchloom.recipe.document import to_json

ZIP = ".zip"
_PREVIEW_DPI_PX = 1200


def contents(work: Work, plan: WorkPlan, name: str, kinds=(), words=None) -> list[tuple[str, Callable[[], bytes]]]:
    """Names and what makes the bytes of each.

    Parameters
    ----------
    kinds : keys of formats of the cut files; none for what suits the machine, and SVG. words : of ``papers``.

    Raises
    ------
    SettingError : the pattern gives two files one name. ExportError : as ``release.outgoing_sheets``.
    """
    def named(what):
        text = work.recipe.file_names
        for place, value in (("name", name), ("what", what), ("width", f"{work.size_mm[0]:.0f}"),
                             ("height", f"{work.size_mm[1]:.0f}"), ("machine", plan.machine.key)):
            text = text.replace("{" + place + "}", value)
        return release.safe_stem(text)
    made: list[tuple[str, Callable[[], bytes]]] = []
    folder = Path()
    for key in dict.fromkeys((*(kinds or (suited(plan.machine),)), "svg")):
        kind = formats()[key]
        for path, make in release.outgoing_sheets(plan, folder, "", kind, work.recipe):
            made.append((named(path.stem.removeprefix("work-")) + kind.suffix, make))
    made += [
        (named("laying") + ".pdf", lambda: papers.laying(work, plan, name, words)),
        (named("quote") + ".pdf", lambda: papers.quote(plan, name, words)),
        (named("preview") + ".png", lambda: _preview(work)),
        (named("report") + ".json", Reported(lambda found: report.to_bytes(report.report_of(
            work, work.picture.name, work.timings_s, plan=plan, of_files=found)))),
        (named("settings") + ".json", lambda: report.to_bytes(to_json(work.recipe))),
    ]
    if len({n.lower() for n, _ in made}) < len(made):
        raise SettingError("--names", said("a pattern with {place}, so that no two files have one name",
                                           place="{what}"), work.recipe.file_names)
    return made


def suited(machine) -> str:
    """The format that a kind of machine runs."""
    return "gcode" if machine.kind in (LASER, PEN) or machine.dialect else "hpgl"


def outgoing_package(work: Work, plan: WorkPlan, target, name: str, kinds=(), words=None) -> release.Outgoing:
    """The files of a package, in a folder that exists or as one zip; raises as ``contents``."""
    target = Path(target)
    every = contents(work, plan, name, kinds, words)
    if target.suffix.lower() == ZIP:
        return [(target, Zipped(tuple(every)))]
    return [(target / file, make) for file, make in every]


def outgoing_carved(one: CarvedWork, target, name: str, words=None) -> release.Outgoing:
    """All of a carved work, in a folder that exists or as one zip: its code whole and by tools, the page to approve, a
    picture, solids, report and settings. Raises ExportError as ``carving.outgoing_code``."""
    target, work = Path(target), one.work
    stem = release.safe_stem(name)
    every: release.Outgoing = [
        *carving.outgoing_code(one, Path(f"{stem}.nc"), name), *carving.outgoing_code(one, Path(), name),
        *(carving.outgoing_look(one, stem + suffix, name, words) for suffix in carving.SUFFIXES),
        (Path(f"{stem}-report.json"), Reported(lambda found: report.to_bytes(report.report_of(
            work, work.picture.name, work.timings_s, of_files=found, carved=one)))),
        (Path(f"{stem}-settings.json"), lambda: report.to_bytes(to_json(work.recipe)))]
    if target.suffix.lower() == ZIP:
        return [(target, Zipped(tuple((path.name, make) for path, make in every)))]
    return [(target / path, make) for path, make in every]


def _preview(work):
    drawing = release.whole_drawing(work)
    dpi = max(round(_PREVIEW_DPI_PX / max(drawing.frame[2:]) * 25.4), 1)
    return formats()["png"].write(drawing, Handing(dpi=dpi))
