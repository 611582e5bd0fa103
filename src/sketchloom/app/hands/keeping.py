"""Where a work goes: saving the project, writing cut files, and what is asked before anything is replaced."""

import tempfile
from pathlib import Path

from PySide6.QtCore import QMimeData, QObject, QSettings
from PySide6.QtGui import QGuiApplication
from PySide6.QtWidgets import QFileDialog, QInputDialog

from sketchloom.app.parts.widgets import counted
from sketchloom.app.words import told
from sketchloom.app.work.pictures import pictured
from sketchloom.core.formats.registry import formats
from sketchloom.files.carving import LOOKS
from sketchloom.files.opening import READABLE
from sketchloom.files.project import SUFFIX
from sketchloom.files.release import SVG, VERSIONS, handing_of, safe_stem, unused_folder, whole_drawing


class Keeping(QObject):
    """Asks where to, and about files in the way; ``say(topic, kind, text, actions)`` is the window's."""

    def __init__(self, window, session, panel, say):
        super().__init__(window)
        self._window, self._session, self._say = window, session, say
        self._may_be_dragged = None
        self._dragged = tempfile.TemporaryDirectory(prefix="sketch-loom-")
        session.saved.connect(lambda path: say("save", "done", self.tr("Saved: {0}").format(path)))
        session.leaving.written.connect(panel.show_written)
        session.leaving.in_the_way.connect(self._ask_replace)
        session.leaving.held_back.connect(self._ask_anyway)
        session.changed_elsewhere.connect(self._ask_over)
        panel.write_wanted.connect(self.ask_write)
        panel.look_wanted.connect(session.leaving.rehearse)
        panel.drag.make = self._made_to_drag
        window.play_view.send_wanted.connect(self.ask_send)
        session.leaving.sent.connect(lambda name: say("send", "done", self.tr("Sent: {0}").format(name)))
        panel.camera.wanted.connect(session.leaving.look_for_page)
        session.leaving.page_seen.connect(panel.camera.show_seen)
        panel.copy_wanted.connect(self.copy_svg)
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

    def ask_write(self, wanted) -> None:
        """Where to, and write what is ``wanted`` there."""
        name, suffix = self._session.document.name, wanted.suffix
        if not suffix:
            target = QFileDialog.getExistingDirectory(self._window, self.tr("Folder for the files"), self.last_folder())
        else:
            kind = (told(wanted.kind.label) if wanted.kind is not None
                    else told(LOOKS[wanted.form][1]) if wanted.form in LOOKS else self.tr("PDF to approve"))
            target, _ = QFileDialog.getSaveFileName(self._window, self.tr("Write the file"),
                                                    str(Path(self.last_folder()) / f"{name}{suffix}"),
                                                    f"{kind} (*{suffix})")
            if target and not target.lower().endswith(suffix):
                target += suffix
        if not target:
            return
        QSettings().setValue("folder", str(Path(target).parent if suffix else target))
        if wanted.split == VERSIONS and wanted.kind is not None:
            self._session.leaving.write_versions(target)
        else:
            self._session.leaving.write(target, wanted)

    def copy_svg(self, anyway: bool = False) -> None:
        """The work as SVG onto the clipboard, as a drawing and as text."""
        work = self._session.work
        if work is None or not work.layers:
            return
        stops = self._session.leaving.stops()
        if stops and not anyway:
            self._ask_all_the_same("copied", stops, self.tr("Nothing was copied."), self.tr("Copy all the same"),
                                   lambda: self.copy_svg(True))
            return
        data = formats()[SVG].write(whole_drawing(work), handing_of(work.recipe))
        mime = QMimeData()
        mime.setData("image/svg+xml", data)
        mime.setText(data.decode())
        QGuiApplication.clipboard().setMimeData(mime)
        self._say("copied", "done", self.tr("Copied as SVG."))

    def copy_picture(self) -> None:
        """The work as a picture with a transparent ground onto the clipboard."""
        shown = self._session.latest
        if shown is None or shown.coarse or not shown.work.layers:
            return
        self._session.tooling.run(
            self.tr("Copying"), lambda _: pictured(shown), self._take_picture, lambda _: None)

    def _take_picture(self, image):
        QGuiApplication.clipboard().setImage(image)
        self._say("copied", "done", self.tr("Copied as a picture, {0} × {1} pixels.").format(
            image.width(), image.height()))

    def ask_print(self) -> None:
        """Print the work at its true size, over as many pages as it takes."""
        from PySide6.QtPrintSupport import QPrintDialog, QPrinter  # nobody waits for it who does not print
        shown = self._session.latest
        if shown is None or shown.coarse or not shown.work.layers:
            self._say("printed", "trouble", self.tr("There is nothing to print yet: the exact result is not there."))
            return
        printer = QPrinter(QPrinter.PrinterMode.HighResolution)
        printer.setDocName(self._session.document.name)
        dialog = QPrintDialog(printer, self._window)
        dialog.setWindowTitle(self.tr("Print at true size"))
        if dialog.exec():
            self.print_on(printer)

    def print_on(self, printer) -> None:
        """Print what is shown."""
        from sketchloom.app.work.printed import CHECK_MM, print_work
        name, shown = self._session.document.name, self._session.latest
        pages = print_work(printer, shown, lambda n, of: self.tr(
            "{0} mm if it is printed at true size. {1}, page {2} of {3}").format(round(CHECK_MM), name, n, of))
        self._say("printed", "done", counted(pages, self.tr("1 page was sent to the printer."),
                                             self.tr("{0} pages were sent to the printer.")))

    def ask_send(self, look, anyway: bool = False) -> None:
        """To which machine a file goes; the last one is offered."""
        stops = self._session.leaving.stops()
        if stops and not anyway:
            self._ask_all_the_same("send", stops, self.tr("Nothing was sent."), self.tr("Send all the same…"),
                                   lambda: self.ask_send(look, True))
            return
        text = self.tr("The machine's address: a device such as /dev/ttyUSB0, or tcp:HOST:PORT. Stay beside it while "
                       "it cuts; its manual comes first.")
        address, is_sure = QInputDialog.getText(self._window, self.tr("Send {0}").format(look.name), text,
                                                text=QSettings().value("machine-address", ""))
        address = address.strip()
        if is_sure and address:
            QSettings().setValue("machine-address", address)
            self._session.leaving.send(look, address)

    def _made_to_drag(self):
        """The work as a file in a folder that ends with the window; None where there is none."""
        work = self._session.work
        if work is None or not work.layers:
            return None
        stops = self._session.leaving.stops()
        if stops and work is not self._may_be_dragged:
            self._ask_all_the_same("dragged", stops, self.tr("It was not dragged out."),
                                   self.tr("Let it be dragged all the same"), lambda: self._let_drag(work))
            return None
        path = Path(self._dragged.name) / f"{safe_stem(self._session.document.name)}.svg"
        path.write_bytes(formats()[SVG].write(whole_drawing(work), handing_of(work.recipe)))
        return path

    def _let_drag(self, work):
        self._may_be_dragged = work
        self._say("dragged", "done", self.tr("It can be dragged out now."))

    def _ask_anyway(self, stops, again):
        self._ask_all_the_same("write", stops, self.tr("Nothing was written."),
                               self.tr("Write all the same; the report says it"), again)

    def _ask_all_the_same(self, place, stops, what, words, again):
        """Findings say stop: what did not happen, why, and whether it is to happen all the same."""
        text = counted(len(stops), told(stops[0].message), self.tr("{0} findings say stop. The first: {1}").format(
            "{0}", told(stops[0].message)))
        self._say(place, "ask", f"{what} {text}", ((words, again),))

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
            self._session.leaving.write_shared(paths, folder)

    def last_folder(self):
        document = self._session.document
        kept = QSettings().value("folder", "")
        if document is not None and document.path is not None:
            return str(document.path.parent)
        return kept or str(Path.home())
