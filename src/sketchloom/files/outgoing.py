"""What leaves for whoever gets it: cut files in a format, a page to approve, or all of a job."""

from dataclasses import dataclass
from pathlib import Path

from sketchloom.core.base.errors import ExportError
from sketchloom.core.base.said import said
from sketchloom.core.formats.registry import Format, formats
from sketchloom.core.printing.camera import Found
from sketchloom.evaluate.carving import is_carved
from sketchloom.evaluate.work import Work
from sketchloom.evaluate.work_plan import WorkPlan
from sketchloom.files import carved_papers, package, papers, release, report
from sketchloom.files.carving import LOOKS, CarvedWork, outgoing_code, outgoing_look
from sketchloom.files.made import Reported
from sketchloom.files.print_and_cut import outgoing_print_and_cut
from sketchloom.files.recipients import APPROVAL, PACKAGE, STICKERS

CODE = "gcode"
"""The format that a carved work leaves in, with all its operations."""


@dataclass(frozen=True, slots=True)
class Wanted:
    """``form``: the key of a format, or of ``recipients``; ``split`` of ``release``; whether a ``report`` and a laying
    ``plan`` go with it; keys of checks that are not wanted; where a camera ``found`` the printed page, if one did."""

    form: str = release.SVG
    split: str = release.ONE
    report: bool = False
    plan: bool = False
    unchecked: tuple[str, ...] = ()
    found: Found | None = None

    @property
    def kind(self) -> Format | None:
        """The format of its cut files; None for papers and packages."""
        return formats().get(self.form)

    @property
    def suffix(self) -> str:
        """Of the one file that it is; empty where it is a folder of them."""
        if self.form == APPROVAL:
            return ".pdf"
        if self.form in LOOKS:
            return LOOKS[self.form][0]
        if self.form in (PACKAGE, STICKERS) or self.split not in (release.ONE, release.VERSIONS):
            return ""
        return formats()[self.form].suffix

    @property
    def needs_plan(self) -> bool:
        """Whether a plan of sheets has to be there, unless the work is carved."""
        return self.form == PACKAGE or (self.kind is not None and self.split == release.SHEETS)

    def carves(self, work: Work) -> bool:
        """Whether what is written is of the work as a router carves it."""
        of_carving = self.form in (APPROVAL, PACKAGE) or self.form in LOOKS or (
            self.form == CODE and self.split in (release.ONE, release.SHEETS))
        return of_carving and is_carved(work)


@dataclass(frozen=True, slots=True)
class Words:
    """Texts of laying plans, of papers and of the page of a carved work, in the user's language."""

    plan: dict
    papers: dict
    carved: dict


ENGLISH = Words(release.PLAN_WORDS, papers.WORDS, carved_papers.WORDS)


def files_of(work: Work, plan: WorkPlan | None, target, name: str, wanted: Wanted, words: Words = ENGLISH,
             revision: int = 1, before: Work | None = None, carved: CarvedWork | None = None) -> release.Outgoing:
    """The files, each with what makes its bytes.

    Parameters
    ----------
    target : the file, or the folder of several. revision, before : of a page to approve, and the work as it was in the
    revision before. carved : the work as it is carved, where that was worked out.

    Raises
    ------
    ExportError, SettingError : as ``release.outgoing`` and ``package.contents``.
    """
    target = Path(target)
    release.refuse_empty(work, target)
    if wanted.carves(work):
        carved = carved or CarvedWork(work)
    if wanted.form in LOOKS or (wanted.form in (APPROVAL, PACKAGE) and carved is not None):
        return _of_carved(carved, target, name, wanted, words)
    if wanted.form == APPROVAL:
        return [(target, lambda: papers.approval(work, name, revision, before, words.papers))]
    if wanted.form == STICKERS:
        machine = work.recipe.machine
        return outgoing_print_and_cut(work, target, name, formats()[package.suited(machine)] if machine else None,
                                      wanted.found)
    if wanted.form == PACKAGE:
        assert plan is not None
        return package.outgoing_package(work, plan, target, name, words=words.papers)
    if carved is not None and wanted.form == CODE:
        files = outgoing_code(carved, target, name)
    elif wanted.split == release.SHEETS:
        assert plan is not None
        files = release.outgoing_sheets(plan, target, name, wanted.kind, work.recipe)
    else:
        files = release.outgoing(work, target, wanted.split, wanted.kind, name)
    return files + _beside(work, plan, target, name, wanted, words, carved)


def _beside(work, plan, target, name, wanted, words, carved):
    """Report and laying plan, where they are wanted."""
    files: release.Outgoing = []
    def beside(end):
        return target.with_name(target.stem + end) if wanted.suffix else target / f"{release.safe_stem(name)}{end}"
    if wanted.report:
        path = target.with_suffix(".json") if wanted.suffix else beside("-report.json")
        files.append((path, Reported(lambda found: report.to_bytes(report.report_of(
            work, work.picture.name, work.timings_s, compared=True, plan=plan, of_files=found, carved=carved)))))
    if wanted.plan:
        files += release.outgoing_plan(work, beside("-plan.svg"), words.plan)
        files.append((beside("-laying.pdf"), lambda: papers.laying(work, plan, name, words.papers)))
    return files


def _of_carved(one, target, name, wanted, words):
    """A page, a look or all in one of what is carved. Raises ExportError where nothing is."""
    if one is None:
        raise ExportError(target, said("not written: nothing of this work is carved."))
    if wanted.form == PACKAGE:
        return package.outgoing_carved(one, target, name, words.carved)
    return [outgoing_look(one, target, name, words.carved)]
