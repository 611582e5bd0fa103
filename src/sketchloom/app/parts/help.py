"""Help inside the application: the keys, and the first ten minutes."""

from html import escape

from PySide6.QtCore import Qt
from PySide6.QtGui import QKeySequence
from PySide6.QtWidgets import QDialog, QDialogButtonBox, QLineEdit, QTabWidget, QTextBrowser, QVBoxLayout, QWidget

from sketchloom.app import actions, theme
from sketchloom.app.parts.acts import ACTS, KINDS_NAMED
from sketchloom.app.parts.glossary import WORDS
from sketchloom.app.parts.stage_help import StageHelp
from sketchloom.app.words import told
from sketchloom.core.base.lookup import plain, ranked
from sketchloom.core.base.said import said

FIRST, STAGES, KEYS, GLOSSARY = PAGES = range(4)
"""Pages by their order."""
GESTURES = (
    (said("Wheel, + and −"), said("Zoom to the pointer")),
    (said("Drag, arrow keys, two fingers"), said("Pan")),
    (said("Arrow keys with a tool held"), said("A cross moves: 8 pixels, with Shift 1 mm; digits typed say a place")),
    (said("Space, Shift+Space, Ctrl+Space"), said("A click at the cross; one that adds; hold it down until Space")),
    (said("[ and ]"), said("Move the curtain")),
    (said("Hold O"), said("The source alone")),
    (said("Ctrl+↑, Ctrl+↓"), said("Move the chosen layer")),
    (said("Enter, Backspace"), said("Take what a tool on the bench drew; one point back")),
    (said(". and ,"), said("In Clean: the next larger, the next smaller region")),
    (said("T, Delete"), said("In Sheets: turn the chosen part; let it be placed again")),
    (said("N, Page up, Page down"), said("In Sheets: the next part; the sheet before, the next sheet")),
    ("Esc", said("Let go of what is chosen; put the tool down; cancel what runs")),
)
"""Keys and gestures that are no action's."""

FIRST_STEPS = said("""
<h3>From a picture to cut files</h3>
<p><b>1. Source.</b> Drop a picture on the window, paste one, or press Open. Set the finished width: everything
follows. The judgement says what the picture can give before you spend time on it, and each point has a button that
mends it: a page is flattened, lines are straightened, light is levelled. Under <i>Background</i>, a stroke over what
is to stay and one over what is to go cut a thing out of its surroundings; the hatched part is left out.</p>
<p><b>2. Trace.</b> The program picks the reading. <i>Colour</i>: each rung of the ladder says what the next
smaller number of colours loses and saves. <i>Tone</i>: drag along the curve; in the marked bands the drawing stands
still. <i>Line</i>: the middle of each stroke for a pen, or as shapes of one width. <i>Photo</i>: shading in a few
tones. The smallest detail decides what is too small to weed; what it cost is listed and can be brought back. Press V
to see variants side by side with their pieces, sheets, nodes and millimetres. <i>Outlines</i> says how far curves may
keep from the pixels: fewer nodes are cleaner sweeps and a calmer blade.</p>
<p><b>3. Clean.</b> Click what you want to change: a region, a shape, a gap; another click goes on to the stroke or the
line around it. Beside it stands what can be done to it, with its keys; a drag takes all in a box, Shift adds.
<i>Sweep</i> drops, opens or colours regions at a click. Everything else is under <i>More</i>, and found by its words
(Ctrl+K): <i>Gaps and ink</i> closes outlines in their own width; <i>Strokes</i> are taken away, thinned, extended or
joined as things; <i>Split lines</i> part a tail from a body; <i>Shapes and words</i> are regions like any other;
<i>Mirror one half</i> makes both alike to the last curve; <i>Boundaries by hand</i> are brushed along and made
straight, round or smooth, for both neighbours at once; <i>Narrow places</i> are
thickened where they are; a <i>backing or rim</i> is a sheet of its own. What was decided is found again after
another cut-off, number of colours or crop; what is not is told.</p>
<p><b>4. Layers.</b> One sheet a colour, base at the bottom. The proposed order cuts least. Drag sheets, leave one
out, merge two, give one another cut colour. <i>Stacked</i> is easy to lay, <i>fitted</i> is thin and flat,
<i>windowed</i> has fewest pieces, <i>lean</i> cuts least: the table has the figures of all four, a click into a
column takes that way. <i>Pull apart</i> shows the sheets above each other,
<i>Section</i> the stack from the side along a line you drag. Say what a sheet is cut from, and what its material
forbids is told.</p>
<p><b>5. Sheets.</b> Say which machine cuts, and how large the work is to be: by a side, by the place it goes, by its
smallest detail. What is larger than any carrier is divided where it is seen least; film for a hot press is mirrored.
Drag a part to another place or another sheet, move a seam, read off time, film and cost.</p>
<p><b>6. Release.</b> Write one SVG with all layers, one file a layer, or one file a sheet. All are in true
millimetres.</p>
<p>Drag the <b>curtain</b> across the bench to compare the source with the cut. Point at a region and the bench says
what it is. The line at the bottom lists what may go wrong, goes to the place, and mends what it can.</p>
<p>Everything can be undone, and every change is kept: if the program ends without saving, the next start offers
your work again.</p>
""")


