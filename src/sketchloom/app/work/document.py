"""An open work: its project, its history, and whether it is saved."""

import logging
import time
from concurrent.futures import Future
from dataclasses import dataclass, replace
from pathlib import Path

from PySide6.QtCore import QObject, QTimer, Signal

from sketchloom.app.words import told
from sketchloom.app.work import disk
from sketchloom.app.work.jobs import INSIDE
from sketchloom.core.base.errors import AppError
from sketchloom.files import project as projects
from sketchloom.files.opening import Pages
from sketchloom.files.project import Project
from sketchloom.files.recovery import Recovered, RecoveryCopy
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import Settled
from sketchloom.recipe.settled import carried, settled_with

AUTOSAVE_MS = 1000
_SAME_GESTURE_S = 1.2
_log = logging.getLogger(__name__)


@dataclass(eq=False)
class ProjectFile:
    """A work's file as this window knows it; read and changed beside the window alone, one after the other.

    ``mark`` tells the state it was opened or last written in, ``written`` the recipe that was written last.
    """

    path: Path | None
    mark: tuple | None
    written: Recipe | None = None


@dataclass(frozen=True, eq=False)
class Saving:
    """A state of a work on its way into a file."""

    project: Project
    path: Path
    at: int
    file: ProjectFile

    def write(self, look, over: bool) -> bool:
        """Write it, with the preview that ``look()`` gives; raises ExportError.

        Returns
        -------
        Whether it is written: not where another window or program has written the file since, unless ``over``.
        """
        file = self.file
        if not over and file.path == self.path and projects.is_changed(self.path, file.mark):
            return False
        projects.save(self.project, self.path, look())
        file.path, file.mark, file.written = self.path, projects.mark_of(self.path), self.project.recipe
        return True


