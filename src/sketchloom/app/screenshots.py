"""``loom screenshots``: drives the real window with the demo works and keeps a picture of each main view."""

import os
import tempfile
from dataclasses import replace
from pathlib import Path

import numpy as np

from sketchloom.app import start
from sketchloom.app.camera import Camera
from sketchloom.app.parts.tool_row import SECTION
from sketchloom.app.stages.fold import Fold
from sketchloom.app.stages.numbers import CLEAN, LAYERS, RELEASE, SHEETS, SOURCE, TRACE
from sketchloom.core.background.steps import Background, BackgroundStep
from sketchloom.core.logbook.records import Job
from sketchloom.core.logbook.store import Logbook
from sketchloom.core.shapes.text import fonts
from sketchloom.desk.things import REGION, Thing
from sketchloom.files.demo_works import demo, put_demo_projects
from sketchloom.files.user_data import data_folder
from sketchloom.files.workshop import keep_work

_WORD = "LANTERN NIGHT"
_CHOSEN = (0.55, 0.44)
"""A place in the region that is chosen in the picture of Clean, shares."""
_CUT_OUT = Background(
    (
        BackgroundStep("stroke", True, ((0.33, 0.62), (0.5, 0.64), (0.66, 0.6), (0.55, 0.5), (0.5, 0.42)), width=0.02),
        BackgroundStep(
            "stroke",
            False,
            ((0.1, 0.3), (0.3, 0.15), (0.8, 0.2), (0.9, 0.5), (0.9, 0.8), (0.5, 0.9), (0.1, 0.8), (0.1, 0.5)),
            width=0.02,
        ),
    )
)


def take_all(folder: Path | None) -> int:
    """Rewrite the pictures; returns the exit code."""
    root = os.environ.get("LOOM_ROOT")
    folder = folder or (Path(root) / "docs" / "screenshots" if root else Path("screenshots"))
    folder.mkdir(parents=True, exist_ok=True)
    with tempfile.TemporaryDirectory() as private:
        os.environ["XDG_DATA_HOME"] = os.environ["XDG_CONFIG_HOME"] = private
        start.application()
        _Scenes(folder, put_demo_projects(Path(private) / "Tidewalk Lantern Night")).take()
    return 0


