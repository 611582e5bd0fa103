"""Release stage: what goes into which file, the cautions, and the writing itself."""

from dataclasses import replace

from PySide6.QtCore import Qt, QUrl, Signal
from PySide6.QtGui import QDesktopServices
from PySide6.QtWidgets import (
    QCheckBox,
    QComboBox,
    QHeaderView,
    QTableWidget,
    QTableWidgetItem,
    QVBoxLayout,
    QWidget,
)

from sketchloom.app import theme
from sketchloom.app.parts.drag_out import DragOut
from sketchloom.app.parts.widgets import (
    UNKNOWN,
    Choice,
    Figures,
    Panel,
    button,
    counted,
    label,
    nodes_text,
    plain_tip,
    say_on,
    swatch,
)
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.fold import Fold, one_at_a_time
from sketchloom.app.stages.releasing.camera_box import CameraBox
from sketchloom.app.stages.releasing.cautions_box import CautionsBox
from sketchloom.app.stages.releasing.checks_box import ChecksBox
from sketchloom.app.stages.releasing.dialect_box import DialectBox
from sketchloom.app.stages.releasing.recipients_box import RecipientsBox
from sketchloom.app.words import named, told
from sketchloom.core.base.units import format_length
from sketchloom.core.formats.registry import formats
from sketchloom.desk.preflight import checks_of
from sketchloom.evaluate.carving import is_carved
from sketchloom.files.carving import LOOKS
from sketchloom.files.outgoing import Wanted
from sketchloom.files.recipients import APPROVAL, PACKAGE, STICKERS
from sketchloom.files.release import SVG, VERSIONS


