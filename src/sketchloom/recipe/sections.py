"""The seven sections of a recipe, one for each stage of the work. Every setting is described here and nowhere else."""

from dataclasses import dataclass, field

from sketchloom.core.background.steps import NOTHING, Background
from sketchloom.core.base import checks, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import Word, check_all
from sketchloom.core.base.words import ENGLISH, languages
from sketchloom.core.carve.blank import Blank
from sketchloom.core.carve.operations import MAX_OPERATIONS, Operation
from sketchloom.core.carve.tools import MAX_TOOLS as MAX_CUTTERS
from sketchloom.core.carve.tools import Tool
from sketchloom.core.curves.courses import CurveEdit
from sketchloom.core.edits.decisions import PaintedLine, RegionEdit
from sketchloom.core.formats import handing
from sketchloom.core.layers.added import Rim
from sketchloom.core.layers.ways import PROPOSED, WAYS
from sketchloom.core.picture.preparing.steps import PLAIN, Preparation
from sketchloom.core.segment.parts import HUES, Grown, Patch
from sketchloom.core.shapes.drawn import CoveredArea, PlacedShape, SplitLine
from sketchloom.core.sheets import choices as sheet_choices
from sketchloom.core.sheets.machine import Machine
from sketchloom.core.sheets.material import BLADE, MAX_MATERIALS, TOOLS, Material
from sketchloom.recipe.parts import LayerEdit, PaletteEntry, Settled

READINGS = ("auto", "colour", "tone", "line", "photo")
DOUBLES = ("middle", "outer", "filled")
GROUNDS = ("auto", "touching", "everywhere", "keep")
LAYERINGS = WAYS
UNITS = ("mm", "in")
SIDES = ("width", "height")
MAX_COLOURS = 24
"""Colours at most: more are no sheets a person lays."""
MIN_SIZE_MM, MAX_SIZE_MM = 2.0, 10_000.0
"""From a charm to a roll: beyond either a number is a slip of the hand."""
MIN_DETAIL_MM, MAX_DETAIL_MM = 0.0, 100.0
"""None at all, to a detail as large as a hand; beyond it nothing would be left."""
MIN_TONES, MAX_TONES = 2, 8
"""Fewer are no shading; more tones of one colour no eye tells apart in layers (common practice, no source)."""
MAX_PENS = 4
"""Pens that line art is told apart by."""
MAX_EDITS = 20_000
"""More than any hand makes; a guard against hostile files."""
MAX_PLACES = 1000
"""Places of one kind; a guard against hostile files."""
MAX_LAYERS = 1000
"""Layers of one work; a guard against hostile files."""
MAX_OVERLAP_MM, MAX_SHEET_MM = 2.0, 50.0
"""An overlap hides a slip of the hand in laying; a sheet is board at most."""
MAX_PAGES, MIN_PAGE_DPI, MAX_PAGE_DPI = 5000, 36, 1200
"""Pages of a document, and dots per inch it is drawn with; a guard against hostile files."""
MIN_HELPER_MM = 2.0
"""Helper cuts nearer to each other part the waste into crumbs (common practice, no source)."""
WITH_THE_WAY = (1.0, 0.0, 0.0)
"""What an order is to save where that was not chosen; chosen shares are five, three in older projects."""
TRUEST, SMOOTHEST = -2, 3
"""Steps of smoothness, from true to the pixels to clean sweeps."""
MAX_RULES = 200
"""Rules of order; a guard against hostile files."""
SHEETS, ADDED, STUFF, PLANNED, HANDED = "sheets", "added", "stuff", "planned", "handed"
"""Groups of the command's help."""
PLANNING, RELEASING = "sheets", "release"
"""The panels of the settings of planning and of handing over."""
MAX_GAP_MM, MAX_COPIES = 100.0, 500
"""Between parts on a sheet, and of one work."""


