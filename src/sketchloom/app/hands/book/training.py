"""Exercises made beside the window, answered, and how far one has come."""

from PySide6.QtCore import QObject

from sketchloom.app.words import told
from sketchloom.app.work.jobs import Lane
from sketchloom.core.base.errors import AppError
from sketchloom.files import user_data
from sketchloom.files.training.exercise import Progress


class Training(QObject):
    """Of a window's logbook."""

    def __init__(self, trainer, say):
        super().__init__(trainer)
        self._trainer, self._say = trainer, say
        self.lane = Lane("training")
        self._one, self._is_answered = None, False
        trainer.wanted.connect(self._make)
        trainer.answered.connect(self._answer)

    def close(self) -> None:
        self.lane.close()

    def _make(self, kind):
        progress = user_data.training()
        self._trainer.show_progress(progress)
        seed = progress.get(kind, Progress()).next
        self._one, self._is_answered = None, False
        self._trainer.show_waiting()

        def make(_):
            from sketchloom.files.training.making import made

            return made(kind, seed)
        self.lane.run("", make, self._show, lambda why: self._trainer.show_trouble(told(why)))

    def _show(self, one):
        self._one = one
        self._trainer.show_exercise(one)

    def _answer(self, answer):
        one = self._one
        if one is None or self._is_answered:  # only the first one counts
            return
        self._is_answered = True
        is_right = one.is_right(answer)
        progress = user_data.training()
        progress[one.kind] = progress.get(one.kind, Progress()).after(is_right)
        try:
            user_data.keep_training(progress)
        except AppError as error:
            self._say("training", "trouble", told(error.message))
        self._trainer.show_progress(progress)
        self._trainer.show_answer(one, answer, is_right)
