"""Release stage: what goes into which file, the cautions, and the writing itself."""

from dataclasses import replace

from PySide6.QtCore import Qt, QUrl, Signal
from PySide6.QtGui import QDesktopServices
from PySide6.QtWidgets import QCheckBox, QHeaderView, QTableWidget, QTableWidgetItem

from sketchloom.app import theme
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
    swatch,
)
from sketchloom.core.base.units import format_length


class ReleasePanel(Panel):
    """Writing of files."""

    write_wanted = Signal(str, bool, bool)
    change = Signal(object, str, str)
    shared_wanted = Signal()

    def __init__(self):
        super().__init__("")
        self.column.itemAt(0).widget().setText(self.tr("Release"))
        self._folder = self._recipe = None
        self._build_files()
        self._build_table()
        self.add(self._how, self._figures, self._table, self._hidden, self._marks, self._plan, self._report)
        self._build_writing()
        self._build_cautions()
        self.column.addStretch(1)

    def _build_files(self):
        self._how = Choice(
            (
                ("one", self.tr("One file"), self.tr("All layers in one SVG, base first")),
                ("layer", self.tr("Per layer"), self.tr("One SVG a layer, all on the same page so that they line up")),
                ("piece", self.tr("Per piece"), self.tr("One SVG a piece, each where it goes on the page")),
                (
                    "design",
                    self.tr("Per design"),
                    self.tr("One SVG for each of several designs on the page; what is 6 mm apart is another design"),
                ),
                (
                    "versions",
                    self.tr("Versions"),
                    self.tr("The work and all alternatives kept of it in one SVG, side by side, each an object of its "
                            "own; they are kept in the strip of variants (V)"),
                ),
                (
                    "sheet",
                    self.tr("Per sheet"),
                    self.tr("One SVG for each sheet that goes into the machine, as planned under Sheets"),
                ),
            ),
            self.tr("Files"),
            3,
        )
        self._how.show_value("one")
        self._files = "one"
        self._how.chosen.connect(self._choose)
        self._report = QCheckBox(self.tr("Also write the report (JSON)"))
        self._plan = QCheckBox(self.tr("Also write the laying plan (SVG)"))
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
        self._write = button(self.tr("Write SVG…"), "", self.tr("Choose where, then write (Ctrl+E)"))
        self._write.setObjectName("primary")
        self._write.clicked.connect(self.ask)
        self.add(self._write)
        self._not_yet = label(self.tr("Files can be written once the exact result is there."), "quiet")
        self._not_yet.hide()
        self.add(self._not_yet)
        self._result = label("", "done")
        self._result.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
        self._result.hide()
        self._shared = button(
            self.tr("On shared sheets…"),
            "layout-columns",
            self.tr("With other works or pictures: one file a sheet, with the parts of all of them cut from it"),
        )
        self._shared.clicked.connect(self.shared_wanted)
        self.add(self._shared)
        self._open = button(self.tr("Open the folder"), "folder-open")
        self._open.clicked.connect(lambda: QDesktopServices.openUrl(QUrl.fromLocalFile(str(self._folder))))
        self._open.hide()
        self.add(self._result, self._open)

    def _build_cautions(self):
        self.section(self.tr("Before you cut"))
        self.add(
            label(
                self.tr("Blade: keep fingers and hair away from the moving head and store blades covered."), "caution"
            ),
            label(
                self.tr(
                    "Laser: never cut chlorinated film such as PVC; its fumes are poisonous. Use extraction, "
                    "and never leave a running laser alone: fire."
                ),
                "caution",
            ),
            label(
                self.tr(
                    "Router and hot press: guard eyes, ears and lungs from chips, noise and dust, and skin from heat."
                ),
                "caution",
            ),
            label(self.tr("Your machine's manual, local rules and trained people come first."), "quiet"),
        )

    def _choose(self, key):
        self._files = key
        for part in (self._report, self._plan):  # they are of one work
            part.setEnabled(key != "versions")

    def ask(self) -> None:
        """Ask for the files to be written as chosen."""
        if self._write.isEnabled():
            self.write_wanted.emit(self._files, self._report.isChecked(), self._plan.isChecked())

    def show_document(self, document) -> None:
        self._result.hide()
        self._open.hide()
        self._recipe = document.recipe
        self._marks.setChecked(document.recipe.marks)

    def show_work(self, work) -> None:
        unit = work.recipe.unit
        for part in (self._write, self._shared):  # a preview is not what is written
            part.setEnabled(bool(work.layers) and not work.rough)
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
        self._result.setObjectName(kind)
        self._result.style().unpolish(self._result)
        self._result.style().polish(self._result)
        self._result.setText(text)
        self._result.show()
