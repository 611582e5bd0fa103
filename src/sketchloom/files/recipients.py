"""Who gets a work: each has a format, a way of parting the work into files, and settings that suit; the user's own
choices for each are kept."""

from contextlib import suppress
from dataclasses import dataclass, replace

from sketchloom.core.base import plain, setting
from sketchloom.core.base.errors import AppError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all
from sketchloom.recipe.document import SETTINGS, Recipe
from sketchloom.recipe.sections import RELEASING

APPROVAL, PACKAGE, STICKERS = "approval", "package", "stickers"
"""What is written beside the formats: the sheet to be signed, all of a job in one folder, and pages to print with
what is cut from them."""


@dataclass(frozen=True, slots=True)
class Recipient:
    """``format`` and ``split`` (of ``release``) of the files; ``values`` of settings of handing over, as pairs; whether
    a ``report`` and a laying ``plan`` go with them; keys of checks (``core/preflight/checklist``) that it does not want
    made."""

    key: str = setting.text(setting.REQUIRED, most=60)
    name: str = setting.text(setting.REQUIRED)
    about: str = setting.text("", most=300)
    format: str = setting.text("svg", most=20)
    split: str = setting.text("one", most=20)
    values: tuple[tuple[str, str], ...] = ()
    report: bool = setting.switch(False)
    plan: bool = setting.switch(False)
    unchecked: tuple[str, ...] = ("single",)

    def __post_init__(self):
        check_all(self, "recipients.")

    def applied(self, recipe: Recipe) -> Recipe:
        """The recipe with its settings; what is no setting of handing over, or no value of it, is left."""
        for name, text in self.values:
            known = SETTINGS.get(name)
            if known is not None and known.place == RELEASING:
                with suppress(ValueError):  # a SettingError is one
                    recipe = replace(recipe, **{name: _value(known, text)})
        return recipe

    def kept(self, recipe: Recipe, format_key: str, split: str, report: bool, plan: bool,
             unchecked=("single",)) -> "Recipient":
        """The same with what is chosen now."""
        values = tuple((name, str(getattr(recipe, name))) for name, one in SETTINGS.items() if one.place == RELEASING)
        return replace(self, format=format_key, split=split, values=values, report=report, plan=plan,
                       unchecked=tuple(unchecked))


def _value(known, text):
    if known.kind == "switch":
        return text == "True"
    return {"whole": int, "length": float, "number": float}.get(known.kind, str)(text)


SHIPPED = (
    Recipient("cutter", str(said("My cutter")), str(said("A file a sheet in plotter language, in the planned order")),
              "hpgl", "sheet", plan=True),
    Recipient("laser", str(said("A laser shop")), str(said(
        "A drawing a sheet with arcs, in millimetres. Say the kerf if they do not")), "dxf", "sheet",
        (("dxf_curves", "arcs"), ("dxf_version", "r2000"))),
    Recipient("printer", str(said("A printer")), str(said("One PDF in true size, its layers to be switched")), "pdf",
              "one", (("pdf_paper", "whole"),)),
    Recipient("customer", str(said("The customer")), str(said(
        "A page to approve: the finished look, sizes, colours and a place to sign")), APPROVAL, "one"),
    Recipient("designer", str(said("Another designer")), str(said("One layered SVG in millimetres")), "svg", "one",
              (("svg_reader", "mm"),)),
    Recipient("stickers", str(said("Print, then cut")), str(said(
        "Pages of stickers to print, with marks and a bleed, and the cuts in register")), STICKERS, "one"),
    Recipient("all", str(said("All of it, to keep")), str(said(
        "A folder with cut files, laying, quote, preview, report and settings")), PACKAGE, "sheet", report=True,
        plan=True),
)


SHIPPED_KEYS = frozenset(one.key for one in SHIPPED)
_MOST = 40
"""So many are still found at a glance."""


def named_anew(name: str, like: Recipient, some) -> Recipient:
    """One more of ``some`` who get works, with the choices of another.

    Raises
    ------
    AppError : it has no name, one of them has it already, or there are too many. SettingError : the name is too long.
    """
    name = " ".join(name.split())
    if not name:
        raise AppError(said("Whoever gets works needs a name."))
    if name.casefold() in {one.name.casefold() for one in some}:
        raise AppError(said("{name} is on the list already.", name=name))
    if len(some) >= _MOST:
        raise AppError(said("The list is full: {most} are the most.", most=_MOST))
    taken = {one.key for one in some}
    key = next(key for key in (f"own-{n}" for n in range(1, _MOST + 1)) if key not in taken)
    return replace(like, key=key, name=name, about="")


def from_plain(data, where: str = "recipients") -> tuple[Recipient, ...]:
    """Recipients from plain data of any origin; raises SettingError."""
    return plain.from_plain(data, tuple[Recipient, ...], where)


def to_plain(some) -> list[dict]:
    return plain.to_plain(tuple(some))