class Document(QObject):
    """One work. Every change goes through ``change``, so every change can be undone."""

    changed = Signal()
    trouble = Signal(str)
    _not_written = Signal(str)

    def __init__(self, project: Project, pages: Pages, path=None, saved: bool = False, mark=None,
                 parent=None):
        super().__init__(parent)
        self.pages, self.path = pages, Path(path) if path else None
        self.picture = pages.picture(project.recipe)
        self._source, self._source_name, self._unknown = project.source, project.source_name, project.unknown
        self._id = project.id or projects.new_id()
        self._history: list[tuple[str, Recipe]] = [("", project.recipe)]
        self._at = 0
        self._saved_at = 0 if saved else None
        self._gesture, self._gesture_time = None, 0.0
        self._copy: RecoveryCopy | None = None
        self._recovered = False
        self.has_no_file = False
        self._file = ProjectFile(self.path, mark)
        self._autosave = QTimer(self, singleShot=True, interval=AUTOSAVE_MS)
        self._autosave.timeout.connect(self._write_beside)
        self._writing: Future | None = None
        self._not_written.connect(self._tell_not_written)

    @property
    def recipe(self) -> Recipe:
        return self._history[self._at][1]

    @property
    def name(self) -> str:
        return self.path.stem if self.path else Path(self._source_name).stem

    @property
    def project(self) -> Project:
        return Project(self.recipe, self._source, self._source_name, self._unknown, id=self._id)

    @property
    def is_saved(self) -> bool:
        return self._saved_at == self._at

    @property
    def is_worth_keeping(self) -> bool:
        """Whether something would be lost if this work were closed now."""
        fresh_picture = self._at == 0 and self.path is None and not self.has_no_file and not self._recovered
        return not self.is_saved and not fresh_picture

    @property
    def recovery_folder(self) -> Path | None:
        return self._copy.folder if self._copy is not None else None

    def adopt(self, recovered: Recovered) -> None:
        """Go on writing into the copy this work was recovered from."""
        self._recovered = True
        self._copy = RecoveryCopy.taken_over(recovered)
        self.write_recovery()

    def change(self, recipe: Recipe, what: str, gesture: str | None = None) -> None:
        """Take a new recipe. Changes of one gesture in a row make one step of undo."""
        recipe = carried(self.recipe, recipe)
        if recipe == self.recipe and recipe.settled == self.recipe.settled:
            return
        now = time.monotonic()
        same = gesture is not None and gesture == self._gesture and now - self._gesture_time < _SAME_GESTURE_S
        self._gesture, self._gesture_time = gesture, now
        if same and self._at == len(self._history) - 1 and self._saved_at != self._at:
            self._history[self._at] = (what, recipe)
        else:
            if self._saved_at is not None and self._saved_at > self._at:
                self._saved_at = None
            del self._history[self._at + 1:]
            self._history.append((what, recipe))
            self._at += 1
        self._after_change()

    def settle(self, chosen: Settled) -> None:
        """Keep what was proposed for the present recipe. That is no decision, so nothing to undo."""
        what, recipe = self._history[self._at]
        self._history[self._at] = (what, settled_with(recipe, chosen))

    def undo(self) -> None:
        if self.undo_text() is not None:
            self._at -= 1
            self._gesture = None
            self._after_change()

    def redo(self) -> None:
        if self.redo_text() is not None:
            self._at += 1
            self._gesture = None
            self._after_change()

    def undo_text(self) -> str | None:
        return self._history[self._at][0] if self._at > 0 else None

    def redo_text(self) -> str | None:
        return self._history[self._at + 1][0] if self._at + 1 < len(self._history) else None

    def _after_change(self):
        if not self._autosave.isActive():
            self._autosave.start()
        self.changed.emit()

    def write_recovery(self) -> Future:
        """Have the recovery copy written now."""
        self._autosave.stop()
        self._writing = disk.later(self._write, self.project, self.path)
        return self._writing

    def _write_beside(self):
        """Write it while the hand goes on; once more later where the last one is still being written."""
        if self._writing is not None and not self._writing.done():
            self._autosave.start()
        else:
            self.write_recovery()

    def _write(self, project, path):
        try:
            if self._copy is None:
                self._copy = RecoveryCopy.begin(project)
            self._copy.write(project.recipe, path)
        except (AppError, OSError) as error:
            self._not_written.emit(str(error))
        except Exception:  # beside the window nobody else would see it
            _log.exception("a recovery copy")
            self._not_written.emit(told(INSIDE))

    def _tell_not_written(self, why):
        self.trouble.emit(self.tr("No recovery copy could be written: {0}").format(why))

    def saving(self, path) -> Saving:
        """What is to be written into a file, as it is now; a copy under another name is a work of its own."""
        path = Path(path)
        own = projects.new_id() if self.path is not None and path != self.path else self._id
        return Saving(replace(self.project, id=own), path, self._at, self._file)

    def take_saved(self, saving: Saving) -> None:
        """It was written. What was changed meanwhile is not saved."""
        self.path, self._id = saving.path, saving.project.id
        is_there = saving.at < len(self._history) and self._history[saving.at][1] == saving.project.recipe
        self._saved_at = saving.at if is_there else None
        if self.is_saved:
            self.drop_recovery()
        else:
            self.write_recovery()  # it belongs to this file from now on
        self.changed.emit()

    def drop_recovery(self) -> Future:
        """The work is safe or given up: no copy is wanted."""
        self._autosave.stop()
        return disk.later(self._drop)

    def _drop(self):
        if self._copy is not None:
            self._copy.forget()
            self._copy = None

    def keep_for_next_start(self) -> Future:
        """Leave the unsaved work to be offered at the next start; its result is the folder of the copy, None where
        there is none or its file holds it by now."""
        self.write_recovery()
        return disk.later(self._release, self.recipe)

    def _release(self, recipe):
        if self._file.written == recipe:  # it was on its way into its file
            self._drop()
        if self._copy is None:
            return None
        self._copy.release()
        return self._copy.folder
