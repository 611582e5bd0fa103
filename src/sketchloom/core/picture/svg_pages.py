"""SVG drawn as a picture: made safe first, with nothing from outside the file and nothing run."""

import base64
import binascii
import io
import re
from importlib.resources import files
from xml.etree import ElementTree

import numpy as np
from defusedxml import DefusedXmlException
from defusedxml.ElementTree import DefusedXMLParser
from PIL import Image

from sketchloom.core.base.errors import ImageTooLargeError, PictureError
from sketchloom.core.base.said import said
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.picture.pages import CSS_PX_PER_IN, MAX_SIDE_IN, check_size
from sketchloom.core.picture.picture import Picture, frozen_array

_SMALL_PX = 1200
"""A small SVG is drawn with a long side of this at least: its own size says little."""
_MAX_SVG_BYTES = 32 * 1024 * 1024
"""Larger files are refused before they are parsed."""
_MAX_DEPTH, _MAX_ELEMENTS = 200, 300_000
"""Deeper or larger trees are refused while they are parsed."""
_MAX_SHOWN_DEEP = 300
"""Parts shown by parts that are nested: a drawing's own depth, and a good deal of references on top."""
_UNITS_IN = {
    "": 1 / 96,
    "px": 1 / 96,
    "pt": 1 / 72,
    "pc": 1 / 6,
    "mm": 1 / 25.4,
    "cm": 1 / 2.54,
    "in": 1.0,
    "q": 1 / 101.6,
}
FAMILY = "Lato"
"""The font, plain and bold, that all words of a page are drawn in, whatever they ask for: a page looks the same on
every machine."""
_EVERY_FAMILY = {f"{kind}_family": FAMILY for kind in ("serif", "sans_serif", "cursive", "fantasy", "monospace")}
"""Else words of these kinds, and of any font that is not there, would not be drawn at all."""
_LENGTH = re.compile(r"^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z]*)\s*$", re.IGNORECASE)
_HREFS = ("href", "{http://www.w3.org/1999/xlink}href")


def safe_root(data: bytes, name: str, max_pixels: int):
    """The tree of an SVG with nothing from outside it and nothing that runs, its view box stated; width and height,
    inches; sentences on what was left out.

    Raises
    ------
    ImageTooLargeError, PictureError : with a sentence.
    """
    if len(data) > _MAX_SVG_BYTES:
        raise ImageTooLargeError(
            name,
            said(
                "has {mb:.0f} MB; at most {mb2} MB of SVG are read.", mb=len(data) / 2**20, mb2=_MAX_SVG_BYTES // 2**20
            ),
            said("Save a simpler copy."),
        )
    root = _parsed(data, name)
    notes = _made_safe(root, name, max_pixels)
    return root, _size_in(root, name), notes


def size_root(root, width: int, height: int) -> None:
    """Have an SVG drawn so many px wide and high: a view box that fills them but for a part of a pixel fills them."""
    root.set("width", str(width))
    root.set("height", str(height))
    box = _box(root)
    scale = min(width / box[0], height / box[1])
    if abs(box[0] * scale - width) < 1 and abs(box[1] * scale - height) < 1:
        root.set("preserveAspectRatio", "none")


def render_svg(data, name, dpi, max_pixels, least_px=_SMALL_PX):
    import resvg_py

    root, (width_in, height_in), notes = safe_root(data, name, max_pixels)
    dpi = max(float(dpi), min(max(least_px, _SMALL_PX) / max(width_in, height_in), 4800.0))
    width, height = round(width_in * dpi), round(height_in * dpi)
    check_size(name, width, height, dpi, max_pixels)
    size_root(root, width, height)
    fonts = [str(files("sketchloom").joinpath("data", "fonts", f"{FAMILY}-{kind}.ttf")) for kind in ("Regular", "Bold")]
    try:
        png = resvg_py.svg_to_bytes(svg_string=ElementTree.tostring(root, encoding="unicode"), skip_system_fonts=True,
                                    font_files=fonts, font_family=FAMILY, **_EVERY_FAMILY, resources_dir=None)
        image = Image.open(io.BytesIO(bytes(png))).convert("RGBA")
    except (ValueError, OSError):
        raise PictureError(name, said("this SVG cannot be drawn."), said("Save a plain copy of it.")) from None
    rgba = np.asarray(image)
    if rgba[..., 3].max() < 16:
        raise PictureError(name, said("this SVG shows nothing."), said("Export it with its shapes."))
    alpha = None if rgba[..., 3].min() == 255 else frozen_array(rgba[..., 3].copy())
    return Picture(frozen_array(rgba[..., :3].copy()), alpha, dpi, name, tuple(notes))


