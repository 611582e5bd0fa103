"""What can be done to what is chosen: every act with its words, its key and what else it is called, in one table."""

from dataclasses import dataclass

from PySide6.QtCore import Qt
from PySide6.QtGui import QKeySequence

from sketchloom.core.base.said import said
from sketchloom.desk.things import GAP, LAYER, REGION, SHADE, SHAPE, STRETCH, STROKE


@dataclass(frozen=True, slots=True)
class Act:
    """``words`` on its button, ``about`` in a sentence, ``key`` while the thing is chosen; ``near``: what else people
    call it."""

    name: str
    words: str
    about: str
    key: Qt.Key | None = None
    near: str = ""
    is_seldom: bool = False
    """In the panel alone, as it is seldom wanted."""
    undoes: str = ""
    """The act that it takes back: one of the two can be done at a time, with one key."""

    @property
    def key_text(self) -> str:
        """The key as it stands on a keyboard."""
        return "" if self.key is None else QKeySequence(self.key).toString(QKeySequence.SequenceFormat.NativeText)


KINDS_NAMED = {REGION: said("Region"), STROKE: said("Stroke"), STRETCH: said("Line around an area"),
               SHAPE: said("Shape"), GAP: said("Gap"), LAYER: said("Layer"), SHADE: said("Colour of the palette")}
