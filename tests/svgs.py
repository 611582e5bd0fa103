"""Files of a work as the tests want them."""

from sketchloom.core.formats.registry import formats
from sketchloom.files import release

SVG = formats()["svg"]


def whole(work) -> bytes:
    return SVG.write(release.whole_drawing(work))


def layers(work, stem) -> dict[str, bytes]:
    return {f"{name}.svg": SVG.write(drawing) for name, drawing in release.layer_drawings(work, stem).items()}


def plan(work, title) -> bytes:
    return SVG.write(release.plan_drawing(work, title))


def write_one(work, path):
    return release.write(release.outgoing(work, path))


def write_layers(work, folder, stem):
    return release.write(release.outgoing(work, folder, release.LAYERS, stem=stem))


def write_pieces(work, folder, stem):
    return release.write(release.outgoing(work, folder, release.PIECES, stem=stem))


def write_designs(work, folder, stem):
    return release.write(release.outgoing(work, folder, release.DESIGNS, stem=stem))


def write_shared(works, folder, stem):
    return release.write(release.outgoing_shared(works, folder, stem))