class _Shallow(ElementTree.TreeBuilder):
    """Builds a tree of limited depth and size."""

    def __init__(self):
        super().__init__()
        self.depth = self.elements = 0

    def start(self, tag, attrs):
        self.depth += 1
        self.elements += 1
        if self.depth > _MAX_DEPTH or self.elements > _MAX_ELEMENTS:
            raise _TooMuch
        return super().start(tag, attrs)

    def end(self, tag):
        self.depth -= 1
        return super().end(tag)

    def pi(self, target, text=None):
        """Instructions (style sheets from elsewhere) are left out."""


class _TooMuch(Exception):
    pass


def _parsed(data, name):
    parser = DefusedXMLParser(target=_Shallow(), forbid_entities=True, forbid_external=True)
    try:
        parser.feed(data)
        root = parser.close()
    except DefusedXmlException:
        raise PictureError(name, said("this SVG defines entities, which no drawing needs; it is not opened."),
                           said("Save a plain copy of it.")) from None
    except _TooMuch:
        raise PictureError(
            name,
            said(
                "this SVG is nested more than {max_depth} deep or has more than {max_elements} parts.",
                max_depth=_MAX_DEPTH,
                max_elements=_MAX_ELEMENTS,
            ),
            said("Save a simpler copy."),
        ) from None
    except (ElementTree.ParseError, ValueError, LookupError):
        raise PictureError(name, said("this SVG is damaged or cut short."), said("Copy or export it again.")) from None
    if root.tag.rpartition("}")[2] != "svg":
        raise PictureError(name, said("this is not an SVG drawing."), said("Open another file."))
    return root


def _made_safe(root, name, max_pixels):
    """Take out scripts and all that points outside the file; returns sentences on what went."""
    gone = _without_pages(root)
    for element in root.iter():
        gone |= _without_links(element, max_pixels)
    _refuse_explosions(root, name)
    return [sentence for what, sentence in _GONE.items() if what in gone]
_GONE = {
    "script": said("A script in the file was left out."),
    "outside": said("Something that the file points to outside itself was left out."),
    "text": said("Text is drawn in the program's own font; turn it into outlines to keep its look."),
}
"""What is said of each kind of thing that an SVG loses."""


def _without_pages(root):
    """Take out scripts and pages of another kind; returns the kinds that were there, text among them."""
    gone = set()
    for parent in root.iter():
        for child in list(parent):
            kind = child.tag.rpartition("}")[2] if isinstance(child.tag, str) else ""
            if kind in ("script", "foreignObject"):
                parent.remove(child)
                gone.add("script" if kind == "script" else "embedded page")
            elif kind == "text":
                gone.add("text")
    return gone


def _without_links(element, max_pixels):
    """Take out of an element what would be run, or points outside the file; returns the kinds that were there."""
    gone = set()
    for attribute in list(element.attrib):
        value = element.attrib[attribute].strip()
        points_out = attribute in _HREFS and not value.startswith("#") and not _is_small_picture(value, max_pixels)
        if attribute.lower().startswith("on"):
            del element.attrib[attribute]
            gone.add("script")
        elif points_out or re.search(r"url\(\s*['\"]?(?!\s*['\"]?#)", value, re.IGNORECASE):
            del element.attrib[attribute]
            gone.add("outside")
    is_style = element.tag.rpartition("}")[2] == "style" and element.text
    if is_style and re.search(r"@import|url\(\s*['\"]?[^#'\"\s]", element.text, re.IGNORECASE):
        element.text = ""
        gone.add("outside")
    return gone


