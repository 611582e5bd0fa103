"""What the order of the sheets is to save, the best orders with what they cost, and what is pinned in them."""

from dataclasses import replace

from PySide6.QtCore import QSize, Qt
from PySide6.QtGui import QColor, QIcon, QPainter, QPixmap
from PySide6.QtWidgets import QComboBox, QHeaderView, QMenu, QTableWidgetItem, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.fields import NamedSlider
from sketchloom.app.parts.widgets import button, counted, figures_table, label, plain_tip
from sketchloom.app.stages.box import Box
from sketchloom.core.base.units import format_length
from sketchloom.evaluate.sheet_order import order_shares
from sketchloom.recipe.parts import BASE, TOP

_ROW, _SEEN, _BAR = 26, 4, QSize(84, 18)


def stack_icon(hexes) -> QIcon:
    """Sheets from the base, left, to the top, right."""
    pixmap = QPixmap(_BAR * 2)
    pixmap.setDevicePixelRatio(2)
    pixmap.fill(Qt.GlobalColor.transparent)
    painter = QPainter(pixmap)
    wide = _BAR.width() / max(len(hexes), 1)
    for n, one in enumerate(hexes):
        painter.fillRect(
            round(n * wide), 2, max(round((n + 1) * wide) - round(n * wide), 1), _BAR.height() - 4, QColor(one)
        )
    painter.setPen(QColor("#7a7063"))
    painter.drawRect(0, 2, _BAR.width() - 1, _BAR.height() - 5)
    painter.end()
    icon = QIcon(pixmap)
    icon.addPixmap(pixmap, QIcon.Mode.Selected)
    return icon


