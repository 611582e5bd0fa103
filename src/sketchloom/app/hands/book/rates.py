"""Rates fitted to real times and prices of what was bought, shown before plans take them; the plots."""

from dataclasses import replace

from PySide6.QtCore import QObject

from sketchloom.app.words import told
from sketchloom.core.base.errors import AppError
from sketchloom.core.logbook.records import VERDICTS, Job, Stock, Try
from sketchloom.files import user_data


class RateKeeping(QObject):
    """Of a window's logbook; ``planning`` plans anew when rates are others."""

    def __init__(self, logging, planning):
        super().__init__(logging)
        self._logging, self._planning, self._page, self._found = logging, planning, logging.page, None
        self._page.plot_wanted.connect(self._plot)
        self._page.rates.wanted.connect(lambda _: self._plot(Job))
        self._page.rates.taken.connect(self._take)
        self._page.rates.dropped.connect(self._drop)
        self._page.batches.price_wanted.connect(self._take_price)

    def _plot(self, kind):
        {Job: self._plot_jobs, Try: self._plot_tries, Stock: self._plot_stock}[kind]()

    def _plot_jobs(self):
        machine = self._page.rates.shown

        def read(book):
            from sketchloom.desk import charts, shop

            names = shop.timed_machines(book)
            its = machine if machine in names else next(iter(names), "")
            try:
                found, wrong, odd = shop.fits(book, its)
            except AppError as error:
                found, wrong, odd = error, [], []
            figures = book.figures(Job, ("planned_s", "real_s"), **({"machine": its} if its else {}))
            return names, its, found, wrong, charts.times(figures, odd)

        def show(made):
            names, its, found, wrong, chart = made
            page = self._page
            page.rates.show_machines(names)
            page.rates.machine.setCurrentIndex(max(page.rates.machine.findData(its), 0))
            self._found = None if isinstance(found, AppError) else found
            pace = user_data.prices().rates.pace_of(its) if its else None
            if self._found is None:
                page.rates.show_none(told(found.message), pace)
            else:
                page.rates.show_fit(found, _rates_of(found, its), wrong, pace)
            page.plot.show_chart(chart, self.tr("planned, minutes"), self.tr("real, minutes"), (
                ("dot", self.tr("a job")), ("ring", self.tr("not like the others"))), self.tr(
                "Nothing to plot: say of a job how long it took."))
        self._logging.with_book(read, show)

    def _plot_tries(self):
        family, material = self._page.tries.asked
        machine = self._page.tries.machine_name

        def read(book):
            from sketchloom.desk import charts

            newest = book.all(Try, limit=1)
            its = material or (newest[0].one.material if newest else "")
            its_machine = machine if material or not newest else newest[0].one.machine
            tries = tuple(k.one for k in book.all(Try, material=its, machine=its_machine, newest_first=False))
            return its, charts.verdicts(tries[-1].family if tries and not material else family, tries)

        def show(made):
            from sketchloom.desk.charts import OF_VERDICT

            its, chart = made
            words = dict(zip(VERDICTS, names_of_verdicts(), strict=True))
            self._page.plot.show_chart(
                chart, self.tr("speed, mm/s; {0}").format(its), self.tr("force"),
                [(shape, words[name]) for name, shape in OF_VERDICT.items()],
                self.tr("Nothing to plot: name a material beside that has test cuts."))
        self._logging.with_book(read, show)

    def _plot_stock(self):
        def read(book):
            from sketchloom.desk import charts, shop

            return charts.stock(shop.amounts(book))
        self._logging.with_book(read, lambda chart: self._page.plot.show_chart(
            chart, self.tr("square metres"), self.tr("material"), (), self.tr("Nothing in stock yet.")))

    def _take(self, machine):
        if self._found is not None and machine:
            self._keep(lambda rates: rates.with_pace(self._found.pace(machine)))

    def _drop(self, machine):
        self._keep(lambda rates: rates.without_pace(machine))

    def _take_price(self):
        """Plans reckon with what a batch cost."""
        from sketchloom.desk.shop import Names, price_of

        chosen = self._page.chosen
        price = None if chosen is None else price_of(chosen.one, Names.from_table(user_data.materials(), told))
        if price is not None and self._write(user_data.prices().with_price(price)):
            self._logging.say("rates", "done", self.tr("Plans reckon {0} for {1}.").format(
                f"{price.amount:g}", chosen.one.name))

    def _keep(self, change):
        prices = user_data.prices()
        if self._write(replace(prices, rates=change(prices.rates))):
            self._plot_jobs()

    def _write(self, prices):
        """Keep a price table and plan by it; whether it was kept."""
        try:
            user_data.keep_prices(prices)
        except AppError as error:
            self._logging.say("rates", "trouble", told(error.message))
            return False
        self._planning.again()
        return True


def _rates_of(found, name):
    """Rates of a machine by its name, beside what the tables of machines and prices say."""
    from sketchloom.core.logbook.calibration import rates

    machine = next((one for one in user_data.machines() if one.name == name), None)
    return rates(found, machine, user_data.prices().rates)


def names_of_verdicts():
    """What verdicts are called, in their order."""
    from sketchloom.core.base.setting import settings_of

    return [told(words) for words in next(one for one in settings_of(Try) if one.name == "verdict").names]