@dataclass(frozen=True, slots=True)
class Source:
    """The picture: its page, what is done to it before it is read, its finished size."""

    page: int = setting.whole(
        0, 0, MAX_PAGES - 1, said("Page"), said("page of a PDF"), word=Word("--page", "N", first=1))
    page_dpi: int = setting.whole(
        300, MIN_PAGE_DPI, MAX_PAGE_DPI, said("Drawn with"), said("how finely a PDF page or an SVG is drawn"),
        word=Word("--page-dpi", "DPI"))
    as_drawing: bool = setting.switch(
        False, said("Keep the file's own curves"),
        said("an SVG, a page of a PDF or a DXF is read as a drawing: its curves stay as they are, where they are seen"),
        word=Word("--as-drawing"))
    preparation: Preparation = PLAIN
    background: Background = NOTHING
    size_mm: float | None = setting.length(
        None, MIN_SIZE_MM, MAX_SIZE_MM, said("Finished size"),
        said("of the side that size_side names; without it from the file's resolution, else 120 mm"))
    size_side: str = setting.choice("width", SIDES, said("Side"), said("the side that size_mm is of"))
    unit: str = setting.choice("mm", UNITS, said("Unit"), said("how lengths are shown"), late=True)

    def __post_init__(self):
        check_all(self)


@dataclass(frozen=True, slots=True)
class Trace:
    """How the picture is read: what becomes of its colours, tones and strokes, and what is too small."""

    reading: str = setting.choice(
        "auto", READINGS, said("Reading"), said("how the picture is read; auto: chosen from the picture"),
        names=(said("Choose for me"), said("Colour: flat colours, a sheet each"), said("Tone: ink against paper"),
               said("Line: the middle of each stroke"), said("Photo: shading in a few tones")),
        word=Word("--mode", auto="auto", about=said("default: chosen from the picture")), preset=True)
    colours: int | None = setting.whole(
        None, 1, MAX_COLOURS, said("Colours"), said("number of colours; without it as many as the picture has"),
        word=Word("--colours", "auto|N", auto="auto", about=said("1 to 24")), preset=True)
    palette: tuple[PaletteEntry, ...] | None = setting.parts(
        None, 1, MAX_COLOURS, about=said("set once a colour was edited: the colours to cut, each a list of #rrggbb "
                                         "that belong to it, the first gives its look"))
    locked: tuple[str, ...] = setting.parts(
        (), 0, MAX_COLOURS, about=said("#rrggbb that stay in the palette whatever the number of colours"))
    cut_off: int | None = setting.whole(
        None, 0, 255, said("Cut-off"), said("ink is at or under it; without it chosen from the picture"),
        word=Word("--threshold", "auto|0-255", auto="auto", about=said("cut-off of the tone reading")), preset=True)
    dark_is_ink: bool = setting.switch(True, said("Dark is ink"), said("off: light ink on dark ground"), preset=True)
    local_cut_off: bool = setting.switch(
        False,
        said("The cut-off follows the light"),
        said("the cut-off follows the light; cut_off then shifts it around 128"),
        word=Word("--local-threshold", about=said("the cut-off follows the light")),
        preset=True,
    )
    silhouette: bool = setting.switch(
        False, said("Silhouette"), said("all that ink encloses is ink"), word=Word("--silhouette"), preset=True)
    tones: int = setting.whole(
        4, MIN_TONES, MAX_TONES, said("Tones, one sheet each"), said("tones of the photo reading"),
        word=Word("--tones", "2..8"), preset=True)
    hues: str = setting.choice(
        "auto", HUES, said("Hues"),
        said("whether a photo's tones are steps within each of its hues, or one ramp from dark to light"),
        names=(said("Apart where they differ"), said("One ramp from dark to light"), said("Kept apart")),
        word=Word("--hues"), preset=True)
    photo_outlines: bool = setting.switch(
        False, said("Draw dark outlines on top"), said("the darkest lines of a photo as a sheet on top of its tones"),
        word=Word("--photo-outlines"), preset=True)
    features: bool = setting.switch(
        True,
        said("Keep eyes and other strong small details"),
        said(
            "A small region that differs by several tones from what surrounds it stays, even under the smallest detail"
        ),
        preset=True,
    )
    pen_mm: float | None = setting.length(
        None,
        0.05,
        MAX_DETAIL_MM,
        said("Width of the strokes"),
        said("strokes of the line reading as shapes this wide, not pen lines"),
        word=Word("--pen-width", "0.5mm"),
        preset=True,
    )
    pens: int = setting.whole(
        1,
        1,
        MAX_PENS,
        said("Pens, a layer each"),
        said("a layer of pen lines for each of so many widths of stroke"),
        late=True,
        word=Word("--pens", "1..4"),
        preset=True,
    )
    spur_mm: float = setting.length(
        2.0, 0.0, MAX_DETAIL_MM, said("Shortest branch"), said("shorter side strokes of the line reading are dropped"),
        word=Word("--min-branch", "2mm"), preset=True)
    strokes_removed: tuple[tuple[float, float], ...] = setting.parts(
        (), 0, MAX_PLACES, about=said("places on strokes that were taken out"))
    double_mm: float = setting.length(
        0.0,
        0.0,
        MAX_DETAIL_MM,
        said("Make cuts nearer than this one"),
        said("cuts nearer to each other than this along a length are made one"),
        word=Word("--double", "0.5mm"),
        preset=True,
    )
    double_to: str = setting.choice(
        "middle",
        DOUBLES,
        said("What becomes of double outlines"),
        said("which cut stays of two that run beside each other"),
        names=(said("One cut along the middle"), said("The outer cut stays"), said("Filled between the two")),
        word=Word("--double-to"),
        preset=True,
    )
    grown: tuple[Grown, ...] = setting.parts((), 0, 1000, about=said("regions grown by colour"))
    patches: tuple[Patch, ...] = setting.parts((), 0, 1000, about=said("parts with settings of their own"))
    kept: tuple[tuple[float, float], ...] = setting.parts(
        (), 0, MAX_PLACES, about=said("small details that stay, each by a place in it"))
    ground: str = setting.choice(
        "auto",
        GROUNDS,
        said("Ground"),
        said("what becomes of the picture's ground"),
        late=True,
        names=(
            said("Leave out, found for me"),
            said("Leave out where it touches the edge"),
            said("Leave out everywhere"),
            said("Keep as a layer"),
        ),
        word=Word("--keep-background", sets="keep", about=said("the ground becomes a layer")),
        preset=True,
    )
    smallest_mm: float = setting.length(
        1.0,
        MIN_DETAIL_MM,
        MAX_DETAIL_MM,
        said("Smallest detail"),
        said("regions under a disc this wide go to a neighbour"),
        word=Word("--min-feature", "1mm", about=said("regions under it go to a neighbour")),
        preset=True,
    )
    settled: Settled | None = field(default=None, compare=False)

    def __post_init__(self):
        check_all(self)
        for name in ("kept", "strokes_removed"):
            checks.places(name, getattr(self, name), 0, MAX_PLACES)
        if self.settled is not None and self.settled.reading not in (None, *READINGS[1:]):
            raise SettingError("settled.reading", said("a way of reading"), self.settled.reading)
        for one in self.locked:
            checks.colour("locked", one)


