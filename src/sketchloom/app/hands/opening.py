"""Opens files, demos, what the clipboard holds, what the scanner sends and what was left unsaved."""

from dataclasses import replace
from pathlib import Path

from PySide6.QtCore import QObject, Qt
from PySide6.QtGui import QGuiApplication
from PySide6.QtWidgets import QFileDialog

from sketchloom.app.offered import of_files, offered_by
from sketchloom.app.parts.layer_order import LayerOrderDialog
from sketchloom.app.parts.scanner import ScannerDialog, scan_bytes
from sketchloom.files import recovery, user_data
from sketchloom.files.demo_works import demo, put_demo_projects
from sketchloom.files.opening import READABLE, in_name_order

_MOST_WINDOWS = 6
_others: set = set()  # windows opened from another one live as long as they are shown


class Opening(QObject):
    """Whatever begins a work in a window."""

    def __init__(self, window, session, say, trouble):
        super().__init__(window)
        self._window, self._session, self._say, self._trouble = window, session, say, trouble
        session.set_aside.connect(self._show_set_aside)
        session.opened.connect(self._offer_curves)

    def _offer_curves(self, *_):
        """What was opened has curves of its own: they may be kept, or its picture be read like any other."""
        document = self._session.document
        if document.path is not None or not document.pages.is_document or document.recipe.as_drawing:
            return
        self._say("curves", "ask", self.tr(
            "This file is drawn by curves. Its picture is traced, unless they are kept as they are."), (
            (self.tr("Keep its curves"), lambda: self._session.change(
                replace(self._session.document.recipe, as_drawing=True), self.tr("the file's own curves"))),
            (self.tr("Trace its picture"), lambda: None)))

    def ask_open(self) -> None:
        names = " ".join(f"*{s}" for s in READABLE)
        paths, _ = QFileDialog.getOpenFileNames(self._window, self.tr("Open pictures or a project"),
                                                self._window.keeping.last_folder(),
                                                self.tr("Pictures and projects ({0})").format(names))
        self.open_paths(paths)

    def ask_folder(self) -> None:
        """Open the pictures of a folder."""
        folder = QFileDialog.getExistingDirectory(self._window, self.tr("Open a folder of pictures"),
                                                  self._window.keeping.last_folder())
        if folder:
            self._open(of_files([folder]))

    def open_paths(self, paths) -> None:
        """Open files: one at once; of several pictures ask what they are to each other."""
        paths = [str(p) for p in paths]
        if len(paths) == 1:
            self._session.open_path(paths[0])
        elif paths:
            self._say("several", "ask", self.tr("{0} files. What are they to each other?").format(len(paths)), (
                (self.tr("Layers of one work…"), lambda: self._ask_order(paths)),
                (self.tr("Works of their own"), lambda: self._open_apart(paths))))

    def _ask_order(self, paths):
        dialog = LayerOrderDialog(self._window, in_name_order(paths))
        dialog.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        dialog.chosen.connect(self._session.open_as_layers)
        dialog.show()

    def _take_turns(self, paths, number):
        """One work after another in this window; what is not saved of one is set aside."""
        self._session.open_path(paths[number])
        ways = ((self.tr("Next work"), number + 1), (self.tr("Work before"), number - 1))
        self._say("turns", "ask", self.tr("Work {0} of {1}: {2}").format(number + 1, len(paths), Path(
            paths[number]).name), tuple((words, lambda n=to: self._take_turns(paths, n))
                                        for words, to in ways if 0 <= to < len(paths)))

    def _open_apart(self, paths):
        """The first here, each other in a window of its own; more than fit on a screen one after another."""
        if len(paths) > _MOST_WINDOWS:
            self._take_turns(paths, 0)
            return
        self._session.open_path(paths[0])
        for path in paths[1:]:
            window = type(self._window)()
            window.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
            _others.add(window)
            window.destroyed.connect(lambda _=None, w=window: _others.discard(w))
            window.show()
            window.session.open_path(path)

    def show_scanner(self) -> None:
        """Scan the open picture with the scanner that is not there."""
        document = self._session.document
        dialog = ScannerDialog(self._window, document.picture.name)
        dialog.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        dialog.scan_wanted.connect(lambda scan: self._session.open_made(
            self.tr("Scanning"), lambda: scan_bytes(document.picture, scan)))
        dialog.show()

    def open_demo(self, key: str) -> None:
        """Open the user's own copy of a demo project."""
        try:
            self._session.open_path(put_demo_projects(user_data.data_folder() / "demo")[demo(key).key])
        except (OSError, ValueError) as error:
            self._trouble("open", self.tr("The demo could not be copied: {0}").format(error))

    def open_demo_picture(self, key: str) -> None:
        """Open the picture of a demo as one that is new."""
        self._session.open_path(demo(key).picture_path)

    def paste(self) -> None:
        """Open what the clipboard holds: a picture, or a file."""
        self.open_offered(QGuiApplication.clipboard().mimeData())

    def open_offered(self, mime):
        """Open what a clipboard or a drop holds, or say why not."""
        self._open(offered_by(mime))

    def _open(self, found):
        if found.paths:
            self.open_paths(found.paths)
        elif found.data:
            self._session.open_bytes(found.data, found.name)
        else:
            self._trouble("open", found.trouble)

    def offer_recovery(self) -> None:
        """Offer works that were left unsaved."""
        for found in recovery.left_behind()[:3]:
            self._offer(found, self.tr("“{0}” was left unsaved the last time.").format(
                found.path.stem if found.path else found.project.source_name))

    def _offer(self, found, text):
        topic = str(found.folder)
        self._say(topic, "ask", text, (
            (self.tr("Go on with it"), lambda: self._session.open_recovered(found)),
            (self.tr("Discard"), lambda: recovery.discard(found.folder))))

    def _show_set_aside(self, name, folder):
        found = recovery.read_copy(folder) if folder else None
        if found is not None:
            self._offer(found, self.tr("Unsaved “{0}” was set aside and is kept.").format(name))

    def fill_recent(self, menu) -> None:
        """Put the files last opened into a menu."""
        menu.clear()
        for path in user_data.recent_files():
            menu.addAction(f"{path.name}   {path.parent}").triggered.connect(
                lambda _=False, p=path: self._session.open_path(p))
        if menu.isEmpty():
            menu.addAction(self.tr("Nothing yet")).setEnabled(False)
