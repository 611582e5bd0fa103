"""What a plan takes and costs: times by hand and machine, material, and the quote with its lines."""

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QGridLayout, QLineEdit, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.sheets_strip import minutes_text
from sketchloom.app.parts.widgets import Figures, label
from sketchloom.app.stages.box import Box
from sketchloom.app.words import named, told
from sketchloom.core.base.errors import AppError
from sketchloom.core.base.units import format_length
from sketchloom.core.sheets.prices import PER, Price
from sketchloom.files import user_data


class CostBox(Box):
    """Figures of the whole plan and the user's prices; ``priced`` when a price changed."""

    priced = Signal()
    trouble = Signal(str)

    def __init__(self):
        super().__init__()
        self._figures = Figures()
        self._rates = label("", "quiet")
        self._prices = QWidget()
        self._grid = QGridLayout(self._prices)
        self._grid.setContentsMargins(0, 0, 0, 0)
        self._grid.setColumnStretch(0, 1)
        self._quote = Figures()
        self._per = {"sheet": self.tr("a sheet"), "metre": self.tr("a metre"), "m2": self.tr("a square metre")}
        self.add(self._figures, self._rates, self._prices, self._quote)
        self._fields: dict[str, QLineEdit] = {}
        self._units: dict[str, QComboBox] = {}
        self._shown: tuple = ()

    def show_plan(self, plan, unit: str) -> None:
        """What a plan takes; None while none is known."""
        if plan is None:
            return
        t = plan.tally
        self._figures.show_values((
            (self.tr("Cutting"), f"{format_length(t.cut_mm, unit, 0)}, {minutes_text(t.cut_s)}"),
            (self.tr("Travel"), self.tr("{0}, {1} in the order of the file").format(
                format_length(t.travel_mm, unit, 0), format_length(t.naive_mm, unit, 0))),
            (self.tr("Machine, with loading"), minutes_text(t.machine_s)),
            (self.tr("Weeding"), minutes_text(t.weed_s)),
            (self.tr("Laying"), minutes_text(t.lay_s)),
            (self.tr("All of it"), self.tr("{0} to {1}").format(minutes_text(t.low_s), minutes_text(t.high_s))),
            *((self._material(u.material), self.tr("{0} sheets, {1} m²").format(u.sheets, f"{u.m2:.2f}"))
              for u in t.used),
        ))
        self._rates.setText(self.tr("Rates were measured here.") if t.measured else
                            self.tr("Rates are from memory until they are measured."))
        self._show_prices(tuple(u.material for u in t.used if u.material is not None))
        words = {"material": self.tr("Material"), "machine": self.tr("Machine"), "hands": self.tr("Hands"),
                 "margin": self.tr("Margin")}
        currency = user_data.prices().currency
        self._quote.show_values((
            *((words[x.what] if x.material is None else self._material(x.material), f"{x.cost:.2f} {currency}".strip())
              for x in t.lines),
            *(((self.tr("Together"), f"{t.cost:.2f} {currency}".strip()),) if t.lines else ()),
        ))

    def _material(self, key):
        if key is None:
            return self.tr("Material not said")
        found = next((m for m in self.recipe.materials if m.key == key), None) if self.recipe is not None else None
        return key if found is None else named(found.name)

    def _show_prices(self, materials):
        """A field for every price; made anew where other materials are used."""
        prices = user_data.prices()
        if materials != self._shown or not self._fields:
            self._shown = materials
            while self._grid.count():
                self._grid.takeAt(0).widget().deleteLater()
            self._fields, self._units = {}, {}
            rows = [(f"material:{key}", self._material(key)) for key in materials]
            rows += [("machine_hour", self.tr("An hour of the machine")), ("hand_hour", self.tr("An hour of hands")),
                     ("margin", self.tr("Margin, %")), ("currency", self.tr("Currency"))]
            for row, (name, text) in enumerate(rows):
                field = QLineEdit()
                field.setAccessibleName(text)
                field.editingFinished.connect(self._keep)
                field.setFixedWidth(theme.px(80))
                self._fields[name] = field
                self._grid.addWidget(label(text, "quiet"), row, 0)
                self._grid.addWidget(field, row, 1)
                if name.startswith("material:"):
                    per = QComboBox()
                    per.setAccessibleName(self.tr("Price of {0} for").format(text))
                    for one in PER:
                        per.addItem(self._per[one], one)
                    per.activated.connect(self._keep)
                    self._units[name] = per
                    self._grid.addWidget(per, row, 2)
        for name, field in self._fields.items():
            if field.hasFocus() and field.isModified():
                continue
            field.setText(self._text(prices, name))
            if name in self._units:
                price = prices.of(name.partition(":")[2])
                self._units[name].setCurrentIndex(0 if price is None else PER.index(price.per))

    @staticmethod
    def _text(prices, name):
        if name == "currency":
            return prices.currency
        if name.startswith("material:"):
            price = prices.of(name.partition(":")[2])
            return "" if price is None else f"{price.amount:g}"
        value = getattr(prices, name) * (100 if name == "margin" else 1)
        return f"{value:g}" if value else ""

    def _keep(self):
        """Take all fields; what is no number is told and not kept."""
        prices = user_data.prices()
        try:
            made = replace(
                prices, currency=self._fields["currency"].text().strip(), machine_hour=self._number("machine_hour"),
                hand_hour=self._number("hand_hour"), margin=self._number("margin") / 100)
            others = [p for p in prices.materials if f"material:{p.material}" not in self._fields]
            its = [Price(name.partition(":")[2], self._number(name), self._units[name].currentData())
                   for name in self._units if self._fields[name].text().strip()]
            made = replace(made, materials=(*others, *its))
            if made != prices:
                user_data.keep_prices(made)
                self.priced.emit()
        except AppError as error:
            self.trouble.emit(told(error.message))
        except ValueError:
            self.trouble.emit(self.tr("A price is a number, such as 12.50."))

    def _number(self, name):
        text = self._fields[name].text().strip().replace(",", ".")
        return float(text) if text else 0.0