COLOUR = "colour"
"""Its button is a row of colours."""
_K = Qt.Key
ACTS: dict[str, tuple[Act, ...]] = {
    REGION: (
        Act("drop", said("Drop"), said("It goes to what lies around it; a hole is filled"), _K.Key_Delete,
            said("delete remove take away fill")),
        Act("keep", said("Bring in"), said("It is there, while everything else is off"), _K.Key_Insert,
            said("keep choose")),
        Act("window", said("Open"), said("A window through all sheets"), _K.Key_W, said("hole cut out")),
        Act("below", said("Below"), said("A window, with a sheet of its colour below all others"), _K.Key_PageDown,
            said("under eye"), True),
        Act("above", said("On top"), said("A piece on a sheet of its colour above all others"), _K.Key_PageUp,
            said("over raise"), True),
        Act("back", said("As before"), said("What was decided about it last is taken back"), _K.Key_Backspace,
            said("undo bring back restore")),
        Act("alike", said("All alike"), said("Chooses all of its colour and about its size"), _K.Key_A,
            said("same similar every")),
        Act("alike_any", said("All of its colour"), said("Chooses them in any size"), None, said("same similar"), True),
        Act("alike_design", said("… in this design"), said("Chooses all of its colour in what hangs together here"),
            None, said("same similar"), True),
        Act("alike_shape", said("All of its shape"), said("Chooses them in any size, colour or turn"), None,
            said("same similar"), True),
        Act("joined", said("Join"), said("All get the colour of the first and are one where they touch"), _K.Key_J,
            said("unite merge together")),
        Act("cut_out", said("Cut out"), said("The later ones, with all they enclose, are cut out of the first"),
            _K.Key_X, said("subtract minus")),
        Act("shared", said("Common part"), said("Of the first only what lies within all the others stays"), _K.Key_Y,
            said("intersect overlap")),
        Act("inside", said("Fill inside"), said("All that it encloses gets its colour"), _K.Key_I,
            said("holes solid")),
        Act("thicken", said("Thicken"), said("Its narrow places get the smallest width, smoothly"), _K.Key_T,
            said("make thicker wider thin weak")),
        Act("split", said("Split…"), said("Draw a line through it that parts it"), _K.Key_L,
            said("part divide separate")),
        Act("edge", said("Its edge"), said("Chooses the line around it, to smooth or reshape it"), _K.Key_E,
            said("boundary outline smooth nodes")),
        Act("mirrored", said("Mirrored copy"), said("Its outline, turned over, becomes a shape beside it"), _K.Key_M,
            said("mirror flip reflect turn over")),
        Act("lift", said("Copy"), said("Its outline becomes a shape beside it that can be moved"), _K.Key_P,
            said("duplicate shape"), True),
    ),
    STROKE: (
        Act("remove", said("Take away"), said("The paper shows there; what it met stays whole"), _K.Key_Delete,
            said("delete drop")),
        Act("window", said("Open"), said("It becomes a window through all sheets"), _K.Key_W, said("cut out")),
        Act("thicker", said("Thicker"), said("By a quarter; again for more"), _K.Key_T, said("make thicker wider")),
        Act("thinner", said("Thinner"), said("By a fifth; again for more"), _K.Key_N, said("make thinner narrower")),
        Act("extend", said("Extend"), said("Its free end runs on until it meets another stroke"), _K.Key_E,
            said("longer")),
        Act("join", said("Join to…"), said("Then click the stroke whose free end it is joined to"), _K.Key_J,
            said("connect close")),
    ),
    STRETCH: (
        Act("smooth", said("Smooth"), said("Bumps go, the ends stay"), _K.Key_S, said("calm sweep wobble")),
        Act("straight", said("Straighten"), said("A straight line between the ends"), _K.Key_L, said("line")),
        Act("arc", said("True arc"), said("The arc of a circle through both ends; a whole ring becomes a circle"),
            _K.Key_A, said("circle round")),
        Act("simple", said("Fewer nodes"), said("As few as stay within 0.15 mm"), _K.Key_N, said("simplify points")),
        Act("one less", said("One node less"), said("The node goes whose going changes least"), _K.Key_H,
            said("simplify points")),
        Act("corner", said("Make a corner"), said("Both ends run on until they meet"), _K.Key_K, said("sharp point")),
        Act("round", said("Round a corner"), said("By the radius in the panel"), _K.Key_Q, said("radius")),
    ),
    SHAPE: (
        Act("remove", said("Take away"), said("What was laid on goes"), _K.Key_Delete, said("delete")),
        Act("window", said("Open"), said("It is cut out of all sheets"), _K.Key_W, said("hole window cut out")),
        Act("figure", said("Other figure"), said("In its place and size: circle, star, rectangle, polygon in turn"),
            _K.Key_F, said("replace swap shape")),
        Act("copy", said("Copy"), said("Another one beside it"), _K.Key_P, said("duplicate")),
        Act("turn_over", said("Turn over"), said("Left becomes right"), _K.Key_M, said("mirror flip")),
        Act("thicker", said("Thicker"), said("All round, by a quarter of a millimetre; again for more"), _K.Key_T,
            said("make thicker wider offset")),
        Act("thinner", said("Thinner"), said("All round; again for more"), _K.Key_N, said("make thinner narrower")),
        Act("higher", said("Lay higher"), said("Above the shape that covers it"), _K.Key_PageUp, said("up front"),
            True),
        Act("lower", said("Lay lower"), said("Below the shape that it covers"), _K.Key_PageDown, said("down back"),
            True),
        Act("along", said("Along a line…"), said("Repeated with even steps along the line drawn; the panel says how "
                                                 "often"), _K.Key_L, said("repeat pattern"), True),
        Act("around", said("Around a place…"), said("Repeated around the place clicked; the panel says how often"),
            _K.Key_G, said("repeat ring rosette"), True),
        Act("join", said("Join"), said("All become one"), _K.Key_J, said("unite")),
        Act("cut", said("Cut out"), said("The later ones are cut out of the first"), _K.Key_X, said("subtract")),
        Act("common", said("Common part"), said("Only what all have in common stays"), _K.Key_Y, said("intersect")),
    ),
    GAP: (
        Act("close", said("Close it"), said("A bridge in the outline's own width"), _K.Key_J,
            said("bridge join leak")),
        Act("close_all", said("Close all"), said("A bridge over every gap that was found"), _K.Key_A,
            said("bridges leaks")),
    ),
    LAYER: (
        Act("higher", said("Higher"), said("One sheet up in the stack"), _K.Key_PageUp, said("raise up front order")),
        Act("lower", said("Lower"), said("One sheet down in the stack"), _K.Key_PageDown, said("down back order")),
        Act("base", said("Make base"), said("Under all others"), _K.Key_B, said("bottom lowest ground")),
        Act("merge", said("Merge down"), said("One layer with the one below it; several become one"), _K.Key_J,
            said("join unite together")),
        Act("part", said("Part again"), said("What was merged is apart again"), _K.Key_Backspace,
            said("unmerge split")),
        Act("out", said("Leave out"), said("No sheet for it: what it is laid on shows there"), _K.Key_Delete,
            said("delete drop remove")),
        Act("in", said("Bring back"), said("It gets its sheet again"), _K.Key_Delete, said("restore keep"),
            undoes="out"),
        Act("lock", said("Lock"), said("Its regions, name and colour stay as they are; so do those of its group"),
            _K.Key_K, said("protect fix")),
        Act("unlock", said("Unlock"), said("It can be changed again"), _K.Key_K, said("free"), undoes="lock"),
        Act("hide", said("Hide"), said("It is not painted on the bench, but cut all the same"), _K.Key_H,
            said("invisible eye")),
        Act("show", said("Show"), said("It is painted on the bench again"), _K.Key_H, said("visible eye"),
            undoes="hide"),
        Act("group", said("One group"), said("What is locked or hidden of one is so of all"), _K.Key_G,
            said("together set")),
        Act("name", said("Name…"), said("Type another name in its row"), _K.Key_F2, said("rename call")),
        Act("pieces", said("Its pieces"), said("Chooses its pieces, to do something to them"), _K.Key_A,
            said("regions parts all")),
    ),
    SHADE: (
        Act("merge", said("Merge"), said("The chosen colours become one"), _K.Key_J, said("join unite same")),
        Act("split", said("Split"), said("Two colours of the chosen one"), _K.Key_X, said("part divide shades")),
        Act("replace", said("Replace…"), said("By a colour that is then clicked in the picture"), _K.Key_R,
            said("pick change other")),
        Act("lock", said("Lock"), said("It stays whatever the number of colours"), _K.Key_K, said("keep protect")),
        Act("unlock", said("Unlock"), said("It may go where there are fewer colours"), _K.Key_K, said("free"),
            undoes="lock"),
        Act("out", said("Leave out"), said("It is not cut, like the ground"), _K.Key_Delete,
            said("remove delete drop")),
        Act("in", said("Bring back"), said("It is cut again"), _K.Key_Delete, said("restore keep"), undoes="out"),
        Act("higher", said("Higher"), said("Its sheet one higher"), _K.Key_PageUp, said("up raise order")),
        Act("lower", said("Lower"), said("Its sheet one lower"), _K.Key_PageDown, said("down order")),
    ),
}
