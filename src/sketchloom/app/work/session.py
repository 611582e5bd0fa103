"""An open work and all that happens to it: opening, evaluating, saving, writing, recovering."""

from dataclasses import dataclass
from pathlib import Path

from PySide6.QtCore import QBuffer, QByteArray, QIODevice, QLocale, QObject, QTimer, Signal
from PySide6.QtGui import QColor, QImage, QPainter

from sketchloom.app.bench.paint import SourceImage, paint_layers
from sketchloom.app.work import store
from sketchloom.app.work.aside import Aside
from sketchloom.app.work.background import Background
from sketchloom.app.work.document import Document
from sketchloom.app.work.worker import Evaluator, Shown
from sketchloom.core.base.errors import AppError
from sketchloom.core.formats.atomic import write_whole
from sketchloom.desk import mends
from sketchloom.evaluate.pipeline import Pipeline, require_traceable
from sketchloom.files import opening, release, report

BUSY_AFTER_MS = 500
_PREVIEW_PX = 512


@dataclass(frozen=True, slots=True, eq=False)
class _Ready:
    opened: opening.Opened
    image: SourceImage
    recovered: store.Recovered | None


class Session(QObject):
    """One work at a time. Says what happened by signals; asks nothing."""

    opened = Signal(object, object)
    changed = Signal()
    shown = Signal(object)
    busy = Signal(str)
    trouble = Signal(str, str)
    written = Signal(object)
    saved = Signal(object)
    set_aside = Signal(str, object)
    stopped = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self.document: Document | None = None
        self.latest: Shown | None = None
        self.image: SourceImage | None = None
        self.background = Background(self)
        self.helper = Background(self)  # what is looked for on the way; it must not push an opening or a writing aside
        self.aside = Aside(self)
        self.evaluator = Evaluator(self)
        self.evaluator.ready.connect(self._take)
        self.evaluator.failed.connect(self._evaluation_failed)
        self.evaluator.progressed.connect(self._note_progress)
        self.evaluator.idle.connect(self._idle)
        for one in (self.background, self.helper):
            one.started.connect(self._begin_busy)
            one.ended.connect(self._idle)
        self._busy_text = ""
        self._busy_timer = QTimer(self, singleShot=True, interval=BUSY_AFTER_MS)
        self._busy_timer.timeout.connect(lambda: self.busy.emit(self._busy_text))

    # -- opening -------------------------------------------------------------------------

    def open_path(self, path) -> None:
        """Open a picture or a project; the open work stays until the new one is ready."""
        path = Path(path)
        self._open(self.tr("Opening {0}").format(path.name), lambda: opening.open_file(path))

    def open_bytes(self, data: bytes, name: str) -> None:
        self._open(self.tr("Opening {0}").format(name), lambda: opening.open_bytes(data, name))

    def open_as_layers(self, paths) -> None:
        """Open several pictures of one frame as the layers of one work."""
        paths = [Path(p) for p in paths]
        self._open(self.tr("Opening {0} pictures").format(len(paths)), lambda: opening.open_as_layers(paths))

    def open_made(self, text: str, make) -> None:
        """Open what ``make()``, called elsewhere, gives: the bytes of a picture and its name."""
        self._open(text, lambda: opening.open_bytes(*make()))

    def open_recovered(self, recovered: store.Recovered) -> None:
        """Go on with a work that was left unsaved."""
        self._open(self.tr("Opening {0}").format(recovered.project.source_name),
                   lambda: opening.open_project(recovered.project, recovered.path), recovered)

    def _open(self, text, read, recovered=None):
        def work():
            opened = read() if recovered else opening.named_in(read(), QLocale.system().name().partition("_")[0])
            return _Ready(opened, SourceImage(opened.picture), recovered)
        self.background.run(text, work, self._open_ready, lambda why: self.trouble.emit("open", why))

    def _open_ready(self, ready):
        old = self.document
        if old is not None and old.is_worth_keeping:
            old.keep_for_next_start()
            self.set_aside.emit(old.name, old.recovery_folder)
        elif old is not None:
            old.drop_recovery()
        self.evaluator.cancel()
        one = ready.opened
        # a project as it lies on disk is saved; a recovered one and a new picture are not
        on_disk = one.path is not None and ready.recovered is None
        self.document = Document(one.project, one.pages, one.path, saved=on_disk, parent=self)
        if ready.recovered is not None:
            self.document.adopt(ready.recovered)
        elif one.origin is None:
            self.document.has_no_file = True
        if one.origin is not None:
            store.remember(one.origin)
        self.document.changed.connect(self._document_changed)
        self.document.trouble.connect(lambda why: self.trouble.emit("recovery", why))
        self.latest, self.image = None, ready.image
        if old is not None:
            old.deleteLater()
        self.opened.emit(self.document, ready.image)
        self._document_changed()

    # -- evaluating ----------------------------------------------------------------------

    def change(self, recipe, what: str, gesture: str = "") -> None:
        if self.document is not None:
            self.document.change(recipe, what, gesture or None)

    def evaluate(self) -> None:
        """Ask for the current recipe's result."""
        if self.document is not None:
            self.evaluator.request(self.document.pages, self.document.recipe, self.image)
            self._begin_busy(self.tr("Tracing"))

    def cancel(self) -> None:
        """Stop what runs."""
        if self.background.busy:
            self.background.forget()
        elif self.helper.busy:
            self.helper.forget()
        else:
            self.evaluator.cancel()
            self._idle()
            self.stopped.emit()

    def mend(self, finding) -> None:
        """Change the recipe so that a finding goes away, if that can be done."""
        if self.work is not None:
            recipe = mends.mended(finding, self.work)
            if recipe is not None:
                self.change(recipe, self.tr("mended finding"))

    def mend_all(self, code: str) -> bool:
        """Mend every finding of a kind; whether anything changed."""
        recipe = None if self.work is None else mends.mended_all(code, self.work)
        if recipe is not None:
            self.change(recipe, self.tr("mended all findings of a kind"))
        return recipe is not None

    @property
    def work(self):
        """The exact result for the present recipe; None while it is not there yet."""
        latest = self.latest
        if latest is None or latest.coarse or not latest.work.measured or not self.evaluator.is_current(latest.number):
            return None
        return latest.work

    def _document_changed(self):
        self.aside.cancel()
        self.changed.emit()
        self.evaluate()

    def _take(self, shown):
        if self.document is not None and self.evaluator.is_current(shown.number):
            self.latest = shown
            self.shown.emit(shown)

    def _evaluation_failed(self, number, text):
        if self.evaluator.is_current(number):
            self.trouble.emit("evaluate", text)

    def _begin_busy(self, text):
        self._busy_text = text
        if not self._busy_timer.isActive():
            self._busy_timer.start()

    def _note_progress(self, done, total, text):
        self._busy_text = self.tr("{0} ({1} of {2})").format(text, done + 1, total)
        if not self._busy_timer.isActive():
            self.busy.emit(self._busy_text)

    def _idle(self):
        self._busy_timer.stop()
        if not (self.background.busy or self.helper.busy):
            self.busy.emit("")

    # -- keeping and handing over ----------------------------------------------------------

    def save(self, path) -> bool:
        """Save the project; False, with a message, when it could not be."""
        try:
            self.document.save(path, self._preview())
        except AppError as error:
            self.trouble.emit("save", str(error))
            return False
        store.remember(path)
        self.saved.emit(Path(path))
        return True

    def write(self, target, kind: str, with_report: bool, with_plan: bool = False) -> None:
        """Write the cut files of the exact result."""
        work = self.work
        if work is None:
            self.trouble.emit("write", self.tr("The work is still being traced; write again when it is done."))
            return
        name, target = self.document.name, Path(target)
        words = {"heading": self.tr("Order of work"), "one": self.tr("{number}  {name}: piece {first}"),
                 "many": self.tr("{number}  {name}: pieces {first}–{last}"),
                 "way_up": self.tr("A piece with an arrow nearly fits the wrong way round: the arrow points up."),
                 "top": self.tr("Up is up on this page; true size.")}

        def run():
            if kind == "design":
                files = release.write_designs(work, target, name)
            elif kind == "piece":
                files = release.write_pieces(work, target, name)
            elif kind == "each":
                files = release.write_layers(work, target, name)
            else:
                files = release.write_svg(work, target)
            if with_report:
                beside = (target / f"{release.safe_stem(name)}-report.json") if kind != "one" else target.with_suffix(".json")
                write_whole(beside, report.to_bytes(report.report_of(work, work.picture.name, work.timings_s, compared=True)))
                files.append(beside)
            if with_plan:
                beside = (target / f"{release.safe_stem(name)}-plan.svg") if kind != "one" else target.with_name(f"{target.stem}-plan.svg")
                files.append(release.write_plan(work, beside, words))
            return files
        self.background.run(self.tr("Writing"), run, self.written.emit, lambda why: self.trouble.emit("write", why))

    def write_shared(self, paths, folder) -> None:
        """Write sheets with the parts of this work and of others, given as projects or pictures."""
        work = self.work
        if work is None:
            self.trouble.emit("write", self.tr("The work is still being traced; write again when it is done."))
            return
        name = self.document.name

        def run():
            works = [work]
            for path in paths:
                opened = opening.open_file(path)
                made = Pipeline().evaluate(opened.picture, opened.project.recipe)
                require_traceable(made, path)
                works.append(made)
            return release.write_shared(works, Path(folder), name)
        self.background.run(self.tr("Tracing the other works"), run, self.written.emit, lambda why: self.trouble.emit("write", why))

    def close(self) -> None:
        """End; unsaved work is left to the next start."""
        if self.document is not None:
            if self.document.is_worth_keeping:
                self.document.keep_for_next_start()
            else:
                self.document.drop_recovery()
        self.background.close()
        self.helper.close()
        self.aside.close()
        self.evaluator.close()

    def _preview(self) -> bytes | None:
        if self.latest is None:
            return None
        width, height = self.latest.work.size_mm
        scale = _PREVIEW_PX / max(width, height)
        image = QImage(max(1, round(width * scale)), max(1, round(height * scale)), QImage.Format.Format_ARGB32)
        image.fill(QColor(0, 0, 0, 0))
        painter = QPainter(image)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.scale(scale, scale)
        paint_layers(painter, self.latest.work.layers, self.latest.paths, self.latest.work.mm_per_px)
        painter.end()
        return png_bytes(image)


def png_bytes(image: QImage) -> bytes:
    """A picture as the bytes of a PNG file."""
    data = QByteArray()
    buffer = QBuffer(data)
    buffer.open(QIODevice.OpenModeFlag.WriteOnly)
    image.save(buffer, "PNG")
    return data.data()
