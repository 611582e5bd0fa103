"""The window: rail, bench, settings and findings around one session."""


from PySide6.QtCore import Qt, QTimer
from PySide6.QtWidgets import (
    QApplication,
    QHBoxLayout,
    QMainWindow,
    QMenu,
    QStackedWidget,
    QVBoxLayout,
    QWidget,
)

from sketchloom.app import actions as action_table
from sketchloom.app import manners, room, theme
from sketchloom.app.bench.bar import BenchBar
from sketchloom.app.bench.bench import Bench
from sketchloom.app.bench.carve_view import CarveView
from sketchloom.app.bench.play_view import PlayView
from sketchloom.app.bench.sheet_view import SheetView
from sketchloom.app.hands.acting import Acting
from sketchloom.app.hands.beside import Beside
from sketchloom.app.hands.book.logging import Logging
from sketchloom.app.hands.carving import Carving
from sketchloom.app.hands.choosing_clean import CleanChoosing
from sketchloom.app.hands.choosing_colours import ColourChoosing
from sketchloom.app.hands.choosing_layers import LayerChoosing
from sketchloom.app.hands.clean_tools import CleanTools
from sketchloom.app.hands.cleaning import Cleaning
from sketchloom.app.hands.detailing import Detailing
from sketchloom.app.hands.drawing import Drawing
from sketchloom.app.hands.joining import Joining
from sketchloom.app.hands.keeping import Keeping
from sketchloom.app.hands.menus import Menus
from sketchloom.app.hands.opening import Opening
from sketchloom.app.hands.planning import Planning
from sketchloom.app.hands.searching import Searching
from sketchloom.app.hands.stacking import Stacking
from sketchloom.app.hands.stepping import Stepping
from sketchloom.app.hands.telling import Telling
from sketchloom.app.hands.together import Together
from sketchloom.app.hands.toolbelt import ToolBelt
from sketchloom.app.hands.touring import Touring
from sketchloom.app.hands.viewing import Viewing
from sketchloom.app.mishaps import MISHAPS
from sketchloom.app.offered import may_hold_something
from sketchloom.app.parts.findings_line import FindingsLine
from sketchloom.app.parts.help import FIRST, HelpDialog
from sketchloom.app.parts.notice import Notices
from sketchloom.app.parts.rail import Rail
from sketchloom.app.parts.section_strip import SectionStrip
from sketchloom.app.parts.sheets_strip import SheetsStrip
from sketchloom.app.parts.stack_view import StackView
from sketchloom.app.parts.variants_strip import VariantsStrip
from sketchloom.app.parts.welcome import DropHint, Welcome
from sketchloom.app.room import LEAST_BENCH, Divided
from sketchloom.app.stages.box import PlacedBox
from sketchloom.app.stages.clean import CleanPanel
from sketchloom.app.stages.layers import LayersPanel
from sketchloom.app.stages.numbers import CLEAN, LAYERS, RELEASE, SHEETS, SOURCE, TRACE
from sketchloom.app.stages.release import ReleasePanel
from sketchloom.app.stages.sheets import SheetsPanel
from sketchloom.app.stages.source import SourcePanel
from sketchloom.app.stages.trace import TracePanel
from sketchloom.app.words import told
from sketchloom.app.work import disk
from sketchloom.app.work.session import Session
from sketchloom.core.preflight.findings import STAGES
from sketchloom.files import user_data
from sketchloom.files.demo_works import DEMOS

_REMEMBER_MS = 1500
_PANELS = (SourcePanel, TracePanel, CleanPanel, LayersPanel, SheetsPanel, ReleasePanel)


def _tight(layout):
    """A layout without margins or spaces."""
    layout.setContentsMargins(0, 0, 0, 0)
    layout.setSpacing(0)
    return layout