@dataclass(frozen=True, slots=True)
class Clean:
    """What was decided about single regions, and what was drawn into the picture or laid on it."""

    edits: tuple[RegionEdit, ...] = setting.parts(
        (),
        0,
        MAX_EDITS,
        late=True,
        about=said("decisions about single regions, in the order in which they are applied"),
        by_hand=True,
    )
    all_off: bool = setting.switch(
        False, late=True, about=said("only regions that edits keep or colour are there"), by_hand=True
    )
    lines: tuple[PaintedLine, ...] = setting.parts(
        (), 0, MAX_EDITS, about=said("lines painted into the picture before it is read"), by_hand=True)
    shapes: tuple[PlacedShape, ...] = setting.parts(
        (), 0, MAX_EDITS, about=said("figures and words laid over the regions"), by_hand=True
    )
    splits: tuple[SplitLine, ...] = setting.parts((), 0, MAX_EDITS, about=said("split lines"), by_hand=True)
    covers: tuple[CoveredArea, ...] = setting.parts(
        (), 0, MAX_EDITS, about=said("areas filled with what is around them"), by_hand=True
    )
    thin_mm: float = setting.length(
        0.8, MIN_DETAIL_MM, MAX_DETAIL_MM, said("Smallest width"), said("narrower places become findings"), late=True,
        word=Word("--narrowest", "0.8mm"), preset=True)

    def __post_init__(self):
        check_all(self)