class _Scenes(Camera):
    """What is done to the window before each picture."""

    def take(self) -> None:
        window = self.window
        self._keep("welcome")
        self._open("lighthouse")
        self._stage(SOURCE, "source")
        self._stage(TRACE, "trace-colour")
        window.bench.move_curtain(0.25)
        window.show_stage(LAYERS)
        self._until(lambda: window.panels[LAYERS]._compared_of is not None)
        window.panels[LAYERS].turn_view(SECTION)
        self._stage(LAYERS, "layers", lambda: window.panels[LAYERS].select("#b5483c"))
        window.panels[LAYERS].turn_view(SECTION)
        window.findings.toggle()
        window.show_stage(RELEASE)
        self._until(lambda: window.panels[RELEASE].is_checked)
        self._stage(RELEASE, "release-and-findings")
        window.findings.toggle()
        self._show_planned()
        self._show_played()
        window.show_stage(CLEAN)
        self._decide()
        desk = window.cleaning.desk
        picture = desk.work.picture
        face = desk.index.at(_CHOSEN[0] * picture.width, _CHOSEN[1] * picture.height).face
        window.choosing.choose([Thing(REGION, face)])
        self._keep("clean")
        window.choosing.let_go()
        while window.session.document.undo_text() is not None:
            window.session.document.undo()  # nothing is left unsaved
        self._until(lambda: window.session.work is not None)
        self._show_drawn()
        self._open("kingfisher")
        window.bench.move_curtain(0.5)
        self._stage(TRACE, "trace-tone")
        self._open("panel")
        self._show_sheets()
        self._show_logbook()
        self._open("boat")
        self._set(reading="photo", background=_CUT_OUT)
        window.bench.move_curtain(0.55)
        self._stage(SOURCE, "background", lambda: _scroll(window.panels[SOURCE], 1.0))
        window.session.document.undo()  # nothing is left unsaved
        self._show_carved()
        self._open("pen")
        self._stage(TRACE, "trace-line")
        self._open("phone")
        window.bench.curtain_on = False
        self._stage(
            SOURCE, "judgement", lambda: (window.bench.show_source_only(True), _scroll(window.panels[SOURCE], 0.0))
        )
        window.bench.show_source_only(False)
        window.bench.move_curtain(0.5)
        self._open("kingfisher")
        window.show_stage(TRACE)
        window.actions_by_name["variants"].setChecked(True)
        self._until(lambda: len(window.variants.cards) >= 7)
        self._keep("variants")
        window.session.document.drop_recovery()
        window.close()

    def _decide(self):
        """Stars dropped, the moon and a stripe in other colours."""
        cleaning, session = self.window.cleaning, self.window.session
        self._pause()
        for places, action, colour in (
            (((0.248, 0.427), (0.363, 0.392)), "drop", None),
            (((0.76, 0.29),), "colour", "#e3ae4a"),
            (((0.5, 0.66),), "colour", "#2f6f7e"),
        ):
            desk, width, height = cleaning.desk, session.work.picture.width, session.work.picture.height
            faces = [desk.index.at(x * width, y * height).face for x, y in places]
            session.change(desk.decided(session.document.recipe, faces, action, colour), "")
            self._until(lambda: session.work is not None)
            self._pause()

    def _clean_fold(self, box):
        panel = self.window.panels[CLEAN]
        self.window.show_stage(CLEAN)
        next(one for one in panel.drawers.values() if one.box is box).call()
        panel.edits.parentWidget().head.setChecked(False)
        self._pause()
        panel.verticalScrollBar().setValue(box.parentWidget().y() - 8)

    def _show_drawn(self):
        """A word along a path, a star and a split line; then a boundary chosen."""
        window, panel, session = self.window, self.window.panels[CLEAN], self.window.session
        window.show_stage(CLEAN)
        self._pause()
        desk, (width, height) = window.drawing.desk, window.drawing.desk.size
        angle = np.linspace(1.18, 1.82, 40) * np.pi
        arc = np.stack([(0.5 + 0.345 * np.cos(angle)) * width, (0.5 + 0.345 * np.sin(angle)) * height], -1)
        word, _ = desk.word(_WORD, fonts()[1], 7.0, None, arc)
        star = desk.figure("star", (0.66 * width, 0.36 * height), (0.79 * width, 0.49 * height))
        panel.shapes.text.setText(_WORD)
        line = desk.split(np.array([(0.2, 0.80), (0.26, 0.70), (0.27, 0.60)]) * (width, height))
        session.change(
            replace(
                session.document.recipe,
                shapes=(desk.shape(word, "#f3ead7", f"“{_WORD}”"), desk.shape(star, "#e3ae4a", "star")),
                splits=(line,),
            ),
            "",
        )
        self._until(lambda: session.work is not None)
        self._clean_fold(panel.shapes)
        panel.shapes.kept.choose(1)
        self._pause()
        panel.verticalScrollBar().setValue(0)
        self._keep("clean-shapes")
        window.choosing.let_go()
        self._clean_fold(panel.curves)
        panel.curves.choose.click()
        hill = [(0.16 + 0.02 * n, 0.675 - 0.03 * np.sin(n / 10 * np.pi)) for n in range(11)]
        window.bench.tool.brushed.emit(tuple(hill))
        self._keep("clean-boundary")
        window.cleaning.hold()
        window.session.document.undo()

    def _show_logbook(self):
        """Jobs of the night in the logbook, one of them chosen."""
        window, page = self.window, self.window.logging.page
        works = ("lantern banner", "six badges", "lighthouse badge", "paper boat", "quay sign")
        with Logbook(data_folder() / "logbook.db") as book:
            cutter = "Blade cutter with carriers"
            shown = demo("lighthouse")
            kept, look = keep_work(shown.project(), shown.thumbnail_path.read_bytes())
            book.add(*(Job(name, f"{name}.plt", source=kept, picture=look, width_mm=110.0 + 60 * n, sheets=1 + n,
                           machine=cutter, planned_s=900.0 + 420 * n, film_mm2=9e4 * (n + 1),
                           real_s=0.0 if n == 4 else 960.0 + 380 * n,
                           cost=4.2 + 3.1 * n, state="planned" if n == 4 else "done",
                           at=f"2026-11-{24 + n}T18:{10 + n}")
                       for n, name in enumerate(works)))
        window.show_logbook()
        self._until(lambda: page.table.rowCount() == len(works))
        page.table.selectRow(2)
        self._until(lambda: not page.jobs.look.isHidden())
        self._keep("logbook")
        window.show_stage(SOURCE)

    def _show_sheets(self):
        """The lantern panel gathered into sheets, pulled apart."""
        window, panel = self.window, self.window.panels[LAYERS]
        window.show_stage(LAYERS)
        self._pause()
        panel.line_art.gather_wanted.emit("inward", 5)
        self._until(lambda: window.session.work is not None and len(window.session.work.layers) == 6)
        self._until(lambda: panel._compared_of is window.session.work.traced)
        panel.apart_wanted.emit(True)
        self._keep("layers-apart")
        panel.apart_wanted.emit(False)
        self._set(sheet_mm=0.3, spacer_mm=2.0)
        curtain, window.bench.curtain_on = window.bench.curtain_on, False
        panel.look.shadows.click()
        fold = next(f for f in panel.findChildren(Fold) if panel.look in f.findChildren(type(panel.look)))
        fold.head.setChecked(True)
        self._pause()
        panel.verticalScrollBar().setValue(fold.mapTo(panel.widget(), fold.rect().topLeft()).y() - 240)
        self._keep("layers-look")
        panel.look.shadows.click()
        fold.head.setChecked(False)
        window.bench.curtain_on = curtain
        window.session.document.undo()
        window.session.document.undo()
        self._until(lambda: window.session.work is not None)

    def _show_planned(self):
        """The badge as large as a board takes, its second sheet with a part of the sky chosen."""
        window = self.window
        self._set(size_mm=480.0)
        window.show_stage(SHEETS)
        self._until(lambda: window.planning.plan_of(window.session.work) is not None)
        self._until(lambda: not window.planning.planner.lane.busy)
        sheet = next(n for n, one in enumerate(window.planning.plan.sheets) if one.group.name == "night sky")
        window.planning.show_sheet(sheet)
        window.sheet_view.choose(0)
        self._pause()
        self._keep("sheets")
        window.session.document.undo()
        self._until(lambda: window.session.work is not None)

    def _show_carved(self):
        """The sign as the router will carve it, with a word chosen."""
        self._open("sign")
        window = self.window
        panel = window.panels[SHEETS]
        window.show_stage(SHEETS)
        self._until(lambda: window.carving.carved_of(window.session.work) is not None)
        panel.folds["carve"].head.setChecked(True)
        panel.carving.choose(3)
        self._keep("sheets-carved")

    def _show_played(self):
        """A sheet for the cutter, half way through."""
        window, panel, view = self.window, self.window.panels[RELEASE], self.window.play_view
        window.show_stage(RELEASE)
        panel._take_recipient("cutter")
        self._until(lambda: window.session.work is not None)
        panel._look.click()
        self._until(lambda: view._look is not None)
        view.files.setCurrentIndex(2)
        view.files.activated.emit(2)
        view.go_to(0.6 * view._look.film.seconds)
        self._keep("release-played")
        view.closed.emit()
        panel._take_recipient("designer", False)

def _scroll(panel, share: float) -> None:
    bar = panel.verticalScrollBar()
    bar.setValue(round(share * bar.maximum()))