class OrderBox(Box):
    """Settings of the proposed order. The chosen layer comes with ``show_chosen``."""

    def __init__(self):
        super().__init__()
        self._weights = []
        for number, (name, tip) in enumerate(
            (
                (self.tr("Less cutting"), self.tr("How much the proposed order saves cutting")),
                (self.tr("Fewer pieces"), self.tr("A piece to lay counts as 100 mm of cutting")),
                (self.tr("Less film"), self.tr("A square centimetre counts as 2 mm of cutting")),
                (self.tr("Forgives mislaying"), self.tr("Edges where a third colour shows as soon as a sheet is laid a "
                                                        "hair off count by their length")),
                (self.tr("No sheet for little"), self.tr("A sheet of which hardly anything is seen counts by what is "
                                                         "covered of it, as film does")),
            )
        ):
            slider = NamedSlider(name, 0, 10, in_a_row=True)
            slider.setToolTip(tip)
            slider.moved.connect(lambda value, n=number: self._weigh(n, value))
            self._weights.append(slider)
        weights = QWidget()
        weights.setLayout(QVBoxLayout())
        weights.layout().setContentsMargins(0, 0, 0, 0)
        weights.layout().setSpacing(0)
        for slider in self._weights:
            weights.layout().addWidget(slider)
        self._words = {
            "cutting": self.tr("least cutting"),
            "pieces": self.tr("fewest pieces"),
            "film": self.tr("least film"),
            "mislaying": self.tr("forgives most"),
            "balanced": self.tr("a balance"),
            "next": self.tr("next best"),
        }
        self.offers = figures_table(4, self.tr("Orders worth a look, base on the left; click one to take it"), _ROW)
        self.offers.setVerticalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAsNeeded)
        self.offers.setToolTip(self.tr("Orders worth a look, base on the left; click one to take it"))
        self.offers.setHorizontalHeaderLabels([""] * 4)  # until they are worked out
        self.offers.setIconSize(_BAR)
        self.offers.horizontalHeader().setSectionResizeMode(0, QHeaderView.ResizeMode.ResizeToContents)
        self.offers.cellClicked.connect(lambda row, _: self.emit(self.tr("order"), order=self._orders[row]))
        self.offers.setFixedHeight(theme.px(_ROW + 30))
        self._orders: list[tuple[str, ...]] = []
        self._pin = QComboBox()
        self._pin.setAccessibleName(self.tr("Where proposed orders have the chosen layer"))
        for name, pin in (
            (self.tr("Chosen: anywhere"), None),
            (self.tr("Chosen: always the base"), BASE),
            (self.tr("Chosen: always on top"), TOP),
        ):
            self._pin.addItem(name, pin)
        self._pin.activated.connect(lambda _: self._take_pin(self._pin.currentData()))
        self._over = button(
            self.tr("Always above…"), "", self.tr("Choose a layer that the chosen one is always to lie above")
        )
        self._menu = QMenu(self._over)
        self._over.setMenu(self._menu)
        self._free = button(self.tr("Forget rules"), "x", self.tr("No layer is pinned any more"))
        self._free.clicked.connect(self._forget)
        self._said = label("", "quiet")
        self._chosen = None
        self.add(
            weights,
            self.offers,
            (self._pin, self._over),
            (self._said, self._free),
        )

    def _weigh(self, number, value):
        weights = [slider.slider.value() / 10 for slider in self._weights]
        weights[number] = value / 10
        if any(weights):
            self.change.emit(
                replace(self.recipe, order_weights=tuple(weights), order=()),
                self.tr("what the order is to save"),
                "order weights",
            )

    def show_work(self, work) -> None:
        super().show_work(work)
        for slider, value in zip(self._weights, order_shares(work.recipe, work.laying.way), strict=True):
            slider.show_value(round(10 * value), f"{100 * value:.0f} %")
        names = {plan.key: plan.name for plan in work.plans}
        pins = {BASE: self.tr("{0} is always the base"), TOP: self.tr("{0} is always on top")}
        rules = [pins[e.pin].format(names[e.key]) for e in work.recipe.layers if e.pin is not None and e.key in names]
        rules += [
            self.tr("{0} is always above {1}").format(names[a], names[b])
            for a, b in work.recipe.above
            if a in names and b in names
        ]
        self._said.setText("; ".join(rules) + ("." if rules else ""))
        for part in (self._said, self._free):
            part.setVisible(bool(rules))
        self.show_chosen(self._chosen)

    def show_offers(self, work, offers) -> None:
        """Orders that are worked out a moment after the work."""
        metric = work.recipe.unit == "mm"
        self.offers.setHorizontalHeaderLabels(
            [
                self.tr("Base to top"),
                self.tr("Cut m") if metric else self.tr("Cut ft"),
                self.tr("Pieces"),
                self.tr("cm²"),
            ]
        )
        hexes = {plan.key: plan.hex for plan in work.plans}
        now = tuple(plan.key for plan in work.plans)
        self._orders = [one.order for one in offers]
        self.offers.setRowCount(len(offers))
        for row, one in enumerate(offers):
            cut = one.cut_mm / (1000 if metric else 304.8)
            tip = self.tr("{0}: {1} of cutting, {2}, as a stack").format(
                self._words[one.why],
                format_length(one.cut_mm, work.recipe.unit, 0),
                counted(one.pieces, self.tr("1 piece"), self.tr("{0} pieces")),
            )
            for column, text in enumerate(("", f"{cut:.2f}", str(one.pieces), f"{one.film_mm2 / 100:.0f}")):
                item = QTableWidgetItem(text)
                item.setToolTip(plain_tip(tip))
                if column:
                    item.setTextAlignment(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter)
                else:
                    item.setIcon(stack_icon([hexes[key] for key in one.order]))
                    item.setData(Qt.ItemDataRole.AccessibleTextRole, self._words[one.why])
                self.offers.setItem(row, column, item)
            if one.order == now:
                self.offers.selectRow(row)
        if now not in self._orders:
            self.offers.clearSelection()
        self.offers.setFixedHeight(theme.px(min(len(offers), _SEEN) * _ROW + 30))

    def show_chosen(self, key) -> None:
        """The layer that pins and rules are about."""
        self._chosen = key
        known = self.work is not None and any(plan.key == key for plan in self.work.plans)
        for part in (self._pin, self._over):
            part.setEnabled(known)
        self._menu.clear()
        if known:
            self._pin.setCurrentIndex(max(self._pin.findData(self.recipe.edit_of(key).pin), 0))
            for plan in reversed(self.work.plans):
                if plan.key != key:
                    self._menu.addAction(plan.name, lambda lower=plan.key: self._take_rule(lower))

    def _take_pin(self, pin):
        if self._chosen is None or self.recipe is None:
            return
        recipe = self.recipe
        for edit in recipe.layers:  # one base, one top
            if pin is not None and edit.pin == pin:
                recipe = recipe.with_edit(edit.key, pin=None)
        recipe = recipe.with_edit(self._chosen, pin=pin)
        self.change.emit(replace(recipe, order=()), self.tr("pinned layer"), "")

    def _take_rule(self, lower):
        rules = tuple(r for r in self.recipe.above if r not in ((self._chosen, lower), (lower, self._chosen)))
        self.emit(self.tr("order rule"), above=(*rules, (self._chosen, lower)), order=())

    def _forget(self):
        recipe = self.recipe
        for edit in recipe.layers:
            recipe = recipe.with_edit(edit.key, pin=None)
        self.change.emit(replace(recipe, above=()), self.tr("order rules"), "")
