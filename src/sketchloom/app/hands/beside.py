"""Shows what is worked out beside the result: the ladder, double outlines, gaps, the variants."""

from dataclasses import replace

from PySide6.QtCore import QObject

from sketchloom.app.work import aside
from sketchloom.recipe.document import MAX_ALTERNATIVES


class Beside(QObject):
    """Asks for it when the Trace stage is seen, and hands it to the panel and the strip while it is of the result
    shown."""

    def __init__(self, session, bench, trace, cleaning, layers, detailing, release, strip):
        super().__init__(bench)
        self._session, self._bench, self._trace, self._strip = session, bench, trace, strip
        self._detailing = detailing
        session.aside.ladder.connect(lambda work, rungs: self._is_shown(work) and trace.colour.show_ladder(work, rungs))
        session.aside.doubles.connect(
            lambda work, found: self._is_shown(work) and trace.doubles.show_doubles(work, found)
        )
        # another picture read each way is not what the tiles still show
        session.opened.connect(lambda *_: trace.readings.show_pictures(dict.fromkeys(aside.TILES)))
        session.aside.read.connect(lambda work, seen: self._is_shown(work) and trace.readings.show_pictures(seen))
        session.aside.pieces.connect(
            lambda work, counts: self._is_shown(work) and trace.tone.show_counts(work, *counts)
        )
        session.aside.gaps.connect(lambda work, gaps: self._is_shown(work) and cleaning.inking.show_gaps(work, gaps))
        session.aside.ways.connect(lambda work, ways: self._is_shown(work) and layers.show_ways(work, ways))
        session.aside.orders.connect(
            lambda work, offers: self._is_shown(work) and layers.orders.show_offers(work, offers)
        )
        session.aside.details.connect(
            lambda work, details: self._is_shown(work) and detailing.show_details(work, details))
        session.aside.before.connect(lambda work, found: self._is_shown(work) and release.take_findings(work, found))
        session.aside.variants_begin.connect(
            lambda work, found: self._is_shown(work) and strip.begin(work, session.latest.paths, found))
        session.aside.variant.connect(lambda work, tried: self._is_shown(work) and strip.fill(tried, work.recipe.unit))
        strip.taken.connect(lambda recipe: session.change(self._taken(recipe), self.tr("variant")))
        strip.keep_wanted.connect(self.keep)
        strip.let_go.connect(self._let_go)
        strip.pinned.connect(lambda tried: bench.pin(tried, "" if tried is None else strip.title_of(tried)))

    def ask(self, in_trace: bool, in_clean: bool, in_layers: bool, in_release: bool) -> None:
        """Ask about the present result, if the stage is seen that shows it."""
        work = self._session.work
        wanted = ({aside.GAPS} if in_clean else {aside.READ, aside.LADDER, aside.PIECES, aside.DOUBLES} if in_trace
                  else {aside.WAYS} if in_layers else {aside.BEFORE} if in_release else set())
        if work is None or not wanted:
            return
        if in_layers and self._detailing.is_open:
            wanted.add(aside.DETAILS)
        if self._strip.isVisible():
            wanted.add(aside.VARIANTS)
        self._session.aside.request(work, wanted)

    def _is_shown(self, work) -> bool:
        return self._session.work is work

    def keep(self) -> str | None:
        """Keep what is decided now as an alternative; its name, None where there are too many or no work."""
        if self._session.document is None:
            return None
        recipe = self._session.document.recipe
        names = {one.name for one in recipe.alternatives}
        number = next(n for n in range(1, len(names) + 2) if self.tr("Alternative {0}").format(n) not in names)
        if len(names) >= MAX_ALTERNATIVES:
            return None
        name = self.tr("Alternative {0}").format(number)
        self._session.change(recipe.kept_as(name), self.tr("kept alternative"))
        return name

    def _let_go(self, name):
        recipe = self._session.document.recipe
        self._session.change(
            replace(recipe, alternatives=tuple(a for a in recipe.alternatives if a.name != name)),
            self.tr("alternative let go"),
        )

    def _taken(self, recipe):
        """A variant's settings; what belongs to size and showing stays as it is now."""
        now = self._session.document.recipe
        return replace(
            recipe, unit=now.unit, size_mm=now.size_mm, size_side=now.size_side, alternatives=now.alternatives
        )