def _is_small_picture(value, max_pixels):
    """An embedded picture whose header claims no more than the program opens."""
    if not value.startswith("data:image/") or "," not in value:
        return False
    head, _, body = value.partition(",")
    if head.startswith("data:image/svg"):
        return False
    try:
        data = base64.b64decode(body, validate=False)
        width, height = Image.open(io.BytesIO(data), formats=("PNG", "JPEG", "GIF", "WEBP")).size
    except (binascii.Error, ValueError, OSError, SyntaxError):
        return False
    return width * height <= max_pixels


_REFERENCE = re.compile(r"url\(\s*['\"]?#([^'\")\s]+)", re.IGNORECASE)


def _shown_by(element, by_id):
    """Elements that one shows beside its children: by a link, or by an attribute such as ``clip-path``."""
    names = [element.get(attribute, "")[1:] for attribute in _HREFS]
    for value in element.attrib.values():
        names += _REFERENCE.findall(value)
    return [by_id[name] for name in names if name in by_id]


def _refuse_explosions(root, name):
    """Count what references multiply to: parts shown by parts shown by parts."""
    by_id = {e.get("id"): e for e in root.iter() if e.get("id")}
    sizes: dict = {}

    def size(element, within):
        key = id(element)
        if key in sizes:
            return sizes[key]
        if key in within:
            return 1
        if len(within) > _MAX_SHOWN_DEEP:  # parts shown by parts, farther than any drawing goes
            raise _TooMuch
        inner = within | {key}
        total = 1 + sum(size(child, inner) for child in element)
        for target in _shown_by(element, by_id):
            total += size(target, inner)
        sizes[key] = min(total, 10 * _MAX_ELEMENTS)
        return sizes[key]

    try:
        is_too_much = size(root, frozenset()) > _MAX_ELEMENTS
    except _TooMuch:
        is_too_much = True
    if is_too_much:
        raise PictureError(
            name, said("this SVG repeats parts of itself too often to be drawn."), said("Save a simpler copy.")
        )


def _stated_in(text):
    """A length of an attribute in inches, None where there is none."""
    found = _LENGTH.match(text)
    unit = found.group(2).lower() if found else None
    return float(found.group(1)) * _UNITS_IN[unit] if found and unit in _UNITS_IN else None


def _box(root):
    """Width and height of the view box, None where there is none."""
    box = [float(v) for v in re.findall(r"[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?", root.get("viewBox", ""))]
    return box[2:] if len(box) == 4 and box[2] > 0 and box[3] > 0 else None


def _size_in(root, name):
    """Width and height in inches: from the attributes, else from the view box."""
    box = _box(root)
    sides = [_stated_in(root.get(side, "")) for side in ("width", "height")]
    if box is None:
        if None in sides:
            raise PictureError(name, said("this SVG states no size."), said("Save it with a width and a height."))
        root.set("viewBox", f"0 0 {sides[0] * CSS_PX_PER_IN:g} {sides[1] * CSS_PX_PER_IN:g}")
    elif sides == [None, None]:
        sides = [v / CSS_PX_PER_IN for v in box]
    elif None in sides:
        known = 0 if sides[1] is None else 1
        sides[1 - known] = sides[known] * box[1 - known] / box[known]
    if not all(0 < v < MAX_SIDE_IN for v in sides):
        raise PictureError(
            name,
            said(
                "this SVG claims to be {sides:.0f} × {sides2:.0f} mm.",
                sides=sides[0] * MM_PER_IN,
                sides2=sides[1] * MM_PER_IN,
            ),
            said("Save it at its real size."),
        )
    return sides