@dataclass(frozen=True, slots=True)
class Outlines:
    """How boundaries become curves."""

    smoothness: int = setting.whole(
        0,
        TRUEST,
        SMOOTHEST,
        said("Outlines"),
        said("true to the pixels (-2) to clean sweeps (3)"),
        names=(
            said("true to the pixels"),
            said("close"),
            said("balanced"),
            said("smooth"),
            said("smoother"),
            said("clean sweeps"),
        ),
        word=Word("--smoothness", "-2..3"),
        preset=True,
    )
    exact_shapes: bool = setting.switch(
        True,
        said("Make regular shapes exact"),
        said(
            "Circles, ellipses, level edges, round corners and symmetric outlines, where they keep as close to the "
            "picture as the curves do."
        ),
        word=Word(
            "--as-drawn",
            sets=False,
            about=said("do not make circles, level lines, round corners and symmetric outlines exact"),
        ),
        preset=True,
    )
    few_nodes: bool = setting.switch(
        True,
        said("As few nodes as will do"),
        said(
            "Where curves begin and end is found so that the fewest keep to the boundary, as somebody would draw them. "
            "Without it curves come sooner, with more nodes."
        ),
        word=Word("--few-nodes", about=said("the fewest curves that keep to the boundary (the default), or quicker")),
        preset=True,
    )
    thin_lines: bool = setting.switch(
        True,
        said("Thin lines drawn whole"),
        said(
            "Lines of less than two pixels between flat colours are found as lines of one colour and an even width, "
            "where pixels alone would make dashes of them."
        ),
        word=Word("--thin-lines", about=said("find lines of less than two pixels as lines (the default), or not")),
        preset=True,
    )
    curves: tuple[CurveEdit, ...] = setting.parts(
        (), 0, MAX_EDITS, about=said("stretches of boundary with another course"), by_hand=True
    )

    def __post_init__(self):
        check_all(self)


@dataclass(frozen=True, slots=True)
class Stack:
    """How regions become sheets, and in which order."""

    layering: str = setting.choice(
        PROPOSED,
        (PROPOSED, *WAYS),
        said("Way of layering"),
        said("how sheets are laid on each other; auto: proposed from the colours and materials"),
        names=(said("proposed"), said("stacked"), said("fitted"), said("windowed"), said("lean"), said("on a base")),
        word=Word("--layering", auto=PROPOSED, group=SHEETS, about=said("default: proposed")),
        by_hand=True,
        preset=True,
    )
    overlap_mm: float | None = setting.length(
        None, 0.0, MAX_OVERLAP_MM, said("Overlap"),
        said("fitted and lean sheets, and those on a base, reach so far under what covers them; without it 0, or what "
             "is proposed with the way"),
        word=Word("--overlap", "0..2mm", group=SHEETS), by_hand=True)
    order_weights: tuple[float, ...] = setting.parts(
        WITH_THE_WAY,
        3,
        5,
        about=said("how much the proposed order is to save cutting, pieces and film, to forgive mislaying, to lay no "
                   "sheet for little, 0 to 1 each; 1, 0, 0 alone: what goes with the way of layering"),
        by_hand=True,
    )
    order: tuple[str, ...] = setting.parts(
        (), 0, MAX_LAYERS, about=said("keys of layers, base first; empty: the proposed order"), by_hand=True)
    above: tuple[tuple[str, str], ...] = setting.parts(
        (), 0, MAX_RULES, about=said("pairs (upper, lower) that proposed orders keep to"), by_hand=True)
    layers: tuple[LayerEdit, ...] = setting.parts(
        (), 0, MAX_LAYERS, about=said("what was decided about single layers"), by_hand=True
    )
    rims: tuple[Rim, ...] = setting.parts(
        (), 0, 100, about=said("sheets of an outline moved by a distance"), by_hand=True
    )
    laid_on: str | None = setting.colour(
        None, said("Laid on"), said("colour of the shirt, wall or card below everything, when that was said"))
    names_in: str = setting.choice(
        ENGLISH, tuple(languages()), said("Names in"), said("language that layers are named in"),
        word=Word("--names-in", group=SHEETS))

    def __post_init__(self):
        check_all(self)
        if not checks.are_numbers(self.order_weights, len(self.order_weights), 0, 1) or not any(self.order_weights):
            raise SettingError("order_weights", said("three to five shares from 0 to 1, not all 0"), self.order_weights)
        for key in self.order:
            checks.text("order", key)
        for rule in self.above:
            if not isinstance(rule, tuple) or len(rule) != 2:
                raise SettingError("above", said("pairs of layers"), rule)
            for key in rule:
                checks.text("above", key)


