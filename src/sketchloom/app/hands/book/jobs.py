"""Jobs of the logbook: each release becomes one; how it went, its look, its approvals, and to do it again."""

import itertools
from dataclasses import replace
from pathlib import Path

from PySide6.QtCore import QObject, QUrl
from PySide6.QtGui import QDesktopServices

from sketchloom.app.stages.numbers import LAYERS, SHEETS
from sketchloom.app.words import told
from sketchloom.app.work.pictures import preview_png
from sketchloom.app.work.released import Released
from sketchloom.core.logbook.records import FAILED, PLANNED, RUNNING, Approval, Job
from sketchloom.files import user_data, workshop

_PLANS = 3
"""Plans that are looked at for a job whose sheets nobody looked at."""


class Releases(QObject):
    """What a window releases is kept in its logbook, whether anybody looks at that or not."""

    def __init__(self, logging, session):
        super().__init__(logging)
        self._logging, self._session = logging, session
        session.leaving.released.connect(self._released)
        session.leaving.sent.connect(self._sent)

    def _released(self, done):
        """What was written for a machine is a job."""
        keep = self._keeping(done)
        if keep is not None and done.files:
            self._with_book(keep)

    def _sent(self, name):
        """What was sent to a machine runs: the job that was released last of this work, or else a new one."""
        keep = self._keeping(Released([Path(name)]))
        if keep is None:
            return
        work = self._session.document.name

        def run(book):
            waiting = book.all(Job, limit=1, work=work[:300], state=PLANNED)
            number = waiting[0].number if waiting else keep(book)
            _run(book, number, RUNNING, 0.0)
        self._with_book(run)

    def _with_book(self, do):
        self._logging.with_book(do, lambda _: self._logging.is_seen and self._logging.page.ask(),
                                lambda why: self._logging.say("logbook", "trouble", told(why)))

    def _keeping(self, done):
        """What keeps the job of files, called with the logbook; None where no work is there."""
        session, work = self._session, self._session.work
        if work is None or session.document is None:
            return None
        name, project, shown = session.document.name, session.document.project, session.latest
        carved = done.carved or session.carved_of(work)
        plan = done.plan or session.plan_of(work)

        def keep(book):
            job = _job(work, name, done, plan, carved, user_data.prices())
            return workshop.keep_job(book, job, _machine(work), project, preview_png(shown))
        return keep


def _run(book, number, state, real_s):
    from sketchloom.desk.shop import Names, ran

    return ran(book, number, state, Names.from_table(user_data.materials(), told), user_data.prices(), real_s)


class JobKeeping(QObject):
    """Jobs on the page of a window's logbook."""

    def __init__(self, logging, window):
        super().__init__(logging)
        self._logging, self._session, self._window = logging, window.session, window
        page = self._page = logging.page
        page.jobs.ran.connect(self._ran)
        page.jobs.noted.connect(self._note)
        page.jobs.again.connect(self._again)
        page.jobs.approval_wanted.connect(self._approve)
        page.jobs.approval_opened.connect(self._open_approval)
        page.chosen_changed.connect(self._show)
        page.calendar.wanted.connect(self._month)
        window.session.opened.connect(self._opened)
        window.session.trouble.connect(lambda topic, _: topic == "open" and self._forget())
        self._meant = None

    def _ran(self, state, minutes):
        chosen = self._page.chosen
        if chosen is None:
            return

        def show(missing):
            self._page.choose(chosen.number)
            self._page.ask()
            if missing and state != FAILED:
                self._logging.say("stock", "ask", self.tr("Not in stock: {0}.").format(
                    "; ".join(self._in_words(one) for one in missing[:4])))
        self._logging.with_book(lambda book: _run(book, chosen.number, state, 60 * minutes), show)

    def _note(self, customer, note):
        chosen = self._page.chosen
        if chosen is None:
            return

        def keep(book):
            kept = book.one(Job, chosen.number)
            if kept is not None:
                book.change(chosen.number, replace(kept.one, customer=customer, note=note))
        self._logging.do(keep)

    def _in_words(self, one):
        if one.entry:
            return self.tr("the rest {0}").format(one.entry)
        material = one.material or self.tr("a material that was not said")
        if one.length_mm:
            return self.tr("{0} mm of {1}").format(round(one.length_mm), material)
        return self.tr("{0} sheets of {1}").format(one.sheets, material)

    # -- what is chosen ------------------------------------------------------------------

    def _show(self, kept):
        """The look and the approvals of what is chosen."""
        if kept is None or not isinstance(kept.one, Job):
            return

        def read(book):
            path = workshop.path_of(kept.one.picture)
            return (None if path is None else path.read_bytes(),
                    [one.one for one in book.all(Approval, job=kept.number)])

        def show(made):
            if self._page.chosen is not None and self._page.chosen.number == kept.number:
                self._page.jobs.look.show_png(made[0])
                self._page.jobs.show_approvals(made[1])
        self._logging.with_book(read, show)

    def _approve(self):
        chosen = self._page.chosen
        path = self._logging.ask_source(self.tr("Keep an approval"), self.tr(
            "Approvals (*.pdf *.png *.jpg *.jpeg *.svg *.txt *.eml)"))
        if path and chosen is not None:
            self._logging.with_book(lambda book: workshop.keep_approval(book, chosen.number, path),
                                    lambda _: self._show(chosen),
                                    lambda why: self._logging.say("logbook", "trouble", told(why)))

    @staticmethod
    def _open_approval(name):
        path = workshop.path_of(name)
        if path is not None:
            QDesktopServices.openUrl(QUrl.fromLocalFile(str(path)))

    def _month(self, year, month):
        def read(book):
            from sketchloom.desk import shop  # beside the window: it takes its time the first time

            return shop.month(book, year, month)
        self._logging.with_book(read, lambda made: self._page.calendar.show_month(year, month, made))

    # -- again -----------------------------------------------------------------------------

    def _again(self, width_mm, in_colours):
        """Open the work of a job as it was released, with another width."""
        chosen = self._page.chosen
        if chosen is None:
            return

        def read():
            project = workshop.work_of(chosen.one)
            if abs(width_mm - chosen.one.width_mm) < 1e-6:
                return project
            return replace(project, recipe=replace(project.recipe, size_mm=width_mm, size_side="width"))
        self._meant = LAYERS if in_colours else SHEETS
        self._session.open_again(chosen.one.work, read)

    def _forget(self):
        """It could not be opened: what is opened next is not meant."""
        self._meant = None

    def _opened(self, *_):
        """The work of a job is there: its layers, or its sheets."""
        if self._meant is not None:
            stage, self._meant = self._meant, None
            self._window.show_stage(stage)


def _machine(work):
    from sketchloom.evaluate.planning import machine_of

    return machine_of(work)


def _job(work, name, done, plan, carved, prices):
    """The job of what was written; its sheets are planned here where nobody did, with those of other works whose parts
    are in the files."""
    from sketchloom.evaluate.carving import is_carved
    from sketchloom.evaluate.planning import plans_of
    from sketchloom.files.jobs import job_of

    if done.others:
        plan, name = None, f"{name} + {len(done.others)}"
    if plan is None and not is_carved(work) and work.layers:
        *_, plan = itertools.islice(plans_of((work, *done.others), prices=prices), _PLANS)
    pace = prices.rates.pace_of(_machine(work).name)
    return job_of(work, name, [Path(p) for p in done.files], plan, 0.0 if carved is None else carved.seconds, pace=pace)