class Window(QMainWindow):
    """The main window."""

    def __init__(self):
        super().__init__()
        self.setAcceptDrops(True)
        room.take(self)
        self.session = Session(self)
        self.stage = SOURCE
        self.visited = {SOURCE}
        self._shown_in: set[int] = set()
        # what is used is remembered once the hand rests
        self._remember = QTimer(self, singleShot=True, interval=_REMEMBER_MS)
        self._remember.timeout.connect(self._remember_settings)
        self._build()
        self._connect()
        MISHAPS.recipes[self] = lambda: self.session.document and self.session.document.recipe
        MISHAPS.happened.connect(self.telling.show_mishap)
        self.show_stage(SOURCE)
        self._show_nothing()

    # -- building ------------------------------------------------------------------------

    def _build(self):
        self.acting = Acting(self)
        self.actions_by_name = action_table.build(self, self.acting.handlers())
        self._recent_menu, self._demo_menu = QMenu(self.tr("Open recent"), self), QMenu(self.tr("Open a demo"), self)
        self._recent_menu.aboutToShow.connect(lambda: self.opening.fill_recent(self._recent_menu))
        for one in DEMOS:
            self._demo_menu.addAction(told(one.title)).triggered.connect(
                lambda _=False, k=one.key: self.opening.open_demo(k))
        action_table.fill_menus(self.menuBar(), self.actions_by_name,
                                {"recent": self._recent_menu, "demo": self._demo_menu})
        # outer parts before inner ones, in reading order: what goes from one parent to another is styled all anew
        body = QWidget()
        self.setCentralWidget(body)
        whole, upper, centre = _tight(QVBoxLayout(body)), _tight(QHBoxLayout()), _tight(QVBoxLayout())
        whole.addLayout(upper, 1)
        self.rail = Rail((
            (self.tr("Source"), "photo"), (self.tr("Trace"), "vector"), (self.tr("Clean"), "brush"),
            (self.tr("Layers"), "stack-2"), (self.tr("Sheets"), "sheet"), (self.tr("Release"), "file-export")))
        upper.addWidget(self.rail)
        self.splitter = Divided()
        upper.addWidget(self.splitter, 1)
        self.settings = self.splitter.pages
        self.splitter.middle.setLayout(centre)
        self._build_centre(centre)
        self.panels = tuple(
            self._add_panel(kind(self.settings), stage) for kind, stage in zip(_PANELS, STAGES, strict=True))
        self.findings = FindingsLine()
        whole.addWidget(self.findings)
        self.drop_hint = DropHint(self)

    def _build_centre(self, centre):
        self.notices = Notices()
        centre.addWidget(self.notices)
        self.bar = BenchBar(self.actions_by_name)
        centre.addWidget(self.bar)
        self.middle = QStackedWidget()
        self.middle.setMinimumWidth(theme.px(LEAST_BENCH))  # else the widest of its pages would say
        centre.addWidget(self.middle, 1)
        self.welcome, self.bench, self.stack_view, self.sheet_view = Welcome(DEMOS), Bench(), StackView(), SheetView()
        self.play_view, self.carve_view = PlayView(), CarveView()
        for view in (self.welcome, self.bench, self.stack_view, self.sheet_view, self.play_view, self.carve_view):
            self.middle.addWidget(view)
        self.section, self.variants, self.sheets = SectionStrip(), VariantsStrip(), SheetsStrip()
        for strip in (self.section, self.variants, self.sheets):
            strip.hide()
            strip.setMinimumWidth(theme.px(LEAST_BENCH))
            centre.addWidget(strip)

    def _add_panel(self, panel, stage):
        self.settings.addWidget(panel)
        panel.place(PlacedBox(stage))
        panel.needs.connect(self.splitter.give)
        return panel

    def _connect(self):
        self._hear_session()  # first, so that the window shows a result before hands look for things in it
        self._make_hands()
        self._hear_panels()
        self._hear_views()

    def _make_hands(self):
        """What joins the parts, each to be made after those it is given."""
        session, bench = self.session, self.bench
        source, trace, clean, layers, sheets, release = self.panels
        self.keeping = Keeping(self, session, release, self.notices.say)
        self.tools = ToolBelt(bench, session, source, trace)
        self.cleaning = Cleaning(bench, session, clean, self.notices)
        self.joining = Joining(bench, session, self.cleaning, self.notices)
        self.together = Together(bench, session, clean.together, self.cleaning)
        self.drawing = Drawing(bench, session, clean, self.cleaning.hold, self.notices.say)
        self.choosing = CleanChoosing(bench, session, clean, self.cleaning, self.together, self.drawing)
        self.resting = {TRACE: ColourChoosing(bench, session, trace, self.cleaning),
                        LAYERS: LayerChoosing(bench, session, layers, self.cleaning)}
        for choosing in self.resting.values():
            choosing.tool.shows_marks = False  # they are of Clean
        self.clean_tools = CleanTools(bench, clean, self.cleaning, self.choosing, self.drawing)
        self.detailing = Detailing(bench, session, layers)
        self.stacking = Stacking(bench, session, layers, self.section, self.stack_view, self.viewing.show_stack,
                                 self.cleaning)
        self.planning = Planning(session, sheets, self.sheet_view, self.sheets, self.notices.say)
        self.carving = Carving(session, sheets, self.carve_view)
        self.logging = Logging(self)
        self.searching = Searching(self, self.panels, self.rail.titles, self.show_stage, self.actions_by_name,
                                   {CLEAN: self.choosing, **self.resting})
        self.stepping = Stepping(self, self.splitter.next)
        self.touring = Touring(self)
        self.menus = Menus(self)
        self.beside = Beside(session, bench, trace, self.cleaning, layers, self.detailing, release, self.variants)

    def _hear_session(self):
        session = self.session
        self.viewing = Viewing(self)
        self.telling = Telling(self)
        self.opening = Opening(self, session, self.notices.say, self.telling.show_trouble)
        self.rail.chosen.connect(self.show_stage)
        self.rail.logbook_wanted.connect(self.show_logbook)
        session.opened.connect(self._show_opened)
        session.changed.connect(self._show_document)
        session.shown.connect(self._show_work)
        session.busy.connect(self._show_busy)
        session.trouble.connect(self.telling.show_trouble)
        session.stopped.connect(self.telling.show_stopped)
        session.long_work_ended.connect(lambda: self.isActiveWindow() or QApplication.alert(self))
        for panel in self.panels:
            panel.change.connect(session.change)
        for panel in self.panels[:SHEETS]:
            panel.uncut.stage_wanted.connect(self.show_stage)

    def _hear_panels(self):
        session, bench = self.session, self.bench
        source, trace, clean, layers, _, release = self.panels
        source.open_wanted.connect(self.opening.ask_open)
        source.paste_wanted.connect(self.opening.paste)
        source.scan_wanted.connect(self.opening.show_scanner)
        source.mend_wanted.connect(session.mend)
        source.prepare_wanted.connect(self.stepping.prepare)
        trace.colour.chosen_changed.connect(self.resting[TRACE].take_rows)
        trace.patch.shown.connect(self.viewing.show_patch)
        trace.place_wanted.connect(lambda x, y: bench.point_at((x, y)))
        trace.presets.trouble.connect(lambda why: self.telling.show_trouble("presets", why))
        trace.pick_wanted.connect(bench.set_picking)
        trace.show_small.connect(self.viewing.show_small)
        trace.peek.connect(bench.show_peek)
        clean.mending.go_to.connect(self.go_to)
        clean.mending.mend.connect(session.mend)
        clean.mending.mend_all.connect(self.telling.mend_all)
        layers.choose_wanted.connect(self.cleaning.leave_tool)
        layers.selected.connect(self._select_layer)
        layers.details_fold.head.toggled.connect(lambda _: self._ask_beside())
        actions = self.actions_by_name
        for panel, kind in ((clean, "tool"), (layers, "view")):
            panel.tools.search_wanted.connect(self.searching.search.open)
            panel.tools.follow({"search": actions["search"], **{
                name: actions[f"{kind}_{name}"] for name in panel.tools.buttons if f"{kind}_{name}" in actions}})
        release.plan_of, release.carved_of = self.planning.plan_of, self.carving.carved_of
        session.leaving.rehearsed.connect(self.viewing.show_looks)
        session.leaving.written.connect(self.telling.stand_beside)
        session.leaving.found_in_files.connect(release.take_file_findings)
        release.checks.go_to.connect(self.go_to)
        release.checks.mend.connect(session.mend)

    def _hear_views(self):
        session, bench, layers = self.session, self.bench, self.panels[LAYERS]
        bench.tool_changed.connect(lambda _: layers.show_choosing(self.resting[LAYERS].is_held))
        bench.picked.connect(self.panels[TRACE].take_colour)
        bench.cancelled.connect(session.cancel)
        self.carving.told.connect(self._show_findings)
        for view in (bench, self.play_view, self.sheet_view, self.carve_view):
            view.viewed.connect(self.viewing.show_zoom)
        self.play_view.closed.connect(self.viewing.end_looks)
        self.choosing.region_meant.connect(self.joining.look)
        self.planning.told.connect(self._show_findings)
        self.variants.closed.connect(lambda: self.actions_by_name["variants"].setChecked(False))
        self.findings.go_to.connect(self.go_to)
        self.findings.mend.connect(session.mend)
        self.findings.mend_all.connect(self.telling.mend_all)
        self.findings.see.connect(lambda _: self.viewing.show_dropped())
        self.notices.troubled.connect(self.telling.stand_beside)
        welcome = self.welcome
        welcome.open_wanted.connect(self.opening.ask_open)
        welcome.paste_wanted.connect(self.opening.paste)
        welcome.file_wanted.connect(session.open_path)
        welcome.demo_wanted.connect(self.opening.open_demo)
        manners.of(QApplication.instance()).source_held.connect(self._hold_source)

    # -- what is dropped, kept and written ------------------------------------------------------------

    def dragEnterEvent(self, event):
        if may_hold_something(event.mimeData()):
            event.acceptProposedAction()
            self.drop_hint.setGeometry(self.middle.geometry().translated(self.middle.parentWidget().pos()))
            self.drop_hint.show()
            self.drop_hint.raise_()

    def dragLeaveEvent(self, _):
        self.drop_hint.hide()

    def dropEvent(self, event):
        self.drop_hint.hide()
        self.opening.open_offered(event.mimeData())
        event.acceptProposedAction()

    def closeEvent(self, event):
        """Nothing is lost and nothing is asked: unsaved work is offered at the next start."""
        self.splitter.keep(self)
        if self._remember.isActive():
            self._remember_settings()
        if MISHAPS.recipes.pop(self, None) is not None:
            MISHAPS.happened.disconnect(self.telling.show_mishap)
        self.bench.put_down()
        self.bench.close_lanes()
        self.planning.planner.lane.close()
        self.carving.close()
        self.logging.close()
        self.session.close()
        event.accept()

    # -- showing -----------------------------------------------------------------------------

    def show_stage(self, number: int) -> None:
        """Turn to a stage; any order will do."""
        if number != self.stage:
            self.bench.put_down()
        self._leave_logbook()
        self.stage = number
        self.visited.add(number)
        self.rail.choose(number)
        self._fill_panel()
        self.settings.setCurrentIndex(number)
        if number != TRACE:
            self.bench.marks = ()
            self.bench.set_picking(False)
        self.bench.selected_key = None
        self.bench.show_peek(None)
        resting = self.resting.get(number)
        self.bench.set_resting(None if resting is None else resting.tool)
        self.cleaning.turn(number == CLEAN)
        self.drawing.turn(number == CLEAN)
        if self.session.document is not None and (
                number == SHEETS or self.logging.is_seen
                or self.middle.currentWidget() in (self.sheet_view, self.play_view, self.carve_view)):
            self.play_view.forget()
            self.middle.setCurrentWidget(self.viewing.seen())
        self.stacking.turn(number == LAYERS)
        self._show_sheets()
        self.planning.turn(number == SHEETS)
        self.carving.turn(number == SHEETS)
        if number == LAYERS:
            self.panels[LAYERS].announce()
        self.variants.setVisible(number in (TRACE, CLEAN, LAYERS) and self.actions_by_name["variants"].isChecked())
        if number not in (TRACE, CLEAN, LAYERS):
            self.variants.pin(None)
        if number != TRACE:
            self.bench.lasso = None
        self._ask_beside()
        self.acting.enable()
        self.bench.update()
        self.viewing.show_zoom()
        self.telling.show_states()
        self.stepping.refresh()

    def show_logbook(self) -> None:
        """The logbook in the middle, without a panel: it is no stage of the work."""
        self.rail.logbook.setChecked(True)
        self.bench.put_down()
        self.logging.when_made(self._turn_to_logbook)

    def _turn_to_logbook(self):
        if not self.rail.logbook.isChecked():
            return  # a stage was chosen meanwhile
        self.middle.setCurrentWidget(self.logging.page)
        for part in (self.splitter.panel, self.bar, self.findings, self.variants, self.section, self.sheets):
            part.hide()
        self.logging.turn()

    def _leave_logbook(self):
        if self.logging.is_seen:
            if self.session.document is None:
                self.middle.setCurrentWidget(self.welcome)
            else:
                for part in (self.splitter.panel, self.bar, self.findings):
                    part.show()

    def _show_nothing(self):
        self.middle.setCurrentWidget(self.welcome)
        self.splitter.panel.hide()
        self.bar.hide()
        self.findings.hide()
        self.welcome.show_recent(user_data.recent_files())
        for panel in self.panels:
            panel.setEnabled(False)
        self.acting.enable()
        self.setWindowTitle("Sketch Loom")

    def _show_opened(self, document, image):
        was_hidden = self.splitter.panel.isHidden()
        self.rail.choose(self.stage)
        self.middle.setCurrentWidget(self.bench)
        for part in (self.splitter.panel, self.bar, self.findings):
            part.show()
        if was_hidden:
            self.splitter.recall()
        self.bench.set_picture(document.picture, image)
        self.planning.forget()
        self.carving.forget()
        self.play_view.forget()
        if self.stage == SHEETS:
            self._show_sheets()
        self.notices.drop("open")
        self.notices.drop("evaluate")
        # what works on a result waits for one; Clean for the exact one, whose regions it works on
        self.let(SOURCE)
        self.telling.show_unknown()
        self.bench.setFocus()

    def _show_document(self):
        document = self.session.document
        self.bench.unit = document.recipe.unit
        self.notices.drop("evaluate")
        self.notices.drop("stopped")
        for panel in self.panels:
            panel.show_document(document)
            panel.placed.recipe = document.recipe
        self.telling.stand_beside()
        self.telling.speak_step()
        self.stepping.refresh()
        self.setWindowTitle(f"{document.name}{'' if document.is_saved else ' ·'} – Sketch Loom")
        self.acting.enable()

    def _show_work(self, shown):
        self.bench.fitting_ground = shown.ground
        self.bench.show_work(shown)
        self.cleaning.refresh()
        self.together.refresh()
        self.drawing.refresh()
        self.choosing.refresh()
        for choosing in self.resting.values():
            choosing.refresh()
        self.stacking.refresh()
        self.detailing.refresh()
        self.planning.refresh()
        self.carving.refresh()
        self._show_sheets()
        if not shown.work.measured and not shown.coarse:
            if self.stage == CLEAN:
                self.panels[CLEAN].show_work(shown.work)
            return
        self._shown_in = set()
        self._fill_panel()
        if shown.coarse:
            self.let(SOURCE, TRACE, LAYERS, SHEETS, RELEASE, also=True)
            self.telling.show_unknown()
            return
        self.let(*range(len(self.panels)))
        self._show_findings()
        self.viewing.show_small(self.panels[TRACE].shows_small())
        self.acting.enable()
        self._ask_beside()
        self._remember.start()

    def found(self) -> tuple:
        """What may go wrong, as far as it is known: with the work, and with the plan of its sheets."""
        latest = self.session.latest
        return () if latest is None else (*latest.work.findings, *self.planning.findings(latest.work),
                                          *self.carving.findings(latest.work))

    def _show_sheets(self):
        """In its stage the sheets, or the carved blank."""
        is_seen = self.stage == SHEETS and self.session.document is not None
        self.sheets.setVisible(is_seen and not self.carving.is_on)
        if is_seen and self.middle.currentWidget() in (self.sheet_view, self.carve_view, self.bench):
            self.middle.setCurrentWidget(self.viewing.seen())

    def _show_findings(self):
        if self.session.work is not None:
            self.findings.show_findings(self.found())
            self.panels[CLEAN].show_findings(self.found())
            self.telling.show_states()
            self.telling.speak_result()
            self.stepping.refresh()

    def _remember_settings(self):
        work = self.session.work
        if work is not None:
            disk.quietly(user_data.remember_settings, work.recipe, work.reading)

    def _fill_panel(self):
        """Bring the panel that is seen up to date; the others when they are turned to."""
        latest = self.session.latest
        if latest is not None and self.stage not in self._shown_in:
            self._shown_in.add(self.stage)
            self.panels[self.stage].show_work(latest.work)
            self.panels[self.stage].placed.show_work(latest.work)
            if self.stage < SHEETS and not latest.coarse:
                self.panels[self.stage].uncut.show_work(latest.work)

    def renew_look(self) -> None:
        """The scheme is another one: what was filled with its colours is filled anew."""
        if self.session.work is not None:
            self._shown_in = set()
            self._fill_panel()
            self._show_findings()

    def let(self, *stages, also=False):
        """Panels that can be used now; ``also``: beside those that could be."""
        for number, panel in enumerate(self.panels):
            panel.setEnabled(number in stages or (also and panel.isEnabled()))

    def _show_busy(self, text):
        self.bench.set_busy(text)
        self.welcome.show_busy(text)

    def go_to(self, finding) -> None:
        """Bring a finding's place and stage into view."""
        self.show_stage(STAGES.index(finding.rule.stage))
        work = self.session.work
        if self.carving.is_on and finding.rule.stage == STAGES[SHEETS]:
            self.carving.go_to(finding)
        elif work is not None and finding.x_px is not None:
            self.bench.point_at((finding.x_px * work.mm_per_px, finding.y_px * work.mm_per_px))

    def _ask_beside(self):
        self.beside.ask(self.stage == TRACE, self.stage == CLEAN, self.stage == LAYERS,
                        self.stage == RELEASE)

    def show_variants(self, on: bool) -> None:
        """Variants side by side, or not."""
        self.variants.setVisible(on and self.stage in (TRACE, CLEAN, LAYERS) and self.session.document is not None)
        if not on:
            self.variants.pin(None)
        elif self.stage not in (TRACE, CLEAN, LAYERS):
            self.show_stage(TRACE)
        self._ask_beside()

    def _select_layer(self, key):
        self.bench.selected_key = key if self.stage == LAYERS else None
        self.bench.update()

    # -- small handlers ------------------------------------------------------------------------

    def undo(self) -> None:
        """Take the last step back."""
        if self.session.document is not None:
            self.session.document.undo()

    def redo(self) -> None:
        """Do again what was taken back."""
        if self.session.document is not None:
            self.session.document.redo()

    def show_help(self, page: int = FIRST) -> None:
        """Help, at one of its pages."""
        HelpDialog(self, page).show()

    def _hold_source(self, held):
        """O held down shows the source alone, wherever the focus is."""
        if self.isActiveWindow() and not self.bench.picking:
            self.bench.show_source_only(held)

    def keyPressEvent(self, event):
        if event.key() == Qt.Key.Key_Escape:
            if self.bench.hand is not None and self.bench.hand.key(event.key()):
                return  # what is chosen is let go first
            if self.bench.tool is not None:
                self.cleaning.leave_tool()
            elif self.bench.picking:
                self.panels[TRACE].stop_picking()
            elif self.session.is_busy:
                self.session.cancel()
            else:
                self.bench.point_at(None)
        else:
            super().keyPressEvent(event)