@dataclass(frozen=True, slots=True)
class Sheets:
    """What sheets are made of, and what helps to cut and weed them."""

    sheet_mm: float = setting.length(
        0.1, 0.01, MAX_SHEET_MM, said("Thickness of a sheet"), said("of sheets without a material"),
        word=Word("--sheet-thickness", "0.1mm", group=STUFF))
    spacer_mm: float = setting.length(
        0.0, 0.0, MAX_SHEET_MM, said("Spacers between sheets"), said("what is between two sheets"),
        word=Word("--spacer", "2mm", group=STUFF))
    frame_depth_mm: float | None = setting.length(
        None, 0.1, 1000.0, said("Depth of the frame"), said("inner depth of the frame that the stack is to fit"),
        word=Word("--frame-depth", "20mm", group=STUFF))
    materials: tuple[Material, ...] = setting.parts((), 0, MAX_MATERIALS, about=said("materials that layers name"))
    tool: str = setting.choice(
        BLADE, TOOLS, said("Cut by"), said("what cuts"), names=(said("blade"), said("laser"), said("router")),
        word=Word("--tool", group=STUFF))
    weeding_mm: float = setting.length(
        0.0, 0.0, 200.0, said("Weeding frame"), said("a frame is cut so far around every sheet"),
        word=Word("--weeding-frame", "5mm", group=ADDED))
    weeding_every_mm: float = setting.length(
        0.0, 0.0, 500.0, said("Helper cuts every"), said("helper cuts through the waste in the frame, so far apart"),
        least_if_any=MIN_HELPER_MM, word=Word("--weeding-every", "20mm", group=ADDED))
    machine: Machine | None = None
    carrier: str = setting.text(
        sheet_choices.AUTO, about=said("key of the carrier, or its size; auto: the smallest that does"), most=100,
        late=True)
    copies: int = setting.whole(
        1, 1, MAX_COPIES, said("Copies"), said("how many of the work are cut"), late=True,
        word=Word("--copies", "N", group=PLANNED))
    divide: str = setting.choice(
        sheet_choices.AUTO, sheet_choices.SEAMS, said("Divide"),
        said("what becomes of a layer larger than any carrier"), late=True,
        names=(said("Where it is seen least"), said("Along a straight line"), said("Not at all")),
        word=Word("--divide", group=PLANNED, about=said("layers larger than any carrier: along the seam that is seen "
                                                        "least, along a straight one, or not at all")), place=PLANNING)
    joint: str = setting.choice(
        sheet_choices.BUTT, sheet_choices.JOINTS, said("Joint"), said("how the parts of a divided layer meet"),
        late=True, names=(said("Edge to edge"), said("One under the other"), said("Tongues that hold")),
        word=Word("--joint", group=PLANNED), place=PLANNING)
    joint_mm: float = setting.length(
        3.0, 0.5, 50.0, said("Overlap or tongue"),
        said("how far one part reaches under the other, or a tongue's width"),
        late=True, word=Word("--joint-width", "3mm", group=PLANNED), place=PLANNING)
    matching: str = setting.choice(
        sheet_choices.AUTO, sheet_choices.MATCHES, said("Matching marks"),
        said("short cuts across a seam, by which its parts are laid together"), late=True,
        names=(said("Where an upper sheet hides them"), said("Also where they are seen"), said("None")),
        word=Word("--matching", group=PLANNED), place=PLANNING)
    pieces: str = setting.choice(
        sheet_choices.AUTO, sheet_choices.PIECES, said("Pieces of a layer"),
        said("whether the pieces of a layer keep their places on the sheet"), late=True,
        names=(said("As its material is laid"), said("Keep their places"), said("Each for itself")),
        word=Word("--pieces", group=PLANNED), place=PLANNING)
    turns: str = setting.choice(
        sheet_choices.AUTO, sheet_choices.TURNS, said("May be turned"),
        said("by how much parts may be turned to save material"), late=True,
        names=(said("As its material bears"), said("Freely"), said("By 180°"), said("By 90°"), said("Not at all")),
        word=Word("--turn", group=PLANNED, about=said("how far parts may be turned on a sheet")), place=PLANNING)
    parts_gap_mm: float = setting.length(
        3.0, 0.0, MAX_GAP_MM, said("Between parts"), said("least room between two parts on a sheet"), late=True,
        word=Word("--gap", "3mm", group=PLANNED), place=PLANNING)
    mirroring: str = setting.choice(
        sheet_choices.AUTO, sheet_choices.MIRRORS, said("Mirrored"),
        said("whether parts are cut mirrored, as film for a hot press is"), late=True,
        names=(said("As its material asks"), said("All of it"), said("None of it")),
        word=Word("--mirror", group=PLANNED), place=PLANNING)
    test_cut: str = setting.choice(
        sheet_choices.NONE, sheet_choices.TESTS, said("Test cut"),
        said("what is cut first in a free corner of every material, to try the settings"), late=True,
        names=(said("None"), said("A star of half an inch"), said("The narrowest detail")),
        word=Word("--test-cut", sets=sheet_choices.STAR, group=PLANNED,
                  about=said("a star of half an inch in a free corner of every material")), place=PLANNING)
    tab: bool = setting.switch(
        False, said("Tab to peel by"), said("a cut across a corner of every weeding frame, to take hold of the waste"),
        late=True, word=Word("--tab", group=PLANNED), place=PLANNING)
    most_minutes: int | None = setting.whole(
        None, 1, 100_000, said("Time allowed"), said("minutes that cutting, weeding and laying may take"), late=True,
        word=Word("--most-minutes", "N", group=PLANNED))
    seams: tuple[sheet_choices.SeamByHand, ...] = setting.parts(
        (), 0, sheet_choices.MAX_SEAMS, late=True, about=said("seams put by hand"), by_hand=True)
    spots: tuple[sheet_choices.SpotByHand, ...] = setting.parts(
        (), 0, sheet_choices.MAX_SPOTS, late=True, about=said("where parts were put by hand"), by_hand=True)
    offcuts: tuple[sheet_choices.Offcut, ...] = setting.parts(
        (), 0, sheet_choices.MAX_OFFCUTS, late=True, about=said("rests of material that are used up first"))
    blank: Blank = field(default_factory=Blank)
    operations: tuple[Operation, ...] = setting.parts(
        (), 0, MAX_OPERATIONS, late=True, by_hand=True,
        about=said("what a router carves, in its order; with any the work is carved instead of cut from sheets"))
    cutters: tuple[Tool, ...] = setting.parts(
        (), 0, MAX_CUTTERS, late=True, about=said("tools that operations name, beside the shipped ones"))

    def __post_init__(self):
        check_all(self)
        if not isinstance(self.blank, Blank):
            raise SettingError("blank", said("a blank"), type(self.blank).__name__)
        if self.machine is not None and not isinstance(self.machine, Machine):
            raise SettingError("machine", said("a machine"), type(self.machine).__name__)