class HelpDialog(QDialog):
    """A window that stays beside the work."""

    def __init__(self, window, page: int = FIRST):
        super().__init__(window)
        self.setWindowTitle(self.tr("Help"))
        self.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        self.resize(theme.px(720), theme.px(680))
        rows = "".join(
            f"<tr><td style='padding:3px 18px 3px 0'><b>{escape(key)}</b></td><td>{escape(words)}</td></tr>"
            for key, words in _keys())
        tabs = QTabWidget()
        self.stages = StageHelp(window.panels, window.rail.titles, window.stage)
        keys = f"<h3>{self.tr('Keys')}</h3><table>{rows}</table>"
        for title, made in (
            (self.tr("First ten minutes"), _page(self.tr("First ten minutes"), told(FIRST_STEPS))),
            (self.tr("The stages"), self.stages),
            (self.tr("Keys"), _page(self.tr("Keys"), keys)),
            (self.tr("Glossary"), _Glossary()),
        ):
            tabs.addTab(made, title)
        tabs.setCurrentIndex(page)
        box = QDialogButtonBox(QDialogButtonBox.StandardButton.Close)
        box.rejected.connect(self.close)
        layout = QVBoxLayout(self)
        layout.addWidget(tabs)
        layout.addWidget(box)


class _Glossary(QWidget):
    """Words and what they mean; those that are looked for first."""

    def __init__(self):
        super().__init__()
        column = QVBoxLayout(self)
        self._sought = QLineEdit()
        self._sought.setPlaceholderText(self.tr("A word"))
        self._sought.setAccessibleName(self.tr("A word"))
        self._sought.setClearButtonEnabled(True)
        self._sought.textChanged.connect(lambda _: self._fill())
        self._page = _page(self.tr("Glossary"), "")
        column.addWidget(self._sought)
        column.addWidget(self._page)
        self._fill()

    def _fill(self):
        words = sorted(((told(word), told(about)) for word, about in WORDS), key=lambda one: plain(one[0]))
        order = ranked(self._sought.text(), words)
        self._page.setHtml("".join(f"<p><b>{escape(words[n][0])}</b><br>{escape(words[n][1])}</p>" for n in order)
                           or escape(self.tr("No such word.")))


def _keys():
    """Every key, those of actions as they are now."""
    for name, row in actions.ROWS.items():
        keys = [QKeySequence(key).toString(QKeySequence.SequenceFormat.NativeText) for key in actions.keys_of(name)]
        if keys:
            yield ", ".join(keys), row.plain
    for kind, title in KINDS_NAMED.items():
        for act in ACTS[kind]:
            if act.key_text:
                yield act.key_text, f"{told(title)}: {told(act.words).rstrip('…')}"
    for key, words in GESTURES:
        yield told(key), told(words)


def _page(title, html):
    page = QTextBrowser()
    page.setAccessibleName(title)
    page.setHtml(html)
    page.setOpenLinks(False)
    return page