class ReleasePanel(Panel):
    """Writing of files."""

    write_wanted = Signal(object)
    look_wanted = Signal(object)
    change = Signal(object, str, str)
    shared_wanted = Signal()
    copy_wanted = Signal()
    kept = Signal(str)

    def __init__(self, parent=None):
        super().__init__("", parent)
        self.head(self.tr("Release"))
        self._folder = self._recipe = self._document = None
        self._can_write = False
        self._handing = QWidget()  # takes the controls that are made from descriptions
        self._handing.setLayout(QVBoxLayout())
        self._handing.layout().setContentsMargins(0, 0, 0, 0)
        self._build_recipients()
        self._build_files()
        self._build_table()
        self._build_checks()
        self.camera = CameraBox()
        self.fold = Fold(self.tr("How the files are written"), self._handing)
        self._build_writing()
        parts = Box()
        parts.add(self._plan, self._report, self._marks, self._table, self._hidden, self._figures,
                  (self._shared, self._copy))
        self.content = Fold(self.tr("What is written"), parts, True)
        one_at_a_time((self.content, self.fold))
        self.add(self.who, (label(self.tr("Format")), self._form), self._how, self.camera, self.checks, self._look,
                 self._write, self._not_yet, self._result, self._open, self.drag, self.content, self.fold, self._keep)
        self.section(self.tr("Before you cut"))
        self.add(CautionsBox())
        self.column.addStretch(1)
        self._take_recipient("designer", False)

    def purpose(self):
        return self.tr("The files, for whoever gets them: checked, played as the machine would run them, then written.")

    def landmarks(self):
        return (
            (self.who, self.tr("Who gets the files. It sets the format and all that goes with it.")),
            (self._form, self.tr("The format, where another is wanted.")),
            (self.checks, self.tr("What is checked before anything is written; each point can be gone to and mended.")),
            (self._look, self.tr("Files are made, read back and played; nothing is written.")),
            (self._write, self.tr("Writes them. What is there already is asked about once.")),
            (self.content, self.tr("Which layers are written, and what beside them.")),
        )

    def place(self, box) -> None:
        """Controls that are made from descriptions, in their fold."""
        self.placed = box
        box.change.connect(self.change)
        self._handing.layout().addWidget(box)
        self._handing.layout().addWidget(self.dialect)

    def _build_checks(self):
        self.checks = ChecksBox()
        self.checks.chosen.connect(self._show_checks)
        self.dialect = DialectBox()
        self.dialect.chosen.connect(lambda key: self._recipe is not None and self.change.emit(
            replace(self._recipe, dialect=key), self.tr("dialect of machine code"), ""))
        self.plan_of = self.carved_of = lambda work: None
        self._work = self._of_work = self._of_files = None

    @property
    def is_checked(self) -> bool:
        """Whether the checks that need no file are made."""
        return self._of_work is not None

    def take_findings(self, work, found) -> None:
        """What is found of a work when it is to leave."""
        if work is self._work:
            self._of_work = found
            self._show_checks()

    def take_file_findings(self, work, found) -> None:
        """What speaks against files that were looked at."""
        if work is self._work:
            self._of_files = found
            self._show_checks()

    def _show_checks(self):
        """The checks as they stand; they are made beside the window."""
        if self._work is None or self._of_work is None:
            self.checks.show_checks((), self._work is not None)
            return
        carved = self.carved_of(self._work)
        self.checks.show_checks(checks_of(self._work, self.plan_of(self._work), self._of_files,
                                          self.checks.unchecked, self._of_work,
                                          None if carved is None else carved.findings))

    def _build_recipients(self):
        self.who = RecipientsBox(self._chosen_for)
        self.who.taken.connect(lambda one: self._take_recipient(one.key))
        self.who.said.connect(lambda text, is_wrong: self._say(text, "trouble" if is_wrong else "done"))
        self._form = QComboBox()
        self._form.setAccessibleName(self.tr("Format"))
        self._fill_forms(False)
        self._form.activated.connect(lambda _: self._show_form())
        self._look = button(self.tr("Look at the files first"), "play",
                            self.tr("Made, read back and played as the machine would run them; nothing is written"))
        self._look.clicked.connect(lambda: self.look_wanted.emit(self.wanted))
        self._keep = button(self.tr("Keep this for the next work"), "device-floppy",
                            self.tr("Format, files and settings, for whoever is chosen above"))
        self._keep.clicked.connect(self.who.keep)

    def _fill_forms(self, of_carving):
        """All that can be written; a carved blank only where there is one."""
        rows = [*((told(one.label), one.key) for one in formats().values()),
                (self.tr("A page to approve"), APPROVAL), (self.tr("All of it in one folder"), PACKAGE),
                (self.tr("Pages to print, and their cuts"), STICKERS),
                *((told(words), key) for key, (_, words) in LOOKS.items() if of_carving)]
        if self._form.count() != len(rows):
            now = self._form.currentData()
            self._form.clear()
            for text, key in rows:
                self._form.addItem(text, key)
            self._form.setCurrentIndex(max(self._form.findData(now), 0))

    def _take_recipient(self, key, by_hand=True):
        """Take what suits one who gets works."""
        one = self.who.show_one(key)
        self._form.setCurrentIndex(max(self._form.findData(one.format), 0))
        self._how.show_value(one.split)
        self._choose(one.split)
        self._report.setChecked(one.report)
        self._plan.setChecked(one.plan)
        self.checks.take(one.unchecked)
        self._show_checks()
        self._show_form()
        if by_hand and self._recipe is not None and one.applied(self._recipe) != self._recipe:
            self.change.emit(one.applied(self._recipe), self.tr("for {0}").format(named(one.name).lower()), "")

    def _chosen_for(self, one):
        return self._recipe and one.kept(self._recipe, self.wanted.form, self._files, self._report.isChecked(),
                                         self._plan.isChecked(), sorted(self.checks.unchecked))

    def _show_form(self):
        """What a form needs of the rest."""
        wanted = self.wanted
        is_plain = wanted.kind is not None
        self._how.setEnabled(is_plain)
        self.camera.setVisible(wanted.form == STICKERS)
        of_one = self._files != VERSIONS  # versions are traced anew as they are written
        self._look.setEnabled(self._can_write and (of_one or not is_plain))
        for part in (self._report, self._plan):
            part.setEnabled(is_plain and of_one)
        suffix = wanted.kind.suffix[1:].upper() if is_plain else {
            APPROVAL: self.tr("the page to approve"), PACKAGE: self.tr("the folder"),
            STICKERS: self.tr("pages and cuts"), **{key: end[1:].upper() for key, (end, _) in LOOKS.items()}}[
                wanted.form]
        self._write.setText(self.tr("Write {0}…").format(suffix))

    @property
    def wanted(self) -> Wanted:
        """What is to be written."""
        return Wanted(self._form.currentData() or SVG, self._files, self._report.isChecked(), self._plan.isChecked(),
                      tuple(sorted(self.checks.unchecked)), self.camera.found)

    def _build_files(self):
        self._how = Choice(
            (
                ("one", self.tr("One file"), self.tr("All layers in one file, base first")),
                ("layer", self.tr("Per layer"), self.tr("A file a layer, all on the same page so that they line up")),
                ("piece", self.tr("Per piece"), self.tr("A file a piece, each where it goes on the page")),
                (
                    "design",
                    self.tr("Per design"),
                    self.tr("A file for each of several designs on the page; what is 6 mm apart is another design"),
                ),
                (
                    "versions",
                    self.tr("Versions"),
                    self.tr("The work and all alternatives kept of it in one file, side by side, each an object of its "
                            "own; they are kept in the strip of variants (V)"),
                ),
                (
                    "sheet",
                    self.tr("Per sheet"),
                    self.tr("A file for each sheet that goes into the machine, as planned under Sheets"),
                ),
            ),
            self.tr("Files"),
            3,
        )
        self._how.show_value("one")
        self._files = "one"
        self._how.chosen.connect(self._choose)
        self._report = QCheckBox(self.tr("Also write the report (JSON)"))
        self._plan = QCheckBox(self.tr("Also write the laying plan (SVG, PDF)"))
        self._plan.setToolTip(self.tr("Every piece with its number where it goes, and the order of work, to print"))
        self._marks = QCheckBox(self.tr("Marks on every sheet, to lay them by"))
        self._marks.setToolTip(
            self.tr(
                "Three round holes beside the work, so that no sheet can be laid turned or turned over, and the "
                "sheet's number in the fourth corner"
            )
        )
        self._marks.clicked.connect(
            lambda on: (
                self._recipe is not None
                and self.change.emit(replace(self._recipe, marks=on), self.tr("marks on the sheets"), "")
            )
        )

    def _build_table(self):
        self._figures = Figures()
        self._table = QTableWidget(0, 4)
        self._table.setHorizontalHeaderLabels(
            [self.tr("Layer"), self.tr("Pieces"), self.tr("Holes"), self.tr("Cutting")]
        )
        self._table.verticalHeader().hide()
        self._table.setEditTriggers(QTableWidget.EditTrigger.NoEditTriggers)
        self._table.setSelectionMode(QTableWidget.SelectionMode.NoSelection)
        self._table.setFocusPolicy(Qt.FocusPolicy.NoFocus)
        self._table.setShowGrid(False)
        self._table.setAccessibleName(self.tr("Layers that will be written"))
        header = self._table.horizontalHeader()
        header.setSectionResizeMode(QHeaderView.ResizeMode.ResizeToContents)
        header.setSectionResizeMode(0, QHeaderView.ResizeMode.Stretch)
        self._hidden = label("", "quiet")

    def _build_writing(self):
        self._write = button(self.tr("Write {0}…").format("SVG"), "", self.tr("Choose where, then write (Ctrl+E)"))
        self._write.clicked.connect(self.ask)
        self._not_yet = label(self.tr("Files can be written once the exact result is there."), "quiet")
        self._not_yet.hide()
        self._result = label("", "done")
        self._result.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
        self._result.hide()
        self._shared = button(
            self.tr("On shared sheets…"),
            "layout-columns",
            self.tr("With other works or pictures: one file a sheet, with the parts of all of them cut from it"),
        )
        self._shared.clicked.connect(self.shared_wanted)
        self._copy = button(self.tr("Copy as SVG"), "clipboard", self.tr("To paste it into another program"))
        self._copy.clicked.connect(self.copy_wanted)
        self.drag = DragOut(self.tr("Drag it out as a file"))
        self._open = button(self.tr("Open the folder"), "folder-open")
        self._open.clicked.connect(lambda: QDesktopServices.openUrl(QUrl.fromLocalFile(str(self._folder))))
        self._open.hide()

    def _choose(self, key):
        self._files = key
        self._show_form()

    def ask(self) -> None:
        """Ask for the files to be written as chosen."""
        if self._write.isEnabled():
            self.write_wanted.emit(self.wanted)

    def show_document(self, document) -> None:
        self._result.hide()
        self._open.hide()
        self._recipe = document.recipe
        if document is not self._document:
            self.camera.drop()  # another work's page is another page
            self._document = document
        self.dialect.show_recipe(document.recipe)
        self.camera.show_recipe(document.recipe)
        self._marks.setChecked(document.recipe.marks)

    def show_work(self, work) -> None:
        unit = work.recipe.unit
        self._recipe = work.recipe
        if work is not self._work:
            self._work = None if work.rough else work
            self._of_work = self._of_files = None
        self._show_checks()
        self._fill_forms(is_carved(work))
        self._can_write = bool(work.layers) and not work.rough  # a preview is not what is written
        for part in (self._write, self._shared, self._copy, self.drag):
            part.setEnabled(self._can_write)
        self._show_form()
        self._not_yet.setVisible(work.rough)
        self._figures.show_values(
            (
                (self.tr("Page"), " × ".join(format_length(v, unit) for v in work.size_mm)),
                (
                    self.tr("Layering"),
                    {
                        "stacked": self.tr("stacked"),
                        "fitted": self.tr("fitted"),
                        "windowed": self.tr("windowed"),
                        "lean": self.tr("lean"),
                        "based": self.tr("on a base"),
                    }[work.laying.way],
                ),
                (self.tr("Nodes"), nodes_text(work)),
                *(
                    ((self.tr("Weeding cuts"), format_length(work.weeding_length_mm, unit, 0)),)
                    if work.recipe.weeding_mm > 0
                    else ()
                ),
            ), known=not work.rough)
        hidden = sum(layer.plan.hidden for layer in work.layers)
        self._hidden.setText(
            counted(hidden, self.tr("1 hidden layer is written, too."), self.tr("{0} hidden layers are written, too."))
        )
        self._hidden.setVisible(hidden > 0)
        self._table.setRowCount(len(work.layers))
        for row, layer in enumerate(work.layers):
            figures = (str(layer.outline.pieces), str(layer.outline.holes),
                       format_length(work.sheet_cuts_mm[row], unit, 0))
            texts = (f"{row + 1}  {layer.plan.name}", *((UNKNOWN,) * 3 if work.rough else figures))
            for column, text in enumerate(texts):
                item = QTableWidgetItem(text)
                item.setToolTip(plain_tip(layer.plan.name))
                if column:
                    item.setTextAlignment(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter)
                else:
                    item.setIcon(swatch(layer.plan.hex, 18))
                self._table.setItem(row, column, item)
        self._table.setFixedHeight(theme.px(min(34 + 31 * max(len(work.layers), 1), 300)))

    def show_written(self, files) -> None:
        names = ", ".join(f.name for f in files[:4]) + (self.tr(" and {0} more").format(len(files) - 4)
                                                        if len(files) > 4 else "")
        self._folder = files[0].parent
        self._say(self.tr("Written: {0}").format(names), "done")
        self._open.show()

    @property
    def is_troubled(self) -> bool:
        """Whether it says that something could not be written."""
        return not self._result.isHidden() and self._result.objectName() == "trouble"

    def show_trouble(self, text: str) -> None:
        self._say(text, "trouble")
        self._open.hide()

    def _say(self, text, kind):
        say_on(self._result, text, kind)