@dataclass(frozen=True, slots=True)
class Release:
    """What the files hold beside the cuts."""

    marks: bool = setting.switch(
        False, said("Marks on every sheet, to lay them by"),
        said("Three round holes beside the work, so that no sheet can be laid turned or turned over, and the sheet's "
             "number in the fourth corner"),
        word=Word("--marks", group=ADDED, about=said(
            "three holes beside the work on every sheet, to lay them by, and its number in the fourth corner")))
    svg_reader: str = setting.choice(
        handing.MM, handing.READERS, said("An SVG's lengths"), said("what the reader of an SVG takes for an inch"),
        late=True, names=(said("In millimetres"), said("Bare numbers, 96 an inch"), said("Bare numbers, 90 an inch"),
                          said("Bare numbers, 72 an inch")),
        word=Word("--svg-reader", group=HANDED, about=said(
            "the reader of an SVG takes millimetres, or bare numbers of which so many are an inch")), place=RELEASING)
    dxf_version: str = setting.choice(
        handing.R2000, handing.VERSIONS, said("DXF version"), said("the version of a DXF"), late=True,
        names=(said("R2000"), said("R12, for old readers")), word=Word("--dxf", group=HANDED), place=RELEASING)
    dxf_curves: str = setting.choice(
        handing.SPLINES, handing.CURVES, said("Curves in a DXF"),
        said("what a DXF keeps of curves; R12 has no splines"), late=True,
        names=(said("Splines"), said("Arcs"), said("Straight lines")),
        word=Word("--curves", group=HANDED), place=RELEASING)
    stray_mm: float = setting.length(
        0.005, 0.001, 0.5, said("Arcs and lines within"),
        said("how far arcs and lines may stray from curves"), late=True,
        word=Word("--within", "0.005mm", group=HANDED), place=RELEASING)
    picture_dpi: int = setting.whole(
        300, 20, 2400, said("Dots an inch of a picture"), said("resolution of a PNG or WebP"), late=True,
        word=Word("--dpi", "DPI", group=HANDED), place=RELEASING)
    pdf_paper: str = setting.choice(
        handing.WHOLE, handing.PAPERS, said("Paper of a PDF"), said("the paper that a PDF is parted over"), late=True,
        names=(said("A4, to glue"), said("Letter, to glue"), said("As large as the work")),
        word=Word("--tile", group=HANDED, about=said("a PDF parted over paper, with marks and an overlap to glue")),
        place=RELEASING)
    kerf_mm: float = setting.length(
        0.0, 0.0, 10.0, said("Kerf"), said("width that a beam or a cutter takes away; cuts move by half of it into the "
                                           "waste"), late=True,
        word=Word("--kerf", "0.15mm", group=HANDED), place=RELEASING)
    bleed_mm: float = setting.length(
        2.0, 0.0, 20.0, said("Bleed"), said("how far printed colours run on past the cut"), late=True,
        word=Word("--bleed", "2mm", group=HANDED), place=RELEASING)
    border_mm: float = setting.length(
        0.0, 0.0, 50.0, said("White border of stickers"), said("white between the print and its cut; 0 for none"),
        late=True, word=Word("--border", "3mm", group=HANDED), place=RELEASING)
    prints_picture: bool = setting.switch(
        False, said("Stickers show the picture itself"), said("stickers are printed with the picture, else with the "
                                                              "flat colours"),
        late=True, word=Word("--print-picture", group=HANDED), place=RELEASING)
    may_use: bool = setting.switch(
        False, said("The picture may be used"), said("somebody said that the picture may be used"), late=True,
        word=Word("--may-use", group=HANDED))
    file_names: str = setting.text(
        "{name}-{what}", said("Names of a package"), said("names of the files of a package, from {name}, {what}, "
                                                          "{width}, {height} and {machine}"),
        late=True, word=Word("--names", "PATTERN", group=HANDED), place=RELEASING)
    dialect: str = setting.text(
        "", said("Dialect of machine code"), said("key of the dialect of machine code; empty: the machine's own"),
        late=True, most=100, word=Word("--dialect", "KEY", group=HANDED))

    def __post_init__(self):
        check_all(self)


SECTIONS: dict[str, type] = {
    "source": Source, "trace": Trace, "clean": Clean, "outlines": Outlines, "stack": Stack, "sheets": Sheets,
    "release": Release}
"""Each section by its name in a recipe."""
