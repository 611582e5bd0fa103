"""How a work leaves: files made in a lane beside the window, looked at first or written, all of them or none."""

import dataclasses
import itertools
import tempfile
from pathlib import Path

from PySide6.QtCore import QObject, Signal

from sketchloom.app.words import told
from sketchloom.app.work.released import Approved, HeldBack, InTheWay, Released
from sketchloom.core.base.progress import Part, watched
from sketchloom.core.formats.atomic import Care
from sketchloom.core.preflight import checklist
from sketchloom.desk.preflight import checks_of, findings_of_work
from sketchloom.desk.rehearsal import looked_at
from sketchloom.evaluate.pipeline import Pipeline, require_traceable
from sketchloom.evaluate.planning import plans_of
from sketchloom.files import carved_papers, opening, papers, print_and_cut, release, sending, user_data
from sketchloom.files.carving import CarvedWork
from sketchloom.files.made import Made, Simulated
from sketchloom.files.outgoing import Wanted, Words, files_of
from sketchloom.files.reading_back import found_in, read_back
from sketchloom.files.recipients import APPROVAL
from sketchloom.recipe.document import Alternative

_PLANS = 12
"""Plans of sheets that are looked at for a file when none was seen."""
_READ_SHARE = 0.8
"""Of the time of writing, what goes into making files and reading them back."""
_MOST_LOOKS = 60
"""Files that are looked at before they are written."""


