"""Figures of one's own: kept from a shape, laid on later works, taken out."""

from PySide6.QtWidgets import QInputDialog, QLineEdit

from sketchloom.app.hands.drawn.table import Hand, Table
from sketchloom.app.tools.drawing import FigureTool
from sketchloom.app.words import told
from sketchloom.core.base.errors import AppError
from sketchloom.core.base.setting import MAX_TEXT
from sketchloom.core.shapes.own import filling, own_figure, with_figure
from sketchloom.files import user_data


class OwnFigures(Hand):
    """Joins the menu of the user's figures to the bench and to their file."""

    def __init__(self, table: Table, laying_on, parent):
        super().__init__(table, parent)
        self._laying_on = laying_on
        shapes = table.panel.shapes
        shapes.own_wanted.connect(self._take)
        shapes.keep_wanted.connect(self._keep)
        shapes.forget_wanted.connect(self._forget)

    def _take(self, figure):
        if self.desk is not None:
            tool = FigureTool(self.desk.size, lambda a, b: filling(figure, a, b))
            tool.taken.connect(lambda rings: self._laying_on.lay_on(lambda: rings, figure.name))
            self._table.once(tool)

    def _keep(self):
        recipe, chosen = self._session.document.recipe, self._panel.shapes.kept.chosen()
        if self.desk is None or len(chosen) != 1 or chosen[0] >= len(recipe.shapes):
            return
        shape = recipe.shapes[chosen[0]]
        name, is_so = QInputDialog.getText(
            self._panel, self.tr("Keep a figure"), self.tr("Its name; one of the same name is replaced:"),
            QLineEdit.EchoMode.Normal, shape.name)
        name = name.strip()[:MAX_TEXT]
        if is_so and name and self._write(
                lambda kept: with_figure(kept, own_figure(self.desk.rings(shape), name))):
            self._table.say("figures", "ask", self.tr("“{0}” is kept under “My figures”.").format(name))

    def _forget(self, name):
        self._write(lambda kept: tuple(one for one in kept if one.name != name))

    def _write(self, change):
        try:
            user_data.keep_figures(change(user_data.figures()))
        except AppError as error:
            self._table.say("figures", "trouble", told(error.message))
            return False
        return True
