"""Source stage: what the picture is, how large the work gets, what it is good for."""

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QHBoxLayout, QSpinBox, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.setting_controls import SettingControl
from sketchloom.app.parts.uncut_note import UncutNote
from sketchloom.app.parts.widgets import Choice, Figures, Panel, button, clear, label
from sketchloom.app.stages.background_box import BackgroundBox
from sketchloom.app.stages.preparing import PreparingBox
from sketchloom.app.words import told
from sketchloom.core.base.units import format_length
from sketchloom.core.judge.fitness import COMFORTABLE_PX_PER_MM
from sketchloom.core.preflight.findings import SOURCE, WARN
from sketchloom.core.preflight.source_rules import SHADED_SHARE
from sketchloom.desk import mends, room
from sketchloom.recipe.document import SETTINGS
from sketchloom.recipe.sections import MAX_SIZE_MM, MIN_SIZE_MM

_DPIS = (150, 200, 300, 400, 600, 1200)


class SourcePanel(Panel):
    """Size and judgement of the picture."""

    change = Signal(object, str, str)
    open_wanted = Signal()
    paste_wanted = Signal()
    scan_wanted = Signal()
    mend_wanted = Signal(object)
    prepare_wanted = Signal()

    def __init__(self, parent=None):
        super().__init__("", parent)
        self.head(self.tr("Source"))
        self._recipe, self._listed, self._work = None, None, None
        self._name = label("", "strong")
        self._opens = (button(self.tr("Open…"), "folder-open", self.tr("Open a picture or project (Ctrl+O)")),
                       button(self.tr("Paste"), "clipboard", self.tr("Paste a picture (Ctrl+V)")))
        self._opens[0].clicked.connect(self.open_wanted)
        self._opens[1].clicked.connect(self.paste_wanted)
        self._picture = Figures()
        self._scan = button(
            self.tr("Scan…"), "scan", self.tr("A simulated scanner: lay a picture on a glass that is not there")
        )
        self._scan.clicked.connect(self.scan_wanted)
        self.add(self._name, (*self._opens, self._scan))
        self.section(self.tr("Judgement"))
        self._verdict = label("")
        self._points = QVBoxLayout()
        self._points.setSpacing(6)
        self._judged = Figures()
        self._all = button(self.tr("Prepare all that helps"), "circle-check",
                           self.tr("Everything below that has a button of preparing; you see before and after"))
        self._all.clicked.connect(self.prepare_wanted)
        self._all.hide()
        self.add(self._verdict, self._all, self._points)
        self._build_pages()
        self.section(self.tr("Finished size"))
        self._width = LengthEdit(self.tr("Width"), MIN_SIZE_MM, MAX_SIZE_MM)
        self._height = LengthEdit(self.tr("Height"), MIN_SIZE_MM, MAX_SIZE_MM)
        self._width.committed.connect(lambda mm: self._set_size("width", mm))
        self._height.committed.connect(lambda mm: self._set_size("height", mm))
        self._unit = Choice(
            (("mm", "mm", self.tr("Millimetres everywhere")), ("in", "in", self.tr("Inches everywhere"))),
            self.tr("Unit"),
        )
        self._unit.chosen.connect(lambda u: self.change.emit(replace(self._recipe, unit=u), self.tr("unit"), ""))
        self.add((self._side_name(self.tr("Width")), self._width), (self._side_name(self.tr("Height")), self._height),
                 self._unit)
        self.add(label(self.tr("Proportions are kept and all layers follow. Type 4.5in or 120 mm."), "quiet"))
        self._size = Figures()
        self.add(self._size, self._judged, self._picture)
        self.section(self.tr("Prepare"))
        self.preparing = PreparingBox()
        self.preparing.change.connect(
            lambda steps, what, gesture: self.change.emit(replace(self._recipe, preparation=steps), what, gesture))
        self.preparing.room_wanted.connect(self._take_room)
        self.add(self.preparing)
        self.section(self.tr("Background"))
        self.background = BackgroundBox()
        self.background.change.connect(self.change)
        self.uncut = UncutNote()
        self.add(self.background, self.uncut)
        self.column.addStretch(1)

    def purpose(self):
        return self.tr("The picture, what it can give, and how large the work is to be. Nothing here changes the file.")

    def landmarks(self):
        return (
            (self._opens[0], self.tr("Open a picture, a drawing or a project; it can be dropped or pasted, too.")),
            (self._verdict, self.tr("What the picture can give before you spend time on it. Each point below has a "
                                    "button that mends it; all that helps is prepared in one go.")),
            (self._width, self.tr("The finished size. All layers follow; proportions are kept.")),
            (self.preparing, self.tr("Turned, cropped, flattened, levelled, lightened: steps that can be taken back.")),
            (self.background, self.tr("A stroke over what is to stay and one over what is to go cut a thing out of its "
                                      "surroundings.")),
        )

    def _build_pages(self):
        self._document = QWidget()
        rows = QVBoxLayout(self._document)
        rows.setContentsMargins(0, 0, 0, 0)
        self._page, self._page_dpi = QSpinBox(), QComboBox()
        self._page.setAccessibleName(self.tr("Page"))
        self._page.setMinimumHeight(theme.px(28))
        self._page.valueChanged.connect(
            lambda n: self.change.emit(replace(self._recipe, page=n - 1), self.tr("page"), "page"))
        self._page_dpi.setAccessibleName(self.tr("Resolution it is drawn with"))
        for dpi in _DPIS:
            self._page_dpi.addItem(self.tr("{0} dpi").format(dpi), dpi)
        self._page_dpi.activated.connect(
            lambda _: self.change.emit(
                replace(self._recipe, page_dpi=self._page_dpi.currentData()), self.tr("resolution"), ""
            )
        )
        self._page_row = QWidget()
        for name, part, holder in (
            (self.tr("Page"), self._page, self._page_row),
            (self.tr("Drawn at"), self._page_dpi, QWidget()),
        ):
            row = QHBoxLayout(holder)
            row.setContentsMargins(0, 0, 0, 0)
            row.addWidget(self._side_name(name))
            row.addWidget(part, 1)
            rows.addWidget(holder)
        self._curves = SettingControl(SETTINGS["as_drawing"], lambda value, gesture: self.change.emit(
            replace(self._recipe, as_drawing=value), self.tr("the file's own curves"), gesture))
        rows.addWidget(self._curves)
        self.add(self._document)

    @property
    def width_field(self) -> LengthEdit:
        return self._width

    @staticmethod
    def _side_name(text):
        made = label(text)
        made.setFixedWidth(theme.px(62))
        return made

    def _take_room(self, sides_mm):
        if self._work is not None and self._recipe is not None:
            self.change.emit(room.with_room(self._work, self._recipe, sides_mm), self.tr("room beyond the picture"), "")

    def show_document(self, document) -> None:
        self._recipe = self.background.recipe = document.recipe
        self._name.setText(document.picture.name)
        pages = document.pages
        self._document.setVisible(pages.is_document)
        self._page_row.setVisible(pages.count > 1)
        self._page.blockSignals(True)
        self._page.setRange(1, pages.count)
        self._page.setSuffix(self.tr(" of {0}").format(pages.count))
        self._page.setValue(self._recipe.page + 1)
        self._page.blockSignals(False)
        at = self._page_dpi.findData(self._recipe.page_dpi)
        if at < 0:
            self._page_dpi.addItem(self.tr("{0} dpi").format(self._recipe.page_dpi), self._recipe.page_dpi)
            at = self._page_dpi.count() - 1
        self._page_dpi.setCurrentIndex(at)
        self._curves.show_recipe(self._recipe)
        self._unit.show_value(self._recipe.unit)
        self.preparing.show_steps(self._recipe.preparation)

    def show_work(self, work) -> None:
        unit = work.recipe.unit
        if not work.rough:
            self._show_picture(work.picture if work.thin_lines is None else work.whole)
            self.background.show_work(work)
            self.background.recipe = self._recipe
        self._work = work
        self.preparing.show_room(room.room_mm(work), unit)
        width, height = work.size_mm
        self._width.show_value(width, unit)
        self._height.show_value(height, unit)
        good = work.whole.width / COMFORTABLE_PX_PER_MM
        self._size.show_values((
            (self.tr("Pixels per mm"), f"{1 / work.came_mm_per_px:.1f}"),
            (self.tr("Good up to a width of"), format_length(good, unit)),
        ), known=not work.rough)
        fit = work.fitness
        self._verdict.setText(self.tr("Not known yet: the picture is still being read.") if work.rough
                              else self._sentence(work))
        self._all.setVisible(not work.rough and mends.prepared(work) is not None)
        self._list_points([] if work.rough else [f for f in work.findings if f.rule.stage == SOURCE])
        self._judged.show_values(
            (
                (self.tr("Flat areas"), f"{fit.flat_share:.0%}"),
                (self.tr("Shading"), f"{fit.shaded_share:.0%}"),
                (
                    self.tr("Colours found"),
                    self.tr("not counted for this reading") if work.tree is None else str(work.tree.proposed),
                ),
                (self.tr("Width of soft edges"), self.tr("{0:.1f} px").format(fit.edge_width_px)),
                (self.tr("Grain in flat areas"), self.tr("{0:.0f} of 255").format(fit.noise)),
            ),
            known=not work.rough,
        )

    def _show_picture(self, picture):
        dpi = self.tr("not stated") if picture.dpi is None else self.tr("{0:.0f} dpi").format(picture.dpi)
        ground = self.tr("transparent") if picture.alpha is not None else self.tr("opaque")
        self._picture.show_values((
            (self.tr("Pixels"), f"{picture.width} × {picture.height}"),
            (self.tr("Resolution"), dpi), (self.tr("Ground"), ground),
        ))

    def _list_points(self, findings):
        """Each point of the judgement with the button that does what it says."""
        if findings == self._listed:
            return
        self._listed = findings
        clear(self._points)
        for finding in findings:
            self._points.addWidget(label(told(finding.message), "caution" if finding.severity == WARN else "point"))
            if finding.rule.mend:
                fix = button(told(finding.rule.mend))
                fix.clicked.connect(lambda _=False, f=finding: self.mend_wanted.emit(f))
                self._points.addWidget(fix)

    def switch_unit(self) -> None:
        """From mm to inches or back."""
        unit = "in" if self._recipe.unit == "mm" else "mm"
        self.change.emit(replace(self._recipe, unit=unit), self.tr("unit"), "")

    def _sentence(self, work):
        fit, faults = work.fitness, work.faults
        if fit.is_noise:
            return self.tr("This looks like noise; there is nothing to cut.")
        if faults.page is not None:
            return self.tr("A page on a table: flatten it first, then judge again.")
        if faults.screen_px is not None:
            return self.tr("A printed page with a screen: take the screen out first.")
        if fit.shaded_share > SHADED_SHARE:
            return self.tr(
                "A shaded picture: the photo reading gives it in a few tones. For clean shapes a flat version is "
                "better."
            )
        if faults.pale is not None or faults.uneven_light is not None or faults.skew_deg is not None:
            return self.tr("Fit to trace once it is prepared; the buttons below do it.")
        if work.reading == "tone":
            return self.tr("Ink on paper: the tone reading suits it.")
        if work.reading == "line":
            return self.tr("Thin open lines: the line reading suits them, for a pen.")
        if 1 / work.mm_per_px < COMFORTABLE_PX_PER_MM:
            return self.tr("Flat colours, but few pixels for this size.")
        return self.tr("Flat colours and clean edges: it traces well.")

    def _set_size(self, side, mm):
        self.change.emit(replace(self._recipe, size_mm=mm, size_side=side), self.tr("finished size"), "")
