"""Where a work goes: saving the project, writing cut files, and what is asked before anything is replaced."""

from pathlib import Path

from PySide6.QtCore import QObject, QSettings
from PySide6.QtWidgets import QFileDialog

from sketchloom.app.parts.widgets import counted
from sketchloom.files.opening import READABLE
from sketchloom.files.project import SUFFIX
from sketchloom.files.release import ONE, VERSIONS, unused_folder


class Keeping(QObject):
    """Asks where to, and about files in the way; ``say(topic, kind, text, actions)`` is the window's."""

    def __init__(self, window, session, panel, say):
        super().__init__(window)
        self._window, self._session, self._say = window, session, say
        session.saved.connect(lambda path: say("save", "done", self.tr("Saved: {0}").format(path)))
        session.written.connect(panel.show_written)
        session.in_the_way.connect(self._ask_replace)
        session.changed_elsewhere.connect(self._ask_over)
        panel.write_wanted.connect(self.ask_write)
        panel.shared_wanted.connect(self.ask_shared)

    def save(self) -> None:
        document = self._session.document
        if document is None:
            return
        if document.path is None:
            self.ask_save_as()
        else:
            self._session.save(document.path)

    def ask_save_as(self) -> None:
        document = self._session.document
        if document is None:
            return
        start = str(Path(self.last_folder()) / (document.name + SUFFIX))
        path, _ = QFileDialog.getSaveFileName(self._window, self.tr("Save the project"), start,
                                              self.tr("Sketch Loom projects (*{0})").format(SUFFIX))
        if path:
            self._session.save(path if path.endswith(SUFFIX) else path + SUFFIX)

    def ask_write(self, files: str, with_report: bool, with_plan: bool = False) -> None:
        name = self._session.document.name
        if files not in (ONE, VERSIONS):
            target = QFileDialog.getExistingDirectory(self._window, self.tr("Folder for the files"), self.last_folder())
        else:
            target, _ = QFileDialog.getSaveFileName(self._window, self.tr("Write the cut file"),
                                                    str(Path(self.last_folder()) / f"{name}.svg"),
                                                    self.tr("Layered SVG (*.svg)"))
            if target and not target.lower().endswith(".svg"):
                target += ".svg"
        if target and files == VERSIONS:
            QSettings().setValue("folder", str(Path(target).parent))
            self._session.write_versions(target)
        elif target:
            QSettings().setValue("folder", str(Path(target).parent if files == ONE else target))
            self._session.write(target, files, with_report, with_plan)

    def _ask_over(self, path):
        """The project's file was changed by another window or program: which of the two is to stay, or both."""
        text = self.tr("“{0}” was changed elsewhere since it was opened here. Nothing was saved.").format(path.name)
        self._say("save", "ask", text, (
            (self.tr("Keep both: save a copy…"), self.ask_save_as),
            (self.tr("Save over it"), lambda: self._session.save(path, over=True))))

    def _ask_replace(self, there, target, again):
        """Files are there already: replace them, or write into a folder of its own."""
        names = ", ".join(path.name for path in there[:3]) + (" …" if len(there) > 3 else "")
        text = counted(len(there), self.tr("{0} is there already. Nothing was written.").format(names),
                       self.tr("{0} files are there already: {1}. Nothing was written.").format("{0}", names))
        fresh = unused_folder(target if target.is_dir() else target.parent, self._session.document.name)
        self._say("write", "ask", text, (
            (self.tr("Replace them"), lambda: again(target)),
            (self.tr("Write into “{0}”").format(fresh.name),
             lambda: again(fresh if target.is_dir() else fresh / target.name))))

    def ask_shared(self) -> None:
        """Other works that share sheets with this one, and where the files go."""
        names = " ".join(f"*{s}" for s in READABLE)
        paths, _ = QFileDialog.getOpenFileNames(
            self._window,
            self.tr("Works or pictures to lay on the same sheets"),
            self.last_folder(),
            self.tr("Pictures and projects ({0})").format(names),
        )
        folder = (
            QFileDialog.getExistingDirectory(self._window, self.tr("Folder for the files"), self.last_folder())
            if paths
            else ""
        )
        if folder:
            self._session.write_shared(paths, folder)

    def last_folder(self):
        document = self._session.document
        kept = QSettings().value("folder", "")
        if document is not None and document.path is not None:
            return str(document.path.parent)
        return kept or str(Path.home())