class Leaving(QObject):
    """Of one session. ``written``: the files, and ``released`` before it where they go to a machine; ``in_the_way``,
    ``held_back``: why nothing was written, and how it is all the same; ``rehearsed``: looks at files that were made and
    not written; ``found_in_files``: the work, and what speaks against them. ``page_seen``: what a picture of the bed
    shows."""

    written = Signal(object)
    released = Signal(object)
    in_the_way = Signal(object, object, object)
    held_back = Signal(object, object)
    rehearsed = Signal(object)
    found_in_files = Signal(object, object)
    sent = Signal(str)
    page_seen = Signal(object)

    def __init__(self, session):
        super().__init__(session)
        self._session = session

    def write(self, target, wanted: Wanted, replace: bool = False, anyway: bool = False) -> None:
        """Write the files of the exact result.

        Files that are there already are replaced only where that was asked for: by ``replace``, or for the one file
        whose name the user gave. Else ``in_the_way`` says which, and nothing is written. Where a finding says stop,
        ``held_back`` says why, unless it is to be written ``anyway``.
        """
        work = self._session.work
        if work is None:
            self._session.trouble.emit("write", self._why_not())
            return
        name, target, plan = self._session.document.name, Path(target), self._session.plan_of(work)
        words, number, before = self._words(), self._revision, self._approved()
        seen = self._session.carved_of(work)

        def run(progress):
            if replace:
                (target.parent if wanted.suffix else target).mkdir(exist_ok=True)  # one that was asked for anew
            its, carved = self._worked_out(work, wanted, plan, seen, progress)
            of_carving = None if carved is None else carved.findings
            def again():
                self.write(target, wanted, replace, True)
            of_work = findings_of_work(work)
            stops = checklist.stops(checks_of(work, its, None, wanted.unchecked, of_work, of_carving))
            if stops and not anyway:
                return HeldBack(stops, again)
            was = None
            if wanted.form == APPROVAL and before is not None:
                was = Pipeline(self._session.cache).evaluate(work.original, before, progress=progress)
            files = files_of(work, its, target, name, wanted, words, number, was, carved)
            there = [path for path in release.there_already(files) if path != target]
            if there and not replace:
                return InTheWay(tuple(there), target, lambda at: self.write(at, wanted, True, anyway))
            files, found = self._read_back(files, work, its, progress)
            stops = checklist.stops(checks_of(work, its, found, wanted.unchecked, of_work, of_carving))
            if stops and not anyway:
                return HeldBack(stops, again)
            done = self._written(files, Part(progress, _READ_SHARE, 1.0))
            return Approved(done) if wanted.form == APPROVAL else Released(done, its, carved)
        self._write(self.tr("Writing"), run)

    def rehearse(self, wanted: Wanted) -> None:
        """Make the files without writing them; ``rehearsed`` has a look at each."""
        work = self._session.work
        if work is None:
            self._session.trouble.emit("write", self._why_not())
            return
        name, plan = self._session.document.name, self._session.plan_of(work)
        words, number, seen = self._words(), self._revision, self._session.carved_of(work)

        def run(progress):
            its, carved = self._worked_out(work, wanted, plan, seen, progress)
            with tempfile.TemporaryDirectory() as folder:  # the folder of files that are only looked at
                target = Path(folder) / f"{release.safe_stem(name)}{wanted.suffix}" if wanted.suffix else Path(folder)
                alone = dataclasses.replace(wanted, report=False, plan=False)
                files = files_of(work, its, target, name, alone, words, number, carved=carved)
            seconds = [t.machine_s for t in its.timed] if its is not None and wanted.needs_plan else []
            looks, found = [], []
            for n, (path, make) in enumerate(files[:_MOST_LOOKS]):
                progress.step(n, len(files), "")
                planned = seconds[n] if n < len(seconds) and wanted.kind is not None else None
                machine = work.recipe.machine if its is None else its.machine
                looks.append(looked_at(path.name, path.suffix, make(), machine, planned))
                if isinstance(make, Made):
                    found += found_in(looks[-1], make, work.recipe.svg_reader)
                if isinstance(make, Simulated):
                    found += (one for one in make.told() if one not in found)
            return work, tuple(looks), tuple(found)

        def show(done):
            self.rehearsed.emit(done[1])
            self.found_in_files.emit(done[0], done[2])
        self._session.writing.run(self.tr("Making the files to look at"), run, show,
                         lambda why: self._session.trouble.emit("write", told(why)), lambda: None)

    def stops(self) -> tuple:
        """What holds the work back as it is shown; its plan where one was made."""
        work = self._session.work  # what is found in cuts beside the work's own findings says no stop
        if work is None:
            return ()
        carved = self._session.carved_of(work)
        return checklist.stops(checks_of(work, self._session.plan_of(work), of_work=(),
                                         of_carving=None if carved is None else carved.findings))

    def send(self, look, address: str) -> None:
        """Send a file that was looked at to a machine; ``sent`` when it took all of it."""
        sent = [0.0]

        def run(progress):
            def told_share(share):
                sent[0] = share
                progress.step(round(1000 * share), 1000, self.tr("Sending {0}").format(look.name))
            sending.send(look.sends, sending.kind_of(look.name), address, told_share)
            return look.name
        self._session.writing.run(
            self.tr("Sending {0}").format(look.name), run, self.sent.emit,
            lambda why: self._session.trouble.emit("send", told(why)),
            lambda: self._session.trouble.emit("send", self.tr(
                "Stopped; {0} % were sent, and what they say is cut. Stop the machine, too.").format(
                    round(100 * sent[0]))))

    def look_for_page(self, picture, corners, bed_mm) -> None:
        """Look for the printed page in a picture of the bed: a file, one that was looked at before, or, where it is
        None, what the simulated camera sees; ``page_seen`` has what it shows."""
        work, name = self._session.work, self._session.document.name
        if work is None:
            self._session.trouble.emit("write", self._why_not())
            return

        def run(_):
            grey = (print_and_cut.photographed_page(work, name, bed_mm) if picture is None
                    else print_and_cut.grey_of(picture) if isinstance(picture, str) else picture)
            return print_and_cut.seen_on_bed(grey, work.recipe, bed_mm, corners)
        self._session.tooling.run(self.tr("Looking for the page"), run, self.page_seen.emit,
                                  lambda why: self._session.trouble.emit("write", told(why)))

    @staticmethod
    def _words():
        return Words(*({key: told(pattern) for key, pattern in some.items()}
                       for some in (release.PLAN_WORDS, papers.WORDS, carved_papers.WORDS)))

    @property
    def _revision(self):
        """The number of the next revision that is to be approved."""
        return 1 + sum(one.name.startswith(self.tr("Revision")) for one in self._session.document.recipe.alternatives)

    def _approved(self):
        """The settings of the last revision, None where there is none."""
        mine = [one for one in self._session.document.recipe.alternatives if one.name.startswith(self.tr("Revision"))]
        return mine[-1].recipe if mine else None

    def _keep_revision(self):
        """The work as it went to be approved is kept among the alternatives."""
        recipe = self._session.document.recipe
        one = Alternative(self.tr("Revision {0}").format(self._revision), dataclasses.replace(recipe, alternatives=()))
        self._session.change(dataclasses.replace(recipe, alternatives=(*recipe.alternatives, one)),
                             self.tr("revision kept"))

    def _worked_out(self, work, wanted, plan, carved, progress):
        """The plan and the carved work that the files are made of, where nobody has looked at them yet."""
        if wanted.carves(work):
            if carved is None:
                with watched(progress):
                    carved = CarvedWork(work)
            return None, carved
        return plan or (self._planned(work, progress) if wanted.needs_plan else None), None

    def _planned(self, work, progress):
        """A plan of the sheets, where nobody has looked at one."""
        with watched(progress):
            *_, plan = itertools.islice(plans_of((work,), prices=user_data.prices(), cache=self._session.cache), _PLANS)
        return plan

    def _why_not(self):
        if self._session.evaluator.lane.busy:
            return self.tr("The work is still being traced; write again when it is done.")
        return self.tr("Tracing was stopped, so there is nothing exact to write. Trace it again (F5), then write.")

    @staticmethod
    def _read_back(files, work, plan, progress):
        """The files with their bytes, and what speaks against them."""
        return read_back(files, work.recipe.machine if plan is None else plan.machine, work.recipe.svg_reader,
                         progress=Part(progress, 0.0, _READ_SHARE))

    def write_shared(self, paths, folder, replace: bool = False, anyway: bool = False) -> None:
        """Write sheets with the parts of this work and of others, given as projects or pictures."""
        work = self._session.work
        if work is None:
            self._session.trouble.emit("write", self._why_not())
            return
        name = self._session.document.name

        def run(progress):
            works = [work]
            for number, path in enumerate(paths):
                part = Part(progress, number / (len(paths) + 1), (number + 1) / (len(paths) + 1))
                opened = opening.open_file(path)
                made = Pipeline().evaluate(opened.picture, opened.project.recipe, progress=part)
                require_traceable(made, path)
                works.append(made)
            last = Part(progress, len(paths) / (len(paths) + 1), 1.0)
            if replace:
                Path(folder).mkdir(exist_ok=True)
            files = release.outgoing_shared(works, folder, name)
            there = release.there_already(files)
            if there and not replace:
                return InTheWay(tuple(there), Path(folder), lambda at: self.write_shared(paths, at, True, anyway))
            done = self._written_unless_stopped(works, files, last, anyway,
                                                lambda: self.write_shared(paths, folder, replace, True))
            return done if isinstance(done, HeldBack) else Released(done, others=tuple(works[1:]))
        self._write(self.tr("Tracing the other works"), run)

    def _written_unless_stopped(self, works, files, progress, anyway, again):
        """Files of several works, or what holds them back."""
        files, found = self._read_back(files, works[0], None, progress)
        stops = [one for work in works for one in checklist.stops(checks_of(work, of_files=found))]
        if stops and not anyway:
            return HeldBack(tuple(dict.fromkeys(stops)), again)
        return self._written(files, Part(progress, _READ_SHARE, 1.0))

    def write_versions(self, target, anyway: bool = False) -> None:
        """Write the work and all alternatives that are kept of it into one file, side by side."""
        work = self._session.work
        if work is None:
            self._session.trouble.emit("write", self._why_not())
            return
        recipe, target, present = self._session.document.recipe, Path(target), self._session.document.name
        pipeline = Pipeline(self._session.cache)

        def run(progress):
            works, names, kept = [work], [present], recipe.alternatives
            for number, one in enumerate(kept):
                part = Part(progress, number / (len(kept) + 1), (number + 1) / (len(kept) + 1))
                works.append(pipeline.evaluate(work.original, one.recipe, progress=part))
                names.append(one.name)
            return self._written_unless_stopped(works, release.outgoing_versions(works, names, target), progress,
                                                anyway, lambda: self.write_versions(target, True))
        self._write(self.tr("Tracing the alternatives"), run)

    def _written(self, files, progress):
        """What the work was read from stays as it is."""
        reads = tuple(Path(p) for p in (self._session.origin, self._session.document.path) if p is not None)
        return release.write(files, Care(never=reads), progress=progress)

    def _write(self, text, run):
        """Files are written all or none, so a job that was stopped has written nothing."""
        trouble = self._session.trouble
        self._session.writing.run(text, run, self._show_written, lambda why: trouble.emit("write", told(why)),
                                  lambda: trouble.emit("write", self.tr("Stopped. Nothing was written.")))

    def _show_written(self, done):
        if isinstance(done, InTheWay):
            self.in_the_way.emit(done.there, done.target, done.again)
        elif isinstance(done, HeldBack):
            self.held_back.emit(done.stops, done.again)
        elif isinstance(done, Approved):
            self._keep_revision()
            self.written.emit(done.files)
        elif isinstance(done, Released):
            self.released.emit(done)
            self.written.emit(done.files)
        else:
            self.written.emit(done)
