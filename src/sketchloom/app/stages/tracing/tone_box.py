"""Settings of the tone reading: the cut-off, and what counts as ink."""

from PySide6.QtWidgets import QCheckBox

from sketchloom.app.parts.fields import NamedSlider
from sketchloom.app.parts.widgets import Choice, counted, label
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.tracing.tone_curve import ToneCurve
from sketchloom.desk import figures


class ToneBox(Box):
    """Cut-off along the curve of all of them, the light, the side of the ink, silhouette."""

    def __init__(self):
        super().__init__()
        self.curve = ToneCurve()
        self.curve.dragged.connect(lambda v: self.emit(self.tr("cut-off"), "cut_off", cut_off=v))
        self._said = label("", "quiet")
        self._cut_off = NamedSlider(self.tr("Cut-off"), 0, 255, self.tr("Find the cut-off for me"))
        self._cut_off.moved.connect(lambda v: self.emit(self.tr("cut-off"), "cut_off", cut_off=v))
        self._cut_off.auto.connect(lambda: self.emit(self.tr("cut-off"), cut_off=None))
        self._local = QCheckBox(self.tr("Cut-off follows the light"))
        self._local.setToolTip(
            self.tr("For paper that is darker in places: each place is compared with what is around it")
        )
        self._local.clicked.connect(
            lambda on: self.emit(self.tr("cut-off follows the light"), local_cut_off=on, cut_off=None)
        )
        self._side = Choice((
            ("dark", self.tr("Dark is ink"), self.tr("Dark parts are cut")),
            ("light", self.tr("Light is ink"), self.tr("Light parts are cut")),
        ), self.tr("Ink"))
        self._side.chosen.connect(lambda s: self.emit(self.tr("side of the ink"), dark_is_ink=s == "dark"))
        self._silhouette = QCheckBox(self.tr("Silhouette"))
        self._silhouette.setToolTip(self.tr("Everything inside the outer edge is one solid shape"))
        self._silhouette.clicked.connect(lambda on: self.emit(self.tr("silhouette"), silhouette=on))
        self._inner = QCheckBox(self.tr("Keep inner areas of paper as pieces"))
        self._inner.setToolTip(self.tr("Paper that ink encloses becomes a sheet of its own instead of a window"))
        self._inner.clicked.connect(lambda on: self.emit(self.tr("inner areas"), ground="touching" if on else "auto"))
        self.add(self.curve, self._said, self._cut_off, self._local, self._side, self._silhouette, self._inner)

        self._counted = None

    def show_counts(self, work, pieces, holes) -> None:
        """What all cut-offs give is counted beside the trace and comes a moment later."""
        self._counted = self._same_counts(work)
        self.curve.show_counts(pieces.tolist(), holes.tolist())

    def _same_counts(self, work):
        return work.segmentation.cut_offs, work.recipe.dark_is_ink

    def show_work(self, work) -> None:
        super().show_work(work)
        if not work.rough and self._counted != self._same_counts(work):
            self.curve.show_counts((), ())
        found, recipe = work.segmentation.cut_offs, work.recipe
        bars, cut = figures.tone_bars(work)
        self.curve.setVisible(found is not None)
        self._said.setVisible(found is not None)
        if found is not None:
            self.curve.show_values(bars, cut, found, recipe.dark_is_ink)
            best = found.stretches[0]
            pieces, holes = (sum(getattr(x.outline, kind) for x in work.layers) for kind in ("pieces", "holes"))
            told = self.tr("Quietest from {0} to {1}; {2} is proposed.").format(
                best.first, best.last, found.proposed(recipe.dark_is_ink))
            if not work.draws_with_pens:
                told += self.tr(" What is cut at {0}: {1}, {2}.").format(
                    cut,
                    counted(pieces, self.tr("1 piece"), self.tr("{0} pieces")),
                    counted(holes, self.tr("1 hole"), self.tr("{0} holes")),
                )
            self._said.setText(told)
        self._cut_off.slider.setVisible(found is None)  # the curve is dragged instead
        text = str(cut) if found is not None else self.tr("{0:+d} from the surroundings").format(cut - 128)
        self._cut_off.show_value(cut, text, recipe.cut_off is None)
        self._local.setChecked(recipe.local_cut_off)
        self._side.show_value("dark" if recipe.dark_is_ink else "light")
        self._silhouette.setChecked(recipe.silhouette)
        self._inner.setChecked(recipe.ground == "touching")
        self._inner.setEnabled(not recipe.silhouette and recipe.ground != "keep")
