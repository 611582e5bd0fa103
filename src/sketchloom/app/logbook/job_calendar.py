"""Jobs of a month by their days."""

from PySide6.QtCore import QDate, QRect, Qt, Signal
from PySide6.QtGui import QColor, QPen
from PySide6.QtWidgets import QCalendarWidget, QHBoxLayout, QMenu, QToolButton, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, label
from sketchloom.core.logbook.records import DONE, FAILED, PLANNED, RUNNING

_DYE = {PLANNED: "WOAD", RUNNING: "WELD", DONE: "MOSS", FAILED: "MADDER"}
_SIGN = {PLANNED: "○", RUNNING: "▸", DONE: "●", FAILED: "×"}
"""States are told by signs as well as by colours."""


class JobCalendar(QCalendarWidget):
    """``wanted``: the jobs of a year and month; ``taken``: the entry of the first job of a day that is chosen."""

    wanted = Signal(int, int)
    taken = Signal(int)

    def __init__(self):
        super().__init__()
        self.setAccessibleName(self.tr("Calendar of jobs"))
        self.setVerticalHeaderFormat(QCalendarWidget.VerticalHeaderFormat.NoVerticalHeader)
        self.setNavigationBarVisible(False)
        self._hush()
        self.currentPageChanged.connect(lambda *_: self._hush())
        self.setHorizontalHeaderFormat(QCalendarWidget.HorizontalHeaderFormat.NoHorizontalHeader)
        self.setGridVisible(True)
        self._jobs, self._taken = {}, -1
        self.currentPageChanged.connect(self.wanted)
        self.selectionChanged.connect(self._choose)
        self.activated.connect(lambda _: self._choose(True))
        self.setToolTip(self.tr("A double click, or Return, takes the next job of the day"))

    def _hush(self):
        """The bar that is hidden says nothing: it has the toolkit's own language. Its actions stay, as the toolkit goes
        on using them."""
        for menu in self.findChildren(QMenu):
            for action in menu.actions():
                action.setText("")
        for part in self.findChildren(QToolButton):
            part.setText("")

    def ask(self) -> None:
        """Its month anew."""
        self.wanted.emit(self.yearShown(), self.monthShown())

    def show_month(self, year: int, month: int, jobs) -> None:
        """Jobs by day: entry, name and state."""
        if (year, month) == (self.yearShown(), self.monthShown()):
            self._jobs = jobs
            self.updateCells()
            self._describe()

    def jobs_of(self, date: QDate) -> list:
        """The jobs of a day of the month that is shown."""
        if (date.year(), date.month()) != (self.yearShown(), self.monthShown()):
            return []
        return self._jobs.get(date.day(), [])

    def _choose(self, following=False):
        """The first job of the day, or the one that follows the last one taken."""
        its = [entry for entry, _, _ in self.jobs_of(self.selectedDate())]
        self._describe()
        if its:
            at = its.index(self._taken) + 1 if following and self._taken in its else 0
            self._taken = its[at % len(its)]
            self.taken.emit(self._taken)

    def _describe(self):
        its = self.jobs_of(self.selectedDate())
        day = self.selectedDate().toString(Qt.DateFormat.ISODate)
        self.setAccessibleDescription(self.tr("{0}: {1}").format(day, ", ".join(name for _, name, _ in its) or "–"))

    def paintCell(self, painter, rect, date):
        is_here = date.month() == self.monthShown()
        painter.fillRect(rect, QColor(theme.LINEN_LIGHT if is_here else theme.LINEN_DEEP))
        painter.setPen(QColor(theme.INK if is_here else theme.INK_SOFT))
        metrics, inner = painter.fontMetrics(), rect.adjusted(6, 3, -4, -3)
        painter.drawText(inner, Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignTop, str(date.day()))
        its = self.jobs_of(date)
        room = max((inner.height() - metrics.height()) // metrics.height(), 0)
        shown = its if len(its) <= room else its[:max(room - 1, 0)]
        for row, (_, name, state) in enumerate(shown, 1):
            painter.setPen(QColor(getattr(theme, _DYE[state])))
            line = QRect(inner.left(), inner.top() + row * metrics.height(), inner.width(), metrics.height())
            painter.drawText(line, Qt.AlignmentFlag.AlignLeft, metrics.elidedText(
                f"{_SIGN[state]} {name}", Qt.TextElideMode.ElideRight, line.width()))
        if len(shown) < len(its):
            painter.setPen(QColor(theme.INK_SOFT))
            line = QRect(inner.left(), inner.bottom() - metrics.height(), inner.width(), metrics.height())
            painter.drawText(line, Qt.AlignmentFlag.AlignLeft, self.tr("and {0} more").format(len(its) - len(shown)))
        if date == self.selectedDate():
            painter.setPen(QPen(QColor(theme.INK), 2))
            painter.drawRect(rect.adjusted(1, 1, -2, -2))
        elif date == QDate.currentDate():
            painter.setPen(QPen(QColor(theme.EDGE), 1, Qt.PenStyle.DashLine))
            painter.drawRect(rect.adjusted(1, 1, -2, -2))


class Month(QWidget):
    """A calendar of jobs with the month's name, the ways to others and the names of the days above it."""

    def __init__(self):
        super().__init__()
        self.calendar = JobCalendar()
        self._name = label("", "section")
        self._name.setAlignment(Qt.AlignmentFlag.AlignCenter)
        column, head, days = QVBoxLayout(self), QHBoxLayout(), QHBoxLayout()
        column.setContentsMargins(0, 0, 0, 0)
        for text, act in ((self.tr("Month before"), self.calendar.showPreviousMonth),
                          (self.tr("Today"), self.calendar.showToday), (self.tr("Next month"),
                                                                        self.calendar.showNextMonth)):
            one = button(text)
            one.clicked.connect(lambda _=False, do=act: do())
            head.addWidget(one)
        head.addWidget(self._name, 1)
        first = self.calendar.firstDayOfWeek().value
        names = (self.tr("Mon"), self.tr("Tue"), self.tr("Wed"), self.tr("Thu"), self.tr("Fri"), self.tr("Sat"),
                 self.tr("Sun"))
        for n in range(7):
            day = label(names[(first - 1 + n) % 7], "quiet")
            day.setAlignment(Qt.AlignmentFlag.AlignCenter)
            days.addWidget(day, 1)
        column.addLayout(head)
        column.addLayout(days)
        column.addWidget(self.calendar, 1)
        self.calendar.currentPageChanged.connect(lambda *_: self._say())
        self._say()

    def _say(self):
        months = (self.tr("January"), self.tr("February"), self.tr("March"), self.tr("April"), self.tr("May"),
                  self.tr("June"), self.tr("July"), self.tr("August"), self.tr("September"), self.tr("October"),
                  self.tr("November"), self.tr("December"))
        self._name.setText(f"{months[self.calendar.monthShown() - 1]} {self.calendar.yearShown()}")
